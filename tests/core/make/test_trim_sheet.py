"""A body trimmed by an open piece: against planes, and against a surface whose height is known."""

from __future__ import annotations

import unittest
from dataclasses import replace

from tests.core.make.test_followers import RouteCase, hard_block
from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives import box, cylinder, plane
from zinc_otter.core.solid.followers import Fillet, Hollow, MirrorBody, Thickened, TrimBySheet
from zinc_otter.core.solid.mesh.route import made_of_triangles
from zinc_otter.core.solid.recipe import Recipe


def sheet(height: float, bend: float = 0.0, step: float = 10.0) -> Cage:
    """80 mm by 80, its faces upwards; its points at ``height`` and ``bend`` times the square of the way from the middle."""
    flat = plane((80.0, 80.0), (int(80 / step), int(80 / step)))
    lifted = flat.positions.copy()
    lifted[:, 2] += height + bend * (lifted[:, :2] ** 2).sum(axis=1)
    return flat.with_positions(lifted)


class Trimmed(RouteCase):
    trim = TrimBySheet("t", sheet="p2")

    def test_a_flat_sheet_is_a_plane_on_either_side(self) -> None:
        flat = Recipe("Sheet", sheet(2.0))
        _, made = self.both(hard_block(), self.trim, p2=flat)
        self.assertAlmostEqual(made.volume, 20 * 16 * 8, delta=0.05)
        _, made = self.both(hard_block(), replace(self.trim, flipped=True), p2=flat)
        self.assertAlmostEqual(made.volume, 20 * 16 * 4, delta=0.05)

    def test_a_bent_sheet_leaves_what_lies_under_it(self) -> None:
        # Cubic B-splines over an even net of step h reproduce a square up to a constant: heights of a x^2 give
        # a x^2 + a h^2 / 3 (Marsden 1970, "An identity for spline functions with applications to
        # variation-diminishing spline approximation").
        bend, step = 0.02, 10.0
        _, made = self.both(hard_block(), self.trim, p2=Recipe("Sheet", sheet(-3.0, bend, step)))
        squares = 16 * 2 * 10**3 / 3 + 20 * 2 * 8**3 / 3
        under = 20 * 16 * (6 - 3 + 2 * bend * step**2 / 3) + bend * squares
        self.assertAlmostEqual(made.volume / under, 1, delta=2e-4)

    def test_its_rim_has_a_name_and_can_be_rounded(self) -> None:
        bent = Recipe("Sheet", sheet(1.0, 0.004))
        by_mesh, _ = self.both(box((20.0, 16.0, 12.0), (2, 2, 2)), self.trim, p2=bent)
        self.assertIn(("piece", "t"), by_mesh.body.mesh.edges())
        rounded, _ = self.both(
            box((20.0, 16.0, 12.0), (2, 2, 2)), self.trim, Fillet("r", between=("piece", "t"), radius=1.0), p2=bent
        )
        self.assertLess(rounded.body.volume, by_mesh.body.volume)

    def test_a_hollow_keeps_its_wall_under_the_sheet(self) -> None:
        flipped = replace(self.trim, flipped=True)
        _, made = self.both(hard_block(), flipped, Hollow("h", wall=1.0), p2=Recipe("Sheet", sheet(2.0)))
        self.assertAlmostEqual(made.volume, 20 * 16 * 4 - 18 * 14 * 2, delta=0.5)

    def test_a_sheet_is_copied_first(self) -> None:
        half = sheet(2.0)
        half = half.with_positions(half.positions + [40.2, 0, 0])
        mirrored = Recipe("Sheet", half, (MirrorBody("m", point=(0.2, 0.0, 0.0)),))
        _, made = self.both(hard_block(), self.trim, p2=mirrored)
        self.assertAlmostEqual(made.volume, 20 * 16 * 8, delta=0.05)


class Refused(unittest.TestCase):
    def words(self, cage: Cage, flipped: bool = False, **given: object) -> tuple[str, str]:
        others = {"p2": Recipe("Sheet", cage, **given)}  # type: ignore[arg-type]
        made = made_of_triangles(Recipe("Trial", hard_block(), (TrimBySheet("t", sheet="p2", flipped=flipped),), others))
        self.assertAlmostEqual(made.body.volume, 20 * 16 * 12, delta=1e-6)
        return made.notes[0].status, made.notes[0].words

    def test_a_sheet_that_ends_inside_the_body(self) -> None:
        small = sheet(2.0)
        small = small.with_positions(small.positions * [0.1, 0.5, 1])
        for flipped in (False, True):
            status, words = self.words(small, flipped)
            self.assertEqual(status, "failed")
            self.assertIn("ends inside the body", words)

    def test_a_sheet_that_lies_under_all_of_it(self) -> None:
        self.assertIn("cuts all of the body off", self.words(sheet(-20.0))[1])

    def test_a_closed_piece_is_waited_for_until_it_opens(self) -> None:
        status, words = self.words(box((40.0, 40.0, 4.0), (1, 1, 1)))
        self.assertEqual(status, "waits")
        self.assertIn("Sheet is closed", words)
        self.assertEqual(self.words(sheet(2.0), followers=(Thickened("w"),))[0], "waits")

    def test_a_sheet_without_two_sides(self) -> None:
        status, words = self.words(cylinder((10.0, 60.0), (12, 3), caps="none"))
        self.assertEqual(status, "failed")
        self.assertIn("no side to cut off", words)

    def test_a_piece_that_is_gone(self) -> None:
        made = made_of_triangles(Recipe("Trial", hard_block(), (TrimBySheet("t", sheet="p2"),)))
        self.assertEqual(made.notes[0].status, "waits")
