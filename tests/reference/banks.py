"""A hand before a body: what stands on it, what it forgets, what a bank brings, and what is then set
or looked at. Every assignment of setups to banks, and everything a bank may be written as."""
import itertools
import json
import pathlib

DEMO = pathlib.Path(__file__).parents[2] / "data/demo"
HOLDS = ["mode", "rate", "shutter", "profile", "base", "rating", "white", "zebra", "focus",
         "stabiliser", "sound"]


def shoot(dice, folder):
    """Two to four setups of the demo's first camera, some values drawn, on one to three days, over two
    or three banks that forget something. The documents, and what the body forgets."""
    kit = json.loads((DEMO / "slack-water.bskit.json").read_text())
    day = json.loads((DEMO / "slack-water.bslate").read_text())
    camera = kit["cameras"][0]
    body = camera
    count = dice.randint(2, 3)
    body["banks"] = {"internal": count, "on_card": 0}
    body["each_bank"] = [{"label": str(b + 1), "place": "inside", "locked": dice.random() < 0.15,
                          "holds": [s for s in HOLDS if dice.random() < 0.85]} for b in range(count)]
    body["slips"] = [slip for slip in ({"setting": "white", "cause": "power-on", "to": "4100 K"},
                                       {"setting": "rating", "cause": "mode", "to": "800"},
                                       {"setting": "sound", "cause": "power-on", "to": "camera microphone"},
                                       {"setting": "focus", "cause": "lens", "to": "continuous"})
                     if dice.random() < 0.4]
    own = [setup for setup in day["setups"] if setup["camera"] == camera["id"]]
    setups = []
    for number in range(dice.randint(2, 4)):
        setup = dict(dice.choice(own), id=f"s{number}", number=f"{number + 1}")
        setup["white"] = dice.choice(["3200K", "4100K", "5600K"])
        setup["iris"] = dice.choice(["T2.8", "T4"])
        setup["bank"] = dice.randint(0, count)
        setups.append(setup)
    day["setups"], day["plan"], day["records"] = setups, [], []
    (folder / "slack-water.bskit.json").write_text(json.dumps(kit))
    path = folder / "banks.bslate"
    path.write_text(json.dumps(day))
    return path, body, {setup["id"]: setup for setup in setups}


def turned(work, body, setups, threads, written):
    """Seconds of the hand. `threads`: setup to bank or -1; `written`: bank to settings."""
    state, last, cost = {}, None, 0
    for visit in work["visits"]:
        setup, wanted = setups[visit["setup"]], visit["wanted"]
        if last is None and "region_found" in body:
            state["region"] = body["region_found"]
        restart = last is None or visit["day"] != last[1] or (
            "region" in wanted and "region" in state and wanted["region"] != state["region"])
        happens = {"power-on": restart, "lens": last is not None and setup.get("lens") != last[0].get("lens"),
                   "mode": last is not None and setup["mode"] != last[0]["mode"]}
        for slip in body["slips"]:
            if happens.get(slip["cause"]):
                state[slip["setting"]] = slip["to"]
        if happens["lens"]:
            state.pop("iris", None)
        brought = {"region"}  # read once a day
        bank = threads[visit["setup"]]
        if bank >= 0 and not body["each_bank"][bank]["locked"]:
            for setting in body["each_bank"][bank]["holds"]:
                if setting in written[bank]:
                    state[setting] = written[bank][setting]
                    brought.add(setting)
        for setting, value in wanted.items():
            if state.get(setting) != value:
                state[setting] = value
                cost += work["by_hand_s"][setting]
            elif setting not in brought:
                cost += work["look_s"]
        last = (setup, visit["day"])
    return cost


def least(work, body, setups):
    """The cheapest of all assignments and of all that banks can be written as."""
    wanted = {visit["setup"]: visit["wanted"] for visit in work["visits"]}
    names, best = list(wanted), float("inf")
    banks = range(len(body["each_bank"]))
    for threads in itertools.product([-1, *banks], repeat=len(names)):
        used = sorted({b for b in threads if b >= 0})
        for contents in itertools.product(names, repeat=len(used)):
            written = {bank: wanted[name] for bank, name in zip(used, contents)}
            best = min(best, turned(work, body, setups, dict(zip(names, threads)), written))
    return best
