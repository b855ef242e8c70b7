"""A lampshade of reeds: hoops and ribs, a skin over their net, and a wall for it."""

from __future__ import annotations

import numpy as np

from zinc_otter.demo.hand import Hand

_HOOPS = ((0.0, 78.0), (26.0, 74.0), (58.0, 52.0), (84.0, 22.0))
"""Height and radius of each."""
_RIBS = 8
_WALL = 1.6


def shade_of_reeds(hand: Hand) -> None:
    """Built in mm, standing on z = 0; the hoops are a little wavy, as reeds are."""
    turns = np.arange(_RIBS) * 2 * np.pi / _RIBS

    def at(up: float, radius: float, turn: float) -> list[float]:
        wave = 1 + 0.05 * np.cos(4 * turn) * (1 - up / 100)
        return [radius * wave * np.cos(turn), radius * wave * np.sin(turn), up]

    for k, (up, radius) in enumerate(_HOOPS, start=1):
        hand.give("draw-curve", name=f"Hoop {k}", points=[at(up, radius, turn) for turn in turns], closed=True)
    for k, turn in enumerate(turns, start=1):
        hand.give("draw-curve", name=f"Rib {k}", points=[at(up, radius, turn) for up, radius in _HOOPS])
    reeds = [piece.id for piece in hand.saved.design.pieces]
    hand.give("group-pieces", pieces=reeds, group="Reeds")
    hand.give("grow", name="Shade", growth={"kind": "skin", "curves": reeds})
    wall = {"kind": "thickened", "distance": _WALL, "side": "in"}
    hand.give("add-follower", piece=hand.piece, follower=wall)
