"""Size what is picked."""

from __future__ import annotations

from collections.abc import Sequence

from zinc_otter.core.cage.building.motion import pivot_or_middle, placed, sizing
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.selection import Selection


def size(
    cage: Cage,
    selection: Selection,
    factors: Sequence[float],
    *,
    pivot: Sequence[float] | None = None,
    frame: Sequence[Sequence[float]] | None = None,
) -> Edit:
    """Size the selection about ``pivot`` (default its middle); see :func:`sizing`.

    >>> import numpy as np
    >>> from zinc_otter.core.primitives import box
    >>> sized = size(box((10, 10, 10), (1, 1, 1)), Selection.of("vertex", range(8)), (2, 1, 0.5)).cage
    >>> np.ptp(sized.positions, axis=0).tolist()
    [20.0, 10.0, 5.0]
    """
    return placed(cage, selection, sizing(factors, pivot_or_middle(cage, selection, pivot), frame))
