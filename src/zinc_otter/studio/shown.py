"""What is shown of each piece on paper and in pictures, and what it measures: its body by triangles, or else its surface."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.curve.growing import pipe
from zinc_otter.core.errors import CoreError
from zinc_otter.core.form import controls
from zinc_otter.core.formats.surfaces.appearance import CLAYS
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.relief.relief import with_all_relief
from zinc_otter.core.repeated import Repeated
from zinc_otter.core.solid.moments import moments
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.words import fine_length_words
from zinc_otter.studio.design import Design, Piece

Body = Callable[[str], tuple[Floats, Ints, float]]
"""From a piece to its body by triangles, and how far (mm) these stray from it. Raises CoreError."""

_DENSE = 20_000
_ROUNDING = 1e-9
_SHARP = 0.8
"""Where normals of neighbouring faces agree by less, there is an edge."""
_STONE = np.array([0.78, 0.86, 0.90])


@dataclass(frozen=True, eq=False)
class Thing:
    """One piece as it is drawn: ``points`` (n, 3) and ``triangles`` (m, 3), coloured in sRGB from 0 to 1, evenly (3,) or at
    every point (n, 3)."""

    points: Floats
    triangles: Ints
    colour: Floats


@dataclass(frozen=True, eq=False)
class Shown:
    """A piece as it is shown: how it is drawn, its ``size`` in mm, its ``volume`` in mm³ where it encloses one, and ``how``
    these were found. A stone is no ``metal``."""

    piece: Piece
    thing: Thing
    size: Floats
    volume: float | None
    how: str
    metal: bool = True


def shown_of(design: Design, body: Body) -> list[Shown]:
    """All pieces that are shown, in their order; one that is in another's body is not shown by itself."""
    return [found for piece in design.pieces if piece.visible and (found := _shown(design, piece, body)) is not None]


def mesh_of(cage: Cage) -> MeshDistance:
    """A cage's surface as finely as proofs look at it at rest."""
    corners = cage.topology.corner_count
    level = with_all_relief(cage.relief, next((k for k in (3, 2) if corners * 4 ** (k - 1) <= _DENSE), 1))
    points, triangles = surface_of(cage, level)
    return MeshDistance(points, triangles)


def surface_of(cage: Cage, level: int) -> tuple[Floats, Ints]:
    """The points of the limit surface at a level, watertight, and its triangles."""
    stencils = build_stencils(cage, level)
    return evaluate(stencils, cage).points, stencils.triangles


def corner_normals(thing: Thing) -> Floats:
    """(m, 3, 3) those of the surface, or of the face alone where it turns sharply."""
    a, b, c = (thing.points[thing.triangles[:, k]] for k in range(3))
    whole = np.cross(b - a, c - a)
    total = np.zeros_like(thing.points)
    for k in range(3):
        np.add.at(total, thing.triangles[:, k], whole)
    smooth, flat = unit(total)[thing.triangles], unit(whole)[:, None, :]
    agrees = (smooth * flat).sum(axis=2, keepdims=True) > _SHARP
    return np.where(agrees, smooth, np.broadcast_to(flat, smooth.shape))


def _shown(design: Design, piece: Piece, body: Body) -> Shown | None:
    colour = np.array(CLAYS.get(piece.colour, CLAYS["clay"]))
    if piece.curve is not None:
        thin = 0.004 * max(float(np.ptp(piece.cage.positions, axis=0).max()), 1e-6)
        try:
            points, triangles = surface_of(pipe(piece.curve, thin, 6, each=3).cage, 2)
        except CoreError:
            return None
        return Shown(piece, Thing(points, triangles, colour * 0.4), np.ptp(points, axis=0), None, "a curve", False)
    if isinstance(piece.form, Repeated) and piece.form.stones:
        points, triangles = surface_of(piece.cage, 1)
        volume = moments(points, triangles).volume
        return Shown(piece, Thing(points, triangles, _STONE), np.ptp(points, axis=0), volume, "its facets, exact", False)
    try:
        points, triangles, chord = body(piece.id)
        # Of a body with flat sides only nothing strays; what is left is rounding.
        flat = chord < _ROUNDING
        how = "its body by triangles, exact" if flat else f"its body by triangles, within {fine_length_words(chord)}"
        volume = float(moments(points, triangles).volume)
    except CoreError as error:
        level = with_all_relief(piece.cage.relief, 3 if piece.cage.topology.face_count < 4_000 else 2)
        points, triangles = surface_of(controls(piece.form), level)
        if not piece.cage.topology.is_closed:
            return Shown(piece, Thing(points, triangles, colour), np.ptp(points, axis=0), None, "its surface, open")
        how = f"its surface, before its followers: {error}"
        volume = float(moments(points, triangles).volume)
    return Shown(piece, Thing(points, triangles, colour), np.ptp(points, axis=0), volume, how)
