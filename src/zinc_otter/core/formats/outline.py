"""The outline of a flat view as SVG, in millimetres at full size: for a template, a stencil, a drawing to go on from."""

from __future__ import annotations

from typing import Literal
from xml.sax.saxutils import escape

import manifold3d
import numpy as np

from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.solid.tessellation import Triangles

View = Literal["front", "right", "top"]

# Rows: what goes to the right, upwards, and towards the eye.
_VIEWS: dict[str, list[list[float]]] = {
    "front": [[1, 0, 0], [0, 0, 1], [0, -1, 0]],
    "right": [[0, 1, 0], [0, 0, 1], [1, 0, 0]],
    "top": [[1, 0, 0], [0, 1, 0], [0, 0, 1]],
}


def write_outline(triangles: Triangles, view: View, name: str) -> str:
    """The silhouette of a closed body with its holes as one path of an SVG document, one unit a millimetre.

    Source: Scalable Vector Graphics 1.1, W3C 2011, sections 7 and 8. Raises FileFormatError where there is no closed body.
    """
    axes = np.array(_VIEWS[view])
    solid = manifold3d.Manifold(
        manifold3d.Mesh64(np.ascontiguousarray(triangles.points @ axes.T), triangles.triangles.astype(np.uint64))
    )
    rings = [np.asarray(ring) for ring in solid.project().to_polygons()]
    if not rings:
        raise FileFormatError("There is no closed body whose outline could be drawn.")
    low = np.min([ring.min(axis=0) for ring in rings], axis=0) - 1
    high = np.max([ring.max(axis=0) for ring in rings], axis=0) + 1
    width, height = high - low
    # SVG counts downwards.
    path = " ".join(
        "M" + " L".join(f"{x - low[0]:.4f},{high[1] - y:.4f}" for x, y in ring.tolist()) + " Z" for ring in rings
    )
    return (
        '<?xml version="1.0" encoding="UTF-8"?>\n'
        f'<svg xmlns="http://www.w3.org/2000/svg" width="{width:.4f}mm" height="{height:.4f}mm" '
        f'viewBox="0 0 {width:.4f} {height:.4f}">\n<title>{escape(name)}, {view}, full size</title>\n'
        f'<path d="{path}" fill="none" stroke="#000" stroke-width="0.25"/>\n</svg>\n'
    )
