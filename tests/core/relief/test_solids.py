"""Relief in bodies by triangles and behind followers; the kernel's body is plain."""

from __future__ import annotations

import unittest

import numpy as np

from tests.core.relief.forms import sculpted
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.primitives import box, patched_sphere
from zinc_otter.core.solid.followers.hollow import Hollow
from zinc_otter.core.solid.followers.thickening import Thickened
from zinc_otter.core.solid.followers.trim import Trim
from zinc_otter.core.solid.mesh.route import made_of_triangles, triangles_of
from zinc_otter.core.solid.recipe import Recipe, as_solid


def bumped(height: float = 2.0) -> Cage:
    return sculpted(patched_sphere(40, 4), [[0, 0, 20]], radius=8.0, amount=height, level=3)


class Bodies(unittest.TestCase):
    def test_hollowed_and_trimmed_the_relief_is_on_the_outside(self) -> None:
        followers = (Hollow("f1", wall=2.0), Trim("f2", point=(0, 0, -8), normal=(0, 0, -1)))
        for cage, extra in ((bumped(), 2.0), (patched_sphere(40, 4), 0.0)):
            made = made_of_triangles(Recipe("Bead", cage, followers))
            self.assertEqual([note.status for note in made.notes], ["done", "done"])
            points = made.body.mesh.points
            if extra:
                bump, low = float(points[:, 2].max()), float(points[:, 2].min())
            else:
                self.assertAlmostEqual(bump - float(points[:, 2].max()), 2.0, delta=0.1)
                self.assertAlmostEqual(low, float(points[:, 2].min()), delta=1e-6)

    def test_files_are_never_coarser_than_the_relief(self) -> None:
        found, _ = triangles_of(Recipe("Bead", bumped()), 5.0)
        plain, _ = triangles_of(Recipe("Bead", bumped().plain), 5.0)
        self.assertEqual(len(found.triangles), len(bumped().plain.topology.face_verts) // 4 * 4**3 * 2)
        self.assertLess(len(plain.triangles), len(found.triangles))
        self.assertGreater(found.volume, plain.volume)

    def test_what_the_kernel_makes_is_plain(self) -> None:
        recipe = Recipe("Bead", bumped(), (), {"p2": Recipe("Other", bumped())})
        self.assertTrue(recipe.has_relief)
        self.assertFalse(recipe.plain.has_relief)
        self.assertNotEqual(recipe.digest, recipe.plain.digest)
        plain = recipe.plain
        self.assertIs(plain.plain, plain)

    def test_a_sheet_that_is_thickened_keeps_its_relief(self) -> None:
        dome = box((40, 40, 20), (4, 4, 2))
        middles = dome.positions[dome.topology.face_verts.reshape(-1, 4)].mean(axis=1)
        sheet = delete_elements(dome, Selection.of("face", np.flatnonzero(middles[:, 2] < -9))).cage
        carved = sculpted(sheet, [[0, 0, 10]], radius=6.0, amount=1.5, level=3)
        flat, _, _ = as_solid(Recipe("Dome", sheet, (Thickened("f1", distance=2.0),)))
        solid, _, _ = as_solid(Recipe("Dome", carved, (Thickened("f1", distance=2.0),)))
        self.assertIsNotNone(solid.relief)
        one, other = (made_of_triangles(Recipe("Dome", cage)).body.mesh.points[:, 2].max() for cage in (solid, flat))
        self.assertAlmostEqual(float(one - other), 1.5, delta=0.2)
