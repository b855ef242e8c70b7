"""What a made solid states of itself."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any, Literal

import numpy as np

from zinc_otter.core.cage.cage import HARD, Cage
from zinc_otter.core.errors import CoreError
from zinc_otter.core.proof.soundness import MOST_PLACES
from zinc_otter.core.relief.in_patches import strays_from_relief
from zinc_otter.core.remark import Remark, at_points
from zinc_otter.core.solid.gate import Judged
from zinc_otter.core.solid.patches import Patches, largest_deviation, volume_and_area
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.core.solid.seams import TIGHT, Seam, largest_seam
from zinc_otter.core.surface.evaluation import evaluate
from zinc_otter.core.surface.stencils import build_stencils
from zinc_otter.core.words import fine_length_words

HIGH_VALENCE = 12
"""Up to it the seams around a vertex were measured to stay under one degree."""


@dataclass(frozen=True)
class Certificate:
    """Measures of a solid: millimetres, mm², mm³, degrees.

    ``deviation`` is the largest distance from the limit surface, ``seam_angle`` the largest angle between neighbouring
    faces along seams that should be smooth, which are all but hard creases; ``meant_sharp`` counts the edges and corners
    that are hard; ``size`` the extent of the limit surface, ``pole_count`` how many poles a face
    has each way. The others are measured on triangles of the finished body: see ``Measured``.

    ``faults`` are why it is not what was asked for, or no solid; ``warnings`` are worth a look. Both come with their places.

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
    warnings: tuple[Remark, ...]
    measured: Measured | None = None
    route: Literal["kernel", "triangles"] = "kernel"
    faults: tuple[Remark, ...] = ()
    meant_sharp: tuple[int, int] = (0, 0)


@dataclass(frozen=True)
class Measured:
    """What is measured of the finished body on ``triangle_count`` triangles within ``chord`` mm of it.

    ``mesh_volume`` mm³ is what the mesh route found on its own, ``centre`` the centre of mass, ``crossings`` how many pairs
    of triangles cross, ``thinnest`` the least wall of all sampled places, at ``thinnest_at``; ``tolerance`` the
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
    sharp = tuple(data.get("meant_sharp", (0, 0)))
    remarks = {key: tuple(Remark.read(remark) for remark in data[key]) for key in ("warnings", "faults")}
    read = None if measured is None else Measured(**measured)
    return Certificate(**{**data, **remarks, "meant_sharp": sharp, "measured": read})


def certify(
    patches: Patches,
    closed: bool,
    solid_count: int,
    measured: Measured | None = None,
    finished: Finished | None = None,
    judged: Judged | None = None,
    relief: str = "",
) -> Certificate:
    """Measure fitted patches; ``closed`` and ``solid_count`` are what the kernel's own look at the B-rep found.

    ``judged`` is what the gate said of the body. ``finished`` counts instead of the patches' own volume, area, extent and
    faces, where followers have changed the body. ``relief`` tells what of it these patches leave out.

    Raises CoreError when the form is turned inside out.
    """
    volume, area = volume_and_area(patches)
    if volume <= 0:
        raise CoreError("The form is turned inside out: its volume comes out negative.")
    if finished is None:
        points = evaluate(build_stencils(patches.cage, 3), patches.cage).points
        x, y, z = (float(v) for v in np.ptp(points, axis=0))
        finished = Finished(volume, area, (x, y, z), len(patches.poles))
    seam = largest_seam(patches)
    told = (Remark(relief),) if relief else ()
    return Certificate(
        watertight=closed,
        volume=finished.volume,
        area=finished.area,
        size=finished.size,
        solid_count=solid_count,
        face_count=finished.face_count,
        pole_count=patches.poles.shape[1],
        deviation=largest_deviation(patches),
        seam_angle=seam.degrees,
        meant_sharp=_meant_sharp(patches.cage),
        warnings=(*told, *(judged.warnings if judged else ()), *_warnings(patches.cage, seam)),
        measured=measured,
        faults=judged.faults if judged else (),
    )


def certify_triangles(body: Finished, solid_count: int, chord: float, measured: Measured, judged: Judged) -> Certificate:
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
        warnings=(Remark(_NO_STEP), *judged.warnings),
        measured=measured,
        route="triangles",
        faults=judged.faults,
    )


_NO_STEP = "This is the body by triangles, to print or cast. The kernel has not made it: there is no STEP file."


def _warnings(cage: Cage, seam: Seam) -> tuple[Remark, ...]:
    valence = cage.topology.vertex_valence
    high = np.flatnonzero(valence > HIGH_VALENCE)
    found = []
    if len(high):
        verb = "vertices have" if len(high) > 1 else "vertex has"
        found.append(
            Remark(
                f"{len(high)} {verb} a valence above {HIGH_VALENCE} (the highest {valence.max()}); the surface is nearly a "
                "point there, and its highlight shows it.",
                at_points(cage.positions[high[:MOST_PLACES]]),
            )
        )
    if seam.degrees > 1.0:
        where = at_points(np.array(seam.at))
        if seam.sharpness > TIGHT:
            words = (
                f"Creases sharper than {TIGHT:g} and not yet hard come out as edges, of up to {seam.degrees:.1f}°: they are "
                "tighter than the faces of a solid can follow. Make them hard, or softer."
            )
        else:
            words = f"Neighbouring faces meet at up to {seam.degrees:.1f}° where the surface should be smooth."
        found.append(Remark(words, where))
    return tuple(found)


def relief_words(recipe: Recipe) -> str:
    """What a solid of a recipe holds of its relief, in a sentence; nothing where there is none."""
    if not recipe.has_relief:
        return ""
    if not recipe.levels or recipe.cage.relief is None:
        return _PLAIN
    held = "the first level" if recipe.levels == 1 else f"the first {recipe.levels} levels"
    off = strays_from_relief(recipe.cage, recipe.plain.cage)
    return (
        f"Of its relief {held} are in this solid: the form with all of it, as files of triangles have it, strays from the "
        f"smooth surface of this one by at most {fine_length_words(off)}."
    ).replace("level are", "level is")


_PLAIN = (
    "Relief is in the triangles only: this is the plain form, and so is its STEP file. "
    "Print or cast from STL, 3MF, OBJ or GLB."
)


def _meant_sharp(cage: Cage) -> tuple[int, int]:
    return int((cage.edge_sharpness >= HARD).sum()), int((cage.vertex_sharpness >= HARD).sum())
