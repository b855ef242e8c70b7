"""A stone in a closed curve, which is its outline."""

from __future__ import annotations

from dataclasses import replace

import numpy as np

from zinc_otter.core.cage.cage import HARD, Cage, unit
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.crossings import crossings
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.pieces import Pieces, pieces_of
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.stone.cuts.drawn import DrawnCabochon, drawn
from zinc_otter.core.surface.nearest import nearest_on

_ROUND_IT = 96
"""Corners of the outline, about: as many as each part between two corners of the curve needs to have them evenly."""
_INWARDS = 1e-3
"""Share of the outline's length by which it may bend inwards, unseen."""
_ROUNDS = 3


def stone_in(curve: Curve, host: Cage | None, like: DrawnCabochon) -> tuple[DrawnCabochon, Floats, Floats, Floats]:
    """The cabochon over a closed curve; where its middle lies (3,), and which way its length and its table look.

    Seen straight down on the form ``host`` where the curve's middle is, or on the curve's own plane, the side up that looks
    up, or else to the front. Raises BadSelectionError for a curve that is open, that bends inwards or crosses itself.
    """
    if not curve.closed:
        raise BadSelectionError("A stone's outline is a closed curve; this one is open. Close it first.")
    line = pieces_of(curve)
    rim = line.at(_places(curve, line))
    middle = rim.mean(axis=0)
    normal = _upwards(line.plane()[1])
    for _ in range(_ROUNDS):
        if host is not None:
            feet, normals = nearest_on(host).at(middle[None])
            middle, normal = feet[0], normals[0]
        ahead, across = _frame(normal)
        flat = (rim - middle) @ np.column_stack([across, ahead])
        at = _centroid(flat)
        middle = middle + at[0] * across + at[1] * ahead
    loop = flat - at
    loop = loop if _area(loop) > 0 else loop[::-1]
    _require_bulging(loop, rim if _area(flat) > 0 else rim[::-1], line, normal)
    return drawn(loop, like), middle, ahead, normal


def _places(curve: Curve, line: Pieces) -> Floats:
    """Parameters of the outline's corners: those of the curve, and evenly between them."""
    ends = _corners(curve, line)
    runs = line.lengths_to(ends)
    lengths = np.diff(np.append(runs, runs[0] + line.length))
    counts = np.maximum(np.round(_ROUND_IT * lengths / line.length), 1).astype(int)
    along = [run + np.arange(count) * length / count for run, count, length in zip(runs, counts, lengths, strict=True)]
    return line.places_at(np.mod(np.concatenate(along), line.length))


def _corners(curve: Curve, line: Pieces) -> Floats:
    """Parameters at which the curve has corners; its beginning where it has none."""
    if curve.degree == 1:
        return line.breaks[:-1]
    before, after = line.bezier[:, 3] - line.bezier[:, 2], np.roll(line.bezier, -1, axis=0)[:, 1] - line.bezier[:, 3]
    bend = (unit(before) * unit(after)).sum(axis=1)
    is_hard = (curve.sharpness >= HARD).any()
    found = np.flatnonzero(bend < np.cos(np.radians(5))) if is_hard else np.zeros(0, dtype=np.int64)
    at = (found + 1) % len(line.bezier)
    return np.sort(line.breaks[at]) if len(at) else line.breaks[:1]


def _upwards(normal: Floats) -> Floats:
    looks = normal[2] if abs(normal[2]) > 1e-6 else -normal[1] if abs(normal[1]) > 1e-6 else normal[0]
    return normal if looks > 0 else -normal


def _frame(normal: Floats) -> tuple[Floats, Floats]:
    """Ahead is up along z, or on what looks there itself, along y."""
    way = np.array([0.0, 0.0, 1.0]) if abs(normal[2]) < 0.9 else np.array([0.0, 1.0, 0.0])
    ahead = unit((way - (way @ normal) * normal)[None])[0]
    return ahead, np.cross(ahead, normal)


def _area(loop: Floats) -> float:
    after = np.roll(loop, -1, axis=0)
    return float((loop[:, 0] * after[:, 1] - loop[:, 1] * after[:, 0]).sum()) / 2


def _centroid(loop: Floats) -> Floats:
    """(2,) of the area; of an outline that encloses none, of its corners."""
    after = np.roll(loop, -1, axis=0)
    twice = loop[:, 0] * after[:, 1] - loop[:, 1] * after[:, 0]
    if abs(twice.sum()) < 1e-9 * (np.ptp(loop, axis=0) ** 2).sum():
        return np.asarray(loop.mean(axis=0))
    return np.asarray(((loop + after) * twice[:, None]).sum(axis=0) / (3 * twice.sum()))


def _require_bulging(loop: Floats, rim: Floats, line: Pieces, normal: Floats) -> None:
    from scipy.spatial import ConvexHull, QhullError

    size = float(np.ptp(loop, axis=0).max())
    side = np.roll(loop, -1, axis=0) - loop
    turned = np.arctan2(
        *((np.roll(side, 1, axis=0)[:, 0] * side[:, 1] - np.roll(side, 1, axis=0)[:, 1] * side[:, 0]),
          (np.roll(side, 1, axis=0) * side).sum(axis=1))
    )  # fmt: skip
    try:
        hull = ConvexHull(loop)
    except QhullError:
        raise BadSelectionError(
            "The curve encloses nothing, seen from where the stone's table looks.", points=rim[:1]
        ) from None
    if abs(turned.sum() / (2 * np.pi) - 1) > 0.5 or _area(loop) < 0.05 * hull.volume:
        # Looked for seen from above; the marks go onto the curve.
        onto = np.eye(3) - np.outer(normal, normal)
        away = crossings(replace(line, bezier=line.bezier @ onto), 1e-4 * size)
        beside = np.linalg.norm((rim @ onto)[None] - away[:, None], axis=2)
        at = rim[beside.argmin(axis=1)] if len(away) else rim[:0]
        raise BadSelectionError("The curve crosses itself, so that it is no outline of a stone.", points=at)
    # How deep each corner lies under the hull: all sides of the hull hold it, the nearest tells.
    deep = -(loop @ hull.equations[:, :2].T + hull.equations[:, 2]).max(axis=1)
    worst = int(deep.argmax())
    if deep[worst] > _INWARDS * size:
        raise BadSelectionError(
            "A stone's outline bulges all round; the curve bends inwards at the marked place. Pull it out there.",
            points=rim[[worst]],
        )
