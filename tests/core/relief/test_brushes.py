"""Each brush on a plane against the integral of its profile, in mirrors, under masks, at borders, and thrown about."""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.integrate import quad

from tests.core.relief.forms import block, ring, rough, sculpted, sheet
from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.plane import plane_at
from zinc_otter.core.cage.reach.profiles import PROFILES
from zinc_otter.core.cage.symmetry import mirror
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.relief.brushes import BRUSHES
from zinc_otter.core.relief.ground import StrokeGround
from zinc_otter.core.relief.levels import finer
from zinc_otter.core.relief.masks import masked
from zinc_otter.core.relief.relief import ReliefError
from zinc_otter.core.relief.stroke import Manner
from zinc_otter.core.relief.stroking import Stroking, stroked
from zinc_otter.core.surface import build_stencils, evaluate

LEVEL = 4


def points_of(cage: Cage, level: int = LEVEL) -> Floats:
    return evaluate(build_stencils(cage, level), cage).points


def volume_over(cage: Cage) -> float:
    """Between a sheet of level 4 and z = 0, by its quads: they are squares seen from above."""
    stencils = build_stencils(cage, LEVEL)
    quads = points_of(cage)[stencils.quads]
    plan = quads[:, :, :2]
    one, other = plan[:, 2] - plan[:, 0], plan[:, 3] - plan[:, 1]
    areas = 0.5 * (one[:, 0] * other[:, 1] - one[:, 1] * other[:, 0])
    return float((areas * quads[:, :, 2].mean(axis=1)).sum())


class OnAPlane(unittest.TestCase):
    def test_one_touch_has_the_volume_of_its_profile(self) -> None:
        for name, falloff in PROFILES.items():
            for hardness in (0.0, 0.5):
                with self.subTest(profile=name, hardness=hardness):
                    done = sculpted(sheet(), [[3, -2, 0]], radius=15.0, amount=2.0, profile=name, hardness=hardness)

                    def lifted(r: float, falloff: Any = falloff, hardness: float = hardness) -> float:
                        return float(falloff(np.clip((r - hardness) / (1 - hardness), 0, 1))) * r

                    want = 2.0 * 2 * np.pi * 15**2 * quad(lifted, 0, 1, points=[hardness])[0]
                    # A profile that ends in a step is off by the squares that its rim cuts.
                    self.assertAlmostEqual(
                        volume_over(done), want, delta=(0.03 if name in ("flat", "round") else 0.004) * want
                    )

    def test_a_drawn_profile_is_what_was_drawn(self) -> None:
        """Through the corners of the linear one it is that; a step at half the radius has its cylinder's volume."""
        for curve, share in ((((0.0, 1.0), (1.0, 0.0)), 1 / 3), (((0.0, 1.0), (0.5, 1.0), (0.502, 0.0), (1.0, 0.0)), 0.25)):
            drawn = sculpted(sheet(), [[0, 0, 0]], radius=20.0, profile="drawn", curve=curve)
            self.assertAlmostEqual(volume_over(drawn) / (np.pi * 400 * share), 1, delta=0.03)
        with self.assertRaisesRegex(BadNumberError, "2 to 32 points"):
            Manner("draw", LEVEL, 5.0, profile="drawn")

    def test_inflating_a_plane_is_drawing_it_out(self) -> None:
        one, other = (sculpted(sheet(), [[0, 0, 0], [12, 5, 0]], brush=brush) for brush in ("draw", "inflate"))
        np.testing.assert_allclose(points_of(one), points_of(other), atol=1e-9)

    def test_nothing_beyond_the_radius_is_touched(self) -> None:
        plain = points_of(sheet())
        for brush in BRUSHES:
            if brush == "mask":
                continue
            with self.subTest(brush):
                done = points_of(
                    sculpted(rough(sheet(), LEVEL), [[0, 0, 0], [4, 0, 0]], brush=brush, radius=8.0, amount=0.8)
                )
                before = points_of(rough(sheet(), LEVEL))
                moved = np.linalg.norm(done - before, axis=1) > 1e-9
                way = np.abs(plain[:, 0] - 2) - 2
                off = np.hypot(np.maximum(way, 0), plain[:, 1])
                self.assertTrue(moved.any())
                # The limit reaches one point further than the points that were moved; rough ground lies up to 1 mm aside.
                self.assertLess(off[moved].max(), 8.0 + 2 * 80 / 8 / 16 + 1.0)

    def test_a_stroke_gets_its_height_whatever_its_spacing(self) -> None:
        way = [[-20 + k, 0, 0] for k in range(41)]
        tops = []
        for spacing in (0.05, 0.2, 0.5):
            done = points_of(sculpted(sheet(), way, amount=1.5, spacing=spacing))
            middle = np.abs(points_of(sheet())[:, :2]).max(axis=1) < 1e-9
            tops.append(float(done[middle, 2].max()))
        np.testing.assert_allclose(tops, 1.5, rtol=0.03)

    def test_its_opposite_presses_in_as_deep(self) -> None:
        out, back = (points_of(sculpted(sheet(), [[0, 0, 0], [9, 4, 0]], opposite=way)) for way in (False, True))
        np.testing.assert_allclose(out[:, 2], -back[:, 2], atol=1e-9)

    def test_a_groove_is_as_deep_as_said_and_narrower_than_a_press(self) -> None:
        way = [[-20, 0, 0], [20, 0, 0]]
        groove = points_of(sculpted(sheet(), way, brush="groove", amount=2.0, spacing=0.05))
        press = points_of(sculpted(sheet(), way, opposite=True, amount=2.0, spacing=0.05))
        self.assertAlmostEqual(float(groove[:, 2].min()), -2.0, delta=0.15)
        wide = [np.ptp(done[(done[:, 2] < -1.0) & (np.abs(done[:, 0]) < 5), 1]) for done in (groove, press)]
        self.assertLess(wide[0], 0.8 * wide[1])

    def test_carried_the_middle_goes_the_whole_way(self) -> None:
        done = points_of(sculpted(sheet(), [[0, 0, 0], [1, 0, 1], [2, 1, 3]], brush="carry", hardness=0.5))
        at = int(np.argmin(np.abs(points_of(sheet())).max(axis=1)))
        np.testing.assert_allclose(done[at] - points_of(sheet())[at], [2, 1, 3], atol=1e-6)

    def test_whirled_a_place_turns_by_its_angle(self) -> None:
        done = points_of(
            sculpted(sheet(), [[0, 0, 0], [10, 0, 0]], brush="twist", amount=30.0, hardness=0.9, profile="flat")
        )
        plain = points_of(sheet())
        inside = (np.hypot(plain[:, 0], plain[:, 1]) > 2) & (np.hypot(plain[:, 0], plain[:, 1]) < 6)
        turned = np.degrees(np.arctan2(done[inside, 1], done[inside, 0]) - np.arctan2(plain[inside, 1], plain[inside, 0]))
        np.testing.assert_allclose((turned + 180) % 360 - 180, 30.0, atol=1e-4)

    def test_pinched_points_come_nearer_and_spread_go_off(self) -> None:
        plain = points_of(sheet())
        near = np.hypot(plain[:, 0], plain[:, 1]) < 6
        for opposite, sign in ((False, -1), (True, 1)):
            done = points_of(sculpted(sheet(), [[0, 0, 0]], brush="pinch", amount=0.8, opposite=opposite))
            change = np.hypot(done[near, 0], done[near, 1]) - np.hypot(plain[near, 0], plain[near, 1])
            self.assertGreater(sign * change.mean(), 0.0)
            np.testing.assert_allclose(done[:, 2], 0.0, atol=1e-9)

    def test_scraping_takes_only_what_stands_above(self) -> None:
        hilly = sculpted(sculpted(sheet(), [[-3, 0, 0]], radius=6.0), [[3, 0, 0]], radius=6.0, opposite=True)
        before = points_of(hilly)
        for opposite, sign in ((False, -1), (True, 1)):
            change = points_of(sculpted(hilly, [[0, 0, 0]], brush="scrape", amount=1.0, opposite=opposite)) - before
            self.assertGreater((sign * change[:, 2]).max(), 0.01)
            self.assertLess((-sign * change[:, 2]).max(), 1e-3)

    def test_flattened_a_bump_gets_lower(self) -> None:
        bump = sculpted(sheet(), [[0, 0, 0]], radius=6.0)
        flat = sculpted(bump, [[0, 0, 0]], brush="flatten", radius=12.0, amount=1.0)
        self.assertLess(np.ptp(points_of(flat)[:, 2]), 0.6 * np.ptp(points_of(bump)[:, 2]))


class Evened(unittest.TestCase):
    def test_smoothed_to_the_end_it_is_the_plain_surface(self) -> None:
        cage = rough(ring(), 2)
        plain = points_of(cage.plain, 2)
        before = np.abs(points_of(cage, 2) - plain).max()
        ground = StrokeGround(cage, 2, build_stencils(cage, 2))
        for _ in range(250):
            manner = Manner("smooth", 2, 200.0, amount=1.0, profile="flat", spacing=1.0)
            cage = stroked(cage, manner, np.array([[20.0, 0, 6, 1]]), ground)
        self.assertLess(np.abs(points_of(cage, 2) - plain).max(), 1e-3 * before)

    def test_wiped_off_it_is_plain_at_once(self) -> None:
        cage = rough(ring(), 3)
        done = sculpted(cage, [[20, 0, 6]], brush="erase", level=3, radius=200.0, amount=1.0, spacing=1.0, profile="flat")
        np.testing.assert_allclose(points_of(done, 3), points_of(cage.plain, 3), atol=1e-6)

    def test_smoothing_leaves_the_form_alone(self) -> None:
        cage = finer(finer(ring()))
        done = sculpted(cage, [[20, 0, 6], [20, 3, 6]], brush="smooth", level=2, amount=1.0)
        np.testing.assert_allclose(points_of(done, 2), points_of(cage, 2), atol=1e-12)


class Protected(unittest.TestCase):
    def test_a_mask_lets_nothing_through(self) -> None:
        cage = sculpted(sheet(), [[10, -30, 0], [10, 30, 0]], brush="mask", radius=12.0, amount=1.0, hardness=0.6)
        assert cage.relief is not None and cage.relief.mask is not None
        full = cage.relief.mask == 1
        self.assertGreater(full.sum(), 100)
        limit = build_stencils(cage, LEVEL).limit.position
        # Points all of whose neighbours are protected, too: the limit of the others goes along a little.
        alone = np.asarray(limit[: len(full)] @ full.astype(float)).ravel() > 1 - 1e-9
        for brush in BRUSHES:
            if brush == "mask":
                continue
            with self.subTest(brush):
                ground = rough(sheet(), LEVEL).with_relief(rough(sheet(), LEVEL).relief.with_mask(cage.relief.mask))  # type: ignore[union-attr]
                done = sculpted(ground, [[0, 0, 0], [12, 3, 0]], brush=brush, amount=0.9)
                np.testing.assert_allclose(points_of(done)[alone], points_of(ground)[alone], atol=1e-9)

    def test_a_mask_holds_on_coarser_and_on_finer_levels(self) -> None:
        masked_here = sculpted(sheet(), [[0, 0, 0]], brush="mask", level=3, radius=20.0, amount=1.0, hardness=0.9)
        for level in (2, 3, 4):
            with self.subTest(level):
                done = sculpted(masked_here, [[0, 0, 0]], level=level, radius=10.0)
                at = np.linalg.norm(points_of(done), axis=1) < 6
                self.assertLess(np.abs(points_of(done)[at, 2]).max(), 1e-9)
                relief = done.relief
                assert relief is not None and relief.mask is not None
                self.assertEqual(len(relief.mask), build_stencils(done, relief.depth).vertex_count)
                self.assertGreater(sculpted(done, [[35, 0, 0]], level=level, radius=4.0).relief.detail(level).max(), 0.2)  # type: ignore[union-attr]

    def test_masks_as_a_whole(self) -> None:
        cage = sculpted(sheet(), [[0, 0, 0]], brush="mask", amount=1.0)
        mask = cage.relief.mask  # type: ignore[union-attr]
        assert mask is not None

        def after(way: str) -> Floats:
            found = masked(cage, way, LEVEL).relief.mask  # type: ignore[union-attr]
            return np.zeros_like(mask) if found is None else found

        np.testing.assert_allclose(after("invert"), 1 - mask, atol=1e-6)
        self.assertTrue((after("grow") >= mask).all() and (after("grow") > 0).sum() > (mask > 0).sum())
        self.assertLess(after("blur").max(), mask.max())
        self.assertAlmostEqual(float(after("blur").sum()) / float(mask.sum()), 1.0, delta=0.02)
        self.assertFalse(after("clear").any())
        with self.assertRaises(ReliefError):
            masked(cage, "fade", LEVEL)

    def test_an_open_border_stays(self) -> None:
        cage = sheet()
        plain = points_of(cage)
        border = np.abs(plain[:, :2]).max(axis=1) > 40 - 1e-9
        for brush in BRUSHES:
            if brush == "mask":
                continue
            with self.subTest(brush):
                ground = rough(cage, 1)
                done = sculpted(ground, [[38, 0, 0], [44, 3, 0]], brush=brush, amount=0.9, radius=12.0)
                np.testing.assert_allclose(points_of(done)[border], points_of(ground)[border], atol=1e-9)

    def test_what_looks_away_from_the_eye_is_left_alone(self) -> None:
        cage = block()
        seen = sculpted(cage, [[0, 0, 10]], radius=25.0, towards=(0.0, 0.0, 1.0))
        through = sculpted(cage, [[0, 0, 10]], radius=25.0)
        plain = points_of(cage)
        under = plain[:, 2] < -5
        np.testing.assert_allclose(points_of(seen)[under], plain[under], atol=1e-9)
        self.assertGreater(np.abs(points_of(through)[under] - plain[under]).max(), 0.01)


class Mirrors(unittest.TestCase):
    def test_symmetric_strokes_are_exact(self) -> None:
        group = mirror(plane_at((0, 0, 0), (1, 0, 0)), plane_at((0, 0, 0), (0, 1, 0)))
        cage = sheet()
        plain = points_of(cage)
        key = np.lexsort(np.round(plain, 6).T)
        for brush in BRUSHES:
            if brush == "mask":
                continue
            with self.subTest(brush):
                manner = Manner(brush, LEVEL, 12.0, amount=0.7)
                way = np.array([[14.0, 9, 0, 1], [5, 3, 0, 1], [1, 1, 0, 1], [-3, 2, 1, 1]])
                bump = sculpted(cage, [[0, 0, 0]], radius=30.0, amount=3.0)
                done = points_of(stroked(bump, manner, way, StrokeGround(bump, LEVEL, build_stencils(bump, LEVEL)), group))
                for flip in ([-1, 1, 1], [1, -1, 1], [-1, -1, 1]):
                    other = np.lexsort(np.round(plain * flip, 6).T)
                    # Detail is kept with 24 bits.
                    np.testing.assert_allclose(done[other], (done * flip)[key], atol=2e-6)

    def test_round_an_axis_so_many_times(self) -> None:
        cage = ring()
        axis = plane_at((0, 0, 0), (0, 0, 1))
        once = points_of(sculpted(cage, [[26, 0, 0]], radius=4.0))
        often = points_of(sculpted(cage, [[26, 0, 0]], radius=4.0, around=16, axis=axis))
        plain = points_of(cage)
        lifted = np.linalg.norm(often - plain, axis=1).sum() / np.linalg.norm(once - plain, axis=1).sum()
        self.assertAlmostEqual(lifted, 16.0, delta=1e-3)


class Strokes(unittest.TestCase):
    def test_one_that_goes_on_is_one_done_at_once(self) -> None:
        random = np.random.default_rng(5)
        way = np.column_stack([np.cumsum(random.normal(size=(24, 2)) * 2, axis=0), np.zeros(24), random.uniform(0.2, 1, 24)])
        for brush in BRUSHES:
            with self.subTest(brush):
                cage = rough(sheet(), 3)
                manner = Manner(brush, 3, 9.0, amount=0.6, steady=0.4, pen="both")
                ground = StrokeGround(cage, 3, build_stencils(cage, 3))
                bit_by_bit = Stroking(ground, manner)
                for count in (1, 2, 9, 10, 24):
                    self.assertTrue(bit_by_bit.goes_on_as(way[:count]))
                    bit_by_bit.extend(way[:count])
                self.assertEqual(bit_by_bit.result(), stroked(cage, manner, way, ground))

    def test_a_ground_that_followed_is_a_ground_made_anew(self) -> None:
        cage = sheet()
        ground = StrokeGround(cage, 3, build_stencils(cage, 3))
        manner = Manner("draw", 3, 9.0, amount=4.0)
        for k in range(4):
            way = np.array([[3.0 * k, 0, 0, 1], [3.0 * k, 8, 0, 1]])
            done = stroked(cage, manner, way, ground)
            self.assertEqual(done, stroked(cage, manner, way, StrokeGround(cage, 3, build_stencils(cage, 3))))
            cage = done

    def test_a_ground_that_went_elsewhere_knows_its_border(self) -> None:
        here = sheet()
        there = here.with_positions(here.positions + [200, 0, 0])
        ground = StrokeGround(here, 3, build_stencils(here, 3))
        manner = Manner("draw", 3, 12.0, amount=2.0)
        stroked(here, manner, np.array([[38.0, 0, 0, 1]]), ground)
        done = stroked(there, manner, np.array([[238.0, 0, 0, 1]]), ground)
        self.assertEqual(
            done, stroked(there, manner, np.array([[238.0, 0, 0, 1]]), StrokeGround(there, 3, build_stencils(there, 3)))
        )
        edge = points_of(there, 3)[:, 0] > 240 - 1e-9
        self.assertLess(np.abs(points_of(done, 3)[edge, 2]).max(), 1e-9)

    def test_a_steady_hand_is_evened(self) -> None:
        way = [[-25 + k, 1.5 * (-1) ** k, 0] for k in range(51)]
        wide = []
        for steady in (0.0, 0.8):
            done = points_of(sculpted(sheet(), way, radius=3.0, steady=steady, hardness=0.5))
            wide.append(np.ptp(done[(done[:, 2] > 0.5) & (np.abs(done[:, 0]) < 10), 1]))
        self.assertLess(wide[1], wide[0] - 1)

    def test_pressure_of_a_pen(self) -> None:
        soft, full = (
            float(points_of(sculpted(sheet(), [[0, 0, 0, p]], pen="strength", amount=2.0))[:, 2].max()) for p in (0.25, 1.0)
        )
        self.assertAlmostEqual(soft, 0.25 * full, delta=1e-4)
        narrow = points_of(sculpted(sheet(), [[0, 0, 0, 0.5]], pen="radius", amount=2.0))
        self.assertLess(np.abs(narrow[narrow[:, 2] > 1e-6][:, :2]).max(), 5.0 + 1.3)

    def test_coarse_strokes_take_fine_detail_along(self) -> None:
        fine = sculpted(sheet(), [[0, 0, 0]], radius=3.0, amount=1.0, level=5)
        both = sculpted(fine, [[0, 0, 0]], radius=30.0, amount=5.0, level=3)
        top = points_of(both, 5)[:, 2].max()
        self.assertAlmostEqual(top, 5.0 + points_of(fine, 5)[:, 2].max(), delta=0.1)

    def test_wrong_numbers(self) -> None:
        for wrong, words in (
            ({"radius": 0.0}, "radius"),
            ({"amount": np.nan}, "amount"),
            ({"hardness": 1.0}, "hardness"),
            ({"brush": "lick"}, "no brush"),
            ({"profile": "odd"}, "no profile"),
        ):
            with self.assertRaisesRegex(BadNumberError, words):
                sculpted(sheet(), [[0, 0, 0]], **wrong)
        with self.assertRaisesRegex(BadNumberError, "more than 20,000 times"):
            sculpted(sheet(), [[-1000, 0, 900], [5000, 0, 900]], radius=0.1)
        with self.assertRaisesRegex(BadNumberError, "Place 1 of the stroke"):
            sculpted(sheet(), [[0, 0, 0], [np.nan, 0, 0]])
        with self.assertRaisesRegex(ReliefError, "levels 1 to 7"):
            StrokeGround(sheet(), 8, build_stencils(sheet(), 3))

    @settings(max_examples=25, deadline=None)
    @given(st.sampled_from(sorted(BRUSHES)), st.integers(0, 10_000))
    def test_thrown_about_values_stay_finite(self, brush: str, seed: int) -> None:
        random = np.random.default_rng(seed)
        cage = [sheet(3), block(), ring()][seed % 3]
        if random.random() < 0.5:
            cage = rough(cage, 2, seed)
        radius = float(10 ** random.uniform(-1, 3))
        way = random.normal(size=(int(random.integers(1, 8)), 3)) * random.choice([0.0, 1, 5]) * radius
        done = sculpted(
            cage, way.tolist(), brush=brush, level=3, radius=radius, amount=float(random.uniform(0, 1) * 10),
            opposite=bool(random.random() < 0.5), hardness=float(random.uniform(0, 0.99)),
            spacing=float(random.uniform(0.1, 2)),
            towards=(0.0, 0.0, 1.0) if random.random() < 0.5 else None,
        )  # fmt: skip
        self.assertTrue(np.isfinite(points_of(done, 3)).all())
        done.relief.check(done.topology)  # type: ignore[union-attr]
