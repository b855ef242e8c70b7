"""Run all tests, or those of the folders named, and close with the plain line `N passed, N failed`."""

from __future__ import annotations

import sys
import time
import unittest
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


def main(folders: list[str]) -> int:
    loader = unittest.TestLoader()
    suite = unittest.TestSuite()
    for folder in folders or ["core", "studio", "store", "jobs", "api", "e2e"]:
        suite.addTests(loader.discover(str(HERE / folder), top_level_dir=str(HERE.parent)))
    result = unittest.TextTestRunner(verbosity=1, resultclass=Result).run(suite)
    bad = {str(getattr(test, "test_case", test)) for test, _ in [*result.failures, *result.errors]}
    bad |= {str(test) for test in result.unexpectedSuccesses}
    skipped = len(result.skipped)
    passed = result.testsRun - len(bad) - skipped
    sys.stdout.flush()
    sys.stderr.flush()
    print(f"{passed} passed, {len(bad)} failed" + (f", {skipped} skipped" if skipped else ""), flush=True)
    return 0 if result.wasSuccessful() and result.testsRun else 1


if __name__ == "__main__":
    sys.exit(main(sys.argv[1:]))
