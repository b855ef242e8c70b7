"""Forms that grow from curves, against Pappus's theorem, cylinders, cones and the curves themselves."""

from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.spatial import cKDTree
from scipy.spatial.transform import Rotation

from zinc_otter.core.curve import Curve, pieces_of
from zinc_otter.core.curve.fitting import resampled, through
from zinc_otter.core.curve.frames import minimal_frames, upright_frames
from zinc_otter.core.curve.growing import Grown, loft, pipe, revolve, strip
from zinc_otter.core.curve.growing.loft import in_order
from zinc_otter.core.curve.making import arc, circle, ellipse, helix, polygon, rounded_rectangle, wave
from zinc_otter.core.errors import CoreError
from zinc_otter.core.proof.soundness import looked_over
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.surface.nearest import nearest_on


def dense(grown: Grown, level: int = 4) -> tuple[np.ndarray, np.ndarray]:
    stencils = build_stencils(grown.cage, level)
    return evaluate(stencils, grown.cage).points, stencils.quads


def volume_and_area(grown: Grown, level: int = 4) -> tuple[float, float]:
    points, quads = dense(grown, level)
    a, b, c, d = points[quads].transpose(1, 0, 2)
    across = 0.5 * np.cross(c - a, d - b)
    middle = (a + b + c + d) / 4
    return float((across * middle).sum() / 3), float(np.linalg.norm(across, axis=1).sum())


def lies_in(grown: Grown, curve: Curve) -> float:
    """How far (mm) a curve lies from the surface."""
    at = pieces_of(curve).dense(24)
    feet, _ = nearest_on(grown.cage).at(at)
    return float(np.linalg.norm(feet - at, axis=1).max())


def ring_of(radius: float, n: int) -> Curve:
    """A curve through so many points of a circle."""
    turns = np.arange(n) * 2 * np.pi / n
    return through(np.column_stack([radius * np.cos(turns), radius * np.sin(turns), 0 * turns]), True)


class Pipes(unittest.TestCase):
    def test_round_a_circle_as_pappus_says(self) -> None:
        """V = 2 pi R pi r^2, A = 2 pi R 2 pi r (Pappus of Alexandria); a section of 8 faces keeps 99.87 % of its circle's
        area or more, of 16 99.99 %."""
        rail = ring_of(20, 24)
        for around, within in ((8, 2.5e-3), (16, 2.5e-4)):
            grown = pipe(rail, 2.0, around)
            self.assertTrue(grown.cage.topology.is_closed)
            volume, area = volume_and_area(grown)
            self.assertAlmostEqual(volume / (2 * np.pi * 20 * np.pi * 4), 1, delta=within)
            self.assertAlmostEqual(area / (2 * np.pi * 20 * 2 * np.pi * 2), 1, delta=within)

    def test_round_ends_are_half_balls(self) -> None:
        """A straight pipe of 20 mm and radius 3 with round ends: pi r^2 l + 4/3 pi r^3, within 1 %; 26 mm long."""
        made = pipe(Curve([(0, 0, 0), (10, 0, 0), (20, 0, 0)]), 3.0, 16, each=4, caps="round")
        self.assertTrue(made.cage.topology.is_closed)
        self.assertAlmostEqual(volume_and_area(made)[0] / (np.pi * 9 * 20 + 4 / 3 * np.pi * 27), 1, delta=0.01)
        points, _ = dense(made)
        self.assertAlmostEqual(float(np.ptp(points[:, 0])), 26, delta=0.12)
        ball = points[points[:, 0] > 20.5]
        self.assertLess(float(np.abs(np.linalg.norm(ball - [20, 0, 0], axis=1) - 3).max()), 0.08)

    def test_the_bore_of_a_wire_is_that_of_its_surface(self) -> None:
        """A wire of 1 mm on a bore of 16: the smooth surface is 8 mm from the axis all round, within 0.005."""
        points, _ = dense(pipe(ring_of(8.5, 16), 0.5, 8), 5)
        out, turn = np.linalg.norm(points[:, :2], axis=1), np.arctan2(points[:, 1], points[:, 0])
        inner = np.array([out[np.abs(turn - a) < 0.05].min() for a in np.linspace(-3, 3, 40)])
        self.assertLess(np.abs(inner - 8).max(), 0.005)
        self.assertAlmostEqual(out.max(), 9, delta=0.005)
        self.assertAlmostEqual(np.abs(points[:, 2]).max(), 0.5, delta=0.005)

    def test_straight_and_capped_it_is_a_cylinder(self) -> None:
        grown = pipe(Curve([(0, 0, 0), (0, 0, 10), (0, 0, 20), (0, 0, 30)]), 3.0, 32)
        self.assertEqual(looked_over(*dense_triangles(grown)).faults, ())
        volume, _ = volume_and_area(grown)
        self.assertAlmostEqual(volume / (np.pi * 9 * 30), 1, delta=1e-4)

    def test_between_its_rings_it_says_how_far_the_radius_strays(self) -> None:
        bent = through([(-30, -20, 0), (0, 18, 0), (30, -12, 0), (52, 14, 0)])
        told = []
        for each in (1, 3, 8):
            grown = pipe(bent, 2.0, 16, each=each, caps="open")
            told.append(grown.deviation)
            points, _ = dense(grown)
            found, _ = cKDTree(pieces_of(bent).dense(4000)).query(points[np.abs(points[:, 0] - 11) < 35])
            self.assertLess(abs(np.abs(found - 2).max() - grown.deviation), 0.25 * grown.deviation + 0.02)
        self.assertTrue(told[0] > 4 * told[1] > 16 * told[2], told)
        self.assertIn("strays", pipe(bent, 2.0, 16).remarks[0])

    def test_where_it_bends_too_tight_it_says_so(self) -> None:
        bent = Curve([(0, 0, 0), (10, 0, 0), (10, 2, 0), (0, 2, 0)])
        fine, tight = pipe(bent, 0.2, each=24), pipe(bent, 3.0)
        self.assertEqual((len(fine.suspect), fine.remarks), (0, ()))
        self.assertTrue(len(tight.suspect))
        least = pieces_of(bent).tightest()[0]
        told = float(tight.remarks[0].split("down to ")[1].split(" mm")[0])
        self.assertAlmostEqual(told, least, delta=0.0051)

    @settings(max_examples=25, deadline=None)
    @given(st.integers(0, 10_000), st.integers(4, 9), st.booleans(), st.integers(3, 12), st.integers(1, 3))
    def test_any_curve_gives_a_sound_cage(self, seed: int, n: int, closed: bool, around: int, each: int) -> None:
        curve = Curve(np.random.default_rng(seed).normal(size=(n, 3)) * 30, 3, closed)
        grown = pipe(curve, 0.5, around, each=each)
        grown.cage.topology.check()
        self.assertTrue(grown.cage.topology.is_closed)
        self.assertEqual(grown.cage.topology.face_count, grown.rows * grown.columns + (0 if closed else 2))
        # The ring at every knot has the radius that was asked for, about the curve.
        stencils = build_stencils(grown.cage, 1)
        at = evaluate(stencils, grown.cage).points[: around * (curve.end * each + (not closed))]
        rail = pieces_of(curve).at(np.repeat(np.arange(len(at) // around) / each, around).reshape(-1, around).T.ravel())
        np.testing.assert_allclose(np.linalg.norm(at - rail, axis=1), 0.5, atol=1e-9)

    def test_each_refusal_is_a_sentence(self) -> None:
        line = Curve([(0, 0, 0), (10, 0, 0), (20, 0, 0)])
        for curve, radius, around, words in (
            (line, 0.0, 8, "above 0"), (line, 1.0, 2, "3 to 64"),
            (polygon(10, 6), 1.0, 8, "without corners"),
        ):  # fmt: skip
            with self.assertRaisesRegex(CoreError, words):
                pipe(curve, radius, around)


def dense_triangles(grown: Grown) -> tuple[np.ndarray, np.ndarray]:
    points, quads = dense(grown, 3)
    return points, np.concatenate([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]])


class Frames(unittest.TestCase):
    def test_square_and_round_a_closed_one_without_a_jump(self) -> None:
        for seed in range(8):
            curve = pieces_of(Curve(np.random.default_rng(seed).normal(size=(8, 3)) * 20, 3, True))
            u = np.linspace(0, 8, 800, endpoint=False)
            frames = minimal_frames(curve, u)
            for one, other in ((frames.along, frames.side), (frames.along, frames.up), (frames.side, frames.up)):
                self.assertLess(np.abs((one * other).sum(axis=1)).max(), 1e-12)
            turned = np.linalg.norm(frames.side - np.roll(frames.side, 1, axis=0), axis=1)
            # The step over the end is one like the others.
            self.assertLess(turned[0], 2 * max(turned[1], turned[-1]) + 1e-9)

    def test_a_plane_curve_keeps_its_normal(self) -> None:
        made = pieces_of(Curve([(0, 0, 0), (10, 5, 0), (20, -5, 0), (30, 0, 0)]))
        alone = minimal_frames(made, [1.0])
        np.testing.assert_allclose(alone.points, made.at([1.0]))
        self.assertAlmostEqual(float(alone.side[0] @ alone.along[0]), 0)
        frames = minimal_frames(made, np.linspace(0, 3, 20), first=(0, 0, 1))
        np.testing.assert_allclose(frames.side, np.tile([0, 0, 1], (20, 1)), atol=1e-12)

    def test_a_helix_turns_by_its_torsion(self) -> None:
        """Against Frenet's frame the minimal one turns back by the torsion: tau = h / (r^2 + h^2), h the pitch over 2 pi
        (M. do Carmo, "Differential Geometry of Curves and Surfaces", 1976, section 1.5)."""
        radius, pitch = 10.0, 12.0
        h = pitch / (2 * np.pi)
        made = pieces_of(helix(2 * radius, pitch, 1, each=96))
        u = np.linspace(0, made.breaks[-1], 97)
        frames = minimal_frames(made, u, first=(-1, 0, 0))
        at = frames.points
        inwards = -at * [1, 1, 0] / np.linalg.norm(at[:, :2], axis=1)[:, None]
        across = (np.cross(inwards, frames.side) * frames.along).sum(axis=1)
        angle = np.unwrap(np.arctan2(across, (inwards * frames.side).sum(axis=1)))
        length = made.length
        self.assertAlmostEqual(length, np.hypot(2 * np.pi * radius, pitch), delta=1e-3)
        self.assertAlmostEqual(angle[-1] - angle[0], -length * h / (radius**2 + h**2), delta=1e-3)

    def test_upright_ones_lean_towards_up(self) -> None:
        frames = upright_frames(pieces_of(helix(20, 15, 2)), np.linspace(0, 15, 40))
        self.assertGreater(frames.up[:, 2].min(), 0.5)
        self.assertLess(np.abs(frames.side[:, 2]).max(), 1e-9)


class Lofts(unittest.TestCase):
    def rings(self, radii: list[float], heights: list[float], n: int = 12) -> list[Curve]:
        plain = [(circle(2 * r, n), z) for r, z in zip(radii, heights, strict=True)]
        return [ring.with_points(ring.points + [0, 0, z]) for ring, z in plain]

    def test_what_was_mended_is_told_and_can_be_left(self) -> None:
        rings = [ring_of(10, 8).with_points(ring_of(10, 8).points + [0, 0, z]) for z in (0, 10, 20)]
        mixed = [rings[0], rings[2].begun_at(3), rings[1].reversed()]
        told = loft(mixed).remarks
        self.assertIn("The curves were put into the order in which they lie.", told)
        self.assertIn("1 of them runs the other way now.", told)
        self.assertIn("1 of them begins at another point now.", told)
        left = loft(mixed, mended=False)
        self.assertEqual(left.remarks, ())
        # As given: from the lowest to the highest and back to the middle.
        self.assertEqual(loft(rings).remarks, ())
        heights = left.cage.positions.reshape(8, 3, 3)[:, :, 2]
        self.assertTrue((heights[:, 1] > heights[:, 2]).all())

    def test_through_circles_of_one_size_the_cylinder_and_of_two_the_cone(self) -> None:
        points, _ = dense(loft(self.rings([10, 10, 10], [0, 15, 30], 24)))
        self.assertLess(np.abs(np.linalg.norm(points[:, :2], axis=1) - 10).max(), 2e-3)
        points, _ = dense(loft(self.rings([10, 4], [0, 30], 24)))
        expected = 10 - 6 * points[:, 2] / 30
        self.assertLess(np.abs(np.linalg.norm(points[:, :2], axis=1) - expected).max(), 2e-3)

    def test_the_curves_lie_in_the_surface(self) -> None:
        random = np.random.default_rng(5)
        lines = [np.cumsum(random.normal(size=(7, 3)) + [4, 0, 0], axis=0) * [1, 1, 0.3] for _ in range(4)]
        curves = [Curve(line + [0, 25 * k, 0]) for k, line in enumerate(lines)]
        for each in (1, 3):
            grown = loft(curves, each=each)
            self.assertEqual(grown.deviation, 0)
            for curve in curves if each == 1 else curves[:1]:
                self.assertLess(lies_in(grown, curve), 1e-3)

    def test_order_direction_and_start_are_found(self) -> None:
        """Curves of 4, 7 and 12 points and degrees 1, 2, 3 of one tube, in any order and direction; 200 were run once."""
        bad = 0
        for seed in range(20):
            random = np.random.default_rng(seed)
            count = int(random.integers(3, 6))
            truth = []
            for k in range(count):
                n = int(random.choice([4, 7, 12]))
                turns = np.arange(n) * 2 * np.pi / n
                height = np.full(n, 18.0 * k) + random.uniform(-2, 2)
                ring = np.column_stack([(14 + k) * np.cos(turns), 9 * np.sin(turns), height])
                truth.append(Curve(ring, int(random.choice([1, 2, 3])), True))
            order = random.permutation(count)
            given_ = []
            for k in order:
                one = truth[k] if random.random() < 0.5 else truth[k].reversed()
                given_.append(one.begun_at(int(random.integers(one.count))))
            found = [int(order[k]) for k in in_order(given_)]
            if found not in (list(range(count)), list(range(count))[::-1]):
                bad += 1
                continue
            grown = loft(given_)
            # Lines that run on: none turns back, or right round, on the way from ring to ring.
            rows = grown.columns + 1
            points = grown.cage.positions.reshape(-1, count, 3)
            turn = np.unwrap(np.arctan2(points[..., 1], points[..., 0]), axis=1)
            bad += bool(np.abs(turn[:, 1:] - turn[:, :-1]).max() > np.pi / 2) or rows < 3
            if seed % 40 == 0:
                for curve in given_:
                    self.assertLessEqual(lies_in(grown, curve), grown.deviation * 1.02 + 1e-3)
        self.assertEqual(bad, 0)

    def test_refusals(self) -> None:
        ring = circle(10)
        for curves, words in (([ring], "2 to 200"), ([ring, Curve([(0, 0, 0), (1, 0, 0)])], "all open, or all closed")):
            with self.assertRaisesRegex(CoreError, words):
                loft(curves)


class TurnedAndDrawn(unittest.TestCase):
    def test_a_turned_form_holds_its_profile_at_every_turn(self) -> None:
        profile = Curve([(6, 0, 0), (12, 0, 8), (9, 0, 20), (5, 0, 26), (7, 0, 32)])
        grown = revolve(profile, (0, 0, 0), (0, 0, 1), 12)
        for turn in (0, 30, 150):
            there = profile.with_points(Rotation.from_euler("z", turn, degrees=True).apply(np.array(profile.points)))
            self.assertLess(lies_in(grown, there), 1e-3)

    def test_a_cone_by_its_formula_and_a_profile_on_the_axis(self) -> None:
        """V = pi h (R^2 + R r + r^2) / 3."""
        cone = revolve(Curve([(10, 0, 0), (8, 0, 10), (6, 0, 20), (4, 0, 30)]), (0, 0, 0), (0, 0, 1), 32)
        points, _ = dense(cone)
        self.assertLess(np.abs(np.linalg.norm(points[:, :2], axis=1) - (10 - 0.2 * points[:, 2])).max(), 2e-3)
        dome = revolve(Curve([(10, 0, 0), (10, 0, 6), (6, 0, 10), (0, 0, 10)]), (0, 0, 0), (0, 0, 1), 8)
        dome.cage.topology.check()
        self.assertEqual(dome.cage.topology.vertex_count, 3 * 8 + 1)
        self.assertEqual(len(dome.cage.topology.open_edges), 8)
        with self.assertRaisesRegex(CoreError, "touches the axis"):
            revolve(Curve([(10, 0, 0), (0, 0, 5), (10, 0, 10)]), (0, 0, 0), (0, 0, 1))

    def test_part_of_a_turn_and_strips(self) -> None:
        part = revolve(Curve([(6, 0, 0), (6, 0, 10), (6, 0, 20)]), (0, 0, 0), (0, 0, 1), 6, 90)
        self.assertEqual((part.cage.topology.face_count, len(part.cage.topology.open_edges)), (12, 16))
        edge = Curve([(0, 0, 0), (10, 3, 0), (20, -3, 0), (30, 0, 0)])
        for to in ((0, 0, 12.0), Curve([(0, 0, 12), (15, 4, 14), (30, 0, 12)])):
            grown = strip(edge, to, 3)
            self.assertEqual(grown.cage.topology.face_count, 9)
            self.assertLess(lies_in(grown, edge), 2e-3)


class Fitted(unittest.TestCase):
    def test_through_points_to_the_last_digits(self) -> None:
        points = np.random.default_rng(2).normal(size=(9, 3)) * 10
        for closed in (False, True):
            made = pieces_of(through(points, closed))
            np.testing.assert_allclose(made.at(np.arange(9.0)), points, atol=1e-9)

    def test_more_points_stray_less_and_it_is_said_truly(self) -> None:
        curve = Curve(np.random.default_rng(7).normal(size=(9, 3)) * 10, 3, True)
        told = []
        for count in (12, 24, 48):
            fitted = resampled(curve, count)
            told.append(fitted.deviation)
            a, b = (pieces_of(c).dense(900) for c in (fitted.curve, curve))
            found = max(np.linalg.norm(a[k] - b, axis=1).min() for k in range(0, len(a), 37))
            self.assertLessEqual(found, fitted.deviation * 1.02 + 1e-4)
        self.assertTrue(told[0] > told[1] > told[2], told)
        self.assertLess(told[2], 0.1 * told[0])

    def test_ends_and_corners_stay(self) -> None:
        points = np.cumsum(np.random.default_rng(1).uniform(2, 9, size=(7, 3)), axis=0)
        curve = Curve(points, 3, sharpness=[0, 0, 10, 0, 0, 0, 0])
        for degree in (2, 3):
            made = resampled(curve, 12, degree)  # type: ignore[arg-type]
            np.testing.assert_allclose(made.curve.points[[0, -1]], curve.points[[0, -1]])
            self.assertEqual(np.count_nonzero(made.curve.sharpness), 1)
            self.assertAlmostEqual(np.linalg.norm(made.curve.points - curve.points[2], axis=1).min(), 0, places=9)


class Begun(unittest.TestCase):
    def test_sizes_are_the_curves(self) -> None:
        at = pieces_of(circle(20, 6)).at(np.arange(6.0))
        np.testing.assert_allclose(np.linalg.norm(at, axis=1), 10, atol=1e-12)
        oval = pieces_of(ellipse(30, 12, 8)).dense(400)
        np.testing.assert_allclose(np.ptp(oval, axis=0), (30, 12, 0), atol=1e-9)
        quarter = pieces_of(arc(10, 90, 7))
        self.assertAlmostEqual(quarter.length, 10 * np.pi / 2, delta=0.02)
        for width, depth, radius in ((40, 20, 5), (100, 20, 2), (20, 8, 3), (10, 10, 5), (30, 10, 4.9), (40, 30, 1)):
            bar = pieces_of(rounded_rectangle(width, depth, radius)).dense(100)[:, :2]
            # Signed distance from a rounded rectangle: that of its core, less the radius.
            over = np.abs(bar) - [width / 2 - radius, depth / 2 - radius]
            off = np.linalg.norm(np.maximum(over, 0), axis=1) + np.minimum(over.max(axis=1), 0) - radius
            self.assertLess(float(np.abs(off).max()), 0.006 * radius, f"{width} by {depth}, {radius}")
        spring = pieces_of(helix(20, 6, 3))
        self.assertAlmostEqual(spring.length, 3 * np.hypot(20 * np.pi, 6), delta=0.3)
        ripple = pieces_of(wave(62, 16, 2, 3)).dense(40)
        self.assertAlmostEqual(np.abs(ripple[:, 2]).max(), 3, delta=0.05)
        self.assertEqual(polygon(10, 6).degree, 1)

    def test_wrong_numbers_are_sentences(self) -> None:
        for make in (lambda: circle(0), lambda: circle(10, 2), lambda: rounded_rectangle(10, 10, 6), lambda: helix(10, 0, 2),
                     lambda: arc(10, 400)):  # fmt: skip
            with self.assertRaises(CoreError):
                make()
