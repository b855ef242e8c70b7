"""What every edit returns: the new cage, what is now selected, and where the old elements went."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Bools, Floats, Ints, Topology


@dataclass(frozen=True, eq=False)
class ElementMap:
    """For each old vertex, edge, face and corner the index of its successor, or -1 where it is gone.

    Where a corner became several, ``half_edges`` (c,) tells at which corner the half-edge that left it starts now.
    """

    vertices: Ints
    edges: Ints
    faces: Ints
    corners: Ints
    half_edges: Ints | None = None

    @classmethod
    def identity(cls, topology: Topology) -> ElementMap:
        return cls(
            np.arange(topology.vertex_count, dtype=np.int32),
            np.arange(topology.edge_count, dtype=np.int32),
            np.arange(topology.face_count, dtype=np.int32),
            np.arange(topology.corner_count, dtype=np.int32),
        )

    @property
    def stays(self) -> bool:
        """Whether every element kept its number."""
        return all((table == np.arange(len(table))).all() for table in (self.vertices, self.edges, self.faces))

    def then(self, later: ElementMap) -> ElementMap:
        """This map and a later one as one."""

        def both(first: Ints, second: Ints) -> Ints:
            return np.where(first >= 0, second[np.maximum(first, 0)], -1).astype(np.int32)

        return ElementMap(
            both(self.vertices, later.vertices), both(self.edges, later.edges), both(self.faces, later.faces),
            both(self.corners, later.corners),
        )  # fmt: skip

    def follow(self, selection: Selection) -> Selection:
        """Where a selection of the old cage lies on the new one."""
        went = {"vertex": self.vertices, "edge": self.edges, "face": self.faces}[selection.kind][selection.ids]
        return Selection.of(selection.kind, went[went >= 0])


@dataclass(frozen=True, eq=False)
class Edit:
    """The result of one edit.

    ``rest`` (n, 3) tells where each vertex of the new cage stood, or grew from, before the edit moved it; without it
    they stand where the new cage has them. ``weights`` (n,) is how far each vertex took part, where that was asked for.
    ``suspect`` are faces of the new cage where the edit could not keep what it promises, for one an even wall;
    ``remarks`` are sentences on how true it came out.
    """

    cage: Cage
    selected: Selection
    old_to_new: ElementMap
    rest: Floats | None = None
    weights: Floats | None = None
    suspect: Ints | None = None
    remarks: tuple[str, ...] = ()


def same_structure(cage: Cage, selected: Selection) -> Edit:
    """An edit that left connectivity alone."""
    return Edit(cage, selected, ElementMap.identity(cage.topology))


@dataclass(frozen=True, eq=False)
class Rebuilt:
    """A cage after faces were added and taken away.

    ``verts`` (m,) takes a vertex of the numbering that the faces were given in to its index, -1 for one of no face;
    the added faces are numbered from ``first_added``, in the order in which they were given.
    """

    cage: Cage
    old_to_new: ElementMap
    verts: Ints
    first_added: int

    @property
    def added(self) -> Ints:
        return np.arange(self.first_added, self.cage.topology.face_count, dtype=np.int32)


def rebuilt(
    old: Cage,
    positions: Floats,
    added: Sequence[Ints],
    *,
    keep: Bools | None = None,
    corner_verts: Ints | None = None,
    corner_order: Ints | None = None,
    sharp: Sequence[tuple[Ints, Floats | float]] = (),
) -> Rebuilt:
    """The cage of the faces that are kept, on other vertices where told so, and of ``added`` ones.

    ``positions`` (m, 3) begins with the old vertices; ``added`` holds blocks (k, sides) of faces over them. ``keep``
    (f,) tells which old faces stay, ``corner_verts`` (c,) the vertices of their corners. Vertices of no face go.
    ``sharp`` sets the sharpness of further edges: pairs of vertices (k, 2) and values; an edge has the greatest given.
    Raises UnsoundCageError where this is no oriented manifold.
    """
    t = old.topology
    stays = np.ones(t.face_count, dtype=bool) if keep is None else keep
    old_verts = t.face_verts if corner_verts is None else corner_verts
    stay_corner = stays[t.corner_face]
    blocks = [np.asarray(block, dtype=np.int32) for block in added if len(block)]
    flat = np.concatenate([old_verts[stay_corner], *(block.ravel() for block in blocks)]).astype(np.int32)
    sizes = np.concatenate([t.face_sizes[stays], *(np.full(len(b), b.shape[1], dtype=np.int32) for b in blocks)])
    used = np.zeros(len(positions), dtype=bool)
    used[flat] = True
    verts = np.where(used, np.cumsum(used) - 1, -1).astype(np.int32)
    offsets = np.concatenate([[0], np.cumsum(sizes)]).astype(np.int32)
    topology = Topology.checked(int(used.sum()), verts[flat], offsets)
    corner_map = np.where(stay_corner, np.cumsum(stay_corner) - 1, -1).astype(np.int32)
    cage, went = carried(old, positions[used], topology, verts[: t.vertex_count], corner_map, corner_order)
    if sharp:
        values = cage.edge_sharpness.copy()
        for pairs, sharpness in sharp:
            edges = edges_between(topology, verts[pairs])
            there = edges >= 0
            amount = np.broadcast_to(np.asarray(sharpness, dtype=np.float64), there.shape)
            np.maximum.at(values, edges[there], amount[there])
        cage = cage.with_sharpness(edges=values)
    return Rebuilt(cage, went, verts, int(stays.sum()))


def edges_between(t: Topology, pairs: Ints) -> Ints:
    """(k,) the edge between each pair of vertices (k, 2), -1 where there is none."""
    low, high = np.sort(np.asarray(pairs, dtype=np.int64).reshape(-1, 2), axis=1).T
    keys = t.edge_verts[:, 0].astype(np.int64) * t.vertex_count + t.edge_verts[:, 1]
    wanted = low * t.vertex_count + high
    at = np.minimum(np.searchsorted(keys, wanted), len(keys) - 1)
    return np.where((low >= 0) & (keys[at] == wanted), at, -1).astype(np.int32)


def carried(
    old: Cage,
    positions: Floats,
    topology: Topology,
    vertex_map: Ints,
    corner_map: Ints,
    corner_order: Ints | None = None,
) -> tuple[Cage, ElementMap]:
    """A cage of new connectivity with sharpness and face sets carried over from the old one.

    ``vertex_map`` (n_old,) and ``corner_map`` (c_old,) give successors, -1 for gone. An edge follows its corners; where
    its two corners part (the rim of an extrusion) the later one in ``corner_order`` decides.
    """
    t = old.topology
    order = np.arange(t.corner_count, dtype=np.int32) if corner_order is None else corner_order
    order = order[corner_map[order] >= 0]
    edge_map = np.full(t.edge_count, -1, dtype=np.int32)
    edge_map[t.corner_edge[order]] = topology.corner_edge[corner_map[order]]
    face_map = np.full(t.face_count, -1, dtype=np.int32)
    face_map[t.corner_face[order]] = topology.corner_face[corner_map[order]]
    edge_sharpness = np.zeros(topology.edge_count)
    there = edge_map >= 0
    edge_sharpness[edge_map[there]] = old.edge_sharpness[there]
    vertex_sharpness = np.zeros(topology.vertex_count)
    there = vertex_map >= 0
    vertex_sharpness[vertex_map[there]] = old.vertex_sharpness[there]
    face_sets = {name: (went := face_map[faces])[went >= 0] for name, faces in old.face_sets.items()}
    cage = Cage(positions, topology, edge_sharpness, vertex_sharpness, face_sets)
    return cage, ElementMap(vertex_map, edge_map, face_map, corner_map)
