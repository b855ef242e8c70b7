"""Turn what is picked about an axis."""

from __future__ import annotations

from typing import Literal

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.building.motion import Motion, middle_of, turning
from zinc_otter.core.words import number
from zinc_otter.studio.commands.base import Direction, Number, Vector
from zinc_otter.studio.commands.placement import Placement, reaching
from zinc_otter.studio.design import Design


class Turn(Placement):
    """Turn by ``degrees`` about ``axis`` through ``pivot`` (default the middle of the selection)."""

    kind: Literal["turn"] = "turn"
    axis: Direction
    degrees: Number
    pivot: Vector | None = None

    def motion(self, cage: Cage, picked: Selection) -> Motion:
        return turning(self.axis, self.degrees, self.pivot or tuple(middle_of(cage, picked)))

    def title(self, design: Design) -> str:
        along = [name for name, amount in zip("xyz", self.axis, strict=True) if amount]
        about = f" about {along[0]}" if len(along) == 1 else ""
        return f"Turned {self.what(design)} by {number(self.degrees, 1)}°{about}{reaching(self.reach)}"
