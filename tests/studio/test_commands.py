from __future__ import annotations

import unittest

import numpy as np
from pydantic import ValidationError

from zinc_otter.core.errors import CoreError
from zinc_otter.core.primitives import box
from zinc_otter.core.words import extent, number
from zinc_otter.studio.commands import Command, command_kinds, read_command
from zinc_otter.studio.design import Design, UnknownPieceError

TOP = {"kind": "face", "ids": [1]}


def begun() -> Design:
    box_of_grip = {"kind": "add-box", "name": "Grip", "size": [40, 20, 10], "counts": [2, 1, 1]}
    return read_command(box_of_grip).apply(Design()).design


def on_grip(kind: str, picked: object = TOP, **values: object) -> Command:
    return read_command({"kind": kind, "piece": "p1", "picked": picked, **values})


class Titles(unittest.TestCase):
    def test_every_step_reads_in_plain_words(self) -> None:
        for command, title in (
            (on_grip("extrude", distance=12), "Extruded 1 face of Grip by 12 mm"),
            (on_grip("extrude", distance=-0.5), "Extruded 1 face of Grip by −0.5 mm"),
            (on_grip("move", vector=[0, 3, -1.25]), "Moved 1 face of Grip by y 3, z −1.25 mm"),
            (on_grip("move", vector=[0, 0, 0.001]), "Moved 1 face of Grip by less than 0.01 mm"),
            (on_grip("move-along-normal", distance=-2), "Pushed 1 face of Grip by 2 mm"),
            (on_grip("move-along-normal", distance=2), "Pulled 1 face of Grip by 2 mm"),
            (on_grip("turn", axis=[0, 0, 1], degrees=22.5), "Turned 1 face of Grip by 22.5° about z"),
            (on_grip("turn", axis=[0, 1, 1], degrees=5), "Turned 1 face of Grip by 5°"),
            (on_grip("size", factors=[0.5, 0.5, 0.5]), "Sized 1 face of Grip to 50 %"),
            (on_grip("size", factors=[1, 1.2, 1]), "Sized 1 face of Grip to y 120 %"),
            (on_grip("crease", {"kind": "edge", "ids": [0, 1]}, sharpness=2.5), "Creased 2 edges of Grip, sharpness 2.5"),
            (on_grip("crease", {"kind": "edge", "ids": [0]}, sharpness=0), "Made 1 edge of Grip smooth"),
            (on_grip("corner", {"kind": "vertex", "ids": [0]}, sharpness=3), "Set corners at 1 vertex of Grip, sharpness 3"),
            (on_grip("delete"), "Deleted 1 face of Grip"),
            (read_command({"kind": "add-plane", "size": [3, 2], "counts": [1, 1]}), "Put down a plane, 3 × 2 mm"),
            (read_command({"kind": "delete-piece", "piece": "p1"}), "Deleted Grip"),
            (read_command({"kind": "rename-piece", "piece": "p1", "name": "Haft"}), "Renamed Grip to Haft"),
            (read_command({"kind": "show-piece", "piece": "p1", "visible": False}), "Hid Grip"),
        ):
            with self.subTest(title):
                self.assertEqual(command.title(begun()), title)
                command.apply(begun())

    def test_numbers(self) -> None:
        self.assertEqual([number(x) for x in (3, 2.50, -0.004, 1 / 3)], ["3", "2.5", "0", "0.33"])
        self.assertEqual(extent([40, 20.5]), "40 × 20.5 mm")


class Applying(unittest.TestCase):
    def test_a_design_is_a_value(self) -> None:
        before = begun()
        after = on_grip("extrude", distance=5).apply(before)
        self.assertEqual(before.pieces[0].cage.topology.face_count, 10)
        self.assertEqual(after.design.pieces[0].cage.topology.face_count, 14)
        self.assertEqual(after.piece_id, "p1")

    def test_new_pieces_get_fresh_ids_and_names(self) -> None:
        design = begun()
        add = read_command({"kind": "add-box", "name": "Grip", "size": [1, 1, 1], "counts": [1, 1, 1]})
        two = add.apply(design).design
        self.assertEqual([(p.id, p.name) for p in two.pieces], [("p1", "Grip"), ("p2", "Grip 2")])
        fewer = read_command({"kind": "delete-piece", "piece": "p2"}).apply(two).design
        self.assertEqual([p.id for p in add.apply(fewer).design.pieces], ["p1", "p3"])

    def test_rename_hide_and_show(self) -> None:
        hidden = read_command({"kind": "show-piece", "piece": "p1", "visible": False}).apply(begun()).design
        self.assertFalse(hidden.pieces[0].visible)
        named = read_command({"kind": "rename-piece", "piece": "p1", "name": "Haft"}).apply(hidden).design
        self.assertEqual((named.pieces[0].name, named.pieces[0].visible), ("Haft", False))

    def test_an_unknown_piece(self) -> None:
        with self.assertRaisesRegex(UnknownPieceError, "no piece 'p9'"):
            read_command({"kind": "delete-piece", "piece": "p9"}).apply(begun())

    def test_what_the_core_refuses_changes_nothing(self) -> None:
        design = begun()
        copy = box((40, 20, 10), (2, 1, 1))
        for command in (on_grip("extrude", {"kind": "face", "ids": [99]}, distance=5), on_grip("extrude", distance=0)):
            with self.assertRaises(CoreError):
                command.apply(design)
        np.testing.assert_array_equal(design.pieces[0].cage.positions, copy.positions)


class Reading(unittest.TestCase):
    def test_kinds_are_told_apart_and_unknown_ones_refused(self) -> None:
        self.assertEqual(len(set(command_kinds())), len(command_kinds()))
        self.assertGreaterEqual(len(command_kinds()), 13)
        with self.assertRaises(ValidationError):
            read_command({"kind": "melt"})

    def test_numbers_that_make_no_sense(self) -> None:
        for data in (
            {"kind": "add-box", "size": [0, 1, 1], "counts": [1, 1, 1]},
            {"kind": "add-box", "size": [float("nan"), 1, 1], "counts": [1, 1, 1]},
            {"kind": "add-box", "size": [1, 1, float("inf")], "counts": [1, 1, 1]},
            {"kind": "add-box", "size": [1, 1, 1], "counts": [0, 1, 1]},
            {"kind": "add-box", "size": [1, 1, 1], "counts": [10_000_000, 1, 1]},
            {"kind": "add-box", "size": [1, 1], "counts": [1, 1, 1]},
            {"kind": "add-box", "size": [1, 1, 1], "counts": [1, 1, 1], "name": "x" * 10_000},
            {"kind": "add-box", "size": [1, 1, 1], "counts": [1, 1, 1], "colour": "red"},
            {"kind": "extrude", "piece": "p1", "picked": {"kind": "face", "ids": [-1]}, "distance": 1},
            {"kind": "extrude", "piece": "p1", "picked": {"kind": "side", "ids": [1]}, "distance": 1},
            {"kind": "crease", "piece": "p1", "picked": TOP, "sharpness": 11},
            {"kind": "size", "piece": "p1", "picked": TOP, "factors": [1, -1, 1]},
        ):
            with self.subTest(data), self.assertRaises(ValidationError):
                read_command(data)
