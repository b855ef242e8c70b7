"""Add loops: across all of a ring of edges, or from one picked edge of it to another."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field
from typing import Literal

import numpy as np

from zinc_otter.core.cage.building.gridding import Gridded, gridded
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.picking.loops import ring_through
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.errors import BadNumberError, BadSelectionError

Ends = Literal["ngon", "quads"]


MOST_LOOPS = 32


@dataclass(frozen=True, eq=False)
class Rungs:
    """The edges (k,) that loops are to cross, each with the vertex (k,) that shares are counted from.

    ``between`` (f,) are the faces that lie between two of them.
    """

    edges: Ints
    starts: Ints
    between: Bools


@dataclass(frozen=True, eq=False)
class Looped(Gridded):
    """Loops that were added, and what they cross."""

    rungs: Rungs = field(default_factory=lambda: Rungs(np.zeros(0, np.int32), np.zeros(0, np.int32), np.zeros(0, bool)))


def split_rings(cage: Cage, selection: Selection, *, share: float = 0.5) -> Looped:
    """One loop across the whole rings through the selected edges, at a ``share`` of each; see :func:`add_loops`.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 10), (1, 1, 1))
    >>> len(split_rings(cage, Selection.of("edge", [0])).selected)
    4
    """
    return add_loops(cage, selection, shares=(share,))


def add_loops(
    cage: Cage, selection: Selection, *, shares: Sequence[float] = (0.5,), picked_only: bool = False, ends: Ends = "ngon"
) -> Looped:
    """Add a loop at each of the ascending ``shares`` (above 0, below 1) of the edges of the rings through the selected.

    Shares count from that end of the first picked edge of each ring that is nearer to the middle of the cage's vertices, of
    equally near ones from its lower vertex, and on the same side all along. With
    ``picked_only`` the loops run from the first to the last picked edge of a ring, in the shorter way; beyond these
    they end in an n-gon, or for an even number of loops in quads. The new loops are selected.
    Raises BadSelectionError, BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 10), (1, 1, 1))
    >>> done = add_loops(cage, Selection.of("edge", [0]), shares=(0.25, 0.75))
    >>> done.cage.topology.face_count - cage.topology.face_count
    8
    """
    rungs = rungs_of(cage, selection, picked_only=picked_only)
    t = cage.topology
    s = _checked(shares)
    edges, starts = rungs.edges, rungs.starts
    ahead = starts == t.edge_verts[edges, 0]
    # From the lower vertex on: where the rung starts at the higher one, the shares are counted from the far end.
    each = np.where(ahead[:, None], s[None], (1 - s)[::-1][None])
    a, b = cage.positions[t.edge_verts[edges]].transpose(1, 0, 2)
    points = (1 - each)[..., None] * a[:, None] + each[..., None] * b[:, None]
    crossed = np.bincount(t.corner_face[np.isin(t.corner_edge, edges)], minlength=t.face_count)
    closing = (crossed == 1) & (t.face_sizes == 4) & ~rungs.between
    if ends == "quads" and picked_only and closing.any() and len(s) % 2:
        raise BadSelectionError(
            f"Quads close the ends of an even number of loops; {len(s)} cannot end so. Add {len(s) + 1}, or let them end "
            "in n-gons.",
            faces=np.flatnonzero(closing),
        )
    ended = closing if ends == "quads" and picked_only else None
    done = gridded(cage, edges, np.full(len(edges), len(s)), points.reshape(-1, 3), rungs.between, ended)
    return Looped(**vars(done), rungs=rungs)


def rungs_of(cage: Cage, selection: Selection, *, picked_only: bool = False) -> Rungs:
    """The edges that loops through the selected ones cross. Raises BadSelectionError."""
    t = cage.topology
    selection.check(t)
    if selection.kind != "edge":
        raise BadSelectionError("A loop is added across edges; pick an edge.")
    left = set(selection.ids.tolist())
    starts: dict[int, int] = {}
    between = np.zeros(t.face_count, dtype=bool)
    while left:
        first = min(left)
        ring = ring_through(t, first)
        members = left.intersection(ring.edges.tolist())
        left -= members
        edges, ends, faces = ring.edges, ring.starts, ring.faces
        if ends[edges == first][0] != _nearer_end(cage, first):
            ends = t.edge_verts[edges].sum(axis=1) - ends
        if picked_only:
            places = _shortest_stretch(edges, sorted(members), ring.closed)
            edges, ends = edges[places], ends[places]
            one, other = t.edge_faces[edges[:-1]], t.edge_faces[edges[1:]]
            # Each two neighbours of the stretch share one of the ring's faces.
            shared = np.where((one[:, :1] == other).any(axis=1), one[:, 0], one[:, 1])
            faces = shared[np.isin(shared, ring.faces)]
        starts.update(zip(edges.tolist(), ends.tolist(), strict=True))
        between[faces] = True
    edges = np.array(sorted(starts), dtype=np.int32)
    return Rungs(edges, np.array([starts[e] for e in edges.tolist()], dtype=np.int32), between)


def rail_of(cage: Cage, selection: Selection) -> Floats:
    """The edge along which the shares of :func:`add_loops` count: where they are 0, and where 1, (2, 3) in mm.

    Raises BadSelectionError.
    """
    selection.check(cage.topology)
    if selection.kind != "edge":
        raise BadSelectionError("A loop is added across edges; pick an edge.")
    edge = int(selection.ids.min())
    start = _nearer_end(cage, edge)
    end = int(cage.topology.edge_verts[edge].sum()) - start
    return cage.positions[[start, end]]


def _nearer_end(cage: Cage, edge: int) -> int:
    """A rule that every image of a symmetric form answers alike."""
    ends = cage.topology.edge_verts[edge]
    middle = cage.positions.mean(axis=0)
    near, far = np.linalg.norm(cage.positions[ends] - middle, axis=1)
    tie = 1e-6 * float(np.ptp(cage.positions, axis=0).max())
    return int(ends[1] if far < near - tie else ends[0])


def _shortest_stretch(ring: Ints, members: list[int], closed: bool) -> Ints:
    """Places in a ring, one after the other, of the shortest stretch that holds all its picked ``members``."""
    if len(members) < 2:
        raise BadSelectionError(
            "A loop from picked edge to picked edge needs two edges of one ring; pick a second one.", edges=members
        )
    places = np.flatnonzero(np.isin(ring, members))
    if closed:
        gaps = np.diff([*places, places[0] + len(ring)])
        # It begins behind the widest gap; of equal ones the first is left open.
        begin = places[(int(np.argmax(gaps)) + 1) % len(places)]
        places = begin + np.sort((places - begin) % len(ring))
    return np.arange(places[0], places[-1] + 1) % len(ring)


def _checked(shares: Sequence[float]) -> Floats:
    s = np.asarray(shares, dtype=np.float64)
    if not 1 <= len(s) <= MOST_LOOPS:
        raise BadNumberError(f"1 to {MOST_LOOPS} loops can be added at once; {len(s)} were asked for.")
    if not np.all(np.isfinite(s)) or s.min() <= 0 or s.max() >= 1 or np.any(np.diff(s) <= 0):
        raise BadNumberError("Loops lie between the ends of the edges: above 0 and below 100 %, one behind the other.")
    return s
