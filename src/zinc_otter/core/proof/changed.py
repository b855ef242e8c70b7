"""What of a cage is not as it was: found by comparing, whatever led from one to the other."""

from __future__ import annotations

from typing import Any

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Bools, Floats, Ints


def changed_faces(before: Cage, after: Cage) -> Ints:
    """Faces of ``after`` whose smooth surface may differ from all of ``before``: those that are not there, to the last
    bit, and all around them. Creases are not looked at.
    """
    fresh = ~_known(_boxes(after), _boxes(before))
    t = after.topology
    touched = np.zeros(t.vertex_count, dtype=bool)
    touched[t.face_verts[fresh[t.corner_face]]] = True
    around = np.zeros(t.face_count, dtype=bool)
    around[t.corner_face[touched[t.face_verts]]] = True
    return np.flatnonzero(around).astype(np.int32)


def _boxes(cage: Cage) -> Floats:
    """(f, 7) the box around each face and its number of corners: the same for the same face, wherever its ring begins."""
    t = cage.topology
    corners = cage.positions[t.face_verts]
    starts = t.face_offsets[:-1]
    low, high = (f.reduceat(corners, starts, axis=0) for f in (np.minimum, np.maximum))
    return np.column_stack([low, high, np.diff(t.face_offsets)])


def _known(rows: Floats, among: Floats) -> Bools:
    """(n,) whether each row is one of ``among``, to the last bit."""
    one, others = (_as_bytes(r) for r in (rows, among))
    return np.isin(one, others)


def _as_bytes(rows: Floats) -> Any:
    # Nought has two signs; adding 0 leaves one.
    return np.ascontiguousarray(rows + 0.0).view(np.dtype((np.void, rows.shape[1] * rows.itemsize))).ravel()
