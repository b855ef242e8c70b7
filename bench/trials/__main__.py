"""`python -m bench.trials --kills 500 --commands 10000 --files 2000 --placings 100`: prints what was tried, and every fault
by its number.

`--from 137 --commands 1` runs trial 137 again. The exit code is 1 when there was a fault.
"""

from __future__ import annotations

import argparse
import sys
import time
from collections.abc import Callable, Iterator

from bench.trials import commands, files, kills, placings

Trial = Callable[[int, int], Iterator[str]]
"""From the first number and the count to a fault for each that there was; an empty text says that one was sound."""


def main() -> int:
    parser = argparse.ArgumentParser(description=__doc__)
    kinds: dict[str, Trial] = {
        "kills": kills.trials, "commands": commands.trials, "files": files.trials, "placings": placings.trials,
    }  # fmt: skip
    for kind in kinds:
        parser.add_argument(f"--{kind}", type=int, default=0, metavar="COUNT")
    parser.add_argument("--from", type=int, default=0, dest="first", metavar="NUMBER", help="the first number tried")
    given = parser.parse_args()
    faults = 0
    for kind, trial in kinds.items():
        count = getattr(given, kind)
        if not count:
            continue
        begun, sound, wrong = time.monotonic(), 0, 0
        for fault in trial(given.first, count):
            sound += not fault
            if fault:
                wrong += 1
                print(f"{kind}: {fault}", flush=True)
        faults += wrong
        print(f"{kind}: {sound} sound, {wrong} faults, {time.monotonic() - begun:.0f} s")
        for line in summaries.get(kind, lambda: [])():
            print(f"  {line}")
    return 1 if faults else 0


summaries: dict[str, Callable[[], list[str]]] = {
    "commands": commands.summary, "files": files.summary, "kills": kills.summary, "placings": placings.summary,
}  # fmt: skip

if __name__ == "__main__":
    sys.exit(main())
