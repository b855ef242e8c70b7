"""What a surface is called and how it is coloured, for the formats that have a place for it."""

from __future__ import annotations

from dataclasses import dataclass

Colour = tuple[float, float, float]

CLAYS: dict[str, Colour] = {
    "clay": (0.788, 0.620, 0.514), "slip": (0.859, 0.827, 0.757), "slate": (0.451, 0.490, 0.522),
    "moss": (0.494, 0.545, 0.376), "brick": (0.647, 0.341, 0.278), "ochre": (0.792, 0.612, 0.298),
    "mist": (0.682, 0.741, 0.757),
}  # fmt: skip
"""The workshop's clays as sRGB from 0 to 1."""


def nearest_clay(colour: Colour) -> str:
    """The clay that is most like a colour.

    >>> nearest_clay((0.44, 0.5, 0.52))
    'slate'
    """
    return min(CLAYS, key=lambda name: sum((a - b) ** 2 for a, b in zip(CLAYS[name], colour, strict=True)))


@dataclass(frozen=True)
class Appearance:
    """A name for people, and a colour as sRGB from 0 to 1."""

    name: str
    colour: Colour = CLAYS["clay"]
