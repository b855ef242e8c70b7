"""Grow, shrink, invert, all, and the border of what is picked."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.selection import Kind, Selection, count_of
from zinc_otter.core.cage.topology import Bools, Topology
from zinc_otter.core.errors import BadSelectionError


def everything(t: Topology, kind: Kind) -> Selection:
    """All elements of a kind."""
    return Selection.of(kind, np.arange(count_of(t, kind)))


def invert(t: Topology, selection: Selection) -> Selection:
    """What is not picked."""
    return Selection.of(selection.kind, np.setdiff1d(np.arange(count_of(t, selection.kind)), selection.ids))


def grow(t: Topology, selection: Selection) -> Selection:
    """The picked and their neighbours: faces and edges that share a vertex, vertices that share an edge.

    >>> from zinc_otter.core.primitives import plane
    >>> len(grow(plane((30, 30), (3, 3)).topology, Selection.of("face", [4])))
    9
    """
    return Selection.of(selection.kind, np.flatnonzero(_grown(t, selection.kind, _mask(t, selection))))


def shrink(t: Topology, selection: Selection) -> Selection:
    """The picked less those that have a neighbour which is not picked.

    >>> from zinc_otter.core.primitives import plane
    >>> t = plane((50, 50), (5, 5)).topology
    >>> shrink(t, grow(t, Selection.of("face", [12]))).ids.tolist()
    [12]
    """
    return Selection.of(selection.kind, np.flatnonzero(~_grown(t, selection.kind, ~_mask(t, selection))))


def border(t: Topology, selection: Selection) -> Selection:
    """The edges around picked faces, open ones among them; with nothing picked, all open edges.

    Raises BadSelectionError for vertices and edges, and where there is no border.
    """
    if len(selection) == 0:
        edges = t.open_edges
    elif selection.kind != "face":
        raise BadSelectionError("The border runs around picked faces; pick faces first.")
    else:
        chosen = _mask(t, selection)
        first, second = t.edge_faces.T
        edges = np.flatnonzero(chosen[first] != ((second >= 0) & chosen[np.maximum(second, 0)]))
    if len(edges) == 0:
        raise BadSelectionError("There is no border here: the form is closed.")
    return Selection.of("edge", edges)


def _mask(t: Topology, selection: Selection) -> Bools:
    mask = np.zeros(count_of(t, selection.kind), dtype=bool)
    mask[selection.ids] = True
    return mask


def _grown(t: Topology, kind: Kind, mask: Bools) -> Bools:
    if kind == "vertex":
        grown = mask.copy()
        a, b = t.edge_verts.T
        grown[a[mask[b]]] = True
        grown[b[mask[a]]] = True
        return grown
    touched = np.zeros(t.vertex_count, dtype=bool)
    if kind == "edge":
        touched[t.edge_verts[mask]] = True
        return np.asarray(touched[t.edge_verts].any(axis=1))
    touched[t.face_verts[mask[t.corner_face]]] = True
    return np.asarray(np.logical_or.reduceat(touched[t.face_verts], t.face_offsets[:-1]))
