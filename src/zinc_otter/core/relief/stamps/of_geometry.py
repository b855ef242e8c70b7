"""Stamps taken from a form as it is seen from one side, with its true height; and the relief of a form as a height map."""

from __future__ import annotations

import igl
import numpy as np

from zinc_otter.core.cage.plane import Vec, frame_along
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.relief.relief import ReliefError
from zinc_otter.core.relief.stamps.stamp import Stamp


def seen_from(points: Floats, triangles: Ints, along: Vec, pixels: int = 256) -> Stamp:
    """What is seen of triangles (m, 3) against the direction ``along``, as a stamp.

    Its rectangle just holds the form, its longer side is so many ``pixels``; beside the form it is as low as the lowest that
    is seen. Raises ReliefError for a form without height there.
    """
    heights, width, _ = _looked(points, triangles, along, pixels, None)
    low, top = np.nanmin(heights), np.nanmax(heights)
    if not top - low > 1e-6:
        raise ReliefError("Seen from there the form is flat: it makes no stamp.")
    map_ = np.nan_to_num((heights - low) / (top - low), nan=0.0)
    return Stamp(map_.astype(np.float32), width=width, height=float(top - low))


def risen_over(raised: Floats, plain: Floats, triangles: Ints, along: Vec, pixels: int) -> tuple[Floats, float]:
    """(h, w) mm by which a raised surface stands nearer to an eye that looks against ``along`` than the plain one, NaN where
    either is not seen; and how wide (mm) the map is."""
    bounds = np.concatenate([raised, plain])
    one, width, _ = _looked(raised, triangles, along, pixels, bounds)
    other, _, _ = _looked(plain, triangles, along, pixels, bounds)
    return one - other, width


def _looked(points: Floats, triangles: Ints, along: Vec, pixels: int, within: Floats | None) -> tuple[Floats, float, float]:
    """Heights (h, w) along a direction at the middles of pixels, the first row at the top, NaN beside the form; its size
    in mm."""
    right, up, out = _frame(along)
    seen = np.column_stack([points @ right, points @ up, points @ out])
    whole = seen if within is None else np.column_stack([within @ right, within @ up, within @ out])
    low, top = whole.min(axis=0), whole.max(axis=0)
    width, height = (float(v) for v in (top - low)[:2])
    if min(width, height) < 1e-6:
        raise ReliefError("Seen from there the form is a line.")
    step = max(width, height) / pixels
    columns, rows = max(2, round(width / step)), max(2, round(height / step))
    x = low[0] + (np.arange(columns) + 0.5) * width / columns
    y = top[1] - (np.arange(rows) + 0.5) * height / rows
    above = float(top[2] + (top[2] - low[2]) + 1.0)
    begin = np.stack([*np.meshgrid(x, y), np.full((rows, columns), above)], axis=-1).reshape(-1, 3)
    tree = igl.AABB()
    vertices, faces = np.ascontiguousarray(seen), np.ascontiguousarray(triangles, dtype=np.int64)
    tree.init(vertices, faces)
    hit, far, _ = tree.intersect_ray_first(vertices, faces, begin, np.broadcast_to([0.0, 0, -1], begin.shape).copy())
    met = np.asarray(hit).reshape(-1) >= 0
    heights = np.where(met, above - np.asarray(far).reshape(-1), np.nan)
    return heights.reshape(rows, columns), width, height


def _frame(along: Vec) -> tuple[Floats, Floats, Floats]:
    """To the right, up and towards the eye: up is z, or y for an eye above or below."""
    out = frame_along(along)[:, 2]
    upright = np.array([0.0, 0.0, 1.0]) if abs(out[2]) < 0.9 else np.array([0.0, 1.0, 0.0])
    right = np.cross(upright, out)
    right /= np.linalg.norm(right)
    return right, np.cross(out, right), out
