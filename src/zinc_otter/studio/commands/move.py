"""Move what is picked by a vector."""

from __future__ import annotations

from typing import Literal

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.placing import move
from zinc_otter.studio.commands.base import OnSelection, Vector
from zinc_otter.studio.design import Design
from zinc_otter.studio.words import along_axes


class Move(OnSelection):
    """Move by ``vector`` in mm."""

    kind: Literal["move"] = "move"
    vector: Vector

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return move(cage, selection, self.vector)

    def title(self, design: Design) -> str:
        return f"Moved {self.what(design)} by {along_axes(self.vector)}"
