"""A surface through curves in the order of their places; what is given in another order or direction is set right."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Literal

import numpy as np

from zinc_otter.core.cage.shells import shell_volumes
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.curve import Curve, CurveError, unchecked
from zinc_otter.core.curve.fitting import Fitted, resampled, smoothed, strays
from zinc_otter.core.curve.growing.grid import Grown, grid_cage, with_caps
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.curve.solving import solved
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.words import fine_length_words

MOST_CURVES = 200
_MARKS = 96
"""Places by which two curves are laid onto one another."""


def loft(
    curves: Sequence[Curve], *, count: int | None = None, each: int = 1, closed: bool = False,
    ends: Literal["open", "flat"] = "open", mended: bool = True,
) -> Grown:  # fmt: skip
    """The surface through two or more curves, all open or all closed; ``closed`` leads from the last to the first again.

    They are ordered by where they lie, turned round and begun where they lie nearest to one another, and given ``count``
    control points (the largest of theirs), with the least deviation, which is said. Then each lies in the surface.
    With ``mended`` false order, directions and beginnings stay as they are given.
    ``each`` faces lie between two of them. Closed curves make a tube that looks outwards, its ends "open" or closed by a
    "flat" face each. Raises CurveError, BadNumberError.

    >>> from zinc_otter.core.curve.making import circle
    >>> rings = [circle(20, 8).with_points(circle(20, 8).points + [0, 0, z]) for z in (0, 30, 10)]
    >>> loft(rings).cage.bounds[:, 2].tolist()
    [0.0, 30.0]
    """
    if not 2 <= len(curves) <= MOST_CURVES:
        raise CurveError(f"A loft goes through 2 to {MOST_CURVES} curves; {len(curves)} were given.")
    if len({curve.closed for curve in curves}) > 1:
        raise CurveError("A loft goes through curves that are all open, or all closed.")
    if closed and len(curves) < 3:
        raise CurveError("A loft that closes needs three curves at least.")
    if not 1 <= each <= 64:
        raise BadNumberError(f"There are 1 to 64 faces from one curve to the next; {each} were asked for.")
    order = in_order(curves) if mended else list(range(len(curves)))
    smooth, deviation = _alike([curves[k] for k in order], count)
    laid = laid_alike(smooth) if mended else smooth
    rows = solved(np.stack([curve.points for curve in laid]), closed)
    if each > 1:
        rows = _finer(rows, each, closed)
    around = laid[0].closed
    cage = grid_cage(rows.transpose(1, 0, 2), (around, closed))
    if around and not closed:
        rings = [np.arange(laid[0].count) * len(rows) + k for k in (0, len(rows) - 1)]
        capped = with_caps(cage, [rings[0][::-1], rings[1]])
        if shell_volumes(capped).sum() < 0:
            # The way that the curves run, and the way past them, look inwards: from the last to the first they do not.
            cage = grid_cage(rows[::-1].transpose(1, 0, 2), (True, False))
            capped = with_caps(cage, [rings[0][::-1], rings[1]])
        cage = capped if ends == "flat" else cage
    columns = laid[0].end
    words = []
    if order != list(range(len(curves))):
        words.append("The curves were put into the order in which they lie.")
    words += _laid_words(smooth, laid)
    if deviation > 0:
        words.append(
            f"Counts were made equal: the surface strays from the curves by at most "
            f"{fine_length_words(deviation)}."
        )
    faces_along = each * (len(laid) if closed else len(laid) - 1)
    return Grown(cage, columns, faces_along, np.zeros(0, dtype=np.int32), tuple(words), deviation)


def in_order(curves: Sequence[Curve]) -> list[int]:
    """The order in which curves lie: the shortest way past their middles, begun at the end that was given first."""
    middles = np.array([_marks(curve).mean(axis=0) for curve in curves])
    apart = np.linalg.norm(middles[:, None] - middles[None], axis=2)
    # From each of them to the nearest that is left; then legs are turned round while that shortens the way.
    best: list[int] = []
    for start in range(len(curves)):
        way = [start]
        while len(way) < len(curves):
            left = [k for k in range(len(curves)) if k not in way]
            way.append(min(left, key=lambda k: float(apart[way[-1], k])))
        way = _shortened(way, apart)
        if not best or _long(way, apart) < _long(best, apart) * (1 - 1e-9):
            best = way
    return best if best[0] <= best[-1] else best[::-1]


def _long(way: list[int], apart: Floats) -> float:
    return float(apart[way[:-1], way[1:]].sum())


def _shortened(way: list[int], apart: Floats) -> list[int]:
    again = True
    while again:
        again = False
        for i in range(len(way) - 1):
            for j in range(i + 2, len(way) + 1):
                other = way[:i] + way[i:j][::-1] + way[j:]
                if _long(other, apart) < _long(way, apart) * (1 - 1e-12):
                    way, again = other, True
    return way


def _alike(curves: list[Curve], count: int | None) -> tuple[list[Curve], float]:
    """All of degree 3, without corners, and of one count; and the largest deviation of it."""
    most = max(curve.count for curve in curves) if count is None else count
    made, deviation = [], 0.0
    for curve in curves:
        fitted = smoothed(curve)
        if fitted.curve.count != most:
            finer = resampled(fitted.curve, max(most, 4), 3).curve
            fitted = Fitted(finer, strays(finer, curve))
        made.append(fitted.curve)
        deviation = max(deviation, fitted.deviation)
    if len({curve.count for curve in made}) > 1:
        return _alike(curves, max(curve.count for curve in made))
    return made, deviation


def laid_alike(curves: list[Curve]) -> list[Curve]:
    """The curves turned round, and begun elsewhere, so that each lies nearest to the one before it."""
    laid = [curves[0]]
    for curve in curves[1:]:
        before = _centred(laid[-1].points)
        options = [curve, curve.reversed()]
        if curve.closed:
            options = [option.begun_at(k) for option in options for k in range(curve.count)]
        # Sizes apart: what counts is which way it goes, and where it begins.
        laid.append(min(options, key=lambda option: float(((_centred(option.points) - before) ** 2).sum())))
    return laid


def _laid_words(given: list[Curve], laid: list[Curve]) -> list[str]:
    """What was done to directions and beginnings."""
    # The one that is closed begins at the same point, turned round or not: what differs behind it is its direction.
    turned = sum(
        not any(np.array_equal(after.begun_at(k).points if after.closed else after.points, before.points)
                for k in (range(after.count) if after.closed else (0,)))
        for before, after in zip(given, laid, strict=True)
    )  # fmt: skip
    begun = sum(after != before for before, after in zip(given, laid, strict=True)) - turned
    words = []
    if turned:
        words.append(f"{turned} of them {'runs' if turned == 1 else 'run'} the other way now.")
    if begun:
        words.append(f"{begun} of them {'begins' if begun == 1 else 'begin'} at another point now.")
    return words


def _centred(points: Floats) -> Floats:
    off = points - points.mean(axis=0)
    return np.asarray(off / max(float(np.linalg.norm(off)), 1e-12))


def _marks(curve: Curve) -> Floats:
    made = pieces_of(curve)
    return made.at(made.evenly(_MARKS))


def _finer(rows: Floats, each: int, closed: bool) -> Floats:
    """Control points of the same surface's places, ``each`` times as many along the first axis."""
    m = len(rows)
    flat = rows.reshape(m, -1, 3)
    steps = np.linspace(0, m, m * each, endpoint=False) if closed else np.linspace(0, m - 1, (m - 1) * each + 1)
    columns = [pieces_of(unchecked(flat[:, j], 3, closed)).at(steps) for j in range(flat.shape[1])]
    return solved(np.stack(columns, axis=1), closed).reshape(len(steps), *rows.shape[1:])

