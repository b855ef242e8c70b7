"""Put vertices on edges, and part the faces between them into grids of quads, or close them in quads."""

from __future__ import annotations

from dataclasses import dataclass, field

import numpy as np

from zinc_otter.core.cage.building.reringing import reringed
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, edges_between
from zinc_otter.core.cage.face_bound import check_face_total
from zinc_otter.core.cage.grid_fill import coons
from zinc_otter.core.cage.growing_points import GrowingPoints
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Bools, Floats, Ints


@dataclass(frozen=True, eq=False)
class Split(Edit):
    """An edit that parted faces and edges: ``edge_parts`` and ``face_parts`` hold (old, new) pairs (k, 2)."""

    edge_parts: Ints | None = None
    face_parts: Ints | None = None

    def whole(self, selection: Selection) -> Selection:
        """Where a selection of the old cage lies now, with all parts of what was parted."""
        went = {"edge": self.edge_parts, "face": self.face_parts}.get(selection.kind)
        kept = self.old_to_new.follow(selection).ids
        more = went[np.isin(went[:, 0], selection.ids), 1] if went is not None else np.zeros(0, dtype=np.int32)
        return Selection.of(selection.kind, np.concatenate([kept, more]))


@dataclass(frozen=True, eq=False)
class Gridded(Split):
    """``new_verts`` (sum of counts,) are the vertices put on edges, in the order in which they were given."""

    new_verts: Ints = field(default_factory=lambda: np.zeros(0, dtype=np.int32))


def gridded(
    cage: Cage, edges: Ints, counts: Ints, points: Floats, grids: Bools | None = None, closing: Bools | None = None
) -> Gridded:
    """Put ``counts`` (k,) vertices on ``edges`` (k,): ``points`` (sum, 3), edge by edge, each from its lower vertex on.

    ``grids`` (f,) are quads to be parted into as many quads as their sides say, where opposite sides are alike; their inner
    points follow from their sides by :func:`coons`. ``closing`` (f,) are quads with an
    even number of vertices on one side only, which are closed within them by quads. All other faces at these edges gain
    corners. The lines that now run through the grids are selected. Parts of a creased edge stay creased.
    """
    t = cage.topology
    check_face_total(_total(cage, edges, counts, grids), t.face_count)
    firsts = t.vertex_count + np.concatenate([[0], np.cumsum(counts)[:-1]]).astype(np.int64)
    fresh = {e: list(range(f, f + c)) for e, f, c in zip(edges.tolist(), firsts.tolist(), counts.tolist(), strict=True)}
    work = _Work(np.concatenate([cage.positions, np.asarray(points).reshape(-1, 3)]))
    faces = np.unique(t.edge_faces[edges].ravel())
    for face in faces[faces >= 0].tolist():
        sides = []
        ring = t.face_verts[t.face_offsets[face] : t.face_offsets[face + 1]].tolist()
        for k, corner in enumerate(range(t.face_offsets[face], t.face_offsets[face + 1])):
            edge = int(t.corner_edge[corner])
            new = fresh.get(edge, [])
            sides.append([ring[k], *(new if ring[k] == t.edge_verts[edge, 0] else reversed(new))])
        counts_around = [len(side) for side in sides]
        if grids is not None and grids[face] and counts_around[:2] == counts_around[2:]:
            work.grid(face, sides)
        elif closing is not None and closing[face]:
            work.close(face, sides)
        else:
            work.rings.append(([face], [v for side in sides for v in side]))
    pieces = []
    for edge, between in fresh.items():
        walk = np.array([t.edge_verts[edge, 0], *between, t.edge_verts[edge, 1]])
        pieces.append((np.full(len(walk) - 1, edge), np.column_stack([walk[:-1], walk[1:]])))
    old = np.concatenate([edge for edge, _ in pieces])
    pairs = np.concatenate([pair for _, pair in pieces])
    done = reringed(cage, work.points.all, work.rings, [(pairs, cage.edge_sharpness[old])])
    after = done.cage.topology
    lines = edges_between(after, done.verts[np.array(work.lines, dtype=np.int64).reshape(-1, 2)])
    return Gridded(
        done.cage, Selection.of("edge", lines), done.old_to_new,
        edge_parts=np.column_stack([old, edges_between(after, done.verts[pairs])]).astype(np.int32),
        face_parts=done.face_parts, new_verts=done.verts[t.vertex_count : t.vertex_count + int(counts.sum())],
    )  # fmt: skip


def _total(cage: Cage, edges: Ints, counts: Ints, grids: Bools | None) -> int:
    """How many faces there will be, but for those that close a side."""
    t = cage.topology
    if grids is None or not grids.any():
        return t.face_count
    parts = np.ones(t.edge_count, dtype=np.int64)
    parts[edges] += counts
    first = t.face_offsets[:-1][grids]
    return int(t.face_count - grids.sum() + (parts[t.corner_edge[first]] * parts[t.corner_edge[first + 1]]).sum())


class _Work:
    """The new faces as they come about."""

    def __init__(self, points: Floats) -> None:
        self.points = GrowingPoints(points)
        self.rings: list[tuple[list[int], list[int]]] = []
        self.lines: list[tuple[int, int]] = []

    def grid(self, face: int, sides: list[list[int]]) -> None:
        bottom, right, top, left = sides
        m, n = len(bottom), len(right)
        g = np.full((m + 1, n + 1), -1, dtype=np.int64)
        g[:-1, 0], g[m, :-1] = bottom, right
        g[1:, n], g[0, 1:] = top[::-1], left[::-1]
        if m > 1 and n > 1:
            p = self.points
            inner = coons(p[g[:, 0]], p[g[:, n]], p[g[0]], p[g[m]])[1:-1, 1:-1].reshape(-1, 3)
            g[1:-1, 1:-1] = (len(p) + np.arange(len(inner))).reshape(m - 1, n - 1)
            p.put(inner)
        for i in range(m):
            for j in range(n):
                self.rings.append(([face], [int(g[i, j]), int(g[i + 1, j]), int(g[i + 1, j + 1]), int(g[i, j + 1])]))
        self.lines += [(int(g[i, j]), int(g[i, j + 1])) for i in range(1, m) for j in range(n)]
        self.lines += [(int(g[i, j]), int(g[i + 1, j])) for i in range(m) for j in range(1, n)]

    def close(self, face: int, sides: list[list[int]]) -> None:
        """Three quads around each pair of new vertices, one within the next, and a last one in the middle."""
        start = next(k for k, side in enumerate(sides) if len(side) > 1)
        side, (b, *_), (c, *_), (d, *_) = (sides[(start + k) % 4] for k in range(4))
        a, between = side[0], side[1:]
        while between:
            low, high = between[0], between[-1]
            p, q = self._half_way(a, b, low, d, c), self._half_way(a, b, high, d, c)
            self.rings += [([face], [a, low, p, d]), ([face], [high, b, c, q]), ([face], [p, q, c, d])]
            a, b, c, d, between = low, high, q, p, between[1:-1]
        self.rings.append(([face], [a, b, c, d]))

    def _half_way(self, a: int, b: int, v: int, d: int, c: int) -> int:
        """A new point between a vertex of the side a-b and its like on the side d-c."""
        p = self.points
        length = np.linalg.norm(p[v] - p[a]) + np.linalg.norm(p[b] - p[v])
        share = np.linalg.norm(p[v] - p[a]) / max(float(length), 1e-12)
        return p.put(0.5 * (p[v] + (1 - share) * p[d] + share * p[c])[None])[0]
