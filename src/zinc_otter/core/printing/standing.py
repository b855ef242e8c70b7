"""Which way up a body is printed best: how much of supports each way takes, by slices."""

from __future__ import annotations

from dataclasses import dataclass

import manifold3d
import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.plane import Vec, frame_along
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.words import number

_SLICES = 48
_FLATS = 4
_ALIKE = np.cos(np.radians(12))
_SIGNS = (("+x", (1, 0, 0)), ("-x", (-1, 0, 0)), ("+y", (0, 1, 0)), ("-y", (0, -1, 0)), ("-z", (0, 0, -1)))


@dataclass(frozen=True)
class Standing:
    """One way up: the direction of the form that points ``up``, in words; mm³ of ``supports``, ``height`` in mm, and mm² of
    the ``foot`` on the bed."""

    words: str
    up: Vec
    supports: float
    height: float
    foot: float


def ways_up(points: Floats, triangles: Ints, overhang: float) -> tuple[Standing, ...]:
    """As it stands first; then along the axes, and on its largest flat sides, the best of them first.

    Supports are columns from below what hangs over by more than ``overhang`` degrees from upright, down to the body or to
    the bed. They are told by slices, and hold as far as these are fine: to compare ways, not to buy by.
    """
    as_it_is = _standing("as it stands", (0.0, 0.0, 1.0), points, triangles, overhang)
    others = [_standing(words, up, points, triangles, overhang) for words, up in _candidates(points, triangles)]
    return as_it_is, *sorted(others, key=lambda way: (round(way.supports, 1), way.height))


def _candidates(points: Floats, triangles: Ints) -> list[tuple[str, Vec]]:
    found: list[tuple[str, Vec]] = [(f"{name} up", (float(x), float(y), float(z))) for name, (x, y, z) in _SIGNS]
    a, b, c = (points[triangles[:, k]] for k in range(3))
    across = np.cross(b - a, c - a)
    area, normal = np.linalg.norm(across, axis=1), unit(across)
    taken = [np.array(up) for _, up in found] + [np.array([0.0, 0, 1])]
    for _ in range(_FLATS):
        free = np.all([normal @ -up < _ALIKE for up in taken], axis=0)
        if not free.any():
            break
        # The side that has most area about the direction of its largest face.
        lead = normal[int((area * free).argmax())]
        beside = (normal @ lead > _ALIKE) & free
        if area[beside].sum() < 0.04 * area.sum():
            break
        x, y, z = (float(v) for v in -unit((area[beside, None] * normal[beside]).sum(axis=0)))
        taken.append(np.array([x, y, z]))
        towards = ", ".join(number(-part) for part in (x, y, z))
        found.append((f"on its flat side towards {towards}", (x, y, z)))
    return found


def _standing(words: str, up: Vec, points: Floats, triangles: Ints, overhang: float) -> Standing:
    turned = np.ascontiguousarray(points @ frame_along(up))
    turned -= turned.min(axis=0)
    height = float(turned[:, 2].max())
    solid = manifold3d.Manifold(manifold3d.Mesh64(turned, triangles.astype(np.uint64)))
    step = height / _SLICES
    fine = 1e-3 * float(np.ptp(turned, axis=0).max())
    layers = [solid.slice((k + 0.5) * step).simplify(fine) for k in range(_SLICES)]
    reach = step * float(np.tan(np.radians(overhang)))
    held = manifold3d.CrossSection()
    supports = 0.0
    for k in range(_SLICES - 2, -1, -1):
        # What the next layer reaches beyond this one by more than holds in the air hangs over.
        hanging = layers[k + 1] - layers[k].offset(reach, manifold3d.JoinType.Miter)
        held = (held + hanging) - layers[k]
        supports += held.area() * step
    return Standing(words, up, supports, height, float(layers[0].area()))
