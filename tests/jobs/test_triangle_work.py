"""Triangles that were made once are kept, and only the latest."""

from __future__ import annotations

import os
import tempfile
import unittest
from pathlib import Path

import numpy as np

from tests import sample_cages as cages
from zinc_otter.core.errors import CoreError
from zinc_otter.core.solid.followers import Fillet, Trim
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.jobs import triangle_work
from zinc_otter.jobs.triangle_work import Fineness, count_triangles


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

    def test_only_the_latest_are_kept(self) -> None:
        self.fineness.folder.mkdir()
        for i in range(triangle_work.KEPT + 3):
            old = self.fineness.folder / f"{i:032x}.npz"
            old.write_bytes(b"")
            os.utime(old, (i + 1, i + 1))
        count_triangles(quietly, self.recipe, self.fineness)
        left = sorted(self.fineness.folder.iterdir())
        self.assertEqual(len(left), triangle_work.KEPT)
        self.assertIn(self.fineness.path(self.recipe), left)
        self.assertNotIn(self.fineness.folder / f"{0:032x}.npz", left)

    def test_what_cannot_be_made_is_not_kept(self) -> None:
        waiting = Recipe("Knob", cages.knob(), (Fillet("f1", between=("f8", "f9"), radius=1.0),))
        with self.assertRaises(CoreError):
            count_triangles(quietly, waiting, self.fineness)
        self.assertFalse(self.fineness.folder.exists())
