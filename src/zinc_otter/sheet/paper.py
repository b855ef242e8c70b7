"""Paper as plain data: pages of lines, texts and pictures in mm, from the upper left corner. Writers make files of it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field
from functools import lru_cache
from importlib import resources
from typing import Literal

from PIL import ImageFont

Point = tuple[float, float]
Colour = str
"""Such as ``#22282B``."""

SIZES: dict[str, tuple[float, float]] = {"A4": (297.0, 210.0), "A3": (420.0, 297.0), "Letter": (279.4, 215.9)}
"""Width and height in mm, lying on their long side (ISO 216; ANSI/ASME Y14.1 for Letter)."""

INK, ZINC, LIGHT, RIVER, FAULT, OTTER = "#22282B", "#5F6C73", "#C9CED0", "#1F6F78", "#B3261E", "#6B4A36"

POINT = 25.4 / 72
"""A point of type in mm (ISO 32000 measures in 1/72 inch)."""


@dataclass(frozen=True)
class Line:
    """Through ``points``, ``width`` mm thick; closed and filled where a ``fill`` is given."""

    points: tuple[Point, ...]
    colour: Colour = INK
    width: float = 0.25
    fill: Colour | None = None
    dashed: bool = False


@dataclass(frozen=True)
class Text:
    """From its baseline at ``at``; ``size`` in points."""

    at: Point
    words: str
    size: float = 9.0
    bold: bool = False
    colour: Colour = INK
    anchor: Literal["start", "middle", "end"] = "start"


@dataclass(frozen=True)
class Picture:
    """A PNG in a rectangle, with words for those who do not see it."""

    at: Point
    width: float
    height: float
    png: bytes = field(repr=False)
    words: str = ""


Mark = Line | Text | Picture


@dataclass
class Page:
    """One side of a sheet, being written."""

    width: float
    height: float
    marks: list[Mark] = field(default_factory=list)

    def add(self, *marks: Mark) -> None:
        self.marks.extend(marks)


def width_of(words: str, size: float, bold: bool = False) -> float:
    """How wide a text is, in mm."""
    # Measured large, so that no pixel counts.
    return float(_face(bold).getlength(words)) / 100 * size * POINT


def broken(words: str, width: float, size: float, bold: bool = False) -> list[str]:
    """A text in lines of up to ``width`` mm; a word that is longer by itself is parted."""
    lines = [""]
    for word in words.split():
        longer = f"{lines[-1]} {word}".strip()
        if width_of(longer, size, bold) <= width:
            lines[-1] = longer
            continue
        if lines[-1]:
            lines.append("")
        while width_of(word, size, bold) > width and len(word) > 1:
            fits = next((k for k in range(len(word), 0, -1) if width_of(word[:k], size, bold) <= width), 1)
            lines[-1], word = word[:fits], word[fits:]
            lines.append("")
        lines[-1] = word
    return lines


def rectangle(x: float, y: float, width: float, height: float) -> tuple[Point, ...]:
    """Its corners, and the first once more."""
    return ((x, y), (x + width, y), (x + width, y + height), (x, y + height), (x, y))


def font_data(bold: bool) -> bytes:
    """The font that sheets are set in (SIL Open Font License 1.1)."""
    name = "sheet-semibold.ttf" if bold else "sheet-regular.ttf"
    return resources.files(__package__).joinpath("fonts", name).read_bytes()


@lru_cache(maxsize=2)
def _face(bold: bool) -> ImageFont.FreeTypeFont:
    import io

    return ImageFont.truetype(io.BytesIO(font_data(bold)), 100)


def ruler(x: float, y: float, length: int = 50) -> Sequence[Mark]:
    """A ruler of so many mm, from its upper left corner."""
    marks: list[Mark] = [Line(((x, y), (x + length, y)), INK, 0.3)]
    for k in range(length + 1):
        tall = 4.0 if k % 10 == 0 else 3.0 if k % 5 == 0 else 2.0
        marks.append(Line(((x + k, y), (x + k, y + tall)), INK, 0.2 if k % 10 else 0.3))
        if k % 10 == 0:
            marks.append(Text((x + k, y + 7.2), str(k), 7, anchor="middle"))
    return marks
