"""What relief is: levels of displacement, each in frames of the smooth surface below it.

Source: D. Zorin, P. Schroeder, W. Sweldens, "Interactive Multiresolution Mesh Editing", SIGGRAPH 1997: a level's points are
those of the level before it, refined, and moved by a detail that is told in the local frame of the refined surface. So
the detail goes wherever the form goes. Frames are orthonormal: detail is in mm, and keeps its height where the form is
sized.
"""

from __future__ import annotations

import hashlib
from dataclasses import dataclass
from functools import cached_property

import numpy as np
from numpy.typing import NDArray

from zinc_otter.core.cage.topology import Topology
from zinc_otter.core.errors import BadNumberError, CoreError
from zinc_otter.core.relief.blocks import Blocks, blocks_of

Detail = NDArray[np.float32]

DEEPEST = 7
MOST_POINTS = 1_500_000
"""Of the finest level of one piece."""
_BYTES = 12
"""A point's detail takes in memory: three numbers of four bytes."""


class ReliefError(CoreError):
    """Relief that cannot be made, or is not there."""

    kind = "relief"
    title = "The relief cannot be so"


@dataclass(frozen=True, eq=False)
class Relief:
    """``details``: for each level from 1 on, (n, 3) float32 mm along the frame's two tangents and its normal, or None
    where nothing was done. ``mask``: (n,) float32 of the finest level, 0 free to 1 protected, or None.

    >>> Relief((None, None)).depth
    2
    """

    details: tuple[Detail | None, ...]
    mask: NDArray[np.float32] | None = None

    def __post_init__(self) -> None:
        for array in (*self.details, self.mask):
            if array is not None:
                array.flags.writeable = False
                # What is no number or endless makes the sum so.
                if not np.isfinite(np.add.reduce(array, axis=None)):
                    raise BadNumberError("A relief's detail must be finite numbers.")

    def __reduce__(self) -> tuple[object, ...]:
        """What is cached is left behind."""
        return Relief, (self.details, self.mask)

    @property
    def depth(self) -> int:
        """The finest level."""
        return len(self.details)

    def detail(self, level: int) -> Detail | None:
        """The detail of a level from 1 on; None beyond the finest."""
        return self.details[level - 1] if level <= self.depth else None

    @cached_property
    def is_flat(self) -> bool:
        """Whether it displaces nothing."""
        return all(detail is None or not detail.any() for detail in self.details)

    def with_detail(self, level: int, detail: Detail | None) -> Relief:
        """With one level's detail replaced."""
        changed = Relief((*self.details[: level - 1], detail, *self.details[level:]), self.mask)
        # A stroke changes a part: blocks that are as they were have the hashes that they had.
        changed.__dict__["_blocks_before"] = self.__dict__.get("_blocks", self.__dict__.get("_blocks_before"))
        return changed

    def with_mask(self, mask: NDArray[np.float32] | None) -> Relief:
        return Relief(self.details, mask)

    def check(self, topology: Topology) -> None:
        """Raise ReliefError where it is not one of a cage of these faces."""
        counts = point_counts(topology, self.depth)
        for level, detail in enumerate(self.details, 1):
            if detail is not None and detail.shape != (counts[level], 3):
                raise ReliefError(
                    f"Level {level} of the relief has {len(detail)} points where the cage has {counts[level]}."
                )
        if self.mask is not None and self.mask.shape != (counts[-1],):
            raise ReliefError(f"The mask has {len(self.mask)} points where the cage has {counts[-1]}.")

    @cached_property
    def digest(self) -> str:
        """A hash of all of it."""
        h = hashlib.sha256(self.shape_digest.encode())
        h.update(str(self.depth).encode())
        if self.mask is not None:
            h.update(np.ascontiguousarray(self.mask).data)
        return h.hexdigest()

    @cached_property
    def shape_digest(self) -> str:
        """Of what displaces alone, so that masking makes nothing anew; empty where no level has detail."""
        if all(detail is None for detail in self.details):
            return ""
        h = hashlib.sha256()
        for level, blocks in enumerate(self._blocks):
            if blocks is not None:
                h.update(str(level).encode())
                h.update(b"".join(blocks.hashes))
        return h.hexdigest()

    @cached_property
    def _blocks(self) -> tuple[Blocks | None, ...]:
        before = self.__dict__.pop("_blocks_before", None) or (None,) * self.depth
        known = (*before, *(None,) * self.depth)[: self.depth]
        return tuple(None if d is None else blocks_of(d, k) for d, k in zip(self.details, known, strict=True))


def point_counts(topology: Topology, depth: int) -> list[int]:
    """Points of the levels 0 to ``depth`` of a cage: one for each vertex, edge and face of the level before."""
    v, e, f = topology.vertex_count, topology.edge_count, topology.face_count
    corners = topology.corner_count
    counts = [v]
    for _ in range(depth):
        v, e, f = v + e + f, 2 * e + corners, corners
        corners = 4 * f
        counts.append(v)
    return counts


def check_level(topology: Topology, level: int) -> int:
    """The points of a level. Raises ReliefError where there is no such level, or it has too many points."""
    if not 1 <= level <= DEEPEST:
        raise ReliefError(f"Relief has levels 1 to {DEEPEST}; {level} is none.")
    points = point_counts(topology, level)[-1]
    if points > MOST_POINTS:
        fits = next((k for k in range(level, 0, -1) if point_counts(topology, k)[-1] <= MOST_POINTS), 0)
        within = f"; level {fits} is the finest within it" if fits else ""
        raise ReliefError(f"Level {level} would have {points:,} points; {MOST_POINTS:,} are the most of a piece{within}.")
    return points


def with_all_relief(cage_relief: Relief | None, level: int) -> int:
    """The level, or the finest of the relief where that is finer, so that none of it is left out."""
    return level if cage_relief is None or cage_relief.is_flat else max(level, cage_relief.depth)


def memory_of(points: int) -> int:
    """Bytes that a level's detail takes in memory."""
    return points * _BYTES


def at_level(relief: Relief | None, topology: Topology, level: int) -> Relief:
    """The relief with levels as far as ``level`` at least. Raises ReliefError as :func:`check_level`."""
    check_level(topology, level)
    details = () if relief is None else relief.details
    if level <= len(details):
        assert relief is not None
        return relief
    return Relief((*details, *[None] * (level - len(details))))
