"""Gaps between stones against all pairs of triangles, and how stones lie in metal."""

from __future__ import annotations

import unittest
from itertools import combinations_with_replacement

import numpy as np
from scipy.spatial.transform import Rotation

from zinc_otter.core.proof.distance import MeshDistance, nearest_on_triangles
from zinc_otter.core.repeated import moved
from zinc_otter.core.stone.cuts.brilliants import OvalBrilliant, PearBrilliant, RoundBrilliant
from zinc_otter.core.stone.cuts.steps import RectangularBrilliant
from zinc_otter.core.stone.gem import Gem
from zinc_otter.core.stone.spacing import below, spacing


def motion(point: tuple[float, float, float], turn: np.ndarray | None = None) -> np.ndarray:
    made = np.eye(4)
    made[:3, :3] = np.eye(3) if turn is None else turn
    made[:3, 3] = point
    return made


def row(count: int, step: float) -> np.ndarray:
    return np.array([motion((k * step, 0.0, 0.0)) for k in range(count)])


def band(gem: Gem, where: np.ndarray) -> np.ndarray:
    """(k, 3, 3) the triangles of the girdle's wall."""
    count = len(gem.outline)
    low, high = (np.column_stack([gem.outline, np.full(count, z)]) for z in (-gem.girdle / 2, gem.girdle / 2))
    i = np.arange(count)
    j = (i + 1) % count
    return np.concatenate(
        [moved(where, c) for c in (np.stack([low[i], low[j], high[j]], 1), np.stack([low[i], high[j], high[i]], 1))]
    )


def segments_apart(a: np.ndarray, b: np.ndarray, steps: int = 17) -> float:
    """By brute force: many points of each edge of one from the lines of the other, then the ends of the nearest narrowed."""
    s = np.linspace(0, 1, steps)[:, None]
    best = np.inf
    for one, other in ((a, b), (b, a)):
        lines = np.concatenate([one[:, [0, 1]], one[:, [1, 2]], one[:, [2, 0]]])
        points = (lines[:, None, 0] * (1 - s) + lines[:, None, 1] * s).reshape(-1, 3)
        for tri in np.array_split(other, max(1, len(other) // 24)):
            i, j = (g.ravel() for g in np.indices((len(points), len(tri))))
            feet, _ = nearest_on_triangles(points[i], tri[j])
            best = min(best, float(np.linalg.norm(points[i] - feet, axis=1).min()))
    return best


class Gaps(unittest.TestCase):
    def test_a_row_tells_its_gap(self) -> None:
        gem = RoundBrilliant(2.0).gem
        found = spacing([(gem, row(12, 2.13))])
        assert found is not None
        self.assertAlmostEqual(found.gap.distance, 0.13, delta=1e-9)
        self.assertEqual((found.gap.state, len(found.overlapping)), ("apart", 0))

    def test_tilted_pairs_against_all_triangles(self) -> None:
        chance = np.random.default_rng(2)
        cuts = [RoundBrilliant(2.0), OvalBrilliant(1.5, 2.5), RectangularBrilliant(1.6, 2.0), PearBrilliant(1.6, 2.4)]
        for trial, (one, other) in enumerate(combinations_with_replacement(cuts, 2)):
            turn = Rotation.random(random_state=trial).as_matrix()
            tilted = Rotation.from_rotvec(chance.normal(size=3) * 0.4).as_matrix() @ turn
            away = turn @ [2.9 * np.cos(trial), 2.9 * np.sin(trial), 0.3 * chance.normal()]
            a, b = motion((0, 0, 0), turn), motion(tuple(away), tilted)
            found = spacing([(one.gem, a[None]), (other.gem, b[None])])
            assert found is not None
            brute = segments_apart(band(one.gem, a), band(other.gem, b))
            # Points along edges come no nearer than the edges do.
            self.assertLessEqual(found.gap.distance, brute + 1e-9)
            self.assertAlmostEqual(found.gap.distance, brute, delta=2e-3)
            self.assertAlmostEqual(
                float(np.linalg.norm(np.subtract(found.gap.here, found.gap.there))), found.gap.distance, delta=1e-9
            )

    def test_overlapping_stones_are_found_wherever_they_stand(self) -> None:
        gem = RoundBrilliant(2.0).gem
        places = row(30, 2.2)
        places[17, 0, 3] -= 0.5
        found = spacing([(gem, places)])
        assert found is not None
        self.assertEqual(found.overlapping.tolist(), [[16, 17]])
        self.assertEqual((found.gap.state, found.between), ("overlap", (16, 17)))
        # Along the line of their middles they run 0.3 mm into one another.
        self.assertAlmostEqual(found.gap.distance, -0.3, delta=5e-3)

    def test_one_within_another_of_another_size(self) -> None:
        found = spacing([(RoundBrilliant(6.0).gem, row(1, 0.0)), (RoundBrilliant(1.0).gem, np.array([motion((1.0, 0, 0))]))])
        assert found is not None
        self.assertEqual(found.gap.state, "overlap")

    def test_one_stone_alone_has_no_gap(self) -> None:
        self.assertIsNone(spacing([(RoundBrilliant(2.0).gem, row(1, 0.0))]))
        self.assertIsNone(spacing([]))

    def test_in_a_drag_the_same_is_said(self) -> None:
        gem = RoundBrilliant(2.0).gem
        chance = np.random.default_rng(8)
        places = row(60, 2.3)
        places[:, :3, 3] += chance.normal(size=(60, 3)) * 0.02
        quick, fine = spacing([(gem, places)], False), spacing([(gem, places)], True)
        assert quick is not None and fine is not None
        self.assertAlmostEqual(quick.gap.distance, fine.gap.distance, delta=5e-3)


class InMetal(unittest.TestCase):
    def plate(self, thick: float) -> MeshDistance:
        import trimesh

        mesh = trimesh.creation.box((20, 20, thick))
        return MeshDistance(np.asarray(mesh.vertices) - [0, 0, thick / 2], np.asarray(mesh.faces))

    def test_metal_left_below_the_culet(self) -> None:
        gem = RoundBrilliant(3.0).gem
        low = gem.height[0]
        found = below([(gem, row(2, 4.0))], self.plate(4.0))
        np.testing.assert_allclose(found.left, 4.0 + low, atol=1e-6)
        np.testing.assert_array_equal(found.through, 0)

    def test_a_stone_that_comes_out_below(self) -> None:
        gem = RoundBrilliant(6.0).gem
        found = below([(gem, row(1, 0.0))], self.plate(1.5))
        self.assertAlmostEqual(float(found.through[0]), -gem.height[0] - 1.5, delta=1e-6)
        self.assertTrue(np.isinf(found.left[0]))

    def test_a_stone_that_stands_above_sticks_out_nowhere(self) -> None:
        gem = RoundBrilliant(3.0).gem
        found = below([(gem, np.array([motion((0, 0, 4.0))]))], self.plate(2.0))
        np.testing.assert_array_equal(found.through, 0)
        self.assertTrue(np.isinf(found.left[0]))
