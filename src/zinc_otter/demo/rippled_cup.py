"""A drinking bowl: ripples pressed round its body, and a rope laid round below its rim. Both ride on its cage."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.topology import Bools, Floats
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.demo.hand import Hand

_LEVEL = 5
_ROPE = 56
"""Tiles of rope round the rim."""


def rippled_cup(hand: Hand) -> None:
    """Built in mm, about z; the rim looks up."""
    hand.give("add-cylinder", name="Cup", diameter=84, height=54, counts=[20, 3], caps="both")
    hand.do("size", hand.pick("vertex", lambda x, y, z: z < -20), factors=[0.66, 0.66, 1])
    hand.do("size", hand.pick("vertex", lambda x, y, z: (z > -20) & (z < 0)), factors=[1.02, 1.02, 1])
    hand.do("delete", hand.pick("face", lambda x, y, z: z > 26))
    hand.do("thicken", {"kind": "piece", "ids": [0]}, distance=3.4, side="in")
    hand.do("crease", hand.pick("edge", lambda x, y, z: (z < -26.9) & (np.hypot(x, y) > 22)), sharpness=2)
    outside = hand.pick("face", lambda x, y, z: (z > -22) & (z < 12) & _is_outer(np.hypot(x, y), z))
    hand.give(
        "cover-faces",
        piece=hand.piece,
        picked=outside,
        stamp="ripple",
        way="round",
        size=20,
        height=-0.9,
        soft=7,
        level=_LEVEL,
    )
    _rope(hand)


def _is_outer(out: Floats, z: Floats) -> Bools:
    """Of two walls one behind the other, which faces belong to the outer one: those further out than their height's mean."""
    mean = np.array([out[(np.abs(z - here) < 6) & (out > 20)].mean() for here in z])
    return np.asarray(out > mean)


def _rope(hand: Hand) -> None:
    """Once round, below the rim, where the bowl stands: its tiles fit a whole number of times."""
    cage = hand.cage
    points = evaluate(build_stencils(cage, 4), cage.plain).points
    below = points[:, 2].max() - 5.0
    near = points[np.abs(points[:, 2] - below) < 0.7]
    out = float(np.hypot(near[:, 0], near[:, 1]).max())
    turns = np.linspace(0, 2 * np.pi, 241)
    way = np.column_stack([out * np.cos(turns), out * np.sin(turns), np.full_like(turns, below), np.ones_like(turns)])
    # The chords of the way are a little shorter than the circle.
    length = float(np.linalg.norm(np.diff(way[:, :3], axis=0), axis=1).sum())
    hand.give(
        "sculpt", piece=hand.piece, brush="draw", level=_LEVEL, radius=length / _ROPE / 2, height=1.5, hardness=0.7,
        stamp="rope", laid="along", way=way.ravel().tolist(),
    )  # fmt: skip
