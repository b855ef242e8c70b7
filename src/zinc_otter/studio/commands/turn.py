"""Turn what is picked about an axis."""

from __future__ import annotations

from typing import Literal

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.placing import turn
from zinc_otter.studio.commands.base import Direction, Number, OnSelection, Vector
from zinc_otter.studio.design import Design
from zinc_otter.studio.words import number


class Turn(OnSelection):
    """Turn by ``degrees`` about ``axis`` through ``pivot`` (default the middle of the selection)."""

    kind: Literal["turn"] = "turn"
    axis: Direction
    degrees: Number
    pivot: Vector | None = None

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return turn(cage, selection, self.axis, self.degrees, self.pivot)

    def title(self, design: Design) -> str:
        along = [name for name, amount in zip("xyz", self.axis, strict=True) if amount]
        about = f" about {along[0]}" if len(along) == 1 else ""
        return f"Turned {self.what(design)} by {number(self.degrees, 1)}°{about}"
