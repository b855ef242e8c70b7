"""A drag recomputes only the rows that the moved points reach, and comes to the same as evaluating everything."""

from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from tests import sample_cages as cages
from zinc_otter.core.surface import build_stencils, evaluate, plan_drag
from zinc_otter.core.surface.limit_surface import normals_of


class Drag(unittest.TestCase):
    @settings(max_examples=40, deadline=None)
    @given(which=st.integers(0, 4), seed=st.integers(0, 10_000), count=st.integers(1, 6), level=st.integers(1, 3))
    def test_rows_equal_a_full_evaluation(self, which: int, seed: int, count: int, level: int) -> None:
        cage = [cages.knob(), cages.tray(), cages.prism(5), cages.rimmed(2.5), cages.cornered(10, 10)][which]
        random = np.random.default_rng(seed)
        moved = np.sort(random.choice(len(cage.positions), count, replace=False)).astype(np.int32)
        shift = random.normal(size=(count, 3)) * 5
        stencils = build_stencils(cage, level)
        base = evaluate(stencils, cage)
        plan = plan_drag(stencils, moved)
        positions, tangent_u, tangent_v = plan.apply(base, shift)

        there = cage.positions.copy()
        there[moved] += shift
        full = evaluate(stencils, cage.with_positions(there))
        np.testing.assert_allclose(positions, full.positions[plan.rows], atol=1e-11)
        np.testing.assert_allclose(normals_of(tangent_u, tangent_v), full.normals[plan.rows], atol=1e-7)
        rest = np.setdiff1d(np.arange(stencils.row_count), plan.rows)
        np.testing.assert_array_equal(full.positions[rest], base.positions[rest])

    def test_one_vertex_reaches_two_rings_only(self) -> None:
        from zinc_otter.core.primitives import box

        cage = box((10, 10, 10), (8, 8, 8))
        stencils = build_stencils(cage, 3)
        plan = plan_drag(stencils, np.array([int(np.argmax(cage.positions[:, 2]))], dtype=np.int32))
        self.assertLess(len(plan.rows), 0.05 * stencils.row_count)
