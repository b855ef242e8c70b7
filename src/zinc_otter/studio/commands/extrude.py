"""Extrude faces, as regions or one by one, and the edges of an open border."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.extrude import Rise, extrude_along, extrude_edges, extrude_faces
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.words import along_axes, length_words
from zinc_otter.studio.commands.base import Length, Number, OnSelection, Vector
from zinc_otter.studio.commands.curve_edits import point_drawn_out
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class Rising(OnSelection):
    """Walls rise in ``segments``; the top is sized by the factor ``taper`` and turned by ``degrees``."""

    segments: Annotated[int, Field(ge=1, le=64), labelled("Segments")] = 1
    taper: Annotated[float, Field(ge=0, le=100, allow_inf_nan=False), labelled("Taper", "%", step=5)] = 1.0
    degrees: Annotated[Number, labelled("Turn", "°", step=5)] = 0.0

    @property
    def rise(self) -> Rise:
        return Rise(self.segments, self.taper, self.degrees)


class Extrude(Rising):
    """Extrude the picked faces by ``distance`` mm, or grow strips from picked edges of an open border.

    - way "even": an even wall, every face moves by the distance along its own normal
    - "mean": each connected region along its own mean normal
    - "each": each face by itself
    - "point": away from a ``point``
    """

    kind: Literal["extrude"] = "extrude"
    distance: Annotated[Length, labelled("Distance", "mm")]
    way: Annotated[
        Literal["even", "mean", "each", "point"],
        labelled(
            "Faces",
            words={
                "even": "with an even wall",
                "mean": "by their mean normal",
                "each": "each by itself",
                "point": "away from the pivot",
            },
        ),
    ] = "mean"
    point: Vector | None = None

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        if selection.kind == "edge":
            return extrude_edges(cage, selection, self.distance, rise=self.rise)
        if selection.kind == "vertex":
            raise BadSelectionError("Extruding takes faces, or edges of an open border; pick those.")
        return extrude_faces(cage, selection, self.distance, way=self.way, point=self.point, rise=self.rise)

    def edit_curve(self, curve: Curve, picked: Selection, name: str) -> Edit:
        return point_drawn_out(curve, picked, self.distance)

    def title(self, design: Design) -> str:
        if design.piece(self.piece).curve is not None:
            return f"Drew a point out of {design.piece(self.piece).name}, {length_words(self.distance)}"
        return f"Extruded {self.what(design)} by {length_words(self.distance)}"


class ExtrudeAlong(Rising):
    """Extrude faces, or edges of an open border, by a ``vector`` in mm."""

    kind: Literal["extrude-along"] = "extrude-along"
    vector: Vector

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        return extrude_along(cage, selection, self.vector, rise=self.rise)

    def edit_curve(self, curve: Curve, picked: Selection, name: str) -> Edit:
        return point_drawn_out(curve, picked, self.vector)

    def title(self, design: Design) -> str:
        if design.piece(self.piece).curve is not None:
            return f"Drew a point out of {design.piece(self.piece).name} by {along_axes(self.vector)}"
        return f"Extruded {self.what(design)} by {along_axes(self.vector)}"
