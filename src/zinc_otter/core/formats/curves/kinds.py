"""The kinds of files that curves come in and go out as, by their endings."""

from __future__ import annotations

import tempfile
from collections.abc import Sequence
from pathlib import Path
from typing import Literal

import numpy as np

from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.formats.curves.dxf import read_dxf, write_dxf
from zinc_otter.core.formats.curves.paths import Drawn
from zinc_otter.core.formats.curves.step import write_step_curves
from zinc_otter.core.formats.curves.svg import read_svg, write_svg

Kind = Literal["svg", "dxf", "step"]
View = Literal["top", "front", "right"]

KINDS: dict[Kind, str] = {"svg": "image/svg+xml", "dxf": "image/vnd.dxf", "step": "model/step"}

_AXES = {
    "top": np.array([[1.0, 0, 0], [0, 1, 0]]), "front": np.array([[1.0, 0, 0], [0, 0, 1]]),
    "right": np.array([[0.0, 1, 0], [0, 0, 1]]),
}  # fmt: skip
_LARGEST = 20_000_000


def read_curves(data: bytes, extension: str, scale: float = 1.0) -> list[Drawn]:
    """The curves of an SVG or DXF file (its bytes) in mm. Raises FileFormatError."""
    if len(data) > _LARGEST:
        raise FileFormatError(f"The file has {len(data) // 1_000_000} MB; 20 are the most for curves.")
    if extension == "svg":
        return read_svg(data)
    if extension == "dxf":
        return read_dxf(data, scale)
    raise FileFormatError("Curves come in as SVG or DXF (.svg, .dxf).")


def write_curves(drawn: Sequence[Drawn], kind: Kind, view: View = "top") -> bytes:
    """A file of curves: SVG as seen in a view, DXF and STEP in space. Raises KernelError."""
    if kind == "svg":
        return write_svg(drawn, _AXES[view])
    if kind == "dxf":
        return write_dxf(drawn)
    with tempfile.TemporaryDirectory(prefix="zinc-otter-curves-") as folder:
        path = Path(folder) / "curves.step"
        write_step_curves(drawn, path)
        return path.read_bytes()
