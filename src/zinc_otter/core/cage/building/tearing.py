"""Open a cage along edges."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, ElementMap
from zinc_otter.core.cage.selection import Selection, middles_of
from zinc_otter.core.cage.topology import Bools, Ints, Topology, joined_labels


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
    after = Cage(cage.positions[origin], topology, edge_sharpness, cage.vertex_sharpness[origin], cage.face_sets)
    edge_map = np.empty(t.edge_count, dtype=np.int32)
    for side in (aside, ~aside):
        edge_map[t.corner_edge[side]] = topology.corner_edge[side]
    vertex_map = np.searchsorted(origin, np.arange(t.vertex_count)).astype(np.int32)
    same = ElementMap.identity(t)
    rest = np.empty_like(after.positions)
    rest[verts] = 0.999 * cage.positions[t.face_verts] + 0.001 * middles_of(cage, "face")[t.corner_face]
    return Edit(after, selection, ElementMap(vertex_map, edge_map, same.faces, same.corners), rest)
