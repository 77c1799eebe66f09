"""Saves of the command line, with calls that fail and kills."""
import errno
import os
import signal
import subprocess
import tempfile
import time

from tally import DEMO


class Saves:
    def __init__(self, tally, bslate, interposer):
        self.tally, self.bslate, self.interposer = tally, bslate, interposer

    def save(self, folder, call=None, at=0, how=None, count=None):
        """Writes the LUT of a setup over the one that is there."""
        env = dict(os.environ)
        if call:
            env.update(LD_PRELOAD=self.interposer, BSLATE_FAULT_CALL=call, BSLATE_FAULT_AT=str(at))
        if how:
            env["BSLATE_FAULT_HOW"] = how
        if count:
            env["BSLATE_FAULT_COUNT"] = count
        return subprocess.run([self.bslate, "lut", DEMO, "--setup", "2A", "--force", "-o",
                               os.path.join(folder, "a.cube")], env=env, capture_output=True)

    def saves(self):
        with tempfile.TemporaryDirectory() as folder:
            self.save(folder)
            path = os.path.join(folder, "a.cube")
            new = open(path, "rb").read()
            old = b"the old one"
            for call in ("open", "write", "fsync", "rename"):
                counter = os.path.join(folder, "count")
                self.save(folder, call, 0, count=counter)
                calls = int(open(counter).read())
                os.remove(counter)
                if calls == 0:
                    self.tally.note(f"no {call} was seen: the interposer does not work")
                for at in range(1, calls + 1):
                    for how in (str(errno.ENOSPC), str(errno.EIO), "kill"):
                        with open(path, "wb") as file:
                            file.write(old)
                        done = self.save(folder, call, at, how)
                        self.look(folder, f"{call} {at} {how}", done, old, new)

    def look(self, folder, what, done, old, new):
        killed = done.returncode == -signal.SIGKILL
        self.tally.kills += killed
        self.tally.faults += not killed
        left = open(os.path.join(folder, "a.cube"), "rb").read()
        if left not in (old, new):
            self.tally.note(f"{what}: {len(left)} bytes that are neither the old file nor the new one")
        if left == old and done.returncode == 0:
            self.tally.note(f"{what}: said it was written")
        others = sorted(set(os.listdir(folder)) - {"a.cube"})
        if others and not killed:
            self.tally.note(f"{what}: left {others}")
        for name in others:
            os.remove(os.path.join(folder, name))

    def timed_kills(self, rounds, rng):
        """Killed at any moment: what is there is one of the two."""
        with tempfile.TemporaryDirectory() as folder:
            began = time.monotonic()
            self.save(folder)
            whole = time.monotonic() - began
            path = os.path.join(folder, "a.cube")
            new = open(path, "rb").read()
            for _ in range(rounds):
                with open(path, "wb") as file:
                    file.write(b"the old one")
                program = subprocess.Popen(
                    [self.bslate, "lut", DEMO, "--setup", "2A", "--force", "-o", path],
                    stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)
                time.sleep(rng.uniform(0, whole))
                program.kill()
                program.wait()
                self.tally.kills += 1
                left = open(path, "rb").read()
                if left not in (b"the old one", new):
                    self.tally.note(f"killed: {len(left)} bytes that are neither")
            for name in os.listdir(folder):  # a minute old, as another save finds them
                if name != "a.cube":
                    os.utime(os.path.join(folder, name), (time.time() - 3600,) * 2)
            self.save(folder)
            if os.listdir(folder) != ["a.cube"]:
                self.tally.note(f"a save did not clear {sorted(os.listdir(folder))}")
