"""Thicken an open cage to a solid, before anything else is done to it."""

from __future__ import annotations

from dataclasses import dataclass
from typing import TYPE_CHECKING, ClassVar, Literal

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.solid.exact import above_nothing
from zinc_otter.core.solid.followers.base import PIECE, Follower, NameOf, OnKernel, OnMesh
from zinc_otter.core.solid.mesh.body import MeshBody
from zinc_otter.core.solid.thicken import Side, thicken
from zinc_otter.core.words import length_words

if TYPE_CHECKING:
    from zinc_otter.core.solid.kernel.shape import NamedShape


@dataclass(frozen=True)
class Thickened(Follower):
    """A wall of ``distance`` mm of an open cage, to one side or both; see ``thicken``.

    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> from zinc_otter.core.primitives import plane
    >>> wall = Thickened("f1", distance=2.0)
    >>> made = made_of_triangles(Recipe("Sheet", plane((40, 30), (2, 2)), (wall,)))
    >>> made.notes[0].status, round(float(made.body.size[2]), 3)
    ('done', 2.0)
    """

    what: ClassVar[str] = "Thicken"
    distance: float = 2.0
    side: Side = "in"
    crease_rims: bool = True
    kind: Literal["thickened"] = "thickened"

    def __post_init__(self) -> None:
        super().__post_init__()
        above_nothing(thickness=self.distance)

    def deed(self, name_of: NameOf) -> str:
        return f"Thicken {name_of(PIECE)} by {length_words(self.distance)}"

    def on_cage(self, cage: Cage) -> Cage | None:
        return thicken(cage, self.distance, self.side, self.crease_rims).cage

    def on_mesh(self, body: MeshBody, at: OnMesh) -> MeshBody:
        raise self._too_late()

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        raise self._too_late()

    def _too_late(self) -> BadSelectionError:
        return BadSelectionError(f"{self.called} works on an open cage; here the body is closed already.")
