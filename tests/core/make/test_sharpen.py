"""Sharp edges of offsets, held against polytopes whose offset volumes scipy computes from their planes (qhull)."""

from __future__ import annotations

import unittest

import numpy as np
from scipy.spatial import ConvexHull, HalfspaceIntersection

from tests.core.make.test_followers import hard_block
from zinc_otter.core.proof.crossing import crossing_pairs
from zinc_otter.core.solid.exact import Ball, Block, Cylinder
from zinc_otter.core.solid.followers import Combine, Hollow, Trim
from zinc_otter.core.solid.mesh.body import MeshBody, named
from zinc_otter.core.solid.mesh.offset import offset
from zinc_otter.core.solid.mesh.route import made_of_triangles
from zinc_otter.core.solid.mesh.sharpen import sharpened
from zinc_otter.core.solid.recipe import Recipe


def block(size: tuple[float, float, float]) -> MeshBody:
    return named(Block(size=size).mesh(0.1), "body")


def volume_within(normals: np.ndarray, at: np.ndarray) -> float:
    """The volume of {x: normals x <= at}, which holds the origin."""
    corners = HalfspaceIntersection(np.column_stack([normals, -at]), np.zeros(3)).intersections
    return float(ConvexHull(corners).volume)


class SharpEdges(unittest.TestCase):
    def test_a_block_shrinks_to_a_block(self) -> None:
        inner = offset(block((20, 16, 12)), -2, 0.5, "in")
        assert inner is not None
        self.assertAlmostEqual(inner.volume, 16 * 12 * 8, delta=1e-6)
        np.testing.assert_allclose(inner.size, (16, 12, 8), atol=1e-9)

    def test_hollow_edges_of_a_grown_body_stay_sharp(self) -> None:
        # An L of two blocks, grown by 1: rounded at its ridges, sharp in its valley.
        ell = block((20, 8, 8)).joined(named(Block((-7, 0, 4), (6, 8, 16)).mesh(0.1), "leg"))
        grown = offset(ell, 1, 0.4, "out")
        assert grown is not None
        # The valley's edge runs at (-3, y, 5): about it the points lie on one plane or on the other.
        near = grown.mesh.points
        near = near[(np.abs(near[:, 0] + 3) < 0.6) & (np.abs(near[:, 2] - 5) < 0.6) & (np.abs(near[:, 1]) < 3)]
        self.assertGreater(len(near), 10)
        off = np.minimum(np.abs(near[:, 0] + 3), np.abs(near[:, 2] - 5))
        self.assertLess(off.max(), 1e-6)

    def test_polytopes_against_their_planes(self) -> None:
        for seed in range(8):
            with self.subTest(seed=seed):
                random = np.random.default_rng(seed)
                normals = random.normal(size=(5, 3))
                normals = np.vstack([normals / np.linalg.norm(normals, axis=1, keepdims=True), np.eye(3), -np.eye(3)])
                at = np.concatenate([random.uniform(5, 8, 5), np.full(6, 8.0)])
                solid = Block(size=(16.0, 16.0, 16.0)).mesh(0.1)
                for normal, far in zip(normals, at, strict=True):
                    solid = solid.trim_by_plane(tuple(-normal), -far)
                body = named(solid, "body")
                self.assertAlmostEqual(body.volume / volume_within(normals, at), 1, delta=1e-9)
                inner = offset(body, -1.5, 0.4, "in")
                assert inner is not None
                # The cubes as they were marched are 1.2e-3 to 2.1e-3 short.
                self.assertAlmostEqual(inner.volume / volume_within(normals, at - 1.5), 1, delta=5e-4)
                self.assertEqual(len(crossing_pairs(inner.mesh.points, inner.mesh.triangles)), 0)

    def test_round_bodies_are_left_as_they_are(self) -> None:
        mesh = named(Ball(radius=6.0).mesh(0.05), "ball").mesh

        def planes(near: np.ndarray) -> tuple[np.ndarray, np.ndarray]:
            out = near / np.linalg.norm(near, axis=1, keepdims=True)
            return 6 * out, out

        np.testing.assert_array_equal(sharpened(mesh.points, mesh.triangles, planes, 1.0), mesh.points)

    def test_hollow_bodies_do_not_cross_themselves(self) -> None:
        random = np.random.default_rng(1)
        for _ in range(2):
            way = random.normal(size=3)
            way /= np.linalg.norm(way)
            pin = Combine("c", body=Cylinder(tuple(2 * random.normal(size=3)), tuple(way), random.uniform(3, 6), 30))
            trim = Trim("t", point=tuple(5 * way), normal=tuple(way))
            recipe = Recipe("Body", hard_block(), (pin, trim, Hollow("h", wall=1.2)))
            mesh = made_of_triangles(recipe, 16_000, 20_000).body.mesh
            self.assertEqual(len(crossing_pairs(mesh.points, mesh.triangles)), 0)

