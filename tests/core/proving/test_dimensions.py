"""Dimensions against coordinates and formulas; kept through edits; made true by what is moved."""

from __future__ import annotations

import unittest
from dataclasses import asdict, replace
from typing import Any

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from tests.core.proving.test_proofs import ground
from tests.core.stone.test_laying import done
from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.cage import HARD
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.curve.fitting import fitted_to
from zinc_otter.core.dimension.measured import NoMeasureError, circle
from zinc_otter.core.dimension.spot import LostPlaceError, Spot
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.proving.base import Verdict
from zinc_otter.core.proving.dimensions import Angle, Dimension, Distance, LengthAlong, Round
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.studio.design import Design

BOX: dict[str, Any] = {"kind": "add-box", "name": "Box", "size": [40, 30, 20], "counts": [2, 2, 1], "size_of": "cage"}


def box(**more: Any) -> Design:
    return done(Design(), **{**BOX, **more})


def hard(design: Design, piece: str = "p1") -> Design:
    """All its edges sharp, so that the surface is the cage."""
    cage = design.piece(piece).cage
    edges = list(range(cage.topology.edge_count))
    return done(design, kind="crease", piece=piece, picked={"kind": "edge", "ids": edges}, sharpness=HARD)


def vertex_at(design: Design, point: list[float], piece: str = "p1") -> int:
    away = np.linalg.norm(design.piece(piece).cage.positions - point, axis=1)
    assert away.min() < 1e-6, away.min()
    return int(away.argmin())


def edge_between(design: Design, a: list[float], b: list[float], piece: str = "p1") -> tuple[int, int]:
    return vertex_at(design, a, piece), vertex_at(design, b, piece)


def face_at(design: Design, middle: list[float], piece: str = "p1") -> int:
    cage = design.piece(piece).cage
    t = cage.topology
    ends = zip(t.face_offsets[:-1], t.face_offsets[1:], strict=True)
    middles = [cage.positions[t.face_verts[a:b]].mean(axis=0) for a, b in ends]
    return int(np.linalg.norm(np.array(middles) - middle, axis=1).argmin())


def figure(design: Design, dimension: Dimension) -> float:
    return dimension.measured({p.id: p.form for p in design.pieces}.get).figure


def v(design: Design, *point: float, piece: str = "p1") -> Spot:
    return Spot("vertex", piece, (vertex_at(design, list(point), piece),))


def ask(design: Design, dimension: Dimension) -> Design:
    return done(design, kind="add-proof", proof={**asdict(dimension), "piece": dimension.piece or "p1"})


def dimension_of(design: Design) -> Dimension:
    (proof,) = design.proofs
    assert isinstance(proof, Dimension)
    return proof


class Distances(unittest.TestCase):
    def setUp(self) -> None:
        self.design = hard(box())

    def test_between_vertices_straight_and_along_the_axes(self) -> None:
        d = self.design
        first, second = v(d, -20, -15, -10), v(d, 20, 15, 10)
        wanted = {"straight": np.sqrt(40**2 + 30**2 + 20**2), "x": 40, "y": 30, "z": 20}
        for way, length in wanted.items():
            found = Distance(piece="p1", first=first, second=second, way=way).measured(lambda _: d.piece("p1").form)  # type: ignore[arg-type]
            self.assertAlmostEqual(found.figure, length, delta=1e-9)
            self.assertAlmostEqual(np.linalg.norm(found.line[1] - found.line[0]), length, delta=1e-9)

    def test_square_to_a_face_an_edge_and_an_axis(self) -> None:
        d = self.design
        top, corner = Spot("face", "p1", (face_at(d, [10, 7.5, 10]),)), v(d, -20, -15, -10)
        self.assertAlmostEqual(figure(d, Distance(piece="p1", first=top, second=corner)), 20, delta=1e-9)
        # The same from the other end: a point has neither line nor plane, so the other one's counts.
        self.assertAlmostEqual(figure(d, Distance(piece="p1", first=corner, second=top)), 20, delta=1e-9)
        rim = Spot("edge", "p1", edge_between(d, [20, -15, 10], [20, 0, 10]))
        self.assertAlmostEqual(figure(d, Distance(piece="p1", first=rim, second=corner)), np.hypot(40, 20), delta=1e-9)
        axis = Spot("axis", axis="z")
        self.assertAlmostEqual(figure(d, Distance(piece="p1", first=axis, second=corner)), np.hypot(20, 15), delta=1e-9)

    def test_it_is_the_smooth_surface_that_is_measured(self) -> None:
        d = box()
        dense = evaluate(build_stencils(d.piece("p1").cage, 4), d.piece("p1").cage)
        a, b = vertex_at(d, [-20, 0, -10]), vertex_at(d, [20, 0, 10])
        wanted = np.linalg.norm(dense.positions[a] - dense.positions[b])
        ends = Spot("vertex", "p1", (a,)), Spot("vertex", "p1", (b,))
        found = figure(d, Distance(piece="p1", first=ends[0], second=ends[1], way="straight"))
        self.assertAlmostEqual(found, wanted, delta=1e-9)
        self.assertLess(found, np.hypot(40, 20) - 5)

    def test_one_place_twice_is_no_distance(self) -> None:
        spot = v(self.design, 20, 15, 10)
        with self.assertRaisesRegex(NoMeasureError, "these are one"):
            figure(self.design, Distance(piece="p1", first=spot, second=spot))

    def test_it_holds_within_its_tolerance(self) -> None:
        ends = v(self.design, -20, 0, 10), v(self.design, 20, 0, 10)
        d = ask(self.design, Distance(piece="p1", first=ends[0], second=ends[1], wanted=39.8))
        self.assertEqual(self.judged(d).holds, "fails")
        self.assertIn("40 mm, 0.2 mm too much", self.judged(d).words)
        held = replace(dimension_of(d), tolerance=0.25)
        self.assertEqual(self.judged(replace(d, proofs=(held,))).holds, "holds")
        self.assertEqual(self.judged(replace(d, proofs=(replace(held, wanted=None),))).holds, "told")

    def judged(self, design: Design) -> Verdict:
        forms = {p.id: p.form for p in design.pieces}
        return dimension_of(design).judge(replace(ground(design.piece("p1").cage, 1), form_of=forms.get))


class Angles(unittest.TestCase):
    def test_of_edges_and_faces_of_a_block(self) -> None:
        d = hard(box())
        side = Spot("edge", "p1", edge_between(d, [20, -15, 10], [20, 0, 10]))
        front = Spot("edge", "p1", edge_between(d, [0, -15, 10], [20, -15, 10]))
        self.assertAlmostEqual(figure(d, Angle(piece="p1", first=side, second=front)), 90, delta=1e-9)
        top, wall = Spot("face", "p1", (face_at(d, [10, 7.5, 10]),)), Spot("face", "p1", (face_at(d, [20, 7.5, 0]),))
        self.assertAlmostEqual(figure(d, Angle(piece="p1", first=top, second=wall)), 90, delta=1e-9)
        self.assertAlmostEqual(figure(d, Angle(piece="p1", first=Spot("axis", axis="z"), second=top)), 90, delta=1e-9)

    def test_through_the_material_of_a_wedge(self) -> None:
        # The top leans by 14.04 degrees: one end 10 mm lower, over 40 mm.
        d = hard(box(counts=[1, 1, 1]))
        low = [vertex_at(d, [20, y, 10]) for y in (-15, 15)]
        d = done(d, kind="move", piece="p1", picked={"kind": "vertex", "ids": low}, vector=[0, 0, -10])
        lean = np.degrees(np.arctan(10 / 40))
        top = Spot("face", "p1", (face_at(d, [0, 0, 5]),))
        for middle, wanted in (([-20, 0, 0], 90 - lean), ([20, 0, -5], 90 + lean), ([0, 0, -10], lean)):
            other = Spot("face", "p1", (face_at(d, middle),))
            found = Angle(piece="p1", first=top, second=other).measured(lambda _: d.piece("p1").form)
            self.assertAlmostEqual(found.figure, wanted, delta=1e-6)

    def test_a_point_has_no_direction(self) -> None:
        d = hard(box())
        with self.assertRaisesRegex(NoMeasureError, "no direction"):
            figure(d, Angle(piece="p1", first=v(d, 20, 15, 10), second=Spot("axis")))


class Rounds(unittest.TestCase):
    def test_points_of_any_circle(self) -> None:
        rng = np.random.default_rng(3)
        for _ in range(20):
            q, _ = np.linalg.qr(rng.normal(size=(3, 3)))
            r, turn = rng.uniform(0.5, 80), np.sort(rng.uniform(0, 2 * np.pi, 7))
            points = rng.normal(size=3) * 50 + r * (np.cos(turn)[:, None] * q[0] + np.sin(turn)[:, None] * q[1])
            self.assertAlmostEqual(circle(points, radius=True).figure, r, delta=1e-6 * r)
            self.assertAlmostEqual(circle(points, radius=False).figure, 2 * r, delta=2e-6 * r)
            self.assertLess(circle(points, radius=True).strays, 1e-8 * r + 1e-9)

    def test_the_rim_of_a_cylinder_as_declared(self) -> None:
        cup = {"diameter": 24, "height": 20, "counts": [16, 3], "rim": 10, "size_of": "surface"}
        d = done(Design(), kind="add-cylinder", name="Cup", **cup)
        cage = d.piece("p1").cage
        rim = np.flatnonzero(cage.positions[:, 2] > cage.positions[:, 2].max() - 1e-6)
        out = np.hypot(*cage.positions[rim, :2].T)
        rim = rim[out > 0.9 * out.max()]
        found = Round(piece="p1", vertices=tuple(int(k) for k in rim)).measured(lambda _: d.piece("p1").form)
        self.assertLess(found.strays, 0.01)
        points = evaluate(build_stencils(cage, 3), cage).positions
        self.assertAlmostEqual(found.figure, 2 * np.hypot(*points[rim, :2].T).mean(), delta=1e-6)

    def test_a_line_and_two_points_are_no_circle(self) -> None:
        with self.assertRaisesRegex(NoMeasureError, "three points"):
            circle(np.array([[0.0, 0, 0], [1, 0, 0]]), radius=False)
        with self.assertRaisesRegex(NoMeasureError, "on a line"):
            circle(np.array([[0.0, 0, 0], [1, 0, 0], [5, 0, 0]]), radius=False)


class Lengths(unittest.TestCase):
    def test_round_a_torus(self) -> None:
        d = done(Design(), kind="add-torus", name="Band", ring=30, section=6, counts=[16, 8], size_of="surface")
        cage = d.piece("p1").cage
        out = np.hypot(*cage.positions[:, :2].T)
        rim = np.flatnonzero((out > out.max() - 1e-6) & (abs(cage.positions[:, 2]) < 1e-6))
        order = rim[np.argsort(np.arctan2(cage.positions[rim, 1], cage.positions[rim, 0]))]
        edges = tuple((int(a), int(b)) for a, b in zip(order, np.roll(order, -1), strict=True))
        found = LengthAlong(piece="p1", edges=edges).measured(lambda _: d.piece("p1").form)
        # Round within a thousandth of what it is declared to be.
        self.assertAlmostEqual(found.figure / (np.pi * 36), 1, delta=2e-3)
        # Against far finer chords of the surface's own rows.
        dense = evaluate(build_stencils(cage, 6), cage).positions
        near = dense[abs(dense[:, 2]) < 1e-9]
        near = near[np.hypot(*near[:, :2].T) > 17]
        near = near[np.argsort(np.arctan2(near[:, 1], near[:, 0]))]
        chords = np.linalg.norm(near - np.roll(near, -1, axis=0), axis=1).sum()
        self.assertAlmostEqual(found.figure / chords, 1, delta=1e-5)

    def test_a_helix_by_its_formula(self) -> None:
        # r and c of a helix: sqrt(r² + c²) a radian.
        turn = np.linspace(0, 4 * np.pi, 200)
        points = np.column_stack([8 * np.cos(turn), 8 * np.sin(turn), 3 * turn])
        start = Curve(points[:: len(points) // 39], 3)
        curve = fitted_to(start, np.linspace(0, start.end, len(points)), points)
        d, _ = Design().with_new_piece("Helix", curve)
        piece = d.pieces[0].id
        edges = tuple((k, k + 1) for k in range(curve.count - 1))
        found = figure(d, LengthAlong(piece=piece, edges=edges))
        self.assertAlmostEqual(found / (4 * np.pi * np.hypot(8, 3)), 1, delta=1e-3)


class Carried(unittest.TestCase):
    """What is measured stays the same place while faces are added, taken away and mirrored."""

    def asked(self, design: Design, dimension: Dimension) -> Design:
        return ask(design, dimension)

    def test_through_a_loop_an_extrusion_and_a_deleted_face(self) -> None:
        d = hard(box())
        d = self.asked(d, Distance(piece="p1", first=v(d, -20, -15, 10), second=v(d, 20, 15, 10), way="straight"))
        edge = d.piece("p1").cage.topology
        ends = edge_between(d, [20, -15, 10], [20, 0, 10])
        k = int(np.flatnonzero((np.sort(edge.edge_verts, axis=1) == sorted(ends)).all(axis=1))[0])
        for command in (
            {"kind": "add-loop", "picked": {"kind": "edge", "ids": [k]}},
            {"kind": "extrude", "picked": {"kind": "face", "ids": [0]}, "distance": 4},
            {"kind": "delete", "picked": {"kind": "face", "ids": [1]}},
        ):
            d = done(d, piece="p1", **command)
            self.assertAlmostEqual(figure(d, dimension_of(d)), np.hypot(40, 30), delta=1e-6)

    def test_an_edge_that_was_parted_is_followed(self) -> None:
        d = hard(box(counts=[1, 1, 1]))
        pair = edge_between(d, [20, -15, 10], [20, 15, 10])
        d = self.asked(d, LengthAlong(piece="p1", edges=(pair,)))
        t = d.piece("p1").cage.topology
        k = int(np.flatnonzero((np.sort(t.edge_verts, axis=1) == sorted(pair)).all(axis=1))[0])
        d = done(d, kind="add-loop", piece="p1", picked={"kind": "edge", "ids": [k]})
        found = dimension_of(d)
        assert isinstance(found, LengthAlong)
        self.assertEqual(len(found.edges), 2)
        self.assertAlmostEqual(figure(d, found), 30, delta=1e-6)

    def test_the_middle_of_a_face_stays_where_it_is_once_the_face_is_parted(self) -> None:
        d = box()
        face = face_at(d, [10, 7.5, 10])
        d = self.asked(d, Distance(piece="p1", first=Spot("axis"), second=Spot("face", "p1", (face,)), way="z"))
        before = figure(d, dimension_of(d))
        t = d.piece("p1").cage.topology
        k = int(t.corner_edge[t.face_offsets[face]])
        d = done(d, kind="add-loop", piece="p1", picked={"kind": "edge", "ids": [k]}, form="hold")
        self.assertAlmostEqual(figure(d, dimension_of(d)), before, delta=0.02)

    def test_a_place_that_is_deleted_is_said_to_be_gone(self) -> None:
        d = hard(box())
        d = self.asked(d, Distance(piece="p1", first=v(d, -20, 0, 10), second=v(d, 20, 15, 10), way="straight"))
        corner = vertex_at(d, [20, 15, 10])
        d = done(d, kind="delete", piece="p1", picked={"kind": "vertex", "ids": [corner]})
        with self.assertRaisesRegex(LostPlaceError, "gone|not there"):
            figure(d, dimension_of(d))

    def test_two_places_welded_to_one_do_not_stand_in_the_way(self) -> None:
        d = hard(box())
        a, b = edge_between(d, [20, -15, 10], [20, 0, 10])
        d = self.asked(d, Distance(piece="p1", first=Spot("vertex", "p1", (a,)), second=Spot("vertex", "p1", (b,))))
        d = done(d, kind="weld", piece="p1", picked={"kind": "vertex", "ids": [a, b]})
        with self.assertRaises(BadSelectionError):
            figure(d, dimension_of(d))

    def test_a_curve_turned_round_keeps_its_ends(self) -> None:
        curve = Curve([(0, 0, 0), (10, 0, 0), (20, 10, 0), (30, 0, 0)])
        d, piece = Design().with_new_piece("Line", curve)
        ends = Spot("vertex", piece.id, (0,)), Spot("vertex", piece.id, (1,))
        d = ask(d, Distance(piece=piece.id, first=ends[0], second=ends[1], way="straight"))
        before = figure(d, dimension_of(d))
        d = done(d, kind="reverse-curve", piece=piece.id)
        found = dimension_of(d)
        assert isinstance(found, Distance)
        self.assertEqual((found.first.ids, found.second.ids), ((3,), (2,)))
        self.assertAlmostEqual(figure(d, found), before, delta=1e-12)


class MadeTrue(unittest.TestCase):
    def made(self, design: Design, value: float, **moved: Any) -> Design:
        return done(design, kind="make-true", proof=dimension_of(design).id, value=value, **moved)

    def test_a_distance_moves_its_second_end_only(self) -> None:
        d = box()
        a, b = vertex_at(d, [-20, 0, 10]), vertex_at(d, [20, 0, 10])
        d = ask(d, Distance(piece="p1", first=Spot("vertex", "p1", (a,)), second=Spot("vertex", "p1", (b,)), way="straight"))
        after = self.made(d, 31.5)
        self.assertAlmostEqual(figure(after, dimension_of(after)), 31.5, delta=1e-6)
        away = after.piece("p1").cage.positions - d.piece("p1").cage.positions
        moved = np.flatnonzero(np.linalg.norm(away, axis=1) > 1e-9)
        self.assertEqual(moved.tolist(), [b])

    def test_what_is_picked_moves_instead(self) -> None:
        d = hard(box())
        d = ask(d, Distance(piece="p1", first=v(d, -20, 0, 10), second=v(d, 20, 0, 10), way="x"))
        left = [int(k) for k in np.flatnonzero(d.piece("p1").cage.positions[:, 0] < -1)]
        after = self.made(d, 50, moved={"piece": "p1", "picked": {"kind": "vertex", "ids": left}})
        low, high = after.piece("p1").cage.bounds
        self.assertAlmostEqual(low[0], -30, delta=1e-6)
        self.assertAlmostEqual(high[0], 20, delta=1e-9)

    def test_a_diameter_sizes_its_rim_in_its_plane(self) -> None:
        d = done(Design(), kind="add-cylinder", name="Cup", diameter=24, height=20, counts=[12, 3], size_of="surface")
        z = d.piece("p1").cage.positions[:, 2]
        rim = tuple(int(k) for k in np.flatnonzero(z > z.max() - 1e-6))
        out = np.hypot(*d.piece("p1").cage.positions[list(rim), :2].T)
        rim = tuple(k for k, far in zip(rim, out, strict=True) if far > 0.9 * out.max())
        d = ask(d, Round(piece="p1", vertices=rim, wanted=20.0))
        after = self.made(d, 30)
        found = dimension_of(after)
        self.assertAlmostEqual(figure(after, found), 30, delta=1e-6)
        self.assertEqual(found.wanted, 30)
        np.testing.assert_allclose(after.piece("p1").cage.positions[:, 2], z, atol=1e-9)

    def test_an_angle_turns_its_second_face(self) -> None:
        d = hard(box(counts=[1, 1, 1]))
        top, wall = Spot("face", "p1", (face_at(d, [0, 0, 10]),)), Spot("face", "p1", (face_at(d, [20, 0, 0]),))
        d = ask(d, Angle(piece="p1", first=wall, second=top))
        after = self.made(d, 75)
        self.assertAlmostEqual(figure(after, dimension_of(after)), 75, delta=1e-5)

    def test_a_length_sizes_its_edges(self) -> None:
        d = box()
        pairs = edge_between(d, [20, -15, 10], [20, 0, 10]), edge_between(d, [20, 0, 10], [20, 15, 10])
        d = ask(d, LengthAlong(piece="p1", edges=pairs))
        after = self.made(d, 33)
        self.assertAlmostEqual(figure(after, dimension_of(after)), 33, delta=1e-6)

    def test_a_mirrored_piece_moves_on_both_sides(self) -> None:
        d = done(box(), kind="mirror", piece="p1", way="cut")
        a, b = vertex_at(d, [-20, 0, 10]), vertex_at(d, [20, 0, 10])
        d = ask(d, Distance(piece="p1", first=Spot("vertex", "p1", (a,)), second=Spot("vertex", "p1", (b,)), way="x"))
        self.assertAlmostEqual(figure(self.made(d, 44), dimension_of(d)), 44, delta=1e-6)

    def test_another_piece_is_moved_as_a_whole(self) -> None:
        d = done(box(), **{**BOX, "name": "Lid"})
        d = done(d, kind="move", piece="p2", picked={"kind": "piece", "ids": [0]}, vector=[0, 0, 40])
        first = Spot("face", "p1", (face_at(d, [10, 7.5, 10]),))
        second = Spot("face", "p2", (face_at(d, [10, 7.5, 30], "p2"),))
        d = ask(d, Distance(piece="p1", first=first, second=second))
        after = self.made(d, 8, moved={"piece": "p2", "picked": {"kind": "piece", "ids": [0]}})
        self.assertAlmostEqual(figure(after, dimension_of(after)), 8, delta=1e-6)
        np.testing.assert_array_equal(after.piece("p1").cage.positions, d.piece("p1").cage.positions)
        moves = after.piece("p2").cage.positions - d.piece("p2").cage.positions
        np.testing.assert_allclose(moves, np.tile(moves[0], (len(moves), 1)), atol=1e-9)

    def test_moving_what_lies_elsewhere_is_refused(self) -> None:
        d = hard(box())
        d = ask(d, Distance(piece="p1", first=v(d, -20, 0, 10), second=v(d, 20, 0, 10), way="x"))
        far = {"piece": "p1", "picked": {"kind": "vertex", "ids": [vertex_at(d, [0, 0, -10])]}}
        with self.assertRaisesRegex(BadSelectionError, "does not change it"):
            self.made(d, 50, moved=far)

    def test_no_diameter_of_nought_and_no_proof_that_is_no_dimension(self) -> None:
        d = ask(hard(box()), Round(piece="p1", vertices=(0, 1, 2)))
        with self.assertRaisesRegex(BadNumberError, "above 0"):
            self.made(d, 0)
        d = done(box(), kind="add-proof", proof={"kind": "sound", "piece": "p1"})
        with self.assertRaisesRegex(BadSelectionError, "is no dimension"):
            done(d, kind="make-true", proof="q2", value=3)

    @given(
        st.integers(0, 17), st.integers(0, 17), st.sampled_from(["straight", "x", "y", "z"]), st.floats(2, 90),
        st.integers(0, 99),
    )  # fmt: skip
    @settings(max_examples=40)
    def test_any_distance_of_any_form_comes_true(self, a: int, b: int, way: str, value: float, seed: int) -> None:
        rng = np.random.default_rng(seed)
        d = box()
        cage = d.piece("p1").cage
        shaken = cage.with_positions(cage.positions + rng.normal(size=cage.positions.shape))
        d = d.with_piece(replace(d.piece("p1"), form=shaken))
        if a == b:
            return
        spots = Spot("vertex", "p1", (a,)), Spot("vertex", "p1", (b,))
        asked = Distance(piece="p1", first=spots[0], second=spots[1], way=way)  # type: ignore[arg-type]
        if figure(d, asked) < 1e-3:
            return
        d = ask(d, asked)
        self.assertAlmostEqual(figure(self.made(d, value), dimension_of(d)), value, delta=1e-6)


class Cages(unittest.TestCase):
    def test_a_cage_without_the_element_says_so(self) -> None:
        d = box()
        assert isinstance(d.piece("p1").form, Cage)
        for spot in (Spot("vertex", "p1", (900,)), Spot("face", "p1", (900,)), Spot("edge", "p1", (0, 900))):
            with self.assertRaises(LostPlaceError):
                figure(d, Distance(piece="p1", first=spot, second=Spot("axis")))
