"""Edges of a body on triangles that go on into one another without a corner: what is rounded or picked as one."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.cage.topology import Bools, Floats, Ints, joined_labels
from zinc_otter.core.solid.mesh.body import NamedTriangles

STRAIGHT = np.cos(np.radians(40.0))
"""Edges that turn by less than 40 degrees where they meet go on into one another."""


def chains(mesh: NamedTriangles, edges: Bools) -> Ints:
    """(j,) labels of those of the mesh's sides that ``edges`` (k,) tells, by the chain that each belongs to.

    A chain ends where another edge comes in, and at corners.
    """
    ends = mesh.sides.ends[edges]
    count = len(ends)
    verts, side = ends.ravel(), np.arange(2 * count)
    order = np.argsort(verts, kind="stable")
    _, first, many = np.unique(verts[order], return_index=True, return_counts=True)
    two = first[many == 2]
    one, other = side[order[two]], side[order[two + 1]]
    # Away from the shared vertex: from this end to the other end of the same edge.
    points = mesh.points[ends]
    way = unit(points[:, ::-1] - points).reshape(-1, 3)
    smooth = (way[one] * way[other]).sum(axis=1) < -STRAIGHT
    return joined_labels(count, np.column_stack([one[smooth] // 2, other[smooth] // 2]))


def nearest_chain(mesh: NamedTriangles, edges: Bools, point: Vec) -> Bools:
    """(k,) those of the ``edges`` that belong to the chain which comes nearest to a point."""
    chosen = np.zeros_like(edges)
    if edges.any():
        label = chains(mesh, edges)
        away = distances_to_segments(mesh.points[mesh.sides.ends[edges]], np.asarray(point))
        chosen[np.flatnonzero(edges)[label == label[np.argmin(away)]]] = True
    return chosen


def distances_to_segments(segments: Floats, point: Floats) -> Floats:
    """(k,) mm from a point (3,) to segments (k, 2, 3)."""
    start, way = segments[:, 0], segments[:, 1] - segments[:, 0]
    along = ((point - start) * way).sum(axis=1) / np.maximum((way**2).sum(axis=1), 1e-300)
    foot = start + np.clip(along, 0, 1)[:, None] * way
    return np.asarray(np.linalg.norm(foot - point, axis=1))
