"""Relief shown at a level coarser than its own: the finer surface at the coarser level's places, side by side at creases."""

from __future__ import annotations

import unittest

import numpy as np
from scipy.spatial import cKDTree

from tests.core.relief.forms import block, ring, rough, sheet
from zinc_otter.api.gaps import Gaps
from zinc_otter.api.live.view import LiveView
from zinc_otter.api.stencil_shelf import StencilShelf
from zinc_otter.core.relief.sampled import sample
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.studio.design import Design


class Sampled(unittest.TestCase):
    def test_it_lies_on_the_finer_surface(self) -> None:
        for cage in (sheet(), block(), ring()):
            whole = rough(cage, 4)
            fine, coarse = build_stencils(whole, 4), build_stencils(whole, 2)
            surface = evaluate(fine, whole)
            made = sample(fine, coarse, whole)
            self.assertEqual(len(made.rows), len(coarse.limit.row_vertex))
            np.testing.assert_array_equal(fine.limit.row_vertex[made.rows], coarse.limit.row_vertex)
            at = surface.positions[made.rows]
            # The places are those of the plain surface at that level, which both levels agree on.
            plain = [evaluate(s, cage).positions for s in (fine, coarse)]
            np.testing.assert_allclose(plain[0][made.rows], plain[1], atol=1e-9)
            self.assertGreater(float(np.abs(at - plain[1]).max()), 0.1)
            self.assertLess(float(cKDTree(surface.positions).query(at)[0].max()), 1e-12)

    def test_at_a_hard_crease_each_side_keeps_its_normal(self) -> None:
        cage = block()
        fine, coarse = build_stencils(cage, 4), build_stencils(cage, 2)
        rows = sample(fine, coarse, rough(cage, 4)).rows
        np.testing.assert_allclose(evaluate(fine, cage).normals[rows], evaluate(coarse, cage).normals, atol=1e-9)
        self.assertGreater(len(rows), coarse.vertex_count)


class Viewed(unittest.TestCase):
    def test_what_follows_a_pull_is_what_is_sent_anew(self) -> None:
        for cage in (ring(), sheet(12)):
            design, piece = Design().with_new_piece("Form", rough(cage, 4))
            view = LiveView(StencilShelf())
            view.smooth_to(2)
            first = view.frame(design)["pieces"][0]["surface"]
            self.assertEqual(first["level"], 2)
            moved = piece.cage.positions.copy()
            moved[0] += [1.0, 2.0, 3.0]
            pulled = design.with_piece(type(piece)(piece.id, piece.name, piece.cage.with_positions(moved)))
            rows = view.frame(pulled)["pieces"][0]["surface_rows"]
            assert rows["rows"] is not None
            self.assertLess(len(rows["rows"]), len(first["positions"]))
            positions, normals = first["positions"].copy(), first["normals"].copy()
            positions[rows["rows"]], normals[rows["rows"]] = rows["positions"], rows["normals"]
            anew = LiveView(StencilShelf())
            anew.smooth_to(2)
            whole = anew.frame(pulled)["pieces"][0]["surface"]
            np.testing.assert_allclose(positions, whole["positions"], atol=1e-5)
            np.testing.assert_allclose(normals, whole["normals"], atol=1e-5)
            # What maps and clearances are told by is what is shown.
            shown = view.as_shown(piece.id)
            assert shown is not None
            np.testing.assert_allclose(shown[0], whole["positions"][: len(shown[0])], atol=1e-5)

    def test_proofs_at_rest_look_at_places_of_all_the_relief(self) -> None:
        whole = rough(ring(), 5)
        full = evaluate(build_stencils(whole, 5), whole).points
        self.assertGreater(len(full), 80_000)
        mesh = Gaps(StencilShelf()).mesh(whole, True)
        self.assertTrue(20_000 < len(mesh.vertices) <= 80_000)
        self.assertLess(float(cKDTree(full).query(mesh.vertices)[0].max()), 1e-12)
