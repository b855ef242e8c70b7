"""A scene as light would show it, by a path tracer (Mitsuba 3). In a worker process: the library is large."""

from __future__ import annotations

import tempfile
from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from pathlib import Path
from typing import Any

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.picture.finishes import Colour, Finish
from zinc_otter.core.picture.lights import sphere_of
from zinc_otter.core.picture.scene import Camera, Film, Scene, Seen
from zinc_otter.core.picture.wood import wood_tones
from zinc_otter.core.srgb import from_linear

_PAPER: Colour = (0.78, 0.76, 0.72)
_PRIMARIES = (611.0, 549.0, 464.0)
"""Dominant wavelengths of the primaries of sRGB (IEC 61966-2-1), nm."""
_BAND = 1 << 17
"""Pixels that are traced in one go."""
_GUIDES = 6
"""Channels of colour and direction of what is first met, by which grain is told from detail."""
_BOUNCES = 24
"""How often light is followed on: stones send it back and forth."""


@dataclass(frozen=True, eq=False)
class Stage:
    """How far a picture has come: ``samples`` that every pixel has, and the ``share`` of all work that is done.

    ``total`` (height, width, 4 or 10) is the sum of what was ``taken`` (height, 1, 1) times. Both go on to grow: what is
    asked for is that of the moment.
    """

    samples: int
    share: float
    total: Floats
    taken: Floats

    @property
    def light(self) -> Floats:
        """(height, width, 4) linear, with what it covers."""
        return np.asarray(self.total[..., :4] / np.maximum(self.taken, 1))

    def smoothed(self) -> Floats:
        """The light without the grain of few samples; see :mod:`denoising`."""
        from zinc_otter.jobs.denoising import smoothed

        guides = self.total[..., 4:] / np.maximum(self.taken, 1)
        return smoothed(self.light, guides[..., :3], guides[..., 3:])


def passes(scene: Scene, film: Film, each: int = 8) -> Iterator[Stage]:
    """The picture, better and better, by bands of it, so that a large one can be shown, paused and ended soon.

    Each band of each pass has a seed of its own, so that the same scene gives the same picture.
    """
    mi = _library()
    bands = bands_of(film)
    with tempfile.TemporaryDirectory() as folder:
        ways = by_colour(scene) if film.fire else (scene,)
        loaded = [mi.load_dict(_described(way, film, bands, Path(folder), mi)) for way in ways]
        total = np.zeros((film.height, film.width, 4 + _GUIDES * film.smooth))
        taken = np.zeros((film.height, 1, 1))
        done = 0
        while done < film.samples:
            count = min(each, film.samples - done)
            for k, band in enumerate(bands):
                # By the same seed each: where nothing parts the colours, they stay together.
                seed = done * len(bands) + k
                seen = [np.array(mi.render(way, sensor=k, spp=count, seed=seed), dtype=np.float64) for way in loaded]
                total[band] += count * (seen[0] if len(seen) == 1 else _joined(seen))
                taken[band] += count
                whole = k == len(bands) - 1
                share = (done + count * (k + 1) / len(bands)) / film.samples
                yield Stage(done + count if whole else done, share, total, taken)
            done += count


def bands_of(film: Film) -> list[slice]:
    """Rows of a picture that are traced together: so many that one takes a few seconds."""
    rows = max(_BAND // film.width, 1)
    return [slice(first, min(first + rows, film.height)) for first in range(0, film.height, rows)]


def by_colour(scene: Scene) -> tuple[Scene, ...]:
    """The scene as red, green and blue light meet it, or the one scene where nothing in it parts them."""
    if not any(body.finish.dispersion for body in scene.bodies):
        return (scene,)
    return tuple(
        replace(
            scene,
            bodies=tuple(
                replace(body, finish=replace(body.finish, index=body.finish.index_at(wavelength)))
                for body in scene.bodies
            ),
        )
        for wavelength in _PRIMARIES
    )


def _joined(seen: list[Floats]) -> Floats:
    """Red of the first, green of the second with what it covers, blue of the third."""
    red, green, blue = seen
    light = np.stack([red[..., 0], green[..., 1], blue[..., 2], green[..., 3]], axis=2)
    return np.concatenate([light, green[..., 4:]], axis=2)


def developed(light: Floats, exposure: float) -> Floats:
    """(height, width, 4) sRGB from 0 to 1: brighter by ``exposure`` stops; what is too bright rolls off from 0.8 on."""
    linear = np.clip(light[..., :3], 0, None) * 2.0**exposure
    over = np.clip(linear - 0.8, 0, None)
    rolled = np.where(linear > 0.8, 0.8 + 0.2 * (1 - np.exp(-over / 0.2)), linear)
    return np.concatenate([from_linear(rolled), np.clip(light[..., 3:], 0, 1)], axis=2)


@lru_cache(maxsize=1)
def _library() -> Any:
    import mitsuba

    # Compiled by LLVM where that is installed, which is quicker; otherwise as it comes.
    mitsuba.set_variant("scalar_rgb")
    mitsuba.set_log_level(mitsuba.LogLevel.Error)
    return mitsuba


def _described(scene: Scene, film: Film, bands: Sequence[slice], folder: Path, mi: Any) -> dict[str, Any]:
    turn = mi.ScalarTransform4f().rotate([0, 0, 1], scene.turned)
    # Its pictures of the sphere stand on y, and begin at another side.
    stands = mi.ScalarTransform4f().rotate([1, 0, 0], 90)
    path = {"type": "path", "max_depth": _BOUNCES, "hide_emitters": film.clear or scene.floor is not None}
    guides = {"type": "aov", "aovs": "albedo:albedo,normals:sh_normal", "light": path}
    found: dict[str, Any] = {
        "type": "scene",
        "integrator": guides if film.smooth else path,
        **{f"sensor{k:04}": _sensor(scene.camera, film, band, mi) for k, band in enumerate(bands)},
        "light": {
            "type": "envmap",
            "bitmap": mi.Bitmap(np.ascontiguousarray(sphere_of(scene.light), dtype=np.float32)),
            "to_world": turn @ stands,
        },
    }
    for k, body in enumerate(scene.bodies):
        file = folder / f"body{k}.ply"
        file.write_bytes(_ply(body))
        bsdf = _bsdf(body.finish, body.own)
        found[f"body{k}"] = {"type": "ply", "filename": str(file), "face_normals": body.normals is None, "bsdf": bsdf}
    if scene.floor is not None and scene.bodies:
        points = np.concatenate([body.points for body in scene.bodies])
        middle, extent = (points.min(axis=0) + points.max(axis=0)) / 2, float(np.ptp(points, axis=0).max())
        place = mi.ScalarTransform4f().translate([float(middle[0]), float(middle[1]), scene.floor]).scale(60 * extent)
        found["floor"] = {"type": "disk", "to_world": place, "bsdf": {"type": "twosided", "below": _matt(_PAPER)}}
    return found


def _sensor(camera: Camera, film: Film, band: slice, mi: Any) -> dict[str, Any]:
    eye, back = np.array(camera.eye), np.array(camera.back)
    sight = mi.ScalarTransform4f().look_at(eye.tolist(), (eye - back).tolist(), list(camera.up))
    size = {
        "type": "hdrfilm", "width": film.width, "height": film.height, "pixel_format": "rgba", "component_format": "float32",
        "crop_offset_x": 0, "crop_offset_y": band.start, "crop_width": film.width, "crop_height": band.stop - band.start,
        # No pixel takes part in another: sums do not hang on the order in which parts are done.
        "rfilter": {"type": "box"},
    }  # fmt: skip
    far = {"near_clip": 0.05, "far_clip": 1e6}
    if camera.field is not None:
        lens = {"type": "thinlens", "aperture_radius": camera.aperture, "focus_distance": camera.focus}
        kind = lens if camera.aperture > 0 else {"type": "perspective"}
        return {**kind, "fov": camera.field, "fov_axis": "y", "to_world": sight, "film": size, **far}
    half = camera.tall / 2 * film.width / film.height
    return {"type": "orthographic", "to_world": sight @ mi.ScalarTransform4f().scale([half, half, 1]), "film": size, **far}


def _matt(colour: Colour) -> dict[str, Any]:
    return {"type": "diffuse", "reflectance": {"type": "rgb", "value": list(colour)}}


def _bsdf(finish: Finish, own: Colour) -> dict[str, Any]:
    colour = finish.colour or own
    shown = {"type": "mesh_attribute", "name": "vertex_color"} if finish.grain else {"type": "rgb", "value": list(colour)}
    if finish.kind == "matt":
        return {"type": "twosided", "of": {"type": "diffuse", "reflectance": shown}}
    if finish.kind == "coated" and finish.grain:
        # The coats below ask for a colour's mean, which one by place has not. This one's roughness is the root of theirs.
        oiled = {"type": "principled", "base_color": shown, "roughness": finish.roughness**0.5, "eta": finish.index}
        return {"type": "twosided", "of": oiled}
    if finish.kind == "coated":
        coat = {"diffuse_reflectance": shown, "int_ior": finish.index, "nonlinear": True}
        smooth = finish.roughness < 0.05
        kind = {"type": "plastic"} if smooth else {"type": "roughplastic", "alpha": finish.roughness}
        return {"type": "twosided", "of": {**kind, **coat}}
    if finish.kind == "clear":
        passed = {"type": "rgb", "value": list(finish.colour or (1.0, 1.0, 1.0))}
        return {"type": "dielectric", "int_ior": finish.index, "specular_transmittance": passed}
    mixed: dict[str, Any] | None = None
    so_far = 0.0
    for symbol, share in finish.metals:
        metal = {"type": "roughconductor", "material": symbol, "alpha": finish.roughness, "distribution": "ggx"}
        so_far += share
        mixed = metal if mixed is None else {"type": "blendbsdf", "weight": share / so_far, "one": mixed, "other": metal}
    assert mixed is not None
    return {"type": "twosided", "of": mixed}


def _ply(body: Seen) -> bytes:
    """The body as binary PLY (G. Turk, 1994); where its normals break, so do its points."""
    count = len(body.triangles)
    if body.normals is None:
        rows, triangles = body.points, body.triangles
    else:
        points = body.points[body.triangles].reshape(-1, 3)
        rows = np.concatenate([points, body.normals.reshape(-1, 3)], axis=1)
        triangles = np.arange(3 * count).reshape(-1, 3)
    names = ["x", "y", "z", "nx", "ny", "nz"][: rows.shape[1]]
    if body.finish.grain:
        sides = np.diff(body.points[body.triangles], axis=1)
        spacing = float(np.median(np.linalg.norm(sides, axis=2)))
        rows = np.concatenate([rows, wood_tones(rows[:, :3], spacing)], axis=1)
        names += ["r", "g", "b"]
    head = "".join(f"property float {name}\n" for name in names)
    faces = np.zeros(count, dtype=[("count", "u1"), ("verts", "<i4", 3)])
    faces["count"], faces["verts"] = 3, triangles
    header = (
        f"ply\nformat binary_little_endian 1.0\nelement vertex {len(rows)}\n{head}"
        f"element face {count}\nproperty list uchar int vertex_indices\nend_header\n"
    )
    return header.encode() + rows.astype("<f4").tobytes() + faces.tobytes()


