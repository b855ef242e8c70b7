"""A browser for all tests of a class, a fresh server and page for each test, and no request to anywhere else."""

from __future__ import annotations

import tempfile
import unittest
from pathlib import Path
from typing import Any, ClassVar

from playwright.sync_api import sync_playwright

from tests.e2e.harness import Screen, Server, launch


class BrowserCase(unittest.TestCase):
    browser: ClassVar[Any]
    demo = False

    @classmethod
    def setUpClass(cls) -> None:
        playwright = sync_playwright().start()
        cls.addClassCleanup(playwright.stop)
        cls.browser = launch(playwright)
        cls.addClassCleanup(cls.browser.close)

    def setUp(self) -> None:
        holder = tempfile.TemporaryDirectory(ignore_cleanup_errors=True)
        self.addCleanup(holder.cleanup)
        self.folder = Path(holder.name)
        self.server = Server(self.folder / "data", demo=self.demo)
        self.addCleanup(self.server.kill)
        context = self.browser.new_context(viewport={"width": 1280, "height": 800}, accept_downloads=True)
        self.addCleanup(context.close)
        # There is no graphics card here: draw as on any such machine.
        context.add_init_script("localStorage.setItem('zinc-otter.quick-drawing', 'yes')")
        self.screen = Screen(context.new_page(), self.server)
        self.page = self.screen.page
        self.expected_errors: tuple[str, ...] = ()

    def tearDown(self) -> None:
        self.assertEqual(self.screen.outside, [], "something was asked for from elsewhere")
        unexpected = [e for e in self.screen.errors if not any(word in e for word in self.expected_errors)]
        self.assertEqual(unexpected, [])

    def begin_box(self, size: tuple[float, float, float] = (40, 30, 20), counts: tuple[int, int, int] = (2, 2, 1)) -> None:
        """Open a design that begins with a box of these control points; how a person begins one has tests of its own."""
        state = self.server.post("/api/designs", {"name": "Trial"})
        box = {"kind": "add-box", "size": size, "counts": counts, "size_of": "cage"}
        self.server.post(f"/api/designs/{state['id']}/commands", {"revision": state["revision"], "command": box})
        self.page.goto(f"{self.server.address}/design/{state['id']}")
        self._take_up()

    def begin_box_by_hand(self, size: tuple[float, float, float], counts: tuple[int, int, int]) -> None:
        """Begin a design with a box, as a person does: name it, type the numbers, press Enter."""
        self.page.goto(self.server.address)
        self.page.get_by_label("Name").fill("Trial")
        self.screen.button("with a box").click()
        # These tests compute with control points, so the numbers are those of the cage.
        self.screen.choose("Sizes of", "control cage")
        for axis, length, count in zip("xyz", size, counts, strict=True):
            self.screen.field(f"Size {axis}").fill(f"{length:g}")
            self.screen.field(f"Faces {axis}").fill(str(count))
        self.page.keyboard.press("Enter")
        self._take_up()

    def _take_up(self) -> None:
        self.screen.steps(1)
        self.page.keyboard.press("m")
        self.page.mouse.move(640, 700)
        self.screen.viewport.focus()
        self.page.keyboard.press(".")
        self.screen.settled()
