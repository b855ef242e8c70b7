"""A cabochon whose outline was drawn."""

from __future__ import annotations

from dataclasses import dataclass
from functools import cached_property
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.stone.cuts.base import Cut
from zinc_otter.core.stone.cuts.rounded import domed
from zinc_otter.core.stone.gem import Gem
from zinc_otter.core.stone.outlines import ellipse

Corner = tuple[float, float]

_LEAST, _MOST = 3, 400
_PLAIN: tuple[Corner, ...] = tuple((float(x), float(y)) for x, y in ellipse(1.0, 1.25).polygon(4))


@dataclass(frozen=True)
class DrawnCabochon(Cut):
    """A dome over any ``outline`` that bulges all round: corners counter-clockwise about the origin, in shares of the width,
    which is the least distance of two parallels that hold it. Dome, back and girdle as those of a cabochon, of the width.

    At a share s of the outline the dome is as high as that of an ellipse, √(1 - s²), so that its volume is two thirds of
    area times height whatever the outline.
    """

    what: ClassVar[str] = "Drawn cabochon"
    bounds: ClassVar[dict[str, tuple[float, float]]] = {"dome": (5.0, 120.0), "back": (0.0, 100.0), "girdle": (0.5, 40.0)}
    dome: float = 40.0
    back: float = 0.0
    girdle: float = 8.0
    outline: tuple[Corner, ...] = _PLAIN
    kind: Literal["drawn"] = "drawn"

    def __post_init__(self) -> None:
        super().__post_init__()
        if not _LEAST <= len(self.outline) <= _MOST:
            raise BadNumberError(f"An outline has {_LEAST} to {_MOST} corners; {len(self.outline)} is not.")
        if not np.isfinite(self._loop).all() or (_twice_areas(self._loop) <= 0).any():
            raise BadNumberError("The outline of a stone runs counter-clockwise about its middle.")

    @property
    def spread(self) -> tuple[float, float]:
        x, y = np.ptp(self._loop, axis=0) * self.width
        return float(x), float(y)

    @property
    def long(self) -> float:
        """mm across where it is longest."""
        return self.width * widths(self._loop)[1]

    @property
    def called(self) -> str:
        return self.what.lower() if self.outline == _PLAIN else super().called

    def made(self) -> Gem:
        loop = self._loop * self.width
        return domed(loop, self.width, self.dome, self.back, self.girdle, float(_twice_areas(loop).sum()) / 2)

    @cached_property
    def _loop(self) -> Floats:
        return np.array(self.outline, dtype=np.float64).reshape(-1, 2)


def drawn(loop: Floats, like: DrawnCabochon) -> DrawnCabochon:
    """A cabochon ``like`` another over a ``loop`` (n, 2) mm about the origin. Raises BadNumberError."""
    width, _ = widths(loop)
    outline = tuple((float(x), float(y)) for x, y in loop / max(width, 1e-12))
    return DrawnCabochon(width, like.dome, like.back, like.girdle, outline)


def widths(loop: Floats) -> tuple[float, float]:
    """The least and the largest distance of two parallels that hold a convex loop (n, 2) between them.

    The least one touches along a side (M. E. Houle, G. T. Toussaint, "Computing the width of a set", 1988), the largest one
    is that of two corners.
    """
    side = np.roll(loop, -1, axis=0) - loop
    length = np.linalg.norm(side, axis=1)
    n = np.column_stack([side[:, 1], -side[:, 0]])[length > 1e-12] / length[length > 1e-12, None]
    least = float(np.ptp(loop @ n.T, axis=0).min()) if len(n) else 0.0
    return least, float(np.linalg.norm(loop[:, None] - loop[None], axis=2).max())


def _twice_areas(loop: Floats) -> Floats:
    """(n,) of the triangles from the origin over each side."""
    after = np.roll(loop, -1, axis=0)
    return np.asarray(loop[:, 0] * after[:, 1] - loop[:, 1] * after[:, 0])
