"""Whether a body can be cast or printed in metal: least walls, hollows without an outlet, sharp inner corners."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints, joined_labels
from zinc_otter.core.proof.sharp_edges import sharp_edges
from zinc_otter.core.proof.walls import wall_at
from zinc_otter.core.remark import Remark, at_points
from zinc_otter.core.words import length_words, percent_words

_SAMPLES = 6_000
_MARKED = 24
_SHARP = 35.0
"""Degrees by which faces have to turn towards one another to be an inner corner."""


@dataclass(frozen=True)
class Process:
    """What a process asks for at least, in mm. Common practice; shops differ, so that each number can be changed."""

    id: str
    name: str
    wall: float
    prong: float
    gap: float


PROCESSES = (
    Process("cast", "Cast metal", 0.8, 0.8, 0.3),
    Process("wax", "Printed wax", 0.6, 0.7, 0.25),
    Process("metal", "Printed metal", 0.5, 0.6, 0.2),
)


@dataclass(frozen=True, eq=False)
class CastProof:
    """The least wall (mm) of all places looked at, and where; ``faults`` in words."""

    wall: float
    wall_at: tuple[float, float, float]
    cavities: int
    inner_corners: int
    faults: tuple[Remark, ...]


def cast_proof(points: Floats, triangles: Ints, process: Process, prongs: Sequence[float] = ()) -> CastProof:
    """Of closed triangles (m, 3) of points (n, 3) mm that look outwards; ``prongs`` are diameters of what stands on them.

    Walls are measured straight inwards at samples spread by area, and the words say at how many.
    """
    faults: list[Remark] = []
    walls, at = wall_at(points, triangles, _SAMPLES)
    if not len(walls):
        # No two sides face one another: as thick as it is.
        walls, at = np.array([float(np.ptp(points, axis=0).max())]), points.mean(axis=0)[None]
    order = np.argsort(walls)
    least = order[0]
    thin = order[walls[order] < process.wall]
    if len(thin):
        words = (
            f"At {percent_words(len(thin) / len(walls))} of {len(walls):,} places the wall is thinner than "
            f"{length_words(process.wall)}, at least {length_words(float(walls[least]))}: "
            f"{process.name.lower()} asks for more."
        )
        faults.append(Remark(words, at_points(at[thin[:: max(1, len(thin) // _MARKED)][:_MARKED]])))
    weak = sorted({round(d, 6) for d in prongs if d < process.prong})
    if weak:
        faults.append(
            Remark(
                f"Prongs of {length_words(weak[0])} are thinner than the {length_words(process.prong)} that "
                f"{process.name.lower()} asks for."
            )
        )
    shells = shells_of(len(points), triangles)
    volumes = volumes_of(points, triangles, shells)
    hollow = np.flatnonzero(volumes < -1e-9)
    if len(hollow):
        where = np.array([points[np.unique(triangles[shells == k])].mean(axis=0) for k in hollow])
        count = "1 hollow has" if len(hollow) == 1 else f"{len(hollow)} hollows have"
        faults.append(Remark(f"{count} no outlet: what is within cannot get out. Vent it.", at_points(where[:_MARKED])))
    corners = inner_corners(points, triangles)
    if len(corners):
        words = f"Along {len(corners):,} edges faces meet in a sharp inner corner, where casts tear: round them."
        faults.append(Remark(words, at_points(corners[:: max(1, len(corners) // _MARKED)][:_MARKED])))
    x, y, z = (float(v) for v in at[least])
    return CastProof(float(walls[least]), (x, y, z), len(hollow), len(corners), tuple(faults))


def inner_corners(points: Floats, triangles: Ints) -> Floats:
    """(k, 3) the middles of edges whose two triangles turn towards one another by more than 35 degrees."""
    edges, inner = sharp_edges(points, triangles, _SHARP)
    return np.asarray(points[edges[inner]].mean(axis=1))


def shells_of(count: int, triangles: Ints) -> Ints:
    """(m,) which connected shell each triangle belongs to, of ``count`` points."""
    links = np.concatenate([triangles[:, [0, 1]], triangles[:, [1, 2]]])
    return np.asarray(np.unique(joined_labels(count, links)[triangles[:, 0]], return_inverse=True)[1].reshape(-1))


def volumes_of(points: Floats, triangles: Ints, shells: Ints) -> Floats:
    """(s,) mm³ that each shell encloses; below 0 for a hollow, whose faces look inwards."""
    a, b, c = points[triangles].transpose(1, 0, 2)
    return np.asarray(np.bincount(shells, (a * np.cross(b, c)).sum(axis=1) / 6))
