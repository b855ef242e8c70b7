"""What the routes take and give, beside the commands."""

from __future__ import annotations

from dataclasses import asdict
from datetime import datetime
from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field, PlainSerializer, StringConstraints, WithJsonSchema

from zinc_otter.core.cage.symmetry import Group
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.facts import facts_of
from zinc_otter.core.form import Form, bounds_of, controls
from zinc_otter.core.repeated import Repeated
from zinc_otter.core.words import Unit
from zinc_otter.studio.commands import AnyCommand, Picked
from zinc_otter.studio.design import Design, OwnStamp, Piece
from zinc_otter.studio.followers import AnyFollower, recipe_of
from zinc_otter.studio.growths import AnyGrowth
from zinc_otter.studio.proofs import AnyProof
from zinc_otter.studio.references import Picture, Reference
from zinc_otter.studio.shelf import DesignFacts, Saved, StepFacts

_DATE_TIME = {"type": "string", "format": "date-time"}
DesignName = Annotated[str, StringConstraints(min_length=1, max_length=80, strip_whitespace=True)]


Moment = Annotated[datetime, PlainSerializer(lambda at: f"{at.isoformat()}Z", str), WithJsonSchema(_DATE_TIME)]
"""A time of day in UTC, as RFC 3339 writes it."""


class In(BaseModel):
    model_config = ConfigDict(extra="forbid")


class NewDesign(In):
    name: DesignName
    unit: Unit = "mm"


class NewName(In):
    name: DesignName


class DesignChange(In):
    """Another name, or another unit to be shown in; what is left out stays."""

    name: DesignName | None = None
    unit: Unit | None = None


class AtRevision(In):
    revision: Annotated[int, Field(ge=0, le=2**53)]


class CommandAt(AtRevision):
    command: AnyCommand


class StepAt(AtRevision):
    step: Annotated[int, Field(ge=0, le=2**53)]


class ThinTo(AtRevision):
    keep: Annotated[int, Field(ge=1, le=100_000)]


class DesignCard(BaseModel):
    """One design in the list."""

    id: str
    name: str
    unit: Unit
    changed_at: Moment
    revision: int
    step_count: int
    binned_at: Moment | None = None

    @classmethod
    def of(cls, facts: DesignFacts) -> DesignCard:
        return cls(
            id=facts.id, name=facts.name, unit=facts.unit, changed_at=facts.changed_at, revision=facts.revision,
            step_count=facts.step_count, binned_at=facts.binned_at,
        )  # fmt: skip


class SymmetryState(BaseModel):
    """How a piece is symmetric: ``words`` such as "one mirror" or "8 sectors", and its mirror planes."""

    words: str
    sectors: int
    planes: list[tuple[tuple[float, float, float], tuple[float, float, float]]] = Field(
        description="a point and a unit normal of each"
    )
    axis: tuple[tuple[float, float, float], tuple[float, float, float]] | None

    @classmethod
    def of(cls, group: Group) -> SymmetryState:
        return cls(
            words=group.described(), sectors=group.sectors, planes=[(p.point, p.normal) for p in group.planes],
            axis=group.axis and (group.axis.point, group.axis.normal),
        )  # fmt: skip


class CurveFacts(BaseModel):
    """What is measured on a curve: lengths in mm. ``least_radius`` is null where it runs straight throughout."""

    degree: int
    closed: bool
    length: float
    least_radius: float | None
    tightest: tuple[float, float, float] | None
    plane: bool = Field(description="whether it lies in a plane, within a millionth of its size")
    crosses: list[tuple[float, float, float]] = Field(description="where it runs through itself")

    @classmethod
    def of(cls, curve: Curve) -> CurveFacts:
        facts = facts_of(curve)
        return cls(
            degree=curve.degree, closed=curve.closed, length=facts.length, least_radius=facts.least_radius,
            tightest=facts.tightest, plane=facts.plane, crosses=list(facts.crosses),
        )  # fmt: skip


def _counts(form: Form) -> dict[str, Any]:
    """Elements of a form; of images those of all of them together, without laying them out."""
    if isinstance(form, Repeated):
        cages = [(part.cage.topology, len(part.motions)) for part in form.parts]
        return {
            "vertex_count": sum(t.vertex_count * k for t, k in cages),
            "edge_count": sum(t.edge_count * k for t, k in cages),
            "face_count": sum(t.face_count * k for t, k in cages),
            "open_edge_count": sum(len(t.open_edges) * k for t, k in cages),
            "face_sets": {},
            "images": form.count,
        }
    cage = controls(form)
    t = cage.topology
    return {
        "vertex_count": t.vertex_count,
        "edge_count": t.edge_count,
        "face_count": t.face_count,
        "open_edge_count": len(t.open_edges) if t.face_count else 0,
        "face_sets": {name: len(faces) for name, faces in cage.face_sets.items()},
        "images": 0,
    }


def _relief_of(piece: Piece) -> ReliefState | None:
    relief = None if piece.curve is not None else piece.cage.relief
    return None if relief is None else ReliefState(depth=relief.depth, masked=relief.mask is not None)


class ReliefState(BaseModel):
    """Relief that a piece carries: its finest level, and whether part of it is protected by a mask."""

    depth: int
    masked: bool


class PieceState(BaseModel):
    """One piece without its arrays. ``size`` is the extent of the control points in mm."""

    id: str
    name: str
    visible: bool
    locked: bool
    colour: str
    finish: str = Field(description="what it is of in pictures")
    relief_in_solid: int = Field(description="how many levels of its relief its solid holds")
    group: str | None
    original: str | None
    symmetry: SymmetryState | None
    curve: CurveFacts | None = Field(description="what is measured on a curve; null for a cage")
    grown: AnyGrowth | None = Field(description="how this piece grows from others")
    images: int = Field(description="how many images of other pieces it is; 0 where it has a form of its own")
    pulled: int = Field(description="how many of its control points were pulled on top of what it grows to")
    said: list[str] = Field(description="sentences on how true it has grown")
    suspect: list[int] = Field(description="faces where what has grown is not what it promises")
    relief: ReliefState | None
    face_sets: dict[str, int] = Field(description="names of face sets to their counts")
    vertex_count: int
    edge_count: int
    face_count: int
    open_edge_count: int
    size: tuple[float, float, float]
    digest: str
    followers: list[AnyFollower]
    called: dict[str, str] = Field(description="ids of followers to what they are called")
    made_from: str = Field(description="changes with everything that the piece's solid is made from")

    @classmethod
    def of(cls, design: Design, piece: Piece) -> PieceState:
        low, high = bounds_of(piece.form)
        grown = None if piece.grown is None else design.outgrowth(piece.grown)
        return cls(
            id=piece.id, name=piece.name, visible=piece.visible, locked=piece.locked, colour=piece.colour,
            finish=piece.finish, relief_in_solid=piece.relief_in_solid, group=piece.group, original=piece.original,
            symmetry=piece.symmetry and SymmetryState.of(piece.symmetry.group),
            curve=None if piece.curve is None else CurveFacts.of(piece.curve),
            grown=piece.grown, pulled=piece.pulled.count if piece.pulled else 0,
            said=list(grown.remarks) if grown else [], suspect=grown.suspect.tolist() if grown else [],
            relief=_relief_of(piece), **_counts(piece.form), size=tuple((high - low).tolist()),
            digest=piece.form.digest, followers=list(piece.followers),
            called={follower.id: follower.called for follower in piece.followers},
            made_from=piece.form.digest if piece.curve is not None else recipe_of(design, piece.id).digest,
        )  # fmt: skip


class PictureState(BaseModel):
    """A reference picture: ``right`` and ``up`` are unit vectors in its plane, ``width`` is in mm."""

    kind: Literal["picture"] = "picture"
    id: str
    name: str
    asset: str
    pixels: tuple[int, int]
    view: str
    centre: tuple[float, float, float]
    width: float
    degrees: float
    right: tuple[float, float, float]
    up: tuple[float, float, float]
    opacity: float
    in_front: bool
    visible: bool
    locked: bool


class ComponentState(BaseModel):
    """A component: its mesh lies at ``rotation`` times its own points plus ``centre``."""

    kind: Literal["component"] = "component"
    id: str
    name: str
    asset: str
    triangles: int
    size: tuple[float, float, float]
    rotation: tuple[tuple[float, float, float], tuple[float, float, float], tuple[float, float, float]]
    centre: tuple[float, float, float]
    clearance: float
    scan: bool
    stand: bool
    opacity: float
    visible: bool
    locked: bool


ReferenceState = Annotated[PictureState | ComponentState, Field(discriminator="kind")]


def reference_state(reference: Reference) -> PictureState | ComponentState:
    if isinstance(reference, Picture):
        right, up = (axis.tolist() for axis in reference.axes)
        return PictureState(**asdict(reference), right=right, up=up)
    return ComponentState(**asdict(reference))


class StepState(BaseModel):
    id: int
    number: int
    title: str
    created_at: Moment
    place: Annotated[int, Field(description="Its number among the form's steps alone.")]
    aside: Annotated[bool, Field(description="It changed only what is seen: it is undone, but is no step of the form.")]

    @classmethod
    def of(cls, step: StepFacts) -> StepState:
        return cls(
            id=step.id, number=step.number, title=step.title, created_at=step.created_at, place=step.place, aside=step.aside
        )


class SelectedState(Picked):
    piece: str


class StampState(BaseModel):
    """A stamp of the design's own; ``width`` and ``height`` in mm where it has a true size, else 0."""

    id: str
    name: str
    pixels: tuple[int, int]
    tiles: bool
    width: float
    height: float

    @classmethod
    def of(cls, own: OwnStamp) -> StampState:
        rows, columns = own.stamp.heights.shape
        stamp = own.stamp
        return cls(
            id=own.id, name=own.name, pixels=(columns, rows), tiles=stamp.tiles, width=stamp.width, height=stamp.height
        )


class DesignState(BaseModel):
    """A design as it stands. ``head`` is the index of the present step in ``steps``.

    Of a long list ``steps`` are those about the present one; ``earlier`` and ``later`` count the others.
    """

    id: str
    name: str
    unit: Unit
    revision: int
    pieces: list[PieceState]
    references: list[ReferenceState]
    proofs: list[AnyProof]
    stamps: list[StampState]
    steps: list[StepState]
    earlier: int
    later: int
    head: int
    selected: SelectedState | None

    @classmethod
    def of(cls, saved: Saved) -> DesignState:
        return cls(
            id=saved.facts.id,
            name=saved.facts.name,
            unit=saved.facts.unit,
            revision=saved.facts.revision,
            pieces=[PieceState.of(saved.design, piece) for piece in saved.design.pieces],
            references=[reference_state(reference) for reference in saved.design.references],
            proofs=list(saved.design.proofs),
            stamps=[StampState.of(own) for own in saved.design.stamps],
            steps=[StepState.of(step) for step in saved.steps],
            earlier=saved.earlier,
            later=saved.later,
            head=saved.head_index,
            selected=SelectedState(**saved.selected) if saved.selected else None,
        )


class PreviewState(BaseModel):
    """What a command would lead to; ``notes`` say how true it came out, ``suspect`` are faces where it did not.

    ``rail`` is the line along which a number of the command is set by hand, from its 0 to its 1, in mm.
    """

    title: str
    notes: list[str]
    suspect: list[int]
    pieces: list[PieceState]
    references: list[ReferenceState]
    selected: SelectedState | None
    rail: tuple[tuple[float, float, float], tuple[float, float, float]] | None


class CageArrays(BaseModel):
    """A cage: positions in mm, faces as lists of vertices, and only those edges and vertices that are sharp."""

    positions: list[tuple[float, float, float]]
    faces: list[list[int]]
    edges: list[tuple[int, int]]
    open_edges: list[int]
    creases: dict[int, float] = Field(description="edge number to sharpness")
    corners: dict[int, float] = Field(description="vertex number to sharpness")


class SurfaceArrays(BaseModel):
    """The limit surface at a level: positions in mm, unit normals, quads. Hard creases split vertices."""

    level: int
    positions: list[tuple[float, float, float]]
    normals: list[tuple[float, float, float]]
    quads: list[tuple[int, int, int, int]]
    face_of_quad: list[int]
