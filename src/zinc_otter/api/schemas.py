"""What the routes take and give, beside the commands."""

from __future__ import annotations

from dataclasses import asdict
from datetime import datetime
from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field, StringConstraints

from zinc_otter.core.cage.symmetry import Group
from zinc_otter.studio.commands import AnyCommand, Picked
from zinc_otter.studio.commands.add_cage import AddCage
from zinc_otter.studio.design import Design, Piece
from zinc_otter.studio.followers import AnyFollower, recipe_of
from zinc_otter.studio.references import Picture, Reference
from zinc_otter.studio.shelf import DesignFacts, Saved, Unit

DesignName = Annotated[str, StringConstraints(min_length=1, max_length=80, strip_whitespace=True)]


class In(BaseModel):
    model_config = ConfigDict(extra="forbid")


Positive = Annotated[float, Field(gt=0, le=1e5, allow_inf_nan=False)]


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
    revision: int


class CommandAt(AtRevision):
    command: AnyCommand


class StepAt(AtRevision):
    step: int


class DesignCard(BaseModel):
    """One design in the list."""

    id: str
    name: str
    unit: Unit
    changed_at: datetime
    revision: int
    step_count: int

    @classmethod
    def of(cls, facts: DesignFacts) -> DesignCard:
        return cls(
            id=facts.id, name=facts.name, unit=facts.unit, changed_at=facts.changed_at, revision=facts.revision,
            step_count=facts.step_count,
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


class PieceState(BaseModel):
    """One piece without its arrays. ``size`` is the extent of the control points in mm."""

    id: str
    name: str
    visible: bool
    locked: bool
    colour: str
    group: str | None
    original: str | None
    symmetry: SymmetryState | None
    follows: str | None = Field(description="the id of the piece that this one is the mirror image of")
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
        t = piece.cage.topology
        low, high = piece.cage.bounds
        return cls(
            id=piece.id, name=piece.name, visible=piece.visible, locked=piece.locked, colour=piece.colour,
            group=piece.group, original=piece.original,
            symmetry=piece.symmetry and SymmetryState.of(piece.symmetry.group),
            follows=piece.follows and piece.follows.source,
            face_sets={name: len(faces) for name, faces in piece.cage.face_sets.items()},
            vertex_count=t.vertex_count, edge_count=t.edge_count, face_count=t.face_count,
            open_edge_count=len(t.open_edges), size=tuple((high - low).tolist()),
            digest=piece.cage.digest, followers=list(piece.followers),
            called={follower.id: follower.called for follower in piece.followers},
            made_from=recipe_of(design, piece.id).digest,
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
    title: str
    created_at: datetime


class SelectedState(Picked):
    piece: str


class DesignState(BaseModel):
    """A design as it stands. ``head`` is the index of the present step in ``steps``."""

    id: str
    name: str
    unit: Unit
    revision: int
    pieces: list[PieceState]
    references: list[ReferenceState]
    steps: list[StepState]
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
            steps=[StepState(id=s.id, title=s.title, created_at=s.created_at) for s in saved.steps],
            head=saved.head_index,
            selected=SelectedState(**saved.selected) if saved.selected else None,
        )


class PreviewState(BaseModel):
    """What a command would lead to; ``notes`` say how true it came out, ``doubtful`` are faces where it did not."""

    title: str
    notes: list[str]
    doubtful: list[int]
    pieces: list[PieceState]
    references: list[ReferenceState]
    selected: SelectedState | None


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


class CertificateState(BaseModel):
    """What a made solid states of itself: mm, mm², mm³, degrees."""

    watertight: bool
    volume: float
    area: float
    size: tuple[float, float, float]
    solid_count: int
    face_count: int
    pole_count: int | None
    deviation: float
    seam_angle: float | None
    warnings: list[str]
    measured: MeasuredState | None
    route: Literal["kernel", "triangles"] = Field(default="kernel", description="triangles: the kernel has not made it")


class MeasuredState(BaseModel):
    """What is measured of the finished body on triangles within ``chord`` mm of it; mm, mm³."""

    triangle_count: int
    chord: float
    mesh_volume: float = Field(description="what the route by triangles found on its own")
    centre: tuple[float, float, float]
    crossings: int
    thinnest: float = Field(description="99 of 100 sampled points have a thicker wall")
    thinnest_at: tuple[float, float, float]
    tolerance: float
    followers: list[tuple[str, str, str, str]] = Field(description="id, name, what became of it, and why")


class TryState(BaseModel):
    radius: float
    failure: str | None


class FoundChain(BaseModel):
    """One chain of edges: the largest radius that holds on it alone, points on it, and where it breaks beyond that."""

    holds: float
    line: list[tuple[float, float, float]]
    tries: list[TryState]
    breaks_at: tuple[float, float, float] | None
    bend: float | None = Field(description="the room in mm where it breaks")
    reason: str


class FoundState(BaseModel):
    """What the fillet finder found: ``radius`` holds on all chains together."""

    wished: float
    radius: float
    chains: list[FoundChain]
    tries: list[TryState]


class FinderAsk(In):
    """Edges by what made the faces beside them, a wished radius in mm, and before which follower they are looked at."""

    between: tuple[str, str]
    radius: Annotated[float, Field(gt=1e-6, le=1e4, allow_inf_nan=False)]
    before: str | None = None
    seconds: Annotated[float, Field(gt=0, le=60)] = 20.0


class KeyedJob(BaseModel):
    """A job, and the key by which its result is fetched."""

    job: JobReport
    key: str


class MaterialState(BaseModel):
    name: str
    density: float = Field(description="g/cm³")
    source: str


class SurfaceFacts(BaseModel):
    """How many triangles, how far their chords keep from the surface in mm, by how many degrees it turns in a facet at most,
    and about how many bytes by kind of file. ``words`` say why there is nothing to count."""

    triangles: int
    exact: bool
    chord: float
    turn: float
    bytes: dict[str, int]
    words: str = ""


class FindingState(BaseModel):
    what: str
    count: int
    words: str


class CageFileState(BaseModel):
    """What a file gives as a cage: what was set right on the way in, and the command that puts it down."""

    findings: list[FindingState]
    remarks: list[str]
    vertex_count: int
    face_count: int
    quad_count: int
    open_edge_count: int
    command: AddCage


class SolidFileState(BaseModel):
    """A STEP file that was kept, by its asset; mm, mm³."""

    asset: str
    name: str
    size: tuple[float, float, float]
    volume: float
    solids: int
    faces: int


class MachineAsk(In):
    """What the simulated print bench can do; mm, mm/s, degrees, g/cm³, a share of fill."""

    bed: tuple[Positive, Positive, Positive] = (220.0, 220.0, 250.0)
    layer: Positive = 0.2
    line: Positive = 0.4
    least_wall: Positive = 1.2
    overhang: Annotated[float, Field(gt=0, lt=90)] = 50.0
    speed: Positive = 60.0
    fill: Annotated[float, Field(ge=0, le=1)] = 0.15
    density: Positive = 1.24


class ObjectionState(BaseModel):
    what: str
    refuses: bool
    words: str
    places: list[tuple[float, float, float]]


class BenchAnswer(BaseModel):
    """What the simulated bench answers to a file: accepted or not, what it found and where, and what it would take."""

    accepted: bool
    objections: list[ObjectionState]
    layers: int
    minutes: float
    grams: float
    metres: float
    size: tuple[float, float, float]


class JobReport(BaseModel):
    """How a job stands; ``progress`` runs from 0 to 1."""

    id: str
    status: str
    progress: float
    words: str
