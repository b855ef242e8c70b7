"""A sprue: a stub by which metal runs in, cut off after the cast."""

from __future__ import annotations

from dataclasses import dataclass
from typing import TYPE_CHECKING, ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.errors import CoreError
from zinc_otter.core.solid.exact import above_nothing, direction
from zinc_otter.core.solid.followers.base import PIECE, Follower, Measured, NameOf, OnKernel, OnMesh
from zinc_otter.core.solid.mesh.body import MeshBody, named
from zinc_otter.core.solid.stack import Pin
from zinc_otter.core.words import length_words

if TYPE_CHECKING:
    from zinc_otter.core.solid.kernel.shape import NamedShape


@dataclass(frozen=True)
class Sprue(Follower):
    """A round stub of a ``diameter`` and ``length`` (mm) that stands at ``point`` on the body, ``along`` a way out of it.

    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> stub = Sprue("f1", diameter=3.0, length=8.0, point=(0, 0, 15), along=(0, 0, 1))
    >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (stub,)))
    >>> made.notes[0].status, bool(made.body.size[2] > 30)
    ('done', True)
    """

    what: ClassVar[str] = "Sprue"
    diameter: float = 2.5
    length: float = 8.0
    point: Vec = (0.0, 0.0, 0.0)
    along: Vec = (0.0, 0.0, 1.0)
    kind: Literal["sprue"] = "sprue"

    def __post_init__(self) -> None:
        super().__post_init__()
        above_nothing(diameter=self.diameter, length=self.length)
        direction(self.along)

    def deed(self, name_of: NameOf) -> str:
        return f"Sprue of {length_words(self.diameter)} on {name_of(PIECE)}"

    def measured(self, of: Measured) -> Follower:
        out = np.asarray(direction(self.along))
        tip = np.asarray(self.point) + self.length * out
        begins, ends = of.rays().through(tip[None], -out[None])
        if not np.isfinite(begins[0]):
            raise CoreError("There is no metal below the sprue: click on the form.", points=[self.point])
        # Its foot ends in the metal: half its width deep, or half of a thin wall.
        deep = float(begins[0]) + min(self.diameter / 2, 0.5 * float(ends[0] - begins[0]))
        x, y, z = (float(v) for v in tip - deep * out)
        a, b, c = (float(v) for v in out)
        return StandingSprue(self.id, self.called, True, pin=Pin((x, y, z), (a, b, c), self.diameter / 2, deep, False))


@dataclass(frozen=True)
class StandingSprue(Follower):
    """A sprue with its foot in the metal."""

    what: ClassVar[str] = Sprue.what
    pin: Pin = Pin((0.0, 0.0, 0.0), (0.0, 0.0, 1.0), 1.0, 1.0)  # noqa: RUF009 - a frozen value

    def on_mesh(self, body: MeshBody, at: OnMesh) -> MeshBody:
        return body.joined(named(self.pin.mesh(min(at.chord, 0.02)), self.id))

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        from zinc_otter.core.solid.kernel.operations import fused
        from zinc_otter.core.solid.kernel.shape import one_name

        return fused(body, one_name(self.pin.shape(), self.id))

    def deeper(self, by: float) -> Follower | None:
        # A stub stays solid.
        return None
