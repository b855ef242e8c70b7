"""Cut a cage along a plane: faces that cross it are parted, so that edges run in the plane."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, rebuilt
from zinc_otter.core.cage.plane import Plane
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Ints
from zinc_otter.core.errors import BadSelectionError


def cut(cage: Cage, plane: Plane, tolerance: float = 1e-6) -> Edit:
    """Part the faces that cross a plane; the edges in the plane are selected.

    Vertices within ``tolerance`` mm are drawn into the plane. New vertices lie on the straight edges of the cage, and
    both parts of a creased edge stay creased. Raises BadSelectionError where a face crosses the plane more than once.
    """
    t = cage.topology
    heights = plane.heights(cage.positions)
    span = float(np.ptp(cage.positions, axis=0).max())
    side = np.where(np.abs(heights) <= max(tolerance, 1e-9 * span), 0, np.sign(heights)).astype(np.int8)
    positions = cage.positions.copy()
    on = side == 0
    positions[on] -= heights[on, None] * np.asarray(plane.normal)

    a, b = t.edge_verts.T
    crossed = np.flatnonzero(side[a] * side[b] < 0)
    share = heights[a[crossed]] / (heights[a[crossed]] - heights[b[crossed]])
    points = cage.positions[a[crossed]] * (1 - share[:, None]) + cage.positions[b[crossed]] * share[:, None]
    points -= plane.heights(points)[:, None] * np.asarray(plane.normal)
    new_vertex = np.full(t.edge_count, -1, dtype=np.int32)
    new_vertex[crossed] = t.vertex_count + np.arange(len(crossed))
    positions = np.concatenate([positions, points])

    signs = side[t.face_verts]
    above = np.maximum.reduceat(signs, t.face_offsets[:-1])
    below = np.minimum.reduceat(signs, t.face_offsets[:-1])
    straddles = (above > 0) & (below < 0)
    parts: list[Ints] = []
    for face in np.flatnonzero(straddles):
        parts += _parted(cage, int(face), side, new_vertex)
    # Faces beside a parted edge hold its new vertex too, even where they only touch the plane; there are none, since
    # such an edge has ends on both sides of it.
    sharp = [
        (np.column_stack([t.edge_verts[crossed, k], new_vertex[crossed]]), cage.edge_sharpness[crossed]) for k in (0, 1)
    ]
    by_size = {len(part): [p for p in parts if len(p) == len(part)] for part in parts}
    blocks = [np.array(same, dtype=np.int32) for same in by_size.values()]
    done = rebuilt(cage, positions, blocks, keep=~straddles, sharp=sharp)
    cage_after = _with_sets(cage, done.cage, straddles, [p for same in by_size.values() for p in same], parts)
    flat = np.abs(plane.heights(cage_after.positions)) <= 1e-9 * max(span, 1.0)
    edges = np.flatnonzero(flat[cage_after.topology.edge_verts].all(axis=1))
    return Edit(cage_after, Selection.of("edge", edges), done.old_to_new)


def _parted(cage: Cage, face: int, side: np.ndarray, new_vertex: Ints) -> list[Ints]:
    """The two parts of a face, each a loop of vertices."""
    t = cage.topology
    ring: list[int] = []
    signs: list[int] = []
    for corner in range(t.face_offsets[face], t.face_offsets[face + 1]):
        vertex = int(t.face_verts[corner])
        ring.append(vertex)
        signs.append(int(side[vertex]))
        between = int(new_vertex[t.corner_edge[corner]])
        if between >= 0:
            ring.append(between)
            signs.append(0)
    on = [i for i, sign in enumerate(signs) if sign == 0]
    if len(on) != 2:
        raise BadSelectionError(
            "A face crosses the plane more than once, or lies along it for a part; move its vertices off the plane.",
            faces=[face],
        )
    i, j = on
    return [np.array(ring[i : j + 1], dtype=np.int32), np.array(ring[j:] + ring[: i + 1], dtype=np.int32)]


def _with_sets(old: Cage, new: Cage, gone: np.ndarray, ordered: list[Ints], parts: list[Ints]) -> Cage:
    """Both parts of a face stay in its face sets."""
    if not old.face_sets:
        return new
    parents = np.repeat(np.flatnonzero(gone), 2)
    parent_of = {id(part): int(parent) for part, parent in zip(parts, parents, strict=True)}
    first = new.topology.face_count - len(ordered)
    sets = {}
    for name, faces in old.face_sets.items():
        members = set(faces.tolist())
        more = [first + k for k, part in enumerate(ordered) if parent_of[id(part)] in members]
        sets[name] = np.concatenate([new.face_sets[name], np.array(more, dtype=np.int32)])
    return Cage(new.positions, new.topology, new.edge_sharpness, new.vertex_sharpness, sets)
