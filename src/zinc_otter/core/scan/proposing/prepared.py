"""A scan made ready: one sound sheet of even triangles, small holes closed, the noise taken off."""

from __future__ import annotations

import igl
import numpy as np
from scipy.sparse import csr_matrix

from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.proof.coarse_mesh import simplified
from zinc_otter.core.scan.cleaning import areas_of, closed, parts_of, rims
from zinc_otter.core.scan.denoising import denoised
from zinc_otter.core.scan.sharp_lines import sharp_edges

SHARP = 30.0
"""Degrees by which a scan turns at a line that a proposal follows."""

_ROUNDS, _FEWEST = 8, 4
_LEAST_PART = 0.05
"""Of the whole area: smaller parts are dust."""
_HOLE = 0.45
"""Of the size: holes with a shorter rim are closed."""


def prepared(
    vertices: Floats, triangles: Ints, count: int, longest: float, half: int | None = None, sharp: bool = False
) -> tuple[Floats, Ints]:
    """About ``count`` triangles with edges up to ``longest`` mm that make up an oriented manifold; may be open.

    Of a ``half`` that part alone where that coordinate is 0 or more, cut off at 0. With ``sharp`` its sharp lines stay
    where it has any. Raises BadSelectionError where nothing is left.
    """
    v, f = simplified(vertices, triangles, count)
    f = np.asarray(f, dtype=np.int64)
    v, f = _sound(v, f)
    v, f, _ = closed(v, f, _HOLE * float(np.linalg.norm(np.ptp(v, axis=0))))
    v, f = _parted(v, f, longest)
    kept = denoised(v, f) if sharp else v
    v = kept if sharp and len(sharp_edges(kept, f, SHARP)) else _smoothed(v, f)
    if half is not None:
        v, f = _cut(v, f, half, longest)
    return v, f


def _sound(v: Floats, f: Ints) -> tuple[Floats, Ints]:
    """The large parts without what is no manifold."""
    for _ in range(_ROUNDS):
        v, f = _large_parts(v, f)
        if len(f) < _FEWEST:
            raise BadSelectionError("Nothing of this scan makes up a surface.")
        bad = _unsound(v, f)
        if not bad.any():
            break
        f = f[~bad]
    return v, f


def _large_parts(v: Floats, f: Ints) -> tuple[Floats, Ints]:
    _, part = parts_of(len(v), f)
    area = areas_of(v, f)
    each = np.bincount(part[f[:, 0]], area)
    kept = f[each[part[f[:, 0]]] >= _LEAST_PART * area.sum()]
    used, joined = np.unique(kept, return_inverse=True)
    return v[used], joined.reshape(-1, 3)


def _unsound(v: Floats, f: Ints) -> Bools:
    """Triangles at edges of more than two, or of two that run the same way, and at vertices where sheets touch."""
    ends = np.stack([f[:, [0, 1]], f[:, [1, 2]], f[:, [2, 0]]], axis=1).reshape(-1, 2)
    one_way = ends[:, 0] * len(v) + ends[:, 1]
    _, which, many = np.unique(one_way, return_inverse=True, return_counts=True)
    bad = (many[which.reshape(-1)] > 1).reshape(-1, 3).any(axis=1)
    if not bad.any():
        touching = ~np.asarray(igl.is_vertex_manifold(f)).reshape(-1)
        bad = touching[f].any(axis=1)
    return np.asarray(bad)


def _cut(v: Floats, f: Ints, axis: int, longest: float) -> tuple[Floats, Ints]:
    """What lies on the positive side of a coordinate's 0. Vertices that lie near are drawn into the plane first, so that no
    sliver is cut off."""
    v = v.copy()
    near = np.abs(v[:, axis]) < 0.12 * longest
    v[near, axis] = 0.0
    below = v[:, axis] < 0
    if below.all() or not below.any():
        plane = f"{'xyz'[axis]} = 0"
        raise BadSelectionError(f"The scan does not lie across the plane {plane}: lay its mirror plane there first.")
    pairs = np.sort(np.stack([f[:, [0, 1]], f[:, [1, 2]], f[:, [2, 0]]], axis=1), axis=2)
    keys = pairs[..., 0] * len(v) + pairs[..., 1]
    edges, which = np.unique(keys.ravel(), return_inverse=True)
    a, b = edges // len(v), edges % len(v)
    crosses = v[a, axis] * v[b, axis] < 0
    share = v[a[crosses], axis] / (v[a[crosses], axis] - v[b[crosses], axis])
    cut = v[a[crosses]] + share[:, None] * (v[b[crosses]] - v[a[crosses]])
    cut[:, axis] = 0.0
    number = np.full(len(edges), -1)
    number[crosses] = len(v) + np.arange(np.count_nonzero(crosses))
    v = np.concatenate([v, cut])
    f = _split_triangles(f, number[which.reshape(-1, 3)])
    # Each part lies on one side by now.
    return _sound(v, f[v[f][..., axis].mean(axis=1) > 0])


def _parted(v: Floats, f: Ints, longest: float) -> tuple[Floats, Ints]:
    """With edges that are too long parted in the middle, on both sides alike."""
    for _ in range(12):
        pairs = np.sort(np.stack([f[:, [0, 1]], f[:, [1, 2]], f[:, [2, 0]]], axis=1), axis=2)
        keys = pairs[..., 0] * len(v) + pairs[..., 1]
        edges, which = np.unique(keys.ravel(), return_inverse=True)
        which = which.reshape(-1, 3)
        a, b = edges // len(v), edges % len(v)
        long = np.linalg.norm(v[a] - v[b], axis=1) > longest
        if not long.any():
            break
        number = np.full(len(edges), -1)
        number[long] = len(v) + np.arange(np.count_nonzero(long))
        v = np.concatenate([v, (v[a[long]] + v[b[long]]) / 2])
        mid = number[which]
        f = _split_triangles(f, mid)
    return v, f


def _split_triangles(f: Ints, mid: Ints) -> Ints:
    """Triangles (m, 3) whose edges ab, bc, ca have a new vertex ``mid`` (m, 3) where it is not -1."""
    parts = [f[(mid < 0).all(axis=1)]]
    for k in range(3):
        turn = [(k + i) % 3 for i in range(3)]
        g, m = f[:, turn], mid[:, turn]
        one = (m[:, 0] >= 0) & (m[:, 1] < 0) & (m[:, 2] < 0)
        a, b, c, x = g[one, 0], g[one, 1], g[one, 2], m[one, 0]
        parts += [np.column_stack([a, x, c]), np.column_stack([x, b, c])]
        two = (m[:, 0] >= 0) & (m[:, 1] >= 0) & (m[:, 2] < 0)
        a, b, c, x, y = g[two, 0], g[two, 1], g[two, 2], m[two, 0], m[two, 1]
        parts += [np.column_stack([x, b, y]), np.column_stack([a, x, y]), np.column_stack([a, y, c])]
    three = (mid >= 0).all(axis=1)
    (a, b, c), (x, y, z) = f[three].T, mid[three].T
    parts += [np.column_stack(t) for t in ((a, x, z), (x, b, y), (z, y, c), (x, y, z))]
    return np.concatenate(parts)


def _smoothed(v: Floats, f: Ints) -> Floats:
    """Without noise, and not smaller for it (G. Taubin, "A signal processing approach to fair surface design", SIGGRAPH
    1995); rims along themselves."""
    n = len(v)
    ends = np.concatenate([f[:, [0, 1]], f[:, [1, 2]], f[:, [2, 0]]])
    links = csr_matrix((np.ones(len(ends)), (ends[:, 0], ends[:, 1])), (n, n))
    links = ((links + links.T) > 0).astype(np.float64)
    on_rim = np.zeros(n, dtype=bool)
    along = []
    for loop in rims(f):
        on_rim[loop] = True
        along.append(np.column_stack([loop, np.roll(loop, -1)]))
    if along:
        ring = np.concatenate(along)
        keep = csr_matrix(((~on_rim).astype(np.float64), (np.arange(n), np.arange(n))), (n, n))
        rim = csr_matrix((np.ones(2 * len(ring)), (np.r_[ring[:, 0], ring[:, 1]], np.r_[ring[:, 1], ring[:, 0]])), (n, n))
        links = keep @ links + rim
    share = np.asarray(links.sum(axis=1)).reshape(-1, 1)
    for _ in range(4):
        for step in (0.5, -0.53):
            v = v + step * (links @ v / np.maximum(share, 1) - v)
    return np.asarray(v)
