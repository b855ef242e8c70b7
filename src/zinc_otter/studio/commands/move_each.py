"""Move each picked vertex along its own normal."""

from __future__ import annotations

from typing import Literal

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.placing import move_each_along_normal
from zinc_otter.studio.commands.base import Length, OnSelection
from zinc_otter.studio.design import Design
from zinc_otter.studio.words import millimetres


class MoveEach(OnSelection):
    """Move every vertex by ``distance`` in mm along its own normal."""

    kind: Literal["move-each"] = "move-each"
    distance: Length

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return move_each_along_normal(cage, selection, self.distance)

    def title(self, design: Design) -> str:
        return f"Moved {self.what(design)} by {millimetres(self.distance)}, each along its own normal"
