"""The rose cut: a flat base and a dome of triangles."""

from __future__ import annotations

from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.stone.cuts.base import Cut
from zinc_otter.core.stone.gem import Gem, cut_by, level, through, walls


@dataclass(frozen=True)
class RoseCut(Cut):
    """24 triangles above a girdle and a flat base; ``dome`` is the height above the girdle. Common practice, no source."""

    what: ClassVar[str] = "Rose cut"
    bounds: ClassVar[dict[str, tuple[float, float]]] = {"dome": (10.0, 80.0), "girdle": (0.5, 15.0)}
    is_round: ClassVar[bool] = True
    dome: float = 40.0
    girdle: float = 3.0
    kind: Literal["rose"] = "rose"

    def made(self) -> Gem:
        r, half, top = self.width / 2, self.girdle / 100 * self.width / 2, self.dome / 100 * self.width
        count = 96
        angle = 2 * np.pi * np.arange(count) / count
        rim = r * np.column_stack([np.cos(angle), np.sin(angle)])

        def at(turns: float, radius: float, z: float) -> Floats:
            return np.array([radius * np.cos(2 * np.pi * turns), radius * np.sin(2 * np.pi * turns), z])

        tip = np.array([0.0, 0.0, half + top])
        planes = [level(-half, up=False)]
        for k in range(6):
            one, other = at(k / 6, 0.55 * r, half + 0.72 * top), at((k + 1) / 6, 0.55 * r, half + 0.72 * top)
            before, here, after = at((k - 0.5) / 6, r, half), at(k / 6, r, half), at((k + 0.5) / 6, r, half)
            planes += [
                through(tip, one, other),
                through(one, other, after),
                through(one, before, here),
                through(one, here, after),
            ]
        return cut_by(np.vstack([np.array(planes), walls(rim)]), rim, 2 * half)
