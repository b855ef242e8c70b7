"""The finite groups of motions that a form can be symmetric under: mirrors and turns about an axis.

Source: H. S. M. Coxeter, "Introduction to Geometry", 2nd ed. 1969, chapter 2 (cyclic and dihedral groups).
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from functools import cached_property

import numpy as np
from numpy.typing import ArrayLike
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.plane import Plane, Vec, plane_at
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.errors import BadNumberError

MOST_SECTORS = 128


@dataclass(frozen=True)
class Group:
    """Mirror planes (none to two), or ``sectors`` about an axis, with or without a mirror within each sector.

    ``planes``: one plane, or two that stand square to each other. With ``sectors`` above 0, ``axis`` is the axis as a
    plane (its point on the axis, its normal along it), and ``planes`` holds the mirror within the sector, through the
    axis, if there is one.
    """

    planes: tuple[Plane, ...] = ()
    axis: Plane | None = None
    sectors: int = 0

    @cached_property
    def generators(self) -> tuple[tuple[Floats, Floats, bool], ...]:
        """Matrix (3, 3), offset (3,) and whether it turns outside in, for each generating motion."""
        made: list[tuple[Floats, Floats, bool]] = []
        if self.axis is not None:
            spin = Rotation.from_rotvec(np.asarray(self.axis.normal) * 2 * np.pi / self.sectors).as_matrix()
            about = np.asarray(self.axis.point)
            made.append((spin, about - spin @ about, False))
        for plane in self.planes:
            n = np.asarray(plane.normal)
            flip = np.eye(3) - 2 * np.outer(n, n)
            made.append((flip, 2 * n * (n @ np.asarray(plane.point)), True))
        return tuple(made)

    @cached_property
    def words(self) -> tuple[tuple[int, int], ...]:
        """Each element but the first (the identity) as (generator, earlier element), to be done after it."""
        made: list[tuple[int, int]] = []
        if self.axis is not None:
            made += [(0, k) for k in range(self.sectors - 1)]
        for generator in range(1 if self.axis is not None else 0, len(self.generators)):
            made += [(generator, k) for k in range(len(made) + 1)]
        return tuple(made)

    @cached_property
    def elements(self) -> tuple[Floats, Floats, Bools]:
        """Matrices (g, 3, 3), offsets (g, 3) and which turn outside in (g,)."""
        matrices, offsets, reverses = [np.eye(3)], [np.zeros(3)], [False]
        for generator, earlier in self.words:
            matrix, offset, reverse = self.generators[generator]
            matrices.append(matrix @ matrices[earlier])
            offsets.append(matrix @ offsets[earlier] + offset)
            reverses.append(reverse != reverses[earlier])
        return np.array(matrices), np.array(offsets), np.array(reverses)

    @property
    def order(self) -> int:
        """How many copies of the part the whole is made of."""
        return len(self.words) + 1

    def images(self, generator_maps: Sequence[Ints]) -> Ints:
        """(g, k) images of k things under every element, from their images (k,) under each generator."""
        made = [np.arange(len(generator_maps[0]), dtype=np.int32)]
        for generator, earlier in self.words:
            made.append(generator_maps[generator][made[earlier]])
        return np.stack(made)

    def moved(self, element: int, points: Floats) -> Floats:
        """Points (n, 3) under one element."""
        matrices, offsets, _ = self.elements
        return np.asarray(points @ matrices[element].T + offsets[element])

    def moved_plane(self, element: int, plane: Plane) -> Plane:
        """A plane under one element; its positive side goes with it."""
        matrices, _, _ = self.elements
        return plane_at(self.moved(element, np.asarray(plane.point)), matrices[element] @ np.asarray(plane.normal))

    def carried_by(self, matrix: Floats, offset: Floats) -> Group:
        """The group after everything was taken by an affine map; only a true one where lengths keep their ratios."""
        across = np.linalg.inv(matrix).T

        def there(point: Vec) -> Floats:
            return np.asarray(matrix @ np.asarray(point) + offset)

        planes = tuple(plane_at(there(p.point), across @ np.asarray(p.normal)) for p in self.planes)
        axis = self.axis and plane_at(there(self.axis.point), matrix @ np.asarray(self.axis.normal))
        return Group(planes, axis, self.sectors)

    def described(self) -> str:
        """For example ``one mirror`` or ``8 sectors``."""
        if self.axis is None:
            return "one mirror" if len(self.planes) == 1 else "two mirrors"
        return f"{self.sectors} {'mirrored ' if self.planes else ''}sectors"


def mirror(*planes: Plane) -> Group:
    """Symmetry in one plane, or in two that are square to each other. Raises BadNumberError."""
    if not 1 <= len(planes) <= 2:
        raise BadNumberError(f"A form is mirrored in one plane or in two; {len(planes)} were given.")
    if len(planes) == 2 and abs(np.dot(planes[0].normal, planes[1].normal)) > 1e-9:
        raise BadNumberError("Two mirror planes must stand square to each other.")
    return Group(tuple(planes))


def radial(point: ArrayLike, along: ArrayLike, sectors: int, towards: ArrayLike | None = None) -> Group:
    """Symmetry of so many ``sectors`` about the axis ``along`` through ``point``.

    With ``towards``, a direction across the axis, each sector is mirrored in the plane that holds it and the axis.
    Raises BadNumberError.
    """
    if not 2 <= sectors <= MOST_SECTORS:
        raise BadNumberError(f"There can be 2 to {MOST_SECTORS} sectors; {sectors} were asked for.")
    axis = plane_at(point, along)
    if towards is None:
        return Group((), axis, sectors)
    normal = np.cross(axis.normal, np.asarray(towards, dtype=np.float64))
    if not np.isfinite(normal).all() or np.linalg.norm(normal) < 1e-9:
        raise BadNumberError("The mirror of a sector needs a direction across the axis.")
    return Group((plane_at(point, normal),), axis, sectors)
