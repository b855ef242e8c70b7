"""What a brush is: from one touch of the surface to where it draws the points under it."""

from __future__ import annotations

from abc import ABC, abstractmethod
from collections.abc import Callable
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.topology import Floats

Measure = Literal["height", "share", "angle", "way"]
"""What the number of a brush says: mm, a share from 0 to 1, degrees, or nothing, since the way of the hand says all."""


@dataclass(frozen=True, eq=False)
class Dab:
    """One touch, and the m points under it.

    ``points`` (m, 3) as they stand, ``start`` (m, 3) before the stroke, ``plain`` (m, 3) without any relief, ``normals``
    (m, 3) before the stroke; ``weights`` (m,) from 1 in the middle to 0 at the rim, times the stamp where there is one.
    ``arms`` (m, 3) lead from the nearest place of the way to the points; ``centre`` lies on the surface, ``normal`` is the
    mean one there, ``amount`` in what the brush measures, negative for its opposite; ``way`` is how far the hand has come,
    ``along`` where it goes now (nowhere where it rests), ``turn`` 1, or -1 in a mirror. ``mean`` gives for vectors of all
    points (n, 3) the means of the neighbours of those m.
    """

    points: Floats
    start: Floats
    plain: Floats
    normals: Floats
    weights: Floats
    arms: Floats
    centre: Floats
    normal: Floats
    amount: float
    radius: float
    way: Floats
    along: Floats
    turn: float
    mean: Callable[[], Floats]

    @property
    def along_normal(self) -> Floats:
        """(m, 1) how high points stand over their own mean plane."""
        total = self.weights.sum()
        middle = (self.weights[:, None] * self.points).sum(axis=0) / total if total > 0 else self.centre
        return ((self.points - middle) @ self.normal)[:, None]

    def tangential(self, vectors: Floats) -> Floats:
        """Vectors (m, 3) less what of them stands along the normal."""
        return np.asarray(vectors - (vectors @ self.normal)[:, None] * self.normal)

    def sideways(self, vectors: Floats) -> Floats:
        """Vectors (m, 3) less what of them stands along the normal or the way of the hand."""
        flat = self.tangential(vectors)
        return np.asarray(flat - (flat @ self.along)[:, None] * self.along)


class Brush(ABC):
    """Base of all brushes; each has a ``kind`` of its own."""

    measure: ClassVar[Measure]
    mode: ClassVar[Literal["raises", "works", "carries", "masks"]]
    """"raises": of all touches of a stroke the strongest counts at each point, so that it gets its height once however slow
    the hand is; "works": each touch takes its share of what is left; "carries": the whole way of the hand, at once."""
    done: ClassVar[str]
    """What it did, for the title of a step; ``undone`` of its opposite."""
    undone: ClassVar[str]

    @staticmethod
    @abstractmethod
    def pull(dab: Dab) -> Floats:
        """(m, 3) mm by which the points are moved; of what "masks" (m, 1) what is added."""
