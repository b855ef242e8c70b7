"""Split the faces of an edge ring: one more loop through the middle of its edges."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, edges_between
from zinc_otter.core.cage.edits.reringing import reringed
from zinc_otter.core.cage.picking.loops import edge_ring, face_strip
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.errors import BadSelectionError


@dataclass(frozen=True, eq=False)
class Split(Edit):
    """An edit that parted faces and edges: ``edge_parts`` and ``face_parts`` hold (old, new) pairs (k, 2)."""

    edge_parts: Ints | None = None
    face_parts: Ints | None = None

    def whole(self, selection: Selection) -> Selection:
        """Where a selection of the old cage lies now, with all parts of what was parted."""
        went = {"edge": self.edge_parts, "face": self.face_parts}.get(selection.kind)
        kept = self.old_to_new.follow(selection).ids
        more = went[np.isin(went[:, 0], selection.ids), 1] if went is not None else np.zeros(0, dtype=np.int32)
        return Selection.of(selection.kind, np.concatenate([kept, more]))


def split_rings(cage: Cage, selection: Selection, share: float = 0.5) -> Split:
    """Part all faces of the rings through the selected edges, at a ``share`` of each edge; the new loop is selected.

    Where a ring ends at a face that is no quad, that face gains a vertex. Raises BadSelectionError.
    """
    t = cage.topology
    selection.check(t)
    if selection.kind != "edge":
        raise BadSelectionError("A loop is added across edges; pick an edge.")
    rings = np.unique(np.concatenate([edge_ring(t, int(edge)) for edge in selection.ids]))
    strips = np.unique(np.concatenate([face_strip(t, int(edge)) for edge in selection.ids]))
    new_vertex = np.full(t.edge_count, -1, dtype=np.int32)
    new_vertex[rings] = t.vertex_count + np.arange(len(rings))
    a, b = cage.positions[t.edge_verts[rings]].transpose(1, 0, 2)
    return parted(cage, strips, new_vertex, (1 - share) * a + share * b)


def put_on_edges(cage: Cage, edges: Ints, counts: Ints, points: Floats) -> tuple[Edit, Ints]:
    """Put ``counts`` (k,) vertices on ``edges`` (k,): ``points`` (sum, 3), edge by edge, each from its lower vertex on.

    Their faces gain the corners; all parts of a creased edge stay creased. Returns the new vertices (sum,) too.
    """
    t = cage.topology
    firsts = t.vertex_count + np.concatenate([[0], np.cumsum(counts)[:-1]])
    fresh = {
        edge: list(range(first, first + count))
        for edge, first, count in zip(edges.tolist(), firsts.tolist(), counts.tolist(), strict=True)
    }
    faces = t.edge_faces[edges].ravel()
    rings = []
    for face in np.unique(faces[faces >= 0]).tolist():
        ring: list[int] = []
        for corner in range(t.face_offsets[face], t.face_offsets[face + 1]):
            vertex, edge = int(t.face_verts[corner]), int(t.corner_edge[corner])
            new = fresh.get(edge, [])
            ring += [vertex, *(new if vertex == t.edge_verts[edge, 0] else reversed(new))]
        rings.append(([face], ring))
    split = []
    for edge, between in fresh.items():
        walk = np.array([t.edge_verts[edge, 0], *between, t.edge_verts[edge, 1]])
        split.append((np.column_stack([walk[:-1], walk[1:]]), np.full(len(between) + 1, cage.edge_sharpness[edge])))
    done = reringed(cage, np.concatenate([cage.positions, points]), rings, split)
    new_verts = done.verts[t.vertex_count :]
    return Edit(done.cage, Selection.of("vertex", new_verts), done.old_to_new), new_verts


def parted(cage: Cage, faces: Ints, new_vertex: Ints, points: Floats, on: Bools | None = None) -> Split:
    """Part ``faces`` between two places on their border, or four about a middle; others on a parted edge gain a corner.

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
    middles: list[Floats] = []
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
        elif len(at) == 4 and on is None:
            centre = len(positions) + len(middles)
            middles.append(positions[ring].mean(axis=0))
            for i, j in zip(at, [*at[1:], at[0]], strict=True):
                between = ring[i : j + 1] if i < j else ring[i:] + ring[: j + 1]
                rings.append(([face], [*between, centre]))
        else:
            raise BadSelectionError(
                "A face would be parted in more than one place, or along its own edge; move its vertices a little.",
                faces=[face],
            )
    split_edges = np.flatnonzero(new_vertex >= 0)
    halves = [np.column_stack([t.edge_verts[split_edges, k], new_vertex[split_edges]]) for k in (0, 1)]
    done = reringed(
        cage,
        np.concatenate([positions, np.array(middles).reshape(-1, 3)]),
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
