"""What lies within a held border, as springs along the edges would draw it."""

from __future__ import annotations

import numpy as np
from scipy.sparse import coo_matrix, diags
from scipy.sparse.linalg import spsolve

from zinc_otter.core.cage.topology import Floats, Ints


def sprung(held: Floats, count: int, edges: Ints) -> Floats:
    """(count - h, k) values of the later vertices, each the mean of its neighbours', where the first h have ``held`` (h, k).

    ``edges`` (m, 2) may name an edge twice. Source: W. Tutte, "How to Draw a Graph", 1963.
    """
    a, b = np.unique(np.sort(edges, axis=1), axis=0).T
    springs = coo_matrix((np.ones(2 * len(a)), (np.append(a, b), np.append(b, a))), shape=(count, count)).tocsr()
    laplace = (diags(np.asarray(springs.sum(axis=1)).ravel()) - springs).tocsc()
    known = -(laplace[len(held) :][:, : len(held)] @ held)
    inner = laplace[len(held) :][:, len(held) :]
    return np.column_stack([spsolve(inner, known[:, k]) for k in range(held.shape[1])])
