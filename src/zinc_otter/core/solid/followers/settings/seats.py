"""Seats alone: what a stone takes out of the metal, or that as bodies by themselves."""

from __future__ import annotations

from dataclasses import dataclass
from typing import TYPE_CHECKING, ClassVar, Literal

from zinc_otter.core.errors import CoreError
from zinc_otter.core.solid.followers.base import Follower, Measured, OnKernel, OnMesh
from zinc_otter.core.solid.followers.settings.base import Parts, Seat, Set, Setting, within
from zinc_otter.core.solid.mesh.body import MeshBody, named, together

if TYPE_CHECKING:
    from zinc_otter.core.solid.kernel.shape import NamedShape


@dataclass(frozen=True)
class Seats(Setting):
    """A seat about each stone, its outline as wide at every height as the stone reaches there, to its girdle's upper edge
    and ``above`` mm straight up: "cut" into the body, or "alone", the cutters in its place. It holds nothing.

    >>> import numpy as np
    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> from zinc_otter.core.stone.stone import Stone
    >>> where = np.eye(4)[None].copy()
    >>> where[0, 2, 3] = 15.0
    >>> laid = {"p2": [(Stone(), where)]}
    >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Seats("f1", stones="p2", way="alone"),), stones=laid)
    >>> bool(made_of_triangles(recipe).body.size[0] < 7)
    True
    """

    what: ClassVar[str] = "Seats"
    way: Literal["cut", "alone"] = "cut"
    above: float = 2.0
    kind: Literal["seats"] = "seats"

    def __post_init__(self) -> None:
        super().__post_init__()
        within(self.what, way_up=(self.above, 0.05, 50.0))

    def parts(self, seat: Seat) -> Parts:
        c = self.clearance
        return Parts((), (seat.stack([*seat.below(c), (seat.half + self.above, 1.0, c)]),))

    def measured(self, of: Measured) -> Follower:
        made = super().measured(of)
        if self.way == "cut" or not isinstance(made, Set):
            return made
        return Cutters(made.id, made.name, True, taken=made.taken)


@dataclass(frozen=True, eq=False)
class Cutters(Set):
    """Its parts in place of the body."""

    what: ClassVar[str] = "Cutters of seats"

    def on_mesh(self, body: MeshBody, at: OnMesh) -> MeshBody:
        if not self.taken:
            raise CoreError(f"{self.called}: there are no stones.")
        return together([named(part.mesh(min(at.chord, 0.01)), self.id) for part in self.taken])

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        from zinc_otter.core.solid.kernel.operations import fused_with
        from zinc_otter.core.solid.kernel.shape import one_name

        first, *others = [one_name(part.shape(), self.id) for part in self.taken]
        return fused_with(first, others) if others else first

    def deeper(self, by: float) -> Follower | None:
        return None
