"""A toggle for a dry bag's cord: a short bar with a hard-edged seat across its middle."""

from __future__ import annotations

import numpy as np

from zinc_otter.demo.hand import Hand


def toggle(hand: Hand) -> None:
    """Built in mm, lying along x."""
    hand.give("add-box", name="Toggle", size=[16, 14, 10], counts=[2, 2, 1])
    hand.do("extrude", hand.pick("face", lambda x, y, z: np.abs(x) > 7.9), distance=9)
    hand.do("extrude", distance=8)
    hand.do("size", hand.pick("vertex", lambda x, y, z: np.abs(x) > 24.9), factors=[1, 0.7, 0.75])
    hand.do("size", hand.pick("vertex", lambda x, y, z: np.abs(x) < 0.1), factors=[1, 0.72, 0.8])
    hand.do("crease", hand.pick("edge", lambda x, y, z: np.abs(np.abs(x) - 8) < 0.1), sharpness=10)
