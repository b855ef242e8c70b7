"""What a made solid states of itself."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any, Literal

import numpy as np
from scipy.sparse import coo_matrix
from scipy.sparse.csgraph import connected_components

from zinc_otter.core.cage.cage import HARD, Cage
from zinc_otter.core.errors import CoreError, OpenCageError
from zinc_otter.core.solid.patches import Patches, largest_deviation, largest_seam_angle, volume_and_area
from zinc_otter.core.surface.evaluation import evaluate
from zinc_otter.core.surface.stencils import build_stencils


@dataclass(frozen=True)
class Certificate:
    """Measures of a solid: millimetres, mm², mm³, degrees.

    ``deviation`` is the largest distance from the limit surface, ``seam_angle`` the largest angle between neighbouring
    faces along seams that are not creased, ``size`` the extent of the limit surface, ``pole_count`` how many poles a face
    has each way. The others are measured on triangles of the finished body: see ``Measured``.

    One of the ``route`` "triangles" is of a body that the kernel has not made: it has no seams and no poles, its faces are
    triangles, and its deviation is the distance between their chords and the form's surface.
    """

    watertight: bool
    volume: float
    area: float
    size: tuple[float, float, float]
    solid_count: int
    face_count: int
    pole_count: int | None
    deviation: float
    seam_angle: float | None
    warnings: tuple[str, ...]
    measured: Measured | None = None
    route: Literal["kernel", "triangles"] = "kernel"


@dataclass(frozen=True)
class Measured:
    """What is measured of the finished body on ``triangle_count`` triangles within ``chord`` mm of it.

    ``mesh_volume`` mm³ is what the mesh route found on its own, ``centre`` the centre of mass, ``crossings`` how many pairs
    of triangles cross, ``thinnest`` the wall that 99 of 100 sampled points exceed, at ``thinnest_at``; ``tolerance`` the
    largest of the kernel's own. ``followers``: id, name, what became of it, and why.
    """

    triangle_count: int
    chord: float
    mesh_volume: float
    centre: tuple[float, float, float]
    crossings: int
    thinnest: float
    thinnest_at: tuple[float, float, float]
    tolerance: float
    followers: tuple[tuple[str, str, str, str], ...] = ()


@dataclass(frozen=True)
class Finished:
    """A body that followers have changed: its own volume, area (mm³, mm²), extent (mm) and count of faces."""

    volume: float
    area: float
    size: tuple[float, float, float]
    face_count: int


def read_certificate(data: Mapping[str, Any]) -> Certificate:
    """From the mapping that ``dataclasses.asdict`` gives, by way of JSON."""
    measured = data.get("measured")
    return Certificate(**{**data, "measured": None if measured is None else Measured(**measured)})


def require_closed(cage: Cage) -> None:
    """Raise OpenCageError, naming the open edges, unless every edge has two faces."""
    edges = cage.topology.open_edges
    if len(edges):
        holes = _count_loops(cage, edges)
        raise OpenCageError(
            f"The cage is open along {len(edges)} edges ({holes} {'hole' if holes == 1 else 'holes'}); "
            "a solid needs a closed cage. Close it, or thicken it.",
            edges=edges,
        )


def certify(
    patches: Patches,
    closed: bool,
    solid_count: int,
    measured: Measured | None = None,
    finished: Finished | None = None,
) -> Certificate:
    """Measure fitted patches; ``closed`` and ``solid_count`` are what the kernel's own look at the B-rep found.

    ``finished`` counts instead of the patches' own volume, area, extent and faces, where followers have changed the body.

    Raises CoreError when the form is turned inside out.
    """
    volume, area = volume_and_area(patches)
    if volume <= 0:
        raise CoreError("The form is turned inside out: its volume comes out negative.")
    if finished is None:
        points = evaluate(build_stencils(patches.cage, 3), patches.cage).points
        x, y, z = (float(v) for v in np.ptp(points, axis=0))
        finished = Finished(volume, area, (x, y, z), len(patches.poles))
    seam = largest_seam_angle(patches)
    return Certificate(
        watertight=closed,
        volume=finished.volume,
        area=finished.area,
        size=finished.size,
        solid_count=solid_count,
        face_count=finished.face_count,
        pole_count=patches.poles.shape[1],
        deviation=largest_deviation(patches),
        seam_angle=seam,
        warnings=_warnings(patches.cage, seam),
        measured=measured,
    )


def certify_triangles(body: Finished, solid_count: int, chord: float, measured: Measured) -> Certificate:
    """Of a closed body that was made of triangles only, within ``chord`` mm of the form's surface."""
    return Certificate(
        watertight=True,
        volume=body.volume,
        area=body.area,
        size=body.size,
        solid_count=solid_count,
        face_count=body.face_count,
        pole_count=None,
        deviation=chord,
        seam_angle=None,
        warnings=("This is the body by triangles, to print or cast. The kernel has not made it: there is no STEP file.",),
        measured=measured,
        route="triangles",
    )


def _warnings(cage: Cage, seam_angle: float) -> tuple[str, ...]:
    valence = cage.topology.vertex_valence
    high = np.flatnonzero(valence > 5)
    found = []
    if len(high):
        found.append(
            f"{len(high)} vertices have a valence above 5 (the highest {valence.max()}); "
            "the highlight may show a seam there."
        )
    if seam_angle > 1.0:
        found.append(f"Neighbouring faces meet at up to {seam_angle:.1f}° where the surface should be smooth.")
    soft = (cage.edge_sharpness > 0) & (cage.edge_sharpness < HARD)
    if soft.any() and cage.edge_sharpness[soft].max() > 4:
        found.append("Creases with a sharpness between 4 and 10 are rounder in the solid than on the surface.")
    return tuple(found)


def _count_loops(cage: Cage, edges: np.ndarray) -> int:

    ends = cage.topology.edge_verts[edges]
    verts, local = np.unique(ends, return_inverse=True)
    local = local.reshape(-1, 2)
    graph = coo_matrix((np.ones(len(edges)), (local[:, 0], local[:, 1])), shape=(len(verts),) * 2)
    return int(connected_components(graph, directed=False)[0])
