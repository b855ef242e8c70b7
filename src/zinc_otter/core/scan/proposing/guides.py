"""Lines on a prepared scan that a proposal follows: its sharp ones."""

from __future__ import annotations

from collections import defaultdict
from dataclasses import dataclass
from functools import cached_property

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints


@dataclass(frozen=True, eq=False)
class Guides:
    """The ``edges`` (k, 2) of a mesh of ``count`` vertices that make up the lines."""

    edges: Ints
    count: int

    @cached_property
    def _many(self) -> Ints:
        return np.bincount(self.edges.ravel(), minlength=self.count)

    @cached_property
    def inner(self) -> Ints:
        """Vertices in the run of a line."""
        return np.flatnonzero(self._many == 2)

    @cached_property
    def corners(self) -> Ints:
        """Vertices where lines meet or end."""
        return np.flatnonzero((self._many > 0) & (self._many != 2))

    @property
    def vertices(self) -> Ints:
        return np.flatnonzero(self._many)

    def tangents(self, v: Floats) -> Floats:
        """(n, 3) from one neighbour to the other for vertices in the run of a line; of no length to go by elsewhere."""
        beside = self.beside
        found = np.zeros_like(v)
        for at in self.inner.tolist():
            one, other = beside[at]
            found[at] = v[other] - v[one]
        return found

    @cached_property
    def beside(self) -> dict[int, list[int]]:
        """The neighbours of each vertex along the lines."""
        found: defaultdict[int, list[int]] = defaultdict(list)
        for a, b in self.edges.tolist():
            found[a].append(b)
            found[b].append(a)
        return dict(found)
