"""Triangles that were made once are kept, and only the latest."""

from __future__ import annotations

import os
import tempfile
import unittest
from pathlib import Path

import numpy as np

from tests import sample_cages as cages
from zinc_otter.core.errors import UnsoundBodyError
from zinc_otter.core.formats.surfaces import Appearance
from zinc_otter.core.primitives import box
from zinc_otter.core.solid.followers import Fillet, Trim
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.jobs.triangle_work import Fineness, count_triangles, write_file


def quietly(_: float, __: str) -> None:
    """Progress that nobody looks at."""


class KeptTriangles(unittest.TestCase):
    def setUp(self) -> None:
        holder = tempfile.TemporaryDirectory()
        self.addCleanup(holder.cleanup)
        self.fineness = Fineness(0.2, 180.0, Path(holder.name) / "triangles")
        self.recipe = Recipe("Knob", cages.knob(), (Trim("f1", point=(0, 0, 0), normal=(0, 0, 1)),))

    def test_they_are_counted_once_made(self) -> None:
        self.assertIsNone(self.fineness.counted(self.recipe))
        count_triangles(quietly, self.recipe, self.fineness)
        counted = self.fineness.counted(self.recipe)
        assert counted is not None
        with np.load(self.fineness.path(self.recipe)) as kept:
            self.assertEqual(counted[0], len(kept["triangles"]))
        self.assertLessEqual(counted[1], 0.2)
        finer = Fineness(0.1, 180.0, self.fineness.folder)
        self.assertIsNone(finer.counted(self.recipe))
        self.assertIsNone(self.fineness.counted(Recipe("Knob", cages.knob())))

    def test_they_are_not_made_twice(self) -> None:
        count_triangles(quietly, self.recipe, self.fineness)
        path = self.fineness.path(self.recipe)
        os.utime(path, (1, 1))
        count_triangles(quietly, self.recipe, self.fineness)
        self.assertEqual(path.stat().st_mtime, 1)

    def test_what_is_incomplete_is_written_only_if_it_is_asked_for_so(self) -> None:
        waiting = Recipe("Knob", cages.knob(), (Fillet("f1", between=("f8", "f9"), radius=1.0),))
        path = self.fineness.folder / "knob.stl"
        for _ in range(2):
            # The second time from what was kept, which remembers what is the matter.
            with self.assertRaisesRegex(UnsoundBodyError, "^Incomplete. Fillet waits"):
                write_file(quietly, waiting, "stl", self.fineness, Appearance("Knob"), path)
            self.assertFalse(path.exists())
        said: list[str] = []
        write_file(lambda _, words: said.append(words), waiting, "stl", self.fineness, Appearance("Knob"), path, anyway=True)
        self.assertTrue(path.exists())
        self.assertRegex(said[-1], "^Incomplete. Fillet waits")

    def test_a_form_that_crosses_itself_is_not_written_unasked(self) -> None:
        block = box((20, 20, 20), (2, 2, 2))
        points = block.positions.copy()
        points[int(np.argmax(points @ [0, 0, 1] - np.abs(points @ [1, 1, 0])))] += [3, 2, -45]
        crossing = Recipe("Spike", block.with_positions(points))
        with self.assertRaisesRegex(UnsoundBodyError, "runs through itself") as refused:
            write_file(quietly, crossing, "stl", self.fineness, Appearance("Spike"), self.fineness.folder / "spike.stl")
        self.assertTrue(refused.exception.place.points)
