"""How far each vertex lies from what is picked: along the cage, or through space."""

from __future__ import annotations

import numpy as np
from scipy.sparse import coo_matrix
from scipy.sparse.csgraph import dijkstra
from scipy.spatial import cKDTree

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats, Ints


def along_cage(cage: Cage, sources: Ints, limit: float, walls: Ints | None = None) -> Floats:
    """(n,) shortest ways in mm from ``sources`` over edges and across faces of up to eight sides; inf beyond ``limit``.

    With ``walls``, vertices, no way leads on through them.
    """
    t = cage.topology
    pairs = [t.edge_verts.astype(np.int64)]
    # Across a face between vertices that are not neighbours; of large n-gons only the edges count.
    for size in np.unique(t.face_sizes[(t.face_sizes > 3) & (t.face_sizes <= 8)]):
        faces = np.flatnonzero(t.face_sizes == size)
        corners = t.face_verts[t.face_offsets[faces][:, None] + np.arange(size)]
        pairs += [
            np.column_stack([corners[:, i], corners[:, j]])
            for i in range(size)
            for j in range(i + 2, size)
            if not (i == 0 and j == size - 1)
        ]
    a, b = np.unique(np.concatenate(pairs), axis=0).T
    length = np.linalg.norm(cage.positions[a] - cage.positions[b], axis=1)
    # A stored zero counts as no way at all: vertices that lie in one place are almost nothing apart.
    length = np.maximum(length, 1e-12)
    both = np.concatenate([a, b]), np.concatenate([b, a])
    double = np.concatenate([length, length])
    if walls is not None:
        open_start = np.ones(t.vertex_count, dtype=bool)
        open_start[walls] = False
        passes = open_start[both[0]]
        both, double = (both[0][passes], both[1][passes]), double[passes]
    graph = coo_matrix((double, both), shape=(t.vertex_count,) * 2).tocsr()
    return np.asarray(dijkstra(graph, indices=sources, min_only=True, limit=limit))


def through_space(cage: Cage, sources: Ints) -> Floats:
    """(n,) straight distances in mm to the nearest source."""
    return np.asarray(cKDTree(cage.positions[sources]).query(cage.positions)[0])
