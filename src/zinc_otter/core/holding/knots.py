"""Where a loop's points lie by knot insertion: on a regular strip the curves across it keep their shape exactly.

Source: W. Boehm, "Inserting new knots into B-spline curves", CAD 12(4), 1980, in the terms of polar forms (L. Ramshaw,
"Blossoms are polar forms", CAGD 6(4), 1989): with knots s1..sm put between 0 and 1 of the uniform knots, the control
points are the values of the span's polar form at each three knots in a row.
"""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edits.add_loop import Looped
from zinc_otter.core.cage.picking.loops import straight_on
from zinc_otter.core.cage.topology import Bools, Floats, Ints, Topology


def insertion_weights(shares: Sequence[float]) -> Floats:
    """(m + 2, 4) weights of the four control points of a span in its new ones, for knots at m ``shares`` of the span.

    The first and last rows belong to the span's two own points, those between to the new ones.

    >>> insertion_weights([0.5])[1].tolist()
    [0.0, 0.5, 0.5, 0.0]
    """
    knots = [-1.0, 0.0, *shares, 1.0, 2.0]
    return np.array([_polar(*knots[k : k + 3]) for k in range(len(knots) - 2)])


def _polar(a: float, b: float, c: float) -> Floats:
    """(4,) weights of the points with knots (-2, -1, 0), (-1, 0, 1), (0, 1, 2), (1, 2, 3) in the polar form at a, b, c."""
    rows = np.eye(4)
    lows, width = [-2.0, -1.0, 0.0], 3.0
    for argument in (a, b, c):
        share = [(argument - low) / width for low in lows]
        rows = np.array([(1 - s) * rows[k] + s * rows[k + 1] for k, s in enumerate(share)])
        lows, width = [low + 1 for low in lows[:-1]], width - 1
    return np.asarray(rows[0])


def inserted_knots(cage: Cage, done: Looped, shares: Sequence[float]) -> Floats:
    """(n, 3) where knot insertion puts the vertices of ``done``, which added loops to ``cage`` at these ``shares``.

    Across each edge that was crossed the two edges straight on give the outer points of the span. Where there are none,
    at borders, at creases that run along the loop, and where valences are not 4, the edge's own ends stay.
    """
    edges, starts = done.rungs.edges, done.rungs.starts
    weights = insertion_weights(shares)
    b = starts
    c = cage.topology.edge_verts[edges].sum(axis=1) - starts
    a, stays_b = _straight_on(cage, edges, b)
    d, stays_c = _straight_on(cage, edges, c)
    p = cage.positions
    # Beyond a place where the line does not go on, as if it went straight.
    outer_a = np.where(stays_b[:, None], 2 * p[b] - p[c], p[a])
    outer_d = np.where(stays_c[:, None], 2 * p[c] - p[b], p[d])
    span = np.stack([outer_a, p[b], p[c], outer_d], axis=1)
    fresh = np.einsum("mk,ekx->emx", weights, span)
    positions = done.cage.positions.copy()
    went = done.old_to_new.vertices
    shift = np.zeros_like(positions)
    for verts, stays, row in ((b, stays_b, 0), (c, stays_c, -1)):
        moves = fresh[:, row] - p[verts]
        moves[stays] = 0
        np.add.at(shift, went[verts], moves)
    between = fresh[:, 1:-1]
    ahead = starts == cage.topology.edge_verts[edges, 0]
    ordered = np.where(ahead[:, None, None], between, between[:, ::-1]).reshape(-1, 3)
    positions += shift
    positions[done.new_verts] = ordered
    return positions


def _straight_on(cage: Cage, edges: Ints, ends: Ints) -> tuple[Ints, Bools]:
    """For each edge the vertex beyond its end, straight on, and whether there is none."""
    t = cage.topology
    onward = np.array([_beyond(t, int(e), int(v)) for e, v in zip(edges, ends, strict=True)], dtype=np.int32)
    nothing = onward < 0
    # A crease along the loop keeps its line.
    sharp = np.zeros(t.vertex_count, dtype=np.int32)
    creased = cage.edge_sharpness > 0
    np.add.at(sharp, t.edge_verts[creased].ravel(), 1)
    own = creased[edges].astype(np.int32)
    return np.maximum(onward, 0), nothing | (sharp[ends] - own >= 2) | (cage.vertex_sharpness[ends] > 0)


def _beyond(t: Topology, edge: int, vertex: int) -> int:
    if t.edge_corners[edge, 1] < 0:
        if t.vertex_valence[vertex] == 2:
            # The border turns at the corner of a sheet, which holds its place.
            return -1
        # Else it leads on along itself.
        others = t.open_edges[(t.edge_verts[t.open_edges] == vertex).any(axis=1)]
        return int(t.edge_verts[others[others != edge][0]].sum() - vertex)
    ends = next(corner for corner in t.edge_corners[edge].tolist() if t.face_verts[t.corner_next[corner]] == vertex)
    onward = straight_on(t, ends)
    return int(t.face_verts[t.corner_next[onward]]) if onward >= 0 else -1
