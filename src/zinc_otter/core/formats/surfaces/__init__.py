"""Closed surfaces as triangles out to STL, 3MF, OBJ, PLY and GLB: one file for each kind that is more than a few lines."""

from zinc_otter.core.formats.surfaces.appearance import Appearance
from zinc_otter.core.formats.surfaces.kinds import KINDS, write_surface

__all__ = ["KINDS", "Appearance", "write_surface"]
