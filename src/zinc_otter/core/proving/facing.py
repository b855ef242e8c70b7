"""How the surface faces a direction: draft for a mould, overhang for printing."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.cage.topology import Bools, Floats
from zinc_otter.core.errors import BadNumberError, Place
from zinc_otter.core.proof.walls import point_normals
from zinc_otter.core.proving.base import Ground, Proof, Valued, Verdict
from zinc_otter.core.remark import at_points
from zinc_otter.core.words import figures

_MARKED = 24


def facing(ground: Ground, along: Vec) -> tuple[Floats, Floats, Floats]:
    """(m,) degrees by which each triangle looks up from the plane square to a direction, their areas, and middles (m, 3)."""
    a, b, c = (ground.points[ground.triangles[:, k]] for k in range(3))
    across = np.cross(b - a, c - a)
    area = np.linalg.norm(across, axis=1) / 2
    up = np.clip(across @ _way(along) / np.maximum(2 * area, 1e-300), -1, 1)
    return np.degrees(np.arcsin(up)), area, (a + b + c) / 3


def _up(ground: Ground, along: Vec) -> Floats:
    """(n,) degrees by which the surface looks up from the plane square to a direction, at its points."""
    return np.degrees(np.arcsin(np.clip(point_normals(ground.points, ground.triangles) @ _way(along), -1, 1)))


def _way(along: Vec) -> Floats:
    return unit(np.asarray(along, dtype=np.float64)[None])[0]


def check_direction(what: str, along: Vec) -> None:
    """Raise BadNumberError for a direction of no length."""
    if np.linalg.norm(along) < 1e-12:
        raise BadNumberError(f"{what}: a direction must not be nothing.")


@dataclass(frozen=True)
class Draft(Proof):
    """No wall is steeper than ``least`` degrees of draft along a direction, so that a mould comes off both ways.

    What faces along the direction comes off that way, what faces against it the other way; between them lie steep walls.
    """

    what: ClassVar[str] = "Draft"
    asks_bodies: ClassVar[bool] = True
    along: Vec = (0.0, 0.0, 1.0)
    least: float = 1.0
    kind: Literal["draft"] = "draft"

    def __post_init__(self) -> None:
        super().__post_init__()
        check_direction(self.what, self.along)
        if not 0 <= self.least < 90:
            raise BadNumberError(f"A draft is 0 to 90°; {self.least:g}° is not.")

    def asked(self, name_of: Callable[[str], str]) -> str:
        return f"{name_of(self.piece)} with {self.least:g}° of draft along {_said(self.along)}"

    def map(self, at: Ground) -> Valued | None:
        return Valued(np.abs(_up(at, self.along)), self.least, "°")

    def judge(self, ground: Ground) -> Verdict:
        up, area, middles = facing(ground, self.along)
        steep = np.abs(up) < self.least
        share = 100 * float(area[steep].sum() / area.sum())
        if share < 1e-3:
            return Verdict("holds", f"No wall is steeper than {self.least:g}° of draft.", share)
        words = f"{figures(share)} % of the surface has less than {self.least:g}° of draft."
        return Verdict("fails", words, share, _worst(middles, np.abs(up), steep))


@dataclass(frozen=True)
class Overhang(Proof):
    """Nothing of the surface hangs over by more than ``most`` degrees from upright, as it stands along a direction; what
    lies on the floor does not count."""

    what: ClassVar[str] = "Overhang"
    asks_bodies: ClassVar[bool] = True
    along: Vec = (0.0, 0.0, 1.0)
    most: float = 45.0
    kind: Literal["overhang"] = "overhang"

    def __post_init__(self) -> None:
        super().__post_init__()
        check_direction(self.what, self.along)
        if not 0 < self.most < 90:
            raise BadNumberError(f"An overhang is 0 to 90°; {self.most:g}° is not.")

    def asked(self, name_of: Callable[[str], str]) -> str:
        return f"{name_of(self.piece)} hangs over by at most {self.most:g}° along {_said(self.along)}"

    def map(self, at: Ground) -> Valued | None:
        return Valued(np.where(self._lies(at, at.points), -90.0, -_up(at, self.along)), self.most, "°", below=False)

    def _lies(self, ground: Ground, places: Floats) -> Bools:
        """Which places (k, 3) lie on the floor."""
        height = ground.points @ _way(self.along)
        return np.asarray(places @ _way(self.along) <= height.min() + 1e-3 * max(float(np.ptp(height)), 1e-9))

    def judge(self, ground: Ground) -> Verdict:
        up, area, middles = facing(ground, self.along)
        hangs = (-up > self.most) & ~self._lies(ground, middles)
        share = 100 * float(area[hangs].sum() / area.sum())
        if share < 1e-3:
            return Verdict("holds", f"Nothing hangs over by more than {self.most:g}°.", share)
        words = f"{figures(share)} % of the surface hangs over by more than {self.most:g}°."
        return Verdict("fails", words, share, _worst(middles, up, hangs))


def _worst(middles: Floats, value: Floats, at_fault: Bools) -> Place:
    which = np.flatnonzero(at_fault)
    order = which[np.argsort(value[which])]
    return at_points(middles[order[:: max(1, len(order) // _MARKED)][:_MARKED]])


def _said(along: Vec) -> str:
    for name, axis in (("x", 0), ("y", 1), ("z", 2)):
        for sign, word in ((1, ""), (-1, "-")):
            if np.allclose(_way(along), sign * np.eye(3)[axis]):
                return f"{word}{name}"
    return " ".join(f"{v:.2g}" for v in along)
