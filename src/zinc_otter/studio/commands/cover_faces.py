"""Lay a stamp over picked faces."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage.plane import plane_at
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.relief.covering import Cover, covered
from zinc_otter.core.relief.relief import DEEPEST, check_level
from zinc_otter.core.surface import build_stencils
from zinc_otter.core.words import length_words
from zinc_otter.studio.commands.base import Command, Direction, Outcome, Picked, PieceId, Vector
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class CoverFaces(Command):
    """Lay a stamp over the picked faces of a piece: of a mirrored one on all sides.

    ``size`` mm is the width of a tile; 0 lays it once over all of them. "flat" looks along ``along``, or without it along
    the mean normal of the faces; "round" goes about the axis, and a whole number of tiles fits round it.
    """

    kind: Literal["cover-faces"] = "cover-faces"
    piece: PieceId
    picked: Picked
    stamp: Annotated[str, Field(min_length=1, max_length=20)]
    level: Annotated[int, Field(ge=1, le=DEEPEST), labelled("Level")] = 4
    height: Annotated[float, Field(ge=-1_000, le=1_000, allow_inf_nan=False), labelled("Height", "mm", step=0.1)] = 0.5
    size: Annotated[float, Field(ge=0, le=10_000, allow_inf_nan=False), labelled("Tile", "mm", step=0.5)] = 5.0
    way: Annotated[Literal["flat", "round"], labelled("Laid", words={"flat": "flat", "round": "round an axis"})] = "flat"
    along: Direction | None = None
    axis_point: Vector = (0.0, 0.0, 0.0)
    axis: Direction = (0.0, 0.0, 1.0)
    turned: Annotated[float, Field(ge=-360, le=360, allow_inf_nan=False), labelled("Turned", "°", step=15)] = 0.0
    soft: Annotated[float, Field(ge=0, le=1_000, allow_inf_nan=False), labelled("Soft edge", "mm", step=0.2)] = 0.5

    def apply(self, design: Design) -> Outcome:
        piece = design.pullable_piece(self.piece)
        cage = piece.faces
        picked = self.picked.on(cage)
        picked.check(cage.topology)
        if picked.kind != "face":
            raise BadSelectionError("A stamp is laid over faces; pick some (F), or the whole piece (W).")
        check_level(cage.topology, self.level)
        along = None if self.along is None or not any(self.along) else self.along
        axis = plane_at(self.axis_point, self.axis) if self.way == "round" else None
        cover = Cover(
            design.stamp(self.stamp), self.level, self.height, self.size, self.way, along, axis, self.turned, self.soft
        )
        sides = [(picked.ids, np.eye(3), np.zeros(3))]
        if piece.symmetry is not None:
            matrices, offsets, _ = piece.symmetry.group.elements
            images = piece.symmetry.faces
            sides = [(images[g, picked.ids], matrices[g], offsets[g]) for g in range(len(matrices))]
        done = covered(cage, sides, cover, build_stencils(cage, self.level))
        return Outcome(design.with_piece(replace(piece, form=done)), piece.id, picked, whole=self.picked.kind == "piece")

    def title(self, design: Design) -> str:
        piece = design.piece(self.piece)
        what = piece.name if self.picked.kind == "piece" else f"{self.picked.on(piece.cage).words()} of {piece.name}"
        return f"Covered {what} with {design.stamp_name(self.stamp)}, {length_words(self.height)} high"
