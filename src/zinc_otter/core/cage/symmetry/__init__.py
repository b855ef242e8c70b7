"""Symmetric cages: mirrors and repeats about an axis, kept exact through every edit."""

from zinc_otter.core.cage.plane import Plane, plane_at
from zinc_otter.core.cage.symmetry.group import Group, mirror, radial
from zinc_otter.core.cage.symmetry.image import mirrored_copy
from zinc_otter.core.cage.symmetry.image_by_image import for_each_image, image_by_image
from zinc_otter.core.cage.symmetry.symmetric import Symmetry, SymmetryError, symmetric_edit

__all__ = [
    "Group", "Plane", "Symmetry", "SymmetryError",
    "for_each_image", "image_by_image", "mirror", "mirrored_copy", "plane_at", "radial",
    "symmetric_edit",
]  # fmt: skip
