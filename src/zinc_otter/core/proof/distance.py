"""Signed distance from points to a triangle mesh, exact, many points at once."""

from __future__ import annotations

import numpy as np
from scipy.spatial import cKDTree

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats, Ints

_FINEST_PARTS = 60_000


class MeshDistance:
    """Answers for one mesh of vertices (n, 3) mm and triangles (m, 3) that look outwards.

    Large triangles are split for the search tree only: the nearest centre of a part gives an upper bound, all parts
    within that bound and a part's own radius are candidates, and the distance to their triangles is exact.
    """

    def __init__(self, vertices: Floats, triangles: Ints) -> None:
        self._corners = vertices[triangles]
        self._normals = unit(np.cross(self._corners[:, 1] - self._corners[:, 0], self._corners[:, 2] - self._corners[:, 0]))
        self._pseudo = _pseudonormals(vertices, triangles, self._corners, self._normals)
        parts = self._corners
        owner = np.arange(len(parts))
        while True:
            size = _radius(parts)
            large = size > max(np.median(size) * 1.5, size.max() / 32)
            if not large.any() or len(parts) + 3 * np.count_nonzero(large) > max(_FINEST_PARTS, len(self._corners)):
                break
            parts, owner = _quartered(parts, owner, large)
        self._owner = owner
        self._reach = float(_radius(parts).max())
        self._tree = cKDTree(parts.mean(axis=1))

    def signed(self, points: Floats) -> tuple[Floats, Floats]:
        """Distances (k,) in mm, below 0 inside, and the nearest points (k, 3) of the mesh.

        The sign is that of the angle-weighted pseudonormal of the nearest face, edge or vertex (J. Baerentzen,
        H. Aanaes, "Signed Distance Computation Using the Angle Weighted Pseudonormal", 2005).
        """
        points = np.asarray(points, dtype=np.float64)
        bound, _ = self._tree.query(points)
        near = self._tree.query_ball_point(points, bound + self._reach * (1 + 1e-9), return_sorted=False)
        counts = np.array([len(found) for found in near])
        who = np.repeat(np.arange(len(points)), counts)
        which = self._owner[np.concatenate([np.asarray(found, dtype=np.int64) for found in near])]
        nearest, feature = _nearest_on(points[who], self._corners[which])
        squared = ((nearest - points[who]) ** 2).sum(axis=1)
        order = np.lexsort((squared, who))
        first = order[np.concatenate([[0], np.cumsum(counts)[:-1]])]
        at, triangle, part = nearest[first], which[first], feature[first]
        away = points - at
        distance = np.linalg.norm(away, axis=1)
        sign = np.where((away * self._pseudo[triangle, part]).sum(axis=1) < 0, -1.0, 1.0)
        return sign * distance, at


def _radius(triangles: Floats) -> Floats:
    """The largest distance from a triangle's centre to its corners (m,)."""
    return np.asarray(np.linalg.norm(triangles - triangles.mean(axis=1, keepdims=True), axis=2).max(axis=1))


def _quartered(parts: Floats, owner: Ints, which: np.ndarray) -> tuple[Floats, Ints]:
    a, b, c = parts[which].transpose(1, 0, 2)
    ab, bc, ca = (a + b) / 2, (b + c) / 2, (c + a) / 2
    children = [np.stack(t, axis=1) for t in ((a, ab, ca), (ab, b, bc), (ca, bc, c), (ab, bc, ca))]
    return np.concatenate([parts[~which], *children]), np.concatenate([owner[~which], *[owner[which]] * 4])


def _nearest_on(points: Floats, triangles: Floats) -> tuple[Floats, Ints]:
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
    total = np.zeros((which.max() + 1, 3))
    np.add.at(total, which, np.repeat(normals, 3, axis=0))
    result[:, 1:4] = total[which].reshape(-1, 3, 3)
    at_corner = np.zeros((len(vertices), 3))
    for k in range(3):
        u = unit(corners[:, (k + 1) % 3] - corners[:, k])
        v = unit(corners[:, (k + 2) % 3] - corners[:, k])
        angle = np.arccos(np.clip((u * v).sum(axis=1), -1, 1))
        np.add.at(at_corner, triangles[:, k], angle[:, None] * normals)
    result[:, 4:] = at_corner[triangles]
    return result
