"""Turn shells over, and make normals agree."""

from __future__ import annotations

from typing import Literal

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.flip import flip, orient_outward
from zinc_otter.studio.commands.base import OnSelection
from zinc_otter.studio.design import Design


class Flip(OnSelection):
    """Turn whole shells over, outside in: every shell of which something is picked."""

    is_quick = True

    kind: Literal["flip"] = "flip"

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return flip(cage, selection)

    def title(self, design: Design) -> str:
        return f"Turned {design.piece(self.piece).name} over"


class AgreeNormals(OnSelection):
    """Make all shells of a piece look outwards, and those within another one inwards."""

    kind: Literal["agree-normals"] = "agree-normals"

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return orient_outward(cage, selection)

    def title(self, design: Design) -> str:
        return f"Made the normals of {design.piece(self.piece).name} agree"
