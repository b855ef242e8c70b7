"""Curves against scipy's B-splines, the borders of cages, and the formulas of circles and helices."""

from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.interpolate import BSpline

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.curve import Curve, CurveError, pieces_of
from zinc_otter.core.curve.curve import refined
from zinc_otter.core.errors import CoreError
from zinc_otter.core.surface import build_stencils, evaluate


def wild(seed: int, n: int, **more: object) -> Curve:
    return Curve(np.random.default_rng(seed).normal(size=(n, 3)) * 20, **more)  # type: ignore[arg-type]


class AgainstAnotherLibrary(unittest.TestCase):
    """de Boor's algorithm as scipy has it (L. Piegl, W. Tiller, "The NURBS Book", 2nd ed. 1997)."""

    def test_closed_ones_of_degree_3_and_2(self) -> None:
        for degree in (2, 3):
            curve = wild(degree, 9, degree=degree, closed=True)
            n = curve.count
            spline = BSpline(np.arange(n + 2 * degree + 1.0), curve.points[np.arange(n + degree) % n], degree)
            u = np.linspace(0, n, 200, endpoint=False)
            mine = pieces_of(curve)
            # The same curve, up to where it begins: both are uniform, so one shift fits all.
            for shift in np.arange(-4, 4.5, 0.5):
                v = np.mod(u + shift - spline.t[degree], n) + spline.t[degree]
                if np.abs(spline(v) - mine.at(u)).max() < 1e-12 * 100:
                    np.testing.assert_allclose(spline(v, 1), mine.velocity(u), atol=1e-11)
                    np.testing.assert_allclose(spline(v, 2), mine.acceleration(u), atol=1e-10)
                    break
            else:
                self.fail(f"degree {degree} differs")

    def test_an_open_one_of_degree_3_with_its_phantom_points(self) -> None:
        curve = wild(5, 8)
        p = curve.points
        whole = np.vstack([2 * p[0] - p[1], p, 2 * p[-1] - p[-2]])
        spline = BSpline(np.arange(len(whole) + 4) - 3.0, whole, 3)
        u = np.linspace(0, curve.end, 300)
        mine = pieces_of(curve)
        np.testing.assert_allclose(mine.at(u), spline(u), atol=1e-12)
        np.testing.assert_allclose(mine.velocity(u[1:-1]), spline(u[1:-1], 1), atol=1e-11)


class AgainstCages(unittest.TestCase):
    """A curve of degree 3 is what the border of a cage with the same control points is."""

    def border(self, points: np.ndarray, sharpness: np.ndarray, level: int) -> np.ndarray:
        n = len(points)
        far = points + [0, 0, 30.0]
        faces = [[i, i + 1, n + i + 1, n + i] for i in range(n - 1)]
        cage = Cage.from_faces(np.vstack([points, far]), faces)
        cage = cage.with_sharpness(vertices=np.concatenate([sharpness, np.zeros(n)]))
        stencils = build_stencils(cage, level)
        finest = stencils.finest.topology
        surface = evaluate(stencils, cage)
        edges = finest.edge_verts[finest.open_edges]
        # Walk along the border from the first corner to the last of its first row.
        beside: dict[int, list[int]] = {}
        for a, b in edges.tolist():
            beside.setdefault(a, []).append(b)
            beside.setdefault(b, []).append(a)
        at = surface.points
        start = int(np.linalg.norm(at - points[0], axis=1).argmin())
        goal = int(np.linalg.norm(at - points[-1], axis=1).argmin())
        for first in beside[start]:
            walk = [start, first]
            while walk[-1] != goal and len(walk) <= (n - 1) * 2**level + 1:
                walk.append(next(v for v in beside[walk[-1]] if v != walk[-2]))
            if len(walk) == (n - 1) * 2**level + 1:
                return np.asarray(at[walk])
        raise AssertionError("no border found")

    def test_smooth_hard_and_fading_corners(self) -> None:
        random = np.random.default_rng(3)
        points = np.cumsum(random.uniform(4, 12, size=(7, 3)) * [1, 1, 0.05], axis=0)
        for sharp in ([0] * 7, [0, 0, 10, 0, 0, 0, 0], [0, 0, 1.4, 0, 2.0, 0.5, 0]):
            sharpness = np.array(sharp, dtype=float)
            level = 3
            border = self.border(points, sharpness, level)
            curve = Curve(points, sharpness=sharpness)
            u = np.linspace(0, curve.end, len(border))
            np.testing.assert_allclose(pieces_of(curve).at(u), border, atol=1e-9)

    def test_refined_is_the_same_curve(self) -> None:
        for closed in (False, True):
            curve = wild(8, 7, closed=closed, sharpness=[0, 0, 10, 0, 2.3, 0, 0])
            fine = refined(curve)
            u = np.linspace(0, curve.end, 100)
            np.testing.assert_allclose(pieces_of(fine).at(2 * u), pieces_of(curve).at(u), atol=1e-12)


class Measures(unittest.TestCase):
    def test_a_straight_one_of_every_degree(self) -> None:
        for degree in (1, 2, 3):
            line = pieces_of(Curve([(0, 0, 0), (3, 4, 0), (6, 8, 0), (9, 12, 0)], degree))  # type: ignore[arg-type]
            self.assertAlmostEqual(line.length, 15, places=12)
            self.assertEqual(line.tightest()[0], np.inf)
            np.testing.assert_allclose(line.at(line.places_at([7.5])), [[4.5, 6, 0]], atol=1e-12)

    def test_a_dense_circle_has_the_length_and_radius_of_one(self) -> None:
        # The control points of a circle: on the curve they lie (2 + cos a) / 3 as far out, E. Catmull's masks (1, 4, 1) / 6.
        n, radius = 48, 10.0
        turns = np.arange(n) * 2 * np.pi / n
        out = radius * 3 / (2 + np.cos(2 * np.pi / n))
        ring = Curve(np.column_stack([out * np.cos(turns), out * np.sin(turns), 0 * turns]), closed=True)
        made = pieces_of(ring)
        self.assertAlmostEqual(made.length, 2 * np.pi * radius, delta=1e-4)
        self.assertAlmostEqual(made.tightest()[0], radius, delta=2e-2)
        self.assertLess(np.abs(np.linalg.norm(made.dense(20), axis=1) - radius).max(), 1e-4)
        middle, normal, off = made.plane()
        self.assertLess(off, 1e-12)
        self.assertAlmostEqual(abs(normal[2]), 1)
        np.testing.assert_allclose(middle, 0, atol=1e-9)

    def test_six_points_stray_from_round_by_what_is_derived(self) -> None:
        """Between two points of the curve the uniform cubic passes (1, 23, 23, 1) / 48 of its control points."""
        n = 6
        a = 2 * np.pi / n
        turns = np.arange(n) * a
        ring = pieces_of(Curve(np.column_stack([np.cos(turns), np.sin(turns), 0 * turns]), closed=True))
        on, between = (2 + np.cos(a)) / 3, (23 * np.cos(a / 2) + np.cos(3 * a / 2)) / 24
        radii = np.linalg.norm(ring.at(np.linspace(0, n, 6001)), axis=1)
        self.assertAlmostEqual(radii.max(), on, places=9)
        self.assertAlmostEqual(radii.min(), between, places=9)
        # 0.41 % of the radius between the extremes.
        self.assertAlmostEqual((on - between) / on, 0.0041, places=4)

    def test_places_lie_at_their_lengths(self) -> None:
        for curve in (wild(1, 9), wild(2, 9, closed=True), wild(3, 9, degree=2)):
            made = pieces_of(curve)
            lengths = np.linspace(0, made.length, 9)
            places = made.places_at(lengths)
            for low, high, size in zip(places[:-1], places[1:], np.diff(lengths), strict=True):
                dense = made.at(np.linspace(low, min(high, made.breaks[-1] - 1e-12), 4001))
                self.assertAlmostEqual(np.linalg.norm(np.diff(dense, axis=0), axis=1).sum(), size, delta=2e-3 * size)

    def test_the_tightest_radius_is_that_of_a_search(self) -> None:
        for seed in range(6):
            made = pieces_of(wild(seed, 7))
            dense = made.bending(np.linspace(made.breaks[0], made.breaks[-1], 200_001)[1:-1])
            self.assertAlmostEqual(made.tightest()[0], 1 / dense.max(), delta=1e-4 / dense.max())


class Turned(unittest.TestCase):
    @settings(max_examples=40, deadline=None)
    @given(
        st.integers(3, 9), st.sampled_from([1, 2, 3]), st.booleans(), st.integers(0, 1000),
        st.lists(st.sampled_from([0.0, 0.0, 0.0, 1.5, 10.0]), min_size=9, max_size=9),
    )  # fmt: skip
    def test_the_other_way_round_it_is_the_same_points(
        self, n: int, degree: int, closed: bool, seed: int, sharp: list[float]
    ) -> None:
        curve = wild(seed, n, degree=degree, closed=closed, sharpness=sharp[:n])
        back = curve.reversed()
        self.assertEqual(back.reversed(), curve)
        here, there = pieces_of(curve), pieces_of(back)
        self.assertAlmostEqual(here.length, there.length, delta=1e-6 * here.length)
        span = here.breaks[-1] - here.breaks[0]
        self.assertAlmostEqual(span, curve.end)
        u = np.linspace(0, curve.end, 37)
        np.testing.assert_allclose(there.at(curve.end - u), here.at(u), atol=1e-9)

    def test_a_closed_one_begins_elsewhere(self) -> None:
        curve = wild(4, 6, closed=True, sharpness=[0, 10, 0, 0, 0, 0])
        u = np.linspace(0, 6, 30)
        np.testing.assert_allclose(pieces_of(curve.begun_at(2)).at(u), pieces_of(curve).at(u + 2), atol=1e-12)


class Refused(unittest.TestCase):
    def test_each_in_a_sentence(self) -> None:
        for points, more, words in (
            ([(0, 0, 0)], {}, "has 2 to"),
            ([(0, 0, 0), (1, 0, 0)], {"closed": True}, "has 3 to"),
            ([(0, 0, 0), (0, 0, 0), (1, 0, 0)], {}, "points 0 and 1 lie in one place"),
            ([(0, 0, 0), (np.nan, 0, 0)], {}, "nowhere"),
            ([(0, 0, 0), (1, 0, 0)], {"degree": 4}, "1, 2 or 3"),
            ([(0, 0), (1, 0)], {}, "three numbers"),
            ([(0, 0, 0), (1, 0, 0)], {"sharpness": [0, 11]}, "sharpness from 0 to 10"),
            (np.random.default_rng(0).normal(size=(10_000, 3)), {}, "10000"),
        ):
            with self.subTest(words), self.assertRaisesRegex(CoreError, words):
                Curve(points, **more)
        with self.assertRaises(CurveError):
            Curve([(0, 0, 0), (1, 0, 0)]).begun_at(1)
