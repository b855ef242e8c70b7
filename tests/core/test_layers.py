"""Imports run downwards only: api -> jobs and store -> studio -> core; core knows no web, database or screen."""

from __future__ import annotations

import ast
import doctest
import importlib
import pkgutil
import unittest
from collections.abc import Iterator
from pathlib import Path

import zinc_otter
from zinc_otter.core.solid.followers import KINDS

SOURCE = Path(zinc_otter.__file__).parent
ALLOWED = {
    "core": {"core"},
    "studio": {"core", "studio"},
    "store": {"core", "studio", "store"},
    "sheet": {"core", "studio", "sheet"},
    "jobs": {"core", "studio", "sheet", "jobs"},
    "demo": {"core", "studio", "demo"},
    "api": {"core", "studio", "sheet", "store", "jobs", "demo", "api"},
}
# What is not pure, and what belongs to interfaces.
NOT_IN_CORE = {"os", "signal", "ctypes", "subprocess", "html"} | {
    "fastapi",
    "starlette",
    "uvicorn",
    "pydantic",
    "sqlalchemy",
    "alembic",
    "msgpack",
    "pebble",
    "PIL",
    "time",
}


def imports(path: Path) -> Iterator[str]:
    for node in ast.walk(ast.parse(path.read_text("utf-8"))):
        if isinstance(node, ast.Import):
            yield from (name.name for name in node.names)
        elif isinstance(node, ast.ImportFrom):
            assert node.level == 0, f"{path} imports by dots"
            yield node.module or ""


class Layers(unittest.TestCase):
    def test_no_import_goes_upwards(self) -> None:
        seen = 0
        for layer, allowed in ALLOWED.items():
            for path in (SOURCE / layer).rglob("*.py"):
                for name in imports(path):
                    if name.startswith("zinc_otter."):
                        seen += 1
                        self.assertIn(name.split(".")[1], allowed, f"{path.name} imports {name}")
        self.assertGreater(seen, 100)

    def test_core_knows_neither_web_nor_database_nor_clock(self) -> None:
        for path in (SOURCE / "core").rglob("*.py"):
            for name in imports(path):
                self.assertNotIn(name.split(".")[0], NOT_IN_CORE, f"{path.name} imports {name}")

    def test_within_the_core_surface_does_not_know_solid(self) -> None:
        order = ["cage", "surface", "holding", "primitives", "proof", "stone", "solid", "formats", "printing"]
        for i, part in enumerate(order):
            for path in (SOURCE / "core" / part).rglob("*.py"):
                for name in imports(path):
                    parts = name.split(".")
                    if parts[:2] == ["zinc_otter", "core"] and len(parts) > 2 and parts[2] in order:
                        self.assertLessEqual(order.index(parts[2]), i, f"{path.name} imports {name}")


class Examples(unittest.TestCase):
    def test_examples_in_docstrings_run(self) -> None:
        run = 0
        for module in pkgutil.walk_packages(zinc_otter.__path__, "zinc_otter."):
            if ".migrations" in module.name:
                continue
            result = doctest.testmod(importlib.import_module(module.name))
            self.assertEqual(result.failed, 0, module.name)
            run += result.attempted
        self.assertGreaterEqual(run, 3)

    def test_every_edit_and_follower_has_one(self) -> None:
        """Functions from a cage to an edit, and the kinds of followers."""
        without = []
        for folder in ("core/cage/edits", "core/holding"):
            for path in (SOURCE / folder).rglob("*.py"):
                for node in ast.parse(path.read_text("utf-8")).body:
                    if not isinstance(node, ast.FunctionDef) or node.name.startswith("_") or node.returns is None:
                        continue
                    if ast.unparse(node.returns) in ("Edit", "Held", "Looped", "Gridded") and node.name not in _INNER:
                        without += [node.name] if ">>>" not in (ast.get_docstring(node) or "") else []
        without += [kind.__name__ for kind in KINDS if ">>>" not in (kind.__doc__ or "")]
        self.assertEqual(without, [])


_INNER = {"held"}


class Kernel(unittest.TestCase):
    def test_tests_take_the_kernel_in_a_child(self) -> None:
        # Called in process it leaves a pool of threads behind, for which children forked later wait for ever.
        tests = Path(__file__).parents[1]
        words = "kernel.route import " + "made_in_kernel"
        found = [str(path) for path in tests.rglob("*.py") if words in path.read_text("utf-8")]
        self.assertEqual(found, [])
