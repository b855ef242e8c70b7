"""A scoop for bailing: an open shell with a grip to hold it by. Open on purpose: it still waits for its thickness."""

from __future__ import annotations

import numpy as np

from zinc_otter.demo.hand import Hand


def scoop(hand: Hand) -> None:
    """Built in mm; the mouth looks to -y."""
    hand.give("add-box", name="Scoop", size=[110, 130, 60], counts=[3, 4, 2])
    hand.do("delete", hand.pick("face", lambda x, y, z: (y < -64) | (z > 29)))
    hand.do("size", hand.pick("vertex", lambda x, y, z: y < -64), factors=[1.15, 1, 0.7])
    hand.do("move", hand.pick("vertex", lambda x, y, z: (y < -64) & (z < -10)), vector=[0, -18, 0])
    hand.do("extrude", hand.pick("face", lambda x, y, z: (y > 64) & (np.abs(x) < 20) & (z > 0)), distance=28)
    hand.do("size", factors=[0.8, 1, 0.75])
    hand.do("extrude", distance=70)
    hand.do("move", vector=[0, 0, 14])
    hand.do("crease", hand.pick("edge", lambda x, y, z: (y < -64) & (z < -10)), sharpness=3)
