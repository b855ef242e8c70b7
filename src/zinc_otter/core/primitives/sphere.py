"""Spheres and the capsule: of six quad patches, or with poles."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.face_bound import check_face_total
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives.box import box
from zinc_otter.core.primitives.checks import Sizes, check_counts, check_sizes, of_faces
from zinc_otter.core.words import length_words


def patched_sphere(diameter: float, count: int) -> Cage:
    """A sphere of six patches of ``count`` x ``count`` quads; its eight extraordinary vertices have valence 3.

    The lattice lies at even angles (the equiangular projection of C. Ronchi, R. Iacono, P. Paolucci, "The Cubed Sphere",
    J. Comput. Phys. 124, 1996), so that the faces are spread evenly. Raises BadNumberError.

    >>> patched_sphere(20, 2).topology.face_count
    24
    """
    check_sizes([diameter], 1)
    (n,) = check_counts([count], 1)
    cube = box((2, 2, 2), (n, n, n))
    return cube.with_positions(_round(cube.positions) * diameter / 2)


def poled_sphere(diameter: float, counts: Sequence[int]) -> Cage:
    """A sphere with poles on z: ``counts`` is (around, from pole to pole); triangles meet at the poles.

    Raises BadNumberError.
    """
    check_sizes([diameter], 1)
    around, rows = check_counts(counts, 2, (3, 2))
    check_face_total(around * rows)
    polar = np.pi * np.arange(1, rows) / rows
    turn = 2 * np.pi * np.arange(around) / around
    t, a = (g.ravel() for g in np.meshgrid(polar, turn, indexing="ij"))
    rings = np.column_stack([np.sin(t) * np.cos(a), np.sin(t) * np.sin(a), np.cos(t)])
    points = np.concatenate([rings, [[0.0, 0.0, 1.0], [0.0, 0.0, -1.0]]]) * diameter / 2
    i = np.arange(around)
    ahead = (i + 1) % around
    last = (rows - 2) * around
    quads = [np.column_stack([k + i, k + around + i, k + around + ahead, k + ahead]) for k in range(0, last, around)]
    top = np.column_stack([np.full(around, len(rings)), i, ahead])
    bottom = np.column_stack([np.full(around, len(rings) + 1), last + ahead, last + i])
    body = np.concatenate(quads) if quads else np.zeros((0, 4), dtype=int)
    return of_faces(points, body, np.concatenate([top, bottom]))


def capsule(size: Sizes, counts: Sequence[int]) -> Cage:
    """A cylinder about z with half a sphere at each end: ``size`` is (diameter, whole length).

    ``counts`` is (across an end, along the straight part); the end has an even count squared of quads, four times that
    count run around. Raises BadNumberError, also where the length is less than the diameter.
    """
    diameter, length = check_sizes(size, 2)
    straight = length - diameter
    if straight < 0:
        raise BadNumberError(
            f"A capsule is at least as long as it is wide; {length_words(length)} is less than "
            f"{length_words(diameter)}."
        )
    across, along = check_counts(counts, 2, (2, 1))
    if across % 2:
        raise BadNumberError(f"The ends need an even face count across; {across} is odd.")
    check_face_total(6 * across * across + 4 * across * along)
    base = box((2, 2, 2), (across, across, across + along))
    points = base.positions.copy()
    # Rows along z: half the sphere's, the straight part, and the sphere's other half.
    row = np.rint((points[:, 2] + 1) / 2 * (across + along)).astype(int)
    half = across // 2
    of_sphere = np.where(row <= half, row, np.maximum(row - along, half))
    points[:, 2] = of_sphere / across * 2 - 1
    shift = np.clip(row - half, 0, along) / along - 0.5
    return base.with_positions(_round(points) * diameter / 2 + np.outer(shift * straight, [0, 0, 1]))


def _round(cube: Floats) -> Floats:
    return unit(np.tan(np.pi / 4 * cube))
