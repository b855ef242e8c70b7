"""Make vertices one: faces lose the corners that fall together, and those left with fewer than three go."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import ElementMap, carried
from zinc_otter.core.cage.topology import Floats, Ints, Topology
from zinc_otter.core.errors import BadSelectionError


def merged(cage: Cage, label: Ints, positions: Floats) -> tuple[Cage, ElementMap]:
    """The cage whose vertex v is now vertex ``label[v]`` (n,), at ``positions`` (labels, 3).

    Where two edges become one the sharper counts, and likewise with corners. Raises UnsoundCageError where that is no
    manifold, BadSelectionError where nothing would be left.
    """
    t = cage.topology
    at = label[t.face_verts]
    stays = at != at[t.corner_next]
    sides = np.add.reduceat(stays.astype(np.int32), t.face_offsets[:-1])
    whole = sides >= 3
    if not whole.any():
        raise BadSelectionError("Nothing would be left of the piece.")
    stays &= whole[t.corner_face]
    used = np.zeros(len(positions), dtype=bool)
    used[at[stays]] = True
    number = np.where(used, np.cumsum(used) - 1, -1).astype(np.int32)
    offsets = np.concatenate([[0], np.cumsum(sides[whole])]).astype(np.int32)
    topology = Topology.checked(int(used.sum()), number[at[stays]], offsets)
    corner_map = np.where(stays, np.cumsum(stays) - 1, -1).astype(np.int32)
    vertex_map = number[label]
    after, went = carried(cage, positions[used], topology, vertex_map, corner_map)
    edges, verts = np.zeros(topology.edge_count), np.zeros(topology.vertex_count)
    kept = went.edges >= 0
    np.maximum.at(edges, went.edges[kept], cage.edge_sharpness[kept])
    kept = vertex_map >= 0
    np.maximum.at(verts, vertex_map[kept], cage.vertex_sharpness[kept])
    return after.with_sharpness(edges, verts), went


def renumbered(groups: Ints) -> Ints:
    """Labels from 0 on, in the order of their first vertex, so that what is not merged keeps its order."""
    _, first, which = np.unique(groups, return_index=True, return_inverse=True)
    rank = np.empty(len(first), dtype=np.int32)
    rank[np.argsort(first)] = np.arange(len(first))
    return rank[which.reshape(-1)]


def averaged(points: Floats, label: Ints) -> Floats:
    """(labels, 3) the mean of the points of each label."""
    total = np.zeros((int(label.max()) + 1, 3))
    np.add.at(total, label, points)
    return np.asarray(total / np.bincount(label)[:, None])
