"""What React draws anew, and what the browser loads: counted on a build that keeps the components' names."""

from __future__ import annotations

from functools import cache

import numpy as np

from tests.e2e.case import BrowserCase, lasting_server
from tests.e2e.harness import Server
from tests.e2e.renders import count_renders, named_build, rendered

STRIP = {"FactStrip", "Chosen", "Counts", "Clearances", "ClickHint"}
CARD = {"Numbers", "FieldRow", "FieldInput", "NumberField", "Deeds", "CardHint", "ShowWhere"}


@cache
def with_names() -> Server:
    return lasting_server(named_build())


class Renders(BrowserCase):
    own_page = True

    def server_here(self) -> Server:
        return with_names()

    def setUp(self) -> None:
        super().setUp()
        count_renders(self.page)
        self.begin_box((60, 40, 20), (6, 4, 2))

    def test_moves_of_the_pointer_draw_only_the_fact_strip(self) -> None:
        x, y = self.screen.at((0, 0, 10))
        self.page.mouse.move(x - 90, y)
        self.screen.settled()
        rendered(self.page)
        for i in range(33):
            self.page.mouse.move(x - 190 + 12 * i, y + 60 * (i % 3))
            self.screen.settled()
        counts = rendered(self.page)
        self.assertGreater(counts.get("ClickHint", 0), 3, "the strip says what a click takes")
        self.assertEqual(counts.keys(), {"ClickHint"}, counts)

    def test_frames_of_a_drag_draw_only_the_card_and_the_strip(self) -> None:
        face = self.screen.faces_where(lambda x, y, z: z > 9 and abs(x - 5) < 1 and abs(y - 5) < 1)[0]
        middle = self.screen.face_point(face)
        self.screen.click(middle)
        self.page.get_by_test_id("chosen").get_by_text("1 face picked").wait_for()
        held = np.array(self.screen.cage()["positions"])[self.screen.cage()["faces"][face]].mean(axis=0)
        start = self.screen.handle_point(held, (0, 0, 1), 0.75)
        mouse = self.page.mouse
        mouse.move(*self.screen.at(start))
        mouse.down()
        # The first frame of a drag brings the button to call it off, and says that nothing is kept yet.
        mouse.move(*self.screen.at(start + [0, 0, 1]))
        self.screen.settled()
        rendered(self.page)
        frames = 8
        for i in range(frames):
            mouse.move(*self.screen.at(start + [0, 0, 2 + i]))
            self.screen.settled()
        counts = rendered(self.page)
        mouse.up()
        self.assertGreaterEqual(counts.get("FieldRow", 0), frames, counts)
        self.assertLessEqual(counts.keys(), STRIP | CARD, counts)
        # Of five numbers one is drawn anew.
        self.assertLessEqual(counts["NumberField"], 2 * frames, counts)

    def test_the_first_screen_does_without_the_drawing_in_space(self) -> None:
        self.expected_errors = ("net::ERR_FAILED", "Failed to fetch dynamically imported module")
        self.page.route("**/DesignScreen*", lambda route: route.abort())
        self.page.goto(self.server.address + "/")
        self.page.get_by_role("button", name="Open Trial").first.wait_for()
        self.screen.button("More for Trial").first.click()
        self.page.get_by_role("menuitem", name="Save as an archive").wait_for()

    def test_files_travel_compressed_and_are_kept_for_good(self) -> None:
        with self.page.expect_response(lambda r: r.url.endswith(".js") and "/assets/" in r.url) as waiting:
            self.page.goto(self.server.address + "/")
        self.assertIn("immutable", waiting.value.headers["cache-control"])
