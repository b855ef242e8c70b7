"""Collapse: each connected group of picked edges or faces becomes one vertex."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.building.merging import averaged, merged, renumbered
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.picking.loops import edge_ring
from zinc_otter.core.cage.selection import Selection, convert
from zinc_otter.core.cage.topology import joined_labels
from zinc_otter.core.errors import BadSelectionError


def collapse(cage: Cage, selection: Selection, *, rings: bool = False) -> Edit:
    """Draw what hangs together of the picked edges or faces into its middle; with ``rings`` whole rings of edges.

    An edge becomes a vertex, so do a face and all that touches it; the edges of a ring do each by itself, so that a strip
    of faces goes. The new vertices are selected. Raises BadSelectionError, UnsoundCageError.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 10), (2, 2, 2))
    >>> collapse(cage, Selection.of("edge", [0])).cage.topology.vertex_count - cage.topology.vertex_count
    -1
    """
    t = cage.topology
    selection.check(t)
    if selection.kind == "vertex":
        raise BadSelectionError("Pick edges or faces; vertices are made one by welding.")
    edges = convert(t, selection, "edge").ids
    if rings:
        if selection.kind != "edge":
            raise BadSelectionError("A ring is found from an edge; pick edges.")
        edges = np.unique(np.concatenate([edge_ring(t, int(edge)) for edge in edges]))
    label = renumbered(joined_labels(t.vertex_count, t.edge_verts[edges]))
    after, went = merged(cage, label, averaged(cage.positions, label))
    made = went.vertices[t.edge_verts[edges].ravel()]
    return Edit(after, Selection.of("vertex", made[made >= 0]), went)
