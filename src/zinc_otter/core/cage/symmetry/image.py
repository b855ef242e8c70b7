"""The image of a cage in a mirror, vertex by vertex and face by face."""

from __future__ import annotations

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import edges_between
from zinc_otter.core.cage.plane import Plane
from zinc_otter.core.cage.symmetry.group import Group
from zinc_otter.core.cage.topology import Topology


def mirrored_copy(cage: Cage, plane: Plane) -> Cage:
    """The image of a cage in a plane: vertices and faces keep their numbers, and faces look outwards again."""
    t = cage.topology
    turned = Topology(t.vertex_count, t.face_verts[t.reversed_corners], t.face_offsets)
    return Cage(
        Group((plane,)).moved(1, cage.positions),
        turned,
        # Edges are numbered by their vertices, so that they keep their numbers too.
        cage.edge_sharpness[edges_between(t, turned.edge_verts)],
        cage.vertex_sharpness,
        cage.face_sets,
    )
