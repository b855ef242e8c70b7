"""From file to file, by their endings: cages, archives of designs, surfaces and solids; without the interface."""

from __future__ import annotations

import json
import tempfile
from collections.abc import Callable
from dataclasses import dataclass, field
from pathlib import Path

from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.formats.cages import lost, write_cage
from zinc_otter.core.formats.cages.cleaning import Cleaning
from zinc_otter.core.formats.cages.kinds import WRITTEN, read_cleaned
from zinc_otter.core.formats.mesh import UNITS
from zinc_otter.core.formats.surfaces import KINDS, Look, write_surface
from zinc_otter.core.solid.certificate import read_certificate
from zinc_otter.core.solid.mesh.route import triangles_of
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.jobs.solid_work import CERTIFICATE, STEP, make_solid
from zinc_otter.store.archive import read_archive
from zinc_otter.studio.followers import recipe_of

ARCHIVE = "otter"
SOLID = ("step", "stp")


@dataclass(frozen=True)
class Wishes:
    """``piece``: the name of a piece of an archive, needed where it has several; ``unit``: of files that name none;
    ``surface``: OBJ and PLY as triangles of the finished body in place of the cage, within ``chord`` mm and ``degrees``.
    """

    piece: str | None = None
    unit: str = "mm"
    cleaning: Cleaning = field(default_factory=Cleaning)
    surface: bool = False
    chord: float = 0.05
    degrees: float = 180.0


def convert(source: Path, target: Path, wishes: Wishes) -> tuple[str, ...]:
    """Write ``target`` from ``source``; returns sentences on what was set right on the way and what is lost.

    Raises FileFormatError, CoreError where no solid can be made of it, OSError.
    """
    write, kind = _writer(target, wishes), _ending(target)
    recipe, remarks = _read(source, wishes)
    data, more = write(recipe)
    target.write_bytes(data)
    if kind in WRITTEN and not wishes.surface:
        missing = lost(recipe.cage, kind)
        if missing:
            more = (*more, f"{kind} files hold no {' and no '.join(missing)}.")
        if any(follower.on for follower in recipe.followers):
            more = (*more, "The cage alone was written, without what its followers make of it.")
    return (*remarks, *more)


Written = tuple[bytes, tuple[str, ...]]


def _writer(target: Path, wishes: Wishes) -> Callable[[Recipe], Written]:
    kind = _ending(target)
    if kind in SOLID:
        return _solid
    if kind in WRITTEN and not (wishes.surface and kind in KINDS):
        return lambda recipe: (write_cage(recipe.cage, kind, recipe.name), ())
    if kind in KINDS:

        def surface(recipe: Recipe) -> Written:
            triangles = triangles_of(recipe, wishes.chord, wishes.degrees)
            return write_surface(kind, triangles, Look(recipe.name)), ()

        return surface
    known = ", ".join(sorted({*WRITTEN, *KINDS, "step"}))
    raise FileFormatError(f"{target.name} has no ending that can be written; there are {known}.")


def _solid(recipe: Recipe) -> Written:
    with tempfile.TemporaryDirectory(prefix="zinc-otter-convert-") as holder:
        folder = Path(holder)
        make_solid(lambda _, __: None, recipe, folder)
        certificate = read_certificate(json.loads((folder / CERTIFICATE).read_text("utf-8")))
        return (folder / STEP).read_bytes(), certificate.warnings


def _read(source: Path, wishes: Wishes) -> tuple[Recipe, tuple[str, ...]]:
    data = source.read_bytes()
    if _ending(source) == ARCHIVE:
        return _of_archive(data, wishes.piece), ()
    loaded, findings = read_cleaned(data, _ending(source), wishes.cleaning, UNITS[wishes.unit])
    return Recipe(source.stem, loaded.cage), (*loaded.remarks, *(finding.words for finding in findings))


def _of_archive(data: bytes, name: str | None) -> Recipe:
    archive = read_archive(data)
    pieces = archive.design.pieces
    named = [piece.id for piece in pieces if name is None or piece.name == name]
    if len(named) != 1:
        there = ", ".join(piece.name for piece in pieces) or "none"
        raise FileFormatError(f"Say which piece of the archive is meant; there are: {there}.")
    kept = {asset.hash: asset.data for asset in archive.assets}
    return recipe_of(archive.design, named[0], kept.__getitem__)


def _ending(path: Path) -> str:
    return path.suffix.lower().lstrip(".")
