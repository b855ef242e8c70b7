"""The work of reading files from outside, components and cages: in a worker process, whose memory is bounded."""

from __future__ import annotations

from dataclasses import dataclass
from pathlib import Path
from typing import TYPE_CHECKING, Any

from zinc_otter.core.progress import Progress
from zinc_otter.jobs.bounded import bounded_memory

if TYPE_CHECKING:
    from zinc_otter.core.cage.cage import Cage
    from zinc_otter.core.cage.topology import Floats, Ints
    from zinc_otter.core.formats.cages.cleaning import Cleaning, Finding
    from zinc_otter.core.formats.cages.loaded import Loaded
    from zinc_otter.core.formats.curves.kinds import Kind, View
    from zinc_otter.core.formats.curves.paths import Drawn
    from zinc_otter.core.formats.mesh import Mesh
    from zinc_otter.core.picture.stands import StandName
    from zinc_otter.core.scan.scanner import Scanning


@dataclass(frozen=True, eq=False)
class ComponentFile:
    """A mesh as an asset: compressed arrays of mm, and what is to be known of it."""

    data: bytes
    facts: dict[str, Any]


def read_component(progress: Progress, path: Path, extension: str, unit: str | None) -> ComponentFile:
    """Read a mesh file, or the faces of a STEP file as a mesh. Raises FileFormatError, BadNumberError."""
    from zinc_otter.core.formats.mesh import as_asset, read_mesh
    from zinc_otter.core.formats.points import are_points

    with bounded_memory("a component"):
        if extension in ("step", "stp"):
            from zinc_otter.jobs.kernel_guard import guarded

            return guarded("Reading the STEP file", 60.0, lambda: ComponentFile(*as_asset(_step_mesh(path))))
        data = path.read_bytes()
        progress(0.05, f"Reading {len(data) / 2**20:,.1f} MB")
        told: Progress = lambda part, words: progress(0.05 + 0.55 * part, words)  # noqa: E731
        laid = are_points(data, extension)
        mesh = _laid_through(data, extension, unit, told) if laid else read_mesh(data, extension, unit, progress=told)
        made = as_asset(mesh, lambda part, words: progress(0.6 + 0.4 * part, words))
        progress(1.0, "Done")
        return ComponentFile(*made)


def _laid_through(data: bytes, extension: str, unit: str | None, progress: Progress) -> Mesh:
    """The surface through a file of points alone; its notes say how near to them it runs."""
    from zinc_otter.core.formats.mesh import checked_mesh
    from zinc_otter.core.formats.points import read_points
    from zinc_otter.core.scan.through_points import how_near, through_points

    points = read_points(data, extension, unit)
    made = through_points(points.places, points.normals, lambda part, words: progress(0.1 + 0.85 * part, words))
    return checked_mesh(made.vertices, made.triangles, how_near(points.places, made))


def scan_cage(progress: Progress, cage: Cage, how: Scanning) -> ComponentFile:
    """A simulated scan of a cage's surface. Raises BadNumberError, FileFormatError."""
    from zinc_otter.core.formats.mesh import as_asset
    from zinc_otter.core.scan.scanner import scanned

    with bounded_memory("a scan"):
        return ComponentFile(*as_asset(scanned(cage, how)))


def make_stand(progress: Progress, name: StandName, size: float) -> ComponentFile:
    """A stand by its short name. Raises BadNumberError."""
    from zinc_otter.core.formats.mesh import as_asset, checked_mesh
    from zinc_otter.core.picture.stands import stand_mesh

    with bounded_memory("a stand"):
        return ComponentFile(*as_asset(checked_mesh(*stand_mesh(name, size), ("a stand of this application",))))


def bake_cage(progress: Progress, cage: Cage) -> ComponentFile:
    """The triangles of a cage's surface with its relief. Raises FileFormatError."""
    from zinc_otter.core.formats.mesh import Mesh, as_asset
    from zinc_otter.core.relief.relief import with_all_relief
    from zinc_otter.core.solid.tessellation import split_quads
    from zinc_otter.core.surface import build_stencils, evaluate

    with bounded_memory("the triangles of a surface"):
        stencils = build_stencils(cage, with_all_relief(cage.relief, 3))
        points = evaluate(stencils, cage).points
        return ComponentFile(*as_asset(Mesh(points, split_quads(points, stencils.quads))))


def clean_mesh(
    progress: Progress, vertices: Floats, triangles: Ints, holes: float, notes: tuple[str, ...]
) -> tuple[ComponentFile, str]:
    """A scan cleaned up, and what was done in words. Raises BadNumberError, BadSelectionError."""
    from zinc_otter.core.errors import BadSelectionError
    from zinc_otter.core.formats.mesh import Mesh, as_asset
    from zinc_otter.core.scan.cleaning import cleaned

    with bounded_memory("a scan"):
        found = cleaned(vertices, triangles, holes)
        if found.did_nothing:
            raise BadSelectionError("It has no loose parts, no spikes, no holes with so short a rim: nothing was changed.")
        mesh = Mesh(found.mesh.vertices, found.mesh.triangles, (*notes, found.words))
        return ComponentFile(*as_asset(mesh)), found.words


def _step_mesh(path: Path) -> Mesh:
    from zinc_otter.core.errors import FileFormatError
    from zinc_otter.core.formats.mesh import checked_mesh
    from zinc_otter.core.formats.step import read_step
    from zinc_otter.core.solid.kernel.shape import faces_of, welded

    shape = read_step(path)
    if not faces_of(shape):
        raise FileFormatError("The file holds no faces.")
    return checked_mesh(*welded(shape))


def read_cage_file(
    progress: Progress, path: Path, extension: str, scale: float, cleaning: Cleaning
) -> tuple[Loaded, tuple[Finding, ...]]:
    """Read a cage and set right what can be. Raises FileFormatError, UnsoundCageError."""
    from zinc_otter.core.formats.cages.kinds import read_cleaned

    with bounded_memory("a cage"):
        return read_cleaned(path.read_bytes(), extension, cleaning, scale)


def read_curve_file(progress: Progress, path: Path, extension: str, scale: float) -> list[Drawn]:
    """Read the curves of a file. Raises FileFormatError."""
    from zinc_otter.core.formats.curves import read_curves

    with bounded_memory("curves"):
        return read_curves(path.read_bytes(), extension, scale)


def write_curve_file(progress: Progress, drawn: list[Drawn], kind: Kind, view: View) -> bytes:
    """A file of curves. Raises KernelError."""
    from zinc_otter.core.formats.curves import write_curves

    return write_curves(drawn, kind, view)


@dataclass(frozen=True)
class SolidFile:
    """What a STEP file holds: its extent (mm), volume (mm³), how many solids and faces; and the asset to keep it as."""

    asset: bytes
    size: tuple[float, float, float]
    volume: float
    solids: int
    faces: int


def read_solid_file(progress: Progress, path: Path) -> SolidFile:
    """Look at a STEP file before it is taken in. Raises FileFormatError, CoreError unless it holds closed solids."""
    from zinc_otter.core.errors import FileFormatError
    from zinc_otter.core.formats.step import facts_of, read_step
    from zinc_otter.core.solid.imported import body_of, packed
    from zinc_otter.core.solid.kernel.shape import welded
    from zinc_otter.jobs.kernel_guard import guarded

    def read() -> SolidFile:
        shape = read_step(path)
        facts = facts_of(shape, with_volume=False)
        if not (facts.solids and facts.closed and facts.valid):
            raise FileFormatError("This STEP file holds no closed and valid solid.")
        asset = packed(path.read_bytes(), *welded(shape))
        body = body_of(asset, "imported")
        x, y, z = (float(v) for v in body.size)
        return SolidFile(asset, (x, y, z), body.volume, facts.solids, facts.faces)

    with bounded_memory("a solid"):
        return guarded("Reading the STEP file", 60.0, read)
