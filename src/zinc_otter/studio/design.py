"""A design as a value: its pieces."""

from __future__ import annotations

from dataclasses import dataclass, replace

from zinc_otter.core.cage import Cage
from zinc_otter.core.errors import CoreError


class UnknownPieceError(CoreError):
    """A piece that the design does not have."""

    kind = "unknown-piece"


@dataclass(frozen=True, eq=False)
class Piece:
    """One thing in a design: a named cage, shown or hidden."""

    id: str
    name: str
    cage: Cage
    visible: bool = True


@dataclass(frozen=True, eq=False)
class Design:
    """The pieces in their order, and the number that the next new piece takes."""

    pieces: tuple[Piece, ...] = ()
    next_number: int = 1

    def piece(self, piece_id: str) -> Piece:
        """The piece of this id. Raises UnknownPieceError."""
        for piece in self.pieces:
            if piece.id == piece_id:
                return piece
        raise UnknownPieceError(f"This design has no piece {piece_id!r}.")

    def with_new_piece(self, name: str, cage: Cage) -> tuple[Design, Piece]:
        """The design with one piece more, and that piece."""
        taken = {piece.name for piece in self.pieces}
        free = name
        number = 2
        while free in taken:
            free = f"{name} {number}"
            number += 1
        piece = Piece(f"p{self.next_number}", free, cage)
        return Design((*self.pieces, piece), self.next_number + 1), piece

    def with_piece(self, changed: Piece) -> Design:
        """The design with the piece of the same id replaced."""
        return replace(self, pieces=tuple(changed if piece.id == changed.id else piece for piece in self.pieces))

    def without_piece(self, piece_id: str) -> Design:
        """The design less one piece. Raises UnknownPieceError."""
        gone = self.piece(piece_id)
        return replace(self, pieces=tuple(piece for piece in self.pieces if piece is not gone))
