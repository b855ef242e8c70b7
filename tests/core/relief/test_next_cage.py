"""The first level made the cage: the same surface to the last digits, with all of its relief, on halves and creases too."""

from __future__ import annotations

import unittest

import numpy as np

from tests.core.relief.forms import block, ring, rough, sculpted, sheet
from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.plane import plane_at
from zinc_otter.core.cage.symmetry import mirror
from zinc_otter.core.cage.symmetry.assembling import following
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.relief.next_cage import next_cage
from zinc_otter.core.surface import build_stencils, evaluate


def sorted_points(cage: Cage, level: int) -> Floats:
    points = evaluate(build_stencils(cage, level), cage).points
    return np.asarray(points[np.lexsort(np.round(points, 4).T)])


class NextCage(unittest.TestCase):
    def test_the_surface_stays(self) -> None:
        soft = block().with_sharpness(edges=np.where(block().edge_sharpness > 0, 2.5, 0.0))
        for name, cage in {"sheet": sheet(3), "block": block(), "soft creases": soft, "ring": ring()}.items():
            with self.subTest(name):
                for carved in (cage, rough(cage, 1), rough(cage, 3)):
                    done, _ = next_cage(carved)
                    np.testing.assert_allclose(sorted_points(done, 3), sorted_points(carved, 4), atol=2e-4)
                    self.assertEqual(done.topology.face_count, cage.topology.corner_count)
                    self.assertEqual(
                        0 if done.relief is None else done.relief.depth,
                        max((carved.relief.depth if carved.relief else 0) - 1, 0),
                    )

    def test_points_of_creases_and_open_borders_lie_where_they_lay(self) -> None:
        cage = rough(sheet(3), 2)
        done, _ = next_cage(cage)
        one, other = evaluate(build_stencils(cage, 4), cage), evaluate(build_stencils(done, 3), done)
        np.testing.assert_allclose(np.sort(one.points[:, 0]), np.sort(other.points[:, 0]), atol=1e-6)

    def test_symmetry_and_face_sets_come_along(self) -> None:
        group = mirror(plane_at((0, 0, 0), (1, 0, 0)))
        cage, symmetry = following(ring(), group, np.array([100.0, 1, 1]))
        cage = Cage(cage.positions, cage.topology, cage.edge_sharpness, cage.vertex_sharpness, {"band": [0, 1, 2]})
        done, after = next_cage(cage, symmetry)
        assert after is not None
        self.assertLess(after.strays(done.positions), 1e-9)
        self.assertEqual(len(done.face_sets["band"]), 12)
        finer, again = next_cage(done, after)
        assert again is not None
        self.assertLess(again.strays(finer.positions), 1e-9)

    def test_a_mask_goes_along(self) -> None:
        cage = sculpted(ring(), [[26, 0, 0]], brush="mask", amount=1.0, level=3, radius=6.0)
        done, _ = next_cage(cage)
        assert (
            cage.relief is not None
            and done.relief is not None
            and done.relief.mask is not None
            and cage.relief.mask is not None
        )
        np.testing.assert_allclose(np.sort(done.relief.mask), np.sort(cage.relief.mask))
        at = evaluate(build_stencils(done, 2), done).points[done.relief.mask > 0.9]
        self.assertLess(np.linalg.norm(at - [26, 0, 0], axis=1).max(), 6.0)
