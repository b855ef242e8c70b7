"""Every primitive by its sizes: those of the cage, or those of the finished smooth surface."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from typing import Literal

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edits.creases import set_corner, set_crease
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives.box import box
from zinc_otter.core.primitives.final import NARROWEST, WIDEST, Measure, SizedForm, extent, on_limit, ring, solved
from zinc_otter.core.primitives.plane import plane
from zinc_otter.core.primitives.sphere import capsule, patched_sphere, poled_sphere
from zinc_otter.core.primitives.turned import Caps, cone, cylinder, torus, truncated_cone, tube

SizeOf = Literal["surface", "cage"]
"""Whether sizes are those of the smooth surface or of the control cage."""

_X, _Y, _Z = extent(0), extent(1), extent(2)


def sized_box(size: Sequence[float], counts: Sequence[int], of: SizeOf) -> Cage:
    """A box; sizes along x, y, z. Raises BadNumberError, as all here do."""
    return _made(lambda s: box(s, counts), size, (_X, _Y, _Z), size, of)


def sized_plane(size: Sequence[float], counts: Sequence[int], of: SizeOf) -> Cage:
    """A sheet. Its border and corners hold their place, so both sizes are the same."""
    return plane(size, counts)


def sized_cylinder(
    size: Sequence[float], counts: Sequence[int], caps: Caps, inset: float, rim: float, of: SizeOf
) -> Cage:
    """A cylinder of (diameter, height), the edges of its rims as sharp as ``rim``."""
    rims = [0, counts[1]]
    return _made(lambda s: cylinder(s, counts, caps, inset), size, (WIDEST, _Z), size, of, _rims(counts[0], rims, rim))


def sized_cone(
    size: Sequence[float], counts: Sequence[int], caps: Caps, inset: float, rim: float, tip: float, of: SizeOf
) -> Cage:
    """A cone of (bottom diameter, top diameter, height); a top of 0 is a tip, a corner as sharp as ``tip``.

    As surface sizes the larger diameter is the widest place, the smaller one lies at its own rim.
    """
    if len(size) != 3:
        raise BadNumberError(f"3 sizes are needed, not {len(size)}.")
    bottom, top, height = size
    around, along = counts
    if top == 0:
        capped = caps in ("bottom", "both")
        peaked = _rims(around, [0], rim, tip_at=around * along, tip=tip)
        low = (bottom, height)
        return _made(lambda s: cone(s, counts, capped, inset), low, (WIDEST, _Z), low, of, peaked)
    measures = (WIDEST, ring(around * along), _Z) if bottom >= top else (ring(0), WIDEST, _Z)
    creased = _rims(around, [0, along], rim)
    return _made(lambda s: truncated_cone(s, counts, caps, inset), size, measures, size, of, creased)


def sized_tube(size: Sequence[float], counts: Sequence[int], rim: float, of: SizeOf) -> Cage:
    """A tube of (outer diameter, inner diameter, height)."""
    around, along, across = counts
    rims = [0, along, along + across, 2 * along + across]
    start = _checked(lambda s: tube(s, counts), size)
    creased = _rims(around, rims, rim)
    return _made(lambda s: tube(s, counts), start, (WIDEST, NARROWEST, _Z), size, of, creased)


def sized_torus(size: Sequence[float], counts: Sequence[int], of: SizeOf) -> Cage:
    """A torus of (diameter of the centre line, diameter of the section).

    As a surface its width is their sum, its bore their difference, and its height the section: three measures, so that the
    section of the control points may be a little wider than it is high.
    """
    ring, section = _checked(lambda s: torus(s, counts), size)
    if of == "cage":
        return torus(size, counts)

    def flattened(s: Sequence[float] | Floats) -> Cage:
        round_one = torus((s[0], s[1]), counts)
        return round_one.with_positions(round_one.positions * [1.0, 1.0, s[2] / s[1]])

    measures, asked = (WIDEST, NARROWEST, _Z), (ring + section, ring - section, section)
    return _made(flattened, (ring, section, section), measures, asked, of)


def sized_patched_sphere(diameter: float, count: int, of: SizeOf) -> Cage:
    """A sphere of six patches; as a surface size its limit points at the vertices lie on the sphere."""
    if of == "cage":
        return patched_sphere(diameter, count)
    return _made(lambda s: on_limit(patched_sphere(s[0], count)), [diameter], (_X,), [diameter], of)


def sized_poled_sphere(diameter: float, counts: Sequence[int], of: SizeOf) -> Cage:
    """A sphere with poles; as a surface size its limit points at the vertices lie on an ellipsoid that measures the same
    across and along."""
    if of == "cage":
        return poled_sphere(diameter, counts)
    fair = on_limit(poled_sphere(1.0, counts)).positions
    shape = poled_sphere(1.0, counts)
    stretched = lambda s: shape.with_positions(fair * [s[0], s[0], s[1]])  # noqa: E731
    return _made(stretched, [diameter, diameter], (WIDEST, _Z), [diameter, diameter], of)


def sized_capsule(size: Sequence[float], counts: Sequence[int], of: SizeOf) -> Cage:
    """A capsule of (diameter, whole length)."""
    if of == "cage":
        return capsule(size, counts)
    start = _checked(lambda s: capsule(s, counts), size)
    round_one, long_one = on_limit(capsule((1, 2), counts)), on_limit(capsule((1, 3), counts))
    stretch = long_one.positions - round_one.positions
    made = lambda s: round_one.with_positions(round_one.positions * s[0] + stretch * (s[1] - 2 * s[0]))  # noqa: E731
    return _made(made, start, (WIDEST, _Z), size, of)


def _made(
    build: Callable[[Floats], Cage],
    start: Sequence[float],
    measures: Sequence[Measure],
    asked: Sequence[float],
    of: SizeOf,
    creased: Callable[[Cage], Cage] = lambda cage: cage,
) -> Cage:
    sizes = np.asarray(start, dtype=np.float64)
    if of == "cage":
        return creased(build(sizes))
    return solved(SizedForm(build, sizes, creased), measures, asked)


def _checked(build: Callable[[Sequence[float]], Cage], size: Sequence[float]) -> Sequence[float]:
    """The sizes themselves, once it is known that the cage can be built with them."""
    build(size)
    return size


def _rims(
    around: int, rows: Sequence[int], sharpness: float, tip_at: int | None = None, tip: float = 0.0
) -> Callable[[Cage], Cage]:
    """Crease the rings of these rows, and the corner at the tip."""

    def creased(cage: Cage) -> Cage:
        if sharpness > 0:
            ends = cage.topology.edge_verts
            on = np.zeros(len(ends), dtype=bool)
            for row in rows:
                on |= ((ends >= row * around) & (ends < (row + 1) * around)).all(axis=1)
            cage = set_crease(cage, Selection.of("edge", np.flatnonzero(on)), sharpness).cage
        if tip > 0 and tip_at is not None:
            cage = set_corner(cage, Selection.of("vertex", [tip_at]), tip).cage
        return cage

    return creased
