"""The wall is thick enough everywhere."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np
from scipy.spatial import cKDTree

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.proof.inner_ball import inner_balls
from zinc_otter.core.proof.walls import point_normals, straight_inwards
from zinc_otter.core.proving.base import OPEN, Ground, Proof, Valued, Verdict, above
from zinc_otter.core.proving.base import at as place_at
from zinc_otter.core.remark import at_points
from zinc_otter.core.words import length_words, percent_words

_COARSE, _FINE = 1_500, 12_000
_FEWER = 4
"""Balls take so much longer than rays where many places touch one at once."""
_BETWEEN = 4
_MARKED = 24
_ROUNDS, _FEW = 12, 2
"""In how many a ball is brought to its size; in a drag it may stay a little too large."""


@dataclass(frozen=True)
class Wall(Proof):
    """At least ``least`` mm of material at any point of the surface, measured ``by`` what goes straight inwards from it, or
    by the diameter of the largest ball within that touches it there.

    Rays go square to the surface at its dense points. In a wedge they tell more than there is, and a ball tells how far the
    sides are apart; towards sharp edges a ball comes to nothing, whatever the wall. In a drag about fifteen hundred points
    are looked at, at rest up to twelve thousand, and a quarter of that by balls: the words say how many.
    """

    what: ClassVar[str] = "Wall"
    asks_bodies: ClassVar[bool] = True
    least: float = 0.8
    by: Literal["ray", "ball"] = "ray"
    kind: Literal["wall"] = "wall"

    def __post_init__(self) -> None:
        super().__post_init__()
        above(self.what, least=self.least)

    def asked(self, name_of: Callable[[str], str]) -> str:
        ball = ", by the ball inside" if self.by == "ball" else ""
        return f"Wall of {name_of(self.piece)} at least {length_words(self.least)}{ball}"

    def judge(self, ground: Ground) -> Verdict:
        if not ground.closed:
            return OPEN
        which = self._looked_at(ground)
        walls = thickness(ground, which, self.by)
        worst = int(walls.argmin())
        thin = walls < self.least - 1e-6
        found = f"{length_words(float(walls[worst]))} where it is thinnest, of {len(which):,} points"
        if not thin.any():
            return Verdict("holds", f"Wall {found}.", float(walls[worst]), place_at(ground.points[which[worst]]))
        order = np.argsort(walls)[: min(_MARKED, int(thin.sum()))]
        words = f"Wall {found}; {percent_words(float(thin.mean()))} of them lie below {length_words(self.least)}."
        return Verdict("fails", words, float(walls[worst]), at_points(ground.points[which[order]]))

    def map(self, at: Ground) -> Valued | None:
        if not at.closed:
            return None
        if self.by == "ray":
            return Valued(thickness(at, np.arange(len(at.points))), self.least, "mm")
        # Told at fewer places, and between them by the nearest, the nearer the more.
        which = self._looked_at(at)
        away, nearest = cKDTree(at.points[which]).query(at.points, k=min(_BETWEEN, len(which)))
        share = 1 / np.maximum(away, 1e-9) ** 2
        told = (share * thickness(at, which, "ball")[nearest]).sum(axis=1) / share.sum(axis=1)
        return Valued(told, self.least, "mm")

    def _looked_at(self, ground: Ground) -> Ints:
        most = (_FINE if ground.fine else _COARSE) // (_FEWER if self.by == "ball" else 1)
        which = np.arange(len(ground.points))
        return which[:: -(-len(which) // most)] if len(which) > most else which


def thickness(ground: Ground, which: Ints, by: Literal["ray", "ball"] = "ray") -> Floats:
    """(k,) mm straight inwards from points of a closed surface to its far side, or the diameters of the balls there."""
    normals = point_normals(ground.points, ground.triangles)
    walls = straight_inwards(ground.points, ground.triangles, normals, which, 2 if ground.fine else 1)
    if by == "ray":
        return walls
    return inner_balls(ground.points, normals, which, walls, _ROUNDS if ground.fine else _FEW)
