"""A design seen from one side, flat and to scale: a shaded picture with its outlines, and where points lie on the paper."""

from __future__ import annotations

import io
from dataclasses import dataclass

import numpy as np
from PIL import Image

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Bools, Floats
from zinc_otter.studio.raster import Raster
from zinc_otter.studio.shown import Thing, corner_normals

_PER_MM = 7.0
"""Pixels to a mm of paper: 178 to an inch."""
_MOST_PIXELS = 1_600_000


@dataclass(frozen=True, eq=False)
class View:
    """Looked at from one side: ``frame`` (3, 3) has rows to the right, up, and towards the eye."""

    name: str
    frame: Floats

    def seen(self, points: Floats) -> Floats:
        return np.asarray(points @ self.frame.T)


FRONT = View("Front", np.array([[1.0, 0, 0], [0, 0, 1], [0, -1, 0]]))
RIGHT = View("From the right", np.array([[0.0, 1, 0], [0, 0, 1], [1, 0, 0]]))
TOP = View("From above", np.array([[1.0, 0, 0], [0, 1, 0], [0, 0, 1]]))


def aslant(turn: float, rise: float, name: str) -> View:
    """From ``turn`` degrees to the right of the front, and ``rise`` degrees above it."""
    a, e = np.radians(turn), np.radians(rise)
    back = np.array([np.sin(a) * np.cos(e), -np.cos(a) * np.cos(e), np.sin(e)])
    right = np.array([np.cos(a), np.sin(a), 0.0])
    return View(name, np.array([right, np.cross(back, right), back]))


@dataclass(frozen=True, eq=False)
class Placed:
    """A view on paper: ``scale`` mm of paper to a mm, the middle of what is seen at ``at``, so wide and high."""

    view: View
    scale: float
    middle: Floats
    at: tuple[float, float]
    width: float
    height: float

    def on_paper(self, points: Floats) -> Floats:
        """(n, 2) mm from the upper left corner of the page."""
        flat = (self.view.seen(np.atleast_2d(points))[:, :2] - self.middle[:2]) * self.scale
        return np.asarray(flat * [1, -1] + self.at)


def extent_in(view: View, things: list[Thing]) -> tuple[Floats, Floats]:
    """(3,) the least and greatest coordinates of what is seen."""
    seen = [view.seen(thing.points) for thing in things]
    return np.min([s.min(axis=0) for s in seen], axis=0), np.max([s.max(axis=0) for s in seen], axis=0)


def picture_of(placed: Placed, things: list[Thing], plain: bool = False) -> bytes:
    """A PNG of as much paper as the view takes. In ``plain`` pictures the colours are as given, hardly shaded: maps."""
    finer = 2.0 * min(_PER_MM, np.sqrt(_MOST_PIXELS / max(placed.width * placed.height, 1e-6)))
    wide, high = (2 * max(1, round(side * finer / 2)) for side in (placed.width, placed.height))
    raster = Raster(wide, high, 6)
    scale = np.array([1, -1, 1]) * placed.scale * finer
    middle = np.array([wide / 2, high / 2, 0])
    for k, thing in enumerate(things):
        seen = ((placed.view.seen(thing.points) - placed.middle) * scale + middle).astype(np.float32)
        normals = corner_normals(thing) @ placed.view.frame.T
        colours = np.broadcast_to(thing.colour, thing.points.shape)[thing.triangles]
        raster.add_triangles(seen[thing.triangles], np.concatenate([normals, colours], axis=2), k)
    image = _lit(raster, plain).reshape(high, wide, 3)
    image = np.where(_edges(raster, wide, high, finer)[..., None], 0.35 * image, image)
    small = image.reshape(high // 2, 2, wide // 2, 2, 3).mean(axis=(1, 3))
    out = io.BytesIO()
    Image.fromarray((255 * np.clip(small, 0, 1)).astype(np.uint8)).save(out, "PNG")
    return out.getvalue()


def _lit(raster: Raster, plain: bool) -> Floats:
    """(n, 3) from 0 to 1; paper is white."""
    image = np.ones((len(raster.depth), 3))
    covered = np.flatnonzero(raster.depth > -np.inf)
    normals = unit(raster.told[covered, :3].astype(np.float64))
    # Backs of open sheets are seen too: lit as if turned round.
    normals = np.where(normals[:, 2:] < 0, -normals, normals)
    light = np.clip(normals @ unit(np.array([-0.42, 0.62, 0.66])), 0, 1)[:, None]
    colour = raster.told[covered, 3:].astype(np.float64)
    if plain:
        image[covered] = colour * (0.86 + 0.14 * light)
    else:
        # Towards white: on paper a dark form hides its dimensions.
        image[covered] = 1 - (1 - colour) * (0.95 - 0.62 * light)
    return image


def _edges(raster: Raster, wide: int, high: int, finer: float) -> Bools:
    """(high, wide) where the outline runs, one thing stands before another, or a surface turns sharply."""
    depth = raster.depth.reshape(high, wide).astype(np.float64)
    depth = np.where(np.isfinite(depth), depth, -1e9)
    normals = unit(raster.told[:, :3].astype(np.float64)).reshape(high, wide, 3)
    thing = raster.thing.reshape(high, wide)
    found = np.zeros((high, wide), dtype=bool)
    for axis in (0, 1):
        one, other = (slice(None, -1), slice(None)), (slice(1, None), slice(None))
        if axis:
            one, other = one[::-1], other[::-1]
        near = np.maximum(abs(normals[one][..., 2]), abs(normals[other][..., 2]))
        # A surface that is seen edge-on falls away by much from pixel to pixel without an edge.
        step = abs(depth[one] - depth[other]) > 0.35 * finer + 3.0 / np.maximum(near, 0.08)
        turn = (normals[one] * normals[other]).sum(axis=2) < 0.75
        hit = step | ((turn | (thing[one] != thing[other])) & (depth[one] > -1e8) & (depth[other] > -1e8))
        found[one] |= hit
        found[other] |= hit & (depth[one] > -1e8)
    return found
