"""Where the centre of mass lies, and how far the form can be tilted until it tips over; of one even material."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np
from scipy.spatial import ConvexHull, QhullError

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.plane import Vec, frame_along
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.proving.base import OPEN, Ground, Proof, Verdict, above, at
from zinc_otter.core.solid.moments import moments
from zinc_otter.core.words import bare_length, length_words, number, told_in

_TOUCHES = 0.02
"""Millimetres above the ground up to which the form stands on it."""


@dataclass(frozen=True)
class CentreOfMass(Proof):
    """Along an ``axis`` the centre of mass lies from ``least`` to ``most`` mm."""

    what: ClassVar[str] = "Centre of mass"
    asks_bodies: ClassVar[bool] = True
    axis: Literal["x", "y", "z"] = "z"
    least: float = 0.0
    most: float = 10.0
    kind: Literal["centre-of-mass"] = "centre-of-mass"

    def __post_init__(self) -> None:
        super().__post_init__()
        if self.most < self.least:
            raise BadNumberError(f"{self.what}: it lies from the lesser to the larger number; {self.most:g} is the lesser.")

    def asked(self, name_of: Callable[[str], str]) -> str:
        between = f"between {bare_length(self.least)} and {length_words(self.most)}"
        return f"Centre of mass of {name_of(self.piece)} along {self.axis} {between}"

    def judge(self, ground: Ground) -> Verdict:
        if not ground.closed:
            return OPEN
        centre = moments(ground.points, ground.triangles).centre
        now = float(centre["xyz".index(self.axis)])
        off = max(self.least - now, now - self.most)
        x, y, z = (bare_length(float(part)) for part in centre)
        words = f"It lies at x {x}, y {y}, z {z} {told_in()}"
        if off <= 1e-9:
            return Verdict("holds", f"{words}.", now, at(centre))
        said = f"{words}, {length_words(off)} too {'low' if now < self.least else 'high'}."
        return Verdict("fails", said, now, at(centre))


@dataclass(frozen=True)
class StandsUp(Proof):
    """Put down along the opposite of ``up``, it can be tilted by ``least`` degrees and comes back.

    It stands on the hull of what touches the ground, and tips over an edge of it when its centre of mass has come over that
    edge (statics of a rigid body).
    """

    what: ClassVar[str] = "Stands up"
    asks_bodies: ClassVar[bool] = True
    up: Vec = (0.0, 0.0, 1.0)
    least: float = 10.0
    kind: Literal["stands-up"] = "stands-up"

    def __post_init__(self) -> None:
        super().__post_init__()
        above(self.what, angle=self.least)
        if self.least >= 90 or not np.linalg.norm(self.up) > 1e-9:
            raise BadNumberError(f"{self.what}: it is tilted by less than 90°, from a direction that is not nothing.")

    def asked(self, name_of: Callable[[str], str]) -> str:
        return f"{name_of(self.piece)} comes back when tilted by {number(self.least, 1)}°"

    def judge(self, ground: Ground) -> Verdict:
        if not ground.closed:
            return OPEN
        frame = frame_along(tuple(unit(np.asarray(self.up, dtype=np.float64)).tolist()))
        centre = moments(ground.points, ground.triangles).centre @ frame
        points = ground.points @ frame
        low = float(points[:, 2].min())
        feet = points[points[:, 2] <= low + _TOUCHES]
        degrees, where = _tips_at(feet[:, :2], centre[:2], float(centre[2]) - low)
        place = at(frame @ np.array([*where, low]))
        if degrees < 0:
            return Verdict("fails", "It falls over: its centre of mass does not lie over what it stands on.", degrees, place)
        holds = degrees >= self.least - 1e-9
        words = f"It tips over at {number(degrees, 1)}°; its centre of mass lies {length_words(float(centre[2]) - low)} up."
        return Verdict("holds" if holds else "fails", words, degrees, place)


def _tips_at(feet: Floats, centre: Floats, high: float) -> tuple[float, Floats]:
    """The least tilt in degrees that brings a centre so ``high`` over an edge of the hull of ``feet`` (k, 2), below 0 where
    it is beyond one already; and the nearest point (2,) of that edge."""
    try:
        hull = ConvexHull(feet)
    except (QhullError, ValueError):
        # It stands on a point or a line.
        nearest = feet[np.linalg.norm(feet - centre, axis=1).argmin()]
        return (-1.0 if np.linalg.norm(nearest - centre) > 1e-6 else 0.0), nearest
    within = -(hull.equations[:, :2] @ centre + hull.equations[:, 2])
    worst = int(within.argmin())
    nearest = centre + within[worst] * hull.equations[worst, :2]
    return float(np.degrees(np.arctan2(within[worst], high))), nearest
