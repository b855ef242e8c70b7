"""What of a triangle mesh follows from its triangles alone, and the angle-weighted pseudonormals of its features."""

from __future__ import annotations

from functools import cached_property

import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Bools, Floats, Ints


class Wiring:
    """How triangles (m, 3) hang together, wherever their vertices lie: one serves all frames of a drag."""

    def __init__(self, triangles: Ints) -> None:
        self.triangles = np.ascontiguousarray(triangles, dtype=np.int64)

    @cached_property
    def closed(self) -> bool:
        """Whether every edge runs once each way between two triangles."""
        return is_closed(self.triangles)

    @cached_property
    def edges(self) -> Ints:
        """(m, 3) the edge ab, bc, ca of each triangle, by a number."""
        t = self.triangles
        pairs = np.sort(np.stack([t[:, [0, 1]], t[:, [1, 2]], t[:, [2, 0]]], axis=1), axis=2)
        keys = pairs[..., 0] * (int(t.max(initial=0)) + 1) + pairs[..., 1]
        _, which = np.unique(keys.ravel(), return_inverse=True)
        return np.asarray(which.reshape(-1, 3), dtype=np.int32)

    @cached_property
    def open_edges(self) -> Bools:
        """Of each edge whether it has one triangle only."""
        return np.asarray(np.bincount(self.edges.ravel()) == 1)

    @cached_property
    def open_vertices(self) -> Bools:
        """Of each vertex that a triangle names whether an open edge ends at it."""
        found = np.zeros(int(self.triangles.max(initial=0)) + 1, dtype=bool)
        triangle, side = np.nonzero(self.open_edges[self.edges])
        found[self.triangles[triangle, side]] = True
        found[self.triangles[triangle, (side + 1) % 3]] = True
        return found


def is_closed(triangles: Ints) -> bool:
    """Whether each edge of triangles (m, 3) is run along once each way."""
    ends = np.concatenate([triangles[:, [0, 1]], triangles[:, [1, 2]], triangles[:, [2, 0]]]).astype(np.int64)
    count = int(ends.max(initial=0)) + 1
    one, other = np.sort(ends @ [count, 1]), np.sort(ends @ [1, count])
    return bool(np.array_equal(one, other) and (np.diff(one) > 0).all())


class Pseudonormals:
    """Outward directions of each triangle's inside, edges and corners, by the numbers of nearest_on_triangles.

    Those of edges and vertices are kept once each: a scan has millions.
    """

    def __init__(self, vertices: Floats, wiring: Wiring) -> None:
        self._vertices, self._wiring, self._triangles = vertices, wiring, wiring.triangles

    def at(self, which: Ints, feature: Ints) -> Floats:
        """(k, 3) not of unit length, at one feature each of triangles ``which`` (k,)."""
        corners = self._vertices[self._triangles[which]]
        found: Floats = unit(np.cross(corners[:, 1] - corners[:, 0], corners[:, 2] - corners[:, 0]))
        edge = np.flatnonzero((feature >= 1) & (feature <= 3))
        found[edge] = self._of_edges[self._wiring.edges[which[edge], feature[edge] - 1]]
        corner = np.flatnonzero(feature >= 4)
        found[corner] = self.of_vertices[self._triangles[which[corner], feature[corner] - 4]]
        return found

    def is_open(self, which: Ints, feature: Ints) -> Bools:
        """(k,) whether a feature lies on an open edge."""
        found = np.zeros(len(which), dtype=bool)
        edge = np.flatnonzero((feature >= 1) & (feature <= 3))
        found[edge] = self._wiring.open_edges[self._wiring.edges[which[edge], feature[edge] - 1]]
        corner = np.flatnonzero(feature >= 4)
        found[corner] = self._wiring.open_vertices[self._triangles[which[corner], feature[corner] - 4]]
        return found

    @cached_property
    def _normals(self) -> Floats:
        a, b, c = (self._vertices[self._triangles[:, k]] for k in range(3))
        return np.asarray(unit(np.cross(b - a, c - a)))

    @cached_property
    def _of_edges(self) -> Floats:
        which = self._wiring.edges.ravel()
        return sums_at(which, np.repeat(self._normals, 3, axis=0), int(which.max()) + 1)

    @cached_property
    def of_vertices(self) -> Floats:
        """(n, 3) not of unit length: the triangles' normals, each by its angle there."""
        found = np.zeros((len(self._vertices), 3))
        corners = [self._vertices[self._triangles[:, k]] for k in range(3)]
        for k in range(3):
            u = unit(corners[(k + 1) % 3] - corners[k])
            v = unit(corners[(k + 2) % 3] - corners[k])
            angle = np.arccos(np.clip((u * v).sum(axis=1), -1, 1))
            found += sums_at(self._triangles[:, k], angle[:, None] * self._normals, len(self._vertices))
        return found


def sums_at(where: Ints, values: Floats, count: int) -> Floats:
    """(count, 3) the sums of ``values`` (n, 3) by where each belongs."""
    return np.stack([np.bincount(where, values[:, k], count) for k in range(3)], axis=1)
