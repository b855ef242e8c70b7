"""Edge loops, edge rings and strips of faces, found by walking half-edges."""

from __future__ import annotations

from dataclasses import dataclass

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
    ahead, closed = _walk(t, first, edge)
    back = [] if closed else _walk(t, int(t.corner_twin[first]), edge)[0]
    return np.array([*reversed(back), edge, *ahead], dtype=np.int32)


@dataclass(frozen=True, eq=False)
class Ring:
    """Edges (k,) side by side across quads, in the order of the walk, and the ``faces`` between them.

    ``starts`` (k,) is the vertex of each edge that lies on the side of the first one's lower vertex. A closed ring has as
    many faces as edges, the last leading back to the first; of an open one ``faces`` may also begin or end it, where it
    comes to a border or meets itself.
    """

    edges: Ints
    starts: Ints
    faces: Ints
    closed: bool


def ring_through(t: Topology, edge: int) -> Ring:
    """The ring of an edge: on both sides as far as there are quads."""
    low = int(t.edge_verts[edge, 0])
    seen = {edge}
    ways: list[tuple[list[tuple[int, int]], list[int]]] = []
    closed = False
    for corner in t.edge_corners[edge].tolist():
        rungs: list[tuple[int, int]] = []
        faces: list[int] = []
        start_first = corner >= 0 and t.face_verts[corner] == low
        while corner >= 0 and t.face_sizes[t.corner_face[corner]] == 4 and not closed:
            faces.append(int(t.corner_face[corner]))
            # The far side of the quad runs the other way round.
            far = int(t.corner_next[t.corner_next[corner]])
            following = int(t.corner_edge[far])
            closed = following == edge
            if following in seen:
                break
            seen.add(following)
            rungs.append((following, int(t.face_verts[t.corner_next[far] if start_first else far])))
            corner = int(t.corner_twin[far])
        ways.append((rungs, faces))
        if closed:
            ways.append(([], []))
            break
    (ahead, faces_ahead), (back, faces_back) = ways
    order = [*reversed(back), (edge, low), *ahead]
    edges, starts = np.array(order, dtype=np.int32).T
    between = np.array(list(dict.fromkeys([*reversed(faces_back), *faces_ahead])), dtype=np.int32)
    return Ring(edges, starts, between, closed)


def edge_ring(t: Topology, edge: int) -> Ints:
    """Edges side by side with ``edge``, across quads, in the order of the walk."""
    return ring_through(t, edge).edges


def face_strip(t: Topology, edge: int) -> Ints:
    """The faces that lie between the edges of a ring, in the order of the walk: quads on both sides of ``edge``."""
    return ring_through(t, edge).faces


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


def straight_on(t: Topology, corner: int) -> int:
    """The half-edge straight on at the end of a half-edge: through an inner vertex of valence 4; else -1."""
    end = t.face_verts[t.corner_next[corner]]
    if t.vertex_valence[end] != 4 or t.on_border[end]:
        return -1
    return int(t.corner_next[t.corner_twin[t.corner_next[corner]]])


def _walk(t: Topology, corner: int, start: int) -> tuple[list[int], bool]:
    """The edges straight on from a half-edge, and whether they lead back to the first."""
    found: list[int] = []
    seen = {start}
    while (corner := straight_on(t, corner)) >= 0:
        edge = int(t.corner_edge[corner])
        if edge in seen:
            return found, edge == start
        seen.add(edge)
        found.append(edge)
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
