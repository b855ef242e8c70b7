"""What is said over the live channel, both ways, and its version. The browser's types are made of these.

Viewers send one of :data:`Asked`; each but ``stop`` is answered by a message with its ``seq``. They are sent :data:`Told`.
Arrays travel as MessagePack extensions (see :mod:`zinc_otter.api.packing`).
"""

from __future__ import annotations

from typing import Annotated, Any, Literal, NotRequired

import numpy as np
import numpy.typing as npt
from pydantic import BaseModel, ConfigDict, Field, TypeAdapter, WithJsonSchema
from pydantic_core import core_schema
from typing_extensions import TypedDict

from zinc_otter.api.curve_schemas import AskedOf, Of
from zinc_otter.api.problems import PlaceSchema, Problem
from zinc_otter.api.schemas import DesignState, PreviewState
from zinc_otter.studio.commands import AnyCommand, Picked
from zinc_otter.studio.commands.base import PieceId
from zinc_otter.studio.commands.placement import ReachBy

VERSION = 11
"""Raised whenever a page that was loaded before could not talk to the service any more."""


MOST_BETWEEN = 10
"""Pieces between which gaps are told."""


class _Ask(BaseModel):
    model_config = ConfigDict(extra="ignore")
    seq: Annotated[int, Field(ge=0)] = 0


class AskPreview(_Ask):
    """Show what a command would lead to. Of previews only the latest counts."""

    do: Literal["preview"]
    revision: int = -1
    command: AnyCommand


class AskCommit(_Ask):
    """Keep a command as a step, or ``instead`` of the present one."""

    do: Literal["commit"]
    revision: int = -1
    command: AnyCommand
    instead: bool = False


class AskCancel(_Ask):
    """Show the design as it stands."""

    do: Literal["cancel"]


class AskLevel(_Ask):
    """Show pieces at a level of smoothness, or with null at the finest that is quick."""

    do: Literal["level"]
    level: Annotated[int, Field(ge=1, le=4, strict=True)] | None


class AskWeigh(_Ask):
    """Tell how far a reach carries from what is picked."""

    do: Literal["weigh"]
    piece: PieceId
    picked: Picked
    reach: ReachBy


class AskCurves(_Ask):
    """Show curves of a piece with every frame from now on, or with null no more."""

    do: Literal["curves"]
    asked: AskedOf | None


class AskGaps(_Ask):
    """Tell the gaps between these pieces with every frame from now on, beside those of repeats; none of them, no more."""

    do: Literal["gaps"]
    pieces: Annotated[list[PieceId], Field(max_length=MOST_BETWEEN)]


class AskMap(_Ask):
    """Tell what a proof asks of as a number at every row of its piece's surface, with every frame; none, no more."""

    do: Literal["map"]
    proof: Annotated[str, Field(max_length=20)] | None = None


class AskBodies(_Ask):
    """Look again whether the kernel has made a solid by now. It has no answer of its own."""

    do: Literal["bodies"]


class AskStop(_Ask):
    """Stop what is being worked on, and what waits; that is answered by refusals. With ``of`` that message alone."""

    do: Literal["stop"]
    of: int = 0


Asked = AskPreview | AskCommit | AskCancel | AskLevel | AskWeigh | AskCurves | AskGaps | AskMap | AskBodies | AskStop
DEEDS = frozenset({"preview", "commit", "cancel", "level", "weigh", "curves", "gaps", "map", "bodies", "stop"})
_asked: TypeAdapter[Asked] = TypeAdapter(Annotated[Asked, Field(discriminator="do")])


def read_asked(message: object) -> Asked:
    """A message of a viewer. Raises pydantic.ValidationError naming what is wrong."""
    return _asked.validate_python(message)


class _Array:
    """A typed array as it goes over the wire: the kind of its numbers, and its name in the description."""

    def __init__(self, kind: str, name: str) -> None:
        self._kind, self._name = np.dtype(kind), name

    def __get_pydantic_core_schema__(self, *_: Any) -> core_schema.CoreSchema:
        def check(value: Any) -> Any:
            if not isinstance(value, np.ndarray) or value.dtype != self._kind:
                raise ValueError(f"an array of {self._kind} is wanted")
            return value

        return core_schema.no_info_plain_validator_function(check)

    def __get_pydantic_json_schema__(self, *_: Any) -> dict[str, Any]:
        return {"type": "string", "format": self._name}


Float32s = Annotated[npt.NDArray[np.float32], _Array("<f4", "float32s")]
Float64s = Annotated[npt.NDArray[np.float64], _Array("<f8", "float64s")]
Int32s = Annotated[npt.NDArray[np.int32], _Array("<i4", "int32s")]
Uint8s = Annotated[npt.NDArray[np.uint8], _Array("u1", "uint8s")]
Point = tuple[float, float, float] | list[float]
Xyz = Annotated[Point, WithJsonSchema({
    "type": "array", "prefixItems": [{"type": "number"}] * 3, "minItems": 3, "maxItems": 3,
})]  # fmt: skip


class Images(TypedDict):
    """What each element answers to on the other sides of a symmetric piece, flat, one side after the other."""

    vertex: Int32s
    edge: Int32s
    face: Int32s


class CageFrame(TypedDict):
    """A whole control cage: positions in mm, flat; faces as runs of vertices; edges by their two vertices and faces."""

    positions: Float64s
    face_verts: Int32s
    face_offsets: Int32s
    edge_verts: Int32s
    edge_faces: Int32s
    edge_sharpness: Float32s
    vertex_sharpness: Float32s
    edge_open: Uint8s
    edge_seam: Uint8s
    images: Images | None


class SurfaceFrame(TypedDict):
    """A whole surface at a level: rows of limit points and normals, quads of rows, and the face that each came from."""

    level: int
    positions: Float32s
    normals: Float32s
    quads: Int32s
    face_of_quad: Int32s


class CageRows(TypedDict):
    rows: Int32s
    positions: Float64s


class SurfaceRows(TypedDict):
    """Rows that moved; null for all of them, in their order."""

    rows: Int32s | None
    positions: Float32s
    normals: Float32s


class LineFrame(TypedDict):
    """The line of a curve, as points flat, from its begin to its end; a closed one ends where it begins."""

    points: Float32s
    closed: bool


class GemFrame(TypedDict):
    """A stone as triangles: three points (9 numbers) after the other, with their normals, and its colour; a ``smooth``
    one has no facets.

    ``index`` is its refractive index, and ``dispersion`` by how much that is higher for blue light than for red. One that is
    not ``clear`` is looked at, and not into.
    """

    points: Float32s
    normals: Float32s
    tint: str
    smooth: bool
    index: float
    dispersion: float
    clear: bool


class CopiesFrame(TypedDict):
    """Images of another piece, by its id, or of a stone: one matrix (16, by columns) after the other.

    A viewer is told what a stone looks like once, with the first images of it; it keeps that by the name ``of``.
    """

    of: str
    motions: Float32s
    gem: NotRequired[GemFrame]


class PieceFrame(TypedDict):
    """One piece: whole where its structure changed, else the rows that moved. A curve has a line, and no faces; images of
    other pieces are nothing but their places."""

    id: str
    cage: NotRequired[CageFrame]
    surface: NotRequired[SurfaceFrame]
    cage_rows: NotRequired[CageRows]
    surface_rows: NotRequired[SurfaceRows]
    line: NotRequired[LineFrame]
    copies: NotRequired[list[CopiesFrame]]
    mask: NotRequired[Uint8s]


class Weights(TypedDict):
    """How far each row of a piece's surface takes part in a change that reaches."""

    piece: str
    rows: Float32s


# The names of two of its parts are words of the language.
Near = TypedDict("Near", {
    "piece": str, "reference": str, "asked": float, "distance": float, "signed": bool, "from": Xyz, "to": Xyz,
    "vertices": Float32s,
})  # fmt: skip
Near.__doc__ = """The nearest point of a piece's surface to a component, and the distance of each vertex of its cage, in mm.

Below 0 inside; a component that is not ``signed`` is open and has no inside."""


# The names of two of its parts are words of the language.
ShownGap = TypedDict("ShownGap", {
    "piece": str, "other": str | None, "distance": float, "state": Literal["apart", "touch", "overlap"], "from": Xyz,
    "to": Xyz,
})  # fmt: skip
ShownGap.__doc__ = """The smallest gap in mm between the images of a repeat, or between it and an ``other`` piece.

Below 0 where they run into one another."""


class ShownStones(TypedDict):
    """How the stones of a piece lie: how many, their weight together, the least metal left below one of them in mm (null
    where none reaches into it) and where, by how many mm one comes out on the far side and where, the mm of metal
    ``between`` the seats of the two nearest of all stones where one is its own (null where they have none), and what is the
    matter."""

    piece: str
    count: int
    carats: float
    left: float | None
    left_at: Xyz | None
    through: float
    through_at: list[Xyz]
    overlaps: int
    between: float | None
    says: list[str]


class ShownDimension(TypedDict):
    """How a dimension is drawn: a ``line`` of points, ``helper`` lines by pairs of points, and the place of its figure."""

    line: Float32s
    helper: Float32s
    label: Xyz
    unit: Literal["mm", "°"]
    sign: str


class ShownProof(TypedDict):
    """What is asked of a piece, and how it stands; not ``fine`` where it was looked at coarsely, as in a drag."""

    id: str
    piece: str
    asked: str
    holds: Literal["holds", "fails", "unknown", "told"]
    words: str
    figure: float | None
    place: PlaceSchema
    fine: bool
    drawn: ShownDimension | None


class MapBody(TypedDict):
    """The body that a map is of, as it is drawn."""

    points: Float32s
    normals: Float32s
    triangles: Int32s


class ShownMap(TypedDict):
    """What a proof asks of, a number at every row of its piece's surface, or of the ``body`` that comes along, in a
    ``unit``: those ``below`` the limit are at
    fault, or else those above, or on ``both`` sides of 0 those further from it; what is not a number could not be told.
    ``low`` and ``high`` hold all but a hundredth of its points; ``counts`` are these by even steps, ``share`` how many are
    at fault."""

    proof: str
    piece: str
    rows: Float32s
    unit: Literal["mm", "°"]
    limit: float
    below: bool
    both: bool
    low: float
    high: float
    counts: list[int]
    share: float
    body: NotRequired[MapBody]


class ShownBore(TypedDict):
    """The widest cylinder that goes through a piece: mm, its axis, and its size by the systems of rings."""

    piece: str
    diameter: float
    point: Xyz
    along: Xyz
    words: str


class ShownCurve(TypedDict):
    """A curve on a piece's surface, and at each of its points the curvature vector in 1/mm."""

    of: Of
    points: Float32s
    bending: Float32s
    closed: bool
    least_radius: float | None
    tightest: Xyz


class Shown(TypedDict):
    """What a viewer needs to show a design: what changed of its pieces, and what was asked for beside them."""

    pieces: list[PieceFrame]
    gone: list[str]
    clearances: NotRequired[list[Near]]
    gaps: NotRequired[list[ShownGap]]
    stones: NotRequired[list[ShownStones]]
    bores: NotRequired[list[ShownBore]]
    proofs: NotRequired[list[ShownProof]]
    map: NotRequired[ShownMap | None]
    curves: NotRequired[list[ShownCurve]]
    weights: NotRequired[Weights | None]


class TellState(Shown):
    """The design as it stands. The first message is one of these. By the version a page knows that it is old."""

    type: Literal["state"]
    seq: int
    state: DesignState
    version: int


class TellFrame(Shown):
    """The design as a command would leave it."""

    type: Literal["frame"]
    seq: int
    preview: PreviewState


class TellFound(TypedDict):
    """What was found on the frame of that number when it was looked at more closely: instead of what it said."""

    type: Literal["found"]
    seq: int
    notes: list[str]
    suspect: list[int]


class TellWeights(TypedDict):
    type: Literal["weights"]
    seq: int
    weights: Weights | None


class TellCurves(TypedDict):
    type: Literal["curves"]
    seq: int
    curves: list[ShownCurve]


class TellGaps(TypedDict):
    type: Literal["gaps"]
    seq: int
    gaps: list[ShownGap]


class TellMap(TypedDict):
    type: Literal["map"]
    seq: int
    map: ShownMap | None


class BodyEdge(TypedDict):
    """Where what meets what: the two makers, the length in mm, segments to be drawn, and the chain of each segment."""

    between: tuple[str, str]
    length: float
    lines: Float32s
    chains: Int32s


class Body(TypedDict):
    """What followers make of a piece: its triangles, and what became of each follower.

    A note is the follower's id, what became of it ("done", "waits", "failed", "off"), why, and where.
    """

    route: Literal["mesh", "kernel", "none"]
    problem: NotRequired[str]
    place: NotRequired[PlaceSchema]
    points: NotRequired[Float32s]
    normals: NotRequired[Float32s]
    triangles: NotRequired[Int32s]
    notes: list[tuple[str, str, str, PlaceSchema]]
    edges: NotRequired[list[BodyEdge]]
    own: NotRequired[int]
    added: NotRequired[int]
    volume: NotRequired[float]
    size: NotRequired[Xyz]


class BodyFrame(Body):
    """The body of one piece, and what it was made from."""

    id: str
    made_from: str


class TellBodies(TypedDict):
    """Comes by itself, a little after the pieces."""

    type: Literal["bodies"]
    bodies: list[BodyFrame]
    gone: list[str]


class TellProofs(TypedDict):
    """Comes by itself, once the bodies are made that some of them go by; with the map that is asked for, if of one."""

    type: Literal["proofs"]
    proofs: list[ShownProof]
    map: NotRequired[ShownMap | None]


class TellWorking(TypedDict):
    """Something is still being worked on, and for so many seconds."""

    type: Literal["working"]
    seq: int
    seconds: float
    stoppable: bool


class TellProblem(TypedDict):
    """A refusal; where it refuses a change, the design as it stands comes after it."""

    type: Literal["problem"]
    seq: int
    problem: Problem


Told = (
    TellState
    | TellFrame
    | TellFound
    | TellWeights
    | TellCurves
    | TellGaps
    | TellMap
    | TellBodies
    | TellProofs
    | TellWorking
    | TellProblem
)
told: TypeAdapter[Told] = TypeAdapter(Annotated[Told, Field(discriminator="type")])


def described() -> dict[str, Any]:
    """The schemas of both directions, by name, for the description of the service."""
    found: dict[str, Any] = {}
    for name, adapter, mode in (("LiveAsked", _asked, "validation"), ("LiveTold", told, "serialization")):
        schema = adapter.json_schema(mode=mode, ref_template="#/components/schemas/{model}")  # type: ignore[arg-type]
        found |= schema.pop("$defs", {})
        found[name] = schema
    return found
