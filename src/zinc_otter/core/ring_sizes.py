"""Sizes of rings, by the systems that the trade uses, and the inner diameter in mm that each stands for.

- ISO 8653:2016, "Jewellery: Ring-sizes": the size is the inner circumference in mm.
- North America: inner diameter = 11.63 mm + 0.8128 mm × size; common practice, from memory, no source.
- Britain: letters from A, whose circumference is 37.5 mm, each 1.25 mm more than the one before, and halves; as in BS 6820,
  from memory.
- Japan: size 1 is 13 mm across, each a third of a mm more; common practice, from memory, no source.
"""

from __future__ import annotations

import re
from collections.abc import Callable
from dataclasses import dataclass

import numpy as np

from zinc_otter.core.errors import BadNumberError

_NUMBER = re.compile(r"(?P<whole>\d+(?:[.,]\d+)?)?\s*(?P<part>[½¼¾]|\d+/\d+)?")
_LETTER = re.compile(r"(?P<letter>[A-Za-z])\s*(?P<half>½|1/2|\.5)?")
_PARTS = {"½": 0.5, "¼": 0.25, "¾": 0.75}


@dataclass(frozen=True)
class RingSystem:
    """``word`` stands before a size; ``diameter`` gives mm from a number, ``number`` is its inverse."""

    word: str
    name: str
    diameter: Callable[[float], float]
    number: Callable[[float], float]
    least: float
    most: float
    letters: bool = False

    def said(self, diameter: float) -> str:
        """The size of an inner diameter in mm, to the nearest half, or tenth of a mm; "" where the system has none."""
        size = self.number(diameter)
        if not self.least - 0.25 <= size <= self.most + 0.25:
            return ""
        if self.word == "ISO":
            return f"ISO {size:.1f}".removesuffix(".0")
        half = round(size * 2) / 2
        if not self.letters:
            return f"{self.word} {half:g}"
        return f"{self.word} {chr(ord('A') + int(half))}{'½' if half % 1 else ''}"


SYSTEMS = (
    RingSystem("ISO", "international (ISO 8653:2016)", lambda s: s / np.pi, lambda d: d * np.pi, 20.0, 120.0),
    RingSystem("US", "North American", lambda s: 11.63 + 0.8128 * s, lambda d: (d - 11.63) / 0.8128, 0.0, 20.0),
    RingSystem(
        "UK", "British", lambda s: (37.5 + 1.25 * s) / np.pi, lambda d: (d * np.pi - 37.5) / 1.25, 0.0, 25.5, letters=True
    ),
    RingSystem("JP", "Japanese", lambda s: 13 + (s - 1) / 3, lambda d: 3 * (d - 13) + 1, 1.0, 40.0),
)
_BY_WORD = {system.word: system for system in SYSTEMS}


def ring_size(text: str) -> float | None:
    """The inner diameter in mm of a ring size such as ``US 7 1/2``, ``ISO 54``, ``UK N½`` or ``JP 14``; None for other text.

    Raises BadNumberError, naming what is wrong, for a system's word with no size of it behind.

    >>> round(ring_size("US 7"), 2), round(ring_size("ISO 54"), 3), ring_size("17.3 mm")
    (17.32, 17.189, None)
    """
    word, _, rest = text.strip().partition(" ")
    glued = re.match(r"(ISO|US|UK|JP)(?=[\d½])", text.strip(), re.IGNORECASE)
    if glued:
        word, rest = glued[0], text.strip()[len(glued[0]) :]
    system = _BY_WORD.get(word.upper())
    if system is None:
        return None
    rest = rest.strip()
    size = _letter(rest) if system.letters else _number(rest)
    if size is None:
        like = {"ISO": "ISO 54", "US": "US 7 1/2", "UK": "UK N 1/2", "JP": "JP 14"}[system.word]
        raise BadNumberError(f"{rest!r} is no {system.name} ring size; write it as {like}.")
    if not system.least <= size <= system.most:
        least, most = (chr(ord("A") + int(x)) if system.letters else f"{x:g}" for x in (system.least, system.most))
        raise BadNumberError(f"{system.name.capitalize()} ring sizes go from {least} to {most}; {rest} is none.")
    return float(system.diameter(size))


def ring_words(diameter: float) -> str:
    """An inner diameter in mm as every system's size.

    >>> ring_words(17.32)
    'ISO 54.4, US 7, UK N½, JP 14'
    """
    return ", ".join(words for system in SYSTEMS if (words := system.said(diameter)))


def _number(text: str) -> float | None:
    match = _NUMBER.fullmatch(text)
    if match is None or not (match["whole"] or match["part"]):
        return None
    part = match["part"] or ""
    if "/" in part:
        over, under = part.split("/")
        if int(under) == 0:
            return None
        extra = int(over) / int(under)
    else:
        extra = _PARTS.get(part, 0.0)
    return float((match["whole"] or "0").replace(",", ".")) + extra


def _letter(text: str) -> float | None:
    match = _LETTER.fullmatch(text)
    return None if match is None else ord(match["letter"].upper()) - ord("A") + (0.5 if match["half"] else 0.0)
