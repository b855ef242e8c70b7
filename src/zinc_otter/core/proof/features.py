"""The sharp lines of a triangle mesh."""

from __future__ import annotations

import igl
import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError


def check_angle(degrees: float) -> None:
    """Raises BadNumberError for what is no angle from which a line can be sharp."""
    if not (np.isfinite(degrees) and 0 < degrees <= 180):
        raise BadNumberError("The angle from which a line is sharp lies between 0 and 180 degrees.")


def feature_segments(vertices: Floats, triangles: Ints, degrees: float) -> Floats:
    """(k, 2, 3) the edges at which two triangles (m, 3) turn by ``degrees`` or more, and open edges.

    Vertices (n, 3) in the same place count as one, as STL files have them. Raises BadNumberError.
    """
    check_angle(degrees)
    _, label = np.unique(np.round(vertices, 6), axis=0, return_inverse=True)
    tri = label.reshape(-1)[triangles]
    corners = vertices[triangles]
    normals = unit(np.cross(corners[:, 1] - corners[:, 0], corners[:, 2] - corners[:, 0]))
    pairs = np.concatenate([tri[:, [0, 1]], tri[:, [1, 2]], tri[:, [2, 0]]])
    ends = np.concatenate([corners[:, [0, 1]], corners[:, [1, 2]], corners[:, [2, 0]]])
    face = np.tile(np.arange(len(tri)), 3)
    low, high = np.sort(pairs, axis=1).T
    order = np.lexsort((high, low))
    keys = np.column_stack([low, high])[order]
    first = np.flatnonzero(np.r_[True, np.any(np.diff(keys, axis=0) != 0, axis=1)])
    count = np.diff(np.r_[first, len(keys)])
    one = order[first]
    two = order[np.minimum(first + 1, len(order) - 1)]
    turn = np.degrees(np.arccos(np.clip((normals[face[one]] * normals[face[two]]).sum(axis=1), -1, 1)))
    return np.asarray(ends[one[(count != 2) | (turn >= degrees)]])


class LineDistance:
    """Distances from points to segments (k, 2, 3); the search is libigl's tree of boxes."""

    def __init__(self, segments: Floats) -> None:
        self._ends = np.ascontiguousarray(segments, dtype=np.float64).reshape(-1, 3)
        self._pairs = np.arange(len(self._ends), dtype=np.int64).reshape(-1, 2)
        self._tree = igl.AABB()
        if len(self._pairs):
            self._tree.init(self._ends, self._pairs)

    def feet(self, points: Floats) -> Floats:
        """(n, 3) the nearest points of the segments, of which there is one at least."""
        at = np.ascontiguousarray(points, dtype=np.float64).reshape(-1, 3)
        _, _, found = self._tree.squared_distance(self._ends, self._pairs, at)
        return np.asarray(found, dtype=np.float64).reshape(-1, 3)

    def __call__(self, points: Floats) -> Floats:
        """(n,) mm from each point (n, 3); infinite where there is no segment."""
        if not len(self._pairs):
            return np.full(len(points), np.inf)
        at = np.ascontiguousarray(points, dtype=np.float64).reshape(-1, 3)
        square, _, _ = self._tree.squared_distance(self._ends, self._pairs, at)
        return np.asarray(np.sqrt(np.asarray(square).reshape(-1)))
