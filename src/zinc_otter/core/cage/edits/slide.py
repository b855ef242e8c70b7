"""Slide picked loops and vertices along the cage."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.building.chains import picked_chains
from zinc_otter.core.cage.building.motion import finite
from zinc_otter.core.cage.building.sides import sides_of
from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.edit import Edit, same_structure
from zinc_otter.core.cage.selection import Selection, vertices_of
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.words import fine_length_words

MOST_SHARE = 0.99
"""How far towards its neighbour a vertex slides at the most, so that no edge loses its length."""


def slide(
    cage: Cage, selection: Selection, amount: float, *, in_mm: bool = False, towards: Sequence[float] | None = None
) -> Edit:
    """Slide picked edges, or vertices that make up chains, to the left of their chain, or for a negative amount right.

    ``amount`` is a share of the way to the next loop, -1 to 1, or mm. With ``towards`` (3,) each picked vertex slides by
    itself along that of its edges that goes this way best. Raises BadSelectionError (a side without faces, more mm than
    there are, with how many there are), BadNumberError.

    >>> from zinc_otter.core.primitives import plane
    >>> sheet = plane((30, 10), (3, 1))
    >>> row = np.flatnonzero(np.ptp(sheet.positions[sheet.topology.edge_verts][..., 0], axis=1) == 0)[1:2]
    >>> slid = slide(sheet, Selection.of("edge", row), 0.5).cage
    >>> sorted(set(slid.positions[:, 0].round(9).tolist()))
    [-15.0, -10.0, 5.0, 15.0]
    """
    selection.check(cage.topology)
    by = float(finite([amount], "How far to slide")[0])
    if not in_mm and not -1 <= by <= 1:
        raise BadNumberError(f"A share of the way runs from -100 to 100 %; {100 * by:g} % is outside.")
    if towards is not None:
        verts = vertices_of(cage.topology, selection)
        targets = cage.positions[_aligned(cage, verts, finite(towards, "The direction"))]
        by = abs(by)
    else:
        verts, targets = sides_of(cage, picked_chains(cage, selection), by >= 0)
        by = abs(by)
    way = targets - cage.positions[verts]
    length = np.linalg.norm(way, axis=1)
    least = float(length.min())
    if in_mm and by > MOST_SHARE * least:
        raise BadSelectionError(
            f"There are only {fine_length_words(least)} to the next vertex here; slide by less than "
            f"{fine_length_words(MOST_SHARE * least)}.",
            vertices=[verts[int(np.argmin(length))]],
        )
    share = by / np.maximum(length, 1e-12) if in_mm else np.full(len(verts), min(by, MOST_SHARE))
    positions = cage.positions.copy()
    positions[verts] += share[:, None] * way
    return same_structure(cage.with_positions(positions), selection)


def _aligned(cage: Cage, verts: Ints, towards: Floats) -> Ints:
    """(k,) of each vertex the neighbour that lies best in a direction."""
    t = cage.topology
    a, b = np.concatenate([t.edge_verts, t.edge_verts[:, ::-1]]).T
    fits = unit(cage.positions[b] - cage.positions[a]) @ unit(towards)
    order = np.lexsort((fits, a))
    last = np.searchsorted(a[order], verts, side="right") - 1
    return np.asarray(b[order[last]])
