"""The gate for every way out: whether triangles bound a solid that may be handed on."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.proof.crossing import meetings
from zinc_otter.core.remark import Remark, at_points
from zinc_otter.core.same_rows import same_rows

MOST_PLACES = 24
"""So many places are shown of one fault; the words tell how many there are."""
_SAME = 1e-9
"""Of the extent: points nearer than this are one."""


@dataclass(frozen=True)
class Soundness:
    """``faults`` are why a body is not to be handed on as it is; ``warnings`` are only told. ``crossings`` counts pairs."""

    faults: tuple[Remark, ...]
    warnings: tuple[Remark, ...]
    crossings: int


def looked_over(points: Floats, triangles: Ints) -> Soundness:
    """Look at triangles (m, 3) over points (n, 3) mm: every edge between just two of them that agree, none crossing another.

    Points in one place count as one, so that parts that touch along a line show as an edge of four faces.
    """
    found = meetings(points, triangles)
    faults = [*_bad_edges(points, triangles)]
    if len(found.cross):
        count = len(found.cross)
        faults.append(
            Remark(
                f"The body runs through itself: {count} {'pair' if count == 1 else 'pairs'} of triangles cross.",
                at_points(_spread(_middles(points, triangles, found.cross))),
            )
        )
    warnings = []
    if len(found.touch):
        warnings.append(
            Remark(
                "The body touches itself without being joined there.",
                at_points(_spread(_middles(points, triangles, found.touch))),
            )
        )
    return Soundness(tuple(faults), tuple(warnings), len(found.cross))


def _bad_edges(points: Floats, triangles: Ints) -> list[Remark]:
    corner, at = joined(points, triangles)
    ends = np.concatenate([corner[:, [0, 1]], corner[:, [1, 2]], corner[:, [2, 0]]])
    key = np.sort(ends, axis=1) @ [len(at), 1]
    ahead = ends[:, 0] < ends[:, 1]
    edges, index, times = np.unique(key, return_inverse=True, return_counts=True)
    balance = np.bincount(index.reshape(-1), np.where(ahead, 1, -1), minlength=len(edges))
    middle = (at[edges // len(at)] + at[edges % len(at)]) / 2
    remarks = []
    for bad, one, many in (
        (times == 1, "1 edge is open: it has one face only.", "{} edges are open: they have one face only."),
        (times > 2, "1 edge has more than two faces: parts of the body touch along it.",
         "{} edges have more than two faces: parts of the body touch along them."),
        ((times == 2) & (balance != 0), "1 edge lies between faces that look to different sides.",
         "{} edges lie between faces that look to different sides."),
    ):  # fmt: skip
        if bad.any():
            count = int(bad.sum())
            remarks.append(Remark(one if count == 1 else many.format(count), at_points(_spread(middle[bad]))))
    return remarks


def joined(points: Floats, triangles: Ints) -> tuple[Ints, Floats]:
    """The triangles with points in one place as one, less those that come to nothing so; and the points."""
    grid = _SAME * max(float(np.ptp(points, axis=0).max()), 1e-12)
    first, same = same_rows(np.rint(points / grid))
    corner = same[triangles]
    flat = (corner == np.roll(corner, 1, axis=1)).any(axis=1)
    return corner[~flat], points[first]


def _middles(points: Floats, triangles: Ints, pairs: Ints) -> Floats:
    """(k, 3) where pairs of triangles meet: between the middles of both, nearer to the smaller one."""
    corners = points[triangles[pairs]]
    middles = corners.mean(axis=2)
    size = np.ptp(corners, axis=2).max(axis=2)
    weight = 1 / np.maximum(size, 1e-12)
    return np.asarray((middles * (weight / weight.sum(axis=1, keepdims=True))[..., None]).sum(axis=1))


def _spread(points: Floats) -> Floats:
    """A few of many places, spread over all of them: each the one furthest from those taken before."""
    taken = [0]
    away = np.linalg.norm(points - points[0], axis=1)
    while len(taken) < min(MOST_PLACES, len(points)) and away.max() > 1e-9:
        taken.append(int(np.argmax(away)))
        away = np.minimum(away, np.linalg.norm(points - points[taken[-1]], axis=1))
    return points[taken]
