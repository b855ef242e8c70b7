"""A pipe: a section carried along a curve."""

from __future__ import annotations

from typing import Literal

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.curve import Curve, CurveError, unchecked
from zinc_otter.core.curve.fitting import feet_on
from zinc_otter.core.curve.frames import minimal_frames
from zinc_otter.core.curve.growing.grid import Grown, grid_cage, with_caps
from zinc_otter.core.curve.pieces import Pieces, pieces_of
from zinc_otter.core.curve.solving import solved
from zinc_otter.core.errors import BadNumberError

Caps = Literal["open", "flat", "round"]
_DOME = (82.0, 60.0, 30.0)
"""Degrees at which rings of a round end lie, from its tip to where the pipe begins."""

MOST_AROUND = 64


def pipe(
    curve: Curve, radius: float, around: int = 8, *, each: int = 1, caps: Caps = "flat", twist: float = 0.0
) -> Grown:
    """A round pipe of ``radius`` mm about a curve, ``around`` faces round and ``each`` for every leg of its polygon.

    The radius is that of the surface: at its vertices exactly, between them it strays by what ``around`` leaves of round
    (0.12 % for 8), and by bends: ``deviation`` says how far halfway between its rings. Frames turn no more than they must,
    and ``twist`` degrees more from end to end. Ends are open, closed by a flat face, or round. Where the curve bends tighter
    than the radius the faces are ``suspect``. Raises BadNumberError, CurveError for one with corners.

    >>> from zinc_otter.core.curve import Curve
    >>> wire = pipe(Curve([(0, 0, 0), (10, 0, 0), (20, 0, 0)]), 1.0, 8)
    >>> wire.cage.topology.is_closed, wire.rows, wire.columns
    (True, 2, 8)
    """
    if not (np.isfinite(radius) and radius > 0):
        raise BadNumberError(f"The radius of a pipe must be above 0; {radius:g} was given.")
    if not 3 <= around <= MOST_AROUND:
        raise BadNumberError(f"A pipe has 3 to {MOST_AROUND} faces around; {around} were asked for.")
    if not 1 <= each <= 64:
        raise BadNumberError(f"Each leg of the curve gets 1 to 64 faces; {each} were asked for.")
    sharp = np.flatnonzero(curve.sharpness > 0)
    if (curve.degree == 1 and curve.count > 2) or len(sharp):
        at = curve.points[sharp[0] if len(sharp) else 1]
        words = "A pipe follows a curve without corners; smooth it, or take its corners away."
        raise CurveError(words, points=[at.tolist()])
    made = pieces_of(curve)
    steps = curve.end * each
    places = np.linspace(0, curve.end, steps, endpoint=False) if curve.closed else np.linspace(0, curve.end, steps + 1)
    frames = minimal_frames(made, places)
    share = np.linspace(0, 1, steps + 1)[: len(places)]
    turn = np.arange(around) * 2 * np.pi / around + np.radians(twist) * share[:, None]
    spokes = np.cos(turn)[..., None] * frames.side[:, None] + np.sin(turn)[..., None] * frames.up[:, None]
    goals = frames.points[:, None] + radius * spokes
    dome = len(_DOME) if caps == "round" and not curve.closed else 0
    if dome:
        tips = np.radians(_DOME)[:, None, None]
        ends = [
            frames.points[k] + radius * (way * np.sin(tips) * frames.along[k] + np.cos(tips) * spokes[k])
            for k, way in ((0, -1), (-1, 1))
        ]
        goals = np.concatenate([ends[0], goals, ends[1][::-1]])
    points = solved(goals, curve.closed)
    points = solved(points.transpose(1, 0, 2), True).transpose(1, 0, 2)
    # Round the section first, then along: so that it looks outwards.
    cage = grid_cage(points.transpose(1, 0, 2), (True, curve.closed))
    rows = len(goals)
    order = np.arange(around) * rows
    if caps != "open" and not curve.closed:
        cage = with_caps(cage, [order[::-1], order + rows - 1], hard=caps == "flat")
    dense = np.linspace(0, curve.end, 16 * steps, endpoint=False) + curve.end / (32 * steps)
    bend = made.bending(dense).reshape(steps, 16).max(axis=1)
    tight = np.flatnonzero(bend * radius > 1)
    faces = (np.arange(around)[:, None] * (rows if curve.closed else rows - 1) + dome + tight).ravel()
    remarks: tuple[str, ...] = ()
    if len(tight):
        least = 1 / float(bend.max())
        remarks = (f"The curve bends tighter than the pipe's radius, down to {least:.3g} mm: it runs into itself there.",)
    deviation = _strays(points, made, steps, radius, dome)
    if not len(tight) and deviation > 0.01 * radius:
        words = f"Between its rings the radius strays by up to {deviation:.2g} mm; more faces along the curve keep it."
        remarks = (words,)
    return Grown(cage, steps, around, faces.astype(np.int32), remarks, deviation)


def _strays(points: Floats, made: Pieces, steps: int, radius: float, first: int) -> float:
    """How far (mm) the surface halfway between the rings of control points (rings, around, 3) is from the radius."""
    halves = np.arange(steps) + 0.5 + first
    lines = [pieces_of(unchecked(points[:, j], 3, made.closed)).at(halves) for j in range(points.shape[1])]
    rings = np.stack(lines, axis=1)
    surface = ((np.roll(rings, 1, axis=1) + 4 * rings + np.roll(rings, -1, axis=1)) / 6).reshape(-1, 3)
    return float(np.abs(np.linalg.norm(surface - feet_on(surface, made), axis=1) - radius).max())
