"""Delete with healing: edges go and the faces on both sides become one."""

from __future__ import annotations

import numpy as np
from scipy.sparse import coo_matrix
from scipy.sparse.csgraph import connected_components

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, ElementMap
from zinc_otter.core.cage.edits.chains import chains_of
from zinc_otter.core.cage.edits.splitting import same_corners
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Bools, Ints, Topology
from zinc_otter.core.errors import BadSelectionError


def heal(cage: Cage, selection: Selection) -> Edit:
    """Take picked edges away, or the edges at picked vertices, or those within picked faces; faces grow together.

    Vertices at which only two edges would be left go too, so that a whole loop leaves no trace. Each face that comes of
    it must have one border. Nothing stays selected. Raises BadSelectionError, UnsoundCageError.
    """
    t = cage.topology
    selection.check(t)
    gone = _edges_of(t, selection) & (t.edge_corners[:, 1] >= 0)
    if not gone.any():
        raise BadSelectionError("There is no edge between two faces here, so nothing can grow together.")
    pairs = t.edge_faces[gone]
    graph = coo_matrix((np.ones(len(pairs)), (pairs[:, 0], pairs[:, 1])), shape=(t.face_count,) * 2)
    group = np.asarray(connected_components(graph, directed=False)[1])
    together = np.bincount(group)[group] > 1
    # An edge with the same region on both sides goes as well; it would only stick into the face.
    first, second = t.edge_faces.T
    gone |= (second >= 0) & (group[first] == group[np.maximum(second, 0)])

    left = np.bincount(t.edge_verts[~gone].ravel(), minlength=t.vertex_count)
    touched = np.zeros(t.vertex_count, dtype=bool)
    touched[t.edge_verts[gone]] = True
    if selection.kind == "vertex":
        touched[selection.ids] = True
    dropped = touched & (left == 2)

    stays = ~gone[t.corner_edge] & together[t.corner_face]
    starts, ends = t.face_verts, t.face_verts[t.corner_next]
    loops: list[Ints] = []
    faces_of: list[int] = []
    for region in np.unique(group[together]):
        corners = np.flatnonzero(stays & (group[t.corner_face] == region))
        rings = chains_of(starts[corners], ends[corners])
        if len(rings) != 1 or not rings[0].closed:
            raise BadSelectionError(
                "The faces that would grow together leave a hole or touch themselves; they have no single border.",
                faces=np.flatnonzero(group == region),
            )
        loops.append(rings[0].verts)
        faces_of.append(int(np.flatnonzero(group == region)[0]))
    done = _rebuilt(cage, ~together, loops, faces_of, group, dropped)
    # Each dropped vertex makes two edges one. Fewer still means that two edges fell together and closed a hole.
    if done.cage.topology.edge_count != int((~gone).sum()) - int(dropped.sum()):
        raise BadSelectionError(
            "A hole or a face would be left with fewer than three corners; pick less.", vertices=np.flatnonzero(dropped)
        )
    return done


def _edges_of(t: Topology, selection: Selection) -> Bools:
    mask = np.zeros(t.edge_count, dtype=bool)
    if selection.kind == "edge":
        mask[selection.ids] = True
    elif selection.kind == "vertex":
        chosen = np.zeros(t.vertex_count, dtype=bool)
        chosen[selection.ids] = True
        mask |= chosen[t.edge_verts].any(axis=1)
    else:
        faces = np.zeros(t.face_count, dtype=bool)
        faces[selection.ids] = True
        first, second = t.edge_faces.T
        mask |= (second >= 0) & faces[first] & faces[np.maximum(second, 0)]
    return mask


def _rebuilt(
    cage: Cage, alone: Bools, loops: list[Ints], faces_of: list[int], group: Ints, dropped: Bools
) -> Edit:
    """Faces in their old order, a region at the place of its first face; dropped vertices leave every face."""
    t = cage.topology
    rings: dict[int, Ints] = dict(zip(faces_of, loops, strict=True))
    for face in np.flatnonzero(alone):
        rings[int(face)] = t.face_verts[t.face_offsets[face] : t.face_offsets[face + 1]]
    order = sorted(rings)
    kept = [ring[~dropped[ring]] for ring in (rings[face] for face in order)]
    slim = [face for face, ring in zip(order, kept, strict=True) if len(ring) < 3]
    if slim:
        raise BadSelectionError("A face would be left with fewer than three corners; pick less.", faces=slim)
    flat = np.concatenate(kept)
    used = np.zeros(t.vertex_count, dtype=bool)
    used[flat] = True
    number = np.where(used, np.cumsum(used) - 1, -1).astype(np.int32)
    offsets = np.concatenate([[0], np.cumsum([len(ring) for ring in kept])]).astype(np.int32)
    topology = Topology.checked(int(used.sum()), number[flat], offsets)
    place = {face: k for k, face in enumerate(order)}
    by_region = {int(group[face]): place[face] for face in faces_of}
    face_map = np.array([place[f] if alone[f] else by_region[int(group[f])] for f in range(t.face_count)], dtype=np.int32)
    return Edit(*_carried(cage, topology, number, used, face_map))


def _carried(
    cage: Cage, topology: Topology, number: Ints, used: Bools, face_map: Ints
) -> tuple[Cage, Selection, ElementMap]:
    t = cage.topology
    corner_map = same_corners(cage.topology, topology, face_map, number)
    # An edge goes on where both its ends do; where a vertex between two edges was dropped the sharper one counts.
    ends = number[t.edge_verts]
    edge_map = np.full(t.edge_count, -1, dtype=np.int32)
    next_vertex = np.where(corner_map >= 0, topology.corner_edge[np.maximum(corner_map, 0)], -1)
    follows = (next_vertex >= 0) & (corner_map >= 0)
    straight = follows & (ends[t.corner_edge] >= 0).all(axis=1)
    matches = np.zeros(t.corner_count, dtype=bool)
    new_ends = np.sort(topology.edge_verts[np.maximum(next_vertex, 0)], axis=1)
    matches[straight] = (np.sort(ends[t.corner_edge[straight]], axis=1) == new_ends[straight]).all(axis=1)
    edge_map[t.corner_edge[matches]] = next_vertex[matches]
    sharpness = np.zeros(topology.edge_count)
    there = edge_map >= 0
    np.maximum.at(sharpness, edge_map[there], cage.edge_sharpness[there])
    for corner in np.flatnonzero(follows & ~straight):
        edge = int(next_vertex[corner])
        if sharpness[edge] == 0 and number[t.face_verts[t.corner_next[corner]]] < 0:
            sharpness[edge] = cage.edge_sharpness[t.corner_edge[corner]]
    face_sets = {name: np.unique(face_map[faces]) for name, faces in cage.face_sets.items()}
    after = Cage(cage.positions[used], topology, sharpness, cage.vertex_sharpness[used], face_sets)
    return after, Selection.of("face", []), ElementMap(number, edge_map, face_map, corner_map)
