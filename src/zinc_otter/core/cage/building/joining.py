"""Several cages as one."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import ElementMap, edges_between
from zinc_otter.core.cage.topology import Ints, Topology


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
