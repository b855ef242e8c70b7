"""Pieces that grow from others: begun, changed; to let go of them see :mod:`symmetry`."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

from pydantic import Field, JsonValue

from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.growth.base import NameOf
from zinc_otter.core.growth.repeat import Repeat
from zinc_otter.core.repeated import Images, Repeated
from zinc_otter.studio.commands.base import Command, InHand, Name, Outcome, PieceId
from zinc_otter.studio.design import Design, FollowsError
from zinc_otter.studio.growths import AnyGrowth
from zinc_otter.studio.images import motions_of


class Grow(Command):
    """Put down a piece that grows from others and goes on following them."""

    kind: Literal["grow"] = "grow"
    growth: AnyGrowth
    name: Name | None = None

    def apply(self, design: Design) -> Outcome:
        outgrowth = design.outgrowth(self.growth)
        changed, _ = design.with_new_growth(self.name or self.growth.what, self.growth)
        # What it grows from stays in hand, to be pulled.
        return Outcome(changed, self.growth.sources[0], remarks=outgrowth.remarks)

    def title(self, design: Design) -> str:
        return self.growth.deed(_names(design))

    @classmethod
    def beginnings(cls, design: Design, hand: InHand) -> dict[str, JsonValue]:
        """A curve is filled with as many faces around as it has points, where quads can: their border is the curve."""
        curve = design.piece(hand.piece).curve
        return {"around": curve.count} if curve is not None and curve.count >= 4 and curve.count % 2 == 0 else {}


class Regrow(Command):
    """Let a grown piece grow otherwise: by other numbers, or from other pieces. What was pulled on it stays on top.

    Where its count of faces changes that is lost, and relief is carried over by place; both are said.
    """

    kind: Literal["regrow"] = "regrow"
    piece: PieceId
    growth: AnyGrowth

    def apply(self, design: Design) -> Outcome:
        piece = design.free_piece(self.piece)
        if piece.grown is None:
            raise BadSelectionError(f"{piece.name} grows from nothing: it is shaped by hand.")
        if self.piece in self.growth.sources or any(self.piece in _behind(design, one) for one in self.growth.sources):
            raise FollowsError(f"{piece.name} would grow from itself.")
        outgrowth = design.outgrowth(self.growth)
        after, lost = design.regrown_with_remarks(replace(piece, grown=self.growth))
        remarks = (*outgrowth.remarks, *lost)
        return Outcome(design.with_piece(after), piece.id, suspect=outgrowth.suspect, remarks=remarks)

    def title(self, design: Design) -> str:
        deed = self.growth.deed(_names(design))
        return f"{design.piece(self.piece).name}: {deed[:1].lower()}{deed[1:]}"


class TakeImageOut(Command):
    """Let one image of a repeat become a piece of its own, which follows nothing; ``image`` counts from 0 through all."""

    kind: Literal["take-image-out"] = "take-image-out"
    piece: PieceId
    image: Annotated[int, Field(ge=0, le=4096)]

    def apply(self, design: Design) -> Outcome:
        piece = design.free_piece(self.piece)
        growth, form = piece.grown, piece.form
        if not isinstance(growth, Repeat) or not isinstance(form, Repeated):
            raise BadSelectionError(f"{piece.name} is no repeat.")
        if self.image >= form.count:
            raise BadSelectionError(f"{piece.name} has {form.count} images, counted from 0; there is no {self.image}.")
        if len(form.parts) > 1 or len(form.parts[0].motions) != len(motions_of(design, growth)):
            raise BadSelectionError("Of a repeat of several pieces no image stands alone: make it independent.")
        cage = Images(form.parts[0].cage, form.parts[0].motions[self.image][None]).cages()[0]
        rail = design.piece(growth.rail).curve if growth.way == "curve" else None
        original = design.piece(growth.originals[0])
        design, made = design.with_new_piece(f"{original.name}, taken out", cage, like=piece)
        left = replace(growth, left_out=tuple(sorted((*growth.left_out, growth.numbers(rail)[self.image]))))
        return Outcome(design.with_piece(design.regrown(replace(piece, grown=left))), made.id)

    def title(self, design: Design) -> str:
        return f"Took an image out of {design.piece(self.piece).name}"


class LetBack(Command):
    """Take back all that was pulled by hand on a grown piece."""

    kind: Literal["let-back"] = "let-back"
    piece: PieceId

    def apply(self, design: Design) -> Outcome:
        piece = design.free_piece(self.piece)
        if piece.pulled is None:
            raise BadSelectionError(f"Nothing was pulled on {piece.name} since it has grown.")
        return Outcome(design.with_piece(design.regrown(replace(piece, pulled=None))), piece.id)

    def title(self, design: Design) -> str:
        return f"Let what was pulled on {design.piece(self.piece).name} go back"


def _behind(design: Design, piece_id: str) -> set[str]:
    """All that a piece grows from, in turn."""
    found: set[str] = set()
    left = [piece_id]
    while left:
        growth = design.piece(left.pop()).grown
        new = set(growth.sources) - found if growth else set()
        found |= new
        left += new
    return found


def _names(design: Design) -> NameOf:
    there = {piece.id: piece.name for piece in design.pieces}
    return lambda piece_id: there.get(piece_id, "a piece that is gone")
