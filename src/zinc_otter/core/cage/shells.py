"""The shells of a cage: what each holds, and which lies within which."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.cage.topology import Bools, Floats, Ints


def shell_volumes(cage: Cage) -> Floats:
    """(shells,) signed volume in mm³ of each shell, by the divergence theorem; of open ones about their middle."""
    t = cage.topology
    middles = middles_of(cage, "face")
    count = int(t.face_shell.max()) + 1
    centre = np.zeros((count, 3))
    np.add.at(centre, t.face_shell, middles)
    centre /= np.bincount(t.face_shell, minlength=count)[:, None]
    parts = (cage.face_area_vectors * (middles - centre[t.face_shell])).sum(axis=1) / 3
    return np.asarray(np.bincount(t.face_shell, parts, minlength=count), dtype=np.float64)


def nesting(cage: Cage) -> Ints:
    """(shells,) within how many closed shells each one lies."""
    return np.asarray(within(cage).sum(axis=1), dtype=np.int32)


def within(cage: Cage) -> Bools:
    """(shells, shells) whether the first lies within the second, a closed one: by the winding number of one vertex."""
    t = cage.topology
    count = int(t.face_shell.max()) + 1
    inside = np.zeros((count, count), dtype=bool)
    if count == 1:
        return inside
    open_shells = np.zeros(count, dtype=bool)
    open_shells[t.face_shell[t.edge_faces[t.open_edges, 0]]] = True
    of_corner = t.face_shell[t.corner_face]
    at = cage.positions[t.face_verts]
    low, high = np.full((count, 3), np.inf), np.full((count, 3), -np.inf)
    np.minimum.at(low, of_corner, at)
    np.maximum.at(high, of_corner, at)
    middles = middles_of(cage, "face")
    for outer in np.flatnonzero(~open_shells):
        inner = np.flatnonzero((low >= low[outer]).all(axis=1) & (high <= high[outer]).all(axis=1))
        for k in inner[inner != outer]:
            point = at[int(np.argmax(of_corner == k))]
            inside[k, outer] = abs(_winding(cage, middles, of_corner == outer, point)) > 0.5
    return inside


def _winding(cage: Cage, middles: Floats, corners: Bools, point: Floats) -> float:
    """How often faces wind around a point (A. Van Oosterom, J. Strackee, "The Solid Angle of a Plane Triangle", 1983)."""
    t = cage.topology
    a = cage.positions[t.face_verts[corners]] - point
    b = cage.positions[t.face_verts[t.corner_next[corners]]] - point
    c = middles[t.corner_face[corners]] - point
    la, lb, lc = (np.linalg.norm(v, axis=1) for v in (a, b, c))
    up = (a * np.cross(b, c)).sum(axis=1)
    down = la * lb * lc + (a * b).sum(axis=1) * lc + (b * c).sum(axis=1) * la + (c * a).sum(axis=1) * lb
    return float(2 * np.arctan2(up, down).sum() / (4 * np.pi))
