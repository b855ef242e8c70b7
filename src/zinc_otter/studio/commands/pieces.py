"""Whole pieces: delete, name, show, lock, colour, group, order, duplicate, and variants."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from typing import Annotated, Literal

import numpy as np
from pydantic import Field

from zinc_otter.core.cage.building.motion import moving
from zinc_otter.core.cage.symmetry.whole import whole_moved
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.form import standing, with_controls
from zinc_otter.core.solid.followers.moving import taken_along
from zinc_otter.studio.commands.base import Command, Name, Outcome, PieceId, Vector
from zinc_otter.studio.design import Design, Piece

Colour = Literal["clay", "slip", "slate", "moss", "brick", "ochre", "mist"]
Several = Annotated[tuple[PieceId, ...], Field(min_length=1, max_length=500)]


class DeletePiece(Command):
    """Take a piece out of the design."""

    kind: Literal["delete-piece"] = "delete-piece"
    piece: PieceId

    def apply(self, design: Design) -> Outcome:
        design.free_piece(self.piece)
        return Outcome(design.without_piece(self.piece))

    def title(self, design: Design) -> str:
        return f"Deleted {design.piece(self.piece).name}"


class RenamePiece(Command):
    """Give a piece another name."""

    kind: Literal["rename-piece"] = "rename-piece"
    piece: PieceId
    name: Name

    def apply(self, design: Design) -> Outcome:
        return Outcome(design.with_piece(replace(design.piece(self.piece), name=self.name)), self.piece)

    def title(self, design: Design) -> str:
        return f"Renamed {design.piece(self.piece).name} to {self.name}"


class ShowPiece(Command):
    """Show or hide a piece, and those of its group with it where that is wished."""

    kind: Literal["show-piece"] = "show-piece"
    piece: PieceId
    visible: bool
    with_group: bool = True

    def apply(self, design: Design) -> Outcome:
        for piece in _with_group(design, self.piece, self.with_group):
            design = design.with_piece(replace(piece, visible=self.visible))
        return Outcome(design, self.piece)

    def is_aside(self) -> bool:
        return True

    def title(self, design: Design) -> str:
        return f"{'Showed' if self.visible else 'Hid'} {_names(_with_group(design, self.piece, self.with_group))}"


class LockPiece(Command):
    """Lock a piece against changes, or unlock it, and those of its group with it where that is wished."""

    kind: Literal["lock-piece"] = "lock-piece"
    piece: PieceId
    locked: bool
    with_group: bool = True

    def apply(self, design: Design) -> Outcome:
        for piece in _with_group(design, self.piece, self.with_group):
            design = design.with_piece(replace(piece, locked=self.locked))
        return Outcome(design, self.piece)

    def title(self, design: Design) -> str:
        return f"{'Locked' if self.locked else 'Unlocked'} {_names(_with_group(design, self.piece, self.with_group))}"


class ColourPiece(Command):
    """Show a piece in another of the workshop's clays."""

    kind: Literal["colour-piece"] = "colour-piece"
    piece: PieceId
    colour: Colour

    def apply(self, design: Design) -> Outcome:
        return Outcome(design.with_piece(replace(design.piece(self.piece), colour=self.colour)), self.piece)

    def title(self, design: Design) -> str:
        return f"Coloured {design.piece(self.piece).name} {self.colour}"


class GroupPieces(Command):
    """Put pieces into a group of a name, or with no name take them out of theirs."""

    kind: Literal["group-pieces"] = "group-pieces"
    pieces: Several
    group: Name | None

    def apply(self, design: Design) -> Outcome:
        for piece_id in self.pieces:
            design = design.with_piece(replace(design.piece(piece_id), group=self.group))
        return Outcome(design, self.pieces[0])

    def title(self, design: Design) -> str:
        names = _names([design.piece(piece_id) for piece_id in self.pieces])
        return f"Grouped {names} as {self.group}" if self.group else f"Took {names} out of the group"


class OrderPiece(Command):
    """Move a piece to another place (from 0) in the list."""

    kind: Literal["order-piece"] = "order-piece"
    piece: PieceId
    place: Annotated[int, Field(ge=0, le=10_000)]

    def apply(self, design: Design) -> Outcome:
        piece = design.piece(self.piece)
        if self.place >= len(design.pieces):
            raise BadNumberError(f"The list has {len(design.pieces)} places, counted from 0; {self.place} is none of them.")
        rest = [other for other in design.pieces if other is not piece]
        rest.insert(self.place, piece)
        return Outcome(replace(design, pieces=tuple(rest)), piece.id)

    def title(self, design: Design) -> str:
        return f"Moved {design.piece(self.piece).name} in the list"


class DuplicatePiece(Command):
    """Put down a copy of a piece, ``offset`` mm away, under a name of its own."""

    kind: Literal["duplicate-piece"] = "duplicate-piece"
    piece: PieceId
    offset: Vector = (0.0, 0.0, 0.0)

    def apply(self, design: Design) -> Outcome:
        piece = design.piece(self.piece)
        form = standing(piece.form)
        if any(self.offset):
            form = with_controls(form, piece.cage.with_positions(piece.cage.positions + self.offset))
        changed, copy = design.with_new_piece(piece.name, form, like=piece)
        if copy.symmetry is not None and any(self.offset):
            copy = replace(copy, symmetry=whole_moved(piece.cage, copy.symmetry, moving(self.offset))[1])
            changed = changed.with_piece(copy)
        if copy.followers and any(self.offset):
            shift = np.eye(4)
            shift[:3, 3] = self.offset
            copy = replace(copy, followers=tuple(taken_along(follower, shift) for follower in copy.followers))
            changed = changed.with_piece(copy)
        return Outcome(changed, copy.id)

    def title(self, design: Design) -> str:
        return f"Duplicated {design.piece(self.piece).name}"


class MakeVariant(Command):
    """Copy a piece as a numbered variant in the same place, to try another way beside the original.

    A variant of a variant counts as one of the same original. The copy begins alone on the screen: the piece it was made
    of is hidden, and the two can be compared.
    """

    kind: Literal["make-variant"] = "make-variant"
    piece: PieceId

    def apply(self, design: Design) -> Outcome:
        piece = design.piece(self.piece)
        original = piece.original or piece.id
        root = next((p for p in design.pieces if p.id == original), piece)
        count = sum(p.original == original for p in design.pieces)
        changed, copy = design.with_new_piece(f"{root.name}, variant {count + 1}", standing(piece.form), like=piece)
        changed = changed.with_piece(replace(copy, original=original))
        return Outcome(changed.with_piece(replace(piece, visible=False)), copy.id)

    def title(self, design: Design) -> str:
        return f"Made a variant of {design.piece(self.piece).name}"


class KeepVariant(Command):
    """Keep one of an original and its variants, under the original's name; the others are deleted."""

    kind: Literal["keep-variant"] = "keep-variant"
    piece: PieceId

    def apply(self, design: Design) -> Outcome:
        kept = design.piece(self.piece)
        family = family_of(design, kept)
        if len(family) < 2:
            raise BadSelectionError(f"{kept.name} has no variants to choose from.")
        name = family[0].name
        for other in family:
            if other is not kept:
                design.free_piece(other.id)
                design = design.without_piece(other.id)
        return Outcome(design.with_piece(replace(kept, name=name, original=None, visible=True)), kept.id)

    def title(self, design: Design) -> str:
        return f"Kept {design.piece(self.piece).name}"


def family_of(design: Design, piece: Piece) -> list[Piece]:
    """An original and its variants, the original first where it is still there."""
    original = piece.original or piece.id
    return sorted((p for p in design.pieces if p.id == original or p.original == original), key=lambda p: p.id != original)


def _with_group(design: Design, piece_id: str, whole: bool) -> list[Piece]:
    piece = design.piece(piece_id)
    return [p for p in design.pieces if p is piece or (whole and piece.group is not None and p.group == piece.group)]


def _names(pieces: Sequence[Piece]) -> str:
    return ", ".join(piece.name for piece in pieces)
