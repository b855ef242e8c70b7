"""Pictures from files: checked, bounded, turned upright, and rewritten, so that nothing of the file itself is kept."""

from __future__ import annotations

import io
import warnings
from dataclasses import dataclass

from PIL import Image, ImageOps, UnidentifiedImageError

from zinc_otter.core.errors import FileFormatError

KINDS = {"png": "PNG", "jpg": "JPEG", "jpeg": "JPEG", "webp": "WEBP"}
MOST_PIXELS = 50_000_000
LARGEST_SIDE = 4096


@dataclass(frozen=True)
class PictureFile:
    """A picture as PNG; ``pixels`` are its width and height."""

    png: bytes
    pixels: tuple[int, int]


def read_picture(data: bytes, extension: str) -> PictureFile:
    """The picture of a PNG, JPEG or WebP file, at most 4096 pixels to a side.

    Raises FileFormatError: for another kind, for contents that are not what the name says, for too many pixels, and for
    files that break off.
    """
    if extension not in KINDS:
        raise FileFormatError(f"A picture comes as PNG, JPEG or WebP; .{extension[:12]} is none of these.")
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("error", Image.DecompressionBombWarning)
            # Others than the three are only opened to be named in the refusal.
            with Image.open(io.BytesIO(data), formats=[*set(KINDS.values()), "GIF", "BMP", "TIFF"]) as opened:
                if opened.format != KINDS[extension]:
                    said, held = KINDS[extension], opened.format
                    raise FileFormatError(f"The file calls itself {said} but holds {held}; name it as what it is.")
                width, height = opened.size
                if width * height > MOST_PIXELS:
                    raise FileFormatError(
                        f"The picture has {width} × {height} pixels; {MOST_PIXELS // 1_000_000} million are the most."
                    )
                opened.seek(0)
                # JPEG can be decoded coarser at once, which saves memory where it would be made smaller anyway.
                opened.draft("RGB", (LARGEST_SIDE, LARGEST_SIDE))
                upright = ImageOps.exif_transpose(opened).convert("RGBA" if _has_alpha(opened) else "RGB")
    except FileFormatError:
        raise
    except (Image.DecompressionBombError, Image.DecompressionBombWarning):
        raise FileFormatError("The picture unpacks to more pixels than a reference may have.") from None
    except UnidentifiedImageError:
        raise FileFormatError(f"The file calls itself {KINDS[extension]} but is no picture.") from None
    except (OSError, ValueError, SyntaxError, EOFError, MemoryError, ArithmeticError, IndexError, TypeError, AttributeError):
        raise FileFormatError("The picture breaks off or is damaged; it cannot be read to its end.") from None
    upright.thumbnail((LARGEST_SIDE, LARGEST_SIDE))
    out = io.BytesIO()
    upright.save(out, "PNG", compress_level=4)
    return PictureFile(out.getvalue(), upright.size)


def _has_alpha(picture: Image.Image) -> bool:
    return picture.mode in ("RGBA", "LA", "PA") or "transparency" in picture.info
