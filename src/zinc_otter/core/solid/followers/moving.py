"""Followers taken along when their piece is moved, turned, mirrored or evenly sized as a whole."""

from __future__ import annotations

from dataclasses import fields, is_dataclass, replace
from typing import Any, TypeVar

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.solid.followers.base import Follower
from zinc_otter.core.solid.followers.combine import ImportedBody

F = TypeVar("F", bound=Follower)

POINTS = frozenset({"point", "about", "near"})
DIRECTIONS = frozenset({"along", "normal"})
# A size that was asked for is none of them: it stays what it is, however the piece is scaled.
LENGTHS = frozenset({"radius", "top_radius", "end_radius", "height", "wall", "distance", "spacing"})
PLANES = frozenset({"opening"})
ENDS = frozenset({"ends"})


def similarity_between(before: Floats, after: Floats) -> Floats | None:
    """The (4, 4) matrix of the motion, mirroring or even scaling that takes points (n, 3) to others; None if none does.

    Also None where nothing has moved. By least squares, with a check that all points are met to rounding.
    """
    if before.shape != after.shape or len(before) < 4 or np.array_equal(before, after):
        return None
    middle = before.mean(axis=0)
    shifted = before - middle
    reach = float(np.abs(shifted).max())
    if np.linalg.matrix_rank(shifted, tol=1e-9 * max(reach, 1e-30)) < 3:
        # A flat piece says nothing of what happens across it; only a shift is told from anything else.
        if not np.allclose(after - before, after[0] - before[0], atol=1e-9 * max(reach, 1.0)):
            return None
        linear = np.eye(3)
    else:
        linear = np.linalg.lstsq(shifted, after - after.mean(axis=0), rcond=None)[0].T
    met = shifted @ linear.T + after.mean(axis=0)
    factor = float(np.cbrt(abs(np.linalg.det(linear))))
    if factor < 1e-9 or not np.allclose(met, after, atol=1e-8 * max(reach * factor, 1.0)):
        return None
    if not np.allclose(linear.T @ linear, factor**2 * np.eye(3), atol=1e-8 * factor**2):
        return None
    matrix = np.eye(4)
    matrix[:3, :3] = linear
    matrix[:3, 3] = after.mean(axis=0) - linear @ middle
    return matrix


def taken_along(follower: F, matrix: Floats) -> F:
    """The follower where its piece went: points moved, directions turned, lengths scaled.

    A block keeps its sides along the axes; a setting is as large as its stones are. A number that would become too large
    leaves the follower as it was.
    """
    if follower.set_stones:
        return follower
    try:
        made: F = _moved(follower, matrix, float(np.cbrt(abs(np.linalg.det(matrix[:3, :3])))))
    except BadNumberError:
        return follower
    return made


def _moved(thing: Any, matrix: Floats, factor: float) -> Any:
    if isinstance(thing, ImportedBody):
        return thing.carried(matrix)
    changed: dict[str, Any] = {}
    for item in fields(thing):
        value = getattr(thing, item.name)
        if value is None:
            continue
        if item.name in POINTS:
            changed[item.name] = _point(value, matrix)
        elif item.name in DIRECTIONS:
            changed[item.name] = _direction(value, matrix)
        elif item.name in LENGTHS:
            changed[item.name] = value * factor
        elif item.name in PLANES:
            changed[item.name] = (_point(value[0], matrix), _direction(value[1], matrix))
        elif item.name in ENDS:
            changed[item.name] = tuple(_point(end, matrix) for end in value)
        elif item.name == "size":
            changed[item.name] = tuple(side * factor for side in value)
        elif is_dataclass(value):
            changed[item.name] = _moved(value, matrix, factor)
        elif isinstance(value, tuple) and value and is_dataclass(value[0]):
            changed[item.name] = tuple(_moved(part, matrix, factor) for part in value)
    return replace(thing, **changed)


def _point(point: Any, matrix: Floats) -> tuple[float, float, float]:
    return _plain(matrix[:3, :3] @ np.asarray(point) + matrix[:3, 3])


def _direction(along: Any, matrix: Floats) -> tuple[float, float, float]:
    turned = matrix[:3, :3] @ np.asarray(along)
    return _plain(turned / np.linalg.norm(turned) * np.linalg.norm(along))


def _plain(vector: Floats) -> tuple[float, float, float]:
    x, y, z = (float(v) + 0.0 for v in vector)
    return x, y, z
