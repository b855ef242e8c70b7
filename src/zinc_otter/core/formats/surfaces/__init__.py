"""Closed surfaces as triangles out to STL, 3MF, OBJ, PLY and GLB: one file for each kind that is more than a few lines."""

from zinc_otter.core.formats.surfaces.kinds import KINDS, write_surface
from zinc_otter.core.formats.surfaces.look import Look

__all__ = ["KINDS", "Look", "write_surface"]
