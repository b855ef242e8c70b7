"""Quads laid on a scan: a patch of them between four corners, and a strip along a stroke.

Corners are points on the scan, or vertices of the cage that is there; where two of them lie on its border with a run of
edges in between, the patch takes the run up as its side. New vertices lie on the scan. What reaches across a mirror's plane
is halved there.
"""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np
from scipy.sparse import csr_matrix
from scipy.sparse.csgraph import dijkstra

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.edits.lay import Corner, checked_corners, lay_faces
from zinc_otter.core.cage.plane import Plane
from zinc_otter.core.cage.symmetry.laying import lay_faces_on_all_sides
from zinc_otter.core.cage.symmetry.symmetric import Symmetry
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.scan.at_mirrors import beyond, crossing, cut_stroke, inner_neighbours, kept_side, sides_of

Onto = Callable[[Floats], tuple[Floats, Floats]]
"""From points (k, 3) to the nearest ones on the scan, and its outward normals there."""

MOST = 60
"""Faces of a patch along each side at most, and of a strip."""
_EVENED = 12
_SAME = 1e-6
_DETOUR = 2.0
"""A run of border edges is a side only if it is no longer than so many times the straight way."""


@dataclass(frozen=True, eq=False)
class Traced:
    """New ``points`` (k, 3), and ``faces`` (m, 4) over the vertices of a cage and then these."""

    points: Floats
    faces: Ints

    def first_cage(self, towards: Sequence[float]) -> Cage:
        """A cage of these faces alone, its outside ``towards`` a direction."""
        cage = Cage.from_faces(self.points, self.faces.tolist())
        if cage.face_normals.sum(axis=0) @ np.asarray(towards, dtype=np.float64) < 0:
            return Cage.from_faces(self.points, self.faces[:, ::-1].tolist())
        return cage

    def laid(self, cage: Cage, symmetry: Symmetry | None, towards: Sequence[float]) -> Edit:
        """They added to a cage, on all its sides. Raises as lay_faces."""
        faces = self.faces.tolist()
        if symmetry is None:
            return lay_faces(cage, self.points, faces, towards)
        return lay_faces_on_all_sides(cage, symmetry, self.points, faces, towards)


def patch(
    cage: Cage | None, corners: Sequence[Corner], counts: tuple[int, int], onto: Onto, *, weld: float = 0.0,
    planes: Sequence[Plane] = (),
) -> Traced:  # fmt: skip
    """A grid of ``counts`` quads between four corners, one after the other around it: points (3,), or vertices of the cage.

    The first count is that of the side from the first corner to the second; sides across a mirror's plane have it on both
    sides of it together. A point within ``weld`` mm of a vertex on the border is that vertex, and one so near to a mirror's
    plane is drawn into it. Raises BadNumberError, BadSelectionError.
    """
    if len(corners) != 4:
        raise BadNumberError(f"A patch has four corners; {len(corners)} were given.")
    if not all(1 <= count <= MOST for count in counts):
        raise BadNumberError(f"A patch has 1 to {MOST} quads along each side.")
    book = _Book(cage, onto, weld, planes)
    ends = [book.corner(corner) for corner in corners]
    places = np.array([book.place(end) for end in ends])
    apart = np.linalg.norm(places[:, None] - places[None], axis=2)[np.triu_indices(4, 1)]
    if len(set(ends)) < 4 or apart.min() <= _SAME * apart.max():
        raise BadSelectionError("Two corners of the patch fall on one another; set them further apart, or weld within less.")
    checked_corners(places.tolist())
    for plane in planes:
        ends, counts = _halved(book, ends, counts, plane)
    runs = [book.run(ends[k], ends[(k + 1) % 4]) for k in range(4)]
    u, v = (_agreed(runs[k], runs[k + 2], counts[k]) for k in range(2))
    sides = [book.side(ends[k], ends[(k + 1) % 4], runs[k], (u, v)[k % 2]) for k in range(4)]
    grid = np.full((u + 1, v + 1), -1, dtype=np.int64)
    grid[:, 0], grid[u, :], grid[::-1, v], grid[0, ::-1] = sides
    if u > 1 and v > 1:
        grid[1:-1, 1:-1] = book.inside(grid)
    quads = np.stack([grid[:-1, :-1], grid[1:, :-1], grid[1:, 1:], grid[:-1, 1:]], axis=-1).reshape(-1, 4)
    book.forget_unused(quads.ravel().tolist())
    return Traced(book.new_points, book.renumbered(quads))


def strip(
    cage: Cage | None, stroke: Floats, width: float, onto: Onto, *, begins: tuple[int, int] | None = None,
    length: float | None = None, weld: float = 0.0, planes: Sequence[Plane] = (),
) -> Traced:  # fmt: skip
    """Quads along a ``stroke`` (k, 3) over the scan, ``width`` mm wide and about ``length`` mm long each (as wide as long
    without it). One that ``begins`` at an edge of the cage goes on from it. Raises BadNumberError for a stroke that is too
    short.
    """
    if not (np.isfinite(width) and width > 0 and np.isfinite(stroke).all()):
        raise BadNumberError("A strip needs a width above 0, and a stroke of points in space.")
    line, facing = onto(_without_repeats(stroke))
    cut_off = []
    for plane in planes:
        line, ends = cut_stroke(line, plane, width / 2, begins is not None)
        cut_off += [(plane, end) for end, cut in zip((0, -1), ends, strict=True) if cut]
    line = _without_repeats(line)
    run = np.concatenate([[0.0], np.cumsum(np.linalg.norm(np.diff(line, axis=0), axis=1))])
    each = width if length is None else length
    count = int(np.clip(np.rint(run[-1] / max(each, 1e-9)), 1, MOST))
    if len(line) < 2 or run[-1] < 0.3 * each:
        raise BadNumberError("The stroke is too short for a quad; draw it further, or make the strip narrower.")
    book = _Book(cage, onto, weld, planes)
    at = np.linspace(0, run[-1], count + 1)
    middle = np.column_stack([np.interp(at, run, line[:, k]) for k in range(3)])
    middle, facing = onto(middle)
    # Over a noisy scan the stroke shakes: its way is told from two steps apart.
    way = unit(np.gradient(middle, axis=0))
    across = unit(np.cross(facing, way)) * width / 2
    left, right = (onto(middle + side * across)[0] for side in (1, -1))
    for plane in planes:
        left, right = (_drawn_in(book, side, plane, np.concatenate([left, right, middle]), width) for side in (left, right))
    for plane, end in cut_off:
        left[end], right[end] = book.dropped(np.array([left[end], right[end]]), (plane,))
    pairs = [(book.corner(a), book.corner(b)) for a, b in zip(left, right, strict=True)]
    if begins is not None and cage is not None:
        a, b = begins
        turned = np.linalg.norm(cage.positions[a] - left[0]) > np.linalg.norm(cage.positions[b] - left[0])
        pairs[0] = (b, a) if turned else (a, b)
    book.forget_unused([v for pair in pairs for v in pair])
    quads = [(a, b, d, c) for (a, b), (c, d) in zip(pairs[:-1], pairs[1:], strict=True) if len({a, b, c, d}) == 4]
    if not quads:
        raise BadNumberError("The stroke is too short for a quad; draw it further, or make the strip narrower.")
    return Traced(book.new_points, book.renumbered(np.array(quads)))


def _halved(
    book: _Book, ends: list[int], counts: tuple[int, int], plane: Plane
) -> tuple[list[int], tuple[int, int]]:  # fmt: skip
    """Corners with those beyond a mirror's plane where the sides to them cross it, and half as many quads along these."""
    places = np.array([book.place(end) for end in ends])
    heights = plane.heights(places)
    slack = _SAME * (1 + float(np.ptp(places, axis=0).max()))
    kept = kept_side(heights, slack)
    if not kept:
        return ends, counts
    cut, halved = list(ends), list(counts)
    for corner, inner in inner_neighbours(sides_of(heights, slack), kept).items():
        run = book.run(ends[inner], ends[corner])
        # Edges that are there have their vertex in the plane.
        there = [v for v in run or () if abs(float(plane.heights(book.place(v)[None])[0])) <= slack]
        cut[corner] = there[0] if there else book.corner(crossing(places[inner], places[corner], plane).tolist(), (plane,))
        # From the first corner to the second, or from the third to the fourth, it is the first count.
        which = 0 if {inner, corner} in ({0, 1}, {2, 3}) else 1
        halved[which] = -(-counts[which] // 2)
    return cut, (halved[0], halved[1])


def _drawn_in(book: _Book, side: Floats, plane: Plane, strip_points: Floats, width: float) -> Floats:
    """One side of a strip, with what lies beyond a mirror's plane drawn into it."""
    kept = kept_side(plane.heights(strip_points), _SAME * width)
    over = beyond(side, plane, kept)
    drawn = side.copy()
    if over.any():
        drawn[over] = book.dropped(side[over], (plane,))
    return drawn


class _Book:
    """The vertices of a patch: those that are there by their number, then new ones, dropped on the scan."""

    def __init__(self, cage: Cage | None, onto: Onto, weld: float, planes: Sequence[Plane]) -> None:
        if not (np.isfinite(weld) and weld >= 0):
            raise BadNumberError("The distance within which points are welded is 0 or more.")
        self._cage, self._onto, self._weld, self._planes = cage, onto, weld, planes
        self._count = 0 if cage is None else cage.topology.vertex_count
        self._points: list[Floats] = []
        self._renumber: dict[int, int] | None = None
        border = np.zeros(0, dtype=np.int64) if cage is None else np.flatnonzero(cage.topology.on_border)
        self._border = border

    @property
    def new_points(self) -> Floats:
        points = np.array(self._points).reshape(-1, 3)
        return points if self._renumber is None else points[[v - self._count for v in self._renumber]]

    def place(self, vertex: int) -> Floats:
        if vertex < self._count:
            assert self._cage is not None
            return np.asarray(self._cage.positions[vertex])
        return self._points[vertex - self._count]

    def add(self, points: Floats) -> list[int]:
        first = self._count + len(self._points)
        self._points += list(points)
        return list(range(first, first + len(points)))

    def corner(self, corner: Corner, within: Sequence[Plane] = ()) -> int:
        """The vertex of a corner; a new one lies in these planes, and in those that it is near."""
        if isinstance(corner, int | np.integer):
            if not 0 <= corner < self._count:
                raise BadSelectionError(f"There is no vertex {corner}: the cage has {self._count} vertices.")
            return int(corner)
        point = np.asarray(corner, dtype=np.float64)
        if not np.isfinite(point).all():
            raise BadNumberError("A corner would lie nowhere.")
        if len(self._border) and self._cage is not None:
            far = np.linalg.norm(self._cage.positions[self._border] - point, axis=1)
            if far.min() <= self._weld:
                return int(self._border[far.argmin()])
        near = [p for p in self._planes if p in within or abs(float(p.heights(point[None])[0])) <= self._weld]
        return self.add(self.dropped(point[None], near))[0]

    def dropped(self, points: Floats, planes: Sequence[Plane] = ()) -> Floats:
        """Points on the scan, and in planes; where these meet it to the last bit in the planes."""
        points = self._onto(points)[0]
        for _ in range(4 if planes else 0):
            points = self._onto(_in_planes(points, planes))[0]
        return _in_planes(points, planes)

    def run(self, a: int, b: int) -> list[int] | None:
        """The vertices from one to the other along the border, where both lie on it and that is no detour."""
        cage = self._cage
        if cage is None or max(a, b) >= self._count:
            return None
        t = cage.topology
        pairs = t.edge_verts[t.open_edges]
        long = np.linalg.norm(cage.positions[pairs[:, 0]] - cage.positions[pairs[:, 1]], axis=1)
        graph = csr_matrix((np.maximum(long, 1e-12), (pairs[:, 0], pairs[:, 1])), (self._count, self._count))
        far, before = dijkstra(graph, directed=False, indices=a, return_predecessors=True)
        straight = float(np.linalg.norm(cage.positions[a] - cage.positions[b]))
        if not np.isfinite(far[b]) or far[b] > _DETOUR * straight:
            return None
        way = [b]
        while way[-1] != a:
            way.append(int(before[way[-1]]))
        return way[::-1] if len(way) - 1 <= MOST else None

    def side(self, a: int, b: int, run: list[int] | None, count: int) -> list[int]:
        if run is not None:
            return run
        ends = np.array([self.place(a), self.place(b)])
        shares = np.linspace(0, 1, count + 1)[:, None]
        planes = [plane for plane in self._planes if np.abs(plane.heights(ends)).max() <= 1e-9 * (1 + np.abs(ends).max())]
        points = (1 - shares) * ends[0] + shares * ends[1]
        for _ in range(_EVENED if count > 1 else 0):
            points[1:-1] = self.dropped(points[1:-1], planes)
            run_length = np.concatenate([[0.0], np.cumsum(np.linalg.norm(np.diff(points, axis=0), axis=1))])
            at = np.linspace(0, run_length[-1], count + 1)
            points = np.column_stack([np.interp(at, run_length, points[:, k]) for k in range(3)])
        return [a, *(self.add(self.dropped(points[1:-1], planes)) if count > 1 else []), b]

    def inside(self, grid: Ints) -> Ints:
        """Numbers of new vertices within a grid whose rim is there."""
        u, v = grid.shape[0] - 1, grid.shape[1] - 1
        points = np.zeros((u + 1, v + 1, 3))
        for i in range(u + 1):
            for j in range(v + 1):
                if grid[i, j] >= 0:
                    points[i, j] = self.place(int(grid[i, j]))
        s, r = np.linspace(0, 1, u + 1)[:, None, None], np.linspace(0, 1, v + 1)[None, :, None]
        # After S. Coons, "Surfaces for computer-aided design of space forms", 1967.
        along = (1 - r) * points[:, :1] + r * points[:, -1:]
        across = (1 - s) * points[:1] + s * points[-1:]
        first, last = ((1 - r) * points[k, :1] + r * points[k, -1:] for k in (slice(0, 1), slice(-1, None)))
        both = (1 - s) * first + s * last
        inner = (slice(1, -1), slice(1, -1))
        points[inner] = (along + across - both)[inner]
        for _ in range(_EVENED):
            points[inner] = self._onto(points[inner].reshape(-1, 3))[0].reshape(u - 1, v - 1, 3)
            points[inner] = (points[:-2, 1:-1] + points[2:, 1:-1] + points[1:-1, :-2] + points[1:-1, 2:]) / 4
        fresh = self._onto(points[inner].reshape(-1, 3))[0]
        return np.array(self.add(fresh)).reshape(u - 1, v - 1)

    def forget_unused(self, used: Sequence[int]) -> None:
        kept = sorted({v for v in used if v >= self._count})
        self._renumber = {v: self._count + k for k, v in enumerate(kept)}

    def renumbered(self, faces: Ints) -> Ints:
        if self._renumber is None:
            return faces
        number = self._renumber
        return np.array([[number.get(int(v), int(v)) for v in face] for face in faces])


def _agreed(one: list[int] | None, other: list[int] | None, asked: int) -> int:
    """How many quads lie along two sides that face one another."""
    counts = {len(run) - 1 for run in (one, other) if run is not None}
    if len(counts) > 1:
        raise BadSelectionError(
            f"Of two sides of the patch that face one another one has {min(counts)} edges and the other {max(counts)}: "
            "no grid of quads fits between them.",
            vertices=sorted({v for run in (one, other) for v in run or ()}),
        )
    return counts.pop() if counts else asked


def _in_planes(points: Floats, planes: Sequence[Plane]) -> Floats:
    for plane in planes:
        points = points - plane.heights(points)[:, None] * np.asarray(plane.normal)
    return points


def _without_repeats(points: Floats) -> Floats:
    keep = np.ones(len(points), dtype=bool)
    keep[1:] = np.linalg.norm(np.diff(points, axis=0), axis=1) > 1e-9
    return np.asarray(points[keep], dtype=np.float64)
