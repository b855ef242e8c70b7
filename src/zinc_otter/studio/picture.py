"""A small picture of a design, for lists: its surfaces, shaded like clay, three-quarter view, no screen needed."""

from __future__ import annotations

import io

import numpy as np
from PIL import Image

from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.topology import Floats
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

    Surfaces are drawn as dense points, nearest last, at twice the size, then halved to smooth the edges.
    """
    wide, high = 2 * width, 2 * height
    image = np.broadcast_to(PAPER, (high, wide, 3)).copy()
    cages = [piece.cage for piece in design.pieces if piece.visible]
    if cages:
        points, normals = _samples(cages, max(wide, high))
        low, top = points.min(axis=0), points.max(axis=0)
        scale = 0.8 * min(wide / max(top[0] - low[0], 1e-9), high / max(top[1] - low[1], 1e-9))
        middle = (low + top) / 2
        x = np.clip(np.rint((points[:, 0] - middle[0]) * scale + wide / 2), 0, wide - 1).astype(np.int64)
        y = np.clip(np.rint(high / 2 - (points[:, 1] - middle[1]) * scale), 0, high - 1).astype(np.int64)
        cell = y * wide + x
        # Far to near: of the points in one pixel the nearest is written last.
        order = np.argsort(points[:, 2], kind="stable")
        image.reshape(-1, 3)[cell[order]] = _shaded(normals[order])
    small = image.reshape(height, 2, width, 2, 3).mean(axis=(1, 3))
    buffer = io.BytesIO()
    Image.fromarray((255 * np.clip(small, 0, 1)).astype(np.uint8)).save(buffer, "PNG")
    return buffer.getvalue()


def _samples(cages: list[Cage], pixels: int) -> tuple[Floats, Floats]:
    """Points and normals in view coordinates, close enough together to leave no gaps on that many pixels across."""
    faces = sum(cage.topology.face_count for cage in cages)
    level = int(np.clip(np.floor(np.log(40_000 / faces) / np.log(4)), 1, 5))
    corners, normals = [], []
    for cage in cages:
        stencils = build_stencils(cage, level)
        surface = evaluate(stencils, cage)
        corners.append((surface.positions @ _VIEW)[stencils.row_quads])
        normals.append((surface.normals @ _VIEW)[stencils.row_quads])
    quads, tilts = np.concatenate(corners), np.concatenate(normals)
    flat = quads[:, :, :2]
    scale = 0.8 * pixels / max(float(np.ptp(flat.reshape(-1, 2), axis=0).max()), 1e-9)
    longest = scale * np.linalg.norm(flat - np.roll(flat, 1, axis=1), axis=2).max(axis=1)
    needed = 2 ** np.ceil(np.log2(np.clip(1.2 * longest, 2, 256))).astype(np.int64)
    found = []
    for count in np.unique(needed):
        # Bilinear points within each dense quad.
        at = (np.arange(count) + 0.5) / count
        u, v = (g.ravel() for g in np.meshgrid(at, at))
        weights = np.stack([(1 - u) * (1 - v), u * (1 - v), u * v, (1 - u) * v], axis=1)
        some = needed == count
        found.append([np.einsum("sc,qcx->qsx", weights, a[some]).reshape(-1, 3) for a in (quads, tilts)])
    return np.concatenate([f[0] for f in found]), np.concatenate([f[1] for f in found])


def _shaded(normals: Floats) -> Floats:
    length = np.linalg.norm(normals, axis=1, keepdims=True)
    unit = normals / np.maximum(length, 1e-12)
    # Backs of open sheets are seen too: light them as if turned round, a little darker.
    behind = unit[:, 2] < 0
    unit = np.where(behind[:, None], -unit, unit)
    lit = np.clip(unit @ np.array([-0.42, 0.62, 0.66]), 0, 1)[:, None]
    colour = SHADE + (CLAY - SHADE) * lit**0.8 + (LIGHT - CLAY) * 0.55 * lit**12
    return np.where(behind[:, None], colour * 0.82, colour)
