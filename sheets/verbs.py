"""Draw the sheet of verbs: each before and after, by the program's own commands and surfaces."""

from __future__ import annotations

from pathlib import Path
from typing import Any

import numpy as np
from PIL import Image, ImageDraw, ImageFont

from sheets.examples import EXAMPLES, Example
from zinc_otter.core.cage import Cage
from zinc_otter.studio.picture import Frame, drawn

TARGET = Path(__file__).parents[1] / "docs" / "screenshots" / "verbs.png"
FONTS = Path(__file__).parents[1] / "web/node_modules"

WIDTH, HEIGHT, COLUMNS, GAP, TITLE = 115, 95, 5, 14, 20
PAPER, INK, PICKED, CREASE = (244, 241, 234), (34, 40, 43), (176, 48, 122), (217, 154, 0)


def main() -> None:
    rows = -(-len(EXAMPLES) // COLUMNS)
    cell = (2 * WIDTH + 8, HEIGHT + TITLE)
    sheet = Image.new("RGB", (COLUMNS * (cell[0] + GAP) + GAP, rows * (cell[1] + GAP) + GAP), PAPER)
    pen = ImageDraw.Draw(sheet)
    font = _font()
    for k, example in enumerate(EXAMPLES):
        x, y = GAP + k % COLUMNS * (cell[0] + GAP), GAP + k // COLUMNS * (cell[1] + GAP)
        pen.text((x + 2, y), example.name, fill=INK, font=font)
        for side, image in enumerate(pictures(example)):
            sheet.paste(image, (x + side * (WIDTH + 8), y + TITLE))
    sheet.quantize(128).save(TARGET, optimize=True)
    print(TARGET.name)


def pictures(example: Example) -> tuple[Image.Image, Image.Image]:
    """The form before, with what is picked, and after, in the same frame."""
    design, picked, after = example.shown()
    cages = [[piece.cage for piece in d.pieces] for d in (design, after)]
    frame = Frame.around([*cages[0], *cages[1]], WIDTH, HEIGHT, 0.86)
    return _picture(cages[0], frame, picked), _picture(cages[1], frame, None)


def _picture(cages: list[Cage], frame: Frame, picked: dict[str, Any] | None) -> Image.Image:
    finer = 3
    larger = (finer * frame.width, finer * frame.height)
    image = Image.fromarray(drawn(cages, frame)).resize(larger, Image.Resampling.BICUBIC)
    pen = ImageDraw.Draw(image, "RGBA")
    for k, cage in enumerate(cages):
        _lines(pen, cage, frame, finer, picked if k == 0 else None)
    return image.resize((frame.width, frame.height), Image.Resampling.LANCZOS)


def _lines(pen: ImageDraw.ImageDraw, cage: Cage, frame: Frame, finer: int, picked: dict[str, Any] | None) -> None:
    """The cage's lines: those that look at the eye dark, the others faint; creases and what is picked in their colours."""
    t = cage.topology
    at = frame.placed(cage.positions, finer)
    # On the picture y runs down, so a face looks at the eye where its ring runs clockwise there.
    x, y = at[t.face_verts][:, :2].T
    ahead = at[t.face_verts[t.corner_next]]
    area = np.add.reduceat(x * ahead[:, 1] - y * ahead[:, 0], t.face_offsets[:-1])
    faces_eye = np.append(area < 0, False)
    if picked and picked["kind"] == "face":
        for face in picked["ids"]:
            ring = t.face_verts[t.face_offsets[face] : t.face_offsets[face + 1]]
            if faces_eye[face] or not t.is_closed:
                pen.polygon([tuple(p) for p in at[ring, :2]], fill=(*PICKED, 110))
    near = faces_eye[t.edge_faces].any(axis=1) | ~np.array([t.is_closed])
    for edge, (a, b) in enumerate(t.edge_verts.tolist()):
        chosen = picked is not None and picked["kind"] == "edge" and edge in picked["ids"]
        sharp = cage.edge_sharpness[edge] > 0
        tone, width = (PICKED, 5) if chosen else (CREASE, 5) if sharp else (INK, 2)
        pen.line([tuple(at[a, :2]), tuple(at[b, :2])], fill=(*tone, 220 if near[edge] else 45), width=width)
    if picked and picked["kind"] == "vertex":
        for v in picked["ids"]:
            px, py = at[v, :2]
            pen.ellipse([px - 8, py - 8, px + 8, py + 8], fill=PICKED)


def _font() -> ImageFont.FreeTypeFont | ImageFont.ImageFont:
    """The interface's own face where FreeType reads its packing."""
    for path in sorted(FONTS.rglob("source-sans-3-latin-wght-normal.woff2")):
        try:
            font = ImageFont.truetype(str(path), 15)
            font.set_variation_by_axes([560])
            return font
        except OSError:
            continue
    return ImageFont.load_default(13)


if __name__ == "__main__":
    main()
