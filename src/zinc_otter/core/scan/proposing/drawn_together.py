"""Triangles whose vertices share one point of the lattice drawn together, so that a coarse mesh of its points is left.

Only edges are collapsed that leave an oriented manifold (T. Dey, H. Edelsbrunner, S. Guha, D. Nekhayev, "Topology
preserving edge contraction", 1999): whatever the lattice does, the coarse mesh is sound and has the holes and handles of
the fine one.
"""

from __future__ import annotations

from collections import defaultdict, deque
from collections.abc import Iterable

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.scan.proposing.directions import Crosses
from zinc_otter.core.scan.proposing.lattice import Lattice

_CLOSE = 0.5
"""Points nearer than this share of the lattice's side, that the lattice told apart, are drawn together in the end."""


def drawn_together(
    f: Ints, crosses: Crosses, laid: Lattice, side: float, on_lines: Ints
) -> tuple[Floats, Ints, Ints, Ints]:
    """The coarse mesh: points (k, 3), triangles (m, 3), for each point a vertex of the fine mesh that it stands for, and the
    lines that it lies on.

    ``on_lines`` (n,) has a bit for each line that a vertex lies on: a rim, a mirror's plane. It stays on them.
    """
    mesh = _Mesh(f, on_lines)
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
    return np.array([points[v] for v in kept]), coarse, stands, on_lines[kept]


class _Mesh:
    """A triangle mesh whose edges are collapsed one by one."""

    def __init__(self, f: Ints, on_lines: Ints) -> None:
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
        # Off its line nothing goes; along it there is a triangle on one side only.
        if self._lines[b] & ~self._lines[a] or (self._lines[b] and len(shared) != 1):
            return False
        opposite = {v for k in shared for v in self.triangles[k]} - {a, b}
        if self._around(a) & self._around(b) != opposite or len(opposite) != len(shared):
            return False
        if any(len(self._at[v]) <= (2 if self._lines[v] else 3) for v in opposite):
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
        self._stands[a] += self._stands[b]
        self._stands[b] = []
        self._into[b] = a
        return True

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
