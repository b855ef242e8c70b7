"""Give faces other rings of vertices: parted, grown together, or with a vertex more or less on an edge."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import groupby

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import ElementMap, edges_between, rebuilt
from zinc_otter.core.cage.topology import Floats, Ints, Topology


@dataclass(frozen=True, eq=False)
class Rering:
    """A cage of which some faces have new rings.

    ``verts`` (m,) takes vertices of the numbering that the rings were given in to their index, -1 for one of no face;
    ``face_parts`` (rings, 2) are old faces and the new ones that come of them.
    """

    cage: Cage
    old_to_new: ElementMap
    verts: Ints
    face_parts: Ints


def reringed(
    cage: Cage,
    positions: Floats,
    rings: Sequence[tuple[Sequence[int], Sequence[int]]],
    split: Sequence[tuple[Ints, Floats | float]] = (),
    corner_verts: Ints | None = None,
    leaving: Ints | None = None,
) -> Rering:
    """Replace faces: each entry of ``rings`` holds the old faces that it comes of, and its loop of vertices.

    ``positions`` (m, 3) begins with the old vertices; faces that no ring comes of stay as they are. Edges whose two ends
    go on side by side keep their sharpness, whichever faces they lie between; ``split`` gives that of further pairs of
    vertices (k, 2). Face sets hold all that comes of their faces. A face goes on where one ring only comes of it, and its
    corners do at the same vertices, or where ``corner_verts`` (c,) tells another, -1 for none; ``leaving`` (c,) tells from
    which vertex the half-edge of each corner starts where a corner became several.
    Raises UnsoundCageError.
    """
    t = cage.topology
    by_size = sorted(rings, key=lambda entry: len(entry[1]))
    blocks = [
        np.array([ring for _, ring in run], dtype=np.int32) for _, run in groupby(by_size, key=lambda entry: len(entry[1]))
    ]
    stays = np.ones(t.face_count, dtype=bool)
    parts = [(face, k) for k, (faces, _) in enumerate(by_size) for face in faces]
    old, which = np.array(parts, dtype=np.int32).reshape(-1, 2).T
    stays[old] = False
    done = rebuilt(cage, positions, blocks, keep=stays, sharp=[(t.edge_verts, cage.edge_sharpness), *split])
    new = (done.first_added + which).astype(np.int32)

    faces = done.old_to_new.faces.copy()
    once = np.bincount(old, minlength=t.face_count)[old] == 1
    faces[old[once]] = new[once]
    sets = {name: np.union1d(done.cage.face_sets[name], new[np.isin(old, ids)]) for name, ids in cage.face_sets.items()}
    after = done.cage
    after = Cage(after.positions, after.topology, after.edge_sharpness, after.vertex_sharpness, sets)
    edges = edges_between(after.topology, done.verts[t.edge_verts])
    at = t.face_verts if corner_verts is None else corner_verts
    corners = _same_corners(t, after.topology, faces, np.where(at >= 0, done.verts[at], -1))
    half_edges = None if leaving is None else _same_corners(t, after.topology, faces, done.verts[leaving])
    went = ElementMap(done.old_to_new.vertices, edges, faces, corners, half_edges)
    return Rering(after, went, done.verts, np.column_stack([old, new]))


def _same_corners(t: Topology, after: Topology, faces: Ints, vertex: Ints) -> Ints:
    """(c,) the corner of ``vertex`` (c,) in the face that an old one became, -1 for none."""
    keys = after.corner_face.astype(np.int64) * after.vertex_count + after.face_verts
    order = np.argsort(keys)
    face = faces[t.corner_face].astype(np.int64)
    wanted = face * after.vertex_count + vertex
    at = order[np.minimum(np.searchsorted(keys[order], wanted), len(keys) - 1)]
    return np.where((face >= 0) & (vertex >= 0) & (keys[at] == wanted), at, -1).astype(np.int32)
