"""The knife, against an independent library's trim by a plane; through some faces only; open, filled, one side kept."""

from __future__ import annotations

import unittest

import manifold3d
import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.core.refine.shapes import everything, tube
from tests.sample_cages import jittered, knob
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.knife import knife
from zinc_otter.core.cage.plane import plane_at
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.cage.shells import shell_volumes
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.primitives import box, plane


def triangulated(cage: Cage) -> Cage:
    """Every face parted into triangles from its first corner, so that it is flat."""
    t = cage.topology
    faces = []
    for f in range(t.face_count):
        ring = t.face_verts[t.face_offsets[f] : t.face_offsets[f + 1]].tolist()
        faces += [[ring[0], ring[k], ring[k + 1]] for k in range(1, len(ring) - 1)]
    return Cage.from_faces(cage.positions, faces)


def as_solid(cage: Cage) -> manifold3d.Manifold:
    flat = triangulated(cage)
    triangles = flat.topology.face_verts.reshape(-1, 3).astype(np.uint32)
    return manifold3d.Manifold(manifold3d.Mesh(flat.positions.astype(np.float32), triangles))


class Volumes(unittest.TestCase):
    @settings(deadline=None, max_examples=25, derandomize=True)
    @given(st.integers(0, 10**6))
    def test_against_trim_by_plane(self, seed: int) -> None:
        # manifold3d's trim_by_plane as the independent measure.
        rng = np.random.default_rng(seed)
        cage = triangulated(knob())
        normal = rng.normal(size=3)
        normal /= np.linalg.norm(normal)
        point = cage.positions.mean(axis=0) + rng.uniform(-3, 3, 3)
        solid = as_solid(cage)
        for keep, sign in (("positive", 1), ("negative", -1)):
            done = knife(cage, plane_at(point, normal), keep=keep, leave="filled")  # type: ignore[arg-type]
            self.assertTrue(done.cage.topology.is_closed)
            expected = solid.trim_by_plane(tuple(sign * normal), float(sign * point @ normal)).volume()
            self.assertAlmostEqual(shell_volumes(done.cage).sum() / expected, 1, delta=1e-4)

    def test_both_sides_filled_add_up(self) -> None:
        cage = box((20, 16, 12), (3, 3, 3))
        for cap in ("face", "quads"):
            done = knife(cage, plane_at((1, 0.5, 0.2), (1, 0.3, 0.2)), leave="filled", cap=cap)  # type: ignore[arg-type]
            self.assertTrue(done.cage.topology.is_closed)
            self.assertEqual(len(shell_volumes(done.cage)), 2)
            self.assertAlmostEqual(shell_volumes(done.cage).sum(), 20 * 16 * 12)
            if cap == "quads":
                self.assertEqual(np.count_nonzero(done.cage.topology.face_sizes > 5), 0)


class Lines(unittest.TestCase):
    def test_cut_points_become_vertices_in_the_plane(self) -> None:
        cage = jittered(tube(8), 0.5)
        cut = plane_at((0, 0, 4), (0.2, 0.1, 1))
        done = knife(cage, cut)
        on = np.unique(done.cage.topology.edge_verts[done.selected.ids])
        self.assertLess(np.abs(cut.heights(done.cage.positions[on])).max(), 1e-9)
        self.assertEqual(len(done.selected), len(on))
        self.assertEqual(done.cage.topology.euler_characteristic, cage.topology.euler_characteristic)

    def test_vertices_near_the_line_are_used(self) -> None:
        cage = tube(8)
        cut = plane_at((0, 0, 0.4), (0, 0, 1))
        through = knife(cage, cut, near=0.5)
        # The loop at height 0 is drawn up into the plane: nothing is parted.
        self.assertEqual(through.cage.topology.face_count, cage.topology.face_count)
        moved = np.unique(through.cage.topology.edge_verts[through.selected.ids])
        np.testing.assert_allclose(through.cage.positions[moved][:, 2], 0.4)
        self.assertEqual(knife(cage, cut, near=0.3).cage.topology.face_count, cage.topology.face_count + 8)

    def test_through_picked_faces_only(self) -> None:
        sheet = plane((40, 40), (4, 4))
        faces = Selection.of("face", np.flatnonzero(middles_of(sheet, "face")[:, 0] < 0))
        done = knife(sheet, plane_at((0, 3, 0), (0, 1, 0)), faces=faces)
        self.assertEqual(done.cage.topology.face_count, 18)
        self.assertEqual(len(done.selected), 2)
        # The neighbour that was not meant has a corner more.
        self.assertEqual(np.count_nonzero(done.cage.topology.face_sizes == 5), 1)

    def test_a_slit(self) -> None:
        sheet = plane((40, 40), (4, 4))
        x, y, _ = middles_of(sheet, "face").T
        faces = Selection.of("face", np.flatnonzero((np.abs(x) < 10) & (y > 0) & (y < 10)))
        done = knife(sheet, plane_at((0, 3, 0), (0, 1, 0)), faces=faces, leave="open")
        t = done.cage.topology
        self.assertEqual(len(done.selected), 4)
        self.assertEqual(len(t.open_edges), 16 + 4)
        self.assertEqual(t.euler_characteristic, 0)

    def test_the_cut_is_creased_if_wished_and_old_creases_stay(self) -> None:
        cage = tube(8)
        cage = cage.with_sharpness(edges=np.full(cage.topology.edge_count, 2.0))
        done = knife(cage, plane_at((0, 0, 4), (0, 0, 1)), sharpness=10.0)
        self.assertTrue((done.cage.edge_sharpness[done.selected.ids] == 10).all())
        others = np.setdiff1d(np.arange(done.cage.topology.edge_count), done.selected.ids)
        self.assertTrue((done.cage.edge_sharpness[others] == 2).all())

    def test_sides(self) -> None:
        cage = tube(8)
        cut = plane_at((0, 0, 4), (0, 0, 1))
        for keep, low, high in (("positive", 4, 30), ("negative", -30, 4)):
            kept = knife(cage, cut, keep=keep).cage.positions[:, 2]  # type: ignore[arg-type]
            self.assertAlmostEqual(kept.min(), low)
            self.assertAlmostEqual(kept.max(), high)
        opened = knife(cage, cut, leave="open")
        self.assertEqual(len(opened.selected), 16)
        self.assertEqual(opened.cage.topology.face_shell.max(), 1)

    def test_refusals(self) -> None:
        cage = tube(8)
        away = plane_at((0, 0, 100), (0, 0, 1))
        self.assertRaises(BadSelectionError, knife, cage, away)
        self.assertRaises(BadNumberError, knife, cage, plane_at((0, 0, 0), (0, 0, 1)), near=-1.0)
        with self.assertRaises(BadSelectionError) as caught:
            knife(cage, plane_at((0, 0, 0), (1, 0, 0.001)), leave="filled")
        self.assertIn("all round", str(caught.exception))
        self.assertRaises(BadSelectionError, knife, cage, plane_at((0, 0, 1), (0, 0, 1)), faces=Selection.of("face", []))
        whole = knife(cage, plane_at((0, 0, 1), (0, 0, 1)), faces=everything(cage))
        self.assertEqual(whole.cage.topology.face_count, cage.topology.face_count + 8)


if __name__ == "__main__":
    unittest.main()
