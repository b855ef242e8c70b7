"""An open sheet of quads."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.face_bound import check_face_total
from zinc_otter.core.primitives.checks import Sizes, check_counts, check_sizes, of_quads


def plane(size: Sizes, counts: Sequence[int], centre: Sequence[float] = (0.0, 0.0, 0.0)) -> Cage:
    """An open sheet of quads in the plane z = constant, facing +z.

    ``size`` (2,) in mm, ``counts`` (2,) faces along x and y. Raises BadNumberError as :func:`box` does.
    """
    nx, ny = check_counts(counts, 2)
    check_sizes(size, 2)
    check_face_total(nx * ny)
    x, y = np.meshgrid(np.arange(nx + 1), np.arange(ny + 1), indexing="ij")
    flat = np.column_stack([x.ravel() / nx - 0.5, y.ravel() / ny - 0.5, np.zeros(x.size)])
    positions = flat * np.array([size[0], size[1], 0.0]) + np.asarray(centre, dtype=np.float64)
    i, j = (g.ravel() for g in np.meshgrid(np.arange(nx), np.arange(ny), indexing="ij"))
    low = i * (ny + 1) + j
    return of_quads(positions, np.column_stack([low, low + ny + 1, low + ny + 2, low + 1]).ravel())
