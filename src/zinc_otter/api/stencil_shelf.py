"""Stencils of surfaces that were shown lately."""

from __future__ import annotations

from zinc_otter.api.kept import Kept
from zinc_otter.core.cage import Cage
from zinc_otter.core.surface import Stencils, build_stencils


class StencilShelf:
    """Stencils by structure and level, those used last kept."""

    def __init__(self, most: int = 24) -> None:
        self._kept: Kept[tuple[str, int], Stencils] = Kept(most)

    def get(self, cage: Cage, level: int) -> Stencils:
        return self._kept.get((cage.structure_digest, level), lambda: build_stencils(cage, level))
