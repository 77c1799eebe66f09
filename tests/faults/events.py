"""Random events in the real window, with a watchdog of a second, and everything undone."""
import os
import shutil
import tempfile

from tally import DEMO, KIT
from windows import Died, Window

PART = 1500
PATIENCE = 120  # seconds for a part


def _part(tally, window, seed):
    answer = window.say(f"events {PART} {seed}", PATIENCE)
    if answer == "no wall":
        print("no random events: the kernel keeps no process to its folder")
        return
    frozen, slowest, undone, steps, what = answer.split("|", 4)
    tally.events += PART
    tally.undone += int(steps)
    tally.slowest_event = max(tally.slowest_event, int(slowest) / 1000)
    if int(frozen):
        tally.note(f"events, seed {seed}: frozen {frozen} times, {slowest} ms at {what}")
    if undone != "same":
        tally.note(f"events, seed {seed}: {steps} steps undone and done again give another shoot")


def random_events(tally, program, count, seed):
    """In parts, undone after each. What it was doing when it did not come back for a second is told
    on standard error."""
    with tempfile.TemporaryDirectory(ignore_cleanup_errors=True) as folder:
        shutil.copy(KIT, folder)
        path = shutil.copy(DEMO, os.path.join(folder, "day.bslate"))
        with open(os.path.join(folder, "errors"), "w+") as errors:
            window = Window(program, folder, errors=errors, wall=True)
            try:
                window.say(f"open {path}")
                for part in range(count // PART):
                    _part(tally, window, seed + part)
            except (Died, ValueError) as died:
                tally.note(f"events, seed {seed}: died or hung at {died}")
            window.kill()
            if tally.bad:
                errors.seek(0)
                print(errors.read()[-4000:])
