"""Delete, rename, show and hide whole pieces."""

from __future__ import annotations

from dataclasses import replace
from typing import Literal

from zinc_otter.studio.commands.base import Command, Name, Outcome, PieceId
from zinc_otter.studio.design import Design


class DeletePiece(Command):
    """Take a piece out of the design."""

    kind: Literal["delete-piece"] = "delete-piece"
    piece: PieceId

    def apply(self, design: Design) -> Outcome:
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
    """Show or hide a piece."""

    kind: Literal["show-piece"] = "show-piece"
    piece: PieceId
    visible: bool

    def apply(self, design: Design) -> Outcome:
        return Outcome(design.with_piece(replace(design.piece(self.piece), visible=self.visible)), self.piece)

    def title(self, design: Design) -> str:
        return f"{'Showed' if self.visible else 'Hid'} {design.piece(self.piece).name}"
