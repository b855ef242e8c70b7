"""Creases of many edges at once: by a factor, and along the sharp lines of a component."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import HARD, Cage, Edit, Selection
from zinc_otter.core.cage.edits.creasing import crease_along, scale_creases
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.proof.features import LineDistance, feature_segments
from zinc_otter.studio.commands.base import BesideMeshes, Length, Meshes, Number, OnSelection
from zinc_otter.studio.commands.crease import Sharpness
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Component
from zinc_otter.studio.words import number


class ScaleCreases(OnSelection):
    """Multiply the sharpness of all creases and corners of what is picked by a ``factor``: below 1 softens."""

    kind: Literal["scale-creases"] = "scale-creases"
    factor: Annotated[Number, Field(ge=0, le=HARD)]

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return scale_creases(cage, selection, self.factor)

    def title(self, design: Design) -> str:
        verb = "Softened" if self.factor < 1 else "Sharpened"
        return f"{verb} the creases of {self.what(design)} to {number(100 * self.factor)} %"


class CreaseLike(BesideMeshes):
    """Crease the picked edges that run along a component's sharp lines: its edges that turn by ``angle`` degrees or more.

    An edge runs along one where both its ends and its middle lie ``within`` mm of it.
    """

    shows_result = True
    kind: Literal["crease-like"] = "crease-like"
    like: Annotated[str, Field(min_length=1, max_length=20)]
    angle: Annotated[float, Field(gt=0, le=180, allow_inf_nan=False)] = 30.0
    within: Annotated[Length, Field(gt=0)] = 0.5
    sharpness: Sharpness = HARD

    def edit_beside(self, design: Design, meshes: Meshes) -> Callable[[Cage, Selection], Edit]:
        component = design.reference(self.like)
        if not isinstance(component, Component):
            raise BadSelectionError(f"{component.name} is a picture; it has no sharp lines to follow.")
        mesh = meshes(component.asset)
        segments = feature_segments(mesh.vertices, mesh.triangles, self.angle)
        lines = LineDistance(component.placed(segments.reshape(-1, 3)).reshape(-1, 2, 3))

        def edit(cage: Cage, selection: Selection) -> Edit:
            done = crease_along(cage, selection, lines, self.within, self.sharpness)
            return replace(done, remarks=(f"{len(done.selected)} edges run along its sharp lines.",))

        return edit

    def title(self, design: Design) -> str:
        return f"Creased {self.what(design)} like {design.reference(self.like).name}"
