"""Rounded edges on the mesh route: a ball rolled along an edge between two smooth sheets.

A rolling ball's middle keeps its radius from both sheets, so it runs on a curve; what lies between the edge and the ball
(J. Rossignac, A. Requicha, "Constant-radius blending in solid modelling", 1984) is marched on a grid, and joined to the body
in a hollow corner or taken off it on a ridge.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

import igl
import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.errors import CoreError, UncheckedError
from zinc_otter.core.solid.mesh.body import MeshBody, Name, NamedTriangles, mesh_body
from zinc_otter.core.solid.mesh.level_set import level_set
from zinc_otter.core.words import bare_length, fine_length_words, length_words

OVERHANG = 0.95
"""Along what share of an edge the ball may rest on another edge beside it, in place of the surface between them."""

REACH = 3.0
"""How far from its edge a blend may touch, in radii: enough for corners of 37 degrees and more."""

Radius = Callable[[Floats], Floats]


def blend(
    body: MeshBody, edges: Bools, radius: Radius, voxel: float, name: Name, flat: bool = False
) -> MeshBody:
    """The body with ``edges`` (k,), of its mesh's sides, rounded by ``radius``, a function of points (p, 3) to mm (p,).

    With ``flat`` they are cut off instead, at that distance from the edge on both sides. New faces bear ``name``. True to
    about ``voxel`` squared over the radius, and to the triangles of the body.
    Raises CoreError where there are no such edges, or where one runs out within a smooth sheet.
    """
    mesh = body.mesh
    result = body
    for seam in _seams(mesh, edges):
        filling = _rolled(mesh, seam, radius, voxel, name, flat)
        if filling is not None:
            result = result.joined(filling) if seam.hollow else result.less(filling)
    return result


@dataclass(frozen=True, eq=False)
class _Seam:
    """Edges, as pairs of points (k, 2), between two smooth sheets, given by their triangles; ``hollow`` or a ridge.

    ``bend`` is about the largest angle between their normals, in radians.
    """

    edges: Ints
    sheets: tuple[Ints, Ints]
    hollow: bool
    bend: float


def _seams(mesh: NamedTriangles, named: Bools) -> list[_Seam]:
    sides, sheet = mesh.sides, mesh.sheets
    if not named.any():
        raise CoreError("There are no such edges.")
    if (named & (sheet[sides.one] == sheet[sides.other])).any():
        raise UncheckedError("The edge runs out within a smooth surface; there it cannot be rounded on the mesh.")
    middle = mesh.points[mesh.triangles].mean(axis=1)
    hollow = ((middle[sides.other] - middle[sides.one]) * mesh.normals[sides.one]).sum(axis=1) > 0
    pair = np.sort(np.column_stack([sheet[sides.one], sheet[sides.other]]), axis=1)
    found = []
    for a, b, is_hollow in np.unique(np.column_stack([pair, hollow])[named], axis=0):
        here = named & (pair[:, 0] == a) & (pair[:, 1] == b) & (hollow == is_hollow)
        cos = (mesh.normals[sides.one[here]] * mesh.normals[sides.other[here]]).sum(axis=1)
        sheets = np.flatnonzero(sheet == a), np.flatnonzero(sheet == b)
        # Slivers may be turned anyhow, so the very largest does not count.
        bend = float(np.percentile(np.arccos(np.clip(cos, -1, 1)), 95))
        found.append(_Seam(sides.ends[here], sheets, bool(is_hollow), bend))
    return found


def _rolled(
    mesh: NamedTriangles, seam: _Seam, radius: Radius, voxel: float, name: Name, flat: bool
) -> MeshBody | None:
    near = _Near(mesh.points[seam.edges])
    ends = mesh.points[seam.edges.ravel()]
    most = float(radius(ends).max())
    # The ball touches the sheets this many radii from the edge.
    reach = min(REACH, 1.25 * np.tan(seam.bend / 2) + 0.25)
    margin = reach * most + 2 * voxel
    way = 1.0 if seam.hollow else -1.0
    one, other = (_Sheet(mesh, ids[_close(mesh, ids, ends, 2 * margin)], way, seam.edges) for ids in seam.sheets)
    if not flat:
        _refuse_overhang(mesh, seam, radius, one, other)

    def zone(points: Floats) -> Floats:
        return near.distance(points) - reach * radius(points)

    def patch(points: Floats) -> Floats:
        value = zone(points)
        at = np.flatnonzero(value <= 0)
        (d1, _), (d2, _) = one.look(points[at]), other.look(points[at])
        # Where a sheet has ended the ball may rest on its rim; nothing is filled out there.
        over = one.beyond(points[at]) | other.beyond(points[at])
        # A little way into the body, so that what is joined overlaps it.
        deep = np.maximum(-d1, -d2) - voxel
        cut = (_beyond_flat if flat else _beyond_ball)(points[at], radius(points[at]), one, other)
        value[at] = np.maximum.reduce([value[at], deep, np.where(over, voxel / 2, cut)])
        return value

    low, high = ends.min(axis=0) - margin, ends.max(axis=0) + margin
    points, faces = level_set(zone, low, high, voxel, patch)
    return mesh_body(points, faces, name) if len(faces) else None


def _balls(
    points: Floats, r: Floats, one: _Sheet, other: _Sheet, rounds: int
) -> tuple[Floats, Floats, Floats]:
    """Middles (p, 3) of the balls of radius r (p,) that touch both sheets, near to points, and the sheets' normals there.

    Newton's method on the two distances, by the shortest step in the plane of the two normals.
    """
    middle = points.copy()
    for _ in range(rounds):
        (d1, n1), (d2, n2) = one.look(middle), other.look(middle)
        cos = np.clip((n1 * n2).sum(axis=1), -0.98, 0.98)
        a = ((r - d1) - cos * (r - d2)) / (1 - cos**2)
        b = ((r - d2) - cos * (r - d1)) / (1 - cos**2)
        step = a[:, None] * n1 + b[:, None] * n2
        length = np.linalg.norm(step, axis=1)
        middle += step * np.minimum(1.0, 2 * r / np.maximum(length, 1e-12))[:, None]
    return middle, n1, n2


def _beyond_ball(points: Floats, r: Floats, one: _Sheet, other: _Sheet) -> Floats:
    """Below 0 between the edge and the ball that touches both sheets; elsewhere above, by about the distance."""
    middle, n1, n2 = _balls(points, r, one, other, 3)
    way = points - middle
    cos = np.clip((n1 * n2).sum(axis=1), -0.98, 0.98)
    along1, along2 = -(way * n1).sum(axis=1), -(way * n2).sum(axis=1)
    sin = np.sqrt(1 - cos**2)
    # The point is the middle less a times one normal and b times the other; both must be above 0.
    a, b = (along1 - cos * along2) / sin, (along2 - cos * along1) / sin
    return np.maximum.reduce([r - np.linalg.norm(way, axis=1), -a, -b])


def _beyond_flat(points: Floats, reach: Floats, one: _Sheet, other: _Sheet) -> Floats:
    """Below 0 between the edge and the plane that meets both sheets at ``reach`` from it; elsewhere above."""
    (d1, n1), (d2, n2) = one.look(points), other.look(points)
    # In flat sheets at an angle, a point on one of them at ``reach`` from the edge has this distance from the other.
    cos = np.clip((n1 * n2).sum(axis=1), -0.98, 0.98)
    sin = np.sqrt(1 - cos**2)
    return np.asarray((d1 + d2 - reach * sin) / (2 * np.sqrt((1 + cos) / 2)))


def _refuse_overhang(mesh: NamedTriangles, seam: _Seam, radius: Radius, one: _Sheet, other: _Sheet) -> None:
    """Raise CoreError where the ball rests on another edge nearly all along: the surface ends before the blend does."""
    middle = mesh.points[seam.edges].mean(axis=1)
    r = radius(middle)
    at, _, _ = _balls(middle, r, one, other, 6)
    over = one.beyond(at) | other.beyond(at)
    length = np.linalg.norm(mesh.points[seam.edges[:, 1]] - mesh.points[seam.edges[:, 0]], axis=1)
    share = float(length[over].sum() / length.sum())
    if share > OVERHANG:
        x, y, z = middle[over][0]
        raise CoreError(
            f"A radius of {fine_length_words(float(r.max()))} finds no room along {100 * share:.0f} % of the edge, first "
            f"near "
            f"{bare_length(x)}, {bare_length(y)}, {length_words(z)}: the surface beside it ends before.",
            points=middle[over],
        )


def _close(mesh: NamedTriangles, ids: Ints, ends: Floats, reach: float) -> Bools:
    """Which triangles touch the box of the edges, grown by ``reach``."""
    corners = mesh.points[mesh.triangles[ids]]
    return np.asarray(
        ((corners.max(axis=1) >= ends.min(axis=0) - reach) & (corners.min(axis=1) <= ends.max(axis=0) + reach)).all(axis=1)
    )


class _Sheet:
    """Signed distance to an open sheet of triangles; ``way`` 1 or -1 sets the sign.

    Beyond the ``seam`` (k, 2) that it shares with the other sheet it is carried on flat, for there the ball touches no edge.
    """

    def __init__(self, mesh: NamedTriangles, ids: Ints, way: float, seam: Ints) -> None:
        self._points = np.ascontiguousarray(mesh.points)
        self._faces = np.ascontiguousarray(mesh.triangles[ids])
        self._normals = mesh.normals[ids] * way
        self._tree = igl.AABB()
        self._tree.init(self._points, self._faces)
        ends = np.sort(np.stack([self._faces[:, [1, 2]], self._faces[:, [2, 0]], self._faces[:, [0, 1]]], axis=1), axis=2)
        count = len(mesh.points)
        shared = np.sort(seam, axis=1) @ [count, 1]
        keys = ends.reshape(-1, 2) @ [count, 1]
        self._border = np.isin(keys, shared).reshape(-1, 3)
        _, index, times = np.unique(keys, return_inverse=True, return_counts=True)
        self._rim = (times[index] == 1).reshape(-1, 3) & ~self._border
        self._seam_points = np.zeros(count, dtype=bool)
        self._seam_points[seam] = True
        self._rim_points = np.zeros(count, dtype=bool)
        self._rim_points[ends.reshape(-1, 2)[self._rim.ravel()]] = True
        self._rim_points &= ~self._seam_points

    def look(self, points: Floats) -> tuple[Floats, Floats]:
        """Distances (p,) in mm and their gradients (p, 3)."""
        _, which, at = self._tree.squared_distance(self._points, self._faces, np.ascontiguousarray(points))
        which = np.asarray(which).reshape(-1)
        away = points - np.asarray(at)
        flat = self._normals[which]
        height = (away * flat).sum(axis=1)
        length = np.linalg.norm(away, axis=1)
        sign = np.where(height < 0, -1.0, 1.0)
        # Beyond the seam the nearest point lies on it, and the way there leans from the normal.
        beyond = self._lies_on(which, np.asarray(at), self._border, self._seam_points)
        flatly = beyond | (length < 1e-9)
        gradient = np.where(flatly[:, None], flat, sign[:, None] * unit(away))
        return np.where(flatly, height, sign * length), gradient

    def beyond(self, points: Floats) -> Bools:
        """(p,) which points are nearest to a border of the sheet other than the seam."""
        _, which, at = self._tree.squared_distance(self._points, self._faces, np.ascontiguousarray(points))
        which = np.asarray(which).reshape(-1)
        return self._lies_on(which, np.asarray(at), self._rim, self._rim_points)

    def _lies_on(self, which: Ints, at: Floats, edges: Bools, points: Bools) -> Bools:
        """(p,) whether points of triangles lie on one of the ``edges`` (m, 3), each opposite to a corner, or ``points``."""
        corners = self._points[self._faces[which]]
        a, b, c = corners.transpose(1, 0, 2)
        double = np.linalg.norm(np.cross(b - a, c - a), axis=1)[:, None]
        p = at[:, None] - corners
        weights = np.stack(
            [np.linalg.norm(np.cross(p[:, i], p[:, j]), axis=1) for i, j in ((1, 2), (2, 0), (0, 1))], axis=1
        ) / np.maximum(double, 1e-30)
        on_edge = weights < 1e-6
        on_point = on_edge.sum(axis=1) >= 2
        corner = self._faces[which, weights.argmax(axis=1)]
        return np.asarray((on_edge & edges[which]).any(axis=1) | (on_point & points[corner]))


class _Near:
    """Distances to line segments (k, 2, 3)."""

    def __init__(self, edges: Floats) -> None:
        self._points = np.ascontiguousarray(edges.reshape(-1, 3), dtype=np.float64)
        self._lines = np.arange(2 * len(edges), dtype=np.int64).reshape(-1, 2)
        self._tree = igl.AABB()
        self._tree.init(self._points, self._lines)

    def distance(self, points: Floats) -> Floats:
        squared, _, _ = self._tree.squared_distance(self._points, self._lines, np.ascontiguousarray(points))
        return np.asarray(np.sqrt(np.asarray(squared)).reshape(-1))
