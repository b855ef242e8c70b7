"""Chains of edges end to end, open or closed, in the order of a walk."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.picking.growth import border
from zinc_otter.core.cage.selection import Selection, convert
from zinc_otter.core.cage.topology import Floats, Ints, Topology
from zinc_otter.core.errors import BadSelectionError


@dataclass(frozen=True, eq=False)
class Chain:
    """Vertices in the order of a walk; a closed one leads from its last vertex to its first again."""

    verts: Ints
    closed: bool

    @property
    def edge_count(self) -> int:
        return len(self.verts) - (0 if self.closed else 1)

    @property
    def pairs(self) -> Ints:
        """(edges, 2) the vertices of each edge on the way."""
        ahead = np.roll(self.verts, -1) if self.closed else self.verts[1:]
        return np.column_stack([self.verts[: len(ahead)], ahead])

    def reversed(self) -> Chain:
        return Chain(self.verts[::-1], self.closed)

    def rolled(self, steps: int) -> Chain:
        """A closed chain that starts so many vertices later."""
        return Chain(np.roll(self.verts, -steps), self.closed)

    def lengths(self, positions: Floats) -> Floats:
        """(edges,) mm."""
        a, b = self.pairs.T
        return np.asarray(np.linalg.norm(positions[b] - positions[a], axis=1))


def chains_of(starts: Ints, ends: Ints) -> list[Chain]:
    """The chains that directed edges from ``starts`` to ``ends`` make up, in the order of their first edge.

    Open ones begin where no edge leads in. Raises BadSelectionError where a vertex has more than one edge out or in.
    """
    ahead: dict[int, int] = {}
    into: dict[int, int] = {}
    crowded: set[int] = set()
    for a, b in zip(starts.tolist(), ends.tolist(), strict=True):
        if a in ahead or b in into:
            crowded |= {a, b}
        ahead[a] = b
        into[b] = a
    if crowded:
        raise BadSelectionError("The edges branch here; they make up no single chain.", vertices=sorted(crowded))
    chains = []
    seen: set[int] = set()
    for start in [*(v for v in ahead if v not in into), *ahead]:
        if start in seen:
            continue
        walk = [start]
        seen.add(start)
        while (following := ahead.get(walk[-1])) is not None and following not in seen:
            walk.append(following)
            seen.add(following)
        closed = ahead.get(walk[-1]) == start
        chains.append(Chain(np.array(walk, dtype=np.int32), closed))
    return chains


def open_corners(t: Topology, edges: Ints) -> Ints:
    """(k,) the half-edges of open ``edges`` (k,). Raises BadSelectionError for an edge that is not open."""
    inner = edges[t.edge_corners[edges, 1] >= 0]
    if len(inner):
        raise BadSelectionError(
            f"{len(inner)} of these edges have faces on both sides; this takes edges of an open border.", edges=inner
        )
    return t.edge_corners[edges, 0]


def outwards(cage: Cage, corners: Ints) -> Floats:
    """(k, 3) unit directions in which faces end at their half-edges (k,): in the face, square to the edge."""
    t = cage.topology
    along = cage.positions[t.face_verts[t.corner_next[corners]]] - cage.positions[t.face_verts[corners]]
    return unit(np.cross(along, cage.face_normals[t.corner_face[corners]]))


def border_chains(t: Topology, edges: Ints) -> list[Chain]:
    """The chains of open ``edges``, each in the direction in which its faces run along it.

    Raises BadSelectionError for an edge that is not open.
    """
    corners = open_corners(t, edges)
    return chains_of(t.face_verts[corners], t.face_verts[t.corner_next[corners]])


def picked_chains(cage: Cage, selection: Selection) -> list[Chain]:
    """The chains along picked edges, around picked faces, or along the edges between picked vertices.

    Edges within a form have no direction of their own: each chain takes that of its first edge. Raises
    BadSelectionError where they branch, or where there is no edge.
    """
    t = cage.topology
    selection.check(t)
    edges = (border(t, selection) if selection.kind == "face" else convert(t, selection, "edge")).ids
    if not len(edges):
        raise BadSelectionError("There is no chain of edges here; pick a loop.")
    crowded = np.flatnonzero(np.bincount(t.edge_verts[edges].ravel()) > 2)
    if len(crowded):
        raise BadSelectionError("The edges branch here; they make up no single chain.", vertices=crowded)
    return chains_along(t, edges)


def chains_along(t: Topology, edges: Ints) -> list[Chain]:
    """The chains that ``edges`` (k,) make up, each as the walk finds it; they end at vertices where the edges branch."""
    pairs = t.edge_verts[edges].tolist()
    at: dict[int, list[int]] = {}
    for k, pair in enumerate(pairs):
        for vertex in pair:
            at.setdefault(vertex, []).append(k)
    left = set(range(len(pairs)))
    chains = []
    for start in [*(v for v, around in at.items() if len(around) != 2), *at]:
        for first in at[start]:
            walk, k = [start], first
            while k in left:
                left.discard(k)
                walk.append(sum(pairs[k]) - walk[-1])
                around = at[walk[-1]]
                if len(around) != 2:
                    break
                k = around[0] if around[1] == k else around[1]
            if len(walk) > 1:
                closed = walk[0] == walk[-1]
                chains.append(Chain(np.array(walk[:-1] if closed else walk, dtype=np.int32), closed))
    return chains
