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
    whether it has ``reached`` the triangle; whether it lies ``on`` it; whether it passes through its ``border``, and whether
    it lies ``in_plane`` with it. ``share`` is where on the segment, and ``down`` whether against the normal."""

    through: Bools
    reached: Bools
    on: Bools
    border: Bools
    in_plane: Bools
    share: Floats
    down: Bools


class Borders:
    """What was met at borders so far, to be looked at when all has been met: a segment passes through a surface where it
    passes through all triangles that it meets in one place, of which there are two at least, to the same side."""

    def __init__(self) -> None:
        self._met: list[tuple[Ints, Floats]] = []
        self._flat: list[Ints] = []

    def note(self, pairs: Ints, face: int, ends: Ints, lengths: Floats, found: Passing) -> None:
        """Pairs (k, 2) of triangles, whose column ``face`` was met by segments between the vertices ``ends`` (k, 2)."""
        turned = ends[:, 0] > ends[:, 1]
        segment = np.sort(ends, axis=1)
        # Seen from the lower of its vertices, as it is for the other triangle that has it.
        far = np.where(turned, 1 - found.share, found.share) * lengths
        rows = found.border
        whole = np.column_stack([segment, pairs[:, face], found.down ^ turned, pairs])[rows].astype(np.int64)
        self._met.append((whole, far[rows]))
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
        # The same triangle was met twice where both triangles at the segment have been looked at.
        each = np.unique(np.column_stack([place, met[:, 2]]), axis=0)
        several = np.bincount(each[:, 0], minlength=count) > 1
        # Where it also runs along something, it may lie on it: then it touches.
        most = int(max(met[:, :2].max(), *(f.max(initial=0) for f in self._flat))) + 1
        flat = np.unique(np.concatenate([f[:, 0] * most + f[:, 1] for f in self._flat]))
        lies = np.isin(met[:, 0] * most + met[:, 1], flat)
        return met[(alike & several)[place] & ~lies][:, 4:]
