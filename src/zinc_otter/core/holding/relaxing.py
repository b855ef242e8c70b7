"""Relax a cage's vertices while the surface keeps its form."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edits.relax import relax
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.holding.refit import Held, held, span_of
from zinc_otter.core.surface.nearest import nearest_on


def relax_holding(cage: Cage, selection: Selection, *, rounds: int = 5, strength: float = 0.5) -> Held:
    """As :func:`relax`; then what moved is fitted to the surface as it was. Raises as relax.

    >>> from zinc_otter.core.primitives import patched_sphere
    >>> relax_holding(patched_sphere(40, 2), Selection.of("vertex", range(6))).deviation < 0.2
    True
    """
    done = relax(cage, selection, rounds=rounds, strength=strength)
    moved = np.flatnonzero((done.cage.positions != cage.positions).any(axis=1)).astype(np.int32)
    return held(nearest_on(cage), done, moved, span_of(cage))
