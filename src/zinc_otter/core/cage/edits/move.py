"""Move what is picked."""

from __future__ import annotations

from collections.abc import Sequence

from zinc_otter.core.cage.building.motion import along_normal, moving, placed
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.selection import Selection


def move(cage: Cage, selection: Selection, vector: Sequence[float]) -> Edit:
    """Move the selection by ``vector`` (3,) mm. Raises BadSelectionError, BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> move(box((10, 10, 10), (1, 1, 1)), Selection.of("vertex", [0]), (0, 0, -2)).cage.positions[0].tolist()
    [-5.0, -5.0, -7.0]
    """
    return placed(cage, selection, moving(vector))


def move_along_normal(cage: Cage, selection: Selection, distance: float) -> Edit:
    """Move the selection as one by ``distance`` mm along its mean normal. Raises BadSelectionError, BadNumberError.

    >>> from zinc_otter.core.primitives import plane
    >>> sheet = move_along_normal(plane((10, 10), (1, 1)), Selection.of("face", [0]), 3.0).cage
    >>> sheet.positions[:, 2].tolist()
    [3.0, 3.0, 3.0, 3.0]
    """
    return placed(cage, selection, along_normal(cage, selection, distance))
