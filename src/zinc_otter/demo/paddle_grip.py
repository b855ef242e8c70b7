"""A T-shaped grip for the top of a canoe paddle: bar across, neck down to the shaft, pulled to fit a palm."""

from __future__ import annotations

import numpy as np

from zinc_otter.demo.hand import Hand


def paddle_grip(hand: Hand) -> None:
    """Built in mm about the middle of the bar; the shaft goes down along z."""
    hand.give("add-box", name="Grip", size=[34, 30, 26], counts=[2, 2, 2])
    # The bar grows to both sides at once: two groups of faces, each along its own normal.
    hand.do("extrude", hand.pick("face", lambda x, y, z: np.abs(x) > 16.9), distance=20)
    hand.do("extrude", distance=16)
    hand.do("size", hand.pick("vertex", lambda x, y, z: np.abs(x) > 52), factors=[1, 0.78, 0.8])
    # The ends drop a little, as a relaxed hand does.
    hand.do("move", hand.pick("vertex", lambda x, y, z: np.abs(x) > 52), vector=[0, 0, -3.5])
    # The neck.
    hand.do("extrude", hand.pick("face", lambda x, y, z: (z < -12.9) & (np.abs(x) < 17)), distance=12)
    hand.do("size", factors=[0.92, 0.96, 1])
    hand.do("extrude", distance=12)
    hand.do("size", factors=[0.95, 1, 1])
    hand.do("extrude", distance=24)
    # A palm rests on the back of the bar; fingers close round the front.
    hand.do("move-along-normal", hand.pick("face", lambda x, y, z: (z > 12) & (np.abs(x) < 17)), distance=5)
    hand.do("move", hand.pick("vertex", lambda x, y, z: (y > 10) & (z > 5) & (np.abs(x) < 40)), vector=[0, 2.5, 2])
    hand.do("move", hand.pick("vertex", lambda x, y, z: (y < -10) & (np.abs(z) < 1) & (np.abs(x) > 30)), vector=[0, 3, 0])
    # Where the grip meets the shaft the form tightens.
    hand.do("crease", hand.pick("edge", lambda x, y, z: np.abs(z + 37) < 0.5), sharpness=2.5)
    hand.do("crease", hand.pick("edge", lambda x, y, z: (np.abs(z + 61) < 0.5) & (np.hypot(x, y) > 11)), sharpness=10)
