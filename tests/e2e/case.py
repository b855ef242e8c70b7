"""One browser for all tests of a process, a fresh page for each test, and no request to anywhere else.

Tests that work on the demo designs have a server each. The others begin designs of their own, and share one: starting takes
some seconds.
"""

from __future__ import annotations

import atexit
import os
import shutil
import tempfile
import unittest
from functools import cache
from pathlib import Path
from typing import Any
from unittest.mock import patch

import numpy as np
from playwright.sync_api import sync_playwright

from tests.e2e.harness import Screen, Server, demo_data, launch


@cache
def browser_of_all() -> Any:
    playwright = sync_playwright().start()
    atexit.register(playwright.stop)
    return launch(playwright)


def lasting_server(web: Path | None = None) -> Server:
    """A server that lives as long as this process, with another front end where one is named."""
    holder = tempfile.TemporaryDirectory(ignore_cleanup_errors=True)
    atexit.register(holder.cleanup)
    with patch.dict(os.environ, {"ZINC_OTTER_WEB": str(web)} if web else {}):
        server = Server(Path(holder.name) / "data")
    atexit.register(server.kill)
    return server


_shared: list[Server] = []


def server_of_all() -> Server:
    """The one server of the tests of this process; a new one where a test left it dead."""
    if not (_shared and _shared[-1].is_alive):
        _shared.append(lasting_server())
    return _shared[-1]


_kept: list[tuple[type, Screen]] = []
"""The page that the tests of this process go on in, and the class of the test that had it last."""
_DEMO_PORT: list[int] = []


class BrowserCase(unittest.TestCase):
    """Tests go on in one page, loaded anew for each with nothing remembered: what the browser keeps of the program's scripts
    makes that twice as quick as a page of its own.

    - ``one_page``: within a class it is not even loaded anew; each test enters a design of its own from the list, as people
      do, and must leave alone how a screen shows designs
    - ``own_page``: a page of its own, for tests that change how it loads, answers or looks
    """

    demo = False
    one_page = False
    own_page = False

    @property
    def browser(self) -> Any:
        return browser_of_all()

    def server_here(self) -> Server:
        """The server of tests that need no demo designs."""
        return server_of_all()

    def setUp(self) -> None:
        holder = tempfile.TemporaryDirectory(ignore_cleanup_errors=True)
        self.addCleanup(holder.cleanup)
        self.folder = Path(holder.name)
        if self.demo:
            shutil.copytree(demo_data(), self.folder / "data")
            # Always at the same address, so that the browser knows the scripts.
            self.server = Server(self.folder / "data", demo=True, port=_DEMO_PORT[0] if _DEMO_PORT else None)
            _DEMO_PORT[:] = [self.server.port]
            self.addCleanup(self.server.kill)
        else:
            self.server = self.server_here()
        self.screen = self._screen()
        self.page = self.screen.page
        # A page behind another one is drawn once a second only.
        self.page.bring_to_front()
        self.context = self.page.context
        self.expected_errors: tuple[str, ...] = ()

    def _screen(self) -> Screen:
        if self.own_page:
            screen = self._fresh()
            self.addCleanup(screen.page.context.close)
            return screen
        if self.demo:
            # Before its server ends, so that nothing asks it in vain.
            self.addCleanup(lambda: [kept.rest() for _, kept in _kept])
        if not _kept:
            _kept.append((type(self), self._fresh()))
            return _kept[0][1]
        ((last, screen),) = _kept
        _kept[:] = [(type(self), screen)]
        if self.one_page and last is type(self) and screen.server is self.server:
            screen.errors.clear()
            screen.leave_design()
        else:
            screen.begin_anew(self.server)
        return screen

    def _fresh(self) -> Screen:
        context = self.browser.new_context(viewport={"width": 1280, "height": 800}, accept_downloads=True)
        # There is no graphics card here: draw as on any such machine.
        for how, on in (("quick", "yes"), ("smooth", "no")):
            context.add_init_script(f"localStorage.setItem('zinc-otter.{how}-drawing', '{on}')")
        return Screen(context.new_page(), self.server)

    def tearDown(self) -> None:
        if not self._outcome.success:  # type: ignore[attr-defined]
            # What a test that failed leaves behind is nobody's beginning.
            for _, screen in _kept:
                screen.page.context.close()
            _kept.clear()
        self.assertEqual(self.screen.outside, [], "something was asked for from elsewhere")
        unexpected = [e for e in self.screen.errors if not any(word in e for word in self.expected_errors)]
        self.assertEqual(unexpected, [])

    def download(self, name: str) -> bytes:
        """Click a button and take the file that it hands over."""
        with self.page.expect_download(timeout=120_000) as waiting:
            self.screen.button(name).click()
        self.downloaded = self.folder / waiting.value.suggested_filename
        waiting.value.save_as(self.downloaded)
        return self.downloaded.read_bytes()

    def take(self, *names: str, shift: bool = False) -> None:
        """Take pieces in hand by their names in the list, the first alone unless Shift is held from the start."""
        for k, name in enumerate(names):
            row = self.page.get_by_label("Pieces", exact=True).get_by_role("button", name=name, exact=True).first
            row.click(modifiers=["Shift"] if k or shift else [])
            self.screen.settled()

    def begin_empty(self, tool: str) -> None:
        """An empty design, in Rough, with a tool in hand."""
        self.screen.visit("/")
        self.page.get_by_label("Name").fill("Trial")
        self.screen.button("empty").click()
        self.page.get_by_label("Tools of Rough").wait_for()
        self.screen.tool(tool)

    def begin_box(self, size: tuple[float, float, float] = (40, 30, 20), counts: tuple[int, int, int] = (2, 2, 1)) -> None:
        """Open a design that begins with a box of these control points; how a person begins one has tests of its own."""
        box = {"kind": "add-box", "size": size, "counts": counts, "size_of": "cage"}
        state = self.server.give(self.server.post("/api/designs", {"name": "Trial"}), box)
        self.screen.visit(f"/design/{state['id']}")
        self._take_up()

    def begin_with(self, *commands: Any) -> None:
        """Open a design that begins with these commands, all of it in view."""
        state = self.server.give(self.server.post("/api/designs", {"name": "Trial"}), *commands)
        self.screen.visit(f"/design/{state['id']}")
        self.screen.steps(len(commands))
        self.screen.viewport.focus()
        # As on a page that has just been loaded; the test before it may have picked others.
        self.page.keyboard.press("f")
        self.page.keyboard.press(".")
        self.screen.settled()

    def begin_box_by_hand(self, size: tuple[float, float, float], counts: tuple[int, int, int]) -> None:
        """Begin a design with a box, as a person does: name it, type the numbers, press Enter."""
        self.screen.visit("/")
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
        self.page.keyboard.press("f")
        self.page.keyboard.press(".")
        self.screen.settled()


class VerbCase(BrowserCase):
    """What tests of verbs share."""

    one_page = True

    def points(self, piece: str = "p1") -> np.ndarray:
        return np.array(self.screen.cage(piece)["positions"])

    def euler(self, piece: str = "p1") -> int:
        cage = self.screen.cage(piece)
        return len(cage["positions"]) - len(cage["edges"]) + len(cage["faces"])

    def pick_faces(self, test, piece: str = "p1") -> list[int]:  # type: ignore[no-untyped-def]
        faces = self.screen.faces_where(test, piece)
        for i, face in enumerate(faces):
            self.screen.click(self.screen.face_point(face, piece), shift=i > 0)
        self.page.get_by_test_id("chosen").get_by_text(f"{len(faces)} face").wait_for()
        return faces

    def apply(self, step: int) -> None:
        self.screen.viewport.focus()
        self.page.keyboard.press("Enter")
        self.screen.steps(step)

    def press(self, key: str) -> None:
        self.screen.press(key)

    def previewed(self) -> None:
        self.page.get_by_text("not applied yet").wait_for()
        self.screen.settled()

    def digests(self) -> list[str]:
        return [piece["digest"] for piece in self.screen.state()["pieces"]]

    def there_and_back(self, take: str, set_values: dict[str, str] | None = None) -> None:
        """Take the tool up, see its preview, apply it, and undo it; the pieces are what they were, to the last bit."""
        before = self.digests()
        step = self.screen.state()["head"]
        if take.startswith("Shift+") or len(take) == 1:
            self.press(take)
        else:
            self.page.locator("aside[aria-label^='Tools of']").get_by_role("button", name=take, exact=False).first.click()
        for label, value in (set_values or {}).items():
            if self.page.get_by_role("combobox", name=label).count():
                self.screen.choose(label, value)
            else:
                self.screen.field(label).fill(value)
        self.page.get_by_text("not applied yet").wait_for()
        self.assertEqual(self.digests(), before, "a preview is not kept")
        self.screen.viewport.focus()
        self.page.keyboard.press("Enter")
        self.screen.steps(step + 1)
        self.assertNotEqual(self.digests(), before)
        self.page.keyboard.press("Control+z")
        self.screen.steps(step)
        self.assertEqual(self.digests(), before)
        # Undo leaves in hand what the step was done to.
        self.page.keyboard.press("m")
