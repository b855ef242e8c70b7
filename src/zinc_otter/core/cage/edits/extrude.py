"""Extrude faces: each connected group moves along its own mean normal, and walls grow from its rim."""

from __future__ import annotations

from collections.abc import Callable, Sequence

import numpy as np
from scipy.sparse import coo_matrix
from scipy.sparse.csgraph import connected_components

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, carried
from zinc_otter.core.cage.selection import Selection, mean_normal
from zinc_otter.core.cage.topology import Floats, Ints, Topology
from zinc_otter.core.errors import BadNumberError, BadSelectionError

LEAST_DISTANCE = 1e-6


def extrude_faces(cage: Cage, selection: Selection, distance: float) -> Edit:
    """Extrude the selected faces by ``distance`` mm; a negative one goes inwards.

    Faces that share an edge move as one group, along the group's mean normal. The moved faces stay selected, so that
    extruding again goes on. A crease on the rim stays at the foot of the new wall; one inside the group moves with it.
    Raises BadSelectionError (no faces, a whole closed shell, a group without a mean normal), BadNumberError.
    """
    if not np.isfinite(distance) or abs(distance) < LEAST_DISTANCE:
        raise BadNumberError("An extrusion needs a distance other than 0.")

    def shift(faces: Ints) -> Floats:
        return mean_normal(cage, Selection.of("face", faces)) * distance

    return _extruded(cage, selection, shift)


def extrude_along(cage: Cage, selection: Selection, vector: Sequence[float]) -> Edit:
    """Extrude the selected faces by one ``vector`` (3,) mm, otherwise as :func:`extrude_faces`."""
    step = np.asarray(vector, dtype=np.float64)
    if not np.isfinite(step).all() or np.linalg.norm(step) < LEAST_DISTANCE:
        raise BadNumberError("An extrusion needs a distance other than 0.")
    return _extruded(cage, selection, lambda faces: step)


def _extruded(cage: Cage, selection: Selection, shift_of: Callable[[Ints], Floats]) -> Edit:
    """``shift_of`` gives each connected group of faces its vector (3,)."""
    if selection.kind != "face":
        raise BadSelectionError("Extruding takes faces; pick faces first.")
    t = cage.topology
    selection.check(t)
    chosen = np.zeros(t.face_count, dtype=bool)
    chosen[selection.ids] = True
    in_corner = chosen[t.corner_face]
    across = np.where(t.corner_twin >= 0, t.corner_face[np.maximum(t.corner_twin, 0)], -1)
    rim = np.flatnonzero(in_corner & ~((across >= 0) & chosen[np.maximum(across, 0)])).astype(np.int32)
    groups = _groups(t, selection.ids, chosen)
    _refuse_rimless(t, selection.ids, groups, rim)

    shift = np.zeros((t.face_count, 3))
    for group in range(groups.max() + 1):
        faces = selection.ids[groups == group]
        shift[faces] = shift_of(faces)

    # Around a rim vertex each fan of chosen faces gets a vertex of its own, so that groups touching in a point part.
    on_rim = np.zeros(t.vertex_count, dtype=bool)
    on_rim[t.face_verts[rim]] = True
    on_rim[t.face_verts[t.corner_next[rim]]] = True
    inner = np.flatnonzero(in_corner).astype(np.int32)
    fans = t.vertex_fans(inner)
    lifted = inner[on_rim[t.face_verts[inner]]]
    _, first, slot = np.unique(fans[on_rim[t.face_verts[inner]]], return_index=True, return_inverse=True)
    new_verts = t.face_verts.copy()
    new_verts[lifted] = t.vertex_count + slot.reshape(-1)

    positions = np.concatenate([cage.positions, cage.positions[t.face_verts[lifted[first]]]])
    # Every corner of one fan lies in one group, so writing the shift corner by corner is unambiguous.
    moved = np.zeros_like(positions)
    moved[new_verts[inner]] = shift[t.corner_face[inner]]
    positions = positions + moved

    ahead = t.corner_next[rim]
    walls = np.column_stack([t.face_verts[rim], t.face_verts[ahead], new_verts[ahead], new_verts[rim]])
    face_verts = np.concatenate([new_verts, walls.ravel()]).astype(np.int32)
    offsets = np.concatenate([t.face_offsets, t.corner_count + 4 * np.arange(1, len(walls) + 1)]).astype(np.int32)
    topology = Topology.checked(len(positions), face_verts, offsets)

    corners = np.arange(t.corner_count, dtype=np.int32)
    order = np.concatenate([corners[in_corner], corners[~in_corner]])
    vertex_map = np.arange(t.vertex_count, dtype=np.int32)
    new_cage, went = carried(cage, positions, topology, vertex_map, corners, order)
    return Edit(new_cage, selection, went)


def _groups(t: Topology, faces: Ints, chosen: np.ndarray) -> Ints:
    """(k,) label of the edge-connected group of each chosen face."""
    local = np.full(t.face_count, -1, dtype=np.int32)
    local[faces] = np.arange(len(faces), dtype=np.int32)
    a, b = t.edge_faces.T
    joined = (b >= 0) & chosen[a] & chosen[np.maximum(b, 0)]
    graph = coo_matrix((np.ones(joined.sum()), (local[a[joined]], local[b[joined]])), shape=(len(faces),) * 2)
    return np.asarray(connected_components(graph, directed=False)[1], dtype=np.int32)


def _refuse_rimless(t: Topology, faces: Ints, groups: Ints, rim: Ints) -> None:
    with_rim = np.unique(groups[np.searchsorted(faces, t.corner_face[rim])])
    rimless = np.setdiff1d(np.unique(groups), with_rim)
    if len(rimless):
        bad = faces[np.isin(groups, rimless)]
        raise BadSelectionError(
            "A whole closed form has no rim to extrude from; leave at least one of its faces out.", faces=bad
        )
