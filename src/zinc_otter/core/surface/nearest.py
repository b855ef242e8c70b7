"""The nearest point of a limit surface, far closer than its dense faces are."""

from __future__ import annotations

from functools import cached_property, lru_cache

import igl
import numpy as np
from scipy.spatial import cKDTree

from zinc_otter.core.cage.cage import HARD, Cage, unit
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.surface.evaluation import evaluate
from zinc_otter.core.surface.stencils import Stencils, build_stencils

_ENOUGH_QUADS = 24_000
_STRAIGHT_ON = -0.7
"""Cosine between the ways out along two pieces of a line from which they go on into one another."""
_SAME_SIDE = -0.2
"""Cosine of the angle from which two normals are taken to look to the same side."""


class NearestOnSurface:
    """Answers for the limit surface of one cage.

    The nearest dense triangle is libigl's answer. Its point is then drawn half the way to where the tangent planes at
    the corners put it (T. Boubekeur, M. Alexa, "Phong Tessellation", 2008; with a factor of one half that is exact to
    second order on a curve of any radius), so that the error falls with the fourth power of the faces' size.
    """

    def __init__(self, cage: Cage, level: int | None = None) -> None:
        self.stencils = build_stencils(cage, fitting_level(cage) if level is None else level)
        surface = evaluate(self.stencils, cage)
        self.surface_points = np.ascontiguousarray(surface.points)
        self._points = np.ascontiguousarray(surface.positions)
        self._normals = surface.normals
        self._triangles = self.stencils.row_triangles
        self._tree = igl.AABB()
        self._tree.init(self._points, self._triangles)
        finest = self.stencils.finest
        self._pairs = finest.topology.edge_verts[finest.edge_sharpness >= HARD].astype(np.int64)
        self._line_tree = igl.AABB()
        if len(self._pairs):
            self._line_tree.init(self.surface_points, self._pairs)
            self._ways = _tangents(self.surface_points, self._pairs)

    def at(self, points: Floats, looking: Floats | None = None) -> tuple[Floats, Floats]:
        """The nearest points (k, 3) of the surface, and its unit normals (k, 3) there.

        Points that come with the direction in which they are ``looking`` (k, 3) find a place that looks to the same side: in
        a thin wall the other face may well be nearer. Where the direction is not a number any place will do.
        """
        feet, normals = self._nearest(points)
        if looking is not None:
            wrong = np.flatnonzero((normals * looking).sum(axis=1) < _SAME_SIDE)
            if len(wrong):
                feet[wrong], normals[wrong] = self._on_side(points[wrong], looking[wrong])
        return feet, normals

    def _on_side(self, points: Floats, looking: Floats) -> tuple[Floats, Floats]:
        """The foot on the tangent plane of the nearest dense point that looks the same way."""
        _, which = self._sided_tree.query(np.hstack([points, self._size * looking]))
        at, normal = self._points[which], self._normals[which]
        return points - ((points - at) * normal).sum(axis=1, keepdims=True) * normal, normal

    @cached_property
    def _size(self) -> float:
        return float(np.ptp(self._points, axis=0).max())

    @cached_property
    def _sided_tree(self) -> cKDTree:
        """Dense points beside their normals, so that what looks elsewhere lies far away."""
        return cKDTree(np.hstack([self._points, self._size * self._normals]))

    def _nearest(self, points: Floats) -> tuple[Floats, Floats]:
        points = np.ascontiguousarray(points, dtype=np.float64).reshape(-1, 3)
        _, which, flat = self._tree.squared_distance(self._points, self._triangles, points)
        corners = self._triangles[np.asarray(which).reshape(-1)]
        flat = np.asarray(flat).reshape(-1, 3)
        share = barycentric(flat, self._points[corners])
        p, n = self._points[corners], self._normals[corners]
        normal = unit((share[..., None] * n).sum(axis=1))
        lift = ((p - flat[:, None]) * n).sum(axis=2)
        curved = flat + 0.5 * ((share * lift)[..., None] * n).sum(axis=1)
        off = ((points - curved) * normal).sum(axis=1)
        # Inside, the foot lies straight below; beyond a border it is the border's point.
        inside = np.linalg.norm(points - curved - off[:, None] * normal, axis=1) <= np.abs(off) + 1e-3 * _size(p)
        return np.where(inside[:, None], points - off[:, None] * normal, curved), normal

    def on_lines(self, points: Floats) -> tuple[Floats, Floats]:
        """The nearest points (k, 3) on borders and hard creases, and the unit directions (k, 3) of these lines there.

        Points at infinity where there are none.
        """
        if not len(self._pairs):
            return np.full(points.shape, np.inf), np.zeros(points.shape)
        points = np.ascontiguousarray(points, dtype=np.float64)
        _, which, feet = self._line_tree.squared_distance(self.surface_points, self._pairs, points)
        which = np.asarray(which).reshape(-1)
        a, b = self.surface_points[self._pairs[which]].transpose(1, 0, 2)
        chord = b - a
        length = np.maximum(np.linalg.norm(chord, axis=1, keepdims=True), 1e-300)
        s = np.clip(((np.asarray(feet).reshape(-1, 3) - a) * chord).sum(axis=1, keepdims=True) / length**2, 0, 1)
        # The line bends away from its chords: it is carried on by a cubic with the tangents at its ends.
        one, other = (way * length for way in self._ways[which].transpose(1, 0, 2))
        for _ in range(2):
            at = (2 * s**3 - 3 * s**2 + 1) * a + (s**3 - 2 * s**2 + s) * one
            at += (3 * s**2 - 2 * s**3) * b + (s**3 - s**2) * other
            along = (6 * s**2 - 6 * s) * (a - b) + (3 * s**2 - 4 * s + 1) * one + (3 * s**2 - 2 * s) * other
            square = np.maximum((along**2).sum(axis=1, keepdims=True), 1e-300)
            s = np.clip(s + ((points - at) * along).sum(axis=1, keepdims=True) / square, 0, 1)
        return at, unit(along)


@lru_cache(maxsize=3)
def nearest_on(cage: Cage) -> NearestOnSurface:
    """The answers for a cage, kept for the next time: while a number is dragged the same one is asked again and again."""
    return NearestOnSurface(cage)


def fitting_level(cage: Cage) -> int:
    """The finest level, from 2 to 4, at which there are not too many dense faces."""
    return next((level for level in (4, 3) if cage.topology.corner_count * 4 ** (level - 1) <= _ENOUGH_QUADS), 2)


def sharp_vertices(stencils: Stencils) -> Ints:
    """Refined vertices on a border or a crease that is still hard at the finest level."""
    level = stencils.finest
    return np.unique(level.topology.edge_verts[level.edge_sharpness >= HARD])


def _tangents(points: Floats, pairs: Ints) -> Floats:
    """(k, 2, 3) unit tangents of lines at both ends of each of their pieces (k, 2), in the piece's own direction.

    Where two pieces meet without a corner, from the far end of one to that of the other; elsewhere as on a parabola.
    """
    chords = unit(points[pairs[:, 1]] - points[pairs[:, 0]])
    ends, piece = pairs.ravel(), np.repeat(np.arange(len(pairs)), 2)
    order = np.argsort(ends, kind="stable")
    _, first, count = np.unique(ends[order], return_index=True, return_counts=True)
    two = first[count == 2]
    one, other = order[two], order[two + 1]
    of_end = np.full((len(pairs) * 2, 3), np.nan)
    # Away from the shared point along either piece.
    outwards = np.where((np.arange(len(ends)) % 2 == 0)[:, None], 1.0, -1.0) * chords[piece]
    smooth = (outwards[one] * outwards[other]).sum(axis=1) < _STRAIGHT_ON
    one, other = one[smooth], other[smooth]
    far = points[pairs.ravel()[one ^ 1]] - points[pairs.ravel()[other ^ 1]]
    along = unit(far)
    of_end[one] = np.where((one % 2 == 0)[:, None], along, -along)
    of_end[other] = np.where((other % 2 == 0)[:, None], -along, along)
    ways = of_end.reshape(-1, 2, 3)
    for here, there in ((0, 1), (1, 0)):
        lone = np.isnan(ways[:, here, 0])
        known = lone & ~np.isnan(ways[:, there, 0])
        ways[known, here] = unit(2 * chords[known] - ways[known, there])
        ways[lone & ~known, here] = chords[lone & ~known]
    return ways


def barycentric(points: Floats, triangles: Floats) -> Floats:
    """(k, 3) shares of the corners at points (k, 3) of triangles (k, 3, 3); C. Ericson, 2005, section 3.4."""
    a, b, c = triangles.transpose(1, 0, 2)
    v0, v1, v2 = b - a, c - a, points - a

    def dot(x: Floats, y: Floats) -> Floats:
        return np.asarray((x * y).sum(axis=1))

    d00, d01, d11, d20, d21 = dot(v0, v0), dot(v0, v1), dot(v1, v1), dot(v2, v0), dot(v2, v1)
    area = np.maximum(d00 * d11 - d01 * d01, 1e-300)
    v, w = (d11 * d20 - d01 * d21) / area, (d00 * d21 - d01 * d20) / area
    return np.clip(np.column_stack([1 - v - w, v, w]), 0, 1)


def _size(triangles: Floats) -> Floats:
    return np.asarray(np.linalg.norm(triangles[:, 1] - triangles[:, 0], axis=1))
