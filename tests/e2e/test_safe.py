"""The printed address, pages of other places, steps that are forgotten, and work that is stopped: in Chromium."""

from __future__ import annotations

import socket
import threading
from http.server import BaseHTTPRequestHandler, ThreadingHTTPServer

from tests.e2e.case import BrowserCase

_PAGE = """<!doctype html><iframe src="{0}/"></iframe><img src="{0}/favicon.svg"><script>
window.told = [];
for (const way of ["cors", "no-cors"]) fetch("{0}/api/designs", {{ mode: way, credentials: "include" }})
  .then((a) => a.text()).then((t) => told.push(way + " " + t.length), () => told.push(way + " refused"));
const socket = new WebSocket("{1}/api/designs/x/live");
socket.onopen = () => told.push("socket open"); socket.onclose = () => told.push("socket closed");
</script>"""


class Elsewhere:
    """A page of another origin on this machine, that would like to look in."""

    def __init__(self, address: str) -> None:
        page = _PAGE.format(address, address.replace("http", "ws")).encode()

        class Handler(BaseHTTPRequestHandler):
            def do_GET(self) -> None:
                self.send_response(200)
                self.send_header("Content-Type", "text/html")
                self.end_headers()
                self.wfile.write(page)

            def log_message(self, *_: object) -> None:
                pass

        self.server = ThreadingHTTPServer(("127.0.0.1", 0), Handler)
        self.address = f"http://127.0.0.1:{self.server.server_port}/"
        threading.Thread(target=self.server.serve_forever, daemon=True).start()


class Door(BrowserCase):
    own_page = True

    def test_the_printed_address_opens_and_the_plain_one_says_how(self) -> None:
        context = self.browser.new_context()
        self.addCleanup(context.close)
        page = context.new_page()
        self.assertEqual(page.goto(self.server.address).status, 401)
        self.assertIn("it ends in “?key=…”", page.inner_text("main"))
        printed = (self.server.data / "address").read_text("utf-8").strip()
        self.assertTrue(printed.startswith(f"{self.server.address}/?key="))
        page.goto(printed)
        page.get_by_text("Begin a new design").wait_for()
        self.assertEqual(page.url, f"{self.server.address}/")
        page.goto(self.server.address)
        page.get_by_text("Begin a new design").wait_for()

    def test_a_page_of_another_place_can_neither_frame_nor_fetch(self) -> None:
        elsewhere = Elsewhere(self.server.address)
        self.addCleanup(elsewhere.server.shutdown)
        context = self.browser.new_context()
        self.addCleanup(context.close)
        page = context.new_page()
        page.goto((self.server.data / "address").read_text("utf-8").strip())
        page.get_by_text("Begin a new design").wait_for()
        page.goto(elsewhere.address)
        page.wait_for_function("() => told.length >= 3")
        self.assertEqual(sorted(page.evaluate("told")), ["cors refused", "no-cors refused", "socket closed"])
        self.assertEqual(page.evaluate("document.images[0].naturalWidth"), 0)
        framed = page.frames[1]
        self.assertFalse(framed.url.startswith(self.server.address) and framed.get_by_text("Begin a new design").count())

    def test_nothing_of_the_page_breaks_its_own_policy(self) -> None:
        heard: list[str] = []
        self.page.on("console", lambda m: heard.append(m.text) if "Content Security Policy" in m.text else None)
        self.begin_box()
        self.page.goto(f"{self.server.address}/docs")
        self.page.get_by_text("Zinc Otter", exact=False).first.wait_for()
        self.assertEqual(heard, [])


class Arriving(BrowserCase):
    own_page = True

    def test_half_sent_requests_are_given_up(self) -> None:
        held = []
        whole = b"GET /api/health HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n"
        for words in (b"", whole[:-6], b"GET / HT", whole + b"GET / HT") * 15:
            one = socket.create_connection(("127.0.0.1", self.server.port))
            self.addCleanup(one.close)
            one.sendall(words)
            one.settimeout(25)
            held.append(one)
        self.assertEqual(self.server.get("/api/health"), {"status": "ok"})
        for one in held:
            answer = b""
            while part := one.recv(4000):
                answer += part
            self.assertIn(answer[:15], (b"", b"HTTP/1.1 200 OK"))


class Long(BrowserCase):
    own_page = True

    def test_early_steps_are_shown_by_asking_and_forgotten_by_asking(self) -> None:
        add = {"kind": "add-box", "size": (40, 30, 20), "counts": (2, 2, 1)}
        self.begin_with(add, *({"kind": "rename-piece", "piece": "p1", "name": f"Float {k}"} for k in range(180)))
        steps = self.page.locator("[aria-label=Steps] li")
        self.assertEqual(steps.count(), 151)
        self.screen.button("Show earlier ones (31)").click()
        steps.nth(181).wait_for()
        self.assertIn("Began the design", steps.first.inner_text())
        self.screen.button("Thin out…").click()
        self.screen.field("Steps to keep").fill("0")
        self.assertTrue(self.screen.button("Forget them").is_disabled())
        self.screen.field("Steps to keep").fill("30")
        self.page.get_by_text("152 early steps, and all that was undone and replaced, are forgotten").wait_for()
        self.screen.button("Forget them").click()
        self.page.wait_for_function("() => document.querySelectorAll('[aria-label=Steps] li').length === 30")
        state = self.screen.state()
        self.assertEqual((state["earlier"], state["head"], state["pieces"][0]["name"]), (0, 29, "Float 179"))
        self.screen.button("Undo").click()
        self.page.get_by_text("Float 178").first.wait_for()

    def test_long_work_says_so_and_is_stopped(self) -> None:
        self.begin_with({"kind": "add-box", "size": (40, 30, 20), "counts": (34, 34, 34)})
        before = self.screen.state()["revision"]
        self.screen.station("Refine")
        self.screen.press("w")
        box = self.screen.viewport.bounding_box()
        self.page.mouse.click(box["x"] + box["width"] / 2, box["y"] + box["height"] / 2)
        self.screen.tool("Relax")
        self.page.get_by_role("button", name="Relax", exact=True).last.click()
        stop = self.screen.button("Stop")
        stop.wait_for()
        self.assertRegex(self.page.get_by_role("status").first.inner_text(), r"working, \d+ s")
        stop.click()
        stop.wait_for(state="detached")
        self.assertEqual(self.screen.state()["revision"], before)
        self.assertEqual(self.page.get_by_role("alert").count(), 0)
        # It can be gone on with at once.
        self.screen.button("Undo").click()
        present = self.page.locator("[aria-label=Steps] [aria-current=step]")
        present.get_by_text("Began the design").wait_for()
