"""True pictures of a design: begun as jobs, looked at while they get finer, kept with the design."""

from __future__ import annotations

import hashlib
import json
from datetime import datetime
from pathlib import Path
from typing import Annotated, Literal

from fastapi import APIRouter, Query, Response
from PIL import Image
from pydantic import BaseModel, ConfigDict, Field

from zinc_otter.api.designs import AtHand
from zinc_otter.api.room import Room
from zinc_otter.api.sheets import chord_of, recipes_of
from zinc_otter.api.solid_schemas import KeyedJob
from zinc_otter.api.solids import Key, NoSolidError, report_of
from zinc_otter.api.triangle_files import fineness_of, triangles_place
from zinc_otter.core.picture.scene import Camera, Film
from zinc_otter.jobs.true_picture import take_picture
from zinc_otter.studio.commands.base import Direction, Vector

router = APIRouter(prefix="/api", tags=["true pictures"])

_KEPT = 60


class CameraAsk(BaseModel):
    """Where it is seen from: the eye, the ways back to it and upwards; ``field`` degrees high, or flat and ``tall`` mm."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    eye: Vector
    back: Direction
    up: Direction
    field: Annotated[float, Field(ge=1, le=120)] | None = 32.0
    tall: Annotated[float, Field(gt=0, le=1e6)] = 100.0


class PictureAsk(BaseModel):
    """What a picture is taken by. ``turned`` degrees about z is where the light comes from; ``clear`` is no background."""

    model_config = ConfigDict(extra="forbid", frozen=True)
    camera: CameraAsk
    width: Annotated[int, Field(ge=16, le=3840)] = 960
    height: Annotated[int, Field(ge=16, le=3840)] = 720
    samples: Annotated[int, Field(ge=1, le=1024)] = 64
    light: Literal["tent", "window", "dusk", "even"] = "tent"
    turned: Annotated[float, Field(ge=-360, le=360)] = 0.0
    exposure: Annotated[float, Field(ge=-6, le=6)] = 0.0
    background: Literal["floor", "clear"] = "floor"


class TruePicture(BaseModel):
    """A picture that is kept, and what it was taken by."""

    key: str
    revision: int
    made: str
    width: int
    height: int
    samples: int
    light: str


@router.post("/designs/{design_id}/true-pictures", status_code=202)
def begin_picture(design_id: str, asked: PictureAsk, room: AtHand) -> KeyedJob:
    """Begin to picture what is shown, as the design stands now; it is fetched by its key, also while it gets finer."""
    saved = room.studio.saved(design_id)
    facts, seen = saved.facts, asked.camera
    film = Film(asked.width, asked.height, asked.samples, asked.exposure, asked.background == "clear")
    camera = Camera(seen.eye, seen.back, seen.up, seen.field, seen.tall)
    recipes = recipes_of(room, saved.design)
    fineness = fineness_of(room, chord_of(recipes, 0.03), 180.0)
    if recipes:
        triangles_place(room, design_id, fineness, *recipes.values())
    made = datetime.now().isoformat(timespec="seconds")
    key = hashlib.sha256(f"{design_id} {facts.revision} {asked!r} {made}".encode()).hexdigest()[:32]
    room.made.place(design_id, _name(key))
    room.made.sweep_folder("shots", _KEPT)
    set_up = {"light": asked.light, "turned": asked.turned, "on_floor": asked.background == "floor"}
    about = {
        "design": facts.name, "of": design_id, "revision": facts.revision, "made": made,
        **asked.model_dump(exclude={"samples"}),
    }  # fmt: skip
    job_id = room.pictures.start(
        key, "Taking the picture", take_picture, saved.design, camera, film, set_up, recipes, fineness,
        _between(room, key), room.made.path(_name(key)), about,
    )  # fmt: skip
    room.pictures.when_over(job_id, lambda: _forget(room, key))
    return KeyedJob(job=report_of(room.pictures.state(job_id)), key=key)


@router.post("/true-pictures/{key}/enough", status_code=204)
def stop_at_this(key: Key, room: AtHand) -> None:
    """It is fine enough: end with what there is so far."""
    if _between(room, key).exists():
        _between(room, key).with_suffix(".enough").touch()


@router.get("/true-pictures/{key}", response_class=Response)
def fetch_picture(key: Key, room: AtHand, passed: Annotated[int, Query(ge=0)] = 0) -> Response:
    """The picture as PNG: the finished one, or what there is so far; ``passed`` only tells one look from the next."""
    so_far = [_between(room, key)] if room.pictures.is_under_way(key) else []
    for path in (room.made.path(_name(key)), *so_far):
        try:
            return Response(path.read_bytes(), media_type="image/png")
        except FileNotFoundError:
            continue
    raise NoSolidError("This picture has not been taken, or is not kept any more.")


@router.get("/designs/{design_id}/true-pictures")
def list_pictures(design_id: str, room: AtHand) -> list[TruePicture]:
    """Those that are kept of a design, the latest first."""
    room.studio.saved(design_id)
    found = []
    for path in room.made.path("shots").glob("*.png"):
        try:
            with Image.open(path) as image:
                about = json.loads(image.info["Comment"])
        except (OSError, KeyError, ValueError):
            continue
        if about.get("of") == design_id:
            found.append(TruePicture.model_validate({**about, "key": path.stem}))
    return sorted(found, key=lambda one: one.made, reverse=True)


def _name(key: str) -> str:
    return f"shots/{key}.png"


def _between(room: Room, key: str) -> Path:
    """Where what there is so far lies; gone when it is finished, called off, or the application ended."""
    return room.work.path / f"{key}.shot.png"


def _forget(room: Room, key: str) -> None:
    """What a worker that was ended may have left."""
    for path in room.work.path.glob(f"{key}.shot*"):
        path.unlink(missing_ok=True)
