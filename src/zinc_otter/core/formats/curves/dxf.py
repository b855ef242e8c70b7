"""DXF, the exchange format of drawings: lines, arcs, polylines and splines. Read and written by the library ezdxf."""

from __future__ import annotations

import io
from collections.abc import Sequence

import numpy as np

from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.formats.curves.paths import CLOSE, Drawn, beziers, from_path, take

_READ = "LINE LWPOLYLINE POLYLINE ARC CIRCLE ELLIPSE SPLINE"


def read_dxf(data: bytes, scale: float | None = None) -> list[Drawn]:
    """The curves of a file's model space in mm; ``scale`` mm stand for a unit where the file does not say which it is.

    Raises FileFormatError.
    """
    from ezdxf import path, units
    from ezdxf.enums import InsertUnits
    from ezdxf.filemanagement import read

    try:
        drawing = read(io.StringIO(data.decode("utf-8", errors="replace")))
    except Exception as error:
        raise FileFormatError(f"The file is no DXF that can be read: {str(error)[:120]}") from None
    factor = scale or 1.0
    if drawing.units:
        factor = float(units.conversion_factor(InsertUnits(drawing.units), InsertUnits.Millimeters))
    found: list[Drawn] = []
    for entity in drawing.modelspace().query(_READ):
        try:
            made = path.make_path(entity)
        except Exception:
            raise FileFormatError(f"A {entity.dxftype()} of the file (handle {entity.dxf.handle}) is broken.") from None
        is_straight = not made.has_curves
        steps = made.control_vertices() if is_straight else made.flattening(CLOSE / factor / 20, segments=16)
        points = np.array([[p.x, p.y, p.z] for p in steps]) * factor
        name = f"{entity.dxf.layer} {len(found) + 1}" if entity.dxf.layer not in ("0", "") else f"Curve {len(found) + 1}"
        where = f"A {entity.dxftype()} of the file (handle {entity.dxf.handle})"
        take(found, from_path(name, points, bool(made.is_closed), is_straight, where))
    if not found:
        raise FileFormatError("The file holds no line, arc, polyline or spline.")
    return found


def write_dxf(drawn: Sequence[Drawn]) -> bytes:
    """Curves in space, in mm: polylines, and splines of degree 3 that are these curves exactly."""
    from ezdxf import units
    from ezdxf.filemanagement import new

    drawing = new("R2010")
    drawing.units = units.MM
    space = drawing.modelspace()
    for one in drawn:
        layer = "".join(c for c in one.name if c.isalnum() or c in " _-") or "Curve"
        if layer not in drawing.layers:
            drawing.layers.add(layer)
        pieces = beziers(one.curve)
        if one.curve.degree == 1:
            space.add_polyline3d(one.curve.points.tolist(), close=one.curve.closed, dxfattribs={"layer": layer})
            continue
        points = np.vstack([pieces[0, :1], *(piece[1:] for piece in pieces)])
        inner = np.repeat(np.arange(1, len(pieces)), 3)
        knots = np.concatenate([[0.0] * 4, inner, [float(len(pieces))] * 4])
        spline = space.add_spline(dxfattribs={"layer": layer})
        spline.dxf.degree = 3
        spline.control_points = points.tolist()
        spline.knots = knots.tolist()
    out = io.StringIO()
    drawing.write(out)
    return out.getvalue().encode()
