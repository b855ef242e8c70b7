"""True pictures that are kept of a design: listed, and taken along by its archive."""

from __future__ import annotations

import io
import json
import secrets
from collections.abc import Mapping
from contextlib import suppress
from pathlib import Path
from typing import Any

from PIL import Image
from pydantic import BaseModel

from zinc_otter.api.room import Room
from zinc_otter.core.picture.scene import MOST_PIXELS_OF_TURNS
from zinc_otter.store.made_files import SHOTS

_MOST_TAKEN = 80 * 1024**2


class TruePicture(BaseModel):
    """A picture that is kept, and what it was taken by."""

    key: str
    revision: int
    made: str
    width: int
    height: int
    samples: int
    light: str
    turns: int = 1


def kept_pictures(room: Room, design_id: str) -> list[TruePicture]:
    """Those of a design, the latest first."""
    found = []
    for name in room.made.of(design_id, SHOTS):
        path = room.made.path(name)
        about = _about(path) if path.suffix == ".png" else None
        if about is not None:
            found.append(TruePicture.model_validate(about))
    return sorted(found, key=lambda one: one.made, reverse=True)


def pictures_of(room: Room, design_id: str) -> dict[str, bytes]:
    """The files of those that are kept of a design, as an archive takes them along: the latest, up to 80 MB."""
    found: dict[str, bytes] = {}
    left = _MOST_TAKEN
    for one in kept_pictures(room, design_id):
        for name in (name_of(one.key), *([moving_of(one.key)] if one.turns > 1 else [])):
            with suppress(OSError):
                data = room.made.path(name).read_bytes()
                left -= len(data)
                if left >= 0:
                    found[Path(name).name] = data
    return found


def take_in_pictures(room: Room, design_id: str, pictures: Mapping[str, bytes]) -> None:
    """Keep those that came with an archive with the design that it became; what is no picture is left out."""
    fresh: dict[str, str] = {}
    for name, data in pictures.items():
        old, _, kind = name.partition(".")
        try:
            with Image.open(io.BytesIO(data)) as image:
                if image.format != {"png": "PNG", "webp": "WEBP"}[kind] or image.width * image.height > MOST_PIXELS_OF_TURNS:
                    continue
        except (OSError, ValueError, Image.DecompressionBombError):
            continue
        key = fresh.setdefault(old, secrets.token_hex(16))
        room.made.place(design_id, f"{SHOTS}/{key}.{kind}").write_bytes(data)


def _about(path: Path) -> dict[str, Any] | None:
    """What a picture was taken by; None of one that is broken, or none of ours."""
    try:
        with Image.open(path) as image:
            about = json.loads(image.info["Comment"])
        return TruePicture.model_validate({**about, "key": path.stem}).model_dump()
    except (OSError, KeyError, TypeError, ValueError):
        return None


def name_of(key: str) -> str:
    """Where a picture lies among the made files."""
    return f"{SHOTS}/{key}.png"


def moving_of(key: str) -> str:
    """The same with all of its views, one after the other."""
    return f"{SHOTS}/{key}.webp"
