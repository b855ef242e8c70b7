"""What a dimension comes to, how it is drawn, and the motion that changes it."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.plane import frame_along
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.dimension.spot import AXES, Located
from zinc_otter.core.errors import BadSelectionError

Way = Literal["straight", "square", "x", "y", "z"]
Unit = Literal["mm", "°"]

_STEPS = 48


class NoMeasureError(BadSelectionError):
    """Places between which there is nothing of the kind to be measured."""

    kind = "no-measure"
    title = "There is nothing to measure"


@dataclass(frozen=True, eq=False)
class Aim:
    """What changes a measure: "move" along the unit ``way``, "size" about ``about`` (evenly, or only across the unit
    ``way``), or "turn" about the axis ``way`` through ``about``; all (3,)."""

    by: Literal["move", "size", "turn"]
    about: Floats
    way: Floats | None = None


@dataclass(frozen=True, eq=False)
class Measured:
    """A ``figure`` in its ``unit``; ``line`` (k, 3) is what was measured, ``helper`` (j, 2, 3) lines lead to it from the
    form, and the figure is written at ``label`` (3,). ``strays`` tells how far the form is from what was laid into it, mm.
    """

    figure: float
    unit: Unit
    line: Floats
    helper: Floats
    label: Floats
    aim: Aim
    strays: float = 0.0
    sign: str = ""
    """What stands before its figure on a drawing."""


def distance(a: Located, b: Located, way: Way) -> Measured:
    """How far ``b`` is from ``a``: straight, square to the first's line or plane (or else the second's), or along an axis.

    >>> flat = Located(np.zeros(3), normal=np.array([0.0, 0, 1]))
    >>> distance(flat, Located(np.array([3.0, 0, 4])), "square").figure
    4.0
    """
    if way == "square" and a.along is None and a.normal is None and (b.along is not None or b.normal is not None):
        # Told from the one that has a line or a plane; it stays the second that is moved.
        turned = distance(b, a, way)
        return Measured(turned.figure, "mm", turned.line, turned.helper, turned.label, _moved_back(turned.aim))
    off = b.point - a.point
    if way == "square" and a.normal is not None:
        off = (off @ a.normal) * a.normal
    elif way == "square" and a.along is not None:
        off = off - (off @ a.along) * a.along
    elif way in AXES:
        axis = np.array(AXES[way])
        off = (off @ axis) * axis
    figure = float(np.linalg.norm(off))
    foot = b.point - off
    begins_at_b = way == "square" and (a.normal is not None or a.along is not None)
    line = np.array([foot, b.point]) if begins_at_b else np.array([a.point, a.point + off])
    ends = (a.point, foot) if begins_at_b else (a.point + off, b.point)
    helper = np.array([ends]) if np.linalg.norm(ends[1] - ends[0]) > 1e-9 else np.zeros((0, 2, 3))
    if figure > 1e-9:
        along = off / figure
    else:
        along = np.array(AXES[way]) if way in AXES else (a.normal if a.normal is not None else np.zeros(3))
    return Measured(figure, "mm", line, helper, line.mean(axis=0), Aim("move", b.point, along))


def _moved_back(aim: Aim) -> Aim:
    assert aim.way is not None
    return Aim(aim.by, aim.about, -aim.way)


def circle(points: Floats, *, radius: bool) -> Measured:
    """The diameter, or the ``radius``, of the circle that lies nearest to points (k, 3), by least squares.

    The plane by singular values, the circle by the linear fit of I. D. Coope, "Circle fitting by linear and nonlinear least
    squares", JOTA 76(2), 1993. Raises NoMeasureError for fewer than three points, or points on a line.
    """
    if len(points) < 3:
        raise NoMeasureError("A circle needs three points at least: pick more of the rim.")
    middle = points.mean(axis=0)
    _, spread, ways = np.linalg.svd(points - middle)
    if spread[1] < 1e-6 * spread[0]:
        raise NoMeasureError("These points lie on a line: no circle goes through them.")
    u, v, normal = ways
    flat = (points - middle) @ np.column_stack([u, v])
    rows = np.column_stack([2 * flat, np.ones(len(flat))])
    x, y, c = np.linalg.lstsq(rows, (flat**2).sum(axis=1), rcond=None)[0]
    r = float(np.sqrt(c + x * x + y * y))
    centre = middle + x * u + y * v
    strays = np.hypot(np.linalg.norm(flat - [x, y], axis=1) - r, (points - middle) @ normal)
    # Drawn through a point of it, so that its end lies on the form.
    towards = unit(points[0] - centre - ((points[0] - centre) @ normal) * normal)
    side = np.cross(normal, towards)
    round_it = np.linspace(0, 2 * np.pi, _STEPS + 1)
    rim = centre + r * (np.cos(round_it)[:, None] * towards + np.sin(round_it)[:, None] * side)
    start = centre if radius else centre - r * towards
    line = np.array([start, centre + r * towards])
    figure, sign = (r, "R") if radius else (2 * r, "\N{DIAMETER SIGN}")
    label, helper = centre + 0.5 * r * towards, np.stack([rim[:-1], rim[1:]], axis=1)
    return Measured(figure, "mm", line, helper, label, Aim("size", centre, normal), float(strays.max()), sign)


def angle(a: Located, b: Located) -> Measured:
    """The angle between two lines, a line and a plane, or two planes (through the material), in degrees.

    Of lines that meet, from where they meet to their middles; otherwise the lesser one. Raises NoMeasureError.
    """
    if (a.along is None and a.normal is None) or (b.along is None and b.normal is None):
        raise NoMeasureError("An angle lies between edges, faces and axes: a single point has no direction.")
    if a.normal is not None and b.normal is not None:
        return _between_planes(a.point, a.normal, b.point, b.normal)
    if a.along is not None and b.along is not None:
        return _between_lines(a.point, a.along, b.point, b.along)
    line, plane = (a, b) if a.along is not None else (b, a)
    assert line.along is not None and plane.normal is not None
    up = float(line.along @ plane.normal)
    way = line.along if up >= 0 else -line.along
    flat = way - (way @ plane.normal) * plane.normal
    if np.linalg.norm(flat) < 1e-9:
        flat = frame_along((float(plane.normal[0]), float(plane.normal[1]), float(plane.normal[2])))[:, 0]
    meet = line.point - way * ((line.point - plane.point) @ plane.normal) / up if abs(up) > 1e-9 else plane.point
    axis = np.cross(unit(flat), way) * (-1.0 if line is a else 1.0)
    return _arc(meet, unit(flat), way, _reach(meet, line.point, plane.point), b.point, axis)


def _between_lines(p: Floats, u: Floats, q: Floats, w: Floats) -> Measured:
    square = np.cross(u, w)
    if np.linalg.norm(square) < 1e-9:
        return _arc(p, u, u, _reach(p, p, q), q, frame_along((float(u[0]), float(u[1]), float(u[2])))[:, 0])
    # Where the one comes nearest to the other.
    s, t = np.linalg.lstsq(np.column_stack([u, -w]), q - p, rcond=None)[0]
    meet = (p + s * u + q + t * w) / 2
    towards_p, towards_q = u * (-1 if s > 0 else 1), w * (-1 if t > 0 else 1)
    if abs(s) < 1e-9 or abs(t) < 1e-9:
        towards_p, towards_q = u, w if u @ w >= 0 else -w
    return _arc(meet, towards_p, towards_q, _reach(meet, p, q), meet, np.cross(towards_p, towards_q))


def _between_planes(p: Floats, n: Floats, q: Floats, m: Floats) -> Measured:
    axis = np.cross(n, m)
    if np.linalg.norm(axis) < 1e-9:
        across = frame_along((float(n[0]), float(n[1]), float(n[2])))[:, 0]
        figure = 180.0 if n @ m > 0 else 0.0
        line = np.array([p, q])
        return Measured(figure, "°", line, np.zeros((0, 2, 3)), line.mean(axis=0), Aim("turn", q, across))
    axis = unit(axis)
    # The point of the line where they meet that is nearest to both.
    middle = (p + q) / 2
    rows = np.array([n, m, axis])
    meet = np.linalg.solve(rows, np.array([n @ p, m @ q, axis @ middle]))
    to_p, to_q = (unit(x - meet - ((x - meet) @ axis) * axis) for x in (p, q))
    turn = float(np.degrees(np.arccos(np.clip(n @ m, -1, 1))))
    convex = (q - p) @ n <= 0
    figure = 180.0 - turn if convex else 180.0 + turn
    if not np.linalg.norm(to_p) or not np.linalg.norm(to_q):
        to_p, to_q = np.cross(n, axis), np.cross(m, axis)
    made = _arc(meet, to_p, to_q, _reach(meet, p, q), meet, np.cross(to_p, to_q) * (1 if convex else -1))
    return Measured(figure, "°", made.line, made.helper, made.label, made.aim)


def _reach(meet: Floats, p: Floats, q: Floats) -> float:
    """How far from where two meet their angle is drawn."""
    away = [float(np.linalg.norm(x - meet)) for x in (p, q)]
    near = min((d for d in away if d > 1e-6), default=float(np.linalg.norm(q - p)))
    return 0.6 * max(near, 1e-3)


def _arc(meet: Floats, start: Floats, end: Floats, size: float, about: Floats, axis: Floats) -> Measured:
    """From one unit way to another about where they meet; turned about ``about`` where it is to be changed."""
    turn = float(np.arccos(np.clip(start @ end, -1, 1)))
    side = end - (end @ start) * start
    side = unit(side) if np.linalg.norm(side) > 1e-9 else np.zeros(3)
    steps = np.linspace(0, turn, max(2, int(np.ceil(turn / 0.1)) + 1))
    line = meet + size * (np.cos(steps)[:, None] * start + np.sin(steps)[:, None] * side)
    helper = np.array([[meet, meet + 1.15 * size * start], [meet, meet + 1.15 * size * end]])
    way = unit(axis) if np.linalg.norm(axis) > 1e-9 else np.array([0.0, 0.0, 1.0])
    return Measured(float(np.degrees(turn)), "°", line, helper, line[len(line) // 2], Aim("turn", about, way))
