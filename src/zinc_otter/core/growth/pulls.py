"""What a hand did on a grown form: differences of control points that stay on top while it grows anew."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.topology import Floats, read_only


@dataclass(frozen=True, eq=False)
class Pulls:
    """By how much each control point was pulled, ``local`` (n, 3) mm in the frame of its place on the grown cage.

    ``layout`` names the faces that they belong to: among others they mean nothing.
    """

    layout: str
    local: Floats

    def __post_init__(self) -> None:
        read_only(self.local)

    @property
    def count(self) -> int:
        """How many control points were pulled."""
        return int((self.local != 0).any(axis=1).sum())

    def fit(self, cage: Cage) -> bool:
        """Whether they belong to the faces of a cage."""
        return cage.topology.digest == self.layout and len(self.local) == cage.topology.vertex_count

    def on(self, cage: Cage) -> Cage:
        """The grown cage, pulled. It must ``fit``."""
        moved = np.flatnonzero((self.local != 0).any(axis=1))
        positions = cage.positions.copy()
        positions[moved] += np.einsum("nji,nj->ni", frames(cage)[moved], self.local[moved])
        return cage.with_positions(positions)


def pulls_between(grown: Cage, pulled: Cage) -> Pulls | None:
    """What leads from a grown cage to the same one with its vertices elsewhere; None where none was moved."""
    off = pulled.positions - grown.positions
    if not off.any():
        return None
    local = np.einsum("nij,nj->ni", frames(grown), off)
    local[~off.any(axis=1)] = 0.0
    return Pulls(grown.topology.digest, local)


def frames(cage: Cage) -> Floats:
    """(n, 3, 3) three unit rows at each vertex: along its first edge in the surface, square to that, and the normal.

    They turn with the place: what was pulled outwards stays outwards when the form bends.
    """
    t = cage.topology
    normal = np.zeros((t.vertex_count, 3))
    np.add.at(normal, t.face_verts, cage.face_area_vectors[t.corner_face])
    normal = unit(normal)
    lost = ~normal.any(axis=1)
    normal[lost] = (0.0, 0.0, 1.0)
    ends = np.concatenate([t.edge_verts, t.edge_verts[:, ::-1]])
    # Of each vertex the edge with the lowest number.
    _, first = np.unique(ends[:, 0], return_index=True)
    along = np.zeros((t.vertex_count, 3))
    along[ends[first, 0]] = cage.positions[ends[first, 1]] - cage.positions[ends[first, 0]]
    along -= (along * normal).sum(axis=1, keepdims=True) * normal
    along = unit(along)
    lost = ~along.any(axis=1)
    along[lost] = unit(np.cross(normal[lost], np.eye(3)[np.abs(normal[lost]).argmin(axis=1)]))
    return np.stack([along, np.cross(normal, along), normal], axis=1)
