"""A solid that was brought in: where it stands, on both routes, and where it goes with its piece."""

from __future__ import annotations

import tempfile
import unittest
from pathlib import Path

import numpy as np

from tests.core.make.test_followers import hard_block
from tests.kernel import made_in_kernel
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.formats.step import read_step_bytes, write_step
from zinc_otter.core.solid.exact import Block
from zinc_otter.core.solid.followers import Combine, Hollow, ImportedBody
from zinc_otter.core.solid.followers.moving import taken_along
from zinc_otter.core.solid.imported import packed
from zinc_otter.core.solid.kernel.shape import welded
from zinc_otter.core.solid.mesh.route import made_of_triangles
from zinc_otter.core.solid.recipe import Recipe


def bar(size: tuple[float, float, float]) -> bytes:
    """A block about the origin, as the asset of a STEP file."""
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / "bar.step"
        shape = Block((0.0, 0.0, 0.0), size).shape()
        write_step(shape, path, "Bar")
        return packed(path.read_bytes(), *welded(shape))


class Placed(unittest.TestCase):
    def volumes(self, body: ImportedBody, *more: Hollow) -> tuple[float, float]:
        steps = (Combine("f1", way="subtract", body=body), *more)
        recipe = Recipe("Trial", hard_block(), steps, solids={body.asset: bar((2.0, 4.0, 60.0))})
        by_mesh = made_of_triangles(recipe)
        self.assertEqual({note.status for note in by_mesh.notes}, {"done"}, by_mesh.notes)
        return by_mesh.body.volume, made_in_kernel(recipe, by_mesh, imported=read_step_bytes).volume

    def test_it_stands_where_it_was_put_as_it_was_turned(self) -> None:
        for turned, point, taken in (
            ((0, 0, 0), (3, 2, 0), 2 * 4 * 12),
            ((90, 0, 0), (0, 0, 1), 2 * 4 * 16),
            ((0, 90, 0), (0, 0, -3), 2 * 4 * 20),
            # About x first, then about z: from z to y and on to x; lying on its narrow side, half above the top.
            ((90, 0, 90), (0, 0, 6), 2 * 2 * 20),
        ):
            body = ImportedBody("a" * 64, tuple(map(float, point)), tuple(map(float, turned)))  # type: ignore[arg-type]
            for volume in self.volumes(body):
                self.assertAlmostEqual(20 * 16 * 12 - volume, taken, delta=0.01)

    def test_a_hollow_goes_round_it_where_it_stands(self) -> None:
        by_mesh, in_kernel = self.volumes(ImportedBody("a" * 64, (4.0, 0.0, 0.0), (90.0, 0.0, 0.0)), Hollow("h", wall=1.0))
        self.assertAlmostEqual(by_mesh / in_kernel, 1, delta=0.02)

    def test_it_goes_with_its_piece_but_is_never_bent(self) -> None:
        body = ImportedBody("a" * 64, (1.0, 2.0, 3.0), (20.0, -50.0, 110.0))
        motion = np.eye(4)
        motion[:3, :3] = ImportedBody("", turned=(30.0, 40.0, 50.0)).place[:3, :3]
        motion[:3, 3] = (7, -8, 9)
        taken = taken_along(Combine("f1", body=body), motion)
        assert isinstance(taken.body, ImportedBody)
        np.testing.assert_allclose(taken.body.place, motion @ body.place, atol=1e-9)
        for kept in (np.diag([-1.0, 1, 1, 1]), np.diag([2.0, 2, 2, 1])):
            self.assertEqual(taken_along(Combine("f1", body=body), kept).body, body)

    def test_numbers_that_lie_nowhere_are_refused(self) -> None:
        with self.assertRaises(BadNumberError):
            Combine("f1", body=ImportedBody("a" * 64, (np.nan, 0.0, 0.0)))
