"""A row of vertices with edges between them and no faces: what a curve's control points hang together by."""

from __future__ import annotations

import hashlib
from functools import cached_property, lru_cache

import numpy as np

from zinc_otter.core.cage.topology import Ints, Topology


class LineTopology(Topology):
    """Vertices 0 to n - 1 in a row, open or closed to a ring.

    All that goes by vertices and edges works on it as on a cage: picking, reach, chains, motions. It has no face and no
    corner, and every edge of it is open.
    """

    def __init__(self, vertex_count: int, closed: bool) -> None:
        super().__init__(vertex_count, np.zeros(0, dtype=np.int32), np.zeros(1, dtype=np.int32))
        self.closed = closed

    def __reduce__(self) -> tuple[object, ...]:
        return line_topology, (self.vertex_count, self.closed)

    @cached_property
    def _edges(self) -> tuple[Ints, Ints]:
        ahead = np.arange(self.vertex_count if self.closed else self.vertex_count - 1)
        pairs = np.sort(np.column_stack([ahead, (ahead + 1) % self.vertex_count]), axis=1)
        pairs = pairs[np.lexsort((pairs[:, 1], pairs[:, 0]))].astype(np.int32)
        return pairs, np.zeros(0, dtype=np.int32)

    @cached_property
    def edge_corners(self) -> Ints:
        return np.full((self.edge_count, 2), -1, dtype=np.int32)

    @cached_property
    def edge_faces(self) -> Ints:
        return np.full((self.edge_count, 2), -1, dtype=np.int32)

    @cached_property
    def edge_of_leg(self) -> Ints:
        """(legs,) the edge from each vertex to the next in the row: edges are numbered by their vertices."""
        legs = self.edge_count
        ahead = np.arange(legs)
        keys = np.sort(np.column_stack([ahead, (ahead + 1) % self.vertex_count]), axis=1)
        order = np.lexsort((keys[:, 1], keys[:, 0]))
        of = np.empty(legs, dtype=np.int32)
        of[order] = np.arange(legs, dtype=np.int32)
        return of

    @property
    def is_closed(self) -> bool:
        """It encloses nothing."""
        return False

    @cached_property
    def digest(self) -> str:
        return hashlib.sha256(f"line {self.vertex_count} {self.closed}".encode()).hexdigest()

    def check(self) -> None:
        """A row is always sound."""


@lru_cache(maxsize=256)
def line_topology(vertex_count: int, closed: bool) -> LineTopology:
    """The row of so many vertices: the same one each time, so that what has not changed is known by it."""
    return LineTopology(vertex_count, closed)
