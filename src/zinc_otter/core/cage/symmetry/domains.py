"""The parts that a symmetric form is made of: each face belongs to that image of a point which it is nearest to."""

from __future__ import annotations

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.cage.symmetry.symmetric import Symmetry
from zinc_otter.core.cage.topology import Ints
from zinc_otter.core.errors import BadSelectionError


def part_of_faces(symmetry: Symmetry, cage: Cage, hand: ArrayLike) -> Ints:
    """(f,) for each face the element of the group that takes the part about ``hand`` (3,) to the part which it lies in.

    The parts are Dirichlet's domains; where the hand is held by a motion, as on a seam, one of its sides is taken.
    Raises BadSelectionError for faces that lie across a seam, and so in no part alone.
    """
    across = (symmetry.faces[1:] == np.arange(cage.topology.face_count)).any(axis=0)
    if across.any():
        raise BadSelectionError(
            "Each side cannot be cut by itself: the marked faces lie across the seam. Add a loop along it first.",
            faces=np.flatnonzero(across),
        )
    group = symmetry.group
    extent = float(np.ptp(cage.positions, axis=0).max())
    # In a direction that no mirror or axis has, so that a hand on a seam is beside it.
    beside = np.asarray(hand, dtype=np.float64) + 1e-6 * max(extent, 1e-9) * np.array([0.61, 0.53, 0.59])
    hands = np.concatenate([group.moved(k, beside[None]) for k in range(group.order)])
    middles = middles_of(cage, "face")
    apart = ((middles[:, None] - hands[None]) ** 2).sum(axis=2)
    return np.asarray(apart.argmin(axis=1), dtype=np.int32)
