"""Draw what is picked onto a component, or onto another piece."""

from __future__ import annotations

from collections.abc import Callable
from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.attract import Nearest, attract
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.surface.nearest import nearest_on
from zinc_otter.studio.commands.aligning import Share
from zinc_otter.studio.commands.base import BesideMeshes, Length, Meshes
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Component


class Attract(BesideMeshes):
    """Move what is picked by a ``share`` of the way to the nearest point of a surface, to end ``distance`` mm before it.

    ``onto`` is the id of a component, or of another piece, whose smooth surface is meant.
    """

    on_curves = True

    kind: Literal["attract"] = "attract"
    onto: Annotated[str, Field(min_length=1, max_length=20)]
    distance: Annotated[Length, labelled("Distance before it", "mm", step=0.5)] = 0.0
    share: Annotated[Share, labelled("Share of the way", "%", step=10)] = 1.0

    def edit_beside(self, design: Design, meshes: Meshes) -> Callable[[Cage, Selection], Edit]:
        if self.onto == self.piece:
            raise BadSelectionError("A piece cannot be drawn onto itself; choose another surface.")
        nearest = _nearest(design, self.onto, meshes)
        return lambda cage, selection: attract(cage, selection, nearest, distance=self.distance, share=self.share)

    def title(self, design: Design) -> str:
        return f"Drew {self.what(design)} onto {_name(design, self.onto)}"


def _name(design: Design, onto: str) -> str:
    return next((r.name for r in design.references if r.id == onto), None) or design.piece(onto).name


def _nearest(design: Design, onto: str, meshes: Meshes) -> Nearest:
    reference = next((r for r in design.references if r.id == onto), None)
    if isinstance(reference, Component):
        mesh, component = meshes(reference.asset), reference
        return lambda points: component.placed(mesh.signed(component.own(points))[1])
    if reference is not None:
        raise BadSelectionError(f"{reference.name} is a picture; draw onto a component or a piece.")
    surface = nearest_on(design.piece(onto).faces)
    return lambda points: surface.at(points)[0]
