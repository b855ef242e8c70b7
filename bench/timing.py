"""The one clock of the bench."""

from __future__ import annotations

import time
from collections.abc import Callable

REPEATS = 7


def best(act: Callable[[], object], repeats: int = REPEATS) -> float:
    """Least time in seconds of several calls."""
    times = []
    for _ in range(repeats):
        start = time.perf_counter()
        act()
        times.append(time.perf_counter() - start)
    return min(times)
