"""Rings about z by their bore: that of the smooth surface, whatever the profile."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from scipy.interpolate import CubicHermiteSpline

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.face_bound import check_face_total
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives.checks import check_counts, check_sizes, of_quads
from zinc_otter.core.primitives.final import NARROWEST, Measure, SizedForm, extent, ring, solved
from zinc_otter.core.primitives.ring_section import INSIDE, LINING, OUTSIDE, PROFILES, Profile, Section
from zinc_otter.core.primitives.turned import strips
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.surface.peak import PeakFinder


@dataclass(frozen=True)
class Shoulders:
    """Where a ring goes over from its top to its shank: ``degrees`` from the top, with a width and a thickness in mm."""

    width: float
    thickness: float
    degrees: float = 50.0

    def place(self, around: int) -> int:
        """The row of faces nearest to it. Raises BadNumberError where it would be the top or the bottom."""
        if not 10 <= self.degrees <= 150:
            raise BadNumberError(f"Shoulders stand 10 to 150° from the top; {self.degrees:g}° is not.")
        row = round(self.degrees * around / 360)
        if not 0 < row < around // 2:
            raise BadNumberError(
                f"With {around} faces around there is no place for shoulders at {self.degrees:g}°; use more."
            )
        return row


def ring_band(
    bore: float,
    widths: tuple[float, float],
    thicknesses: tuple[float, float],
    profile: Profile | Section,
    around: int,
    shoulder: float = 1.0,
    shoulders: Shoulders | None = None,
) -> Cage:
    """A ring of a ``bore`` in mm, its widths along z and its thicknesses at the top (+y) and at the bottom.

    The bore is that of the limit surface, at each of its faces' corners to 1e-9 of it; the other sizes are those of the
    surface in the middle of the top and of the bottom. Between them they go over evenly, with a ``shoulder`` above 1 quicker
    near the top; or by way of ``shoulders`` that have sizes of their own. Raises BadNumberError.
    """
    check_sizes((bore, *widths, *thicknesses), 5)
    (around,) = check_counts((around,), 1, (6,))
    if around % 2:
        raise BadNumberError(
            f"A ring has an even number of faces around, so that there is a top and a bottom; {around} is odd."
        )
    if not 0.2 <= shoulder <= 5:
        raise BadNumberError(f"The shoulder is 0.2 to 5; {shoulder:g} is not.")
    shape = profile if isinstance(profile, Section) else PROFILES[profile]
    section, sharp = np.array(shape.points, dtype=np.float64), np.array(shape.sharp, dtype=np.float64)
    rows = len(section)
    check_face_total(rows * around)
    angle = 2 * np.pi * np.arange(around) / around + np.pi / 2
    half, side = around // 2, shape.widest
    places, wide, thick_at = [0, half], [*widths], [*thicknesses]
    shares = _shares(angle, shoulder)
    if shoulders is not None:
        check_sizes((shoulders.width, shoulders.thickness), 2)
        places.insert(1, shoulders.place(around))
        wide.insert(1, shoulders.width)
        thick_at.insert(1, shoulders.thickness)
        shares = _by_way_of(angle, places[1])
    faces = strips(around, rows, True)

    def build(sizes: Floats) -> Cage:
        width, thick = shares @ sizes[1 : 1 + len(places)], shares @ sizes[1 + len(places) :]
        if min(width.min(), thick.min()) <= 0:
            raise BadNumberError("Between these sizes the ring would be thinner than nothing; let them lie nearer together.")
        radius = sizes[0] / 2 + section[:, :1] * thick
        x, y = radius * np.cos(angle), radius * np.sin(angle)
        z = np.broadcast_to(section[:, 1:] * width / 2, x.shape)
        return of_quads(np.stack([x, y, z], axis=2).reshape(-1, 3), faces[:, ::-1])

    def creased(cage: Cage) -> Cage:
        row = cage.topology.edge_verts // around
        return cage.with_sharpness(np.where(row[:, 0] == row[:, 1], sharp[row[:, 0]], 0.0))

    measures = (
        NARROWEST, *(_across(side * around + k) for k in places), *(ring(OUTSIDE * around + k) for k in places)
    )  # fmt: skip
    form = SizedForm(build, np.array([bore, *wide, *thick_at]), creased)
    asked = np.array([bore, *wide, *(bore + 2 * thick for thick in thick_at)])
    made = solved(form, measures, asked.tolist())
    # It is widest a little beside the cage's vertices.
    if shoulders is None:
        # What is done along z changes nothing else.
        made = made.with_positions(made.positions * [1.0, 1.0, max(widths) / _extent_along(made)])
    else:
        across = slice(1, 1 + len(places))
        for _ in range(3):
            asked[across] *= np.array(wide) / _widths(made, angle[places], 0.25 / around)
            made = solved(form, measures, asked.tolist())
    return _bored(made, around, bore)


def _shares(angle: Floats, shoulder: float) -> Floats:
    """(n, 2) how much of the top's sizes and of the bottom's a ring has at each angle."""
    top = ((1 + np.sin(angle)) / 2) ** shoulder
    return np.column_stack([top, 1 - top])


def _by_way_of(angle: Floats, row: int) -> Floats:
    """(n, 3) the same for the top, the shoulders at a row, and the bottom: cubic between them, level at top and bottom."""
    count = len(angle)
    at = row * 2 * np.pi / count
    rest = np.pi - at
    away = np.abs(np.remainder(angle - np.pi / 2 + np.pi, 2 * np.pi) - np.pi)
    # The slope at the shoulders is that of the parabola through all three.
    slopes = np.array([[0.0, 0.0, 0.0], [-rest / at, rest / at - at / rest, at / rest], [0.0, 0.0, 0.0]]) / np.pi
    return np.asarray(CubicHermiteSpline([0.0, at, np.pi], np.eye(3), slopes)(np.clip(away, 0, np.pi)))


def _widths(cage: Cage, angles: Floats, within: float) -> Floats:
    """(k,) mm along z of the surface at ``angles`` about z, of all that lies ``within`` radians of them."""
    points = evaluate(build_stencils(cage, 4), cage).points
    found = []
    for c, s in zip(np.cos(angles), np.sin(angles), strict=True):
        out, beside = points[:, :2] @ [c, s], points[:, :2] @ [-s, c]
        found.append(float(np.ptp(points[(np.abs(beside) < within * out), 2])))
    return np.array(found)


def _extent_along(cage: Cage) -> float:
    """The extent of the limit surface along z, mm."""
    finder, one = PeakFinder(cage, cage.positions), np.ones(1)
    return sum(float(value((one @ finder.peak(value, one))[None])[0]) for value in extent(2).peaks)


def _bored(cage: Cage, around: int, bore: float) -> Cage:
    """The inside moved radially until the surface has the bore all round, also where the thickness changes."""
    stencils = build_stencils(cage, 1)
    inside = INSIDE * around + np.arange(around)
    lining = np.concatenate([row * around + np.arange(around) for row in LINING])
    positions = cage.positions.copy()
    for _ in range(60):
        at = evaluate(stencils, cage).points[inside]
        short = bore / 2 - np.hypot(at[:, 0], at[:, 1])
        if np.abs(short).max() < 5e-10 * bore:
            break
        radius = np.hypot(positions[lining, 0], positions[lining, 1])
        positions[lining, :2] *= (1 + np.tile(short, len(LINING)) / radius)[:, None]
        cage = cage.with_positions(positions)
    return cage


def out_of_round(cage: Cage, around: int) -> float:
    """By how many mm the bore of a ring's surface is wider than it is narrow."""
    stencils = build_stencils(cage, 4)
    points = evaluate(stencils, cage).points
    across = evaluate(build_stencils(cage, 1), cage).points[INSIDE * around, 2]
    # The line of the inside's middle: where it crosses between two faces it is widest or narrowest.
    near = np.abs(points[:, 2] - across) < 1e-6 * max(np.abs(points).max(), 1)
    radius = np.hypot(points[near, 0], points[near, 1])
    inner = radius[radius < (radius.min() + radius.max()) / 2]
    return float(2 * np.ptp(inner))


def _across(vertex: int) -> Measure:
    """Twice the height above the middle plane of the surface at one of the cage's own vertices."""
    return Measure((lambda points: 2 * points[:, 2],), vertex)
