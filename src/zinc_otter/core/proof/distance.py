"""Signed distance from points to a triangle mesh, exact, many points at once."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property

import igl
import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Bools, Floats, Ints


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
        self._tree = igl.AABB()
        self._tree.init(self.vertices, self.triangles)

    def signed(self, points: Floats) -> tuple[Floats, Floats]:
        """Distances (k,) in mm, below 0 inside, and the nearest points (k, 3) of the mesh.

        An open mesh has no inside: its distances are all from 0 up. The sign is that of the angle-weighted pseudonormal of
        the nearest face, edge or vertex (J. Baerentzen, H. Aanaes, "Signed Distance Computation Using the Angle Weighted
        Pseudonormal", 2005).
        """
        points = np.ascontiguousarray(points, dtype=np.float64).reshape(-1, 3)
        at, which, feature = self._nearest(points)
        away = points - at
        if not self.closed:
            return np.linalg.norm(away, axis=1), at
        sign = np.where((away * self._facing.at(which, feature)).sum(axis=1) < 0, -1.0, 1.0)
        return sign * np.linalg.norm(away, axis=1), at

    def sided(self, points: Floats) -> Sided:
        """As :meth:`signed`, with a side also where the mesh is open: on which side of the nearest place a point lies.

        Beyond an open edge there is no telling: points that have their foot on one and do not lie straight above it are not
        ``there``.
        """
        points = np.ascontiguousarray(points, dtype=np.float64).reshape(-1, 3)
        at, which, feature = self._nearest(points)
        away = points - at
        facing = unit(self._facing.at(which, feature))
        height = (away * facing).sum(axis=1)
        far = np.linalg.norm(away, axis=1)
        there = np.ones(len(points), dtype=bool)
        if not self.closed:
            there = ~self._facing.is_open(which, feature) | (np.abs(height) >= _ABOVE * far)
        return Sided(np.where(height < 0, -far, far), at, facing, there)

    def nearest_feet(self, points: Floats) -> tuple[Floats, Ints]:
        """The nearest points (k, 3) of the mesh, and the triangles (k,) that they lie on."""
        at, which, _ = self._nearest(np.ascontiguousarray(points, dtype=np.float64).reshape(-1, 3))
        return at, which

    def _nearest(self, points: Floats) -> tuple[Floats, Ints, Ints]:
        """The nearest points, the triangles that they lie on, and where on these (see nearest_on_triangles)."""
        _, which, _ = self._tree.squared_distance(self.vertices, self.triangles, points)
        which = np.asarray(which).reshape(-1)
        at, feature = nearest_on_triangles(points, self.vertices[self.triangles[which]])
        return at, which, feature

    @cached_property
    def _facing(self) -> Pseudonormals:
        return Pseudonormals(self.vertices, self.triangles)

    @cached_property
    def areas(self) -> Floats:
        """(m,) mm² of each triangle."""
        a, b, c = (self.vertices[self.triangles[:, k]] for k in range(3))
        return np.asarray(np.linalg.norm(np.cross(b - a, c - a), axis=1) / 2)

    @cached_property
    def vertex_normals(self) -> Floats:
        """(n, 3) outward unit normals of the vertices, weighted by angles; nothing for a vertex of no triangle."""
        return np.asarray(unit(self._facing.of_vertices))

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


@dataclass(frozen=True, eq=False)
class Sided:
    """Distances (k,) in mm, below 0 behind the mesh, its nearest points and unit normals there (k, 3); and of which points
    the mesh has something to say (k,)."""

    distance: Floats
    feet: Floats
    normals: Floats
    there: Bools


_ABOVE = 0.98
"""Cosine of the angle to the normal within which a point lies straight above an open edge."""
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


class Pseudonormals:
    """Outward directions of each triangle's inside, edges and corners, by the numbers of nearest_on_triangles.

    Those of edges and vertices are kept once each: a scan has millions.
    """

    def __init__(self, vertices: Floats, triangles: Ints) -> None:
        self._vertices, self._triangles = vertices, triangles

    def at(self, which: Ints, feature: Ints) -> Floats:
        """(k, 3) not of unit length, at one feature each of triangles ``which`` (k,)."""
        corners = self._vertices[self._triangles[which]]
        found: Floats = unit(np.cross(corners[:, 1] - corners[:, 0], corners[:, 2] - corners[:, 0]))
        edge = np.flatnonzero((feature >= 1) & (feature <= 3))
        found[edge] = self._of_edges[self._edges[which[edge], feature[edge] - 1]]
        corner = np.flatnonzero(feature >= 4)
        found[corner] = self.of_vertices[self._triangles[which[corner], feature[corner] - 4]]
        return found

    def is_open(self, which: Ints, feature: Ints) -> Bools:
        """(k,) whether a feature lies on an open edge."""
        found = np.zeros(len(which), dtype=bool)
        edge = np.flatnonzero((feature >= 1) & (feature <= 3))
        found[edge] = self._open_edges[self._edges[which[edge], feature[edge] - 1]]
        corner = np.flatnonzero(feature >= 4)
        found[corner] = self._open_vertices[self._triangles[which[corner], feature[corner] - 4]]
        return found

    @cached_property
    def _normals(self) -> Floats:
        a, b, c = (self._vertices[self._triangles[:, k]] for k in range(3))
        return np.asarray(unit(np.cross(b - a, c - a)))

    @cached_property
    def _edges(self) -> Ints:
        """(m, 3) the edge ab, bc, ca of each triangle, by a number."""
        t = self._triangles
        pairs = np.sort(np.stack([t[:, [0, 1]], t[:, [1, 2]], t[:, [2, 0]]], axis=1), axis=2)
        keys = pairs[..., 0].astype(np.int64) * len(self._vertices) + pairs[..., 1]
        _, which = np.unique(keys.ravel(), return_inverse=True)
        return np.asarray(which.reshape(-1, 3), dtype=np.int32)

    @cached_property
    def _of_edges(self) -> Floats:
        which = self._edges.ravel()
        return sums_at(which, np.repeat(self._normals, 3, axis=0), int(which.max()) + 1)

    @cached_property
    def _open_edges(self) -> Bools:
        return np.asarray(np.bincount(self._edges.ravel()) == 1)

    @cached_property
    def _open_vertices(self) -> Bools:
        found = np.zeros(len(self._vertices), dtype=bool)
        triangle, side = np.nonzero(self._open_edges[self._edges])
        found[self._triangles[triangle, side]] = True
        found[self._triangles[triangle, (side + 1) % 3]] = True
        return found

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
