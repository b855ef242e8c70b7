"""Points that become more while faces are made of them: read by number at once, without copying all of them."""

from __future__ import annotations

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.cage.topology import Floats


class GrowingPoints:
    """(n, 3) mm, n growing. Room is doubled, so that n points take time in proportion to n."""

    def __init__(self, points: Floats) -> None:
        self._count = len(points)
        self._room = np.empty((max(2 * self._count, 64), 3))
        self._room[: self._count] = points

    def __len__(self) -> int:
        return self._count

    def __getitem__(self, numbers: ArrayLike) -> Floats:
        return np.asarray(self._room[: self._count][numbers])  # type: ignore[index]

    @property
    def all(self) -> Floats:
        return self._room[: self._count].copy()

    def put(self, points: Floats) -> list[int]:
        """Add points (k, 3); their numbers."""
        first, self._count = self._count, self._count + len(points)
        if self._count > len(self._room):
            room = np.empty((2 * self._count, 3))
            room[:first] = self._room[:first]
            self._room = room
        self._room[first : self._count] = np.asarray(points).reshape(-1, 3)
        return list(range(first, self._count))
