"""Whether an open cage looks like one half of a form, and in which plane the other half would meet it."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage

MOST = 0.75
"""Of the open edges so many lie in the plane, at least: a rim has a side in a plane, too."""


def open_half(cage: Cage) -> tuple[int, float] | None:
    """The axis that the plane is square to, and where on it in mm; None where the cage is no half.

    The form lies wholly on one side of the plane. A level rim is a vessel's, unless it lies in the ground plane.

    >>> from zinc_otter.core.primitives import plane
    >>> from zinc_otter.core.primitives.box import box
    >>> open_half(box((10, 10, 10), (2, 2, 2))) is None
    True
    """
    t = cage.topology
    open_edges = t.open_edges
    ends = cage.positions[t.edge_verts[open_edges]]
    best: tuple[int, int, float] | None = None
    for axis in range(3):
        low, high = float(cage.positions[:, axis].min()), float(cage.positions[:, axis].max())
        near = 1e-6 * (high - low)
        # Flat as a whole it is no half of anything.
        if high <= low:
            continue
        for at in (low, high):
            count = int((np.abs(ends[..., axis] - at) <= near).all(axis=1).sum())
            is_rim = axis == 2 and abs(at) > near
            if count > MOST * len(open_edges) and count > 1 and not is_rim and (best is None or count > best[0]):
                best = (count, axis, at)
    return None if best is None else (best[1], best[2])
