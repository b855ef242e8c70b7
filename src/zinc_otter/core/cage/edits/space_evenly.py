"""Set the vertices of loops and chains at even distances."""

from __future__ import annotations

import numpy as np
from scipy.interpolate import CubicSpline

from zinc_otter.core.cage.building.chains import picked_chains
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, same_structure
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError


def space_evenly(cage: Cage, selection: Selection, *, share: float = 1.0) -> Edit:
    """Set the vertices of picked chains at even distances along the smooth curve through them, by a ``share`` of the way.

    The ends of a chain stay; a loop that goes round turns so that its vertices move least. Raises BadSelectionError,
    BadNumberError.

    >>> from zinc_otter.core.primitives import plane
    >>> sheet = plane((30, 10), (3, 1))
    >>> uneven = sheet.with_positions(sheet.positions + (sheet.positions[:, :1] == -5) * (3.0, 0, 0))
    >>> row = Selection.of("vertex", np.flatnonzero(uneven.positions[:, 1] < 0))
    >>> np.unique(space_evenly(uneven, row).cage.positions[row.ids, 0].round(9)).tolist()
    [-15.0, -5.0, 5.0, 15.0]
    """
    if not (np.isfinite(share) and 0 <= share <= 1):
        raise BadNumberError("The share of the way runs from 0 to 1.")
    positions = cage.positions.copy()
    for chain in picked_chains(cage, selection):
        p = cage.positions[chain.verts]
        positions[chain.verts] = p + share * (_even_points(p, chain.closed) - p)
    return same_structure(cage.with_positions(positions), selection)


def _even_points(p: Floats, closed: bool) -> Floats:
    if len(p) < 3:
        return p
    through = np.vstack([p, p[:1]]) if closed else p
    chords = np.maximum(np.linalg.norm(np.diff(through, axis=0), axis=1), 1e-12)
    knots = np.concatenate([[0], np.cumsum(chords)])
    curve = CubicSpline(knots, through, bc_type="periodic" if closed else "natural")
    fine = np.linspace(0, knots[-1], 64 * len(chords) + 1)
    fine = np.union1d(fine, knots)
    run = np.concatenate([[0], np.cumsum(np.linalg.norm(np.diff(curve(fine), axis=0), axis=1))])
    at = np.interp(knots[: len(p)], fine, run)
    total = float(run[-1])
    if not total > 0:
        return p  # All in one point: there is no way along it.
    if not closed:
        return np.asarray(curve(np.interp(np.linspace(0, total, len(p)), run, fine)))
    even = np.arange(len(p)) * total / len(p)
    even = (even + float((at - even).mean())) % total
    return np.asarray(curve(np.interp(even, run, fine)))
