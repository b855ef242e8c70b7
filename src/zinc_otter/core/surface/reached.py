"""Which rows of a sparse matrix some columns reach, and the part of it that these rows and columns share."""

from __future__ import annotations

import numpy as np
from scipy.sparse import csc_matrix, csr_matrix

from zinc_otter.core.cage.topology import Ints


def reached_rows(matrices: list[csc_matrix], columns: Ints) -> Ints:
    """(k,) ascending rows in which any of the matrices has an entry in one of the ``columns``."""
    hit = np.zeros(matrices[0].shape[0], dtype=bool)
    for matrix in matrices:
        hit[_entries(matrix.indptr, columns, matrix.indices)] = True
    return np.flatnonzero(hit).astype(np.int32)


def _entries(indptr: Ints, which: Ints, values: Ints) -> Ints:
    """The concatenated runs ``values[indptr[i]:indptr[i + 1]]`` for i in ``which``."""
    lengths = indptr[which + 1] - indptr[which]
    before = np.cumsum(lengths) - lengths
    at = np.arange(lengths.sum()) + np.repeat(indptr[which] - before, lengths)
    return values[at]


def cut(matrix: csr_matrix, rows: Ints, columns: Ints) -> csr_matrix:
    """The part of a matrix in ascending ``rows`` and ``columns``."""
    part = matrix[rows]
    local = np.full(matrix.shape[1], -1, dtype=np.int32)
    local[columns] = np.arange(len(columns), dtype=np.int32)
    indices = local[part.indices]
    inside = indices >= 0
    kept = np.concatenate([[0], np.cumsum(inside)])[part.indptr].astype(np.int32)
    return csr_matrix((part.data[inside], indices[inside], kept), shape=(len(rows), len(columns)))


def union_of(count: int, *parts: Ints) -> Ints:
    """(k,) ascending indices below ``count`` that are in any of the parts: marked, which is quicker than sorted."""
    hit = np.zeros(count, dtype=bool)
    for part in parts:
        hit[part] = True
    return np.flatnonzero(hit).astype(np.int32)
