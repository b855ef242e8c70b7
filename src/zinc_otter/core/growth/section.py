"""Where a plane cuts another piece's surface: a curve that follows it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.plane import Vec, plane_at
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.tracing import by_count
from zinc_otter.core.form import Form, require_faces
from zinc_otter.core.growth.base import Growth, GrowthError, NameOf, Outgrowth
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.surface.curves import section_curves
from zinc_otter.core.surface.nearest import fitting_level
from zinc_otter.core.words import fine_length_words, length_words


@dataclass(frozen=True)
class Section(Growth):
    """The line in which a plane cuts ``source``, by ``count`` control points; of several the longest, or the next ones."""

    what: ClassVar[str] = "Section"
    pulled: ClassVar[bool] = False
    source: str = ""
    point: Vec = (0.0, 0.0, 0.0)
    normal: Vec = (0.0, 0.0, 1.0)
    count: int = 12
    which: int = 0
    kind: Literal["section"] = "section"

    def __post_init__(self) -> None:
        super().__post_init__()
        if not 3 <= self.count <= 400:
            raise GrowthError(f"A section has 3 to 400 control points; {self.count} were asked for.")

    @property
    def sources(self) -> tuple[str, ...]:
        return (self.source,)

    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        cage = require_faces(forms[0], "What is cut")
        surface = evaluate(build_stencils(cage, fitting_level(cage)), cage)
        found = sorted(section_curves(surface, plane_at(self.point, self.normal)), key=lambda curve: -_length(curve.points))
        if not found:
            raise GrowthError("The plane cuts nothing of it.")
        if not 0 <= self.which < len(found):
            raise GrowthError(f"The plane cuts it in {len(found)} lines; there is no number {self.which + 1}.")
        chosen = found[self.which]
        fitted = by_count(chosen.points, self.count, chosen.closed)
        said = [f"It strays from the surface by at most {fine_length_words(fitted.deviation)}."]
        if len(found) > 1:
            said.append(f"The plane cuts it in {len(found)} lines; this is number {self.which + 1}.")
        return Outgrowth(fitted.curve, remarks=tuple(said))

    def deed(self, name_of: NameOf) -> str:
        axis = max(range(3), key=lambda k: abs(self.normal[k]))
        return f"Took a section of {name_of(self.source)} at {'xyz'[axis]} = {length_words(self.point[axis])}"


def _length(points: Floats) -> float:
    return float(np.linalg.norm(np.diff(points, axis=0), axis=1).sum())
