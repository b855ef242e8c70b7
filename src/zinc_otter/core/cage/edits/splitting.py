"""Split the faces of an edge ring: one more loop through the middle of its edges."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, ElementMap, edges_between, rebuilt
from zinc_otter.core.cage.picking.loops import edge_ring, face_strip
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Floats, Ints, Topology
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

    Their faces gain the corners; both parts of a creased edge stay creased. Returns the new vertices (sum,) too.
    """
    t = cage.topology
    first = np.full(t.edge_count, -1, dtype=np.int64)
    first[edges] = t.vertex_count + np.concatenate([[0], np.cumsum(counts)[:-1]])
    number = np.zeros(t.edge_count, dtype=np.int64)
    number[edges] = counts
    touched = np.zeros(t.face_count, dtype=bool)
    touched[t.corner_face[number[t.corner_edge] > 0]] = True
    rings: dict[int, list[tuple[int, list[int]]]] = {}
    for face in np.flatnonzero(touched).tolist():
        ring: list[int] = []
        for corner in range(t.face_offsets[face], t.face_offsets[face + 1]):
            vertex, edge = int(t.face_verts[corner]), int(t.corner_edge[corner])
            new = list(range(first[edge], first[edge] + number[edge])) if number[edge] else []
            ring += [vertex, *(new if vertex == t.edge_verts[edge, 0] else reversed(new))]
        rings.setdefault(len(ring), []).append((face, ring))
    sharp = []
    for edge, count in zip(edges.tolist(), counts.tolist(), strict=True):
        a, b = t.edge_verts[edge]
        walk = np.array([a, *range(first[edge], first[edge] + count), b])
        sharp.append((np.column_stack([walk[:-1], walk[1:]]), float(cage.edge_sharpness[edge])))
    ordered = [face for size in sorted(rings) for face, _ in rings[size]]
    blocks = [np.array([ring for _, ring in rings[size]], dtype=np.int32) for size in sorted(rings)]
    done = rebuilt(cage, np.concatenate([cage.positions, points]), blocks, keep=~touched, sharp=sharp)
    faces = done.old_to_new.faces.copy()
    faces[ordered] = done.added
    corners = same_corners(cage.topology, done.cage.topology, faces, done.verts)
    sets = {name: faces[ids] for name, ids in cage.face_sets.items()}
    after = Cage(
        done.cage.positions, done.cage.topology, done.cage.edge_sharpness, done.cage.vertex_sharpness, sets
    )
    went = ElementMap(done.old_to_new.vertices, done.old_to_new.edges, faces, corners)
    fresh = done.verts[t.vertex_count :]
    return Edit(after, Selection.of("vertex", fresh), went), fresh


def same_corners(t: Topology, after: Topology, faces: Ints, verts: Ints) -> Ints:
    """(c,) the corner of the same vertex in the face that an old one became, -1 for none.

    ``faces`` (f,) and ``verts`` (n,) take old faces and vertices to new ones, -1 for gone.
    """
    keys = after.corner_face.astype(np.int64) * after.vertex_count + after.face_verts
    order = np.argsort(keys)
    face, vertex = faces[t.corner_face].astype(np.int64), verts[t.face_verts]
    wanted = face * after.vertex_count + vertex
    at = order[np.minimum(np.searchsorted(keys[order], wanted), len(keys) - 1)]
    return np.where((face >= 0) & (vertex >= 0) & (keys[at] == wanted), at, -1).astype(np.int32)


def parted(cage: Cage, faces: Ints, new_vertex: Ints, points: Floats) -> Split:
    """Part ``faces`` between the new vertices on two of their edges, or four; others that touch one gain a corner.

    ``new_vertex`` (e,) numbers the vertices put on edges from the cage's count on, -1 for none; ``points`` (k, 3).
    """
    t = cage.topology
    positions = np.concatenate([cage.positions, points])
    fresh = new_vertex[t.corner_edge]
    on_face = np.bincount(t.corner_face[fresh >= 0], minlength=t.face_count)
    cut = np.zeros(t.face_count, dtype=bool)
    cut[faces] = True
    touched = on_face > 0
    blocks: dict[int, list[tuple[int, list[int]]]] = {}

    def add(face: int, ring: list[int]) -> None:
        blocks.setdefault(len(ring), []).append((face, ring))

    middles: list[Floats] = []
    for face in np.flatnonzero(touched).tolist():
        ring: list[int] = []
        at: list[int] = []
        for corner in range(t.face_offsets[face], t.face_offsets[face + 1]):
            ring.append(int(t.face_verts[corner]))
            if fresh[corner] >= 0:
                at.append(len(ring))
                ring.append(int(fresh[corner]))
        if cut[face] and len(at) == 2:
            i, j = at
            add(face, ring[i : j + 1])
            add(face, ring[j:] + ring[: i + 1])
        elif cut[face] and len(at) == 4:
            centre = len(positions) + len(middles)
            middles.append(positions[ring].mean(axis=0))
            for k in range(4):
                i, j = at[k], at[(k + 1) % 4]
                between = ring[i : j + 1] if i < j else ring[i:] + ring[: j + 1]
                add(face, [*between, centre])
        else:
            add(face, ring)
    ordered = [entry for size in sorted(blocks) for entry in blocks[size]]
    arrays = [np.array([ring for _, ring in blocks[size]], dtype=np.int32) for size in sorted(blocks)]
    split_edges = np.flatnonzero(new_vertex >= 0)
    sharp = [
        (np.column_stack([t.edge_verts[split_edges, k], new_vertex[split_edges]]), cage.edge_sharpness[split_edges])
        for k in (0, 1)
    ]
    if middles:
        positions = np.concatenate([positions, np.array(middles)])
    done = rebuilt(cage, positions, arrays, keep=~touched, sharp=sharp)
    new_faces = done.added
    parents = np.array([face for face, _ in ordered], dtype=np.int32)
    sets = {
        name: np.concatenate([faces_of, new_faces[np.isin(parents, cage.face_sets[name])]])
        for name, faces_of in done.cage.face_sets.items()
    }
    after = Cage(
        done.cage.positions, done.cage.topology, done.cage.edge_sharpness, done.cage.vertex_sharpness, sets
    )
    halves = [
        np.column_stack([split_edges, edges_between(after.topology, done.verts[pairs])]) for pairs, _ in sharp
    ]
    is_new = np.zeros(after.topology.vertex_count, dtype=bool)
    is_new[done.verts[cage.topology.vertex_count :]] = True
    loop = np.flatnonzero(is_new[after.topology.edge_verts].all(axis=1))
    return Split(
        after, Selection.of("edge", loop), done.old_to_new,
        edge_parts=np.concatenate(halves).astype(np.int32), face_parts=np.column_stack([parents, new_faces]),
    )  # fmt: skip
