"""The patches that a solid is made of: through the limit surface, and tangent to one another."""

from __future__ import annotations

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.solid.patches import Patches, interpolated_patches
from zinc_otter.core.solid.seams import agreed


def fit_patches(cage: Cage, grading: int | None = None) -> Patches:
    """Fit the limit surface of a cage (n-gons are refined once). ``grading`` defaults to one chosen by face count."""
    return agreed(interpolated_patches(cage, grading))
