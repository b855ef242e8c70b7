"""Brushes that raise: to a height that is told in mm."""

from __future__ import annotations

from typing import ClassVar, Literal

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.relief.brushes.base import Brush, Dab


class Draw(Brush):
    """Out along the mean normal under the brush; its opposite presses in."""

    kind: Literal["draw"] = "draw"
    measure = "height"
    mode = "raises"
    done: ClassVar[str] = "Drew out"
    undone: ClassVar[str] = "Pressed in"

    @staticmethod
    def pull(dab: Dab) -> Floats:
        return dab.amount * dab.weights[:, None] * dab.normal


class Inflate(Brush):
    """Out along each point's own normal."""

    kind: Literal["inflate"] = "inflate"
    measure = "height"
    mode = "raises"
    done: ClassVar[str] = "Inflated"
    undone: ClassVar[str] = "Deflated"

    @staticmethod
    def pull(dab: Dab) -> Floats:
        return dab.amount * dab.weights[:, None] * dab.normals


class Groove(Brush):
    """A tight groove, its sides drawn together; its opposite a ridge."""

    kind: Literal["groove"] = "groove"
    measure = "height"
    mode = "raises"
    done: ClassVar[str] = "Grooved"
    undone: ClassVar[str] = "Ridged"

    @staticmethod
    def pull(dab: Dab) -> Floats:
        narrow = (dab.weights**2)[:, None]
        # Across the way alone: along it, touches would bunch the points up.
        together = -dab.sideways(dab.arms)
        return -dab.amount * narrow * dab.normal + 0.25 * narrow * (1 - narrow) * together
