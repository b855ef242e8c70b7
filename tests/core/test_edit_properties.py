"""Whatever is done to a cage in whatever order, it stays an oriented manifold, and the maps tell the truth."""

from __future__ import annotations

import unittest
from collections.abc import Callable

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.creases import set_corner, set_crease
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.cage.edits.extrude import extrude_faces
from zinc_otter.core.cage.edits.move import move, move_along_normal
from zinc_otter.core.cage.edits.size import size
from zinc_otter.core.cage.edits.turn import turn
from zinc_otter.core.errors import BadNumberError, BadSelectionError
from zinc_otter.core.primitives import box, plane
from zinc_otter.core.surface import build_stencils, evaluate

EDITS: list[Callable[[Cage, Selection, float], Edit]] = [
    lambda cage, picked, x: extrude_faces(cage, picked, x * 5 + 0.1),
    lambda cage, picked, x: extrude_faces(cage, picked, x * 2 + 0.1),
    lambda cage, picked, x: delete_elements(cage, picked),
    lambda cage, picked, x: set_crease(cage, picked, abs(x) * 10),
    lambda cage, picked, x: set_corner(cage, picked, abs(x) * 10),
    lambda cage, picked, x: move(cage, picked, (x, -x, 2 * x)),
    lambda cage, picked, x: move_along_normal(cage, picked, x),
    lambda cage, picked, x: turn(cage, picked, (1, x, 0), 90 * x),
    lambda cage, picked, x: size(cage, picked, (abs(x) + 0.5, 1, 0.8)),
]

start = st.sampled_from([box((10, 8, 6), (2, 1, 2)), plane((10, 10), (3, 2)), box((5, 5, 5), (1, 1, 1))])
steps = st.lists(
    st.tuples(
        st.integers(0, len(EDITS) - 1),
        st.sampled_from(["vertex", "edge", "face"]),
        st.integers(0, 2**32 - 1),
        st.floats(-1, 1),
    ),
    min_size=1,
    max_size=6,
)


def picked_by(cage: Cage, kind: str, seed: int) -> Selection:
    t = cage.topology
    count = {"vertex": t.vertex_count, "edge": t.edge_count, "face": t.face_count}[kind]
    random = np.random.default_rng(seed)
    return Selection.of(kind, random.choice(count, size=min(count, random.integers(1, 5)), replace=False))  # type: ignore[arg-type]


class EveryEdit(unittest.TestCase):
    @settings(max_examples=120, deadline=None)
    @given(cage=start, edits=steps)
    def test_keeps_the_cage_sound_and_its_maps_true(self, cage: Cage, edits: list[tuple[int, str, int, float]]) -> None:
        for which, kind, seed, amount in edits:
            before = cage.positions.copy()
            try:
                done = EDITS[which](cage, picked_by(cage, kind, seed), amount)
            except (BadSelectionError, BadNumberError):
                np.testing.assert_array_equal(cage.positions, before)
                continue
            np.testing.assert_array_equal(cage.positions, before)
            done.cage.topology.check()
            self.check_maps(cage, done)
            cage = done.cage
        surface = evaluate(build_stencils(cage, 2), cage)
        self.assertTrue(np.isfinite(surface.positions).all())

    def check_maps(self, cage: Cage, done: Edit) -> None:
        old, new, went = cage.topology, done.cage.topology, done.old_to_new
        for indices, count in (
            (went.vertices, new.vertex_count),
            (went.edges, new.edge_count),
            (went.faces, new.face_count),
        ):
            kept = indices[indices >= 0]
            self.assertTrue((kept < count).all())
            self.assertEqual(len(np.unique(kept)), len(kept))
        self.assertEqual(len(went.vertices), old.vertex_count)
        kept = went.faces >= 0
        np.testing.assert_array_equal(new.face_sizes[went.faces[kept]], old.face_sizes[kept])
        done.selected.ids.size and done.selected.check(new)
        followed = went.follow(Selection.of("face", range(old.face_count)))
        self.assertEqual(len(followed), kept.sum())
