"""A stone as a solid: facets from half-spaces, or turned from a profile; table up along z, the girdle about z = 0."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from functools import cached_property

import numpy as np
from scipy.spatial import HalfspaceIntersection

from zinc_otter.core.cage.cage import HARD, Cage, unit
from zinc_otter.core.cage.topology import Floats, Ints, read_only
from zinc_otter.core.errors import BadNumberError

SAME = 1e-9
"""Of a stone's size: corners that lie nearer to one another are one."""


@dataclass(frozen=True, eq=False)
class Gem:
    """Corners ``points`` (n, 3) mm, ``facets`` as loops of them that look outwards, and the girdle's ``outline`` (m, 2).

    The girdle reaches from ``-girdle`` / 2 to ``girdle`` / 2. Of a stone with round parts ``exact`` is its true volume in
    mm³, where its facets are a little within.
    """

    points: Floats
    facets: tuple[Ints, ...]
    outline: Floats
    girdle: float
    exact: float | None = None

    def __post_init__(self) -> None:
        read_only(self.points)
        read_only(self.outline)

    @property
    def volume(self) -> float:
        """mm³."""
        return self.faceted_volume if self.exact is None else self.exact

    @cached_property
    def faceted_volume(self) -> float:
        """mm³ within the facets, by the divergence theorem."""
        a, b, c = self.points[self.triangles].transpose(1, 0, 2)
        return float((a * np.cross(b, c)).sum() / 6)

    @cached_property
    def triangles(self) -> Ints:
        """(k, 3) fans of the facets, each facet's together."""
        return np.array([[loop[0], loop[i], loop[i + 1]] for loop in self.facets for i in range(1, len(loop) - 1)])

    @cached_property
    def facet_of(self) -> Ints:
        """(k,) the facet of each triangle."""
        return np.repeat(np.arange(len(self.facets)), [len(loop) - 2 for loop in self.facets])

    @cached_property
    def normals(self) -> Floats:
        """(f, 3) outward unit normals of the facets."""
        found = []
        for loop in self.facets:
            p = self.points[loop]
            found.append(np.cross(p - p[0], np.roll(p, -1, axis=0) - p[0]).sum(axis=0))
        return unit(np.array(found))

    @cached_property
    def cage(self) -> Cage:
        """The same as a cage whose edges are all hard, so that its smooth surface is just these facets."""
        soft = Cage.from_faces(self.points, [loop.tolist() for loop in self.facets])
        return soft.with_sharpness(np.full(soft.topology.edge_count, HARD), np.full(len(self.points), HARD))

    @property
    def height(self) -> tuple[float, float]:
        """How far it reaches below and above the girdle's middle: mm, the first one below 0."""
        return float(self.points[:, 2].min()), float(self.points[:, 2].max())

    @cached_property
    def profile(self) -> tuple[tuple[float, float], ...]:
        """(z, share) from below: at no height does it reach further than that share of its outline.

        The shares' upper hull over all corners: since a stone is convex, nothing of it lies outside.
        """
        o = self.outline
        side = np.roll(o, -1, axis=0) - o
        n = np.column_stack([side[:, 1], -side[:, 0]])
        reach = (n * o).sum(axis=1)
        share = (self.points[:, :2] @ n.T / reach).max(axis=1)
        kept: list[tuple[float, float]] = []
        for z, s in sorted(zip(self.points[:, 2].tolist(), share.tolist(), strict=True)):
            if kept and z - kept[-1][0] < SAME:
                kept[-1] = (kept[-1][0], max(kept[-1][1], s))
            else:
                kept.append((z, max(s, 0.0)))
        hull: list[tuple[float, float]] = []
        for z, s in kept:
            while len(hull) > 1 and _is_below(hull[-2], hull[-1], (z, s)):
                hull.pop()
            hull.append((z, s))
        return tuple(hull)

    @cached_property
    def tilts(self) -> Floats:
        """(f,) degrees between each facet and the plane of the girdle: 90 at the girdle, crown and pavilion below that."""
        return np.degrees(np.arctan2(np.hypot(self.normals[:, 0], self.normals[:, 1]), np.abs(self.normals[:, 2])))


def through(a: Sequence[float] | Floats, b: Sequence[float] | Floats, c: Sequence[float] | Floats) -> Floats:
    """(4,) the plane through three points, n and -n·a, looking away from the origin."""
    p, q, r = (np.asarray(x, dtype=np.float64) for x in (a, b, c))
    n = unit(np.cross(q - p, r - p)[None])[0]
    n = n if n @ p > 0 else -n
    return np.append(n, -n @ p)


def tilted(towards: Sequence[float] | Floats, degrees: float, at: Sequence[float] | Floats) -> Floats:
    """(4,) the plane through ``at`` that looks ``towards`` (2,) and is tilted ``degrees`` up from the girdle's plane,
    or down for less than 0."""
    flat = np.asarray(towards, dtype=np.float64) / np.hypot(*towards)
    a = np.radians(abs(degrees))
    n = np.array([flat[0] * np.sin(a), flat[1] * np.sin(a), np.copysign(np.cos(a), degrees)])
    return np.append(n, -n @ np.asarray(at))


def level(z: float, up: bool) -> Floats:
    """(4,) the horizontal plane at ``z``, what lies beyond it cut off."""
    return np.array([0.0, 0.0, 1.0 if up else -1.0, -z if up else z])


def walls(outline: Floats) -> Floats:
    """(m, 4) upright planes along the sides of an ``outline`` (m, 2) that runs counter-clockwise."""
    side = np.roll(outline, -1, axis=0) - outline
    n = np.column_stack([side[:, 1], -side[:, 0]]) / np.linalg.norm(side, axis=1, keepdims=True)
    return np.column_stack([n, np.zeros(len(n)), -(n * outline).sum(axis=1)])


def cut_by(planes: Floats, outline: Floats, girdle: float) -> Gem:
    """What lies on the inner side of all ``planes`` (k, 4), by qhull's intersection of half-spaces.

    Raises BadNumberError where they enclose nothing, or something that reaches to infinity.
    """
    size = float(np.abs(outline).max())
    inside = np.zeros(3)
    if not (planes[:, 3] < -1e-12 * size).all():
        raise BadNumberError("A stone of these proportions has no inside; look at its angles, and at the table.")
    met = HalfspaceIntersection(planes, inside).intersections
    if not np.isfinite(met).all() or np.abs(met).max() > 100 * size:
        raise BadNumberError("A stone of these proportions does not close; look at its angles.")
    points = _once(met, SAME * size)
    off = points @ planes[:, :3].T + planes[:, 3]
    facets = []
    for k, n in enumerate(planes[:, :3]):
        on = np.flatnonzero(np.abs(off[:, k]) < 30 * SAME * size)
        if len(on) >= 3:
            facets.append(_around(points, on, n))
    return Gem(points, tuple(facets), outline, girdle)


def turned(outline: Floats, profile: Sequence[tuple[float, float]], girdle: float, exact: float) -> Gem:
    """Rings of an ``outline`` (m, 2), each at (share of the outline, z) of a ``profile`` from the top to the bottom.

    A share of 0 is a single point. The first and the last ring are closed by a facet.
    """
    count = len(outline)
    points: list[Floats] = []
    rings: list[Ints] = []
    total = 0
    for share, z in profile:
        ring = outline * share if share > 0 else np.zeros((1, 2))
        points.append(np.column_stack([ring, np.full(len(ring), z)]))
        rings.append(total + np.arange(len(ring)))
        total += len(ring)
    facets: list[Ints] = []
    if len(rings[0]) > 1:
        facets.append(rings[0])
    for above, below in zip(rings, rings[1:], strict=False):
        for i in range(count):
            j = (i + 1) % count
            if len(above) == 1:
                facets.append(np.array([above[0], below[i], below[j]]))
            elif len(below) == 1:
                facets.append(np.array([above[j], above[i], below[0]]))
            else:
                facets.append(np.array([above[j], above[i], below[i], below[j]]))
    if len(rings[-1]) > 1:
        facets.append(rings[-1][::-1])
    return Gem(np.concatenate(points), tuple(facets), outline, girdle, exact)


def _once(points: Floats, near: float) -> Floats:
    """Points of which those within ``near`` of one another are one, their mean."""
    from scipy.spatial import cKDTree

    pairs = cKDTree(points).query_pairs(near * 10, output_type="ndarray")
    if not len(pairs):
        return points
    from scipy.sparse import coo_matrix
    from scipy.sparse.csgraph import connected_components

    graph = coo_matrix((np.ones(len(pairs)), (pairs[:, 0], pairs[:, 1])), shape=(len(points),) * 2)
    count, which = connected_components(graph, directed=False)
    sums = np.column_stack([np.bincount(which, points[:, k], count) for k in range(3)])
    return np.asarray(sums / np.bincount(which, minlength=count)[:, None])


def _around(points: Floats, on: Ints, normal: Floats) -> Ints:
    """Corners of a facet in their order, counter-clockwise seen from outside."""
    middle = points[on].mean(axis=0)
    u = unit((points[on[0]] - middle)[None])[0]
    v = np.cross(normal, u)
    away = points[on] - middle
    return np.asarray(on[np.argsort(np.arctan2(away @ v, away @ u))])


def _is_below(a: tuple[float, float], b: tuple[float, float], c: tuple[float, float]) -> bool:
    """Whether b lies on or below the line from a to c."""
    return (b[1] - a[1]) * (c[0] - a[0]) <= (c[1] - a[1]) * (b[0] - a[0]) + 1e-9
