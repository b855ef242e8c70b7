"""True pictures of a design: begun as jobs, looked at while they get finer, kept with the design."""

from __future__ import annotations

import hashlib
from dataclasses import replace
from datetime import datetime
from pathlib import Path
from typing import Annotated, Literal

import numpy as np
from fastapi import APIRouter, Query, Response
from pydantic import BaseModel, ConfigDict, Field, model_validator

from zinc_otter.api.designs import AtHand
from zinc_otter.api.kept_pictures import TruePicture, kept_pictures, moving_of, name_of
from zinc_otter.api.room import Room
from zinc_otter.api.sheets import chord_of, recipes_of
from zinc_otter.api.solid_schemas import KeyedJob
from zinc_otter.api.solids import Key, NoSolidError, report_of
from zinc_otter.api.triangle_files import fineness_of, triangles_place
from zinc_otter.core.cage.plane import Plane, plane_at
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.picture.arranging import MOST_APART, Arrangement
from zinc_otter.core.picture.scene import MOST_PIXELS_OF_TURNS, MOST_TURNS, Camera, Film
from zinc_otter.jobs.true_picture import SetUp, Side, take_picture
from zinc_otter.store.made_files import SHOTS
from zinc_otter.studio.commands.base import Direction, PieceId, Vector
from zinc_otter.studio.design import Design
from zinc_otter.studio.references import Component

router = APIRouter(prefix="/api", tags=["true pictures"])

_KEPT = 600


class CameraAsk(BaseModel):
    """Where it is seen from: the eye, the ways back to it and upwards; ``field`` degrees high, or flat and ``tall`` mm. With
    a lens of ``aperture`` mm radius what is ``focus`` mm away is sharp."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    eye: Vector
    back: Direction
    up: Direction
    field: Annotated[float, Field(ge=1, le=120)] | None = 32.0
    tall: Annotated[float, Field(gt=0, le=1e6)] = 100.0
    aperture: Annotated[float, Field(ge=0, le=1e5)] = 0.0
    focus: Annotated[float, Field(gt=0, le=1e6)] = 100.0


class CutAsk(BaseModel):
    """A plane across an axis: what lies beyond it is left out, or with ``flip`` what lies before it."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    axis: Annotated[int, Field(ge=0, le=2)]
    at: Annotated[float, Field(ge=-1e6, le=1e6)]
    flip: bool = False

    def plane(self) -> Plane:
        way = np.eye(3)[self.axis]
        return plane_at(self.at * way, -way if self.flip else way)


class BesideAsk(BaseModel):
    """What is pictured beside it from the same view: the design at an earlier ``step``, or of two ``pieces`` one each."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    step: Annotated[int, Field(ge=0, lt=2**53)] | None = None
    pieces: tuple[PieceId, PieceId] | None = None

    @model_validator(mode="after")
    def _one_of_them(self) -> BesideAsk:
        if (self.step is None) == (self.pieces is None):
            raise ValueError("Beside it stands either an earlier step, or one of two pieces.")
        return self


class PictureAsk(BaseModel):
    """What a picture is taken by. ``turned`` degrees about z is where the light comes from; ``clear`` is no background.
    Pieces are drawn ``apart`` by so many times their distance from the middle; of ``turns`` above 1 so many views are taken
    all round; with ``fire`` stones part light into its colours, which takes three times as long; a ``smooth`` one is rid of
    grain at the end."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    camera: CameraAsk
    width: Annotated[int, Field(ge=16, le=3840)] = 960
    height: Annotated[int, Field(ge=16, le=3840)] = 720
    samples: Annotated[int, Field(ge=1, le=1024)] = 64
    light: Literal["tent", "window", "dusk", "even"] = "tent"
    turned: Annotated[float, Field(ge=-360, le=360)] = 0.0
    exposure: Annotated[float, Field(ge=-6, le=6)] = 0.0
    fire: bool = False
    smooth: bool = True
    background: Literal["floor", "clear"] = "floor"
    cut: CutAsk | None = None
    apart: Annotated[float, Field(ge=0, le=MOST_APART)] = 0.0
    beside: BesideAsk | None = None
    turns: Annotated[int, Field(ge=1, le=MOST_TURNS)] = 1


@router.post("/designs/{design_id}/true-pictures", status_code=202)
def begin_picture(design_id: str, asked: PictureAsk, room: AtHand) -> KeyedJob:
    """Begin to picture what is shown, as the design stands now; it is fetched by its key, also while it gets finer."""
    saved = room.studio.saved(design_id)
    facts, seen = saved.facts, asked.camera
    clear = asked.background == "clear"
    film = Film(asked.width, asked.height, asked.samples, asked.exposure, clear, asked.fire, asked.smooth)
    if asked.width * asked.height * asked.turns > MOST_PIXELS_OF_TURNS:
        raise BadNumberError(
            f"{asked.turns} views of {asked.width} × {asked.height} pixels are more than {MOST_PIXELS_OF_TURNS:,} together; "
            "take fewer, or smaller ones."
        )
    camera = Camera(seen.eye, seen.back, seen.up, seen.field, seen.tall, seen.aperture, seen.focus)
    designs = _sides(room, design_id, saved.design, asked.beside)
    sides = [Side(design, recipes_of(room, design), _stands(room, design)) for design in designs]
    recipes = [recipe for side in sides for recipe in side.recipes.values()]
    fineness = fineness_of(room, max(chord_of(side.recipes, 0.03) for side in sides), 180.0)
    if recipes:
        triangles_place(room, design_id, fineness, *recipes)
    made = datetime.now().isoformat(timespec="seconds")
    key = hashlib.sha256(f"{design_id} {facts.revision} {asked!r} {made}".encode()).hexdigest()[:32]
    names = [name_of(key), *([moving_of(key)] if asked.turns > 1 else [])]
    room.made.place(design_id, *names)
    room.made.sweep_folder(SHOTS, _KEPT)
    arranged = Arrangement(None if asked.cut is None else asked.cut.plane(), asked.apart)
    set_up = SetUp(asked.light, asked.turned, asked.background == "floor", arranged, asked.turns)
    about = {
        "design": facts.name, "of": design_id, "revision": facts.revision, "made": made,
        **asked.model_dump(exclude={"samples"}),
    }  # fmt: skip
    job_id = room.pictures.start(
        key, "Taking the picture", take_picture, sides, camera, film, set_up, fineness,
        _between(room, key), room.made.path(name_of(key)), about,
    )  # fmt: skip
    room.pictures.when_over(job_id, lambda: _forget(room, key))
    return KeyedJob(job=report_of(room.pictures.state(job_id)), key=key)


@router.post("/true-pictures/{key}/enough", status_code=204)
def stop_at_this(key: Key, room: AtHand) -> None:
    """It is fine enough: end with what there is so far."""
    if _between(room, key).exists():
        _between(room, key).with_suffix(".enough").touch()


@router.post("/true-pictures/{key}/rest", status_code=204)
def let_rest(key: Key, room: AtHand, on: bool = True) -> None:
    """Let it pause after the samples that it is at, or with ``on`` false go on."""
    rest = _between(room, key).with_suffix(".rest")
    if not on:
        rest.unlink(missing_ok=True)
    elif room.pictures.is_under_way(key):
        rest.touch()


@router.get("/true-pictures/{key}", response_class=Response)
def fetch_picture(
    key: Key, room: AtHand, passed: Annotated[int, Query(ge=0)] = 0, moving: bool = False
) -> Response:  # fmt: skip
    """The picture as PNG: the finished one, or what there is so far; ``passed`` only tells one look from the next. With
    ``moving`` that of many turns, as WebP."""
    if moving:
        try:
            return Response(room.made.path(moving_of(key)).read_bytes(), media_type="image/webp")
        except FileNotFoundError:
            raise NoSolidError("There is no moving picture of it, or it is not kept any more.") from None
    so_far = [_between(room, key)] if room.pictures.is_under_way(key) else []
    for path in (room.made.path(name_of(key)), *so_far):
        try:
            return Response(path.read_bytes(), media_type="image/png")
        except FileNotFoundError:
            continue
    raise NoSolidError("This picture has not been taken, or is not kept any more.")


@router.get("/designs/{design_id}/true-pictures")
def list_pictures(design_id: str, room: AtHand) -> list[TruePicture]:
    """Those that are kept of a design, the latest first."""
    room.studio.saved(design_id)
    return kept_pictures(room, design_id)


@router.delete("/designs/{design_id}/true-pictures/{key}", status_code=204)
def remove_picture(design_id: str, key: Key, room: AtHand) -> None:
    """Throw a picture of a design away."""
    names = {name_of(key), moving_of(key)} & set(room.made.of(design_id, SHOTS))
    if not names:
        raise NoSolidError("This design has no such picture.")
    room.made.remove(*sorted(names))


def _sides(room: Room, design_id: str, design: Design, beside: BesideAsk | None) -> list[Design]:
    """What is pictured: a design, or two. Raises UnknownDesignError, UnknownPieceError."""
    if beside is None:
        return [design]
    if beside.step is not None:
        return [room.studio.at_step(design_id, beside.step), design]
    assert beside.pieces is not None
    return [_alone(design, piece) for piece in beside.pieces]


def _stands(room: Room, design: Design) -> list[tuple[Floats, Ints]]:
    """Those that are shown, where they lie."""
    shown = [r for r in design.references if isinstance(r, Component) and r.stand and r.visible]
    meshes = [room.meshes.get(stand.asset) for stand in shown]
    return [(stand.placed(mesh.vertices), np.asarray(mesh.triangles)) for stand, mesh in zip(shown, meshes, strict=True)]


def _alone(design: Design, piece: str) -> Design:
    """Nothing but a piece shown, whether it was or not."""
    for other in design.pieces:
        if other.visible != (other.id == piece):
            design = design.with_piece(replace(other, visible=other.id == piece))
    design.piece(piece)
    return design


def _between(room: Room, key: str) -> Path:
    """Where what there is so far lies; gone when it is finished, called off, or the application ended."""
    return room.work.path / f"{key}.shot.png"


def _forget(room: Room, key: str) -> None:
    """What a worker that was ended may have left."""
    for path in room.work.path.glob(f"{key}.shot*"):
        path.unlink(missing_ok=True)
