"""The bangle of ripples with stones between its waves: by turns in bezels and in six prongs."""

from __future__ import annotations

import numpy as np

from zinc_otter.demo.hand import Hand
from zinc_otter.demo.ripple_bangle import BORE, ripple_bangle

_HOOP = 1.5
_WAVES = 16


def set_bangle(hand: Hand) -> None:
    """Built in mm, about z: the ripples, a hoop of wire along their middle, and what it carries."""
    ripple_bangle(hand)
    hand.give("add-ring", name="Hoop", bore=BORE, thickness=_HOOP, profile="wire", around=32)

    def between(wave: int) -> list[float]:
        a = (wave + 0.5) * 2 * np.pi / _WAVES
        return [(BORE / 2 + _HOOP) * float(np.cos(a)), (BORE / 2 + _HOOP) * float(np.sin(a)), 0.0]

    stone = {"kind": "round", "width": 2.6}
    for name, wave, material in (("Still water", 0, "aquamarine"), ("Foam", 1, "diamond")):
        hand.give(
            "lay-stones", name=name, host="p5", cut=stone, material=material, way="round", points=[between(wave)],
            count=_WAVES // 2, sink=-1.5,
        )  # fmt: skip
    for follower in (
        {"kind": "bezel", "stones": "p6", "wall": 0.4, "over": 0.35, "ledge": 0.3, "taper": 8.0},
        {"kind": "prongs", "stones": "p7", "count": 6, "wire": 0.7, "over": 0.45, "lean": 24.0, "rails": 1},
    ):
        hand.give("add-follower", piece="p5", follower=follower)
