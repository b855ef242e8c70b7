"""Which faces of a file look the wrong way: neighbours made to agree, closed parts to look outwards, cavities inwards."""

from __future__ import annotations

import numpy as np
from scipy.sparse import coo_matrix, csr_matrix
from scipy.sparse.csgraph import breadth_first_order, connected_components

from zinc_otter.core.cage.topology import Bools, Floats, Ints


def turned_over(points: Floats, flat: Ints, sizes: Ints) -> Bools:
    """(f,) which faces are to be turned over; ``flat`` are the vertices of all faces one after another, ``sizes`` how many
    each has. A part that is open, or tells nothing, goes by what most of its faces do."""
    count = len(sizes)
    face, after = np.repeat(np.arange(count), sizes), next_corners(sizes)
    low, high = np.minimum(flat, flat[after]), np.maximum(flat, flat[after])
    order = np.lexsort((high, low))
    same = (low[order][1:] == low[order][:-1]) & (high[order][1:] == high[order][:-1])
    # Only edges of just two faces tell anything.
    runs = np.concatenate([[True], ~same])
    run = np.cumsum(runs) - 1
    two = np.bincount(run) == 2
    first = np.flatnonzero(runs)[two]
    one, other = order[first], order[first + 1]
    against = flat[one] == flat[other]
    graph = coo_matrix((np.where(against, 2.0, 1.0), (face[one], face[other])), shape=(count + 1, count + 1)).tocsr()
    parts, part = connected_components(graph[:count, :count], directed=False)
    flip = _agreeing(graph, np.unique(part, return_index=True)[1])
    volume = _volumes(points, flat, sizes, part, flip)
    # A part that mostly stands right is left as it stands, where nothing tells inside from outside.
    closed = np.bincount(part[face[one]], minlength=parts) * 2 == np.bincount(part[face], minlength=parts)
    most = np.bincount(part, flip, minlength=parts) * 2 > np.bincount(part, minlength=parts)
    inwards = volume < 0
    inwards[_cavities(points, flat, part[face], closed, volume)] ^= True
    flip ^= np.where(closed[part], inwards[part], most[part])
    return np.asarray(flip)


def _agreeing(graph: csr_matrix, begin: Ints) -> Bools:
    """(f,) which faces to turn over so that they agree with those that they are reached from, and last with the first of
    their part, ``begin``. In the graph (f + 1, f + 1) 2 stands between two that do not agree; its last node is free."""
    count = graph.shape[0] - 1
    ways = coo_matrix((np.ones(len(begin)), (np.full(len(begin), count), begin)), shape=graph.shape)
    graph = (graph + ways).tocsr()
    graph = graph.maximum(graph.T)
    reached, before = breadth_first_order(graph, count, directed=False)
    reached = reached[1:]
    against = np.asarray(graph[before[reached], reached]).ravel() > 1.5
    flip = [False] * (count + 1)
    for face, by, turns in zip(reached.tolist(), before[reached].tolist(), against.tolist(), strict=True):
        flip[face] = flip[by] ^ turns
    return np.array(flip[:count])


def next_corners(sizes: Ints) -> Ints:
    """For each corner the one after it in its face."""
    start = np.concatenate([[0], np.cumsum(sizes)[:-1]]).astype(np.int64)
    after = np.arange(int(sizes.sum())) + 1
    after[start + sizes - 1] = start
    return after


def mirrored(sizes: Ints) -> Ints:
    """For each corner the one that takes its place when its face is turned over; the first stays."""
    start = np.repeat(np.concatenate([[0], np.cumsum(sizes)[:-1]]), sizes)
    size = np.repeat(sizes, sizes)
    return (start + (size - (np.arange(len(start)) - start)) % size).astype(np.int64)


def _cavities(points: Floats, flat: Ints, part: Ints, closed: np.ndarray, volume: Floats) -> Ints:
    """Closed parts that bound a cavity: those that lie within one more part than they should, and look the other way.

    ``part`` (c,) is that of each corner. A part within another that looks the same way is no cavity: it stays, and whoever
    makes a solid of it is asked to decide.
    """
    found = []
    parts = np.flatnonzero(closed)
    boxes = {int(k): points[flat[part == k]] for k in parts} if len(parts) > 1 else {}
    for k, own in boxes.items():
        around = [
            j
            for j, other in boxes.items()
            if j != k and (own.min(axis=0) > other.min(axis=0)).all() and (own.max(axis=0) < other.max(axis=0)).all()
        ]
        if not around:
            continue
        # The nearest one around it is the one of least extent.
        parent = min(around, key=lambda j: float(np.ptp(boxes[j], axis=0).prod()))
        if len(around) % 2 and volume[k] * volume[parent] < 0:
            found.append(k)
    return np.array(found, dtype=np.int64)


def _volumes(points: Floats, flat: Ints, sizes: Ints, part: Ints, flip: np.ndarray) -> Floats:
    """Signed volume of each part, its faces parted into fans."""
    start = np.repeat(np.concatenate([[0], np.cumsum(sizes)[:-1]]).astype(np.int64), sizes)
    after = next_corners(sizes)
    face = np.repeat(np.arange(len(sizes)), sizes)
    shifted = points - points.mean(axis=0)
    a, b, c = shifted[flat[start]], shifted[flat], shifted[flat[after]]
    each = np.einsum("ij,ij->i", a, np.cross(b, c)) * np.where(flip[face], -1, 1)
    return np.asarray(np.bincount(part[face], each, minlength=int(part.max()) + 1), dtype=np.float64)
