"""Two curves, each seen in its own view, combined into one in space."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.curve.tracing import by_count
from zinc_otter.core.form import Form
from zinc_otter.core.growth.base import Growth, GrowthError, NameOf, Outgrowth, curve_of
from zinc_otter.core.words import fine_length_words

_SEEN = {"front": (0, 2), "right": (1, 2), "top": (0, 1)}
"""The two axes that each view shows."""


@dataclass(frozen=True)
class Combined(Growth):
    """The curve that looks like ``first`` in one view and like ``second`` in another.

    The second passes every height of the axis that both views show once.
    """

    what: ClassVar[str] = "Combined curve"
    pulled: ClassVar[bool] = False
    first: str = ""
    second: str = ""
    views: Literal["front and right", "front and top", "right and top"] = "front and right"
    count: int = 12
    kind: Literal["combined"] = "combined"

    def __post_init__(self) -> None:
        super().__post_init__()
        if not 3 <= self.count <= 400:
            raise GrowthError(f"It has 3 to 400 control points; {self.count} were asked for.")

    @property
    def sources(self) -> tuple[str, ...]:
        return (self.first, self.second)

    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        one, other = (curve_of(form, "A combined curve") for form in forms)
        here, there = (_SEEN[view] for view in self.views.split(" and "))
        shared = next(axis for axis in here if axis in there)
        own, its = next(a for a in here if a != shared), next(a for a in there if a != shared)
        line, second = _dense(one), _dense(other)
        heights = second[:, shared]
        steps = np.diff(heights)
        if not ((steps > 0).all() or (steps < 0).all()):
            k = int(np.flatnonzero(np.sign(steps) != np.sign(steps[0]))[0])
            axis = "xyz"[shared]
            raise GrowthError(f"The second curve comes back along {axis} there, so that it has two places at one {axis}.",
                              points=[second[k].tolist()])  # fmt: skip
        low, high = heights.min(), heights.max()
        inside = (line[:, shared] >= low - 1e-9) & (line[:, shared] <= high + 1e-9)
        if inside.sum() < 2:
            raise GrowthError(f"Along {'xyz'[shared]} the two curves lie beside one another, not over one another.")
        order = np.argsort(heights)
        first, last = np.flatnonzero(inside)[[0, -1]]
        line = line[first : last + 1]
        points = np.empty_like(line)
        points[:, own], points[:, shared] = line[:, own], line[:, shared]
        points[:, its] = np.interp(line[:, shared], heights[order], second[order, its])
        closed = one.closed and bool(inside.all())
        fitted = by_count(points[:-1] if closed else points, self.count, closed)
        cut = () if inside.all() else ("It ends where one of the two does.",)
        return Outgrowth(fitted.curve, remarks=(
            f"It strays from both by at most "
            f"{fine_length_words(fitted.deviation)}.", *cut)
        )

    def deed(self, name_of: NameOf) -> str:
        return f"Combined {name_of(self.first)} and {name_of(self.second)}, seen from the {self.views}"


def _dense(curve: Curve) -> np.ndarray:
    return pieces_of(curve).dense(40)
