"""Forms to begin from: cages of few, even quads."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.cage import LARGEST_LENGTH, Cage
from zinc_otter.core.cage.topology import Floats, Ints, Topology
from zinc_otter.core.errors import BadNumberError

MOST_FACES = 20_000
"""More faces than this in a control cage are taken for a slip: a cage lives from having few."""


def box(size: Sequence[float], counts: Sequence[int], centre: Sequence[float] = (0.0, 0.0, 0.0)) -> Cage:
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
    return _quads(positions, face_verts.reshape(-1))


def plane(size: Sequence[float], counts: Sequence[int], centre: Sequence[float] = (0.0, 0.0, 0.0)) -> Cage:
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
    return _quads(positions, np.column_stack([low, low + ny + 1, low + ny + 2, low + 1]).ravel())


def _quads(positions: Floats, face_verts: Ints) -> Cage:
    offsets = np.arange(0, len(face_verts) + 1, 4, dtype=np.int32)
    return Cage(positions, Topology.checked(len(positions), face_verts.astype(np.int32), offsets))


def check_sizes(size: Sequence[float], count: int) -> None:
    """Raise BadNumberError unless ``size`` holds ``count`` lengths that make a form."""
    if len(size) != count:
        raise BadNumberError(f"{count} sizes are needed, not {len(size)}.")
    for value in size:
        if not np.isfinite(value) or not 1e-3 <= value <= LARGEST_LENGTH:
            raise BadNumberError(f"A size must lie between 0.001 mm and 1 km; {value:g} mm does not.")


def check_counts(counts: Sequence[int], count: int) -> tuple[int, ...]:
    """The face counts as plain numbers; raise BadNumberError unless each is at least one."""
    if len(counts) != count:
        raise BadNumberError(f"{count} face counts are needed, not {len(counts)}.")
    for value in counts:
        if int(value) != value or value < 1:
            raise BadNumberError(f"A face count must be a whole number from 1; {value} is not.")
    return tuple(int(value) for value in counts)


def check_face_total(total: int) -> None:
    """Raise BadNumberError when a primitive would have more faces than a cage can use."""
    if total > MOST_FACES:
        raise BadNumberError(f"That would make {total:,} faces; {MOST_FACES:,} are the most for one cage.")
