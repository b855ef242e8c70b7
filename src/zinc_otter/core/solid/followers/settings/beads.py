"""Bead setting: stones sunk in the metal, each held by small grains raised about it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.solid.followers.settings.base import ALL_ROUND, Parts, Seat, Setting, standing, watched, within
from zinc_otter.core.solid.followers.settings.prongs import shared_pins
from zinc_otter.core.solid.stack import Pin


@dataclass(frozen=True)
class Beads(Setting):
    """``count`` grains of a diameter ``grain`` about each stone, ``over`` the girdle by so many mm; those of neighbours that
    all but touch are one.

    >>> import numpy as np
    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> from zinc_otter.core.stone.stone import Stone
    >>> where = np.eye(4)[None].copy()
    >>> where[0, 2, 3] = 10.5
    >>> laid = {"p2": [(Stone(), where)]}
    >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Beads("f1", stones="p2"),), stones=laid)
    >>> made_of_triangles(recipe).notes[0].status
    'done'
    """

    what: ClassVar[str] = "Beads"
    count: int = 4
    grain: float = 0.4
    over: float = 0.3
    turned: float = 0.0
    kind: Literal["beads"] = "beads"

    def __post_init__(self) -> None:
        super().__post_init__()
        within(
            self.what, count=(self.count, 2, 8), grain=(self.grain, 0.1, 5.0), height_over_the_girdle=(self.over, 0.0, 5.0),
            turn=(self.turned, -360.0, 360.0),
        )  # fmt: skip

    def all_parts(self, seats: Sequence[Seat]) -> list[Parts]:
        return shared_pins([self.parts(seat) for seat in seats], 0.9 * self.grain)

    def parts(self, seat: Seat) -> Parts:
        c, r = self.clearance, self.grain / 2
        first = self.turned + 180.0 / self.count
        at, _ = seat.on_outline(first + np.arange(self.count) * 360.0 / self.count, c + r - 0.3 * self.grain)
        top = seat.half + self.over
        added = []
        up = np.array([0.0, 0.0, 1.0])
        for point in at:
            tip = np.append(point, top - r)
            deep = standing(seat, tip, -up, r, 0.5 * self.grain)
            added.append(Pin(seat.place(tip - deep * up), seat.way(up), r, deep))
        begins, _ = seat.surface(seat.on_outline(ALL_ROUND)[0])
        open_to = max(float(np.nanmax(begins)) if np.isfinite(begins).any() else top, top) + 1.0
        # Over the girdle the seat is open as wide as the table, so that the grains are left.
        over = [(z, share, c) for z, share in seat.gem.profile if z > seat.half + 1e-9]
        last = over[-1] if over else (seat.half, 1.0, c)
        taken = seat.stack([*seat.below(c), *over, (max(open_to, last[0] + 0.1), last[1], c)])
        return Parts(tuple(added), (taken,), watched(seat, c + 0.1 * self.grain))
