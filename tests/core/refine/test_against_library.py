"""After each verb of this half, on creased forms: the refined surface is that of the independent library (libosd)."""

from __future__ import annotations

import unittest
from collections.abc import Callable

import numpy as np
from scipy.spatial import cKDTree

from tests.core.refine.shapes import everything
from tests.reference import opensubdiv
from tests.sample_cages import rimmed
from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edits.add_loop import add_loops
from zinc_otter.core.cage.edits.chamfer import chamfer_edges, chamfer_vertices
from zinc_otter.core.cage.edits.collapse import collapse
from zinc_otter.core.cage.edits.creases import scale_creases
from zinc_otter.core.cage.edits.heal import heal
from zinc_otter.core.cage.edits.knife import knife
from zinc_otter.core.cage.edits.relax import relax
from zinc_otter.core.cage.edits.slide import slide
from zinc_otter.core.cage.edits.space_evenly import space_evenly
from zinc_otter.core.cage.edits.spin import spin
from zinc_otter.core.cage.edits.split import split_edges, split_faces
from zinc_otter.core.cage.edits.straighten import straighten
from zinc_otter.core.cage.picking.loops import edge_loop
from zinc_otter.core.cage.plane import plane_at
from zinc_otter.core.holding import add_holding_loops, relax_holding, remove_holding, resample
from zinc_otter.core.surface import build_stencils, evaluate

LEVEL = 3


def smooth_edge(cage: Cage) -> int:
    """An edge between vertices of valence 4 that is not creased, beside the crease."""
    t = cage.topology
    regular = (t.vertex_valence[t.edge_verts] == 4).all(axis=1) & (cage.edge_sharpness == 0)
    rim = np.unique(t.edge_verts[cage.edge_sharpness > 0])
    return int(np.flatnonzero(regular & np.isin(t.edge_verts, rim).any(axis=1))[0])


def crossing(cage: Cage) -> Selection:
    """A creased edge: a loop across it parts the crease."""
    return Selection.of("edge", [int(np.flatnonzero(cage.edge_sharpness > 0)[0])])


def loop(cage: Cage) -> Selection:
    return Selection.of("edge", edge_loop(cage.topology, smooth_edge(cage)))


VERBS: dict[str, Callable[[Cage], Edit]] = {
    "add loop": lambda c: add_loops(c, crossing(c), shares=(0.3,)),
    "add loop, form held": lambda c: add_holding_loops(c, crossing(c), shares=(0.5,)),
    "remove": lambda c: heal(c, Selection.of("edge", [smooth_edge(c)])),
    "remove, form held": lambda c: remove_holding(c, Selection.of("edge", [smooth_edge(c)])),
    "split faces": lambda c: split_faces(c, Selection.of("face", [0, 1]), 2, 2),
    "split edges": lambda c: split_edges(c, crossing(c), 3),
    "knife": lambda c: knife(c, plane_at(c.positions.mean(axis=0), (1, 0.2, 0.1)), leave="filled"),
    "chamfer of the crease": lambda c: chamfer_edges(
        c, Selection.of("edge", np.flatnonzero(c.edge_sharpness > 0)), 0.4, segments=2, is_round=True,
        keep_creases=True),
    "chamfer that meets it": lambda c: chamfer_edges(c, Selection.of("edge", [smooth_edge(c)]), 0.4, segments=2),
    "chamfer of vertices": lambda c: chamfer_vertices(c, Selection.of("vertex", c.topology.edge_verts[smooth_edge(c)]), 0.4),
    "spin": lambda c: spin(c, Selection.of("edge", [smooth_edge(c)])),
    "collapse": lambda c: collapse(c, Selection.of("edge", [smooth_edge(c)])),
    "slide": lambda c: slide(c, loop(c), 0.3),
    "straighten": lambda c: straighten(c, loop(c)),
    "space evenly": lambda c: space_evenly(c, loop(c)),
    "relax": lambda c: relax(c, everything(c), rounds=4),
    "relax, form held": lambda c: relax_holding(c, everything(c), rounds=4),
    "resample": lambda c: resample(c, Selection.of("face", np.flatnonzero(c.face_normals[:, 2] > 0.8)), 6, 3),
    # To what has faded at the level that is compared.
    "softened": lambda c: scale_creases(c, everything(c), 0.25),
}  # fmt: skip


class AfterEachVerb(unittest.TestCase):
    def test_refined_and_limit_positions(self) -> None:
        for name, verb in VERBS.items():
            for sharpness in (1.5, 10.0):
                with self.subTest(verb=name, sharpness=sharpness):
                    done = verb(rimmed(sharpness)).cage
                    stencils = build_stencils(done, LEVEL)
                    theirs = opensubdiv.surface(done, LEVEL)
                    refined = stencils.refined(done.positions)
                    self.assertEqual(len(refined), len(theirs.refined))
                    scale = np.abs(refined).max()
                    off, index = cKDTree(theirs.refined).query(refined)
                    self.assertLess(off.max() / scale, 1e-6)
                    limit = evaluate(stencils, done).points
                    # Where one hard crease ends the library's limit depends on the level; see the reference tests.
                    hard = stencils.finest.topology.edge_verts[stencils.finest.edge_sharpness == 10]
                    dart = np.bincount(hard.ravel(), minlength=len(limit)) == 1
                    # So does its limit at an inner vertex of two edges, as on a parted edge: it tends to ours, which is the
                    # same at every level (see below).
                    t = stencils.finest.topology
                    two = (t.vertex_valence == 2) & ~t.on_border
                    apart = np.linalg.norm(limit - theirs.limit[index], axis=1)[~dart & ~two]
                    self.assertLess(apart.max() / scale, 1e-6)

    def test_at_vertices_of_two_edges_the_library_tends_to_our_limit(self) -> None:
        done = VERBS["split edges"](rimmed(1.5)).cage
        two = np.flatnonzero((done.topology.vertex_valence == 2) & ~done.topology.on_border)
        self.assertEqual(len(two), 2)
        ours = [evaluate(build_stencils(done, level), done).points[two] for level in (2, 5)]
        np.testing.assert_allclose(ours[0], ours[1], atol=1e-9)
        off = []
        for level in (3, 4, 5):
            theirs = opensubdiv.surface(done, level)
            off.append(np.linalg.norm(theirs.limit[theirs.of_cage[two]] - ours[1], axis=1).max())
        self.assertLess(off[1], off[0] / 6)
        self.assertLess(off[2], off[1] / 6)


if __name__ == "__main__":
    unittest.main()
