from __future__ import annotations

import contextlib
import io
import json
import socket
import subprocess
import sys
import tempfile
import unittest
from pathlib import Path

import numpy as np

from tests import sample_cages as cages
from zinc_otter.command_line import main
from zinc_otter.core.formats.obj import read_obj, write_obj
from zinc_otter.core.formats.step import facts_of, read_step
from zinc_otter.core.surface import build_stencils, evaluate


class CommandLine(unittest.TestCase):
    def setUp(self) -> None:
        holder = tempfile.TemporaryDirectory()
        self.addCleanup(holder.cleanup)
        self.folder = Path(holder.name)
        self.cage = cages.knob()
        self.obj = self.folder / "knob.obj"
        self.obj.write_text(write_obj(self.cage.positions, self.cage.topology.face_verts.reshape(-1, 4)))

    def run_main(self, *words: object) -> tuple[int, str, str]:
        out, err = io.StringIO(), io.StringIO()
        with contextlib.redirect_stdout(out), contextlib.redirect_stderr(err):
            code = main([str(word) for word in words])
        return code, out.getvalue(), err.getvalue()

    def test_surface_writes_limit_positions_as_quads(self) -> None:
        target = self.folder / "surface.obj"
        code, _, _ = self.run_main("surface", self.obj, target, "--level", 2)
        self.assertEqual(code, 0)
        made = read_obj(target.read_text("utf-8"))
        expected = evaluate(build_stencils(self.cage, 2), self.cage)
        np.testing.assert_array_equal(made.positions, expected.points)
        self.assertTrue(made.topology.all_quads and made.topology.is_closed)

    def test_solid_prints_its_certificate_and_nothing_else(self) -> None:
        target = self.folder / "knob.step"
        done = subprocess.run(
            [sys.executable, "-m", "zinc_otter.command_line", "solid", self.obj, target], capture_output=True, text=True
        )
        self.assertEqual(done.returncode, 0, done.stderr)
        certificate = json.loads(done.stdout)
        self.assertTrue(certificate["watertight"])
        facts = facts_of(read_step(target))
        self.assertEqual(facts.faces, certificate["face_count"])
        self.assertLess(abs(facts.volume - certificate["volume"]) / facts.volume, 1e-6)

    def test_a_wrong_file_gets_one_line_and_exit_code_2(self) -> None:
        broken = self.folder / "broken.obj"
        broken.write_text("v 0 0 zero\n")
        picture = self.folder / "picture.obj"
        picture.write_bytes(bytes(range(256)))
        tray = self.folder / "tray.obj"
        tray.write_text("v 0 0 0\nv 1 0 0\nv 1 1 0\nv 0 1 0\nf 1 2 3 4\n")
        for words, said in (
            (("surface", broken, self.folder / "o.obj"), "Line 1"),
            (("surface", picture, self.folder / "o.obj"), "no text file"),
            (("surface", self.folder / "missing.obj", self.folder / "o.obj"), "missing.obj"),
            (("solid", tray, self.folder / "o.step"), "open along 4 edges"),
            (("surface", self.obj, self.folder / "none" / "o.obj"), "No such file"),
            (("solid", self.obj, self.folder / "none" / "o.step"), "No such file"),
        ):
            with self.subTest(said):
                code, out, err = self.run_main(*words)
                self.assertEqual((code, out), (2, ""))
                self.assertEqual(err.count("\n"), 1, err)
                self.assertIn(said, err)
                self.assertFalse((self.folder / "o.obj").exists())

    def test_a_port_that_is_taken_gets_one_line(self) -> None:
        with socket.socket() as taken:
            taken.bind(("127.0.0.1", 0))
            taken.listen()
            port = taken.getsockname()[1]
            code, out, err = self.run_main("serve", "--port", port, "--data", self.folder / "data")
        self.assertEqual((code, out), (2, ""))
        self.assertIn(f"Port {port} cannot be had", err)
        self.assertEqual(err.count("\n"), 1)
