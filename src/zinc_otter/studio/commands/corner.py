"""Set how sharp corners are."""

from __future__ import annotations

from typing import Annotated, Literal

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.creases import set_corner
from zinc_otter.core.words import number
from zinc_otter.studio.commands.base import OnSelection
from zinc_otter.studio.commands.crease import Sharpness
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class SetCorner(OnSelection):
    """Give the picked vertices (or those that the picked edges or faces hold) a sharpness, 0 smooth to 10 hard."""

    is_quick = True
    on_curves = True

    kind: Literal["corner"] = "corner"
    sharpness: Annotated[Sharpness, labelled("Sharpness", step=0.5)]

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return set_corner(cage, selection, self.sharpness)

    def title(self, design: Design) -> str:
        return f"Set corners at {self.what(design)}, sharpness {number(self.sharpness)}"
