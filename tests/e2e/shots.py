"""Make the pictures of docs/screenshots from the demo data: `make shots`."""

from __future__ import annotations

import base64
import re
import tempfile
from pathlib import Path

import numpy as np
from playwright.sync_api import sync_playwright

from tests.e2e.harness import Screen, Server, launch

TARGET = Path(__file__).parents[2] / "docs" / "screenshots"


def main() -> None:
    with tempfile.TemporaryDirectory(ignore_cleanup_errors=True) as folder, sync_playwright() as playwright:
        browser = launch(playwright)
        server = Server(Path(folder) / "data", demo=True)
        try:
            screen = Screen(browser.new_page(viewport={"width": 1280, "height": 800}), server)
            for show in SHOWN:
                name = show.__name__.replace("_", "-")
                show(screen)
                screen.page.screenshot(path=TARGET / f"{name}.png")
                screen.page.set_viewport_size({"width": 1280, "height": 800})
                print(f"{name}.png")
        finally:
            server.kill()
            browser.close()


def first_screen(screen: Screen) -> None:
    screen.page.goto(screen.server.address)
    screen.page.wait_for_function(
        "() => { const all = [...document.querySelectorAll('main img')];"
        " const seen = all.filter(i => i.getBoundingClientRect().top < innerHeight);"
        " return all.length > 6 && seen.every(i => i.complete && i.naturalWidth); }"
    )


def set_out(screen: Screen) -> None:
    """The lantern's references, its housing cut open across y, the component in hand."""
    screen.open_design("Tide lantern")
    screen.station("Set out")
    screen.tool("Section")
    screen.page.get_by_label("Cut across y").click()
    screen.page.get_by_role("button", name="battery cell", exact=True).click()
    screen.page.mouse.move(900, 560)
    screen.settled()
    screen.page.wait_for_timeout(600)
    screen.settled()


def rough(screen: Screen) -> None:
    """A ring in hand beside what is there."""
    screen.station("Set out")
    screen.tool("Section")
    screen.button("Whole again").click()
    screen.page.get_by_label("Hide lantern sketch").click()
    screen.station("Rough")
    screen.tool("Ring")
    screen.field("Bore").fill("44")
    screen.field("Width").fill("9")
    screen.field("Thickness").fill("4")
    screen.button("Place…").click()
    screen.field("Middle z").fill("-10")
    screen.page.get_by_text("not applied yet").wait_for()
    at_rest(screen)


def growing(screen: Screen) -> None:
    """One point of the bangle's one wave is pulled, not applied yet: all thirty-two follow."""
    screen.open_design("Ripple bangle")
    screen.press("m")
    screen.press("v")
    point = screen.cage("p1")["positions"][2]
    screen.click(point)
    x, y = screen.at(screen.handle_point(point, (0, 0, 1), 0.75))
    screen.page.mouse.move(x, y)
    screen.page.mouse.down()
    screen.page.mouse.move(x, y - 24, steps=4)
    screen.settled()
    screen.page.get_by_text("not applied yet").wait_for()
    screen.page.mouse.up()
    screen.settled()
    screen.station("Rough")
    screen.page.get_by_label("Pieces", exact=True).get_by_text("Ripples round", exact=True).click()
    screen.page.get_by_label("Change how Ripples round grows").click()
    at_rest(screen)


def stones(screen: Screen) -> None:
    """The bangle's prongs being changed, seen from near."""
    screen.open_design("Ripple bangle, set")
    screen.station("Make")
    screen.page.get_by_label("Pieces", exact=True).get_by_text("Hoop", exact=True).click()
    screen.settled()
    screen.page.get_by_label("Change Prongs").click()
    screen.page.get_by_test_id("body-facts").wait_for()
    screen.page.get_by_text("Surface", exact=True).first.click()
    screen.settled()
    screen.page.mouse.move(*screen.at((20.0, -24.0, 0.0)))
    for _ in range(7):
        screen.page.mouse.wheel(0, -150)
        screen.settled()
    at_rest(screen)


def two_views(screen: Screen) -> None:
    """Quads laid on the sketch from the front, seen from the side as well."""
    page = screen.page
    page.keyboard.press("Escape")
    page.keyboard.press("Escape")
    page.get_by_label("Show lantern sketch").click()
    page.get_by_label("Hide battery cell").click()
    page.get_by_label("Show battery cell").wait_for()
    for piece in ("Housing", "all of Fittings"):
        page.get_by_label(f"Hide {piece}", exact=True).click()
        page.get_by_label(f"Show {piece}", exact=True).wait_for()
    page.keyboard.press("z")
    screen.choose("Working plane", "picture lantern sketch")
    screen.viewport.focus()
    for key in ("1", "0", "8", "."):
        page.keyboard.press(key)
        screen.settled()
    page.get_by_label("Second view from right").click()
    screen.settled()
    steps = screen.state()["steps"][-1]["place"]
    for number, corners in enumerate((
        ((-21, -49), (-17, -38), (0, -40), (0, -50)),
        ((-17.2, -20), (0, -20), (-8, -39)),
        ((-15.6, 2), (0, 2), (-8, -20)),
    )):  # fmt: skip
        for x, z in corners:
            screen.click((x, 0, z))
        screen.steps(steps + 1 + number)
    page.mouse.move(*screen.at((-16, 0, 24)))
    screen.settled()


def variants(screen: Screen) -> None:
    page = screen.page
    page.get_by_label("Close the second view").click()
    page.keyboard.press("Escape")
    page.get_by_label("More for Housing, variant 1").click()
    page.get_by_role("menuitem", name="Compare with Housing").click()
    screen.viewport.focus()
    for key in ("0", "7", "."):
        page.keyboard.press(key)
        screen.settled()
    page.mouse.move(900, 560)
    screen.settled()


def shape(screen: Screen) -> None:
    """Faces of the palm rest extruded a little: picked, previewed, not applied."""
    screen.page.keyboard.press("Escape")
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


def scans(screen: Screen) -> None:
    """A knob rebuilt from a scan: how far its surface lies from it."""
    screen.page.keyboard.press("Escape")
    screen.open_design("Tiller knob")
    screen.station("Prove")
    screen.page.keyboard.press("Escape")
    screen.page.get_by_label(re.compile("^Map: Knob")).click()
    screen.page.get_by_test_id("map-share").wait_for()
    screen.page.mouse.move(*screen.at((8.0, -14.0, -6.0)))
    at_rest(screen)


def relief(screen: Screen) -> None:
    """A bowl with ripples and a rope; a brush lies on its side."""
    screen.page.keyboard.press("Escape")
    screen.open_design("Rippled cup")
    screen.station("Relief")
    screen.page.get_by_text("Cup", exact=True).first.click()
    screen.page.get_by_test_id("relief").wait_for()
    screen.settled()
    screen.page.mouse.move(610, 420)
    at_rest(screen)


def refine(screen: Screen) -> None:
    """A loop at the collar of the grip that holds its form, and says by how much it strays."""
    screen.open_design("Paddle grip")
    screen.station("Refine")
    screen.viewport.focus()
    screen.page.keyboard.press("e")
    cage = screen.cage()
    points = np.array(cage["positions"])
    ends = points[np.array(cage["edges"])]
    middles = ends.mean(axis=1)
    rungs = (np.ptp(ends, axis=1)[:, 2] > 10) & (middles[:, 2] < -40) & (middles[:, 1] < -10) & (np.abs(middles[:, 0]) < 1)
    screen.click(middles[np.flatnonzero(rungs)[0]])
    screen.choose("Surface", "hold form")
    screen.field("At").fill("30")
    screen.page.get_by_text("It strays from the form by at most").wait_for()
    at_rest(screen)


def curves(screen: Screen) -> None:
    """A section along the toggle with its comb."""
    screen.open_design("Dry-bag toggle")
    screen.station("Refine")
    screen.tool("Curves")
    screen.page.get_by_label("Section across y").click()
    screen.page.get_by_text("Smallest radius").wait_for()
    at_rest(screen)


def make(screen: Screen) -> None:
    screen.page.keyboard.press("Escape")
    screen.open_design("Paddle grip")
    screen.page.get_by_role("navigation").get_by_text("Make", exact=True).click()
    screen.page.get_by_label("Show surface").click()
    screen.button("Make solid").click()
    screen.page.get_by_text("Watertight").wait_for(timeout=90_000)
    screen.page.mouse.move(900, 600)
    screen.settled()


def _collared(screen: Screen) -> None:
    """A collar joined to the grip, a radius that breaks, and the one that holds."""
    screen.page.get_by_label("Show both").click()
    screen.tool("Combine")
    for label, value in (("z", "-66"), ("Radius", "21"), ("Height", "14")):
        screen.field(label).fill(value)
    screen.page.get_by_text("not applied yet").wait_for()
    screen.press("Enter")
    screen.steps(16)
    screen.tool("Fillet")
    screen.field("Radius").fill("9")
    screen.page.get_by_text("not applied yet").wait_for()
    screen.button("Find the largest radius that holds").click()
    screen.page.get_by_test_id("found").wait_for(timeout=120_000)
    screen.settled()


def followers(screen: Screen) -> None:
    """The grip with a collar, filleted, hollowed and trimmed, cut open to look inside."""
    _collared(screen)
    screen.field("Radius").fill("3")
    screen.press("Enter")
    screen.steps(17)
    for step, (tool, label, value) in enumerate((("Hollow", "Wall", "2"), ("Trim", "At", "-62")), start=18):
        screen.tool(tool)
        screen.field(label).fill(value)
        screen.page.get_by_text("not applied yet").wait_for()
        screen.press("Enter")
        screen.steps(step)
    screen.station("Set out")
    screen.tool("Section")
    screen.page.get_by_label("Cut across y").click()
    screen.page.get_by_label("Show surface").click()
    screen.page.wait_for_timeout(4000)
    screen.settled()


def print_bench(screen: Screen) -> None:
    screen.button("Whole again").click()
    screen.station("Make")
    screen.tool("Print bench")
    screen.field("Least wall").fill("2.5")
    screen.button("Hand over Grip").click()
    screen.page.get_by_test_id("bench-answer").wait_for(timeout=90_000)
    screen.page.wait_for_timeout(1500)
    screen.settled()


def prove(screen: Screen) -> None:
    """The wall of the ford ring as a map, with the value under the pointer."""
    screen.open_design("Ford ring")
    screen.station("Prove")
    screen.page.get_by_label("Show surface").click()
    screen.page.get_by_label(re.compile("^Map: Wall of Band")).click()
    screen.page.get_by_test_id("map-share").wait_for()
    screen.settled()
    screen.page.mouse.move(*screen.at((2.0, 0.0, 10.8)))
    screen.settled()
    screen.page.wait_for_timeout(400)


def sheet(screen: Screen) -> None:
    """The first page of the ford ring's proof sheet, as it is printed."""
    screen.open_design("Ford ring")
    screen.station("Prove")
    screen.tool("Proof sheet")
    screen.button("Draw the sheet").click()
    with screen.page.expect_download(timeout=120_000) as waiting:
        screen.button("Page (HTML)").click()
    with tempfile.TemporaryDirectory() as folder:
        page = Path(folder) / "sheet.html"
        waiting.value.save_as(page)
        screen.page.goto(page.as_uri())
        screen.page.evaluate("document.body.style.zoom = 0.98")
        screen.page.wait_for_timeout(400)


def true_pictures(screen: Screen) -> None:
    """Two demo pieces as light shows them: a gold ring with its stones on a cone, and glazed clay at a window."""
    asked = (
        ("Ford ring", "Light tent", None, "Ring cone"),
        ("Hand bailer", "North window", "Glazed clay, in its own colour"),
    )
    taken = [base64.b64encode(_taken(screen, *one)).decode() for one in asked]
    columns = "".join(f'<img src="data:image/png;base64,{one}" width="632">' for one in taken)
    look = "margin:0;background:#F4F1EA;display:flex;gap:16px;align-items:center;height:480px"
    screen.page.set_viewport_size({"width": 1280, "height": 480})
    # A page of its own: that of the application lets no styles in.
    screen.page.goto("about:blank")
    screen.page.set_content(f'<body style="{look}">{columns}</body>')
    screen.page.wait_for_timeout(400)


def _taken(screen: Screen, design: str, light: str, finish: str | None, stand: str | None = None) -> bytes:
    screen.open_design(design)
    screen.station("Prove")
    if stand:
        screen.tool("Stand")
        screen.choose("Stand", stand)
        screen.button("Put it up").click()
        screen.page.get_by_label(f"Hide {stand}").wait_for()
    screen.tool("True picture")
    if finish:
        screen.page.get_by_label("Tool card").get_by_role("combobox", name="is of").click()
        screen.page.get_by_role("option", name=finish).click()
    screen.choose("Light", light)
    screen.choose("How fine", "fine")
    screen.button("Take the picture").click()
    saved = screen.page.get_by_label("Pictures that are kept").get_by_role("button", name=re.compile("^Save picture"))
    saved.wait_for(timeout=400_000)
    with screen.page.expect_download() as waiting:
        saved.click()
    return Path(waiting.value.path()).read_bytes()


def at_rest(screen: Screen) -> None:
    """Nothing hovered, and nothing on its way."""
    screen.page.mouse.move(900, 560)
    screen.settled()
    screen.page.wait_for_timeout(400)


SHOWN = (
    first_screen,
    set_out,
    rough,
    two_views,
    variants,
    shape,
    scans,
    refine,
    relief,
    curves,
    make,
    followers,
    print_bench,
    prove,
    sheet,
    true_pictures,
    growing,
    stones,
)


if __name__ == "__main__":
    main()
