"""Lay a face on a symmetric cage: its images are laid with it."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, ElementMap
from zinc_otter.core.cage.edits.lay import Corner, lay_face
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.symmetry.symmetric import Symmetry


def lay_on_all_sides(cage: Cage, symmetry: Symmetry, corners: Sequence[Corner], towards: Sequence[float]) -> Edit:
    """As :func:`lay_face`, with all images of the face. A new corner on a mirror or on the axis is there once."""
    n = cage.topology.vertex_count
    slack = 1e-6 * max(float(np.ptp(cage.positions, axis=0).max()), 1.0)
    went = ElementMap.identity(cage.topology)
    laid: set[frozenset[int]] = set()
    selected = Selection.of("face", [])
    for k in range(symmetry.group.order):
        matrix = symmetry.group.elements[0][k]
        face: list[Corner] = []
        for corner in corners:
            if isinstance(corner, int):
                # Laying only adds vertices, so that old ones keep their numbers; a wrong number is refused as it is.
                face.append(int(symmetry.vertices[k][corner]) if 0 <= corner < n else corner)
                continue
            point = symmetry.group.moved(k, np.array([corner]))[0]
            same = np.flatnonzero(np.linalg.norm(cage.positions[n:] - point, axis=1) <= slack)
            face.append(n + int(same[0]) if len(same) else tuple(point))
        if frozenset(corner for corner in face if isinstance(corner, int)) in laid:
            continue
        done = lay_face(cage, face, tuple(matrix @ np.asarray(towards, dtype=np.float64)))
        new_face = int(done.selected.ids[0])
        t = done.cage.topology
        laid.add(frozenset(t.face_verts[t.face_offsets[new_face] : t.face_offsets[new_face + 1]].tolist()))
        selected = selected if k else done.selected
        went = went.then(done.old_to_new)
        cage = done.cage
    return Edit(cage, selected, went)
