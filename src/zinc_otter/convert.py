"""From file to file, by their endings: cages, archives of designs, surfaces and solids; without the interface."""

from __future__ import annotations

import json
import tempfile
from collections.abc import Callable, Sequence
from dataclasses import dataclass, field
from datetime import datetime
from pathlib import Path

from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.formats.cages import lost, write_cage
from zinc_otter.core.formats.cages.cleaning import Cleaning
from zinc_otter.core.formats.cages.kinds import WRITTEN, read_cleaned
from zinc_otter.core.formats.mesh import UNITS
from zinc_otter.core.formats.step_text import Heading, headed
from zinc_otter.core.formats.surfaces import KINDS, Appearance, write_surface
from zinc_otter.core.remark import Remark
from zinc_otter.core.solid.certificate import Certificate, read_certificate
from zinc_otter.core.solid.gate import judged, judged_apart, refuse_unsound
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
    ``anyway``: a body that is incomplete or not sound is written as far as it goes.
    """

    piece: str | None = None
    unit: str = "mm"
    cleaning: Cleaning = field(default_factory=Cleaning)
    surface: bool = False
    chord: float = 0.05
    degrees: float = 180.0
    anyway: bool = False


def convert(source: Path, target: Path, wishes: Wishes) -> tuple[str, ...]:
    """Write ``target`` from ``source``; returns sentences on what was set right on the way and what is lost.

    Raises FileFormatError, CoreError where no solid can be made of it, UnsoundBodyError, OSError; then nothing is written.
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
        return lambda recipe: _solid(recipe, wishes)
    if kind in WRITTEN and not (wishes.surface and kind in KINDS):
        return lambda recipe: (write_cage(recipe.cage, kind, recipe.name), ())
    if kind in KINDS:

        def surface(recipe: Recipe) -> Written:
            triangles, notes = triangles_of(recipe, wishes.chord, wishes.degrees)
            apart = len(recipe.apart)
            said = (
                judged_apart(triangles.points, triangles.triangles, apart, notes)
                if apart
                else judged(triangles.points, triangles.triangles, notes)
            )
            return write_surface(kind, triangles, Appearance(recipe.name)), _told(said.faults, said.warnings, wishes)

        return surface
    known = ", ".join(sorted({*WRITTEN, *KINDS, "step"}))
    raise FileFormatError(f"{target.name} has no ending that can be written; there are {known}.")


def _solid(recipe: Recipe, wishes: Wishes) -> Written:
    step, certificate = solid_of(recipe)
    return step, _told(certificate.faults, certificate.warnings, wishes)


def solid_of(recipe: Recipe) -> tuple[bytes, Certificate]:
    """The STEP file of a recipe, and its certificate. Raises CoreError where no solid can be made of it."""
    with tempfile.TemporaryDirectory(prefix="zinc-otter-convert-") as holder:
        folder = Path(holder)
        make_solid(lambda _, __: None, recipe, folder)
        certificate = read_certificate(json.loads((folder / CERTIFICATE).read_text("utf-8")))
        about = tuple(fault.words for fault in certificate.faults)
        stamp = datetime.now().isoformat(timespec="seconds")
        step = headed((folder / STEP).read_bytes(), Heading(recipe.name, about, stamp), recipe.name)
        return step, certificate


def _told(faults: Sequence[Remark], warnings: Sequence[Remark], wishes: Wishes) -> tuple[str, ...]:
    if not wishes.anyway:
        refuse_unsound(faults)
    return tuple(remark.words for remark in (*faults, *warnings))


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
