"""How the command line begins and ends: versions, ports, pipes, folders; one line each and no traceback."""

from __future__ import annotations

import os
import signal
import subprocess
import sys
import tempfile
import time
import unittest
from importlib.metadata import version
from pathlib import Path

_RUN = [sys.executable, "-m", "zinc_otter"]


class Starting(unittest.TestCase):
    def setUp(self) -> None:
        holder = tempfile.TemporaryDirectory(ignore_cleanup_errors=True)
        self.addCleanup(holder.cleanup)
        self.folder = Path(holder.name)

    def run_it(self, *arguments: str, **environment: str) -> subprocess.CompletedProcess[str]:
        given = {**os.environ, **environment}
        return subprocess.run([*_RUN, *arguments], capture_output=True, text=True, timeout=120, env=given)

    def one_line(self, done: subprocess.CompletedProcess[str], words: str) -> None:
        self.assertEqual(done.returncode, 2)
        self.assertIn(words, done.stderr)
        self.assertRegex(done.stderr, r"\Azinc-otter: [^\n]+\n\Z")

    def test_the_version(self) -> None:
        self.assertEqual(self.run_it("--version").stdout.strip(), f"zinc-otter {version('zinc-otter')}")

    def test_a_port_that_is_none(self) -> None:
        self.one_line(self.run_it("serve", PORT="abc"), "'abc' is none")
        self.one_line(self.run_it("serve", "--port", "99999"), "'99999' is none")

    def test_a_command_that_is_none(self) -> None:
        self.one_line(self.run_it("sevre"), "'sevre'")

    def test_a_pipe_that_is_closed_early(self) -> None:
        command = f"{sys.executable} -m zinc_otter openapi | head -c 10"
        done = subprocess.run(["bash", "-o", "pipefail", "-c", command], capture_output=True, text=True, timeout=120)
        self.assertEqual((done.returncode, done.stderr), (0, ""))

    def test_without_its_front_end_it_does_not_start(self) -> None:
        done = self.run_it("serve", "--data", str(self.folder / "data"), ZINC_OTTER_WEB=str(self.folder))
        self.one_line(done, "The front end is not in")
        self.assertFalse((self.folder / "data").exists())

    def test_a_second_one_on_a_folder_is_told_and_ctrl_c_ends_the_first_in_silence(self) -> None:
        data = str(self.folder / "data")
        first = subprocess.Popen([*_RUN, "serve", "--port", "8471", "--data", data], stdout=-1, stderr=-1, text=True)
        self.addCleanup(first.kill)
        assert first.stdout is not None
        told = [first.stdout.readline() for _ in range(2)]
        self.assertIn(data, told[0])
        self.assertIn("8471", told[1])
        self.one_line(self.run_it("serve", "--port", "8472", "--data", data), "is in use")
        time.sleep(1)
        first.send_signal(signal.SIGINT)
        _, said = first.communicate(timeout=60)
        self.assertEqual((first.returncode, said), (0, ""))
        self.assertIn("Started server process", (self.folder / "data" / "zinc-otter.log").read_text("utf-8"))

    def test_the_folder_of_a_user_is_one_place(self) -> None:
        given = {k: v for k, v in os.environ.items() if k != "ZINC_OTTER_DATA"}
        ask = "from zinc_otter.command_line import _parser as p; print(p().parse_args(['check']).data)"
        command = [sys.executable, "-c", ask]
        found = {
            subprocess.run(command, capture_output=True, text=True, env={**given, "XDG_DATA_HOME": "/there"}, cwd=cwd).stdout
            for cwd in ("/", str(self.folder))
        }
        self.assertEqual(found, {"/there/zinc-otter\n"})
