"""A solid as triangles, each of which knows what made it: the piece itself, or one of its followers.

The booleans are manifold3d's, which keeps for each triangle the body that it came from.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from functools import cached_property

import manifold3d
import numpy as np
from scipy.sparse import coo_matrix
from scipy.sparse.csgraph import connected_components

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.errors import CoreError

Name = str
"""What made a face: "piece", or the id of a follower."""

SHARP = np.cos(np.radians(20.0))
"""Between triangles of one origin only bends of more than 20 degrees are edges."""

FLUSH = np.cos(np.radians(0.5))
"""Between triangles of two origins a bend of less than half a degree is none."""


@dataclass(frozen=True, eq=False)
class MeshBody:
    """A closed solid in mm; ``names`` maps the numbers that manifold3d gives to what it joined to names."""

    solid: manifold3d.Manifold
    names: Mapping[int, Name]

    @property
    def volume(self) -> float:
        """mm³."""
        return float(self.solid.volume())

    @property
    def area(self) -> float:
        """mm²."""
        return float(self.solid.surface_area())

    @property
    def size(self) -> Floats:
        """(3,) extent in mm."""
        low_x, low_y, low_z, high_x, high_y, high_z = self.solid.bounding_box()
        return np.array([high_x - low_x, high_y - low_y, high_z - low_z])

    @cached_property
    def mesh(self) -> NamedTriangles:
        """Its triangles with the origin of each."""
        mesh = self.solid.to_mesh64()
        faces = np.asarray(mesh.tri_verts).astype(np.int64).reshape(-1, 3)
        # Vertices that differ only in their properties count as one; ours have none, so none need to be merged.
        points = np.asarray(mesh.vert_properties)[:, :3].astype(np.float64)
        names = tuple(sorted(set(self.names.values())))
        of_run = [names.index(self.names[int(i)]) for i in mesh.run_original_id]
        ends = np.asarray(mesh.run_index, dtype=np.int64) // 3
        counts = ends[1:] - ends[:-1]
        return NamedTriangles(points, faces, np.repeat(np.array(of_run, dtype=np.int32), counts), names)

    def moved(self, matrix: Floats) -> MeshBody:
        """The body under an affine map, the upper 3 by 4 part of a matrix; a mirroring map keeps it outside out."""
        return MeshBody(self.solid.transform(np.asarray(matrix, dtype=np.float64)[:3, :4]), self.names)

    def joined(self, other: MeshBody) -> MeshBody:
        return self._with(other, self.solid + other.solid)

    def less(self, other: MeshBody) -> MeshBody:
        return self._with(other, self.solid - other.solid)

    def shared(self, other: MeshBody) -> MeshBody:
        return self._with(other, self.solid ^ other.solid)

    def renamed(self, name: Name) -> MeshBody:
        """All of it under one name."""
        return MeshBody(self.solid, dict.fromkeys(self.names, name))

    def _with(self, other: MeshBody, solid: manifold3d.Manifold) -> MeshBody:
        return MeshBody(solid, {**self.names, **other.names})


@dataclass(frozen=True, eq=False)
class Sides:
    """The edges of closed triangles: ``ends`` (k, 2), the triangles ``one`` and ``other`` (k,) on them.

    ``bent``: they meet at a sharp angle; ``apart``: different things made them.
    """

    ends: Ints
    one: Ints
    other: Ints
    bent: Bools
    apart: Bools


@dataclass(frozen=True, eq=False)
class NamedTriangles:
    """Points (n, 3) in mm, triangles (m, 3), and ``made_by`` (m,) as indices into ``names``."""

    points: Floats
    triangles: Ints
    made_by: Ints
    names: tuple[Name, ...]

    @cached_property
    def normals(self) -> Floats:
        """(m, 3) unit normals of the triangles."""
        a, b, c = (self.points[self.triangles[:, k]] for k in range(3))
        return unit(np.cross(b - a, c - a))

    @cached_property
    def sides(self) -> Sides:
        """All edges, with the two triangles of each."""
        ends = np.concatenate([self.triangles[:, [0, 1]], self.triangles[:, [1, 2]], self.triangles[:, [2, 0]]])
        owner = np.tile(np.arange(len(self.triangles)), 3)
        key = np.sort(ends, axis=1)
        order = np.lexsort((key[:, 1], key[:, 0]))
        one, other = owner[order[::2]], owner[order[1::2]]
        normals = self.normals
        cos = (normals[one] * normals[other]).sum(axis=1)
        # Where a rib is flush with a side there is no edge, though other things made both faces.
        apart = (self.made_by[one] != self.made_by[other]) & (cos < FLUSH)
        return Sides(key[order[::2]], one, other, cos < SHARP, apart)

    def between(self, names: tuple[Name, Name]) -> Bools:
        """(k,) which of the ``sides`` lie between two names, or, for a name with itself, where its faces bend sharply."""
        sides = self.sides
        if not set(names) <= set(self.names):
            return np.zeros(len(sides.ends), dtype=bool)
        a, b = (self.names.index(name) for name in names)
        one, other = self.made_by[sides.one], self.made_by[sides.other]
        if a == b:
            return np.asarray((one == a) & (other == a) & sides.bent)
        return np.asarray((((one == a) & (other == b)) | ((one == b) & (other == a))) & sides.apart)

    def segments(self, names: tuple[Name, Name]) -> Floats:
        """(k, 2, 3) the edges between two names in mm."""
        return self.points[self.sides.ends[self.between(names)]]

    def edges(self) -> dict[tuple[Name, Name], Floats]:
        """Where faces of two names meet, and where faces of one name bend sharply: (k, 2, 3) segments in mm by names.

        The two names of a pair are in alphabetical order.
        """
        sides = self.sides
        pairs = np.sort(np.column_stack([self.made_by[sides.one], self.made_by[sides.other]]), axis=1)
        found = [(self.names[a], self.names[b]) for a, b in np.unique(pairs[sides.apart | sides.bent], axis=0)]
        return {names: self.segments(names) for names in found}

    def shaded(self) -> tuple[Floats, Floats, Ints]:
        """Points, normals and triangles to be drawn: corners parted where a sharp bend parts the surface.

        Normals are the mean over the triangles around a point that lie on one smooth sheet, whatever made them, weighted by
        angle and area: a round runs out smoothly into the larger triangles of the faces beside it.
        """
        drawn, normals, corners = self.parted
        return self.points[drawn], normals, corners

    @cached_property
    def parted(self) -> tuple[Ints, Floats, Ints]:
        """The same as rows: the point (r,) of each, its normal (r, 3), and the triangles (m, 3) by rows."""
        normals = self.normals
        corners = self.triangles.ravel()
        owner = np.repeat(np.arange(len(self.triangles)), 3)
        p = self.points[self.triangles]
        one, other = unit(np.roll(p, -1, axis=1) - p), unit(np.roll(p, 1, axis=1) - p)
        area = np.linalg.norm(np.cross(p[:, 1] - p[:, 0], p[:, 2] - p[:, 0]), axis=1)
        weight = (np.arccos(np.clip((one * other).sum(axis=2), -1, 1)) * area[:, None]).ravel()
        _, first, rows = np.unique(
            corners * (1 + len(self.triangles)) + self._joined(~self.sides.bent)[owner],
            return_index=True,
            return_inverse=True,
        )
        return corners[first], _mean(rows, normals[owner] * weight[:, None]), rows.reshape(-1, 3)

    @cached_property
    def sheets(self) -> Ints:
        """(m,) which smooth sheet each triangle belongs to: those joined over edges that neither bend nor part names."""
        return self._joined(~(self.sides.bent | self.sides.apart))

    def _joined(self, over: Bools) -> Ints:
        """(m,) labels of triangles that hang together over these edges."""
        one, other = self.sides.one[over], self.sides.other[over]
        count = len(self.triangles)
        graph = coo_matrix((np.ones(len(one)), (one, other)), shape=(count, count))
        return np.asarray(connected_components(graph, directed=False)[1])


def together(bodies: Sequence[MeshBody]) -> MeshBody:
    """Many bodies as one, joined in the order that is quickest."""
    names = {number: name for body in bodies for number, name in body.names.items()}
    return MeshBody(manifold3d.Manifold.batch_boolean([body.solid for body in bodies], manifold3d.OpType.Add), names)


def _mean(groups: Ints, vectors: Floats) -> Floats:
    count = int(groups.max()) + 1
    return unit(np.column_stack([np.bincount(groups, vectors[:, k], minlength=count) for k in range(3)]))


def mesh_body(points: Floats, triangles: Ints, name: Name) -> MeshBody:
    """A body of one name. Raises CoreError unless the triangles enclose a solid, outside out."""
    mesh = manifold3d.Mesh64(np.ascontiguousarray(points, dtype=np.float64), triangles.astype(np.uint64))
    return named(_solid(mesh), name)


def mesh_body_of(points: Floats, triangles: Ints, parts: Ints, names: Sequence[Name]) -> MeshBody:
    """A body of several names: ``parts`` (m,) gives that of each triangle, as an index. Raises CoreError, see mesh_body."""
    order = np.argsort(parts, kind="stable")
    counts = np.bincount(parts, minlength=len(names))
    first = manifold3d.Manifold.reserve_ids(len(names))
    solid = _solid(
        manifold3d.Mesh64(
            np.ascontiguousarray(points, dtype=np.float64),
            triangles[order].astype(np.uint64),
            run_index=np.concatenate([[0], 3 * np.cumsum(counts)]).astype(np.uint64),
            run_original_id=np.arange(first, first + len(names), dtype=np.uint32),
        )
    )
    return MeshBody(solid, {first + k: name for k, name in enumerate(names)})


def _solid(mesh: manifold3d.Mesh64) -> manifold3d.Manifold:
    solid = manifold3d.Manifold(mesh)
    if solid.status() != manifold3d.Error.NoError:
        raise CoreError("These triangles enclose no solid: some edge has not just two of them, or a number is not finite.")
    if solid.is_empty() or solid.volume() <= 0:
        raise CoreError("These triangles enclose nothing, or are turned inside out.")
    return solid


def named(solid: manifold3d.Manifold, name: Name) -> MeshBody:
    """A manifold3d solid as a body of one name."""
    own = solid.as_original()
    return MeshBody(own, {own.original_id(): name})
