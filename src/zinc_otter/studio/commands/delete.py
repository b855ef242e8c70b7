"""Delete what is picked."""

from __future__ import annotations

from typing import Literal

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.studio.commands.base import OnSelection
from zinc_otter.studio.design import Design


class Delete(OnSelection):
    """Delete the picked faces, or the faces around the picked vertices or edges."""

    kind: Literal["delete"] = "delete"

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return delete_elements(cage, selection)

    def title(self, design: Design) -> str:
        return f"Deleted {self.what(design)}"
