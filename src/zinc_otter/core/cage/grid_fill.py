"""Fill a closed ring of vertices with quads: an inset ring, and a grid within it. No fan, no n-gon."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError


def grid_counts(around: int) -> tuple[int, int]:
    """(a, b) faces of the grid whose border has ``around`` edges, as square as can be.

    Raises BadNumberError for an odd number, or fewer than 4: quads cannot fill those.

    >>> grid_counts(8), grid_counts(10)
    ((2, 2), (2, 3))
    """
    if around < 4 or around % 2:
        raise BadNumberError(f"Quads fill a ring of an even number of edges, from 4; {around} is not.")
    a = around // 4
    return a, around // 2 - a


def ring_of_grid(a: int, b: int) -> Ints:
    """(2(a + b),) the border vertices of an (a + 1) x (b + 1) grid, counter-clockwise; vertex (i, j) is i (b + 1) + j.

    The even side is centred on the ring's start, so that the filling is as symmetric as the ring.
    """
    i = np.concatenate([np.arange(a), np.full(b, a), np.arange(a, 0, -1), np.zeros(b, dtype=int)])
    j = np.concatenate([np.zeros(a, dtype=int), np.arange(b), np.full(a, b), np.arange(b, 0, -1)])
    ring = i * (b + 1) + j
    if a % 2 == 0:
        return np.roll(ring, -(a // 2))
    if b % 2 == 0:
        return np.roll(ring, -(a + b // 2))
    return ring


def grid_quads(a: int, b: int) -> Ints:
    """(a b, 4) quads of the grid, counter-clockwise where i runs right and j up."""
    i, j = (g.ravel() for g in np.meshgrid(np.arange(a), np.arange(b), indexing="ij"))
    low = i * (b + 1) + j
    return np.column_stack([low, low + b + 1, low + b + 2, low + 1])


def filled_ring(ring: Floats, inset: float = 0.3) -> tuple[Floats, Ints]:
    """Inner points and quads that fill a closed ring of points (n, 3), counter-clockwise seen from outside.

    A row of quads runs along the ring, ``inset`` (0 to 1) of the way to the middle; inside lies a grid. The quads (m, 4)
    name 0 to n - 1 for the ring and n onwards for the inner points (k, 3). Raises BadNumberError.
    """
    if not 0 < inset < 1:
        raise BadNumberError(f"The inset lies between 0 and 1; {inset:g} does not.")
    return filled_rows(ring, [ring + (ring.mean(axis=0) - ring) * inset], grid_counts(len(ring)))


def filled_rows(ring: Floats, rows: Sequence[Floats], counts: tuple[int, int]) -> tuple[Floats, Ints]:
    """As :func:`filled_ring`, through given inner rows of points (n, 3), with a grid of ``counts`` faces in the last.

    The grid is laid by :func:`coons`.
    """
    n, rings = len(ring), len(rows)
    a, b = counts
    places = ring_of_grid(a, b)
    flat = np.zeros(((a + 1) * (b + 1), 3))
    flat[places] = rows[-1]
    grid = flat.reshape(a + 1, b + 1, 3)
    inside = coons(grid[:, 0], grid[:, -1], grid[0], grid[-1]).reshape(-1, 3)
    on_border = np.zeros(len(inside), dtype=bool)
    on_border[places] = True
    # Numbers of the grid's vertices in the result: border ones are the last row's, the others follow.
    number = np.zeros(len(inside), dtype=int)
    number[places] = n * rings + np.arange(n)
    number[~on_border] = n * (rings + 1) + np.arange(np.count_nonzero(~on_border))
    here = np.arange(n)
    ahead = (here + 1) % n
    strips = [np.column_stack([here, ahead, n + ahead, n + here]) + n * k for k in range(rings)]
    quads = np.concatenate([*strips, number[grid_quads(a, b)]])
    return np.concatenate([*rows, inside[~on_border]]), quads


def coons(bottom: Floats, top: Floats, left: Floats, right: Floats) -> Floats:
    """(m, n, 3) points within four sides: ``bottom`` and ``top`` (m, 3), and ``left`` and ``right`` (n, 3) between them.

    Bilinear transfinite interpolation (S. Coons, "Surfaces for Computer-Aided Design of Space Forms", 1967).
    """
    u = np.linspace(0, 1, len(bottom))[:, None, None]
    v = np.linspace(0, 1, len(left))[None, :, None]
    along = (1 - v) * bottom[:, None] + v * top[:, None]
    across = (1 - u) * left[None] + u * right[None]
    corners = (1 - u) * ((1 - v) * bottom[0] + v * top[0]) + u * ((1 - v) * bottom[-1] + v * top[-1])
    return np.asarray(along + across - corners)
