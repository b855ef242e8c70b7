"""A true picture of a design: traced in passes, shown as it gets finer, and kept with its settings in it."""

from __future__ import annotations

import json
from collections.abc import Callable, Mapping
from pathlib import Path
from typing import TYPE_CHECKING, Any

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.jobs.solid_work import put
from zinc_otter.jobs.triangle_work import Fineness, made_body

if TYPE_CHECKING:
    from zinc_otter.core.picture.scene import Camera, Film
    from zinc_otter.studio.design import Design


def take_picture(
    progress: Callable[[float, str], None],
    design: Design,
    camera: Camera,
    film: Film,
    set_up: Mapping[str, Any],
    recipes: Mapping[str, Recipe],
    fineness: Fineness,
    between: Path,
    path: Path,
    about: Mapping[str, Any],
) -> None:
    """Take it and write it to ``path`` as PNG, with all it was taken by in it. ``set_up`` holds light, turned and on_floor.

    What there is so far is written ``between``; a file beside that, called "enough", ends it early with that. Raises
    BadNumberError where nothing is shown, OSError.
    """
    from zinc_otter.jobs.path_tracing import developed, passes
    from zinc_otter.studio.scenes import scene_of

    def body(piece: str) -> tuple[Floats, Ints, float]:
        triangles, _, _ = made_body(recipes[piece], fineness)
        return triangles.points, triangles.triangles, triangles.chord

    progress(0.01, "Making the bodies")
    scene = scene_of(design, body, camera, **set_up)
    progress(0.03, "Laying out the light")
    enough = between.with_suffix(".enough")
    done, light = 0, np.zeros((film.height, film.width, 4))
    try:
        for done, light in passes(scene, film):
            put(between, lambda fresh, so_far=light: _write(fresh, developed(so_far, film.exposure), film.clear, {}))  # type: ignore[misc]
            progress(0.03 + 0.96 * done / film.samples, f"{done} of {film.samples} samples")
            if enough.exists():
                break
        path.parent.mkdir(parents=True, exist_ok=True)
        said = {**about, "samples": done}
        put(path, lambda fresh: _write(fresh, developed(light, film.exposure), film.clear, said))
    finally:
        between.unlink(missing_ok=True)
        enough.unlink(missing_ok=True)
    progress(1.0, f"{done} samples")


def _write(path: Path, image: Floats, clear: bool, about: Mapping[str, Any]) -> None:
    """As PNG (ISO/IEC 15948), eight bits to a channel; what it was taken by stands in a text of its own."""
    from PIL import Image, PngImagePlugin

    info = PngImagePlugin.PngInfo()
    if about:
        info.add_text("Title", f"{about['design']}, revision {about['revision']}")
        info.add_text("Comment", json.dumps(dict(about), ensure_ascii=True))
    pixels = (255 * np.clip(image, 0, 1) + 0.5).astype(np.uint8)
    Image.fromarray(pixels if clear else np.ascontiguousarray(pixels[..., :3])).save(path, "PNG", pnginfo=info)
