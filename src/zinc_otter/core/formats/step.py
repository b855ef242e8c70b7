"""STEP (ISO 10303-21, schema AP242) through Open CASCADE."""

from __future__ import annotations

import tempfile
from collections.abc import Sequence
from dataclasses import dataclass
from pathlib import Path

from OCP.BRepCheck import BRepCheck_Analyzer
from OCP.BRepGProp import BRepGProp
from OCP.GProp import GProp_GProps
from OCP.IFSelect import IFSelect_ReturnStatus
from OCP.Interface import Interface_Static
from OCP.Message import Message
from OCP.Quantity import Quantity_Color, Quantity_TypeOfColor
from OCP.STEPCAFControl import STEPCAFControl_Writer
from OCP.STEPControl import STEPControl_Reader, STEPControl_StepModelType
from OCP.TCollection import TCollection_ExtendedString
from OCP.TDataStd import TDataStd_Name
from OCP.TDocStd import TDocStd_Document
from OCP.TopoDS import TopoDS_Shape
from OCP.XCAFDoc import XCAFDoc_ColorType, XCAFDoc_DocumentTool

from zinc_otter.core.errors import FileFormatError, KernelError
from zinc_otter.core.formats.step_text import Heading, headed
from zinc_otter.core.solid.kernel.operations import is_closed
from zinc_otter.core.solid.kernel.shape import faces_of, solids_of

# Standard output is the caller's: the kernel has nothing to say there.
Message.DefaultMessenger_s().ChangePrinters().Clear()

Colour = tuple[float, float, float]
UNITS = {"mm": "MM", "cm": "CM", "in": "INCH"}


@dataclass(frozen=True, eq=False)
class Part:
    """A shape in mm with its name and, as sRGB from 0 to 1, its colour."""

    shape: TopoDS_Shape
    name: str
    colour: Colour | None = None


def write_step(shape: TopoDS_Shape, path: Path, name: str, colour: Colour | None = None) -> None:
    """Write a shape in millimetres under its name. Raises as ``write_parts``."""
    write_parts([Part(shape, name, colour)], path, Heading(name))


def write_parts(parts: Sequence[Part], path: Path, heading: Heading, unit: str = "mm") -> None:
    """Write shapes side by side into one file, in a unit (mm, cm, in).

    Raises KernelError when the kernel cannot, OSError when the disk cannot.
    """
    document = TDocStd_Document(TCollection_ExtendedString("XmlOcaf"))
    for part in parts:
        label = XCAFDoc_DocumentTool.ShapeTool_s(document.Main()).AddShape(part.shape, False)
        TDataStd_Name.Set_s(label, TCollection_ExtendedString(part.name, True))
        if part.colour is not None:
            tint = Quantity_Color(*part.colour, Quantity_TypeOfColor.Quantity_TOC_sRGB)
            colours = XCAFDoc_DocumentTool.ColorTool_s(document.Main())
            colours.SetColor(label, tint, XCAFDoc_ColorType.XCAFDoc_ColorSurf)
    writer = STEPCAFControl_Writer()
    Interface_Static.SetCVal_s("write.step.unit", UNITS[unit])
    Interface_Static.SetCVal_s("write.step.schema", "AP242DIS")
    writer.SetColorMode(True)
    writer.SetNameMode(True)
    done = writer.Transfer(document, STEPControl_StepModelType.STEPControl_AsIs)
    written = done and writer.Write(str(path)) == IFSelect_ReturnStatus.IFSelect_RetDone
    if not written:
        # The kernel does not tell a full disk from its own failure; a small write of our own does.
        with path.open("ab") as file:
            file.write(b" ")
        raise KernelError("The kernel could not write this solid as STEP.")
    path.write_bytes(headed(path.read_bytes(), heading))


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
    reader = STEPControl_Reader()
    if reader.ReadFile(str(path)) != IFSelect_ReturnStatus.IFSelect_RetDone or not reader.TransferRoots():
        raise FileFormatError("This is no STEP file that the kernel can read.")
    return reader.OneShape()


def read_step_bytes(data: bytes) -> TopoDS_Shape:
    """The shape in a STEP file's bytes, in millimetres. Raises FileFormatError."""
    with tempfile.TemporaryDirectory(prefix="zinc-otter-step-") as folder:
        path = Path(folder) / "solid.step"
        path.write_bytes(data)
        return read_step(path)


def facts_of(shape: TopoDS_Shape, with_volume: bool = True) -> ShapeFacts:
    """Count solids and faces, check validity and closedness; the volume is slow (seconds at 500 faces)."""
    volume = 0.0
    if with_volume:
        props = GProp_GProps()
        BRepGProp.VolumeProperties_s(shape, props, 1e-7, True)
        volume = props.Mass()
    return ShapeFacts(
        solids=len(solids_of(shape)),
        faces=len(faces_of(shape)),
        closed=is_closed(shape),
        valid=BRepCheck_Analyzer(shape).IsValid(),
        volume=volume,
    )
