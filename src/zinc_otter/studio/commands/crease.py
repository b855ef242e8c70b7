"""Set how sharp edges are."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import HARD, Cage, Edit, Selection
from zinc_otter.core.cage.edits.creases import set_crease
from zinc_otter.core.words import number
from zinc_otter.studio.commands.base import OnSelection
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design

Sharpness = Annotated[float, Field(ge=0, le=HARD, allow_inf_nan=False)]


class SetCrease(OnSelection):
    """Give the picked edges (or those that the picked faces or vertices hold) a sharpness, 0 smooth to 10 hard."""

    is_quick = True

    kind: Literal["crease"] = "crease"
    sharpness: Annotated[Sharpness, labelled("Sharpness", step=0.5)]

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return set_crease(cage, selection, self.sharpness)

    def title(self, design: Design) -> str:
        if self.sharpness == 0:
            return f"Made {self.what(design)} smooth"
        return f"Creased {self.what(design)}, sharpness {number(self.sharpness)}"
