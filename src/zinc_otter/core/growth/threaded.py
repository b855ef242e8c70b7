"""A curve through places of other curves: the cross curve of a net."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.curve.fitting import through
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.form import Form
from zinc_otter.core.growth.base import Growth, GrowthError, NameOf, Outgrowth, curve_of


@dataclass(frozen=True)
class Threaded(Growth):
    """The smooth curve through one place of each of the ``curves`` (ids), in their order.

    ``places`` are shares of their lengths, 0 to 1, so that it goes along when they are pulled.
    """

    what: ClassVar[str] = "Cross curve"
    pulled: ClassVar[bool] = False
    curves: tuple[str, ...] = ()
    places: tuple[float, ...] = ()
    kind: Literal["threaded"] = "threaded"

    def __post_init__(self) -> None:
        super().__post_init__()
        if len(self.curves) < 2 or len(self.curves) != len(self.places):
            raise GrowthError("A cross curve runs through two curves or more, at one place of each.")
        if not all(0 <= place <= 1 for place in self.places):
            raise GrowthError("The places of a cross curve are shares of the curves' lengths, from 0 to 1.")

    @property
    def sources(self) -> tuple[str, ...]:
        return self.curves

    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        points = []
        for form, place in zip(forms, self.places, strict=True):
            made = pieces_of(curve_of(form, "A cross curve"))
            points.append(made.at(made.places_at([place * made.length]))[0])
        return Outgrowth(through(np.array(points)))

    def deed(self, name_of: NameOf) -> str:
        return f"Drew a line across {', '.join(name_of(curve) for curve in self.curves)}"
