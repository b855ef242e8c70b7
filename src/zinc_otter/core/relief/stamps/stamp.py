"""A stamp: heights over a rectangle, from 0 to 1, and the height in mm that 1 stands for where that is known."""

from __future__ import annotations

import hashlib
from dataclasses import dataclass
from functools import cached_property

import numpy as np
from numpy.typing import NDArray
from scipy.ndimage import map_coordinates

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError

MOST_ACROSS = 2048
"""Pixels of a stamp's side."""


@dataclass(frozen=True, eq=False)
class Stamp:
    """``heights`` (h, w) float32, the first row at the top; ``tiles`` where left and right, top and bottom fit together.

    ``width`` is how wide (mm) it is where it was taken from a thing of true size, and ``height`` how high; 0 where it was
    not.
    """

    heights: NDArray[np.float32]
    tiles: bool = False
    width: float = 0.0
    height: float = 0.0

    def __post_init__(self) -> None:
        if self.heights.ndim != 2 or min(self.heights.shape) < 2 or max(self.heights.shape) > MOST_ACROSS:
            raise BadNumberError(
                f"A stamp has 2 to {MOST_ACROSS:,} pixels a side; this one is {' by '.join(map(str, self.heights.shape))}."
            )
        if not np.isfinite(self.heights).all():
            raise BadNumberError("A stamp's heights must be finite numbers.")
        self.heights.flags.writeable = False

    @cached_property
    def digest(self) -> str:
        told = f"{self.tiles} {self.width} {self.height} {self.heights.shape}"
        return hashlib.sha256(told.encode() + self.heights.tobytes()).hexdigest()

    @property
    def aspect(self) -> float:
        """Its height over its width."""
        return self.heights.shape[0] / self.heights.shape[1]

    def at(self, u: Floats, v: Floats) -> Floats:
        """(m,) heights at shares of the width from the left and of the height from below, between pixels linear.

        Beyond its edges a stamp that tiles goes on; another one is flat there.
        """
        rows, columns = self.heights.shape
        if self.tiles:
            row, column = (1 - v) * rows - 0.5, u * columns - 0.5
            return np.asarray(map_coordinates(self.heights, [row % rows, column % columns], order=1, mode="grid-wrap"))
        row, column = (1 - v) * (rows - 1), u * (columns - 1)
        return np.asarray(map_coordinates(self.heights, [row, column], order=1, mode="constant", cval=0.0))
