"""Drive the application as a person does: its server as a process of its own, headless Chromium, mouse and keys."""

from __future__ import annotations

import atexit
import fcntl
import io
import json
import os
import signal
import socket
import subprocess
import sys
import tempfile
import time
import urllib.error
import urllib.request
from collections.abc import Sequence
from functools import cache
from pathlib import Path
from typing import Any, Literal

import numpy as np
from PIL import Image
from playwright.sync_api import ConsoleMessage, Locator, Page, Playwright

from tests.__main__ import SHARED

CHROMIUM = os.environ.get("CHROMIUM", "/usr/bin/chromium")
_ALWAYS = [
    "--no-sandbox", "--disable-quic", "--no-first-run", "--no-default-browser-check", "--disable-background-networking",
    "--disable-component-update", "--disable-sync", "--disable-default-apps", "--ignore-gpu-blocklist",
    # Putting the page together on a drawing card that is played by software costs as much as the form itself.
    "--disable-gpu-compositing",
]  # fmt: skip
_MESA = ["--use-gl=angle", "--use-angle=gl-egl"]
_SWIFTSHADER = ["--use-gl=angle", "--use-angle=swiftshader", "--enable-unsafe-swiftshader"]
_WEBGL = "() => !!document.createElement('canvas').getContext('webgl2')"


def launch(playwright: Playwright) -> Any:
    """Debian's Chromium with WebGL drawn in software: by Mesa where it works, otherwise by SwiftShader."""
    for choice in (_MESA, _SWIFTSHADER):
        browser = playwright.chromium.launch(executable_path=CHROMIUM, args=[*_ALWAYS, *choice])
        page = browser.new_page()
        works = page.evaluate(_WEBGL)
        page.close()
        if works:
            return browser
        browser.close()
    raise RuntimeError("This Chromium has no WebGL; install libgl1-mesa-dri and libegl1.")


# Three looks at the count of frames in a row that see no new one, none asked for, and the service owing no answer.
_QUIET = """async () => {
  const host = document.querySelector("[data-testid=viewport]");
  let last = "";
  for (let quiet = 0; quiet < 3; ) {
    await new Promise((done) => setTimeout(done, 30));
    const still = !("drawing" in host.dataset) && !+(document.documentElement.dataset.asking ?? 0);
    quiet = host.dataset.frames === last && still ? quiet + 1 : 0;
    last = host.dataset.frames;
  }
}"""

_GO = "path => { history.pushState(null, '', path); dispatchEvent(new PopStateEvent('popstate')); }"


class Server:
    """The application as a process on a free port, with its own data folder."""

    def __init__(self, data: Path, demo: bool = False, port: int | None = None) -> None:
        self.data = data
        self.demo = demo
        self.port = port or _free_port()
        self.process: subprocess.Popen[bytes] | None = None
        self.start()

    @property
    def address(self) -> str:
        return f"http://127.0.0.1:{self.port}"

    @property
    def key(self) -> str:
        return (self.data / "key").read_text("utf-8")

    @property
    def let_in(self) -> dict[str, str]:
        """The header that opens the service to a program."""
        return {"Authorization": f"Bearer {self.key}"} if (self.data / "key").exists() else {}

    def start(self) -> None:
        command = [sys.executable, "-m", "zinc_otter.command_line", "serve", "--port", str(self.port)]
        command += ["--data", str(self.data), *(["--demo"] if self.demo else [])]
        self.log = (self.data.parent / f"{self.data.name}.log").open("ab")
        # A session of its own, so that killing takes the worker along.
        self.process = subprocess.Popen(command, stdout=self.log, stderr=self.log, start_new_session=True)
        deadline = time.monotonic() + 60
        while True:
            try:
                self.get("/api/health")
                return
            except (urllib.error.URLError, ConnectionError):
                if time.monotonic() > deadline or self.process.poll() is not None:
                    raise
                time.sleep(0.1)

    @property
    def is_alive(self) -> bool:
        return self.process is not None and self.process.poll() is None

    def kill(self) -> None:
        """End it at once, with no chance to tidy up; nothing happens where it has ended."""
        assert self.process is not None
        if not self.is_alive:
            return
        os.killpg(self.process.pid, signal.SIGKILL)
        self.process.wait()
        self.log.close()

    def get(self, path: str) -> Any:
        request = urllib.request.Request(self.address + path, headers=self.let_in)
        with urllib.request.urlopen(request, timeout=30) as answer:
            return json.loads(answer.read())

    def post(self, path: str, body: object) -> Any:
        request = urllib.request.Request(
            self.address + path, json.dumps(body).encode(), {"Content-Type": "application/json", **self.let_in}
        )
        with urllib.request.urlopen(request, timeout=60) as answer:
            return json.loads(answer.read())

    def give(self, state: Any, *commands: Any) -> Any:
        """The state of a design after some more commands."""
        for command in commands:
            at = {"revision": state["revision"], "command": command}
            state = self.post(f"/api/designs/{state['id']}/commands", at)
        return state


@cache
def demo_data() -> Path:
    """A data folder in which the application has put its demo designs, to be copied; all parts of a run share one."""
    shared = os.environ.get(SHARED)
    if shared is None:
        holder = tempfile.TemporaryDirectory(ignore_cleanup_errors=True)
        atexit.register(holder.cleanup)
        shared = holder.name
    data, done = Path(shared) / "data", Path(shared) / "done"
    with (Path(shared) / "lock").open("w") as lock:
        # The first that needs it makes it; others wait.
        fcntl.flock(lock, fcntl.LOCK_EX)
        if not done.exists():
            server = Server(data, demo=True)
            server.process.terminate()  # type: ignore[union-attr]
            server.process.wait()  # type: ignore[union-attr]
            server.log.close()
            done.touch()
    return data


def _free_port() -> int:
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


class Screen:
    """One page of the application, with a person's means: look, point, drag, type."""

    def __init__(self, page: Page, server: Server) -> None:
        self.page = page
        self.server = server
        self.outside: list[str] = []
        self.errors: list[str] = []
        page.set_default_timeout(60_000)
        self._let_in()
        page.on("request", lambda r: self._note(r.url))
        page.on("pageerror", lambda e: self.errors.append(str(e)))
        page.on("console", self._hear)

    def _let_in(self) -> None:
        """By what the printed address leaves in the browser; one test comes in by that address itself."""
        at = self.server
        self.page.context.add_cookies([{"name": f"zinc-otter-{at.port}", "value": at.key, "url": at.address}])

    def rest(self) -> None:
        """Leave the application."""
        self.page.goto("about:blank")

    def begin_anew(self, server: Server) -> None:
        """As a page that was never here, before a server."""
        self.rest()
        tool = self.page.context.new_cdp_session(self.page)
        for address in {self.server.address, server.address}:
            tool.send("Storage.clearDataForOrigin", {"origin": address, "storageTypes": "local_storage,indexeddb"})
        tool.detach()
        self.server = server
        self._let_in()
        self.outside.clear()
        self.errors.clear()

    def _hear(self, message: ConsoleMessage) -> None:
        if message.type == "error":
            self.errors.append(f"{message.text} {str(message.location.get('url'))[-60:]}")

    def _note(self, url: str) -> None:
        if not url.startswith((self.server.address, "data:", "blob:")):
            self.outside.append(url)

    @property
    def viewport(self) -> Locator:
        return self.page.get_by_test_id("viewport")

    @property
    def design_id(self) -> str:
        return self.page.url.rsplit("/", 1)[1]

    def state(self) -> Any:
        return self.server.get(f"/api/designs/{self.design_id}")

    def cage(self, piece: str = "p1") -> Any:
        return self.server.get(f"/api/designs/{self.design_id}/pieces/{piece}/cage")

    def visit(self, path: str) -> None:
        """Go to a place of the application: within it where the page is there, as its own links do."""
        if self.page.url.startswith(self.server.address):
            self.page.evaluate(_GO, path)
        else:
            self.page.goto(self.server.address + path)

    def leave_design(self) -> None:
        """Back to the list of designs, with nothing held and nothing remembered."""
        self.page.evaluate("localStorage.clear(); sessionStorage.clear()")
        self.visit("/")
        self.page.get_by_label("Name").wait_for()

    def open_design(self, name: str) -> None:
        self.visit("/")
        self.page.get_by_label(f"Open {name}", exact=True).click()
        # Only once the design is there is its first tool taken up; a key before that would be lost to it.
        self.page.locator("[aria-label=Steps] [aria-current=step]").wait_for()
        self.settled()

    def button(self, name: str) -> Locator:
        return self.page.get_by_role("button", name=name, exact=True)

    def field(self, label: str) -> Locator:
        return self.page.get_by_label(label, exact=True)

    def choose(self, label: str, option: str) -> None:
        """Choose from a list that opens at a click."""
        self.page.get_by_role("combobox", name=label).click()
        self.page.get_by_role("option", name=option, exact=True).click()
        # Until the list has gone altogether, what covers the page takes the next click.
        self.page.locator(".MuiPopover-root").wait_for(state="detached")

    def station(self, name: str) -> None:
        self.page.get_by_role("navigation").get_by_text(name, exact=True).click()
        self.page.get_by_label(f"Tools of {name}").wait_for()

    def tool(self, name: str) -> None:
        """Take up a tool of the present station by its name in the drawer."""
        drawer = self.page.locator("aside[aria-label^='Tools of']")
        # One of that very name before others that begin alike; most have a key behind their name.
        exact = drawer.get_by_role("button", name=name, exact=True)
        (exact if exact.count() else drawer.get_by_role("button", name=name)).first.click()

    def press(self, key: str) -> None:
        """Press a key over the viewport, and wait until what it changed is drawn: a turned view moves what is clicked."""
        self.viewport.focus()
        self.page.keyboard.press(key)
        self.settled()

    def settled(self) -> None:
        """Wait until the viewport has drawn and draws no more."""
        self.page.wait_for_function("() => +document.querySelector('[data-testid=viewport]')?.dataset.frames > 0")
        self.page.evaluate(_QUIET)

    def steps(self, count: int) -> None:
        """Wait until the present step has this number."""
        self.page.wait_for_function(
            "n => document.querySelector('[aria-label=Steps] [aria-current=step]')?.innerText.split(/\\s/)[0] === String(n)",
            arg=count,
        )
        self.settled()

    def tones(self, clip: dict[str, float] | None = None) -> Any:
        """The brightness (height, width), 0 to 255, of the page or a part of it, once it is drawn."""
        self.settled()
        picture = self.page.screenshot(clip=clip) if clip else self.page.screenshot()  # type: ignore[arg-type]
        return np.asarray(Image.open(io.BytesIO(picture)).convert("L"), dtype=np.float64)

    # --- pointing ---------------------------------------------------------------------------------------------------

    def at(self, point: Sequence[float]) -> tuple[float, float]:
        """Where a point of the model lies on the page, in pixels."""
        x, y = self.project(np.array([point], dtype=np.float64))[0]
        return float(x), float(y)

    def project(self, points: Any) -> Any:
        """The same for many points (n, 3) at once."""
        elements = [float(x) for x in (self.viewport.get_attribute("data-view-projection") or "").split()]
        clip = np.column_stack([points, np.ones(len(points))]) @ np.array(elements).reshape(4, 4)
        box = self.viewport.bounding_box()
        assert box is not None
        x, y = (clip[:, :2] / clip[:, 3:]).T
        return np.column_stack([box["x"] + (x + 1) / 2 * box["width"], box["y"] + (1 - y) / 2 * box["height"]])

    def click(self, point: Sequence[float], shift: bool = False) -> None:
        if shift:
            self.page.keyboard.down("Shift")
        self.page.mouse.click(*self.at(point))
        if shift:
            self.page.keyboard.up("Shift")
        self.settled()

    def drag(
        self,
        start: tuple[float, float],
        end: tuple[float, float],
        button: Literal["left", "middle", "right"] = "left",
        moves: int = 6,
    ) -> None:
        """Press, move in a few steps, let go; positions on the page."""
        mouse = self.page.mouse
        mouse.move(*start)
        mouse.down(button=button)
        for i in range(1, moves + 1):
            mouse.move(*(a + (b - a) * i / moves for a, b in zip(start, end, strict=True)))
            self.page.wait_for_timeout(30)
        mouse.up(button=button)
        self.settled()

    # --- elements and the handle ------------------------------------------------------------------------------------

    def face_point(self, face: int, piece: str = "p1") -> Any:
        """A point of the surface in the middle of a face."""
        made = self.server.get(f"/api/designs/{self.design_id}/pieces/{piece}/surface?level=2")
        quads = np.array(made["quads"])[np.array(made["face_of_quad"]) == face]
        corners, counts = np.unique(quads, return_counts=True)
        return np.array(made["positions"])[corners[counts == 4][0]]

    def faces_where(self, test: Any, piece: str = "p1") -> list[int]:
        """Faces of the cage whose middle (x, y, z) passes a test."""
        cage = self.cage(piece)
        points = np.array(cage["positions"])
        return [i for i, face in enumerate(cage["faces"]) if test(*points[face].mean(axis=0))]

    def chosen(self) -> str:
        return self.page.get_by_test_id("chosen").inner_text()

    def pixels_per_mm(self, point: Any) -> float:
        """How many pixels a millimetre square to the view spans at a point."""
        random = np.random.default_rng(0).normal(size=(4000, 3))
        ways = random / np.linalg.norm(random, axis=1, keepdims=True)
        seen = self.project(np.array(point) + np.concatenate([ways, [[0.0, 0, 0]]]) * 0.01)
        return float(np.linalg.norm(seen[:-1] - seen[-1], axis=1).max() / 0.01)

    def handle_point(self, middle: Any, along: Any, share: float) -> Any:
        """A model point on the handle: ``share`` of the length of its arrows away from the middle."""
        return np.array(middle) + np.array(along) * share * 95 / self.pixels_per_mm(middle)

    def pull(self, middle: Any, along: Any, amount: float, share: float = 0.75) -> None:
        """Drag an arrow of the handle by an amount in mm."""
        start = self.handle_point(middle, along, share)
        self.drag(self.at(start), self.at(start + np.array(along) * amount))
