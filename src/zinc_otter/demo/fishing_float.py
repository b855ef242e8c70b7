"""A float for a net: lofted through four outlines, then pulled to a bulge; its outlines can be changed still."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.selection import middles_of
from zinc_otter.demo.hand import Hand

_OUTLINES = ((0.0, 14.0, 14.0, 6), (24.0, 46.0, 40.0, 8), (62.0, 54.0, 46.0, 12), (104.0, 12.0, 12.0, 6))
"""Height, width, depth and count of points, of each: they are not alike, and need not be."""


def fishing_float(hand: Hand) -> None:
    """Built in mm, standing on z = 0."""
    for k, (up, width, depth, count) in enumerate(_OUTLINES, start=1):
        hand.give(
            "add-curve", name=f"Outline {k}", shape="ellipse", width=width, depth=depth, count=count, centre=[0, 0, up]
        )
    ids = [piece.id for piece in hand.saved.design.pieces]
    hand.give("grow", name="Float", growth={"kind": "loft", "curves": ids, "each": 2, "ends": "flat"})
    body = hand.saved.design.pieces[-1]
    middles = middles_of(body.cage, "vertex")
    belly = np.flatnonzero((middles[:, 2] > 40) & (middles[:, 2] < 75) & (middles[:, 1] < -12))
    picked = {"kind": "vertex", "ids": belly.tolist()}
    hand.give("move", piece=body.id, picked=picked, vector=[0, -7, 0], reach={"radius": 30})
