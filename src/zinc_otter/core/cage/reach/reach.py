"""A falloff around the picked: how far a change carries, and with which profile."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.reach.distances import along_cage, through_space
from zinc_otter.core.cage.reach.profiles import profile
from zinc_otter.core.cage.selection import Selection, vertices_of
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError


@dataclass(frozen=True, eq=False)
class Reach:
    """``radius`` mm along the cage, or with ``in_space`` through the air; the ``profile`` by name, or "drawn".

    With ``within`` only what that selection holds takes part, and ways do not lead on through its rim.
    """

    radius: float
    in_space: bool = False
    profile: str = "smooth"
    curve: tuple[tuple[float, float], ...] = ()
    within: Selection | None = None

    def weights(self, cage: Cage, selection: Selection) -> Floats:
        """(n,) the share of the change that each vertex takes: 1 at the picked, 0 from the radius on.

        Raises BadNumberError, BadSelectionError.
        """
        if not (np.isfinite(self.radius) and self.radius >= 0):
            raise BadNumberError("A reach is a length of 0 or more.")
        falloff = profile(self.profile, self.curve)
        selection.check(cage.topology)
        sources = vertices_of(cage.topology, selection)
        weights = np.zeros(cage.topology.vertex_count)
        inside = np.ones(cage.topology.vertex_count, dtype=bool)
        if self.within is not None:
            self.within.check(cage.topology)
            inside[:] = False
            inside[vertices_of(cage.topology, self.within)] = True
        if self.radius > 0:
            if self.in_space:
                distance = through_space(cage, sources)
            else:
                distance = along_cage(cage, sources, self.radius, np.flatnonzero(~inside))
            near = distance < self.radius
            weights[near] = falloff(distance[near] / self.radius)
        weights[sources] = 1.0
        weights[~inside] = 0.0
        return weights
