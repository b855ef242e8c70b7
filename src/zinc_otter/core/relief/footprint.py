"""What lies under a brush, and how much of it each point takes: round, or in the shape of a stamp."""

from __future__ import annotations

from abc import ABC, abstractmethod
from collections.abc import Callable
from dataclasses import dataclass, field, replace
from functools import cache

import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.relief.stroke import Manner


def _none() -> Floats:
    return np.zeros(0)


@dataclass(frozen=True, eq=False)
class Touch:
    """The points ``verts`` (m,) under a touch, their ``arms`` (m, 3) from its ``centre`` and how ``far`` (m,) they are.

    ``normal`` and ``along``, the way of the hand where it ``moves``, are its frame; ``turn`` is -1 in a mirror. ``rank``
    (m,) tells which of several touches counts, ``weights`` how much; ``share`` and ``first`` how images of it share a point.
    """

    verts: Ints
    arms: Floats
    far: Floats
    centre: Floats
    normal: Floats
    turn: float
    matrix: Floats
    along: Floats = field(default_factory=lambda: np.zeros(3))
    moves: bool = False
    rank: Floats = field(default_factory=_none)
    weights: Floats = field(default_factory=_none)
    share: Floats = field(default_factory=_none)
    first: Bools = field(default_factory=lambda: np.zeros(0, dtype=bool))

    def facing(self, normal: Floats, along: Floats) -> Touch:
        """The same in a frame of this normal, and the way as it lies in the surface; a still hand points up."""
        for k, way in enumerate((along, self.matrix @ np.array([0.0, 0.0, 1.0]), self.matrix @ np.array([1.0, 0.0, 0.0]))):
            flat = way - (way @ normal) * normal
            if np.linalg.norm(flat) > 0.3 * max(float(np.linalg.norm(way)), 1e-9) and np.linalg.norm(way) > 0:
                return replace(self, normal=normal, along=unit(flat), moves=k == 0)
        return replace(self, normal=normal)

    def weighed(self, rank: Floats, weights: Floats) -> Touch:
        m = len(self.verts)
        return replace(self, rank=rank, weights=weights, share=np.ones(m), first=np.ones(m, dtype=bool))

    def weighing(self, weights: Floats) -> Touch:
        return replace(self, weights=weights)

    def shared(self, share: Floats, first: Bools) -> Touch:
        return replace(self, share=share, first=first)

    def only(self, keep: Bools) -> Touch:
        """The touch of some of its points."""
        names = ("verts", "arms", "far", "rank", "weights", "share", "first")
        return replace(self, **{name: getattr(self, name)[keep] for name in names})

    def across(self, angle: float = 0.0) -> tuple[Floats, Floats]:
        """(m,) mm along the way and square to it, to its left seen from outside, the frame turned by degrees."""
        left = self.turn * np.cross(self.normal, self.along)
        x, y = self.arms @ self.along, self.arms @ left
        c, s = np.cos(np.radians(angle)), np.sin(np.radians(angle))
        return c * x + s * y, c * y - s * x


Falloff = Callable[[Floats], Floats]


class Shape(ABC):
    """The outline of a brush."""

    reach = 1.0
    """How far from the centre it touches anything, in radii."""

    @abstractmethod
    def weighed(self, touch: Touch, radius: float, length: float, falloff: Falloff) -> Touch:
        """The touch with its weights; ``length`` is how far the hand has come, in mm."""


@dataclass(frozen=True)
class Round(Shape):
    """Full as far as ``hardness``, then falling off."""

    hardness: float

    def weighed(self, touch: Touch, radius: float, length: float, falloff: Falloff) -> Touch:
        weights = fallen(touch.far / radius, self.hardness, falloff)
        return touch.weighed(weights, weights)


@dataclass(frozen=True, eq=False)
class Band(Shape):
    """A stamp laid along the way without an end: its height lies across, and goes over the whole width of the brush."""

    manner: Manner

    def weighed(self, touch: Touch, radius: float, length: float, falloff: Falloff) -> Touch:
        stamp = self.manner.stamp
        assert stamp is not None
        x, y = touch.across()
        wide = 2 * radius / stamp.aspect * self.manner.stretch
        heights = stamp.at((length + x) / wide % 1.0, 0.5 + y / (2 * radius))
        rank = np.maximum(1 - np.abs(x) / radius, 1e-6)
        return touch.weighed(rank, heights * fallen(np.abs(y) / radius, self.manner.hardness, falloff))


@dataclass(frozen=True, eq=False)
class Placed(Shape):
    """A stamp laid down whole; its width is that of the brush."""

    manner: Manner

    @property
    def reach(self) -> float:  # type: ignore[override]
        assert self.manner.stamp is not None
        return float(np.hypot(1, self.manner.stamp.aspect))

    def weighed(self, touch: Touch, radius: float, length: float, falloff: Falloff) -> Touch:
        stamp = self.manner.stamp
        assert stamp is not None
        x, y = touch.across(self.manner.angle)
        high = radius * stamp.aspect
        far = np.maximum(np.abs(x) / radius, np.abs(y) / high)
        inside = far <= 1
        fade = fallen(far, self.manner.hardness, falloff)
        heights = stamp.at(0.5 + x / (2 * radius), 0.5 + y / (2 * high))
        done = touch.weighed(np.maximum(1 - far, 1e-6), heights * fade)
        return done.only(inside)


def fallen(far: Floats, hardness: float, falloff: Falloff) -> Floats:
    """(m,) weights at shares of the radius: 1 as far as the hardness, 0 from the radius on."""
    outer = np.clip((far - hardness) / (1 - hardness), 0, 1)
    return np.where(far < 1, falloff(outer), 0.0)


@cache
def _round(hardness: float) -> Round:
    return Round(hardness)


def shape_of(manner: Manner) -> Shape:
    """The outline that a manner has."""
    if manner.stamp is None:
        return _round(manner.hardness)
    return Band(manner) if manner.laid == "along" else Placed(manner)
