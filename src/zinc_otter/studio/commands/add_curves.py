"""Put down several curves at once, as they come from a file."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field

from zinc_otter.core.curve import Curve
from zinc_otter.core.curve.curve import MOST_POINTS
from zinc_otter.core.formats.curves.paths import MOST_CURVES, Drawn
from zinc_otter.studio.commands.base import Command, Name, Outcome, Vector
from zinc_otter.studio.design import Design


class GivenCurve(BaseModel):
    """Control points in mm, a degree, and the sharpness of corners by their number."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    name: Name
    points: Annotated[tuple[Vector, ...], Field(min_length=2, max_length=MOST_POINTS)]
    degree: Literal[1, 2, 3] = 3
    closed: bool = False
    corners: Annotated[tuple[tuple[Annotated[int, Field(ge=0)], Annotated[float, Field(ge=0, le=10)]], ...], Field()] = ()

    @classmethod
    def of(cls, drawn: Drawn) -> GivenCurve:
        curve = drawn.curve
        sharp = tuple((k, float(value)) for k, value in enumerate(curve.sharpness) if value)
        points = tuple((float(x), float(y), float(z)) for x, y, z in curve.points)
        return cls(name=drawn.name, points=points, degree=curve.degree, closed=curve.closed, corners=sharp)

    def curve(self) -> Curve:
        """Raises CurveError."""
        sharpness = [0.0] * len(self.points)
        for k, value in self.corners:
            if k < len(sharpness):
                sharpness[k] = value
        return Curve(self.points, self.degree, self.closed, sharpness)


class AddCurves(Command):
    """Put down curves, each as a piece of its own; of several they are a group."""

    kind: Literal["add-curves"] = "add-curves"
    name: Name = "Curves"
    curves: Annotated[tuple[GivenCurve, ...], Field(min_length=1, max_length=MOST_CURVES)]

    def apply(self, design: Design) -> Outcome:
        first = None
        for given in self.curves:
            design, piece = design.with_new_piece(given.name, given.curve())
            first = first or piece.id
            if len(self.curves) > 1:
                design = design.with_piece(replace(piece, group=self.name))
        return Outcome(design, first)

    def title(self, design: Design) -> str:
        many = len(self.curves)
        return f"Put down {many} curves of {self.name}" if many > 1 else f"Put down {self.curves[0].name}"
