"""The surface where a distance takes a given value, on a grid that is fine only where that surface can run."""

from __future__ import annotations

from collections.abc import Callable

import igl
import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import UncheckedError
from zinc_otter.core.words import fine_length_words

MOST_POINTS = 4_000_000
_CORNERS = np.array([[0, 0, 0], [1, 0, 0], [1, 1, 0], [0, 1, 0], [0, 0, 1], [1, 0, 1], [1, 1, 1], [0, 1, 1]])


def level_set(
    distance: Callable[[Floats], Floats],
    low: Floats,
    high: Floats,
    voxel: float,
    value: Callable[[Floats], Floats] | None = None,
) -> tuple[Floats, Ints]:
    """Points (n, 3) and triangles (m, 3) of {distance = 0} within the box ``low`` to ``high``, negative values inside.

    ``distance`` takes points (k, 3) in mm; it must change by no more than the way gone, so that a cell whose middle lies
    further away than its own reach needs no closer look. Cells are parted in eight from about 16 across until they are
    no wider than ``voxel``, then marched (libigl). The box must hold the surface whole. With a ``value``, which may jump but
    is nowhere below ``distance``, that one's surface is meant, and looked for wherever ``distance`` can be below 0.
    Raises UncheckedError where that would take more than four million points.
    """
    extent = float((high - low).max())
    depth = max(0, int(np.ceil(np.log2(extent / voxel / 16))))
    width = voxel * 2**depth
    counts = np.ceil((high - low) / width).astype(np.int64) + 1
    cells = np.stack(np.meshgrid(*(np.arange(n) for n in counts), indexing="ij"), axis=-1).reshape(-1, 3)
    for _ in range(depth + 1):
        far = distance(low + (cells + 0.5) * width)
        cells = cells[(np.abs(far) if value is None else far) <= width * np.sqrt(3) / 2 * 1.001]
        if len(cells) * 8 > MOST_POINTS:
            raise UncheckedError(
                f"A grid of {fine_length_words(voxel)} over this form would take more than {MOST_POINTS:,} "
                f"points."
            )
        if _ < depth:
            cells = (2 * cells[:, None] + _CORNERS).reshape(-1, 3)
            width /= 2
    if len(cells) == 0:
        return np.zeros((0, 3)), np.zeros((0, 3), dtype=np.int64)
    corners = (cells[:, None] + _CORNERS).reshape(-1, 3)
    span = counts * 2**depth + 2
    keys = (corners[:, 0] * span[1] + corners[:, 1]) * span[2] + corners[:, 2]
    _, first, index = np.unique(keys, return_index=True, return_inverse=True)
    grid = np.ascontiguousarray(low + corners[first] * width)
    values = (value or distance)(grid)
    # Exactly 0 at a grid point would leave a hole there.
    values = np.where(np.abs(values) < 1e-9 * voxel, 1e-9 * voxel, values)
    points, triangles, _ = igl.marching_cubes(values, grid, np.ascontiguousarray(index.reshape(-1, 8)), 0.0)
    return np.asarray(points), np.asarray(triangles)
