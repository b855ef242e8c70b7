"""Curves to begin from. Sizes are those of the curve, not of its polygon."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.fitting import through
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.words import extent, length_words


def circle(diameter: float, count: int = 8) -> Curve:
    """A closed curve of so many control points about the origin, in x and y; its control points' places on it lie at half
    the ``diameter`` (mm). Between them it strays by 0.41 % of the radius for 6 points, 0.12 % for 8. Raises BadNumberError.

    >>> from zinc_otter.core.curve import pieces_of
    >>> made = pieces_of(circle(20, 8))
    >>> round(float(abs(made.at([0.0])[0][0])), 9)
    10.0
    """
    return ellipse(diameter, diameter, count)


def ellipse(width: float, depth: float, count: int = 8) -> Curve:
    """As :func:`circle`, ``width`` by ``depth`` mm; with a count that four divides, exactly so."""
    _above(width=width, depth=depth)
    _count(count, 3)
    turns = np.arange(count) * 2 * np.pi / count
    # The masks (1, 4, 1) / 6 draw each point in by this.
    out = 3 / (2 + np.cos(2 * np.pi / count))
    return Curve(np.column_stack([width / 2 * out * np.cos(turns), depth / 2 * out * np.sin(turns), 0 * turns]), 3, True)


def arc(radius: float, degrees: float, count: int = 5) -> Curve:
    """Part of a circle about the origin, from the x axis on; it passes through ``count`` points of the circle."""
    _above(radius=radius, degrees=degrees)
    _count(count, 2)
    if degrees >= 360:
        raise BadNumberError(f"An arc is less than a whole turn; {degrees:g}° are one, or more: put down a circle.")
    turns = np.radians(np.linspace(0, degrees, count))
    return through(np.column_stack([radius * np.cos(turns), radius * np.sin(turns), 0 * turns]))


def polygon(diameter: float, sides: int) -> Curve:
    """A regular polygon with straight sides; its corners lie on the ``diameter`` (mm)."""
    _above(diameter=diameter)
    _count(sides, 3)
    turns = np.arange(sides) * 2 * np.pi / sides
    return Curve(diameter / 2 * np.column_stack([np.cos(turns), np.sin(turns), 0 * turns]), 1, True)


# Of the radius, from the corner that is rounded off: where control points follow its arc best, to half a per cent.
_NEAR, _FAR, _BEYOND = 0.56596, 1.15135, 1.73674


def rounded_rectangle(width: float, depth: float, radius: float) -> Curve:
    """A rectangle about the origin with corners of a ``radius`` (mm), by four to six control points a corner.

    Its sides are straight, and the corners stray by half a per cent of the radius at most. Where a side has no straight part
    to speak of the points lie evenly along it instead. Raises BadNumberError where the corners do not fit.
    """
    _above(width=width, depth=depth, radius=radius)
    if 2 * radius > min(width, depth):
        most = min(width, depth) / 2
        raise BadNumberError(
            f"Corners of {length_words(radius)} do not fit into {extent((width, depth))}; up to {length_words(most)} "
            f"do."
        )
    if min(width, depth) < 2.1 * _FAR * radius:
        return _evenly_rounded(width, depth, radius)
    points = []
    for x, y in ((1, 1), (-1, 1), (-1, -1), (1, -1)):
        corner = np.array([x * width / 2, y * depth / 2])
        # Up one side and along the next, counter-clockwise; on a long side a third point keeps the next corner's away.
        sides = [(np.array([0.0, -y]), depth), (np.array([-x, 0.0]), width)]
        first, second = sides if x * y > 0 else sides[::-1]
        (into, length), (out, other) = first, second
        before = [_BEYOND, _FAR, _NEAR] if length > 2.2 * _BEYOND * radius else [_FAR, _NEAR]
        after = [_NEAR, _FAR, _BEYOND] if other > 2.2 * _BEYOND * radius else [_NEAR, _FAR]
        points += [corner + share * radius * into for share in before]
        points += [corner + share * radius * out for share in after]
    return Curve(np.column_stack([np.array(points), np.zeros(len(points))]), 3, True)


def _evenly_rounded(width: float, depth: float, radius: float) -> Curve:
    quarter = np.linspace(0, np.pi / 2, 65)
    path = [np.array([[width / 2, 0.0]])]
    for k, (x, y) in enumerate(((1, 1), (-1, 1), (-1, -1), (1, -1))):
        middle = np.array([x * (width / 2 - radius), y * (depth / 2 - radius)])
        turn = quarter + k * np.pi / 2
        path.append(middle + radius * np.column_stack([np.cos(turn), np.sin(turn)]))
    line = np.vstack([*path, path[0]])
    run = np.concatenate([[0.0], np.cumsum(np.linalg.norm(np.diff(line, axis=0), axis=1))])
    count = 16 + 8 * round(max(width, depth) / (2 * radius) - 1)
    at = np.arange(count) * run[-1] / count
    return through(np.column_stack([*(np.interp(at, run, line[:, k]) for k in range(2)), np.zeros(count)]), closed=True)


def helix(diameter: float, pitch: float, turns: float, each: int = 8) -> Curve:
    """A screw line round the z axis from z = 0 up, ``pitch`` mm a turn, through ``each`` points of every turn."""
    _above(diameter=diameter, turns=turns)
    _count(each, 4)
    if not np.isfinite(pitch) or abs(pitch) < 1e-6:
        raise BadNumberError("A helix needs a pitch that is not nought; put down a circle for a flat one.")
    count = max(round(turns * each), 2) + 1
    _count(count, 2)
    u = np.linspace(0, 2 * np.pi * turns, count)
    return through(np.column_stack([diameter / 2 * np.cos(u), diameter / 2 * np.sin(u), pitch * u / (2 * np.pi)]))


def wave(diameter: float, count: int, out: float, along: float, each: int = 6) -> Curve:
    """A closed wave round the z axis: ``count`` times ``out`` mm away from the ``diameter`` and ``along`` mm up and back.

    The control points follow the wave; what it measures is asked of the curve.
    """
    _above(diameter=diameter)
    _count(count, 1)
    _count(each, 4)
    _count(count * each, 3)
    u = np.arange(count * each) * 2 * np.pi / (count * each)
    radius = diameter / 2 + out * np.sin(count * u)
    goals: Floats = np.column_stack([radius * np.cos(u), radius * np.sin(u), along * np.cos(count * u)])
    return through(goals, closed=True)


def _above(**sizes: float) -> None:
    for name, size in sizes.items():
        if not (np.isfinite(size) and size > 0):
            raise BadNumberError(f"The {name} must be above 0; {size:g} was given.")


def _count(count: int, least: int) -> None:
    if not least <= count <= 2_000:
        raise BadNumberError(f"{least} to 2,000 points can be had here; {count} were asked for.")
