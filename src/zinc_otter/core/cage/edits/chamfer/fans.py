"""What becomes of each vertex of a chamfered edge: its faces fall into sectors, each with a vertex of its own.

The new vertices move linearly with the distance, so that the largest distance that holds is known beforehand.
"""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, field

import numpy as np

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.selection import Kind, Selection
from zinc_otter.core.cage.topology import Bools, Floats, Ints, Topology
from zinc_otter.core.errors import BadNumberError, BadSelectionError

_SHARPEST = 0.05
"""Sine of the angle between two edges below which a distance to one cannot be measured along the other."""


@dataclass(eq=False)
class Fans:
    """The new vertices: ``origins`` and ``drifts`` say that one lies at positions[origin] + distance * drift.

    ``rings`` tells for each corner at a chamfered vertex the new vertices that it becomes, in the order of its face; they
    are numbered from ``first`` on. ``ends`` are the vertices in whose fan one chamfer only ends, ``sectors`` the new
    vertices around each vertex, counter-clockwise, with the chamfered edge before each.
    """

    first: int
    origins: list[int] = field(default_factory=list)
    drifts: list[Floats] = field(default_factory=list)
    rings: dict[int, list[int]] = field(default_factory=dict)
    sectors: dict[int, list[tuple[int, int]]] = field(default_factory=dict)
    ends: dict[int, End] = field(default_factory=dict)
    on_border: set[int] = field(default_factory=set)

    def new(self, vertex: int, drift: Floats) -> int:
        self.origins.append(vertex)
        self.drifts.append(drift)
        return self.first + len(self.origins) - 1


@dataclass(frozen=True)
class End:
    """Where a chamfer ends: its two new vertices, and how the faces beyond close it.

    ``way`` "face": the one face beyond takes the profile in place of the vertex, at ``corner``. "fade": the edge beyond,
    which leads to ``beyond``, goes, and the cap reaches to its end. "stay": the vertex stays, and the cap reaches to it.
    """

    edge: int
    left: int
    right: int
    way: str
    corner: int = -1
    beyond: int = -1


def check_asked(t: Topology, selection: Selection, kind: Kind, distance: float) -> None:
    """Raise BadSelectionError unless such elements are picked, BadNumberError unless the distance is one."""
    selection.check(t)
    if selection.kind != kind:
        raise BadSelectionError("Pick edges to chamfer them, or vertices to cut them off.")
    if not (np.isfinite(distance) and distance > 0):
        raise BadNumberError("A chamfer needs a distance above 0.")


def fans_of(cage: Cage, chosen: Bools) -> Fans:
    """The fans of all vertices of the ``chosen`` edges (e,). Raises BadSelectionError."""
    t = cage.topology
    fans = Fans(t.vertex_count)
    sides = Sides.of(cage)
    starts_at = _starts(t, chosen)
    touched = np.unique(t.edge_verts[chosen])
    for vertex in touched.tolist():
        corners = list(_around(t, int(starts_at[vertex])))
        is_border = bool(t.on_border[vertex])
        if is_border:
            fans.on_border.add(vertex)
        marks = [bool(chosen[t.corner_edge[c]]) for c in corners]
        if sum(marks) == 1 and not is_border:
            _end(sides, fans, vertex, corners, touched)
            continue
        begin = 0
        for k in range(1, len(corners) + 1):
            if k < len(corners) and not marks[k]:
                continue
            sector = corners[begin:k]
            starts = marks[begin]
            stops = k < len(corners) or not is_border
            edge = int(t.corner_edge[sector[0]]) if starts else -1
            made = fans.new(vertex, _drift(sides, vertex, sector, starts, stops))
            for corner in sector:
                fans.rings[corner] = [made]
            fans.sectors.setdefault(vertex, []).append((made, edge))
            begin = k
    return fans


def _starts(t: Topology, chosen: Bools) -> Ints:
    """(v,) for each vertex a corner to start from: at its border, or else at a chosen edge; -1 where there is none."""
    begins = np.where(t.on_border[t.face_verts], t.corner_twin < 0, chosen[t.corner_edge])
    start = np.full(t.vertex_count, -1, dtype=np.int64)
    found = np.flatnonzero(begins)[::-1]
    start[t.face_verts[found]] = found
    return start


def _around(t: Topology, start: int) -> Iterator[int]:
    """The corners at a vertex, counter-clockwise from one on."""
    corner = start
    while True:
        yield corner
        corner = int(t.corner_twin[t.corner_prev[corner]])
        if corner in (-1, start):
            return


def _end(sides: Sides, fans: Fans, vertex: int, corners: list[int], touched: Ints) -> None:
    t = sides.topology
    n = len(corners)
    first, last = corners[0], corners[-1]
    edge = int(t.corner_edge[first])
    if n < 3:
        raise BadSelectionError(
            "A chamfer cannot end at a vertex of two edges; heal that vertex away first.", vertices=[vertex]
        )
    left = fans.new(vertex, _along(sides, vertex, first, ahead=False))
    right = fans.new(vertex, _along(sides, vertex, last, ahead=True))
    fans.rings[first], fans.rings[last] = [left], [right]
    beyond = int(t.face_verts[t.corner_next[corners[2]]]) if n == 4 else -1
    if n == 3:
        fans.ends[vertex] = End(edge, left, right, "face", corner=corners[1])
    elif n == 4 and beyond not in touched:
        fans.rings[corners[1]], fans.rings[corners[2]] = [left], [right]
        fans.ends[vertex] = End(edge, left, right, "fade", beyond=beyond)
    else:
        for corner in corners[1:-1]:
            fans.rings[corner] = [vertex]
        fans.rings[corners[1]] = [vertex, left]
        fans.rings[corners[-2]] = [right, vertex]
        fans.ends[vertex] = End(edge, left, right, "stay")


@dataclass(frozen=True, eq=False)
class Sides:
    """Directions at each corner (c, 3), unit: away along the ``next`` and the ``prev`` edge, into the face square to either
    (``in_next``, ``in_prev``), and the face's mean ``normal``.
    """

    topology: Topology
    next: Floats
    prev: Floats
    in_next: Floats
    in_prev: Floats
    normal: Floats

    @classmethod
    def of(cls, cage: Cage) -> Sides:
        t, p = cage.topology, cage.positions
        here = p[t.face_verts]
        out, back = p[t.face_verts[t.corner_next]] - here, p[t.face_verts[t.corner_prev]] - here
        cross = np.cross(out, back)
        mean = cage.face_normals[t.corner_face]
        # The normal of a face as it lies at the corner; of the face where both edges are one line, or it turns inwards.
        bent = unit(cross)
        lengths = np.linalg.norm(out, axis=1) * np.linalg.norm(back, axis=1)
        flat = np.linalg.norm(cross, axis=1) < _SHARPEST * lengths
        normal = np.where((flat | ((bent * mean).sum(axis=1) <= 0))[:, None], mean, bent)
        ahead, behind = unit(out), unit(back)
        return cls(t, ahead, behind, unit(np.cross(normal, ahead)), unit(np.cross(normal, -behind)), mean)


def _drift(sides: Sides, vertex: int, sector: list[int], starts: bool, stops: bool) -> Floats:
    """(3,) by how much a sector's vertex moves for each mm, so that it is 1 mm from the chamfered edges beside it."""
    first, last = sector[0], sector[-1]
    if not starts:
        return _along(sides, vertex, last, ahead=True)
    if not stops:
        return _along(sides, vertex, first, ahead=False)
    inward_first, inward_last = sides.in_next[first], sides.in_prev[last]
    if len(sector) == 2:
        along = sides.prev[first]
        gain = float(along @ (inward_first + inward_last)) / 2
        _check_gain(gain, vertex)
        return np.asarray(along / gain)
    rows = np.stack([inward_first, inward_last, sides.normal[first], sides.normal[last]])
    return np.asarray(np.linalg.lstsq(rows, np.array([1.0, 1.0, 0.0, 0.0]), rcond=1e-3)[0])


def _along(sides: Sides, vertex: int, corner: int, ahead: bool) -> Floats:
    """(3,) along one edge of a corner, so far that the distance to the other within the face is 1."""
    along, inward = (sides.next, sides.in_prev) if ahead else (sides.prev, sides.in_next)
    gain = float(along[corner] @ inward[corner])
    _check_gain(gain, vertex)
    return np.asarray(along[corner] / gain)


def _check_gain(gain: float, vertex: int) -> None:
    if gain < _SHARPEST:
        raise BadSelectionError(
            "Two edges meet too flat here for a distance to be measured along one of them; chamfer the other as well.",
            vertices=[vertex],
        )


def largest_distance(cage: Cage, fans: Fans) -> tuple[float, int]:
    """The distance in mm at which the first edge of a face would lose its length, and that edge."""
    t = cage.topology
    drift = np.zeros((t.vertex_count + len(fans.drifts), 3))
    if fans.drifts:
        drift[fans.first :] = fans.drifts
    own = t.face_verts.astype(np.int64)
    leaving, arriving = own.copy(), own.copy()
    for corner, ring in fans.rings.items():
        arriving[corner], leaving[corner] = ring[0], ring[-1]
    way = cage.positions[own[t.corner_next]] - cage.positions[own]
    length = np.linalg.norm(way, axis=1)
    closing = ((drift[leaving] - drift[arriving[t.corner_next]]) * unit(way)).sum(axis=1)
    limit = np.where(closing > 1e-9, length / np.maximum(closing, 1e-9), np.inf)
    worst = int(np.argmin(limit))
    return float(limit[worst]), int(t.corner_edge[worst])
