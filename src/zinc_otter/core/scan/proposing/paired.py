"""Triangles of a coarse mesh paired into quads across the edges that lie aslant in the field of crosses."""

from __future__ import annotations

from collections.abc import Iterable

import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats, Ints

_LEAST = 0.15
"""Quads that are worse than this stay two triangles."""


def paired(
    points: Floats, triangles: Ints, normals: Floats, along: Floats, kept: Iterable[tuple[int, int]] = ()
) -> list[list[int]]:
    """Faces of four corners and of three, as rings of point numbers; the best pairs first.

    A pair is as good as its quad's corners are square and its own edge lies between the arms of the crosses (``along``
    (k, 3), with the ``normals`` (k, 3) of the points). Edges that are ``kept``, the lesser point first, part what lies on
    both sides.
    """
    beside: dict[tuple[int, int], list[int]] = {}
    for k, (a, b, c) in enumerate(triangles.tolist()):
        for x, y in ((a, b), (b, c), (c, a)):
            beside.setdefault((min(x, y), max(x, y)), []).append(k)
    found = []
    apart = set(kept)
    for (x, y), pair in beside.items():
        if len(pair) == 2 and (x, y) not in apart:
            ring = _ring(triangles[pair[0]].tolist(), triangles[pair[1]].tolist(), x, y)
            good = _squareness(points[ring], normals[ring]) * (0.35 + 0.65 * _aslant(points, normals, along, x, y))
            found.append((good, pair, ring))
    taken: set[int] = set()
    faces: list[list[int]] = []
    for good, pair, ring in sorted(found, key=lambda one: -one[0]):
        if good < _LEAST or taken & set(pair):
            continue
        taken |= set(pair)
        faces.append(ring)
    return faces + [triangles[k].tolist() for k in range(len(triangles)) if k not in taken]


def _ring(one: list[int], other: list[int], x: int, y: int) -> list[int]:
    """Both triangles' corners around their quad."""
    k = next(k for k in range(3) if {one[k], one[(k + 1) % 3]} == {x, y})
    far = next(v for v in other if v not in (x, y))
    return [one[k], far, one[(k + 1) % 3], one[(k + 2) % 3]]


def _squareness(corners: Floats, normals: Floats) -> float:
    """1 for a square, 0 where a corner is flat or turns back."""
    ahead, back = np.roll(corners, -1, axis=0) - corners, np.roll(corners, 1, axis=0) - corners
    ahead, back = unit(ahead), unit(back)
    turn = (np.cross(ahead, back) * normals).sum(axis=1)
    return float(np.clip(turn.min(), 0, 1))


def _aslant(points: Floats, normals: Floats, along: Floats, x: int, y: int) -> float:
    """1 where an edge lies in the middle between two arms, 0 along one of them."""
    total = 0.0
    for at in (x, y):
        way = points[y] - points[x]
        across = np.cross(normals[at], along[at])
        angle = np.arctan2(way @ across, way @ along[at])
        total += abs(np.sin(2 * angle))
    return total / 2
