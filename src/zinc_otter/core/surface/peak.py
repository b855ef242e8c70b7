"""Where a limit surface reaches furthest: the exact place of a greatest value, by refining only around it."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.surface.level import Level
from zinc_otter.core.surface.limit import limit_matrices
from zinc_otter.core.surface.refinement import refine

_START_FACES = 6_000
_ZOOMS = 5


class PeakFinder:
    """Looks for greatest values on limit surfaces of one structure.

    ``columns`` (n, 3 k) are k sets of control points side by side; the surface looked at is any sum of them, so that
    forms that depend linearly on a few sizes need to be refined once only.
    """

    def __init__(self, cage: Cage, columns: Floats) -> None:
        level, points = Level.of_cage(cage), columns
        level, points = _finer(level, points)
        while level.topology.face_count * 4 <= _START_FACES:
            level, points = _finer(level, points)
        self._level, self._points = level, points
        self._limit = _limit(level, points)

    def at_vertex(self, vertex: int) -> Floats:
        """(k, 3) the surface point that belongs to a vertex of the cage, once for each set of control points."""
        return np.asarray(self._limit[vertex].reshape(-1, 3))

    def peak(self, value: Callable[[Floats], Floats], weights: Floats) -> Floats:
        """(k, 3) the surface point of greatest value, once for each set of control points.

        ``weights`` (k,) add the sets up to the surface looked at, ``value`` gives a number for each of its points (m, 3).
        Exact to 2^-10 of a dense face, so to about 1e-8 of the value.
        """

        def summed(limit: Floats) -> Floats:
            return np.einsum("nks,k->ns", limit.reshape(len(limit), -1, 3), weights)

        level, points, limit = self._level, self._points, self._limit
        at = int(np.argmax(value(summed(limit))))
        for _ in range(_ZOOMS):
            t = level.topology
            inner = _touching(level, np.array([at]))
            keep = _touching(level, np.unique(t.face_verts.reshape(-1, 4)[inner]))
            level, verts, _ = level.only_faces(keep)
            points = points[verts]
            inside = inner[keep]
            for _ in range(2):
                level, points = _finer(level, points)
                inside = np.repeat(inside, 4)
            limit = _limit(level, points)
            candidates = np.unique(level.topology.face_verts.reshape(-1, 4)[inside])
            at = int(candidates[np.argmax(value(summed(limit[candidates])))])
        return np.asarray(limit[at].reshape(-1, 3))


def _touching(level: Level, vertices: np.ndarray) -> np.ndarray:
    """(f,) which quads have one of these vertices."""
    mask = np.zeros(level.topology.vertex_count, dtype=bool)
    mask[vertices] = True
    return np.asarray(mask[level.topology.face_verts.reshape(-1, 4)].any(axis=1))


def _finer(level: Level, points: Floats) -> tuple[Level, Floats]:
    child, step = refine(level)
    return child, step @ points


def _limit(level: Level, points: Floats) -> Floats:
    return np.asarray((limit_matrices(level).position @ points)[: level.topology.vertex_count])
