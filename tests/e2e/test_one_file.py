"""A tool appears by adding one file; and a page of another version says so."""

from __future__ import annotations

import atexit
import shutil
import subprocess
import tempfile
from functools import cache
from pathlib import Path

import msgpack
from playwright.sync_api import WebSocketRoute

from tests.e2e.case import BrowserCase, VerbCase, lasting_server
from tests.e2e.harness import Server
from tests.e2e.renders import WEB

TRIAL = """import { drawn, verb } from "../../model/tool";
import { length } from "../shared/fields";

export const tool = verb({
  id: "trial", name: "Trial lift", key: "Shift X", station: "prove", section: "Trials", order: 1, opens: true,
  icon: drawn(["M4 20h16", "M12 16V4"]),
  hint: "Lifts what is picked.", needs: "selection", eager: true, verb: "Lift",
  fields: { rise: length("Rise", 3, { min: 0 }) },
  command: (v, { target }) => target && { kind: "move", ...target, vector: [0, 0, v.rise] },
});
"""


@cache
def with_trial() -> Server:
    """A server whose front end was built with one tool more, in one file more."""
    holder = tempfile.TemporaryDirectory(ignore_cleanup_errors=True)
    atexit.register(holder.cleanup)
    web = Path(holder.name) / "web"
    shutil.copytree(WEB, web, ignore=shutil.ignore_patterns("node_modules", "dist", "build"))
    (web / "node_modules").symlink_to(WEB / "node_modules")
    (web / "src" / "tools" / "prove" / "trial.ts").write_text(TRIAL, "utf-8")
    subprocess.run(["npm", "run", "--silent", "named"], cwd=web, check=True, capture_output=True)
    return lasting_server(web / "build" / "named")


class OneFile(VerbCase):
    own_page = True

    def server_here(self) -> Server:
        return with_trial()

    def test_a_tool_in_one_file(self) -> None:
        self.begin_box((40, 30, 20), (2, 2, 1))
        before = self.points()
        self.press("w")
        self.screen.click((0, -15, 0))
        self.screen.station("Prove")
        self.page.get_by_role("heading", name="Trial lift").wait_for()
        self.page.get_by_text("Lifts what is picked.").wait_for()
        self.screen.field("Rise").fill("7")
        self.previewed()
        self.apply(2)
        self.assertAlmostEqual(float((self.points() - before)[:, 2].min()), 7)
        # On the sheet of keys, and by its key from another station.
        self.press("?")
        self.page.get_by_role("dialog", name="All keys").get_by_text("Trial lift").wait_for()
        self.screen.button("Close").click()
        self.screen.station("Shape")
        self.press("Shift+X")
        self.page.get_by_role("heading", name="Trial lift").wait_for()


class OtherVersion(BrowserCase):
    own_page = True

    def test_a_page_of_another_version_says_that_it_is_to_be_loaded_again(self) -> None:
        def between(socket: WebSocketRoute) -> None:
            service = socket.connect_to_server()

            def renewed(message: bytes | str) -> None:
                assert isinstance(message, bytes)
                told = msgpack.unpackb(message, strict_map_key=False)
                if told["type"] == "state":
                    told["version"] += 1
                socket.send(msgpack.packb(told))

            service.on_message(renewed)

        self.page.route_web_socket("**/live", between)
        state = self.server.post("/api/designs", {"name": "Old page"})
        self.page.goto(f"{self.server.address}/design/{state['id']}")
        self.page.get_by_text("has been renewed since this page was loaded").wait_for()
        self.page.get_by_text("no connection, trying again").wait_for()
