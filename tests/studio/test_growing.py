"""Pieces that grow from others: what follows is what would grow anew, and what a hand pulled stays on top."""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from zinc_otter.core.cage.picking.loops import edge_loop
from zinc_otter.core.curve import Curve, pieces_of
from zinc_otter.core.curve.fitting import feet_on
from zinc_otter.core.errors import BadSelectionError, CoreError
from zinc_otter.core.form import NoFacesError
from zinc_otter.core.growth.loft import Loft
from zinc_otter.core.growth.pipe import Pipe
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.store.documents import blob_hashes, from_document, to_document
from zinc_otter.studio.commands import read_command
from zinc_otter.studio.design import Design, FollowsError, LockedError

ARCH: dict[str, Any] = {"kind": "draw-curve", "points": [[0, 0, 0], [10, 15, 2], [25, 18, 0], [40, 4, -3], [52, 0, 0]]}
PIPE: dict[str, Any] = {"kind": "grow", "growth": {"kind": "pipe", "source": "p1", "diameter": 3}}
RING: dict[str, Any] = {"kind": "add-curve", "shape": "circle", "diameter": 30, "count": 8}


def after(design: Design, *commands: dict[str, Any]) -> Design:
    for command in commands:
        design = read_command(command).apply(design).design
    return design


def move(piece: str, ids: list[int], vector: list[float], kind: str = "vertex") -> dict[str, Any]:
    return {"kind": "move", "piece": piece, "picked": {"kind": kind, "ids": ids}, "vector": vector}


class Following(unittest.TestCase):
    def setUp(self) -> None:
        self.design = after(Design(), ARCH, PIPE)

    def test_it_is_what_would_grow_anew(self) -> None:
        pulled = after(self.design, move("p1", [2], [0, 3, 8]))
        curve = pulled.piece("p1").curve
        assert curve is not None
        self.assertEqual(pulled.piece("p2").form, Pipe("p1", 3.0).grow([curve]).form)
        self.assertNotEqual(pulled.piece("p2").form, self.design.piece("p2").form)
        back = after(pulled, move("p1", [2], [0, -3, -8]))
        np.testing.assert_allclose(back.piece("p2").cage.positions, self.design.piece("p2").cage.positions, atol=1e-9)

    def test_all_along_a_chain(self) -> None:
        """A curve, its mirror image, a pipe round that, and a mirror image of the pipe."""
        design = after(
            self.design, {"kind": "mirror", "piece": "p1", "way": "second", "point": [60, 0, 0], "normal": [1, 0, 0]},
            {"kind": "grow", "growth": {"kind": "pipe", "source": "p3", "diameter": 2}},
            {"kind": "mirror", "piece": "p4", "way": "second", "normal": [0, 0, 1], "point": [0, 0, -20]},
        )  # fmt: skip
        done = after(design, move("p1", [2], [0, 0, 6]))
        image, original = done.piece("p3").cage.positions, done.piece("p1").cage.positions
        np.testing.assert_allclose(image, original * [-1, 1, 1] + [120, 0, 0])
        for piece in ("p2", "p4", "p5"):
            self.assertNotEqual(done.piece(piece).form, design.piece(piece).form, piece)
        np.testing.assert_allclose(
            done.piece("p5").cage.positions, done.piece("p4").cage.positions * [1, 1, -1] + [0, 0, -40]
        )
        self.assertIs(done.piece("p1").grown, None)

    def test_what_hangs_on_nothing_that_changed_stays_the_same_value(self) -> None:
        design = after(self.design, RING, {"kind": "grow", "growth": {"kind": "pipe", "source": "p3", "diameter": 1}})
        done = after(design, move("p1", [1], [0, 1, 0]))
        self.assertIs(done.piece("p4").form, design.piece("p4").form)

    def test_without_its_source_it_stands_alone(self) -> None:
        done = after(self.design, {"kind": "delete-piece", "piece": "p1"})
        self.assertIsNone(done.piece("p2").grown)
        self.assertEqual(done.piece("p2").form, self.design.piece("p2").form)

    def test_a_change_that_it_cannot_follow_changes_nothing(self) -> None:
        corner = {"kind": "corner", "piece": "p1", "picked": {"kind": "vertex", "ids": [2]}, "sharpness": 10}
        with self.assertRaisesRegex(CoreError, "Pipe, which follows it: .*corners"):
            after(self.design, corner)

    def test_no_circles(self) -> None:
        design = after(self.design, {"kind": "mirror", "piece": "p1", "way": "second", "normal": [1, 0, 0]})
        with self.assertRaisesRegex(FollowsError, "from itself"):
            after(design, {"kind": "regrow", "piece": "p3", "growth": {"kind": "mirrored", "source": "p3"}})

    def test_a_locked_one_is_not_made_otherwise(self) -> None:
        locked = after(self.design, {"kind": "lock-piece", "piece": "p2", "locked": True, "with_group": False})
        with self.assertRaises(LockedError):
            after(locked, {"kind": "regrow", "piece": "p2", "growth": {"kind": "pipe", "source": "p1", "diameter": 5}})
        # But it goes on following.
        self.assertNotEqual(after(locked, move("p1", [2], [0, 0, 5])).piece("p2").form, locked.piece("p2").form)


class PulledOnTop(unittest.TestCase):
    def setUp(self) -> None:
        self.design = after(Design(), ARCH, PIPE, move("p2", [9, 10], [0, 0, 2.5]))

    def off(self, design: Design) -> np.ndarray:
        piece = design.piece("p2")
        assert piece.grown is not None
        return np.asarray(piece.cage.positions - design.outgrowth(piece.grown).form.positions)  # type: ignore[union-attr]

    def test_it_stays_on_top_in_the_frame_of_the_place(self) -> None:
        before = self.off(self.design)
        np.testing.assert_allclose(before[[9, 10]], [[0, 0, 2.5]] * 2, atol=1e-12)
        self.assertEqual(self.design.piece("p2").pulled.count, 2)  # type: ignore[union-attr]
        # Moved as a whole the curve takes it along; turned by a quarter about x, up becomes sideways.
        turn = {"kind": "turn", "piece": "p1", "picked": {"kind": "piece", "ids": [0]}, "axis": [1, 0, 0], "degrees": 90}
        done = after(self.design, turn)
        lengths = np.linalg.norm(self.off(done)[[9, 10]], axis=1)
        np.testing.assert_allclose(lengths, 2.5, atol=1e-9)

    def test_it_comes_back_after_the_curve_was_pulled(self) -> None:
        done = after(self.design, move("p1", [2], [0, 4, 4]))
        self.assertTrue(self.off(done)[9].any())
        self.assertFalse(self.off(done)[40].any())
        again = after(done, {"kind": "let-back", "piece": "p2"})
        self.assertFalse(self.off(again).any())

    def test_another_count_loses_it_and_says_so(self) -> None:
        command = {"kind": "regrow", "piece": "p2", "growth": {"kind": "pipe", "source": "p1", "diameter": 3, "around": 12}}
        outcome = read_command(command).apply(self.design)
        self.assertTrue(any("2 points that were pulled" in remark for remark in outcome.remarks))
        self.assertIsNone(outcome.design.piece("p2").pulled)
        thicker = {"kind": "regrow", "piece": "p2", "growth": {"kind": "pipe", "source": "p1", "diameter": 5}}
        self.assertIsNotNone(after(self.design, thicker).piece("p2").pulled)

    def test_faces_are_changed_only_once_it_is_independent(self) -> None:
        extrude = {"kind": "extrude", "piece": "p2", "picked": {"kind": "face", "ids": [3]}, "distance": 1, "way": "mean"}
        with self.assertRaisesRegex(FollowsError, "Pipe follows Curve"):
            after(self.design, extrude)
        free = after(self.design, {"kind": "make-independent", "piece": "p2"})
        self.assertEqual(free.piece("p2").form, self.design.piece("p2").form)
        after(free, extrude, {"kind": "delete-piece", "piece": "p1"})


def stroke(piece: str, *places: list[float], **more: Any) -> dict[str, Any]:
    way = [number for place in places for number in (*place, 1.0)]
    return {"kind": "sculpt", "piece": piece, "level": 3, "radius": 2.0, "height": 0.3, "way": way, **more}


class ReliefOnTop(unittest.TestCase):
    def setUp(self) -> None:
        self.design = after(Design(), ARCH, PIPE, stroke("p2", [20, 18, 2], [30, 16, 0]))

    def surface(self, design: Design, piece: str = "p2") -> np.ndarray:
        cage = design.piece(piece).cage
        return evaluate(build_stencils(cage, 3), cage).points

    def raised(self, design: Design) -> float:
        cage = design.piece("p2").cage
        return float(np.abs(self.surface(design) - evaluate(build_stencils(cage, 3), cage.plain).points).max())

    def test_it_rides_along_while_the_curve_is_pulled(self) -> None:
        self.assertAlmostEqual(self.raised(self.design), 0.3, delta=0.03)
        moved = after(self.design, move("p1", [0], [3, -2, 7], "piece"))
        np.testing.assert_allclose(self.surface(moved), self.surface(self.design) + [3, -2, 7], atol=1e-9)
        bent = after(self.design, move("p1", [2], [0, 6, 5]))
        self.assertEqual(bent.piece("p2").cage.relief, self.design.piece("p2").cage.relief)
        self.assertAlmostEqual(self.raised(bent), 0.3, delta=0.03)
        back = after(bent, move("p1", [2], [0, -6, -5]))
        np.testing.assert_allclose(self.surface(back), self.surface(self.design), atol=1e-9)

    def test_it_stays_where_control_points_are_pulled_and_let_back(self) -> None:
        pulled = after(self.design, move("p2", [9, 10], [0, 0, 2.5]))
        self.assertAlmostEqual(self.raised(pulled), 0.3, delta=0.05)
        self.assertEqual(pulled.piece("p2").pulled.count, 2)  # type: ignore[union-attr]
        back = after(pulled, {"kind": "let-back", "piece": "p2"})
        np.testing.assert_allclose(self.surface(back), self.surface(self.design), atol=1e-9)

    def test_among_other_faces_it_is_carried_over_and_that_is_said(self) -> None:
        more = {"kind": "regrow", "piece": "p2", "growth": {"kind": "pipe", "source": "p1", "diameter": 3, "around": 12}}
        outcome = read_command(more).apply(self.design)
        said = [remark for remark in outcome.remarks if "relief is carried over within" in remark]
        self.assertEqual(len(said), 1, outcome.remarks)
        self.assertAlmostEqual(self.raised(outcome.design), 0.3, delta=0.06)
        thicker = {"kind": "regrow", "piece": "p2", "growth": {"kind": "pipe", "source": "p1", "diameter": 5}}
        outcome = read_command(thicker).apply(self.design)
        self.assertFalse(any("relief" in remark for remark in outcome.remarks), outcome.remarks)
        self.assertAlmostEqual(self.raised(outcome.design), 0.3, delta=0.03)

    def test_what_grows_from_it_has_it_and_loses_it_with_it(self) -> None:
        image = {"kind": "mirror", "piece": "p2", "way": "second", "point": [0, 0, -20], "normal": [0, 0, 1]}
        design = after(self.design, image)
        mirrored = self.surface(design) * [1, 1, -1] + [0, 0, -40]
        np.testing.assert_allclose(np.sort(self.surface(design, "p3")[:, 0]), np.sort(mirrored[:, 0]), atol=1e-9)
        np.testing.assert_allclose(self.surface(design, "p3").min(axis=0), mirrored.min(axis=0), atol=1e-9)
        with self.assertRaisesRegex(FollowsError, "shape Pipe"):
            after(design, stroke("p3", [20, 18, -42]))
        plain = after(design, {"kind": "change-relief", "piece": "p2", "way": "plain"})
        self.assertIsNone(plain.piece("p3").cage.relief)
        self.assertIsNone(after(plain, move("p1", [2], [0, 1, 0])).piece("p2").cage.relief)

    def test_its_first_level_is_made_faces_only_once_it_is_independent(self) -> None:
        with self.assertRaisesRegex(FollowsError, "make it independent"):
            after(self.design, {"kind": "change-relief", "piece": "p2", "way": "next"})
        free = after(self.design, {"kind": "make-independent", "piece": "p2"})
        self.assertEqual(free.piece("p2").form, self.design.piece("p2").form)

    def test_it_is_kept_and_undone_to_the_last_bit(self) -> None:
        document, blobs = to_document(self.design)
        again = from_document(document, blobs)
        self.assertEqual(again.piece("p2").form, self.design.piece("p2").form)
        self.assertEqual(after(again, move("p1", [2], [0, 6, 5])).piece("p2").form,
                         after(self.design, move("p1", [2], [0, 6, 5])).piece("p2").form)  # fmt: skip


class Kept(unittest.TestCase):
    def test_to_the_last_bit(self) -> None:
        square = {"kind": "draw-curve", "points": [[0, 0, 0], [9, 0, 0], [9, 9, 0]], "closed": True, "way": "straight"}
        design = after(Design(), ARCH, PIPE, move("p2", [9], [0, 0, 2]), square)
        document, blobs = to_document(design)
        self.assertEqual(blob_hashes(document), set(blobs))
        back = from_document(document, blobs)
        for piece in design.pieces:
            other = back.piece(piece.id)
            self.assertEqual((other.form, other.grown), (piece.form, piece.grown))
        pull = move("p1", [1], [1, 1, 1])
        self.assertEqual(after(back, pull).piece("p2").form, after(design, pull).piece("p2").form)

    def test_mirrored_copies_of_earlier_versions_are_read(self) -> None:
        design = after(Design(), {"kind": "add-box", "size": [10, 10, 10], "counts": [1, 1, 1]},
                       {"kind": "mirror", "piece": "p1", "way": "second", "normal": [0, 1, 0]})  # fmt: skip
        document, blobs = to_document(design)
        piece = document["pieces"][1]
        grown = piece.pop("grown")
        piece["follows"] = {"source": grown["source"], "plane": grown["plane"]}
        self.assertEqual(from_document(document, blobs).piece("p2").grown, design.piece("p2").grown)


class OnCurves(unittest.TestCase):
    """Verbs on the control points of a curve, and those that need faces."""

    def test_points_are_added_taken_away_and_drawn_out(self) -> None:
        design = after(Design(), ARCH, PIPE)
        added = after(design, {"kind": "add-loop", "piece": "p1", "picked": {"kind": "edge", "ids": [1]}})
        self.assertEqual(added.piece("p1").cage.topology.vertex_count, 6)
        self.assertEqual(added.piece("p2").cage.topology.face_count, 5 * 3 * 8 + 2)
        gone = after(added, {"kind": "delete", "piece": "p1", "picked": {"kind": "vertex", "ids": [2]}})
        self.assertEqual(gone.piece("p1").cage.topology.vertex_count, 5)
        out = after(design, {"kind": "extrude-along", "piece": "p1", "picked": {"kind": "vertex", "ids": [4]},
                             "vector": [9, 0, 0]})  # fmt: skip
        np.testing.assert_allclose(out.piece("p1").cage.positions[5], design.piece("p1").cage.positions[4] + [9, 0, 0])

    def test_what_needs_faces_says_so(self) -> None:
        design = after(Design(), ARCH, RING)
        whole = {"kind": "piece", "ids": [0]}
        for command in (
            {"kind": "thicken", "piece": "p1", "picked": whole, "distance": 1},
            {"kind": "inset", "piece": "p1", "picked": {"kind": "face", "ids": [0]}, "width": 1},
            {"kind": "knife", "piece": "p1", "picked": whole, "point": [0, 0, 0], "normal": [1, 0, 0]},
            {"kind": "repeat-around", "piece": "p1", "sectors": 4},
            {"kind": "bridge", "piece": "p1", "picked": {"kind": "edge", "ids": [0, 2]}},
            {"kind": "join-pieces", "pieces": ["p1", "p2"]},
            {"kind": "add-follower", "piece": "p1", "follower": {"kind": "hollow", "wall": 1}},
        ):
            with self.assertRaisesRegex(NoFacesError, "is a curve", msg=command["kind"]):
                after(design, command)

    def test_whole_curves(self) -> None:
        design = after(Design(), ARCH)
        more = after(design, {"kind": "resample-curve", "piece": "p1", "count": 9})
        self.assertEqual(more.piece("p1").cage.positions.shape, (9, 3))
        parted = after(design, {"kind": "part-curve", "piece": "p1", "picked": {"kind": "vertex", "ids": [2]}})
        self.assertEqual(len(parted.pieces), 2)
        joined = after(parted, {"kind": "join-curves", "piece": "p1", "other": "p2"})
        self.assertEqual([p.cage.topology.vertex_count for p in joined.pieces], [7])
        offset = after(after(Design(), RING), {"kind": "offset-curve", "piece": "p1", "distance": 2})
        self.assertEqual(len(offset.pieces), 2)
        for command in ({"kind": "resample-curve", "piece": "p1", "count": 9}, {"kind": "close-curve", "piece": "p1"}):
            box = after(Design(), {"kind": "add-box", "size": [9, 9, 9], "counts": [1, 1, 1]})
            with self.assertRaises(BadSelectionError):
                after(box, command)


class Taken(unittest.TestCase):
    """Curves taken from edges, against the surface."""

    def test_a_border_is_the_surfaces_own_line(self) -> None:
        sheet = {"kind": "add-plane", "size": [40, 30], "counts": [4, 3], "size_of": "cage"}
        design = after(Design(), sheet, move("p1", [1, 2, 7], [0, 0, 6]))
        cage = design.piece("p1").cage
        border = [int(edge) for edge in cage.topology.open_edges]
        done = after(design, {"kind": "take-curve", "piece": "p1", "picked": {"kind": "edge", "ids": border}})
        curve = done.piece("p2").curve
        assert curve is not None
        self.assertTrue(curve.closed)
        stencils = build_stencils(cage, 4)
        finest = stencils.finest.topology
        points = evaluate(stencils, cage).points
        on_border = points[np.unique(finest.edge_verts[finest.open_edges])]
        feet = feet_on(on_border, pieces_of(curve))
        # The corners of a sheet are corners of its border.
        self.assertEqual(int((curve.sharpness > 0).sum()), 4)
        self.assertLess(float(np.linalg.norm(feet - on_border, axis=1).max()), 1e-9)

    def test_elsewhere_it_passes_through_the_surface(self) -> None:
        design = after(Design(), {"kind": "add-sphere", "diameter": 30})
        cage = design.piece("p1").cage
        edge = 0
        loop = [int(e) for e in edge_loop(cage.topology, edge)]
        done = after(design, {"kind": "take-curve", "piece": "p1", "picked": {"kind": "edge", "ids": loop}})
        curve = done.piece("p2").curve
        assert curve is not None
        at = pieces_of(curve).at(np.arange(curve.count))
        limit = evaluate(build_stencils(cage, 1), cage).points[: cage.topology.vertex_count]
        nearest = np.linalg.norm(at[:, None] - limit[None], axis=2).min(axis=1)
        self.assertLess(float(nearest.max()), 1e-9)


@st.composite
def changes(draw: st.DrawFn) -> dict[str, Any]:
    shift = [draw(st.floats(-6, 6)) for _ in range(3)]
    what = draw(st.sampled_from(["pull", "pull grown", "thicker", "more", "fewer", "turn"]))
    if what == "pull":
        return move("p1", [draw(st.integers(0, 4))], shift)
    if what == "pull grown":
        return move("p2", [draw(st.integers(0, 30))], shift)
    if what == "turn":
        whole = {"kind": "piece", "ids": [0]}
        return {"kind": "turn", "piece": "p1", "picked": whole, "axis": [1, 2, 3], "degrees": shift[0] * 20}
    if what == "thicker":
        return {"kind": "regrow", "piece": "p2", "growth": {"kind": "pipe", "source": "p1", "diameter": 1 + abs(shift[0])}}
    edge = {"kind": "edge", "ids": [draw(st.integers(0, 3))]}
    if what == "more":
        return {"kind": "add-loop", "piece": "p1", "picked": edge}
    return {"kind": "remove", "piece": "p1", "picked": {"kind": "vertex", "ids": [draw(st.integers(0, 4))]}, "form": "hold"}


class AtRandom(unittest.TestCase):
    @settings(max_examples=30, deadline=None)
    @given(st.lists(changes(), min_size=1, max_size=6))
    def test_following_is_growing_anew(self, commands: list[dict[str, Any]]) -> None:
        design = after(Design(), ARCH, PIPE)
        for command in commands:
            try:
                design = after(design, command)
            except CoreError as error:
                self.assertTrue(str(error))
                continue
            piece = design.piece("p2")
            curve = design.piece("p1").curve
            assert piece.grown is not None and isinstance(curve, Curve)
            fresh = piece.grown.grow([Curve(curve.points, curve.degree, curve.closed, curve.sharpness)]).form
            fresh = fresh if piece.pulled is None else piece.pulled.on(fresh)  # type: ignore[arg-type]
            self.assertEqual(piece.form, fresh)
            piece.cage.topology.check()

    @settings(max_examples=15, deadline=None)
    @given(st.integers(2, 5), st.integers(0, 2**31))
    def test_a_loft_of_any_curves_is_sound_or_says_why(self, count: int, seed: int) -> None:
        random = np.random.default_rng(seed)
        forms = [
            Curve(random.uniform(-9, 9, (random.integers(4, 9), 3)) + [0, 0, 25 * k], int(random.integers(1, 4)))  # type: ignore[arg-type]
            for k in range(count)
        ]
        try:
            grown = Loft(tuple(f"p{k}" for k in range(count))).grow(forms)
        except CoreError as error:
            self.assertTrue(str(error))
            return
        assert not isinstance(grown.form, Curve)
        grown.form.topology.check()
        stencils = build_stencils(grown.form, 2)
        self.assertTrue(np.isfinite(evaluate(stencils, grown.form).points).all())
