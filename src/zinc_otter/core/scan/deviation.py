"""How far a surface lies from a scan, and how much of the scan it has not reached."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.scan.samples import samples_of

_LOOKED_AT = 20_000
_FELT = 4_000


def signed_deviation(points: Floats, scan: MeshDistance) -> Floats:
    """(n,) mm that points lie outside (above 0) or inside a scan; not a number where the scan has nothing to measure to."""
    found = scan.sided(points)
    return np.where(found.there, found.distance, np.nan)


@dataclass(frozen=True)
class Deviates:
    """Of ``count`` points: the largest (signed, and at which ``row``), root mean square and 95 % of the distances in mm,
    the share within a tolerance, and the share of points that could not be measured."""

    row: int
    largest: float
    rms: float
    most: float
    within: float
    count: int
    unknown: float


def deviates(off: Floats, tolerance: float) -> Deviates | None:
    """The figures of signed deviations (n,); None where nothing was measured."""
    known = np.flatnonzero(np.isfinite(off))
    if not len(known):
        return None
    there = off[known]
    row = int(known[np.abs(there).argmax()])
    return Deviates(
        row,
        float(off[row]),
        float(np.sqrt((there**2).mean())),
        float(np.percentile(np.abs(there), 95)),
        float((np.abs(there) <= tolerance).mean()),
        len(there),
        1 - len(known) / len(off),
    )


def not_covered(scan: MeshDistance, form: MeshDistance, placed: Floats, tolerance: float, fine: bool = True) -> Floats:
    """Of a scan the mm² whose nearest place on the form lies further than ``tolerance``, and the mm² in all: (2,).

    ``placed`` (4, 3) are the rows of the scan's rotation and its offset. By places that stand for equal areas.
    """
    places = samples_of(scan, _LOOKED_AT if fine else _FELT)
    found = form.sided(places.points @ placed[:3].T + placed[3])
    off = (np.abs(found.distance) > tolerance) | ~found.there
    whole = float(scan.areas.sum())
    return np.array([whole * float(off.mean()), whole])
