"""Run all tests, or those of the folders named, and close with the plain line `N passed, N failed`.

All of them run in parts, two side by side, each in a process of its own; so do those named behind the word `beside`. Names
joined by a plus share a process: what it takes to start a server and a browser is spent once for them.
"""

from __future__ import annotations

import os
import re
import subprocess
import sys
import tempfile
import time
import unittest
from collections import Counter
from concurrent.futures import ThreadPoolExecutor
from functools import partial
from pathlib import Path

HERE = Path(__file__).parent
SHARED = "ZINC_OTTER_TESTS_SHARE"
"""Names the folder for what the parts of one run make once for all of them."""
_HEAPS = 9


class Result(unittest.TextTestResult):
    """Counts each test once, whatever its subtests did, and how long each file takes."""

    def __init__(self, *arguments: object, **named: object) -> None:
        super().__init__(*arguments, **named)  # type: ignore[arg-type]
        self.started_at = 0.0
        self.seconds: Counter[str] = Counter()

    def startTest(self, test: unittest.TestCase) -> None:  # noqa: N802
        super().startTest(test)
        self.started_at = time.monotonic()

    def stopTest(self, test: unittest.TestCase) -> None:  # noqa: N802
        super().stopTest(test)
        took = time.monotonic() - self.started_at
        self.seconds[type(test).__module__] += int(1000 * took)
        if took > 10:
            self.stream.writeln(f"    ({took:.0f} s: {test})")


def run(parts: list[str]) -> int:
    """Run the tests of these folders or files here."""
    loader = unittest.TestLoader()
    suite = unittest.TestSuite()
    for part in parts:
        path = HERE / part
        folder, pattern = (path.parent, path.name) if path.suffix else (path, "test*.py")
        suite.addTests(loader.discover(str(folder), pattern, str(HERE.parent)))
    result = unittest.TextTestRunner(verbosity=1, resultclass=Result).run(suite)
    assert isinstance(result, Result)
    for module, milliseconds in result.seconds.most_common():
        if milliseconds > 15_000:
            print(f"{milliseconds / 1000:.0f} s in {module.removeprefix('tests.')}")
    bad = {str(getattr(test, "test_case", test)) for test, _ in [*result.failures, *result.errors]}
    bad |= {str(test) for test in result.unexpectedSuccesses}
    skipped = len(result.skipped)
    sys.stderr.flush()
    tell(result.testsRun - len(bad) - skipped, len(bad), skipped)
    return 0 if result.wasSuccessful() and result.testsRun else 1


def tell(passed: int, failed: int, skipped: int) -> None:
    print(f"{passed} passed, {failed} failed" + (f", {skipped} skipped" if skipped else ""), flush=True)


def run_beside(parts: list[str]) -> int:
    """Run each part in a process of its own, two at a time, show what it wrote as soon as it ends, and add up the counts."""
    with tempfile.TemporaryDirectory(ignore_cleanup_errors=True) as shared, ThreadPoolExecutor(2) as pool:
        # As the application has it, whatever a test loads first.
        environment = {"OPENBLAS_NUM_THREADS": "1", **os.environ, SHARED: shared}
        counts = list(pool.map(partial(_run_apart, environment), parts))
    passed, failed, skipped = (sum(column) for column in zip(*counts, strict=True))
    tell(passed, failed, skipped)
    return 1 if failed or not passed else 0


def _run_apart(environment: dict[str, str], part: str) -> tuple[int, int, int]:
    command = [sys.executable, "-m", "tests", *part.split("+")]
    began = time.monotonic()
    done = subprocess.run(
        command, stdout=subprocess.PIPE, stderr=subprocess.STDOUT, text=True, errors="replace", env=environment
    )
    print(f"== {part}, {time.monotonic() - began:.0f} s\n{done.stdout}", flush=True)
    counted = re.findall(r"^(\d+) passed, (\d+) failed(?:, (\d+) skipped)?$", done.stdout, re.MULTILINE)
    passed, failed, skipped = (int(n or 0) for n in counted[-1]) if counted else (0, 0, 0)
    # A process that died before it could count, or that ended badly, has failed.
    return passed, failed or int(done.returncode != 0), skipped


def all_parts() -> list[str]:
    """The files with a browser in a few heaps of about the same size, and the other folders between them, longest first."""
    files = sorted((HERE / "e2e").glob("test_*.py"), key=lambda path: -path.stat().st_size)
    heaps: list[list[Path]] = [[] for _ in range(_HEAPS)]
    for path in files:
        min(heaps, key=lambda heap: sum(one.stat().st_size for one in heap)).append(path)
    joined = ["+".join(f"e2e/{path.name}" for path in heap) for heap in heaps]
    return [joined[0], "core", *joined[1:], "api", "studio", "store", "jobs", "web"]


def main(parts: list[str]) -> int:
    return run(parts) if parts and parts[0] != "beside" else run_beside(parts[1:] or all_parts())


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
