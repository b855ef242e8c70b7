"""Triangles of the limit surface, as fine as a chord tolerance asks for."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.relief.relief import with_all_relief
from zinc_otter.core.solid.moments import moments
from zinc_otter.core.surface.evaluation import evaluate
from zinc_otter.core.surface.stencils import Stencils, build_stencils
from zinc_otter.core.words import PER, length_words, told_in

MOST_TRIANGLES = 3_000_000


@dataclass(frozen=True, eq=False)
class Triangles:
    """Points (n, 3) in mm, triangles (t, 3), and the largest distance (mm) found between a chord and the surface.

    ``turn``: by how many degrees the surface turns at most across one of its quads.
    """

    points: Floats
    triangles: Ints
    chord: float
    turn: float = 0.0

    @property
    def volume(self) -> float:
        """Enclosed volume in mm³."""
        return moments(self.points, self.triangles).volume


def tessellate(cage: Cage, tolerance: float, degrees: float = 180.0) -> Triangles:
    """Triangles whose chords keep within ``tolerance`` mm of the limit surface, which turns by ``degrees`` at most in each.

    Raises BadNumberError for a tolerance that is not positive, or that would need more than 3 million triangles.
    """
    if not np.isfinite(degrees) or degrees <= 0:
        raise BadNumberError(f"The angle tolerance must be more than 0 degrees; {degrees:g} is not.")
    if not np.isfinite(tolerance) or tolerance <= 0:
        raise BadNumberError(f"The chord tolerance must be more than 0 mm; {tolerance:g} is not.")
    level = min(with_all_relief(cage.relief, 1), 6)
    stencils = build_stencils(cage, level)
    surface = evaluate(stencils, cage)
    while True:
        finer = build_stencils(cage, level + 1)
        finer_surface = evaluate(finer, cage)
        points = surface.points
        chord, turn = _chord(stencils, points, finer_surface.points), _turn(stencils, surface.normals)
        if chord <= tolerance and turn <= degrees:
            return Triangles(points, split_quads(points, stencils.quads), chord, turn)
        level += 1
        stencils, surface = finer, finer_surface
        if len(stencils.quads) * 8 > MOST_TRIANGLES or level == 7:
            raise BadNumberError(
                f"Chords within {length_words(tolerance)} would take more than {MOST_TRIANGLES:,} triangles; "
                f"{_rounded_up(chord / PER[told_in()][0])} {told_in()} is within reach."
                if chord > tolerance
                else f"Turns of {degrees:g}° would take more than {MOST_TRIANGLES:,} triangles; {turn:.2g}° is within reach."
            )


def _turn(stencils: Stencils, normals: Floats) -> float:
    """The largest angle in degrees between the surface's normals at two corners of one quad."""
    corners = normals[stencils.row_quads]
    least = min(float((corners[:, i] * corners[:, j]).sum(axis=1).min()) for i in range(4) for j in range(i))
    return float(np.degrees(np.arccos(np.clip(least, -1, 1))))


def _rounded_up(value: float) -> str:
    step = 10.0 ** np.floor(np.log10(value))
    return f"{np.ceil(value / step) * step:g}"


def _chord(stencils: Stencils, points: Floats, finer_points: Floats) -> float:
    """How far the next level's edge and face points lie off this level's chords and triangles.

    Measured square to the chord or the triangle, for beside extraordinary points the middles also slide along the
    surface. Child vertices come in the order: vertices, edges, faces.
    """
    t = stencils.finest.topology
    n, e = t.vertex_count, t.edge_count
    a, b = points[t.edge_verts[:, 0]], points[t.edge_verts[:, 1]]
    away = finer_points[n : n + e] - a
    along = unit(b - a)
    square = away - (away * along).sum(axis=1, keepdims=True) * along
    quads = points[stencils.quads]
    one, other = quads[:, 2] - quads[:, 0], quads[:, 3] - quads[:, 1]
    # Each face is split along its shorter diagonal, which lies in both of its triangles.
    shorter = (one**2).sum(axis=1) <= (other**2).sum(axis=1)
    foot = np.where(shorter[:, None], quads[:, 0], quads[:, 1])
    height = ((finer_points[n + e :] - foot) * unit(np.cross(one, other))).sum(axis=1)
    return float(max(np.linalg.norm(square, axis=1).max(), np.abs(height).max()))


def split_quads(points: Floats, quads: Ints) -> Ints:
    """(2m, 3) triangles: each quad split along its shorter diagonal."""
    one = ((points[quads[:, 0]] - points[quads[:, 2]]) ** 2).sum(axis=1)
    other = ((points[quads[:, 1]] - points[quads[:, 3]]) ** 2).sum(axis=1)
    turned = np.where((one <= other)[:, None], quads, np.roll(quads, -1, axis=1))
    return turned[:, [[0, 1, 2], [0, 2, 3]]].reshape(-1, 3)
