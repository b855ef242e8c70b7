"""Fill a closed outline with quads."""

from __future__ import annotations

from typing import Annotated, Literal

import numpy as np
from pydantic import BaseModel, ConfigDict, Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives.outline import Outline, border_deviation, circle, drawn, ellipse, filled, rounded_rectangle
from zinc_otter.core.words import extent, fine_length_words, length_words
from zinc_otter.studio.commands.base import Direction, Length, NewPiece, Outcome, Vector
from zinc_otter.studio.commands.forms import Count, Form, Size, formed
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class _Shape(BaseModel):
    model_config = ConfigDict(extra="forbid", frozen=True)


class CircleOutline(_Shape):
    shape: Literal["circle"] = "circle"
    diameter: Size

    def outline(self) -> Outline:
        return circle(self.diameter)

    def words(self) -> str:
        return f"a circle, ⌀ {length_words(self.diameter)}"


class EllipseOutline(_Shape):
    shape: Literal["ellipse"] = "ellipse"
    width: Size
    height: Size

    def outline(self) -> Outline:
        return ellipse(self.width, self.height)

    def words(self) -> str:
        return f"an ellipse, {extent([self.width, self.height])}"


class RoundedOutline(_Shape):
    shape: Literal["rounded-rectangle"] = "rounded-rectangle"
    width: Size
    height: Size
    radius: Annotated[Length, Field(ge=0)]

    def outline(self) -> Outline:
        return rounded_rectangle(self.width, self.height, self.radius)

    def words(self) -> str:
        return f"a rounded rectangle, {extent([self.width, self.height])}"


class FillOutline(Form):
    """A patch of quads in a circle, an ellipse or a rounded rectangle, ``around`` faces along its border."""

    kind: Literal["fill-outline"] = "fill-outline"
    name: str = Field("Patch", min_length=1, max_length=80)
    outline: Annotated[CircleOutline | EllipseOutline | RoundedOutline, Field(discriminator="shape")]
    around: Annotated[Count, labelled("Faces around")]
    rings: Annotated[Count, labelled("Rings")] = 1

    def form(self) -> Cage:
        return filled(self.outline.outline(), self.around, self.rings)

    @property
    def by_surface(self) -> bool:
        # Its border is what is given, however the others' sizes are meant.
        return True

    def called(self) -> str:
        return f"a patch in {self.outline.words()}"

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        away = fine_length_words(border_deviation(formed(self), self.outline.outline(), self.around))
        if self.keep == "whole":
            return (f"The border stays within {away} of the outline.",)
        if self.half == "alone":
            return super().notes(outcome)
        return (f"Once mirrored, the border stays within {away} of the outline.", *super().notes(outcome))


class FillDrawn(NewPiece):
    """A patch of quads within points drawn on a plane, joined smoothly or by straight lines; it looks ``towards``."""

    kind: Literal["fill-drawn"] = "fill-drawn"
    name: str = Field("Patch", min_length=1, max_length=80)
    points: Annotated[tuple[Vector, ...], Field(min_length=3, max_length=400)]
    towards: Direction
    smooth: Annotated[bool, labelled("Joined", words={"yes": "smoothly", "no": "by straight lines"})] = True
    around: Annotated[Count, labelled("Faces around")]
    rings: Annotated[Count, labelled("Rings")] = 1

    def cage(self) -> Cage:
        points = np.array(self.points)
        middle, axes = _plane(points, np.array(self.towards))
        flat = (points - middle) @ axes.T
        sheet = filled(drawn(flat[:, :2].tolist(), self.smooth), self.around, self.rings)
        return sheet.with_positions(sheet.positions @ axes + middle)

    def title(self, design: Design) -> str:
        return f"Filled an outline of {len(self.points)} points"


def _plane(points: Floats, towards: Floats) -> tuple[Floats, Floats]:
    """The middle of the points and a frame (rows) whose third axis is square to the plane nearest to them."""
    middle = points.mean(axis=0)
    _, spread, axes = np.linalg.svd(points - middle)
    if spread[1] <= 1e-9 * max(spread[0], 1e-12):
        raise BadNumberError("The points of the outline lie on one line.")
    up = axes[2] if axes[2] @ towards >= 0 else -axes[2]
    right = unit(axes[0])
    return middle, np.array([right, np.cross(up, right), up])
