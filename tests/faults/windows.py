"""The real window, offscreen: failing calls, delays and kills around its saves and autosaves, and
two windows on one file. Every setup that was ever added is looked for at the end: it must be in
the file, in a window that lives, or in a copy that is offered."""
import errno
import os
import queue
import shutil
import subprocess
import tempfile
import threading
import time
from concurrent.futures import ThreadPoolExecutor

from tally import DEMO, KIT

AUTOSAVE = 1.0  # seconds from an edit, as promised; how much a kill takes is reported
FRESH = 3.5  # what was added so long before a kill is counted only on a machine that is not busy
PATIENCE = 20.0


class Died(Exception):
    pass


class Window:
    def __init__(self, program, folder, interposer=None, errors=subprocess.DEVNULL, wall=False):
        env = dict(os.environ)
        if wall:
            env.update(HOME=folder, TMPDIR=folder)
        if interposer:
            env["LD_PRELOAD"] = interposer
        self.process = subprocess.Popen([program, folder] + ["wall"] * wall, stdin=subprocess.PIPE, env=env,
                                        stdout=subprocess.PIPE, stderr=errors, text=True,
                                        cwd=folder)
        self.lines = queue.Queue()
        threading.Thread(target=self._read, daemon=True).start()

    def _read(self):
        for line in self.process.stdout:
            self.lines.put(line.rstrip("\n"))
        self.lines.put(None)

    def say(self, command, patience=PATIENCE):
        try:
            self.process.stdin.write(command + "\n")
            self.process.stdin.flush()
            line = self.lines.get(timeout=patience)
        except (BrokenPipeError, queue.Empty):
            line = None
        if line is None:
            raise Died(command)
        return line

    def numbers(self, command="numbers"):
        return set(self.say(command).split("|")[0].split())

    def question(self):
        return self.say("numbers").split("|")[1]

    def kill(self):
        self.process.kill()
        self.process.wait()

    def quit(self):
        """How long it takes to end."""
        began = time.monotonic()
        try:
            self.process.stdin.write("quit\n")
            self.process.stdin.flush()
        except BrokenPipeError:
            pass
        self.process.wait(PATIENCE)
        return time.monotonic() - began


class Windows:
    def __init__(self, tally, program, interposer):
        self.tally, self.program, self.interposer = tally, program, interposer

    def _shoot(self, folder):
        shutil.copy(KIT, folder)
        return shutil.copy(DEMO, os.path.join(folder, "day.bslate"))

    def failing_calls(self):
        """Each call of a save and of an autosave fails, or is the last: nothing added is lost."""
        cases = []
        for what in ("save", "autosaved 1"):
            for call in ("open", "write", "fsync", "rename"):
                for how in (str(errno.ENOSPC), "kill"):
                    for at in (1, 2):
                        cases.append((what, call, at, how))
        with ThreadPoolExecutor(8) as several:  # they wait for timers most of the time
            list(several.map(lambda case: self._failing(*case), cases))

    def _failing(self, what, call, at, how):
        with tempfile.TemporaryDirectory(ignore_cleanup_errors=True) as folder:
            try:
                self._failing_in(folder, what, call, at, how)
            except Died as died:
                self.tally.note(f"window: {what}, {call} {at} {how}: died or hung at {died}")

    def _failing_in(self, folder, what, call, at, how):
        path = self._shoot(folder)
        first = Window(self.program, folder, self.interposer)
        first.say(f"open {path}")
        old = first.numbers()
        first.say("add kept")
        first.say("autosaved 1")
        first.say("add last")
        first.say(f"fault {call} {at} {how}")
        answer = ""
        try:
            answer = first.say("autosaved 2" if what != "save" else what)
            self.tally.faults += 1
            if "last" not in first.numbers():
                self.tally.note(f"window: {what}, {call} {at} {how}: the window lost it")
        except Died:
            self.tally.kills += 1
        first.kill()
        found = self._everything(folder, path)
        if not old <= found or "kept" not in found:
            self.tally.note(f"window: {what}, {call} {at} {how}: only {sorted(found)} is left")
        if answer.startswith("saved") and "last" not in self._in_file(folder, path):
            self.tally.note(f"window: {what}, {call} {at} {how}: saved, and not in the file")

    def _in_file(self, folder, path):
        window = Window(self.program, folder)
        found = window.numbers(f"open {path}")
        window.kill()
        return found

    def _everything(self, folder, path):
        """In the file and in every copy that is offered, one after the other."""
        window = Window(self.program, folder)
        found = window.numbers(f"open {path}")
        for _ in range(20):
            if "were kept" not in window.question():
                break
            found |= window.numbers("answer Recover them")
        window.kill()
        return found

    def slow_disk(self):
        """A disk that takes two seconds for each sync: the window ends in little more than that."""
        with tempfile.TemporaryDirectory() as folder:
            path = self._shoot(folder)
            window = Window(self.program, folder, self.interposer)
            window.say(f"open {path}")
            window.say("add slow")
            window.say("fault fsync 1 delay:2000")
            time.sleep(AUTOSAVE + 0.3)
            began = time.monotonic()
            window.say("numbers")
            heard = time.monotonic() - began
            if heard > 0.5:
                self.tally.note(f"a window waited {heard:.1f} s for an autosave")
            saved, waited, beats = window.say("save").split()
            if saved != "saved" or waited == "0":
                self.tally.note("a save on a slow disk did not say what it waits for")
            if int(beats) < 10:
                self.tally.note(f"a window that saved on a slow disk was frozen: {beats} beats")
            window.say("add slower")
            time.sleep(AUTOSAVE + 0.3)
            took = window.quit()
            if took > 3.5:
                self.tally.note(f"a window on a slow disk ended after {took:.1f} s")

    def several_at_once(self, count, number, rng):
        with tempfile.TemporaryDirectory() as folder:
            try:
                self._several(count, folder, number, rng)
            except Died as died:
                self.tally.note(f"{count} windows, round {number}: one died at {died}")
        self.tally.rounds += 1

    def _several(self, count, folder, number, rng):
        path = self._shoot(folder)
        windows = [None] * count
        added = {}  # setup: when, by which window
        for step in range(rng.randint(3, 6) * count):
            at = rng.randrange(count)
            if windows[at] is None:
                windows[at] = Window(self.program, folder)
                windows[at].say(f"open {path}")
                while "were kept" in windows[at].question():
                    windows[at].say("answer Later")
                continue
            what = rng.random()
            if what < 0.45:
                name = f"r{number}s{step}"
                windows[at].say(f"add {name}")
                added[name] = (time.monotonic(), at)
            elif what < 0.6:
                windows[at].say("save")
            elif what < 0.75:
                windows[at].say("look")
                if "was written by another" in windows[at].question():
                    windows[at].say("answer Load it")
            elif what < 0.85:
                time.sleep(rng.uniform(0, AUTOSAVE + 1))
            else:
                self._kill(windows, at, added, folder, path)
        for at in range(count):
            if windows[at]:
                self._kill(windows, at, added, folder, path)
        gone = set(added) - self._everything(folder, path)
        if gone:
            self.tally.note(f"{count} windows, round {number}: {sorted(gone)} is nowhere")

    def _kill(self, windows, at, added, folder, path):
        windows[at].kill()
        windows[at] = None
        self.tally.kills += 1
        # What was added too shortly before may be lost; it counts no more, and how much it was does.
        fresh = [name for name, (when, by) in added.items()
                 if by == at and time.monotonic() - when < FRESH]
        left = self._everything(folder, path) if fresh else set()
        for name in fresh:
            if name not in left:
                self.tally.lost = max(self.tally.lost, time.monotonic() - added[name][0])
                del added[name]

    def documents_through(self, paths, per_step):
        """Opened one after the other in one window, every step looked at."""
        with tempfile.TemporaryDirectory() as folder:
            window = Window(self.program, folder)
            for path in paths:
                try:
                    window.say(f"open {path}")
                    slowest = int(window.say("walk").split("|")[0]) / 1000
                except Died:
                    self.tally.note(f"the window died or hung over {os.path.basename(path)}")
                    window.kill()
                    window = Window(self.program, folder)
                    continue
                self.tally.slowest_step = max(self.tally.slowest_step, slowest)
                if slowest > per_step:
                    self.tally.note(f"{os.path.basename(path)}: a step took {slowest:.1f} s")
            window.kill()
