"""A mesh of fewer triangles in place of a large one: to be drawn, and to be measured against while something is dragged.

Quadric error metrics (M. Garland, P. Heckbert, "Surface Simplification Using Quadric Error Metrics", 1997), by the library
fast-simplification.
"""

from __future__ import annotations

import fast_simplification
import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints

DRAWN = 150_000
"""Triangles of a component that are drawn at most."""
FELT = 12_000
"""Triangles that are measured against at most, while something is dragged."""


def simplified(vertices: Floats, triangles: Ints, most: int) -> tuple[Floats, Ints]:
    """About ``most`` triangles for a mesh of more; the mesh itself where it has no more."""
    if len(triangles) <= most:
        return vertices, triangles
    # In single precision about the middle: far from the origin digits would be lost.
    middle = (vertices.min(axis=0) + vertices.max(axis=0)) / 2
    points, faces = fast_simplification.simplify(
        (vertices - middle).astype(np.float32), triangles.astype(np.int32), target_count=most
    )
    if len(faces) == 0:
        return vertices, triangles
    return np.asarray(points, dtype=np.float64) + middle, np.asarray(faces, dtype=np.int32)
