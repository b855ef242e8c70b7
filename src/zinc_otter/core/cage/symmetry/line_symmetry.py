"""A row of control points that is its own image: the mirror of a curve."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property

import numpy as np

from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.line_topology import LineTopology
from zinc_otter.core.cage.symmetry.group import Group
from zinc_otter.core.cage.symmetry.symmetric import Symmetry, SymmetryError
from zinc_otter.core.cage.topology import Floats, Ints


@dataclass(frozen=True, eq=False)
class LineSymmetry(Symmetry):
    """As a cage's symmetry, where there are no corners: ``corners`` are the images (n,) of the vertices.

    A mirror lets a row run backwards: of an open one vertex i goes to n - 1 - i, of a ring to ``about`` - i.
    """

    @cached_property
    def vertices(self) -> Ints:
        return self.group.images(self.corners)

    @cached_property
    def faces(self) -> Ints:
        return np.zeros((self.group.order, 0), dtype=np.int32)

    @cached_property
    def edges(self) -> Ints:
        t = self.topology
        keys = t.edge_verts.astype(np.int64) @ [t.vertex_count, 1]
        there = np.sort(self.vertices[:, t.edge_verts], axis=2).astype(np.int64) @ [t.vertex_count, 1]
        return np.asarray(np.searchsorted(keys, there), dtype=np.int32)

    @property
    def is_sound(self) -> bool:
        """Whether the images are those that a mirror of this row can have."""
        t = self.topology
        if not isinstance(t, LineTopology) or self.group.axis is not None or len(self.group.planes) != 1:
            return False
        return any(np.array_equal(self.corners[0], _turned(t, about)) for about in _abouts(t))

    def carried(self, done: Edit, at: Ints | None = None) -> Symmetry:
        t = done.cage.topology
        assert isinstance(t, LineTopology)
        went, (images,) = done.old_to_new.vertices, self.corners
        both = np.flatnonzero((went >= 0) & (went[images] >= 0))
        abouts = np.unique((went[both] + went[images[both]]) % (t.vertex_count if t.closed else t.vertex_count + 1))
        if len(abouts) > 1 or (len(abouts) and not t.closed and abouts[0] != t.vertex_count - 1):
            raise SymmetryError(
                "The curve has a mirror; this would leave its sides with different points. Make it independent to do it on "
                "one side only.",
                vertices=both[:1],
            )
        about = int(abouts[0]) if len(abouts) else nearest_about(self.group, t, done.cage.positions)
        return of_line(self.group, t, about)


def of_line(group: Group, topology: LineTopology, about: int) -> LineSymmetry:
    """The symmetry of a row under one mirror. Vertex i and vertex ``about`` - i are images."""
    return LineSymmetry(group, topology, (_turned(topology, about),))


def nearest_about(group: Group, topology: LineTopology, positions: Floats) -> int:
    """The way to pair a row's vertices (n, 3) off that has to move them least."""
    there = group.moved(1, positions)
    off = {about: np.linalg.norm(positions[_turned(topology, about)] - there, axis=1).max() for about in _abouts(topology)}
    return min(off, key=lambda about: (float(off[about]), about))


def _abouts(t: LineTopology) -> range:
    return range(t.vertex_count) if t.closed else range(t.vertex_count - 1, t.vertex_count)


def _turned(t: LineTopology, about: int) -> Ints:
    return ((about - np.arange(t.vertex_count)) % t.vertex_count).astype(np.int32)
