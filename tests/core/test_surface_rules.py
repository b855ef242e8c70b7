"""The surface against its published rules: eigenvalues, limit points, B-spline patches, invariances."""

from __future__ import annotations

import unittest

import numpy as np
from scipy.interpolate import NdBSpline

from tests import sample_cages as cages
from zinc_otter.core.cage import Cage
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.primitives import plane
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.surface.level import Level, decremented
from zinc_otter.core.surface.refinement import refine, vertex_rules
from zinc_otter.core.surface.stencils import face_grid


def wheel(n: int) -> Cage:
    """One vertex of valence n with its n quads around, the ring at unequal radii."""
    random = np.random.default_rng(n)
    turn = 2 * np.pi * np.arange(2 * n) / (2 * n)
    radius = random.uniform(8, 12, 2 * n)
    ring = np.column_stack([radius * np.cos(turn), radius * np.sin(turn), random.uniform(-2, 2, 2 * n)])
    faces = [[0, 1 + 2 * i, 2 + 2 * i, 1 + (2 * i + 2) % (2 * n)] for i in range(n)]
    return Cage.from_faces(np.concatenate([[[0, 0, 1]], ring]), faces)


def local_matrix(n: int) -> np.ndarray:
    """The (2n + 1) square matrix that takes a vertex, its edge neighbours and its diagonals to their children."""
    cage = wheel(n)
    child, step = refine(Level.of_cage(cage))
    t = cage.topology
    spokes = [int(np.flatnonzero((t.edge_verts == [0, 1 + 2 * i]).all(axis=1))[0]) for i in range(n)]
    rows = [0, *(t.vertex_count + e for e in spokes), *(t.vertex_count + t.edge_count + f for f in range(n))]
    columns = [0, *(1 + 2 * i for i in range(n)), *(2 + 2 * i for i in range(n))]
    return np.asarray(step.toarray()[np.ix_(rows, columns)])


class Eigenvalues(unittest.TestCase):
    # J. Stam, "Exact Evaluation of Catmull-Clark Subdivision Surfaces at Arbitrary Parameter Values", SIGGRAPH 1998.
    PUBLISHED = {3: 0.41010, 4: 0.5, 5: 0.54999, 6: 0.57968, 8: 0.61112}

    def test_subdominant(self) -> None:
        for n, published in self.PUBLISHED.items():
            values = np.sort(np.abs(np.linalg.eigvals(local_matrix(n))))[::-1]
            c = np.cos(2 * np.pi / n)
            formula = (5 + c + np.cos(np.pi / n) * np.sqrt(2 * (9 + c))) / 16
            self.assertAlmostEqual(values[0], 1, places=12)
            self.assertAlmostEqual(values[1], formula, places=9)
            self.assertAlmostEqual(values[2], formula, places=9)
            self.assertAlmostEqual(values[1], published, places=5)

    def test_limit_mask_is_the_left_eigenvector_of_1(self) -> None:
        # M. Halstead, M. Kass, T. DeRose, SIGGRAPH 1993.
        for n in (3, 4, 5, 7):
            mask = np.concatenate([[n * n], np.full(n, 4.0), np.ones(n)]) / (n * (n + 5))
            np.testing.assert_allclose(mask @ local_matrix(n), mask, atol=1e-12)

    def test_tangent_masks_are_left_eigenvectors(self) -> None:
        for n in (3, 4, 5, 6, 9):
            turn = 2 * np.pi / n
            scale = 1 + np.cos(turn) + np.cos(np.pi / n) * np.sqrt(2 * (9 + np.cos(turn)))
            wave = np.cos(turn * np.arange(n + 1))
            mask = np.concatenate([[0.0], scale * wave[:-1], wave[:-1] + wave[1:]])
            image = mask @ local_matrix(n)
            value = image[1] / mask[1]
            np.testing.assert_allclose(image, value * mask, atol=1e-9)


class LimitPoints(unittest.TestCase):
    def test_the_formula_of_1993(self) -> None:
        for n in (3, 4, 5, 6):
            cage = wheel(n)
            v, ring = cage.positions[0], cage.positions[1:]
            expected = (n * n * v + 4 * ring[::2].sum(axis=0) + ring[1::2].sum(axis=0)) / (n * (n + 5))
            for level in (1, 3):
                np.testing.assert_allclose(evaluate(build_stencils(cage, level), cage).points[0], expected, atol=1e-12)

    def test_limit_points_do_not_depend_on_the_level(self) -> None:
        for cage in (cages.knob(), cages.tray(), cages.prism(5), cages.rimmed(2.5), cages.cornered(10, 10)):
            n = len(cage.positions)
            first = evaluate(build_stencils(cage, 1), cage)
            deep = evaluate(build_stencils(cage, 4), cage)
            np.testing.assert_allclose(first.points[:n], deep.points[:n], atol=1e-10)

    def test_more_levels_come_nearer_to_the_limit(self) -> None:
        cage = cages.knob()
        distances = []
        for level in (1, 2, 3, 4):
            stencils = build_stencils(cage, level)
            apart = stencils.refined(cage.positions) - evaluate(stencils, cage).points
            distances.append(np.abs(apart).max())
        for coarse, fine in zip(distances, distances[1:], strict=False):
            self.assertLess(fine, 0.45 * coarse)


class RegularPatch(unittest.TestCase):
    def test_it_is_the_uniform_bicubic_b_spline(self) -> None:
        # L. Piegl, W. Tiller, "The NURBS Book", 2nd ed. 1997; evaluated by scipy.interpolate.
        cage = cages.jittered(plane((30, 30), (3, 3)), 3.0)
        level = 3
        stencils = build_stencils(cage, level)
        surface = evaluate(stencils, cage)
        quad, corner = face_grid(level)
        middle = 4
        got = surface.points[stencils.quads.reshape(9, 4**level, 4)[middle][quad, corner]]
        # The plane's vertices run along y first; the face's corner 0 to 1 runs along x.
        control = cage.positions.reshape(4, 4, 3)
        knots = np.arange(-3.0, 5.0)
        spline = NdBSpline((knots, knots), control, k=3)
        at = np.linspace(0, 1, 2**level + 1)
        u, v = np.meshgrid(at, at, indexing="ij")
        expected = spline(np.stack([u, v], axis=-1))
        np.testing.assert_allclose(got, expected, atol=1e-12)
        along, across = (spline(np.stack([u, v], axis=-1), nu=nu) for nu in ((1, 0), (0, 1)))
        normal = np.cross(along, across)
        normal /= np.linalg.norm(normal, axis=-1, keepdims=True)
        rows = stencils.row_quads.reshape(9, 4**level, 4)[middle][quad, corner]
        np.testing.assert_allclose(surface.normals[rows], normal, atol=1e-12)

    def test_a_border_is_the_cubic_b_spline_of_its_own_points(self) -> None:
        cage = cages.jittered(plane((40, 10), (4, 1)), 2.0)
        border = cage.positions[0::2]
        level = 3
        stencils = build_stencils(cage, level)
        surface = evaluate(stencils, cage)
        for i in (1, 2, 3):
            expected = (border[i - 1] + 4 * border[i] + border[i + 1]) / 6
            np.testing.assert_allclose(surface.points[2 * i], expected, atol=1e-12)
        # The corners of a sheet with two edges stay sharp.
        np.testing.assert_allclose(surface.points[0], border[0], atol=1e-12)


class Rules(unittest.TestCase):
    def test_weights_sum_to_one(self) -> None:
        for cage in (cages.knob(), cages.tray(), cages.prism(7), cages.rimmed(1.3), cages.cornered(0.6, 1.7)):
            stencils = build_stencils(cage, 3)
            for matrix in (*stencils.factors, stencils.limit.position):
                np.testing.assert_allclose(matrix.sum(axis=1), 1, atol=1e-12)
            for matrix in (stencils.limit.tangent_u, stencils.limit.tangent_v):
                np.testing.assert_allclose(matrix.sum(axis=1), 0, atol=1e-10)

    def test_smooth_stencils_are_never_negative(self) -> None:
        stencils = build_stencils(cages.knob(), 3)
        self.assertGreaterEqual(stencils.composed().data.min(), 0)
        np.testing.assert_allclose(stencils.composed() @ cages.knob().positions, stencils.refined(cages.knob().positions))

    def test_the_surface_moves_with_its_cage(self) -> None:
        cage = cages.rimmed(1.5)
        linear = np.array([[1, 2, 0], [0, 1.5, -1], [0.3, 0, 1]])
        stencils = build_stencils(cage, 3)
        moved = evaluate(stencils, cage.with_positions(cage.positions @ linear.T + [5, 6, 7]))
        np.testing.assert_allclose(moved.points, evaluate(stencils, cage).points @ linear.T + [5, 6, 7], atol=1e-11)

    def test_a_crease_tightens_the_surface_step_by_step(self) -> None:
        heights = []
        for sharpness in (0.0, 0.5, 1.0, 2.5, 5.0, 10.0):
            cage = cages.rimmed(sharpness)
            rim = cages.rim_edges(cages.rimmed(0)) if sharpness == 0 else np.flatnonzero(cage.edge_sharpness)
            if sharpness == 0:
                rim = np.flatnonzero(cages.rimmed(1.0).edge_sharpness)
            verts = np.unique(cage.topology.edge_verts[rim])
            surface = evaluate(build_stencils(cage, 1), cage)
            heights.append(np.linalg.norm(surface.points[verts] - cage.positions[verts], axis=1).mean())
        self.assertTrue(all(later < earlier for earlier, later in zip(heights, heights[1:], strict=False)), heights)

    def test_sharpness_drops_by_one_a_level_and_hard_stays(self) -> None:
        np.testing.assert_allclose(decremented(np.array([0, 0.4, 1, 2.5, 9.9, 10])), [0, 0, 0, 1.5, 8.9, 10])

    def test_rules_at_vertices(self) -> None:
        rules = vertex_rules(Level.of_cage(cages.cornered(0, edges=10)))
        self.assertEqual((rules.corner == 1).sum(), 1)
        # The three neighbours have one hard edge each: darts, which are smooth.
        self.assertEqual((rules.smooth == 1).sum(), len(rules.smooth) - 1)
        blended = vertex_rules(Level.of_cage(cages.rimmed(0.4)))
        on_rim = blended.crease > 0
        np.testing.assert_allclose(blended.crease[on_rim], 0.4)
        np.testing.assert_allclose(blended.smooth[on_rim], 0.6)

    def test_levels_outside_of_1_to_7_are_refused(self) -> None:
        for level in (0, 8):
            with self.assertRaises(BadNumberError):
                build_stencils(cages.knob(), level)


class DenseFaces(unittest.TestCase):
    def test_closed_stays_closed_and_faces_know_where_they_come_from(self) -> None:
        for cage in (cages.knob(), cages.prism(5)):
            stencils = build_stencils(cage, 2)
            t = stencils.finest.topology
            self.assertTrue(t.is_closed)
            t.check()
            self.assertEqual(t.euler_characteristic, cage.topology.euler_characteristic)
            counts = np.bincount(stencils.face_of_quad)
            np.testing.assert_array_equal(counts, cage.topology.face_sizes * 4)

    def test_child_connectivity_equals_what_a_search_finds(self) -> None:
        child = Level.of_cage(cages.prism(5)).child().child().topology
        from zinc_otter.core.cage import Topology

        plain = Topology(child.vertex_count, child.face_verts, child.face_offsets)
        np.testing.assert_array_equal(child.corner_twin, plain.corner_twin)
        ends = np.sort(child.edge_verts[child.corner_edge], axis=1)
        np.testing.assert_array_equal(ends, plain.edge_verts[plain.corner_edge])

    def test_hard_creases_split_rows_for_shading(self) -> None:
        cage = cages.rimmed(10)
        stencils = build_stencils(cage, 2)
        surface = evaluate(stencils, cage)
        extra = stencils.row_count - stencils.vertex_count
        self.assertEqual(extra, (cage.edge_sharpness == 10).sum() * 4)
        pairs = stencils.limit.row_vertex[stencils.vertex_count :]
        np.testing.assert_allclose(surface.positions[stencils.vertex_count :], surface.positions[pairs], atol=1e-12)
        cosine = (surface.normals[stencils.vertex_count :] * surface.normals[pairs]).sum(axis=1)
        self.assertLess(cosine.max(), 0.9)

    def test_normals_look_outwards(self) -> None:
        for cage in (cages.knob(), cages.rimmed(10), cages.cornered(10, 10), cages.darted(2.5)):
            stencils = build_stencils(cage, 3)
            surface = evaluate(stencils, cage)
            p = surface.positions[stencils.row_quads]
            flat = np.cross(p[:, 2] - p[:, 0], p[:, 3] - p[:, 1])
            corners = (surface.normals[stencils.row_quads] * flat[:, None]).sum(axis=2)
            self.assertGreater((corners > 0).mean(), 0.995)
