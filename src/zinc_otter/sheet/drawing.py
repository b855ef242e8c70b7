"""The first page: three flat views at one scale with their dimensions, one aslant, and the ruler."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.dimension.measured import Measured
from zinc_otter.sheet.paper import FAULT, INK, LIGHT, POINT, ZINC, Line, Page, Picture, Text, rectangle, ruler, width_of
from zinc_otter.sheet.views import FRONT, RIGHT, TOP, Placed, View, aslant, extent_in, picture_of
from zinc_otter.studio.shown import Thing

SCALES = (50.0, 20.0, 10.0, 5.0, 2.0, 1.0, 0.5, 0.2, 0.1, 0.05, 0.02, 0.01, 0.005, 0.002, 0.001)
"""Of ISO 5455: enlarged, full size, reduced."""

MARGIN, GAP, FOOT = 10.0, 14.0, 32.0
_SMALL = 60.0
"""What is smaller than this at full size is drawn enlarged, with its true size beside it."""


@dataclass(frozen=True)
class Measure:
    """A dimension with what is written at it, such as ``D1: 24 mm``; one that ``fails`` is marked."""

    written: str
    found: Measured
    fails: bool = False


def scale_words(scale: float) -> str:
    """As ISO 5455 writes it.

    >>> scale_words(2.0), scale_words(1.0), scale_words(0.05)
    ('2:1', '1:1', '1:20')
    """
    return f"{scale:g}:1" if scale >= 1 else f"1:{1 / scale:g}"


def scale_for(low: Floats, high: Floats, width: float, height: float, true_size: bool) -> float:
    """The largest scale at which the three views lie on so much paper: full size if it fits, larger for what is small."""
    x, y, z = (float(v) for v in high - low)
    fits = [s for s in SCALES if s * (x + y) + GAP <= width and s * (y + z) + GAP <= height]
    if not fits:
        return SCALES[-1]
    wants_true = true_size or _reach(x, y, z) >= _SMALL
    return 1.0 if wants_true and 1.0 in fits else max(fits) if not wants_true else max(s for s in fits if s <= 1)


def _reach(x: float, y: float, z: float) -> float:
    return max(x + y, y + z)


def drawing(page: Page, things: Sequence[Thing], measures: Sequence[Measure], true_size: bool) -> float:
    """Draw the views on a page; the answer is their scale."""
    things = list(things)
    width, height = page.width - 2 * MARGIN, page.height - 2 * MARGIN - FOOT
    low = np.min([t.points.min(axis=0) for t in things], axis=0)
    high = np.max([t.points.max(axis=0) for t in things], axis=0)
    scale = scale_for(low, high, width, height, true_size)
    x, y, z = (float(v) * scale for v in high - low)
    top_at = MARGIN + max(0.0, (height - (y + z + GAP)) / 2)
    left = MARGIN + 8
    corners = {
        FRONT.name: (FRONT, left, top_at + y + GAP, x, z),
        RIGHT.name: (RIGHT, left + x + GAP, top_at + y + GAP, y, z),
        TOP.name: (TOP, left, top_at, x, y),
    }
    placed = {name: _placed(view, things, scale, at_x, at_y, w, h) for name, (view, at_x, at_y, w, h) in corners.items()}
    for one in placed.values():
        _show(page, one, things, one.view.name)
    _aslant(page, things, left + x + GAP + y, top_at, y, z, left + x + GAP)
    for measure in measures:
        _measure(page, measure, list(placed.values()))
    page.add(*ruler(MARGIN, page.height - MARGIN - 22))
    words = "Printed at 100 %, this is 50 mm."
    page.add(Text((MARGIN, page.height - MARGIN - 10), words, 7.5, colour=ZINC))
    if scale != 1.0:
        _true_size(page, things)
    return scale


def _placed(view: View, things: list[Thing], scale: float, x: float, y: float, width: float, height: float) -> Placed:
    low, high = extent_in(view, things)
    air = 2.0
    return Placed(view, scale, (low + high) / 2, (x + width / 2, y + height / 2), width + air, height + air)


def _show(page: Page, placed: Placed, things: list[Thing], words: str) -> None:
    x, y = placed.at[0] - placed.width / 2, placed.at[1] - placed.height / 2
    page.add(Picture((x, y), placed.width, placed.height, picture_of(placed, things), words))
    page.add(Text((placed.at[0], y + placed.height + 4), words, 7.5, colour=ZINC, anchor="middle"))


def _aslant(page: Page, things: list[Thing], right: float, top: float, y: float, z: float, beside: float) -> None:
    """One picture for the eye, at no scale, in the corner that the three leave."""
    wide, tall = page.width - MARGIN - beside, y
    if right + 40 < page.width - MARGIN:
        # There is more room to the right of all three.
        beside, wide, tall = right + 6, page.width - MARGIN - right - 6, y + z + GAP
    if wide < 25 or tall < 20:
        return
    view = aslant(35, 25, "Aslant, not to scale")
    low, high = extent_in(view, things)
    w, h = (float(v) for v in (high - low)[:2])
    scale = min((wide - 4) / w, (tall - 8) / h)
    at = (beside + wide / 2, top + tall / 2 - 2)
    _show(page, Placed(view, scale, (low + high) / 2, at, w * scale + 2, h * scale + 2), things, view.name)


def _true_size(page: Page, things: list[Thing]) -> None:
    """Beside a drawing to another scale one view at full size: the one that shows most of what the foot has room for."""
    best: tuple[float, View, Floats, Floats] | None = None
    for view in (FRONT, RIGHT, TOP):
        low, high = extent_in(view, things)
        w, h = (float(v) for v in (high - low)[:2])
        if w <= 46 and h <= FOOT - 7 and (best is None or w * h > best[0] * 1.01):
            best = (w * h, view, low, high)
    if best is None:
        return
    _, view, low, high = best
    w, h = (float(v) for v in (high - low)[:2])
    at = (MARGIN + 60 + w / 2 + 4, page.height - MARGIN - FOOT + 3 + h / 2)
    _show(page, Placed(view, 1.0, (low + high) / 2, at, w + 1, h + 1), things, "True size")


def _measure(page: Page, measure: Measure, views: list[Placed]) -> None:
    """In the view that shows most of it."""
    found = measure.found
    best = max(views, key=lambda placed: _seen_of(found, placed))
    line = best.on_paper(found.line)
    colour = FAULT if measure.fails else INK
    for a, b in found.helper:
        pair = best.on_paper(np.array([a, b]))
        page.add(Line(_points(pair), ZINC, 0.13))
    page.add(Line(_points(line), colour, 0.3))
    for end, before in ((line[0], line[1]), (line[-1], line[-2])):
        _arrow(page, end, before, colour)
    x, y = best.on_paper(found.label)[0]
    words = f"{measure.written}{' !' if measure.fails else ''}"
    wide = width_of(words, 8, True) + 1.2
    # Beside what is short it is not written over it.
    run = float(np.linalg.norm(line[-1] - line[0]))
    if run < wide + 4 and len(line) == 2:
        x, y = line[-1][0] + wide / 2 + 1.5, line[-1][1]
    page.add(
        Line(rectangle(x - wide / 2, y - 1.9, wide, 3.8), LIGHT, 0.1, fill="#FFFFFF"),
        Text((float(x), float(y) + 0.36 * 8 * POINT), words, 8, True, colour, "middle"),
    )


def _seen_of(found: Measured, placed: Placed) -> float:
    """How much of its lines is seen in a view, in mm of paper."""
    flat = placed.on_paper(found.line)
    seen = float(np.linalg.norm(np.diff(flat, axis=0), axis=1).sum())
    if len(found.helper):
        ends = placed.on_paper(found.helper.reshape(-1, 3)).reshape(-1, 2, 2)
        seen += 0.5 * float(np.linalg.norm(ends[:, 1] - ends[:, 0], axis=1).sum())
    return seen


def _arrow(page: Page, end: Floats, before: Floats, colour: str) -> None:
    way = end - before
    length = float(np.linalg.norm(way))
    if length < 0.3:
        return
    way, side = way / length, np.array([-way[1], way[0]]) / length
    size = min(2.0, 0.3 * length + 0.4)
    tips = [end, end - size * way + 0.28 * size * side, end - size * way - 0.28 * size * side, end]
    page.add(Line(_points(np.array(tips)), colour, 0.05, fill=colour))


def _points(points: Floats) -> tuple[tuple[float, float], ...]:
    return tuple((float(x), float(y)) for x, y in points)
