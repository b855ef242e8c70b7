"""Make the pictures of docs/screenshots from the demo data: `make shots`."""

from __future__ import annotations

import tempfile
from pathlib import Path

from playwright.sync_api import sync_playwright

from tests.e2e.harness import Screen, Server, launch

TARGET = Path(__file__).parents[2] / "docs" / "screenshots"


def main() -> None:
    with tempfile.TemporaryDirectory(ignore_cleanup_errors=True) as folder, sync_playwright() as playwright:
        browser = launch(playwright)
        server = Server(Path(folder) / "data", demo=True)
        try:
            screen = Screen(browser.new_page(viewport={"width": 1280, "height": 800}), server)
            for name, show in (("first-screen", first_screen), ("shape", shape), ("make", make), ("open-edges", open_edges)):
                show(screen)
                screen.page.screenshot(path=TARGET / f"{name}.png")
                print(f"{name}.png")
        finally:
            server.kill()
            browser.close()


def first_screen(screen: Screen) -> None:
    screen.page.goto(screen.server.address)
    screen.page.wait_for_function(
        "() => { const all = [...document.querySelectorAll('main img')];"
        " return all.length === 5 && all.every(i => i.complete && i.naturalWidth); }"
    )


def shape(screen: Screen) -> None:
    """Faces of the palm rest extruded a little: picked, previewed, not applied."""
    screen.open_design("Paddle grip")
    palm = screen.faces_where(lambda x, y, z: z > 12 and abs(x) < 17)
    screen.click(screen.face_point(palm[0]))
    for face in palm[1:]:
        screen.click(screen.face_point(face), shift=True)
    screen.page.keyboard.press("x")
    screen.field("Distance").fill("6")
    screen.page.get_by_text("not applied yet").wait_for()
    screen.page.mouse.move(640, 690)
    screen.settled()


def make(screen: Screen) -> None:
    screen.page.keyboard.press("Escape")
    screen.page.get_by_role("navigation").get_by_text("Make", exact=True).click()
    screen.page.get_by_label("Show surface").click()
    screen.button("Make solid").click()
    screen.page.get_by_text("Watertight").wait_for(timeout=90_000)
    screen.page.mouse.move(900, 600)
    screen.settled()


def open_edges(screen: Screen) -> None:
    screen.open_design("Bailing scoop")
    screen.page.get_by_role("navigation").get_by_text("Make", exact=True).click()
    screen.page.get_by_label("Show both").click()
    screen.button("Make solid").click()
    screen.page.get_by_text("The cage is open along").wait_for()
    screen.page.mouse.move(900, 600)
    screen.settled()


if __name__ == "__main__":
    main()
