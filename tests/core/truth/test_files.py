"""Files: escapes, marks, bounds, orientation, schemes; each as a file out of another program would have it."""

from __future__ import annotations

import re
import struct
import tempfile
import unittest
from pathlib import Path

import numpy as np
import trimesh
from pxr import Usd, UsdGeom

from tests.core.truth.test_crossings import shells
from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.shells import shell_volumes
from zinc_otter.core.errors import CoreError, FileFormatError
from zinc_otter.core.formats.cages import write_cage
from zinc_otter.core.formats.cages.cleaning import Cleaning
from zinc_otter.core.formats.cages.kinds import read_cleaned
from zinc_otter.core.formats.mesh import MOST_TRIANGLES, read_mesh
from zinc_otter.core.formats.obj import write_obj
from zinc_otter.core.formats.step import Part, read_step, write_parts
from zinc_otter.core.formats.step_text import NAME, Heading, headed, string
from zinc_otter.core.formats.surfaces.appearance import CLAYS, Appearance, nearest_clay
from zinc_otter.core.formats.surfaces.threemf import write_3mf_of
from zinc_otter.core.primitives import box
from zinc_otter.core.solid.exact import Block
from zinc_otter.core.solid.fitting import fit_patches
from zinc_otter.core.solid.kernel.shape import one_name, reach_of, solids_of
from zinc_otter.core.solid.tessellation import Triangles

BOX = box((4, 3, 2), (2, 2, 1))


def as_obj(cage: Cage, faces: np.ndarray | None = None) -> str:
    t = cage.topology
    rings = np.split(t.face_verts, t.face_offsets[1:-1]) if faces is None else faces
    lines = [f"v {x!r} {y!r} {z!r}" for x, y, z in cage.positions.tolist()]
    return "\n".join([*lines, *("f " + " ".join(str(int(v) + 1) for v in ring) for ring in rings)]) + "\n"


class Step(unittest.TestCase):
    def test_strings_keep_to_the_format(self) -> None:
        # ISO 10303-21:2016, 6.4.3.3: apostrophes and backslashes doubled, \X2\ with four digits a sign, \X4\ with eight.
        self.assertEqual(string("Grüß' \\ 漢😀"), "Gr\\X2\\00FC00DF\\X0\\'' \\\\ \\X2\\6F22\\X0\\\\X4\\0001F600\\X0\\")
        self.assertEqual(string("two\nlines"), "two lines")

    def test_header_names_and_unit(self) -> None:
        with tempfile.TemporaryDirectory() as folder:
            path = Path(folder) / "two.step"
            parts = [Part(Block((0, 0, 0), (10, 20, 30)).shape(), NAME), Part(Block((50, 0, 0), (5, 5, 5)).shape(), "Böse")]
            write_parts(parts, path, Heading("Lampe für Öl", ("Revision 7 of Lampe",), "2026-11-28T12:00:00"), "in")
            text = path.read_bytes()
            text.decode("ascii")
            self.assertIn(b"FILE_NAME('Lampe f\\X2\\00FC\\X0\\r \\X2\\00D6\\X0\\l','2026-11-28T12:00:00'", text)
            self.assertIn(b"Revision 7 of Lampe", text)
            self.assertIn(b"INCH", text)
            self.assertIn(b"B\\X2\\00F6\\X0\\se", text)
            named = headed(text, Heading("Lampe"), "It's \u00e9")
            self.assertIn(b"PRODUCT('It''s \\X2\\00E9\\X0\\'", named)
            self.assertNotIn(NAME.encode(), named)
            path.write_bytes(named)
            shape = read_step(path)
            self.assertEqual(len(solids_of(shape)), 2)
            # In millimetres again, whatever the file is in.
            self.assertLess(abs(reach_of(one_name(shape, "")) - np.linalg.norm([57.5, 20, 30])), 0.1)

    def test_a_form_of_too_many_faces_is_refused_by_its_number(self) -> None:
        with self.assertRaisesRegex(CoreError, "would have 5,400 faces; 5,000 are the most"):
            fit_patches(box((10, 10, 10), (30, 30, 30)))


class ThreeMf(unittest.TestCase):
    def test_bodies_side_by_side_in_a_unit(self) -> None:
        import lib3mf

        cube = trimesh.creation.box((25.4, 25.4, 25.4))
        one = Triangles(np.asarray(cube.vertices), np.asarray(cube.faces), 0.01)
        data = write_3mf_of([(one, Appearance("Böse")), (one, Appearance("Two"))], "in", "Lampe")
        model = lib3mf.get_wrapper().CreateModel()
        model.QueryReader("3mf").ReadFromBuffer(data)
        self.assertEqual(model.GetUnit(), lib3mf.ModelUnit.Inch)
        items, names, sizes = model.GetBuildItems(), [], []
        while items.MoveNext():
            mesh = model.GetMeshObjectByID(items.GetCurrent().GetObjectResource().GetResourceID())
            names.append(mesh.GetName())
            sizes.append(np.ptp(np.array([list(v.Coordinates) for v in mesh.GetVertices()]), axis=0).max())
        self.assertEqual(names, ["Böse", "Two"])
        np.testing.assert_allclose(sizes, 1.0, atol=1e-6)


class Meshes(unittest.TestCase):
    def test_stl_with_more_behind_its_facets(self) -> None:
        data = trimesh.creation.box((4, 3, 2)).export(file_type="stl")
        mesh = read_mesh(data + b"made by a scanner", "stl", "mm")
        self.assertEqual(len(mesh.triangles), 12)
        self.assertTrue(any("17 bytes" in note for note in mesh.notes))
        with self.assertRaisesRegex(FileFormatError, "does not fit"):
            read_mesh(data[:-7], "stl", "mm")

    def test_five_million_triangles_are_within_the_bound(self) -> None:
        self.assertEqual(MOST_TRIANGLES, 5_000_000)
        head = b"\0" * 80 + struct.pack("<I", 5_000_001)
        with self.assertRaisesRegex(FileFormatError, "5,000,001 faces; 5,000,000"):
            read_mesh(head + b"\0" * 50 * 5_000_001, "stl", "mm")

    def test_obj_with_a_mark_of_its_byte_order_and_continued_lines(self) -> None:
        plain = as_obj(BOX)
        marked = b"\xef\xbb\xbf" + plain.encode()
        continued = re.sub(r"f (\d+) (\d+) ", r"f \1 \\\n\2 ", plain).encode()
        old = ("# Gr\xfc\xdfe\n" + plain).encode("latin-1")
        for data in (marked, continued, old, plain.replace("\n", "\r\n").encode()):
            loaded, _ = read_cleaned(data, "obj", Cleaning())
            np.testing.assert_array_equal(loaded.cage.positions, BOX.positions)
            self.assertEqual(loaded.cage.topology.face_count, BOX.topology.face_count)
            self.assertEqual(read_mesh(data, "obj", "mm").open_edge_count, 0)

    def test_no_sentence_is_a_librarys(self) -> None:
        for kind, data in (
            ("obj", b"v 1 2 x\nf 1 1 1\n"),
            ("ply", b"ply\nformat ascii 1.0\nelement face 3\nend_header\n1 2"),
            ("glb", b"glTF" + struct.pack("<III4s", 2, 40, 2, b"JSON") + b"[]" + b" " * 18),
        ):
            with self.assertRaises(FileFormatError) as refused:
                read_mesh(data, kind, "mm")
            self.assertNotRegex(str(refused.exception), r"Error|Traceback|invalid literal|numpy|trimesh|NoneType|\bdict\b")


class Cages(unittest.TestCase):
    def test_a_hollow_form_comes_in_hollow(self) -> None:
        outer, inner = box((20, 20, 20), (2, 2, 2)), box((8, 8, 8), (1, 1, 1))
        for cavity in (True, False):
            for inverted in (False, True):
                whole = shells(outer, inner)
                rings = np.split(whole.topology.face_verts, whole.topology.face_offsets[1:-1])
                shell = whole.topology.face_shell
                back = [(cavity and s == 1) != inverted for s in shell]
                turned = [ring[::-1] if turns else ring for ring, turns in zip(rings, back, strict=True)]
                loaded, _ = read_cleaned(as_obj(whole, turned).encode(), "obj", Cleaning())  # type: ignore[arg-type]
                self.assertEqual(sorted(shell_volumes(loaded.cage).round(6)), sorted([8000, -512 if cavity else 512]))

    def test_one_face_that_crosses_itself_turns_no_others(self) -> None:
        rings = np.split(BOX.topology.face_verts, BOX.topology.face_offsets[1:-1])
        for swap in ([0, 1, 3, 2], [0, 2, 1, 3]):
            crossed = [ring[swap] if k == 5 else ring for k, ring in enumerate(rings)]
            loaded, findings = read_cleaned(as_obj(BOX, crossed).encode(), "obj", Cleaning())  # type: ignore[arg-type]
            self.assertEqual([(f.what, f.count) for f in findings], [("uncrossed", 1)])
            self.assertTrue(loaded.cage.topology.is_closed)
            self.assertAlmostEqual(float(shell_volumes(loaded.cage)[0]), 24.0)

    def test_a_face_of_too_many_corners_is_named(self) -> None:
        angle = np.linspace(0, 2 * np.pi, 1200, endpoint=False)
        lines = [f"v {np.cos(a):.9g} {np.sin(a):.9g} 0" for a in angle] + ["f " + " ".join(map(str, range(1, 1201)))]
        with self.assertRaisesRegex(FileFormatError, "Face 0 has 1,200 corners; .* at most 1,000"):
            read_cleaned("\n".join(lines).encode(), "obj", Cleaning())

    def test_names_in_any_script(self) -> None:
        for kind in ("ply", "obj", "usda", "usdc"):
            data = write_cage(BOX, kind, "Grüner Stein 漢", (0.5, 0.25, 0.1))
            loaded, _ = read_cleaned(data, kind, Cleaning())
            np.testing.assert_array_equal(loaded.cage.positions, BOX.positions)
            self.assertEqual(loaded.name, "Grüner Stein 漢" if kind.startswith("usd") else "")

    def test_usd_keeps_colour_and_face_sets_whose_names_become_one(self) -> None:
        sets = {"top one": [0], "top-one": [1], "top_one": [2]}
        cage = Cage(BOX.positions, BOX.topology, None, None, sets)
        data = write_cage(cage, "usda", "Block", (1.0, 0.5, 0.0))
        loaded, _ = read_cleaned(data, "usda", Cleaning())
        np.testing.assert_allclose(loaded.colour or (), (1.0, 0.5, 0.0), atol=1e-6)
        self.assertEqual([nearest_clay(colour) for colour in CLAYS.values()], list(CLAYS))
        self.assertEqual({name: ids.tolist() for name, ids in loaded.cage.face_sets.items()}, sets)
        with tempfile.TemporaryDirectory() as folder:
            path = Path(folder) / "block.usda"
            path.write_bytes(data)
            stage = Usd.Stage.Open(str(path))
            (colour,) = UsdGeom.Mesh(stage.GetDefaultPrim()).GetDisplayColorAttr().Get()
        # sRGB 0.5 is 0.214 in linear light (IEC 61966-2-1).
        np.testing.assert_allclose(list(colour), (1.0, 0.21404, 0.0), atol=1e-4)

    def test_other_schemes_are_told(self) -> None:
        data = write_cage(BOX, "usda", "Block").replace(b'"catmullClark"', b'"none"')
        loaded, _ = read_cleaned(data, "usda", Cleaning())
        self.assertIn("means its faces as they are", " ".join(loaded.remarks))

    def test_triangles_of_a_scan_are_told_from_a_cage(self) -> None:
        ball = trimesh.creation.icosphere(3, 10.0)
        shaken = ball.vertices + np.random.default_rng(1).normal(0, 0.35, ball.vertices.shape)
        data = trimesh.Trimesh(shaken, ball.faces, process=False).export(file_type="stl")
        _, findings = read_cleaned(data, "stl", Cleaning(pair=True))
        (scan,) = [finding for finding in findings if finding.what == "scanned"]
        self.assertIn("lay quads on it", scan.words)
        block = write_obj(BOX.positions, BOX.topology.face_verts.reshape(-1, 4)).encode()
        self.assertEqual([f.what for f in read_cleaned(block, "obj", Cleaning(pair=True))[1]], [])
