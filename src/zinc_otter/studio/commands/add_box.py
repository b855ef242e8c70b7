"""Put down a box."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives import box
from zinc_otter.studio.commands.base import Length, NewPiece, Vector
from zinc_otter.studio.design import Design
from zinc_otter.studio.words import extent

Size = Annotated[Length, Field(gt=0)]
Count = Annotated[int, Field(ge=1, le=10_000)]


class AddBox(NewPiece):
    """A closed box of quads; ``size`` is the cage's extent in mm, ``counts`` the faces along x, y and z."""

    kind: Literal["add-box"] = "add-box"
    name: str = Field("Box", min_length=1, max_length=80)
    size: tuple[Size, Size, Size]
    counts: tuple[Count, Count, Count]
    centre: Vector = (0.0, 0.0, 0.0)

    def cage(self) -> Cage:
        return box(self.size, self.counts, self.centre)

    def title(self, design: Design) -> str:
        return f"Put down a box, {extent(self.size)}"
