"""Points that part edges evenly."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats, Ints


def evenly_on(cage: Cage, edges: Ints, counts: Ints) -> Floats:
    """(sum, 3) points that part each edge evenly, from its lower vertex on."""
    which = np.repeat(np.arange(len(edges)), counts)
    before = np.cumsum(counts) - counts
    share = (np.arange(len(which)) - before[which] + 1) / (counts[which] + 1)
    a, b = cage.positions[cage.topology.edge_verts[edges[which]]].transpose(1, 0, 2)
    return np.asarray((1 - share[:, None]) * a + share[:, None] * b)
