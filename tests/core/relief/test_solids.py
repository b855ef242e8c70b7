"""Relief in bodies by triangles and behind followers; the kernel's body is plain."""

from __future__ import annotations

import json
import tempfile
import unittest
from pathlib import Path

import numpy as np
from scipy.spatial import cKDTree

from tests.core.relief.forms import block, rough, sculpted, sheet
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.primitives import box, patched_sphere, torus
from zinc_otter.core.relief.in_patches import strays_from_relief, with_levels
from zinc_otter.core.solid.certificate import read_certificate
from zinc_otter.core.solid.followers.hollow import Hollow
from zinc_otter.core.solid.followers.thickening import Thickened
from zinc_otter.core.solid.followers.trim import Trim
from zinc_otter.core.solid.mesh.route import made_of_triangles, triangles_of
from zinc_otter.core.solid.recipe import Recipe, as_solid
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.jobs.solid_work import CERTIFICATE, make_solid


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


class AsPatches(unittest.TestCase):
    """Relief in the kernel's solid: its first levels as patches, what is finer folded down into them."""

    def test_the_more_levels_the_nearer_and_it_is_told_how_near(self) -> None:
        cage = sculpted(torus((40, 12), (12, 6)), WAY, radius=12.0, amount=2.0)
        full = evaluate(build_stencils(cage, 4), cage).points
        strayed = []
        for levels in (0, 1, 2):
            made = with_levels(cage, levels)
            self.assertEqual(made.topology.face_count, 72 * 4**levels)
            dense = evaluate(build_stencils(made, 5 - levels), made).points
            # By the nearest of many points, which shares nothing with the search along normals.
            strayed.append(float(cKDTree(dense).query(full)[0].max()))
            self.assertAlmostEqual(strays_from_relief(cage, made), strayed[-1], delta=0.3)
            self.assertLessEqual(strays_from_relief(cage, made), strayed[-1] + 1e-6)
        self.assertGreater(strayed[0], 1.8)
        self.assertLess(strays_from_relief(cage, with_levels(cage, 1)), 0.15)
        self.assertLess(strays_from_relief(cage, with_levels(cage, 2)), 0.03)

    def test_creases_and_open_sheets_keep_what_they_are(self) -> None:
        for form in (block(), sheet(4)):
            whole = rough(form, 3, height=0.3)
            made = with_levels(whole, 1)
            self.assertEqual(made.topology.is_closed, form.topology.is_closed)
            self.assertEqual((made.edge_sharpness >= 10).sum(), 2 * (form.edge_sharpness >= 10).sum())
            self.assertLess(strays_from_relief(whole, made), strays_from_relief(whole, form) + 0.05)

    def test_in_step_it_has_the_volume_of_the_triangles(self) -> None:
        cage = sculpted(torus((40, 12), (12, 6)), WAY, radius=12.0, amount=2.0)
        recipe = Recipe("Ring", cage, levels=1)
        with tempfile.TemporaryDirectory() as folder:
            make_solid(lambda *_: None, recipe, Path(folder))
            certificate = read_certificate(json.loads((Path(folder) / CERTIFICATE).read_text("utf-8")))
        self.assertEqual((certificate.faults, certificate.face_count), ((), 288))
        by_triangles, _ = triangles_of(recipe, 0.01)
        plain, _ = triangles_of(Recipe("Ring", cage.plain), 0.01)
        self.assertAlmostEqual(certificate.volume / by_triangles.volume, 1, delta=1e-3)
        self.assertGreater(abs(plain.volume / by_triangles.volume - 1), 5e-3)
        told = next(one.words for one in certificate.warnings if "relief" in one.words)
        self.assertIn("the first level is in this solid", told)
        self.assertIn("by at most 0.09", told)

    def test_recipes_that_hold_more_or_less_are_others(self) -> None:
        cage = bumped()
        digests = {Recipe("Bead", cage, levels=k).digest for k in (0, 1, 2)}
        self.assertEqual(len(digests), 3)
        self.assertEqual(Recipe("Bead", cage.plain, levels=2).digest, Recipe("Bead", cage.plain).digest)


WAY = [[float(52 * np.cos(a)), float(52 * np.sin(a)), 0.0] for a in np.linspace(-0.6, 0.6, 30)]
