"""What lies between two picked elements: the shorter way along their strip, ring or loop, else a shortest chain."""

from __future__ import annotations

from collections.abc import Callable, Iterable

import numpy as np
from scipy.sparse import coo_matrix
from scipy.sparse.csgraph import breadth_first_order

from zinc_otter.core.cage.picking.loops import edge_loop, edge_ring, face_strip
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Ints, Topology
from zinc_otter.core.errors import BadSelectionError


def band(t: Topology, selection: Selection) -> Selection:
    """Both picked elements and all between them.

    Faces that lie on one strip, and edges that lie on one ring or loop, are joined along it, the shorter way round.
    Others are joined by a shortest chain of neighbours: faces and edges over shared edges and vertices, vertices along
    edges. Raises BadSelectionError unless two elements are picked that hang together.
    """
    selection.check(t)
    if len(selection) != 2:
        raise BadSelectionError(f"A band lies between two picked elements; {len(selection)} are picked.")
    a, b = (int(i) for i in selection.ids)
    ways = [way for way in _straight_ways(t, selection.kind, a) if b in way]
    if ways:
        parts = [_between(t, selection.kind, way, a, b) for way in ways]
        return Selection.of(selection.kind, min(parts, key=len))
    return Selection.of(selection.kind, _chain(t, selection.kind, a, b))


def _straight_ways(t: Topology, kind: str, start: int) -> Iterable[Ints]:
    if kind == "face":
        corners = np.arange(t.face_offsets[start], t.face_offsets[start + 1])
        # The two strips through a quad cross its first and its second edge.
        return [face_strip(t, int(e)) for e in t.corner_edge[corners[:2]]] if len(corners) == 4 else []
    if kind == "edge":
        return [edge_ring(t, start), edge_loop(t, start)]
    return []


def _between(t: Topology, kind: str, way: Ints, a: int, b: int) -> Ints:
    """The part of a walk from a to b; of a closed walk the shorter part."""
    i, j = sorted(int(np.flatnonzero(way == x)[0]) for x in (a, b))
    inner, outer = way[i : j + 1], np.concatenate([way[j:], way[: i + 1]])
    closed = len(way) > 2 and _adjacent(t, kind)(int(way[0]), int(way[-1]))
    return outer if closed and len(outer) < len(inner) else inner


def _adjacent(t: Topology, kind: str) -> Callable[[int, int], bool]:
    if kind == "face":
        pairs = {tuple(sorted(pair)) for pair in t.edge_faces.tolist()}
        return lambda a, b: (min(a, b), max(a, b)) in pairs
    # Edges of a loop share a vertex, those of a ring a face.
    return lambda a, b: bool(
        np.intersect1d(t.edge_verts[a], t.edge_verts[b]).size
        or np.setdiff1d(np.intersect1d(t.edge_faces[a], t.edge_faces[b]), [-1]).size
    )


def _chain(t: Topology, kind: str, a: int, b: int) -> list[int]:
    """A shortest chain from a to b, by breadth-first search."""
    if kind == "vertex":
        pairs, count = t.edge_verts, t.vertex_count
    elif kind == "face":
        pairs, count = t.edge_faces[t.edge_faces[:, 1] >= 0], t.face_count
    else:
        pairs, count = _edges_in_touch(t), t.edge_count
    graph = coo_matrix((np.ones(len(pairs)), (pairs[:, 0], pairs[:, 1])), shape=(count, count)).tocsr()
    _, before = breadth_first_order(graph, a, directed=False)
    chain = [b]
    while chain[-1] != a:
        previous = int(before[chain[-1]])
        if previous < 0:
            raise BadSelectionError("The two picked elements do not hang together, so nothing lies between them.")
        chain.append(previous)
    return chain


def _edges_in_touch(t: Topology) -> Ints:
    """(k, 2) pairs of edges that share a vertex: each corner's edge and the edge of the corner before it."""
    return np.column_stack([t.corner_edge, t.corner_edge[t.corner_prev]])
