"""Move what is picked by a vector."""

from __future__ import annotations

from typing import Literal

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.building.motion import Motion, moving
from zinc_otter.core.words import along_axes
from zinc_otter.studio.commands.base import Vector
from zinc_otter.studio.commands.placement import Placement, reaching
from zinc_otter.studio.design import Design


class Move(Placement):
    """Move by ``vector`` in mm."""

    kind: Literal["move"] = "move"
    vector: Vector

    def motion(self, cage: Cage, picked: Selection) -> Motion:
        return moving(self.vector)

    def title(self, design: Design) -> str:
        return f"Moved {self.what(design)} by {along_axes(self.vector)}{reaching(self.reach)}"
