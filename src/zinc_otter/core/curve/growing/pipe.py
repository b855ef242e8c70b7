"""A pipe: a section carried along a curve."""

from __future__ import annotations

from typing import Literal

import numpy as np

from zinc_otter.core.cage.cage import HARD, Cage
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.curve import Curve, CurveError, unchecked
from zinc_otter.core.curve.fitting import feet_on
from zinc_otter.core.curve.frames import Frames, minimal_frames
from zinc_otter.core.curve.growing.grid import Grown, edges_of_pairs, grid_cage, with_caps
from zinc_otter.core.curve.growing.section import Section, Shape, section_of
from zinc_otter.core.curve.growing.widths import Places, widths_along
from zinc_otter.core.curve.pieces import Pieces, pieces_of
from zinc_otter.core.curve.solving import solved
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.words import fine_length_words

Caps = Literal["open", "flat", "round"]
_DOME = (82.0, 60.0, 30.0)
"""Degrees at which rings of a round end lie, from its tip to where the pipe begins."""

MOST_AROUND = 64


def pipe(
    curve: Curve, radius: float, around: int = 8, *, each: int = 1, caps: Caps = "flat", twist: float = 0.0,
    turned: float = 0.0, shape: Shape = "round", thickness: float = 1.0, places: Places = (),
) -> Grown:  # fmt: skip
    """A pipe of ``radius`` mm about a curve, ``around`` faces round and ``each`` for every leg of its polygon.

    The radius is that of the surface: at its vertices exactly, between them it strays by what ``around`` leaves of round
    (0.12 % for 8), and by bends: ``deviation`` says how far halfway between its rings. Other shapes are twice that wide; a
    flat one is ``thickness`` mm high. At ``places`` (share of the length, radius) it may be another one. Frames turn no more
    than they must, ``turned`` degrees from where they would begin, and ``twist`` degrees more from end to end. Ends are
    open, closed by a flat face, or round. Where the curve bends tighter than the section reaches the faces are ``suspect``.
    Raises BadNumberError, CurveError for one with corners.

    >>> from zinc_otter.core.curve import Curve
    >>> wire = pipe(Curve([(0, 0, 0), (10, 0, 0), (20, 0, 0)]), 1.0, 8)
    >>> wire.cage.topology.is_closed, wire.rows, wire.columns
    (True, 2, 8)
    """
    _check(curve, radius, around, each)
    section = section_of(shape, around, thickness / (2 * radius))
    made = pieces_of(curve)
    steps = curve.end * each
    at = np.linspace(0, curve.end, steps, endpoint=False) if curve.closed else np.linspace(0, curve.end, steps + 1)
    frames = minimal_frames(made, at)
    radii = _radii(made, at, radius, places, curve.closed)
    share = np.linspace(0, 1, steps + 1)[: len(at)]
    spokes = _spokes(section, frames, np.radians(turned + twist * share))
    goals = frames.points[:, None] + radii[:, None, None] * spokes
    dome = len(_DOME) if caps == "round" and not curve.closed else 0
    if dome:
        goals = _domed(goals, frames, radii, spokes)
    points = solved(goals, curve.closed)
    points = section.controls(points.transpose(1, 0, 2)).transpose(1, 0, 2)
    # Round the section first, then along: so that it looks outwards.
    cage = grid_cage(points.transpose(1, 0, 2), (True, curve.closed))
    rows = len(goals)
    order = np.arange(around) * rows
    if caps != "open" and not curve.closed:
        cage = with_caps(cage, [order[::-1], order + rows - 1], hard=caps == "flat")
    cage = _creased(cage, section, rows, curve.closed)
    reach = float(np.linalg.norm(section.points, axis=1).max())
    dense = np.linspace(0, curve.end, 16 * steps, endpoint=False) + curve.end / (32 * steps)
    wide = reach * _radii(made, dense, radius, places, curve.closed)
    bend = made.bending(dense)
    tight = np.flatnonzero((bend * wide).reshape(steps, 16).max(axis=1) > 1)
    faces = (np.arange(around)[:, None] * (rows if curve.closed else rows - 1) + dome + tight).ravel()
    remarks: tuple[str, ...] = ()
    if len(tight):
        # Of one radius all along it is the curve's own; otherwise that where it is too tight, looked for at steps.
        least = 1 / float(bend[(bend * wide) > 1].max()) if places else made.tightest()[0]
        remarks = (
            f"The curve bends tighter than the pipe's radius, down to {fine_length_words(least)}: it runs into itself "
            f"there.",
        )
    deviation = _strays(points, made, steps, radius, dome) if shape == "round" and not places else 0.0
    if not len(tight) and deviation > 0.01 * radius:
        words = (
            f"Between its rings the radius strays by up to {fine_length_words(deviation)}; more faces along the curve "
            f"keep it."
        )
        remarks = (words,)
    return Grown(cage, steps, around, faces.astype(np.int32), remarks, deviation)


def _check(curve: Curve, radius: float, around: int, each: int) -> None:
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


def _radii(made: Pieces, at: Floats, radius: float, places: Places, closed: bool) -> Floats:
    if not places:
        return np.full(len(at), radius)
    return widths_along(radius, places, made.lengths_to(at) / made.length, closed)


def _spokes(section: Section, frames: Frames, turn: Floats) -> Floats:
    """(rings, around, 3) from the curve to the section's points, for a radius of 1, turned by so much at each ring."""
    x, y = section.points.T
    cos, sin = np.cos(turn)[:, None], np.sin(turn)[:, None]
    side, up = x * cos - y * sin, x * sin + y * cos
    return np.asarray(side[..., None] * frames.side[:, None] + up[..., None] * frames.up[:, None])


def _domed(goals: Floats, frames: Frames, radii: Floats, spokes: Floats) -> Floats:
    """The rings with those of a round end before and behind."""
    tips = np.radians(_DOME)[:, None, None]
    first, last = (
        frames.points[k] + radii[k] * (way * np.sin(tips) * frames.along[k] + np.cos(tips) * spokes[k])
        for k, way in ((0, -1), (-1, 1))
    )
    return np.concatenate([first, goals, last[::-1]])


def _creased(cage: Cage, section: Section, rows: int, closed: bool) -> Cage:
    """The lines along the section's corners made hard creases."""
    if not len(section.corners):
        return cage
    along = np.arange(rows if closed else rows - 1)
    pairs = np.concatenate(
        [np.column_stack([corner * rows + along, corner * rows + (along + 1) % rows]) for corner in section.corners]
    )
    sharp = cage.edge_sharpness.copy()
    sharp[edges_of_pairs(cage, np.sort(pairs, axis=1))] = HARD
    return cage.with_sharpness(edges=sharp)


def _strays(points: Floats, made: Pieces, steps: int, radius: float, first: int) -> float:
    """How far (mm) the surface halfway between the rings of control points (rings, around, 3) is from the radius."""
    halves = np.arange(steps) + 0.5 + first
    lines = [pieces_of(unchecked(points[:, j], 3, made.closed)).at(halves) for j in range(points.shape[1])]
    rings = np.stack(lines, axis=1)
    surface = ((np.roll(rings, 1, axis=1) + 4 * rings + np.roll(rings, -1, axis=1)) / 6).reshape(-1, 3)
    return float(np.abs(np.linalg.norm(surface - feet_on(surface, made), axis=1) - radius).max())
