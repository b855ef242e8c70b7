"""A small picture of a design, for lists: its surfaces, shaded like clay, three-quarter view, no screen needed."""

from __future__ import annotations

import hashlib
import io
from contextlib import suppress
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from PIL import Image

from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.curve import Curve
from zinc_otter.core.curve.growing import pipe
from zinc_otter.core.errors import CoreError
from zinc_otter.core.form import Form, controls
from zinc_otter.core.relief.relief import with_all_relief
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.studio.design import Design
from zinc_otter.studio.raster import Raster

PAPER = np.array([244, 241, 234]) / 255
CLAY = np.array([214, 178, 148]) / 255
SHADE = np.array([84, 64, 54]) / 255
LIGHT = np.array([255, 250, 242]) / 255
COOL = np.array([176, 196, 204]) / 255

# The three-quarter view: from the front right, a little above.
_BACK = np.array([0.55, -0.72, 0.45]) / np.linalg.norm([0.55, -0.72, 0.45])
_RIGHT = np.cross([0, 0, 1], _BACK) / np.linalg.norm(np.cross([0, 0, 1], _BACK))
_UP = np.cross(_BACK, _RIGHT)
_VIEW = np.stack([_RIGHT, _UP, _BACK], axis=1)


def picture(design: Design, width: int = 480, height: int = 320) -> bytes:
    """A PNG of the visible pieces; plain paper when there are none."""
    return picture_of([piece.form for piece in design.pieces if piece.visible], width, height)


def picture_key(design: Design) -> str:
    """A name for the picture by all that it shows: equal designs have one picture, whatever they are called."""
    shown = "\n".join(piece.form.digest for piece in design.pieces if piece.visible)
    return hashlib.sha256(f"2\n{shown}".encode()).hexdigest()[:32]


def picture_of(forms: list[Form], width: int = 480, height: int = 320) -> bytes:
    """A PNG of some forms. Drawn at twice the size, then halved to smooth the edges."""
    cages = in_clay(forms)
    image = drawn(cages, Frame.around(cages, width, height))
    buffer = io.BytesIO()
    Image.fromarray(image).save(buffer, "PNG")
    return buffer.getvalue()


def in_clay(forms: list[Form]) -> list[Cage]:
    """The cages, and a thin wire for each curve; one with corners has none."""
    if not forms:
        return []
    points = np.concatenate([controls(form).positions for form in forms])
    thin = _WIRE * max(float(np.ptp(points, axis=0).max()), 1e-6)
    cages = []
    for form in forms:
        if not isinstance(form, Curve):
            cages.append(controls(form))
            continue
        with suppress(CoreError):
            cages.append(pipe(form, thin, 5, each=2).cage)
    return cages


@dataclass(frozen=True)
class Frame:
    """How points come to lie on a picture of ``width`` by ``height``: its middle in view coordinates, and pixels to a mm."""

    width: int
    height: int
    middle: tuple[float, float, float]
    scale: float

    @classmethod
    def around(cls, cages: list[Cage], width: int, height: int, share: float = 0.8) -> Frame:
        """One that shows all of some cages' surfaces, on a ``share`` of the picture."""
        if not cages:
            return cls(width, height, (0.0, 0.0, 0.0), 1.0)
        fine = _level(cages)
        bounds = [_Drape.over(cage, fine).bounds for cage in cages]
        low, top = np.min([b[0] for b in bounds], axis=0), np.max([b[1] for b in bounds], axis=0)
        scale = share * min(width / max(top[0] - low[0], 1e-9), height / max(top[1] - low[1], 1e-9))
        x, y, z = (float(v) for v in (low + top) / 2)
        return cls(width, height, (x, y, z), scale)

    def placed(self, points: Floats, finer: int = 1) -> Floats:
        """Points (..., 3) of the model in pixels; the third is the depth, larger towards the eye."""
        return self._laid(points @ _VIEW, finer)

    def _laid(self, seen: Floats, finer: int) -> Floats:
        scale = self.scale * finer
        middle = np.array([self.width * finer / 2, self.height * finer / 2, 0])
        return np.asarray((seen - np.array(self.middle)) * np.array([scale, -scale, scale]) + middle)


def drawn(cages: list[Cage], frame: Frame) -> NDArray[np.uint8]:
    """(height, width, 3) the surfaces of some cages, shaded."""
    wide, high = 2 * frame.width, 2 * frame.height
    image = np.broadcast_to(PAPER, (high, wide, 3)).copy()
    sheet = Raster(wide, high)
    fine = _level(cages)
    for cage in cages:
        drape = _Drape.over(cage, fine)
        for first in range(0, len(drape.quads), _PORTION):
            rows = drape.quads[first : first + _PORTION]
            sheet.add(frame._laid(drape.points[rows], 2).astype(np.float32), drape.normals[rows])
    covered = np.flatnonzero(sheet.depth > -np.inf)
    image.reshape(-1, 3)[covered] = _shaded(sheet.told[covered].astype(np.float64))
    small = image.reshape(frame.height, 2, frame.width, 2, 3).mean(axis=(1, 3))
    return (255 * np.clip(small, 0, 1)).astype(np.uint8)


_WIRE = 0.006
"""Radius of a curve in a picture, of the extent of all that is shown."""
_PORTION = 20_000
"""Dense faces that are drawn at a time."""
_MOST_WITH_RELIEF = 400_000
_MOST_DENSE = 60_000
"""Faces of a design beyond which the cages themselves are drawn: their faces are smaller than a pixel."""


def _level(cages: list[Cage]) -> int:
    """The level of smoothness for all of them together; 0 for the cages as they are."""
    faces = sum(cage.topology.face_count for cage in cages)
    if faces > _MOST_DENSE:
        return 0
    level = int(np.clip(np.floor(np.log(25_000 / max(faces, 1)) / np.log(4)), 1, 5))
    finest = max((with_all_relief(cage.relief, level) for cage in cages), default=level)
    return finest if faces * 4**finest <= _MOST_WITH_RELIEF else level


@dataclass(frozen=True, eq=False)
class _Drape:
    """A surface to draw: points and normals (n, 3) in view coordinates, and quads (m, 4) of their rows."""

    points: Floats
    normals: Floats
    quads: Ints

    @classmethod
    def over(cls, cage: Cage, level: int) -> _Drape:
        if level:
            stencils = build_stencils(cage, level)
            surface = evaluate(stencils, cage)
            return cls(surface.positions @ _VIEW, surface.normals @ _VIEW, stencils.row_quads)
        t = cage.topology
        # Each side of a face with its first corner: triangles, the last corner twice; flat, as small as they are.
        size = t.face_sizes
        fans = np.repeat(np.arange(t.face_count), size - 2)
        nth = np.arange(len(fans)) - np.repeat(np.cumsum(size - 2) - (size - 2), size - 2)
        start = t.face_offsets[:-1][fans]
        quads = t.face_verts[np.stack([start, start + nth + 1, start + nth + 2, start + nth + 2], axis=1)]
        normals = np.zeros_like(cage.positions)
        np.add.at(normals, t.face_verts, np.repeat(cage.face_normals, size, axis=0))
        return cls(cage.positions @ _VIEW, normals @ _VIEW, quads)

    @property
    def bounds(self) -> tuple[Floats, Floats]:
        return self.points.min(axis=0), self.points.max(axis=0)


def _shaded(normals: Floats) -> Floats:
    length = np.linalg.norm(normals, axis=1, keepdims=True)
    unit = normals / np.maximum(length, 1e-12)
    # Backs of open sheets are seen too: light them as if turned round, a little darker.
    behind = unit[:, 2] < 0
    unit = np.where(behind[:, None], -unit, unit)
    # By a wide window that wraps far round, with cool light from below into the shade: as in the viewport.
    facing = unit @ np.array([-0.42, 0.62, 0.66])
    key = (np.clip((facing + 0.36) / 1.36, 0, 1) ** 1.3)[:, None]
    below = np.clip(unit @ np.array([0.5, -0.68, 0.42]), 0, 1)[:, None]
    dark = SHADE + 0.24 * (CLAY - SHADE)
    colour = dark + (1.04 * CLAY - dark) * key
    colour = colour + 0.18 * below * (COOL - colour)
    colour = colour + 0.4 * np.clip(facing, 0, 1)[:, None] ** 22 * (LIGHT - colour)
    return np.where(behind[:, None], colour * 0.82, colour)
