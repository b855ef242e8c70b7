"""Part faces between two places on their border."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.building.gridding import Split
from zinc_otter.core.cage.building.reringing import reringed
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import edges_between
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.errors import BadSelectionError


def parted(cage: Cage, faces: Ints, new_vertex: Ints, points: Floats, on: Bools | None = None) -> Split:
    """Part ``faces`` between two places on their border; others on a parted edge gain a corner.

    ``new_vertex`` (e,) numbers the vertices put on edges from the cage's count on, -1 for none; ``points`` (k, 3). Places
    are these, and old vertices that are ``on`` (n,) the line. The new loop is selected. Raises BadSelectionError for a
    face with another number of places.
    """
    t = cage.topology
    fresh = new_vertex[t.corner_edge]
    cut = np.zeros(t.face_count, dtype=bool)
    cut[faces] = True
    touched = cut.copy()
    touched[t.corner_face[fresh >= 0]] = True
    rings: list[tuple[list[int], list[int]]] = []
    positions = np.concatenate([cage.positions, points])
    for face in np.flatnonzero(touched).tolist():
        ring: list[int] = []
        at: list[int] = []
        for corner in range(t.face_offsets[face], t.face_offsets[face + 1]):
            vertex = int(t.face_verts[corner])
            if on is not None and on[vertex]:
                at.append(len(ring))
            ring.append(vertex)
            if fresh[corner] >= 0:
                at.append(len(ring))
                ring.append(int(fresh[corner]))
        if not cut[face]:
            rings.append(([face], ring))
        elif len(at) == 2:
            i, j = at
            rings += [([face], ring[i : j + 1]), ([face], ring[j:] + ring[: i + 1])]
        else:
            raise BadSelectionError(
                "A face would be parted in more than one place, or along its own edge; move its vertices a little.",
                faces=[face],
            )
    split_edges = np.flatnonzero(new_vertex >= 0)
    halves = [np.column_stack([t.edge_verts[split_edges, k], new_vertex[split_edges]]) for k in (0, 1)]
    done = reringed(
        cage,
        positions,
        rings,
        [(half, cage.edge_sharpness[split_edges]) for half in halves],
    )
    after = done.cage.topology
    parts = [np.column_stack([split_edges, edges_between(after, done.verts[half])]) for half in halves]
    line = np.zeros(after.vertex_count, dtype=bool)
    line[done.verts[t.vertex_count :]] = True
    if on is not None:
        line[done.verts[: t.vertex_count][on]] = True
    loop = np.flatnonzero(line[after.edge_verts].all(axis=1))
    return Split(
        done.cage, Selection.of("edge", loop), done.old_to_new,
        edge_parts=np.concatenate(parts).astype(np.int32), face_parts=done.face_parts,
    )  # fmt: skip
