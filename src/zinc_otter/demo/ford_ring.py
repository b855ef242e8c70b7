"""A ring like the stones of a ford: a band, one brilliant flush in its top, and a row of small ones each way."""

from __future__ import annotations

import numpy as np

from zinc_otter.demo.hand import Hand

BORE = 17.3
_ROW = 6
_STEP = 8.6
"""Degrees from one small stone to the next, and twice that from the large one to the first."""


def ford_ring(hand: Hand) -> None:
    """Built in mm, standing upright: its bore about x, its top towards +z."""
    hand.give(
        "add-ring", name="Band", bore=BORE, width=5.6, thickness=2.3, profile="D", around=16, low_width=3.4,
        low_thickness=1.7, shoulder=1.4, stands="x",
    )  # fmt: skip
    # The shoulders are drawn in a little, so that the top stands free.
    shoulders = hand.pick("vertex", lambda x, y, z: (np.abs(y) > 5) & (z > 2) & (np.hypot(y, z) > 9.4))
    hand.do("size", shoulders, factors=[0.86, 1, 1])
    top = hand.pick("vertex", lambda x, y, z: (np.abs(y) < 0.1) & (z > 0))["ids"]
    foot = hand.pick("vertex", lambda x, y, z: (np.abs(y) < 0.1) & (z < 0))["ids"]
    rows = [sorted(row, key=lambda v: float(hand.cage.positions[v, 0])) for row in (top, foot)]

    def on_band(degrees: float) -> list[float]:
        a = np.radians(degrees)
        return [0.0, -11.3 * float(np.sin(a)), 11.3 * float(np.cos(a))]

    hand.give(
        "lay-stones", name="Ford stone", host="p1", cut={"kind": "round", "width": 2.6}, material="sapphire",
        points=[on_band(0)], sink=0.42,
    )  # fmt: skip
    row = [on_band(side * _STEP * (k + 2)) for side in (1, -1) for k in range(_ROW)]
    hand.give("lay-stones", name="Stepping stones", host="p1", cut={"kind": "round", "width": 1.3}, points=row, sink=0.12)
    for follower in (
        {"kind": "flush", "stones": "p2", "bright": 0.2},
        {"kind": "beads", "stones": "p3", "grain": 0.42, "over": 0.24},
        {"kind": "fit-bore", "diameter": BORE, "along": [1, 0, 0]},
    ):
        hand.give("add-follower", piece="p1", follower=follower)
    for proof in (
        {"kind": "wall", "least": 1.5},
        {"kind": "bore", "diameter": BORE, "tolerance": 0.02},
        {"kind": "weight", "material": "Gold, 750 rose", "most": 6.5},
        {"kind": "sound"},
    ):
        hand.give("add-proof", proof={**proof, "piece": "p1"})
    # How wide it is on top and below stays on the form.
    for row in rows:
        ends = [{"kind": "vertex", "piece": "p1", "ids": [v]} for v in (row[0], row[-1])]
        hand.give("add-proof", proof={"kind": "distance", "piece": "p1", "first": ends[0], "second": ends[1], "way": "x"})
    hand.give("finish-piece", piece="p1", finish="rose-gold")
