"""Make a solid, look at its certificate, find fillets, download; and the jobs that do the long part."""

from __future__ import annotations

import hashlib
import json
from collections.abc import Sequence
from dataclasses import asdict, replace
from datetime import datetime
from pathlib import Path
from typing import Annotated, Literal
from urllib.parse import quote

from fastapi import APIRouter, Query, Response
from fastapi import Path as Path_

from zinc_otter.api.bodies import FINE
from zinc_otter.api.certificate_page import OfWhat, certificate_page
from zinc_otter.api.designs import AtHand
from zinc_otter.api.problems import PlaceSchema
from zinc_otter.api.room import Room
from zinc_otter.api.solid_schemas import (
    CertificateState,
    FinderAsk,
    FoundState,
    JobReport,
    KeyedJob,
    MaterialState,
)
from zinc_otter.api.written import WhatFor, handed
from zinc_otter.core.errors import BadSelectionError, CoreError
from zinc_otter.core.formats.cages import write_cage
from zinc_otter.core.formats.step_text import Heading, headed
from zinc_otter.core.formats.surfaces.appearance import CLAYS
from zinc_otter.core.growth.stones import Stones
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.remark import Remark
from zinc_otter.core.solid.certificate import Certificate, read_certificate
from zinc_otter.core.solid.gate import in_short, refuse_unsound
from zinc_otter.core.solid.materials import MATERIALS
from zinc_otter.core.solid.recipe import Recipe, as_solid, lacking
from zinc_otter.core.words import lengths_in
from zinc_otter.jobs import JobState
from zinc_otter.jobs.solid_work import BY_TRIANGLES, CERTIFICATE, STEP, find_fillet, larger_step, make_solid
from zinc_otter.sheet.sheet import called, judged
from zinc_otter.studio.bill import StoneLine, bill_of
from zinc_otter.studio.design import Piece
from zinc_otter.studio.followers import recipe_of
from zinc_otter.studio.shelf import Saved

router = APIRouter(prefix="/api", tags=["solids"])
_PIECE = "/designs/{design_id}/pieces/{piece_id}"


Larger = Annotated[
    float, Query(ge=0, le=20, allow_inf_nan=False, description="per cent by which the file is larger, for shrinkage")
]


def larger_words(per_cent: float) -> str:
    """What a file's name says of it."""
    return f", {per_cent:g} % larger" if per_cent else ""


Anyway = Annotated[
    bool, Query(description="hand over a body that is incomplete or not sound, as far as it goes; its name says so")
]


class NoSolidError(CoreError):
    """No solid was made of the piece as it is now."""

    kind = "no-solid"
    title = "There is no solid yet"
    status = 404


@router.post(_PIECE + "/solid", status_code=202)
def begin_solid(design_id: str, piece_id: str, room: AtHand) -> JobReport:
    """Begin to make the solid of a piece with its followers. What stays open is refused, its open edges named."""
    piece, recipe = piece_and_recipe(room, design_id, piece_id)
    as_solid(recipe)
    folder = room.solid_folder(design_id, recipe)
    colour = CLAYS.get(piece.colour)
    job_id = room.jobs.start(str(folder), "Making the solid", make_solid, recipe, folder, colour)
    return report_of(room.jobs.state(job_id))


@router.post(_PIECE + "/fillet-finder", status_code=202)
def begin_finder(design_id: str, piece_id: str, asked: FinderAsk, room: AtHand) -> KeyedJob:
    """Begin to look for the largest radius that holds on edges of a piece's body; the job's result is found by its key."""
    _, recipe = piece_and_recipe(room, design_id, piece_id)
    if asked.before is not None and asked.before not in [follower.id for follower in recipe.followers]:
        raise BadSelectionError(f"The piece has no follower {asked.before!r}.")
    as_solid(recipe)
    key = hashlib.sha256(f"{recipe.digest} {asked.model_dump_json()}".encode()).hexdigest()[:32]
    job_id = room.jobs.start(
        key, "Looking for the radius", find_fillet, recipe, asked.before, asked.between, asked.radius, asked.near,
        asked.seconds, asked.budget, room.made.place(design_id, f"found/{key}.json"),
    )  # fmt: skip
    return KeyedJob(job=report_of(room.jobs.state(job_id)), key=key)


@router.get("/materials")
def list_materials() -> list[MaterialState]:
    """Materials with their densities and where these are from."""
    return [MaterialState(**asdict(material)) for material in MATERIALS]


Key = Annotated[str, Path_(pattern="^[0-9a-f]{32}$")]


@router.get("/found/{key}")
def get_found(key: Key, room: AtHand) -> FoundState | None:
    """What the finder found; null while it has not."""
    path = room.made.path(f"found/{key}.json")
    return FoundState(**json.loads(path.read_text("utf-8"))) if path.exists() else None


@router.get("/jobs/{job_id}")
def get_job(job_id: str, room: AtHand) -> JobReport:
    return report_of(room.runner_of(job_id).state(job_id))


@router.delete("/jobs/{job_id}")
def cancel_job(job_id: str, room: AtHand) -> JobReport:
    """Stop a job. What it would have changed stays as it was."""
    return report_of(room.runner_of(job_id).cancel(job_id))


@router.get(_PIECE + "/certificate")
def get_certificate(design_id: str, piece_id: str, room: AtHand) -> CertificateState | None:
    """The certificate of the solid made of the piece as it is now, else of its triangles; null while there is none."""
    path = _certificate(room, piece_and_recipe(room, design_id, piece_id)[1])
    return None if path is None else CertificateState(**json.loads(path.read_text("utf-8")))


@router.get(_PIECE + "/certificate-page", response_class=Response)
def certificate_as_page(design_id: str, piece_id: str, room: AtHand, larger: Larger = 0.0) -> Response:
    """The certificate as one page to read."""
    facts = room.studio.saved(design_id).facts
    piece, recipe = piece_and_recipe(room, design_id, piece_id)
    path = _certificate(room, recipe)
    if path is None:
        raise _none_yet()
    certificate = _read(path)
    today = datetime.now().isoformat(timespec="minutes").replace("T", " ")
    of = OfWhat(facts.name, facts.revision, today, facts.unit, larger)
    page = certificate_page(
        certificate, piece.name, recipe.digest, of, _stones_on(room, design_id, piece), _asked_of(room, design_id, piece)
    )  # fmt: skip
    name = file_name(f"{piece.name}, certificate{larger_words(larger)}", certificate.faults, "html")
    return download(page.encode(), "text/html; charset=utf-8", name)


def _asked_of(room: Room, design_id: str, piece: Piece) -> list[tuple[str, str]]:
    """What the design's proofs ask of a piece, and what is found, looked at finely."""
    saved = room.studio.saved(design_id)
    design = saved.design

    def body_of(one: str) -> tuple[MeshDistance, str]:
        made = room.bodies.shape(recipe_of(design, one, room.solid), FINE)
        return MeshDistance(made.body.mesh.points, made.body.mesh.triangles), lacking(made.notes)

    with lengths_in(saved.facts.unit):
        found = [judged(design, proof, room.meshes.get, body_of)[:2] for proof in design.proofs if proof.piece == piece.id]
        return [(called(design, proof), verdict.words) for proof, verdict in found]


def _stones_on(room: Room, design_id: str, piece: Piece) -> tuple[StoneLine, ...]:
    """The lines of the bill for stones that lie on a piece, or are held by it."""
    design = room.studio.saved(design_id).design
    held = {one for follower in piece.followers if follower.on for one in follower.set_stones}
    lain = {p.id for p in design.pieces if isinstance(p.grown, Stones) and p.grown.host == piece.id and p.visible}
    return bill_of(replace(design, pieces=tuple(p for p in design.pieces if p.id in held | lain)), {}, {}).stones


@router.get(_PIECE + "/solid.step", response_class=Response)
def download_step(
    design_id: str, piece_id: str, room: AtHand, anyway: Anyway = False, larger: Larger = 0.0
) -> Response:
    """The solid as STEP AP242, in millimetres."""
    saved = room.studio.saved(design_id)
    piece, recipe = saved.design.piece(piece_id), recipe_of(saved.design, piece_id, room.solid)
    folder = _made(room, recipe)
    faults = _read(folder / CERTIFICATE).faults
    if not anyway:
        refuse_unsound(faults)
    called = piece.name + larger_words(larger)
    heading = heading_of(saved, f"{called} of {saved.facts.name}", faults)
    data = (folder / STEP).read_bytes() if larger == 0 else larger_step(folder, larger, CLAYS.get(piece.colour))
    name = file_name(called, faults, "step")
    handed(room, design_id, name, WhatFor((recipe,), "step", larger=larger))
    return download(headed(data, heading, piece.name), "model/step", name)


def heading_of(saved: Saved, title: str, faults: Sequence[Remark]) -> Heading:
    """What a STEP file says of itself: the design and its revision, and what is the matter."""
    about = (f"Revision {saved.facts.revision} of {saved.facts.name}", *(fault.words for fault in faults))
    return Heading(title, about, datetime.now().isoformat(timespec="seconds"))


def file_name(name: str, faults: Sequence[Remark], ending: str) -> str:
    """The name of a file, which tells of a body that is incomplete or not sound."""
    short = in_short(faults)
    return f"{name}, {short}.{ending}" if short else f"{name}.{ending}"


def _read(path: Path) -> Certificate:
    return read_certificate(json.loads(path.read_text("utf-8")))


@router.get(_PIECE + "/cage-file", response_class=Response)
def download_cage(
    design_id: str,
    piece_id: str,
    room: AtHand,
    kind: Annotated[Literal["obj", "ply", "usda", "usdc"], Query(description="USD as text or binary, PLY or OBJ")] = "usdc",
) -> Response:
    """The control cage as a file, in millimetres: with creases, corners and face sets, which OBJ has no place for."""
    piece, _ = piece_and_recipe(room, design_id, piece_id)
    data = write_cage(piece.faces, kind, piece.name, CLAYS.get(piece.colour))
    return download(data, _CAGE_TYPES[kind], f"{piece.name}.{kind}")


_CAGE_TYPES = {"obj": "model/obj", "ply": "application/octet-stream", "usda": "model/vnd.usda", "usdc": "model/vnd.usd"}


def piece_and_recipe(room: Room, design_id: str, piece_id: str) -> tuple[Piece, Recipe]:
    design = room.studio.saved(design_id).design
    return design.piece(piece_id), recipe_of(design, piece_id, room.solid)


def _made(room: Room, recipe: Recipe) -> Path:
    folder = room.bodies.folder(recipe)
    if not (folder / CERTIFICATE).exists():
        raise _none_yet()
    return folder


def _none_yet() -> NoSolidError:
    return NoSolidError("The piece has not been made into a solid since it last changed.")


def _certificate(room: Room, recipe: Recipe) -> Path | None:
    """That of the kernel's solid, where there is one, before that of the triangles."""
    folder = room.bodies.folder(recipe)
    return next((path for path in (folder / CERTIFICATE, folder / BY_TRIANGLES) if path.exists()), None)


def download(data: bytes, media_type: str, name: str) -> Response:
    disposition = f"attachment; filename*=UTF-8''{quote(name)}"
    return Response(data, media_type=media_type, headers={"Content-Disposition": disposition})


def report_of(state: JobState) -> JobReport:
    return JobReport(
        id=state.id, status=state.status, progress=state.progress, words=state.words, place=PlaceSchema.of(state.place)
    )
