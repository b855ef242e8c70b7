"""Brushes that carry what lies under them where the stroke begins, by the whole way of the hand."""

from __future__ import annotations

from typing import ClassVar, Literal

import numpy as np
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.relief.brushes.base import Brush, Dab


class Carry(Brush):
    """Moves the points along with the hand."""

    kind: Literal["carry"] = "carry"
    measure = "way"
    mode = "carries"
    done: ClassVar[str] = "Carried part of"
    undone: ClassVar[str] = "Carried part of"

    @staticmethod
    def pull(dab: Dab) -> Floats:
        return dab.weights[:, None] * dab.way


class Twist(Brush):
    """Turns the points about the normal, all of its angle once the hand has come a radius far."""

    kind: Literal["twist"] = "twist"
    measure = "angle"
    mode = "carries"
    done: ClassVar[str] = "Whirled"
    undone: ClassVar[str] = "Whirled back"

    @staticmethod
    def pull(dab: Dab) -> Floats:
        share = min(float(np.linalg.norm(dab.way)) / dab.radius, 1.0)
        angles = np.radians(dab.amount) * share * dab.turn * dab.weights
        arms = dab.start - dab.centre
        return np.asarray(Rotation.from_rotvec(angles[:, None] * dab.normal).apply(arms) - arms)
