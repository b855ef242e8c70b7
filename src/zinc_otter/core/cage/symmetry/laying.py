"""Lay a face on a symmetric cage: its images are laid with it."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, ElementMap
from zinc_otter.core.cage.edits.lay import Corner, lay_faces, split_corners
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.symmetry.symmetric import Symmetry
from zinc_otter.core.cage.topology import Floats


def lay_on_all_sides(cage: Cage, symmetry: Symmetry, corners: Sequence[Corner], towards: Sequence[float]) -> Edit:
    """As :func:`~zinc_otter.core.cage.edits.lay.lay_face`, with all images of the face. A new corner on a mirror or on the
    axis is there once."""
    points, face = split_corners(cage, corners)
    return lay_faces_on_all_sides(cage, symmetry, points, [face], towards)


def lay_faces_on_all_sides(
    cage: Cage, symmetry: Symmetry, points: Floats, faces: Sequence[Sequence[int]], towards: Sequence[float]
) -> Edit:
    """As :func:`~zinc_otter.core.cage.edits.lay.lay_faces`, with all their images."""
    n = cage.topology.vertex_count
    slack = 1e-6 * max(float(np.ptp(cage.positions, axis=0).max()), 1.0)
    went = ElementMap.identity(cage.topology)
    laid: set[frozenset[int]] = set()
    selected = Selection.of("face", [])
    for k in range(symmetry.group.order):
        number = list(symmetry.vertices[k].tolist())
        fresh: list[Floats] = []
        count = cage.topology.vertex_count
        for point in symmetry.group.moved(k, points):
            # Laying only adds vertices, so that old ones keep their numbers.
            same = np.flatnonzero(np.linalg.norm(cage.positions[n:] - point, axis=1) <= slack)
            number.append(n + int(same[0]) if len(same) else count + len(fresh))
            if not len(same):
                fresh.append(point)
        images = [[number[v] for v in face] for face in faces]
        images = [face for face in images if frozenset(face) not in laid]
        if not images:
            continue
        matrix = symmetry.group.elements[0][k]
        if symmetry.group.elements[2][k]:
            # A mirror turns them over; where no neighbour decides, the direction does.
            images = [face[::-1] for face in images]
        done = lay_faces(cage, np.array(fresh).reshape(-1, 3), images, tuple(matrix @ np.asarray(towards, dtype=np.float64)))
        laid |= {frozenset(face) for face in images}
        selected = selected if k else done.selected
        went = went.then(done.old_to_new)
        cage = done.cage
    return Edit(cage, selected, went)
