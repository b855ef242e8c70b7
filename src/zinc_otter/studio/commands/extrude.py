"""Extrude faces along their mean normal."""

from __future__ import annotations

from typing import Literal

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.extrude import extrude_along, extrude_faces
from zinc_otter.studio.commands.base import Length, OnSelection, Vector
from zinc_otter.studio.design import Design
from zinc_otter.studio.words import along_axes, millimetres


class Extrude(OnSelection):
    """Extrude the picked faces by ``distance`` mm, each connected group along its own mean normal."""

    kind: Literal["extrude"] = "extrude"
    distance: Length

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return extrude_faces(cage, selection, self.distance)

    def title(self, design: Design) -> str:
        return f"Extruded {self.what(design)} by {millimetres(self.distance)}"


class ExtrudeAlong(OnSelection):
    """Extrude faces by a ``vector`` in mm."""

    kind: Literal["extrude-along"] = "extrude-along"
    vector: Vector

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return extrude_along(cage, selection, self.vector)

    def title(self, design: Design) -> str:
        return f"Extruded {self.what(design)} by {along_axes(self.vector)}"
