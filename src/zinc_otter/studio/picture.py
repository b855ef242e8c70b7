"""A small picture of a design, for lists: its surfaces, shaded like clay, three-quarter view, no screen needed."""

from __future__ import annotations

import io
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from PIL import Image

from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.studio.design import Design

PAPER = np.array([244, 241, 234]) / 255
CLAY = np.array([203, 170, 141]) / 255
SHADE = np.array([94, 71, 58]) / 255
LIGHT = np.array([255, 246, 232]) / 255

# The three-quarter view: from the front right, a little above.
_BACK = np.array([0.55, -0.72, 0.45]) / np.linalg.norm([0.55, -0.72, 0.45])
_RIGHT = np.cross([0, 0, 1], _BACK) / np.linalg.norm(np.cross([0, 0, 1], _BACK))
_UP = np.cross(_BACK, _RIGHT)
_VIEW = np.stack([_RIGHT, _UP, _BACK], axis=1)


def picture(design: Design, width: int = 480, height: int = 320) -> bytes:
    """A PNG of the visible pieces; plain paper when there are none.

    Drawn at twice the size, then halved to smooth the edges.
    """
    cages = [piece.cage for piece in design.pieces if piece.visible]
    image = drawn(cages, Frame.around(cages, width, height))
    buffer = io.BytesIO()
    Image.fromarray(image).save(buffer, "PNG")
    return buffer.getvalue()


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
        points = np.concatenate([_dense_quads([cage])[0].reshape(-1, 3) for cage in cages])
        low, top = points.min(axis=0), points.max(axis=0)
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
    if cages:
        quads, tilts = _dense_quads(cages)
        cells, normals = _nearest(frame._laid(quads, 2).astype(np.float32), tilts, wide, high)
        image.reshape(-1, 3)[cells] = _shaded(normals)
    small = image.reshape(frame.height, 2, frame.width, 2, 3).mean(axis=(1, 3))
    return (255 * np.clip(small, 0, 1)).astype(np.uint8)


def _dense_quads(cages: list[Cage]) -> tuple[Floats, Floats]:
    """Corners and normals (m, 4, 3) of all surfaces' dense faces, in view coordinates."""
    faces = sum(cage.topology.face_count for cage in cages)
    level = int(np.clip(np.floor(np.log(25_000 / faces) / np.log(4)), 1, 5))
    corners, normals = [], []
    for cage in cages:
        stencils = build_stencils(cage, level)
        surface = evaluate(stencils, cage)
        corners.append((surface.positions @ _VIEW)[stencils.row_quads])
        normals.append((surface.normals @ _VIEW)[stencils.row_quads])
    return np.concatenate(corners), np.concatenate(normals)


def _nearest(quads: NDArray[np.float32], tilts: Floats, wide: int, high: int) -> tuple[Ints, Floats]:
    """The pixels that are covered, and the normal seen in each.

    Quads (m, 4, 3) in pixels are sampled at bilinear points, close enough together to leave no gaps; of the points in a
    pixel the nearest counts.
    """
    flat = quads[:, :, :2]
    longest = np.linalg.norm(flat - np.roll(flat, 1, axis=1), axis=2).max(axis=1)
    needed = 2 ** np.ceil(np.log2(np.clip(1.1 * longest, 1, 256))).astype(np.int64)
    cells, depths, sources, places = [], [], [], []
    for count in np.unique(needed):
        at = ((np.arange(count) + 0.5) / count).astype(np.float32)
        u, v = (g.ravel() for g in np.meshgrid(at, at))
        weights = np.stack([(1 - u) * (1 - v), u * (1 - v), u * v, (1 - u) * v])
        some = np.flatnonzero(needed == count)
        x, y, z = (quads[some, :, k] @ weights for k in range(3))
        column, row = np.clip(x.astype(np.int32), 0, wide - 1), np.clip(y.astype(np.int32), 0, high - 1)
        cells.append((row * wide + column).ravel())
        depths.append(z.ravel())
        sources.append(np.repeat(some, count * count))
        places.append(np.tile(np.stack([u, v], axis=1), (len(some), 1)))
    cell, depth = np.concatenate(cells), np.concatenate(depths)
    # Far to near: of the points in one pixel the nearest is written last.
    order = np.argsort(depth)
    winner = np.full(wide * high, -1, dtype=np.int64)
    winner[cell[order]] = order
    covered = np.flatnonzero(winner >= 0)
    best = winner[covered]
    u, v = np.concatenate(places)[best].T[:, :, None]
    a, b, c, d = np.moveaxis(tilts[np.concatenate(sources)[best]], 1, 0)
    return covered, (1 - v) * ((1 - u) * a + u * b) + v * ((1 - u) * d + u * c)


def _shaded(normals: Floats) -> Floats:
    length = np.linalg.norm(normals, axis=1, keepdims=True)
    unit = normals / np.maximum(length, 1e-12)
    # Backs of open sheets are seen too: light them as if turned round, a little darker.
    behind = unit[:, 2] < 0
    unit = np.where(behind[:, None], -unit, unit)
    lit = np.clip(unit @ np.array([-0.42, 0.62, 0.66]), 0, 1)[:, None]
    colour = SHADE + (CLAY - SHADE) * lit**0.8 + (LIGHT - CLAY) * 0.55 * lit**12
    return np.where(behind[:, None], colour * 0.82, colour)
