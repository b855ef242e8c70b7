"""The followers of a piece: add, change, switch, order and remove them."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Selection
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.form import require_faces
from zinc_otter.core.solid.followers import PIECE, Follower
from zinc_otter.studio.commands.base import Command, Outcome, PieceId
from zinc_otter.studio.design import Design, Piece
from zinc_otter.studio.followers import MOST, AnyFollower, takes_part_of

FollowerId = Annotated[str, Field(min_length=1, max_length=20)]


class UnknownFollowerError(BadSelectionError):
    """A follower that the piece does not have."""

    kind = "unknown-follower"
    title = "There is no such follower"


class _OfPiece(Command):
    """A change of the list of a piece's followers."""

    piece: PieceId

    def changed(self, design: Design, piece: Piece) -> tuple[Design, tuple[Follower, ...]]:
        """The design, from which a number may have been taken, and the new list."""
        raise NotImplementedError

    def apply(self, design: Design) -> Outcome:
        design, followers = self.changed(design, design.free_piece(self.piece))
        design = design.with_piece(replace(design.piece(self.piece), followers=followers))
        return Outcome(design, self.piece, Selection.of("face", []))


class AddFollower(_OfPiece):
    """Add a follower behind the others, or before the one with the id ``before``. It is given an id of its own."""

    kind: Literal["add-follower"] = "add-follower"
    follower: AnyFollower
    before: FollowerId | None = None

    def changed(self, design: Design, piece: Piece) -> tuple[Design, tuple[Follower, ...]]:
        require_faces(piece.form, piece.name)
        if len(piece.followers) >= MOST:
            raise BadSelectionError(f"A piece has up to {MOST} followers.")
        refuse_round(design, piece, self.follower)
        own = replace(self.follower, id=f"f{design.next_number}")
        at = len(piece.followers) if self.before is None else index_of(piece, self.before)
        design = replace(design, next_number=design.next_number + 1)
        return design, (*piece.followers[:at], own, *piece.followers[at:])

    def title(self, design: Design) -> str:
        return _deed(design, self.piece, self.follower)


class ChangeFollower(_OfPiece):
    """Give a follower other numbers, another name, or switch it on or off; it is found by its id."""

    kind: Literal["change-follower"] = "change-follower"
    follower: AnyFollower

    def changed(self, design: Design, piece: Piece) -> tuple[Design, tuple[Follower, ...]]:
        at = index_of(piece, self.follower.id)
        refuse_round(design, piece, self.follower)
        return design, (*piece.followers[:at], self.follower, *piece.followers[at + 1 :])

    def title(self, design: Design) -> str:
        before = {f.id: f for f in design.piece(self.piece).followers}.get(self.follower.id)
        deed = _deed(design, self.piece, self.follower)
        switched = before is not None and before.on != self.follower.on
        if before is not None and switched and replace(before, on=self.follower.on) == self.follower:
            return f"{deed}: switched {'on' if self.follower.on else 'off'}"
        return f"{deed}: changed"


class RemoveFollower(_OfPiece):
    """Take a follower away."""

    kind: Literal["remove-follower"] = "remove-follower"
    follower: FollowerId

    def changed(self, design: Design, piece: Piece) -> tuple[Design, tuple[Follower, ...]]:
        at = index_of(piece, self.follower)
        return design, (*piece.followers[:at], *piece.followers[at + 1 :])

    def title(self, design: Design) -> str:
        piece = design.piece(self.piece)
        return f"{_deed(design, self.piece, piece.followers[index_of(piece, self.follower)])}: removed"


class OrderFollowers(_OfPiece):
    """Put a piece's followers into another order; all of their ids are given."""

    kind: Literal["order-followers"] = "order-followers"
    order: Annotated[tuple[FollowerId, ...], Field(max_length=MOST)]

    def changed(self, design: Design, piece: Piece) -> tuple[Design, tuple[Follower, ...]]:
        by_id = {follower.id: follower for follower in piece.followers}
        if sorted(self.order) != sorted(by_id):
            raise BadSelectionError("The new order must name every follower of the piece once.")
        return design, tuple(by_id[key] for key in self.order)

    def title(self, design: Design) -> str:
        return f"Ordered the followers of {design.piece(self.piece).name}"


def _deed(design: Design, piece_id: str, follower: Follower) -> str:
    """What a follower of a piece does, by the names of all that it goes by; its own name first, where it has one."""
    names = {piece.id: piece.name for piece in design.pieces}
    piece = design.piece(piece_id)
    names |= {other.id: other.called for other in piece.followers} | {PIECE: piece.name}
    deed = follower.deed(lambda key: names.get(key, "what is gone"))
    return f"{follower.name}: {deed[0].lower()}{deed[1:]}" if follower.name else deed


def index_of(piece: Piece, follower_id: str) -> int:
    """Where a follower stands in the list. Raises UnknownFollowerError."""
    for i, follower in enumerate(piece.followers):
        if follower.id == follower_id:
            return i
    raise UnknownFollowerError(f"{piece.name} has no follower {follower_id!r}.")


def refuse_round(design: Design, piece: Piece, follower: Follower) -> None:
    """Raise BadSelectionError for a follower that would take part of its own piece; UnknownPieceError for one of none."""
    for other in follower.pieces:
        design.piece(other)
        if piece.id in takes_part_of(design, other):
            raise BadSelectionError(f"{design.piece(other).name} takes part of {piece.name} itself: that would go round.")
