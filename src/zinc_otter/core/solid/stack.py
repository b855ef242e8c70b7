"""Solids made of an outline again and again at several heights: seats and walls about a stone, and what pins them."""

from __future__ import annotations

from dataclasses import dataclass, replace
from functools import cached_property
from typing import TYPE_CHECKING, Any

import manifold3d
import numpy as np

from zinc_otter.core.cage.topology import Floats, read_only
from zinc_otter.core.errors import CoreError

if TYPE_CHECKING:
    from OCP.TopoDS import TopoDS_Shape

Ring = tuple[float, float, float]
"""A height z, the share of the outline there, and by how many mm it is then moved outwards."""

_NOTHING = 1e-6
_FEW = 12
"""Sides up to which an outline is one of straight sides."""
_CORNER = np.cos(np.radians(25))
"""Cosine of the bend from which an outline has a corner."""


@dataclass(frozen=True, eq=False)
class Stack:
    """An ``outline`` (m, 2), convex and counter-clockwise, carried through ``rings`` from below; where a ring shrinks to
    nothing there is a tip. A ``hollow`` one is a band whose rings run once about its section.

    It stands in the world by ``motion`` (4, 4). With a ``radius`` the outline is that circle.
    """

    outline: Floats
    rings: tuple[Ring, ...]
    motion: Floats
    radius: float | None = None
    hollow: bool = False

    def __post_init__(self) -> None:
        read_only(self.outline)
        read_only(self.motion)

    @cached_property
    def _widest(self) -> float:
        return float(np.linalg.norm(self.outline, axis=1).max())

    def mesh(self, chord: float) -> manifold3d.Manifold:
        """As triangles whose circles keep within ``chord`` mm."""
        from zinc_otter.core.solid.exact import sides

        outline = self.outline
        if self.radius is not None:
            count = sides(self.radius, chord)
            angle = 2 * np.pi * np.arange(count) / count
            outline = self.radius * np.column_stack([np.cos(angle), np.sin(angle)])
        loops = [ringed(outline, ring) for ring in self.rings]
        points, triangles = _hull(loops, self.hollow)
        mesh = manifold3d.Mesh64(np.ascontiguousarray(points), np.ascontiguousarray(triangles, dtype=np.uint64))
        made = manifold3d.Manifold(mesh)
        if made.status() != manifold3d.Error.NoError or made.volume() <= 0:
            raise CoreError("A part of the setting encloses nothing: its walls would cross.")
        return made.transform(np.asarray(self.motion, dtype=np.float64)[:3, :4])

    def shape(self) -> TopoDS_Shape:
        """For the kernel: turned where the outline is a circle, else through wires at the rings' heights."""
        from zinc_otter.core.solid.kernel.stacks import stacked

        return stacked(self)

    def grown(self, by: float) -> Stack | None:
        """All walls ``by`` mm further out, and its ends as well; None where nothing is left."""
        if self.hollow:
            return None
        low, high = self.rings[0], self.rings[-1]
        rings = [(z, share, out + by) for z, share, out in self.rings]
        rings[0] = (low[0] - by, low[1], low[2] + by)
        rings[-1] = (high[0] + by, high[1], high[2] + by)
        if rings[0][0] >= rings[-1][0] - _NOTHING or any(self._widest * share + out < 0 for _, share, out in rings):
            return None
        return replace(self, rings=tuple(rings))

    @property
    def token(self) -> tuple[object, ...]:
        """What it is, as a value that can be compared and written."""
        return (self.rings, self.radius, self.hollow, self.outline.tobytes(), self.motion.tobytes())

    def __eq__(self, other: object) -> bool:
        return isinstance(other, Stack) and self.token == other.token

    def __hash__(self) -> int:
        return hash(self.token)


def ringed(outline: Floats, ring: Ring) -> Floats:
    """(m, 3) the outline at a ring, or (1, 3) where it has shrunk to nothing."""
    z, share, out = ring
    loop = moved_out(outline * share, out) if share > _NOTHING else moved_out(outline * _NOTHING, out)
    if np.linalg.norm(loop, axis=1).max() < 2 * _NOTHING * max(np.linalg.norm(outline, axis=1).max(), 1):
        loop = np.zeros((1, 2))
    return np.column_stack([loop, np.full(len(loop), z)])


def moved_out(outline: Floats, by: float) -> Floats:
    """Each side of a convex outline (m, 2) moved outwards by so many mm, or inwards; as many corners as before.

    Of a few sides the corners are where the moved sides meet. A finely drawn outline is asked along the ways from its middle
    to its corners, so that none is left behind where sides near a tip vanish.
    """
    if by == 0:
        return outline
    side = np.roll(outline, -1, axis=0) - outline
    n = np.column_stack([side[:, 1], -side[:, 0]])
    n /= np.maximum(np.linalg.norm(n, axis=1, keepdims=True), 1e-300)
    if len(outline) <= _FEW:
        way = np.roll(n, 1, axis=0) + n
        return np.asarray(outline + by * 2 / (way * way).sum(axis=1, keepdims=True) * way)
    far = (n * outline).sum(axis=1) + by
    reach = np.linalg.norm(outline, axis=1, keepdims=True)
    ways = outline / np.maximum(reach, 1e-300)
    ahead = ways @ n.T
    meets = np.where(ahead > 1e-9, far / np.where(ahead > 1e-9, ahead, 1.0), np.inf).min(axis=1, keepdims=True)
    return np.asarray(np.maximum(meets, 0.0) * ways)


def corners_of(outline: Floats) -> list[int]:
    """Where an outline has corners, so that what runs along it is no one smooth line."""
    side = np.roll(outline, -1, axis=0) - outline
    side = side / np.linalg.norm(side, axis=1, keepdims=True)
    bend = (np.roll(side, 1, axis=0) * side).sum(axis=1)
    return [int(k) for k in np.flatnonzero(bend < _CORNER)]


def _hull(loops: list[Floats], hollow: bool) -> tuple[Floats, Any]:
    points = np.concatenate(loops)
    starts = np.cumsum([0, *(len(loop) for loop in loops)])
    count = max(len(loop) for loop in loops)
    i = np.arange(count)
    j = (i + 1) % count
    found = []
    pairs = list(zip(range(len(loops)), range(1, len(loops)), strict=False))
    if hollow:
        pairs.append((len(loops) - 1, 0))
    for below, above in pairs:
        a, b = starts[below], starts[above]
        if len(loops[below]) == 1:
            found.append(np.column_stack([np.full(count, a), b + j, b + i]))
        elif len(loops[above]) == 1:
            found.append(np.column_stack([a + i, a + j, np.full(count, b)]))
        else:
            found.append(np.column_stack([a + i, a + j, b + j]))
            found.append(np.column_stack([a + i, b + j, b + i]))
    if not hollow:
        for loop, start, up in ((loops[0], starts[0], False), (loops[-1], starts[-2], True)):
            if len(loop) > 1:
                k = np.arange(1, count - 1)
                fan = np.column_stack([np.full(count - 2, start), start + k, start + k + 1])
                found.append(fan if up else fan[:, ::-1])
    return points, np.concatenate(found)


@dataclass(frozen=True)
class Pin:
    """A round pin from the middle ``point`` of its foot along a unit direction: ``length`` mm of a ``radius``, its tip flat,
    or round on top of that."""

    point: tuple[float, float, float]
    along: tuple[float, float, float]
    radius: float
    length: float
    is_round: bool = True

    def mesh(self, chord: float) -> manifold3d.Manifold:
        """As triangles whose circles keep within ``chord`` mm."""
        from zinc_otter.core.solid.exact import frame_at, sides

        count = sides(self.radius, chord)
        angle = 2 * np.pi * np.arange(count) / count
        circle = np.column_stack([np.cos(angle), np.sin(angle)])
        rings: list[Ring] = [(0.0, self.radius, 0.0), (self.length, self.radius, 0.0)]
        if self.is_round:
            steps = np.linspace(0, np.pi / 2, max(count // 4, 4) + 1)[1:]
            rings += [
                (self.length + self.radius * float(np.sin(a)), self.radius * float(np.cos(a)), 0.0) for a in steps[:-1]
            ]
            rings.append((self.length + self.radius, 0.0, 0.0))
        points, triangles = _hull([ringed(circle, ring) for ring in rings], False)
        mesh = manifold3d.Mesh64(np.ascontiguousarray(points), np.ascontiguousarray(triangles, dtype=np.uint64))
        return manifold3d.Manifold(mesh).transform(frame_at(self.point, self.along))

    def shape(self) -> TopoDS_Shape:
        """For the kernel: one turned solid."""
        from zinc_otter.core.solid.kernel.stacks import pinned

        return pinned(self)

    def grown(self, by: float) -> Pin | None:
        """As wide and as long again by so many mm on each side; None where nothing is left."""
        if self.radius + by <= _NOTHING or self.length + by <= _NOTHING:
            return None
        x, y, z = (float(p - by * a) for p, a in zip(self.point, self.along, strict=True))
        return replace(
            self, point=(x, y, z), radius=self.radius + by, length=self.length + (by if self.is_round else 2 * by)
        )
