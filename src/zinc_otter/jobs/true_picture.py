"""A true picture of a design: traced in passes, shown as it gets finer, and kept with its settings in it. One, two side by
side from the same place, or many from all around."""

from __future__ import annotations

import json
import time
from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from pathlib import Path
from typing import TYPE_CHECKING, Any

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.picture.arranging import AS_IT_STANDS, Arrangement, turned_about
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.jobs.solid_work import put
from zinc_otter.jobs.triangle_work import Fineness, made_body

if TYPE_CHECKING:
    from zinc_otter.core.picture.scene import Camera, Film, Scene
    from zinc_otter.jobs.path_tracing import Stage
    from zinc_otter.studio.design import Design

_ROUND = 6_000
"""Milliseconds that a turn takes."""
_IN_A_ROW = 6
_LOOK_AGAIN = 0.2
"""Seconds after which one that is paused looks whether it is to go on."""
_SHOW_AGAIN = 0.5
"""Seconds after which what there is so far is shown anew."""
_WIDER = 1.5
"""Each of two is seen so much wider: its half of the picture is narrow."""


@dataclass(frozen=True, eq=False)
class Side:
    """A design to be pictured: what its bodies are made from, by piece, and the ``stands`` that are shown with it, points
    (n, 3) and triangles (m, 3) each."""

    design: Design
    recipes: Mapping[str, Recipe]
    stands: Sequence[tuple[Floats, Ints]] = ()


@dataclass(frozen=True)
class SetUp:
    """The light, and how the pieces are ``arranged``; from how many sides ``turns`` show them."""

    light: str = "tent"
    turned: float = 0.0
    on_floor: bool = True
    arranged: Arrangement = AS_IT_STANDS
    turns: int = 1


def take_picture(
    progress: Callable[[float, str], None],
    sides: Sequence[Side],
    camera: Camera,
    film: Film,
    set_up: SetUp,
    fineness: Fineness,
    between: Path,
    path: Path,
    about: Mapping[str, Any],
) -> None:
    """Take it and write it to ``path`` as PNG, with all it was taken by in it: of one design, or of two beside one another.
    Of many turns that is all of them in rows; and they are written as a moving WebP beside it.

    What there is so far is written ``between``; a file beside that, called "enough", ends it early with that, and
    while there is one called "rest" it waits. Raises
    BadNumberError where nothing is shown, OSError.
    """
    from zinc_otter.jobs.path_tracing import developed

    progress(0.01, "Making the bodies")
    camera = _for_half(camera) if len(sides) > 1 else camera
    scenes = [_scene(side, fineness, camera, set_up) for side in sides]
    film = replace(film, width=film.width // len(sides))
    progress(0.03, "Laying out the light")
    enough, rest = between.with_suffix(".enough"), between.with_suffix(".rest")
    samples, done = film.samples, 0
    frames: list[np.ndarray] = []
    try:
        for k in range(set_up.turns):
            stages: list[Stage] = []
            views = [_turned(scene, k / set_up.turns) for scene in scenes]
            show_at = 0.0
            for stages in _passes(views, replace(film, samples=samples)):
                done, share = stages[0].samples, 0.03 + 0.96 * (k + stages[0].share) / set_up.turns
                began = time.monotonic()
                if began > show_at:
                    so_far = _pixels(developed(_beside(stages), film.exposure), film.clear)
                    put(between, lambda fresh, pixels=so_far: _write(fresh, pixels, {}))  # type: ignore[misc]
                    # Showing a large one takes seconds itself: a fifth of the time at most.
                    show_at = time.monotonic() + max(_SHOW_AGAIN, 4 * (time.monotonic() - began))
                of = "" if set_up.turns == 1 else f", view {k + 1} of {set_up.turns}"
                progress(share, f"{done} of {samples} samples{of}")
                if rest.exists():
                    progress(share, f"Paused at {done} of {samples} samples{of}")
                while rest.exists() and not enough.exists():
                    time.sleep(_LOOK_AGAIN)
                # A picture of which a part was never looked at is none.
                if enough.exists() and done:
                    break
            # What was fine enough is so for the other views, too.
            samples = done
            frames.append(_pixels(developed(_beside(stages, film.smooth), film.exposure), film.clear))
        path.parent.mkdir(parents=True, exist_ok=True)
        if len(frames) > 1:
            put(path.with_suffix(".webp"), lambda fresh: _write_moving(fresh, frames))
        put(path, lambda fresh: _write(fresh, _in_rows(frames), {**about, "samples": samples}))
    finally:
        between.unlink(missing_ok=True)
        enough.unlink(missing_ok=True)
        rest.unlink(missing_ok=True)
    progress(1.0, f"{samples} samples" if len(frames) == 1 else f"{len(frames)} views, {samples} samples each")


def _scene(side: Side, fineness: Fineness, camera: Camera, set_up: SetUp) -> Scene:
    from zinc_otter.studio.scenes import scene_of

    def body(piece: str) -> tuple[Floats, Ints, float]:
        triangles, _, _ = made_body(side.recipes[piece], fineness)
        return triangles.points, triangles.triangles, triangles.chord

    light, arranged = (set_up.light, set_up.turned, set_up.on_floor), set_up.arranged
    return scene_of(side.design, body, camera, *light, arranged, side.stands)


def _for_half(camera: Camera) -> Camera:
    if camera.field is None:
        return replace(camera, tall=_WIDER * camera.tall)
    wider = 2 * np.degrees(np.arctan(_WIDER * np.tan(np.radians(camera.field) / 2)))
    return replace(camera, field=float(min(wider, 120.0)))


def _turned(scene: Scene, share: float) -> Scene:
    """As after a part of a turn of what is pictured: the camera is carried round it, and the light with the camera."""
    if not share:
        return scene
    points = np.concatenate([body.points for body in scene.bodies])
    middle = (points.min(axis=0) + points.max(axis=0)) / 2
    degrees = 360 * share
    return replace(scene, camera=turned_about(scene.camera, middle, degrees), turned=scene.turned + degrees)


def _passes(scenes: Sequence[Scene], film: Film) -> Iterator[list[Stage]]:
    """Of scenes side by side."""
    from zinc_otter.jobs.path_tracing import passes

    for parts in zip(*(passes(scene, film) for scene in scenes), strict=True):
        yield list(parts)


def _beside(stages: Sequence[Stage], smooth: bool = False) -> Floats:
    return np.concatenate([stage.smoothed() if smooth else stage.light for stage in stages], axis=1)


def _in_rows(frames: Sequence[np.ndarray]) -> np.ndarray:
    """Pictures of one size in rows of six; what is left of the last row is clear, or black."""
    rows = [frames[k : k + _IN_A_ROW] for k in range(0, len(frames), _IN_A_ROW)]
    wide = max(len(row) for row in rows) * frames[0].shape[1]
    joined = [np.concatenate(row, axis=1) for row in rows]
    return np.concatenate([np.pad(row, ((0, 0), (0, wide - row.shape[1]), (0, 0))) for row in joined])


def _write(path: Path, pixels: np.ndarray, about: Mapping[str, Any]) -> None:
    """As PNG (ISO/IEC 15948), eight bits to a channel; what it was taken by stands in a text of its own."""
    from PIL import Image, PngImagePlugin

    info = PngImagePlugin.PngInfo()
    if about:
        info.add_text("Title", f"{about['design']}, revision {about['revision']}")
        info.add_text("Comment", json.dumps(dict(about), ensure_ascii=True))
    Image.fromarray(pixels).save(path, "PNG", pnginfo=info)


def _write_moving(path: Path, frames: Sequence[np.ndarray]) -> None:
    """As WebP (RFC 9649) that goes round for ever."""
    from PIL import Image

    first, *others = [Image.fromarray(frame) for frame in frames]
    first.save(path, "WEBP", save_all=True, append_images=others, duration=round(_ROUND / len(frames)), loop=0, quality=90)


def _pixels(image: Floats, clear: bool) -> np.ndarray:
    """Eight bits to a channel: many views are kept until the last is taken."""
    pixels = (255 * np.clip(image, 0, 1) + 0.5).astype(np.uint8)
    return pixels if clear else np.ascontiguousarray(pixels[..., :3])
