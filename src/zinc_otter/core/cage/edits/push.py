"""Push each vertex along its own normal."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.building.motion import finite, moved_to, weights_of
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.reach.reach import Reach
from zinc_otter.core.cage.selection import Selection, vertex_normals


def push(cage: Cage, selection: Selection, distance: float, *, reach: Reach | None = None) -> Edit:
    """Move each vertex of the selection by ``distance`` mm along its own normal.

    The normal is the area-weighted mean of the selection's faces at the vertex; with vertices or edges picked, or with
    a ``reach``, of all faces there. Raises BadSelectionError, BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> pushed = push(box((10, 10, 10), (1, 1, 1)), Selection.of("face", range(6)), 3**0.5).cage
    >>> bool(np.allclose(np.abs(pushed.positions), 6))
    True
    """
    selection.check(cage.topology)
    t = cage.topology
    vectors = cage.face_area_vectors.copy()
    if selection.kind == "face" and reach is None:
        others = np.ones(t.face_count, dtype=bool)
        others[selection.ids] = False
        vectors[others] = 0.0
    shift = vertex_normals(cage, vectors) * finite([distance], "A push")[0]
    weights = weights_of(cage, selection, reach)
    return moved_to(cage, cage.positions + weights[:, None] * shift, selection, weights if reach else None)
