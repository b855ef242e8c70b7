"""Make a solid, look at its certificate, find fillets, download; and the jobs that do the long part."""

from __future__ import annotations

import hashlib
import json
from dataclasses import asdict
from pathlib import Path
from typing import Annotated, Literal
from urllib.parse import quote

from fastapi import APIRouter, Query, Response
from fastapi import Path as Path_

from zinc_otter.api.bodies import FINE
from zinc_otter.api.designs import AtHand
from zinc_otter.api.room import Room
from zinc_otter.api.solid_schemas import (
    CertificateState,
    FinderAsk,
    FoundState,
    JobReport,
    KeyedJob,
    MaterialState,
    SurfaceFacts,
)
from zinc_otter.core.errors import BadNumberError, BadSelectionError, CoreError, OpenCageError
from zinc_otter.core.formats.cages import write_cage
from zinc_otter.core.formats.outline import View, write_outline
from zinc_otter.core.formats.surfaces import KINDS, Look, write_surface
from zinc_otter.core.formats.surfaces.look import CLAYS
from zinc_otter.core.solid.certificate import read_certificate, require_closed
from zinc_otter.core.solid.certificate_page import certificate_page
from zinc_otter.core.solid.materials import MATERIALS
from zinc_otter.core.solid.mesh.route import surface_triangles, triangles_of
from zinc_otter.core.solid.recipe import Recipe, as_solid
from zinc_otter.core.solid.tessellation import Triangles, tessellate
from zinc_otter.jobs import JobState
from zinc_otter.jobs.solid_work import BY_TRIANGLES, CERTIFICATE, STEP, certify_body, find_fillet, make_solid, write_file
from zinc_otter.studio.design import Piece
from zinc_otter.studio.followers import recipe_of

router = APIRouter(prefix="/api", tags=["solids"])
_PIECE = "/designs/{design_id}/pieces/{piece_id}"


Chord = Annotated[float, Query(gt=0, le=100, allow_inf_nan=False, description="chord tolerance in mm")]
Angle = Annotated[
    float, Query(gt=0, le=180, allow_inf_nan=False, description="degrees by which the surface may turn in a facet")
]


class NoSolidError(CoreError):
    """No solid was made of the piece as it is now."""

    kind = "no-solid"


@router.post(_PIECE + "/solid", status_code=202)
def begin_solid(design_id: str, piece_id: str, room: AtHand) -> JobReport:
    """Begin to make the solid of a piece with its followers. What stays open is refused, its open edges named."""
    piece, recipe = _piece(room, design_id, piece_id)
    as_solid(recipe)
    folder = room.bodies.folder(recipe)
    colour = CLAYS.get(piece.colour)
    job_id = room.jobs.start(str(folder), "Making the solid", make_solid, recipe, folder, colour)
    return _report(room.jobs.state(job_id))


@router.post(_PIECE + "/triangles-certificate", status_code=202)
def begin_triangles_certificate(
    design_id: str, piece_id: str, room: AtHand, tolerance: Chord = 0.05, angle: Angle = 180.0
) -> JobReport:
    """Begin to measure the body by triangles, as it would be written: where the kernel makes no solid of it, or to print."""
    _, recipe = _piece(room, design_id, piece_id)
    as_solid(recipe)
    folder = room.bodies.folder(recipe)
    key = f"{folder} by triangles"
    job_id = room.jobs.start(key, "Measuring the triangles", certify_body, recipe, tolerance, angle, folder)
    return _report(room.jobs.state(job_id))


@router.post(_PIECE + "/fillet-finder", status_code=202)
def begin_finder(design_id: str, piece_id: str, asked: FinderAsk, room: AtHand) -> KeyedJob:
    """Begin to look for the largest radius that holds on edges of a piece's body; the job's result is found by its key."""
    _, recipe = _piece(room, design_id, piece_id)
    if asked.before is not None and asked.before not in [follower.id for follower in recipe.followers]:
        raise BadSelectionError(f"The piece has no follower {asked.before!r}.")
    as_solid(recipe)
    key = hashlib.sha256(f"{recipe.digest} {asked.model_dump_json()}".encode()).hexdigest()[:32]
    job_id = room.jobs.start(
        key, "Looking for the radius", find_fillet, recipe, asked.before, asked.between, asked.radius, asked.near,
        asked.seconds, _found(room, key),
    )  # fmt: skip
    return KeyedJob(job=_report(room.jobs.state(job_id)), key=key)


@router.get("/materials")
def list_materials() -> list[MaterialState]:
    """Materials with their densities and where these are from."""
    return [MaterialState(**asdict(material)) for material in MATERIALS]


Key = Annotated[str, Path_(pattern="^[0-9a-f]{32}$")]


@router.get("/found/{key}")
def get_found(key: Key, room: AtHand) -> FoundState | None:
    """What the finder found; null while it has not."""
    path = _found(room, key)
    return FoundState(**json.loads(path.read_text("utf-8"))) if path.exists() else None


@router.get("/jobs/{job_id}")
def get_job(job_id: str, room: AtHand) -> JobReport:
    return _report(room.jobs.state(job_id))


@router.delete("/jobs/{job_id}")
def cancel_job(job_id: str, room: AtHand) -> JobReport:
    """Stop a job. What it would have changed stays as it was."""
    return _report(room.jobs.cancel(job_id))


@router.get(_PIECE + "/certificate")
def get_certificate(design_id: str, piece_id: str, room: AtHand) -> CertificateState | None:
    """The certificate of the solid made of the piece as it is now, else of its triangles; null while there is none."""
    path = _certificate(room, _piece(room, design_id, piece_id)[1])
    return None if path is None else CertificateState(**json.loads(path.read_text("utf-8")))


@router.get(_PIECE + "/certificate-page", response_class=Response)
def certificate_as_page(design_id: str, piece_id: str, room: AtHand) -> Response:
    """The certificate as one page to read."""
    piece, recipe = _piece(room, design_id, piece_id)
    path = _certificate(room, recipe)
    if path is None:
        raise _none_yet()
    certificate = read_certificate(json.loads(path.read_text("utf-8")))
    page = certificate_page(certificate, piece.name, recipe.digest)
    return _download(page.encode(), "text/html; charset=utf-8", f"{piece.name}, certificate.html")


@router.get(_PIECE + "/solid.step", response_class=Response)
def download_step(design_id: str, piece_id: str, room: AtHand) -> Response:
    """The solid as STEP AP242, in millimetres."""
    piece, recipe = _piece(room, design_id, piece_id)
    return _download((_made(room, recipe) / STEP).read_bytes(), "model/step", f"{piece.name}.step")


SurfaceKind = Literal["stl", "3mf", "obj", "ply", "glb"]


@router.post(_PIECE + "/surface-file", status_code=202)
def begin_surface(
    design_id: str, piece_id: str, room: AtHand, kind: SurfaceKind = "stl", tolerance: Chord = 0.05, angle: Angle = 180.0
) -> KeyedJob:
    """Begin to write the file in a worker, with progress and cancel; it is fetched by its key."""
    piece, recipe = _piece(room, design_id, piece_id)
    as_solid(recipe)
    look = Look(piece.name, CLAYS.get(piece.colour, CLAYS["clay"]))
    asked = f"{recipe.digest} {kind} {tolerance!r} {angle!r} {look}"
    key = hashlib.sha256(asked.encode()).hexdigest()[:32]
    path = room.folder / "files" / f"{key}.{kind}"
    _sweep(path.parent)
    job_id = room.jobs.start(key, "Writing the file", write_file, recipe, kind, tolerance, angle, look, path)
    return KeyedJob(job=_report(room.jobs.state(job_id)), key=key)


@router.get("/files/{key}", response_class=Response)
def fetch_file(key: Key, room: AtHand, kind: SurfaceKind = "stl", name: str = "Solid") -> Response:
    """A file that was written, under a name."""
    path = room.folder / "files" / f"{key}.{kind}"
    if not path.exists():
        raise NoSolidError("This file has not been written, or is not kept any more.")
    return _download(path.read_bytes(), KINDS[kind].media_type, f"{name[:80]}.{kind}")


@router.get(_PIECE + "/surface-file", response_class=Response)
def download_surface(
    design_id: str,
    piece_id: str,
    room: AtHand,
    kind: SurfaceKind = "stl",
    tolerance: Chord = 0.05,
    angle: Angle = 180.0,
) -> Response:
    """The closed surface of a piece with its followers as triangles; millimetres, but metres where the format is so."""
    piece, triangles = triangles_for(room, design_id, piece_id, tolerance, angle)
    data = write_surface(kind, triangles, Look(piece.name, CLAYS.get(piece.colour, CLAYS["clay"])))
    return _download(data, KINDS[kind].media_type, f"{piece.name}.{kind}")


@router.get(_PIECE + "/outline.svg", response_class=Response)
def download_outline(
    design_id: str, piece_id: str, room: AtHand, view: View = "front", tolerance: Chord = 0.05
) -> Response:
    """The silhouette of a flat view as SVG at full size."""
    piece, triangles = triangles_for(room, design_id, piece_id, tolerance)
    return _download(write_outline(triangles, view, piece.name).encode(), "image/svg+xml", f"{piece.name}, {view}.svg")


@router.get(_PIECE + "/surface-facts")
def surface_facts(
    design_id: str, piece_id: str, room: AtHand, tolerance: Chord = 0.05, angle: Angle = 180.0
) -> SurfaceFacts | None:
    """How many triangles a chord tolerance takes, and about how large each kind of file would be.

    With followers both are estimates, by the triangles of the body as it is shown. Null for a piece that is open.
    """
    _, recipe = _piece(room, design_id, piece_id)
    try:
        cage, left, _ = as_solid(recipe)
    except OpenCageError:
        return None
    try:
        triangles = tessellate(cage, tolerance, angle)
    except BadNumberError as error:
        # Asked for of itself while a number is being typed: an answer, not a refusal.
        return SurfaceFacts(triangles=0, exact=False, chord=0.0, turn=0.0, bytes={}, words=str(error))
    count = len(triangles.triangles)
    if left:
        body = room.bodies.get(recipe, FINE)
        shown = len(surface_triangles(cage, FINE[0], room.stencils.get)[1])
        if "own" in body:
            # Faces of the form itself grow with the tolerance; what followers made is as fine as it is.
            count = round(count / shown * body["own"]) + body["added"]
    sizes = {key: round(count * kind.bytes_each) for key, kind in KINDS.items()}
    return SurfaceFacts(triangles=count, exact=not left, chord=triangles.chord, turn=triangles.turn, bytes=sizes)


@router.get(_PIECE + "/cage-file", response_class=Response)
def download_cage(
    design_id: str,
    piece_id: str,
    room: AtHand,
    kind: Annotated[Literal["obj", "ply", "usda", "usdc"], Query(description="USD as text or binary, PLY or OBJ")] = "usdc",
) -> Response:
    """The control cage as a file, in millimetres: with creases, corners and face sets, which OBJ has no place for."""
    piece, _ = _piece(room, design_id, piece_id)
    return _download(write_cage(piece.cage, kind, piece.name), _CAGE_TYPES[kind], f"{piece.name}.{kind}")


_CAGE_TYPES = {"obj": "model/obj", "ply": "application/octet-stream", "usda": "model/vnd.usda", "usdc": "model/vnd.usd"}


def _piece(room: Room, design_id: str, piece_id: str) -> tuple[Piece, Recipe]:
    design = room.studio.saved(design_id).design
    return design.piece(piece_id), recipe_of(design, piece_id, room.solid)


def triangles_for(
    room: Room, design_id: str, piece_id: str, tolerance: float, angle: float = 180.0
) -> tuple[Piece, Triangles]:
    piece, recipe = _piece(room, design_id, piece_id)
    if not any(follower.on for follower in piece.followers):
        require_closed(piece.cage)
        return piece, tessellate(piece.cage, tolerance, angle)
    return piece, triangles_of(recipe, tolerance, angle)


def _sweep(folder: Path) -> None:
    """Of files that were written only the latest are kept."""
    kept = sorted(folder.glob("*"), key=lambda path: path.stat().st_mtime, reverse=True)
    for path in kept[_FILES_KEPT:]:
        path.unlink(missing_ok=True)


_FILES_KEPT = 30


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


def _found(room: Room, key: str) -> Path:
    return room.folder / "found" / f"{key}.json"


def _download(data: bytes, media_type: str, name: str) -> Response:
    disposition = f"attachment; filename*=UTF-8''{quote(name)}"
    return Response(data, media_type=media_type, headers={"Content-Disposition": disposition})


def _report(state: JobState) -> JobReport:
    return JobReport(id=state.id, status=state.status, progress=state.progress, words=state.words)
