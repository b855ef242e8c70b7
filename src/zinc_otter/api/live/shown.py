"""What is shown of a design beside the forms of its pieces: proofs, maps, gaps, stones, bodies."""

from __future__ import annotations

from typing import Literal, NotRequired

from typing_extensions import TypedDict

from zinc_otter.api.curve_schemas import Of
from zinc_otter.api.live.arrays import Float32s, Int32s, Xyz
from zinc_otter.api.live.frames import PieceFrame
from zinc_otter.api.problems import PlaceSchema


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
