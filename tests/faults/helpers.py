"""The helper processes: killed in the middle of their work, and orphaned by a program that is; and
stills and clips that were copied in part."""
import contextlib
import os
import signal
import subprocess
import tempfile
import time

from tally import DEMO, HANG, ROOT

WEDGE = os.path.join(ROOT, "data/demo/step-wedge.png")
ALONE = 2.0  # seconds an orphan may live
TRIES = 20  # a helper may be quicker than the hand
CUBE = "TITLE \"straight\"\nLUT_1D_SIZE 2\n0 0 0\n1 1 1\n"
FORMATS = {"jpg": [], "tif": [], "dpx": [], "exr": ["-pix_fmt", "gbrpf32le"], "webp": [],
           "png": [], "mov": ["-c:v", "libx264", "-pix_fmt", "yuv420p"],
           "mp4": ["-c:v", "mpeg4"]}


def children(process):
    try:
        with open(f"/proc/{process.pid}/task/{process.pid}/children") as file:
            return [int(word) for word in file.read().split()]
    except OSError:
        return []


def name_of(pid):
    try:
        with open(f"/proc/{pid}/comm") as file:
            return file.read().strip()
    except OSError:
        return ""


def lives(pid):
    """A zombie of somebody else's does not."""
    try:
        with open(f"/proc/{pid}/stat") as file:
            return file.read().rsplit(")", 1)[1].split()[0] != "Z"
    except OSError:
        return False


class Helpers:
    def __init__(self, tally, bslate):
        self.tally, self.bslate = tally, bslate

    def killed_and_orphaned(self):
        with tempfile.TemporaryDirectory() as folder:
            clip = os.path.join(folder, "a.mov")
            cube = os.path.join(folder, "straight.cube")
            with open(cube, "w") as file:
                file.write(CUBE)
            self._made(clip, FORMATS["mov"])
            for helper, words in (
                    ("bslate-clips", ["clip", clip]),
                    ("bslate-stills", ["measure", WEDGE, "--profile", "srgb"]),
                    ("bslate-transfor", ["curve", cube]),
                    ("bslate-codec", ["make-clip", DEMO, "--setup", "2A", "-o",
                                      os.path.join(folder, "made.mov")])):
                self._killed(helper, words)
                self._orphaned(helper, words)

    def _held(self, helper, words):
        """A program whose helper is stopped in its work; None when it was always quicker."""
        for _ in range(TRIES):
            process = subprocess.Popen([self.bslate, *words], stdout=subprocess.PIPE,
                                       stderr=subprocess.PIPE)
            while process.poll() is None:
                for pid in children(process):
                    if name_of(pid) == helper:
                        os.kill(pid, signal.SIGSTOP)
                        return process, pid
            process.communicate()
        return None, 0

    def _killed(self, helper, words):
        process, pid = self._held(helper, words)
        if not process:
            return self.tally.note(f"{helper} was never seen at work")
        os.kill(pid, signal.SIGKILL)
        try:
            errors = process.communicate(timeout=10)[1].decode()
        except subprocess.TimeoutExpired:
            process.kill()
            return self.tally.note(f"{helper} was killed, and its program waits on")
        if process.returncode != 2 or "killed" not in errors:
            self.tally.note(f"{helper} was killed: {process.returncode}, {errors[-200:]}")
        self.tally.helpers += 1

    def _orphaned(self, helper, words):
        process, pid = self._held(helper, words)
        if not process:
            return self.tally.note(f"{helper} was never seen at work")
        process.kill()
        process.communicate()
        with contextlib.suppress(ProcessLookupError):
            os.kill(pid, signal.SIGCONT)  # it may have been stopped before its first line
        end = time.monotonic() + ALONE
        while lives(pid) and time.monotonic() < end:
            time.sleep(0.02)
        if lives(pid):
            os.kill(pid, signal.SIGKILL)
            self.tally.note(f"{helper} outlives a program that was killed")
        self.tally.helpers += 1

    def _made(self, path, options):
        subprocess.run(["ffmpeg", "-v", "error", "-y", "-f", "lavfi", "-i",
                        "testsrc2=s=320x180:r=24:d=1", *options,
                        *([] if path.endswith(("mov", "mp4")) else ["-frames:v", "1"]), path],
                       check=True, stdin=subprocess.DEVNULL)

    def cut(self, rounds, rng):
        """Stills and clips cut anywhere, or with bytes changed: refused or read, never hung; a still
        that was cut in its first nine tenths is refused."""
        with tempfile.TemporaryDirectory() as folder:
            for kind, options in FORMATS.items():
                path = os.path.join(folder, f"whole.{kind}")
                self._made(path, options)
                with open(path, "rb") as file:
                    whole = file.read()
                for number in range(rounds):
                    self._cut(folder, kind, whole, number, rng)

    def _cut(self, folder, kind, whole, number, rng):
        part = os.path.join(folder, f"part.{kind}")
        changed = rng.random() < 0.4
        share = rng.random()
        data = bytearray(whole if changed else whole[:int(share * len(whole))])
        for _ in range(rng.randint(1, 20) if changed else 0):
            data[rng.randrange(len(data))] = rng.randrange(256)
        with open(part, "wb") as file:
            file.write(data)
        clip = kind in ("mov", "mp4")
        words = ["clip", part] if clip else ["measure", part, "--profile", "srgb"]
        began = time.monotonic()
        try:
            done = subprocess.run([self.bslate, *words], capture_output=True, timeout=30)
        except subprocess.TimeoutExpired:
            return self.tally.note(f"{kind} {number}: did not end in 30 s")
        took = time.monotonic() - began
        self.tally.cut += 1
        self.tally.slowest_cut = max(self.tally.slowest_cut, took)
        what = f"{kind} {number}, {'changed' if changed else f'cut at {share:.2f}'}"
        if took > HANG:
            self.tally.note(f"{what}: took {took:.1f} s")
        if done.returncode not in (0, 1, 2):
            self.tally.note(f"{what}: ended with {done.returncode}: {done.stderr[-200:]}")
        if not clip and not changed and share < 0.9 and done.returncode != 2:
            self.tally.note(f"{what}: was measured as whole")
