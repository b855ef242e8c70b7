"""Edges that meet a surface exactly at an edge or a corner of it: whether they pass through it there, or only touch it.

On symmetric forms this is the rule and not the exception: an edge in the plane of symmetry meets what lies across it in
edges and corners alone, and passes through the inside of no triangle.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.topology import Bools, Floats, Ints


@dataclass(frozen=True, eq=False)
class Passing:
    """Of segments and triangles, (k,) each: whether a segment passes ``through`` the inside from one side to the other;
    whether it has ``reached`` the triangle; whether it lies ``on`` it; whether it passes through its ``border``, at which of
    its ``sides`` (k, 3), and whether it lies ``in_plane`` with it. ``share`` is where on the segment, and ``down`` whether
    against the normal."""

    through: Bools
    reached: Bools
    on: Bools
    border: Bools
    sides: Bools
    in_plane: Bools
    share: Floats
    down: Bools


class Borders:
    """What was met at borders so far, to be looked at when all has been met.

    A segment passes through a surface where it passes to the same side through all triangles that it meets in one place, and
    these lie all round that place: each side of them that it meets is that of two.
    """

    def __init__(self) -> None:
        self._met: list[tuple[Ints, Floats]] = []
        self._flat: list[Ints] = []

    def note(self, pairs: Ints, corner: Ints, one: int, k: int, lengths: Floats, found: Passing) -> None:
        """Pairs (k, 2) of triangles ``corner`` (m, 3): the side ``k`` of those in the column ``one`` met the others."""
        ends = corner[pairs[:, one]][:, [k, (k + 1) % 3]]
        face = pairs[:, 1 - one]
        turned = ends[:, 0] > ends[:, 1]
        segment = np.sort(ends, axis=1)
        # Seen from the lower of its vertices, as it is for the other triangle that has it.
        far = np.where(turned, 1 - found.share, found.share) * lengths
        rows = found.border
        whole = np.column_stack([segment, face, found.down ^ turned, pairs, corner[face], found.sides])
        self._met.append((whole[rows].astype(np.int64), far[rows]))
        self._flat.append(segment[found.in_plane])

    @property
    def some(self) -> bool:
        """Whether anything was met at a border."""
        return any(len(far) for _, far in self._met)

    def through(self, eps: float) -> Ints:
        """(k, 2) pairs of triangles that cross at a border of one of them."""
        if not self.some:
            return np.empty((0, 2), dtype=np.int64)
        met, far = np.concatenate([m for m, _ in self._met]), np.concatenate([f for _, f in self._met])
        order = np.lexsort((far, met[:, 1], met[:, 0]))
        met, far = met[order], far[order]
        begins = np.ones(len(met), dtype=bool)
        begins[1:] = (met[1:, :2] != met[:-1, :2]).any(axis=1) | (np.diff(far) > 8 * eps)
        place = np.cumsum(begins) - 1
        count = int(place[-1]) + 1
        down = np.bincount(place, met[:, 3], count)
        alike = (down == 0) | (down == np.bincount(place, minlength=count))
        closed = _all_round(place, met[:, 2], met[:, 6:9], met[:, 9:12] > 0)
        # Where it also runs along something, it may lie on it: then it touches.
        most = int(max(met[:, :2].max(), *(f.max(initial=0) for f in self._flat))) + 1
        flat = np.unique(np.concatenate([f[:, 0] * most + f[:, 1] for f in self._flat]))
        lies = np.isin(met[:, 0] * most + met[:, 1], flat)
        return met[(alike & closed)[place] & ~lies][:, 4:6]


def _all_round(place: Ints, face: Ints, corner: Ints, sides: Bools) -> Bools:
    """For each place whether the triangles met there, by number and corners (k, 3), have each of their met sides in common
    with one other."""
    # A triangle was met twice where both triangles at the segment have been looked at.
    _, first = np.unique(np.column_stack([place, face]), axis=0, return_index=True)
    place, corner, sides = place[first], corner[first], sides[first]
    ends = [np.sort(corner[:, [k, (k + 1) % 3]], axis=1) for k in range(3)]
    edges = [np.column_stack([place, ends[k]])[sides[:, k]] for k in range(3)]
    each, times = np.unique(np.concatenate(edges), axis=0, return_counts=True)
    closed = np.zeros(int(place.max()) + 1, dtype=bool)
    closed[each[:, 0]] = True
    closed[each[times != 2, 0]] = False
    return closed
