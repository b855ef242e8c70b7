"""A bore cut to its size, whatever is pulled."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import TYPE_CHECKING, ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.errors import CoreError
from zinc_otter.core.proof.bore import bore_about
from zinc_otter.core.remark import Remark, at_points
from zinc_otter.core.ring_sizes import ring_words
from zinc_otter.core.solid.exact import Cylinder, above_nothing, direction
from zinc_otter.core.solid.followers.base import PIECE, Follower, Measured, NameOf, OnKernel, OnMesh
from zinc_otter.core.solid.mesh.body import MeshBody, named
from zinc_otter.core.words import length_words

if TYPE_CHECKING:
    from zinc_otter.core.solid.kernel.shape import NamedShape

_GRAZES = 0.008
"""mm by which a bore may be too narrow for the kernel to leave it: a ring is told to be right within 0.005 mm all round."""
_WIDER = 0.01
"""mm by which a bore may be wider than was asked for before it is said."""


@dataclass(frozen=True)
class FitBore(Follower):
    """All that lies within a cylinder of a ``diameter`` mm about the axis through ``point`` is cut away.

    >>> from zinc_otter.core.primitives.ring import ring_band
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> band = ring_band(16.0, (4, 4), (2, 2), "court", 16)
    >>> made = made_of_triangles(Recipe("Ring", band, (FitBore("f1", diameter=16.4),)))
    >>> made.notes[0].status, made.notes[0].words
    ('done', '')
    """

    what: ClassVar[str] = "Fit bore"
    diameter: float = 17.3
    point: Vec = (0.0, 0.0, 0.0)
    along: Vec = (0.0, 0.0, 1.0)
    kind: Literal["fit-bore"] = "fit-bore"

    def __post_init__(self) -> None:
        super().__post_init__()
        above_nothing(bore=self.diameter)
        direction(self.along)

    def deed(self, name_of: NameOf) -> str:
        return f"Fit the bore of {name_of(PIECE)} to {length_words(self.diameter)}"

    def measured(self, of: Measured) -> Follower:
        # Longer than the body is from any of its points to the other end.
        now = of.rays().widest(self.point, self.along)
        grazes = now > self.diameter - _GRAZES
        reach = _reach(of, self.point)
        return CutBore(self.id, self.called, True, self.diameter, self.point, self.along, reach=reach, grazes=grazes)


@dataclass(frozen=True)
class CutBore(FitBore):
    """The same with its ``reach``, mm to both sides of its point."""

    reach: float = 100.0
    grazes: bool = False
    """Whether hardly anything is cut: two surfaces that all but coincide are more than the kernel can part."""

    def measured(self, of: Measured) -> Follower:
        return self

    @property
    def _cylinder(self) -> Cylinder:
        x, y, z = (float(v) for v in np.asarray(self.point) - self.reach * np.asarray(direction(self.along)))
        return Cylinder((x, y, z), self.along, self.diameter / 2, 2 * self.reach)

    def on_mesh(self, body: MeshBody, at: OnMesh) -> MeshBody:
        made = body.less(named(self._cylinder.mesh(min(at.chord, 5e-4)), self.id))
        if made.solid.is_empty():
            raise CoreError(f"A bore of {length_words(self.diameter)} leaves nothing of the body.")
        return made

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        if self.grazes:
            return body
        from zinc_otter.core.solid.kernel.operations import cut
        from zinc_otter.core.solid.kernel.shape import one_name

        return cut(body, one_name(self._cylinder.shape(), self.id))

    def deeper(self, by: float) -> Follower | None:
        return replace(self, on=True, diameter=self.diameter + 2 * by, reach=self.reach + by)

    def judged(self, made: MeshBody) -> Remark | None:
        wide = bore_about(made.mesh.points, made.mesh.triangles, self.point, self.along)
        if wide <= self.diameter + _WIDER:
            return None
        words = (
            f"The bore is {length_words(wide)} ({ring_words(wide)}), wider than the {length_words(self.diameter)} asked "
            "for: metal is only taken away here. Move the inside instead."
        )
        return Remark(words, at_points(np.array([self.point])))


def _reach(of: Measured, point: Vec) -> float:
    return 2 * float(np.linalg.norm(of.size())) + float(np.abs(point).max())
