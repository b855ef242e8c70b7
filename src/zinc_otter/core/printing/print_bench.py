"""Take a 3MF or STL file, look at bed, walls and overhangs, slice it, and answer: accepted, or refused with the places.

Simulated: it stands for the real machine, whose own figures may differ. A layer is made of lines as wide as ``line`` mm:
outlines, and inside of them a share of fill. What hangs over more than ``overhang`` degrees from upright lies on nothing.
"""

from __future__ import annotations

from dataclasses import dataclass

import manifold3d
import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError, CoreError, FileFormatError
from zinc_otter.core.formats.mesh import read_mesh
from zinc_otter.core.printing.processes import PrintProcess, process_of
from zinc_otter.core.printing.standing import Standing, ways_up
from zinc_otter.core.proof.casting import shells_of, volumes_of
from zinc_otter.core.proof.soundness import looked_over
from zinc_otter.core.proof.walls import wall_at
from zinc_otter.core.words import area_words, bulk_words, extent, fine_length_words, length_words, percent_words

MOST_LAYERS = 5_000
_WAYS = 4
"""Ways up that are told."""


@dataclass(frozen=True)
class Machine:
    """What the machine can do: bed (x, y, z) in mm, layer and line in mm, least wall mm, speed mm/s, fill from 0 to 1.

    ``overhang`` degrees from upright that still hold; ``density`` of the material in g/cm³; the ``process`` tells whether
    there are supports, and what would be trapped in a hollow. A least wall of 1.2 mm in printed plastic is common practice,
    no source.
    """

    bed: Vec = (220.0, 220.0, 250.0)
    layer: float = 0.2
    line: float = 0.4
    least_wall: float = 1.2
    overhang: float = 50.0
    speed: float = 60.0
    fill: float = 0.15
    density: float = 1.24
    process: str = "filament"

    def __post_init__(self) -> None:
        numbers = (*self.bed, self.layer, self.line, self.least_wall, self.speed, self.density)
        if not all(np.isfinite(n) and n > 0 for n in numbers):
            raise BadNumberError("The machine's lengths, speed and density are numbers above 0.")
        if not (0 <= self.fill <= 1 and 0 < self.overhang < 90):
            raise BadNumberError("The fill is a share from 0 to 1, and the overhang an angle from 0 to 90 degrees.")


@dataclass(frozen=True)
class Objection:
    """Something that the bench found: ``refuses`` or only warns; in words, and where (k points in mm)."""

    what: str
    refuses: bool
    words: str
    places: tuple[Vec, ...] = ()


@dataclass(frozen=True)
class Answer:
    """Accepted or not, what was found, and what it would take: layers, minutes, grams, metres of line."""

    accepted: bool
    objections: tuple[Objection, ...]
    layers: int
    minutes: float
    grams: float
    metres: float
    size: Vec
    ways: tuple[Standing, ...] = ()
    """As it stands, and the best other ways up; none where nothing is held by supports."""


@dataclass(frozen=True, eq=False)
class Job:
    """A file on the bench, laid down on its lowest point."""

    solid: manifold3d.Manifold
    points: Floats
    triangles: np.ndarray
    lifted: float
    """How far (mm) it was moved up to stand on the bed."""

    def outlines(self, height: float) -> list[Floats]:
        """Closed outlines (k, 2) in mm of the layer at a height over the bed; holes run the other way round."""
        return [np.asarray(ring) for ring in self.solid.slice(height).to_polygons()]


def take(data: bytes, extension: str) -> Job:
    """Put a file on the bench. Raises FileFormatError for one that is no closed body."""
    if extension not in ("stl", "3mf"):
        raise FileFormatError("The print bench takes 3MF and STL.")
    mesh = read_mesh(data, extension, None if extension == "3mf" else "mm")
    lifted = -float(mesh.vertices[:, 2].min())
    points = mesh.vertices + [0, 0, lifted]
    triangles = mesh.triangles.astype(np.int64)
    solid = manifold3d.Manifold(manifold3d.Mesh64(points, triangles.astype(np.uint64)))
    if solid.status() != manifold3d.Error.NoError or solid.is_empty():
        raise FileFormatError(f"The file is no closed body: it is open or crossed along {mesh.open_edge_count} edges.")
    return Job(solid, points, triangles, lifted)


def judge(job: Job, machine: Machine) -> Answer:
    """Look at it, slice it, and answer. Raises CoreError for layers too thin to count."""
    process = process_of(machine.process)
    ways = ways_up(job.points, job.triangles, machine.overhang)[:_WAYS] if process.supports else ()
    found = [
        *_soundness(job), *_bed(job, machine), *_walls(job, machine), *_hollows(job, process),
        *_overhangs(job, machine, ways),
    ]  # fmt: skip
    size = job.points.max(axis=0) - job.points.min(axis=0)
    count = int(np.ceil(size[2] / machine.layer - 1e-9))
    if count > MOST_LAYERS:
        raise CoreError(
            f"Layers of {fine_length_words(machine.layer)} would be {count:,}; the bench counts up to {MOST_LAYERS:,}."
        )
    way = 0.0
    for i in range(count):
        section = job.solid.slice((i + 0.5) * machine.layer)
        rim = sum(
            float(np.linalg.norm(np.roll(ring, -1, axis=0) - ring, axis=1).sum())
            for ring in map(np.asarray, section.to_polygons())
        )
        inside = max(section.area() - rim * machine.line, 0.0)
        # The first and last layers, and all where the body is thin, are closed; between them a share is filled.
        share = 1.0 if i < 3 or i >= count - 3 else machine.fill
        way += rim + inside * share / machine.line
    volume = way * machine.line * machine.layer
    x, y, z = (float(s) for s in size)
    return Answer(
        accepted=not any(objection.refuses for objection in found),
        objections=tuple(found),
        layers=count,
        # For each layer it moves up and begins anew.
        minutes=(way / machine.speed + process.pause * count) / 60,
        grams=volume / 1000 * machine.density,
        metres=way / 1000,
        size=(x, y, z),
        ways=ways,
    )


def layer_picture(job: Job, machine: Machine, index: int) -> str:
    """One layer as SVG, in mm on the bed: what is printed, and the outline of the layer below."""
    low, high = job.points.min(axis=0)[:2], job.points.max(axis=0)[:2]
    margin = 0.05 * float((high - low).max())
    width, height = high - low + 2 * margin
    x0, y0 = low - margin

    def path(rings: list[Floats]) -> str:
        # SVG counts downwards.
        return "".join(
            "M" + "L".join(f"{x - x0:.3f} {height - (y - y0):.3f}" for x, y in ring.tolist()) + "Z" for ring in rings
        )

    here = path(job.outlines((index + 0.5) * machine.layer))
    below = path(job.outlines((index - 0.5) * machine.layer)) if index > 0 else ""
    return (
        f'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 {width:.3f} {height:.3f}" width="{width:.3f}mm" '
        f'height="{height:.3f}mm"><path d="{below}" fill="none" stroke="#B5622F" stroke-width="{machine.line / 2:.3f}"/>'
        f'<path d="{here}" fill="#C9CED0" fill-rule="evenodd" stroke="#1F6F78" stroke-width="{machine.line:.3f}"/></svg>'
    )


def _soundness(job: Job) -> list[Objection]:
    faults = looked_over(job.points - [0, 0, job.lifted], job.triangles).faults
    return [Objection("sound", True, fault.words, fault.place.points) for fault in faults]


def _bed(job: Job, machine: Machine) -> list[Objection]:
    size = job.points.max(axis=0) - job.points.min(axis=0)
    over = [axis for axis, s, b in zip("xyz", size, machine.bed, strict=True) if s > b]
    if not over:
        return []
    words = f"It is {extent(size)}, the bed {extent(machine.bed)}: too long along {', '.join(over)}."
    return [Objection("bed", True, words)]


def _walls(job: Job, machine: Machine) -> list[Objection]:
    walls, at = wall_at(job.points, job.triangles)
    thin = walls < machine.least_wall
    if not thin.any():
        return []
    order = np.argsort(walls)[: int(thin.sum())]
    words = (
        f"{percent_words(float(thin.mean()))} of {len(walls):,} places have a wall under "
        f"{length_words(machine.least_wall)}, down to {length_words(float(walls[order[0]]))}."
    )
    return [Objection("wall", True, words, _spread(at[order] - [0, 0, job.lifted]))]


def _hollows(job: Job, process: PrintProcess) -> list[Objection]:
    shells = shells_of(len(job.points), job.triangles)
    volumes = volumes_of(job.points, job.triangles, shells)
    hollow = np.flatnonzero(volumes < -1e-9)
    if not len(hollow):
        return []
    where = [job.points[np.unique(job.triangles[shells == k])].mean(axis=0) - [0, 0, job.lifted] for k in hollow]
    many = "1 hollow has" if len(hollow) == 1 else f"{len(hollow)} hollows have"
    volume = bulk_words(-float(volumes[hollow].sum()))
    empty = f"nothing can be taken out of the {volume} within"
    within = f"{volume} of {process.trapped} stay within" if process.trapped else empty
    words = f"{many} no outlet: {within}. Hollow {'it' if len(hollow) == 1 else 'them'} with a vent."
    return [Objection("hollow", bool(process.trapped), words, _spread(np.array(where)))]


def _overhangs(job: Job, machine: Machine, ways: tuple[Standing, ...]) -> list[Objection]:
    if not ways:
        return []
    p = job.points[job.triangles]
    cross = np.cross(p[:, 1] - p[:, 0], p[:, 2] - p[:, 0])
    area = np.linalg.norm(cross, axis=1) / 2
    normal, middle = unit(cross), p.mean(axis=1)
    down = (normal[:, 2] < -np.sin(np.radians(machine.overhang))) & (middle[:, 2] > 1.5 * machine.layer)
    hanging = float(area[down].sum())
    if hanging < 1.0:
        return []
    order = np.argsort(-area * down)[: int(down.sum())]
    supports = bulk_words(ways[0].supports)
    words = f"{area_words(hanging, 3)} hang over by more than {machine.overhang:g}°; about {supports} of supports."
    return [Objection("overhang", False, words, _spread(middle[order] - [0, 0, job.lifted]))]


def _spread(points: Floats, most: int = 12) -> tuple[Vec, ...]:
    """A few of many places, apart from each other."""
    kept: list[Floats] = []
    reach = 0.08 * float(np.ptp(points, axis=0).max()) if len(points) > 1 else 0.0
    for point in points[:2000]:
        if len(kept) == most:
            break
        if all(np.linalg.norm(point - other) > reach for other in kept):
            kept.append(point)
    return tuple((float(x), float(y), float(z)) for x, y, z in kept)
