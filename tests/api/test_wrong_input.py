"""What is wrong with what was given is said in our words, whatever is given and wherever."""

from __future__ import annotations

import re
from typing import Any, get_args

from hypothesis import given, settings
from hypothesis import strategies as st
from pydantic import ValidationError
from pydantic_core import ErrorType

from tests.api.case import BOX, ServiceCase
from zinc_otter.api.problems import invalid
from zinc_otter.api.wrong_input import what_is_wrong
from zinc_otter.studio.commands import command_kinds, read_command

# Phrases of the validation library, and of Python.
THEIRS = re.compile(
    r"Input should|Field required|Extra inputs|not permitted|valid (number|integer|string|list|dict)|[Vv]alue error|"
    r"Assertion|NoneType|tagged-union|discriminator|\bstr\b|\bint\b|\bdict\b|\btuple\b"
)

ODD = st.recursive(
    st.none() | st.booleans() | st.integers(-(10**12), 10**12) | st.floats() | st.text(max_size=5),
    lambda inner: (
        st.lists(inner, max_size=4) | st.dictionaries(st.sampled_from(["kind", "ids", "x", "radius"]), inner, max_size=3)
    ),
    max_leaves=6,
)


class WrongInput(ServiceCase):
    def said(self, command: dict[str, Any]) -> str:
        state = self.begun(BOX)
        body = {"revision": state["revision"], "command": command}
        answer = self.client.post(f"/api/designs/{state['id']}/commands", json=body)
        return self.problem(answer, 422, "invalid")

    def test_sentences_name_the_field_and_the_bound(self) -> None:
        picked = {"kind": "face", "ids": [0]}
        extrude = {"kind": "extrude", "piece": "p1", "picked": picked}
        for more, sentence in (
            ({"distance": 1e9}, "“distance” may be 1,000,000 at most."),
            ({"distance": "far"}, "“distance” must be a number."),
            ({"distance": 3, "segments": 0}, "“segments” must be 1 or more."),
            ({"distance": 3, "segments": 1.5}, "“segments” must be a whole number."),
            ({"distance": 3, "way": "sideways"}, "“way” must be one of even, mean, each, point."),
            ({"distance": 3, "colour": 1}, "“colour” is not known here."),
            ({}, "“distance” is missing."),
        ):
            with self.subTest(more):
                self.assertEqual(self.said({**extrude, **more}), sentence)
        self.assertRegex(self.said({"kind": "fold"}), "^command: there is no “fold”; there are add-box")

    @settings(deadline=None, max_examples=150, derandomize=True)
    @given(st.sampled_from(sorted(command_kinds())), st.data())
    def test_no_sentence_is_a_librarys(self, kind: str, draw: st.DataObject) -> None:
        names = ["piece", "picked", "distance", "size", "counts", "axis", "vector", "way", "name", "reach", "ids", "pieces"]
        given_ = {name: draw.draw(ODD) for name in draw.draw(st.sets(st.sampled_from(names)))}
        try:
            read_command({**given_, "kind": kind})
        except ValidationError as error:
            detail = invalid(error).detail
            self.assertIsNone(THEIRS.search(re.sub("“[^”]*”", "", detail)), detail)
            self.assertTrue(detail.endswith("."))

    def test_every_kind_of_fault_has_words(self) -> None:
        """Of those that can come of JSON; words for one that is not known say nothing wrong."""
        bounds = ("gt", "ge", "lt", "le", "multiple_of", "min_length", "max_length", "actual_length")
        context = {**dict.fromkeys(bounds, 1), **dict.fromkeys(("expected", "expected_tags", "tag", "error"), "'a' or 'b'")}
        for kind in get_args(ErrorType):
            said = what_is_wrong({"type": kind, "ctx": context})
            self.assertIsNone(THEIRS.search(said), (kind, said))
            self.assertTrue(said)
