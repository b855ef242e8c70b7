"""Relief rides on the cage: D. Zorin, P. Schröder, W. Sweldens, "Interactive Multiresolution Mesh Editing", SIGGRAPH
1997."""

from __future__ import annotations

import pickle
import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.spatial.transform import Rotation

from tests.core.relief.forms import block, ring, rough, sculpted, sheet
from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.plane import plane_at
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.relief.levels import finer, folded, smoothed
from zinc_otter.core.relief.mirrored import mirrored_with_relief
from zinc_otter.core.relief.relief import MOST_POINTS, Relief, ReliefError, at_level, check_level, point_counts
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.surface.anchors import anchored, rooted
from zinc_otter.core.surface.raised import Raised, frames, in_frame, in_space

FORMS = {"open sheet": sheet(4), "creased block": block(), "ring": ring()}


def points_of(cage: Cage, level: int = 4) -> Floats:
    return evaluate(build_stencils(cage, level), cage).points


class Riding(unittest.TestCase):
    def test_moved_rigidly_the_detail_moves_rigidly(self) -> None:
        turn = Rotation.from_rotvec([0.3, -0.8, 1.1]).as_matrix()
        for name, cage in FORMS.items():
            with self.subTest(name):
                carved = rough(cage, 3)
                moved = carved.with_positions(carved.positions @ turn.T + [5, -7, 2])
                want = points_of(carved) @ turn.T + [5, -7, 2]
                np.testing.assert_allclose(points_of(moved), want, atol=1e-9)

    def test_sized_evenly_it_keeps_its_height_in_millimetres(self) -> None:
        for name, cage in FORMS.items():
            with self.subTest(name):
                carved = rough(cage, 1)
                large = carved.with_positions(3 * carved.positions)
                stencils = build_stencils(cage, 1)
                for one, size in ((carved, 1.0), (large, 3.0)):
                    raised = Raised(stencils, one)
                    off = np.linalg.norm(raised.points[1] - raised.below[1], axis=1)
                    told = np.linalg.norm(one.relief.detail(1), axis=1)  # type: ignore[union-attr]
                    np.testing.assert_allclose(off, told, atol=1e-6, err_msg=str(size))

    def test_frames_stand_square_and_look_outwards(self) -> None:
        for name, cage in FORMS.items():
            with self.subTest(name):
                stencils = build_stencils(cage, 3)
                found = frames(stencils, 3, stencils.refined(cage.positions))
                np.testing.assert_allclose(
                    found @ found.transpose(0, 2, 1), np.broadcast_to(np.eye(3), found.shape), atol=1e-12
                )
                np.testing.assert_allclose(np.linalg.det(found), 1.0, atol=1e-12)
                outward = evaluate(stencils, cage).normals[: len(found)]
                self.assertGreater(float((found[:, 2] * outward).sum(axis=1).min()), 0.3)

    def test_anchors_are_found_where_they_are_rooted(self) -> None:
        carved = rough(ring(), 2, height=3.0)
        places = points_of(carved.plain)[::211]
        np.testing.assert_allclose(rooted(carved, anchored(carved, places)).points, places, atol=1e-3)

    def test_a_part_of_the_points_has_the_same_frames(self) -> None:
        cage = block()
        stencils = build_stencils(cage, 3)
        points = stencils.refined(cage.positions)
        some = np.arange(3, len(points), 7)
        np.testing.assert_allclose(frames(stencils, 3, points, some), frames(stencils, 3, points)[some], atol=1e-14)

    def test_told_in_frames_and_back(self) -> None:
        cage = block()
        stencils = build_stencils(cage, 2)
        frame = frames(stencils, 2, stencils.refined(cage.positions))
        vectors = np.random.default_rng(1).normal(size=(len(frame), 3))
        np.testing.assert_allclose(in_space(frame, in_frame(frame, vectors)), vectors, atol=1e-12)

    def test_without_detail_it_is_the_plain_surface_to_the_last_bit(self) -> None:
        for cage in FORMS.values():
            flat = cage.with_relief(at_level(None, cage.topology, 3))
            np.testing.assert_array_equal(points_of(flat), points_of(cage))
            self.assertEqual(flat.digest, cage.digest)

    def test_fine_detail_is_left_out_of_coarser_surfaces(self) -> None:
        cage = ring()
        carved = rough(cage, 4)
        coarse = Relief(carved.relief.details[:2])  # type: ignore[union-attr]
        np.testing.assert_array_equal(points_of(carved, 2), points_of(cage.with_relief(coarse), 2))


class Following(unittest.TestCase):
    """What is found from a change alone is what is found anew."""

    @settings(max_examples=25, deadline=None)
    @given(st.sampled_from(sorted(FORMS)), st.integers(0, 10_000))
    def test_cage_and_detail_changed_in_turn(self, name: str, seed: int) -> None:
        random = np.random.default_rng(seed)
        cage = rough(FORMS[name], 3, seed)
        raised = Raised(build_stencils(cage, 4), cage)
        for _ in range(4):
            if random.random() < 0.5:
                positions = cage.positions.copy()
                positions[random.integers(len(positions))] += random.normal(size=3)
                cage = cage.with_positions(positions)
            else:
                assert cage.relief is not None
                level = int(random.integers(1, 4))
                detail = cage.relief.detail(level).copy()  # type: ignore[union-attr]
                detail[random.integers(len(detail), size=5)] += 0.2
                cage = cage.with_relief(cage.relief.with_detail(level, detail))
            before = raised.positions.copy()
            rows = raised.follow(cage)
            surface = evaluate(build_stencils(cage, 4), cage)
            np.testing.assert_allclose(raised.positions, surface.positions, atol=1e-12)
            np.testing.assert_allclose(raised.tangent_u, surface.tangent_u, atol=1e-12)
            if rows is not None:
                others = np.setdiff1d(np.arange(len(before)), rows)
                np.testing.assert_array_equal(before[others], raised.positions[others])

    def test_relief_that_goes_leaves_the_plain_surface(self) -> None:
        cage = ring()
        raised = Raised(build_stencils(cage, 3), rough(cage, 3))
        raised.follow(cage)
        np.testing.assert_allclose(raised.positions[: len(points_of(cage, 3))], points_of(cage, 3), atol=1e-12)


class Levels(unittest.TestCase):
    def test_counts_are_those_of_the_surface(self) -> None:
        for cage in FORMS.values():
            want = [cage.topology.vertex_count, *(build_stencils(cage, k).vertex_count for k in (1, 2, 3, 4))]
            self.assertEqual(point_counts(cage.topology, 4), want)

    def test_a_level_up_and_down_leaves_no_trace(self) -> None:
        for cage in FORMS.values():
            for before in (rough(cage, 2), finer(cage)):
                after = folded(finer(before))
                self.assertEqual(after, before)
                np.testing.assert_array_equal(points_of(after), points_of(before))
            self.assertIsNone(folded(finer(cage)).relief)

    def test_folded_down_broad_detail_stays(self) -> None:
        cage = sculpted(ring(), [[20, 0, 6]], level=4, radius=9.0, amount=1.0)
        coarse = folded(cage)
        self.assertEqual(coarse.relief.depth, 3)  # type: ignore[union-attr]
        count = build_stencils(cage, 3).vertex_count
        off = np.linalg.norm(points_of(cage)[:count] - points_of(coarse, 3), axis=1)
        # The points that both levels have lie where they lay.
        self.assertLess(off.max(), 1e-4)

    def test_taken_away_to_the_end_it_is_plain(self) -> None:
        cage = rough(ring(), 3)
        np.testing.assert_allclose(points_of(smoothed(cage, 1.0)), points_of(cage.plain), atol=1e-12)
        half = points_of(smoothed(rough(sheet(4), 1), 0.5), 1) - points_of(sheet(4), 1)
        whole = points_of(rough(sheet(4), 1), 1) - points_of(sheet(4), 1)
        np.testing.assert_allclose(half, 0.5 * whole, atol=1e-6)

    def test_what_a_mask_protects_stays(self) -> None:
        cage = rough(ring(), 2)
        assert cage.relief is not None
        mask = np.zeros(build_stencils(cage, 2).vertex_count, dtype=np.float32)
        mask[:100] = 1
        kept = smoothed(cage.with_relief(Relief((None, cage.relief.detail(2)), mask)), 1.0)
        detail = kept.relief.detail(2)  # type: ignore[union-attr]
        assert detail is not None
        np.testing.assert_array_equal(detail[:100], cage.relief.detail(2)[:100])  # type: ignore[index]
        self.assertFalse(detail[100:].any())

    def test_levels_that_cannot_be(self) -> None:
        cage = ring()
        with self.assertRaisesRegex(ReliefError, "levels 1 to 7; 8 is none"):
            check_level(cage.topology, 8)
        fine = sheet(64)
        with self.assertRaisesRegex(ReliefError, f"{MOST_POINTS:,} are the most of a piece; level 4 is the finest"):
            check_level(fine.topology, 7)
        with self.assertRaisesRegex(ReliefError, "There is no relief"):
            folded(cage)

    def test_detail_that_does_not_fit_is_refused(self) -> None:
        with self.assertRaisesRegex(ReliefError, "Level 1 of the relief has 5 points"):
            ring().with_relief(Relief((np.zeros((5, 3), dtype=np.float32),)))
        with self.assertRaises(BadNumberError):
            Relief((np.full((5, 3), np.nan, dtype=np.float32),))


class Mirrored(unittest.TestCase):
    def test_the_image_has_the_image_of_the_relief(self) -> None:
        plane = plane_at((1.0, 0.5, 0.0), (0.6, 0.8, 0.0))
        normal = np.array([0.6, 0.8, 0.0])
        for name, cage in FORMS.items():
            with self.subTest(name):
                carved = rough(cage, 3)
                image = mirrored_with_relief(carved, plane)
                points, other = points_of(carved, 3), points_of(image, 3)
                want = points - 2 * ((points - [1.0, 0.5, 0.0]) @ normal)[:, None] * normal
                order, found = (np.lexsort(np.round(p, 5).T) for p in (want, other))
                # Detail is kept with 24 bits.
                np.testing.assert_allclose(other[found], want[order], atol=2e-6)


class Hashes(unittest.TestCase):
    def relief(self, seed: int, rows: int = 5_000) -> Relief:
        detail = np.random.default_rng(seed).normal(size=(rows, 3)).astype(np.float32)
        return Relief((None, detail))

    @given(st.lists(st.tuples(st.integers(0, 4_999), st.integers(0, 2), st.floats(-1, 1, width=32)), max_size=6))
    @settings(max_examples=25, deadline=None)
    def test_a_changed_part_is_hashed_as_all_of_it_would_be(self, changes: list[tuple[int, int, float]]) -> None:
        relief = self.relief(1)
        first = relief.shape_digest
        detail = relief.details[1].copy()  # type: ignore[union-attr]
        for row, axis, value in changes:
            detail[row, axis] = value
        changed = relief.with_detail(2, detail).with_detail(2, detail.copy())
        self.assertEqual(changed.shape_digest, Relief((None, detail)).shape_digest)
        same = np.array_equal(detail.view(np.int32), relief.details[1].view(np.int32))  # type: ignore[union-attr]
        self.assertEqual(changed.shape_digest == first, same)

    def test_the_sign_of_nothing_counts_and_so_does_the_level(self) -> None:
        flat = np.zeros((3_000, 3), dtype=np.float32)
        minus = flat.copy()
        minus[2_999, 2] = -0.0
        relief = Relief((None, flat))
        self.assertNotEqual(relief.shape_digest, relief.with_detail(2, minus).shape_digest)
        self.assertNotEqual(relief.shape_digest, Relief((flat, None)).shape_digest)
        # To a worker it goes without what is cached, and is the same there.
        again = pickle.loads(pickle.dumps(relief.with_detail(2, minus)))
        self.assertEqual(again.shape_digest, Relief((None, minus)).shape_digest)

    def test_what_is_no_number_is_refused_wherever_it_stands(self) -> None:
        for value in (np.nan, np.inf, -np.inf):
            detail = np.ones((4_000, 3), dtype=np.float32)
            detail[[7, 3_000], 1] = value, 1
            with self.assertRaisesRegex(BadNumberError, "finite"):
                Relief((detail,))
