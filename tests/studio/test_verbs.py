"""The verbs as commands: on symmetric pieces, on pieces that follow, between pieces; and undone to the last bit."""

from __future__ import annotations

import random
import tempfile
import unittest
from pathlib import Path
from typing import Any

import numpy as np

from tests.studio.test_pieces_and_forms import after, outcome
from zinc_otter.core.cage.selection import middles_of
from zinc_otter.core.cage.shells import shell_volumes
from zinc_otter.core.cage.symmetry import SymmetryError
from zinc_otter.core.errors import BadSelectionError, CoreError
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.store import Store
from zinc_otter.store.documents import blob_hashes, from_document, to_document
from zinc_otter.studio.commands import read_command
from zinc_otter.studio.crossings import AT_REST, looked_at
from zinc_otter.studio.design import Design, FollowsError
from zinc_otter.studio.references import Component
from zinc_otter.studio.studio import Studio

BOX = {"kind": "add-box", "name": "Body", "size": [40, 30, 20], "counts": [4, 3, 2]}
MIRROR = {"kind": "mirror", "piece": "p1"}


def faces(design: Design, test: Any, piece: str = "p1") -> dict[str, Any]:
    middles = middles_of(design.piece(piece).cage, "face")
    return {"kind": "face", "ids": [int(i) for i, m in enumerate(middles) if test(*m)]}


def on(design: Design, kind: str, test: Any, **values: Any) -> dict[str, Any]:
    return {"kind": kind, "piece": "p1", "picked": faces(design, test), **values}


def one_right_on_top(x: float, y: float, z: float) -> bool:
    return z > 9 and abs(x - 15) < 1 and abs(y) < 1


class Symmetric(unittest.TestCase):
    def setUp(self) -> None:
        self.design = after(Design(), BOX, MIRROR)

    def strays(self, design: Design) -> float:
        piece = design.piece("p1")
        assert piece.symmetry is not None
        return piece.symmetry.strays(piece.cage.positions)

    def test_what_is_done_on_one_side_is_done_on_both(self) -> None:
        done = outcome(self.design, on(self.design, "extrude", one_right_on_top, distance=6, way="even", segments=2))
        cage = done.design.piece("p1").cage
        self.assertEqual(len(faces(done.design, lambda x, y, z: z > 15)["ids"]), 2)
        self.assertEqual(cage.topology.face_count, 52 + 16)
        assert done.selected is not None
        self.assertTrue(np.all(middles_of(cage, "face")[done.selected.ids, 0] > 0))
        self.assertLess(self.strays(done.design), 1e-12)

    def test_a_side_turns_about_its_own_middle(self) -> None:
        turn = on(self.design, "turn", lambda x, y, z: x > 19, axis=[1, 0, 0], degrees=20)
        cage = after(self.design, turn).piece("p1").cage
        right = cage.positions[np.abs(cage.positions[:, 0] - 20) < 1e-9]
        self.assertTrue(np.allclose(right.mean(axis=0), [20, 0, 0]))
        self.assertLess(self.strays(after(self.design, turn)), 1e-9)

    def test_two_ends_on_one_side_are_bridged_on_both(self) -> None:
        ends = on(self.design, "bridge", lambda x, y, z: z > 9 and abs(x - 15) < 1 and abs(y) > 5, segments=3, strength=1)
        cage = after(self.design, ends).piece("p1").cage
        # One handle on each side: genus 2.
        self.assertEqual(cage.topology.euler_characteristic, -2)
        across = on(self.design, "bridge", one_right_on_top, segments=3, strength=1)
        self.assertEqual(after(self.design, across).piece("p1").cage.topology.euler_characteristic, 0)

    def test_vertices_are_welded_on_each_side(self) -> None:
        cage = self.design.piece("p1").cage
        edge = int(np.argmax(middles_of(cage, "edge") @ [1, 0.3, 0.2]))
        picked = {"kind": "vertex", "ids": cage.topology.edge_verts[edge].tolist()}
        done = after(self.design, {"kind": "weld", "piece": "p1", "picked": picked})
        self.assertEqual(done.piece("p1").cage.topology.vertex_count, cage.topology.vertex_count - 2)
        self.assertLess(self.strays(done), 1e-12)

    def test_as_a_whole_it_takes_its_plane_along(self) -> None:
        whole = {"kind": "move", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "vector": [7, 0, 3]}
        done = after(self.design, whole)
        piece = done.piece("p1")
        assert piece.symmetry is not None
        self.assertEqual(piece.symmetry.group.planes[0].point[0], 7)
        self.assertTrue(np.allclose(piece.cage.bounds[:, 0], [-13, 27]))
        copy = after(self.design, {"kind": "duplicate-piece", "piece": "p1", "offset": [50, 0, 0]}).pieces[1]
        assert copy.symmetry is not None
        self.assertLess(copy.symmetry.strays(copy.cage.positions), 1e-9)

    def test_a_face_is_laid_on_both_sides(self) -> None:
        away = {"kind": "lay-face", "piece": "p1", "corners": [[50, 0, 0], [60, 0, 0], [60, 9, 0]], "towards": [0, 0, 1]}
        done = after(self.design, away)
        self.assertEqual(done.piece("p1").cage.topology.face_count, 52 + 2)
        self.assertLess(self.strays(done), 1e-9)
        # Across the mirror: two new points, one of them the other's image, and the face is its own.
        sheet = after(Design(), {"kind": "add-plane", "size": [20, 20], "counts": [2, 2]}, MIRROR)
        cage = sheet.piece("p1").cage
        front = [int(np.argmin(np.abs(cage.positions - [x, -10, 0]).sum(axis=1))) for x in (-10, 0, 10)]
        corners: list[Any] = [front[1], front[0], [-10, -20, 0], [0, -20, 0]]
        done = after(sheet, {"kind": "lay-face", "piece": "p1", "corners": corners, "towards": [0, 0, 1]})
        t = done.piece("p1").cage.topology
        # The point in the mirror is there once: three new vertices for two faces.
        self.assertEqual((t.face_count, t.vertex_count, t.euler_characteristic), (6, 12, 1))

    def test_what_would_break_the_symmetry_is_refused_until_independent(self) -> None:
        # A bridge across the mirror whose pairing is rolled on by one turns one way round, and its image the other.
        across = on(self.design, "bridge", one_right_on_top, segments=3, strength=1)
        with self.assertRaises(SymmetryError) as caught:
            after(self.design, {**across, "shift": 1})
        self.assertIn("Make the piece independent", str(caught.exception))
        # Marked are faces of the form as it stands: the two ends, where the refused bridge would have stood.
        ends = faces(self.design, lambda x, y, z: z > 9 and abs(abs(x) - 15) < 1 and abs(y) < 1)
        self.assertEqual(list(caught.exception.place.faces), ends["ids"])
        free = after(self.design, {"kind": "make-independent", "piece": "p1"})
        both = on(free, "bridge", lambda x, y, z: z > 9 and abs(abs(x) - 15) < 1 and abs(y) < 1, segments=3, shift=1)
        self.assertEqual(after(free, both).piece("p1").cage.topology.euler_characteristic, 0)
        with self.assertRaises(BadSelectionError):
            after(free, {"kind": "make-independent", "piece": "p1"})

    def test_a_detached_part_keeps_the_symmetry(self) -> None:
        done = after(self.design, on(self.design, "detach", one_right_on_top, as_piece=True))
        part = done.pieces[1]
        self.assertEqual(part.cage.topology.face_count, 2)
        assert part.symmetry is not None
        self.assertLess(part.symmetry.strays(part.cage.positions), 1e-12)
        self.assertLess(self.strays(done), 1e-12)

    def test_quarters_and_sectors(self) -> None:
        quarter = after(self.design, {**MIRROR, "normal": [0, 1, 0]})
        done = after(quarter, on(quarter, "extrude", lambda x, y, z: z > 9 and x > 11 and y > 6, distance=4))
        self.assertEqual(len(faces(done, lambda x, y, z: z > 13)["ids"]), 4)
        self.assertLess(self.strays(done), 1e-12)
        with self.assertRaises(BadSelectionError):
            after(quarter, MIRROR)
        tube = {"kind": "add-cylinder", "diameter": 30, "height": 40, "counts": [12, 3], "caps": "open", "size_of": "cage"}
        ring = after(Design(), tube, {"kind": "repeat-around", "piece": "p1", "way": "follow", "sectors": 6})
        done = after(ring, on(ring, "extrude", lambda x, y, z: x > 5 and abs(z) < 1 and 0 < y < 6, distance=4))
        self.assertEqual(len(faces(done, lambda x, y, z: np.hypot(x, y) > 17)["ids"]), 6)
        self.assertLess(self.strays(done), 1e-9)

    def test_it_is_kept_with_the_design_to_the_last_bit(self) -> None:
        design = after(self.design, {"kind": "mirror", "piece": "p1", "way": "second", "normal": [0, 0, 1]})
        document, blobs = to_document(design)
        self.assertEqual(blob_hashes(document), set(blobs))
        back = from_document(document, blobs)
        self.assertEqual(back.piece("p1").symmetry, design.piece("p1").symmetry)
        self.assertEqual(back.piece("p2").grown, design.piece("p2").grown)
        edit = on(design, "extrude", one_right_on_top, distance=3)
        self.assertEqual(after(back, edit).piece("p1").cage, after(design, edit).piece("p1").cage)


class Following(unittest.TestCase):
    def setUp(self) -> None:
        self.design = after(Design(), BOX, {**MIRROR, "way": "second", "point": [30, 0, 0]})

    def test_a_second_piece_follows(self) -> None:
        done = after(self.design, on(self.design, "extrude", lambda x, y, z: x < -19 and z > 0, distance=5))
        first, second = (done.piece(i).cage for i in ("p1", "p2"))
        self.assertTrue(np.allclose(second.positions, first.positions * [-1, 1, 1] + [60, 0, 0]))
        self.assertGreater(shell_volumes(second)[0], 0)

    def test_it_cannot_be_shaped_itself_until_independent(self) -> None:
        move = {"kind": "move", "piece": "p2", "picked": {"kind": "face", "ids": [0]}, "vector": [1, 0, 0]}
        with self.assertRaises(FollowsError) as caught:
            after(self.design, move)
        self.assertIn("Body", str(caught.exception))
        after(self.design, {"kind": "make-independent", "piece": "p2"}, move)

    def test_without_its_original_it_stands_alone(self) -> None:
        done = after(self.design, {"kind": "delete-piece", "piece": "p1"})
        self.assertIsNone(done.piece("p2").grown)


class Between(unittest.TestCase):
    def setUp(self) -> None:
        self.design = after(Design(), BOX, {"kind": "duplicate-piece", "piece": "p1", "offset": [60, 0, 0]})

    def test_two_pieces_are_bridged_into_one(self) -> None:
        picked = faces(self.design, lambda x, y, z: x > 19 and abs(y) < 1)
        far = {"piece": "p2", "picked": faces(self.design, lambda x, y, z: x < 41 and abs(y) < 1, "p2")}
        done = outcome(self.design, {"kind": "bridge", "piece": "p1", "picked": picked, "far": far})
        self.assertEqual([piece.id for piece in done.design.pieces], ["p1"])
        cage = done.design.piece("p1").cage
        self.assertEqual(cage.topology.euler_characteristic, 2)
        self.assertTrue(cage.topology.is_closed)
        mirrored = after(self.design, MIRROR)
        with self.assertRaises(SymmetryError):
            after(mirrored, {"kind": "bridge", "piece": "p1", "picked": picked, "far": far})

    def test_a_far_end_on_the_same_piece(self) -> None:
        one, other = (faces(self.design, lambda x, y, z, s=s: s * z > 9 and abs(y) < 1 and 0 < x < 11) for s in (1, -1))
        far = {"piece": "p1", "picked": other}
        done = outcome(self.design, {"kind": "bridge", "piece": "p1", "picked": one, "far": far})
        self.assertEqual(done.design.piece("p1").cage.topology.euler_characteristic, 0)
        self.assertIn("1 hole", read_command({"kind": "bridge", "piece": "p1", "picked": one}).notes(done)[0])

    def test_joined_and_detached(self) -> None:
        done = after(self.design, {"kind": "join-pieces", "pieces": ["p1", "p2"]})
        self.assertEqual([p.cage.topology.face_count for p in done.pieces], [104])
        done = after(done, on(done, "detach", lambda x, y, z: x > 30, as_piece=True))
        self.assertEqual([p.cage.topology.face_count for p in done.pieces], [52, 52])

    def test_drawn_onto_another_piece_and_onto_a_component(self) -> None:
        draw = on(self.design, "attract", lambda x, y, z: x > 19, onto="p2")
        done = after(self.design, draw)
        cage = done.piece("p1").cage
        # The second piece's smooth surface begins between its control points at x = 40 and its middle.
        near = cage.positions[cage.positions[:, 0] > 30]
        self.assertEqual(len(near), 12)
        self.assertTrue(np.all((near[:, 0] > 40) & (near[:, 0] < 50)))
        part = Component("r9", "cell", "mesh", 2, (10.0, 10.0, 0.0), centre=(25.0, 0.0, 0.0))
        upright = np.array([[0.0, -50, -50], [0, 50, -50], [0, 0, 80]])
        mesh = MeshDistance(upright, np.array([[0, 1, 2]]))
        with_part = Design(self.design.pieces, 10, (part,))
        command = read_command({**draw, "onto": "r9", "distance": 2})
        moved = command.apply_among(with_part, lambda asset: mesh).design.piece("p1").cage
        self.assertEqual(np.count_nonzero(np.abs(moved.positions[:, 0] - 23) < 1e-9), 12)
        for onto in ("p1", "nobody"):
            with self.assertRaises(CoreError):
                after(self.design, {**draw, "onto": onto})


class Notes(unittest.TestCase):
    def test_thicken_says_whether_the_walls_hold(self) -> None:
        tube = {"kind": "add-cylinder", "diameter": 20, "height": 30, "counts": [12, 3], "caps": "open", "size_of": "cage"}
        design = after(Design(), tube)
        whole = {"kind": "piece", "ids": [0]}
        for distance, words in ((2, "The wall is 2 to 2"), (14, "run through each other")):
            command = {"kind": "thicken", "piece": "p1", "picked": whole, "distance": distance}
            done = outcome(design, command)
            looked = looked_at(design, read_command(command), done, AT_REST)
            assert looked is not None
            self.assertIn(words, " ".join([*read_command(command).notes(done), str(looked.words)]))
            self.assertEqual(len(looked.faces) > 0, distance > 2)
            self.assertEqual(looked.words == "Nothing crosses.", distance == 2)


# fmt: off
RANDOM: list[dict[str, Any]] = [
    {"kind": "extrude", "distance": 2, "way": "even"}, {"kind": "extrude", "distance": 1, "way": "each", "segments": 2},
    {"kind": "inset", "width": 0.4}, {"kind": "delete"}, {"kind": "heal"}, {"kind": "detach"}, {"kind": "flip"},
    {"kind": "move", "vector": [1, 0.5, 0.25], "reach": {"radius": 9}}, {"kind": "flatten"}, {"kind": "circle"},
    {"kind": "fill", "way": "face"}, {"kind": "bridge", "add_loops": True}, {"kind": "crease", "sharpness": 3},
    {"kind": "turn", "axis": [0, 1, 1], "degrees": 15}, {"kind": "mirror"}, {"kind": "make-independent"},
    {"kind": "add-loop", "shares": [0.3]}, {"kind": "add-loop", "form": "hold"}, {"kind": "remove", "form": "hold"},
    {"kind": "split", "along": 2, "across": 2}, {"kind": "knife", "point": [0, 0, 1], "normal": [0.2, 0.1, 1]},
    {"kind": "chamfer", "distance": 0.5, "segments": 2}, {"kind": "spin"}, {"kind": "collapse"}, {"kind": "relax"},
    {"kind": "slide", "share": 0.3}, {"kind": "space-evenly"},
]
OF_EDGES = {"heal", "fill", "crease", "add-loop", "remove", "chamfer", "spin", "slide", "space-evenly"}
# fmt: on


class Undone(unittest.TestCase):
    def test_undo_restores_to_the_last_bit_and_redo_repeats(self) -> None:
        with tempfile.TemporaryDirectory() as folder:
            store = Store(Path(folder) / "z.sqlite")
            studio = Studio(store)
            for seed in range(4):
                self._there_and_back(studio, store, random.Random(seed))
            store.close()

    def _there_and_back(self, studio: Studio, store: Store, rng: random.Random) -> None:
        saved = store.create("Trial", "mm")
        key = saved.facts.id
        saved = studio.commit(key, saved.facts.revision, read_command(BOX))
        seen = [self._all_of(saved.design)]
        for _ in range(30):
            given = dict(rng.choice(RANDOM), piece="p1")
            if given["kind"] not in ("mirror", "make-independent"):
                kind = "edge" if given["kind"] in OF_EDGES else "face"
                cage = saved.design.piece("p1").cage
                count = cage.topology.edge_count if kind == "edge" else cage.topology.face_count
                given["picked"] = {"kind": kind, "ids": rng.sample(range(count), min(count, rng.choice((1, 2, 5))))}
            try:
                saved = studio.commit(key, saved.facts.revision, read_command(given))
            except CoreError:
                self.assertEqual(self._all_of(studio.saved(key).design), seen[-1])
                continue
            seen.append(self._all_of(saved.design))
        self.assertGreater(len(seen), 12)
        for before in reversed(seen[:-1]):
            saved = studio.undo(key, saved.facts.revision)
            self.assertEqual(self._all_of(saved.design), before)
        for later in seen[1:]:
            saved = studio.redo(key, saved.facts.revision)
            self.assertEqual(self._all_of(saved.design), later)

    def _all_of(self, design: Design) -> dict[str, Any]:
        """The whole design as a document: arrays are named by the hash of every bit."""
        return to_document(design)[0]


if __name__ == "__main__":
    unittest.main()
