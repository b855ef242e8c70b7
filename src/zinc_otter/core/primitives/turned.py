"""Forms turned about z: cylinder, cone, truncated cone, tube and torus."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Literal

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.face_bound import check_face_total
from zinc_otter.core.cage.grid_fill import filled_ring, grid_counts
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives.checks import Sizes, check_counts, check_sizes, of_faces, of_quads
from zinc_otter.core.words import length_words

Caps = Literal["open", "bottom", "top", "both"]


def cylinder(size: Sizes, counts: Sequence[int], caps: Caps = "both", inset: float = 0.3) -> Cage:
    """A cylinder about z, its middle at the origin.

    ``size`` is (diameter, height) in mm of the control points, ``counts`` the faces (around, along). A cap is made of
    quads: a ring ``inset`` (0 to 1) towards the middle, and a grid; it needs an even number around.
    Raises BadNumberError.

    >>> cylinder((20, 30), (8, 3)).topology.face_count
    48
    """
    diameter, height = check_sizes(size, 2)
    return truncated_cone((diameter, diameter, height), counts, caps, inset)


def truncated_cone(size: Sizes, counts: Sequence[int], caps: Caps = "both", inset: float = 0.3) -> Cage:
    """A truncated cone about z: ``size`` is (bottom diameter, top diameter, height); otherwise as :func:`cylinder`."""
    bottom, top, height = check_sizes(size, 3)
    around, along = check_counts(counts, 2, (3, 1))
    wanted = (caps in ("bottom", "both")) + (caps in ("top", "both"))
    inner = int(np.prod(grid_counts(around))) + around if wanted else 0
    check_face_total(around * along + wanted * inner)
    share = np.linspace(0, 1, along + 1)
    rows = _rings((bottom + (top - bottom) * share) / 2, (share - 0.5) * height, around)
    points, quads = [rows], [strips(around, along, False)]
    total = len(rows)
    for where in ("bottom", "top"):
        if caps not in (where, "both"):
            continue
        # Seen from outside the bottom's ring runs the other way round.
        order = np.arange(around) + around * along if where == "top" else -np.arange(around) % around
        inside, filling = filled_ring(rows[order], inset)
        quads.append(np.concatenate([order, total + np.arange(len(inside))])[filling])
        points.append(inside)
        total += len(inside)
    return of_quads(np.concatenate(points), np.concatenate(quads))


def cone(size: Sizes, counts: Sequence[int], capped: bool = True, inset: float = 0.3) -> Cage:
    """A cone about z with its tip up: ``size`` is (diameter, height). The tip is one vertex with a triangle to each side."""
    diameter, height = check_sizes(size, 2)
    around, along = check_counts(counts, 2, (3, 1))
    if capped:
        grid_counts(around)
    check_face_total(around * (along + 2) + around * around // 16)
    share = np.arange(along) / along
    rows = _rings(diameter * (1 - share) / 2, (share - 0.5) * height, around)
    points = [rows, np.array([[0.0, 0.0, height / 2]])]
    quads = [strips(around, along - 1, False)]
    last = around * (along - 1) + np.arange(around)
    triangles = np.column_stack([last, np.roll(last, -1), np.full(around, len(rows))])
    if capped:
        order = -np.arange(around) % around
        inside, filling = filled_ring(rows[order], inset)
        quads.append(np.concatenate([order, len(rows) + 1 + np.arange(len(inside))])[filling])
        points.append(inside)
    return of_faces(np.concatenate(points), np.concatenate(quads), triangles)


def tube(size: Sizes, counts: Sequence[int]) -> Cage:
    """A closed tube about z.

    ``size`` is (outer diameter, inner diameter, height), ``counts`` the faces (around, along, across the rim).

    Raises BadNumberError, also where the inner diameter is not the smaller one.
    """
    outer, inner, height = check_sizes(size, 3)
    if inner >= outer:
        raise BadNumberError(
            f"The inner diameter must be smaller than the outer; {length_words(inner)} is not below "
            f"{length_words(outer)}."
        )
    around, along, across = check_counts(counts, 3, (3, 1, 1))
    check_face_total(2 * around * (along + across))
    up, over = np.arange(along) / along, np.arange(across) / across
    # Once about the section: up the outer wall, in over the rim, down the inner wall, out again below.
    radius = np.concatenate([np.full(along, outer), outer + (inner - outer) * over, np.full(along, inner),
                             inner + (outer - inner) * over]) / 2  # fmt: skip
    level = np.concatenate([up - 0.5, np.full(across, 0.5), 0.5 - up, np.full(across, -0.5)]) * height
    return of_quads(_rings(radius, level, around), strips(around, len(radius), True))


def torus(size: Sizes, counts: Sequence[int]) -> Cage:
    """A torus about z.

    ``size`` is (diameter of the ring's centre line, diameter of its section), ``counts`` (around, about the section).

    Raises BadNumberError, also where the section would meet itself in the middle.
    """
    ring, section = check_sizes(size, 2)
    if section >= ring:
        raise BadNumberError(
            f"A ring of {length_words(ring)} has no room for a section of {length_words(section)}: it would meet in the "
            f"middle."
        )
    around, about = check_counts(counts, 2, (3, 3))
    check_face_total(around * about)
    angle = 2 * np.pi * np.arange(about) / about
    radius = ring / 2 + section / 2 * np.cos(angle)
    return of_quads(_rings(radius, section / 2 * np.sin(angle), around), strips(around, about, True))


def _rings(radius: Floats, level: Floats, around: int) -> Floats:
    """(k around, 3) rings of points about z, one after the other; each starts at +x and runs counter-clockwise."""
    angle = 2 * np.pi * np.arange(around) / around
    circle = np.column_stack([np.cos(angle), np.sin(angle)])
    flat = radius[:, None, None] * circle
    return np.concatenate([flat, np.broadcast_to(level[:, None, None], (len(radius), around, 1))], axis=2).reshape(-1, 3)


def strips(around: int, rows: int, closed: bool) -> Ints:
    """(rows around, 4) quads between rings, looking outwards; ``closed`` joins the last ring to the first."""
    k, i = (g.ravel() for g in np.meshgrid(np.arange(rows), np.arange(around), indexing="ij"))
    ahead = (i + 1) % around
    above = (k + 1) % rows if closed else k + 1
    return np.column_stack([k * around + i, k * around + ahead, above * around + ahead, above * around + i])
