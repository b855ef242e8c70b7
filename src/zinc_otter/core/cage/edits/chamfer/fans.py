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
    touched = np.unique(t.edge_verts[chosen])
    for vertex in touched.tolist():
        corners = list(_around(t, vertex, chosen))
        is_border = bool(t.on_border[vertex])
        if is_border:
            fans.on_border.add(vertex)
        marks = [bool(chosen[t.corner_edge[c]]) for c in corners]
        if sum(marks) == 1 and not is_border:
            _end(cage, fans, vertex, corners, touched)
            continue
        begin = 0
        for k in range(1, len(corners) + 1):
            if k < len(corners) and not marks[k]:
                continue
            sector = corners[begin:k]
            starts = marks[begin]
            stops = k < len(corners) or not is_border
            edge = int(t.corner_edge[sector[0]]) if starts else -1
            made = fans.new(vertex, _drift(cage, vertex, sector, starts, stops))
            for corner in sector:
                fans.rings[corner] = [made]
            fans.sectors.setdefault(vertex, []).append((made, edge))
            begin = k
    return fans


def _around(t: Topology, vertex: int, chosen: Bools) -> Iterator[int]:
    """The corners at a vertex, counter-clockwise: from its border, or from a chosen edge, on."""
    at = np.flatnonzero(t.face_verts == vertex)
    begins = t.corner_twin[at] < 0 if t.on_border[vertex] else chosen[t.corner_edge[at]]
    start = int(at[begins][0])
    corner = start
    while True:
        yield corner
        corner = int(t.corner_twin[t.corner_prev[corner]])
        if corner in (-1, start):
            return


def _end(cage: Cage, fans: Fans, vertex: int, corners: list[int], touched: Ints) -> None:
    t = cage.topology
    n = len(corners)
    first, last = corners[0], corners[-1]
    edge = int(t.corner_edge[first])
    if n < 3:
        raise BadSelectionError(
            "A chamfer cannot end at a vertex of two edges; heal that vertex away first.", vertices=[vertex]
        )
    left = fans.new(vertex, _along(cage, vertex, first, ahead=False, of_edge=edge))
    right = fans.new(vertex, _along(cage, vertex, last, ahead=True, of_edge=edge))
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


def _drift(cage: Cage, vertex: int, sector: list[int], starts: bool, stops: bool) -> Floats:
    """(3,) by how much a sector's vertex moves for each mm, so that it is 1 mm from the chamfered edges beside it."""
    t = cage.topology
    first, last = sector[0], sector[-1]
    if not starts:
        return _along(cage, vertex, last, ahead=True, of_edge=int(t.corner_edge[t.corner_prev[last]]))
    if not stops:
        return _along(cage, vertex, first, ahead=False, of_edge=int(t.corner_edge[first]))
    inward_first = _inward(cage, first, int(t.corner_edge[first]))
    inward_last = _inward(cage, last, int(t.corner_edge[t.corner_prev[last]]))
    if len(sector) == 2:
        along = _direction(cage, vertex, int(t.corner_edge[t.corner_prev[first]]))
        gain = float(along @ (inward_first + inward_last)) / 2
        _check_gain(gain, vertex)
        return along / gain
    normals = [cage.face_normals[t.corner_face[c]] for c in (first, last)]
    rows = np.array([inward_first, inward_last, *normals])
    return np.asarray(np.linalg.lstsq(rows, np.array([1.0, 1.0, 0.0, 0.0]), rcond=1e-3)[0])


def _along(cage: Cage, vertex: int, corner: int, ahead: bool, of_edge: int) -> Floats:
    """(3,) along the other edge of a corner, so far that the distance to ``of_edge`` within the face is 1."""
    t = cage.topology
    other = int(t.corner_edge[corner if ahead else t.corner_prev[corner]])
    along = _direction(cage, vertex, other)
    gain = float(along @ _inward(cage, corner, of_edge))
    _check_gain(gain, vertex)
    return along / gain


def _direction(cage: Cage, vertex: int, edge: int) -> Floats:
    a, b = cage.topology.edge_verts[edge]
    other = int(b if a == vertex else a)
    return unit(cage.positions[other] - cage.positions[vertex])


def _inward(cage: Cage, corner: int, edge: int) -> Floats:
    """(3,) unit direction within the corner's face, square to one of its edges."""
    t = cage.topology
    face = int(t.corner_face[corner])
    a, b = cage.positions[t.edge_verts[edge]]
    # The face's own ring tells on which side it lies.
    ring = t.corner_edge[t.face_offsets[face] : t.face_offsets[face + 1]].tolist()
    half = int(t.face_offsets[face]) + ring.index(edge)
    along = unit(b - a) if t.face_verts[half] == t.edge_verts[edge, 0] else unit(a - b)
    return np.asarray(unit(np.cross(_normal_at(cage, corner), along)))


def _normal_at(cage: Cage, corner: int) -> Floats:
    """(3,) normal of the two edges at a corner: of its face as it lies there; of the face where they are one line."""
    t = cage.topology
    p = cage.positions
    here = p[t.face_verts[corner]]
    out, back = p[t.face_verts[t.corner_next[corner]]] - here, p[t.face_verts[t.corner_prev[corner]]] - here
    cross = np.cross(out, back)
    mean = cage.face_normals[t.corner_face[corner]]
    bent = unit(cross)
    flat = np.linalg.norm(cross) < _SHARPEST * np.linalg.norm(out) * np.linalg.norm(back)
    return np.asarray(mean if flat or bent @ mean <= 0 else bent)


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
