"""Zip two open chains of edges into one, also where the counts differ."""

from __future__ import annotations

from typing import Literal

import numpy as np

from zinc_otter.core.cage.building.chains import Chain, border_chains
from zinc_otter.core.cage.building.gridding import gridded
from zinc_otter.core.cage.building.merging import averaged, merged, renumbered
from zinc_otter.core.cage.building.pairing import best_shift, monotone_pairs
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, ElementMap, edges_between
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Floats, Ints, joined_labels
from zinc_otter.core.errors import BadSelectionError, UnsoundCageError

Where = Literal["middle", "first", "second"]


def zip_chains(cage: Cage, selection: Selection, *, where: Where = "middle") -> Edit:
    """Join two chains of picked open edges, vertex by vertex, into one; its edges are selected.

    Each vertex of the chain with fewer finds its partner on the other; where the other has more, edges are parted, so
    that every vertex has one and no hole is left. A single picked chain that goes round is a slit, and closes upon
    itself. The two meet in the ``middle``, or on the ``first`` or the ``second`` chain, the first being that of the
    lowest vertex. Raises BadSelectionError, UnsoundCageError.

    >>> from zinc_otter.core.primitives import plane
    >>> from zinc_otter.core.cage.building.joining import joined
    >>> two, _ = joined([plane((10, 10), (1, 2)), plane((10, 10), (1, 2), (14, 0, 0))])
    >>> ends = two.positions[two.topology.edge_verts][..., 0]
    >>> facing = Selection.of("edge", np.flatnonzero((ends == 5).all(axis=1) | (ends == 9).all(axis=1)))
    >>> len(zip_chains(two, facing).cage.topology.open_edges), len(two.topology.open_edges)
    (8, 12)
    """
    first, second = _two_chains(cage, selection)
    few, many = sorted((first, second), key=lambda chain: chain.edge_count)
    if few.closed:
        few, many = _started(few, many, cage.positions)
    a, b = _closed_up(few), _closed_up(many)
    partner = monotone_pairs(cage.positions[a], cage.positions[b])
    edited, few_verts = _with_partners(cage, few, a, b, partner, cage.positions)
    went = edited.old_to_new.vertices
    joins = np.column_stack([few_verts, went[b]])
    return _joined(edited, joins, where, few is first or (few.verts.min() == first.verts.min()))


def _two_chains(cage: Cage, selection: Selection) -> tuple[Chain, Chain]:
    """The two chains, running the same way; of two that share both ends as of one slit."""
    t = cage.topology
    selection.check(t)
    if selection.kind != "edge":
        raise BadSelectionError("Zipping takes edges of open borders; pick edges.")
    chains = border_chains(t, selection.ids)
    if len(chains) == 1 and (chains[0].closed or chains[0].edge_count >= 2):
        chains = _slit(chains[0], cage.positions)
    if len(chains) != 2:
        raise BadSelectionError(f"Zipping joins two chains; the picked edges make up {len(chains)}.", edges=selection.ids)
    first, second = sorted(chains, key=lambda chain: int(chain.verts.min()))
    if first.closed != second.closed:
        raise BadSelectionError("One chain is closed and the other is not; pick two of a kind.")
    # Where two borders meet, the faces on both sides run along the line in opposite ways.
    return first, second.reversed()


def _slit(chain: Chain, positions: Floats) -> list[Chain]:
    """A closed border as two chains between its sharpest bend and the vertex farthest along from there."""
    verts = chain.verts
    if not chain.closed:
        # A V: from its bend the two legs lie together.
        bend = 1 + int(np.argmin(_straightness(positions[verts])[1:-1]))
        return [Chain(verts[: bend + 1], False), Chain(verts[bend:], False)]
    around = np.concatenate([verts[-1:], verts, verts[:1]])
    start = int(np.argmin(_straightness(positions[around])[1:-1]))
    verts = np.roll(verts, -start)
    steps = np.cumsum(Chain(verts, True).lengths(positions))
    half = 1 + int(np.argmin(np.abs(steps[:-1] - steps[-1] / 2)))
    return [Chain(verts[: half + 1], False), Chain(np.append(verts[half:], verts[0]), False)]


def _straightness(points: Floats) -> Floats:
    """(n,) cosine of the bend at each inner point; 1 is straight on."""
    steps = np.diff(points, axis=0)
    steps /= np.maximum(np.linalg.norm(steps, axis=1, keepdims=True), 1e-12)
    return np.concatenate([[1.0], (steps[1:] * steps[:-1]).sum(axis=1), [1.0]])


def _started(few: Chain, many: Chain, positions: Floats) -> tuple[Chain, Chain]:
    """Closed chains so rolled that the two first vertices belong together."""
    p, q = positions[few.verts], positions[many.verts]
    if len(q) % len(p) == 0:
        return few, many.rolled(best_shift(p, q))
    distance = np.linalg.norm(p[:, None] - q[None], axis=2)
    i, j = np.unravel_index(int(np.argmin(distance)), distance.shape)
    return few.rolled(int(i)), many.rolled(int(j))


def _closed_up(chain: Chain) -> Ints:
    return np.append(chain.verts, chain.verts[0]) if chain.closed else chain.verts


def _with_partners(cage: Cage, few: Chain, a: Ints, b: Ints, partner: Ints, positions: Floats) -> tuple[Edit, Ints]:
    """The cage with vertices put on the shorter chain, and for each vertex of ``b`` the one it is to join."""
    edges = edges_between(cage.topology, few.pairs)
    counts = np.diff(partner) - 1
    lands = np.empty(len(b), dtype=np.int32)
    points: list[Floats] = []
    order = np.flatnonzero(counts > 0)
    for k in order:
        run = positions[b[partner[k] : partner[k + 1] + 1]]
        steps = np.cumsum(np.linalg.norm(np.diff(run, axis=0), axis=1))
        share = (steps[:-1] / max(steps[-1], 1e-12))[:, None]
        on = (1 - share) * positions[a[k]] + share * positions[a[k + 1]]
        points.append(on if a[k] < a[k + 1] else on[::-1])
    if not len(order):
        whole = Selection.of("vertex", [])
        return Edit(cage, whole, ElementMap.identity(cage.topology)), a[np.argsort(partner)]
    edited = gridded(cage, edges[order], counts[order], np.concatenate(points))
    lands[partner] = edited.old_to_new.vertices[a]
    start = 0
    for k in order:
        fresh = edited.new_verts[start : start + counts[k]]
        lands[partner[k] + 1 : partner[k + 1]] = fresh if a[k] < a[k + 1] else fresh[::-1]
        start += int(counts[k])
    return edited, lands


def _joined(edited: Edit, joins: Ints, where: Where, few_is_first: bool) -> Edit:
    cage = edited.cage
    label = renumbered(joined_labels(cage.topology.vertex_count, joins))
    positions = averaged(cage.positions, label)
    if where != "middle":
        # Column 0 of the joins is the shorter chain.
        column = 0 if (where == "first") == few_is_first else 1
        positions[label[joins[:, column]]] = cage.positions[joins[:, column]]
    try:
        after, went = merged(cage, label, positions)
    except UnsoundCageError as error:
        raise UnsoundCageError(
            f"These chains cannot be zipped: {str(error)[0].lower()}{str(error)[1:]}", vertices=np.unique(joins)
        ) from error
    line = went.vertices[joins[:, 0]]
    edges = edges_between(after.topology, np.column_stack([line[:-1], line[1:]]))
    return Edit(after, Selection.of("edge", edges[edges >= 0]), edited.old_to_new.then(went))
