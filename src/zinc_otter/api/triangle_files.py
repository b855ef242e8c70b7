"""The body of a piece by triangles: counted, certified, written to files that are fetched by a key, and as an outline."""

from __future__ import annotations

import hashlib
from pathlib import Path
from typing import Annotated, Literal

from fastapi import APIRouter, Query, Response

from zinc_otter.api.bodies import FINE
from zinc_otter.api.designs import AtHand
from zinc_otter.api.room import Room
from zinc_otter.api.solid_schemas import JobReport, KeyedJob, SurfaceFacts
from zinc_otter.api.solids import (
    Anyway,
    Key,
    Larger,
    NoSolidError,
    download,
    file_name,
    larger_words,
    piece_and_recipe,
    report_of,
)
from zinc_otter.api.written import WhatFor, begun, fetched, handed
from zinc_otter.core.errors import BadNumberError, OpenCageError
from zinc_otter.core.formats.outline import View, write_outline
from zinc_otter.core.formats.surfaces import KINDS, Appearance, write_surface
from zinc_otter.core.formats.surfaces.appearance import CLAYS
from zinc_otter.core.remark import Remark
from zinc_otter.core.solid.gate import refuse_unsound
from zinc_otter.core.solid.mesh.route import surface_triangles
from zinc_otter.core.solid.patches import MOST_FACES, solid_faces, step_bytes
from zinc_otter.core.solid.recipe import Recipe, as_solid
from zinc_otter.core.solid.tessellation import Triangles, tessellate
from zinc_otter.jobs.triangle_work import Fineness, certify_body, count_triangles, grown_by, made_body, write_file
from zinc_otter.studio.design import Piece

router = APIRouter(prefix="/api", tags=["triangles"])
_PIECE = "/designs/{design_id}/pieces/{piece_id}"

Chord = Annotated[float, Query(gt=0, le=100, allow_inf_nan=False, description="chord tolerance in mm")]
Angle = Annotated[
    float, Query(gt=0, le=180, allow_inf_nan=False, description="degrees by which the surface may turn in a facet")
]


@router.post(_PIECE + "/triangles-certificate", status_code=202)
def begin_triangles_certificate(
    design_id: str, piece_id: str, room: AtHand, tolerance: Chord = 0.05, angle: Angle = 180.0
) -> JobReport:
    """Begin to measure the body by triangles, as it would be written: where the kernel makes no solid of it, or to print."""
    _, recipe = piece_and_recipe(room, design_id, piece_id)
    as_solid(recipe)
    folder = room.solid_folder(design_id, recipe)
    key = f"{folder} by triangles"
    fineness = fineness_of(room, tolerance, angle)
    triangles_place(room, design_id, fineness, recipe)
    job_id = room.jobs.start(key, "Measuring the triangles", certify_body, recipe, fineness, folder)
    return report_of(room.jobs.state(job_id))


@router.post(_PIECE + "/triangles", status_code=202)
def begin_triangles(
    design_id: str, piece_id: str, room: AtHand, tolerance: Chord = 0.05, angle: Angle = 180.0
) -> JobReport:
    """Begin to make the body by triangles: once it is done they are counted, and files of them are quick."""
    _, recipe = piece_and_recipe(room, design_id, piece_id)
    as_solid(recipe)
    fineness = fineness_of(room, tolerance, angle)
    key = str(triangles_place(room, design_id, fineness, recipe))
    return report_of(room.jobs.state(room.jobs.start(key, "Making triangles", count_triangles, recipe, fineness)))


SurfaceKind = Literal["stl", "3mf", "obj", "ply", "glb"]
FileKind = SurfaceKind | Literal["step"]


@router.post(_PIECE + "/surface-file", status_code=202)
def begin_surface(
    design_id: str,
    piece_id: str,
    room: AtHand,
    kind: SurfaceKind = "stl",
    tolerance: Chord = 0.05,
    angle: Angle = 180.0,
    anyway: Anyway = False,
    larger: Larger = 0.0,
) -> KeyedJob:
    """Begin to write the file in a worker, with progress and cancel; it is fetched by its key."""
    piece, recipe = piece_and_recipe(room, design_id, piece_id)
    as_solid(recipe)
    appearance = Appearance(piece.name, CLAYS.get(piece.colour, CLAYS["clay"]))
    asked = f"{recipe.digest} {kind} {tolerance!r} {angle!r} {appearance} {anyway} {larger!r}"
    key = hashlib.sha256(asked.encode()).hexdigest()[:32]
    path = file_place(room, design_id, key, kind)
    fineness = fineness_of(room, tolerance, angle)
    triangles_place(room, design_id, fineness, recipe)
    begun(room, design_id, key, _as_triangles(recipe, kind, tolerance, angle, larger))
    job_id = room.jobs.start(key, "Writing the file", write_file, recipe, kind, fineness, appearance, path, anyway, larger)
    return KeyedJob(job=report_of(room.jobs.state(job_id)), key=key)


@router.get("/files/{key}", response_class=Response)
def fetch_file(key: Key, room: AtHand, kind: FileKind = "stl", name: str = "Solid") -> Response:
    """A file that was written, under a name."""
    path = room.made.path(f"files/{key}.{kind}")
    if not path.exists():
        raise NoSolidError("This file has not been written, or is not kept any more.")
    media_type = "model/step" if kind == "step" else KINDS[kind].media_type
    called = f"{name[:120]}.{kind}"
    fetched(room, key, called)
    return download(path.read_bytes(), media_type, called)


@router.get(_PIECE + "/surface-file", response_class=Response)
def download_surface(
    design_id: str,
    piece_id: str,
    room: AtHand,
    kind: SurfaceKind = "stl",
    tolerance: Chord = 0.05,
    angle: Angle = 180.0,
    anyway: Anyway = False,
    larger: Larger = 0.0,
) -> Response:
    """The closed surface of a piece with its followers as triangles; millimetres, but metres where the format is so."""
    piece, triangles, faults = triangles_for(room, design_id, piece_id, tolerance, angle, anyway)
    appearance = Appearance(piece.name, CLAYS.get(piece.colour, CLAYS["clay"]))
    data = write_surface(kind, grown_by(triangles, larger), appearance)
    called = file_name(piece.name + larger_words(larger), faults, kind)
    recipe = piece_and_recipe(room, design_id, piece_id)[1]
    handed(room, design_id, called, _as_triangles(recipe, kind, tolerance, angle, larger))
    return download(data, KINDS[kind].media_type, called)


def _as_triangles(recipe: Recipe, kind: SurfaceKind, tolerance: float, angle: float, larger: float) -> WhatFor:
    return WhatFor((recipe,), kind, "m" if kind == "glb" else "mm", tolerance, angle, larger)


@router.get(_PIECE + "/outline.svg", response_class=Response)
def download_outline(
    design_id: str, piece_id: str, room: AtHand, view: View = "front", tolerance: Chord = 0.05
) -> Response:
    """The silhouette of a flat view as SVG at full size."""
    piece, triangles, _ = triangles_for(room, design_id, piece_id, tolerance, anyway=True)
    return download(write_outline(triangles, view, piece.name).encode(), "image/svg+xml", f"{piece.name}, {view}.svg")


@router.get(_PIECE + "/surface-facts")
def surface_facts(
    design_id: str, piece_id: str, room: AtHand, tolerance: Chord = 0.05, angle: Angle = 180.0
) -> SurfaceFacts | None:
    """How many triangles a chord tolerance takes, and about how large each kind of file would be.

    With followers both are estimates, by the triangles of the body as it is shown, until it was made as fine as asked.
    Null for a piece that is open.
    """
    _, recipe = piece_and_recipe(room, design_id, piece_id)
    try:
        cage, left, _ = as_solid(recipe)
    except OpenCageError:
        return None
    levels = 0 if cage.relief is None else min(recipe.levels, cage.relief.depth)
    faces = cage.topology.corner_count * 4 ** (levels - 1) if levels else solid_faces(cage)
    about = {"solid_faces": faces, "solid_words": _too_many(faces)}
    counted = fineness_of(room, tolerance, angle).counted(recipe) if left else None
    if counted is not None:
        return _facts(*counted, exact=True, faces=faces)
    try:
        triangles = tessellate(cage, tolerance, angle)
    except BadNumberError as error:
        # Asked for of itself while a number is being typed: an answer, not a refusal.
        return SurfaceFacts(triangles=0, exact=False, chord=0.0, turn=0.0, bytes={}, words=str(error), **about)
    count = len(triangles.triangles)
    if left:
        body = room.bodies.get(recipe, FINE)
        shown = len(surface_triangles(cage, FINE[0], room.stencils.get)[1])
        if "own" in body:
            # Faces of the form itself grow with the tolerance; what followers made is as fine as it is.
            count = round(count / shown * body["own"]) + body["added"]
    return _facts(count, triangles.chord, triangles.turn, exact=not left, faces=faces)


def _facts(count: int, chord: float, turn: float, exact: bool, faces: int) -> SurfaceFacts:
    sizes = {key: round(count * kind.bytes_each) for key, kind in KINDS.items()} | {"step": step_bytes(faces)}
    return SurfaceFacts(
        triangles=count, exact=exact, chord=chord, turn=turn, bytes=sizes, solid_faces=faces, solid_words=_too_many(faces)
    )


def _too_many(faces: int) -> str:
    if faces <= MOST_FACES:
        return ""
    return f"As a solid it would have {faces:,} faces, more than the {MOST_FACES:,} that are made: use fewer quads."


def fineness_of(room: Room, tolerance: float, angle: float) -> Fineness:
    return Fineness(tolerance, angle, room.made.path(""))


def triangles_for(
    room: Room, design_id: str, piece_id: str, tolerance: float, angle: float = 180.0, anyway: bool = False
) -> tuple[Piece, Triangles, tuple[Remark, ...]]:
    """The piece, its body by triangles, and what is the matter with it.

    Raises UnsoundBodyError for one that is not sound, unless it is asked for ``anyway``.
    """
    piece, recipe = piece_and_recipe(room, design_id, piece_id)
    fineness = fineness_of(room, tolerance, angle)
    triangles_place(room, design_id, fineness, recipe)
    triangles, _, judged = made_body(recipe, fineness)
    if not anyway:
        refuse_unsound(judged.faults)
    return piece, triangles, judged.faults


def triangles_place(room: Room, design_id: str, fineness: Fineness, *recipes: Recipe) -> Path:
    """Where a body's triangles will lie; of those made before only the latest are kept, since they are large."""
    path = room.made.place(design_id, *dict.fromkeys(fineness.name(recipe) for recipe in recipes))
    room.made.sweep_folder("triangles", _TRIANGLES_KEPT)
    return path


def file_place(room: Room, design_id: str, key: str, kind: str) -> Path:
    """Where a file to be fetched will lie; of those written before only the latest are kept."""
    path = room.made.place(design_id, f"files/{key}.{kind}")
    room.made.sweep_folder("files", _FILES_KEPT)
    return path


_FILES_KEPT, _TRIANGLES_KEPT = 30, 12
