"""STEP (ISO 10303-242): curves in space as B-splines, exactly."""

from __future__ import annotations

from collections.abc import Sequence
from pathlib import Path

import numpy as np

from zinc_otter.core.errors import KernelError
from zinc_otter.core.formats.curves.paths import Drawn, beziers


def write_step_curves(drawn: Sequence[Drawn], path: Path) -> None:
    """One wire for each curve. Raises KernelError."""
    from OCP.BRepBuilderAPI import BRepBuilderAPI_MakeEdge, BRepBuilderAPI_MakeWire
    from OCP.collections import Array1_double, Array1_gp_Pnt, Array1_int
    from OCP.Geom import Geom_BSplineCurve
    from OCP.gp import gp_Pnt
    from OCP.IFSelect import IFSelect_ReturnStatus
    from OCP.Message import Message
    from OCP.STEPControl import STEPControl_StepModelType, STEPControl_Writer

    # What the kernel tells of its progress is meant for nobody here.
    Message.DefaultMessenger_s().ChangePrinters().Clear()
    writer = STEPControl_Writer()
    for one in drawn:
        pieces = beziers(one.curve)
        points = np.vstack([pieces[0, :1], *(piece[1:] for piece in pieces)])
        poles = Array1_gp_Pnt(1, len(points))
        for i, (x, y, z) in enumerate(points.tolist(), start=1):
            poles.SetValue(i, gp_Pnt(x, y, z))
        knots, counts = Array1_double(1, len(pieces) + 1), Array1_int(1, len(pieces) + 1)
        for i in range(len(pieces) + 1):
            knots.SetValue(i + 1, float(i))
            counts.SetValue(i + 1, 4 if i in (0, len(pieces)) else 3)
        edge = BRepBuilderAPI_MakeEdge(Geom_BSplineCurve(poles, knots, counts, 3, False))
        if not edge.IsDone():
            raise KernelError(f"{one.name} cannot be written as STEP.")
        wire = BRepBuilderAPI_MakeWire(edge.Edge())
        writer.Transfer(wire.Wire(), STEPControl_StepModelType.STEPControl_AsIs)
    if writer.Write(str(path)) != IFSelect_ReturnStatus.IFSelect_RetDone:
        raise KernelError("The STEP file of the curves could not be written.")
