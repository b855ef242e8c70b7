"""What the service answers is held back, as on a machine under load: the hand is ahead, and what it did last holds."""

from __future__ import annotations

import json
import re
from typing import Any

import msgpack
import numpy as np
from playwright.sync_api import Route, WebSocketRoute

from tests.e2e.case import VerbCase


class LateAnswers(VerbCase):
    own_page = True

    def setUp(self) -> None:
        super().setUp()
        self.held: list[bytes | str] = []
        self.said: list[bytes | str] = []
        self.sockets: list[WebSocketRoute] = []
        self.holding = False

        def between(socket: WebSocketRoute) -> None:
            self.sockets.append(socket)
            service = socket.connect_to_server()
            socket.on_message(lambda message: (self.said.append(message), service.send(message)))
            service.on_message(lambda message: self.held.append(message) if self.holding else socket.send(message))

        self.page.route_web_socket("**/live", between)
        self.begin_with({"kind": "add-box", "size": [60, 40, 20], "counts": [6, 4, 2], "size_of": "cage"})
        self.chosen = self.page.get_by_test_id("chosen")

    def key(self, key: str) -> None:
        """Press a key and wait for nothing."""
        self.screen.viewport.focus()
        self.page.keyboard.press(key)

    def hold(self, address: str) -> list[Route]:
        """Requests to an address wait here from now on."""
        waiting: list[Route] = []
        self.page.route(address, lambda route: waiting.append(route))
        return waiting

    def until_asked(self) -> None:
        self.page.wait_for_function("() => +document.documentElement.dataset.asking > 0")

    def until_held(self, held: list[Any]) -> None:
        """What was asked for may still be on its way on a busy machine."""
        for _ in range(100):
            self.page.wait_for_timeout(300)
            if held:
                return
        self.fail("nothing was asked for")

    def let_go(self) -> None:
        """Hand over what was held back."""
        self.until_held(self.held)
        self.holding = False
        for message in self.held:
            self.sockets[-1].send(message)
        self.screen.settled()

    def answer(self, waiting: list[Route]) -> None:
        """Let the requests that were held go their way."""
        self.until_held(waiting)
        for route in waiting:
            route.continue_()

    def type_for_a_vertex(self, rise: str) -> None:
        self.press("m")
        self.press("v")
        self.screen.click((20, 10, 10))
        self.screen.field("Along z").fill(rise)
        self.previewed()

    def pick_an_edge(self) -> None:
        self.press("e")
        self.screen.click((5, -10, 10))
        self.chosen.get_by_text("1 edge").wait_for()

    def test_who_goes_to_another_station_while_a_design_is_fetched_stays_there(self) -> None:
        self.holding = True
        self.screen.visit("/")
        self.page.get_by_label("Open Trial", exact=True).first.click()
        self.until_held(self.held)
        self.page.get_by_role("navigation").get_by_text("Prove", exact=True).click()
        self.let_go()
        self.page.locator("[aria-label=Steps] [aria-current=step]").wait_for()
        self.screen.settled()
        self.assertTrue(self.page.get_by_label("Tools of Prove").is_visible())

    def test_a_tool_taken_up_while_a_design_is_fetched_stays_in_hand(self) -> None:
        # A screen that was at Rough before has its tools there at once, also before a design is.
        self.page.get_by_role("navigation").get_by_text("Rough", exact=True).click()
        for tool in ("Draw wire", "Cylinder"):
            self.screen.visit("/")
            self.page.get_by_label("Name").fill("Late")
            self.holding = True
            self.screen.button("empty").click()
            self.until_held(self.held)
            self.screen.tool(tool)
            self.let_go()
            self.held.clear()
            self.page.locator("[aria-label=Steps] [aria-current=step]").wait_for()
            self.screen.settled()
            self.assertTrue(self.page.get_by_label("Tool card").get_by_text(tool, exact=True).is_visible())
        # What a form shows from the start is shown once there is a design to show it in.
        self.previewed()
        self.apply(1)
        self.assertEqual([piece["name"] for piece in self.screen.state()["pieces"]], ["Cylinder"])

    def test_a_preview_that_comes_after_another_pick_does_not_stay(self) -> None:
        self.pick_an_edge()
        self.holding = True
        self.page.get_by_role("navigation").get_by_text("Refine", exact=True).click()
        self.until_asked()
        self.key("f")
        self.chosen.get_by_text("face").wait_for()
        self.let_go()
        self.assertIn("face", self.chosen.inner_text())
        self.assertEqual(self.page.get_by_text("not applied yet").count(), 0)

    def test_a_rule_that_is_answered_late_does_not_take_back_a_later_pick(self) -> None:
        self.pick_an_edge()
        waiting = self.hold("**/pick")
        self.key("v")
        self.until_asked()
        self.page.mouse.click(*self.screen.at((20, 10, 10)))
        self.chosen.get_by_text("at 20, 10, 10 mm").wait_for()
        self.answer(waiting)
        self.screen.settled()
        self.chosen.get_by_text("at 20, 10, 10 mm").wait_for()

    def test_escape_calls_off_a_rule_that_is_not_answered_yet(self) -> None:
        self.pick_an_edge()
        waiting = self.hold("**/pick")
        self.press("m")
        self.key("v")
        self.until_asked()
        self.key("Escape")
        self.answer(waiting)
        self.screen.settled()
        self.chosen.get_by_text("No vertices picked").wait_for()
        # It was the pick that went, not the tool.
        self.screen.field("Along x").wait_for()

    def test_a_number_typed_right_after_a_click_is_for_what_was_clicked(self) -> None:
        self.type_for_a_vertex("3")
        before = self.points()
        # A click with a preview shown has to wait until the design is shown as it stands.
        self.holding = True
        self.page.mouse.click(*self.screen.at((-20, 10, 10)))
        self.until_asked()
        self.screen.field("Along z").fill("5")
        self.let_go()
        self.chosen.get_by_text("1 vertex").wait_for()
        self.previewed()
        self.apply(2)
        moved = self.points() - before
        changed = (abs(moved) > 1e-9).any(axis=1)
        self.assertEqual(changed.sum(), 1)
        np.testing.assert_allclose(before[changed], [[-20, 10, 10]], atol=1e-9)
        np.testing.assert_allclose(moved[changed], [[0, 0, 5]], atol=1e-9)

    def test_a_click_while_a_step_is_being_kept_picks_after_it(self) -> None:
        self.type_for_a_vertex("3")
        self.holding = True
        self.page.keyboard.press("Enter")
        self.until_asked()
        self.page.mouse.click(*self.screen.at((-20, 10, 10)))
        self.let_go()
        self.screen.steps(2)
        self.chosen.get_by_text("at -20, 10, 10 mm").wait_for()

    def test_an_expression_typed_in_a_drag_counts_also_where_the_hand_lets_go_at_once(self) -> None:
        self.press("m")
        self.press("v")
        self.screen.click((20, 10, 10))
        before = self.points()
        # Half an expression is no number yet.
        self.expected_errors = ("422",)
        waiting = self.hold("**/number?*")
        start = self.screen.handle_point((20, 10, 10), (0, 0, 1), 0.75)
        self.page.mouse.move(*self.screen.at(start))
        self.page.mouse.down()
        self.page.mouse.move(*self.screen.at(start + (0, 0, 2)), steps=3)
        for key in "9/2":
            self.page.keyboard.press(key)
        self.page.mouse.up()
        self.answer(waiting)
        self.screen.steps(2)
        moved = (self.points() - before)[(self.points() != before).any(axis=1)]
        np.testing.assert_allclose(moved, [[0, 0, 4.5]], atol=1e-9)

    def test_buttons_wait_until_an_expression_beside_them_is_read(self) -> None:
        self.screen.station("Make")
        self.screen.tool("Print bench")
        waiting = self.hold("**/number?*")
        self.screen.field("Layer").fill("1/50 in")
        hand = self.page.get_by_role("button", name=re.compile("Hand over"))
        self.assertTrue(hand.is_disabled())
        # What is not read yet is not called wrong.
        self.assertFalse(self.page.get_by_text("A number is wrong").is_visible())
        self.answer(waiting)
        # Pressed as soon as it may be, it is done with what was typed.
        hand.click()
        answer = self.page.get_by_test_id("bench-answer")
        answer.wait_for(timeout=60_000)
        # By 0.2 mm as before they were twice as many and more.
        self.assertIn(int(re.findall(r"(\d+) layers", answer.inner_text())[0]), (37, 38, 39, 40))
        self.screen.tool("Solid")
        self.page.unroute("**/number?*")
        waiting = self.hold("**/number?*")
        self.screen.field("Chord tolerance").fill("1/100 in")
        stl = self.page.get_by_role("button", name="Download STL", exact=True)
        self.assertTrue(stl.is_disabled())
        self.answer(waiting)
        with self.page.expect_request(lambda r: "surface-file" in r.url) as begun:
            stl.click()
        self.assertIn("tolerance=0.254&", begun.value.url + "&")

    def test_what_was_refused_before_is_not_said_of_what_went_well(self) -> None:
        self.expected_errors = ("422",)
        self.screen.station("Make")
        self.screen.tool("Print bench")
        problem = {"type": "/problems/refused", "title": "Refused", "status": 422, "detail": "The bench is being cleaned."}
        kind = "application/problem+json"
        self.page.route("**/print-bench?*", lambda r: r.fulfill(status=422, content_type=kind, body=json.dumps(problem)))
        hand = self.page.get_by_role("button", name=re.compile("Hand over"))
        hand.click()
        said = self.page.get_by_text("The bench is being cleaned.")
        said.wait_for()
        self.page.unroute("**/print-bench?*")
        hand.click()
        self.page.get_by_test_id("bench-answer").wait_for(timeout=60_000)
        self.assertFalse(said.is_visible())

    def test_a_late_preview_takes_back_no_sentence_about_what_came_after_it(self) -> None:
        self.expected_errors = ("422",)
        self.press("m")
        self.press("v")
        self.screen.click((20, 10, 10))
        start = self.screen.handle_point((20, 10, 10), (0, 0, 1), 0.75)
        self.page.mouse.move(*self.screen.at(start))
        self.page.mouse.down()
        self.holding = True
        self.page.mouse.move(*self.screen.at(start + (0, 0, 2)), steps=3)
        for key in "5 xy":
            self.page.keyboard.press(key)
        self.page.mouse.up()
        said = self.page.get_by_text("“5 xy” is no number: nothing was applied")
        said.wait_for()
        self.let_go()
        self.previewed()
        self.assertTrue(said.is_visible())
        self.screen.steps(1)
        # What is done next is something else.
        self.screen.field("Along z").fill("6")
        said.wait_for(state="detached")

    def test_a_form_put_down_while_its_preview_takes_long_is_kept(self) -> None:
        self.screen.station("Rough")
        self.screen.tool("Sphere")
        self.previewed()
        self.holding = True
        self.screen.field("Diameter").fill("50")
        self.until_held(self.held)
        previews = [m for m in map(self.read, self.said) if m["do"] == "preview"]
        working = {"type": "working", "seq": previews[-1]["seq"], "seconds": 1.0, "stoppable": False}
        self.sockets[-1].send(msgpack.packb(working))
        self.page.get_by_text("Working").wait_for()
        self.screen.field("Diameter").press("Enter")
        self.let_go()
        self.screen.steps(2)
        stops = [m for m in map(self.read, self.said) if m["do"] == "stop"]
        self.assertEqual({m["of"] for m in stops}, {previews[-1]["seq"]})

    def test_what_is_refused_when_it_is_put_down_is_in_hand_again(self) -> None:
        self.screen.station("Rough")
        self.screen.tool("Tube")
        self.screen.field("Outer diameter").fill("40")
        self.screen.field("Inner diameter").fill("41")
        self.page.get_by_role("alert").wait_for()
        said = self.page.get_by_role("alert").inner_text()
        self.screen.field("Inner diameter").press("Enter")
        self.screen.settled()
        self.assertEqual(self.screen.field("Inner diameter").input_value(), "41")
        self.assertEqual(self.page.get_by_role("alert").inner_text(), said)
        self.screen.steps(1)

    @staticmethod
    def read(message: bytes | str) -> Any:
        assert isinstance(message, bytes)
        return msgpack.unpackb(message)

    def test_enter_takes_a_number_that_is_read_late_on_a_slow_machine(self) -> None:
        """What was wrong before is set right with the answer, not some time after it."""
        self.expected_errors = ("422",)
        self.press("m")
        self.press("v")
        self.screen.click((20, 10, 10))
        field = self.screen.field("Along z")
        slow = self.context.new_cdp_session(self.page)
        for step in range(2, 6):
            field.fill("3 bananas")
            self.page.get_by_text("no unit 'bananas'").wait_for()
            waiting = self.hold("**/api/number?*")
            slow.send("Emulation.setCPUThrottlingRate", {"rate": 3})
            field.fill("1 + 1")
            if step % 2:
                self.screen.viewport.focus()  # Enter applies from the form, too.
            self.page.keyboard.press("Enter")
            self.answer(waiting)
            self.page.unroute("**/api/number?*")
            self.screen.steps(step)
            slow.send("Emulation.setCPUThrottlingRate", {"rate": 1})
