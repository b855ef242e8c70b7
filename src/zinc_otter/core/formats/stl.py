"""Binary STL: an 80-byte header, a count, 50 bytes a facet.

Source: the StereoLithography interface specification, 3D Systems, 1989.
"""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.solid.tessellation import Triangles

FACET = np.dtype([("normal", "<f4", 3), ("corners", "<f4", (3, 3)), ("attribute", "<u2")])


def write_stl(triangles: Triangles, name: str = "") -> bytes:
    """The whole file. STL has no unit; the numbers are millimetres, and the header says so."""
    corners = triangles.points[triangles.triangles]
    facets = np.zeros(len(corners), dtype=FACET)
    facets["corners"] = corners
    facets["normal"] = unit(np.cross(corners[:, 1] - corners[:, 0], corners[:, 2] - corners[:, 0]))
    title = f"Zinc Otter, millimetres: {name}".encode("ascii", "replace")[:80]
    return title.ljust(80, b" ") + np.uint32(len(facets)).tobytes() + facets.tobytes()
