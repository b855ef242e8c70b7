"""One step of Catmull-Clark refinement as a sparse matrix.

Sources: E. Catmull, J. Clark, "Recursively generated B-spline surfaces on arbitrary topological meshes", CAD 10(6), 1978,
for the smooth rules; T. DeRose, M. Kass, T. Truong, "Subdivision Surfaces in Character Animation", SIGGRAPH 1998, for
boundaries, creases, corners and darts. Where fractional sharpness makes a vertex change its rule, the two rules are
blended by the mean sharpness of what fades, as the OpenSubdiv documentation describes; the 1998 paper leaves that open.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from scipy.sparse import csr_matrix, vstack

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.surface.level import Level, decremented
from zinc_otter.core.surface.rows import RowBuilder


def refine(level: Level) -> tuple[Level, csr_matrix]:
    """The child level, and the matrix (n_child, n) that takes its points from the parent's."""
    matrix = _quad_matrix(level) if level.topology.all_quads else _general_matrix(level)
    return level.child(), matrix


# --- the rules, as weights of masks ---------------------------------------------------------------------------------


@dataclass(frozen=True, eq=False)
class VertexRules:
    """How much of each mask a vertex takes (n,), and the two neighbours along its crease (n, 2)."""

    smooth: Floats
    crease: Floats
    corner: Floats
    crease_ends: Ints


def vertex_rules(level: Level) -> VertexRules:
    """Weights of the smooth, crease and corner mask at each vertex; they sum to 1."""
    t = level.topology
    n = t.vertex_count
    child_edges, child_verts = decremented(level.edge_sharpness), decremented(level.vertex_sharpness)
    now = _rules(level.vertex_sharpness, _count_at(t.edge_verts[level.edge_sharpness > 0], n))
    later = _rules(child_verts, _count_at(t.edge_verts[child_edges > 0], n))

    # Where the rule changes, what fades (sharp now, smooth in the child) decides the blend by its mean sharpness.
    fading = (level.edge_sharpness > 0) & (child_edges <= 0)
    ends = t.edge_verts[fading].ravel()
    total = np.bincount(ends, np.repeat(level.edge_sharpness[fading], 2), minlength=n)
    count = np.bincount(ends, minlength=n)
    corner_fades = (level.vertex_sharpness > 0) & (child_verts <= 0)
    total = total + np.where(corner_fades, level.vertex_sharpness, 0.0)
    count = count + corner_fades
    share = np.where(count > 0, np.minimum(total / np.maximum(count, 1), 1.0), 0.0)
    share[(now == later) | (now == SMOOTH)] = 1.0

    weights = np.zeros((3, n))
    every = np.arange(n)
    weights[now, every] += share
    weights[later, every] += 1.0 - share

    # A vertex on a crease now uses the present crease; one that becomes part of a crease uses the one that remains.
    crease_ends = np.zeros((n, 2), dtype=np.int32)
    remaining = (now != CREASE) & (later == CREASE)
    for sharp, at in ((level.edge_sharpness > 0, now == CREASE), (child_edges > 0, remaining)):
        _fill_crease_ends(t.edge_verts[sharp], at, crease_ends)
    return VertexRules(weights[SMOOTH], weights[CREASE], weights[CORNER], crease_ends)


SMOOTH, CREASE, CORNER = 0, 1, 2


def _rules(vertex_sharpness: Floats, sharp_edges: Ints) -> Ints:
    rule = np.where(sharp_edges < 2, SMOOTH, np.where(sharp_edges == 2, CREASE, CORNER))
    return np.where(vertex_sharpness > 0, CORNER, rule).astype(np.int32)


def _count_at(edge_verts: Ints, vertex_count: int) -> Ints:
    return np.bincount(edge_verts.ravel(), minlength=vertex_count).astype(np.int32)


def _fill_crease_ends(edges: Ints, at: np.ndarray, ends: Ints) -> None:
    """For the vertices ``at`` write the other ends of their two ``edges`` (k, 2)."""
    here = np.concatenate([edges[:, 0], edges[:, 1]])
    there = np.concatenate([edges[:, 1], edges[:, 0]])
    wanted = at[here]
    order = np.argsort(here[wanted], kind="stable")
    ends[here[wanted][order][::2]] = there[wanted][order].reshape(-1, 2)


# --- matrices -------------------------------------------------------------------------------------------------------


def _quad_matrix(level: Level) -> csr_matrix:
    """All faces quads: every weight is written down directly."""
    t = level.topology
    v, e, f = t.vertex_count, t.edge_count, t.face_count
    rows = RowBuilder(v + e + f, v)
    rules = vertex_rules(level)
    for verts, corners in level.fans:
        smooth = rules.smooth[verts]
        some = smooth > 0
        if not some.all():
            verts, corners, smooth = verts[some], corners[some], smooth[some]
        if len(verts) == 0:
            continue
        n = corners.shape[1]
        following = t.corner_next[corners]
        weight = smooth[:, None]
        rows.add(verts, verts, ((n - 2) / n + 0.25 / n) * weight)
        rows.add(verts, t.face_verts[following], 1.5 / n**2 * weight)
        rows.add(verts, t.face_verts[t.corner_next[following]], 0.25 / n**2 * weight)
    _add_sharp_vertices(rows, rules)

    # Edge points: (v1 + v2 + f1 + f2) / 4, drawn towards the middle of the edge by its sharpness.
    sharp = np.minimum(level.edge_sharpness, 1.0)
    soft = np.flatnonzero(sharp < 1.0).astype(np.int32)
    first = t.edge_corners[soft]
    ahead = t.corner_next[first]
    fade = (1.0 - sharp[soft])[:, None]
    opposite = t.corner_next[ahead]
    far = t.face_verts[np.concatenate([opposite, t.corner_next[opposite]], axis=1)]
    rows.add(v + soft, t.edge_verts[soft], 0.375 * fade + 0.5 * (1.0 - fade))
    rows.add(v + soft, far, 0.0625 * fade)
    hard = np.flatnonzero(sharp >= 1.0).astype(np.int32)
    rows.add(v + hard, t.edge_verts[hard], 0.5)
    rows.add(v + e + np.arange(f, dtype=np.int32), t.face_verts.reshape(-1, 4), 0.25)
    return rows.matrix()


def _general_matrix(level: Level) -> csr_matrix:
    """Faces of any size: the face points come first, and the rest is built on them. Used for level 0 only."""
    t = level.topology
    v, e, f = t.vertex_count, t.edge_count, t.face_count
    corner_weight = 1.0 / t.face_sizes[t.corner_face]
    face_points = csr_matrix((corner_weight, t.face_verts, t.face_offsets), shape=(f, v))

    rules = vertex_rules(level)
    own = RowBuilder(v + e, v)
    through = RowBuilder(v + e, f)
    for verts, corners in level.fans:
        n = corners.shape[1]
        weight = rules.smooth[verts][:, None]
        own.add(verts, verts, (n - 2) / n * weight)
        own.add(verts, t.face_verts[t.corner_next[corners]], weight / n**2)
        through.add(verts, t.corner_face[corners], weight / n**2)
    _add_sharp_vertices(own, rules)

    sharp = np.minimum(level.edge_sharpness, 1.0)
    edges = np.arange(e, dtype=np.int32)
    own.add(v + edges, t.edge_verts, (0.25 * (1.0 - sharp) + 0.5 * sharp)[:, None])
    soft = np.flatnonzero(sharp < 1.0).astype(np.int32)
    through.add(v + soft, t.edge_faces[soft], 0.25 * (1.0 - sharp[soft])[:, None])
    return csr_matrix(vstack([own.matrix() + through.matrix() @ face_points, face_points]))


def _add_sharp_vertices(rows: RowBuilder, rules: VertexRules) -> None:
    crease = np.flatnonzero(rules.crease > 0).astype(np.int32)
    weight = rules.crease[crease][:, None]
    rows.add(crease, crease, 0.75 * weight)
    rows.add(crease, rules.crease_ends[crease], 0.125 * weight)
    corner = np.flatnonzero(rules.corner > 0).astype(np.int32)
    rows.add(corner, corner, rules.corner[corner][:, None])
