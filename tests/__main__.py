"""Run all tests, or those of the folders named, and close with the plain line `N passed, N failed`.

All of them run in two processes side by side: those with a browser wait for it most of the time.
"""

from __future__ import annotations

import re
import subprocess
import sys
import time
import unittest
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path

HERE = Path(__file__).parent


class Result(unittest.TextTestResult):
    """Counts each test once, whatever its subtests did."""

    def __init__(self, *arguments: object, **named: object) -> None:
        super().__init__(*arguments, **named)  # type: ignore[arg-type]
        self.started_at = 0.0

    def startTest(self, test: unittest.TestCase) -> None:  # noqa: N802
        super().startTest(test)
        self.started_at = time.monotonic()

    def stopTest(self, test: unittest.TestCase) -> None:  # noqa: N802
        super().stopTest(test)
        took = time.monotonic() - self.started_at
        if took > 10:
            self.stream.writeln(f"    ({took:.0f} s: {test})")


def run(folders: list[str]) -> int:
    """Run the tests of these folders here."""
    loader = unittest.TestLoader()
    suite = unittest.TestSuite()
    for folder in folders:
        suite.addTests(loader.discover(str(HERE / folder), top_level_dir=str(HERE.parent)))
    result = unittest.TextTestRunner(verbosity=1, resultclass=Result).run(suite)
    bad = {str(getattr(test, "test_case", test)) for test, _ in [*result.failures, *result.errors]}
    bad |= {str(test) for test in result.unexpectedSuccesses}
    skipped = len(result.skipped)
    sys.stderr.flush()
    tell(result.testsRun - len(bad) - skipped, len(bad), skipped)
    return 0 if result.wasSuccessful() and result.testsRun else 1


def tell(passed: int, failed: int, skipped: int) -> None:
    print(f"{passed} passed, {failed} failed" + (f", {skipped} skipped" if skipped else ""), flush=True)


def run_beside(groups: list[list[str]]) -> int:
    """Run each group in a process of its own, show what each wrote as soon as it ends, and add up their counts."""
    with ThreadPoolExecutor(len(groups)) as pool:
        counts = list(pool.map(_run_apart, groups))
    passed, failed, skipped = (sum(column) for column in zip(*counts, strict=True))
    tell(passed, failed, skipped)
    return 1 if failed or not passed else 0


def _run_apart(group: list[str]) -> tuple[int, int, int]:
    command = [sys.executable, "-m", "tests", *group]
    done = subprocess.run(command, stdout=subprocess.PIPE, stderr=subprocess.STDOUT, text=True, errors="replace")
    print(f"== {' '.join(group)}\n{done.stdout}", flush=True)
    counted = re.findall(r"^(\d+) passed, (\d+) failed(?:, (\d+) skipped)?$", done.stdout, re.MULTILINE)
    passed, failed, skipped = (int(n or 0) for n in counted[-1]) if counted else (0, 0, 0)
    # A process that died before it could count, or that ended badly, has failed.
    return passed, failed or int(done.returncode != 0), skipped


def main(folders: list[str]) -> int:
    return run(folders) if folders else run_beside([["core", "studio", "store", "jobs", "api"], ["e2e"]])


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
