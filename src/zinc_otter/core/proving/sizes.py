"""Sizes that are held: an extent, a space that it fits in, a bore."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.proof.bore import bore
from zinc_otter.core.proving.base import Ground, Proof, Verdict, above, at
from zinc_otter.core.words import extent, length_words


@dataclass(frozen=True)
class SizeHeld(Proof):
    """The surface's extent along an axis is ``size`` mm, give or take ``tolerance``."""

    what: ClassVar[str] = "Size held"
    asks_bodies: ClassVar[bool] = True
    axis: Literal["x", "y", "z"] = "x"
    size: float = 50.0
    tolerance: float = 0.1
    kind: Literal["size"] = "size"

    def __post_init__(self) -> None:
        super().__post_init__()
        above(self.what, size=self.size, tolerance=self.tolerance)

    def asked(self, name_of: Callable[[str], str]) -> str:
        return f"{name_of(self.piece)} {length_words(self.size)} ± {length_words(self.tolerance)} along {self.axis}"

    def judge(self, ground: Ground) -> Verdict:
        k = "xyz".index(self.axis)
        now = float(np.ptp(ground.points[:, k]))
        off = now - self.size
        words = f"It measures {length_words(now)}"
        if abs(off) <= self.tolerance + 1e-9:
            return Verdict("holds", f"{words}.", now)
        which = int(ground.points[:, k].argmax())
        said = f"{words}, {length_words(abs(off))} too {'long' if off > 0 else 'short'}."
        return Verdict("fails", said, now, at(ground.points[which]))


@dataclass(frozen=True)
class FitsIn(Proof):
    """It fits into a box of ``size`` mm, turned by quarters if that helps and ``turned`` allows it."""

    what: ClassVar[str] = "Fits in"
    asks_bodies: ClassVar[bool] = True
    size: Vec = (100.0, 100.0, 100.0)
    turned: bool = True
    kind: Literal["fits-in"] = "fits-in"

    def __post_init__(self) -> None:
        super().__post_init__()
        above(self.what, width=self.size[0], depth=self.size[1], height=self.size[2])

    def asked(self, name_of: Callable[[str], str]) -> str:
        return f"{name_of(self.piece)} fits in {extent(self.size)}"

    def judge(self, ground: Ground) -> Verdict:
        own, room = np.ptp(ground.points, axis=0), np.array(self.size)
        if self.turned:
            own, room = np.sort(own), np.sort(room)
        over = own - room
        said = extent(np.ptp(ground.points, axis=0))
        if (over <= 1e-9).all():
            return Verdict("holds", f"It measures {said}.", float(over.max()))
        return Verdict("fails", f"It measures {said}, {length_words(float(over.max()))} too much.", float(over.max()))


@dataclass(frozen=True)
class BoreHeld(Proof):
    """The widest cylinder through it is ``diameter`` mm, give or take ``tolerance``."""

    what: ClassVar[str] = "Bore held"
    asks_bodies: ClassVar[bool] = True
    diameter: float = 17.3
    tolerance: float = 0.05
    kind: Literal["bore"] = "bore"

    def __post_init__(self) -> None:
        super().__post_init__()
        above(self.what, bore=self.diameter, tolerance=self.tolerance)

    def asked(self, name_of: Callable[[str], str]) -> str:
        return f"Bore of {name_of(self.piece)} {length_words(self.diameter)} ± {length_words(self.tolerance)}"

    def judge(self, ground: Ground) -> Verdict:
        found = bore(ground.points, ground.triangles)
        if found is None:
            return Verdict("fails", "No cylinder goes through it along x, y or z.")
        off = found.diameter - self.diameter
        words = f"The bore is {length_words(found.diameter)}"
        if abs(off) <= self.tolerance + 1e-9:
            return Verdict("holds", f"{words}.", found.diameter, at(np.array(found.point)))
        said = f"{words}, {length_words(abs(off))} too {'wide' if off > 0 else 'narrow'}."
        return Verdict("fails", said, found.diameter, at(np.array(found.point)))
