"""A bangle of ripples: one wave of wire, mirrored, and both of them sixteen times round the wrist."""

from __future__ import annotations

import numpy as np

from zinc_otter.demo.hand import Hand

BORE = 62.0
"""mm across, inside."""
_WIRE = 1.0
_WAVES = 16
# Aslant, the wire comes nearer to the wrist than its middle less its radius: by this.
_LEAN = 0.1154


def ripple_bangle(hand: Hand) -> None:
    """Built in mm, about z. Neighbours run into one another at their ends, to be soldered there."""
    sector = np.pi / _WAVES
    inner = BORE / 2 + _WIRE / 2 + _LEAN

    def at(out: float, share: float, up: float) -> list[float]:
        return [(inner + out) * np.cos(share * sector), (inner + out) * np.sin(share * sector), up]

    half = [(0.0, -1.12, -0.25), (0.1, -0.75, 2.5), (1.5, -0.3, 6.5)]
    points = [at(*p) for p in half] + [at(out, -share, up) for out, share, up in reversed(half)]
    hand.give("draw-curve", name="Ripple", points=points)
    hand.give("grow", name="Ripple wire", growth={"kind": "pipe", "source": "p1", "diameter": _WIRE, "each": 2})
    hand.give("mirror", piece="p2", way="second", normal=[0, 0, 1])
    hand.give("grow", name="Ripples round", growth={"kind": "repeat", "originals": ["p2", "p3"], "count": _WAVES})
