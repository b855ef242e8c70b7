"""Detach faces, join cages, turn faces over, and make normals agree."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, ElementMap, edges_between
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.cage.picking.growth import invert
from zinc_otter.core.cage.selection import Selection, middles_of, touching_faces
from zinc_otter.core.cage.shells import nesting, shell_volumes
from zinc_otter.core.cage.topology import Bools, Ints, Topology, joined_labels
from zinc_otter.core.errors import BadSelectionError


def detach(cage: Cage, selection: Selection) -> Edit:
    """Part the selected faces from the rest, in the same place: both sides get a border of their own.

    A crease along the cut stays on the faces that were picked and on those that were not. Raises BadSelectionError.
    """
    t = cage.topology
    selection.check(t)
    if selection.kind != "face":
        raise BadSelectionError("Detaching takes faces; pick faces first.")
    if len(selection) == t.face_count:
        raise BadSelectionError("All faces are picked; there is nothing to part them from.")
    mask = np.zeros(t.face_count, dtype=bool)
    mask[selection.ids] = True
    first, second = t.edge_faces.T
    between = np.flatnonzero((second >= 0) & (mask[first] != mask[np.maximum(second, 0)]))
    return torn(cage, between, selection, mask[t.corner_face])


def torn(cage: Cage, edges: Ints, selection: Selection, away: Bools | None = None) -> Edit:
    """Part the faces on both sides of ``edges`` (k,), in the same place; a vertex stays one where faces still go round.

    Both new edges are as sharp as the old one was. Old vertices and edges go on where the corners are that are not
    ``away`` (c,). The ``selection`` stays.
    """
    t = cage.topology
    cut = np.zeros(t.edge_count, dtype=bool)
    cut[edges] = True
    aside = np.zeros(t.corner_count, dtype=bool) if away is None else away
    # Corners of one vertex hang together where an edge between them is not cut.
    twin = t.corner_twin
    linked = np.flatnonzero((twin >= 0) & ~cut[t.corner_edge])
    fan = joined_labels(t.corner_count, np.column_stack([linked, t.corner_next[twin[linked]]])).astype(np.int64)
    # A fan that lies wholly away comes behind the others of its vertex.
    wholly = np.ones(int(fan.max()) + 1, dtype=bool)
    wholly[fan[~aside]] = False
    fan[wholly[fan]] += t.corner_count
    origin_fan, verts = np.unique(np.column_stack([t.face_verts, fan]), axis=0, return_inverse=True)
    verts = verts.reshape(-1).astype(np.int32)
    origin = origin_fan[:, 0]
    topology = Topology.checked(len(origin), verts, t.face_offsets)
    edge_sharpness = np.zeros(topology.edge_count)
    edge_sharpness[topology.corner_edge] = cage.edge_sharpness[t.corner_edge]
    after = Cage(
        cage.positions[origin], topology, edge_sharpness, cage.vertex_sharpness[origin], cage.face_sets
    )
    edge_map = np.empty(t.edge_count, dtype=np.int32)
    for side in (aside, ~aside):
        edge_map[t.corner_edge[side]] = topology.corner_edge[side]
    vertex_map = np.searchsorted(origin, np.arange(t.vertex_count)).astype(np.int32)
    same = ElementMap.identity(t)
    rest = np.empty_like(after.positions)
    rest[verts] = 0.999 * cage.positions[t.face_verts] + 0.001 * middles_of(cage, "face")[t.corner_face]
    return Edit(after, selection, ElementMap(vertex_map, edge_map, same.faces, same.corners), rest)


def taken_out(cage: Cage, selection: Selection) -> tuple[Edit, Edit]:
    """The selected faces as a cage of their own, and what is left of this one. Raises BadSelectionError."""
    faces = Selection.of("face", touching_faces(cage.topology, selection))
    selection.check(cage.topology)
    if len(faces) == cage.topology.face_count:
        raise BadSelectionError("All faces are picked; there is nothing to part them from.")
    return delete_elements(cage, invert(cage.topology, faces)), delete_elements(cage, faces)


def joined(cages: Sequence[Cage]) -> tuple[Cage, list[ElementMap]]:
    """Several cages as one, each as it stands; face sets of one name become one."""
    verts = np.cumsum([0, *(c.topology.vertex_count for c in cages)])
    corners = np.cumsum([0, *(c.topology.corner_count for c in cages)])
    faces = np.cumsum([0, *(c.topology.face_count for c in cages)])
    flat = np.concatenate([c.topology.face_verts + v for c, v in zip(cages, verts, strict=False)])
    offsets = np.concatenate([[0], *(c.topology.face_offsets[1:] + k for c, k in zip(cages, corners, strict=False))])
    topology = Topology.checked(int(verts[-1]), flat.astype(np.int32), offsets.astype(np.int32))
    edge_sharpness = np.zeros(topology.edge_count)
    maps = []
    sets: dict[str, list[Ints]] = {}
    for k, cage in enumerate(cages):
        t = cage.topology
        edges = edges_between(topology, t.edge_verts + verts[k])
        edge_sharpness[edges] = cage.edge_sharpness
        maps.append(
            ElementMap(
                (np.arange(t.vertex_count) + verts[k]).astype(np.int32),
                edges,
                (np.arange(t.face_count) + faces[k]).astype(np.int32),
                (np.arange(t.corner_count) + corners[k]).astype(np.int32),
            )
        )
        for name, ids in cage.face_sets.items():
            sets.setdefault(name, []).append(ids + faces[k])
    whole = Cage(
        np.concatenate([c.positions for c in cages]), topology, edge_sharpness,
        np.concatenate([c.vertex_sharpness for c in cages]),
        {name: np.concatenate(parts) for name, parts in sets.items()},
    )  # fmt: skip
    return whole, maps


def flip(cage: Cage, selection: Selection) -> Edit:
    """Turn whole shells over, outside in: every shell of which something is picked."""
    t = cage.topology
    selection.check(t)
    return _flipped(cage, selection, np.unique(t.face_shell[touching_faces(t, selection)]))


def agree(cage: Cage, selection: Selection) -> Edit:
    """Make all shells look outwards: closed ones hold a positive volume, those within another one a negative; open
    ones look away from their own middle. Raises BadSelectionError where they all do already.
    """
    t = cage.topology
    volumes = shell_volumes(cage)
    depth = nesting(cage)
    wrong = np.flatnonzero(np.where(depth % 2 == 0, volumes < 0, volumes > 0))
    if not len(wrong):
        raise BadSelectionError("All faces look outwards already.")
    selection.check(t)
    return _flipped(cage, selection, wrong)


def _flipped(cage: Cage, selection: Selection, shells: Ints) -> Edit:
    t = cage.topology
    turns = np.isin(t.face_shell, shells)[t.corner_face]
    back = t.turned_over
    source = np.where(turns, back, np.arange(t.corner_count))
    topology = Topology.checked(t.vertex_count, t.face_verts[source], t.face_offsets)
    # Turning over twice is standing still, so that the same array leads there and back.
    after = Cage(cage.positions, topology, cage.edge_sharpness, cage.vertex_sharpness, cage.face_sets)
    same = ElementMap.identity(t)
    return Edit(after, selection, ElementMap(same.vertices, same.edges, same.faces, source.astype(np.int32)))
