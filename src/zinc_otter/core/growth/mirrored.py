"""The mirror image of another piece."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.plane import Plane
from zinc_otter.core.cage.symmetry import Group
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.form import Form
from zinc_otter.core.growth.base import Growth, NameOf, Outgrowth
from zinc_otter.core.relief.mirrored import mirrored_with_relief
from zinc_otter.core.repeated import Repeated

_ACROSS_X = Plane((0.0, 0.0, 0.0), (1.0, 0.0, 0.0))


@dataclass(frozen=True)
class MirroredCopy(Growth):
    """The image of ``source`` in a ``plane``."""

    what: ClassVar[str] = "Mirror image"
    tie: ClassVar[str] = " in a mirror"
    pulled: ClassVar[bool] = False
    source: str = ""
    plane: Plane = _ACROSS_X
    kind: Literal["mirrored"] = "mirrored"

    @property
    def sources(self) -> tuple[str, ...]:
        return (self.source,)

    def grow(self, forms: Sequence[Form]) -> Outgrowth:
        (form,) = forms
        if isinstance(form, Curve):
            return Outgrowth(form.with_points(Group((self.plane,)).moved(1, form.points)))
        if isinstance(form, Repeated):
            motion = np.eye(4)
            matrix, offset, _ = Group((self.plane,)).generators[0]
            motion[:3, :3], motion[:3, 3] = matrix, offset
            return Outgrowth(form.under(np.asarray([motion])))
        return Outgrowth(mirrored_with_relief(form, self.plane))

    def deed(self, name_of: NameOf) -> str:
        return f"Mirrored {name_of(self.source)}"
