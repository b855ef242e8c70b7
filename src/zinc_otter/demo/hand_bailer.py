"""A bailer for a canoe with a handle: a bowl mirrored across y, its back wall bridged to itself, two walls."""

from __future__ import annotations

import numpy as np

from zinc_otter.demo.hand import Hand


def hand_bailer(hand: Hand) -> None:
    """Built in mm; the mouth looks up, the lip to +x, the handle stands out to -x."""
    hand.give("add-box", name="Bailer", size=[150, 96, 72], counts=[5, 4, 3], size_of="cage")
    hand.do("delete", hand.pick("face", lambda x, y, z: z > 35))
    hand.give("mirror", piece=hand.piece, normal=[0, 1, 0])
    # From here on one side is shaped, and the other answers.
    hand.do("move", hand.pick("vertex", lambda x, y, z: (x > 74) & (z > 0)), vector=[26, 0, -10])
    hand.do("size", hand.pick("vertex", lambda x, y, z: x > 74), factors=[1, 0.62, 1], pivot=[100, 0, 0])
    bottom = hand.pick("vertex", lambda x, y, z: (z < -35) & (np.hypot(x + 10, y) < 20))
    hand.do("move", bottom, vector=[0, 0, -5], reach={"radius": 60, "profile": "round"})
    hand.do("bridge", hand.pick("face", lambda x, y, z: (x < -74) & (np.abs(z) < 10) & (y > 30)), segments=6, strength=1.3)
    hand.do("thicken", {"kind": "piece", "ids": [0]}, distance=3, side="in", crease_rims=False)
