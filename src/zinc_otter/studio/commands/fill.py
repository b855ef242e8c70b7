"""Fill holes, delete with healing."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.fill import fill
from zinc_otter.core.cage.edits.heal import heal
from zinc_otter.core.cage.symmetry import SymmetryError
from zinc_otter.studio.commands.base import OnSelection
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class Fill(OnSelection):
    """Fill the holes at what is picked: with "quads", with "rings" that lead on what is around, or with a single "face".

    ``turned`` rolls the grid of quads on. On a symmetric piece the grid is turned so that it is symmetric too.
    """

    kind: Literal["fill"] = "fill"
    way: Annotated[
        Literal["quads", "rings", "face"],
        labelled("With", words={"quads": "a grid of quads", "rings": "rings that lead on", "face": "a single face"}),
    ] = "quads"
    rings: Annotated[int, Field(ge=1, le=32), labelled("Rings")] = 1
    turned: Annotated[int, Field(ge=-1000, le=1000), labelled("Turn grid by")] = 0

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return fill(cage, selection, way=self.way, rings=self.rings, turned=self.turned)

    def edited(self, design: Design, piece_id: str) -> tuple[Design, Edit]:
        try:
            return super().edited(design, piece_id)
        except SymmetryError:
            for turned in range(1, _MOST_TURNS):
                turn = self.model_copy(update={"turned": self.turned + turned})
                try:
                    return super(Fill, turn).edited(design, piece_id)
                except SymmetryError:
                    continue
            raise

    def title(self, design: Design) -> str:
        return f"Filled a hole of {design.piece(self.piece).name}"


_MOST_TURNS = 24


class Heal(OnSelection):
    """Take edges away: the picked, those at picked vertices, or those within picked faces. Faces grow together."""

    kind: Literal["heal"] = "heal"

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return heal(cage, selection)

    def title(self, design: Design) -> str:
        return f"Healed {self.what(design)} away"
