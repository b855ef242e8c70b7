"""Stones laid on forms: they ride on them, are kept apart, and are found again when faces change."""

from __future__ import annotations

import unittest
from typing import Any

import numpy as np
from scipy.spatial import cKDTree

from tests import sample_cages
from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.move import move
from zinc_otter.core.errors import BadNumberError, BadSelectionError, CoreError
from zinc_otter.core.growth.stones import Stones
from zinc_otter.core.primitives.sized import sized_plane, sized_torus
from zinc_otter.core.stone.laying import LaidBy, along_length, laid_places, over_faces
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.surface.anchors import anchored, rooted
from zinc_otter.studio.commands import read_command
from zinc_otter.studio.design import Design

BAND: dict[str, Any] = {
    "kind": "add-torus",
    "name": "Band",
    "ring": 20,
    "section": 4,
    "counts": [16, 8],
    "size_of": "surface",
}
ROUND = {"kind": "round", "width": 1.5}


def done(design: Design, **command: Any) -> Design:
    return read_command(command).apply(design).design


def band() -> Design:
    return done(Design(), **BAND)


def places(design: Design, piece: str = "p2") -> np.ndarray:
    return np.concatenate([motions[:, :3, 3] for _, motions in design.piece(piece).form.stones])  # type: ignore[union-attr]


def distance_to(cage: Cage, points: np.ndarray) -> np.ndarray:
    """By a search of its own: dense points of a fine level."""
    return np.asarray(cKDTree(evaluate(build_stencils(cage, 6), cage).positions).query(points)[0])


class Anchors(unittest.TestCase):
    def test_points_of_the_surface_are_found_again(self) -> None:
        for cage in (sample_cages.knob(), sample_cages.tray(), sample_cages.prism(), sample_cages.rimmed(2.5)):
            size = float(np.ptp(cage.positions, axis=0).max())
            points = evaluate(build_stencils(cage, 6), cage).positions
            points = points[np.random.default_rng(3).integers(len(points), size=80)]
            back = rooted(cage, anchored(cage, points))
            self.assertLess(np.linalg.norm(back.points - points, axis=1).max(), 4e-3 * size)
            # Near to where they were along the surface, and on it far nearer than that.
            self.assertLess(np.abs(((back.points - points) * back.normals).sum(axis=1)).max(), 2e-3 * size)
            np.testing.assert_allclose(np.linalg.norm(back.normals, axis=1), 1, atol=1e-12)
            self.assertLess(np.abs((back.normals * back.along).sum(axis=1)).max(), 1e-12)

    def test_they_ride_on_the_cage_rigidly(self) -> None:
        cage = sample_cages.knob()
        anchors = anchored(cage, cage.positions[:6])
        was = rooted(cage, anchors)
        a = 0.7
        turn = np.array([[np.cos(a), -np.sin(a), 0], [np.sin(a), np.cos(a), 0], [0, 0, 1]])
        now = rooted(cage.with_positions(cage.positions @ turn.T + [3, 4, 5]), anchors)
        np.testing.assert_allclose(now.points, was.points @ turn.T + [3, 4, 5], atol=1e-9)
        np.testing.assert_allclose(now.normals, was.normals @ turn.T, atol=1e-9)


class Ways(unittest.TestCase):
    def test_a_stone_lies_where_it_was_clicked_and_looks_out(self) -> None:
        design = done(band(), kind="lay-stones", host="p1", cut=ROUND, points=[[12, 0, 0], [0, -10, 2]])
        self.assertLess(np.abs(places(design) - [[12, 0, 0], [0, -10, 2]]).max(), 2e-3)
        ((_, motions),) = design.piece("p2").form.stones  # type: ignore[union-attr]
        self.assertGreater(motions[0][:3, 2] @ [1, 0, 0], 0.999)
        self.assertGreater(motions[1][:3, 2] @ [0, 0, 1], 0.999)
        self.assertAlmostEqual(float(np.linalg.det(motions[0][:3, :3])), 1.0, places=9)

    def test_sunk_and_turned(self) -> None:
        design = done(band(), kind="lay-stones", host="p1", cut=ROUND, points=[[12, 0, 0]], sink=0.4, turn=30)
        self.assertAlmostEqual(float(places(design)[0, 0]), 11.6, delta=2e-3)

    def test_round_an_axis(self) -> None:
        design = done(band(), kind="lay-stones", host="p1", cut=ROUND, way="round", points=[[12, 0, 0]], count=7)
        at = places(design)
        angles = np.sort(np.degrees(np.arctan2(at[:, 1], at[:, 0])) % 360)
        np.testing.assert_allclose(np.diff(angles), 360 / 7, atol=0.02)
        np.testing.assert_allclose(np.hypot(at[:, 0], at[:, 1]), 12, atol=5e-3)

    def test_a_field_on_a_sheet_is_hexagonal(self) -> None:
        cage = sized_plane((20, 20), (4, 4), "surface")
        points = over_faces(cage, np.arange(16), 1.0, 0.2)
        tree = cKDTree(points)
        near, _ = tree.query(points, k=7)
        inner = (np.abs(points[:, :2]) < 7).all(axis=1)
        # Each within has six about it, all a pitch away.
        np.testing.assert_allclose(near[inner][:, 1:], 1.2, atol=1e-9)
        # As many as a hexagonal packing has room for, less what the border takes.
        full = 400 / (1.2**2 * np.sqrt(3) / 2)
        self.assertGreater(len(points), 0.85 * full)
        self.assertLessEqual(np.abs(points[:, :2]).max(), 10 - 0.5 + 1e-6)

    def test_a_field_on_a_bent_form_keeps_its_gap_and_its_border(self) -> None:
        cage = sized_torus((20, 6), (16, 8), "surface")
        faces = np.arange(0, 48)
        points = over_faces(cage, faces, 1.0, 0.15)
        near, _ = cKDTree(points).query(points, k=2)
        self.assertGreaterEqual(near[:, 1].min(), 1.15 - 2e-3)
        self.assertGreater(len(points), 60)

    def test_along_edges_and_along_a_curve(self) -> None:
        design = band()
        cage = design.piece("p1").faces
        ends = cage.positions[cage.topology.edge_verts]
        outer = np.flatnonzero(
            (np.hypot(ends[..., 0], ends[..., 1]) > 11.9).all(axis=1) & (np.abs(ends[..., 2]) < 1e-6).all(axis=1)
        )
        self.assertEqual(len(outer), 16)
        design = done(design, kind="lay-stones", host="p1", cut=ROUND, way="edges", ids=outer.tolist(), count=0, gap=0.1)
        count = len(places(design))
        self.assertEqual(count, int(2 * np.pi * 12 / 1.6))
        design = done(design, kind="add-curve", name="Rail", shape="circle", diameter=30, count=12)
        design = done(design, kind="lay-stones", curve="p3", cut=ROUND, way="curve", count=20)
        at = places(design, "p4")
        np.testing.assert_allclose(np.linalg.norm(at, axis=1), 15, atol=0.01)
        # The curve is pulled, and they go along.
        design = done(design, kind="move", piece="p3", picked={"kind": "piece", "ids": [0]}, vector=[0, 0, 5])
        np.testing.assert_allclose(places(design, "p4") - at, np.tile([0, 0, 5], (20, 1)), atol=1e-9)

    def test_along_a_line_by_count_and_by_gap(self) -> None:
        np.testing.assert_allclose(along_length(10, False, 4, 1, 0), [1.25, 3.75, 6.25, 8.75])
        np.testing.assert_allclose(along_length(10, True, 4, 1, 0), [0, 2.5, 5, 7.5])
        open_line = along_length(10, False, 0, 1.5, 0.5)
        np.testing.assert_allclose(np.diff(open_line), 2.0)
        self.assertAlmostEqual(open_line[0] + open_line[-1], 10)
        self.assertEqual(len(along_length(10, True, 0, 1.5, 0.5)), 5)


class Following(unittest.TestCase):
    def test_pulled_stones_stay_on_the_form_to_the_last(self) -> None:
        design = done(band(), kind="lay-stones", host="p1", cut=ROUND, way="round", points=[[12, 0, 0]], count=9)
        chance = np.random.default_rng(5)
        for _ in range(4):
            ids = chance.integers(128, size=3).tolist()
            vector = chance.normal(size=3).tolist()
            design = done(design, kind="move", piece="p1", picked={"kind": "vertex", "ids": ids}, vector=vector)
        self.assertLess(distance_to(design.piece("p1").faces, places(design)).max(), 0.05)

    def test_following_is_growing_anew(self) -> None:
        design = done(band(), kind="lay-stones", host="p1", cut=ROUND, points=[[12, 0, 0], [0, 10, 2]])
        design = done(design, kind="move", piece="p1", picked={"kind": "vertex", "ids": [4, 5]}, vector=[1, 1, 0])
        piece = design.piece("p2")
        assert piece.grown is not None
        self.assertEqual(piece.form, design.outgrowth(piece.grown).form)

    def test_a_loop_added_leaves_them_where_they_were(self) -> None:
        design = done(band(), kind="lay-stones", host="p1", cut=ROUND, way="round", points=[[12, 0, 0]], count=5)
        before = places(design)
        faces = design.piece("p1").faces.topology.face_count
        design = done(design, kind="add-loop", piece="p1", picked={"kind": "edge", "ids": [0]}, form="hold")
        self.assertGreater(design.piece("p1").faces.topology.face_count, faces)
        self.assertLess(np.linalg.norm(places(design) - before, axis=1).max(), 0.02)

    def test_a_repeat_takes_stones_along(self) -> None:
        design = done(band(), kind="lay-stones", host="p1", cut=ROUND, points=[[12, 0, 0]])
        growth = {"kind": "repeat", "originals": ["p2"], "count": 6}
        design = done(design, kind="grow", growth=growth)
        ((stone, motions),) = design.piece("p3").form.stones  # type: ignore[union-attr]
        self.assertEqual((len(motions), stone.cut.width), (5, 1.5))

    def test_laid_anew_those_that_were_there_stay_where_they_were_carried(self) -> None:
        design = done(band(), kind="lay-stones", host="p1", cut=ROUND, points=[[12, 0, 0]])
        design = done(design, kind="move", piece="p1", picked={"kind": "piece", "ids": [0]}, vector=[0, 0, 7])
        again = {"host": "p1", "piece": "p2", "cut": {"kind": "round", "width": 2.0}, "points": [[12, 0, 0], [0, 12, 7]]}
        design = done(design, kind="lay-stones", **again)
        self.assertLess(np.abs(places(design) - [[12, 0, 7], [0, 12, 7]]).max(), 0.01)


class Refused(unittest.TestCase):
    def refuse(self, words: str, design: Design, **command: Any) -> None:
        with self.assertRaisesRegex(CoreError, words):
            read_command({"kind": "lay-stones", "cut": ROUND, **command}).apply(design)

    def test_bad_input(self) -> None:
        design = band()
        big = {"kind": "round", "width": 80}
        self.refuse("A stone of 80 mm is larger than the form", design, host="p1", cut=big, points=[[12, 0, 0]])
        self.refuse(
            "100,000 stones; 1,000 are the most", design, host="p1", way="round", points=[[12, 0, 0]] * 100, count=1000
        )
        self.refuse("Say where the stones are to be", design, host="p1")
        self.refuse("Pick the form", design, points=[[0, 0, 0]])
        self.refuse("Pick the curve", design, way="curve")
        self.refuse(
            "More than 1,000 stones",
            design,
            host="p1",
            cut={"kind": "round", "width": 0.3},
            way="faces",
            ids=list(range(128)),
        )
        self.refuse("has no piece", design, host="p9", points=[[0, 0, 0]])
        with self.assertRaises(BadNumberError):
            along_length(10, False, 0, 1.0, -1.0)
        with self.assertRaises(BadSelectionError):
            laid_places(design.piece("p1").faces, LaidBy("curve"), 1.0)
        with self.assertRaises(BadSelectionError):
            over_faces(design.piece("p1").faces, np.array([500]), 1.0, 0.1)

    def test_a_single_stone_lies_where_it_is_said_along_a_curve(self) -> None:
        arc = done(Design(), kind="draw-curve", points=[[0, 0, 0], [10, 0, 0], [20, 0, 0], [30, 0, 0]])
        for share in (0.0, 0.25, 0.5, 1.0):
            laid = done(arc, kind="lay-stones", curve="p1", cut=ROUND, way="curve", count=1, at=share)
            np.testing.assert_allclose(places(laid)[0], [30 * share, 0, 0], atol=1e-6)
        with self.assertRaisesRegex(BadNumberError, "at 0 to 100 % of a curve's length; 150 % is not"):
            Stones(rail="p1", laid=LaidBy("curve", count=1, at=1.5))

    def test_an_open_sheet_takes_stones_and_a_curve_does_not(self) -> None:
        design = done(Design(), kind="add-plane", size=[20, 20], counts=[4, 4])
        design = done(design, kind="lay-stones", host="p1", cut=ROUND, points=[[2, 2, 0]])
        self.assertLess(np.abs(places(design) - [2, 2, 0]).max(), 1e-6)
        design = done(design, kind="add-curve", shape="circle", diameter=10, count=8)
        self.refuse("curve", design, host="p3", points=[[5, 0, 0]])

    def test_a_place_that_is_gone_is_said(self) -> None:
        cage = sized_torus((20, 4), (8, 6), "surface")
        from zinc_otter.core.surface.anchors import Anchor

        with self.assertRaisesRegex(BadSelectionError, "it is gone"):
            rooted(cage, [Anchor(10_000, 0.5, 0.5)])


class Moved(unittest.TestCase):
    def test_a_vertex_far_away_moves_no_stone(self) -> None:
        cage = sized_torus((20, 4), (16, 8), "surface")
        anchors = anchored(cage, np.array([[12.0, 0, 0]]))
        far = int(np.argmin(cage.positions[:, 0]))
        moved = move(cage, Selection.of("vertex", [far]), (0, 0, 3)).cage
        np.testing.assert_array_equal(rooted(moved, anchors).points, rooted(cage, anchors).points)


class OneOfMany(unittest.TestCase):
    def row(self) -> Design:
        points = [[12, 0, 0], [0, 12, 0], [-12, 0, 0]]
        return done(band(), kind="lay-stones", host="p1", cut=ROUND, points=points)

    def test_one_is_turned_sunk_sized_or_taken_away(self) -> None:
        design = done(self.row(), kind="change-stone", piece="p2", stone=2, sink=0.3, size=1.5)
        stones = design.piece("p2").form.stones  # type: ignore[union-attr]
        self.assertEqual(sorted((stone.cut.width, len(motions)) for stone, motions in stones), [(1.5, 2), (2.25, 1)])
        ((_, large),) = (part for part in stones if part[0].cut.width > 2)
        self.assertAlmostEqual(float(large[0, 1, 3]), 11.7, delta=3e-3)
        design = done(design, kind="change-stone", piece="p2", stone=1, gone=True)
        self.assertEqual(len(places(design)), 2)
        # Laid anew with the same points, what was changed stays.
        again = {"host": "p1", "piece": "p2", "cut": ROUND, "points": [[0, 12, 0], [-12, 0, 0]], "sink": 0.1}
        design = done(design, kind="lay-stones", **again)
        self.assertEqual(len(design.piece("p2").form.stones), 2)  # type: ignore[union-attr]

    def test_refusals(self) -> None:
        design = self.row()
        for command, words in (
            ({"piece": "p2", "stone": 9}, "has 3 stones; there is no 9"),
            ({"piece": "p1", "stone": 1}, "is no stones"),
        ):
            with self.assertRaisesRegex(CoreError, words):
                read_command({"kind": "change-stone", **command}).apply(design)
