"""One level of refinement: connectivity with sharpness, and the connectivity of its child by index arithmetic.

Child vertices come in the order: one for each parent vertex, then for each edge, then for each face. Child face number c
is the quad at parent corner c, and starts at that corner, so the children of one face stay together.
"""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property

import numpy as np

from zinc_otter.core.cage.cage import HARD, Cage
from zinc_otter.core.cage.topology import Bools, Floats, Ints, Topology


class ChildTopology(Topology):
    """A topology whose edges and twins were derived from its parent's instead of by search."""

    def __init__(self, vertex_count: int, quads: Ints, edge_verts: Ints, corner_edge: Ints, corner_twin: Ints) -> None:
        super().__init__(vertex_count, quads.ravel(), np.arange(0, quads.size + 1, 4, dtype=np.int32))
        self.__dict__["_edges"] = (edge_verts, corner_edge)
        self.__dict__["corner_twin"] = corner_twin
        corner = np.arange(quads.size, dtype=np.int32)
        self.__dict__["corner_next"] = np.where(corner % 4 == 3, corner - 3, corner + 1).astype(np.int32)
        self.__dict__["corner_prev"] = np.where(corner % 4 == 0, corner + 3, corner - 1).astype(np.int32)
        self.__dict__["all_quads"] = True


@dataclass(frozen=True, eq=False)
class Level:
    """Connectivity and sharpness of one level; open edges and the corners of sheets are already hard."""

    topology: Topology
    edge_sharpness: Floats
    vertex_sharpness: Floats

    @classmethod
    def of_cage(cls, cage: Cage) -> Level:
        """Level 0. Open edges are hard, and so are border vertices of one face ("edge and corner" rule)."""
        return cls.with_hard_border(cage.topology, cage.edge_sharpness, cage.vertex_sharpness)

    @classmethod
    def with_hard_border(cls, topology: Topology, edge_sharpness: Floats, vertex_sharpness: Floats) -> Level:
        edges = edge_sharpness.copy()
        edges[topology.open_edges] = HARD
        vertices = vertex_sharpness.copy()
        single = np.bincount(topology.face_verts, minlength=topology.vertex_count) == 1
        vertices[single] = HARD
        return cls(topology, edges, vertices)

    @cached_property
    def next_around(self) -> Ints:
        """(c,) the next corner counter-clockwise around the same vertex; -1 past an open edge."""
        t = self.topology
        return t.corner_twin[t.corner_prev]

    @cached_property
    def fans(self) -> list[tuple[Ints, Ints]]:
        """Vertices grouped by their number of faces k: pairs of vertices (g,) and ordered corners (g, k).

        An open fan starts at the corner whose outgoing edge is open.
        """
        t = self.topology
        start = np.empty(t.vertex_count, dtype=np.int32)
        start[t.face_verts] = np.arange(t.corner_count, dtype=np.int32)
        first = np.flatnonzero(t.corner_twin < 0)
        start[t.face_verts[first]] = first
        sizes = np.bincount(t.face_verts, minlength=t.vertex_count)
        return [
            (verts, self.walk(start[verts], int(k)))
            for k in np.unique(sizes)
            for verts in [np.flatnonzero(sizes == k).astype(np.int32)]
        ]

    def walk(self, start: Ints, steps: int) -> Ints:
        """(g, steps) corners met counter-clockwise around a vertex from each start corner."""
        corners = np.empty((len(start), steps), dtype=np.int32)
        corners[:, 0] = start
        for i in range(1, steps):
            corners[:, i] = self.next_around[corners[:, i - 1]]
        return corners

    @cached_property
    def semi_sharp_vertices(self) -> Bools:
        """(n,) whether a vertex, or an edge at it, is neither smooth nor hard."""
        mask = (self.vertex_sharpness > 0) & (self.vertex_sharpness < HARD)
        edges = (self.edge_sharpness > 0) & (self.edge_sharpness < HARD)
        mask[self.topology.edge_verts[edges]] = True
        return mask

    def child(self) -> Level:
        """The next level's connectivity and sharpness."""
        t = self.topology
        v, e, f, c = t.vertex_count, t.edge_count, t.face_count, t.corner_count
        corner = np.arange(c, dtype=np.int32)
        before = t.corner_prev
        edge, edge_before = t.corner_edge, t.corner_edge[before]

        quads = np.column_stack([t.face_verts, v + edge, v + e + t.corner_face, v + edge_before])
        # Edge i of the parent becomes 2i (at its first vertex) and 2i + 1; corner c brings the edge to its face point.
        leaving = 2 * edge + (t.edge_verts[edge, 0] != t.face_verts)
        arriving = 2 * edge_before + (t.edge_verts[edge_before, 0] != t.face_verts)
        corner_edge = np.column_stack([leaving, 2 * e + corner, 2 * e + before, arriving])
        edge_verts = np.empty((2 * e + c, 2), dtype=np.int32)
        edge_verts[0 : 2 * e : 2, 0] = t.edge_verts[:, 0]
        edge_verts[1 : 2 * e : 2, 0] = t.edge_verts[:, 1]
        edge_verts[: 2 * e, 1] = v + np.repeat(np.arange(e, dtype=np.int32), 2)
        edge_verts[2 * e :, 0] = v + edge
        edge_verts[2 * e :, 1] = v + e + t.corner_face

        twin, twin_before = t.corner_twin, t.corner_twin[before]
        out = np.where(twin >= 0, 4 * t.corner_next[np.maximum(twin, 0)] + 3, -1)
        back = np.where(twin_before >= 0, 4 * twin_before, -1)
        corner_twin = np.column_stack([out, 4 * t.corner_next + 2, 4 * before + 1, back])

        topology = ChildTopology(
            v + e + f,
            quads.astype(np.int32),
            edge_verts,
            corner_edge.ravel().astype(np.int32),
            corner_twin.ravel().astype(np.int32),
        )
        edge_sharpness = np.zeros(2 * e + c)
        edge_sharpness[: 2 * e] = np.repeat(decremented(self.edge_sharpness), 2)
        vertex_sharpness = np.zeros(v + e + f)
        vertex_sharpness[:v] = decremented(self.vertex_sharpness)
        return Level(topology, edge_sharpness, vertex_sharpness)

    def only_faces(self, keep: Bools) -> tuple[Level, Ints, Ints]:
        """The part made of the faces kept (f,), with the old index of each vertex and corner of the part."""
        t = self.topology
        corners = np.flatnonzero(keep[t.corner_face]).astype(np.int32)
        verts, face_verts = np.unique(t.face_verts[corners], return_inverse=True)
        offsets = np.concatenate([[0], np.cumsum(t.face_sizes[keep])]).astype(np.int32)
        part = Topology(len(verts), face_verts.reshape(-1).astype(np.int32), offsets)
        edge_sharpness = np.zeros(part.edge_count)
        edge_sharpness[part.corner_edge] = self.edge_sharpness[t.corner_edge[corners]]
        level = Level.with_hard_border(part, edge_sharpness, self.vertex_sharpness[verts])
        return level, verts.astype(np.int32), corners


def decremented(sharpness: Floats) -> Floats:
    """Sharpness one level on: less by 1, not below 0; hard stays hard (DeRose, Kass, Truong 1998)."""
    return np.where(sharpness >= HARD, sharpness, np.maximum(sharpness - 1.0, 0.0))
