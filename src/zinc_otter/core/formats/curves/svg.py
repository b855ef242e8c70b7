"""SVG (W3C, "Scalable Vector Graphics 1.1"): paths in the plane, at real size. Read by the library svgelements."""

from __future__ import annotations

import io
from collections.abc import Sequence
from xml.sax.saxutils import quoteattr

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.formats.curves.paths import Drawn, beziers, from_path, take

_PER_PIXEL = 25.4 / 96
"""mm: a CSS pixel is a 96th of an inch (W3C, "CSS Values and Units", section 6)."""
_STEPS = 48


def read_svg(data: bytes) -> list[Drawn]:
    """The paths of a file in x and y, y upwards. Raises FileFormatError."""
    from svgelements import SVG, Close, Line, Move, Path, Shape

    try:
        text = data.decode("utf-8-sig")
        drawing = SVG.parse(io.StringIO(text), reify=True)
    except Exception as error:
        raise FileFormatError(f"The file is no SVG that can be read: {str(error)[:120]}") from None
    box = drawing.viewbox
    # Where a view box does not begin at nought, the library moves its corner there: coordinates are to stay what they are.
    corner = np.zeros(2) if box is None else np.array([float(box.x or 0), float(box.y or 0)])
    if box is not None and box.width and box.height:
        corner = corner * [float(drawing.width) / float(box.width), float(drawing.height) / float(box.height)]
    found: list[Drawn] = []
    for element in drawing.elements():
        if not isinstance(element, Shape):
            continue
        path = Path(element)
        for k, part in enumerate(path.as_subpaths()):
            segments = [segment for segment in Path(part) if not isinstance(segment, Move)]
            closed = any(isinstance(segment, Close) for segment in segments)
            lines = [segment for segment in segments if segment.length(error=1e-3) > 0]
            if not lines:
                continue
            is_straight = all(isinstance(segment, Line | Close) for segment in lines)
            steps = [1 if isinstance(segment, Line | Close) else _STEPS for segment in lines]
            points = [_at(lines[0], 0.0, corner)]
            for segment, count in zip(lines, steps, strict=True):
                points += [_at(segment, t, corner) for t in np.linspace(0, 1, count + 1)[1:]]
            name = str(element.id or f"Path {len(found) + 1}") + (f".{k + 1}" if k else "")
            take(found, from_path(name, np.array(points), closed, is_straight, name))
    if not found:
        raise FileFormatError("The file holds no path.")
    return found


def _at(segment: object, t: float, corner: Floats) -> list[float]:
    point = segment.point(t)  # type: ignore[attr-defined]
    return [(point.x + corner[0]) * _PER_PIXEL, -(point.y + corner[1]) * _PER_PIXEL, 0.0]


def write_svg(drawn: Sequence[Drawn], axes: Floats) -> bytes:
    """Curves as seen in a plane: ``axes`` (2, 3) lead to the right and up. Their Bézier pieces are written as they are."""
    flat = [(one, beziers(one.curve) @ axes.T * [1, -1]) for one in drawn]
    every = np.concatenate([pieces.reshape(-1, 2) for _, pieces in flat])
    low, high = every.min(axis=0) - 1, every.max(axis=0) + 1
    width, height = high - low
    lines = [
        '<?xml version="1.0" encoding="UTF-8"?>',
        f'<svg xmlns="http://www.w3.org/2000/svg" width="{width:.6f}mm" height="{height:.6f}mm" '
        f'viewBox="{low[0]:.6f} {low[1]:.6f} {width:.6f} {height:.6f}">',
    ]
    for one, pieces in flat:
        path = "M" + _pair(pieces[0, 0])
        for piece in pieces:
            path += (" L" + _pair(piece[3])) if one.curve.degree == 1 else " C" + " ".join(_pair(p) for p in piece[1:])
        end = " Z" if one.curve.closed else ""
        lines.append(f'<path id={quoteattr(one.name)} d="{path}{end}" fill="none" stroke="#000" stroke-width="0.25"/>')
    return "\n".join([*lines, "</svg>", ""]).encode()


def _pair(point: Floats) -> str:
    return f"{point[0]:.8g} {point[1]:.8g}"
