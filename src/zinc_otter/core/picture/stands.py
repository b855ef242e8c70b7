"""Stands to show a piece on, at real size: forms of our own, blended from round ones; none is ever part of a piece."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Literal

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.solid.mesh.level_set import level_set
from zinc_otter.core.words import bare_length, length_words

StandName = Literal["cone", "finger", "hand", "neck", "bust", "table", "block", "hook"]
Distance = Callable[[Floats], Floats]
"""From points (n, 3) in mm to how far they lie outside (n,), below 0 within; changes by no more than the way gone."""

RING_FINGER, BREADTH_OF_A_FINGER = (0.1390, -0.0123, 0.738), 4.62
"""Where a ring sits on a hand that is 1 wide, and how many times as wide as that finger there a hand is."""
_FINE = 96
"""Cells along the longest side."""


@dataclass(frozen=True)
class Stand:
    """What it is called, what its one ``size`` in mm is, how large it is where none is asked for (common practice), and its
    form between ``low`` and ``high``. It may go ``through`` the bore of a piece, and be made as wide as that: ``fits``."""

    words: str
    size_words: str
    usual: float
    made: Callable[[float], tuple[Distance, Sequence[float], Sequence[float]]]
    through: bool = False
    fits: bool = False


def stand_mesh(name: StandName, size: float | None = None) -> tuple[Floats, Ints]:
    """Points (n, 3) mm and triangles (m, 3) of a stand, closed. Raises BadNumberError.

    A cone and a finger stand along z and are ``size`` wide at 0; a block and a table end at 0 upwards; in a hook what hangs
    lies at 0.
    """
    if name not in STANDS:
        raise BadNumberError(f"There is no stand called {name!r}.")
    stand = STANDS[name]
    size = stand.usual if size is None else size
    if not (np.isfinite(size) and stand.usual / 20 <= size <= 20 * stand.usual):
        between = f"between {bare_length(stand.usual / 20)} and {length_words(20 * stand.usual)}"
        raise BadNumberError(f"{stand.words}: its {stand.size_words} lies {between}; {bare_length(size)} does not.")
    distance, low, high = stand.made(float(size))
    voxel = float(np.max(np.subtract(high, low))) / _FINE
    return level_set(distance, np.asarray(low) - 2 * voxel, np.asarray(high) + 2 * voxel, voxel)


def _cone(d: float) -> tuple[Distance, Sequence[float], Sequence[float]]:
    r, long = d / 2, 2.6 * d
    bar = _bar((0, 0, -long), (0, 0, long), r + 0.06 * long, r - 0.06 * long)
    foot = _box((0, 0, -long), (1.6 * r, 1.6 * r, 0.25 * r), 0.25 * r)
    form = _blended([_over(bar, (0, 0, 1), -1.1 * long), foot], 0.02 * d)
    return form, (-2.2 * r, -2.2 * r, -1.3 * long), (2.2 * r, 2.2 * r, long + r)


def _finger(d: float) -> tuple[Distance, Sequence[float], Sequence[float]]:
    r = d / 2
    # Along z it is d wide at 0: from there it gets slimmer upwards and wider downwards by one in twelve.
    finger = _bar((0, 0, -4 * r), (0, 0, 4 * r), r * (1 + 4 / 12), r * (1 - 4 / 12))
    knuckle = _bar((0, 0, 1.9 * r), (0, 0, 2.3 * r), 0.9 * r, 0.88 * r)
    form = _under(_over(_blended([finger, knuckle], 0.02 * d), (0, 0, 1), -4 * r), (0, 0, 1), 6 * r)
    return form, (-1.5 * r, -1.5 * r, -4.1 * r), (1.5 * r, 1.5 * r, 5 * r)


def _hand(b: float) -> tuple[Distance, Sequence[float], Sequence[float]]:
    """A hand held up, its palm to the front; of a right one the thumb is at the left."""
    s = b / 84
    parts = [_box((0, 0, 0), (30 * s, 4 * s, 38 * s), 11 * s)]
    parts.append(_bar((0, 2 * s, -40 * s), (0, 2 * s, -110 * s), 26 * s, 23 * s))
    for x, lean, long in ((-32, -8, 62), (-10.8, -3, 76), (10.8, 3, 70), (32, 9, 52)):
        middle = (s * (x + 0.6 * lean), -2 * s, s * (44 + 0.55 * long))
        parts.append(_bar((x * s, 0, 40 * s), middle, 9.5 * s, 8.6 * s))
        parts.append(_bar(middle, (s * (x + lean), -9 * s, s * (44 + long)), 8.6 * s, 7.2 * s))
    parts.append(_bar((-30 * s, -4 * s, -26 * s), (-58 * s, -16 * s, 14 * s), 15 * s, 11 * s))
    parts.append(_bar((-58 * s, -16 * s, 14 * s), (-66 * s, -22 * s, 40 * s), 11 * s, 8.5 * s))
    form = _over(_blended(parts, 1.4 * s), (0, 0, 1), -105 * s)
    return form, (-80 * s, -40 * s, -106 * s), (60 * s, 36 * s, 140 * s)


def _shoulders(d: float, below: float) -> list[Distance]:
    r = d / 2
    back = [_bar((0, 0.15 * d, -0.1 * d), (0, 0, 2 * r), 1.02 * r, 0.96 * r)]
    for side in (-1, 1):
        back.append(_bar((side * 0.3 * d, 0.1 * d, -0.75 * d), (side * 1.45 * d, 0.2 * d, -1.15 * d), 0.5 * d, 0.42 * d))
        back.append(_bar((side * 0.55 * d, 0, -1.2 * d), (side * 0.5 * d, 0.05 * d, below), 0.75 * d, 0.7 * d))
    return back


def _neck(d: float) -> tuple[Distance, Sequence[float], Sequence[float]]:
    form = _blended(_shoulders(d, -1.6 * d), 0.13 * d)
    form = _under(_over(form, (0, 0, 1), -1.3 * d), (0, -0.25, 1), 0.8 * d)
    return form, (-2.1 * d, -1.2 * d, -1.32 * d), (2.1 * d, 1.2 * d, 1.1 * d)


def _bust(d: float) -> tuple[Distance, Sequence[float], Sequence[float]]:
    form = _blended(_shoulders(d, -2.6 * d), 0.13 * d)
    form = _under(_over(form, (0, 0, 1), -2.5 * d), (0, -0.25, 1), 0.8 * d)
    return form, (-2.1 * d, -1.2 * d, -2.52 * d), (2.1 * d, 1.2 * d, 1.1 * d)


def _table(t: float) -> tuple[Distance, Sequence[float], Sequence[float]]:
    half = (7 * t, 5 * t, t / 2)
    # Its front edge runs through the middle, half rounded.
    form = _box((0, half[1], -t / 2), (half[0] - 0.3 * t, half[1] - 0.3 * t, 0.2 * t), 0.3 * t)
    return form, (-half[0], 0, -t), (half[0], 2 * half[1], 0)


def _block(side: float) -> tuple[Distance, Sequence[float], Sequence[float]]:
    h, edge = side / 2, 0.03 * side
    return _box((0, 0, -h), (h - edge,) * 3, edge), (-h, -h, -side), (h, h, 0)


def _hook(inside: float) -> tuple[Distance, Sequence[float], Sequence[float]]:
    """A round bar that comes out of a plate on a wall (behind) and turns up again; what hangs lies in its bend."""
    r, wire = inside / 2, 0.16 * inside
    middle = np.array([0.0, 0.0, r])
    # From the front, a little up, down through the bend and up to the plate.
    t = np.radians(np.linspace(200, 360, 17))
    bend = [middle + (r + wire) * np.array([0, np.cos(a), np.sin(a)]) for a in t]
    way = [*bend, bend[-1] + [0, 0.1 * r, 1.2 * r], bend[-1] + [0, 1.4 * r, 1.5 * r]]
    bars = [_bar(a, b, wire, wire) for a, b in zip(way[:-1], way[1:], strict=True)]
    plate = _box((0, 2.6 * r, 1.9 * r), (0.9 * r, 0.12 * r, 1.6 * r), 0.12 * r)

    def form(points: Floats) -> Floats:
        return np.minimum(np.min([bar(points) for bar in bars], axis=0), plate(points))

    return form, (-1.1 * r, -1.8 * r, -0.8 * r), (1.1 * r, 2.9 * r, 3.8 * r)


STANDS: dict[StandName, Stand] = {
    "cone": Stand("Ring cone", "diameter in the middle", 17.0, _cone, through=True, fits=True),
    "finger": Stand("Finger", "diameter at the ring", 17.0, _finger, through=True, fits=True),
    "hand": Stand("Hand", "breadth", 84.0, _hand, through=True, fits=True),
    "neck": Stand("Neck", "diameter", 112.0, _neck),
    "bust": Stand("Bust", "neck's diameter", 112.0, _bust),
    "table": Stand("Table edge", "thickness", 28.0, _table),
    "block": Stand("Block", "side", 80.0, _block),
    "hook": Stand("Hook", "width inside", 24.0, _hook, through=True),
}
"""By their short names, in the order in which they are offered."""


def _bar(a: ArrayLike, b: ArrayLike, r: float, s: float) -> Distance:
    """A round bar from a ball of radius r to one of radius s."""
    begin, way = np.asarray(a, dtype=np.float64), np.subtract(b, a, dtype=np.float64)
    long = float(np.linalg.norm(way))
    # Its radius changes on the way: that much too steep would the distance be.
    steep = np.hypot(1.0, (s - r) / long)

    def distance(points: Floats) -> Floats:
        t = np.clip((points - begin) @ way / long**2, 0, 1)
        return np.asarray((np.linalg.norm(points - begin - t[:, None] * way, axis=1) - (r + (s - r) * t)) / steep)

    return distance


def _box(middle: ArrayLike, half: ArrayLike, edge: float) -> Distance:
    """A box with half its sides ``half``, then all round it ``edge``."""

    def distance(points: Floats) -> Floats:
        over = np.abs(points - np.asarray(middle)) - np.asarray(half)
        return np.asarray(np.linalg.norm(np.maximum(over, 0), axis=1) + np.minimum(over.max(axis=1), 0) - edge)

    return distance


def _blended(parts: Sequence[Distance], soft: float) -> Distance:
    """All of them, with hollows between them filled over about ``soft`` mm (by the soft minimum of log-sum-exp)."""

    def distance(points: Floats) -> Floats:
        each = np.array([part(points) for part in parts]) / -soft
        top = each.max(axis=0)
        return np.asarray(-soft * (top + np.log(np.exp(each - top).sum(axis=0))))

    return distance


def _over(form: Distance, way: Sequence[float], height: float) -> Distance:
    """What of it lies further along a way than a height."""
    along = np.asarray(way, dtype=np.float64) / np.linalg.norm(way)
    return lambda points: np.maximum(form(points), height - points @ along)


def _under(form: Distance, way: Sequence[float], height: float) -> Distance:
    return _over(form, [-x for x in way], -height)
