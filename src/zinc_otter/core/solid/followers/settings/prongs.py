"""Prongs: wires that rise from the metal and grip the girdle, in a basket or alone."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.solid.exact import Cone
from zinc_otter.core.solid.followers.settings.base import Part, Parts, Seat, Setting, standing, watched, within
from zinc_otter.core.solid.stack import Pin

_BITE = 0.35
"""Share of a prong's diameter by which it reaches over the girdle, where the stone cuts its notch."""
_THIN = 0.35
"""Half of a rail's section, as a share of the prongs' diameter."""


@dataclass(frozen=True)
class Prongs(Setting):
    """``count`` prongs of a ``wire`` (mm) ``over`` the girdle by so many mm, each leaning outwards by ``lean`` degrees.

    "single", or "double": two beside one another at each place; "shared": those of neighbours that all but touch become one.
    Tips are round, flat, or "claw": drawn to a point over the crown. ``rails`` (0 to 2) tie them together below the girdle.
    ``turned`` degrees lay the first aside. A foot ends in the metal and never comes out below.

    >>> import numpy as np
    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> from zinc_otter.core.stone.stone import Stone
    >>> where = np.eye(4)[None].copy()
    >>> where[0, 2, 3] = 12.5
    >>> laid = {"p2": [(Stone(), where)]}
    >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Prongs("f1", stones="p2"),), stones=laid)
    >>> made_of_triangles(recipe).notes[0].status
    'done'
    """

    what: ClassVar[str] = "Prongs"
    count: int = 4
    wire: float = 0.8
    over: float = 0.5
    lean: float = 0.0
    way: Literal["single", "double", "shared"] = "single"
    tip: Literal["round", "flat", "claw"] = "round"
    rails: int = 0
    turned: float = 0.0
    kind: Literal["prongs"] = "prongs"

    def __post_init__(self) -> None:
        super().__post_init__()
        within(
            self.what, count=(self.count, 2, 8), wire=(self.wire, 0.1, 10.0), height_over_the_girdle=(self.over, 0.0, 20.0),
            lean=(self.lean, -30.0, 45.0), count_of_rails=(self.rails, 0, 2), turn=(self.turned, -360.0, 360.0),
        )  # fmt: skip

    def all_parts(self, seats: Sequence[Seat]) -> list[Parts]:
        made = [self.parts(seat) for seat in seats]
        return shared_pins(made, self.wire) if self.way == "shared" else made

    def parts(self, seat: Seat) -> Parts:
        r, c = self.wire / 2, self.clearance
        first = self.turned + (180.0 / self.count if self.count % 2 == 0 else 90.0)
        at, out = seat.on_outline(first + np.arange(self.count) * 360.0 / self.count)
        if self.way == "double":
            beside = np.column_stack([-out[:, 1], out[:, 0]]) * self.wire * 0.55
            at, out = np.vstack([at - beside, at + beside]), np.vstack([out, out])
        offset = c + r - _BITE * self.wire
        added: list[Part] = []
        for point, n in zip(at, out, strict=True):
            added += self._prong(seat, point + offset * n, n)
        added += [self._rail(seat, k, offset) for k in range(self.rails)]
        taken = (seat.stack(seat.around(c)),)
        return Parts(tuple(added), taken, watched(seat, c + 0.15 * self.wire))

    def _prong(self, seat: Seat, at: Floats, n: Floats) -> list[Part]:
        r = self.wire / 2
        lean = np.radians(self.lean)
        up = np.append(np.sin(lean) * n, np.cos(lean))
        # A round tip ends at the height that was asked for; a claw bends over below it.
        over = {"round": self.over - r * (1 - 1e-9), "flat": self.over, "claw": 0.4 * self.over}[self.tip]
        top = np.append(at, 0.0) + (seat.half + over) / up[2] * up
        deep = standing(seat, top, -up, r, 0.5 * self.wire)
        parts: list[Part] = [Pin(seat.place(top - deep * up), seat.way(up), r, deep, self.tip != "flat")]
        if self.tip == "claw":
            inwards = np.append(-n * np.cos(np.radians(25)), np.sin(np.radians(25)))
            length = self.wire * 1.1 + 0.6 * self.over
            parts.append(Cone(seat.place(top), seat.way(inwards), r * 0.95, r * 0.35, length))
        return parts

    def _rail(self, seat: Seat, k: int, offset: float) -> Part:
        thin = _THIN * self.wire
        z = -seat.half + (seat.low + seat.half) * (k + 1) / (self.rails + 1) - thin
        out = offset + np.tan(np.radians(self.lean)) * z
        wide, narrow = out + thin, out - thin
        return seat.stack(
            [(z - thin, 1.0, wide), (z + thin, 1.0, wide), (z + thin, 1.0, narrow), (z - thin, 1.0, narrow)], hollow=True
        )


def shared_pins(made: Sequence[Parts], wire: float) -> list[Parts]:
    """Pins of different stones that come nearer than a wire are one, midway between them."""
    pins = [(k, part) for k, one in enumerate(made) for part in one.added if isinstance(part, Pin)]
    tops = np.array([np.asarray(pin.point) + pin.length * np.asarray(pin.along) for _, pin in pins]).reshape(-1, 3)
    gone: set[int] = set()
    fresh: dict[int, Pin] = {}
    for i, (k, pin) in enumerate(pins):
        if i in gone:
            continue
        near = [
            j for j in range(i + 1, len(pins))
            if j not in gone and pins[j][0] != k and np.linalg.norm(tops[i] - tops[j]) < wire
        ]  # fmt: skip
        if not near:
            continue
        together = [pin, *(pins[j][1] for j in near)]
        foot = np.mean([one.point for one in together], axis=0)
        top = np.mean([tops[i], *(tops[j] for j in near)], axis=0)
        length = float(np.linalg.norm(top - foot))
        x, y, z = (float(v) for v in foot)
        a, b, c = (float(v) for v in (top - foot) / length)
        fresh[i] = replace(pin, point=(x, y, z), along=(a, b, c), length=length)
        gone.update(near)
    numbered = iter(range(len(pins)))
    result = []
    for one in made:
        added: list[Part] = []
        for part in one.added:
            if isinstance(part, Pin):
                i = next(numbered)
                if i not in gone:
                    added.append(fresh.get(i, part))
            else:
                added.append(part)
        result.append(Parts(tuple(added), one.taken, one.held_at))
    return result
