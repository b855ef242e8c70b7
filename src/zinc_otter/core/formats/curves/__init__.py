"""Curves from files and into files, at real size: SVG, DXF, STEP."""

from zinc_otter.core.formats.curves.kinds import KINDS, read_curves, write_curves
from zinc_otter.core.formats.curves.paths import Drawn

__all__ = ["KINDS", "Drawn", "read_curves", "write_curves"]
