"""What is picked on a cage: elements of one kind."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.topology import Bools, Floats, Ints, Topology, read_only
from zinc_otter.core.errors import BadSelectionError

Kind = Literal["vertex", "edge", "face"]

PLURAL: dict[Kind, str] = {"vertex": "vertices", "edge": "edges", "face": "faces"}


@dataclass(frozen=True, eq=False)
class Selection:
    """Ascending, distinct indices ``ids`` of elements of one ``kind``."""

    kind: Kind
    ids: Ints

    @classmethod
    def of(cls, kind: Kind, ids: ArrayLike) -> Selection:
        array = np.unique(np.asarray(ids, dtype=np.int32)).astype(np.int32)
        read_only(array)
        return cls(kind, array)

    def __len__(self) -> int:
        return len(self.ids)

    def __eq__(self, other: object) -> bool:
        return isinstance(other, Selection) and self.kind == other.kind and np.array_equal(self.ids, other.ids)

    def words(self) -> str:
        """For example ``1 face`` or ``12 edges``."""
        return f"{len(self)} {self.kind if len(self) == 1 else PLURAL[self.kind]}"

    def check(self, topology: Topology) -> None:
        """Raise BadSelectionError when empty or when it names elements that are not there."""
        if len(self) == 0:
            raise BadSelectionError(f"Pick some {PLURAL[self.kind]} first.")
        count = count_of(topology, self.kind)
        if self.ids[0] < 0 or self.ids[-1] >= count:
            raise BadSelectionError(
                f"There is no {self.kind} {self.ids[-1] if self.ids[-1] >= count else self.ids[0]}: "
                f"the cage has {count} {PLURAL[self.kind]}."
            )


def count_of(topology: Topology, kind: Kind) -> int:
    """How many elements of a kind there are."""
    return {"vertex": topology.vertex_count, "edge": topology.edge_count, "face": topology.face_count}[kind]


def middles_of(cage: Cage, kind: Kind) -> Floats:
    """(k, 3) the middle of each element: the mean of its vertices."""
    t = cage.topology
    if kind == "vertex":
        return cage.positions
    if kind == "edge":
        return np.asarray(cage.positions[t.edge_verts].mean(axis=1))
    sums = np.add.reduceat(cage.positions[t.face_verts], t.face_offsets[:-1], axis=0)
    return np.asarray(sums / t.face_sizes[:, None])


def _vertex_mask(topology: Topology, selection: Selection) -> Bools:
    mask = np.zeros(topology.vertex_count, dtype=bool)
    if selection.kind == "vertex":
        mask[selection.ids] = True
    elif selection.kind == "edge":
        mask[topology.edge_verts[selection.ids]] = True
    else:
        chosen = np.zeros(topology.face_count, dtype=bool)
        chosen[selection.ids] = True
        mask[topology.face_verts[chosen[topology.corner_face]]] = True
    return mask


def vertices_of(topology: Topology, selection: Selection) -> Ints:
    """The vertices that a selection holds."""
    return np.flatnonzero(_vertex_mask(topology, selection)).astype(np.int32)


def touching_faces(topology: Topology, selection: Selection) -> Ints:
    """The faces that lie in a selection (faces), or that touch it (vertices, edges)."""
    if selection.kind == "face":
        return selection.ids
    if selection.kind == "edge":
        faces = topology.edge_faces[selection.ids].ravel()
        return np.unique(faces[faces >= 0]).astype(np.int32)
    mask = _vertex_mask(topology, selection)
    return np.unique(topology.corner_face[mask[topology.face_verts]]).astype(np.int32)


def convert(topology: Topology, selection: Selection, kind: Kind) -> Selection:
    """The same place as elements of another kind: going down all that it holds, going up all that it wholly covers."""
    if kind == selection.kind:
        return selection
    mask = _vertex_mask(topology, selection)
    if kind == "vertex":
        return Selection.of(kind, np.flatnonzero(mask))
    if kind == "edge":
        if selection.kind == "face":
            chosen = np.isin(topology.corner_face, selection.ids)
            return Selection.of(kind, topology.corner_edge[chosen])
        return Selection.of(kind, np.flatnonzero(mask[topology.edge_verts].all(axis=1)))
    covered = np.logical_and.reduceat(mask[topology.face_verts], topology.face_offsets[:-1])
    return Selection.of(kind, np.flatnonzero(covered))


def vertex_normals(cage: Cage, face_vectors: Floats) -> Floats:
    """(n, 3) unit sums of ``face_vectors`` (f, 3), area times normal, of the faces around each vertex; zero for none."""
    t = cage.topology
    of_corner = face_vectors[t.corner_face]
    axes = [np.bincount(t.face_verts, of_corner[:, k], t.vertex_count) for k in range(3)]
    return unit(np.stack(axes, axis=1))


def mean_normal(cage: Cage, selection: Selection) -> Floats:
    """(3,) unit area-weighted mean normal of the faces in, or touching, a selection.

    Raises BadSelectionError where the normals cancel out, as on a whole closed form.
    """
    vectors = cage.face_area_vectors[touching_faces(cage.topology, selection)]
    total = vectors.sum(axis=0)
    if np.linalg.norm(total) <= 1e-9 * np.linalg.norm(vectors, axis=1).sum():
        raise BadSelectionError("The picked faces look to all sides, so they have no mean normal; pick one side of them.")
    return np.asarray(unit(total))
