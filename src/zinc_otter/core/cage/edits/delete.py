"""Delete faces, and with them the vertices and edges that only they had."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, carried
from zinc_otter.core.cage.selection import Selection, touching_faces
from zinc_otter.core.cage.topology import Topology
from zinc_otter.core.errors import BadSelectionError


def delete_elements(cage: Cage, selection: Selection) -> Edit:
    """Delete the selected faces, or the faces that touch the selected vertices or edges. Nothing stays selected.

    Where the remaining faces would touch in a single point only, that vertex is parted, so that the cage stays a
    manifold. Raises BadSelectionError when no face would be left (delete the piece instead).

    >>> from zinc_otter.core.primitives import box
    >>> left = delete_elements(box((10, 10, 10), (1, 1, 1)), Selection.of("face", [0])).cage.topology
    >>> left.face_count, left.is_closed
    (5, False)
    """
    t = cage.topology
    selection.check(t)
    gone = touching_faces(t, selection)
    keep = np.ones(t.face_count, dtype=bool)
    keep[gone] = False
    if not keep.any():
        raise BadSelectionError("That would leave nothing of the piece; delete the piece itself instead.")

    kept_corners = np.flatnonzero(keep[t.corner_face]).astype(np.int32)
    fans = t.vertex_fans(kept_corners)
    pairs = np.column_stack([t.face_verts[kept_corners], fans])
    # Ascending by old vertex: the order of what remains does not change.
    unique, new_verts = np.unique(pairs, axis=0, return_inverse=True)
    origin = unique[:, 0]
    vertex_map = np.full(t.vertex_count, -1, dtype=np.int32)
    vertex_map[origin[::-1]] = np.arange(len(origin), dtype=np.int32)[::-1]

    offsets = np.concatenate([[0], np.cumsum(t.face_sizes[keep])]).astype(np.int32)
    topology = Topology.checked(len(origin), new_verts.reshape(-1).astype(np.int32), offsets)
    corner_map = np.full(t.corner_count, -1, dtype=np.int32)
    corner_map[kept_corners] = np.arange(len(kept_corners), dtype=np.int32)
    new_cage, went = carried(cage, cage.positions[origin], topology, vertex_map, corner_map)
    return Edit(new_cage, Selection.of(selection.kind, []), went)
