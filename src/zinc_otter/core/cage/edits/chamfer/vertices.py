"""Chamfer vertices: each becomes a face across its edges."""

from __future__ import annotations

from collections.abc import Callable

import numpy as np

from zinc_otter.core.cage.building.reringing import reringed
from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.edits.chamfer.fans import check_asked
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.words import fine_length_words


def chamfer_vertices(cage: Cage, selection: Selection, distance: float) -> Edit:
    """Cut off each picked vertex, ``distance`` mm along each of its edges; at a border the cut is open.

    The new faces are selected. Raises BadSelectionError (more than an edge allows, with how much it does), BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 10), (1, 1, 1))
    >>> chamfer_vertices(cage, Selection.of("vertex", [0]), 2.0).cage.topology.face_count
    7
    """
    t = cage.topology
    check_asked(t, selection, "vertex", distance)
    cut = np.zeros(t.vertex_count, dtype=bool)
    cut[selection.ids] = True
    ends = cut[t.edge_verts]
    length = np.linalg.norm(np.diff(cage.positions[t.edge_verts], axis=1)[:, 0], axis=1)
    room = np.where(ends.any(axis=1), length / np.maximum(ends.sum(axis=1), 1), np.inf)
    worst = int(np.argmin(room))
    if distance >= 0.999 * room[worst]:
        raise BadSelectionError(
            f"There is room for a chamfer of {fine_length_words(room[worst])} here; {fine_length_words(distance)} would "
            f"use up an edge.",
            edges=[worst],
        )
    # One new vertex for each picked end of an edge.
    edge, side = np.nonzero(ends)
    number = np.full((t.edge_count, 2), -1, dtype=np.int64)
    number[edge, side] = t.vertex_count + np.arange(len(edge))
    here = t.edge_verts[edge, side]
    towards = unit(cage.positions[t.edge_verts[edge, 1 - side]] - cage.positions[here])
    positions = np.concatenate([cage.positions, cage.positions[here] + distance * towards])

    def on(corner: int, vertex: int) -> int:
        e = int(t.corner_edge[corner])
        return int(number[e, 0 if t.edge_verts[e, 0] == vertex else 1])

    rings: list[tuple[list[int], list[int]]] = []
    leaving = t.face_verts.astype(np.int64)
    corner_verts = np.where(cut[t.face_verts], -1, leaving)
    for face in np.unique(t.corner_face[cut[t.face_verts]]).tolist():
        ring: list[int] = []
        for corner in range(int(t.face_offsets[face]), int(t.face_offsets[face + 1])):
            vertex = int(t.face_verts[corner])
            if not cut[vertex]:
                ring.append(vertex)
                continue
            ring += [on(int(t.corner_prev[corner]), vertex), on(corner, vertex)]
            leaving[corner] = ring[-1]
        rings.append(([face], ring))
    caps = [_cap(cage, int(v), on) for v in selection.ids]
    rings += [([], cap) for cap in caps if cap]
    kept = np.where(number >= 0, number, t.edge_verts)
    split = [(kept[ends.any(axis=1)], cage.edge_sharpness[ends.any(axis=1)])]
    done = reringed(cage, positions, rings, split, corner_verts, leaving)
    rest = np.concatenate([cage.positions, cage.positions[here]])[np.flatnonzero(done.verts >= 0)]
    # Caps come of no old face, so they are those that none of the parts is.
    made = np.setdiff1d(np.arange(done.cage.topology.face_count), done.face_parts[:, 1])
    fresh = made[~np.isin(made, done.old_to_new.faces)]
    return Edit(done.cage, Selection.of("face", fresh), done.old_to_new, rest)


def _cap(cage: Cage, vertex: int, on: Callable[[int, int], int]) -> list[int]:
    """The new vertices around a cut one, counter-clockwise; none on a border, where the cut is open."""
    t = cage.topology
    at = np.flatnonzero(t.face_verts == vertex)
    if t.on_border[vertex]:
        return []
    corner = start = int(at[0])
    ring = []
    while True:
        ring.append(on(corner, vertex))
        corner = int(t.corner_twin[t.corner_prev[corner]])
        if corner == start:
            return ring
