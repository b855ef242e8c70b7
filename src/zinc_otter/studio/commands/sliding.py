"""Slide along the cage, straighten, space evenly, relax."""

from __future__ import annotations

from collections.abc import Callable
from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.relax import MOST_ROUNDS, relax
from zinc_otter.core.cage.edits.slide import slide
from zinc_otter.core.cage.edits.space_evenly import space_evenly
from zinc_otter.core.cage.edits.straighten import straighten
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.holding import relax_holding
from zinc_otter.core.words import length_words, number
from zinc_otter.studio.commands.aligning import Aligning, Share
from zinc_otter.studio.commands.base import Direction, Length, OnSelection
from zinc_otter.studio.commands.curve_edits import points_evened
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class Slide(OnSelection):
    """Slide picked chains along the cage to their left, or for a negative amount to their right; with ``towards`` each
    picked vertex by itself along that of its edges that goes this way best.

    The amount is a ``share`` of the way to the next loop, -1 to 1, or where it is given ``distance`` mm.
    """

    kind: Literal["slide"] = "slide"
    share: Annotated[float, Field(ge=-1, le=1, allow_inf_nan=False), labelled("Share", "%", step=5)] = 0.0
    distance: Annotated[Length | None, labelled("Distance", "mm", step=0.5)] = None
    towards: Direction | None = None

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        by_length = self.distance is not None
        return slide(
            cage, selection, self.share if self.distance is None else self.distance, in_mm=by_length, towards=self.towards
        )

    def editing(self, cage: Cage, picked: Selection) -> Callable[[Cage, Selection], Edit]:
        # The sides of a chain are those of the one that was picked; its images follow.
        return lambda whole, _: self.edit(whole, picked)

    def title(self, design: Design) -> str:
        by = f"{number(100 * self.share)} %" if self.distance is None else length_words(self.distance)
        return f"Slid {self.what(design)} by {by}"


class Straighten(Aligning):
    """Slide the vertices of picked loops along the cage until each lies in a plane, by a ``share`` of the way."""

    on_curves = False

    kind: Literal["straighten"] = "straighten"

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return straighten(cage, selection, share=self.share)

    def title(self, design: Design) -> str:
        return f"Straightened {self.what(design)}"


class SpaceEvenly(Aligning):
    """Set the vertices of picked loops at even distances along the curve through them, by a ``share`` of the way."""

    kind: Literal["space-evenly"] = "space-evenly"

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return space_evenly(cage, selection, share=self.share)

    def title(self, design: Design) -> str:
        return f"Spaced {self.what(design)} evenly"


class Relax(OnSelection):
    """Even out the picked vertices within the form, in so many ``rounds``; with ``hold`` they are fitted to the surface."""

    kind: Literal["relax"] = "relax"
    rounds: Annotated[int, Field(ge=1, le=MOST_ROUNDS), labelled("Rounds")] = 5
    strength: Annotated[Share, labelled("Strength", "%", step=10)] = 0.5
    hold: Annotated[bool, labelled("Surface", words={"yes": "hold form", "no": "as it falls"})] = True

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return (relax_holding if self.hold else relax)(cage, selection, rounds=self.rounds, strength=self.strength)

    def edit_curve(self, curve: Curve, picked: Selection, name: str) -> Edit:
        return points_evened(curve, picked, self.rounds, self.strength, self.hold)

    def title(self, design: Design) -> str:
        return f"Relaxed {self.what(design)}"
