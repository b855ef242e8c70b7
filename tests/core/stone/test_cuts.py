"""Cuts of stones against hulls built otherwise, formulas and the trade's rules."""

from __future__ import annotations

import unittest

import numpy as np
import trimesh
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.spatial import ConvexHull

from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.stone.cuts import KINDS
from zinc_otter.core.stone.cuts.brilliants import OvalBrilliant, RoundBrilliant
from zinc_otter.core.stone.cuts.rounded import Cabochon, Pearl
from zinc_otter.core.stone.cuts.steps import Baguette, RectangularBrilliant, StepCut
from zinc_otter.core.stone.gem import Gem
from zinc_otter.core.stone.materials import STONE_MATERIALS, carats, carats_by_rule, stone_material, weighing
from zinc_otter.core.surface import build_stencils, evaluate

GIRDLE = 96


def upright(gem: Gem) -> int:
    return int((gem.tilts > 90 - 1e-6).sum())


class Facets(unittest.TestCase):
    def test_a_round_brilliant_has_57_facets_and_with_a_culet_58(self) -> None:
        # One table, 8 stars, 8 + 8 mains, 16 + 16 halves: common practice, no source.
        for culet, count in ((0.0, 57), (1.5, 58)):
            gem = RoundBrilliant(6.5, culet=culet).gem
            self.assertEqual(len(gem.facets) - upright(gem), count)
            self.assertEqual(upright(gem), GIRDLE)

    def test_every_cut_is_a_closed_solid_by_euler(self) -> None:
        for kind in KINDS:
            gem = kind().gem
            edges = sum(len(loop) for loop in gem.facets) / 2
            self.assertEqual(len(gem.points) - edges + len(gem.facets), 2, kind.__name__)
            mesh = trimesh.Trimesh(gem.points, gem.triangles, process=False)
            self.assertTrue(mesh.is_watertight, kind.__name__)
            self.assertTrue(mesh.is_winding_consistent, kind.__name__)
            self.assertAlmostEqual(mesh.volume, gem.faceted_volume, delta=1e-9 * gem.faceted_volume)

    def test_angles_are_what_was_asked(self) -> None:
        for crown, pavilion in ((34.5, 40.75), (30.0, 43.1), (40.0, 38.0)):
            tilts = RoundBrilliant(5.0, crown=crown, pavilion=pavilion).gem.tilts
            for asked in (crown, pavilion):
                self.assertEqual(int((np.abs(tilts - asked) < 1e-9).sum()), 8, asked)
        tilts = StepCut(5.0, 7.0, crown=38.0, pavilion=50.0).gem.tilts
        for asked in (38.0, 50.0):
            self.assertEqual(int((np.abs(tilts - asked) < 1e-9).sum()), 8)

    def test_the_volume_is_that_of_the_hull_of_its_corners(self) -> None:
        for kind in KINDS:
            gem = kind().gem
            if kind is Pearl:
                continue
            self.assertAlmostEqual(ConvexHull(gem.points).volume / gem.faceted_volume, 1, delta=1e-9, msg=kind.__name__)

    def test_sizes_and_table(self) -> None:
        gem = OvalBrilliant(4.0, 6.0, table=60.0).gem
        np.testing.assert_allclose(np.ptp(gem.points, axis=0)[:2], [4, 6], atol=1e-9)
        top = gem.points[np.isclose(gem.points[:, 2], gem.height[1])]
        np.testing.assert_allclose(np.ptp(top, axis=0)[:2], [0.6 * 4, 0.6 * 6], atol=1e-9)

    def test_the_cage_of_a_stone_is_its_facets(self) -> None:
        gem = Baguette().gem
        points = evaluate(build_stencils(gem.cage, 3), gem.cage).points
        off = points @ gem.normals.T - (gem.normals * gem.points[[loop[0] for loop in gem.facets]]).sum(axis=1)
        self.assertLess(np.abs(off.max(axis=1)).max(), 1e-9)

    def test_a_profile_holds_the_whole_stone(self) -> None:
        for kind in KINDS:
            gem = kind().gem
            z, share = (np.array(part) for part in zip(*gem.profile, strict=True))
            side = np.roll(gem.outline, -1, axis=0) - gem.outline
            n = np.column_stack([side[:, 1], -side[:, 0]])
            reach = (gem.points[:, :2] @ n.T / (n * gem.outline).sum(axis=1)).max(axis=1)
            self.assertLess((reach - np.interp(gem.points[:, 2], z, share)).max(), 1e-9, kind.__name__)

    @settings(deadline=None, max_examples=60)
    @given(st.data())
    def test_any_proportions_make_a_sound_stone_or_a_sentence(self, data: st.DataObject) -> None:
        kind = data.draw(st.sampled_from([k for k in KINDS if k.bounds]))
        numbers = {
            name: data.draw(st.integers(int(low), int(high)) if isinstance(low, int) else st.floats(low, high), label=name)
            for name, (low, high) in kind.bounds.items()
        }
        try:
            gem = kind(**numbers).gem
        except BadNumberError as error:
            self.assertRegex(str(error), r"[a-z].*\.$")
            return
        edges = sum(len(loop) for loop in gem.facets) / 2
        self.assertEqual(len(gem.points) - edges + len(gem.facets), 2)
        self.assertGreater(gem.volume, 0)


class RoundStones(unittest.TestCase):
    def test_a_cabochon_by_the_formula_of_half_an_ellipsoid(self) -> None:
        stone = Cabochon(6.0, 8.0, dome=50.0, back=20.0, girdle=10.0)
        area = np.pi * 3 * 4
        self.assertAlmostEqual(stone.gem.volume, area * (2 / 3 * (3.0 + 1.2) + 0.6), delta=1e-9)
        self.assertAlmostEqual(stone.gem.faceted_volume / stone.gem.volume, 1, delta=0.012)

    def test_pearls_whole_and_drilled(self) -> None:
        r, hole = 4.0, 0.5
        whole = Pearl(8.0).gem.volume
        self.assertAlmostEqual(whole, 4 / 3 * np.pi * r**3, delta=1e-9)
        # What a drill takes all the way: the ball less the ring that Archimedes weighs, 4/3 pi (r^2 - a^2)^(3/2).
        ring = 4 / 3 * np.pi * (r**2 - hole**2) ** 1.5
        self.assertAlmostEqual(Pearl(8.0, "through", 1.0).gem.volume, ring, delta=1e-9)
        self.assertAlmostEqual(Pearl(8.0, "half", 1.0).gem.volume, (whole + ring) / 2, delta=1e-9)
        for drilled in ("half", "through"):
            gem = Pearl(8.0, drilled, 1.0).gem
            self.assertTrue(trimesh.Trimesh(gem.points, gem.triangles).is_watertight)
            self.assertAlmostEqual(gem.faceted_volume / gem.volume, 1, delta=0.02)


class Weights(unittest.TestCase):
    def test_a_brilliant_of_six_and_a_half_weighs_about_a_carat(self) -> None:
        # The trade: 6.5 mm with the usual proportions about 1.0 ct; d² × depth × 0.0061: common practice, no source.
        stone = RoundBrilliant(6.5)
        self.assertAlmostEqual(carats(stone, "diamond"), 1.0, delta=0.05)
        rule = carats_by_rule(stone)
        assert rule is not None
        self.assertAlmostEqual(carats(stone, "diamond") / rule, 1, delta=0.03)
        self.assertIsNone(carats_by_rule(Pearl(6.0)))

    def test_carats_are_fifths_of_a_gram(self) -> None:
        stone = RectangularBrilliant(5.0, 5.0)
        for material in STONE_MATERIALS:
            grams = stone.gem.volume / 1000 * material.density
            self.assertAlmostEqual(carats(stone, material.id), grams / 0.2, delta=1e-12)

    def test_one_can_ask_for_a_weight(self) -> None:
        for kind in KINDS:
            made = weighing(kind(), "ruby", 1.5)
            self.assertAlmostEqual(carats(made, "ruby"), 1.5, delta=1e-9, msg=kind.__name__)

    def test_bad_input(self) -> None:
        for wrong in (-1.0, 0.0, np.nan, np.inf, 1e6):
            with self.assertRaisesRegex(BadNumberError, "mm across"):
                RoundBrilliant(wrong)
        with self.assertRaisesRegex(BadNumberError, "table of a round brilliant is 20 to 85; 99 is not"):
            RoundBrilliant(5.0, table=99.0)
        with self.assertRaisesRegex(BadNumberError, "as long as it is wide"):
            OvalBrilliant(5.0, 4.0)
        with self.assertRaisesRegex(BadNumberError, "There is no stone of 'cheese'"):
            stone_material("cheese")
        with self.assertRaisesRegex(BadNumberError, "drilled with"):
            Pearl(3.0, "half", 4.0)
        with self.assertRaisesRegex(BadNumberError, "weighs"):
            weighing(RoundBrilliant(), "diamond", -2.0)
