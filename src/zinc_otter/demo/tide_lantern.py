"""A lantern to mark where a canoe lies at night, begun from a sketch and built around its battery cell."""

from __future__ import annotations

from typing import Any

import numpy as np

from zinc_otter.demo.hand import Hand
from zinc_otter.demo.lantern_references import CELL, SKETCH, TICKS, TICKS_APART


def _at_height(hand: Hand, level: float) -> dict[str, Any]:
    return hand.pick("vertex", lambda x, y, z: np.abs(z - level) < 0.01)


def tide_lantern(hand: Hand) -> None:
    """Built in mm about the middle of the cell, which stands along z."""
    hand.picture(SKETCH, view="front", width=100, centre=[0, 0, 0])
    picture = hand.saved.design.references[0].id
    hand.give("measure-picture", reference=picture, start=TICKS[0], end=TICKS[1], distance=TICKS_APART)
    # In the sketch the lantern stands 20 pixels left of the paper's middle and 30 below it, at 7 pixels to the mm.
    hand.give("place-picture", reference=picture, centre=[20 / 7, 0, 30 / 7])
    hand.give("change-reference", reference=picture, opacity=0.5)
    hand.give("change-reference", reference=picture, locked=True)
    hand.component(CELL, "mm", clearance=2)

    # The housing: few faces, pulled to the sketch ring by ring.
    hand.give("add-cylinder", name="Housing", diameter=35, height=84, counts=[8, 5], inset=0.4, size_of="surface")
    levels = np.unique(np.round(hand.cage.positions[:, 2], 3))
    inner = levels[1:-1]
    for level, width in zip(inner, (1.03, 0.93, 0.95, 1.02), strict=True):
        hand.do("size", _at_height(hand, level), factors=[width, width, 1])
    hand.do("crease", hand.pick("edge", lambda x, y, z: np.abs(z - levels[1]) < 0.01), sharpness=2)
    housing = hand.piece
    sides = hand.pick("face", lambda x, y, z: (np.abs(z) < 12) & (np.hypot(x, y) > 8))
    hand.do("name-faces", sides, name="Window")

    hand.give("add-cone", name="Foot", bottom=46, top=33, height=13, counts=[8, 2], rim=2.5, centre=[0, 0, -43.5],
              size_of="surface")  # fmt: skip
    foot = hand.piece
    hand.give("colour-piece", piece=foot, colour="slate")
    hand.give("add-torus", name="Carrying ring", ring=22, section=4, counts=[8, 6], stands="y", centre=[0, 0, 51.5],
              size_of="surface")  # fmt: skip
    ring_piece = hand.piece
    hand.give("colour-piece", piece=ring_piece, colour="slate")
    hand.give("group-pieces", pieces=[foot, ring_piece], group="Fittings")

    # A second way: the waist drawn in more, to be compared.
    hand.give("make-variant", piece=housing)
    variant = next(p.id for p in hand.saved.design.pieces if p.original == housing)
    cage = hand.saved.design.piece(variant).cage
    waist = np.flatnonzero(np.abs(cage.positions[:, 2]) < 17)
    hand.give("size", piece=variant, picked={"kind": "vertex", "ids": waist.tolist()}, factors=[0.93, 0.93, 1])
    hand.give("colour-piece", piece=variant, colour="moss")
    hand.give("show-piece", piece=variant, visible=False)
    hand.give("show-piece", piece=housing, visible=True)
