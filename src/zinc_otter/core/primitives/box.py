"""A closed box of quads."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.face_bound import check_face_total
from zinc_otter.core.cage.topology import Ints
from zinc_otter.core.primitives.checks import Sizes, check_counts, check_sizes, of_quads


def box(size: Sizes, counts: Sequence[int], centre: Sequence[float] = (0.0, 0.0, 0.0)) -> Cage:
    """A closed box of quads about ``centre``.

    ``size`` (3,) is the cage's own extent in x, y, z (mm); ``counts`` (3,) is the number of faces along x, y, z.
    Raises BadNumberError for a size that is not positive and finite, or a face count outside its limits.

    >>> box((40, 20, 10), (4, 2, 1)).topology.face_count
    28
    """
    nx, ny, nz = check_counts(counts, 3)
    check_sizes(size, 3)
    check_face_total(2 * (nx * ny + ny * nz + nz * nx))
    n = np.array([nx, ny, nz])
    corners: list[Ints] = []
    for axis in range(3):
        u, v = (axis + 1) % 3, (axis + 2) % 3
        for side in (0, n[axis]):
            quads = np.zeros((n[u] * n[v], 4, 3), dtype=np.int32)
            i, j = (g.ravel() for g in np.meshgrid(np.arange(n[u]), np.arange(n[v]), indexing="ij"))
            # u x v points along +axis; on the low side the loop runs the other way round, so that all look outwards.
            steps = [(0, 0), (1, 0), (1, 1), (0, 1)] if side else [(0, 0), (0, 1), (1, 1), (1, 0)]
            for corner, (du, dv) in enumerate(steps):
                quads[:, corner, axis] = side
                quads[:, corner, u] = i + du
                quads[:, corner, v] = j + dv
            corners.append(quads.reshape(-1, 3))
    lattice, face_verts = np.unique(np.concatenate(corners), axis=0, return_inverse=True)
    positions = (lattice / n - 0.5) * np.asarray(size, dtype=np.float64) + np.asarray(centre, dtype=np.float64)
    return of_quads(positions, face_verts.reshape(-1))
