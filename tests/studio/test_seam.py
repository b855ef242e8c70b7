"""Verbs that join two ends at the seam of a mirror, and what is said where a form runs through itself."""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.extrude import extrude_faces
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.errors import CoreError
from zinc_otter.core.primitives import box
from zinc_otter.core.proof.changed import changed_faces
from zinc_otter.core.proof.crossing import crossing_faces
from zinc_otter.studio.commands import Outcome, read_command
from zinc_otter.studio.crossings import AT_REST, IN_A_DRAG, Pains, looked_at
from zinc_otter.studio.design import Design


def outcome(design: Design, command: dict[str, Any]) -> Outcome:
    return read_command(command).apply(design)


def mirrored_box() -> Design:
    """A box of 6 by 4 by 2 faces of 10 mm, mirrored in x."""
    made = outcome(Design(), {"kind": "add-box", "size": [60, 40, 20], "counts": [6, 4, 2], "size_of": "cage"}).design
    return outcome(made, {"kind": "mirror", "piece": "p1"}).design


def picked(design: Design, kind: str, test: Any) -> dict[str, Any]:
    middles = middles_of(design.piece("p1").cage, kind)
    return {"kind": kind, "ids": [i for i, middle in enumerate(middles) if test(*middle)]}


def on(design: Design, verb: str, kind: str, test: Any, **values: Any) -> Cage:
    command = {"kind": verb, "piece": "p1", "picked": picked(design, kind, test), **values}
    return outcome(design, command).design.piece("p1").cage


def euler(cage: Cage) -> int:
    t = cage.topology
    return t.vertex_count - t.edge_count + t.face_count


class AtTheSeam(unittest.TestCase):
    def setUp(self) -> None:
        self.design = mirrored_box()

    def test_two_groups_at_the_seam_become_one_hole_with_no_wall_in_it(self) -> None:
        for test in (
            lambda x, y, z: abs(z) > 9 and 0 < x < 10 and abs(y) < 10,
            lambda x, y, z: abs(z) > 9 and 0 < x < 20 and 0 < y < 10,
        ):
            cage = on(self.design, "bridge", "face", test, segments=2)
            self.assertEqual((euler(cage), len(cage.topology.open_edges)), (0, 0))
            self.assertEqual(len(crossing_faces(cage)), 0)
            # No face lies in the mirror's plane.
            corners = cage.positions[cage.topology.face_verts][:, 0]
            flat = np.maximum.reduceat(np.abs(corners), cage.topology.face_offsets[:-1]) < 1e-9
            self.assertFalse(flat.any())

    def test_away_from_it_there_are_two(self) -> None:
        cage = on(self.design, "bridge", "face", lambda x, y, z: abs(z) > 9 and 10 < x < 30 and 0 < y < 10)
        self.assertEqual(euler(cage), -2)

    def test_one_end_at_the_seam_and_one_away_is_refused_in_true_words(self) -> None:
        with self.assertRaisesRegex(CoreError, "meets its image at the seam"):
            on(
                self.design, "bridge", "face",
                lambda x, y, z: 0 < y < 10 and ((z > 9 and 0 < x < 10) or (z < -9 and 10 < x < 20)),
            )  # fmt: skip

    def test_chains_that_reach_the_seam_are_bridged_and_zipped_across_it(self) -> None:
        gap = picked(self.design, "face", lambda x, y, z: z > 9 and abs(x) < 20 and 0 < y < 10)
        opened = outcome(self.design, {"kind": "delete", "piece": "p1", "picked": gap}).design
        rim = set(opened.piece("p1").cage.topology.open_edges.tolist())
        middles = middles_of(opened.piece("p1").cage, "edge")
        ids = [e for e in rim if middles[e][0] > 0 and abs(middles[e][0] - 20) > 1]
        for verb, left_open in (("bridge", 2 * 3), ("zip", 0)):
            values = {"segments": 2} if verb == "bridge" else {}
            cage = outcome(
                opened, {"kind": verb, "piece": "p1", "picked": {"kind": "edge", "ids": ids}, **values}
            ).design.piece("p1").cage
            self.assertEqual(len(cage.topology.open_edges), left_open)
            x = cage.positions[cage.topology.edge_verts[cage.topology.open_edges]][..., 0]
            self.assertFalse((np.abs(x) < 1e-9).any(), "the seam is open")


class UnequalEnds(unittest.TestCase):
    def test_faces_of_more_than_four_sides_are_mentioned(self) -> None:
        design = outcome(Design(), {"kind": "add-box", "size": [60, 60, 20], "counts": [6, 6, 1], "size_of": "cage"}).design

        def near(x: float, y: float, at: float, within: float) -> bool:
            return max(abs(x - at), abs(y - at)) < within

        for wide, said in ((1.0, False), (11.0, True)):
            ends = picked(design, "face", lambda x, y, z, w=wide: z > 9 and (near(x, y, -15, 1) or near(x, y, 15, w)))
            command = read_command({"kind": "bridge", "piece": "p1", "picked": ends})
            notes = " ".join(command.notes(command.apply(design)))
            self.assertEqual("of the new faces have more than four sides" in notes, said, notes)


class Crossings(unittest.TestCase):
    def test_a_hole_through_a_hole_is_said_and_marked(self) -> None:
        design = outcome(Design(), {"kind": "add-box", "size": [60, 60, 60], "counts": [3, 3, 4], "size_of": "cage"}).design
        ends = picked(design, "face", lambda x, y, z: abs(x) < 10 and abs(y) < 10)
        once = outcome(design, {"kind": "bridge", "piece": "p1", "picked": ends}).design
        ends = picked(once, "face", lambda x, y, z: abs(x) > 25 and abs(y) < 10 and 0 < z < 10)
        command = read_command({"kind": "bridge", "piece": "p1", "picked": ends})
        done = command.apply(once)
        for pains in (IN_A_DRAG, AT_REST):
            looked = looked_at(once, command, done, pains)
            assert looked is not None
            self.assertRegex(str(looked.words), r"runs through itself at \d+ marked faces")
            middles = middles_of(done.design.piece("p1").cage, "face")[looked.faces]
            self.assertLess(np.abs(middles).max(), 25)
        self.assertIsNone(looked_at(once, command, done, Pains(1, 1)), "too much is not taken for sound")

    def test_moving_is_not_building_and_what_is_sound_says_nothing(self) -> None:
        design = outcome(Design(), {"kind": "add-box", "size": [60, 60, 60], "counts": [3, 3, 3]}).design
        top = picked(design, "face", lambda x, y, z: z > 25)
        move, extruded = {"kind": "move", "vector": [0, 0, 5]}, {"kind": "extrude", "distance": 5}
        for values, words in ((move, "not looked at"), (extruded, None)):
            command = read_command({**values, "piece": "p1", "picked": top})
            looked = looked_at(design, command, command.apply(design), AT_REST)
            self.assertEqual("not looked at" if looked is None else looked.words, words)

    @given(st.sets(st.integers(0, 53), min_size=1, max_size=12), st.floats(0.5, 9))
    @settings(max_examples=20, deadline=None)
    def test_looking_at_what_changed_finds_what_looking_at_all_finds(self, faces: set[int], distance: float) -> None:
        before = box((30, 30, 30), (3, 3, 3))
        after = extrude_faces(before, Selection.of("face", sorted(faces)), -4 * distance).cage
        np.testing.assert_array_equal(crossing_faces(after, 1, changed_faces(before, after)), crossing_faces(after, 1))

    def test_what_changed_is_what_is_new_and_what_lies_around_it(self) -> None:
        before = box((50, 50, 10), (5, 5, 1))
        x, y, z = middles_of(before, "face").T
        top = np.flatnonzero((np.abs(x) < 1) & (np.abs(y) < 1) & (z > 0))
        after = extrude_faces(before, Selection.of("face", top), 5).cage
        changed = middles_of(after, "face")[changed_faces(before, after)]
        # The lid, four walls, and the ring of eight around them.
        self.assertEqual(len(changed), 13)
        self.assertLess(np.abs(changed[:, :2]).max(), 11)
