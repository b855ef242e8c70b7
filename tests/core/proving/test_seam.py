"""Mirror images that meet in their plane: by the angle of roofs, halves of balls, and what strays from the plane."""

from __future__ import annotations

import unittest

import numpy as np

from tests.core.proving.test_proofs import ground
from tests.studio.test_growing import after
from zinc_otter.core.cage import Cage
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives import plane
from zinc_otter.core.primitives.placed import placed
from zinc_otter.core.primitives.sized import sized_patched_sphere, sized_torus
from zinc_otter.core.proving.base import Verdict
from zinc_otter.core.proving.seam import SeamEven
from zinc_otter.studio.design import Design


def judged(cage: Cage, **own: object) -> Verdict:
    return SeamEven(**own).judge(ground(cage, 2))  # type: ignore[arg-type]


def leaning(degrees: float) -> Cage:
    """A sheet over x of 0 to 20 mm that rises by so many degrees away from the plane x = 0, where its border lies."""
    sheet = plane((20, 30), (4, 3))
    points = sheet.positions + [10, 0, 0]
    points[:, 2] += np.tan(np.radians(degrees)) * points[:, 0]
    return sheet.with_positions(points)


class Seams(unittest.TestCase):
    def test_a_roof_meets_at_twice_its_slope(self) -> None:
        for degrees in (0.2, 3, 30):
            verdict = judged(leaning(degrees), most=1.0)
            self.assertAlmostEqual(verdict.figure or 0, 2 * degrees, delta=1e-9)
            self.assertEqual(verdict.holds, "holds" if 2 * degrees <= 1 else "fails")
            np.testing.assert_allclose(np.array(verdict.place.points)[:, 0], 0, atol=1e-9)

    def test_wholes_go_on_evenly_and_an_open_half_once_it_is_mirrored(self) -> None:
        for whole, side in ((sized_patched_sphere(40, 4, "surface"), "x"), (sized_torus((40, 12), (8, 8), "surface"), "y")):
            self.assertLess(judged(whole, axis=side).figure or 0, 1e-6)
            half = placed(whole, "z", (0, 0, 0), side, False)
            verdict = judged(half, axis=side)
            self.assertEqual(verdict.holds, "fails")
            self.assertIn("with a live mirror, or welded to its image, the two become one smooth surface", verdict.words)
            design, piece = Design().with_new_piece("Half", half)
            normal = [float(side == axis) for axis in "xyz"]
            mirrored = after(design, {"kind": "mirror", "piece": piece.id, "way": "open", "normal": normal})
            joined = mirrored.piece(piece.id).cage
            self.assertTrue(joined.topology.is_closed)
            self.assertGreater(joined.topology.face_count, half.topology.face_count)
            self.assertLess(judged(joined, axis=side).figure or 0, 1e-6)

    def test_a_half_cut_beside_its_middle_does_not(self) -> None:
        # A ball of 20 mm cut 10 mm from its middle looks out of the plane by 30 degrees there.
        ball = sized_patched_sphere(40, 8, "surface")
        moved = ball.with_positions(ball.positions + [10, 0, 0])
        verdict = judged(moved)
        self.assertEqual(verdict.holds, "fails")
        self.assertAlmostEqual(verdict.figure or 0, 60, delta=1)

    def test_a_hard_crease_in_the_plane_counts_and_a_smooth_one_does_not(self) -> None:
        roof = leaning(15)
        image = roof.positions * [-1, 1, 1]
        t = roof.topology
        faces = [t.face_verts[a:b].tolist() for a, b in zip(t.face_offsets[:-1], t.face_offsets[1:], strict=True)]
        on = np.flatnonzero(np.abs(roof.positions[:, 0]) < 1e-9)
        number = np.arange(len(image)) + len(image)
        number[on] = on
        kept = np.setdiff1d(np.arange(len(image)), on)
        renumber = np.full(2 * len(image), -1)
        renumber[: len(image)] = np.arange(len(image))
        renumber[number[kept]] = len(image) + np.arange(len(kept))
        mirrored = [renumber[number[face]][::-1].tolist() for face in faces]
        whole = Cage.from_faces(np.vstack([roof.positions, image[kept]]), [*faces, *mirrored])
        self.assertLess(judged(whole).figure or 0, 1e-6)
        ends = np.abs(whole.positions[whole.topology.edge_verts, 0]).max(axis=1) < 1e-9
        hard = whole.with_sharpness(edges=np.where(ends, 10.0, 0.0))
        self.assertAlmostEqual(judged(hard).figure or 0, 30, delta=1e-6)

    def test_a_border_that_strays_leaves_a_gap(self) -> None:
        sheet = leaning(0)
        points = sheet.positions.copy()
        row = np.flatnonzero(np.abs(points[:, 0]) < 1e-9)
        points[row[len(row) // 2], 0] = 0.4
        verdict = judged(sheet.with_positions(points))
        self.assertEqual(verdict.holds, "fails")
        self.assertRegex(verdict.words, r"Its border strays from the plane by up to 0\.[12]\d* mm: a gap is left there\.$")

    def test_nothing_there_and_wrong_numbers(self) -> None:
        self.assertEqual(judged(leaning(5), at=-50.0).holds, "unknown")
        with self.assertRaisesRegex(BadNumberError, "above 0 and up to 180"):
            SeamEven(most=0)
        # Rims that come to the plane are no seam: across y all of them end there, and none runs along it.
        self.assertEqual(judged(leaning(5), axis="y").holds, "unknown")
