"""Turn what is picked."""

from __future__ import annotations

from collections.abc import Sequence

from zinc_otter.core.cage.building.motion import pivot_or_middle, placed, turning
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.selection import Selection


def turn(
    cage: Cage, selection: Selection, axis: Sequence[float], degrees: float, *, pivot: Sequence[float] | None = None
) -> Edit:
    """Turn the selection about ``pivot`` (default its middle); see :func:`turning`.

    >>> import numpy as np
    >>> from zinc_otter.core.primitives import box
    >>> cage = box((20, 10, 10), (1, 1, 1))
    >>> np.ptp(turn(cage, Selection.of("vertex", range(8)), (0, 0, 1), 90).cage.positions, axis=0).round(9).tolist()
    [10.0, 20.0, 10.0]
    """
    return placed(cage, selection, turning(axis, degrees, pivot_or_middle(cage, selection, pivot)))
