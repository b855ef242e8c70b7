"""Assemble a sparse matrix from blocks of rows of equal length, without sorting."""

from __future__ import annotations

import numpy as np
from numpy.typing import ArrayLike
from scipy.sparse import csr_matrix

from zinc_otter.core.cage.topology import Floats, Ints


class RowBuilder:
    """Collects entries of a sparse matrix and scatters them straight into CSR.

    Repeated columns within a row are allowed: products add them up.
    """

    def __init__(self, row_count: int, column_count: int) -> None:
        self.shape = (row_count, column_count)
        self._blocks: list[tuple[Ints, Ints, Floats]] = []
        self._lengths = np.zeros(row_count, dtype=np.int64)

    def add(self, rows: Ints, columns: Ints, weights: ArrayLike) -> None:
        """Append to each of the distinct ``rows`` (g,) the entries ``columns`` (g, k) or (g,) with ``weights``.

        The weights broadcast against the columns.
        """
        if len(rows) == 0:
            return
        cols = columns[:, None] if columns.ndim == 1 else columns
        values = np.broadcast_to(np.asarray(weights, dtype=np.float64), cols.shape)
        self._blocks.append((rows, cols, values))
        self._lengths[rows] += cols.shape[1]

    def matrix(self) -> csr_matrix:
        """The CSR matrix of all entries added so far."""
        indptr = np.zeros(self.shape[0] + 1, dtype=np.int32)
        np.cumsum(self._lengths, out=indptr[1:])
        indices = np.empty(indptr[-1], dtype=np.int32)
        data = np.empty(indptr[-1], dtype=np.float64)
        cursor = indptr[:-1].copy()
        for rows, cols, values in self._blocks:
            width = cols.shape[1]
            at = cursor[rows]
            for k in range(width):
                indices[at + k] = cols[:, k]
                data[at + k] = values[:, k]
            cursor[rows] += width
        return csr_matrix((data, indices, indptr), shape=self.shape)
