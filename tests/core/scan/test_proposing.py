"""Quads proposed for scans: sound, of the form's own genus, all quads, mirrored where asked, and near after settling."""

from __future__ import annotations

import unittest

import numpy as np

from tests.core.scan.forms import ball_points, hard_box, pierced_plate, prism
from tests.sample_cages import jittered
from zinc_otter.core.cage import HARD, Cage, Selection
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.primitives import box, patched_sphere, torus
from zinc_otter.core.primitives.sized import sized_cylinder
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proof.features import LineDistance
from zinc_otter.core.scan.cleaning import rims
from zinc_otter.core.scan.proposing import Proposal, propose
from zinc_otter.core.scan.proposing.directions import directions
from zinc_otter.core.scan.proposing.prepared import prepared
from zinc_otter.core.scan.samples import samples_of
from zinc_otter.core.scan.scanner import Scanning, scanned
from zinc_otter.core.scan.settling import settle


def scan_of(cage: Cage, **how) -> MeshDistance:
    made = scanned(cage, Scanning(**{"spacing": 0.9, "noise": 0.05, "looks": "around", "missing": 5, **how}))
    return MeshDistance(made.vertices, made.triangles)


def euler(cage: Cage) -> int:
    t = cage.topology
    return t.vertex_count - t.edge_count + t.face_count


class OnForms(unittest.TestCase):
    def check(self, found: Proposal, scan: MeshDistance, count: int, genus: int) -> None:
        t = found.cage.topology
        self.assertTrue((t.face_sizes == 4).all())
        self.assertTrue(t.is_closed)
        self.assertEqual(euler(found.cage), 2 - 2 * genus)
        self.assertLess(abs(np.log(t.face_count / count)), 0.35)
        done = settle(found.cage, Selection.of("face", range(t.face_count)), samples_of(scan, 8_000))
        size = float(np.linalg.norm(np.ptp(scan.vertices, axis=0)))
        self.assertLess(done.after[0], 0.005 * size)
        # In fact nearer to the noise than to that.
        self.assertLess(done.after[0], 0.2)

    def test_forms_of_genus_0_and_2(self) -> None:
        forms = {
            "lump": (jittered(box((60, 40, 30), (3, 2, 2)), 4.0, 11), 0), "pierced plate": (pierced_plate(), 2),
        }  # fmt: skip
        for name, (form, genus) in forms.items():
            with self.subTest(name):
                scan = scan_of(form)
                self.check(propose(scan, 300), scan, 300, genus)

    def test_a_ball_gets_the_eight_irregular_vertices_that_it_must_have(self) -> None:
        self.assertEqual(propose(scan_of(patched_sphere(60, 3)), 100).irregular, 8)

    def test_few_are_enough_where_few_are_asked_for(self) -> None:
        found = propose(scan_of(patched_sphere(60, 3)), 24)
        self.assertLessEqual(found.cage.topology.face_count, 48)


class AlongSharpLines(unittest.TestCase):
    def check(self, form: Cage, lines: np.ndarray, count: int, half: int | None = None, noise: float = 0.05) -> Proposal:
        scan = scan_of(form, spacing=0.7, noise=noise, missing=0)
        found = propose(scan, count, half)
        t = found.cage.topology
        self.assertTrue(t.is_closed and (t.face_sizes == 4).all())
        self.assertEqual(euler(found.cage), 2)
        _, done = found.settled(samples_of(scan, 8_000))
        cage = done.cage
        hard = cage.edge_sharpness == HARD
        ends = cage.positions[t.edge_verts[hard]]
        # They run along the lines, and along all of them.
        self.assertLess(LineDistance(lines)(ends.reshape(-1, 3)).max(), 0.4)
        long = np.linalg.norm(ends[:, 0] - ends[:, 1], axis=1).sum()
        self.assertAlmostEqual(long / np.linalg.norm(lines[:, 0] - lines[:, 1], axis=1).sum(), 1, delta=0.02)
        # Smooth, the corners would be rounded off.
        smooth = propose(scan, count, half, sharp=False).settled(samples_of(scan, 8_000))[1]
        self.assertLess(done.after[1], 0.6 * smooth.after[1])
        return found

    def test_a_prism(self) -> None:
        turned = prism(6)
        self.check(turned, turned.positions[turned.topology.edge_verts], 200)

    def test_a_mirrored_half(self) -> None:
        form, lines = hard_box()
        found = self.check(form, lines, 200, 0)
        assert found.symmetry is not None and found.part is not None
        self.assertEqual(found.symmetry.strays(found.cage.positions), 0.0)
        self.assertGreater(np.count_nonzero(found.part.edge_sharpness), 0)

    def test_the_rims_of_a_cylinder_close(self) -> None:
        t = np.linspace(0, 2 * np.pi, 200)
        rings = [np.column_stack([15 * np.cos(t), 15 * np.sin(t), np.full(200, z)]) for z in (-20, 20)]
        lines = np.concatenate([np.stack([ring[:-1], ring[1:]], axis=1) for ring in rings])
        form = sized_cylinder((30, 40), (12, 3), "both", 0.3, HARD, "surface")
        scan = scan_of(form, spacing=0.7, missing=0)
        found = propose(scan, 200)
        t = found.cage.topology
        hard = found.cage.edge_sharpness == HARD
        self.assertLess(LineDistance(lines)(found.cage.positions[t.edge_verts[hard]].reshape(-1, 3)).max(), 0.7)
        self.assertEqual(np.unique(np.bincount(t.edge_verts[hard].ravel())).tolist(), [0, 2])

    def test_a_round_form_has_none(self) -> None:
        self.assertFalse(propose(scan_of(patched_sphere(60, 3)), 100).cage.edge_sharpness.any())


class Halves(unittest.TestCase):
    def test_a_mirrored_one_is_its_own_image_to_the_last_bit(self) -> None:
        found = propose(scan_of(torus((70, 24), (12, 8)), missing=0), 160, 0)
        assert found.symmetry is not None and found.part is not None
        self.assertEqual(found.symmetry.strays(found.cage.positions), 0.0)
        self.assertTrue(found.cage.topology.is_closed)
        self.assertEqual(euler(found.cage), 0)
        self.assertEqual(found.cage.topology.face_count, 2 * found.part.topology.face_count)
        self.assertGreaterEqual(found.part.positions[:, 0].min(), 0.0)

    def test_an_open_scan_gets_an_open_cage_along_its_rim(self) -> None:
        scan = scan_of(patched_sphere(60, 3), looks="turntable", grazing=60, missing=0)
        found = propose(scan, 160)
        t = found.cage.topology
        self.assertFalse(t.is_closed)
        self.assertEqual(euler(found.cage), 1)
        rim = found.cage.positions[t.on_border]
        # Along the circle up to which the scanner saw it.
        self.assertLess(np.ptp(rim[:, 2]), 3.5)
        self.assertLess(rim[:, 2].max(), scan.vertices[:, 2].min() + 3.5)


class Preparing(unittest.TestCase):
    def test_dust_is_left_out_and_small_holes_are_closed(self) -> None:
        vertices, triangles = ball_points(20, 0.0)
        dust = vertices[:3] * 0.01 + [40, 0, 0]
        more = [[len(vertices) + k for k in range(3)]]
        v, f = prepared(np.concatenate([vertices, dust]), np.concatenate([triangles, more]), 4_000, 3.0)
        self.assertEqual(rims(f), [])
        self.assertLess(abs(np.linalg.norm(v, axis=1) - 20).max(), 0.3)

    def test_no_edge_is_longer_than_asked(self) -> None:
        cube = box((40, 40, 40), (1, 1, 1))
        quads = cube.topology.face_verts.reshape(-1, 4)
        v, f = prepared(cube.positions, np.concatenate([quads[:, [0, 1, 2]], quads[:, [0, 2, 3]]]), 6_000, 4.0)
        ends = v[np.concatenate([f[:, [0, 1]], f[:, [1, 2]], f[:, [2, 0]]])]
        self.assertLess(np.linalg.norm(ends[:, 0] - ends[:, 1], axis=1).max(), 4.3)

    def test_directions_go_along_the_bends_of_a_torus(self) -> None:
        from tests.core.scan.forms import torus_points

        v, f = torus_points(30, 9, 0.0, rows=30)
        crosses = directions(v, f)
        ring = np.column_stack([-v[:, 1], v[:, 0], 0 * v[:, 0]])
        ring /= np.linalg.norm(ring, axis=1, keepdims=True)
        aligned = np.abs((crosses.along * ring).sum(axis=1))
        off = np.minimum(np.arccos(np.clip(aligned, 0, 1)), np.arcsin(np.clip(aligned, 0, 1)))
        self.assertLess(np.degrees(off).max(), 8)
        self.assertLess(np.degrees(off).mean(), 4)


class Refused(unittest.TestCase):
    def test_what_cannot_be_proposed(self) -> None:
        scan = scan_of(patched_sphere(60, 3), spacing=3)
        for count in (3, 10**6):
            with self.assertRaisesRegex(BadNumberError, "24 to 5,000"):
                propose(scan, count)
        aside = MeshDistance(scan.vertices + [200, 0, 0], scan.triangles)
        with self.assertRaisesRegex(BadSelectionError, "does not lie across the plane x = 0"):
            propose(aside, 100, 0)
        crumbs = MeshDistance(scan.vertices, scan.triangles[:3])
        with self.assertRaisesRegex(BadSelectionError, "Nothing of this scan"):
            propose(crumbs, 100)
