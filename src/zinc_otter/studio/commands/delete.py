"""Delete what is picked."""

from __future__ import annotations

from typing import Literal

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.curve.curve import Curve
from zinc_otter.studio.commands.base import OnSelection
from zinc_otter.studio.commands.curve_edits import points_deleted
from zinc_otter.studio.design import Design


class Delete(OnSelection):
    """Delete the picked faces, or the faces around the picked vertices or edges; of a curve control points."""

    kind: Literal["delete"] = "delete"

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return delete_elements(cage, selection)

    def edit_curve(self, curve: Curve, picked: Selection, name: str) -> Edit:
        return points_deleted(curve, picked)

    def title(self, design: Design) -> str:
        return f"Deleted {self.what(design)}"
