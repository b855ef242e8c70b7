"""Make picked loops round."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.building.aligning import moved_towards
from zinc_otter.core.cage.building.chains import picked_chains
from zinc_otter.core.cage.building.pairing import loop_normal
from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.edit import Edit
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError, BadSelectionError


def circle(cage: Cage, selection: Selection, *, radius: float | None = None, even: bool = True, share: float = 1.0) -> Edit:
    """Make each picked loop round, in the plane that fits it best and about its middle.

    Edges, vertices, or the border of picked faces. Without a ``radius`` it is the mean distance from the middle. With
    ``even`` the vertices stand at even angles, so turned that they move least; otherwise each keeps its own. Raises
    BadSelectionError (a chain that does not go round), BadNumberError.

    >>> from zinc_otter.core.primitives import box
    >>> cage = box((10, 10, 10), (2, 2, 1))
    >>> top = Selection.of("face", np.flatnonzero(cage.face_normals[:, 2] > 0.9))
    >>> done = circle(cage, top, radius=4.0)
    >>> rim = done.cage.positions[done.cage.positions[:, 2] > 4.9]
    >>> sorted(set(np.linalg.norm(rim[:, :2], axis=1).round(6).tolist()))  # The middle, and the rim.
    [0.0, 4.0]
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
    return moved_towards(cage, selection, moved, target[moved], share)


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
