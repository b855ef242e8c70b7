"""A lattice of squares laid along a field of crosses: for each vertex where it lies between the lattice's lines.

Both coordinates are phases, and the phases that jump least from vertex to vertex are the eigenvector of a sparse matrix
(N. Ray, W. Li, B. Lévy, A. Sheffer, P. Alliez, "Periodic global parameterization", TOG 2006; F. Knöppel, K. Crane, U.
Pinkall, P. Schröder, "Stripe patterns on surfaces", SIGGRAPH 2015, for the eigenproblem).
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from scipy.sparse import coo_matrix, csc_matrix, diags_array

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.scan.proposing.directions import Crosses
from zinc_otter.core.symmetric import factored

_ROUNDS = 12
_RIM = 4.0
_STRENGTHS = (0.003, 0.03)


@dataclass(frozen=True, eq=False)
class Lattice:
    """The ``points`` (n, 3) of the lattice nearest to each vertex, and by how many steps these differ along each edge:
    ``steps`` (e, 2) whole numbers in the cross of its first vertex."""

    points: Floats
    steps: Ints


def lattice(v: Floats, crosses: Crosses, side: float, rim: Ints) -> Lattice:
    """A lattice with lines ``side`` mm apart; where there is a ``rim`` (k,) of vertices, a line runs along it."""
    i, j = crosses.edges.T
    n = len(v)
    turns, along, across = _matched(crosses, i, j)
    way = v[j] - v[i]
    wave = 2 * np.pi / side
    du, dv = (wave * (way * axis).sum(axis=1) for axis in (along, across))
    system = _jumps(n, i, j, turns, du, dv)
    goal, weight = _on_rim(v, crosses, rim, n) if len(rim) else (np.zeros(4 * n), np.zeros(4 * n))
    if len(rim):
        x = factored(system + diags_array(weight + 1e-6)).solve(weight * goal)
    else:
        x = np.random.default_rng(7).normal(size=4 * n)
        factors = factored(system + 1e-5 * diags_array(np.ones(4 * n)))
        for _ in range(_ROUNDS):
            x = factors.solve(x)
            x /= np.linalg.norm(x)
    # Far from a rim, and where the vector is faint, phases say little yet: with the same strength everywhere they are
    # evened.
    for strength in _STRENGTHS:
        factors = factored(system + diags_array(weight + strength))
        for _ in range(_ROUNDS):
            x = factors.solve(strength * _evened(x) + weight * goal)
    u, w = np.arctan2(x[n : 2 * n], x[:n]), np.arctan2(x[3 * n :], x[2 * n : 3 * n])
    points = v - (u[:, None] * crosses.along + w[:, None] * crosses.across) / wave
    # In the first vertex' cross: where the second one is expected, and what it says of itself.
    told_u, told_w = _seen(turns, u[j], w[j])
    steps = np.column_stack([np.rint((u[i] + du - told_u) / (2 * np.pi)), np.rint((w[i] + dv - told_w) / (2 * np.pi))])
    return Lattice(points, steps.astype(np.int64))


def _matched(crosses: Crosses, i: Ints, j: Ints) -> tuple[Ints, Floats, Floats]:
    """By how many quarters each edge's second cross is turned to go with the first, and both arms in the middle (e, 3)."""
    a, b = crosses.along[i], crosses.across[i]
    arms = [crosses.along[j], crosses.across[j], -crosses.along[j], -crosses.across[j]]
    turns = np.argmax([(a * arm).sum(axis=1) for arm in arms], axis=0)
    stacked = np.stack(arms)
    own = np.arange(len(i))
    along = unit(a + stacked[turns, own])
    across = unit(b + stacked[(turns + 1) % 4, own])
    return turns, along, across


def _seen(turns: Ints, u: Floats, w: Floats) -> tuple[Floats, Floats]:
    """Coordinates of second vertices in crosses that are turned by so many quarters."""
    return np.choose(turns, [u, w, -u, -w]), np.choose(turns, [w, -u, -w, u])


def _jumps(n: int, i: Ints, j: Ints, turns: Ints, du: Floats, dv: Floats) -> csc_matrix:
    """(4n, 4n) the sum over edges of |turned phases of i - phases of j as seen from i|²: real and imaginary parts of
    both."""
    e = len(i)
    rows = np.arange(4 * e).reshape(4, e)
    at = [np.arange(n) + k * n for k in range(4)]
    parts: list[tuple[np.ndarray, np.ndarray, np.ndarray]] = []
    for axis, d in ((0, du), (1, dv)):
        c, s = np.cos(d), np.sin(d)
        re, im = at[2 * axis][i], at[2 * axis + 1][i]
        real, other = rows[2 * axis], rows[2 * axis + 1]
        parts += [(real, re, c), (real, im, -s), (other, re, s), (other, im, c)]
        # Of the four turns: whose phase it is, and whether it runs the other way.
        source = np.choose(turns, [axis, 1 - axis, axis, 1 - axis])
        back = np.choose(turns, [1.0, 1.0 if axis == 0 else -1.0, -1.0, -1.0 if axis == 0 else 1.0])
        parts += [
            (real, np.where(source == 0, at[0][j], at[2][j]), -np.ones(e)),
            (other, np.where(source == 0, at[1][j], at[3][j]), -back),
        ]
    r, k, value = (np.concatenate([part[m] for part in parts]) for m in range(3))
    difference = coo_matrix((value, (r, k)), (4 * e, 4 * n)).tocsr()
    return csc_matrix(difference.T @ difference)


def _on_rim(v: Floats, crosses: Crosses, rim: Ints, n: int) -> tuple[Floats, Floats]:
    """A phase of 0 across the rim, and how much that counts."""
    goal, weight = np.zeros(4 * n), np.zeros(4 * n)
    marked = np.zeros(n, dtype=bool)
    marked[rim] = True
    a, b = crosses.edges[marked[crosses.edges].all(axis=1)].T
    tangent = np.zeros_like(v)
    np.add.at(tangent, a, v[b] - v[a])
    # Either way along will do: it is only asked which arm lies along it.
    first = np.abs((unit(v[b] - v[a]) * crosses.along[a]).sum(axis=1)) > 0.7071
    lies_along = np.zeros(n, dtype=bool)
    lies_along[a] = first
    lies_along[b[~marked[b]]] = False
    second = np.abs((unit(v[b] - v[a]) * crosses.along[b]).sum(axis=1)) > 0.7071
    lies_along[b] |= second
    for k in rim:
        part = 2 if lies_along[k] else 0
        goal[part * n + k] = 1.0
        weight[[part * n + k, (part + 1) * n + k]] = _RIM
    return goal, weight


def _evened(x: Floats) -> Floats:
    """Every phase with the same strength."""
    n = len(x) // 4
    found = x.copy()
    for k in (0, 2):
        size = np.hypot(x[k * n : (k + 1) * n], x[(k + 1) * n : (k + 2) * n])
        size = np.maximum(size, 1e-12)
        found[k * n : (k + 1) * n] /= size
        found[(k + 1) * n : (k + 2) * n] /= size
    return found
