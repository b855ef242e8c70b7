"""Weld picked vertices."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field, JsonValue

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.weld import weld, weld_close
from zinc_otter.core.errors import BadNumberError
from zinc_otter.studio.commands.base import InHand, Length, OnSelection, Vector
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class Weld(OnSelection):
    """Make vertices one: all picked ones at their "middle", at the "vertex" ``onto`` or at a "point"; or those that lie
    "close", within ``tolerance`` mm of one another."""

    kind: Literal["weld"] = "weld"
    to: Annotated[
        Literal["middle", "vertex", "point", "close"],
        labelled(
            "Weld",
            words={
                "close": "what lies close",
                "middle": "all in the middle",
                "vertex": "all onto the last picked",
                "point": "all at the pivot",
            },
        ),
    ] = "middle"
    onto: Annotated[int, Field(ge=0, lt=2**31)] | None = None
    point: Vector | None = None
    tolerance: Annotated[Length, Field(ge=0), labelled("Within", "mm", step=0.1)] = 0.1

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        if self.to == "close":
            return weld_close(cage, selection, self.tolerance)
        if self.to == "vertex" and self.onto is None:
            raise BadNumberError("Say onto which vertex to weld.")
        if self.to == "point" and self.point is None:
            raise BadNumberError("Say at which point to weld.")
        onto = self.onto if self.to == "vertex" else None
        return weld(cage, selection, onto=onto, point=self.point if self.to == "point" else None)

    def edited(self, design: Design, piece_id: str) -> tuple[Design, Edit]:
        # What lies close is welded wherever it is; all into one is meant for each side on its own.
        return super().edited(design, piece_id) if self.to == "close" else self.edited_image_by_image(design, piece_id)

    @classmethod
    def beginnings(cls, design: Design, hand: InHand) -> dict[str, JsonValue]:
        # Two vertices that were picked are meant to become one, however far apart they are.
        two = hand.picked.kind == "vertex" and len(hand.picked.ids) == 2
        return {"to": "middle" if two else "close"}

    def title(self, design: Design) -> str:
        return f"Welded {self.what(design)}"
