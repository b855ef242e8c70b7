"""Line up what is picked."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.building.aligning import direction_of, moved_towards, picked_lines, picked_vertices
from zinc_otter.core.cage.building.motion import finite
from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.errors import BadSelectionError


def line_up(
    cage: Cage, selection: Selection, *, along: Sequence[float] | None = None, point: Sequence[float] | None = None,
    even: bool = False, share: float = 1.0,
) -> Edit:  # fmt: skip
    """Move what is picked straight onto a line, each loop or chain onto one of its own.

    Without ``along`` (3,) it is the line that fits best; without a ``point`` it goes through the middle. With ``even`` the
    vertices of a chain stand at even distances. Raises BadSelectionError, BadNumberError.

    >>> from zinc_otter.core.primitives import plane
    >>> sheet = plane((10, 10), (2, 1))
    >>> lined = line_up(sheet, Selection.of("vertex", [0, 1, 2]), along=(1, 0, 0), point=(0, 0, 3)).cage
    >>> lined.positions[:3].tolist()
    [[-5.0, 0.0, 3.0], [-5.0, 0.0, 3.0], [0.0, 0.0, 3.0]]
    """
    selection.check(cage.topology)
    target = cage.positions.copy()
    for verts, is_chain in picked_lines(cage, selection):
        p = cage.positions[verts]
        middle = p.mean(axis=0)
        if along is None:
            _, spread, axes = np.linalg.svd(p - middle, full_matrices=False)
            if spread[0] < 1e-12:
                raise BadSelectionError("The picked lie in one point, so that no line fits them.")
            direction = axes[0]
        else:
            direction = direction_of(along)
        through = middle if point is None else finite(point, "The point of the line")
        places = (p - through) @ direction
        if even and is_chain:
            places = np.linspace(places[0], places[-1], len(places))
        target[verts] = through + np.outer(places, direction)
    return moved_towards(cage, selection, picked_vertices(cage, selection), target[picked_vertices(cage, selection)], share)
