"""A bar of four sides through many places: walls and slots that follow a row."""

from __future__ import annotations

from dataclasses import dataclass
from typing import TYPE_CHECKING

import manifold3d
import numpy as np

from zinc_otter.core.cage.topology import Floats, read_only
from zinc_otter.core.errors import CoreError

if TYPE_CHECKING:
    from OCP.TopoDS import TopoDS_Shape


@dataclass(frozen=True, eq=False)
class Bar:
    """``sections`` (k, 4, 3) corners in mm, each counter-clockwise seen against the way they go; a ``closed`` one ends where
    it begins."""

    sections: Floats
    closed: bool = False

    def __post_init__(self) -> None:
        read_only(self.sections)

    def mesh(self, chord: float) -> manifold3d.Manifold:
        """As triangles; its sides are straight from section to section, so that ``chord`` plays no part."""
        k = len(self.sections)
        points = np.array(self.sections.reshape(-1, 3))
        found = []
        for here in range(k if self.closed else k - 1):
            a, b = 4 * here, 4 * ((here + 1) % k)
            for i in range(4):
                j = (i + 1) % 4
                found += [[a + i, a + j, b + j], [a + i, b + j, b + i]]
        if not self.closed:
            last = 4 * (k - 1)
            found += [[0, 2, 1], [0, 3, 2], [last, last + 1, last + 2], [last, last + 2, last + 3]]
        mesh = manifold3d.Mesh64(points, np.array(found, dtype=np.uint64))
        made = manifold3d.Manifold(mesh)
        if made.status() != manifold3d.Error.NoError or made.volume() <= 0:
            raise CoreError("A wall of the channel encloses nothing: the stones turn too sharply from one to the next.")
        return made

    def shape(self) -> TopoDS_Shape:
        """For the kernel: the same sides, faceted."""
        from zinc_otter.core.solid.kernel.stacks import barred

        return barred(self)

    def grown(self, by: float) -> Bar | None:
        """Each section ``by`` mm wider to all four sides, and the ends further out; None where nothing is left."""
        middle = self.sections.mean(axis=1, keepdims=True)
        away = self.sections - middle
        one, other = away[:, [0]] - away[:, [1]], away[:, [1]] - away[:, [2]]
        u, v = (w / np.maximum(np.linalg.norm(w, axis=2, keepdims=True), 1e-12) for w in (one, other))
        signs = np.array([[1, 1], [-1, 1], [-1, -1], [1, -1]])
        if by < 0 and min(np.linalg.norm(one, axis=2).min(), np.linalg.norm(other, axis=2).min()) <= -2 * by:
            return None
        moved = self.sections + by * (signs[None, :, :1] * u + signs[None, :, 1:] * v)
        if not self.closed:
            moved = moved.copy()
            for end, beside in ((0, 1), (-1, -2)):
                way = (middle[end] - middle[beside])[0]
                moved[end] += by * way / max(float(np.linalg.norm(way)), 1e-12)
        return Bar(moved, self.closed)
