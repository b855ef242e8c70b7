"""The shape of every command: a small model that says what to do, and a pure function from design to design."""

from __future__ import annotations

from abc import ABC, abstractmethod
from dataclasses import dataclass, replace
from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field

from zinc_otter.core.cage import Edit, Kind, Selection
from zinc_otter.core.cage.cage import LARGEST_LENGTH, Cage
from zinc_otter.studio.design import Design

Length = Annotated[float, Field(ge=-LARGEST_LENGTH, le=LARGEST_LENGTH, allow_inf_nan=False)]
Number = Annotated[float, Field(ge=-1e9, le=1e9, allow_inf_nan=False)]
Vector = tuple[Length, Length, Length]
Direction = tuple[Number, Number, Number]
Name = Annotated[str, Field(min_length=1, max_length=80)]
PieceId = Annotated[str, Field(min_length=1, max_length=20)]


class Picked(BaseModel):
    """Elements of one kind, by their index in the cage."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    kind: Kind
    ids: Annotated[list[Annotated[int, Field(ge=0, lt=2**31)]], Field(max_length=200_000)]

    @property
    def selection(self) -> Selection:
        return Selection.of(self.kind, self.ids)


@dataclass(frozen=True, eq=False)
class Outcome:
    """What a command leads to: the new design, and what is then selected on which piece."""

    design: Design
    piece_id: str | None = None
    selected: Selection | None = None


class Command(BaseModel, ABC):
    """Base of all commands. Each has a ``kind`` of its own and lives in a file of its own."""

    model_config = ConfigDict(extra="forbid", frozen=True)

    @abstractmethod
    def apply(self, design: Design) -> Outcome:
        """The outcome; raises CoreError, with nothing changed, when the edit is refused."""

    @abstractmethod
    def title(self, design: Design) -> str:
        """The step in plain words, given the design before it."""


class NewPiece(Command, ABC):
    """A command that puts down a new piece."""

    name: Name

    @abstractmethod
    def cage(self) -> Cage:
        """The new piece's cage."""

    def apply(self, design: Design) -> Outcome:
        changed, piece = design.with_new_piece(self.name, self.cage())
        return Outcome(changed, piece.id)


class OnSelection(Command, ABC):
    """A command that edits what is picked on one piece."""

    piece: PieceId
    picked: Picked

    @abstractmethod
    def edit(self, cage: Cage) -> Edit:
        """The edit itself."""

    def apply(self, design: Design) -> Outcome:
        piece = design.piece(self.piece)
        done = self.edit(piece.cage)
        return Outcome(design.with_piece(replace(piece, cage=done.cage)), piece.id, done.selected)

    def what(self, design: Design) -> str:
        """For example ``2 faces of Grip``."""
        return f"{self.picked.selection.words()} of {design.piece(self.piece).name}"
