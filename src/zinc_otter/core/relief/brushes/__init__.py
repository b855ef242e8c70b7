"""Brushes, found by themselves."""

from __future__ import annotations

from zinc_otter.core.kinds import kinds_in
from zinc_otter.core.relief.brushes.base import Brush

KINDS: tuple[type[Brush], ...] = kinds_in(__name__, __path__, Brush)  # type: ignore[type-abstract]
"""All brushes, by name."""

BRUSHES: dict[str, type[Brush]] = {vars(brush)["kind"]: brush for brush in KINDS}
"""The same by their ``kind``."""
