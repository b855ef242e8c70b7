"""Whole pieces, variants, primitives and references as commands on a design."""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np

from zinc_otter.core.errors import BadNumberError, BadSelectionError, CoreError
from zinc_otter.store.documents import from_document, to_document
from zinc_otter.studio.commands import Outcome, command_kinds, read_command
from zinc_otter.studio.design import Design, LockedError


def after(design: Design, *commands: dict[str, Any]) -> Design:
    for command in commands:
        design = outcome(design, command).design
    return design


def outcome(design: Design, command: dict[str, Any]) -> Outcome:
    given = read_command(command)
    assert given.title(design)
    return given.apply(design)


BOX = {"kind": "add-box", "size": [40, 20, 10], "counts": [2, 2, 1]}
# fmt: off
FORMS: list[dict[str, Any]] = [
    {"kind": "add-cylinder", "diameter": 20, "height": 30, "counts": [8, 3], "rim": 2},
    {"kind": "add-cone", "bottom": 20, "height": 30, "counts": [8, 2]},
    {"kind": "add-cone", "bottom": 20, "top": 8, "height": 30, "counts": [8, 2]},
    {"kind": "add-sphere", "diameter": 20, "count": 2},
    {"kind": "add-poled-sphere", "diameter": 20, "counts": [8, 6]},
    {"kind": "add-tube", "outer": 20, "inner": 14, "height": 10, "counts": [8, 2, 1]},
    {"kind": "add-torus", "ring": 30, "section": 6, "counts": [8, 6]},
    {"kind": "add-capsule", "diameter": 10, "length": 30, "counts": [2, 2]},
    {"kind": "fill-outline", "outline": {"shape": "circle", "diameter": 30}, "around": 12},
    {"kind": "fill-outline", "outline": {"shape": "ellipse", "width": 30, "height": 20}, "around": 12},
    {"kind": "fill-outline", "around": 16,
     "outline": {"shape": "rounded-rectangle", "width": 30, "height": 20, "radius": 5}},
]
# fmt: on


class Forms(unittest.TestCase):
    def test_every_form_is_put_down_where_it_was_asked(self) -> None:
        for form in FORMS:
            for size_of in ("cage", "surface"):
                command = {**form, "size_of": size_of, "centre": [5, 6, 7], "stands": "x"}
                made = outcome(Design(), command)
                piece = made.design.piece(made.piece_id or "")
                low, high = piece.cage.bounds
                np.testing.assert_allclose((low + high)[1:] / 2, (6, 7), atol=1e-6, err_msg=str(form))

    def test_notes_say_how_true_a_form_came_out(self) -> None:
        sphere = read_command({"kind": "add-sphere", "diameter": 40, "count": 4, "size_of": "surface"})
        self.assertEqual(sphere.notes(sphere.apply(Design())), ("Round within 0.23 % of its radius.",))
        circle = read_command({**FORMS[8], "around": 8})
        (note,) = circle.notes(circle.apply(Design()))
        self.assertRegex(note, r"The border stays within 0\.\d+ mm of the outline\.")
        box = read_command(BOX)
        self.assertEqual(box.notes(box.apply(Design())), ())

    def test_one_side_of_a_mirror(self) -> None:
        design = after(Design(), {**FORMS[0], "keep": "x", "size_of": "surface"})
        self.assertGreaterEqual(design.pieces[0].cage.positions[:, 0].min(), 0)

    def test_all_kinds_are_read_back_from_what_they_say(self) -> None:
        self.assertGreater(len(command_kinds()), 35)
        for form in FORMS:
            command = read_command(form)
            self.assertEqual(read_command(command.model_dump(mode="json")), command)

    def test_a_drawn_outline_lies_on_its_own_plane(self) -> None:
        points = [[0, 0, 5], [20, 0, 5], [24, 0, 15], [10, 0, 22], [-3, 0, 14]]
        design = after(Design(), {"kind": "fill-drawn", "points": points, "towards": [0, -1, 0], "around": 10})
        cage = design.pieces[0].cage
        np.testing.assert_allclose(cage.positions[:, 1], 0, atol=1e-9)
        self.assertTrue((cage.face_normals[:, 1] < 0).all())
        line = [[0, 0, 0], [1, 0, 0], [2, 0, 0]]
        with self.assertRaisesRegex(BadNumberError, "on one line"):
            after(Design(), {"kind": "fill-drawn", "points": line, "towards": [0, 0, 1], "around": 8})

    def test_quads_are_laid_one_after_the_other(self) -> None:
        first = {"kind": "lay-face", "corners": [[0, 0, 0], [10, 0, 0], [10, 10, 0], [0, 10, 0]], "towards": [0, 0, 1]}
        design = after(Design(), first)
        cage = design.pieces[0].cage
        right = [v for v in range(4) if cage.positions[v, 0] == 10]
        low, high = sorted(right, key=lambda v: cage.positions[v, 1])
        design = after(design, {**first, "piece": "p1", "corners": [low, high, [20, 10, 0], [20, 0, 0]]})
        self.assertEqual(design.pieces[0].cage.topology.face_count, 2)
        with self.assertRaisesRegex(BadSelectionError, "new points only"):
            after(Design(), {**first, "corners": [0, [1, 0, 0], [1, 1, 0]]})


class Pieces(unittest.TestCase):
    def setUp(self) -> None:
        self.design = after(Design(), BOX, {**BOX, "name": "Lid"}, FORMS[3])

    def names(self, design: Design) -> list[str]:
        return [piece.name for piece in design.pieces]

    def test_locked_pieces_refuse_every_change(self) -> None:
        locked = after(self.design, {"kind": "lock-piece", "piece": "p1", "locked": True})
        picked = {"kind": "face", "ids": [0]}
        for command in (
            {"kind": "move", "piece": "p1", "picked": picked, "vector": [1, 0, 0]},
            {"kind": "extrude", "piece": "p1", "picked": picked, "distance": 2},
            {"kind": "delete-piece", "piece": "p1"},
        ):
            with self.assertRaisesRegex(LockedError, "Box is locked"):
                after(locked, command)
        after(locked, {"kind": "lock-piece", "piece": "p1", "locked": False}, {"kind": "delete-piece", "piece": "p1"})

    def test_groups_are_shown_and_locked_together(self) -> None:
        grouped = after(self.design, {"kind": "group-pieces", "pieces": ["p1", "p2"], "group": "Case"})
        hidden = after(grouped, {"kind": "show-piece", "piece": "p2", "visible": False})
        self.assertEqual([piece.visible for piece in hidden.pieces], [False, False, True])
        locked = after(grouped, {"kind": "lock-piece", "piece": "p1", "locked": True})
        self.assertEqual([piece.locked for piece in locked.pieces], [True, True, False])
        loose = after(grouped, {"kind": "group-pieces", "pieces": ["p2"], "group": None})
        self.assertEqual([piece.group for piece in loose.pieces], ["Case", None, None])

    def test_order_duplicate_and_colour(self) -> None:
        moved = after(self.design, {"kind": "order-piece", "piece": "p3", "place": 0})
        self.assertEqual(self.names(moved), ["Sphere", "Box", "Lid"])
        with self.assertRaises(BadNumberError):
            after(self.design, {"kind": "order-piece", "piece": "p3", "place": 3})
        coloured = after(self.design, {"kind": "colour-piece", "piece": "p1", "colour": "slate"})
        twice = after(coloured, {"kind": "duplicate-piece", "piece": "p1", "offset": [50, 0, 0]})
        self.assertEqual(self.names(twice), ["Box", "Box 2", "Lid", "Sphere"])
        self.assertEqual(twice.pieces[1].colour, "slate")
        np.testing.assert_allclose(twice.pieces[1].cage.positions, twice.pieces[0].cage.positions + [50, 0, 0])

    def test_whole_pieces_move_turn_and_size_several_at_once(self) -> None:
        whole = {"piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "others": ["p2"]}
        made = outcome(self.design, {"kind": "move", **whole, "vector": [0, 0, 5]})
        self.assertTrue(made.whole)
        for before, now in zip(self.design.pieces[:2], made.design.pieces[:2], strict=True):
            np.testing.assert_allclose(now.cage.positions, before.cage.positions + [0, 0, 5])
        turned = after(self.design, {"kind": "turn", **whole, "axis": [0, 0, 1], "degrees": 90, "pivot": [20, 0, 0]})
        np.testing.assert_allclose(turned.pieces[1].cage.bounds, [[10, -40, -5], [30, 0, 5]], atol=1e-9)
        title = read_command({"kind": "move", **whole, "vector": [0, 0, 5]}).title(self.design)
        self.assertEqual(title, "Moved Box, Lid by z 5 mm")
        with self.assertRaisesRegex(BadSelectionError, "only as wholes"):
            after(self.design, {"kind": "move", **whole, "picked": {"kind": "face", "ids": [0]}, "vector": [0, 0, 1]})

    def test_variants_are_numbered_and_one_is_kept(self) -> None:
        design = after(self.design, {"kind": "make-variant", "piece": "p1"})
        self.assertEqual(self.names(design)[:2], ["Box", "Box, variant 1"])
        self.assertFalse(design.pieces[0].visible)
        variant = design.pieces[1].id
        design = after(design, {"kind": "make-variant", "piece": variant})
        self.assertEqual(self.names(design)[:3], ["Box", "Box, variant 1", "Box, variant 2"])
        kept = after(design, {"kind": "keep-variant", "piece": variant})
        self.assertEqual(self.names(kept), ["Box", "Lid", "Sphere"])
        self.assertEqual(kept.pieces[0].id, variant)
        with self.assertRaisesRegex(BadSelectionError, "no variants"):
            after(self.design, {"kind": "keep-variant", "piece": "p1"})

    def test_a_design_comes_back_equal_from_its_document(self) -> None:
        design = after(
            self.design,
            {"kind": "group-pieces", "pieces": ["p1"], "group": "Case"},
            {"kind": "colour-piece", "piece": "p2", "colour": "moss"},
            {"kind": "make-variant", "piece": "p2"},
            {"kind": "name-faces", "piece": "p1", "picked": {"kind": "face", "ids": [1, 2]}, "name": "Lip"},
            {"kind": "add-picture", "name": "S", "asset": "a" * 64, "pixels": [40, 20]},
            {"kind": "add-component", "name": "C", "asset": "b" * 64, "triangles": 12, "size": [1, 2, 3]},
        )
        again = from_document(*to_document(design))
        self.assertEqual(again.references, design.references)
        keys = ("id", "name", "cage", "visible", "locked", "colour", "group", "original")
        for a, b in zip(again.pieces, design.pieces, strict=True):
            self.assertEqual([getattr(a, k) for k in keys], [getattr(b, k) for k in keys])
        self.assertEqual(again.next_number, design.next_number)

    def test_a_document_of_the_first_format_is_still_read(self) -> None:
        document, blobs = to_document(self.design)
        for piece in document["pieces"]:
            for key in ("locked", "colour", "group", "original"):
                del piece[key]
        del document["references"]
        again = from_document({**document, "format": 1}, blobs)
        self.assertEqual([p.cage for p in again.pieces], [p.cage for p in self.design.pieces])


class References(unittest.TestCase):
    def setUp(self) -> None:
        self.design = after(
            Design(),
            {"kind": "add-picture", "name": "Sketch", "asset": "a" * 64, "pixels": [400, 200], "view": "right"},
            {"kind": "add-component", "name": "Cell", "asset": "b" * 64, "triangles": 12, "size": [1, 2, 3]},
        )

    def test_points_of_a_picture_lie_on_its_view(self) -> None:
        picture = self.design.reference("r1")
        np.testing.assert_allclose(picture.place_of(0, 0), (0, -50, 25))  # type: ignore[union-attr]
        np.testing.assert_allclose(picture.place_of(400, 200), (0, 50, -25))  # type: ignore[union-attr]

    def test_what_does_not_fit_is_refused(self) -> None:
        for command in (
            {"kind": "change-reference", "reference": "r1", "clearance": 2},
            {"kind": "change-reference", "reference": "r2", "in_front": True},
            {"kind": "change-reference", "reference": "r1"},
            {"kind": "place-picture", "reference": "r2", "degrees": 3},
            {"kind": "place-component", "reference": "r1", "vector": [1, 0, 0]},
            {"kind": "delete-reference", "reference": "r2"},
            {"kind": "delete-reference", "reference": "r7"},
            {"kind": "measure-picture", "reference": "r1", "start": [3, 3], "end": [3, 3], "distance": 5},
        ):
            with self.assertRaises(CoreError, msg=str(command)):
                read_command(command).apply(self.design)

    def test_components_turn_about_their_own_origin(self) -> None:
        free = after(self.design, {"kind": "change-reference", "reference": "r2", "locked": False})
        place = {"kind": "place-component", "reference": "r2", "axis": [0, 0, 2], "degrees": 90, "vector": [5, 0, 0]}
        turned = after(free, place)
        component = turned.reference("r2")
        placed = component.placed(np.array([[1.0, 0, 0]]))  # type: ignore[union-attr]
        np.testing.assert_allclose(placed, [[5, 1, 0]], atol=1e-12)
        np.testing.assert_allclose(component.own(placed), [[1, 0, 0]], atol=1e-12)  # type: ignore[union-attr]
        self.assertEqual(after(free, {"kind": "delete-reference", "reference": "r2"}).references, self.design.references[:1])
