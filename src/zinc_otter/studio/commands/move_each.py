"""Move each picked vertex along its own normal."""

from __future__ import annotations

from typing import Annotated, Literal

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.push import push
from zinc_otter.core.words import length_words
from zinc_otter.studio.commands.base import Length, OnSelection
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.commands.placement import ReachBy, reach_on, reaching
from zinc_otter.studio.design import Design


class MoveEach(OnSelection):
    """Move every vertex by ``distance`` in mm along its own normal."""

    is_quick = True

    kind: Literal["move-each"] = "move-each"
    distance: Annotated[Length, labelled("Distance", "mm", step=0.5)]

    reach: ReachBy | None = None

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return push(cage, selection, self.distance, reach=reach_on(self.reach, cage))

    def title(self, design: Design) -> str:
        return f"Moved {self.what(design)} by {length_words(self.distance)}, each along its own normal{reaching(self.reach)}"
