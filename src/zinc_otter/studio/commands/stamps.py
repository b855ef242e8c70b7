"""Stamps of a design's own: taken in, taken off a piece, taken away."""

from __future__ import annotations

import base64
import binascii
from dataclasses import replace
from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.relief.relief import with_all_relief
from zinc_otter.core.relief.stamps.of_geometry import seen_from
from zinc_otter.core.relief.stamps.stamp import MOST_ACROSS, Stamp
from zinc_otter.core.words import fine_length_words
from zinc_otter.studio.commands.base import Command, Name, Outcome, PieceId
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design
from zinc_otter.studio.shown import surface_of

SIDES: dict[str, Vec] = {
    "top": (0.0, 0.0, 1.0), "bottom": (0.0, 0.0, -1.0), "front": (0.0, -1.0, 0.0), "back": (0.0, 1.0, 0.0),
    "left": (-1.0, 0.0, 0.0), "right": (1.0, 0.0, 0.0),
}  # fmt: skip
Side = Literal["top", "bottom", "front", "back", "left", "right"]
_LEVEL = 4


class AddStamp(Command):
    """Take a height map in as a stamp: ``heights`` are 16 bit numbers, little end first, row by row from the top, as base64.

    ``width`` and ``high`` in mm where it has a true size, else 0; ``tiles`` where its edges fit together.
    """

    kind: Literal["add-stamp"] = "add-stamp"
    name: Name
    pixels: tuple[Annotated[int, Field(ge=2, le=MOST_ACROSS)], Annotated[int, Field(ge=2, le=MOST_ACROSS)]]
    heights: Annotated[str, Field(max_length=12_000_000)]
    tiles: bool = False
    width: Annotated[float, Field(ge=0, le=1e5)] = 0.0
    high: Annotated[float, Field(ge=0, le=1e5)] = 0.0

    @classmethod
    def of(cls, name: str, stamp: Stamp) -> AddStamp:
        """The command that takes a stamp in."""
        rows, columns = stamp.heights.shape
        levels = np.rint(np.clip(stamp.heights, 0, 1) * 65_535).astype("<u2")
        text = base64.b64encode(levels.tobytes()).decode()
        return cls(name=name, pixels=(columns, rows), heights=text, tiles=stamp.tiles, width=stamp.width, high=stamp.height)

    def apply(self, design: Design) -> Outcome:
        columns, rows = self.pixels
        try:
            levels = np.frombuffer(base64.b64decode(self.heights, validate=True), dtype="<u2")
        except (binascii.Error, ValueError):
            raise BadNumberError("The heights of the stamp cannot be read.") from None
        if len(levels) != rows * columns:
            raise BadNumberError(f"The stamp has {columns} by {rows} pixels, but {len(levels)} heights.")
        heights = (levels.reshape(rows, columns) / 65_535).astype(np.float32)
        return Outcome(design.with_new_stamp(self.name, Stamp(heights, self.tiles, self.width, self.high)))

    def title(self, design: Design) -> str:
        return f"Took in the stamp {self.name}"


class StampFromPiece(Command):
    """Make a stamp of a piece as it is seen from one side, with its true size and height."""

    kind: Literal["stamp-from-piece"] = "stamp-from-piece"
    piece: PieceId
    side: Annotated[
        Side,
        labelled(
            "Seen from",
            words={
                "top": "the top", "front": "the front", "right": "the right", "left": "the left", "back": "the back",
                "bottom": "below",
            },
        ),
    ] = "top"  # fmt: skip

    def apply(self, design: Design) -> Outcome:
        piece = design.piece(self.piece)
        cage = piece.faces
        level = with_all_relief(cage.relief, _LEVEL if cage.topology.face_count < 600 else 2)
        stamp = seen_from(*surface_of(cage, level), SIDES[self.side])
        done = design.with_new_stamp(piece.name, stamp)
        words = f"A stamp of {fine_length_words(stamp.width)} across and {fine_length_words(stamp.height)} high."
        return Outcome(done, piece.id, whole=True, remarks=(words,))

    def title(self, design: Design) -> str:
        return f"Made a stamp of {design.piece(self.piece).name}, seen from {_FROM[self.side]}"


class ForgetStamp(Command):
    """Take a stamp away; what was pressed with it stays."""

    kind: Literal["forget-stamp"] = "forget-stamp"
    stamp: Annotated[str, Field(min_length=1, max_length=20)]

    def apply(self, design: Design) -> Outcome:
        design.stamp(self.stamp)
        return Outcome(replace(design, stamps=tuple(own for own in design.stamps if own.id != self.stamp)))

    def title(self, design: Design) -> str:
        return f"Took the stamp {design.stamp_name(self.stamp)} away"


_FROM = {
    "top": "the top",
    "bottom": "below",
    "front": "the front",
    "back": "the back",
    "left": "the left",
    "right": "the right",
}
