"""Edge loops, edge rings and strips of faces, found by walking half-edges."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Ints, Topology
from zinc_otter.core.errors import BadSelectionError


def edge_loop(t: Topology, edge: int) -> Ints:
    """Edges straight on from ``edge`` both ways, in the order of the walk: through interior vertices of valence 4.

    An open edge leads along its whole border. Where the walk meets any other vertex, or itself, it ends.
    """
    if t.edge_corners[edge, 1] < 0:
        return _border_of(t, edge)
    first = int(t.edge_corners[edge, 0])
    return _both_ways(t, first, int(t.corner_twin[first]), _straight_on)


def edge_ring(t: Topology, edge: int) -> Ints:
    """Edges side by side with ``edge``, across quads, in the order of the walk."""
    first, second = (int(c) for c in t.edge_corners[edge])
    return _both_ways(t, first, second, _across)


def face_strip(t: Topology, edge: int) -> Ints:
    """The faces that lie between the edges of a ring, in the order of the walk: quads on both sides of ``edge``."""
    ways: list[list[int]] = []
    crossed = {edge}
    for corner in t.edge_corners[edge].tolist():
        faces: list[int] = []
        while corner >= 0 and t.face_sizes[t.corner_face[corner]] == 4:
            faces.append(int(t.corner_face[corner]))
            corner = t.corner_next[t.corner_next[corner]]
            if int(t.corner_edge[corner]) in crossed:
                break
            crossed.add(int(t.corner_edge[corner]))
            corner = int(t.corner_twin[corner])
        ways.append(faces)
    ahead, back = ways
    return np.array(list(dict.fromkeys([*reversed(back), *ahead])), dtype=np.int32)


def loops_of(t: Topology, selection: Selection, towards: int | None = None) -> Selection:
    """The loops through what is picked, in its own kind.

    Edges: each one's loop. Vertices: the loops of the edges between picked ones. Faces: the strips that lead from one
    picked face to its picked neighbour. A single vertex or face takes its way from the edge ``towards``, which must be
    one of its own. Raises BadSelectionError.
    """
    selection.check(t)
    if selection.kind == "edge":
        found = [edge_loop(t, int(edge)) for edge in selection.ids]
    else:
        edges = _leading(t, selection, towards)
        walk = edge_loop if selection.kind == "vertex" else face_strip
        found = [walk(t, int(edge)) for edge in edges]
        if selection.kind == "vertex":
            found = [t.edge_verts[edges].ravel() for edges in found]
    return Selection.of(selection.kind, np.concatenate([*found, selection.ids]))


def rings_of(t: Topology, selection: Selection, towards: int | None = None) -> Selection:
    """The rings through picked edges; of faces the strips, and of vertices the ends of the rings' edges."""
    selection.check(t)
    edges = selection.ids if selection.kind == "edge" else _leading(t, selection, towards)
    rings = np.concatenate([edge_ring(t, int(edge)) for edge in edges])
    if selection.kind == "edge":
        return Selection.of("edge", rings)
    if selection.kind == "vertex":
        return Selection.of("vertex", np.concatenate([t.edge_verts[rings].ravel(), selection.ids]))
    return loops_of(t, selection, towards)


def _leading(t: Topology, selection: Selection, towards: int | None) -> Ints:
    """The edges that give vertices or faces a direction."""
    members = np.isin(t.edge_verts if selection.kind == "vertex" else t.edge_faces, selection.ids)
    edges = np.flatnonzero(members.all(axis=1))
    if len(edges) == 0 and towards is not None:
        if not 0 <= towards < t.edge_count or not members[towards].any():
            raise BadSelectionError("The edge that gives the direction does not belong to what is picked.")
        edges = np.array([towards])
    if len(edges) == 0:
        neighbour = "vertex" if selection.kind == "vertex" else "face"
        raise BadSelectionError(f"Pick a second {neighbour} beside the first, so that the loop has a direction.")
    return edges.astype(np.int32)


def _straight_on(t: Topology, corner: int) -> int:
    """The half-edge straight on at the end of a half-edge, or -1."""
    end = t.face_verts[t.corner_next[corner]]
    if t.vertex_valence[end] != 4 or t.on_border[end]:
        return -1
    return int(t.corner_next[t.corner_twin[t.corner_next[corner]]])


def _across(t: Topology, corner: int) -> int:
    """The half-edge on the far side of a quad, seen from within the next face; -1 past the last."""
    if corner < 0 or t.face_sizes[t.corner_face[corner]] != 4:
        return -1
    return int(t.corner_next[t.corner_next[corner]])


def _both_ways(t: Topology, first: int, second: int, onward: object) -> Ints:
    """Walk from an edge's two half-edges; the second way is put before the first."""
    start = int(t.corner_edge[first])
    ahead, closed = _walk(t, first, start, onward)
    back: list[int] = [] if closed or second < 0 else _walk(t, second, start, onward)[0]
    return np.array([*reversed(back), start, *ahead], dtype=np.int32)


def _walk(t: Topology, corner: int, start: int, onward: object) -> tuple[list[int], bool]:
    found: list[int] = []
    seen = {start}
    while True:
        corner = onward(t, corner)  # type: ignore[operator]
        if corner < 0:
            return found, False
        edge = int(t.corner_edge[corner])
        if edge in seen:
            return found, edge == start
        seen.add(edge)
        found.append(edge)
        if onward is _across:
            # The next quad lies on the other side of the edge just reached.
            corner = int(t.corner_twin[corner])
            if corner < 0:
                return found, False


def _border_of(t: Topology, edge: int) -> Ints:
    ends = t.edge_verts[t.open_edges]
    at: dict[int, list[int]] = {}
    for open_edge, pair in zip(t.open_edges.tolist(), ends.tolist(), strict=True):
        for vertex in pair:
            at.setdefault(vertex, []).append(open_edge)
    found, vertex = [edge], int(t.edge_verts[edge, 1])
    while True:
        following = next(e for e in at[vertex] if e != found[-1])
        if following == edge:
            return np.array(found, dtype=np.int32)
        found.append(following)
        a, b = t.edge_verts[following]
        vertex = int(b if a == vertex else a)
