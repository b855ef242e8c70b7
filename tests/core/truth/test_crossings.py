"""Crossings: all of them are found, in whatever order, and what only touches is told from what crosses."""

from __future__ import annotations

import unittest
from collections.abc import Callable
from typing import Any

import manifold3d
import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives import box
from zinc_otter.core.proof.crossing import meeting_faces, meetings
from zinc_otter.core.proof.near_boxes import near_boxes
from zinc_otter.core.proof.soundness import looked_over


def arrays(solid: manifold3d.Manifold) -> tuple[np.ndarray, np.ndarray]:
    mesh = solid.to_mesh64()
    return np.asarray(mesh.vert_properties)[:, :3], np.asarray(mesh.tri_verts).astype(np.int64)


def side_by_side(*solids: manifold3d.Manifold) -> tuple[np.ndarray, np.ndarray]:
    """Several solids as one list of triangles, without joining them."""
    points, triangles, begun = [], [], 0
    for solid in solids:
        p, t = arrays(solid)
        points.append(p)
        triangles.append(t + begun)
        begun += len(p)
    return np.concatenate(points), np.concatenate(triangles)


def shells(*cages: Cage) -> Cage:
    """Cages as the shells of one."""
    points, faces, begun = [], [], 0
    for cage in cages:
        t = cage.topology
        points.append(cage.positions)
        rings = np.split(t.face_verts, t.face_offsets[1:-1])
        faces += [[int(v) + begun for v in ring] for ring in rings]
        begun += len(cage.positions)
    return Cage.from_faces(np.concatenate(points), faces)


class Boxes(unittest.TestCase):
    @settings(max_examples=40, deadline=None)
    @given(st.integers(0, 10_000), st.integers(0, 60), st.floats(0.01, 3))
    def test_all_pairs_each_once(self, seed: int, count: int, size: float) -> None:
        rng = np.random.default_rng(seed)
        low = rng.uniform(0, 4, (count, 3))
        high = low + rng.exponential(size, (count, 3))
        found = np.concatenate([np.zeros((0, 2), dtype=int), *near_boxes(low, high)])
        i, j = np.triu_indices(count, 1)
        meet = ((low[i] <= high[j]) & (low[j] <= high[i])).all(axis=1)
        self.assertEqual(sorted(map(tuple, found.tolist())), sorted(zip(i[meet].tolist(), j[meet].tolist(), strict=True)))


class Crossings(unittest.TestCase):
    def test_a_ball_through_a_large_sphere_in_any_order(self) -> None:
        # Far more pairs of boxes meet than could be held at once; where they stand in the list tells nothing.
        points, triangles = side_by_side(
            manifold3d.Manifold.sphere(20, 600), manifold3d.Manifold.sphere(3, 24).translate((20, 0.1, 0.03))
        )
        self.assertGreater(len(triangles), 170_000)
        plain = meetings(points, triangles)
        self.assertGreater(len(plain.cross), 100)
        order = np.random.default_rng(4).permutation(len(triangles))
        other = meetings(points, triangles[order])
        back = {tuple(sorted(pair)) for pair in order[other.cross].tolist()}
        self.assertEqual(back, {tuple(sorted(pair)) for pair in plain.cross.tolist()})
        # The ring in which they meet: all that crosses lies at the ball's skin, within an edge of its triangles.
        middles = points[triangles[plain.cross]].mean(axis=(1, 2))
        self.assertLess(np.abs(np.linalg.norm(middles - [20, 0.1, 0.03], axis=1) - 3).max(), 0.9)

    def test_what_touches_does_not_cross(self) -> None:
        cube = manifold3d.Manifold.cube((2, 2, 2), True)
        small = manifold3d.Manifold.cube((1, 1, 1), True)
        for shift, crosses in ((1.5, False), (1.5 - 1e-12, False), (1.4, True), (1.6, False)):
            found = meetings(*side_by_side(cube, small.translate((shift, 0.1, 0.2))))
            self.assertEqual(len(found.cross) > 0, crosses, shift)
            self.assertEqual(len(found.touch) > 0, 1.49 < shift < 1.51, shift)

    def test_faces_that_are_folded_onto_one_another_cross(self) -> None:
        flat = np.array([[0, 0, 0], [4, 0, 0], [0, 4, 0], [1, 1, 0], [5, 1, 0], [1, 5, 0]], dtype=float)
        same, against = np.array([[0, 1, 2], [3, 4, 5]]), np.array([[0, 1, 2], [3, 5, 4]])
        self.assertEqual(len(meetings(flat, same).cross), 1)
        self.assertEqual((len(meetings(flat, against).cross), len(meetings(flat, against).touch)), (0, 1))

    def test_neighbours_beside_a_very_short_edge(self) -> None:
        # As a body was left that was united, filleted and cut: vertices 3 and 4 lie 0.000025 mm apart, on a body of 106 mm.
        points = np.array([
            [-0.044254, -0.096472, -0.385492], [-0.044254, 0, -0.016971], [-0.044254, 0.036158, -0.001619],
            [-0.034365, 0.036057, -0.001257], [-0.03434, 0.036057, -0.001254], [-0.175807, 0.0375, 3.66],
            [0.33912, 0, -0.001257], [0.339981, 0, -0.001153], [0.307411, 0.03257, 0.031408], [106, 0, 0],
        ])  # fmt: skip
        triangles = np.array([[2, 3, 5], [4, 8, 5], [0, 6, 1], [1, 6, 3], [4, 7, 8]])
        found = meetings(points, triangles)
        self.assertEqual(len(found.cross), 0)
        self.assertGreater(len(found.touch), 0)

    def test_shells_of_a_cage_that_touch(self) -> None:
        block = box((10, 10, 10), (1, 1, 1))
        hard = Cage(block.positions, block.topology, np.full(block.topology.edge_count, 10.0))
        both = shells(hard, hard.with_positions(hard.positions * 0.5 + [7.5, 0, 0]))
        both = both.with_sharpness(edges=np.full(both.topology.edge_count, 10.0))
        found = meeting_faces(both, 2)
        self.assertEqual(len(found.cross), 0)
        self.assertGreater(len(found.touch), 0)


def on_a_grid(draw: Callable[..., Any]) -> manifold3d.Manifold:
    """A cube, an octahedron or a prism whose corners lie on whole numbers: edges meet edges and corners."""
    size = draw(st.integers(1, 3))
    made = {
        "cube": lambda: manifold3d.Manifold.cube((2 * size, 2, 2 * size), True),
        "octahedron": lambda: manifold3d.Manifold.sphere(2 * size, 4),
        "prism": lambda: manifold3d.Manifold.cylinder(2 * size, 2, 2, 4, True),
    }[draw(st.sampled_from(["cube", "octahedron", "prism"]))]()
    turned = made.rotate((90.0 * draw(st.integers(0, 1)), 90.0 * draw(st.integers(0, 1)), 0.0))
    return turned.refine(draw(st.integers(1, 2))).translate(tuple(float(draw(st.integers(-3, 3))) for _ in range(3)))


class Symmetric(unittest.TestCase):
    """Where edges meet edges and corners exactly, as in forms alike on both sides; truth by manifold3d's volumes."""

    @settings(max_examples=150, deadline=None)
    @given(st.data())
    def test_solids_on_a_grid(self, data: st.DataObject) -> None:
        one, other = (on_a_grid(data.draw) for _ in range(2))
        sunk = data.draw(st.sampled_from([0.0, 0.37]))
        other = other.translate((0, 0, sunk))
        common, left, right = (one ^ other).volume(), (one - other).volume(), (other - one).volume()
        points, triangles = side_by_side(one, other)
        found = meetings(points, triangles)
        # Asked about some of them alone, it is the same that is said.
        asked = np.random.default_rng(data.draw(st.integers(0, 99))).random(len(triangles)) < 0.2
        told = meetings(points, triangles, asked)
        for pairs, of_some in ((found.cross, told.cross), (found.touch, told.touch)):
            wanted = pairs[asked[pairs].any(axis=1)]
            self.assertEqual(sorted(map(tuple, of_some.tolist())), sorted(map(tuple, wanted.tolist())))
        if common < 1e-9:
            self.assertEqual(len(found.cross), 0)
        elif min(left, right) > 1e-9 and len(np.unique(points, axis=0)) == len(points):
            # Points in one place are one vertex, and what shares a vertex is not looked at.
            self.assertGreater(len(found.cross), 0)

    def test_a_box_whose_bottom_is_pulled_up_through_its_middle(self) -> None:
        cage = box((40, 30, 20), (2, 2, 2))
        bottom = int(np.linalg.norm(cage.positions - [0, 0, cage.positions[:, 2].min()], axis=1).argmin())
        points = cage.positions.copy()
        points[bottom, 2] += 90
        for level in (1, 2, 3):
            self.assertEqual(len(np.unique(meeting_faces(cage.with_positions(points), level).cross)), 8)
        points[bottom, 2] -= 85
        self.assertEqual(len(meeting_faces(cage.with_positions(points), 2).cross), 0)


class Gate(unittest.TestCase):
    def test_bores_that_touch_leave_an_edge_of_four_faces(self) -> None:
        block = manifold3d.Manifold.cube((40, 40, 10), True)
        pin = manifold3d.Manifold.cylinder(30, 5, 5, 64, True)
        for apart, words in ((10.0, "more than two faces"), (9.0, ""), (12.0, "")):
            body = block - pin.translate((-apart / 2, 0, 0)) - pin.translate((apart / 2, 0, 0))
            faults = looked_over(*arrays(body)).faults
            self.assertEqual(len(faults), 1 if words else 0, apart)
            if words:
                self.assertIn(words, faults[0].words)
                x, y, _ = faults[0].place.points[0]
                self.assertLess(np.hypot(x, y), 1e-6)

    def test_open_turned_and_crossing_are_each_told_with_their_place(self) -> None:
        points, triangles = arrays(manifold3d.Manifold.cube((2, 2, 2), True))
        self.assertEqual(looked_over(points, triangles).faults, ())
        (hole,) = looked_over(points, triangles[1:]).faults
        self.assertIn("3 edges are open", hole.words)
        self.assertEqual(len(hole.place.points), 3)
        turned = triangles.copy()
        turned[0] = turned[0, ::-1]
        self.assertIn("look to different sides", looked_over(points, turned).faults[0].words)
        cube = manifold3d.Manifold.cube((2, 2, 2), True)
        crossed = looked_over(*side_by_side(cube, cube.translate((1, 0.3, 0.2))))
        self.assertIn("runs through itself", crossed.faults[0].words)
        self.assertEqual(crossed.crossings, len(meetings(*side_by_side(cube, cube.translate((1, 0.3, 0.2)))).cross))
