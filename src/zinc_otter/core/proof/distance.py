"""Signed distance from points to a triangle mesh, exact, many points at once."""

from __future__ import annotations

import igl
import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats, Ints


class MeshDistance:
    """Answers for one mesh of vertices (n, 3) mm and triangles (m, 3) that look outwards.

    ``closed``: every edge runs once each way between two triangles, so that inside and outside are defined. The search for
    the nearest triangle is libigl's tree of boxes. ``felt`` is a mesh of fewer triangles that stands for a large one where
    an answer must be quick; for others it is the mesh itself.
    """

    def __init__(self, vertices: Floats, triangles: Ints, felt: tuple[Floats, Ints] | None = None) -> None:
        self.felt = self if felt is None else MeshDistance(*felt)
        self.vertices = np.ascontiguousarray(vertices, dtype=np.float64)
        self.triangles = np.ascontiguousarray(triangles, dtype=np.int64)
        self.closed = is_closed(self.triangles)
        self._corners = self.vertices[self.triangles]
        a, b, c = self._corners.transpose(1, 0, 2)
        self._pseudo = _pseudonormals(vertices, triangles, self._corners, unit(np.cross(b - a, c - a)))
        self._tree = igl.AABB()
        self._tree.init(self.vertices, self.triangles)

    def signed(self, points: Floats) -> tuple[Floats, Floats]:
        """Distances (k,) in mm, below 0 inside, and the nearest points (k, 3) of the mesh.

        An open mesh has no inside: its distances are all from 0 up. The sign is that of the angle-weighted pseudonormal of
        the nearest face, edge or vertex (J. Baerentzen, H. Aanaes, "Signed Distance Computation Using the Angle Weighted
        Pseudonormal", 2005).
        """
        points = np.ascontiguousarray(points, dtype=np.float64).reshape(-1, 3)
        _, which, _ = self._tree.squared_distance(self.vertices, self.triangles, points)
        which = np.asarray(which).reshape(-1)
        at, feature = nearest_on_triangles(points, self._corners[which])
        away = points - at
        if not self.closed:
            return np.linalg.norm(away, axis=1), at
        sign = np.where((away * self._pseudo[which, feature]).sum(axis=1) < 0, -1.0, 1.0)
        return sign * np.linalg.norm(away, axis=1), at

    def first_hit(self, points: Floats, ways: Floats) -> Floats:
        """How far (k,) from points along unit ``ways`` (k, 3) the first triangle is met; infinite where none is."""
        begin, way = (np.ascontiguousarray(x, dtype=np.float64) for x in (points, ways))
        hit, far, _ = self._tree.intersect_ray_first(self.vertices, self.triangles, begin, way)
        return np.where(np.asarray(hit).reshape(-1) >= 0, np.asarray(far).reshape(-1), np.inf)

    def nearest_first(self, points: Floats) -> tuple[Floats, Floats]:
        """As :meth:`signed`, where only the nearest of all points counts; the others are told roughly.

        On a large mesh its lesser one tells which points come into question; these are measured against the mesh itself.
        """
        if self.felt is self:
            return self.signed(points)
        rough, at = self.felt.signed(points)
        near = np.argsort(rough)[:_IN_QUESTION]
        exact, exact_at = self.signed(points[near])
        # The others were further even roughly.
        rough = np.maximum(rough, float(exact.min()))
        rough[near], at[near] = exact, exact_at
        return rough, at


_IN_QUESTION = 400
"""Points, nearest by the lesser mesh, that are measured against a large one itself."""


def is_closed(triangles: Ints) -> bool:
    """Whether each edge of triangles (m, 3) is run along once each way."""
    ends = np.concatenate([triangles[:, [0, 1]], triangles[:, [1, 2]], triangles[:, [2, 0]]]).astype(np.int64)
    count = int(ends.max(initial=0)) + 1
    one, other = np.sort(ends @ [count, 1]), np.sort(ends @ [1, count])
    return bool(np.array_equal(one, other) and (np.diff(one) > 0).all())


def nearest_on_triangles(points: Floats, triangles: Floats) -> tuple[Floats, Ints]:
    """Nearest points (k, 3) on a triangle each, and where they lie: 0 inside, 1 to 3 edges ab, bc, ca, 4 to 6 corners.

    After C. Ericson, "Real-Time Collision Detection", 2005, section 5.1.5, all cases side by side.
    """
    a, b, c = triangles.transpose(1, 0, 2)
    ab, ac, ap = b - a, c - a, points - a
    bp, cp = points - b, points - c

    def dot(u: Floats, v: Floats) -> Floats:
        return np.asarray((u * v).sum(axis=1))

    d1, d2, d3, d4, d5, d6 = dot(ab, ap), dot(ac, ap), dot(ab, bp), dot(ac, bp), dot(ab, cp), dot(ac, cp)
    va, vb, vc = d3 * d6 - d5 * d4, d5 * d2 - d1 * d6, d1 * d4 - d3 * d2
    with np.errstate(divide="ignore", invalid="ignore"):
        total = va + vb + vc
        v, w = vb / total, vc / total
        along_ab, along_ac = d1 / (d1 - d3), d2 / (d2 - d6)
        along_bc = (d4 - d3) / ((d4 - d3) + (d5 - d6))
    cases = [
        (4, (d1 <= 0) & (d2 <= 0), np.zeros_like(v), np.zeros_like(v)),
        (5, (d3 >= 0) & (d4 <= d3), np.ones_like(v), np.zeros_like(v)),
        (6, (d6 >= 0) & (d5 <= d6), np.zeros_like(v), np.ones_like(v)),
        (1, (vc <= 0) & (d1 >= 0) & (d3 <= 0), along_ab, np.zeros_like(v)),
        (3, (vb <= 0) & (d2 >= 0) & (d6 <= 0), np.zeros_like(v), along_ac),
        (2, (va <= 0) & (d4 >= d3) & (d5 >= d6), 1 - along_bc, along_bc),
    ]
    feature = np.zeros(len(points), dtype=np.int64)
    undecided = np.ones(len(points), dtype=bool)
    for number, holds, this_v, this_w in cases:
        here = undecided & holds
        v, w = np.where(here, this_v, v), np.where(here, this_w, w)
        feature[here] = number
        undecided &= ~here
    return a + v[:, None] * ab + w[:, None] * ac, feature


def _pseudonormals(vertices: Floats, triangles: Ints, corners: Floats, normals: Floats) -> Floats:
    """(m, 7, 3) outward directions of each triangle's inside, edges ab, bc, ca and corners, by the numbers above."""
    result = np.empty((len(triangles), 7, 3))
    result[:, 0] = normals
    pairs = np.sort(np.stack([triangles[:, [0, 1]], triangles[:, [1, 2]], triangles[:, [2, 0]]], axis=1), axis=2)
    keys = pairs[..., 0].astype(np.int64) * len(vertices) + pairs[..., 1]
    _, which = np.unique(keys.ravel(), return_inverse=True)
    which = which.reshape(-1)
    result[:, 1:4] = sums_at(which, np.repeat(normals, 3, axis=0), int(which.max()) + 1)[which].reshape(-1, 3, 3)
    at_corner = np.zeros((len(vertices), 3))
    for k in range(3):
        u = unit(corners[:, (k + 1) % 3] - corners[:, k])
        v = unit(corners[:, (k + 2) % 3] - corners[:, k])
        angle = np.arccos(np.clip((u * v).sum(axis=1), -1, 1))
        at_corner += sums_at(triangles[:, k], angle[:, None] * normals, len(vertices))
    result[:, 4:] = at_corner[triangles]
    return result


def sums_at(where: Ints, values: Floats, count: int) -> Floats:
    """(count, 3) the sums of ``values`` (n, 3) by where each belongs."""
    return np.stack([np.bincount(where, values[:, k], count) for k in range(3)], axis=1)
