"""Thicken an open piece."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, ClassVar, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.solid.thicken import thicken
from zinc_otter.core.words import length_words
from zinc_otter.studio.commands.base import Length, OnSelection
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class Thicken(OnSelection):
    """Two walls ``distance`` mm apart, joined at the rims, which are creased if wished. The whole piece is meant.

    The second wall goes "in", "out", or "both" half the way.
    """

    says_nothing_crosses: ClassVar[bool] = True
    kind: Literal["thicken"] = "thicken"
    distance: Annotated[Length, Field(gt=0), labelled("Thickness", "mm", step=0.25)]
    side: Annotated[
        Literal["in", "out", "both"], labelled("Second wall", words={"in": "inside", "out": "outside", "both": "half each"})
    ] = "in"
    crease_rims: Annotated[bool, labelled("Rims", words={"yes": "creased", "no": "rounded"})] = True

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        done = thicken(cage, self.distance, self.side, self.crease_rims)
        if done.suspect is None or not len(done.suspect):
            return done
        return replace(done, remarks=(*done.remarks, f"It strays by more than a tenth at {len(done.suspect)} marked faces."))

    def crossing_words(self, count: int) -> str:
        return f"The walls run through each other at {count} marked faces; make it thinner."

    def title(self, design: Design) -> str:
        return f"Thickened {design.piece(self.piece).name} by {length_words(self.distance)}"
