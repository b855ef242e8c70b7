"""Cages cleaned on the way in: sound files come through untouched, broken ones are set right, and all of it is told."""

from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from tests import sample_cages as cages
from zinc_otter.core.cage import Cage
from zinc_otter.core.errors import BadNumberError, FileFormatError
from zinc_otter.core.formats.cages import read_cage, write_cage
from zinc_otter.core.formats.cages.cleaning import Cleaning
from zinc_otter.core.formats.cages.kinds import read_cleaned
from zinc_otter.core.formats.surfaces import Appearance, write_surface
from zinc_otter.core.primitives import box, plane
from zinc_otter.core.solid.tessellation import tessellate

Faces = list[list[int]]


def obj(points: list[list[float]] | np.ndarray, faces: Faces) -> bytes:
    lines = ["v {!r} {!r} {!r}".format(*(float(x) for x in p)) for p in points]
    return "\n".join([*lines, *("f " + " ".join(str(v + 1) for v in f) for f in faces)]).encode()


def rings(cage: Cage) -> Faces:
    t = cage.topology
    return [ring.tolist() for ring in np.split(t.face_verts, t.face_offsets[1:-1])]


def cleaned(data: bytes, kind: str = "obj", scale: float = 1.0, **how: float) -> tuple[Cage, dict[str, int]]:
    loaded, findings = read_cleaned(data, kind, Cleaning(**how), scale)  # type: ignore[arg-type]
    return loaded.cage, {finding.what: finding.count for finding in findings}


class Sound(unittest.TestCase):
    def test_a_sound_cage_comes_through_to_the_last_bit(self) -> None:
        for cage in (cages.knob(), cages.tray(), cages.rimmed(3.5), cages.cornered(4.0, 2.0), box((3, 2, 1), (1, 2, 3))):
            for kind in ("ply", "usda", "usdc"):
                held, findings = cleaned(write_cage(cage, kind), kind)
                self.assertEqual(findings, {}, kind)
                self.assertEqual(held, read_cage(write_cage(cage, kind), kind).cage, kind)
            self.assertEqual(cleaned(write_cage(cage, "obj"))[0].topology.digest, cage.topology.digest)

    def test_units_are_taken_where_the_file_has_none(self) -> None:
        cage = box((2, 2, 2), (1, 1, 1))
        held, _ = cleaned(write_cage(cage, "obj"), scale=25.4)
        np.testing.assert_allclose(held.positions, 25.4 * cage.positions)
        held, _ = cleaned(write_cage(cage, "usda"), "usda", scale=25.4)
        np.testing.assert_array_equal(held.positions, cage.positions)


class Broken(unittest.TestCase):
    cage = box((10, 10, 10), (2, 2, 2))

    def test_faces_that_share_no_vertices_are_joined_again(self) -> None:
        points = self.cage.positions[self.cage.topology.face_verts]
        apart = obj(points, [[4 * i + k for k in range(4)] for i in range(24)])
        held, findings = cleaned(apart)
        self.assertEqual((held.topology.vertex_count, held.topology.is_closed), (26, True))
        self.assertEqual(findings, {"merged": 96 - 26})

    def test_vertices_further_apart_than_asked_stay_apart(self) -> None:
        moved = np.concatenate([self.cage.positions, self.cage.positions + [20.0, 0, 0]])
        faces = rings(self.cage) + [[v + 26 for v in f] for f in rings(self.cage)]
        held, findings = cleaned(obj(moved, faces), merge=1.0)
        self.assertEqual((held.topology.vertex_count, findings), (52, {}))

    def test_degenerate_and_doubled_faces_are_dropped_and_counted(self) -> None:
        faces = rings(self.cage)
        faces += [faces[3], faces[5][::-1], [0, 1, 1], [2, 2, 2]]
        held, findings = cleaned(obj(self.cage.positions, faces))
        self.assertEqual(held.topology.face_count, 24)
        self.assertEqual(findings, {"doubled": 2, "degenerate": 2})

    @given(st.sets(st.integers(0, 23), max_size=12))
    @settings(max_examples=25, deadline=None)
    def test_turned_faces_are_turned_back_and_the_whole_looks_outwards(self, turned: set[int]) -> None:
        faces = [f[::-1] if i in turned else f for i, f in enumerate(rings(self.cage))]
        held, findings = cleaned(obj(self.cage.positions, faces))
        self.assertEqual(held.topology.face_count, 24)
        self.assertEqual(findings.get("turned", 0), len(turned))
        outwards = (held.face_normals * held.positions[held.topology.face_verts.reshape(-1, 4)].mean(axis=1)).sum(axis=1)
        self.assertGreater(float(outwards.min()), 0)

    def test_all_turned_inside_out_is_one_thing(self) -> None:
        held, findings = cleaned(obj(self.cage.positions, [f[::-1] for f in rings(self.cage)]))
        self.assertEqual(findings, {"turned": 24})
        self.assertTrue(held.topology.is_closed)

    def test_three_faces_on_an_edge_are_parted(self) -> None:
        points = [[0, 0, 0], [1, 0, 0], [1, 1, 0], [0, 1, 0], [1, 0, 1], [0, 0, 1], [1, 0, -1], [0, 0, -1]]
        held, findings = cleaned(obj(np.array(points, dtype=float), [[0, 1, 2, 3], [1, 0, 5, 4], [0, 1, 6, 7]]))
        self.assertEqual(held.topology.face_count, 3)
        self.assertGreater(findings["parted"], 0)
        self.assertEqual(len(held.topology.open_edges) + 2 * (held.topology.edge_count - len(held.topology.open_edges)), 12)

    def test_two_bodies_that_touch_in_a_point_are_parted_there(self) -> None:
        shifted = self.cage.positions + [10, 10, 10]
        faces = rings(self.cage) + [[v + 26 for v in f] for f in rings(self.cage)]
        held, findings = cleaned(obj(np.concatenate([self.cage.positions, shifted]), faces))
        self.assertEqual(findings, {"merged": 1, "parted": 1})
        self.assertEqual((held.topology.vertex_count, held.topology.is_closed), (52, True))

    def test_small_holes_are_filled_and_large_ones_left(self) -> None:
        faces = rings(self.cage)[1:]
        for holes, expected in ((3, 4), (4, 0)):
            held, findings = cleaned(obj(self.cage.positions, faces), holes=holes)
            self.assertEqual(len(held.topology.open_edges), expected)
            self.assertEqual(findings, {"filled": 1} if holes == 4 else {})
        held, findings = cleaned(obj(plane((4, 4), (2, 2)).positions, rings(plane((4, 4), (2, 2)))), holes=7)
        self.assertEqual((len(held.topology.open_edges), findings), (8, {}))

    def test_vertices_of_no_face_are_left_out(self) -> None:
        held, findings = cleaned(obj(np.concatenate([self.cage.positions, [[9.0, 9, 9]]]), rings(self.cage)))
        self.assertEqual((held.topology.vertex_count, findings), (26, {"unused": 1}))

    def test_creases_follow_merged_vertices_and_lost_ones_are_told(self) -> None:
        cage = cages.rimmed(3.5)
        held, _ = cleaned(write_cage(cage, "ply"), "ply")
        np.testing.assert_array_equal(held.edge_sharpness, cage.edge_sharpness)


class Triangles(unittest.TestCase):
    def test_triangles_of_quads_become_quads_again(self) -> None:
        stl = write_surface("stl", tessellate(box((30, 20, 10), (3, 2, 2)), 0.2), Appearance("Box"))
        held, findings = cleaned(stl, "stl", pair=True)
        sizes = np.bincount(held.topology.face_sizes, minlength=5)
        self.assertTrue(held.topology.is_closed)
        self.assertGreater(sizes[4], 10 * sizes[3])
        self.assertEqual(findings["paired"], sizes[4])
        plain, _ = cleaned(stl, "stl")
        self.assertEqual(plain.topology.face_count, 2 * sizes[4] + sizes[3])


class Refused(unittest.TestCase):
    def test_what_is_no_mesh_is_refused_with_its_place(self) -> None:
        ply = write_cage(cages.knob(), "ply")
        for data, kind, words in (
            (b"v 0 0 0\nv 1 0 0\nv 0 1 0\nf 1 2 9\n", "obj", "Line 4"),
            (b"v 0 0 nan\nv 1 0 0\nv 0 1 0\nf 1 2 3\n", "obj", "no numbers"),
            (b"", "obj", "no faces"),
            (ply[:200], "ply", "PLY"),
            (b"\0" * 40, "stl", ""),
            (b"x", "xyz", "xyz"),
        ):
            with self.assertRaises(FileFormatError) as refusal:
                cleaned(data, kind)
            self.assertIn(words, str(refusal.exception))

    def test_lengths_below_0_are_refused(self) -> None:
        for how in ({"merge": -1.0}, {"merge": float("nan")}, {"holes": -1}):
            with self.assertRaises(BadNumberError):
                Cleaning(**how)  # type: ignore[arg-type]
