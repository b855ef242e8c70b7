"""Size what is picked: multiply its extent."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.building.motion import Motion, middle_of, sizing
from zinc_otter.core.words import number
from zinc_otter.studio.commands.base import Direction, Vector
from zinc_otter.studio.commands.placement import Placement, reaching
from zinc_otter.studio.design import Design

Factor = Annotated[float, Field(ge=0, le=1000, allow_inf_nan=False)]


class SizeBy(Placement):
    """Multiply the extent by ``factors`` about ``pivot`` (default the middle of the selection).

    The factors go along x, y and z, or along the three unit vectors of ``frame``.
    """

    kind: Literal["size"] = "size"
    factors: tuple[Factor, Factor, Factor]
    pivot: Vector | None = None
    frame: tuple[Direction, Direction, Direction] | None = None

    def motion(self, cage: Cage, picked: Selection) -> Motion:
        return sizing(self.factors, self.pivot or tuple(middle_of(cage, picked)), self.frame)

    def title(self, design: Design) -> str:
        x, y, z = self.factors
        if x == y == z:
            by = f"to {number(100 * x, 1)} %"
        else:
            changed = [(axis, f) for axis, f in zip("xyz", self.factors, strict=True) if f != 1]
            by = "to " + ", ".join(f"{axis} {number(100 * f, 1)} %" for axis, f in changed)
        return f"Sized {self.what(design)} {by}{reaching(self.reach)}"
