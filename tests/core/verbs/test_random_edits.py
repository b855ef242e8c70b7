"""Random sequences of edits on random cages: sound after each, Euler's number as it should be, mirrored stays mirrored."""

from __future__ import annotations

import unittest
from collections.abc import Callable

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.sample_cages import jittered
from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.add_loop import add_loops, split_rings
from zinc_otter.core.cage.edits.bend import bend
from zinc_otter.core.cage.edits.bridge import bridge
from zinc_otter.core.cage.edits.chamfer import chamfer_edges, chamfer_vertices
from zinc_otter.core.cage.edits.circle import circle
from zinc_otter.core.cage.edits.collapse import collapse
from zinc_otter.core.cage.edits.creases import set_crease
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.cage.edits.detach import detach
from zinc_otter.core.cage.edits.extrude import Rise, extrude_edges, extrude_faces
from zinc_otter.core.cage.edits.fill import fill
from zinc_otter.core.cage.edits.flatten import flatten
from zinc_otter.core.cage.edits.flip import flip
from zinc_otter.core.cage.edits.heal import heal
from zinc_otter.core.cage.edits.inset import inset
from zinc_otter.core.cage.edits.knife import knife
from zinc_otter.core.cage.edits.push import push
from zinc_otter.core.cage.edits.relax import relax
from zinc_otter.core.cage.edits.slide import slide
from zinc_otter.core.cage.edits.space_evenly import space_evenly
from zinc_otter.core.cage.edits.spin import spin
from zinc_otter.core.cage.edits.split import split_edges, split_faces
from zinc_otter.core.cage.edits.straighten import straighten
from zinc_otter.core.cage.edits.taper import taper
from zinc_otter.core.cage.edits.twist import twist
from zinc_otter.core.cage.edits.weld import weld, weld_close
from zinc_otter.core.cage.edits.zip import zip_chains
from zinc_otter.core.cage.picking import grow
from zinc_otter.core.cage.picking.loops import edge_loop
from zinc_otter.core.cage.reach import Reach
from zinc_otter.core.cage.selection import count_of
from zinc_otter.core.cage.symmetry import Symmetry, SymmetryError, plane_at, radial, symmetric_edit
from zinc_otter.core.cage.symmetry.assembling import cut_and_assembled, following
from zinc_otter.core.errors import CoreError
from zinc_otter.core.holding import add_holding_loops, relax_holding, remove_holding, resample
from zinc_otter.core.primitives import box, cylinder, patched_sphere, plane

Verb = Callable[[Cage, Selection], Edit]

# Kind of what is picked, the verb, and by how much Euler's number changes; None where it depends on the place.
VERBS: dict[str, tuple[str, Verb, int | None]] = {
    "extrude": ("face", lambda c, s: extrude_faces(c, s, 2.0), 0),
    "extrude even": ("face", lambda c, s: extrude_faces(c, s, 1.0, way="even"), 0),
    "extrude each": ("face", lambda c, s: extrude_faces(c, s, 1.5, way="each", point=None, rise=Rise(2, 0.7)), 0),
    "extrude inwards": ("face", lambda c, s: extrude_faces(c, s, -0.5, way="even"), 0),
    "strips": ("border", lambda c, s: extrude_edges(c, s, 1.0), None),
    "inset": ("face", lambda c, s: inset(c, s, 0.4, depth=0.2), 0),
    "inset each": ("face", lambda c, s: inset(c, s, 0.3, apart=True), 0),
    "bridge": ("face", lambda c, s: bridge(c, s, segments=2, strength=1.0, add_loops=True), None),
    "delete": ("face", delete_elements, None),
    "fill": ("border", lambda c, s: fill(c, s), None),
    "fill with a face": ("border", lambda c, s: fill(c, s, way="face"), None),
    "heal": ("edge", heal, 0),
    "heal at a vertex": ("vertex", heal, 0),
    "detach": ("face", detach, None),
    "zip": ("border", zip_chains, None),
    "weld": ("vertex", weld, None),
    "weld close": ("vertex", lambda c, s: weld_close(c, s, 0.5), None),
    "add loop": ("edge", split_rings, 0),
    "crease": ("edge", lambda c, s: set_crease(c, s, 3.0), 0),
    "push": ("vertex", lambda c, s: push(c, s, 0.7, reach=Reach(4.0)), 0),
    "flatten": ("face", lambda c, s: flatten(c, s, share=0.5), 0),
    "round": ("face", circle, 0),
    "flip": ("face", flip, 0),
    "loops": ("edge", lambda c, s: add_loops(c, s, shares=(0.3, 0.6)), 0),
    "hold a loop": ("edge", lambda c, s: add_holding_loops(c, s, shares=(0.4,)), 0),
    "loop between picked": ("edge", lambda c, s: add_loops(c, s, shares=(0.3, 0.7), picked_only=True, ends="quads"), 0),
    "remove and hold": ("edge", remove_holding, 0),
    "split faces": ("face", lambda c, s: split_faces(c, s, 2, 2), 0),
    "split edges": ("edge", lambda c, s: split_edges(c, s, 3), 0),
    "knife": ("face", lambda c, s: knife(c, plane_at(c.positions.mean(axis=0), (0.3, 0.5, 1)), faces=s), 0),
    "knife opens": ("face",
        lambda c, s: knife(c, plane_at(c.positions.mean(axis=0), (1, 0.1, 0)), faces=s, leave="open"), None),
    "knife through": ("face", lambda c, s: knife(c, plane_at(c.positions.mean(axis=0), (0, 0, 1)), leave="filled"), None),
    "twist": ("vertex", lambda c, s: twist(c, s, (0, 0, 1), 40), 0),
    "bend": ("vertex", lambda c, s: bend(c, s, (0, 0, 1), (1, 0, 0), 20), 0),
    "taper": ("face", lambda c, s: taper(c, s, (0, 0, 1), 0.8), 0),
    "chamfer": ("edge", lambda c, s: chamfer_edges(c, s, 0.3, segments=1), 0),
    "round chamfer": ("edge", lambda c, s: chamfer_edges(c, s, 0.3, segments=2, is_round=True), 0),
    "chamfer vertices": ("vertex", lambda c, s: chamfer_vertices(c, s, 0.2), 0),
    "spin": ("edge", spin, 0),
    "collapse": ("edge", collapse, None),
    "collapse a ring": ("edge", lambda c, s: collapse(c, s, rings=True), None),
    "slide": ("edge", lambda c, s: slide(c, s, 0.2), 0),
    "straighten": ("edge", lambda c, s: straighten(c, s, share=0.7), 0),
    "space evenly": ("edge", space_evenly, 0),
    "relax": ("face", lambda c, s: relax(c, s, rounds=2), 0),
    "relax and hold": ("face", lambda c, s: relax_holding(c, s, rounds=2), 0),
    "resample": ("face", lambda c, s: resample(c, s, 4, 4), None),
}  # fmt: skip

# What depends on which of several equal ways is taken may differ between sides; the others must not.
EVEN_HANDED = [
    "extrude", "extrude even", "extrude each", "extrude inwards", "inset", "inset each", "delete", "heal",
    "heal at a vertex", "add loop", "crease", "push", "detach", "chamfer", "chamfer vertices", "split edges", "relax",
]  # fmt: skip

# What fits control points to a surface takes long on large forms.
FITTED = {"hold a loop", "remove and hold", "relax and hold", "resample"}

steps = st.lists(
    st.tuples(st.sampled_from(sorted(VERBS)), st.integers(0, 10**6), st.integers(0, 2)), min_size=30, max_size=30
)
starts = st.sampled_from(["box", "plane", "tube", "sphere"])


def start(name: str) -> Cage:
    made = {
        "box": lambda: box((20, 16, 12), (3, 2, 2)),
        "plane": lambda: plane((20, 20), (4, 3)),
        "tube": lambda: cylinder((20, 24), (8, 2), "none"),
        "sphere": lambda: patched_sphere(24, 2),
    }[name]()
    return jittered(made, 0.3)


def some(cage: Cage, kind: str, seed: int, rounds: int) -> Selection:
    """One element, or two far apart, grown a few times."""
    rng = np.random.default_rng(seed)
    if kind == "border":
        # Up to all of one hole's edges, or of two.
        first = rng.choice(cage.topology.open_edges, 1 + seed % 2) if not cage.topology.is_closed else [0]
        loops = [edge_loop(cage.topology, int(edge)) for edge in first]
        return Selection.of("edge", np.concatenate([loop[: max(1, len(loop) * (rounds + 1) // 3)] for loop in loops]))
    count = count_of(cage.topology, kind)  # type: ignore[arg-type]
    selection = Selection.of(kind, rng.integers(0, count, 1 + seed % 2))  # type: ignore[arg-type]
    for _ in range(rounds):
        selection = grow(cage.topology, selection)
    return selection


def check_sound(test: unittest.TestCase, cage: Cage) -> None:
    cage.topology.check()
    test.assertTrue(np.isfinite(cage.positions).all())
    test.assertEqual(len(cage.edge_sharpness), cage.topology.edge_count)
    for faces in cage.face_sets.values():
        test.assertTrue(not len(faces) or faces.max() < cage.topology.face_count)


class Sequences(unittest.TestCase):
    @settings(deadline=None, max_examples=16, derandomize=True)
    @given(starts, steps)
    def test_every_edit_leaves_a_sound_cage_or_none_at_all(self, name: str, sequence: list[tuple[str, int, int]]) -> None:
        cage = start(name)
        cage = Cage(cage.positions, cage.topology, None, None, {"named": [0, 1]})
        for verb, seed, rounds in sequence:
            kind, edit, change = VERBS[verb]
            if cage.topology.face_count > (120 if verb in FITTED else 700) and (change != 0 or verb in FITTED):
                continue
            selection = some(cage, kind, seed, rounds if cage.topology.face_count < 300 else 0)
            before = cage.digest
            try:
                done = edit(cage, selection)
            except CoreError as error:
                self.assertGreater(len(str(error)), 15)
                self.assertEqual(cage.digest, before)
                continue
            self.assertEqual(cage.digest, before, "the edit changed what it was given")
            check_sound(self, done.cage)
            if change is not None:
                self.assertEqual(done.cage.topology.euler_characteristic, cage.topology.euler_characteristic + change, verb)
            if len(done.selected):
                done.selected.check(done.cage.topology)
            went = done.old_to_new
            self.assertLess(went.corners.max(), done.cage.topology.corner_count)
            kept = went.corners >= 0
            t, after = cage.topology, done.cage.topology
            # A corner's face and vertex went where their own maps say, unless a verb gave the vertex several successors.
            self.assertTrue(np.array_equal(after.corner_face[went.corners[kept]], went.faces[t.corner_face[kept]]), verb)
            cage = done.cage

    @settings(deadline=None, max_examples=12, derandomize=True)
    @given(steps, st.sampled_from(["mirror", "sectors"]))
    def test_mirrored_and_repeated_forms_stay_so(self, sequence: list[tuple[str, int, int]], kind_of: str) -> None:
        cage, symmetry = self._symmetric(kind_of)
        for verb, seed, rounds in sequence:
            kind, edit, change = VERBS[verb]
            if cage.topology.face_count > (120 if verb in FITTED else 500) and (change != 0 or verb in FITTED):
                continue
            try:
                done, after = symmetric_edit(cage, symmetry, some(cage, kind, seed, min(rounds, 1)), edit)
            except CoreError:
                continue
            check_sound(self, done.cage)
            self.assertLess(after.strays(done.cage.positions), 1e-9, verb)
            images = after.edges
            self.assertTrue(np.all(done.cage.edge_sharpness[images] == done.cage.edge_sharpness), verb)
            cage, symmetry = done.cage, after

    @settings(deadline=None, max_examples=12, derandomize=True)
    @given(steps)
    def test_one_half_gives_what_the_whole_gives_with_both_sides_picked(self, sequence: list[tuple[str, int, int]]) -> None:
        cage, symmetry = self._symmetric("mirror")
        for verb, seed, rounds in sequence:
            if verb not in EVEN_HANDED or cage.topology.face_count > 500:
                continue
            kind, edit, _ = VERBS[verb]
            picked = some(cage, kind, seed, min(rounds, 1))
            both = symmetry.closed(picked)
            try:
                whole = edit(cage, both)
            except CoreError as error:
                with self.assertRaises(type(error)):
                    symmetric_edit(cage, symmetry, picked, edit)
                continue
            done, after = symmetric_edit(cage, symmetry, picked, edit)
            self.assertEqual(done.cage.topology.digest, whole.cage.topology.digest, verb)
            self.assertLess(np.abs(done.cage.positions - whole.cage.positions).max(), 1e-7, verb)
            cage, symmetry = done.cage, after

    def _symmetric(self, kind_of: str) -> tuple[Cage, Symmetry]:
        if kind_of == "mirror":
            return cut_and_assembled(jittered(box((20, 16, 12), (4, 2, 2)), 0.3), plane_at((0, 0, 0), (1, 0, 0)), True, 0.5)
        tube = jittered(cylinder((20, 24), (8, 2)), 0.3)
        return following(tube, radial((0, 0, 0), (0, 0, 1), 4), np.array([50.0, 4, 0]))

    def test_a_refusal_says_how_to_go_on(self) -> None:
        cage, symmetry = self._symmetric("mirror")
        left = int(np.argmin(cage.positions[:, 0]))

        def one_side(c: Cage, _: Selection) -> Edit:
            return weld(c, Selection.of("vertex", c.topology.edge_verts[(c.topology.edge_verts == left).any(axis=1)][0]))

        with self.assertRaises(SymmetryError) as caught:
            symmetric_edit(cage, symmetry, Selection.of("vertex", [left]), one_side)
        self.assertIn("Make the piece independent", str(caught.exception))


if __name__ == "__main__":
    unittest.main()
