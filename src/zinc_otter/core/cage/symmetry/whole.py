"""Move a whole symmetric cage: its mirrors and its axis go along."""

from __future__ import annotations

from dataclasses import replace

import numpy as np

from zinc_otter.core.cage.building.motion import Motion
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, same_structure
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.symmetry.symmetric import Symmetry, SymmetryError


def whole_moved(cage: Cage, symmetry: Symmetry, motion: Motion) -> tuple[Edit, Symmetry]:
    """The cage and its symmetry after a ``motion`` of all of it.

    An affine motion takes mirrors and axes along; of one that bends or twists they stay where they are, and what it does
    must be the same on all sides. Raises SymmetryError where the motion pulls the symmetry apart.
    """
    span = max(float(np.ptp(cage.positions, axis=0).max()), 1.0)
    moved = _carried(cage, symmetry, motion, span) if motion.affine else symmetry
    positions = motion(cage.positions, np.ones(len(cage.positions)))
    if moved.strays(positions) > 1e-6 * span:
        raise SymmetryError(_UNEVEN if motion.affine else _BENT)
    everything = Selection.of("face", np.arange(cage.topology.face_count))
    return same_structure(cage.with_positions(positions), everything), moved


_UNEVEN = (
    "Sized unevenly like this the piece would lose its symmetry; size it along its mirror plane, or make it independent "
    "first."
)
_BENT = (
    "This is not the same on all sides of the piece, so that it would lose its symmetry; go about its own axis or along its "
    "mirror plane, or make it independent first."
)


def _carried(cage: Cage, symmetry: Symmetry, motion: Motion, span: float) -> Symmetry:
    """The symmetry where an affine motion takes it."""
    corner = cage.positions.mean(axis=0)
    probe = corner + span * np.concatenate([np.zeros((1, 3)), np.eye(3)])
    went = motion(probe, np.ones(4))
    matrix = ((went[1:] - went[0]) / span).T
    if abs(np.linalg.det(matrix)) < 1e-12:
        raise SymmetryError("Flattened like this the piece would lose its symmetry; make it independent first.")
    group = symmetry.group.carried_by(matrix, went[0] - matrix @ corner)
    return replace(symmetry, group=group)
