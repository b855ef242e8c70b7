"""Weld vertices: all that are picked into one, or those of them that lie close together."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np
from scipy.spatial import cKDTree

from zinc_otter.core.cage.building.merging import averaged, merged, renumbered
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.selection import Selection, vertices_of
from zinc_otter.core.cage.topology import Ints, joined_labels
from zinc_otter.core.errors import BadNumberError, BadSelectionError, UnsoundCageError
from zinc_otter.core.words import length_words


def weld(cage: Cage, selection: Selection, *, onto: int | None = None, point: Sequence[float] | None = None) -> Edit:
    """Make all that is picked one vertex: at its middle, at its vertex ``onto``, or at a ``point`` (3,).

    Raises BadSelectionError, BadNumberError, UnsoundCageError.

    >>> from zinc_otter.core.primitives import plane
    >>> sheet = plane((10, 10), (2, 1))
    >>> weld(sheet, Selection.of("vertex", [0, 1])).cage.topology.vertex_count
    5
    """
    selection.check(cage.topology)
    verts = vertices_of(cage.topology, selection)
    if len(verts) < 2:
        raise BadSelectionError("Welding makes several vertices one; pick at least two.")
    groups = np.arange(cage.topology.vertex_count)
    groups[verts] = verts[0]
    target = cage.positions[verts].mean(axis=0)
    if onto is not None:
        if onto not in verts:
            raise BadSelectionError(f"Vertex {onto}, onto which to weld, is not among the picked.")
        target = cage.positions[onto]
    if point is not None:
        target = np.asarray(point, dtype=np.float64)
        if not np.isfinite(target).all():
            raise BadNumberError("The point to weld at lies nowhere.")
    return _welded(cage, groups, {int(verts[0]): target})


def weld_close(cage: Cage, selection: Selection, tolerance: float) -> Edit:
    """Make one vertex each of those picked vertices that lie within ``tolerance`` mm of one another, at their middle.

    Raises BadSelectionError where none lie so close, BadNumberError, UnsoundCageError.

    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.cage.edits.detach import detach
    >>> parted = detach(box((10, 10, 10), (1, 1, 1)), Selection.of("face", [0])).cage
    >>> weld_close(parted, Selection.of("vertex", range(parted.topology.vertex_count)), 0.01).cage.topology.vertex_count
    8
    """
    if not (np.isfinite(tolerance) and tolerance >= 0):
        raise BadNumberError("The tolerance is a length of 0 or more.")
    groups = close_groups(cage, selection, tolerance)
    if len(np.unique(groups)) == len(groups):
        raise BadSelectionError(f"No two of the picked vertices lie within {length_words(tolerance)} of each other.")
    return _welded(cage, groups, {})


def close_groups(cage: Cage, selection: Selection, tolerance: float) -> Ints:
    """(n,) for each vertex the first of those that it would be welded with."""
    selection.check(cage.topology)
    verts = vertices_of(cage.topology, selection)
    # A hair more than asked for, so that what lies just at the tolerance counts.
    pairs = cKDTree(cage.positions[verts]).query_pairs(tolerance * (1 + 1e-9) + 1e-12, output_type="ndarray")
    label = joined_labels(len(verts), pairs)
    _, first = np.unique(label, return_index=True)
    groups = np.arange(cage.topology.vertex_count)
    groups[verts] = verts[first[label]]
    return groups


def _welded(cage: Cage, groups: Ints, targets: dict[int, np.ndarray]) -> Edit:
    label = renumbered(groups)
    positions = averaged(cage.positions, label)
    for vertex, target in targets.items():
        positions[label[vertex]] = target
    counts = np.bincount(label)
    try:
        after, went = merged(cage, label, positions)
    except UnsoundCageError as error:
        raise UnsoundCageError(
            f"These cannot be welded: {str(error)[0].lower()}{str(error)[1:]}",
            vertices=np.flatnonzero(counts[label] > 1),
        ) from error
    new = went.vertices[counts[label] > 1]
    count = len(np.unique(label[counts[label] > 1]))
    remark = f"{count} {'vertex comes' if count == 1 else 'vertices come'} of it, marked."
    return Edit(after, Selection.of("vertex", new[new >= 0]), went, remarks=(remark,))
