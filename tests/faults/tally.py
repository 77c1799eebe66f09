"""What was tried and what was bad, and where things are."""
import os

HERE = os.path.dirname(os.path.abspath(__file__))
ROOT = os.path.dirname(os.path.dirname(HERE))
DEMO = os.path.join(ROOT, "data/demo/slack-water.bslate")
KIT = os.path.join(ROOT, "data/demo/slack-water.bskit.json")
HANG = 2.0  # seconds
LONGEST = 10.0  # for documents as large as they may be, on a machine that does other things too


class Tally:
    def __init__(self):
        self.faults, self.kills, self.documents, self.judged, self.rounds = 0, 0, 0, 0, 0
        self.bad = []
        self.replaced, self.events, self.undone = 0, 0, 0
        self.helpers, self.cut = 0, 0
        self.slowest_event, self.slowest_cut = 0.0, 0.0
        self.slowest, self.slowest_step, self.lost = 0.0, 0.0, 0.0

    def note(self, what):
        self.bad.append(what)
        print("BAD:", what, flush=True)
