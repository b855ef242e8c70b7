"""A stamp over whole faces: laid once over all of them or tiled, flat along a direction or round an axis."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np
from scipy.spatial import cKDTree

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.plane import Plane, Vec, frame_along
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.relief.levels import deepened
from zinc_otter.core.relief.stamps.stamp import Stamp
from zinc_otter.core.surface.limit_surface import normals_of
from zinc_otter.core.surface.raised import Raised, frames, in_frame
from zinc_otter.core.surface.stencils import Stencils


@dataclass(frozen=True, eq=False)
class Cover:
    """How a stamp is laid over faces.

    ``size`` mm is the width of one tile; 0 lays it once over all, as large as they are. "flat" looks along ``along`` (None
    for the mean normal), "round" goes about ``axis``: tiles are made as wide as fits a whole number of times. ``height`` mm
    stands for white, below 0 it is pressed in; ``soft`` mm from the rim of the faces it fades. ``turned`` degrees.
    """

    stamp: Stamp
    level: int
    height: float
    size: float = 0.0
    way: Literal["flat", "round"] = "flat"
    along: Vec | None = None
    axis: Plane | None = None
    turned: float = 0.0
    soft: float = 1.0

    def __post_init__(self) -> None:
        for name, value, low in (("height", self.height, -1e4), ("size", self.size, 0.0), ("softness", self.soft, 0.0)):
            if not (np.isfinite(value) and low <= value <= 1e5):
                raise BadNumberError(
                    f"The {name} of what is laid over faces is {value:g}; it runs from {low:g} to 100,000 mm."
                )
        if self.way == "round" and self.axis is None:
            raise BadNumberError("Round an axis needs an axis.")


Side = tuple[Ints, Floats, Floats]
"""Faces, and the motion, a matrix (3, 3) and an offset (3,), that brings the faces that were picked onto them."""


def covered(cage: Cage, sides: Sequence[Side], cover: Cover, stencils: Stencils) -> Cage:
    """The cage with a stamp laid over some of its faces, on top of the relief that is there; what a mask protects stays.

    The first of ``sides`` are the faces that were picked, the others their images. ``stencils`` are those of the cage at
    the cover's level. Raises BadSelectionError for no faces, ReliefError.
    """
    faces = np.unique(np.concatenate([side[0] for side in sides]))
    if not len(faces):
        raise BadSelectionError("Pick the faces that the stamp is to cover first.")
    relief = deepened(cage, stencils)
    raised = Raised(stencils, cage.with_relief(relief))
    points = raised.points[cover.level]
    n = len(points)
    mine = np.isin(stencils.face_of_quad, faces)
    verts = np.unique(stencils.quads[mine])
    normals = normals_of(raised.tangent_u[:n], raised.tangent_v[:n])[verts]
    u, v = np.zeros(len(verts)), np.zeros(len(verts))
    for own, matrix, offset in reversed(sides):
        at = np.isin(verts, np.unique(stencils.quads[np.isin(stencils.face_of_quad, own)]))
        # Seen from where it is the image of what was picked.
        u[at], v[at] = _laid((points[verts[at]] - offset) @ matrix, normals[at] @ matrix, cover)
    weights = _off_the_rim(points, verts, stencils.quads[mine], stencils.quads[~mine], stencils, cover.soft)
    if relief.mask is not None:
        weights = weights * (1.0 - relief.mask[verts])
    lifted = (cover.height * cover.stamp.at(u, v) * weights)[:, None] * normals
    below = raised.below.get(cover.level, points)
    there = points[verts] + lifted - below[verts]
    before = relief.detail(cover.level)
    detail = np.zeros((n, 3), dtype=np.float32) if before is None else before.copy()
    detail[verts] = in_frame(frames(stencils, cover.level, below, verts), there)
    return cage.with_relief(relief.with_detail(cover.level, detail))


def _laid(points: Floats, normals: Floats, cover: Cover) -> tuple[Floats, Floats]:
    """Where points (m, 3) lie on the stamp: shares of its width and of its height."""
    if cover.way == "round":
        return _round(points, cover)
    out = unit(normals.sum(axis=0)) if cover.along is None else frame_along(cover.along)[:, 2]
    upright = np.array([0.0, 0.0, 1.0]) if abs(out[2]) < 0.9 else np.array([0.0, 1.0, 0.0])
    right = unit(np.cross(upright, out))
    c, s = np.cos(np.radians(cover.turned)), np.sin(np.radians(cover.turned))
    flat, high = points @ right, points @ np.cross(out, right)
    x, y = c * flat + s * high, c * high - s * flat
    if cover.size:
        return (x - x.mean()) / cover.size + 0.5, (y - y.mean()) / (cover.size * cover.stamp.aspect) + 0.5
    # Once over all: as large as just holds them, without being stretched.
    wide = max(float(np.ptp(x)), float(np.ptp(y)) / cover.stamp.aspect, 1e-9)
    return (x - 0.5 * (x.min() + x.max())) / wide + 0.5, (y - 0.5 * (y.min() + y.max())) / (wide * cover.stamp.aspect) + 0.5


def _round(points: Floats, cover: Cover) -> tuple[Floats, Floats]:
    axis = cover.axis
    assert axis is not None
    first, second, along = frame_along(axis.normal).T
    arms = points - np.asarray(axis.point)
    x, y = arms @ first, arms @ second
    radius = float(np.median(np.hypot(x, y)))
    around = 2 * np.pi * radius
    high = arms @ along
    size = cover.size or around
    times = max(1, round(around / size))
    tall = around / times * cover.stamp.aspect
    return np.arctan2(y, x) / (2 * np.pi) * times + cover.turned / 360 * times, (
        high - 0.5 * (high.min() + high.max())
    ) / tall + 0.5


def _off_the_rim(points: Floats, verts: Ints, mine: Ints, others: Ints, stencils: Stencils, soft: float) -> Floats:
    """(m,) 0 on the rim of the faces, where others or nothing begin, to 1 at ``soft`` mm from it."""
    t = stencils.finest.topology
    border = np.unique(t.edge_verts[t.open_edges])
    rim = np.union1d(np.intersect1d(verts, np.unique(others)), np.intersect1d(verts, border))
    if not len(rim):
        return np.ones(len(verts))
    away, _ = cKDTree(points[rim]).query(points[verts])
    share = np.clip(away / soft, 0, 1) if soft > 0 else (away > 0).astype(float)
    return np.asarray(share * share * (3 - 2 * share))
