"""What cards begin with: it follows from what is in hand, by the core."""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np

from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.studio.commands import commands, read_command
from zinc_otter.studio.commands.base import InHand
from zinc_otter.studio.design import Design


def made(*given: dict[str, Any]) -> Design:
    design = Design()
    for command in given:
        design = read_command(command).apply(design).design
    return design


def begun(design: Design, kind: str, picked: str, test: Any, **more: Any) -> dict[str, Any]:
    ids = [int(i) for i in np.flatnonzero([test(*m) for m in middles_of(design.piece("p1").cage, picked)])]  # type: ignore[arg-type]
    hand = InHand.model_validate({"piece": "p1", "picked": {"kind": picked, "ids": ids}, **more})
    return commands()[kind].beginnings(design, hand)


def box(**more: Any) -> dict[str, Any]:
    return {"kind": "add-box", "size": [60, 40, 20], "counts": [6, 4, 2], "size_of": "cage", **more}


class Beginnings(unittest.TestCase):
    def test_resample_begins_with_the_present_counts_along_the_first_edge(self) -> None:
        design = made(box())
        found = begun(design, "resample", "face", lambda x, y, z: z > 9 and abs(x) < 20 and y > 0)
        self.assertEqual(sorted(found.values()), [2, 4])
        middles = middles_of(design.piece("p1").cage, "face")
        top = [i for i, (x, y, z) in enumerate(middles) if z > 9 and abs(x) < 20 and y > 0]
        # Given these counts again, nothing is refused: u and v are the right way round.
        same = {"kind": "resample", "piece": "p1", "picked": {"kind": "face", "ids": top}, **found}
        after = read_command(same).apply(design).design.piece("p1").cage
        self.assertEqual(after.topology.face_count, design.piece("p1").cage.topology.face_count)
        with self.assertRaises(BadSelectionError):
            begun(design, "resample", "face", lambda x, y, z: z > 9 and abs(x) + abs(y) > 30)

    def test_weld_takes_two_vertices_to_the_middle_and_others_where_they_lie_close(self) -> None:
        for at_most, to in ((-19, "close"), (-29, "middle")):
            found = begun(made(box()), "weld", "vertex", lambda x, y, z, a=at_most: x < a and abs(y) > 19 and z > 9)
            self.assertEqual(found, {"to": to})

    def test_a_bridge_begins_with_segments_as_long_as_its_edges(self) -> None:
        ends = begun(made(box()), "bridge", "face", lambda x, y, z: abs(abs(x) - 25) < 1 and abs(y - 5) < 1 and z > 9)
        self.assertEqual(ends, {"segments": 5})
        through = begun(made(box()), "bridge", "face", lambda x, y, z: abs(x - 5) < 1 and abs(y - 5) < 1)
        self.assertEqual(through, {"segments": 3}, "fewer bend badly")
        self.assertEqual(begun(made(box()), "bridge", "face", lambda x, y, z: x > 29), {})

    def test_a_mirror_knows_an_open_half_from_a_vessel_and_from_a_whole(self) -> None:
        whole = lambda x, y, z: True  # noqa: E731
        half = begun(made(box(keep="x", centre=[7, 0, 0])), "mirror", "face", whole)
        self.assertEqual(half, {"way": "open", "normal": [1, 0, 0], "point": [7, 0, 0]})
        self.assertEqual(begun(made(box()), "mirror", "face", whole), {})
        bowl = made(box())
        top = [i for i, m in enumerate(middles_of(bowl.piece("p1").cage, "face")) if m[2] > 9]
        opened = read_command({"kind": "delete", "piece": "p1", "picked": {"kind": "face", "ids": top}}).apply(bowl).design
        self.assertEqual(begun(opened, "mirror", "face", whole), {})

    def test_what_has_no_beginnings_has_none(self) -> None:
        self.assertEqual(begun(made(box()), "extrude", "face", lambda x, y, z: z > 9), {})
