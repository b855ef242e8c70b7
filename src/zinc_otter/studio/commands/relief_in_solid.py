"""How much of a piece's relief its solid holds as patches."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage.face_bound import check_face_total
from zinc_otter.core.relief.in_patches import MOST_LEVELS, strays_from_relief, with_levels
from zinc_otter.core.words import fine_length_words
from zinc_otter.studio.commands.base import Command, Outcome, PieceId
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design


class ReliefInSolid(Command):
    """Let the solid of a piece, its STEP file, hold the first ``levels`` of its relief; with 0 it is of the plain form.

    Each level makes four patches of one; what is finer is folded down into them as far as they can hold it.
    """

    kind: Literal["relief-in-solid"] = "relief-in-solid"
    piece: PieceId
    levels: Annotated[int, Field(ge=0, le=MOST_LEVELS), labelled("Levels in it")] = 1

    def apply(self, design: Design) -> Outcome:
        piece = design.piece(self.piece)
        cage = piece.faces
        remarks: tuple[str, ...] = ()
        if self.levels:
            check_face_total(cage.topology.corner_count * 4 ** (self.levels - 1), 0)
            made = with_levels(cage, self.levels)
            off = fine_length_words(strays_from_relief(cage, made))
            count = made.topology.face_count
            remarks = (f"{count:,} patches; the form with all of its relief strays from them by at most {off}.",)
        return Outcome(design.with_piece(replace(piece, relief_in_solid=self.levels)), piece.id, whole=True, remarks=remarks)

    def title(self, design: Design) -> str:
        name = design.piece(self.piece).name
        if not self.levels:
            return f"The solid of {name} is of its plain form"
        return f"The solid of {name} holds {self.levels} {'level' if self.levels == 1 else 'levels'} of its relief"
