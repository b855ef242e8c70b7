"""Patches, B-rep, certificate and STEP: against the limit surface, and read back by the kernel."""

from __future__ import annotations

import tempfile
import unittest
from pathlib import Path

import numpy as np
from scipy.interpolate import NdBSpline

from tests import sample_cages as cages
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.errors import CoreError, FileFormatError, OpenCageError
from zinc_otter.core.formats.step import facts_of, read_step, write_step
from zinc_otter.core.primitives import box
from zinc_otter.core.primitives.sized import sized_poled_sphere
from zinc_otter.core.solid.brep import build_solid
from zinc_otter.core.solid.certificate import certify
from zinc_otter.core.solid.enclosing import require_closed
from zinc_otter.core.solid.fitting import fit_patches
from zinc_otter.core.solid.patches import (
    all_quads,
    graded_breaks,
    grading_for,
    largest_deviation,
    volume_and_area,
)
from zinc_otter.core.solid.seams import largest_seam
from zinc_otter.core.solid.tessellation import Triangles, split_quads
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.surface.stencils import face_grid

FORMS = {
    "knob": cages.knob(),
    "creased 2.5": cages.rimmed(2.5),
    "creased hard": cages.rimmed(10),
    "n-gons": cages.prism(5),
    "corner": cages.cornered(10, 10),
    "dart": cages.darted(10),
}


def mesh_volume(cage: Cage, level: int) -> float:
    stencils = build_stencils(cage, level)
    points = evaluate(stencils, cage).points
    return Triangles(points, split_quads(points, stencils.quads), 0.0).volume


class Patches(unittest.TestCase):
    def test_breaks_are_graded_and_symmetric(self) -> None:
        np.testing.assert_allclose(graded_breaks(4), [0, 1 / 16, 1 / 8, 1 / 4, 1 / 2, 3 / 4, 7 / 8, 15 / 16, 1])
        for k in (2, 3, 4, 5):
            breaks = graded_breaks(k)
            np.testing.assert_allclose(breaks, 1 - breaks[::-1])
            self.assertEqual(fit_patches(box((1, 1, 1), (1, 1, 1)), k).poles.shape, (6, 2 * k + 3, 2 * k + 3, 3))

    def test_few_faces_get_finer_patches(self) -> None:
        gradings = [grading_for(count) for count in (10, 100, 500, 2000, 20_000)]
        self.assertEqual(gradings, sorted(gradings, reverse=True))

    def test_basis_agrees_with_scipy(self) -> None:
        patches = fit_patches(cages.knob(), 3)
        knots = np.concatenate([[0] * 3, patches.breaks, [1] * 3])
        at = np.linspace(0, 1, 9)
        u, v = np.meshgrid(at, at, indexing="ij")
        for f in (0, 7):
            spline = NdBSpline((knots, knots), patches.poles[f], k=3)
            np.testing.assert_allclose(patches.points(at, at)[f], spline(np.stack([u, v], axis=-1)), atol=1e-12)

    def test_exact_wherever_the_surface_is_regular(self) -> None:
        cage = cages.jittered(box((40, 40, 40), (6, 6, 6)), 0.5)
        t = cage.topology
        # A face is regular where all faces around it meet in vertices of valence 4.
        odd = t.vertex_valence != 4
        near = np.zeros(t.vertex_count, dtype=bool)
        for face in t.face_verts.reshape(-1, 4):
            if odd[face].any():
                near[face] = True
        regular = np.flatnonzero(~near[t.face_verts.reshape(-1, 4)].any(axis=1))
        self.assertGreater(len(regular), 20)
        patches = fit_patches(cage, 3)
        stencils = build_stencils(cage, 4)
        quad, corner = face_grid(4)
        limit = evaluate(stencils, cage).points[stencils.quads.reshape(t.face_count, 256, 4)[:, quad, corner]]
        at = np.linspace(0, 1, 17)
        np.testing.assert_allclose(patches.points(at, at)[regular], limit[regular], atol=1e-11)

    def test_neighbours_share_their_boundary_poles(self) -> None:
        for name, cage in FORMS.items():
            with self.subTest(name):
                patches = fit_patches(cage)
                p = patches.poles
                sides = np.stack([p[:, :, 0], p[:, -1], p[:, ::-1, -1], p[:, 0, ::-1]], axis=1).reshape(-1, p.shape[1], 3)
                pairs = patches.cage.topology.edge_corners
                gap = np.abs(sides[pairs[:, 0]] - sides[pairs[:, 1], ::-1]).max()
                self.assertLess(gap, 1e-11)

    def test_n_gons_are_refined_once_and_keep_the_surface(self) -> None:
        cage = cages.rimmed(2.5)
        self.assertIs(all_quads(cage), cage)
        prism = cages.prism(6)
        quads = all_quads(prism)
        self.assertTrue(quads.topology.all_quads)
        deep, once = evaluate(build_stencils(prism, 3), prism), evaluate(build_stencils(quads, 2), quads)
        np.testing.assert_allclose(np.sort(deep.points, axis=0), np.sort(once.points, axis=0), atol=1e-11)

    def test_flat_corners_lessen_the_seam_angle(self) -> None:
        for grading in (3, 4):
            seam = largest_seam(fit_patches(cages.knob(), grading)).degrees
            self.assertLess(seam, 0.3)
        self.assertLess(largest_seam(fit_patches(cages.knob(), 5)).degrees, 0.1)


class Measures(unittest.TestCase):
    def test_volume_and_area_of_a_box_with_hard_edges(self) -> None:
        plain = box((4, 3, 2), (2, 2, 2), centre=(1000, 0, 0))
        hard = plain.with_sharpness(edges=np.full(plain.topology.edge_count, 10.0), vertices=np.full(26, 10.0))
        volume, area = volume_and_area(fit_patches(hard, 3))
        self.assertAlmostEqual(volume, 24, places=8)
        self.assertAlmostEqual(area, 52, places=8)

    def test_volume_agrees_with_the_mesh_and_with_the_kernel(self) -> None:
        for name, cage in FORMS.items():
            with self.subTest(name):
                patches = fit_patches(cage)
                volume, _ = volume_and_area(patches)
                # A mesh of chords falls short by a quarter at each level; two levels tell where it tends to.
                coarse, fine = (mesh_volume(cage, level) for level in (5, 6))
                mesh = fine + (fine - coarse) / 3
                self.assertLess(abs(volume - fine) / fine, 3e-4)
                self.assertLess(abs(volume - mesh) / mesh, 1e-4)
                kernel = facts_of(build_solid(patches)).volume
                self.assertLess(abs(volume - kernel) / kernel, 1e-6)

    def test_finer_patches_deviate_less(self) -> None:
        deviations = [largest_deviation(fit_patches(cages.knob(), k)) for k in (2, 3, 4)]
        self.assertEqual(deviations, sorted(deviations, reverse=True))
        self.assertLess(deviations[-1], 0.001 * 25)


class Brep(unittest.TestCase):
    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.path = Path(folder.name) / "form.step"

    def test_step_read_back_is_one_valid_closed_solid_of_equal_volume(self) -> None:
        for name, cage in FORMS.items():
            with self.subTest(name):
                patches = fit_patches(cage)
                write_step(build_solid(patches), self.path, name)
                facts = facts_of(read_step(self.path))
                self.assertEqual((facts.solids, facts.closed, facts.valid), (1, True, True))
                self.assertEqual(facts.faces, len(patches.poles))
                self.assertLess(abs(facts.volume - volume_and_area(patches)[0]) / facts.volume, 1e-6)

    def test_it_is_iso_10303_21_in_millimetres(self) -> None:
        write_step(build_solid(fit_patches(cages.knob(), 2)), self.path, "a form")
        text = self.path.read_text()
        self.assertTrue(text.startswith("ISO-10303-21;"))
        self.assertTrue(text.rstrip().endswith("END-ISO-10303-21;"))
        self.assertTrue("AP242_MANAGED_MODEL_BASED_3D_ENGINEERING" in text)
        self.assertIn("SI_UNIT(.MILLI.,.METRE.)", text)
        self.assertEqual(text.count("ADVANCED_FACE("), cages.knob().topology.face_count)
        self.assertEqual(text.count("EDGE_CURVE("), cages.knob().topology.edge_count)
        self.assertIn("MANIFOLD_SOLID_BREP", text)

    def test_two_shells_become_two_solids(self) -> None:
        one, other = box((2, 2, 2), (1, 1, 1)), box((2, 2, 2), (1, 1, 1), (9, 0, 0))
        faces = one.topology.face_verts.reshape(-1, 4).tolist()
        both = Cage.from_faces(np.concatenate([one.positions, other.positions]),
                               faces + [[v + 8 for v in face] for face in faces])  # fmt: skip
        facts = facts_of(build_solid(fit_patches(both, 2)))
        self.assertEqual((facts.solids, facts.faces, facts.valid), (2, 12, True))

    def test_progress_runs_up_to_one(self) -> None:
        seen: list[float] = []
        build_solid(fit_patches(cages.knob(), 2), seen.append)
        self.assertEqual(seen, sorted(seen))
        self.assertEqual(seen[-1], 1.0)

    def test_what_is_no_step_file(self) -> None:
        self.path.write_text("nothing of the kind")
        with self.assertRaises(FileFormatError):
            read_step(self.path)


class Certificate(unittest.TestCase):
    def test_it_states_what_was_measured(self) -> None:
        patches = fit_patches(cages.rimmed(10))
        certificate = certify(patches, True, 1)
        self.assertTrue(certificate.watertight)
        self.assertEqual(certificate.face_count, cages.rimmed(10).topology.face_count)
        self.assertLess(certificate.deviation, 0.01)
        self.assertLess(certificate.seam_angle, 1)
        self.assertEqual(certificate.warnings, ())
        points = evaluate(build_stencils(cages.rimmed(10), 4), cages.rimmed(10)).points
        np.testing.assert_allclose(certificate.size, np.ptp(points, axis=0), rtol=0.01)

    def test_an_open_cage_is_refused_and_its_edges_named(self) -> None:
        cage = cages.tray()
        with self.assertRaisesRegex(OpenCageError, "2 holes") as caught:
            require_closed(cage)
        self.assertEqual(caught.exception.place.edges, tuple(cage.topology.open_edges))
        holed = delete_elements(cages.knob(), Selection.of("face", [0])).cage
        with self.assertRaisesRegex(OpenCageError, "open along 4 edges"):
            require_closed(holed)

    def test_inside_out_is_refused(self) -> None:
        cage = cages.knob()
        flipped = cage.with_positions(cage.positions * [-1, 1, 1])
        with self.assertRaisesRegex(CoreError, "inside out"):
            certify(fit_patches(flipped, 2), True, 1)

    def test_it_warns_of_high_valences(self) -> None:
        steep = sized_poled_sphere(40, (13, 4), "surface")
        warnings = certify(fit_patches(steep), True, 1).warnings
        (high,) = [warning for warning in warnings if "valence above 12" in warning.words]
        # At both poles, and there it can be shown.
        self.assertEqual(len(high.place.points), 2)
        self.assertEqual(certify(fit_patches(cages.prism(7)), True, 1).warnings, ())
