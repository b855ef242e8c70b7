"""Chamfer edges and vertices."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.chamfer import chamfer_edges, chamfer_vertices
from zinc_otter.core.cage.edits.chamfer.edges import MOST_SEGMENTS
from zinc_otter.core.words import length_words
from zinc_otter.studio.commands.base import Length, OnSelection
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class Chamfer(OnSelection):
    """Chamfer picked edges, ``distance`` mm to each side measured on their faces, with ``segments`` faces across that are
    flat or round; or cut off picked vertices. With ``quads`` corners and ends are closed in quads; ``keep_creases`` leaves
    the old edges' sharpness on the outer lines.
    """

    kind: Literal["chamfer"] = "chamfer"
    distance: Annotated[
        Length, Field(gt=0), labelled("Distance", "mm", step=0.5, help="Measured on the faces beside the edge.")
    ]
    segments: Annotated[int, Field(ge=1, le=MOST_SEGMENTS), labelled("Faces across")] = 1
    profile: Annotated[Literal["flat", "round"], labelled("Section", words={"flat": "flat", "round": "round"})] = "flat"
    quads: Annotated[bool, labelled("Corners and ends", words={"yes": "of quads", "no": "as they fall"})] = True
    keep_creases: Annotated[bool, labelled("Their crease", words={"no": "goes", "yes": "stays on both sides"})] = False

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        if selection.kind == "vertex":
            return chamfer_vertices(cage, selection, self.distance)
        is_round = self.profile == "round"
        return chamfer_edges(
            cage,
            selection,
            self.distance,
            segments=self.segments,
            is_round=is_round,
            quads=self.quads,
            keep_creases=self.keep_creases,
        )

    def title(self, design: Design) -> str:
        return f"Chamfered {self.what(design)} by {length_words(self.distance)}"
