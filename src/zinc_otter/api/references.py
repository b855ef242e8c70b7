"""References: pictures and components come in as files, and their contents are handed to the viewport."""

from __future__ import annotations

import io
from collections.abc import Callable
from pathlib import PurePosixPath, PureWindowsPath
from typing import Annotated, Any, Literal

import numpy as np
from fastapi import APIRouter, Path, Query, Request, Response
from fastapi.concurrency import run_in_threadpool
from pydantic import BaseModel, ConfigDict, Field

from zinc_otter.api.designs import AtHand
from zinc_otter.api.live.packing import pack
from zinc_otter.api.room import Room
from zinc_otter.api.schemas import DesignState
from zinc_otter.api.solid_schemas import JobReport
from zinc_otter.api.solids import report_of
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadSelectionError, FileFormatError
from zinc_otter.core.form import require_faces
from zinc_otter.core.picture.stands import STANDS, StandName
from zinc_otter.core.scan.flow import flow
from zinc_otter.core.scan.scanner import Looks, Scanning
from zinc_otter.core.scan.sharp_lines import sharp_lines
from zinc_otter.jobs.component_work import ComponentFile, bake_cage, clean_mesh, make_stand, read_component, scan_cage
from zinc_otter.jobs.runner import JobState, UnknownJobError
from zinc_otter.studio.commands.base import PieceId
from zinc_otter.studio.commands.components import AddComponent, RecastComponent
from zinc_otter.studio.commands.pictures import AddPicture, FlatView
from zinc_otter.studio.picture_files import read_picture
from zinc_otter.studio.references import Component
from zinc_otter.studio.standing import place_for

router = APIRouter(prefix="/api", tags=["references"])
Revision = Annotated[int, Query(ge=0, le=2**53)]
_NAMED = "^[0-9a-f]{8,32}$"
Watch = Annotated[str, Query(pattern=f"{_NAMED}|^$", description="a name to ask for its progress by, hexadecimal")]
Watched = Annotated[str, Path(pattern=_NAMED)]
FileName = Annotated[str, Query(min_length=1, max_length=300, description="the file's name, with its ending")]


@router.post("/designs/{design_id}/pictures")
async def add_picture(
    design_id: str,
    request: Request,
    room: AtHand,
    revision: Revision,
    name: FileName,
    view: FlatView = "front",
    width: Annotated[float, Query(gt=0, le=1e6)] = 100.0,
) -> DesignState:
    """Lay a PNG, JPEG or WebP file (the body) on the plane of a flat view, as one step."""
    title, extension = name_of(name)
    data = await request.body()

    def work() -> DesignState:
        room.studio.saved(design_id)
        picture = read_picture(data, extension)
        asset = room.store.put_asset("picture", picture.png, {"pixels": list(picture.pixels)})
        command = AddPicture(name=title, asset=asset.hash, pixels=picture.pixels, view=view, width=width)
        return DesignState.of(room.told(room.studio.commit(design_id, revision, command)))

    return await run_in_threadpool(work)


@router.post("/designs/{design_id}/components")
async def add_component(
    design_id: str,
    request: Request,
    room: AtHand,
    revision: Revision,
    name: FileName,
    unit: Literal["mm", "cm", "m", "in"] | None = None,
    clearance: Annotated[float, Query(ge=0, le=1e6)] = 0.0,
    scan: bool = False,
    watch: Watch = "",
) -> DesignState:
    """Put down an STL, OBJ, PLY, GLB, 3MF or STEP file (the body) as a component to build around, or as a scan to lie on,
    as one step. Under the name that ``watch`` gives how far it is can be asked for meanwhile, and it can be stopped."""
    title, extension = name_of(name)
    data = await request.body()

    def work() -> DesignState:
        room.studio.saved(design_id)
        made = room.read_in(data, "Reading the component", read_component, extension, unit, watch=watch)
        return _put_down(room, design_id, revision, title, made, clearance=clearance, scan=scan)

    return await run_in_threadpool(work)


@router.get("/reading/{watch}")
def get_reading(watch: Watched, room: AtHand) -> JobReport | None:
    """How far a file is that is being read in; null where none of this name is."""
    return _read_under(room, watch, room.intake.state)


@router.delete("/reading/{watch}")
def stop_reading(watch: Watched, room: AtHand) -> JobReport | None:
    """Stop reading a file in: whoever sent it is told so, and nothing was changed."""
    return _read_under(room, watch, room.intake.cancel)


def _read_under(room: Room, watch: str, ask: Callable[[str], JobState]) -> JobReport | None:
    job_id = room.watched_job(watch)
    try:
        return None if job_id is None else report_of(ask(job_id))
    except UnknownJobError:
        # It was done since.
        return None


class ScanRequest(BaseModel):
    """What the simulated scanner is to do: points about ``spacing`` mm apart, ``noise`` mm as a standard deviation.

    ``looks`` from all around, or from around and above as on a turntable; a patch of ``missing`` mm radius is left out, and
    ``spikes`` points stand out. ``tossed``: it comes home somewhere, turned anyhow.
    """

    model_config = ConfigDict(extra="forbid")
    piece: PieceId
    spacing: Annotated[float, Field(gt=0, le=1e4)] = 0.8
    noise: Annotated[float, Field(ge=0, le=1e3)] = 0.05
    looks: Looks = "turntable"
    missing: Annotated[float, Field(ge=0, le=1e4)] = 0.0
    spikes: Annotated[int, Field(ge=0, le=1_000)] = 0
    tossed: bool = False
    seed: Annotated[int, Field(ge=0, lt=2**31)] = 1


@router.post("/designs/{design_id}/scans")
def scan_piece(design_id: str, given: ScanRequest, room: AtHand, revision: Revision) -> DesignState:
    """Let the simulated scanner look at a piece, and put its scan down as a component, as one step."""
    piece = room.studio.saved(design_id).design.piece(given.piece)
    require_faces(piece.form, piece.name)
    how = Scanning(**given.model_dump(exclude={"piece"}))
    made = room.intake.call(f"Scanning {piece.name}", scan_cage, piece.faces, how)
    return _put_down(room, design_id, revision, f"Scan of {piece.name}"[:80], made, scan=True)


class StandRequest(BaseModel):
    """Which stand, how large in mm, and for which piece; without a size as it fits that one, or as is usual."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    stand: StandName
    size: Annotated[float, Field(gt=0, le=1e5)] | None = None
    piece: PieceId | None = None


class StandState(BaseModel):
    """A stand that may be put up; ``usual`` in mm. It may go ``through`` a bore, and be made as wide as that: ``fits``."""

    stand: StandName
    words: str
    size_words: str
    usual: float
    through: bool
    fits: bool


@router.get("/stands")
def list_stands() -> list[StandState]:
    """Stands to show pieces on, in the order in which they are offered."""
    return [
        StandState(
            stand=name, words=one.words, size_words=one.size_words, usual=one.usual, through=one.through, fits=one.fits
        )
        for name, one in STANDS.items()
    ]  # fmt: skip


@router.post("/designs/{design_id}/stands")
def put_up_stand(design_id: str, given: StandRequest, room: AtHand, revision: Revision) -> DesignState:
    """Put a stand down under what is shown, or through the bore of a piece, as one step."""
    found = place_for(room.studio.saved(design_id).design, given.stand, given.piece)
    stand = STANDS[given.stand]
    size = given.size or found.size or stand.usual
    made = room.intake.call("Making the stand", make_stand, given.stand, size)
    return _put_down(
        room, design_id, revision, stand.words, made, stand=True, rotation=found.rotation, centre=found.centre
    )  # fmt: skip


@router.post("/designs/{design_id}/pieces/{piece_id}/baked")
def bake_piece(
    design_id: str,
    piece_id: PieceId,
    room: AtHand,
    revision: Revision,
    step: Annotated[int | None, Query(ge=0, lt=2**53, description="the step at which it is taken; now without")] = None,
) -> DesignState:
    """The surface of a piece with all of its relief, as triangles in a component where it stands, as one step.

    As it was at an earlier step nothing keeps clear of it: it is there to be measured against.
    """
    saved = room.studio.saved(design_id)
    design = saved.design if step is None else room.studio.at_step(design_id, step)
    piece = design.piece(piece_id)
    require_faces(piece.form, piece.name)
    made = room.intake.call(f"Baking {piece.name}", bake_cage, piece.faces)
    place = next((one.place for one in saved.steps if one.id == step), None)
    when = ", as triangles" if step is None else " as it was" if place is None else f" at step {place}"
    return _put_down(room, design_id, revision, f"{piece.name[:60]}{when}", made, scan=step is not None)


@router.post("/designs/{design_id}/components/{reference}/cleaned")
def clean_component(
    design_id: str,
    reference: PieceId,
    room: AtHand,
    revision: Revision,
    holes: Annotated[float, Query(ge=0, le=1e6, description="mm of the longest rim that is closed")] = 0.0,
) -> DesignState:
    """Clean a scan up: loose parts left out, spikes laid back, small holes closed; one step that says how many."""
    component = room.studio.saved(design_id).design.reference(reference)
    if not isinstance(component, Component):
        raise BadSelectionError(f"{component.name} is a picture; there is nothing to clean up.")
    asset = room.store.asset(component.asset)
    mesh = room.meshes.get(component.asset)
    made, words = room.intake.call(
        f"Cleaning up {component.name}", clean_mesh, mesh.vertices, np.asarray(mesh.triangles, dtype=np.int32), holes,
        tuple(asset.facts["notes"]),
    )  # fmt: skip
    kept = room.store.put_asset("mesh", made.data, made.facts)
    x, y, z = made.facts["size"]
    command = RecastComponent(
        reference=reference, asset=kept.hash, triangles=made.facts["triangles"], size=(x, y, z), words=words
    )
    return DesignState.of(room.told(room.studio.commit(design_id, revision, command)))


def _put_down(room: Room, design_id: str, revision: int, title: str, made: object, **how: Any) -> DesignState:
    """``how`` it is taken and lies: further values of the command."""
    assert isinstance(made, ComponentFile)
    asset = room.store.put_asset("mesh", made.data, made.facts)
    x, y, z = made.facts["size"]
    command = AddComponent(name=title, asset=asset.hash, triangles=made.facts["triangles"], size=(x, y, z), **how)
    return DesignState.of(room.told(room.studio.commit(design_id, revision, command)))


@router.get("/assets/{digest}/picture.png", response_class=Response)
def get_reference_picture(digest: str, room: AtHand) -> Response:
    """The contents of a reference picture. They never change, so they may be kept for ever."""
    asset = room.store.asset(digest)
    if asset.kind != "picture":
        raise FileFormatError("This asset is no picture.")
    return Response(asset.data, media_type="image/png", headers=_FOR_EVER)


@router.get("/assets/{digest}/mesh", response_class=Response)
def get_mesh(digest: str, room: AtHand) -> Response:
    """What is drawn of a component as MessagePack: ``positions`` in mm (float32) and ``triangles`` (int32).

    Of a large one this is a mesh of fewer triangles; distances are measured to all of them.
    """
    positions, triangles, notes = _drawn(room, digest)
    packed = pack({"positions": positions.astype(np.float32), "triangles": triangles.astype(np.int32), "notes": notes})
    return Response(packed, media_type="application/msgpack", headers=_FOR_EVER)


@router.get("/assets/{digest}/flow", response_class=Response)
def get_flow(digest: str, room: AtHand) -> Response:
    """Strokes along the lines of curvature of a component's mesh and across them, as MessagePack: ``strokes`` in mm
    (float32), six numbers each. Found on the mesh that is drawn."""
    positions, triangles, _ = _drawn(room, digest)
    strokes = flow(positions.astype(np.float64), triangles.astype(np.int64))
    return Response(pack({"strokes": strokes.astype(np.float32)}), media_type="application/msgpack", headers=_FOR_EVER)


@router.get("/assets/{digest}/sharp-lines", response_class=Response)
def get_sharp_lines(
    digest: str, room: AtHand, degrees: Annotated[float, Query(gt=0, le=180, allow_inf_nan=False)] = 30
) -> Response:
    """The lines at which a component's mesh turns by so many degrees or more, noise or not, as MessagePack: ``strokes`` in
    mm (float32), six numbers each. Found on the mesh that is drawn."""
    positions, triangles, _ = _drawn(room, digest)
    lines = sharp_lines(positions.astype(np.float64), triangles.astype(np.int64), degrees)
    return Response(pack({"strokes": lines.astype(np.float32)}), media_type="application/msgpack", headers=_FOR_EVER)


def _drawn(room: Room, digest: str) -> tuple[Floats, Ints, list[str]]:
    """The mesh of an asset as it is drawn, and what was noted when it came in. Raises FileFormatError for a picture."""
    asset = room.store.asset(digest)
    if asset.kind != "mesh":
        raise FileFormatError("This asset is no mesh.")
    with np.load(io.BytesIO(asset.data), allow_pickle=False) as arrays:
        which = "drawn_" if "drawn_triangles" in arrays else ""
        return arrays[f"{which}vertices"], arrays[f"{which}triangles"], asset.facts["notes"]


_FOR_EVER = {"Cache-Control": "private, max-age=31536000, immutable"}


def name_of(file_name: str) -> tuple[str, str]:
    """The name that a reference takes from its file, and the file's ending in small letters; folders are cut off.

    Raises FileFormatError for a name without an ending.
    """
    last = PurePosixPath(PureWindowsPath(file_name).name).name
    stem, dot, extension = last.rpartition(".")
    if not dot or not extension:
        raise FileFormatError("The file's name has no ending, so that its format is not known.")
    shown = "".join(c for c in stem if c.isprintable()).strip(" .")
    return shown[:80] or "Reference", extension.lower()
