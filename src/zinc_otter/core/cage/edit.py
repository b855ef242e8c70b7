"""What every edit returns: the new cage, what is now selected, and where the old elements went."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Floats, Ints, Topology


@dataclass(frozen=True, eq=False)
class ElementMap:
    """For each old vertex, edge and face the index of its successor, or -1 where it is gone."""

    vertices: Ints
    edges: Ints
    faces: Ints

    @classmethod
    def identity(cls, topology: Topology) -> ElementMap:
        return cls(
            np.arange(topology.vertex_count, dtype=np.int32),
            np.arange(topology.edge_count, dtype=np.int32),
            np.arange(topology.face_count, dtype=np.int32),
        )

    def follow(self, selection: Selection) -> Selection:
        """Where a selection of the old cage lies on the new one."""
        went = {"vertex": self.vertices, "edge": self.edges, "face": self.faces}[selection.kind][selection.ids]
        return Selection.of(selection.kind, went[went >= 0])


@dataclass(frozen=True, eq=False)
class Edit:
    """The result of one edit."""

    cage: Cage
    selected: Selection
    old_to_new: ElementMap


def same_structure(cage: Cage, selected: Selection) -> Edit:
    """An edit that left connectivity alone."""
    return Edit(cage, selected, ElementMap.identity(cage.topology))


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
    return cage, ElementMap(vertex_map, edge_map, face_map)
