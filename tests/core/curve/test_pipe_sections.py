"""Pipes of other sections, and of a radius that changes: against the volumes of prisms, frustums and Pappus's theorem."""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.interpolate import PchipInterpolator

from tests.core.curve.test_growing import dense, ring_of, volume_and_area
from zinc_otter.core.curve import Curve, pieces_of
from zinc_otter.core.curve.fitting import feet_on
from zinc_otter.core.curve.growing import pipe
from zinc_otter.core.errors import CoreError

ROD = Curve([(0, 0, 10 * k) for k in range(4)])


class Sections(unittest.TestCase):
    def test_straight_rods_are_prisms(self) -> None:
        wanted = (("square", 8, {}, 16.0), ("flat", 10, {"thickness": 1.0}, 4.0))
        for shape, around, more, area in wanted:
            grown = pipe(ROD, 2.0, around, shape=shape, **more)  # type: ignore[arg-type]
            self.assertTrue(grown.cage.topology.is_closed)
            self.assertAlmostEqual(volume_and_area(grown)[0], 30 * area, places=6)
        half = pipe(ROD, 2.0, 32, shape="half-round")
        self.assertAlmostEqual(volume_and_area(half)[0] / (30 * np.pi * 2), 1, delta=2e-4)

    def test_a_square_ring_as_pappus_says(self) -> None:
        grown = pipe(ring_of(20, 24), 1.0, 8, each=2, shape="square")
        self.assertAlmostEqual(volume_and_area(grown)[0] / (2 * np.pi * 20 * 4), 1, delta=1e-3)

    def test_edges_of_a_square_wire_are_sharp_all_along(self) -> None:
        grown = pipe(ROD, 2.0, 12, each=2, shape="square")
        points, _ = dense(grown)
        for corner in ((2, 2), (-2, 2), (-2, -2), (2, -2)):
            near = points[np.abs(points[:, :2] - corner).max(axis=1) < 1e-9]
            self.assertGreater(len(np.unique(near[:, 2].round(6))), 16)

    def test_turned_the_flat_side_lies_elsewhere(self) -> None:
        straight, turned = (pipe(ROD, 2.0, 8, shape="flat", thickness=0.5, turned=by) for by in (0, 90))
        one, other = (np.ptp(dense(g)[0], axis=0)[:2] for g in (straight, turned))
        np.testing.assert_allclose(one, other[::-1], atol=1e-9)


class Radii(unittest.TestCase):
    def test_from_one_radius_to_another_it_is_a_frustum(self) -> None:
        grown = pipe(ROD, 2.0, 32, each=4, places=[(1.0, 4.0)])
        self.assertAlmostEqual(volume_and_area(grown)[0] / (np.pi * 30 / 3 * (4 + 8 + 16)), 1, delta=1e-4)

    def test_at_each_place_it_is_what_was_asked(self) -> None:
        bent = Curve([(0, 0, 0), (20, 15, 0), (45, -10, 8), (70, 0, 0), (90, 10, 0)])
        told = [(0.3, 3.0), (0.6, 1.2)]
        grown = pipe(bent, 2.0, 24, each=12, caps="open", places=told)
        points, _ = dense(grown)
        made = pieces_of(bent)
        feet = feet_on(points, made)
        # The share of the length at the nearest of many points of the line.
        line = np.linspace(0, bent.end, 20_001)
        along = made.lengths_to(line) / made.length
        at = made.at(line)
        for share, radius in [*told, (0.0, 2.0), (1.0, 2.0)]:
            place = at[int(np.abs(along - share).argmin())]
            near = np.linalg.norm(feet - place, axis=1) < 0.25
            self.assertGreater(int(near.sum()), 20)
            radii = np.linalg.norm(points[near] - feet[near], axis=1)
            np.testing.assert_allclose(radii, radius, atol=0.02 * radius)

    def test_between_places_it_is_the_monotone_cubic_of_the_library(self) -> None:
        from zinc_otter.core.curve.growing.widths import widths_along

        at = np.linspace(0, 1, 101)
        got = widths_along(2.0, [(0.25, 5.0), (0.7, 3.0)], at, False)
        np.testing.assert_allclose(got, PchipInterpolator([0, 0.25, 0.7, 1], [2, 5, 3, 2])(at), atol=1e-12)
        self.assertLessEqual(float(got.max()), 5.0)

    def test_round_a_closed_curve_it_closes_smoothly(self) -> None:
        grown = pipe(ring_of(20, 16), 1.0, 16, each=2, places=[(0.5, 2.0)])
        self.assertTrue(grown.cage.topology.is_closed)
        points, _ = dense(grown)
        high = np.abs(points[:, 2]).reshape(-1)
        self.assertAlmostEqual(float(high.max()), 2.0, delta=0.01)

    def test_where_it_is_too_thick_for_the_bend_only_there_it_is_marked(self) -> None:
        ring = ring_of(20, 16)
        self.assertEqual(len(pipe(ring, 1.0, 8, places=[(0.5, 5.0)]).suspect), 0)
        marked = pipe(ring, 1.0, 8, places=[(0.5, 25.0)])
        self.assertTrue(0 < len(marked.suspect) < marked.cage.topology.face_count / 2)

    def test_sentences_for_places_that_are_none(self) -> None:
        for places, words in (
            ([(1.2, 3.0)], "0 to 100 %"), ([(0.5, 0.0)], "above 0"), ([(0.5, 3.0), (0.5002, 2.0)], "Two places"),
            ([(float("nan"), 2.0)], "0 to 100 %"),
        ):  # fmt: skip
            with self.assertRaisesRegex(CoreError, words):
                pipe(ROD, 2.0, places=places)
        with self.assertRaisesRegex(CoreError, "half-round wire has 5"):
            pipe(ROD, 2.0, 4, shape="half-round")

    @settings(max_examples=40, deadline=None)
    @given(
        st.integers(0, 10_000), st.integers(3, 7), st.sampled_from(["round", "square", "half-round", "flat"]),
        st.integers(5, 17), st.sampled_from(["open", "flat", "round"]), st.booleans(),
    )  # fmt: skip
    def test_every_section_gives_a_sound_cage(
        self, seed: int, n: int, shape: Any, around: int, caps: Any, closed: bool
    ) -> None:
        rng = np.random.default_rng(seed)
        points = np.cumsum(rng.normal(0, 4, (n, 3)) + [15, 0, 0], axis=0)
        curve = Curve(points, 3, closed)
        grown = pipe(curve, 0.5, around, caps=caps, shape=shape, places=[(0.4, 0.8)], thickness=0.3)
        grown.cage.topology.check()
        self.assertTrue(np.isfinite(grown.cage.positions).all())
        self.assertEqual(grown.cage.topology.is_closed, closed or caps != "open")
