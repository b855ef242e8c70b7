"""What a pick and a drag cost on a cage of about 2,000 faces at level 3: the rules, and the whole way in a browser.

Figures are ratios to a plain request to the same server from the same page, so that a busy machine is seen as such.
"""

from __future__ import annotations

import tempfile
from pathlib import Path

from playwright.sync_api import sync_playwright

from bench.timing import best
from tests.e2e.harness import Screen, Server, launch
from zinc_otter.core.cage import Selection
from zinc_otter.core.cage.picking import band, grow, loops_of, rings_of, similar_normal
from zinc_otter.core.primitives import box

COUNT = 18

REFERENCE = """async () => {
  const times = [];
  for (let i = 0; i < 30; i++) {
    const start = performance.now();
    await (await fetch("/api/health")).text();
    times.push(performance.now() - start);
  }
  return Math.min(...times);
}"""

_HOVERS = """(points) => {
  const host = document.querySelector("[data-testid=viewport]");
  const times = points.map(([x, y]) => {
    const start = performance.now();
    host.dispatchEvent(new PointerEvent("pointermove", { clientX: x, clientY: y, pointerId: 1, bubbles: true }));
    return performance.now() - start;
  });
  times.sort((a, b) => a - b);
  return times[times.length >> 1];
}"""

# From the moved pointer to the preview's words: handle, command, server, frame, buffers and React, all in.
_DRAG = """async ([x, y, moves]) => {
  const host = document.querySelector("[data-testid=viewport]");
  const event = (type, dx) => host.dispatchEvent(new PointerEvent(type, {
    clientX: x + dx, clientY: y, pointerId: 1, button: 0, buttons: 1, bubbles: true, isPrimary: true }));
  host.setPointerCapture = () => undefined;
  event("pointermove", 0);
  event("pointerdown", 0);
  const times = [];
  for (let i = 1; i <= moves; i++) {
    const list = document.querySelector("[aria-label=Steps]");
    const changed = new Promise((done) => {
      const watch = new MutationObserver(() => { watch.disconnect(); done(); });
      watch.observe(list, { subtree: true, childList: true, characterData: true });
    });
    const start = performance.now();
    event("pointermove", 3 * i);
    await Promise.race([changed, new Promise((done) => setTimeout(done, 3000))]);
    times.push(performance.now() - start);
    await new Promise((done) => setTimeout(done, 150));
  }
  window.dispatchEvent(new KeyboardEvent("keydown", { key: "Escape", bubbles: true }));
  times.sort((a, b) => a - b);
  return times[times.length >> 1];
}"""


def rules() -> None:
    cage = box((40, 40, 40), (COUNT,) * 3)
    t = cage.topology
    base = best(lambda: t.vertex_valence.sum())
    every = {
        "loop of an edge": lambda: loops_of(t, Selection.of("edge", [700])),
        "ring of an edge": lambda: rings_of(t, Selection.of("edge", [700])),
        "band between two faces": lambda: band(t, Selection.of("face", [10, 1200])),
        "grow a hundred faces": lambda: grow(t, Selection.of("face", range(100))),
        "similar normals": lambda: similar_normal(cage, Selection.of("face", [10]), 15),
    }
    for name, act in every.items():
        print(f"       {name:30} {1e3 * best(act):7.2f} ms   ({best(act) / base:6.0f} x a sum over its vertices)")


def browser() -> None:
    with tempfile.TemporaryDirectory(ignore_cleanup_errors=True) as folder, sync_playwright() as playwright:
        chromium = launch(playwright)
        server = Server(Path(folder) / "data")
        try:
            screen = Screen(chromium.new_page(viewport={"width": 1280, "height": 800}), server)
            state = server.post("/api/designs", {"name": "Bench"})
            command = {"kind": "add-box", "size": [40, 40, 40], "counts": [COUNT] * 3}
            server.post(f"/api/designs/{state['id']}/commands", {"revision": state["revision"], "command": command})
            screen.open_design("Bench")
            screen.page.get_by_role("button", name="Look…").click()
            screen.page.get_by_label("Smoothness: 3").click()
            screen.page.keyboard.press("Escape")
            screen.settled()
            reference = screen.page.evaluate(REFERENCE)
            print(f"       a plain request from the page   {reference:7.2f} ms   (the reference)")
            points = [screen.at((x, -20, z)) for x in range(-18, 19, 6) for z in range(-18, 19, 6)]
            for key, kind in (("f", "a face"), ("e", "an edge"), ("v", "a vertex")):
                screen.page.keyboard.press(key)
                screen.settled()
                screen.page.evaluate(_HOVERS, points[:2])
                cost = screen.page.evaluate(_HOVERS, points)
                print(f"       hover over {kind:20} {cost:7.2f} ms   ({cost / reference:6.2f} x)")
            for words, keys in (("one vertex", "v"), ("all of the cage", "a")):
                screen.page.keyboard.press("Escape")
                screen.page.keyboard.press("m")
                if keys == "v":
                    screen.click((20, -20, 20))
                    at = (20, -20, 20)
                else:
                    screen.page.keyboard.press("a")
                    at = (0, 0, 0)
                screen.settled()
                x, y = screen.at(screen.handle_point(at, (1, 0, 0), 0.75))
                cost = screen.page.evaluate(_DRAG, [x, y, 12])
                print(f"       drag of {words:23} {cost:7.2f} ms   ({cost / reference:6.2f} x)  pointer to preview")
                screen.settled()
        finally:
            server.kill()
            chromium.close()


def main() -> None:
    print(f"Picking and dragging, {6 * COUNT * COUNT} faces at level 3")
    rules()
    browser()
