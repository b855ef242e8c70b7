"""Rings about z by their bore: that of the smooth surface, whatever the profile."""

from __future__ import annotations

from typing import Literal

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.face_bound import check_face_total
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives.checks import check_counts, check_sizes, of_quads
from zinc_otter.core.primitives.final import NARROWEST, Measure, SizedForm, extent, ring, solved
from zinc_otter.core.primitives.turned import strips
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.surface.peak import PeakFinder

Profile = Literal["flat", "court", "D", "comfort", "knife", "wire"]

_PROFILES: dict[str, tuple[tuple[tuple[float, float], ...], tuple[float, ...]]] = {
    "flat": (((0, -1), (0, 0), (0, 1), (0.5, 1), (1, 1), (1, 0), (1, -1), (0.5, -1)), (3, 0, 3, 0, 3, 0, 3, 0)),
    "court": (((0.12, -0.8), (0, 0), (0.12, 0.8), (0.5, 1), (0.88, 0.7), (1, 0), (0.88, -0.7), (0.5, -1)), (0,) * 8),
    "D": (((0, -1), (0, 0), (0, 1), (0.4, 1), (0.85, 0.65), (1, 0), (0.85, -0.65), (0.4, -1)), (3, 0, 3, 0, 0, 0, 0, 0)),
    "comfort": (((0.12, -0.8), (0, 0), (0.12, 0.8), (0.5, 1), (1, 1), (1, 0), (1, -1), (0.5, -1)), (0, 0, 0, 0, 3, 0, 3, 0)),
    "knife": (((0, -1), (0, 0), (0, 1), (0.3, 1), (0.65, 0.5), (1, 0), (0.65, -0.5), (0.3, -1)), (3, 0, 3, 0, 0, 10, 0, 0)),
    "wire": (
        tuple((0.5 - 0.5 * float(np.cos(a)), float(np.sin(a))) for a in 2 * np.pi * (np.arange(8) - 1) / 8),
        (0,) * 8,
    ),
}
"""Control points of a section, from inside to outside 0 to 1 and across -1 to 1, and how sharp their rings are."""

_INSIDE, _OUTSIDE = 1, 5
"""Which point of a section is the middle inside, and the middle outside."""
_WIDEST = {"flat": 3, "court": 3, "D": 2, "comfort": 4, "knife": 2, "wire": 3}
"""Which point of a section lies furthest to the side."""
_LINING = (0, 1, 2)
"""The points of a section that make its inside."""


def ring_band(
    bore: float,
    widths: tuple[float, float],
    thicknesses: tuple[float, float],
    profile: Profile,
    around: int,
    shoulder: float = 1.0,
) -> Cage:
    """A ring of a ``bore`` in mm, its widths along z and its thicknesses at the top (+y) and at the bottom.

    The bore is that of the limit surface, at each of its faces' corners to 1e-9 of it; the other sizes are those of the
    surface in the middle of the top and of the bottom. Between them they go over evenly, with a ``shoulder`` above 1 quicker
    near the top. Raises BadNumberError.
    """
    check_sizes((bore, *widths, *thicknesses), 5)
    (around,) = check_counts((around,), 1, (6,))
    if around % 2:
        raise BadNumberError(
            f"A ring has an even number of faces around, so that there is a top and a bottom; {around} is odd."
        )
    if not 0.2 <= shoulder <= 5:
        raise BadNumberError(f"The shoulder is 0.2 to 5; {shoulder:g} is not.")
    section, sharp = (np.array(part, dtype=np.float64) for part in _PROFILES[profile])
    rows = len(section)
    check_face_total(rows * around)
    angle = 2 * np.pi * np.arange(around) / around + np.pi / 2
    top = ((1 + np.cos(angle - np.pi / 2)) / 2) ** shoulder
    faces = strips(around, rows, True)

    def build(sizes: Floats) -> Cage:
        inner, wide_top, wide_low, thick_top, thick_low = sizes
        width = wide_low + (wide_top - wide_low) * top
        thick = thick_low + (thick_top - thick_low) * top
        radius = inner / 2 + section[:, :1] * thick
        x, y = radius * np.cos(angle), radius * np.sin(angle)
        z = np.broadcast_to(section[:, 1:] * width / 2, x.shape)
        return of_quads(np.stack([x, y, z], axis=2).reshape(-1, 3), faces[:, ::-1])

    def creased(cage: Cage) -> Cage:
        row = cage.topology.edge_verts // around
        return cage.with_sharpness(np.where(row[:, 0] == row[:, 1], sharp[row[:, 0]], 0.0))

    half, side = around // 2, _WIDEST[profile]
    across = (_across(side * around), _across(side * around + half))
    measures = (NARROWEST, *across, ring(_OUTSIDE * around), ring(_OUTSIDE * around + half))
    asked = (bore, *widths, bore + 2 * thicknesses[0], bore + 2 * thicknesses[1])
    made = solved(SizedForm(build, np.array([bore, *widths, *thicknesses]), creased), measures, asked)
    # It is widest a little beside the cage's vertices; what is done along z changes nothing else.
    made = made.with_positions(made.positions * [1.0, 1.0, max(widths) / _extent_along(made)])
    return _bored(made, around, bore)


def _extent_along(cage: Cage) -> float:
    """The extent of the limit surface along z, mm."""
    finder, one = PeakFinder(cage, cage.positions), np.ones(1)
    return sum(float(value((one @ finder.peak(value, one))[None])[0]) for value in extent(2).peaks)


def _bored(cage: Cage, around: int, bore: float) -> Cage:
    """The inside moved radially until the surface has the bore all round, also where the thickness changes."""
    stencils = build_stencils(cage, 1)
    inside = _INSIDE * around + np.arange(around)
    lining = np.concatenate([row * around + np.arange(around) for row in _LINING])
    positions = cage.positions.copy()
    for _ in range(60):
        at = evaluate(stencils, cage).points[inside]
        short = bore / 2 - np.hypot(at[:, 0], at[:, 1])
        if np.abs(short).max() < 5e-10 * bore:
            break
        radius = np.hypot(positions[lining, 0], positions[lining, 1])
        positions[lining, :2] *= (1 + np.tile(short, len(_LINING)) / radius)[:, None]
        cage = cage.with_positions(positions)
    return cage


def out_of_round(cage: Cage, around: int) -> float:
    """By how many mm the bore of a ring's surface is wider than it is narrow."""
    stencils = build_stencils(cage, 4)
    points = evaluate(stencils, cage).points
    across = evaluate(build_stencils(cage, 1), cage).points[_INSIDE * around, 2]
    # The line of the inside's middle: where it crosses between two faces it is widest or narrowest.
    near = np.abs(points[:, 2] - across) < 1e-6 * max(np.abs(points).max(), 1)
    radius = np.hypot(points[near, 0], points[near, 1])
    inner = radius[radius < (radius.min() + radius.max()) / 2]
    return float(2 * np.ptp(inner))


def _across(vertex: int) -> Measure:
    """Twice the height above the middle plane of the surface at one of the cage's own vertices."""
    return Measure((lambda points: 2 * points[:, 2],), vertex)
