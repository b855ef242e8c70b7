"""What viewers are told over the live channel, and its version. The browser's types are made of both directions."""

from __future__ import annotations

from typing import Annotated, Any, Literal, NotRequired

from pydantic import Field, TypeAdapter
from typing_extensions import TypedDict

from zinc_otter.api.live.asked import asked
from zinc_otter.api.live.shown import BodyFrame, Shown, ShownCurve, ShownGap, ShownMap, ShownProof, Weights
from zinc_otter.api.problems import Problem
from zinc_otter.api.schemas import DesignState, PreviewState

VERSION = 11
"""Raised whenever a page that was loaded before could not talk to the service any more."""


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
    for name, adapter, mode in (("LiveAsked", asked, "validation"), ("LiveTold", told, "serialization")):
        schema = adapter.json_schema(mode=mode, ref_template="#/components/schemas/{model}")  # type: ignore[arg-type]
        found |= schema.pop("$defs", {})
        found[name] = schema
    return found
