"""Edges along which the triangles of a mesh turn sharply, outwards or inwards."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Bools, Floats, Ints


def sharp_edges(points: Floats, triangles: Ints, degrees: float) -> tuple[Ints, Bools]:
    """The vertices (k, 2) of edges whose two triangles turn by more than so many ``degrees``, and which of them are inner
    ones (k,): their sides turn towards one another. Edges of one triangle, or of three, are none.
    """
    a, b, c = (points[triangles[:, k]] for k in range(3))
    normals = unit(np.cross(b - a, c - a))
    ends = np.sort(np.concatenate([triangles[:, [0, 1]], triangles[:, [1, 2]], triangles[:, [2, 0]]]), axis=1)
    owner = np.tile(np.arange(len(triangles)), 3)
    order = np.lexsort((ends[:, 1], ends[:, 0]))
    ends, owner = ends[order], owner[order]
    fresh = np.ones(len(ends), dtype=bool)
    fresh[1:] = (ends[1:] != ends[:-1]).any(axis=1)
    begin = np.flatnonzero(fresh)
    two = begin[np.diff(np.append(begin, len(ends))) == 2]
    one, other, edge = owner[two], owner[two + 1], ends[two]
    turn = np.degrees(np.arccos(np.clip((normals[one] * normals[other]).sum(axis=1), -1, 1)))
    # The far corner of one lies before the plane of the other: an inner edge.
    beyond = points[triangles[other]].mean(axis=1) - points[edge].mean(axis=1)
    inner = (beyond * normals[one]).sum(axis=1) > 0
    sharp = turn > degrees
    return edge[sharp], inner[sharp]
