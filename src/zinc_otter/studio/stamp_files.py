"""Stamps from pictures, and height maps as pictures: 16 bit grey PNG, white is high."""

from __future__ import annotations

import io
import json
from typing import Any

import numpy as np
from PIL import Image, UnidentifiedImageError
from PIL.PngImagePlugin import PngInfo

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.relief.stamps.stamp import Stamp

LARGEST_SIDE = 16_384
TAKEN_SIDE = 1024
"""What is larger is taken in at this many pixels a side."""
_NOTE = "height map"
"""The key of the text in the file that tells what its greys stand for."""


def read_stamp(data: bytes, tiles: bool = False) -> Stamp:
    """The stamp of a PNG file: grey of 8 or 16 bits, of coloured ones their lightness. Raises FileFormatError.

    A height map that was written here brings its true size along.
    """
    try:
        with Image.open(io.BytesIO(data), formats=["PNG"]) as opened:
            width, height = opened.size
            if max(width, height) > LARGEST_SIDE:
                raise FileFormatError(
                    f"The picture has {width:,} by {height:,} pixels; {LARGEST_SIDE:,} a side are the most of a stamp."
                )
            note = _read_note(opened.info.get(_NOTE))
            opened.load()
            deep = opened.mode in ("I;16", "I", "I;16B")
            levels = np.asarray(opened if deep else opened.convert("L"), dtype=np.float32)
            grey = Image.fromarray(levels / np.float32(65_535 if deep else 255))
            grey.thumbnail((TAKEN_SIDE, TAKEN_SIDE), Image.Resampling.BOX)
            heights = np.asarray(grey)
    except FileFormatError:
        raise
    except UnidentifiedImageError:
        raise FileFormatError("A stamp comes as a PNG file; this is none.") from None
    except (OSError, ValueError, SyntaxError, EOFError, MemoryError, Image.DecompressionBombError):
        raise FileFormatError("The picture breaks off or is damaged; it cannot be read to its end.") from None
    return Stamp(heights.astype(np.float32), tiles, note.get("width", 0.0), note.get("height", 0.0))


def write_height_map(heights: Floats, width: float) -> bytes:
    """A PNG of 16 bit greys of heights (h, w) in mm: black the lowest, white the highest, and in its text what these are.

    What is not a number is written as what does not rise.
    """
    known = np.nan_to_num(heights, nan=0.0)
    low, top = float(min(known.min(), 0.0)), float(max(known.max(), 0.0))
    span = max(top - low, 1e-9)
    levels = np.rint((known - low) / span * 65_535).astype(np.uint16)
    note = PngInfo()
    note.add_text(_NOTE, json.dumps({"unit": "mm", "black": low, "white": top, "width": width, "height": top - low}))
    out = io.BytesIO()
    Image.fromarray(levels).save(out, "PNG", pnginfo=note)
    return out.getvalue()


def _read_note(text: Any) -> dict[str, float]:
    try:
        found = json.loads(text) if isinstance(text, str) else {}
        sizes = {key: float(found[key]) for key in ("width", "height")}
    except (ValueError, TypeError, KeyError):
        return {}
    return sizes if all(np.isfinite(v) and 0 < v < 1e5 for v in sizes.values()) else {}
