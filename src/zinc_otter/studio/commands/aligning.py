"""Flatten, line up, make round."""

from __future__ import annotations

from collections.abc import Callable
from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.circle import circle
from zinc_otter.core.cage.edits.flatten import flatten
from zinc_otter.core.cage.edits.line_up import line_up
from zinc_otter.studio.commands.base import Direction, Length, OnSelection, Vector
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design

Share = Annotated[float, Field(ge=0, le=1, allow_inf_nan=False)]


class Aligning(OnSelection):
    """A verb whose plane, line or circle is that of what was picked, not of it together with its images."""

    is_quick = True
    on_curves = True

    share: Annotated[Share, labelled("Share of the way", "%", step=10)] = 1.0

    def editing(self, cage: Cage, picked: Selection) -> Callable[[Cage, Selection], Edit]:
        return lambda whole, _: self.edit(whole, picked)


class Flatten(Aligning):
    """Move what is picked straight into a plane, by a ``share`` of the way: the plane that fits best, or of a ``normal``.

    It goes through ``point``, or through the middle of the picked.
    """

    kind: Literal["flatten"] = "flatten"
    normal: Direction | None = None
    point: Vector | None = None

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return flatten(cage, selection, normal=self.normal, point=self.point, share=self.share)

    def title(self, design: Design) -> str:
        return f"Flattened {self.what(design)}"


class LineUp(Aligning):
    """Move what is picked straight onto a line: the one that fits best, or ``along`` a direction, through ``point`` or
    the middle; with ``even`` a chain's vertices at even distances."""

    kind: Literal["line-up"] = "line-up"
    along: Direction | None = None
    point: Vector | None = None
    even: Annotated[bool, labelled("Distances", words={"no": "as they are", "yes": "even"})] = False

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return line_up(cage, selection, along=self.along, point=self.point, even=self.even, share=self.share)

    def title(self, design: Design) -> str:
        return f"Lined up {self.what(design)}"


class Circle(Aligning):
    """Make picked loops round: of ``radius`` mm, or as large as they are; with ``even`` at even angles."""

    kind: Literal["circle"] = "circle"
    radius: Annotated[Annotated[Length, Field(gt=0)] | None, labelled("Radius", "mm", step=0.5)] = None
    even: Annotated[bool, labelled("Angles", words={"yes": "even", "no": "as they are"})] = True

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return circle(cage, selection, radius=self.radius, even=self.even, share=self.share)

    def title(self, design: Design) -> str:
        return f"Made {self.what(design)} round"
