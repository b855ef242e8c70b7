"""A flush setting: the stone lies in the metal, its seat and a bright cut in the surface."""

from __future__ import annotations

from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.solid.followers.settings.base import (
    ALL_ROUND,
    Part,
    Parts,
    Seat,
    Setting,
    SettingError,
    watched,
    within,
)


@dataclass(frozen=True)
class Flush(Setting):
    """A seat of the stone's own form, open above; ``bright`` mm of the edge in the surface are cut off at 45 degrees.

    >>> import numpy as np
    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> from zinc_otter.core.stone.stone import Stone
    >>> where = np.eye(4)[None].copy()
    >>> where[0, 2, 3] = 10.0
    >>> laid = {"p2": [(Stone(), where)]}
    >>> recipe = Recipe("Box", box((30, 30, 30), (2, 2, 2)), (Flush("f1", stones="p2"),), stones=laid)
    >>> made_of_triangles(recipe).notes[0].status
    'done'
    """

    what: ClassVar[str] = "Flush setting"
    bright: float = 0.15
    kind: Literal["flush"] = "flush"

    def __post_init__(self) -> None:
        super().__post_init__()
        within(self.what, bright_cut=(self.bright, 0.0, 5.0))

    def parts(self, seat: Seat) -> Parts:
        c = self.clearance
        points, _ = seat.on_outline(ALL_ROUND, c + 0.02)
        begins, _ = seat.surface(points)
        if not np.isfinite(begins).any():
            raise SettingError(f"There is no metal about {seat.words()}.", points=[tuple(seat.motion[:3, 3].tolist())])
        low, high = float(np.nanmin(begins)), float(np.nanmax(begins))
        taken: list[Part] = [seat.stack([*seat.below(c), (max(high, seat.half) + 1.0, 1.0, c)])]
        if self.bright > 0:
            middle = (low + high) / 2
            reach = self.bright + 1.0
            taken.append(seat.stack([(middle - self.bright, 1.0, c), (middle + 1.0, 1.0, c + reach)]))
        return Parts((), tuple(taken), watched(seat, c + 0.05))
