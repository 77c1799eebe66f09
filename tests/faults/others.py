"""Other programs and windows around the real window: files that are replaced, renamed and broken
while it opens and saves, and My kit written by two windows that are killed."""
import errno
import glob
import json
import os
import shutil
import tempfile
import threading
import time

from tally import DEMO, KIT
from windows import Died, Window

MARK = "another program"
LARGE = 1500  # setups


class Others:
    def __init__(self, tally, program, interposer):
        self.tally, self.program, self.interposer = tally, program, interposer

    def _note(self, words):
        self.tally.note(words)

    def _shoot(self, folder, setups=0):
        """The demo, with copies of its setups until there are so many."""
        os.makedirs(folder, exist_ok=True)
        shutil.copy(KIT, folder)
        path = shutil.copy(DEMO, os.path.join(folder, "day.bslate"))
        if setups:
            with open(path) as file:
                shoot = json.load(file)
            known = list(shoot["setups"])
            shoot["setups"] += [dict(known[n % len(known)], id=f"more-{n}", number=f"M{n}")
                                for n in range(setups - len(known))]
            with open(path, "w") as file:
                json.dump(shoot, file)
        return path

    def replaced(self, rounds, rng):
        """Another program replaces the file at any moment of an open and a save: what it wrote is in
        the file, or was seen by the window that saved."""
        for number in range(rounds):
            with tempfile.TemporaryDirectory() as folder:
                try:
                    self._replaced(folder, number, rng)
                except Died as died:
                    self._note(f"replaced, round {number}: died or hung at {died}")
            self.tally.replaced += 1

    def _replaced(self, folder, number, rng):
        # A large one takes a while to be read, understood and written.
        path = self._shoot(os.path.join(folder, "card"), LARGE if rng.random() < 0.4 else 0)
        with open(path) as file:
            theirs = json.load(file)
        theirs["title"] = MARK
        new = os.path.join(folder, "card", "new")
        with open(new, "w") as file:
            json.dump(theirs, file)
        window = Window(self.program, folder, self.interposer)
        slow = rng.random() < 0.5
        timer = threading.Timer(rng.uniform(0, 0.6), lambda: os.replace(new, path))
        if rng.random() < 0.5:
            timer.start()
        window.say(f"open {path}")
        window.say("add mine")
        if not timer.is_alive() and os.path.exists(new):
            timer.start()
        if slow:
            window.say("fault fsync 1 delay:700")
        answer = window.say("save")
        timer.join()
        with open(path) as file:
            after = json.load(file)
        title = after.get("title") == MARK
        mine = any(setup["number"] == "mine" for setup in after["setups"])
        # Replaced after the save, or before the window read it: both are as they should be.
        if mine and not title:
            self._note(f"replaced, round {number}: what another program wrote is gone ({answer})")
        if not mine and not title:
            self._note(f"replaced, round {number}: neither is in the file ({answer})")
        window.kill()

    def renamed(self):
        """The folder is renamed while the shoot is open: it is not made anew, that is said, and the
        moved shoot is offered what was kept."""
        with tempfile.TemporaryDirectory() as folder:
            try:
                path = self._shoot(os.path.join(folder, "card"))
                window = Window(self.program, folder)
                window.say(f"open {path}")
                os.rename(os.path.join(folder, "card"), os.path.join(folder, "moved"))
                window.say("add after")
                window.say("autosaved 1")
                if "is gone" not in window.question():
                    self._note("a folder that was renamed was not told of")
                window.kill()
                if os.path.exists(os.path.join(folder, "card")):
                    self._note("a folder that was renamed was made anew")
                window = Window(self.program, folder)
                window.say(f"open {os.path.join(folder, 'moved', 'day.bslate')}")
                if "after" not in window.numbers("answer Recover them"):
                    self._note("the moved shoot was not offered what was kept of it")
                window.kill()
            except Died as died:
                self._note(f"renamed: died or hung at {died}")

    def kit_that_does_not_answer(self):
        """A stat of My kit that fails is not an empty kit."""
        for why in (errno.ESTALE, errno.EIO, errno.EACCES):
            with tempfile.TemporaryDirectory() as folder:
                try:
                    path = self._shoot(folder)
                    window = Window(self.program, folder, self.interposer)
                    window.say(f"open {path}")
                    window.say("keep tarn-6")
                    window.say("keep pip")
                    kit = self._kit(folder)
                    with open(kit, "rb") as file:
                        before = file.read()
                    for at in (1, 2, 3):
                        window.say(f"fault stat {at} {why} {os.path.basename(kit)}")
                        window.say("keep sedge-2")
                        with open(kit, "rb") as file:
                            after = file.read()
                        if after != before and b"tarn-6" not in after:
                            self._note(f"My kit was replaced when a look at it failed ({why})")
                        before = after
                    window.kill()
                    self.tally.faults += 3
                except Died as died:
                    self._note(f"My kit, {why}: died or hung at {died}")

    @staticmethod
    def _kit(folder):
        return glob.glob(os.path.join(folder, "*my-kit*.json"))[0]

    def kit_of_two(self, rounds, rng):
        """Two windows keep cameras and are killed: what either was told is kept is there."""
        for number in range(rounds):
            with tempfile.TemporaryDirectory() as folder:
                try:
                    self._kit_of_two(folder, number, rng)
                except Died as died:
                    self._note(f"My kit of two, round {number}: one died at {died}")
            self.tally.rounds += 1

    def _kit_of_two(self, folder, number, rng):
        path = self._shoot(folder)
        kept, windows = set(), [None, None]
        for _ in range(8):
            at = rng.randrange(2)
            if windows[at] is None:
                windows[at] = Window(self.program, folder)
                windows[at].say(f"open {path}")
            camera = rng.choice(("tarn-6", "sedge-2", "pip"))
            if rng.random() < 0.3:
                # In the middle of it, where nothing is promised but a whole file.
                windows[at].process.stdin.write(f"keep {camera}\n")
                windows[at].process.stdin.flush()
                time.sleep(rng.uniform(0, 0.05))
                windows[at].kill()
                windows[at] = None
                self.tally.kills += 1
            elif windows[at].say(f"keep {camera}") == "kept":
                kept.add(camera)
        reader = Window(self.program, folder)
        there = set(reader.say("mine").split())
        reader.kill()
        for window in windows:
            if window:
                window.kill()
        if kept - there:
            self._note(f"My kit of two, round {number}: {sorted(kept - there)} was kept and is gone")
