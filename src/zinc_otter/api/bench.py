"""A jeweller's bench at the end of a design: whether it can be cast, and the bill of what it takes."""

from __future__ import annotations

from dataclasses import asdict, replace
from typing import Annotated

import numpy as np
from fastapi import APIRouter, Response
from pydantic import BaseModel, ConfigDict, Field

from zinc_otter.api.bodies import FINE
from zinc_otter.api.designs import AtHand
from zinc_otter.api.room import Room
from zinc_otter.api.solid_schemas import RemarkState
from zinc_otter.api.solids import download
from zinc_otter.api.stones import between_seats
from zinc_otter.api.triangle_files import triangles_for
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.proof.bore import bore
from zinc_otter.core.proof.casting import PROCESSES, cast_proof
from zinc_otter.core.proof.gaps import TOUCH
from zinc_otter.core.remark import Remark, at_points
from zinc_otter.core.repeated import Repeated
from zinc_otter.core.solid.followers import Combine, PieceBody
from zinc_otter.core.solid.followers.settings.beads import Beads
from zinc_otter.core.solid.followers.settings.prongs import Prongs
from zinc_otter.core.solid.materials import METALS, WAX
from zinc_otter.core.stone.spacing import spacing
from zinc_otter.core.words import fine_length_words, length_words, lengths_in
from zinc_otter.studio.bill import Bill, bill_csv, bill_of
from zinc_otter.studio.design import Design, Piece
from zinc_otter.studio.followers import recipe_of
from zinc_otter.studio.images import stand_for

router = APIRouter(prefix="/api", tags=["bench"])

_CHORD = 0.03
_LEAST_SHOWN = 2.0
"""mm from which a hole is told as a bore on the bill."""

Least = Annotated[float, Field(gt=0, le=100)]


class ProcessState(BaseModel):
    """What a process asks for at least, in mm; common practice, shops differ."""

    id: str
    name: str
    wall: float
    prong: float
    gap: float


class CastAsk(BaseModel):
    """By which process, and where its numbers are others here."""

    model_config = ConfigDict(extra="forbid")
    process: str = "cast"
    wall: Least | None = None
    prong: Least | None = None
    gap: Least | None = None


class CastAnswer(BaseModel):
    """Whether nothing was found, what was, and the least wall in mm of all places looked at, with where it is."""

    holds: bool
    faults: list[RemarkState]
    wall: float
    wall_at: tuple[float, float, float]


class MetalLineState(BaseModel):
    piece: str
    name: str
    volume: float = Field(description="mm³")
    bore: float | None
    bore_words: str
    count: int = Field(description="bodies by themselves, such as the links of a chain")


class FindingState(BaseModel):
    name: str
    count: int


class StoneLineState(BaseModel):
    name: str
    cut: str
    material: str
    size: str
    count: int
    each: float = Field(description="carats")
    carats: float


class WeightState(BaseModel):
    material: str
    density: float
    grams: float
    source: str
    wax: float | None = Field(description="how many times as heavy as the wax that it is cast after")


class BillState(BaseModel):
    """What a design is made of; weights are those of all of its bodies together.

    ``lacks`` are sentences on what is not in it, or not as it was asked for.
    """

    metal: list[MetalLineState]
    stones: list[StoneLineState]
    volume: float
    carats: float
    count: int
    weights: list[WeightState]
    findings: list[FindingState]
    lacks: list[str]


@router.get("/processes")
def list_processes() -> list[ProcessState]:
    """Ways to make a piece of metal, and what each asks for."""
    return [ProcessState(**asdict(process)) for process in PROCESSES]


@router.post("/designs/{design_id}/pieces/{piece_id}/casting")
def prove_casting(design_id: str, piece_id: str, asked: CastAsk, room: AtHand) -> CastAnswer:
    """Look whether a piece's body can be cast or printed in metal."""
    process = next((one for one in PROCESSES if one.id == asked.process), None)
    if process is None:
        known = ", ".join(one.id for one in PROCESSES)
        raise BadNumberError(f"There is no process called {asked.process!r}; there are {known}.")
    own = {name: value for name, value in asked.model_dump(exclude={"process"}).items() if value is not None}
    process = replace(process, **own)
    piece, triangles, faults = triangles_for(room, design_id, piece_id, _CHORD, anyway=True)
    saved = room.studio.saved(design_id)
    with lengths_in(saved.facts.unit):
        found = cast_proof(triangles.points, triangles.triangles, process, _prongs(piece))
        near = _gap(saved.design, piece, process.gap)
    every = [*faults, *found.faults, *near]
    return CastAnswer(
        holds=not every, faults=[RemarkState(**asdict(one)) for one in every], wall=found.wall, wall_at=found.wall_at
    )


@router.get("/designs/{design_id}/bill")
def get_bill(design_id: str, room: AtHand) -> BillState:
    """What the shown pieces are made of: volumes by triangles, weights in each metal, stones."""
    bill = _bill(room, design_id)
    wax = bill.grams(WAX)
    weights = [
        WeightState(
            material=one.name, density=one.density, grams=bill.grams(one), source=one.source,
            wax=None if one is WAX or wax == 0 else one.density / WAX.density,
        )
        for one in (*METALS, WAX)
    ]  # fmt: skip
    return BillState(
        metal=[MetalLineState(**asdict(line)) for line in bill.metal],
        stones=[StoneLineState(**asdict(line)) for line in bill.stones],
        volume=bill.volume, carats=bill.carats, count=bill.count, weights=weights,
        findings=[FindingState(**asdict(one)) for one in bill.findings], lacks=list(bill.lacks),
    )  # fmt: skip


@router.get("/designs/{design_id}/bill.csv", response_class=Response)
def download_bill(design_id: str, room: AtHand) -> Response:
    """The bill as comma-separated values."""
    saved = room.studio.saved(design_id)
    text = bill_csv(_bill(room, design_id), saved.facts.name, saved.facts.revision)
    return download(text.encode(), "text/csv; charset=utf-8", f"{saved.facts.name}, bill.csv")


def _bill(room: Room, design_id: str) -> Bill:
    saved = room.studio.saved(design_id)
    design = saved.design
    volumes: dict[str, float] = {}
    bores: dict[str, float] = {}
    lacks: list[str] = []
    with lengths_in(saved.facts.unit):
        for piece in _bodies(design):
            body = room.bodies.get(recipe_of(design, piece.id, room.solid), FINE)
            if "volume" not in body:
                lacks.append(f"{piece.name} is not weighed. {body['problem']}")
                continue
            lacks += [
                f"{piece.name} is weighed as it is without one of its followers. {words}"
                for _, status, words, _ in body["notes"] if status in ("failed", "waits")
            ]  # fmt: skip
            volumes[piece.id] = body["volume"]
            made = bore(body["points"].reshape(-1, 3).astype(float), body["triangles"].reshape(-1, 3))
            if made is not None and made.diameter >= _LEAST_SHOWN:
                bores[piece.id] = made.diameter
    return bill_of(design, volumes, bores, lacks)


def _bodies(design: Design) -> list[Piece]:
    """The shown pieces that are bodies of their own: not stones, nor part of a repeat's or another piece's body."""
    shown = [piece for piece in design.pieces if piece.visible and piece.curve is None]
    taken = {
        follower.body.piece
        for piece in shown
        for follower in piece.followers
        if follower.on and isinstance(follower, Combine) and isinstance(follower.body, PieceBody)
    }
    within = taken | stand_for(design)
    return [p for p in shown if p.id not in within and not (isinstance(p.form, Repeated) and p.form.stones)]


def _prongs(piece: Piece) -> list[float]:
    on = [follower for follower in piece.followers if follower.on]
    return [f.wire for f in on if isinstance(f, Prongs)] + [f.grain for f in on if isinstance(f, Beads)]


def _gap(design: Design, piece: Piece, least: float) -> list[Remark]:
    """Where stones that the piece holds stand nearer than metal can be cast between them."""
    held = {one for follower in piece.followers if follower.on for one in follower.set_stones}
    forms = [(other.id, other.form) for other in design.pieces if other.id in held]
    laid = [
        (one, stone.gem, motions)
        for one, form in forms if isinstance(form, Repeated) for stone, motions in form.stones
    ]  # fmt: skip
    near = spacing([(gem, motions) for _, gem, motions in laid]) if laid else None
    if near is None:
        return []
    found = between_seats(design, near, [one for one, _, motions in laid for _ in range(len(motions))])
    metal = near.gap.distance if found is None else found[1]
    if metal >= least - TOUCH:
        return []
    words = (
        f"Between the seats of two stones {fine_length_words(max(metal, 0.0))} of metal are left; {length_words(least)} are "
        f"asked for."
    )
    return [Remark(words, at_points(np.array([near.gap.here])))]
