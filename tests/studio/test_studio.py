from __future__ import annotations

import io
import tempfile
import unittest
from pathlib import Path
from typing import Any

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st
from PIL import Image

from tests.core.stone.test_laying import done
from zinc_otter.convert import triangles_of
from zinc_otter.core.errors import CoreError
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proof.soundness import looked_over
from zinc_otter.core.solid.fitting import fit_patches
from zinc_otter.core.solid.patches import volume_and_area
from zinc_otter.core.solid.seams import largest_seam
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.demo import put_in_demo
from zinc_otter.demo.lantern_references import TICKS, TICKS_APART
from zinc_otter.store import Store
from zinc_otter.studio.commands import read_command
from zinc_otter.studio.design import Design
from zinc_otter.studio.followers import recipe_of
from zinc_otter.studio.picture import PAPER, picture
from zinc_otter.studio.references import Component, Picture
from zinc_otter.studio.shelf import Saved, StaleRevisionError, UnknownDesignError
from zinc_otter.studio.studio import Studio

BOX = {"kind": "add-box", "size": [40, 20, 10], "counts": [2, 2, 1]}


def extrude(*faces: int, by: float = 5.0) -> dict[str, Any]:
    return {"kind": "extrude", "piece": "p1", "picked": {"kind": "face", "ids": list(faces)}, "distance": by}


class StudioCase(unittest.TestCase):
    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.store = Store(Path(folder.name) / "z.sqlite")
        self.addCleanup(self.store.close)
        self.studio = Studio(self.store)
        self.id = self.store.create("Trial", "mm").facts.id

    def give(self, data: dict[str, Any]) -> Saved:
        revision = self.studio.saved(self.id).facts.revision
        return self.studio.commit(self.id, revision, read_command(data))


class Steps(StudioCase):
    def test_each_commit_is_one_step(self) -> None:
        self.give(BOX)
        saved = self.give(extrude(0))
        titles = ["Put down a box, 40 × 20 × 10 mm", "Extruded 1 face of Box by 5 mm"]
        self.assertEqual([s.title for s in saved.steps][1:], titles)
        self.assertEqual(saved.selected, {"piece": "p1", "kind": "face", "ids": [0]})

    def test_a_preview_keeps_nothing(self) -> None:
        saved = self.give(BOX)
        for distance in (1.0, 2.0, 3.0):
            outcome = self.studio.preview(self.id, saved.facts.revision, read_command(extrude(0, by=distance)))
            self.assertEqual(outcome.design.pieces[0].cage.topology.face_count, 20)
        self.assertEqual(self.studio.cancel(self.id).design.pieces[0].cage, saved.design.pieces[0].cage)
        self.assertEqual(len(self.store.load(self.id).steps), 2)

    def test_a_commit_takes_the_last_preview_when_it_is_the_same(self) -> None:
        revision = self.give(BOX).facts.revision
        outcome = self.studio.preview(self.id, revision, read_command(extrude(1)))
        saved = self.studio.commit(self.id, revision, read_command(extrude(1)))
        self.assertEqual(saved.design.pieces[0].cage, outcome.design.pieces[0].cage)
        outcome = self.studio.preview(self.id, saved.facts.revision, read_command(extrude(1, by=1)))
        saved = self.studio.commit(self.id, saved.facts.revision, read_command(extrude(1, by=2)))
        self.assertNotEqual(saved.design.pieces[0].cage, outcome.design.pieces[0].cage)

    def test_a_stale_revision_is_refused_and_changes_nothing(self) -> None:
        saved = self.give(BOX)
        for act in (
            lambda: self.studio.commit(self.id, saved.facts.revision - 1, read_command(extrude(0))),
            lambda: self.studio.preview(self.id, 99, read_command(extrude(0))),
            lambda: self.studio.undo(self.id, 0),
            lambda: self.studio.go_to(self.id, 0, saved.steps[0].id),
        ):
            with self.assertRaises(StaleRevisionError):
                act()
        self.assertEqual(self.studio.saved(self.id), saved)

    def test_what_is_refused_leaves_no_step(self) -> None:
        self.give(BOX)
        with self.assertRaises(CoreError):
            self.give(extrude(*range(16)))
        self.assertEqual(len(self.store.load(self.id).steps), 2)

    def test_a_step_of_another_design_is_no_step_of_this(self) -> None:
        other = self.store.create("Other", "mm")
        with self.assertRaises(UnknownDesignError):
            self.studio.go_to(self.id, 1, other.head_id)

    def test_undo_at_the_first_step_and_redo_at_the_last_do_nothing(self) -> None:
        saved = self.give(BOX)
        self.assertEqual(self.studio.redo(self.id, saved.facts.revision).head_index, 1)
        saved = self.studio.undo(self.id, saved.facts.revision)
        self.assertEqual(self.studio.undo(self.id, saved.facts.revision).head_index, 0)


class UndoExactly(StudioCase):
    @settings(max_examples=15, deadline=None)
    @given(faces=st.lists(st.integers(0, 15), min_size=1, max_size=5), back=st.integers(1, 5))
    def test_undo_restores_to_the_last_bit_and_redo_goes_there_again(self, faces: list[int], back: int) -> None:
        self.id = self.store.create("Trial", "mm").facts.id
        states = [self.give(BOX)]
        states += [self.give(extrude(face, by=1.7 + i)) for i, face in enumerate(faces)]
        back = min(back, len(faces))
        saved = states[-1]
        for expected in states[-2 : -2 - back : -1]:
            saved = self.studio.undo(self.id, saved.facts.revision)
            self.assertEqual(saved.design.pieces[0].cage, expected.design.pieces[0].cage)
            undone = saved.steps[saved.head_index + 1].title
            self.assertIn(f"Extruded {len(saved.selected['ids'])} face", undone)
            self.assertEqual(len(saved.steps), len(states) + 1)
        for expected in states[len(states) - back :]:
            saved = self.studio.redo(self.id, saved.facts.revision)
            self.assertEqual(saved.design.pieces[0].cage, expected.design.pieces[0].cage)
        for expected in (states[0], states[-1]):
            saved = self.studio.go_to(self.id, saved.facts.revision, expected.head_id)
            self.assertEqual(saved.design.pieces[0].cage, expected.design.pieces[0].cage)

    def test_a_new_step_after_undo_goes_on_from_there(self) -> None:
        self.give(BOX)
        saved = self.give(extrude(0))
        saved = self.studio.undo(self.id, saved.facts.revision)
        saved = self.give(extrude(3, by=2))
        self.assertEqual([s.title for s in saved.steps][2:], ["Extruded 1 face of Box by 2 mm"])
        # Nothing was overwritten: the step that is no longer in the list is still kept.
        self.assertEqual(self.store.step_count(), 4)


class Demo(StudioCase):
    def test_the_demo_designs_are_built_by_commands_and_hold(self) -> None:
        for card in self.store.designs():
            self.studio.delete(card.id)
        put_in_demo(self.store, self.studio)
        names = [card.name for card in self.store.designs()]
        begun = ["Paddle grip", "Tide lantern", "Hand bailer", "Dry-bag toggle", "Bailing scoop"]
        grown = ["Ripple bangle", "Fishing float", "Shade of reeds"]
        self.assertEqual(
            names, [*begun, *grown, "Pebble pendant", "Ford ring", "Ripple bangle, set", "Tiller knob", "Rippled cup"]
        )
        grip = self.store.load(self.store.designs()[0].id)
        self.assertGreater(len(grip.steps), 10)
        cage = grip.design.pieces[0].cage
        self.assertTrue(cage.topology.is_closed and cage.topology.all_quads)
        self.assertEqual(cage.topology.euler_characteristic, 2)
        self.assertLessEqual(cage.topology.vertex_valence.max(), 5)
        patches = fit_patches(cage, 4)
        self.assertGreater(volume_and_area(patches)[0], 50_000)
        self.assertLess(largest_seam(patches).degrees, 2)
        # Even on both sides, as a grip for either hand should be.
        mirrored = cage.positions * [-1, 1, 1]
        both = np.concatenate([cage.positions, mirrored]).round(9) + 0.0
        self.assertEqual(len(np.unique(both, axis=0)), len(cage.positions))
        self._can_be_printed_with_a_collar(grip.design)

    def _can_be_printed_with_a_collar(self, design: Design) -> None:
        """What is cut has edges far shorter than what is told: no neighbours beside one may be taken for crossing."""
        collar = {"kind": "cylinder", "point": [0, 0, -66], "along": [0, 0, 1], "radius": 21, "height": 14}
        for follower in (
            {"kind": "combine", "body": collar}, {"kind": "fillet", "between": ["", "piece"], "radius": 3},
            {"kind": "hollow", "wall": 2}, {"kind": "trim", "point": [0, 0, -62], "normal": [0, 0, -1]},
        ):  # fmt: skip
            if follower["kind"] == "fillet":
                follower["between"] = [design.pieces[0].followers[0].id, "piece"]
            design = done(design, kind="add-follower", piece=design.pieces[0].id, follower=follower)
        made, notes = triangles_of(recipe_of(design, design.pieces[0].id), 0.5, 180.0)
        self.assertEqual({note.status for note in notes}, {"done"})
        self.assertEqual(looked_over(made.points, made.triangles).faults, ())

    def test_the_lantern_keeps_clear_of_its_cell_and_fits_its_sketch(self) -> None:
        for card in self.store.designs():
            self.studio.delete(card.id)
        put_in_demo(self.store, self.studio)
        design = self.store.load(next(c.id for c in self.store.designs() if c.name == "Tide lantern")).design
        picture, cell = design.references
        assert isinstance(picture, Picture) and isinstance(cell, Component)
        # The two ticks of the sketch's measure lie 110 mm apart.
        apart = picture.place_of(*TICKS[0]) - picture.place_of(*TICKS[1])
        self.assertAlmostEqual(float(np.linalg.norm(apart)), TICKS_APART)
        np.testing.assert_allclose(cell.size, (18, 18, 65), atol=1e-3)
        asset = self.store.asset(cell.asset)
        with np.load(io.BytesIO(asset.data)) as arrays:
            distance = MeshDistance(arrays["vertices"], arrays["triangles"])
        for piece in design.pieces:
            if piece.visible:
                points = evaluate(build_stencils(piece.cage, 3), piece.cage).points
                self.assertGreater(distance.signed(points)[0].min(), cell.clearance, piece.name)

    def test_it_leaves_designs_alone_that_are_there(self) -> None:
        put_in_demo(self.store, self.studio)
        self.assertEqual([card.name for card in self.store.designs()], ["Trial"])


class Pictures(unittest.TestCase):
    def read(self, data: bytes) -> np.ndarray:
        return np.asarray(Image.open(io.BytesIO(data)), dtype=np.float64) / 255

    def test_an_empty_design_is_plain_paper(self) -> None:
        image = self.read(picture(Design(), 60, 40))
        self.assertEqual(image.shape, (40, 60, 3))
        np.testing.assert_allclose(image, np.broadcast_to(PAPER, image.shape), atol=0.01)

    def test_a_form_fills_the_middle_without_gaps(self) -> None:
        design = read_command({"kind": "add-box", "size": [10, 10, 10], "counts": [1, 1, 1]}).apply(Design()).design
        image = self.read(picture(design, 120, 80))
        covered = np.abs(image - PAPER).max(axis=2) > 0.05
        self.assertFalse(covered[0].any() or covered[:, 0].any())
        self.assertTrue(covered[30:50, 50:70].all())
        for row in covered[20:60]:
            inside = np.flatnonzero(row)
            self.assertEqual(len(inside), np.ptp(inside) + 1)

    def test_hidden_pieces_are_left_out(self) -> None:
        design = read_command({"kind": "add-box", "size": [10, 10, 10], "counts": [1, 1, 1]}).apply(Design()).design
        hidden = read_command({"kind": "show-piece", "piece": "p1", "visible": False}).apply(design).design
        self.assertEqual(picture(hidden, 60, 40), picture(Design(), 60, 40))
