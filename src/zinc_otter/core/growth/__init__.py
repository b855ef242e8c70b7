"""Forms that grow from the forms of other pieces and go on following them: one file a kind.

A new kind is a new file here: it is found by itself.
"""

from zinc_otter.core.growth.base import Growth, Outgrowth
from zinc_otter.core.growth.pulls import Pulls
from zinc_otter.core.kinds import kinds_in

KINDS = kinds_in(__name__, __path__, Growth)  # type: ignore[type-abstract]
"""All kinds of growths, by name."""

__all__ = ["KINDS", "Growth", "Outgrowth", "Pulls"]
