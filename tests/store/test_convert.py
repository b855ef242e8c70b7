"""From file to file on the command line: each result read back."""

from __future__ import annotations

import contextlib
import hashlib
import io
import tempfile
import unittest
from pathlib import Path

import numpy as np

from tests import sample_cages as cages
from zinc_otter.command_line import main
from zinc_otter.core.cage import Cage
from zinc_otter.core.formats.cages import read_cage, write_cage
from zinc_otter.core.formats.mesh import read_mesh
from zinc_otter.core.formats.step import facts_of, read_step, write_step
from zinc_otter.core.primitives import box, plane
from zinc_otter.core.solid.exact import Cylinder
from zinc_otter.core.solid.fitting import fit_patches
from zinc_otter.core.solid.followers import Combine, Hollow, ImportedBody, Trim
from zinc_otter.core.solid.imported import packed
from zinc_otter.core.solid.kernel.shape import welded
from zinc_otter.core.solid.patches import volume_and_area
from zinc_otter.store.archive import write_archive
from zinc_otter.studio.design import Design, Piece
from zinc_otter.studio.shelf import Asset


class ConvertCase(unittest.TestCase):
    def setUp(self) -> None:
        holder = tempfile.TemporaryDirectory()
        self.addCleanup(holder.cleanup)
        self.folder = Path(holder.name)
        self.volume = volume_and_area(fit_patches(cages.knob()))[0]

    def run_main(self, source: Path, target: str, *words: str) -> tuple[int, str]:
        """The exit code, and what was said."""
        said = io.StringIO()
        with contextlib.redirect_stderr(said):
            code = main(["convert", str(source), str(self.folder / target), *words])
        return code, said.getvalue()

    def put(self, name: str, data: bytes) -> Path:
        path = self.folder / name
        path.write_bytes(data)
        return path

    def data(self, name: str) -> bytes:
        return (self.folder / name).read_bytes()


class FromCages(ConvertCase):
    def test_to_every_kind_of_surface(self) -> None:
        start = self.put("knob.usda", write_cage(cages.knob(), "usda"))
        for name, words in (
            ("knob.stl", ()), ("knob.3mf", ()), ("knob.glb", ()), ("fine.ply", ("--surface",)), ("fine.obj", ("--surface",)),
        ):  # fmt: skip
            self.assertEqual(self.run_main(start, name, "--chord", "0.01", *words), (0, ""))
            read = read_mesh(self.data(name), name.split(".")[1], "mm")
            self.assertAlmostEqual(read.volume / self.volume, 1, delta=3e-3)

    def test_to_a_solid(self) -> None:
        start = self.put("knob.ply", write_cage(cages.knob(), "ply"))
        code, _ = self.run_main(start, "knob.step")
        self.assertEqual(code, 0)
        facts = facts_of(read_step(self.folder / "knob.step"))
        self.assertEqual((facts.solids, facts.closed, facts.valid), (1, True, True))
        self.assertAlmostEqual(facts.volume / self.volume, 1, delta=1e-6)

    def test_what_is_set_right_is_said(self) -> None:
        triangles = self.put("box.obj", b"v 0 0 0\nv 1 0 0\nv 1 1 0\nv 0 1 0\nv 0 1 0\nf 1 2 3\nf 1 3 5\nf 1 2 3\n")
        code, said = self.run_main(triangles, "sheet.ply", "--unit", "cm", "--pair")
        self.assertEqual(code, 0)
        self.assertIn("1 face that lay on another was dropped", said)
        self.assertIn("paired to 1 quad.", said)
        cage = read_cage(self.data("sheet.ply"), "ply").cage
        self.assertEqual((cage.topology.face_count, float(np.ptp(cage.positions[:, 0]))), (1, 10.0))
        code, said = self.run_main(self.put("t.usda", write_cage(cages.rimmed(3.5), "usda")), "t.obj")
        self.assertEqual(code, 0)
        self.assertIn("obj files hold no creases", said)

    def test_wrong_files_and_endings_get_a_sentence_and_change_nothing(self) -> None:
        start = self.put("knob.usda", write_cage(cages.knob(), "usda"))
        for source, target, words in (
            (start, "knob.doc", "no ending that can be written"),
            (self.put("broken.stl", b"\0" * 84), "b.usda", "no faces"),
            (self.folder / "none.obj", "b.usda", "No such file"),
            (start, "none/knob.stl", "No such file"),
            (self.put("open.usda", write_cage(plane((4.0, 3.0), (2, 2)), "usda")), "open.step", "open along"),
        ):
            code, said = self.run_main(source, target)
            self.assertEqual(code, 2, said)
            self.assertIn(words, said)
            self.assertFalse((self.folder / target).exists())
        self.assertIn("more than 0", self.run_main(start, "knob.stl", "--chord", "-1")[1])


class Unsound(ConvertCase):
    """Bodies that are not what was asked for end with 2 and leave no file, unless they are wanted as far as they go."""

    def spike(self) -> Cage:
        block = box((20, 20, 20), (2, 2, 2))
        points = block.positions.copy()
        points[int(np.argmax(points[:, 2] - np.abs(points[:, :2]).sum(axis=1)))] += [3, 2, -45]
        return block.with_positions(points)

    def test_a_cage_that_crosses_itself(self) -> None:
        start = self.put("spike.usda", write_cage(self.spike(), "usda"))
        for target in ("spike.stl", "spike.step"):
            code, said = self.run_main(start, target)
            self.assertEqual(code, 2, said)
            self.assertIn("runs through itself", said)
            self.assertFalse((self.folder / target).exists())
        code, said = self.run_main(start, "spike.stl", "--as-far-as-it-goes")
        self.assertEqual(code, 0)
        self.assertIn("runs through itself", said)
        self.assertTrue((self.folder / "spike.stl").exists())

    def test_the_solid_command_looks_too(self) -> None:
        start = self.put("spike.obj", write_cage(self.spike(), "obj"))
        err = io.StringIO()
        with contextlib.redirect_stderr(err):
            self.assertEqual(main(["solid", str(start), str(self.folder / "spike.step")]), 2)
        self.assertIn("runs through itself", err.getvalue())
        self.assertFalse((self.folder / "spike.step").exists())

    def test_a_body_without_its_hollow(self) -> None:
        block = Piece("p1", "Block", box((20, 20, 20), (2, 2, 2)), followers=(Hollow("f1", wall=15.0),))
        archive = write_archive("Block", "mm", Design((block,), 3), lambda _: None)  # type: ignore[arg-type,return-value]
        start = self.put("block.otter", archive)
        code, said = self.run_main(start, "block.step")
        self.assertEqual(code, 2, said)
        self.assertIn("Incomplete. Hollow: No place lies deeper", said)
        self.assertFalse((self.folder / "block.step").exists())
        code, said = self.run_main(start, "block.step", "--as-far-as-it-goes")
        self.assertEqual(code, 0)
        self.assertIn("Incomplete. Hollow", said)
        self.assertIn(b"Incomplete. Hollow", self.data("block.step").split(b"ENDSEC;")[0])


class FromArchives(ConvertCase):
    def archive(self) -> Path:
        """A knob with a bore of an imported pin, trimmed; and a plain one beside it."""
        path, shape = self.folder / "pin.step", Cylinder((0, 0, -500), (0, 0, 1), 2, 1000).shape()
        write_step(shape, path, "Pin")
        contents = packed(path.read_bytes(), *welded(shape))
        pin = Asset(hashlib.sha256(b"solid" + contents).hexdigest(), "solid", {}, contents)
        knob: Cage = cages.knob()
        middle = tuple(float(x) for x in np.mean(knob.bounds, axis=0))
        steps = (
            Combine("f1", way="subtract", body=ImportedBody(pin.hash, point=middle)),  # type: ignore[arg-type]
            Trim("f2", point=middle),  # type: ignore[arg-type]
        )
        design = Design(pieces=(Piece("p1", "Knob", knob, followers=steps), Piece("p2", "Plain", knob)))
        return self.put("two.otter", write_archive("Two", "mm", design, lambda _: pin))

    def test_a_piece_with_its_followers(self) -> None:
        start = self.archive()
        self.assertEqual(self.run_main(start, "knob.step", "--piece", "Knob")[0], 0)
        self.assertEqual(self.run_main(start, "knob.stl", "--piece", "Knob", "--chord", "0.01")[0], 0)
        exact = facts_of(read_step(self.folder / "knob.step")).volume
        self.assertLess(exact, 0.8 * self.volume)
        self.assertAlmostEqual(read_mesh(self.data("knob.stl"), "stl", "mm").volume / exact, 1, delta=5e-3)

    def test_the_cage_below_and_that_its_followers_are_left_out(self) -> None:
        code, said = self.run_main(self.archive(), "knob.usdc", "--piece", "Knob")
        self.assertEqual(code, 0)
        self.assertIn("without what its followers make of it", said)
        self.assertEqual(read_cage(self.data("knob.usdc"), "usdc").cage, cages.knob())

    def test_which_piece_is_asked_for(self) -> None:
        for words in ((), ("--piece", "Handle")):
            code, said = self.run_main(self.archive(), "knob.stl", *words)
            self.assertEqual(code, 2)
            self.assertIn("Knob, Plain", said)
