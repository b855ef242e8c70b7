"""The control cage: the one source of truth from which surface, followers and solids are derived."""

from __future__ import annotations

import hashlib
from collections.abc import Mapping, Sequence
from functools import cached_property
from types import MappingProxyType

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.cage.topology import Floats, Ints, Topology, read_only
from zinc_otter.core.errors import BadNumberError, UnsoundCageError
from zinc_otter.core.relief.relief import Relief

HARD = 10.0
"""Sharpness from which an edge or corner is hard at every level (the OpenSubdiv documentation's convention)."""

LARGEST_LENGTH = 1.0e6
"""Coordinates beyond this many millimetres (a kilometre) are taken for a slip."""


class Cage:
    """An immutable control cage.

    - ``positions`` (n, 3) float64, millimetres
    - ``topology``: its faces and their adjacency
    - ``edge_sharpness`` (e,) float64, 0 smooth to 10 hard, by the topology's edge numbering
    - ``vertex_sharpness`` (n,) float64, the same for corners
    - ``face_sets``: names to ascending face indices
    - ``relief``: detail that rides on the surface; edits are handed the plain cage, and never see it

    All arrays are closed to writing.
    """

    def __init__(
        self,
        positions: ArrayLike,
        topology: Topology,
        edge_sharpness: ArrayLike | None = None,
        vertex_sharpness: ArrayLike | None = None,
        face_sets: Mapping[str, ArrayLike] | None = None,
        relief: Relief | None = None,
    ) -> None:
        self.positions: Floats = np.array(positions, dtype=np.float64)
        self.topology = topology
        self.edge_sharpness = _sharpness(edge_sharpness, topology.edge_count, "edge")
        self.vertex_sharpness = _sharpness(vertex_sharpness, topology.vertex_count, "vertex")
        sets = {name: np.unique(np.asarray(faces, dtype=np.int32)) for name, faces in (face_sets or {}).items()}
        self.face_sets: Mapping[str, Ints] = MappingProxyType(sets)
        if self.positions.shape != (topology.vertex_count, 3):
            raise UnsoundCageError(
                f"The cage has {topology.vertex_count} vertices but positions of shape {self.positions.shape}."
            )
        wild = ~np.isfinite(self.positions).all(axis=1) | (np.abs(self.positions) > LARGEST_LENGTH).any(axis=1)
        if np.any(wild):
            bad = np.flatnonzero(wild)
            raise BadNumberError(f"Vertex {bad[0]} would lie nowhere, or more than a kilometre away.", vertices=bad)
        for faces in sets.values():
            if len(faces) and (faces[0] < 0 or faces[-1] >= topology.face_count):
                raise UnsoundCageError("A face set names a face that is not there.")
        self.relief = relief
        if relief is not None:
            relief.check(topology)
        for array in (self.positions, self.edge_sharpness, self.vertex_sharpness):
            read_only(array)
        for faces in sets.values():
            read_only(faces)

    @classmethod
    def from_faces(cls, positions: ArrayLike, faces: Sequence[Sequence[int]]) -> Cage:
        """A smooth cage from a list of faces, each a list of vertex indices counter-clockwise from outside.

        Raises UnsoundCageError where the faces are no oriented manifold.

        >>> Cage.from_faces([[0, 0, 0], [1, 0, 0], [1, 1, 0], [0, 1, 0]], [[0, 1, 2, 3]]).topology.face_count
        1
        """
        where = np.asarray(positions, dtype=np.float64)
        flat = np.array([v for face in faces for v in face], dtype=np.int32)
        offsets = np.cumsum([0, *(len(face) for face in faces)]).astype(np.int32)
        return cls(where, Topology.checked(len(where), flat, offsets))

    def __reduce__(self) -> tuple[object, ...]:
        """Cages travel to worker processes; what is cached is left behind."""
        return _rebuilt, (
            self.positions,
            self.topology,
            self.edge_sharpness,
            self.vertex_sharpness,
            dict(self.face_sets),
            self.relief,
        )

    # --- copies with one thing changed ------------------------------------------------------------------------------

    def with_positions(self, positions: ArrayLike) -> Cage:
        """The same cage with its vertices elsewhere."""
        return Cage(positions, self.topology, self.edge_sharpness, self.vertex_sharpness, self.face_sets, self.relief)

    def with_relief(self, relief: Relief | None) -> Cage:
        """The same cage with other detail on its surface, or with None plain."""
        if relief is self.relief:
            return self
        sets = self.face_sets
        return Cage(self.positions, self.topology, self.edge_sharpness, self.vertex_sharpness, sets, relief)

    @property
    def plain(self) -> Cage:
        """The cage without relief."""
        return self.with_relief(None)

    def with_sharpness(self, edges: ArrayLike | None = None, vertices: ArrayLike | None = None) -> Cage:
        """The same cage with other edge (e,) or vertex (n,) sharpness."""
        return Cage(
            self.positions,
            self.topology,
            self.edge_sharpness if edges is None else edges,
            self.vertex_sharpness if vertices is None else vertices,
            self.face_sets,
            self.relief,
        )

    # --- measures ---------------------------------------------------------------------------------------------------

    @cached_property
    def face_area_vectors(self) -> Floats:
        """(f, 3) area times normal of each face, by Newell's method (exact for planar faces).

        Source: I. Sutherland, R. Sproull, R. Schumacker, "A Characterization of Ten Hidden-Surface Algorithms", 1974.
        """
        t = self.topology
        here = self.positions[t.face_verts]
        there = self.positions[t.face_verts[t.corner_next]]
        # Relative to a vertex of the face, so that forms far from the origin lose no digits.
        anchor = self.positions[t.face_verts[t.face_offsets[:-1]]][t.corner_face]
        cross = np.cross(here - anchor, there - anchor)
        return 0.5 * np.add.reduceat(cross, t.face_offsets[:-1], axis=0)

    @cached_property
    def face_normals(self) -> Floats:
        """(f, 3) unit normals; zero where a face has no area."""
        return unit(self.face_area_vectors)

    @property
    def bounds(self) -> Floats:
        """(2, 3) least and greatest coordinates of the control points."""
        return np.array([self.positions.min(axis=0), self.positions.max(axis=0)])

    @cached_property
    def digest(self) -> str:
        """A hash of everything that decides the surface: structure, positions and what relief displaces."""
        h = hashlib.sha256(self.structure_digest.encode() + self.positions.tobytes())
        if self.relief is not None:
            h.update(self.relief.shape_digest.encode())
        return h.hexdigest()

    @cached_property
    def structure_digest(self) -> str:
        """A hash of all that decides the stencils: connectivity and sharpness, not positions."""
        h = hashlib.sha256(self.topology.digest.encode())
        h.update(self.edge_sharpness.tobytes())
        h.update(self.vertex_sharpness.tobytes())
        return h.hexdigest()

    def __eq__(self, other: object) -> bool:
        """Equal to the last bit: positions, faces, sharpness and face sets."""
        if not isinstance(other, Cage):
            return NotImplemented
        return (
            self.structure_digest == other.structure_digest
            and np.array_equal(self.positions, other.positions)
            and self.face_sets.keys() == other.face_sets.keys()
            and all(np.array_equal(self.face_sets[name], other.face_sets[name]) for name in self.face_sets)
            and (self.relief is other.relief or _digest_of(self.relief) == _digest_of(other.relief))
        )

    def __hash__(self) -> int:
        return hash(self.digest)


def _rebuilt(
    positions: Floats,
    topology: Topology,
    edge_sharpness: Floats,
    vertex_sharpness: Floats,
    face_sets: dict[str, Ints],
    relief: Relief | None = None,
) -> Cage:
    return Cage(positions, topology, edge_sharpness, vertex_sharpness, face_sets, relief)


def _digest_of(relief: Relief | None) -> str | None:
    return None if relief is None else relief.digest


def unit(vectors: Floats) -> Floats:
    """Vectors (..., 3) scaled to length 1; zero stays zero."""
    length = np.linalg.norm(vectors, axis=-1, keepdims=True)
    return np.divide(vectors, length, out=np.zeros_like(vectors), where=length > 0)


def _sharpness(values: ArrayLike | None, count: int, of: str) -> Floats:
    if values is None:
        return np.zeros(count)
    array = np.array(values, dtype=np.float64)
    if array.shape != (count,):
        raise UnsoundCageError(f"The cage has {count} {of} sharpnesses to set, but {array.shape} were given.")
    if not np.all((array >= 0) & (array <= HARD)):
        bad = np.flatnonzero(~((array >= 0) & (array <= HARD)))
        raise BadNumberError(f"Sharpness runs from 0 (smooth) to {HARD:g} (hard); {array[bad[0]]} is outside.")
    return array
