"""Run all tests, or those of the folders named, and close with the plain line `N passed, N failed`.

They run in two processes side by side: browsers mostly wait for drawing, and a machine of two cores draws twice as much.
"""

from __future__ import annotations

import json
import subprocess
import sys
import tempfile
import time
import unittest
from collections.abc import Iterator
from pathlib import Path

HERE = Path(__file__).parent
PARTS = 2


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
        if took > 20:
            self.stream.writeln(f"    ({took:.0f} s: {test.id()})")


def classes_in(suite: unittest.TestSuite) -> Iterator[unittest.TestSuite]:
    """The suites of single classes, whatever they are nested in."""
    for test in suite:
        if not isinstance(test, unittest.TestSuite):
            yield suite
            return
        yield from classes_in(test)


def found(folders: list[str]) -> list[unittest.TestSuite]:
    loader = unittest.TestLoader()
    return [
        one
        for folder in folders or ["e2e", "core", "studio", "store", "jobs", "api"]
        for one in classes_in(loader.discover(str(HERE / folder), top_level_dir=str(HERE.parent)))
    ]


def run_part(part: int, count: int, report: Path, folders: list[str]) -> int:
    """Run every ``count``-th class from ``part`` on, and write the numbers to a file."""
    suite = unittest.TestSuite(found(folders)[part::count])
    result = unittest.TextTestRunner(verbosity=1, resultclass=Result).run(suite)
    bad = {str(getattr(test, "test_case", test)) for test, _ in [*result.failures, *result.errors]}
    bad |= {str(test) for test in result.unexpectedSuccesses}
    numbers = {"run": result.testsRun, "bad": len(bad), "skipped": len(result.skipped), "good": result.wasSuccessful()}
    report.write_text(json.dumps(numbers))
    return 0 if result.wasSuccessful() else 1


def main(folders: list[str]) -> int:
    with tempfile.TemporaryDirectory() as holder:
        reports = [Path(holder) / f"{part}.json" for part in range(PARTS)]
        children = [
            subprocess.Popen([sys.executable, "-m", "tests", "--part", str(part), str(report), *folders])
            for part, report in enumerate(reports)
        ]
        for child in children:
            child.wait()
        # A part that died wrote nothing: that counts as a failure, not as nothing.
        lost = {"run": 1, "bad": 1, "skipped": 0, "good": False}
        parts = [json.loads(report.read_text()) if report.exists() else lost for report in reports]
    ran, bad, skipped = (sum(part[key] for part in parts) for key in ("run", "bad", "skipped"))
    sys.stdout.flush()
    sys.stderr.flush()
    print(f"{ran - bad - skipped} passed, {bad} failed" + (f", {skipped} skipped" if skipped else ""), flush=True)
    return 0 if ran and all(part["good"] for part in parts) else 1


if __name__ == "__main__":
    if sys.argv[1:2] == ["--part"]:
        sys.exit(run_part(int(sys.argv[2]), PARTS, Path(sys.argv[3]), sys.argv[4:]))
    sys.exit(main(sys.argv[1:]))
