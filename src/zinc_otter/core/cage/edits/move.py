"""Move what is picked."""

from __future__ import annotations

from collections.abc import Sequence

from zinc_otter.core.cage.building.motion import along_normal, moving, placed
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.selection import Selection


def move(cage: Cage, selection: Selection, vector: Sequence[float]) -> Edit:
    """Move the selection by ``vector`` (3,) mm. Raises BadSelectionError, BadNumberError."""
    return placed(cage, selection, moving(vector))


def move_along_normal(cage: Cage, selection: Selection, distance: float) -> Edit:
    """Move the selection as one by ``distance`` mm along its mean normal. Raises BadSelectionError, BadNumberError."""
    return placed(cage, selection, along_normal(cage, selection, distance))
