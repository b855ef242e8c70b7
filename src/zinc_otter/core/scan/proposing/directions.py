"""A field of crosses over a triangle mesh: smooth, along the lines of curvature where there are any, and along open rims.

Each cross is a complex number to the fourth power in its vertex' tangent plane, and the smoothest field is found by one
linear solve (F. Knöppel, K. Crane, U. Pinkall, P. Schröder, "Globally optimal direction fields", SIGGRAPH 2013).
"""

from __future__ import annotations

from dataclasses import dataclass

import igl
import numpy as np
from scipy.sparse import coo_matrix, csc_matrix, diags_array

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.proof.pseudonormals import Pseudonormals, Wiring
from zinc_otter.core.scan.cleaning import rims
from zinc_otter.core.scan.proposing.guides import Guides
from zinc_otter.core.symmetric import factored

_ALONG_BENDS, _ALONG_RIMS = 0.03, 30.0


@dataclass(frozen=True, eq=False)
class Crosses:
    """Unit ``normals`` and one arm ``along`` of each cross (n, 3), with the ``edges`` (e, 2) of the mesh."""

    normals: Floats
    along: Floats
    edges: Ints

    @property
    def across(self) -> Floats:
        return np.cross(self.normals, self.along)


def directions(v: Floats, f: Ints, guides: Guides | None = None) -> Crosses:
    """The field of an oriented manifold of vertices (n, 3) and triangles (m, 3); it goes along the ``guides``, too."""
    normals = unit(Pseudonormals(v, Wiring(f)).of_vertices)
    first = unit(np.cross(normals, np.where(np.abs(normals[:, :1]) < 0.7, [[1.0, 0, 0]], [[0, 1.0, 0]])))
    second = np.cross(normals, first)
    edges = edges_of(f)
    i, j = edges.T

    def angle(at: Ints, vectors: Floats) -> Floats:
        return np.arctan2((vectors * second[at]).sum(axis=1), (vectors * first[at]).sum(axis=1))

    way = v[j] - v[i]
    turn = np.exp(4j * (angle(j, way) - angle(i, way)))
    n = len(v)
    # |z_j - turn z_i|² summed up over the edges.
    rows, columns = np.concatenate([i, j, i, j]), np.concatenate([i, j, j, i])
    values = np.concatenate([np.ones(2 * len(edges)), -turn.conj(), -turn])
    smooth = coo_matrix((values, (rows, columns)), (n, n)).tocsr()
    goal, weight = _curved(v, f, first, second)
    for loop in rims(f):
        tangent = np.roll(v[loop], -1, axis=0) - np.roll(v[loop], 1, axis=0)
        goal[loop] = np.exp(4j * angle(loop, tangent))
        weight[loop] = _ALONG_RIMS
    if guides is not None:
        on = guides.inner
        goal[on] = np.exp(4j * angle(on, guides.tangents(v)[on]))
        weight[on] = _ALONG_RIMS
    system = csc_matrix(smooth + diags_array(weight + 1e-6))
    z = factored(system).solve(weight * goal)
    theta = np.angle(z) / 4
    along = np.cos(theta)[:, None] * first + np.sin(theta)[:, None] * second
    return Crosses(normals, along, edges)


def edges_of(f: Ints) -> Ints:
    """(e, 2) the edges of triangles, the lesser vertex first."""
    ends = np.sort(np.concatenate([f[:, [0, 1]], f[:, [1, 2]], f[:, [2, 0]]]), axis=1)
    return np.unique(ends, axis=0)


def _curved(v: Floats, f: Ints, first: Floats, second: Floats) -> tuple[np.ndarray, Floats]:
    """Where the lines of curvature go, as fourth powers (n,), and how much that counts: nothing where it bends evenly."""
    one, _, most, least, _ = igl.principal_curvature(v, f, 6, True)
    most, least = (np.asarray(k).reshape(-1) for k in (most, least))
    theta = np.arctan2((one * second).sum(axis=1), (one * first).sum(axis=1))
    bend = np.abs(most) + np.abs(least)
    uneven = np.abs(most - least) / np.maximum(bend, 1e-12)
    # Where it is nearly flat its curvature is noise.
    size = float(np.linalg.norm(np.ptp(v, axis=0)))
    told = np.clip(bend * size / 4, 0, 1)
    weight = _ALONG_BENDS * uneven**2 * told
    weight[~np.isfinite(weight) | ~np.isfinite(theta)] = 0.0
    return np.exp(4j * np.nan_to_num(theta)), weight + 1e-9
