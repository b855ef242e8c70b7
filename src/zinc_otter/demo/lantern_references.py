"""Draw the references of the tide lantern: a pencil sketch of its front, and the battery cell it is built around.

`python -m zinc_otter.demo.lantern_references` writes both files again; they are shipped beside this file.
"""

from __future__ import annotations

from pathlib import Path

import numpy as np
from PIL import Image, ImageDraw, ImageFilter
from scipy.interpolate import PchipInterpolator

FILES = Path(__file__).parent / "files"
SKETCH, CELL = FILES / "lantern sketch.png", FILES / "battery cell.stl"

# The sketch is 720 x 1000 pixels; the two ticks of its measure are 770 pixels, and 110 mm, apart.
TICKS = ((640.0, 110.0), (640.0, 880.0))
TICKS_APART = 110.0

# Half of the front's outline in mm from the middle of the lantern, from the foot to the ring.
_OUTLINE = [(0, -50), (21, -50), (22, -46), (17, -38), (17.5, -20), (15.5, 2), (17, 24), (15, 36), (9, 41), (0, 42)]


def draw_sketch() -> Image.Image:
    """Pencil on paper: the outline twice over, as a hand draws, with the cell in dashes and one measure."""
    scale = 3
    size = (720 * scale, 1000 * scale)
    random = np.random.default_rng(17)
    paper = Image.new("L", size, 255)
    pen = ImageDraw.Draw(paper)

    def at(x: float, z: float) -> tuple[float, float]:
        return ((340 + 7 * x) * scale, (530 - 7 * z) * scale)

    def line(points: np.ndarray, width: float, tone: int) -> None:
        steps = np.linalg.norm(np.diff(points, axis=0), axis=1)
        along = np.concatenate([[0], np.cumsum(steps)])
        fine = np.linspace(0, along[-1], max(int(along[-1] * 2), 2))
        wander = np.cumsum(random.normal(0, 0.035, (len(fine), 2)), axis=0)
        wander -= np.outer(np.linspace(0, 1, len(fine)), wander[-1])
        path = np.column_stack([np.interp(fine, along, points[:, k]) for k in range(2)]) + wander
        pen.line([at(x, z) for x, z in path], fill=tone, width=round(width * scale), joint="curve")

    half = np.array(_OUTLINE, dtype=float)
    t = np.linspace(0, 1, len(half))
    smooth = np.column_stack([PchipInterpolator(t, half[:, k])(np.linspace(0, 1, 120)) for k in range(2)])
    for tone in (150, 95):
        for side in (1, -1):
            line(smooth * [side, 1], 1.8, tone)
    turn = np.linspace(0, 2 * np.pi, 90)
    for radius in (9.5, 12.5):
        line(np.column_stack([radius * np.cos(turn), 51.5 + radius * np.sin(turn)]), 1.6, 110)
    line(np.array([(-26.0, -50.3), (26.0, -50.3)]), 1.4, 130)
    for level, width in ((-38.0, 17.0), (24.0, 17.0)):
        line(np.array([(-width, level), (0, level - 1.6), (width, level)], dtype=float), 1.2, 150)
    for start in np.arange(-32.5, 32.5, 4):
        for x in (-9.0, 9.0):
            line(np.array([(x, start), (x, start + 2.2)]), 1.2, 150)
    for height in (-32.5, 32.5):
        for start in np.arange(-9, 9, 4):
            line(np.array([(start, height), (start + 2.2, height)]), 1.2, 150)
    (x0, y0), (x1, y1) = TICKS
    measure = [(x0 * scale, y0 * scale), (x1 * scale, y1 * scale)]
    pen.line(measure, fill=120, width=round(1.3 * scale))
    for x, y in measure:
        pen.line([(x - 14 * scale, y), (x + 14 * scale, y)], fill=90, width=round(1.8 * scale))
    shade = paper.filter(ImageFilter.GaussianBlur(0.7 * scale)).resize((720, 1000), Image.Resampling.LANCZOS)
    grain = np.asarray(shade, dtype=np.float64) / 255
    noise = random.normal(0, 0.012, grain.shape)
    ink, sheet = np.array([62, 54, 48]), np.array([249, 245, 235])
    mixed = sheet + (ink - sheet) * (1 - np.clip(grain + noise * (grain < 0.98), 0, 1))[..., None]
    return Image.fromarray(np.clip(mixed + noise[..., None] * 90, 0, 255).astype(np.uint8)).quantize(64).convert("RGB")


def make_cell() -> bytes:
    """A round cell of the common 18 mm by 65 mm, its small pole on top: an STL file in mm about its middle."""
    import trimesh

    profile = np.array([
        (0, -32.5), (8.4, -32.5), (9, -31.9), (9, 30.4), (8.2, 31.2), (3.2, 31.2), (3.0, 32.3), (2.8, 32.5), (0, 32.5),
    ])  # fmt: skip
    made = trimesh.creation.revolve(profile, sections=48).export(file_type="stl")
    assert isinstance(made, bytes)
    return made


def main() -> None:
    FILES.mkdir(exist_ok=True)
    draw_sketch().save(SKETCH, optimize=True)
    CELL.write_bytes(make_cell())


if __name__ == "__main__":
    main()
