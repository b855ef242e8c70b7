"""Inset faces: a ring of faces, even in width, within the rim of a region or of each face by itself."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.building.lifting import Lift, lifted
from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.edits.extrude import even_lift
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.words import fine_length_words, length_words

_LEAST_AREA = 1e-4
_NARROWEST = 0.15
"""No rim vertex goes further in than about seven times the width: at a spike the ring is rather uneven than torn."""


def inset(cage: Cage, selection: Selection, width: float, *, depth: float = 0.0, apart: bool = False) -> Edit:
    """A ring of faces ``width`` mm wide within the rim of the selected region, or with ``apart`` of each face by itself.

    The width is even all round, open borders too. The inner faces move by ``depth`` mm along their normals and stay
    selected. Raises BadSelectionError, BadNumberError: a width that does not fit is refused with the largest that does.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 10), (1, 1, 1))
    >>> done = inset(cage, Selection.of("face", [0]), 2.0)
    >>> done.cage.topology.face_count, len(done.selected)
    (10, 1)
    """
    if not np.isfinite(width) or width < 1e-6:
        raise BadNumberError("An inset needs a width above 0.")
    if not np.isfinite(depth):
        raise BadNumberError("The depth needs a plain number.")
    lift = lifted(cage, selection, apart)
    inwards = _inwards(lift)
    folded = lift.inverted(lift.base + width * inwards, _LEAST_AREA)
    if len(folded):
        raise BadNumberError(
            f"An inset of {length_words(width)} is too wide here; up to "
            f"{fine_length_words(_widest(lift, inwards, width))} fits.", faces=folded
        )
    top = lift.base + width * inwards
    if depth:
        top = top + even_lift(lift, depth)
    return lift.raised([top])


def _inwards(lift: Lift) -> Floats:
    """(k, 3) how slots move for a width of 1: from each rim edge by 1 within its face, and not along the normal.

    At a bend the two edges' conditions meet in one point, the least-norm solution of both.
    """
    cage, t = lift.cage, lift.cage.topology
    start, end = lift.slot_of_corner[lift.rim], lift.slot_of_corner[t.corner_next[lift.rim]]
    along = unit(lift.base[end] - lift.base[start])
    normals = cage.face_normals[t.corner_face[lift.rim]]
    into = np.cross(normals, along)
    count = len(lift.origin)
    total, number = np.zeros((count, 3)), np.zeros(count)
    for at in (start, end):
        np.add.at(total, at, into)
        np.add.at(number, at, 1)
    # Two unit vectors m1, m2: their sum s times 2 / |s|^2 is 1 along both.
    size = (total * total).sum(axis=1)
    return np.asarray(total * (number / np.maximum(size, _NARROWEST * np.maximum(number, 1)))[:, None])


def _widest(lift: Lift, inwards: Floats, width: float) -> float:
    """The largest width that folds no face, by halving, a little less."""
    low, high = 0.0, width
    for _ in range(24):
        middle = (low + high) / 2
        if len(lift.inverted(lift.base + middle * inwards, _LEAST_AREA)):
            high = middle
        else:
            low = middle
    return 0.99 * low
