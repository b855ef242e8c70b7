"""A curve laid onto another piece's surface."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.fitting import Fitted, fitted_to
from zinc_otter.core.curve.pieces import pieces_of
from zinc_otter.core.form import Form, require_faces
from zinc_otter.core.growth.base import Growth, NameOf, Outgrowth, curve_of
from zinc_otter.core.surface.nearest import nearest_on
from zinc_otter.core.words import fine_length_words, length_words

_EACH = 24


@dataclass(frozen=True)
class Laid(Growth):
    """``curve`` where it lies nearest on ``onto``, ``above`` mm over its surface; as many control points, corners kept."""

    what: ClassVar[str] = "Laid curve"
    pulled: ClassVar[bool] = False
    curve: str = ""
    onto: str = ""
    above: float = 0.0
    kind: Literal["laid"] = "laid"

    @property
    def sources(self) -> tuple[str, ...]:
        return (self.curve, self.onto)

    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        curve = curve_of(forms[0], "A laid curve")
        cage = require_faces(forms[1], "What it is laid on")
        made = off_surface(curve, cage, self.above)
        height = f" to lie {length_words(self.above)} above it" if self.above else ""
        words = (
            f"It strays from the surface by at most {fine_length_words(made.deviation)}{height}; more points hold it "
            f"nearer."
        )
        return Outgrowth(made.curve, remarks=(words,))

    def deed(self, name_of: NameOf) -> str:
        return f"Laid {name_of(self.curve)} onto {name_of(self.onto)}"


def off_surface(curve: Curve, cage: Cage, above: float) -> Fitted:
    """A curve where it lies nearest on a cage's surface, ``above`` mm along its normals; as many control points."""
    surface = nearest_on(cage)
    made = pieces_of(curve)
    steps = np.linspace(0, curve.end, _EACH * curve.end + 1)

    def on_it(places: np.ndarray) -> np.ndarray:
        feet, normals = surface.at(made.at(places))
        return np.asarray(feet + above * normals)

    goals = on_it(steps)
    start = Curve(on_it(np.arange(curve.count)), curve.degree, curve.closed, curve.sharpness)
    fitted = fitted_to(start, steps, goals)
    off = np.linalg.norm(pieces_of(fitted).at(steps) - goals, axis=1)
    return Fitted(fitted, float(off.max()))
