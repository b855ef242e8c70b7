"""An even wall: shifts of vertices so that every face moves by one distance along its own normal."""

from __future__ import annotations

import numpy as np
from scipy.sparse import coo_matrix, identity
from scipy.sparse.linalg import spsolve

from zinc_otter.core.cage.topology import Floats, Ints

_LONGEST = 4.0
"""No vertex goes further than so many times the distance: at a spike the wall is rather thinner than a needle."""


_ALMOST_FLAT = 5e-3
"""Of the spread of normals at a vertex, what counts as none: below about four degrees noise would steer the vertex."""


def even_shifts(normals: Floats, face: Ints, slot: Ints, count: int, distance: float) -> Floats:
    """(count, 3) mm by which each slot moves, so that the middle of every face moves by ``distance`` along its normal.

    ``normals`` (f, 3) are unit; each corner (m,) joins a ``face`` and a ``slot``. First each slot goes to where the moved
    planes of its faces meet, by least squares; then the least change that makes the middles of the faces true
    (minimum-norm solution of the underdetermined system; G. Golub, C. Van Loan, "Matrix Computations", 4th ed., 5.6).
    """
    n = normals[face]
    gram = np.zeros((count, 3, 3))
    np.add.at(gram, slot, n[:, :, None] * n[:, None, :])
    total = np.zeros((count, 3))
    np.add.at(total, slot, n)
    values, vectors = np.linalg.eigh(gram)
    inverse = np.where(values > _ALMOST_FLAT * values[:, -1:], 1 / np.maximum(values, 1e-300), 0.0)
    along = np.einsum("kij,ki->kj", vectors, total) * inverse
    shifts = distance * np.einsum("kij,kj->ki", vectors, along)
    shifts = _shortened(shifts, distance)

    size = np.bincount(face, minlength=len(normals))
    rows = np.repeat(face, 3)
    columns = (3 * slot[:, None] + np.arange(3)).ravel()
    share = (n / size[face][:, None]).ravel()
    moves = coo_matrix((share, (rows, columns)), shape=(len(normals), 3 * count)).tocsr()
    missing = distance - moves @ shifts.ravel()
    # A trace of damping keeps faces that answer to the same vertices from being solved against each other.
    system = (moves @ moves.T + 1e-9 * identity(len(normals))).tocsc()
    return _shortened(shifts + (moves.T @ spsolve(system, missing, permc_spec="MMD_AT_PLUS_A")).reshape(-1, 3), distance)


def offsets_of(shifts: Floats, normals: Floats, face: Ints, slot: Ints) -> Floats:
    """(f,) by how many mm the middle of each face moves along its normal."""
    along = (shifts[slot] * normals[face]).sum(axis=1)
    return np.bincount(face, along, minlength=len(normals)) / np.bincount(face, minlength=len(normals))


def _shortened(shifts: Floats, distance: float) -> Floats:
    length = np.linalg.norm(shifts, axis=1)
    factor = np.minimum(1.0, _LONGEST * abs(distance) / np.maximum(length, 1e-300))
    return shifts * factor[:, None]
