"""Surfaces brought to pixels: what is nearest to the eye in each, and what is told of it there."""

from __future__ import annotations

import numpy as np
from numpy.typing import NDArray

from zinc_otter.core.cage.topology import Floats, Ints

_SAMPLES = 400_000
"""Points of dense faces that are held at a time."""


class Raster:
    """What is seen in each of ``wide`` by ``high`` pixels so far: how near it is (``depth``, -inf for nothing), what is
    ``told`` of it (n, count), such as its normal, and which ``thing`` it belongs to."""

    def __init__(self, wide: int, high: int, count: int = 3) -> None:
        self._wide, self._high = wide, high
        self.depth = np.full(wide * high, -np.inf, dtype=np.float32)
        self.told = np.zeros((wide * high, count), dtype=np.float32)
        self.thing = np.zeros(wide * high, dtype=np.int16)
        self._best = np.zeros(wide * high, dtype=np.int64)

    def add(self, quads: NDArray[np.float32], told: Floats, thing: int = 0) -> None:
        """Quads (m, 4, 3) in pixels, with what is ``told`` at their corners (m, 4, count).

        They are sampled at bilinear points, close enough together to leave no gaps; of the points in a pixel the nearest
        counts.
        """
        flat = quads[:, :, :2]
        longest = np.linalg.norm(flat - np.roll(flat, 1, axis=1), axis=2).max(axis=1)
        needed = 2 ** np.ceil(np.log2(np.clip(1.1 * longest, 1, 256))).astype(np.int64)
        for count in np.unique(needed):
            some = np.flatnonzero(needed == count)
            step = max(_SAMPLES // int(count * count), 1)
            for first in range(0, len(some), step):
                self._sample(quads, told, some[first : first + step], int(count), thing)

    def _sample(self, quads: NDArray[np.float32], told: Floats, some: Ints, count: int, thing: int) -> None:
        at = ((np.arange(count) + 0.5) / count).astype(np.float32)
        u, v = (g.ravel() for g in np.meshgrid(at, at))
        weights = np.stack([(1 - u) * (1 - v), u * (1 - v), u * v, (1 - u) * v])
        x, y, z = (quads[some, :, k] @ weights for k in range(3))
        column = np.clip(x.astype(np.int32), 0, self._wide - 1)
        row = np.clip(y.astype(np.int32), 0, self._high - 1)
        cell, depth = (row * self._wide + column).ravel(), z.ravel()
        covered, winners = self._nearer(cell, depth)
        source, place = np.divmod(winners, count * count)
        a, b, c, d = np.moveaxis(told[some[source]], 1, 0)
        u, v = u[place][:, None], v[place][:, None]
        self.told[covered] = (1 - v) * ((1 - u) * a + u * b) + v * ((1 - u) * d + u * c)
        self.thing[covered] = thing

    def add_triangles(self, corners: NDArray[np.float32], told: Floats, thing: int = 0) -> None:
        """Triangles (m, 3, 3) in pixels, with what is ``told`` at their corners (m, 3, count): every pixel whose middle lies
        in one is asked, so that it costs what is covered."""
        flat = corners[:, :, :2].astype(np.float64)
        low = np.floor(flat.min(axis=1)).astype(np.int64)
        spans = np.ceil(flat.max(axis=1)).astype(np.int64) - low + 1
        sizes = 2 ** np.ceil(np.log2(np.maximum(spans, 1))).astype(np.int64)
        for wide, high in np.unique(sizes, axis=0):
            some = np.flatnonzero((sizes == (wide, high)).all(axis=1))
            step = max(_SAMPLES // int(wide * high), 1)
            for first in range(0, len(some), step):
                part = some[first : first + step]
                self._fill(corners[part].astype(np.float64), told[part], low[part], int(wide), int(high), thing)

    def _fill(self, corners: Floats, told: Floats, low: Ints, wide: int, high: int, thing: int) -> None:
        column, row = (g.ravel() for g in np.meshgrid(np.arange(wide), np.arange(high)))
        x, y = low[:, :1] + column, low[:, 1:] + row
        px, py = x + 0.5, y + 0.5
        (ax, ay), (bx, by), (cx, cy) = (corners[:, k, :2].T[:, :, None] for k in range(3))
        area = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax)
        # Of a triangle that is seen edge-on nothing is covered: what is no number lies in nothing.
        with np.errstate(all="ignore"):
            b = ((px - ax) * (cy - ay) - (py - ay) * (cx - ax)) / area
            c = ((bx - ax) * (py - ay) - (by - ay) * (px - ax)) / area
            a = 1 - b - c
        inside = (a >= -1e-6) & (b >= -1e-6) & (c >= -1e-6) & (x >= 0) & (y >= 0) & (x < self._wide) & (y < self._high)
        which, spot = np.nonzero(inside)
        shares = np.stack([a[which, spot], b[which, spot], c[which, spot]], axis=1)
        depth = (shares * corners[which, :, 2]).sum(axis=1).astype(np.float32)
        cell = y[which, spot] * self._wide + x[which, spot]
        covered, winners = self._nearer(cell, depth)
        self.told[covered] = np.einsum("nk,nkc->nc", shares[winners], told[which[winners]])
        self.thing[covered] = thing

    def _nearer(self, cell: Ints, depth: NDArray[np.float32]) -> tuple[Ints, Ints]:
        """The pixels in which something of these is nearer than all so far, and which of these it is."""
        # Far to near: of the points in one pixel the nearest is written last.
        order = np.argsort(depth)
        order = order[depth[order] > self.depth[cell[order]]]
        at_them = cell[order]
        self.depth[at_them] = depth[order]
        # Only what was just written is read: nothing needs to be cleared.
        self._best[at_them] = order
        won = self._best[at_them] == order
        return at_them[won], order[won]
