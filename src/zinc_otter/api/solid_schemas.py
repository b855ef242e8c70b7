"""What goes in and out of the requests on solids: certificates, fillets, files, the print bench, and jobs."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, Field

from zinc_otter.api.problems import PlaceSchema
from zinc_otter.api.schemas import In
from zinc_otter.studio.commands.add_cage import AddCage

Positive = Annotated[float, Field(gt=0, le=1e5, allow_inf_nan=False)]


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
    warnings: list[RemarkState]
    faults: list[RemarkState] = Field(default=[], description="why it is not what was asked for, or no sound solid")
    meant_sharp: tuple[int, int] = Field(default=(0, 0), description="hard edges and corners of the cage")
    measured: MeasuredState | None
    route: Literal["kernel", "triangles"] = Field(default="kernel", description="triangles: the kernel has not made it")


class RemarkState(BaseModel):
    """A sentence, and the place that it is about."""

    words: str
    place: PlaceSchema


class MeasuredState(BaseModel):
    """What is measured of the finished body on triangles within ``chord`` mm of it; mm, mm³."""

    triangle_count: int
    chord: float
    mesh_volume: float = Field(description="what the route by triangles found on its own")
    centre: tuple[float, float, float]
    crossings: int
    thinnest: float = Field(description="the least wall of all sampled places whose two sides face one another")
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
    """What the fillet finder found: ``radius`` holds on all chains together, ``by_triangles`` on the mesh route.

    ``ended``: "found", or "time" where the budget ran out with the best so far.
    """

    wished: float
    radius: float
    chains: list[FoundChain]
    tries: list[TryState]
    by_triangles: float = 0.0
    ended: Literal["found", "time"] = "found"


Coordinate = Annotated[float, Field(ge=-1e6, le=1e6, allow_inf_nan=False)]


class FinderAsk(In):
    """Edges by what made the faces beside them, a wished radius in mm, and before which follower they are looked at.

    With ``near``, only the chain of edges that comes nearest to that point.
    """

    between: tuple[str, str]
    near: tuple[Coordinate, Coordinate, Coordinate] | None = None
    radius: Annotated[float, Field(gt=1e-6, le=1e4, allow_inf_nan=False)]
    before: str | None = None
    seconds: Annotated[float, Field(gt=0, le=60, description="for one try")] = 20.0
    budget: Annotated[float, Field(gt=0, le=250, description="seconds in all; then the best so far is told")] = 90.0


class KeyedJob(BaseModel):
    """A job, and the key by which its result is fetched."""

    job: JobReport
    key: str


class MaterialState(BaseModel):
    name: str
    density: float = Field(description="g/cm³")
    source: str
    group: str = Field(description='"metal" of a jeweller\'s bench, "wax", or "other"')


class SurfaceFacts(BaseModel):
    """How many triangles, how far their chords keep from the surface in mm, by how many degrees it turns in a facet at most,
    and about how many bytes by kind of file. ``words`` say why there is nothing to count. ``solid_faces``: how many the
    solid will have, and ``solid_words`` why it would be refused for them."""

    triangles: int
    exact: bool
    chord: float
    turn: float
    bytes: dict[str, int]
    words: str = ""
    solid_faces: int = 0
    solid_words: str = ""


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


_Bed = Annotated[float, Field(ge=1, le=20_000)]


class MachineAsk(In):
    """What the simulated print bench can do; mm, mm/s, degrees, g/cm³, a share of fill."""

    bed: tuple[_Bed, _Bed, _Bed] = (220.0, 220.0, 250.0)
    layer: Annotated[float, Field(ge=1e-6, le=10)] = 0.2
    line: Annotated[float, Field(ge=0.02, le=50)] = 0.4
    least_wall: Annotated[float, Field(ge=0.01, le=100)] = 1.2
    overhang: Annotated[float, Field(gt=0, lt=90)] = 50.0
    speed: Annotated[float, Field(ge=0.1, le=10_000)] = 60.0
    fill: Annotated[float, Field(ge=0, le=1)] = 0.15
    density: Annotated[float, Field(ge=0.01, le=25)] = 1.24
    process: Literal["filament", "resin", "powder", "metal"] = "filament"


class PrintProcessState(BaseModel):
    """A way to print and what it asks for: mm, degrees from upright, g/cm³."""

    id: str
    name: str
    layer: float
    line: float
    wall: float
    overhang: float
    density: float
    supports: bool
    trapped: str
    pause: float
    speed: float


class StandingState(BaseModel):
    """One way up: the direction that points up, mm³ of supports, height in mm, and mm² on the bed."""

    words: str
    up: tuple[float, float, float]
    supports: float
    height: float
    foot: float


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
    ways: list[StandingState]


class JobReport(BaseModel):
    """How a job stands; ``progress`` runs from 0 to 1. Where it failed at a place, that is named."""

    id: str
    status: str
    progress: float
    words: str
    place: PlaceSchema | None = None
