"""Forms for these tests, and independent measures."""

from __future__ import annotations

import numpy as np
from scipy.spatial import cKDTree

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.primitives import cylinder
from zinc_otter.core.surface import build_stencils, evaluate


def tube(around: int = 16, rows: int = 6) -> Cage:
    """Open at both ends, along z, 20 mm wide and 60 mm long."""
    return cylinder((20, 60), (around, rows), "none")


def everything(cage: Cage, kind: str = "face") -> Selection:
    t = cage.topology
    return Selection.of(kind, range({"vertex": t.vertex_count, "edge": t.edge_count, "face": t.face_count}[kind]))  # type: ignore[arg-type]


def lengthwise(cage: Cage) -> np.ndarray:
    """Edges that run along z."""
    ends = cage.positions[cage.topology.edge_verts]
    return np.flatnonzero(np.ptp(ends, axis=1)[:, 2] > 0.5 * np.linalg.norm(ends[:, 0] - ends[:, 1], axis=1))


def at_height(cage: Cage, z: float, tolerance: float = 0.01) -> np.ndarray:
    """Edges that lie at a height."""
    ends = cage.positions[cage.topology.edge_verts][:, :, 2]
    return np.flatnonzero((np.abs(ends - z) < tolerance).all(axis=1))


def furthest(cage: Cage, old: Cage) -> float:
    """How far the dense surface of one cage lies from that of another: a search that shares nothing with the fit.

    Each sample takes the dense quads of the old surface around its nearest dense vertex, found by a tree, and goes down
    within each of them, bilinear, by Newton's steps. What is left is the facets' own error, for the tests to allow.
    """
    new = evaluate(build_stencils(cage, 3), cage).points
    stencils = build_stencils(old, 5)
    dense = evaluate(stencils, old).points
    _, nearest = cKDTree(dense).query(new)
    order = np.argsort(stencils.quads.ravel(), kind="stable")
    starts = np.searchsorted(stencils.quads.ravel()[order], np.arange(len(dense) + 1))
    best = np.full(len(new), np.inf)
    for k in range(int(np.diff(starts).max())):
        there = np.flatnonzero(starts[nearest] + k < starts[nearest + 1])
        quads = dense[stencils.quads[order[starts[nearest[there]] + k] // 4]]
        best[there] = np.minimum(best[there], _to_bilinear(new[there], quads))
    return float(best.max())


def _to_bilinear(points: np.ndarray, quads: np.ndarray) -> np.ndarray:
    """(k,) distances of points (k, 3) from bilinear quads (k, 4, 3)."""
    a, b, c, d = quads.transpose(1, 0, 2)
    uv = np.full((len(points), 2), 0.5)
    for _ in range(12):
        u, v = uv[:, :1], uv[:, 1:]
        off = (1 - u) * ((1 - v) * a + v * d) + u * ((1 - v) * b + v * c) - points
        du, dv = (1 - v) * (b - a) + v * (c - d), (1 - u) * (d - a) + u * (c - b)
        g = np.stack([(du * du).sum(1), (du * dv).sum(1), (dv * dv).sum(1)], axis=1)
        r = np.stack([(du * off).sum(1), (dv * off).sum(1)], axis=1)
        det = np.maximum(g[:, 0] * g[:, 2] - g[:, 1] ** 2, 1e-30)
        step = np.stack([g[:, 2] * r[:, 0] - g[:, 1] * r[:, 1], g[:, 0] * r[:, 1] - g[:, 1] * r[:, 0]], axis=1)
        uv = np.clip(uv - step / det[:, None], 0, 1)
    u, v = uv[:, :1], uv[:, 1:]
    at = (1 - u) * ((1 - v) * a + v * d) + u * ((1 - v) * b + v * c)
    return np.asarray(np.linalg.norm(at - points, axis=1))
