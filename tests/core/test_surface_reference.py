"""The surface against Debian's libosd: refined positions, limit positions and normals, at levels 1 to 4.

Where the two differ, this decides: a surface's limit is what the subdivision process of DeRose, Kass and Truong (SIGGRAPH
1998) tends to. At a level where a semi-sharp crease has not yet faded the library returns the limit of the crease as if
it were hard from there on (its documentation asks for enough levels first); here the limit is exact at every level. So at
such levels the vertices are compared with the library's limit at a level where the crease has faded.

The same holds at a dart, where one hard crease ends: the library gives it the mask of a smooth vertex, although one of the
edge points around it obeys the crease rule. So its answer depends on the level; that it tends to ours is shown below.
"""

from __future__ import annotations

import unittest

import numpy as np
from scipy.spatial import cKDTree

from tests import sample_cages as cages
from tests.reference import opensubdiv
from zinc_otter.core.cage import Cage
from zinc_otter.core.surface import Stencils, build_stencils, evaluate


def matched(ours: np.ndarray, theirs: np.ndarray) -> tuple[np.ndarray, float]:
    """For each of our points the index of theirs at the same place, one to one, and the largest relative distance."""
    distance, index = cKDTree(theirs).query(ours)
    assert len(np.unique(index)) == len(ours) == len(theirs)
    return index, float(distance.max() / np.abs(theirs).max())


def darts(stencils: Stencils) -> np.ndarray:
    """(n,) which refined vertices end exactly one hard edge."""
    level = stencils.finest
    ends = level.topology.edge_verts[level.edge_sharpness == 10].ravel()
    return np.bincount(ends, minlength=stencils.vertex_count) == 1


class AgainstLibrary(unittest.TestCase):
    def compare(self, cage: Cage, tolerance: float = 1e-9, hard: bool = False, faded_at: int = 1) -> None:
        for level in (1, 2, 3, 4):
            with self.subTest(level=level):
                stencils = build_stencils(cage, level)
                ours = evaluate(stencils, cage)
                theirs = opensubdiv.surface(cage, level)
                index, off = matched(stencils.refined(cage.positions), theirs.refined)
                self.assertLess(off, tolerance)
                np.testing.assert_array_equal(index[: len(cage.positions)], theirs.of_cage)
                if level < faded_at:
                    continue
                scale = np.abs(theirs.limit).max()
                known = ~darts(stencils)
                apart = np.abs(ours.points - theirs.limit[index])[known]
                self.assertLess(apart.max() / scale, tolerance)
                # A vertex on a hard crease has two normals here, one there: it is compared at its smooth places.
                sides = np.bincount(stencils.limit.row_vertex, minlength=stencils.vertex_count)
                border = np.zeros(stencils.vertex_count, dtype=bool)
                t = stencils.finest.topology
                border[t.edge_verts[t.open_edges]] = True
                one = known & (sides == 1) & ((stencils.finest.vertex_sharpness == 0) | border)
                self.assertGreater(one.sum(), 0.3 * len(one))
                normals = ours.normals[: stencils.vertex_count]
                self.assertLess(np.abs(normals[one] - theirs.normals[index][one]).max(), max(tolerance, 1e-7))

    def test_closed_with_valences_3_to_5(self) -> None:
        self.compare(cages.knob())

    def test_open_with_hole(self) -> None:
        self.compare(cages.tray())

    def test_n_gons(self) -> None:
        for sides in (3, 5, 6, 8):
            self.compare(cages.prism(sides))

    def test_whole_creases(self) -> None:
        self.compare(cages.rimmed(1.0))

    def test_fractional_creases(self) -> None:
        # The library keeps sharpness and the weights of a blend in single precision.
        self.compare(cages.rimmed(0.4), tolerance=1e-6)
        self.compare(cages.rimmed(2.5), tolerance=1e-6, faded_at=3)

    def test_hard_creases(self) -> None:
        self.compare(cages.rimmed(10.0))

    def test_darts(self) -> None:
        self.compare(cages.darted(10.0))
        self.compare(cages.darted(2.5), tolerance=1e-6, faded_at=3)

    def test_corners(self) -> None:
        self.compare(cages.cornered(10.0))
        self.compare(cages.cornered(1.5), tolerance=1e-6, faded_at=2)
        self.compare(cages.cornered(0.0, edges=10.0))
        self.compare(cages.cornered(0.7, edges=1.6), tolerance=1e-6, faded_at=2)

    def test_at_darts_the_library_tends_to_our_limit(self) -> None:
        for cage in (cages.darted(10.0), cages.cornered(0.0, edges=10.0)):
            stencils = build_stencils(cage, 1)
            ours = evaluate(stencils, cage)
            at = np.flatnonzero(darts(stencils))
            self.assertGreaterEqual(len(at), 2)
            points, normals = [], []
            for level in (2, 3, 4, 5, 6):
                theirs = opensubdiv.surface(cage, level)
                points.append(np.linalg.norm(theirs.limit[theirs.of_cage[at]] - ours.points[at], axis=1).max())
                normals.append(np.linalg.norm(theirs.normals[theirs.of_cage[at]] - ours.normals[at], axis=1).max())
            for errors in (points, normals):
                for before, after in zip(errors, errors[1:], strict=False):
                    self.assertLess(after, 0.75 * before)
            self.assertLess(points[-1], 0.01 * np.abs(ours.points[at]).max())

    def test_limit_is_exact_before_a_crease_has_faded(self) -> None:
        for cage in (cages.rimmed(2.5), cages.rimmed(3.0), cages.darted(3.4), cages.cornered(2.2, edges=3.0)):
            faded = opensubdiv.surface(cage, 5)
            expected = faded.limit[faded.of_cage]
            for level in (1, 2, 3):
                ours = evaluate(build_stencils(cage, level), cage)
                n = len(cage.positions)
                self.assertLess(np.abs(ours.points[:n] - expected).max() / np.abs(expected).max(), 1e-6)
                np.testing.assert_allclose(ours.normals[:n], faded.normals[faded.of_cage], atol=1e-5)


if __name__ == "__main__":
    unittest.main()
