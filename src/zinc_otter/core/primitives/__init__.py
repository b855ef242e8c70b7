"""Forms to begin from: cages of few, even quads. Sizes are those of the cage, unless solved for by :mod:`final`."""

from zinc_otter.core.primitives.box import box
from zinc_otter.core.primitives.plane import plane
from zinc_otter.core.primitives.sphere import capsule, patched_sphere, poled_sphere
from zinc_otter.core.primitives.turned import cone, cylinder, torus, truncated_cone, tube

__all__ = [
    "box", "capsule", "cone", "cylinder", "patched_sphere", "plane", "poled_sphere", "torus", "truncated_cone", "tube",
]  # fmt: skip
