"""The connectivity of a control cage: faces as corner loops, and the adjacency that follows from them.

A *corner* is one vertex of one face; corner ``c`` of a face is also the half-edge that leaves it towards the next
corner of that face. All adjacency is index arithmetic over corners, after the half-edge structure of
M. Mäntylä, "An Introduction to Solid Modeling", 1988, laid out in flat arrays.
"""

from __future__ import annotations

import hashlib
from functools import cached_property, lru_cache
from typing import Any

import numpy as np
from numpy.typing import NDArray
from scipy.sparse import coo_matrix
from scipy.sparse.csgraph import connected_components

from zinc_otter.core.errors import UnsoundCageError

Ints = NDArray[np.signedinteger[Any]]
Floats = NDArray[np.float64]
Bools = NDArray[np.bool_]


def read_only(array: NDArray[np.generic]) -> None:
    """Close an array to writing, in place."""
    array.setflags(write=False)


def joined_labels(count: int, pairs: Ints) -> Ints:
    """(count,) the number of the connected group of each of ``count`` things, of which ``pairs`` (k, 2) hang together."""
    a, b = pairs.T
    graph = coo_matrix((np.ones(len(pairs)), (a, b)), shape=(count, count))
    return np.asarray(connected_components(graph, directed=False)[1], dtype=np.int32)


class Topology:
    """Immutable connectivity of ``vertex_count`` vertices and the faces over them.

    ``face_verts`` is flat (c,), ``face_offsets`` is (f + 1,): face i has corners ``face_offsets[i]:face_offsets[i+1]``,
    counter-clockwise seen from outside. Build it with :meth:`checked` unless the arrays are known to be sound.
    """

    def __init__(self, vertex_count: int, face_verts: Ints, face_offsets: Ints) -> None:
        self.vertex_count = int(vertex_count)
        self.face_verts = np.ascontiguousarray(face_verts, dtype=np.int32)
        self.face_offsets = np.ascontiguousarray(face_offsets, dtype=np.int32)
        read_only(self.face_verts)
        read_only(self.face_offsets)

    def __reduce__(self) -> tuple[object, ...]:
        """What is cached is left behind."""
        return Topology, (self.vertex_count, self.face_verts, self.face_offsets)

    @classmethod
    def checked(cls, vertex_count: int, face_verts: Ints, face_offsets: Ints) -> Topology:
        """A topology that is an oriented 2-manifold with or without border.

        Raises UnsoundCageError, naming the elements, for: an index out of range, a face of fewer than three vertices or
        with a repeated vertex, an edge of more than two faces, neighbours that are turned against each other, a vertex
        where two fans of faces meet in a point, a vertex of no face.

        Frame after frame of a drag builds the same one: those checked lately are given again as they are.
        """
        verts, offsets = (np.ascontiguousarray(array, dtype=np.int32) for array in (face_verts, face_offsets))
        if len(verts) > _REMEMBERED:
            topology = cls(vertex_count, verts, offsets)
            topology.check()
            return topology
        return _known_sound(int(vertex_count), verts.tobytes(), offsets.tobytes())

    # --- counts -----------------------------------------------------------------------------------------------------

    @property
    def corner_count(self) -> int:
        return len(self.face_verts)

    @property
    def face_count(self) -> int:
        return len(self.face_offsets) - 1

    @property
    def edge_count(self) -> int:
        return len(self.edge_verts)

    @cached_property
    def face_sizes(self) -> Ints:
        """(f,) number of corners of each face."""
        return np.diff(self.face_offsets).astype(np.int32)

    @cached_property
    def all_quads(self) -> bool:
        return bool(np.all(self.face_sizes == 4))

    # --- corners ----------------------------------------------------------------------------------------------------

    @cached_property
    def corner_face(self) -> Ints:
        """(c,) the face of each corner."""
        return np.repeat(np.arange(self.face_count, dtype=np.int32), self.face_sizes)

    @cached_property
    def corner_next(self) -> Ints:
        """(c,) the next corner of the same face."""
        following = np.arange(1, self.corner_count + 1, dtype=np.int32)
        following[self.face_offsets[1:] - 1] = self.face_offsets[:-1]
        return following

    @cached_property
    def corner_prev(self) -> Ints:
        """(c,) the previous corner of the same face."""
        previous = np.arange(-1, self.corner_count - 1, dtype=np.int32)
        previous[self.face_offsets[:-1]] = self.face_offsets[1:] - 1
        return previous

    @cached_property
    def reversed_corners(self) -> Ints:
        """(c,) the corners of every face in backward order, its first corner still first."""
        first = self.face_offsets[:-1][self.corner_face]
        size = self.face_sizes[self.corner_face]
        within = np.arange(self.corner_count) - first
        return np.asarray(first + (size - within) % size, dtype=np.int32)

    @cached_property
    def _edges(self) -> tuple[Ints, Ints]:
        """Edges (e, 2) as (low, high) vertex pairs in lexicographic order, and the edge that leaves each corner (c,)."""
        a = self.face_verts.astype(np.int64)
        b = self.face_verts[self.corner_next].astype(np.int64)
        keys = np.minimum(a, b) * self.vertex_count + np.maximum(a, b)
        unique, inverse = np.unique(keys, return_inverse=True)
        verts = np.column_stack([unique // self.vertex_count, unique % self.vertex_count]).astype(np.int32)
        return verts, inverse.astype(np.int32).reshape(-1)

    @property
    def edge_verts(self) -> Ints:
        """(e, 2) the two vertices of each edge, lower index first; the order of rows is the edges' numbering."""
        return self._edges[0]

    @property
    def corner_edge(self) -> Ints:
        """(c,) the edge from each corner to the next of its face."""
        return self._edges[1]

    @cached_property
    def _edge_corner_order(self) -> tuple[Ints, Ints]:
        """Corners sorted by their edge, and the start of each edge in that order (e + 1,)."""
        order = np.argsort(self.corner_edge, kind="stable").astype(np.int32)
        starts = np.zeros(self.edge_count + 1, dtype=np.int32)
        np.cumsum(np.bincount(self.corner_edge, minlength=self.edge_count), out=starts[1:])
        return order, starts

    @cached_property
    def edge_corners(self) -> Ints:
        """(e, 2) the one or two corners (half-edges) that run along each edge; -1 where the edge is open."""
        order, starts = self._edge_corner_order
        corners = np.full((self.edge_count, 2), -1, dtype=np.int32)
        corners[:, 0] = order[starts[:-1]]
        double = np.diff(starts) >= 2
        corners[double, 1] = order[starts[:-1][double] + 1]
        return corners

    @cached_property
    def edge_faces(self) -> Ints:
        """(e, 2) the faces of each edge; -1 where the edge is open."""
        corners = self.edge_corners
        return np.where(corners >= 0, self.corner_face[np.maximum(corners, 0)], -1).astype(np.int32)

    @cached_property
    def corner_twin(self) -> Ints:
        """(c,) the opposite half-edge, in the neighbouring face; -1 along an open edge."""
        first, second = self.edge_corners.T
        twin = np.full(self.corner_count, -1, dtype=np.int32)
        pair = second >= 0
        twin[first[pair]] = second[pair]
        twin[second[pair]] = first[pair]
        return twin

    # --- vertices ---------------------------------------------------------------------------------------------------

    @cached_property
    def vertex_valence(self) -> Ints:
        """(n,) number of edges at each vertex."""
        return np.bincount(self.edge_verts.ravel(), minlength=self.vertex_count).astype(np.int32)

    @cached_property
    def open_edges(self) -> Ints:
        """Indices of the edges that have one face only."""
        return np.flatnonzero(self.edge_corners[:, 1] < 0).astype(np.int32)

    @cached_property
    def on_border(self) -> Bools:
        """(n,) which vertices lie on an open edge."""
        mask = np.zeros(self.vertex_count, dtype=bool)
        mask[self.edge_verts[self.open_edges]] = True
        return mask

    @property
    def is_closed(self) -> bool:
        return len(self.open_edges) == 0

    @cached_property
    def face_shell(self) -> Ints:
        """(f,) number of the connected shell to which each face belongs."""
        return joined_labels(self.face_count, self.edge_faces[self.edge_faces[:, 1] >= 0])

    @property
    def euler_characteristic(self) -> int:
        """V - E + F; 2 - 2g for a closed connected surface of genus g (Euler-Poincaré)."""
        return self.vertex_count - self.edge_count + self.face_count

    @cached_property
    def digest(self) -> str:
        """A hash of the connectivity, for caches."""
        h = hashlib.sha256(np.int64(self.vertex_count).tobytes())
        h.update(self.face_offsets.tobytes())
        h.update(self.face_verts.tobytes())
        return h.hexdigest()

    def vertex_fans(self, corners: Ints | None = None) -> Ints:
        """(k,) for each of the given corners (default all), a label of the fan that it belongs to.

        Two corners of one vertex share a fan when one can walk between them across edges whose both corners are among
        those given. A manifold vertex has one fan.
        """
        chosen = np.arange(self.corner_count, dtype=np.int32) if corners is None else corners
        local = np.full(self.corner_count, -1, dtype=np.int32)
        local[chosen] = np.arange(len(chosen), dtype=np.int32)
        # Across half-edge c lies twin(c), which leaves from the other end: the corner at the same vertex is next(twin).
        twin = self.corner_twin[chosen]
        across = np.where(twin >= 0, self.corner_next[np.maximum(twin, 0)], -1)
        linked = (across >= 0) & (local[np.maximum(across, 0)] >= 0)
        return joined_labels(len(chosen), np.column_stack([np.flatnonzero(linked), local[across[linked]]]))

    # --- soundness --------------------------------------------------------------------------------------------------

    def check(self) -> None:
        """Raise UnsoundCageError unless this is an oriented manifold; see :meth:`checked`."""
        self._check_faces()
        self._check_edges()
        self._check_vertices()

    def _check_faces(self) -> None:
        offsets = self.face_offsets
        if len(offsets) < 2:
            raise UnsoundCageError("A cage needs at least one face.")
        if offsets[0] != 0 or offsets[-1] != self.corner_count or np.any(np.diff(offsets) < 3):
            short = np.flatnonzero(np.diff(offsets) < 3)
            raise UnsoundCageError(f"Every face needs at least three vertices; {len(short)} have fewer.", faces=short)
        outside = (self.face_verts < 0) | (self.face_verts >= self.vertex_count)
        if np.any(outside):
            bad = np.unique(self.corner_face[outside])
            raise UnsoundCageError(f"Face {bad[0]} names a vertex that is not there.", faces=bad)
        order = np.lexsort((self.face_verts, self.corner_face))
        same = (np.diff(self.face_verts[order]) == 0) & (np.diff(self.corner_face[order]) == 0)
        if np.any(same):
            bad = np.unique(self.corner_face[order[1:][same]])
            raise UnsoundCageError(f"Face {bad[0]} touches one of its vertices twice.", faces=bad)

    def _check_edges(self) -> None:
        _, starts = self._edge_corner_order
        crowded = np.flatnonzero(np.diff(starts) > 2)
        if len(crowded):
            a, b = self.edge_verts[crowded[0]]
            raise UnsoundCageError(
                f"The edge between vertices {a} and {b} would have {np.diff(starts)[crowded[0]]} faces; two are the most.",
                edges=crowded,
            )
        first, second = self.edge_corners.T
        pair = second >= 0
        flipped = np.flatnonzero(pair & (self.face_verts[first] == self.face_verts[np.maximum(second, 0)]))
        if len(flipped):
            faces = np.unique(self.edge_faces[flipped])
            raise UnsoundCageError(
                f"Faces {faces[0]} and {faces[-1]} are turned against each other along their shared edge.",
                edges=flipped,
                faces=faces,
            )

    def _check_vertices(self) -> None:
        used = np.bincount(self.face_verts, minlength=self.vertex_count)
        loose = np.flatnonzero(used == 0)
        if len(loose):
            raise UnsoundCageError(f"Vertex {loose[0]} belongs to no face.", vertices=loose)
        fans = self.vertex_fans()
        pairs = np.unique(np.column_stack([self.face_verts, fans]), axis=0)
        meeting = np.flatnonzero(np.bincount(pairs[:, 0], minlength=self.vertex_count) > 1)
        if len(meeting):
            raise UnsoundCageError(
                f"At vertex {meeting[0]} two groups of faces would touch in a single point.", vertices=meeting
            )


_REMEMBERED = 40_000
"""Corners up to which a topology is kept for the next one that asks for the same."""


@lru_cache(16)
def _known_sound(vertex_count: int, face_verts: bytes, face_offsets: bytes) -> Topology:
    verts, offsets = (np.frombuffer(array, dtype=np.int32) for array in (face_verts, face_offsets))
    topology = Topology(vertex_count, verts, offsets)
    topology.check()
    return topology
