"""Put a form in its place: which way it stands, where its middle is, and whether only one side of a mirror is kept."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Literal

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives.standing import standing_half

Axis = Literal["x", "y", "z"]
Side = Literal["whole", "x", "y", "z"]

# The form's own x, y and z in the world's: cyclic, so that nothing is turned inside out.
_STANDS = {"z": (0, 1, 2), "x": (1, 2, 0), "y": (2, 0, 1)}


def placed(
    cage: Cage, stands_along: Axis, centre: Sequence[float], keep: Side = "whole", alone: bool = False
) -> Cage:
    """The form with its own z along an axis of the world and its origin at ``centre`` (3,) mm.

    ``keep`` = "x" keeps what lies on the positive side of the plane x = centre x, so that a mirror can give the other
    half: the cut leaves an open border in that plane. Its control points are those of the whole, so that sizes hold once it
    is mirrored; ``alone`` lays its open surface where that of the whole is, as near as its faces can. Raises
    BadNumberError where faces lie across the plane.
    """
    order = _STANDS[stands_along]
    positions = np.empty_like(cage.positions)
    positions[:, list(order)] = cage.positions
    # Own x goes to world axis order[0], and so on.
    turned = cage.with_positions(positions)
    if keep != "whole":
        axis = "xyz".index(keep)
        whole, turned = turned, half(turned, axis)
        if alone:
            turned = standing_half(whole, turned, axis)
    return turned.with_positions(turned.positions + np.asarray(centre, dtype=np.float64))


def half(cage: Cage, axis: int) -> Cage:
    """The faces on the positive side of the plane through the origin; the seam lies exactly in the plane."""
    t = cage.topology
    along = cage.positions[:, axis].copy()
    near = 1e-9 * max(np.abs(cage.positions).max(), 1.0)
    along[np.abs(along) <= near] = 0.0
    low = np.minimum.reduceat(along[t.face_verts], t.face_offsets[:-1])
    high = np.maximum.reduceat(along[t.face_verts], t.face_offsets[:-1])
    across = np.flatnonzero((low < 0) & (high > 0))
    if len(across):
        name = "xyz"[axis]
        raise BadNumberError(
            f"{len(across)} faces lie across the mirror plane of {name}; an even number of faces there leaves a seam in it."
        )
    gone = np.flatnonzero(high <= 0)
    if len(gone) == t.face_count:
        raise BadNumberError("Nothing would be left on this side of the mirror.")
    positions = cage.positions.copy()
    positions[:, axis] = along
    whole = cage.with_positions(positions)
    return whole if not len(gone) else delete_elements(whole, Selection.of("face", gone)).cage
