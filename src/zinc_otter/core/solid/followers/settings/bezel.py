"""A bezel: a wall all round the stone."""

from __future__ import annotations

from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.solid.followers.settings.base import ALL_ROUND, Parts, Seat, Setting, SettingError, watched, within
from zinc_otter.core.words import length_words


@dataclass(frozen=True)
class Bezel(Setting):
    """A ``wall`` that stands ``over`` the girdle, on its inside a ``ledge`` on which the stone rests; mm.

    ``taper``: by how many degrees its outside narrows downwards. An "open" base lets light through, down to the far side of
    the metal; a "closed" one leaves what the stone does not need. It stands in the metal where that lies below it, else it
    ends ``depth`` mm below the girdle (0: a little below the stone).

    >>> import numpy as np
    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> from zinc_otter.core.stone.stone import Stone
    >>> where = np.eye(4)[None].copy()
    >>> where[0, 2, 3] = 12.5
    >>> laid = {"p2": [(Stone(), where)]}
    >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Bezel("f1", stones="p2"),), stones=laid)
    >>> made_of_triangles(recipe).notes[0].status
    'done'
    """

    what: ClassVar[str] = "Bezel"
    wall: float = 0.5
    over: float = 0.5
    ledge: float = 0.3
    taper: float = 0.0
    base: Literal["closed", "open"] = "closed"
    depth: float = 0.0
    kind: Literal["bezel"] = "bezel"

    def __post_init__(self) -> None:
        super().__post_init__()
        within(
            self.what, wall=(self.wall, 0.05, 20.0), height_over_the_girdle=(self.over, 0.0, 50.0),
            ledge=(self.ledge, 0.0, 20.0), taper=(self.taper, 0.0, 45.0), depth=(self.depth, 0.0, 200.0),
        )  # fmt: skip

    def parts(self, seat: Seat) -> Parts:
        c, half = self.clearance, seat.half
        inradius = _inradius(seat)
        if self.ledge >= inradius:
            raise SettingError(
                f"A ledge of {length_words(self.ledge)} leaves no opening under a stone of "
                f"{length_words(seat.stone.cut.width)}."
            )
        out, top = c + self.wall, half + self.over
        points, _ = seat.on_outline(ALL_ROUND, c + self.wall / 2)
        begins, ends = seat.surface(np.column_stack([points, np.full(len(points), top - 1e-3)]))
        met = np.isfinite(begins)
        foot = -self.depth if self.depth > 0 else seat.low - c - 0.3
        if met.all():
            # Where metal lies below all of it, it stands in that, and nowhere comes out on the far side.
            foot = max(min(float(begins.min()) - 0.3, half), float(ends.max()) + 0.02)
        elif met.any():
            foot = max(foot, float(np.nanmax(ends)) + 0.02)
        foot = min(foot, -half - 0.05)
        narrower = np.tan(np.radians(self.taper)) * (top - foot)
        if narrower >= out - c + inradius:
            raise SettingError(f"A taper of {self.taper:g}° closes the bezel of {seat.words()} before it reaches the metal.")
        wall = seat.stack([(foot, 1.0, out - narrower), (top, 1.0, out)])
        seat_at = (-half - c, 1.0, c)
        rest = self._rest(seat)
        opening = [] if self.ledge == 0 and self.base == "closed" else self._opening(seat, rest, foot)
        rings = [*opening, rest, seat_at] if opening else ([rest, seat_at] if rest[0] < seat_at[0] - 1e-6 else [seat_at])
        return Parts((wall,), (seat.stack([*rings, (top + 1.0, 1.0, c)]),), watched(seat, c + 0.4 * self.wall))

    def _rest(self, seat: Seat) -> tuple[float, float, float]:
        """Where the ledge ends inwards: along the stone's own underside."""
        c, r = self.clearance, _inradius(seat)
        low = [(z, share) for z, share in seat.gem.profile if z < -seat.half + 1e-9]
        z = -seat.half
        if len(low) > 1 and self.ledge > 0:
            heights, shares = zip(*low, strict=True)
            z = float(np.interp(1 - self.ledge / r, shares, heights)) if shares[0] < 1 else -seat.half
        return min(z, -seat.half) - c - (1e-3 if self.ledge > 0 else 0.0), 1.0, c - self.ledge

    def _opening(self, seat: Seat, rest: tuple[float, float, float], foot: float) -> list[tuple[float, float, float]]:
        c = self.clearance
        if self.base == "closed":
            bottom = seat.low - c - 0.05
            return [(bottom, 1.0, c - self.ledge)] if bottom < rest[0] - 1e-3 else []
        # Through all that lies below.
        _, ends = seat.surface(np.zeros((1, 2)))
        bottom = min(foot, rest[0], float(ends[0]) if np.isfinite(ends[0]) else foot) - 1.0
        return [(bottom, 1.0, c - self.ledge)]


def _inradius(seat: Seat) -> float:
    o = seat.gem.outline
    side = np.roll(o, -1, axis=0) - o
    n = np.column_stack([side[:, 1], -side[:, 0]])
    return float(((n * o).sum(axis=1) / np.linalg.norm(n, axis=1)).min())
