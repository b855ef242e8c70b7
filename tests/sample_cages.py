"""Cages for tests: closed, open, with n-gons, creased, cornered and darted, all a little irregular."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage import Cage, Selection
from zinc_otter.core.cage.edits.creases import set_corner, set_crease
from zinc_otter.core.cage.edits.delete import delete_elements
from zinc_otter.core.cage.edits.extrude import extrude_faces
from zinc_otter.core.primitives import box, plane


def jittered(cage: Cage, amount: float = 0.8, seed: int = 7) -> Cage:
    """The same cage with every vertex shaken, so that no two places are alike."""
    noise = np.random.default_rng(seed).uniform(-amount, amount, cage.positions.shape)
    return cage.with_positions(cage.positions + noise)


def knob() -> Cage:
    """Closed, valences 3 to 5: a box with a stem extruded twice."""
    cage = box((20, 16, 12), (2, 2, 1))
    top = top_faces(cage)
    once = extrude_faces(cage, Selection.of("face", top[:1]), 6.0)
    return jittered(extrude_faces(once.cage, once.selected, 5.0).cage)


def tray() -> Cage:
    """Open, with a hole inside as well as a border."""
    return jittered(delete_elements(plane((40, 30), (5, 4)), Selection.of("face", [5, 6])).cage)


def prism(sides: int = 5) -> Cage:
    """Closed, its two ends n-gons, each side one quad."""
    turn = 2 * np.pi * np.arange(sides) / sides
    ring = np.column_stack([8 * np.cos(turn), 8 * np.sin(turn)])
    points = np.concatenate([np.column_stack([ring, np.full(sides, z)]) for z in (0.0, 12.0)])
    walls = [[i, (i + 1) % sides, (i + 1) % sides + sides, i + sides] for i in range(sides)]
    ends = [list(range(sides))[::-1], list(range(sides, 2 * sides))]
    return jittered(Cage.from_faces(points, [*walls, *ends]))


def top_faces(cage: Cage) -> np.ndarray:
    """Faces that look straight up."""
    return np.flatnonzero(cage.face_normals[:, 2] > 0.999)


def rim_edges(cage: Cage) -> np.ndarray:
    """Edges of a box-like cage whose two ends lie at its greatest height."""
    high = cage.positions[:, 2] > cage.positions[:, 2].max() - 1e-9
    inside = high[cage.topology.edge_verts].all(axis=1)
    sides = np.isin(cage.topology.edge_faces, top_faces(cage)).sum(axis=1)
    return np.flatnonzero(inside & (sides == 1))


def rimmed(sharpness: float) -> Cage:
    """A box whose upper rim is a closed crease."""
    cage = box((20, 20, 10), (3, 3, 2))
    return jittered(set_crease(cage, Selection.of("edge", rim_edges(cage)), sharpness).cage)


def darted(sharpness: float) -> Cage:
    """One crease that ends inside the surface at both ends."""
    cage = box((20, 20, 10), (4, 4, 2))
    e = cage.topology.edge_verts
    y, z = cage.positions[e][:, :, 1], cage.positions[e][:, :, 2]
    middle = np.flatnonzero((np.abs(y).max(axis=1) < 1e-9) & (z.min(axis=1) > 4.9))
    return jittered(set_crease(cage, Selection.of("edge", middle[1:3]), sharpness).cage)


def cornered(sharpness: float, edges: float = 0.0) -> Cage:
    """One sharp corner vertex, the edges at it creased when asked for."""
    cage = box((20, 20, 10), (2, 2, 2))
    corner = int(np.argmax(cage.positions.sum(axis=1)))
    cage = set_corner(cage, Selection.of("vertex", [corner]), sharpness).cage if sharpness else cage
    at = np.flatnonzero((cage.topology.edge_verts == corner).any(axis=1))
    return jittered(set_crease(cage, Selection.of("edge", at), edges).cage)
