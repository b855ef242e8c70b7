"""The flow of a scan: short strokes along its lines of curvature and across them, for whoever lays quads on it."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.scan.cleaning import areas_of
from zinc_otter.core.scan.proposing.directions import directions
from zinc_otter.core.scan.proposing.prepared import prepared

_LONG, _LIFT = 0.42, 0.06
"""Of the distance of the strokes: how far an arm reaches from its middle, and how high it lies over the surface."""


def flow(vertices: Floats, triangles: Ints, count: int = 900) -> Floats:
    """(k, 2, 3) about twice ``count`` strokes on a mesh, in pairs that cross: the smooth field that *Propose* goes by.

    Along the lines of curvature where there are any, and along open rims (see :mod:`directions`). Raises BadSelectionError
    where the mesh makes up no surface.
    """
    apart = float(np.sqrt(areas_of(vertices, np.asarray(triangles, dtype=np.int64)).sum() / max(count, 1)))
    v, f = prepared(vertices, triangles, 2 * count, 2.5 * apart)
    crosses = directions(v, f)
    # Where vertices crowd, as at slivers, one for each cube is enough.
    _, kept = np.unique(np.floor(v / apart).astype(np.int64), axis=0, return_index=True)
    normals, along, across = crosses.normals[kept], crosses.along[kept], crosses.across[kept]
    middles = v[kept] + _LIFT * apart * normals
    arms = _LONG * apart * np.stack([along, across])
    return np.concatenate([np.stack([middles - arm, middles + arm], axis=1) for arm in arms])
