"""Flatten, line up, make round, and draw onto a surface. Connectivity stays as it is."""

from __future__ import annotations

from collections.abc import Callable, Sequence

import numpy as np

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.edit import Edit, same_structure
from zinc_otter.core.cage.edits.chains import picked_chains
from zinc_otter.core.cage.edits.pairing import loop_normal
from zinc_otter.core.cage.edits.placing import finite
from zinc_otter.core.cage.selection import Selection, vertices_of
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError, BadSelectionError

Nearest = Callable[[Floats], Floats]
"""From points (k, 3) to the points of a surface (k, 3) that are nearest to them."""


def flatten(
    cage: Cage, selection: Selection, normal: Sequence[float] | None = None, point: Sequence[float] | None = None,
    share: float = 1.0,
) -> Edit:  # fmt: skip
    """Move what is picked straight into a plane, by a ``share`` of the way.

    Without a ``normal`` (3,) it is the plane that fits best; without a ``point`` it goes through the middle of the
    picked. Raises BadSelectionError, BadNumberError.
    """
    verts = _picked(cage, selection)
    p = cage.positions[verts]
    across = best_plane(p) if normal is None else _direction(normal)
    through = p.mean(axis=0) if point is None else finite(point, "The point of the plane")
    return _moved(cage, selection, verts, p - np.outer((p - through) @ across, across), share)


def best_plane(points: Floats) -> Floats:
    """(3,) unit normal of the plane with the least sum of squared distances. Raises BadSelectionError for a line."""
    _, spread, axes = np.linalg.svd(points - points.mean(axis=0), full_matrices=False)
    if len(points) < 3 or spread[1] <= 1e-9 * max(spread[0], 1e-12):
        raise BadSelectionError("The picked lie on one line, so that no one plane fits them best; choose a plane.")
    normal = np.asarray(axes[2])
    return normal if normal[int(np.argmax(np.abs(normal)))] > 0 else -normal


def line_up(
    cage: Cage, selection: Selection, along: Sequence[float] | None = None, point: Sequence[float] | None = None,
    even: bool = False, share: float = 1.0,
) -> Edit:  # fmt: skip
    """Move what is picked straight onto a line, each loop or chain onto one of its own.

    Without ``along`` (3,) it is the line that fits best; without a ``point`` it goes through the middle. With ``even`` the
    vertices of a chain stand at even distances. Raises BadSelectionError, BadNumberError.
    """
    selection.check(cage.topology)
    target = cage.positions.copy()
    for verts, is_chain in _lines(cage, selection):
        p = cage.positions[verts]
        middle = p.mean(axis=0)
        if along is None:
            _, spread, axes = np.linalg.svd(p - middle, full_matrices=False)
            if spread[0] < 1e-12:
                raise BadSelectionError("The picked lie in one point, so that no line fits them.")
            direction = axes[0]
        else:
            direction = _direction(along)
        through = middle if point is None else finite(point, "The point of the line")
        places = (p - through) @ direction
        if even and is_chain:
            places = np.linspace(places[0], places[-1], len(places))
        target[verts] = through + np.outer(places, direction)
    return _moved(cage, selection, _picked(cage, selection), target[_picked(cage, selection)], share)


def _lines(cage: Cage, selection: Selection) -> list[tuple[Ints, bool]]:
    try:
        chains = picked_chains(cage, selection) if selection.kind == "edge" else []
    except BadSelectionError:
        chains = []
    open_ones = [chain for chain in chains if not chain.closed]
    if chains and len(open_ones) == len(chains):
        return [(chain.verts, True) for chain in chains]
    return [(_picked(cage, selection), False)]


def circle(
    cage: Cage, selection: Selection, radius: float | None = None, even: bool = True, share: float = 1.0
) -> Edit:
    """Make each picked loop round, in the plane that fits it best and about its middle.

    Edges, vertices, or the border of picked faces. Without a ``radius`` it is the mean distance from the middle. With
    ``even`` the vertices stand at even angles, so turned that they move least; otherwise each keeps its own. Raises
    BadSelectionError (a chain that does not go round), BadNumberError.
    """
    if radius is not None and not (np.isfinite(radius) and radius > 0):
        raise BadNumberError("A circle needs a radius above 0.")
    target = cage.positions.copy()
    chains = picked_chains(cage, selection)
    open_ones = [chain for chain in chains if not chain.closed]
    if open_ones:
        raise BadSelectionError(
            "A circle is made of loops that go round; this chain ends.", vertices=open_ones[0].verts[[0, -1]]
        )
    for chain in chains:
        target[chain.verts] = _rounded(cage.positions[chain.verts], radius, even)
    moved = np.concatenate([chain.verts for chain in chains])
    return _moved(cage, selection, moved, target[moved], share)


def _rounded(p: Floats, radius: float | None, even: bool) -> Floats:
    middle = p.mean(axis=0)
    normal = loop_normal(p)
    if not normal.any():
        raise BadSelectionError("This loop encloses nothing, so that it has no plane to be round in.")
    u = unit((p - middle)[0] - ((p - middle)[0] @ normal) * normal)
    if not u.any():
        u = unit(np.cross(normal, np.eye(3)[int(np.argmin(np.abs(normal)))]))
    v = np.cross(normal, u)
    x, y = (p - middle) @ u, (p - middle) @ v
    size = float(np.hypot(x, y).mean()) if radius is None else radius
    angle = np.arctan2(y, x)
    if even:
        steps = 2 * np.pi * np.arange(len(p)) / len(p)
        # The turn that keeps them nearest: the mean of what each would need, as directions.
        off = np.angle(np.exp(1j * (angle - steps)).mean())
        angle = steps + off
    return np.asarray(middle + size * (np.outer(np.cos(angle), u) + np.outer(np.sin(angle), v)))


def attract(cage: Cage, selection: Selection, nearest: Nearest, distance: float = 0.0, share: float = 1.0) -> Edit:
    """Move what is picked towards the nearest point of a surface, by a ``share`` of the way.

    It ends ``distance`` mm before the surface, on its own side. Raises BadSelectionError, BadNumberError.
    """
    if not np.isfinite(distance):
        raise BadNumberError("The distance from the surface needs a plain number.")
    verts = _picked(cage, selection)
    p = cage.positions[verts]
    at = nearest(p)
    return _moved(cage, selection, verts, at + distance * unit(p - at), share)


def _moved(cage: Cage, selection: Selection, verts: Ints, target: Floats, share: float) -> Edit:
    if not (np.isfinite(share) and 0 <= share <= 1):
        raise BadNumberError("The share of the way runs from 0 to 1.")
    positions = cage.positions.copy()
    # All of the way ends on the target to the last bit.
    positions[verts] = target if share == 1 else positions[verts] + share * (target - positions[verts])
    return same_structure(cage.with_positions(positions), selection)


def _picked(cage: Cage, selection: Selection) -> Ints:
    selection.check(cage.topology)
    return vertices_of(cage.topology, selection)


def _direction(vector: Sequence[float]) -> Floats:
    direction = unit(finite(vector, "A direction"))
    if not direction.any():
        raise BadNumberError("The direction has no length.")
    return direction
