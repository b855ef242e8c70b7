"""Cuts of stones, found by themselves."""

from __future__ import annotations

from functools import reduce
from operator import or_
from typing import TYPE_CHECKING

from zinc_otter.core.kinds import kinds_in
from zinc_otter.core.stone.cuts.base import Cut

KINDS: tuple[type[Cut], ...] = kinds_in(__name__, __path__, Cut)  # type: ignore[type-abstract]
"""All cuts, by name."""

if TYPE_CHECKING:
    AnyCut = Cut
else:
    AnyCut = reduce(or_, KINDS)
    """Any of the cuts, told apart by their ``kind``."""
