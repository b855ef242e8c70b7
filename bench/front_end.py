"""What the front end costs: components drawn anew, bytes loaded, and the time from a click on a design to its first picture.

Counts are counts; times are ratios to a plain request from the same page. ``python -m bench.front_end`` alone, or with the
folders of other builds to compare: one as it is served, one that keeps the names of functions (``npm run named``).
"""

from __future__ import annotations

import os
import shutil
import sys
import tempfile
from pathlib import Path
from unittest.mock import patch

from playwright.sync_api import Page, sync_playwright

from bench.interface import REFERENCE
from tests.e2e.harness import Screen, Server, demo_data, launch
from tests.e2e.renders import count_renders, named_build

MOVES, FRAMES = 33, 10

DRAWING = "localStorage.setItem('zinc-otter.quick-drawing', 'yes'); localStorage.setItem('zinc-otter.smooth-drawing', 'no')"
_PICTURED = """() => {
  window.opened = 0;
  document.addEventListener("click", () => { window.opened = performance.now(); }, true);
  window.pictured = new Promise((done) => {
    const isDrawn = () => +document.querySelector("[data-testid=viewport]")?.dataset.frames > 0
      && document.querySelector("[aria-label=Steps] li");
    const look = () => (isDrawn() ? done(performance.now() - window.opened) : requestAnimationFrame(look));
    look();
  });
}"""


def served(data: Path, web: Path) -> Server:
    with patch.dict(os.environ, {"ZINC_OTTER_WEB": str(web)}):
        return Server(data)


def _screen(browser: object, server: Server) -> Screen:
    context = browser.new_context(viewport={"width": 1280, "height": 800})  # type: ignore[attr-defined]
    context.add_init_script(DRAWING)
    return Screen(context.new_page(), server)


def renders(browser: object, server: Server) -> tuple[int, int]:
    """All components of ours and of the libraries that are called anew: in moves of the pointer, and in frames of a drag."""
    screen = _screen(browser, server)
    count_renders(screen.page)
    screen.page.goto(server.address)
    screen.open_design("Paddle grip")
    screen.page.keyboard.press("m")
    face = screen.faces_where(lambda x, y, z: True)[0]
    middle = screen.face_point(face)
    x, y = screen.at(middle)
    take = "() => Object.values(window.rendered.take()).reduce((sum, n) => sum + n, 0)"
    screen.page.mouse.move(x, y)
    screen.settled()
    screen.page.evaluate(take)
    for i in range(MOVES):
        screen.page.mouse.move(x - 150 + 10 * i, y + 40 * (i % 3))
        screen.settled()
    moved = int(screen.page.evaluate(take))
    screen.click(middle)
    field = screen.field("Along z")
    field.fill("1")
    screen.settled()
    screen.page.evaluate(take)
    for i in range(FRAMES):
        field.fill(str(2 + i))
        screen.settled()
    return moved, int(screen.page.evaluate(take))


def loaded(page: Page, act: object) -> tuple[int, int]:
    """Bytes over the wire and bytes of scripts once unpacked, while something is done that needs them."""
    client = page.context.new_cdp_session(page)
    client.send("Network.enable")
    sizes = {"wire": 0, "script": 0}
    kinds: dict[str, str] = {}
    client.on("Network.responseReceived", lambda e: kinds.__setitem__(e["requestId"], e["type"]))
    client.on("Network.loadingFinished", lambda e: sizes.__setitem__("wire", sizes["wire"] + int(e["encodedDataLength"])))
    client.on(
        "Network.dataReceived",
        lambda e: sizes.__setitem__("script", sizes["script"] + e["dataLength"] * (kinds.get(e["requestId"]) == "Script")),
    )
    act()  # type: ignore[operator]
    return sizes["wire"], sizes["script"]


def first_picture(browser: object, server: Server) -> tuple[float, float, tuple[int, int], tuple[int, int]]:
    """The time from a click on a design to its first picture, in ms and to a plain request; bytes of both screens."""
    times = []
    for _ in range(4):
        screen = _screen(browser, server)
        page = screen.page

        def begin(page: Page = page) -> None:
            page.goto(server.address)
            page.get_by_role("button", name="Open Paddle grip").wait_for()

        first = loaded(page, begin)
        plain = float(page.evaluate(REFERENCE))
        page.evaluate(_PICTURED)
        # A person has read for a moment.
        page.wait_for_timeout(700)

        def enter(page: Page = page) -> None:
            page.get_by_role("button", name="Open Paddle grip").click()
            page.evaluate("() => window.pictured")

        second = loaded(page, enter)
        took = float(page.evaluate("() => window.pictured"))
        times.append((took, took / plain, first, second))
        page.context.close()
    return min(times)


def run(plain: Path | None = None, named: Path | None = None) -> None:
    with tempfile.TemporaryDirectory(ignore_cleanup_errors=True) as folder, sync_playwright() as playwright:
        browser = launch(playwright)
        data = Path(folder) / "data"
        shutil.copytree(demo_data(), data)
        server = served(data, named or named_build())
        moved, dragged = renders(browser, server)
        server.kill()
        server = served(data, plain or Path(__file__).parents[1] / "web" / "dist")
        took, ratio, first, second = first_picture(browser, server)
        server.kill()
        browser.close()
    print(f"components called anew: {moved} in {MOVES} moves of the pointer, {dragged} in {FRAMES} frames of a drag")
    print(f"first screen: {first[0] / 1e3:.0f} kB over the wire, {first[1] / 1e3:.0f} kB of scripts")
    print(f"then a design: {second[0] / 1e3:.0f} kB over the wire, {second[1] / 1e3:.0f} kB of scripts")
    print(f"from the click to the first picture: {took:.0f} ms, {ratio:.0f} plain requests")


if __name__ == "__main__":
    run(*(Path(given) for given in sys.argv[1:3]))
