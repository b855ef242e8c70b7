"""STEP (ISO 10303-21, schema AP214) through Open CASCADE."""

from __future__ import annotations

import os
import sys
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from pathlib import Path

from OCP.BRep import BRep_Tool
from OCP.BRepCheck import BRepCheck_Analyzer
from OCP.BRepGProp import BRepGProp
from OCP.GProp import GProp_GProps
from OCP.IFSelect import IFSelect_ReturnStatus
from OCP.Interface import Interface_Static
from OCP.STEPControl import STEPControl_Reader, STEPControl_StepModelType, STEPControl_Writer
from OCP.TopAbs import TopAbs_ShapeEnum
from OCP.TopExp import TopExp_Explorer
from OCP.TopoDS import TopoDS_Shape

from zinc_otter.core.errors import FileFormatError, KernelError


def write_step(shape: TopoDS_Shape, path: Path, name: str) -> None:
    """Write a shape in millimetres. Raises KernelError when the kernel cannot, OSError when the disk cannot."""
    with _quiet():
        writer = STEPControl_Writer()
        Interface_Static.SetCVal_s("write.step.unit", "MM")
        Interface_Static.SetCVal_s("write.step.schema", "AP214IS")
        Interface_Static.SetCVal_s("write.step.product.name", name.encode("ascii", "replace").decode())
        done = writer.Transfer(shape, STEPControl_StepModelType.STEPControl_AsIs)
        if done == IFSelect_ReturnStatus.IFSelect_RetDone:
            done = writer.Write(str(path))
    if done != IFSelect_ReturnStatus.IFSelect_RetDone:
        raise KernelError("The kernel could not write this solid as STEP.")


@dataclass(frozen=True)
class ShapeFacts:
    """What the kernel finds in a shape: mm³ for the volume."""

    solids: int
    faces: int
    closed: bool
    valid: bool
    volume: float


def read_step(path: Path) -> TopoDS_Shape:
    """The shape in a STEP file, in millimetres. Raises FileFormatError."""
    with _quiet():
        reader = STEPControl_Reader()
        if reader.ReadFile(str(path)) != IFSelect_ReturnStatus.IFSelect_RetDone or not reader.TransferRoots():
            raise FileFormatError("This is no STEP file that the kernel can read.")
        return reader.OneShape()


def look_at(shape: TopoDS_Shape, with_volume: bool = True) -> ShapeFacts:
    """Count solids and faces, check validity and closedness; the volume is slow (seconds at 500 faces)."""
    solids = _all(shape, TopAbs_ShapeEnum.TopAbs_SOLID)
    shells = _all(shape, TopAbs_ShapeEnum.TopAbs_SHELL)
    volume = 0.0
    if with_volume:
        props = GProp_GProps()
        BRepGProp.VolumeProperties_s(shape, props, 1e-7, True)
        volume = props.Mass()
    return ShapeFacts(
        solids=len(solids),
        faces=len(_all(shape, TopAbs_ShapeEnum.TopAbs_FACE)),
        closed=bool(shells) and all(BRep_Tool.IsClosed_s(shell) and shell.Closed() for shell in shells),
        valid=BRepCheck_Analyzer(shape).IsValid(),
        volume=volume,
    )


def _all(shape: TopoDS_Shape, kind: TopAbs_ShapeEnum) -> list[TopoDS_Shape]:
    found = []
    explorer = TopExp_Explorer(shape, kind)
    while explorer.More():
        found.append(explorer.Current())
        explorer.Next()
    return found


@contextmanager
def _quiet() -> Iterator[None]:
    """The kernel prints to standard output, which here belongs to the caller: send it nowhere meanwhile."""
    sys.stdout.flush()
    kept = os.dup(1)
    nowhere = os.open(os.devnull, os.O_WRONLY)
    try:
        os.dup2(nowhere, 1)
        yield
    finally:
        os.dup2(kept, 1)
        os.close(kept)
        os.close(nowhere)
