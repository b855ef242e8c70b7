"""The shape of every command: a small model that says what to do, and a pure function from design to design."""

from __future__ import annotations

from abc import ABC, abstractmethod
from collections.abc import Callable
from dataclasses import dataclass, replace
from typing import Annotated, ClassVar, Literal

from pydantic import BaseModel, ConfigDict, Field, JsonValue

from zinc_otter.core.cage import Edit, Kind, Selection
from zinc_otter.core.cage.cage import LARGEST_LENGTH, Cage
from zinc_otter.core.cage.picking import everything
from zinc_otter.core.cage.symmetry import image_by_image
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.form import Form, require_faces
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Component
from zinc_otter.studio.sticking import stuck

Length = Annotated[float, Field(ge=-LARGEST_LENGTH, le=LARGEST_LENGTH, allow_inf_nan=False)]
Number = Annotated[float, Field(ge=-1e9, le=1e9, allow_inf_nan=False)]
Vector = tuple[Length, Length, Length]
Direction = tuple[Number, Number, Number]
Name = Annotated[str, Field(min_length=1, max_length=80)]
PieceId = Annotated[str, Field(min_length=1, max_length=20)]


Meshes = Callable[[str], MeshDistance]
"""From the asset of a component to its mesh. Raises UnknownAssetError."""


def no_meshes(asset: str) -> MeshDistance:
    raise BadSelectionError("The meshes of components are not at hand here.")


class Picked(BaseModel):
    """Elements of one kind, by their index in the cage; of kind "piece" the whole piece."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    kind: Kind | Literal["piece"]
    ids: Annotated[list[Annotated[int, Field(ge=0, lt=2**31)]], Field(max_length=200_000)]

    def on(self, cage: Cage) -> Selection:
        """The selection on a cage: for a whole piece all of its faces, or of a curve all control points."""
        if self.kind == "piece":
            return everything(cage.topology, "face" if cage.topology.face_count else "vertex")
        return Selection.of(self.kind, self.ids)


class FarEnd(BaseModel):
    """An end that was picked earlier, on this piece or on another."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    piece: PieceId
    picked: Picked


class InHand(BaseModel):
    """What is in hand when a tool is taken up."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    piece: PieceId
    picked: Picked
    far: FarEnd | None = None


@dataclass(frozen=True, eq=False)
class Outcome:
    """What a command leads to: the new design, and what is then selected on which piece."""

    design: Design
    piece_id: str | None = None
    selected: Selection | None = None
    whole: bool = False
    """Whether the whole piece is selected, rather than elements of it."""
    weights: Floats | None = None
    """(n,) how far each vertex of the piece took part, where the command has a reach."""
    suspect: Ints | None = None
    """Faces of the piece where the command could not keep what it promises."""
    remarks: tuple[str, ...] = ()
    """Sentences on how true it came out."""


class Command(BaseModel, ABC):
    """Base of all commands. Each has a ``kind`` of its own and lives in a file of its own."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    says_nothing_crosses: ClassVar[bool] = False
    """Whether it is worth a word that what it builds does not run through itself."""

    @abstractmethod
    def apply(self, design: Design) -> Outcome:
        """The outcome; raises CoreError, with nothing changed, when the edit is refused."""

    def apply_among(self, design: Design, meshes: Meshes) -> Outcome:
        """As :meth:`apply`, for commands that look at the meshes of components too."""
        return self.apply(design)

    def is_aside(self) -> bool:
        """Whether it changes nothing but what is seen: then it is undone like others, and stands among no steps."""
        return False

    @property
    def goes_by_meshes(self) -> bool:
        """Whether it looks at the meshes of components, which are at hand where the design is, and in no worker."""
        return False

    def weight(self, design: Design) -> int:
        """Faces that it works through, where that may take a while; 0 for what is quick however many there are."""
        return 0

    @abstractmethod
    def title(self, design: Design) -> str:
        """The step in plain words, given the design before it."""

    def notes(self, outcome: Outcome) -> tuple[str, ...]:
        """What is worth knowing of the outcome before it is kept, in plain words: how true it came out."""
        return outcome.remarks

    @classmethod
    def beginnings(cls, design: Design, hand: InHand) -> dict[str, JsonValue]:
        """What parameters begin with where that follows from what is in hand, by their names. Raises CoreError."""
        return {}

    def crossing_words(self, count: int) -> str:
        """What is said where so many faces of what it leads to run through others."""
        return f"The form runs through itself at {count} marked {'face' if count == 1 else 'faces'}."

    def rail(self, design: Design) -> Floats | None:
        """The line along which a number of this command is set by hand, from its 0 to its 1: (2, 3) in mm."""
        return None


class NewPiece(Command, ABC):
    """A command that puts down a new piece."""

    name: Name

    @abstractmethod
    def cage(self) -> Form:
        """The new piece's form."""

    def apply(self, design: Design) -> Outcome:
        changed, piece = design.with_new_piece(self.name, self.cage())
        return Outcome(changed, piece.id)


class OnSelection(Command, ABC):
    """A command that edits what is picked on one piece; whole pieces can be given several, for the same edit."""

    piece: PieceId
    picked: Picked
    others: Annotated[tuple[PieceId, ...], Field(max_length=200)] = ()
    stick: Annotated[PieceId | None, Field(description="the component that the surface is to stay on")] = None

    shows_result: ClassVar[bool] = False
    """Whether what it leads to is selected also where a whole piece was picked."""
    on_curves: ClassVar[bool] = False
    """Whether it works on control points alone, so that those of a curve will do."""
    is_quick: ClassVar[bool] = False
    """Whether it only moves or marks what is there, and so is done at once on the largest cage."""

    @abstractmethod
    def edit(self, cage: Cage, selection: Selection) -> Edit:
        """The edit itself."""

    def apply(self, design: Design) -> Outcome:
        if self.others and self.picked.kind != "piece":
            raise BadSelectionError("Several pieces can be edited at once only as wholes.")
        first = None
        for piece_id in (self.piece, *self.others):
            design, done = self.edited(design, piece_id)
            first = first or done
        assert first is not None
        whole = self.picked.kind == "piece" and not self.shows_result
        return Outcome(design, self.piece, first.selected, whole, first.weights, first.suspect, first.remarks)

    @property
    def goes_by_meshes(self) -> bool:
        return self.stick is not None

    def apply_among(self, design: Design, meshes: Meshes) -> Outcome:
        done = self.apply(design)
        if self.stick is None:
            return done
        component = design.reference(self.stick)
        if not isinstance(component, Component):
            raise BadSelectionError(f"{component.name} is a picture; nothing sticks to it.")
        settled, words = stuck(design, done.design, self.piece, component, meshes(component.asset))
        return replace(done, design=settled, remarks=(*done.remarks, words) if words else done.remarks)

    def weight(self, design: Design) -> int:
        mine = {self.piece, *self.others}
        return 0 if self.is_quick else sum(p.cage.topology.face_count for p in design.pieces if p.id in mine)

    def edited(self, design: Design, piece_id: str) -> tuple[Design, Edit]:
        """The design with one of the pieces edited."""
        piece = design.piece(piece_id)
        picked = self.picked.on(piece.cage)
        if piece.curve is not None:
            curve = piece.curve
            return design.edited(piece_id, picked, lambda _, selection: self.edit_curve(curve, selection, piece.name))
        return design.edited(piece_id, picked, self.editing(piece.cage, picked))

    def edit_curve(self, curve: Curve, picked: Selection, name: str) -> Edit:
        """The edit on the polygon of a curve. Raises NoFacesError where it does not work on curves."""
        if not self.on_curves:
            require_faces(curve, name)
        return self.editing(curve.polygon, picked)(curve.polygon, picked)

    def edited_image_by_image(self, design: Design, piece_id: str, one_region: bool = False) -> tuple[Design, Edit]:
        """As :meth:`edited`, for a verb that takes all that is picked as one thing; see :func:`image_by_image`."""
        piece = design.piece(piece_id)
        picked = self.picked.on(piece.faces)
        edit = self.editing(piece.cage, picked)
        if piece.symmetry is not None:
            picked.check(piece.cage.topology)
            edit = image_by_image(piece.symmetry, picked, edit, one_region)
        return design.edited(piece_id, picked, edit)

    def editing(self, cage: Cage, picked: Selection) -> Callable[[Cage, Selection], Edit]:
        """The edit to be done, with what it takes from the picked alone settled before their images join them."""
        return self.edit

    def what(self, design: Design) -> str:
        """For example ``2 faces of Grip``, or ``Grip`` for the whole."""
        names = ", ".join(design.piece(piece_id).name for piece_id in (self.piece, *self.others))
        if self.picked.kind == "piece":
            return names
        return f"{self.picked.on(design.piece(self.piece).cage).words()} of {names}"


class BesideMeshes(OnSelection, ABC):
    """A command on one piece that goes by the mesh of a component, or by another piece."""

    is_quick = True

    @abstractmethod
    def edit_beside(self, design: Design, meshes: Meshes) -> Callable[[Cage, Selection], Edit]:
        """The edit itself, once what it goes by was looked up. Raises BadSelectionError."""

    def edit(self, cage: Cage, selection: Selection) -> Edit:
        raise NotImplementedError("What this goes by lies outside of the piece; see edit_beside.")

    def apply(self, design: Design) -> Outcome:
        return self.apply_among(design, no_meshes)

    def apply_among(self, design: Design, meshes: Meshes) -> Outcome:
        if self.others:
            raise BadSelectionError("This is done to one piece at a time.")
        edit = self.edit_beside(design, meshes)
        piece = design.pullable_piece(self.piece)
        if not self.on_curves:
            require_faces(piece.form, piece.name)
        changed, done = design.edited(self.piece, self.picked.on(piece.cage), edit)
        whole = self.picked.kind == "piece" and not self.shows_result
        return Outcome(changed, self.piece, done.selected, whole, suspect=done.suspect, remarks=done.remarks)
