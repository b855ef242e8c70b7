"""What is to be said of something that was made, and where that is."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import NOWHERE, Place, read_place


@dataclass(frozen=True)
class Remark:
    """A sentence for the designer, and the place that it is about, if there is one."""

    words: str
    place: Place = NOWHERE

    @classmethod
    def read(cls, data: Mapping[str, Any]) -> Remark:
        """From the mapping that ``dataclasses.asdict`` gives, by way of JSON."""
        return cls(data["words"], read_place(data["place"]))


def at_points(points: Floats) -> Place:
    """The place of points (k, 3) in mm."""
    return Place(points=tuple((float(x), float(y), float(z)) for x, y, z in np.reshape(points, (-1, 3))))
