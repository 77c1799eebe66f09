"""Damaged and mutated documents, read, judged and planned by the command line and the window."""
import copy
import json
import os
import shutil
import subprocess
import tempfile
import time

from tally import DEMO, HANG, KIT, LONGEST


class Documents:
    def __init__(self, tally, bslate, window):
        self.tally, self.bslate, self.window = tally, bslate, window
        self.judged = []

    def run_document(self, path, what, hang=HANG):
        for verb in (["validate"], ["check"], ["day"]):
            began = time.monotonic()
            try:
                done = subprocess.run([self.bslate, *verb, path, "--json"], capture_output=True,
                                      timeout=30)
            except subprocess.TimeoutExpired:
                self.tally.note(f"{what}: {verb[0]} did not end in 30 s")
                return False
            took = time.monotonic() - began
            if hang == HANG:
                self.tally.slowest = max(self.tally.slowest, took)
            if took > hang:
                self.tally.note(f"{what}: {verb[0]} took {took:.1f} s")
            if done.returncode not in (0, 1, 2):
                self.tally.note(f"{what}: {verb[0]} ended with {done.returncode}: "
                                f"{done.stderr[-200:]}")
            if verb[0] == "validate" and done.returncode == 2:
                return False  # refused; the others say the same
        self.tally.judged += 1
        return True

    def extremes(self):
        """As large as `validate` lets them be: many small cards, many takes, many cameras."""
        with tempfile.TemporaryDirectory() as folder:
            for what, shoot in (("cards", many_cards(whole_demo())),
                                ("takes", many_takes(many_cards(whole_demo()))),
                                ("cameras", many_cameras(many_cards(whole_demo())))):
                path = os.path.join(folder, f"many-{what}.bslate")
                with open(path, "w") as file:
                    json.dump(shoot, file)
                before = self.tally.judged
                self.run_document(path, f"many {what}", LONGEST)
                if self.tally.judged == before:
                    self.tally.note(f"many {what}: was refused, and is to be planned")
                self.window.documents_through([path], LONGEST)

    def mutated(self, rounds, rng, keep):
        shoot = whole_demo()
        with tempfile.TemporaryDirectory() as folder:
            path = os.path.join(folder, "m.bslate")
            for number in range(rounds):
                if rng.random() < 0.25:
                    text = bytearray(json.dumps(shoot).encode())
                    for _ in range(rng.randint(1, 30)):
                        text[rng.randrange(len(text))] = rng.randrange(256)
                    data = bytes(text)
                else:
                    data = json.dumps(mutate(copy.deepcopy(shoot), rng)).encode()
                with open(path, "wb") as file:
                    file.write(data)
                before = len(self.tally.bad)
                if self.run_document(path, f"document {number}"):
                    self.judged.append(os.path.join(folder, f"document-{number}.bslate"))
                    shutil.copy(path, self.judged[-1])
                self.tally.documents += 1
                if len(self.tally.bad) > before and keep:
                    shutil.copy(path, os.path.join(keep, f"bad-{number}.bslate"))
            # A step reads, judges, plans and paints: twice what an answer may take.
            self.window.documents_through(self.judged, 2 * HANG)


def whole_demo():
    shoot = json.load(open(DEMO))
    shoot["kit"] = json.load(open(KIT))
    return shoot


def many_cards(shoot):
    cards = shoot["kit"]["cards"]
    shoot["kit"]["cards"] = [dict(cards[n % len(cards)], id=f"c{n}", count=15, capacity=f"{10 + n} MB")
                             for n in range(64)]
    for day in shoot["plan"]:
        day.pop("failures", None)
        for take in day["takes"]:
            take.pop("cards", None)
    return shoot


def one_day(shoot, takes, setups, length):
    day = shoot["plan"][0]
    plain = {key: value for key, value in day["takes"][0].items()
             if key not in ("cards", "ran", "began", "at")}
    day["takes"] = [dict(plain, id=f"t{n}", setups=setups, length=length) for n in range(takes)]
    shoot["plan"] = [day]
    return shoot


def many_takes(shoot):
    return one_day(shoot, 1000, [shoot["setups"][1]["id"]], "20s")


def many_cameras(shoot):
    camera = shoot["kit"]["cameras"][0]
    setup = next(item for item in shoot["setups"] if item["camera"] == camera["id"])
    for n in range(31):
        shoot["kit"]["cameras"].append(dict(camera, id=f"camera{n}"))
        shoot["setups"].append(dict(setup, id=f"s{n}", number=f"S{n}", camera=f"camera{n}"))
    return one_day(shoot, 32, [f"s{n}" for n in range(31)], "10min")


def nodes(node, found):
    if isinstance(node, (dict, list)):
        found.append(node)
        for value in node.values() if isinstance(node, dict) else node:
            nodes(value, found)
    return found


def mutate(shoot, rng):
    """Valid in form more often than not: values and whole entries from elsewhere in the document,
    repeated, removed, or driven to their ends."""
    places = nodes(shoot, [])
    for _ in range(rng.choice((1, 1, 2, 4, 12))):
        node = rng.choice(places)
        if not node:
            continue
        key = rng.choice(list(node)) if isinstance(node, dict) else rng.randrange(len(node))
        what = rng.random()
        if what < 0.2:
            del node[key]
        elif what < 0.4 and isinstance(node, list):
            node.extend(copy.deepcopy(node[key]) for _ in range(rng.choice((1, 3, 30))))
            for n, item in enumerate(node):
                if isinstance(item, dict) and "id" in item and rng.random() < 0.9:
                    item["id"] = f"{item['id']}-{n}"
        elif what < 0.6 and isinstance(node[key], str):
            node[key] = rng.choice(strings(shoot, []))
        elif what < 0.8 and isinstance(node[key], (int, float)) and not isinstance(node[key], bool):
            node[key] = rng.choice((0, -1, 1, 1e-300, 1e300, 64, 999, 24, node[key] * 1000))
        elif isinstance(node[key], bool):
            node[key] = not node[key]
        else:
            node[key] = rng.choice((None, "", [], {}, "x" * 5000, 1, "24:00", "1/0", "10 h"))
    return shoot


def strings(node, found):
    for value in node.values() if isinstance(node, dict) else node:
        if isinstance(value, str):
            found.append(value)
        elif isinstance(value, (dict, list)):
            strings(value, found)
    return found
