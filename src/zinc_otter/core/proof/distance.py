"""Signed distance from points to a triangle mesh, exact, many points at once."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property

import igl
import numpy as np
from scipy.spatial.distance import cdist

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.proof.pseudonormals import Pseudonormals, Wiring


class MeshDistance:
    """Answers for one mesh of vertices (n, 3) mm and triangles (m, 3) that look outwards.

    ``closed``: every edge runs once each way between two triangles, so that inside and outside are defined. The search for
    the nearest triangle is libigl's tree of boxes. ``felt`` is a mesh of fewer triangles that stands for a large one where
    an answer must be quick; for others it is the mesh itself. Triangles whose wiring is known are given as that.
    """

    def __init__(self, vertices: Floats, triangles: Ints | Wiring, felt: tuple[Floats, Ints] | None = None) -> None:
        self.felt = self if felt is None else MeshDistance(*felt)
        self.vertices = np.ascontiguousarray(vertices, dtype=np.float64)
        self._wiring = triangles if isinstance(triangles, Wiring) else Wiring(triangles)
        self.triangles = self._wiring.triangles
        self._tree = igl.AABB()
        self._tree.init(self.vertices, self.triangles)

    @property
    def closed(self) -> bool:
        return self._wiring.closed

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
        return Pseudonormals(self.vertices, self._wiring)

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

    def least(self, points: Floats) -> tuple[int, float, Floats]:
        """Which of points (k, 3), k > 0, comes nearest or lies deepest inside; its distance as :meth:`signed`, its foot.

        A distance changes by no more than the way gone: whatever lies too far from some points whose distances are known
        need not be looked at.
        """
        some = np.unique(np.linspace(0, len(points) - 1, _LOOKED_AT_FIRST).astype(np.int64))
        distance, feet = self.signed(points[some])
        k = int(distance.argmin())
        best = int(some[k]), float(distance[k]), feet[k]
        at_least = (distance - cdist(points, points[some])).max(axis=1)
        at_least[some] = np.inf
        # Those that promise most come first: they leave the fewest of the others.
        order = np.argsort(at_least)
        for part in (order[:_LOOKED_AT_FIRST], order[_LOOKED_AT_FIRST:]):
            part = part[at_least[part] < best[1]]
            if len(part):
                distance, feet = self.signed(points[part])
                k = int(distance.argmin())
                if distance[k] < best[1]:
                    best = int(part[k]), float(distance[k]), feet[k]
        return best

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
_LOOKED_AT_FIRST = 32
_IN_QUESTION = 400
"""Points, nearest by the lesser mesh, that are measured against a large one itself."""


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
