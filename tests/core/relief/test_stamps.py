"""Stamps: a known height map pressed into a plane is read off it again."""

from __future__ import annotations

import unittest

import numpy as np
from scipy.interpolate import LinearNDInterpolator

from tests.core.relief.forms import ring, sculpted, sheet
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.relief.ground import StrokeGround
from zinc_otter.core.relief.stamps.shipped import SHIPPED, shipped
from zinc_otter.core.relief.stamps.stamp import Stamp
from zinc_otter.core.relief.stroke import Manner
from zinc_otter.core.relief.stroking import stroked
from zinc_otter.core.surface import build_stencils, evaluate

LEVEL = 5
STEP = 80 / 8 / 2**LEVEL


def surface(cage: object) -> Floats:
    return evaluate(build_stencils(cage, LEVEL), cage).points  # type: ignore[arg-type]


def hills(u: Floats, v: Floats) -> Floats:
    """A map that changes little from one point of the level to the next."""
    return np.asarray(0.5 + 0.3 * np.sin(2 * np.pi * u) * np.cos(np.pi * v) + 0.1 * v)


def hilly(width: int = 120, height: int = 120) -> Stamp:
    u, v = np.meshgrid(np.linspace(0, 1, width), np.linspace(1, 0, height))
    return Stamp(hills(u, v).astype(np.float32))


class OnAPlane(unittest.TestCase):
    def test_a_stamp_placed_once_is_read_off_again(self) -> None:
        plain = surface(sheet())
        for aspect, height in ((1.0, 120), (0.5, 60)):
            for angle in (0.0, 90.0, 30.0):
                with self.subTest(aspect=aspect, angle=angle):
                    done = surface(
                        sculpted(
                            sheet(),
                            [[0, 0, 0], [20, 0, 0]],
                            stamp=hilly(120, height),
                            laid="once",
                            amount=3.0,
                            hardness=0.9,
                            level=LEVEL,
                            angle=angle,
                        )
                    )
                    turn = np.radians(angle)
                    x = np.cos(turn) * plain[:, 0] + np.sin(turn) * plain[:, 1]
                    y = np.cos(turn) * plain[:, 1] - np.sin(turn) * plain[:, 0]
                    inside = (np.abs(x) < 16) & (np.abs(y) < 16 * aspect)
                    want = 3.0 * hills(0.5 + x / 40, 0.5 + y / (40 * aspect))
                    # To the level's fineness: what it bends between two points, a third of it by the limit.
                    np.testing.assert_allclose(
                        done[inside, 2], want[inside], atol=3.0 * 0.3 * (2 * np.pi * STEP / (40 * aspect)) ** 2
                    )
                    self.assertLess(np.abs(done[(np.abs(x) > 21) | (np.abs(y) > 20 * aspect + 1), 2]).max(), 1e-9)

    def test_dragged_along_it_goes_on_without_a_seam(self) -> None:
        way = [[-30, 0, 0], [30, 0, 0]]
        done = surface(
            sculpted(sheet(), way, stamp=shipped("ripple"), laid="along", radius=6.0, amount=1.0, hardness=0.8, level=LEVEL)
        )
        plain = surface(sheet())
        line = (np.abs(plain[:, 1]) < 1e-9) & (np.abs(plain[:, 0]) < 28)
        x, z = plain[line, 0], done[line, 2]
        # Two waves to the width of the brush, from where the stroke began.
        np.testing.assert_allclose(z, 0.5 - 0.5 * np.cos(4 * np.pi * (x + 30) / 12), atol=0.03)

    def test_at_each_touch(self) -> None:
        done = surface(
            sculpted(
                sheet(),
                [[-20, 0, 0], [20, 0, 0]],
                stamp=hilly(),
                laid="each",
                radius=6.0,
                spacing=3.0,
                amount=1.0,
                hardness=0.8,
                level=LEVEL,
            )
        )
        plain = surface(sheet())
        for centre in (-20.0, -2.0, 16.0):
            at = np.argmin(np.hypot(plain[:, 0] - centre, plain[:, 1]))
            self.assertAlmostEqual(float(done[at, 2]), float(hills(np.array(0.5), np.array(0.5))), delta=0.03)

    def test_placed_on_what_faces_the_eye_alone(self) -> None:
        for laid in ("once", "each", "along"):
            way = [[0, 0, 0], [9, 4, 0]]
            given = {"stamp": hilly(120, 60), "laid": laid, "amount": 1.0, "level": LEVEL}
            seen = surface(sculpted(sheet(), way, towards=(0.0, 0.0, 1.0), **given))
            np.testing.assert_allclose(seen, surface(sculpted(sheet(), way, **given)), atol=1e-9)
            hidden = surface(sculpted(sheet(), way, towards=(0.0, 0.0, -1.0), **given))
            np.testing.assert_allclose(hidden, surface(sheet()), atol=1e-12)

    def test_pressed_in_it_is_as_deep(self) -> None:
        given = {"stamp": shipped("pebble"), "laid": "once", "amount": 1.0, "level": LEVEL}
        out, back = (
            surface(sculpted(sheet(), [[0, 0, 0], [9, 4, 0]], opposite=way, **given))[:, 2] for way in (False, True)
        )
        np.testing.assert_allclose(out, -back, atol=1e-9)
        self.assertGreater(out.max(), 0.8)


class RoundAbout(unittest.TestCase):
    def heights(self, closing: bool) -> Floats:
        """Beside a circle on a plane, of hills led round it by a brush of 4 mm: 15.7 tiles, or 16 whole ones."""
        turn = np.linspace(0, 2 * np.pi, 400)
        way = np.column_stack([20 * np.cos(turn), 20 * np.sin(turn), 0 * turn, np.ones(400)])
        manner = Manner("draw", LEVEL, 4.0, 1.0, stamp=hilly(), hardness=0.9)
        cage = sheet()
        manner = manner.closing(2 * np.pi * 20) if closing else manner
        done = surface(stroked(cage, manner, way, StrokeGround(cage, LEVEL, build_stencils(cage, LEVEL))))
        at = np.linspace(0, 2 * np.pi, 1600, endpoint=False)
        places = np.column_stack([22 * np.cos(at), 22 * np.sin(at)])
        return np.asarray(LinearNDInterpolator(done[:, :2], done[:, 2])(places))

    def test_along_a_closed_way_whole_tiles_are_laid(self) -> None:
        tiles = self.heights(True).reshape(16, 100)
        self.assertLess(float(np.ptp(tiles, axis=0).max()), 0.12)
        # Laid as long as they are they would meet in a step.
        left = self.heights(False)
        self.assertGreater(float(np.abs(left[:100] - left[-100:]).max()), 0.3)

    def test_only_bands_of_stamps_are_fitted(self) -> None:
        plain = Manner("draw", LEVEL, 4.0, 1.0)
        self.assertIs(plain.closing(100.0), plain)
        self.assertEqual(Manner("draw", LEVEL, 4.0, 1.0, stamp=hilly()).closing(80.0).stretch, 1.0)


class Maps(unittest.TestCase):
    def test_all_shipped_ones_tile_and_lie_from_0_to_1(self) -> None:
        at = np.linspace(0, 1, 57)
        for name in SHIPPED:
            with self.subTest(name):
                stamp = shipped(name)
                self.assertGreaterEqual(float(stamp.heights.min()), 0.0)
                self.assertLessEqual(float(stamp.heights.max()), 1.0)
                self.assertGreater(float(np.ptp(stamp.heights)), 0.5)
                np.testing.assert_allclose(stamp.at(at, at * 0 + 0.3), stamp.at(at + 1, at * 0 + 0.3), atol=1e-6)
                # What lies left of the seam is no further from what lies right of it than neighbours elsewhere are.
                steps = np.abs(np.diff(stamp.heights, axis=1)).max(axis=0)
                seam = np.abs(stamp.heights[:, 0] - stamp.heights[:, -1]).max()
                self.assertLessEqual(float(seam), float(steps.max()) + 1e-6)

    def test_rows_are_read_from_above(self) -> None:
        stamp = Stamp(np.array([[1.0, 1.0], [0.0, 0.0]], dtype=np.float32))
        self.assertAlmostEqual(float(stamp.at(np.array([0.5]), np.array([1.0]))[0]), 1.0)
        self.assertAlmostEqual(float(stamp.at(np.array([0.5]), np.array([0.25]))[0]), 0.25)

    def test_maps_that_cannot_be(self) -> None:
        for heights, words in (
            (np.zeros((1, 9)), "2 to 2,048 pixels a side"),
            (np.zeros((4, 20_000)), "4 by 20000"),
            (np.full((4, 4), np.nan), "finite"),
        ):
            with self.assertRaisesRegex(BadNumberError, words):
                Stamp(heights.astype(np.float32))


class InMirrors(unittest.TestCase):
    def test_round_a_band_the_images_are_turned_not_copied(self) -> None:
        from zinc_otter.core.cage.plane import plane_at
        from zinc_otter.core.cage.symmetry import mirror
        from zinc_otter.core.relief.ground import StrokeGround
        from zinc_otter.core.relief.stroke import Manner
        from zinc_otter.core.relief.stroking import stroked

        cage = ring()
        group = mirror(plane_at((0, 0, 0), (1, 0, 0)))
        manner = Manner("draw", 4, 5.0, amount=0.5, stamp=hilly(), laid="along", hardness=0.5)
        way = np.array([[18.0, 5, 6, 1], [18, 12, 6, 1]])
        done = evaluate(
            build_stencils(cage, 4), stroked(cage, manner, way, StrokeGround(cage, 4, build_stencils(cage, 4)), group)
        ).points
        plain = evaluate(build_stencils(cage, 4), cage).points
        one, other = (np.lexsort(np.round(plain * flip, 5).T) for flip in ([1, 1, 1], [-1, 1, 1]))
        np.testing.assert_allclose(done[other], (done * [-1, 1, 1])[one], atol=2e-6)
