"""Spin an edge: it goes on to the next corners of the two faces that it parts."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.building.reringing import reringed
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, edges_between
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Ints, Topology
from zinc_otter.core.errors import BadSelectionError


def spin(cage: Cage, selection: Selection, *, backwards: bool = False, contrary: Ints | None = None) -> Edit:
    """Turn each picked edge on by one corner, counter-clockwise seen from outside, or ``backwards``.

    Edges among ``contrary`` (k,) go the other way, such as those in a mirror.

    Both faces keep their number of corners. The edges stay selected, and keep their sharpness. Raises
    BadSelectionError: an open edge, two picked edges of one face, a vertex that would keep two edges only, an edge that
    is there already.

    >>> from zinc_otter.core.primitives import plane
    >>> sheet = plane((20, 10), (2, 1))
    >>> inner = Selection.of("edge", np.setdiff1d(np.arange(sheet.topology.edge_count), sheet.topology.open_edges))
    >>> was, now = sheet.topology.edge_verts[inner.ids[0]], spin(sheet, inner)
    >>> now.cage.topology.edge_verts[now.selected.ids[0]].tolist() != was.tolist()
    True
    """
    t = cage.topology
    selection.check(t)
    if selection.kind != "edge":
        raise BadSelectionError("Pick edges to spin them.")
    edges = selection.ids
    lone = edges[t.edge_corners[edges, 1] < 0]
    if len(lone):
        raise BadSelectionError("An open edge has one face only, so it cannot spin.", edges=lone)
    faces, times = np.unique(t.edge_faces[edges], return_counts=True)
    if times.max() > 1:
        raise BadSelectionError("Two edges of one face cannot spin at once; pick one of them.", faces=faces[times > 1])
    left = np.bincount(t.edge_verts[edges].ravel(), minlength=t.vertex_count)
    few = np.flatnonzero((left > 0) & (t.vertex_valence - left < np.where(t.on_border, 2, 3)))
    if len(few):
        raise BadSelectionError("A vertex would be left with two edges; that edge cannot spin.", vertices=few)
    rings: list[tuple[list[int], list[int]]] = []
    pairs = []
    for edge in edges.tolist():
        first, second = t.edge_corners[edge].tolist()
        around = _loop(t, first)[1:] + _loop(t, second)[1:]
        # The loop around both faces: from the end of the edge through the first face, back through the second.
        size = len(_loop(t, first)) - 1
        other_way = contrary is not None and bool(np.isin(edge, contrary))
        shift = -1 if backwards != other_way else 1
        loop = around[shift:] + around[:shift]
        rings.append(([int(t.corner_face[first])], [*loop[:size], loop[size]]))
        rings.append(([int(t.corner_face[second])], [*loop[size:], loop[0]]))
        pairs.append((loop[0], loop[size]))
    made = np.array(pairs, dtype=np.int64)
    there = edges_between(t, made)
    if (there >= 0).any() or len(np.unique(np.sort(made, axis=1), axis=0)) < len(made):
        raise BadSelectionError("Where the edge would go there is one already.", edges=there[there >= 0])
    done = reringed(cage, cage.positions, rings, [(made, cage.edge_sharpness[edges])])
    after = edges_between(done.cage.topology, done.verts[made])
    return Edit(done.cage, Selection.of("edge", after), done.old_to_new)


def _loop(t: Topology, corner: int) -> list[int]:
    """The vertices of a corner's face, from that corner on."""
    face = int(t.corner_face[corner])
    ring = t.face_verts[t.face_offsets[face] : t.face_offsets[face + 1]].tolist()
    at = corner - int(t.face_offsets[face])
    return [int(v) for v in ring[at:] + ring[:at]]
