"""Maps on paper: the form from two sides in the colours of the values, with the scale, its limit, and how many there are."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.proof.walls import point_normals
from zinc_otter.core.proving import Ground
from zinc_otter.core.proving.base import Valued
from zinc_otter.core.words import number, percent_words
from zinc_otter.sheet.paper import FAULT, INK, ZINC, Line, Picture, Text, rectangle
from zinc_otter.sheet.tables import MARGIN, Flow
from zinc_otter.sheet.tones import tones
from zinc_otter.sheet.views import Placed, aslant, extent_in, picture_of
from zinc_otter.studio.shown import Thing

_TALL = 62.0
_STEPS, _BINS = 60, 30


def put_map(
    flow: Flow, title: str, words: str, ground: Ground, value: Valued, worst: Sequence[tuple[float, float, float]]
) -> None:
    """One map, as a block of the flow."""
    flow.room(_TALL + 26)
    flow.title(f"Map: {title}", _TALL + 20)
    flow.words(words)
    low, high = value.span
    colours = tones(value.values, low, high, value.limit, value.below, value.both)
    thing = Thing(ground.points, ground.triangles, colours)
    normals = point_normals(ground.points, ground.triangles)
    wide = (flow.width - 60) / 2
    for k, (turn, rise) in enumerate(((35, 25), (215, -25))):
        view = aslant(turn, rise, "From the front, above" if k == 0 else "From behind, below")
        least, most = extent_in(view, [thing])
        w, h = (float(v) for v in (most - least)[:2])
        scale = min((wide - 6) / w, (_TALL - 8) / h)
        at = (MARGIN + wide * (k + 0.5), flow.y + _TALL / 2 - 3)
        placed = Placed(view, scale, (least + most) / 2, at, w * scale + 2, h * scale + 2)
        x, y = at[0] - placed.width / 2, at[1] - placed.height / 2
        png = picture_of(placed, [thing], plain=True)
        flow.page.add(Picture((x, y), placed.width, placed.height, png, f"{title}, {view.name}"))
        flow.page.add(Text((at[0], flow.y + _TALL - 1), view.name, 7.5, colour=ZINC, anchor="middle"))
        for place in worst[:1]:
            # Marked where it is seen.
            nearest = int(np.linalg.norm(ground.points - place, axis=1).argmin())
            if normals[nearest] @ view.frame[2] <= 0:
                continue
            mark = placed.on_paper(np.array([place]))[0]
            flow.page.add(Line(_ring(mark, 1.6), FAULT, 0.4))
    _scale(flow, value, low, high, MARGIN + 2 * wide + 8)
    flow.y += _TALL + 4


def _ring(at: np.ndarray, radius: float) -> tuple[tuple[float, float], ...]:
    turn = np.linspace(0, 2 * np.pi, 25)
    return tuple((float(at[0] + radius * np.cos(t)), float(at[1] + radius * np.sin(t))) for t in turn)


def _scale(flow: Flow, value: Valued, low: float, high: float, x: float) -> None:
    top, tall = flow.y, _TALL - 8
    steps = np.linspace(high, low, _STEPS)
    colours = tones(steps, low, high, value.limit, value.below, value.both)
    each = tall / _STEPS
    for k, colour in enumerate(colours):
        tone = "#" + "".join(f"{round(255 * v):02X}" for v in colour)
        flow.page.add(Line(rectangle(x, top + k * each, 6, each + 0.05), tone, 0.0, fill=tone))
    counts = value.counts(_BINS)
    for k, count in enumerate(counts):
        y = top + tall - (k + 1) * tall / _BINS
        long = 14 * count / max(counts.max(), 1)
        if count:
            flow.page.add(Line(rectangle(x + 7, y + 0.2, max(long, 0.2), tall / _BINS - 0.4), ZINC, 0.0, fill="#B9BFC2"))
    span = high - low if high > low else 1.0
    limits = (value.limit, -value.limit) if value.both else (value.limit,)
    heights = [top + tall * (high - limit) / span for limit in limits]
    for end in (high, low):
        y = top + tall * (high - end) / span
        if all(abs(y - height) > 3.2 for height in heights):
            flow.page.add(Text((x + 23, y + 1), _told(end, value), 8))
    for y, limit in zip(heights, limits, strict=True):
        flow.page.add(Line(((x - 1, y), (x + 22, y)), INK, 0.4))
        flow.page.add(Text((x + 23, y + 1), f"limit {_told(limit, value)}", 8, True))
    fails = value.share > 0
    many = percent_words(value.share) if fails else "none"
    words = f"{many} of {len(value.known):,} points beyond the limit"
    flow.page.add(Text((x, top + tall + 5), words, 7.5, colour=FAULT if fails else ZINC))


def _told(number_of: float, value: Valued) -> str:
    return f"{number(number_of)}{'' if value.unit == '°' else ' '}{value.unit}"
