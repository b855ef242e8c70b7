"""Volumes of solids against closed formulas, within the deviation that is measured from the exact form."""

from __future__ import annotations

import unittest
from collections.abc import Callable

import numpy as np

from tests.kernel import made_in_kernel
from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives.sized import sized_capsule, sized_torus, sized_tube
from zinc_otter.core.solid.followers import Combine, ImportedBody, Trim
from zinc_otter.core.solid.kernel.shape import triangulated
from zinc_otter.core.solid.mesh.route import made_of_triangles
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.core.surface import build_stencils, evaluate


class Formulas(unittest.TestCase):
    def within(self, cage: Cage, away: Callable[[np.ndarray], np.ndarray], volume: float, area: float, least: float) -> None:
        """The solid's volume differs by no more than the surface does from the exact form, and that by ``least`` at most."""
        points = evaluate(build_stencils(cage, 5), cage).points
        deviation = float(np.abs(away(points)).max())
        self.assertLess(deviation, least)
        recipe = Recipe("Form", cage)
        made = made_in_kernel(recipe, made_of_triangles(recipe))
        self.assertLessEqual(abs(made.volume - volume), 1.02 * area * deviation)
        self.assertAlmostEqual(triangulated(made.body, 0.02).moments.area / area, 1, delta=0.01)

    def test_a_torus_by_pappus(self) -> None:
        # 2 pi^2 R r^2 and 4 pi^2 R r (Pappus's centroid theorem).
        big, small = 15.0, 3.0
        cage = sized_torus((2 * big, 2 * small), (24, 12), "surface")
        self.within(
            cage,
            lambda p: np.hypot(np.hypot(p[:, 0], p[:, 1]) - big, p[:, 2]) - small,
            2 * np.pi**2 * big * small**2,
            4 * np.pi**2 * big * small,
            0.08,
        )

    def test_a_capsule(self) -> None:
        # A cylinder and a sphere: pi r^2 h + 4/3 pi r^3, and 2 pi r h + 4 pi r^2 (any handbook of mathematics).
        radius, straight = 5.0, 20.0
        cage = sized_capsule((2 * radius, straight + 2 * radius), (4, 8), "surface")
        axis = int(np.argmax(np.ptp(cage.positions, axis=0)))

        def away(points: np.ndarray) -> np.ndarray:
            along = np.clip(points[:, axis], -straight / 2, straight / 2)
            rest = points.copy()
            rest[:, axis] -= along
            return np.linalg.norm(rest, axis=1) - radius

        volume = np.pi * radius**2 * straight + 4 / 3 * np.pi * radius**3
        self.within(cage, away, volume, 2 * np.pi * radius * straight + 4 * np.pi * radius**2, 0.2)

    def test_a_tube_with_sharp_rims_is_a_washer_turned_about_its_axis(self) -> None:
        # pi (R^2 - r^2) h.
        outer, inner, height = 12.0, 8.0, 15.0
        cage = sized_tube((2 * outer, 2 * inner, height), (24, 3, 1), 10.0, "surface")

        def away(points: np.ndarray) -> np.ndarray:
            far = np.hypot(points[:, 0], points[:, 1])
            return np.minimum.reduce([abs(far - outer), abs(far - inner), height / 2 - abs(points[:, 2])])

        area = 2 * np.pi * (outer + inner) * height + 2 * np.pi * (outer**2 - inner**2)
        self.within(cage, away, np.pi * (outer**2 - inner**2) * height, area, 0.02)

    def test_half_a_torus_is_half_of_it(self) -> None:
        cage = sized_torus((30, 6), (24, 12), "surface")
        whole = Recipe("Torus", cage)
        half = Recipe("Torus", cage, (Trim("f1", point=(0, 0, 0), normal=(1, 0, 0)),))
        volumes = [made_in_kernel(r, made_of_triangles(r)).volume for r in (whole, half)]
        self.assertAlmostEqual(volumes[1] / volumes[0], 0.5, delta=1e-4)

    def test_an_imported_solid_that_is_not_at_hand_is_waited_for(self) -> None:
        cage = sized_torus((30, 6), (8, 6), "surface")
        made = made_of_triangles(Recipe("Torus", cage, (Combine("f1", body=ImportedBody("0" * 64)),)))
        self.assertEqual(made.notes[0].status, "waits")
