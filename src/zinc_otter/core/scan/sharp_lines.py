"""The sharp lines of a scan, noise or not."""

from __future__ import annotations

import numpy as np
from scipy.sparse import csr_matrix
from scipy.sparse.csgraph import connected_components

from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.proof.coarse_mesh import simplified
from zinc_otter.core.proof.features import check_angle, feature_segments
from zinc_otter.core.same_rows import same_rows
from zinc_otter.core.scan.denoising import denoised, turns

_LOOSE, _CROWDED, _FEW = 0.05, 2.5, 1_000
"""Where a larger share of the ends of sharp edges leads nowhere, they are noise; so they are where many more than two meet
at an end, unless they are few."""
_SHARE, _FEWEST, _MOST = 10, 8_000, 60_000
"""Noise is evened on a mesh of one triangle for so many, within these counts."""
_MUCH = 300_000
"""Triangles that are looked at one by one at most; of more a mesh of so many stands for them."""
_LESS = 0.6
_SPUR, _RING = 5, 5
_LONG = 6.0
"""Lines that reach less far than so many times their edges' length are noise."""


def sharp_lines(vertices: Floats, triangles: Ints, degrees: float) -> Floats:
    """(k, 2, 3) the lines along which triangles (m, 3) turn by ``degrees`` or more, as segments.

    Those of a mesh without noise are its own edges, with its open ones (:func:`feature_segments`). Where these would be
    scattered all over, the noise is taken off first, on fewer triangles, and what runs on as a line is told. Raises
    BadNumberError.
    """
    first, label = same_rows(np.round(vertices, 6))
    v, f = vertices[first], label[triangles]
    f = f[(f[:, 0] != f[:, 1]) & (f[:, 1] != f[:, 2]) & (f[:, 2] != f[:, 0])]
    v, f = simplified(v, f, _MUCH)
    check_angle(degrees)
    ends, turn = turns(v, f)
    if not _is_scattered(ends[turn >= degrees]):
        return feature_segments(v, f, degrees)
    v, f = simplified(v, f, int(np.clip(len(f) // _SHARE, _FEWEST, _MOST)))
    f = np.asarray(f, dtype=np.int64)
    v = denoised(v, f)
    return np.asarray(v[sharp_edges(v, f, degrees)])


def sharp_edges(v: Floats, f: Ints, degrees: float) -> Ints:
    """(k, 2) the edges of a mesh without noise at which it turns by ``degrees`` or more, and that run on as lines: through
    edges that turn a little less, where these hang together with them (two thresholds after J. Canny, "A computational
    approach to edge detection", PAMI 1986). Raises BadNumberError."""
    check_angle(degrees)
    ends, turn = turns(v, f)
    weak = turn >= _LESS * degrees
    ends_there, turn_there = ends[weak], turn[weak]
    if not (turn_there >= degrees).any():
        return ends[:0]
    usual = float(np.linalg.norm(v[ends[:, 0]] - v[ends[:, 1]], axis=1).mean())
    part = _parts(ends_there, len(v))
    joined = np.isin(part, part[turn_there >= degrees])
    sharp = without_spurs(without_small_loops(ends_there[joined], turn_there[joined]))
    return sharp[_reach_far(v, sharp, _LONG * usual)]


def without_small_loops(edges: Ints, turn: Floats) -> Ints:
    """Of edges (k, 2) those that are left when rings of up to five are opened where they ``turn`` (k,) least: where a line
    runs double for a step or two."""
    at: dict[int, dict[int, int]] = {}
    for k, (a, b) in enumerate(edges.tolist()):
        at.setdefault(a, {})[b] = k
        at.setdefault(b, {})[a] = k
    dropped = []
    # The least first: it is dropped if another short way leads from its one end to the other.
    for k in np.argsort(turn, kind="stable").tolist():
        a, b = edges[k].tolist()
        near = {a}
        for _ in range(_RING - 1):
            near |= {v for u in near for v in at[u] if {u, v} != {a, b}}
        if b in near:
            dropped.append(k)
            del at[a][b], at[b][a]
    return np.delete(edges, dropped, axis=0)


def without_spurs(edges: Ints) -> Ints:
    """Of edges (k, 2) those that are left without the short ways, of up to five, that leave a line and lead nowhere."""
    at: dict[int, set[int]] = {}
    for k, ends in enumerate(edges.tolist()):
        for end in ends:
            at.setdefault(end, set()).add(k)
    dropped: set[int] = set()
    for begin in [end for end, there in at.items() if len(there) == 1]:
        way: list[int] = []
        here = begin
        while len(way) <= _SPUR and len(there := at[here] - set(way)) == 1:
            way += there
            a, b = edges[way[-1]].tolist()
            here = b if here == a else a
        if len(way) <= _SPUR and len(at[here]) > 2:
            dropped |= set(way)
    # One that forks leaves its stem.
    return without_spurs(np.delete(edges, sorted(dropped), axis=0)) if dropped else edges


def _is_scattered(edges: Ints) -> bool:
    if not len(edges):
        return False
    count = np.bincount(edges.ravel())
    count = count[count > 0]
    return bool((count == 1).mean() > _LOOSE or (len(edges) > _FEW and count.mean() > _CROWDED))


def _parts(edges: Ints, count: int) -> Ints:
    """(k,) which of edges (k, 2) over so many vertices hang together, by a number."""
    graph = csr_matrix((np.ones(len(edges)), (edges[:, 0], edges[:, 1])), (count, count))
    _, part = connected_components(graph, directed=False)
    return np.asarray(part[edges[:, 0]])


def _reach_far(v: Floats, edges: Ints, least: float) -> Bools:
    """(k,) which edges hang together with others over ``least`` mm."""
    of = _parts(edges, len(v))
    count = int(of.max(initial=-1)) + 1
    low, high = np.full((count, 3), np.inf), np.full((count, 3), -np.inf)
    for k in range(2):
        np.minimum.at(low, of, v[edges[:, k]])
        np.maximum.at(high, of, v[edges[:, k]])
    return np.asarray(np.linalg.norm(high[of] - low[of], axis=1) >= least)
