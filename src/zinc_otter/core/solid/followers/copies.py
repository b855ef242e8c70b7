"""Copies of the body: mirrored, about an axis, along a line; and scaled to a size."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import TYPE_CHECKING, ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.building.joining import joined
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edits.weld import weld_close
from zinc_otter.core.cage.plane import Vec, plane_at
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.symmetry import mirrored_copy
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.solid.exact import above_nothing, direction
from zinc_otter.core.solid.followers.base import PIECE, Follower, Measured, NameOf, OnKernel, OnMesh
from zinc_otter.core.solid.mesh.body import MeshBody, together
from zinc_otter.core.words import length_words

if TYPE_CHECKING:
    from zinc_otter.core.solid.kernel.shape import NamedShape

MOST_COPIES = 128
MEET = 1e-6
"""Of the whole's size, how near vertices of two borders lie that are one."""


class _Copies(Follower):
    """Followers that join images of the body under motions, the body's own place among them or not."""

    patience: ClassVar[float] = 2.5

    def motions(self) -> Sequence[Floats]:
        """(4, 4) matrices of all images."""
        raise NotImplementedError

    def on_cage(self, cage: Cage) -> Cage | None:
        images = []
        for matrix in self.motions():
            image = cage.with_positions(cage.positions @ matrix[:3, :3].T + matrix[:3, 3])
            images.append(image)
        return _sewn(images)

    def on_mesh(self, body: MeshBody, at: OnMesh) -> MeshBody:
        return together([body.moved(matrix) for matrix in self.motions()])

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        from zinc_otter.core.solid.kernel.operations import all_fused

        return all_fused(body, self.motions())


def _sewn(images: Sequence[Cage]) -> Cage:
    """Open cages as one, joined wherever their borders meet. Raises UnsoundCageError."""
    whole = joined(images)[0]
    border = Selection.of("vertex", np.unique(whole.topology.edge_verts[whole.topology.open_edges]))
    try:
        return weld_close(whole, border, MEET * float(np.ptp(whole.positions, axis=0).max())).cage
    except BadSelectionError:
        # They meet nowhere.
        return whole


@dataclass(frozen=True)
class MirrorBody(_Copies):
    """The body and its mirror image in the plane through ``point``.

    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> mirror = MirrorBody("f1", point=(40, 0, 0), normal=(1, 0, 0))
    >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (mirror,)))
    >>> whole = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2))))
    >>> round(made.body.volume / whole.body.volume, 6)
    2.0
    """

    what: ClassVar[str] = "Mirror"
    point: Vec = (0.0, 0.0, 0.0)
    normal: Vec = (1.0, 0.0, 0.0)
    kind: Literal["mirror-body"] = "mirror-body"

    def __post_init__(self) -> None:
        super().__post_init__()
        direction(self.normal)

    def motions(self) -> Sequence[Floats]:
        n = np.asarray(direction(self.normal))
        matrix = np.eye(4)
        matrix[:3, :3] -= 2 * np.outer(n, n)
        matrix[:3, 3] = 2 * (n @ np.asarray(self.point)) * n
        return [np.eye(4), matrix]

    def on_cage(self, cage: Cage) -> Cage | None:
        return _sewn([cage, mirrored_copy(cage, plane_at(self.point, self.normal))])


@dataclass(frozen=True)
class RepeatRound(_Copies):
    """``count`` copies about an axis, ``angle`` degrees from one to the next (None: evenly all round).

    ``phase`` moves the first by so many steps: a half lays it between.

    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> four = RepeatRound("f1", count=4, point=(50, 0, 0), along=(0, 0, 1))
    >>> whole = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)))).body
    >>> round(made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (four,))).body.volume / whole.volume, 6)
    4.0
    """

    what: ClassVar[str] = "Repeat round"
    point: Vec = (0.0, 0.0, 0.0)
    along: Vec = (0.0, 0.0, 1.0)
    count: int = 6
    angle: float | None = None
    phase: float = 0.0
    kind: Literal["repeat-round"] = "repeat-round"

    def __post_init__(self) -> None:
        super().__post_init__()
        direction(self.along)
        _count(self.count)
        for number in (self.angle, self.phase):
            if number is not None and not np.isfinite(number):
                raise BadNumberError("Angle and phase are numbers.")

    def deed(self, name_of: NameOf) -> str:
        return f"Repeat {name_of(PIECE)} {self.count} times round an axis"

    def motions(self) -> Sequence[Floats]:
        step = np.radians(360 / self.count if self.angle is None else self.angle)
        return [self._turn((i + self.phase) * step) for i in range(self.count)]

    def _turn(self, angle: float) -> Floats:
        # Rodrigues' formula.
        x, y, z = direction(self.along)
        k = np.array([[0, -z, y], [z, 0, -x], [-y, x, 0]])
        matrix = np.eye(4)
        matrix[:3, :3] += np.sin(angle) * k + (1 - np.cos(angle)) * k @ k
        matrix[:3, 3] = np.asarray(self.point) - matrix[:3, :3] @ np.asarray(self.point)
        return matrix


@dataclass(frozen=True)
class RepeatAlong(_Copies):
    """``count`` copies along a direction, ``spacing`` mm apart; ``phase`` moves the first by so many steps.

    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> row = RepeatAlong("f1", count=3, along=(1, 0, 0), spacing=50.0)
    >>> whole = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)))).body
    >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (row,))).body
    >>> round(float(made.size[0] - whole.size[0]), 6), round(made.volume / whole.volume, 6)
    (100.0, 3.0)
    """

    what: ClassVar[str] = "Repeat along"
    along: Vec = (1.0, 0.0, 0.0)
    count: int = 3
    spacing: float = 20.0
    phase: float = 0.0
    kind: Literal["repeat-along"] = "repeat-along"

    def __post_init__(self) -> None:
        super().__post_init__()
        direction(self.along)
        _count(self.count)
        above_nothing(spacing=self.spacing)
        if not np.isfinite(self.phase):
            raise BadNumberError("The phase is a number.")

    def deed(self, name_of: NameOf) -> str:
        return f"Repeat {name_of(PIECE)} {self.count} times, {length_words(self.spacing)} apart"

    def motions(self) -> Sequence[Floats]:
        found = []
        for i in range(self.count):
            matrix = np.eye(4)
            matrix[:3, 3] = (i + self.phase) * self.spacing * np.asarray(direction(self.along))
            found.append(matrix)
        return found


@dataclass(frozen=True)
class AtPlaces(_Copies):
    """The body at each of some ``places``, rows of motions (4, 4): what a repeat of pieces comes to in Make."""

    what: ClassVar[str] = "Images"
    places: tuple[tuple[float, ...], ...] = ()

    def motions(self) -> Sequence[Floats]:
        return list(np.array(self.places).reshape(-1, 4, 4))


@dataclass(frozen=True)
class ScaleToSize(Follower):
    """Scale evenly about ``about`` until ``measure`` is ``length`` mm: an extent, or the distance of two points.

    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> made = made_of_triangles(Recipe("Box", box((30, 20, 20), (2, 2, 2)), (ScaleToSize("f1", length=100.0),)))
    >>> round(float(made.body.size.max()), 3)
    100.0
    """

    what: ClassVar[str] = "Scale to size"
    measure: Literal["longest", "x", "y", "z", "distance"] = "longest"
    length: float = 100.0
    ends: tuple[Vec, Vec] | None = None
    about: Vec = (0.0, 0.0, 0.0)
    kind: Literal["scale-to-size"] = "scale-to-size"

    def __post_init__(self) -> None:
        super().__post_init__()
        above_nothing(length=self.length)
        if self.measure == "distance" and (self.ends is None or np.linalg.norm(np.subtract(*self.ends)) < 1e-9):
            raise BadNumberError("A measured distance needs two points that are apart.")

    def deed(self, name_of: NameOf) -> str:
        return f"Scale {name_of(PIECE)} to {length_words(self.length)}"

    def measured(self, of: Measured) -> Follower:
        if self.measure == "distance":
            assert self.ends is not None
            now = float(np.linalg.norm(np.subtract(*self.ends)))
        else:
            size = of.size()
            now = float(size.max() if self.measure == "longest" else size["xyz".index(self.measure)])
        return Scaled(self.id, self.name, True, self.about, self.length / now)


@dataclass(frozen=True)
class Scaled(Follower):
    """Scale evenly about a point by a factor: what ``ScaleToSize`` comes to on a body."""

    what: ClassVar[str] = ScaleToSize.what
    about: Vec = (0.0, 0.0, 0.0)
    factor: float = 1.0

    @property
    def scale(self) -> float:
        return self.factor

    @property
    def matrix(self) -> Floats:
        matrix = np.diag([self.factor, self.factor, self.factor, 1.0])
        matrix[:3, 3] = (1 - self.factor) * np.asarray(self.about)
        return matrix

    def on_mesh(self, body: MeshBody, at: OnMesh) -> MeshBody:
        return body.moved(self.matrix)

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        return body.moved(self.matrix)


def _count(count: int) -> None:
    if not 1 <= count <= MOST_COPIES:
        raise BadNumberError(f"A body is repeated 1 to {MOST_COPIES} times.")
