"""Twist, bend and taper what is picked: changes that grow along an axis."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.building.motion import Motion, stretch_of
from zinc_otter.core.cage.edits.bend import bending, check_bend
from zinc_otter.core.cage.edits.taper import tapering
from zinc_otter.core.cage.edits.twist import twisting
from zinc_otter.core.cage.selection import vertices_of
from zinc_otter.core.words import number
from zinc_otter.studio.commands.base import Direction, Vector
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.commands.placement import Placement, reaching
from zinc_otter.studio.design import Design

Angle = Annotated[float, Field(ge=-3600, le=3600, allow_inf_nan=False)]
HELD = {"start": "at the lower end", "middle": "in the middle", "end": "at the upper end"}


class Twist(Placement):
    """Turn about ``axis`` through ``pivot`` (default the middle of the picked) by an amount that grows along it.

    From one end of the picked to the other it comes to ``degrees``; where it is ``held`` nothing is turned.
    """

    kind: Literal["twist"] = "twist"
    axis: Direction
    degrees: Annotated[Angle, labelled("By", "°", step=5)]
    held: Annotated[Literal["start", "middle", "end"], labelled("Held", words=HELD)] = "start"
    pivot: Vector | None = None

    def motion(self, cage: Cage, picked: Selection) -> Motion:
        return twisting(stretch_of(cage, picked, self.axis, self.pivot), self.degrees, held=self.held)

    def title(self, design: Design) -> str:
        return f"Twisted {self.what(design)} by {number(self.degrees, 1)}°{reaching(self.reach)}"


class Bend(Placement):
    """Bend along ``axis`` through ``pivot`` (default the middle of the picked) into an arc of ``degrees``.

    The arc's own middle lies ``towards`` a direction; where it is ``held`` the form stays as it is.
    """

    kind: Literal["bend"] = "bend"
    axis: Direction
    towards: Direction
    degrees: Annotated[Angle, labelled("By", "°", step=5)]
    held: Annotated[Literal["start", "middle", "end"], labelled("Held", words=HELD)] = "middle"
    pivot: Vector | None = None

    def motion(self, cage: Cage, picked: Selection) -> Motion:
        stretch = stretch_of(cage, picked, self.axis, self.pivot)
        check_bend(stretch, cage.positions[vertices_of(cage.topology, picked)], self.towards, self.degrees)
        return bending(stretch, self.towards, self.degrees, held=self.held)

    def title(self, design: Design) -> str:
        return f"Bent {self.what(design)} by {number(self.degrees, 1)}°{reaching(self.reach)}"


class Taper(Placement):
    """Size across ``axis`` through ``pivot`` (default the middle of the picked) by a factor that grows along it.

    It is 1 at the end that is ``held``, and ``factor`` at the other; lengths along the axis stay.
    """

    kind: Literal["taper"] = "taper"
    axis: Direction
    factor: Annotated[float, Field(ge=0, le=100, allow_inf_nan=False), labelled("To", "%", step=5)]
    held: Annotated[Literal["start", "end"], labelled("Held", words={"start": HELD["start"], "end": HELD["end"]})] = "start"
    pivot: Vector | None = None

    def motion(self, cage: Cage, picked: Selection) -> Motion:
        return tapering(stretch_of(cage, picked, self.axis, self.pivot), self.factor, held=self.held)

    def title(self, design: Design) -> str:
        return f"Tapered {self.what(design)} to {number(100 * self.factor, 1)} %{reaching(self.reach)}"
