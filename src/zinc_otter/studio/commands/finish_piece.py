"""What a piece is of in pictures."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

from zinc_otter.core.picture.finishes import FINISHES
from zinc_otter.studio.commands.base import Command, Outcome, PieceId
from zinc_otter.studio.commands.labelled import labelled
from zinc_otter.studio.design import Design

FinishName = Literal[
    "clay", "glazed", "plastic", "rubber", "wood", "glass", "resin", "gold", "gold-brushed", "rose-gold", "silver",
    "silver-brushed", "copper", "steel", "aluminium",
]  # fmt: skip


class FinishPiece(Command):
    """Say what a piece is of in pictures: clay, a metal, glass. Its form and its solid are the same."""

    kind: Literal["finish-piece"] = "finish-piece"
    piece: PieceId
    finish: Annotated[FinishName, labelled("Of", words={name: finish.words for name, finish in FINISHES.items()})]

    def apply(self, design: Design) -> Outcome:
        return Outcome(design.with_piece(replace(design.piece(self.piece), finish=self.finish)), self.piece)

    def title(self, design: Design) -> str:
        words = FINISHES[self.finish].words
        return f"In pictures {design.piece(self.piece).name} is of {words[0].lower()}{words[1:]}"
