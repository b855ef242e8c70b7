"""The wall is thick enough everywhere."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.proof.rays import Rays
from zinc_otter.core.proving.base import OPEN, Ground, Proof, Valued, Verdict, above
from zinc_otter.core.proving.base import at as place_at
from zinc_otter.core.remark import at_points
from zinc_otter.core.words import millimetres

_COARSE, _FINE = 1_500, 12_000
_MARKED = 24


@dataclass(frozen=True)
class Wall(Proof):
    """At least ``least`` mm of material straight inwards from any point of the surface.

    Along rays square to the surface at its dense points, so that beside a sharp edge, where the far side is another face, it
    is measured there as well. In a drag about fifteen hundred points are looked at, at rest up to twelve thousand: the words
    say how many.
    """

    what: ClassVar[str] = "Wall"
    least: float = 0.8
    kind: Literal["wall"] = "wall"

    def __post_init__(self) -> None:
        super().__post_init__()
        above(self.what, least=self.least)

    def asked(self, name_of: Callable[[str], str]) -> str:
        return f"Wall of {name_of(self.piece)} at least {millimetres(self.least)}"

    def judge(self, ground: Ground) -> Verdict:
        if not ground.closed:
            return OPEN
        which = np.arange(len(ground.points))
        most = _FINE if ground.fine else _COARSE
        if len(which) > most:
            which = which[:: -(-len(which) // most)]
        walls = thickness(ground, which)
        worst = int(walls.argmin())
        thin = walls < self.least - 1e-6
        found = f"{millimetres(float(walls[worst]))} where it is thinnest, of {len(which):,} points"
        if not thin.any():
            return Verdict("holds", f"Wall {found}.", float(walls[worst]), place_at(ground.points[which[worst]]))
        order = np.argsort(walls)[: min(_MARKED, int(thin.sum()))]
        share = 100 * thin.mean()
        words = f"Wall {found}; {share:.2g} % of them lie below {millimetres(self.least)}."
        return Verdict("fails", words, float(walls[worst]), at_points(ground.points[which[order]]))

    def map(self, at: Ground) -> Valued | None:
        return Valued(thickness(at, np.arange(len(at.points))), self.least, "mm") if at.closed else None


def thickness(ground: Ground, which: Ints) -> Floats:
    """(k,) mm straight inwards from points of a closed surface to its far side."""
    rays = Rays(ground.points, ground.triangles)
    normals = point_normals(ground.points, ground.triangles)[which]
    reach = float(np.ptp(ground.points, axis=0).max())
    begin = ground.points[which] - 1e-6 * reach * normals
    # A ray that runs along an edge between triangles, or through a corner, may slip between them: beside it goes a second
    # one, a hair aside, and a third where both were lost.
    aside = np.cross(normals, np.roll(normals, 1, axis=1) + [0.3, 0.1, 0.2])
    ends = np.full(len(which), np.inf)
    # In a drag a map of many points is told with one ray each.
    for shift in (0.0, 3e-5, -7e-5) if ground.fine else (0.0, -7e-5):
        asked = np.arange(len(which)) if shift >= 0 else np.flatnonzero(~np.isfinite(ends))
        if len(asked):
            found = rays.out(begin[asked] + shift * reach * aside[asked], -normals[asked])
            ends[asked] = np.minimum(ends[asked], found)
    return np.asarray(np.where(np.isfinite(ends), ends + 1e-6 * reach, reach))


def point_normals(points: Floats, triangles: Ints) -> Floats:
    """(n, 3) outward normals at points, by the areas about them."""
    a, b, c = (points[triangles[:, k]] for k in range(3))
    across = np.cross(b - a, c - a)
    sums = np.zeros_like(points)
    for k in range(3):
        for axis in range(3):
            sums[:, axis] += np.bincount(triangles[:, k], across[:, axis], len(points))
    return unit(sums)
