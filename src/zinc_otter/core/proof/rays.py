"""Where rays enter a closed mesh, and where they leave it again."""

from __future__ import annotations

import igl
import numpy as np

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.proof.bore import bore_about

_STEP = 1e-6
"""Of the mesh's extent: how far behind a triangle the way to the next one begins."""


class Rays:
    """Answers for closed triangles (m, 3) of points (n, 3) mm that look outwards; the tree is libigl's."""

    def __init__(self, points: Floats, triangles: Ints) -> None:
        self._points = np.ascontiguousarray(points, dtype=np.float64)
        self._triangles = np.ascontiguousarray(triangles, dtype=np.int64)
        a, b, c = (self._points[self._triangles[:, k]] for k in range(3))
        self._normals = np.cross(b - a, c - a)
        self._step = _STEP * float(np.ptp(self._points, axis=0).max())
        self._tree = igl.AABB()
        self._tree.init(self._points, self._triangles)

    def through(self, points: Floats, ways: Floats) -> tuple[Floats, Floats]:
        """How far (k,) along unit ``ways`` (k, 3) from ``points`` (k, 3) the material begins, 0 for a point within it, and
        how far away it ends; both infinite where a ray meets none."""
        which, first = self._first(points, ways)
        leaves = (self._normals[np.maximum(which, 0)] * ways).sum(axis=1) > 0
        met = which >= 0
        begins = np.where(met, np.where(leaves, 0.0, first), np.inf)
        behind = np.where(np.isfinite(begins), begins, 0.0)[:, None] + self._step
        _, further = self._first(points + behind * ways, ways)
        ends = np.where(met, np.where(leaves, first, behind[:, 0] + further), np.inf)
        return begins, ends

    def out(self, points: Floats, ways: Floats) -> Floats:
        """How far (k,) points (k, 3) within the material are from where it ends along unit ``ways``; infinite where no
        triangle is met, or one from outside: then the point is not within."""
        which, first = self._first(points, ways)
        leaves = (self._normals[np.maximum(which, 0)] * ways).sum(axis=1) > 0
        return np.where(leaves, first, np.inf)

    def widest(self, point: Vec, along: Vec) -> float:
        """The diameter of the widest cylinder about an axis that touches none of the triangles."""
        return bore_about(self._points, self._triangles, point, along)

    def _first(self, points: Floats, ways: Floats) -> tuple[Ints, Floats]:
        begin, way = (np.ascontiguousarray(x, dtype=np.float64).reshape(-1, 3) for x in (points, ways))
        hit, far, _ = self._tree.intersect_ray_first(self._points, self._triangles, begin, way)
        which = np.asarray(hit).reshape(-1).astype(np.int64)
        return which, np.where(which >= 0, np.asarray(far).reshape(-1), np.inf)
