"""Triangles whose vertices share one point of the lattice drawn together, so that a coarse mesh of its points is left.

Only edges are collapsed that leave an oriented manifold (T. Dey, H. Edelsbrunner, S. Guha, D. Nekhayev, "Topology
preserving edge contraction", 1999): whatever the lattice does, the coarse mesh is sound and has the holes and handles of
the fine one.
"""

from __future__ import annotations

from collections import defaultdict, deque
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.scan.proposing.directions import Crosses
from zinc_otter.core.scan.proposing.guides import Guides
from zinc_otter.core.scan.proposing.lattice import Lattice

_CLOSE = 0.5
"""Points nearer than this share of the lattice's side, that the lattice told apart, are drawn together in the end."""


RIM, PLANE, GUIDE, CORNER = 1, 2, 4, 8
"""The lines that a vertex may lie on: a rim, a mirror's plane, a guide; and where guides meet or end."""
_AT_BORDER = RIM | PLANE


@dataclass(frozen=True, eq=False)
class Coarse:
    """The coarse mesh: ``points`` (k, 3), ``triangles`` (m, 3), and the edges (g, 2) that are left of the ``guides``. Of
    each point the vertex of the fine mesh that is left of those drawn together (k,), the one that lies nearest to it, and
    the lines that it lies ``on``."""

    points: Floats
    triangles: Ints
    guides: Ints
    left: Ints
    nearest: Ints
    on: Ints


def drawn_together(
    f: Ints, crosses: Crosses, laid: Lattice, side: float, on_lines: Ints, guides: Guides | None = None
) -> Coarse:
    """``on_lines`` (n,) has a bit for each line that a vertex lies on. It stays on them, and along ``guides`` is only drawn
    to its neighbours on them."""
    mesh = _Mesh(f, on_lines, guides.beside if guides is not None else {})
    same = crosses.edges[(laid.steps == 0).all(axis=1)]
    mesh.draw(map(tuple, same.tolist()))
    points = mesh.means(laid.points)
    for _ in range(3):
        near = [
            (float(np.linalg.norm(points[a] - points[b])), a, b)
            for a, b in mesh.edges()
            if np.linalg.norm(points[a] - points[b]) < _CLOSE * side
        ]
        if not near:
            break
        mesh.draw((a, b) for _, a, b in sorted(near))
        points = mesh.means(laid.points)
    kept = sorted({v for triangle in mesh.triangles.values() for v in triangle})
    number = {v: k for k, v in enumerate(kept)}
    coarse = np.array([[number[v] for v in triangle] for triangle in mesh.triangles.values()])
    stands = np.array([mesh.nearest(v, laid.points, points[v]) for v in kept])
    left = [(number[a], number[b]) for a, beside in mesh.along.items() for b in beside if a < b]
    guided = np.array(left, dtype=np.int64).reshape(-1, 2)
    return Coarse(np.array([points[v] for v in kept]), coarse, guided, np.array(kept), stands, on_lines[kept])


class _Mesh:
    """A triangle mesh whose edges are collapsed one by one."""

    def __init__(self, f: Ints, on_lines: Ints, along: Mapping[int, Sequence[int]]) -> None:
        self.along: dict[int, set[int]] = {v: set(beside) for v, beside in along.items()}
        self.triangles: dict[int, tuple[int, int, int]] = {k: (a, b, c) for k, (a, b, c) in enumerate(f.tolist())}
        self._at: defaultdict[int, set[int]] = defaultdict(set)
        for k, triangle in self.triangles.items():
            for vertex in triangle:
                self._at[vertex].add(k)
        self._lines: list[int] = on_lines.tolist()
        self._stands: list[list[int]] = [[v] for v in range(len(on_lines))]
        self._into = list(range(len(on_lines)))

    def _root(self, v: int) -> int:
        while self._into[v] != v:
            self._into[v] = self._into[self._into[v]]
            v = self._into[v]
        return v

    def _around(self, v: int) -> set[int]:
        return {w for k in self._at[v] for w in self.triangles[k]} - {v}

    def edges(self) -> list[tuple[int, int]]:
        return sorted({(min(a, b), max(a, b)) for t in self.triangles.values() for a, b in (t[:2], t[1:], (t[2], t[0]))})

    def draw(self, pairs: Iterable[tuple[int, int]]) -> None:
        """Collapse edges; those that cannot be yet are tried again when others were."""
        left = deque(pairs)
        since = 0
        while left and since <= len(left):
            a, b = left.popleft()
            a, b = self._root(a), self._root(b)
            if a == b or not self._at[a] & self._at[b]:
                continue
            if self._collapse(a, b):
                since = 0
            else:
                since += 1
                left.append((a, b))

    def _collapse(self, a: int, b: int) -> bool:
        if self._lines[b] & ~self._lines[a]:
            a, b = b, a
        shared = self._at[a] & self._at[b]
        # Off its line nothing goes; along a border there is a triangle on one side only.
        if self._lines[b] & ~self._lines[a] or (self._lines[b] & _AT_BORDER and len(shared) != 1):
            return False
        if self._lines[b] & GUIDE and not self._may_go_along(a, b):
            return False
        opposite = {v for k in shared for v in self.triangles[k]} - {a, b}
        if self._around(a) & self._around(b) != opposite or len(opposite) != len(shared):
            return False
        if any(len(self._at[v]) <= (2 if self._lines[v] & _AT_BORDER else 3) for v in opposite):
            # It would be left with triangles that lie on one another.
            return False
        for k in shared:
            for v in self.triangles[k]:
                self._at[v].discard(k)
            del self.triangles[k]
        for k in self._at.pop(b, set()):
            x, y, z = (a if v == b else v for v in self.triangles[k])
            self.triangles[k] = (x, y, z)
            self._at[a].add(k)
        for v in self.along.pop(b, set()):
            self.along[v].discard(b)
            if v != a:
                self.along[v].add(a)
                self.along[a].add(v)
        self._stands[a] += self._stands[b]
        self._stands[b] = []
        self._into[b] = a
        return True

    def _may_go_along(self, a: int, b: int) -> bool:
        """Whether b, on a guide, is a's neighbour on it; a line that comes back keeps three edges."""
        return not self._lines[b] & CORNER and a in self.along[b] and not (self.along[b] - {a}) & self.along[a]

    def means(self, points: Floats) -> dict[int, Floats]:
        """Of what each vertex that is left stands for; those on the same lines."""
        found = {}
        for v in self._at:
            if self._at[v]:
                stands = [w for w in self._stands[v] if self._lines[w] == self._lines[v]]
                found[v] = points[stands].mean(axis=0)
        return found

    def nearest(self, v: int, points: Floats, to: Floats) -> int:
        stands = np.array(self._stands[v])
        return int(stands[np.linalg.norm(points[stands] - to, axis=1).argmin()])
