"""Sizes of the smooth surface, measured by an independent, dense evaluation, against the sizes asked for."""

from __future__ import annotations

import unittest
from collections.abc import Callable
from typing import Any

import numpy as np

from tests.reference import opensubdiv
from zinc_otter.core.cage import Cage
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives import sized
from zinc_otter.core.primitives.final import on_limit, roundness
from zinc_otter.core.primitives.sphere import patched_sphere
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.surface.peak import PeakFinder

FORMS: dict[str, tuple[Callable[[str], Cage], dict[str, float]]] = {
    "box": (lambda of: sized.sized_box((40, 30, 20), (3, 2, 1), of), {"x": 40, "y": 30, "z": 20}),
    "plane": (lambda of: sized.sized_plane((40, 30), (3, 2), of), {"x": 40, "y": 30}),
    "cylinder": (lambda of: sized.sized_cylinder((40, 30), (8, 3), "both", 0.3, 2, of), {"wide": 40, "z": 30, "x": 40}),
    "open cylinder": (lambda of: sized.sized_cylinder((40, 30), (8, 1), "open", 0.3, 0, of), {"wide": 40, "z": 30}),
    "cone": (lambda of: sized.sized_cone((40, 0, 30), (8, 2), "both", 0.3, 0, 10, of), {"wide": 40, "z": 30}),
    "truncated": (lambda of: sized.sized_cone((20, 40, 30), (8, 2), "open", 0.3, 0, 0, of), {"wide": 40, "z": 30}),
    "tube": (lambda of: sized.sized_tube((40, 30, 25), (12, 2, 1), 0, of), {"wide": 40, "narrow": 30, "z": 25, "x": 40}),
    "torus": (lambda of: sized.sized_torus((40, 10), (7, 5), of), {"wide": 50, "z": 10}),
    "sphere": (lambda of: sized.sized_patched_sphere(40, 4, of), {"x": 40, "y": 40, "z": 40}),
    "poles": (lambda of: sized.sized_poled_sphere(40, (8, 6), of), {"wide": 40, "z": 40, "x": 40}),
    "capsule": (lambda of: sized.sized_capsule((20, 60), (4, 3), of), {"wide": 20, "z": 60, "x": 20}),
}  # fmt: skip


def measured(points: np.ndarray, what: str) -> float:
    if what in "xyz":
        return float(np.ptp(points[:, "xyz".index(what)]))
    radius = np.hypot(points[:, 0], points[:, 1])
    return float(2 * (radius.max() if what == "wide" else radius.min()))


class SurfaceSizes(unittest.TestCase):
    def test_each_form_measures_what_was_asked(self) -> None:
        """The peaks found by the finder itself, to 1e-6 of the size."""
        for name, (make, asked) in FORMS.items():
            cage = make("surface")
            finder = PeakFinder(cage, cage.positions)

            def reach(value: Any, finder: PeakFinder = finder) -> float:
                return float(value(finder.peak(value, np.ones(1)))[0])

            for what, size in asked.items():
                if what in "xyz":
                    axis = "xyz".index(what)
                    got = reach(lambda p, a=axis: p[:, a]) + reach(lambda p, a=axis: -p[:, a])
                elif what == "wide":
                    got = reach(lambda p: 2 * np.hypot(p[:, 0], p[:, 1]))
                else:
                    got = -reach(lambda p: -2 * np.hypot(p[:, 0], p[:, 1]))
                self.assertAlmostEqual(got / size, 1, delta=1e-6, msg=f"{name} {what}")

    def test_a_dense_surface_never_reaches_further_and_comes_close(self) -> None:
        for name, (make, asked) in FORMS.items():
            cage = make("surface")
            points = evaluate(build_stencils(cage, 5), cage).points
            for what, size in asked.items():
                share = measured(points, what) / size
                share = 2 - share if what == "narrow" else share
                self.assertLess(share, 1 + 1e-8, f"{name} {what}")
                self.assertGreater(share, 1 - 2e-3, f"{name} {what}")

    def test_the_independent_library_measures_the_same(self) -> None:
        """OpenSubdiv's limit points (Debian's libosd), where the widest places are vertices of every level."""
        for name, what, size in (("sphere", "x", 40), ("capsule", "z", 60), ("torus", "wide", 50), ("tube", "wide", 40)):
            cage = FORMS[name][0]("surface")
            limits = opensubdiv.surface(cage, 4).limit
            self.assertAlmostEqual(measured(limits, what) / size, 1, delta=1e-6, msg=name)

    def test_cage_sizes_are_those_of_the_control_points(self) -> None:
        for name, (make, asked) in FORMS.items():
            for what, size in asked.items():
                if not (name == "torus" and what == "z"):  # five points about the section
                    share = measured(make("cage").positions, what) / size
                    self.assertAlmostEqual(share, 1, delta=1e-9, msg=f"{name} {what}")

    def test_the_sphere_of_six_patches_is_round_within_two_percent(self) -> None:
        solved = sized.sized_patched_sphere(40, 4, "surface")
        self.assertLess(roundness(solved), 0.02)
        self.assertGreater(roundness(patched_sphere(40, 1)), 3 * roundness(solved))

    def test_limit_points_lie_where_they_were_asked(self) -> None:
        wanted = patched_sphere(10, 3)
        made = on_limit(wanted)
        points = evaluate(build_stencils(made, 2), made).points[: len(wanted.positions)]
        np.testing.assert_allclose(points, wanted.positions, atol=1e-9)

    def test_rims_as_sharp_as_asked(self) -> None:
        cage = sized.sized_tube((40, 30, 25), (8, 2, 1), 4, "surface")
        self.assertEqual(np.count_nonzero(cage.edge_sharpness == 4), 4 * 8)

    def test_sizes_that_no_cage_reaches_are_refused(self) -> None:
        with self.assertRaises(BadNumberError):
            sized.sized_tube((40, 30, 0.0), (8, 2, 1), 0, "surface")
