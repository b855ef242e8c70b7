"""Cut a cage along a plane: faces that cross it are parted, so that edges run in the plane."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.building.gridding import Split
from zinc_otter.core.cage.building.parting import parted
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.plane import Plane
from zinc_otter.core.cage.topology import Bools


def cut(cage: Cage, plane: Plane, tolerance: float = 1e-6, faces: Bools | None = None) -> Split:
    """Part the faces that cross a plane, or of them those in ``faces`` (f,); the edges in the plane are selected.

    Vertices within ``tolerance`` mm are drawn into the plane. New vertices lie on the straight edges of the cage, and
    both parts of a creased edge stay creased. Neighbours of parted faces gain corners. Raises BadSelectionError where a
    face crosses the plane more than once.
    """
    t = cage.topology
    meant = np.ones(t.face_count, dtype=bool) if faces is None else faces
    heights = plane.heights(cage.positions)
    span = float(np.ptp(cage.positions, axis=0).max())
    side = np.where(np.abs(heights) <= max(tolerance, 1e-9 * span), 0, np.sign(heights)).astype(np.int8)
    positions = cage.positions.copy()
    on = side == 0
    if faces is not None:
        held = np.zeros(t.vertex_count, dtype=bool)
        held[t.face_verts[meant[t.corner_face]]] = True
        on &= held
    positions[on] -= heights[on, None] * np.asarray(plane.normal)

    a, b = t.edge_verts.T
    first, second = t.edge_faces.T
    at = meant[first] | ((second >= 0) & meant[np.maximum(second, 0)])
    crossed = np.flatnonzero((side[a] * side[b] < 0) & at)
    share = heights[a[crossed]] / (heights[a[crossed]] - heights[b[crossed]])
    points = cage.positions[a[crossed]] * (1 - share[:, None]) + cage.positions[b[crossed]] * share[:, None]
    points -= plane.heights(points)[:, None] * np.asarray(plane.normal)
    new_vertex = np.full(t.edge_count, -1, dtype=np.int32)
    new_vertex[crossed] = t.vertex_count + np.arange(len(crossed))

    signs = side[t.face_verts]
    above = np.maximum.reduceat(signs, t.face_offsets[:-1])
    below = np.minimum.reduceat(signs, t.face_offsets[:-1])
    straddles = (above > 0) & (below < 0) & meant
    drawn = cage.with_positions(positions)
    return parted(drawn, np.flatnonzero(straddles), new_vertex, points, on)
