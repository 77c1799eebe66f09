"""Damaged and mutated documents, read, judged and planned by the command line and the window."""
import copy
import json
import os
import shutil
import subprocess
import tempfile
import time

from tally import DEMO, HANG, KIT


class Documents:
    def __init__(self, tally, bslate, window):
        self.tally, self.bslate, self.window = tally, bslate, window
        self.judged = []

    def run_document(self, path, what):
        for verb in (["validate"], ["check"], ["day"]):
            began = time.monotonic()
            try:
                done = subprocess.run([self.bslate, *verb, path, "--json"], capture_output=True,
                                      timeout=30)
            except subprocess.TimeoutExpired:
                self.tally.note(f"{what}: {verb[0]} did not end in 30 s")
                return False
            took = time.monotonic() - began
            self.tally.slowest = max(self.tally.slowest, took)
            if took > HANG:
                self.tally.note(f"{what}: {verb[0]} took {took:.1f} s")
            if done.returncode not in (0, 1, 2):
                self.tally.note(f"{what}: {verb[0]} ended with {done.returncode}: "
                                f"{done.stderr[-200:]}")
            if verb[0] == "validate" and done.returncode == 2:
                return False  # refused; the others say the same
        self.tally.judged += 1
        return True

    def mutated(self, rounds, rng, keep):
        shoot = json.load(open(DEMO))
        shoot["kit"] = json.load(open(KIT))
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
            self.window.documents_through(self.judged, HANG)


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
