"""Part faces from the rest."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.building.tearing import torn
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.cage.picking.growth import invert
from zinc_otter.core.cage.selection import Selection, touching_faces
from zinc_otter.core.errors import BadSelectionError


def detach(cage: Cage, selection: Selection) -> Edit:
    """Part the selected faces from the rest, in the same place: both sides get a border of their own.

    A crease along the cut stays on the faces that were picked and on those that were not. Raises BadSelectionError.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 10), (1, 1, 1))
    >>> len(detach(cage, Selection.of("face", [0])).cage.topology.open_edges)
    8
    """
    t = cage.topology
    selection.check(t)
    if selection.kind != "face":
        raise BadSelectionError("Detaching takes faces; pick faces first.")
    if len(selection) == t.face_count:
        raise BadSelectionError("All faces are picked; there is nothing to part them from.")
    mask = np.zeros(t.face_count, dtype=bool)
    mask[selection.ids] = True
    first, second = t.edge_faces.T
    between = np.flatnonzero((second >= 0) & (mask[first] != mask[np.maximum(second, 0)]))
    return torn(cage, between, selection, mask[t.corner_face])


def taken_out(cage: Cage, selection: Selection) -> tuple[Edit, Edit]:
    """The selected faces as a cage of their own, and what is left of this one. Raises BadSelectionError.

    >>> from zinc_otter.core.primitives import box
    >>> taken, rest = taken_out(box((10, 10, 10), (1, 1, 1)), Selection.of("face", [0]))
    >>> taken.cage.topology.face_count, rest.cage.topology.face_count
    (1, 5)
    """
    faces = Selection.of("face", touching_faces(cage.topology, selection))
    selection.check(cage.topology)
    if len(faces) == cage.topology.face_count:
        raise BadSelectionError("All faces are picked; there is nothing to part them from.")
    return delete_elements(cage, invert(cage.topology, faces)), delete_elements(cage, faces)
