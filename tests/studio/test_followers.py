"""Followers as steps of a design: added, changed, ordered, switched, removed; kept and undone; never going round."""

from __future__ import annotations

from dataclasses import replace
from typing import Any

import numpy as np

from tests.studio.test_studio import BOX, StudioCase, extrude
from zinc_otter.core.errors import BadNumberError, CoreError
from zinc_otter.core.solid.followers import KINDS, Combine, Fillet, Follower, Hollow, Trim
from zinc_otter.core.solid.mesh.route import made_of_triangles
from zinc_otter.studio.design import LockedError, UnknownPieceError
from zinc_otter.studio.followers import follower_document, read_follower, recipe_of

HOLLOW = {"kind": "hollow", "wall": 1.5, "vents": [{"point": [1, 2, 3], "radius": 1}]}
TRIM = {"kind": "trim", "point": [0, 0, 2], "normal": [0, 0, 1], "name": "Rim"}


def add(follower: dict[str, Any], piece: str = "p1", **more: Any) -> dict[str, Any]:
    return {"kind": "add-follower", "piece": piece, "follower": follower, **more}


class Followers(StudioCase):
    def setUp(self) -> None:
        super().setUp()
        self.give(BOX)

    def followers(self, piece: str = "p1") -> tuple[Follower, ...]:
        return self.studio.saved(self.id).design.piece(piece).followers

    def change(self, kind: str, **more: Any) -> None:
        self.give({"kind": kind, "piece": "p1", **more})

    def test_each_is_given_an_id_that_none_had_before(self) -> None:
        self.give(add(HOLLOW))
        self.give(add(TRIM))
        first, second = self.followers()
        self.assertEqual((type(first), type(second)), (Hollow, Trim))
        self.change("remove-follower", follower=second.id)
        self.give(add(TRIM))
        # A name of edges that named the one that is gone must not mean another by now.
        self.assertNotIn(self.followers()[1].id, {first.id, second.id})

    def test_placed_before_another_and_ordered(self) -> None:
        self.give(add(HOLLOW))
        hollow = self.followers()[0].id
        saved = self.give(add(TRIM, before=hollow))
        self.assertEqual([type(f) for f in self.followers()], [Trim, Hollow])
        self.assertEqual(saved.steps[-1].title, "Rim: trim Box by a plane")
        ids = [f.id for f in self.followers()]
        self.change("order-followers", order=ids[::-1])
        self.assertEqual([f.id for f in self.followers()], ids[::-1])
        with self.assertRaisesRegex(CoreError, "every follower"):
            self.change("order-followers", order=ids[:1])

    def test_changed_and_switched_in_steps_that_say_so(self) -> None:
        self.give(add(TRIM))
        (trim,) = self.followers()
        self.change("change-follower", follower={**TRIM, "id": trim.id, "point": [0, 0, 3]})
        self.assertEqual(self.followers()[0].point, (0, 0, 3))  # type: ignore[attr-defined]
        self.change("change-follower", follower={**TRIM, "id": trim.id, "point": [0, 0, 3], "on": False})
        titles = [step.title for step in self.studio.saved(self.id).steps[-2:]]
        self.assertEqual(titles, ["Rim: trim Box by a plane: changed", "Rim: trim Box by a plane: switched off"])

    def test_steps_say_what_they_did(self) -> None:
        self.give(BOX)
        self.change("rename-piece", name="Grip")
        self.change("rename-piece", piece="p2", name="Collar")
        self.give(add({"kind": "combine", "way": "union", "body": {"kind": "piece", "piece": "p2"}}))
        (union,) = self.followers()
        for follower in (
            {"kind": "fillet", "between": [union.id, "piece"], "radius": 3},
            {"kind": "fillet", "between": ["piece", "piece"], "radius": 1, "end_radius": 2, "near": [0, 0, 5]},
            {"kind": "cut-edge", "between": [union.id, ""], "distance": 0.5},
            {"kind": "combine", "way": "subtract", "body": {"kind": "cylinder", "radius": 2, "height": 50}},
            HOLLOW,
            {"kind": "repeat-round", "count": 6},
            {"kind": "scale-to-size", "length": 90},
            {"kind": "trim-sheet", "sheet": "p2"},
        ):
            self.give(add(follower))
        self.change("remove-follower", follower=self.followers()[4].id)
        self.assertEqual(
            [step.title for step in self.studio.saved(self.id).steps[-10:]],
            [
                "Unite Grip with Collar",
                "Fillet 3 mm where Union meets Grip",
                "Fillet 1 mm to 2 mm on an edge of Grip",
                "Chamfer 0.5 mm where Union meets the rest",
                "Subtract a cylinder from Grip",
                "Hollow Grip to a wall of 1.5 mm",
                "Repeat Grip 6 times round an axis",
                "Scale Grip to 90 mm",
                "Trim Grip by Collar",
                "Subtract a cylinder from Grip: removed",
            ],
        )

    def test_undo_and_a_new_start_bring_them_back_exactly(self) -> None:
        self.give(add(HOLLOW))
        kept = self.followers()
        self.change("remove-follower", follower=kept[0].id)
        revision = self.studio.saved(self.id).facts.revision
        self.studio.undo(self.id, revision)
        self.assertEqual(self.followers(), kept)
        self.assertEqual(self.store.load(self.id).design.piece("p1").followers, kept)

    def test_edits_of_the_form_leave_them(self) -> None:
        self.give(add(HOLLOW))
        before = recipe_of(self.studio.saved(self.id).design, "p1").digest
        kept = self.followers()
        self.give(extrude(0))
        self.assertEqual(self.followers(), kept)
        self.assertNotEqual(recipe_of(self.studio.saved(self.id).design, "p1").digest, before)

    def test_a_duplicate_has_followers_of_its_own(self) -> None:
        self.give(add(TRIM))
        self.give({"kind": "duplicate-piece", "piece": "p1", "offset": [50, 0, 0]})
        copy = self.studio.saved(self.id).design.pieces[1]
        (trim,), (moved,) = self.followers(), copy.followers
        self.assertEqual(moved, replace(trim, point=(50, 0, 2)))  # type: ignore[type-var]
        self.give({"kind": "remove-follower", "piece": copy.id, "follower": copy.followers[0].id})
        self.assertEqual(len(self.followers()), 1)

    def test_taking_part_of_one_another_is_refused(self) -> None:
        self.give(BOX)
        other = self.studio.saved(self.id).design.pieces[1].id
        self.give(add({"kind": "combine", "body": {"kind": "piece", "piece": other}}))
        with self.assertRaisesRegex(CoreError, "go round"):
            self.give(add({"kind": "combine", "body": {"kind": "piece", "piece": "p1"}}, other))
        with self.assertRaisesRegex(CoreError, "go round"):
            self.give(add({"kind": "combine", "body": {"kind": "piece", "piece": "p1"}}))
        with self.assertRaises(UnknownPieceError):
            self.give(add({"kind": "combine", "body": {"kind": "piece", "piece": "p99"}}))
        recipe = recipe_of(self.studio.saved(self.id).design, "p1")
        self.assertEqual(set(recipe.others), {other})
        self.give({"kind": "delete-piece", "piece": other})
        self.assertEqual(recipe_of(self.studio.saved(self.id).design, "p1").others, {})

    def test_refusals_change_nothing(self) -> None:
        for data in (
            add({"kind": "hollow", "wall": 0}),
            add({"kind": "no-such"}),
            {"kind": "remove-follower", "piece": "p1", "follower": "f77"},
            {"kind": "change-follower", "piece": "p1", "follower": {**TRIM, "id": "f77"}},
            add(HOLLOW, before="f77"),
        ):
            with self.assertRaises((CoreError, ValueError)):
                self.give(data)
        self.assertEqual(self.followers(), ())
        self.give({"kind": "lock-piece", "piece": "p1", "locked": True})
        with self.assertRaises(LockedError):
            self.give(add(HOLLOW))


class TakenAlong(StudioCase):
    """A piece that is moved, turned or evenly sized as a whole takes its followers along."""

    def setUp(self) -> None:
        super().setUp()
        self.give(BOX)
        boss = {"kind": "cylinder", "point": [0, 0, 2], "along": [0, 0, 1], "radius": 3, "height": 9}
        self.give(add({"kind": "combine", "body": boss}))
        self.give(add({"kind": "hollow", "wall": 1, "opening": [[0, 0, -4], [0, 0, -1]]}))

    def whole(self, kind: str, **more: Any) -> tuple[float, float]:
        """The body's volume before and after a change of the whole piece."""
        before = self.volume()
        self.give({"kind": kind, "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, **more})
        return before, self.volume()

    def volume(self) -> float:
        made = made_of_triangles(recipe_of(self.studio.saved(self.id).design, "p1"), 4000, 8000)
        self.assertEqual({note.status for note in made.notes}, {"done"})
        return made.body.volume

    def test_moved_and_turned_the_body_is_the_same(self) -> None:
        for kind, more in (
            ("move", {"vector": [30, -5, 7]}),
            ("turn", {"pivot": [5, 0, 0], "axis": [0, 1, 0], "degrees": 35}),
            ("turn", {"pivot": [0, 0, 0], "axis": [1, 1, 0], "degrees": -50}),
        ):
            before, after = self.whole(kind, **more)
            self.assertAlmostEqual(after / before, 1, delta=0.01, msg=kind)
        boss, hollow = self.studio.saved(self.id).design.piece("p1").followers
        self.assertAlmostEqual(float(np.dot(boss.body.along, hollow.opening[1])), -1)  # type: ignore[attr-defined]

    def test_sized_evenly_lengths_follow_and_unevenly_they_stay(self) -> None:
        before, after = self.whole("size", factors=[2, 2, 2])
        self.assertAlmostEqual(after / before, 8, delta=0.2)
        boss, hollow = self.studio.saved(self.id).design.piece("p1").followers
        self.assertAlmostEqual(boss.body.radius, 6)  # type: ignore[attr-defined]
        self.assertAlmostEqual(hollow.wall, 2)  # type: ignore[attr-defined]
        self.give({"kind": "size", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "factors": [1, 1, 1.5]})
        self.assertEqual(self.studio.saved(self.id).design.piece("p1").followers, (boss, hollow))

    def test_a_change_of_the_form_leaves_them_where_they_are(self) -> None:
        before = self.studio.saved(self.id).design.piece("p1").followers
        self.give({"kind": "move", "piece": "p1", "picked": {"kind": "vertex", "ids": [0, 1]}, "vector": [0, 0, 3]})
        self.assertEqual(self.studio.saved(self.id).design.piece("p1").followers, before)


class Documents(StudioCase):
    def test_every_kind_survives_its_document(self) -> None:
        made = [kind() for kind in KINDS]
        made += [Fillet("f1", "Seam", False, ("f2", "piece"), (1.0, 2.0, 3.0), 1.5, 2.5, "x"), Combine("f2", way="subtract")]
        made += [Hollow("f3", opening=((0, 0, 1), (0, 0, 1)))]
        for follower in made:
            import json

            self.assertEqual(read_follower(json.loads(json.dumps(follower_document(follower)))), follower)
        with self.assertRaises(BadNumberError):
            read_follower({"kind": "hollow", "wall": -2})
