"""Strokes that are under way: each preview goes on from the one before it, instead of doing all of the stroke again."""

from __future__ import annotations

import threading
from collections.abc import Callable

import numpy as np

from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.symmetry import Group
from zinc_otter.core.relief.ground import StrokeGround
from zinc_otter.core.relief.relief import check_level
from zinc_otter.core.relief.stroke import Manner, checked_way
from zinc_otter.core.relief.stroking import Stroking
from zinc_otter.core.surface.stencils import Stencils, build_stencils

_MOST = 2
"""Grounds that are kept: each is as large as the surface that it stands for."""


class Strokes:
    """Does strokes, and keeps what the last ones stood on. Safe to call from several threads."""

    def __init__(self, stencils: Callable[[Cage, int], Stencils] = build_stencils) -> None:
        self._stencils = stencils
        self._lock = threading.Lock()
        self._grounds: dict[tuple[str, int], StrokeGround] = {}
        self._last: tuple[str, Group | None, Stroking] | None = None

    def done(self, cage: Cage, manner: Manner, samples: np.ndarray, group: Group | None) -> Cage:
        """The cage with a stroke on it; the same as :func:`stroked`, to the last bit. Raises as that does."""
        way = checked_way(samples)
        check_level(cage.topology, manner.level)
        with self._lock:
            last = self._last
            if last and last[2].cage is cage and last[:2] == (manner.key, group) and last[2].goes_on_as(way):
                stroking = last[2]
            else:
                self._last = None
                stroking = Stroking(self._ground(cage, manner.level), manner, group)
                self._last = manner.key, group, stroking
            try:
                stroking.extend(way)
            except BaseException:
                self._last = None
                raise
            return stroking.result()

    def _ground(self, cage: Cage, level: int) -> StrokeGround:
        key = (cage.structure_digest, level)
        ground = self._grounds.pop(key, None)
        if ground is None:
            ground = StrokeGround(cage, level, self._stencils(cage, level))
        else:
            ground.follow(cage)
        self._grounds[key] = ground
        while len(self._grounds) > _MOST:
            self._grounds.pop(next(iter(self._grounds)))
        return ground


STROKES = Strokes()
"""Those of this process: what is kept decides how quick a stroke is, never what it comes to."""
