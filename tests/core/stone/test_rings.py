"""Ring sizes by their definitions, rings by their bore, and bores fitted."""

from __future__ import annotations

import unittest

import numpy as np

from tests.core.stone.test_laying import done
from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.picking import everything
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives.ring import Shoulders, out_of_round, ring_band
from zinc_otter.core.primitives.ring_section import Profile, free_section
from zinc_otter.core.primitives.sized import sized_box, sized_torus
from zinc_otter.core.proof.bore import bore, bore_about
from zinc_otter.core.ring_sizes import ring_size, ring_words
from zinc_otter.core.solid.mesh.route import made_of_triangles
from zinc_otter.core.stone.fit_bore import NoBoreError, fit_bore, ring_bore
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.units import read_number
from zinc_otter.studio.design import Design
from zinc_otter.studio.followers import recipe_of

PROFILES: tuple[Profile, ...] = ("flat", "court", "D", "comfort", "knife", "wire")


class Sizes(unittest.TestCase):
    def test_the_international_size_is_the_inner_circumference(self) -> None:
        # ISO 8653:2016: the size is the inner circumference in mm.
        for size in (41, 54, 60.5, 76):
            self.assertAlmostEqual(read_number(f"ISO {size}", "length") * np.pi, size, places=9)

    def test_other_systems_by_common_practice(self) -> None:
        # North America 11.63 mm + 0.8128 mm a size: 6 -> 16.51, 7 -> 17.32, 9 -> 18.95; common practice, no source.
        for text, diameter in (("US 6", 16.51), ("US 7", 17.32), ("us 9", 18.95), ("US 7 1/2", 17.726), ("US 7½", 17.726)):
            self.assertAlmostEqual(read_number(text, "length"), diameter, delta=0.006, msg=text)
        # Britain: A has a circumference of 37.5 mm, each letter 1.25 mm more (BS 6820, from memory).
        self.assertAlmostEqual(read_number("UK A", "length") * np.pi, 37.5)
        self.assertAlmostEqual(read_number("UK N½", "length") * np.pi, 37.5 + 13.5 * 1.25)
        # Japan: size 1 is 13 mm, each a third more; common practice, no source.
        self.assertAlmostEqual(read_number("JP 13", "length"), 17.0)

    def test_every_system_says_its_own_size_again(self) -> None:
        for text in ("US 7", "UK N½", "JP 14", "ISO 54"):
            diameter = ring_size(text)
            assert diameter is not None
            self.assertIn(text, ring_words(diameter))
        self.assertEqual(ring_words(3.0), "")
        self.assertIsNone(ring_size("17.3 mm"))
        self.assertAlmostEqual(read_number("17.3 mm", "length"), 17.3)

    def test_no_size_is_said_so(self) -> None:
        for text, words in (
            ("US banana", "'banana' is no North American ring size; write it as US 7 1/2"),
            ("UK 7", "'7' is no British ring size"), ("ISO", "no international"), ("US 99", "go from 0 to 20"),
            ("US 7 1/0", "is no North American"), ("ISO 500", "go from 20 to 120"),
        ):  # fmt: skip
            with self.assertRaisesRegex(BadNumberError, words):
                read_number(text, "length")
        with self.assertRaises(BadNumberError):
            read_number("US 7", "angle")


def inside(cage: Cage) -> np.ndarray:
    """Radii of the surface's inside all round, by a fine level of its own."""
    points = evaluate(build_stencils(cage, 5), cage).points
    radius = np.hypot(points[:, 0], points[:, 1])
    sector = np.floor((np.arctan2(points[:, 1], points[:, 0]) / (2 * np.pi) + 0.5) * 180).astype(int) % 180
    return np.array([radius[sector == k].min() for k in range(180)])


class Bands(unittest.TestCase):
    def test_the_bore_is_what_was_asked_all_round(self) -> None:
        for profile in PROFILES:
            for widths, thicknesses in (((4.0, 4.0), (2.0, 2.0)), ((5.0, 2.5), (2.4, 1.4))):
                radii = inside(ring_band(16.51, widths, thicknesses, profile, 16))
                self.assertLess(np.abs(2 * radii - 16.51).max(), 0.005, profile)

    def test_width_and_thickness_are_those_of_the_surface(self) -> None:
        for profile in PROFILES:
            cage = ring_band(17.0, (5.0, 3.0), (2.2, 1.6), profile, 16)
            points = evaluate(build_stencils(cage, 5), cage).points
            self.assertAlmostEqual(float(np.ptp(points[:, 2])), 5.0, delta=2e-3, msg=profile)
            self.assertAlmostEqual(float(points[:, 1].max()), 8.5 + 2.2, delta=1e-5, msg=profile)
            self.assertAlmostEqual(float(-points[:, 1].min()), 8.5 + 1.6, delta=1e-5, msg=profile)

    def test_a_free_section_by_its_corners(self) -> None:
        corners = ((0.05, 0.9, 2.0), (0.4, 1.0, 0.0), (0.7, 0.4, 0.0))
        cage = ring_band(17.0, (5.0, 5.0), (2.5, 2.5), free_section(corners, ridge=10.0), 16)
        points = evaluate(build_stencils(cage, 5), cage).points
        self.assertLess(np.abs(2 * inside(cage) - 17.0).max(), 0.005)
        self.assertAlmostEqual(float(np.ptp(points[:, 2])), 5.0, delta=2e-3)
        self.assertAlmostEqual(float(points[:, 1].max()), 8.5 + 2.5, delta=1e-5)
        # Its outside comes to a ridge: the two sides meet there at an angle, where a domed one is level.
        top = points[(np.abs(points[:, 0]) < 1e-9) & (points[:, 1] > 0)]
        near = top[(top[:, 2] > 1e-9) & (top[:, 1] > 10.0)]
        nearest = near[near[:, 2].argmin()]
        self.assertGreater((11.0 - nearest[1]) / nearest[2], 0.2)
        court = free_section([(0.12, 0.8, 0), (0.5, 1, 0), (0.88, 0.7, 0)])
        self.assertEqual(ring_band(16, (4, 4), (2, 2), court, 12), ring_band(16, (4, 4), (2, 2), "court", 12))

    def test_shoulders_of_sizes_of_their_own(self) -> None:
        for profile in ("D", "court", "flat"):
            shoulders = Shoulders(2.0, 1.5, 45.0)
            cage = ring_band(17.0, (6.0, 3.0), (2.6, 1.8), profile, 16, shoulders=shoulders)
            points = evaluate(build_stencils(cage, 5), cage).points
            self.assertLess(np.abs(2 * inside(cage) - 17.0).max(), 0.005, profile)
            for degrees, width, thickness in ((0, 6.0, 2.6), (45, 2.0, 1.5), (-45, 2.0, 1.5), (180, 3.0, 1.8)):
                way = np.array([np.sin(np.radians(degrees)), np.cos(np.radians(degrees))])
                out = points[:, :2] @ way
                # Half a degree to both sides: between two of its sections' points the surface has none.
                there = np.abs(points[:, :2] @ [way[1], -way[0]]) < 0.01 * out
                self.assertAlmostEqual(float(out[there].max()) - 8.5, thickness, delta=0.02, msg=(profile, degrees))
                self.assertAlmostEqual(float(np.ptp(points[there, 2])), width, delta=0.02, msg=(profile, degrees))

    def test_bad_sections_and_shoulders(self) -> None:
        for corners, words in (
            ([(0.1, 0.8, 0)], "three corners"), ([(0.6, 0.8, 0), (0.5, 1, 0), (0.9, 1, 0)], "go from its inside outwards"),
            ([(0.1, 0, 0), (0.5, 1, 0), (0.9, 1, 0)], "to the side"),
            ([(-0.1, 1, 0), (0.5, 1, 0), (0.9, 1, 0)], "between its inside"),
            ([(0.1, 1, 0), (0.5, 1, 11), (0.9, 1, 0)], "0 to 10 sharp"),
        ):  # fmt: skip
            with self.assertRaisesRegex(BadNumberError, words):
                free_section(corners)
        for shoulders, words in (
            (Shoulders(2, 2, 5), "10 to 150°"), (Shoulders(2, 2, 12), "no place for shoulders"),
            (Shoulders(-1, 2), "between 0.001 mm"), (Shoulders(0.01, 2, 120), "thinner than nothing|No cage"),
        ):  # fmt: skip
            with self.assertRaisesRegex(BadNumberError, words):
                ring_band(16.0, (9, 0.05), (2, 2), "D", 12, shoulders=shoulders)

    def test_a_wire_of_one_on_a_bore_of_sixteen(self) -> None:
        # A wire ring of 1 mm on 16 mm has its centre line at 8.5 mm; common practice, no source.
        cage = ring_band(16.0, (1.0, 1.0), (1.0, 1.0), "wire", 24)
        points = evaluate(build_stencils(cage, 5), cage).points
        radius = np.hypot(points[:, 0], points[:, 1])
        self.assertAlmostEqual(float(radius.min() + radius.max()) / 2, 8.5, delta=2e-3)

    def test_few_faces_are_told_to_be_out_of_round(self) -> None:
        self.assertGreater(out_of_round(ring_band(16.5, (4, 4), (2, 2), "D", 8), 8), 0.01)
        self.assertLess(out_of_round(ring_band(16.5, (4, 4), (2, 2), "D", 16), 16), 0.002)

    def test_bad_numbers(self) -> None:
        with self.assertRaisesRegex(BadNumberError, "even number of faces"):
            ring_band(16.0, (4, 4), (2, 2), "D", 13)
        with self.assertRaisesRegex(BadNumberError, "shoulder"):
            ring_band(16.0, (4, 4), (2, 2), "D", 12, shoulder=-1)
        with self.assertRaises(BadNumberError):
            ring_band(-16.0, (4, 4), (2, 2), "D", 12)


def _widest(cage: Cage) -> float:
    points = evaluate(build_stencils(cage, 4), cage).points
    return 2 * float(np.hypot(points[:, 0], points[:, 1]).max())


class Bores(unittest.TestCase):
    def test_the_bore_of_a_torus_wherever_it_stands(self) -> None:
        cage = sized_torus((20, 4), (16, 8), "surface")
        stencils = build_stencils(cage, 4)
        quads = stencils.quads.astype(int)
        triangles = np.concatenate([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]])
        points = evaluate(stencils, cage).points
        for order, way in (((0, 1, 2), (0, 0, 1)), ((2, 0, 1), (1, 0, 0)), ((1, 2, 0), (0, 1, 0))):
            found = bore(points[:, order] + [3.0, -2, 7], triangles)
            assert found is not None
            self.assertAlmostEqual(found.diameter, 16.0, delta=1e-3)
            np.testing.assert_allclose(np.abs(found.along), way, atol=1e-12)
            self.assertAlmostEqual(
                bore_about(points[:, order] + [3.0, -2, 7], triangles, found.point, found.along), 16.0, delta=0.01
            )

    def test_a_hole_beside_the_middle_is_found_where_it_is_widest(self) -> None:
        from zinc_otter.core.proof.bore import bore as look

        cage = ring_band(16.0, (4, 4), (5.0, 1.5), "D", 16)
        stencils = build_stencils(cage, 4)
        quads = stencils.quads.astype(int)
        found = look(evaluate(stencils, cage).points, np.concatenate([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]]))
        assert found is not None
        self.assertAlmostEqual(found.diameter, 16.0, delta=3e-3)
        np.testing.assert_allclose(found.point[:2], 0, atol=3e-3)

    def test_what_has_no_hole_has_no_bore(self) -> None:
        box = sized_box((10, 10, 10), (2, 2, 2), "surface")
        with self.assertRaisesRegex(NoBoreError, "no bore to be fitted"):
            ring_bore(box)

    def test_moved_inside_or_as_a_whole(self) -> None:
        band = ring_band(16.0, (4, 4), (2, 2), "court", 16)
        whole = everything(band.topology, "face")
        outside = np.hypot(*band.positions[:, :2].T).max()
        within = fit_bore(band, whole, 17.2).cage
        self.assertAlmostEqual(ring_bore(within).diameter, 17.2, delta=1e-6)
        self.assertAlmostEqual(np.hypot(*within.positions[:, :2].T).max(), outside, delta=1e-9)
        all_of_it = fit_bore(band, whole, 15.0, moved="all").cage
        self.assertAlmostEqual(ring_bore(all_of_it).diameter, 15.0, delta=1e-6)
        # The section stays what it is: the surface's outside comes in by as much as its inside.
        self.assertAlmostEqual(_widest(all_of_it), _widest(band) - 1.0, delta=1e-3)
        with self.assertRaisesRegex(BadNumberError, "leaves no wall"):
            fit_bore(band, whole, 40.0)

    def test_the_bore_stands_whatever_is_pulled_outside(self) -> None:
        design = done(Design(), kind="add-ring", bore=16.0, width=4.0, thickness=2.0, profile="D")
        design = done(design, kind="add-follower", piece="p1", follower={"kind": "fit-bore", "diameter": 16.4})
        cage = design.piece("p1").faces
        outer = np.flatnonzero(np.hypot(*cage.positions[:, :2].T) > 9.5)
        chance = np.random.default_rng(11)
        for pull in range(20):
            ids = chance.choice(outer, size=2).tolist()
            vector = (chance.normal(size=3) * 0.3).tolist()
            design = done(design, kind="move", piece="p1", picked={"kind": "vertex", "ids": ids}, vector=vector)
            if pull % 5:
                continue
            body = made_of_triangles(recipe_of(design, "p1")).body.mesh
            # The cut is a prism of so many sides that its corners lie on the circle.
            lining = body.points[np.unique(body.triangles[body.made_by != body.names.index("piece")])]
            self.assertAlmostEqual(float(np.hypot(*lining[:, :2].T).min()) * 2, 16.4, delta=1e-3)
            corners = np.sort(np.hypot(*lining[:, :2].T))
            self.assertLess(abs(2 * np.median(corners) - 16.4), 1e-6)

    def test_a_wider_bore_than_asked_is_said(self) -> None:
        design = done(Design(), kind="add-ring", bore=18.0, width=4.0, thickness=2.0)
        design = done(design, kind="add-follower", piece="p1", follower={"kind": "fit-bore", "diameter": 16.0})
        (note,) = made_of_triangles(recipe_of(design, "p1")).notes
        self.assertRegex(note.words, "wider than the 16 mm asked for")
