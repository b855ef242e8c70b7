"""Small sizes and doubled shells, as a newcomer meets them."""

from __future__ import annotations

import unittest

import numpy as np

from zinc_otter.core.primitives.sized import sized_tube
from zinc_otter.core.proof.crossing import meetings
from zinc_otter.core.surface import build_stencils, evaluate


class ThinTubes(unittest.TestCase):
    def test_a_thin_wall_measures_what_was_asked(self) -> None:
        for outer, inner in ((40, 39), (40, 39.9)):
            cage = sized_tube((outer, inner, 30), (12, 2, 1), 0, "surface")
            points = evaluate(build_stencils(cage, 4), cage).points
            radius = np.hypot(points[:, 0], points[:, 1])
            self.assertAlmostEqual(2 * float(radius.max()), outer, delta=1e-3)
            self.assertAlmostEqual(2 * float(radius.min()), inner, delta=1e-3)


class Doubled(unittest.TestCase):
    POINTS = np.array([[0.0, 0, 0], [1, 0, 0], [0, 1, 0], [0, 0, 0], [1, 0, 0], [0, 1, 0]])

    def test_a_shell_on_a_shell_crosses_and_back_to_back_it_does_not(self) -> None:
        for second, crossing in (([4, 5, 3], 1), ([5, 4, 3], 0)):
            found = meetings(self.POINTS, np.array([[0, 1, 2], second]))
            self.assertEqual(len(found.cross), crossing)
