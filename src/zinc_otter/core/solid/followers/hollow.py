"""Hollow the body to a wall, with vents, and opened by a plane."""

from __future__ import annotations

from dataclasses import dataclass
from typing import TYPE_CHECKING, ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.errors import BadNumberError, CoreError
from zinc_otter.core.solid.exact import Cylinder, above_nothing, direction
from zinc_otter.core.solid.followers.base import PIECE, Follower, NameOf, OnKernel, OnMesh
from zinc_otter.core.solid.followers.trim import Trim
from zinc_otter.core.solid.mesh.body import MeshBody, named
from zinc_otter.core.solid.mesh.offset import deepest_place, fitting_voxel, offset
from zinc_otter.core.words import fine_length_words, length_words

if TYPE_CHECKING:
    from zinc_otter.core.solid.kernel.shape import NamedShape


@dataclass(frozen=True)
class Vent:
    """A hole of ``radius`` mm through the wall at ``point``, along a direction."""

    point: Vec = (0.0, 0.0, 0.0)
    along: Vec = (0.0, 0.0, 1.0)
    radius: float = 2.0

    def __post_init__(self) -> None:
        above_nothing(vent_radius=self.radius)
        direction(self.along)

    def through(self, wall: float) -> Cylinder:
        """The bore: four walls long, to pass it also where it lies aslant."""
        x, y, z = np.asarray(self.point) - 2 * wall * np.asarray(direction(self.along))
        return Cylinder((float(x), float(y), float(z)), self.along, self.radius, 4 * wall)


@dataclass(frozen=True)
class Hollow(Follower):
    """All that lies deeper than ``wall`` mm is taken out. ``opening`` cuts the wall off beyond a plane.

    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Hollow("f1", wall=2.0),)))
    >>> made.notes[0].status, bool(made.body.volume < 12_000)
    ('done', True)
    """

    what: ClassVar[str] = "Hollow"
    wall: float = 2.0
    vents: tuple[Vent, ...] = ()
    opening: tuple[Vec, Vec] | None = None
    kind: Literal["hollow"] = "hollow"

    def __post_init__(self) -> None:
        super().__post_init__()
        above_nothing(wall=self.wall)
        if len(self.vents) > 100:
            raise BadNumberError("A hollow takes up to 100 vents.")

    def deed(self, name_of: NameOf) -> str:
        return f"Hollow {name_of(PIECE)} to a wall of {length_words(self.wall)}"

    def on_mesh(self, body: MeshBody, at: OnMesh) -> MeshBody:
        voxel = fitting_voxel(body, self.wall / 4, at.budget)
        inner = offset(body, -self.wall, voxel, self.id)
        if inner is None:
            depth, deepest = deepest_place(body)
            if depth <= self.wall:
                raise CoreError(
                    f"No place lies deeper than {fine_length_words(depth)}: with {length_words(self.wall)} the walls "
                    f"would meet everywhere.",
                    points=[deepest],
                )
            # The hollow is smaller than a cell of the grid.
            inner = offset(body, -self.wall, max((depth - self.wall) / 3, voxel / 64), self.id)
        if inner is None:
            raise CoreError(
                f"The hollow would be {fine_length_words(2 * (depth - self.wall))} wide, at {fine_length_words(depth)} "
                f"deep; make the wall thinner.",
                points=[deepest],
            )
        done = body.less(inner)
        for vent in self.vents:
            done = done.less(named(vent.through(self.wall).mesh(at.chord), self.id))
        return done if self.opening is None else self._opening().on_mesh(done, at)

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        from zinc_otter.core.solid.kernel.operations import cut, with_hollow
        from zinc_otter.core.solid.kernel.shape import one_name

        done = with_hollow(body, at.deeper(self.wall).renamed(self.id))
        for vent in self.vents:
            done = cut(done, one_name(vent.through(self.wall).shape(), self.id))
        return done if self.opening is None else self._opening().on_kernel(done, at)

    def deeper(self, by: float) -> Follower:
        raise CoreError("A body is hollowed once; a second hollow has no inside to start from.")

    def slack(self, before: float, after: float) -> float:
        # Where an edge is hollow the shifted parts meet at a sharp edge that lies a little deeper than the wall asks for.
        return 0.03 * abs(after - before) + 1e-3 * max(before, after)

    def _opening(self) -> Trim:
        assert self.opening is not None
        return Trim(self.id, self.name, True, *self.opening)
