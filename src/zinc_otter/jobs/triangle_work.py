"""A body by triangles as fine as asked: made once, then counted, certified and written. Runs in a worker process."""

from __future__ import annotations

import hashlib
import json
from collections.abc import Callable
from dataclasses import asdict, dataclass
from pathlib import Path
from typing import TYPE_CHECKING

import numpy as np

from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.jobs.solid_work import BY_TRIANGLES, Progress, looked_through, put, vec

if TYPE_CHECKING:
    from zinc_otter.core.formats.surfaces import Look
    from zinc_otter.core.solid.tessellation import Triangles


@dataclass(frozen=True)
class Fineness:
    """How fine a body is asked for: ``chord`` mm and ``degrees``, and the folder where its triangles are kept."""

    chord: float
    degrees: float
    folder: Path

    def path(self, recipe: Recipe) -> Path:
        asked = f"{recipe.digest} {self.chord!r} {self.degrees!r}"
        return self.folder / f"{hashlib.sha256(asked.encode()).hexdigest()[:32]}.npz"

    def counted(self, recipe: Recipe) -> tuple[int, float, float] | None:
        """The count of triangles, the chord (mm) and the turn (degrees), where they were made before."""
        try:
            with np.load(self.path(recipe), allow_pickle=False) as kept:
                count, chord, turn = kept["counted"]
        except FileNotFoundError:
            return None
        return int(count), float(chord), float(turn)

    def kept(self, recipe: Recipe) -> Triangles | None:
        """The triangles, where they were made before."""
        from zinc_otter.core.solid.tessellation import Triangles

        try:
            with np.load(self.path(recipe), allow_pickle=False) as kept:
                _, chord, turn = (float(x) for x in kept["counted"])
                return Triangles(kept["points"], kept["triangles"], chord, turn)
        except FileNotFoundError:
            return None


def count_triangles(progress: Progress, recipe: Recipe, fineness: Fineness) -> None:
    """Make and keep the triangles of a recipe's body. Raises CoreError, OSError."""
    _made(recipe, fineness, progress)
    progress(1.0, "Done")


def certify_body(progress: Progress, recipe: Recipe, fineness: Fineness, folder: Path) -> None:
    """Write the certificate of a recipe's body by triangles into ``folder``: where the kernel makes none, or to print.

    Raises CoreError of a follower that cannot be done, BadNumberError, OpenCageError, OSError.
    """
    from zinc_otter.core.solid.certificate import Finished, Measured, certify_triangles
    from zinc_otter.core.solid.mesh.body import mesh_body
    from zinc_otter.core.solid.moments import moments

    triangles = _made(recipe, fineness, lambda part, words: progress(0.7 * part, words))
    progress(0.7, f"Measuring {len(triangles.triangles):,} triangles")
    body = mesh_body(triangles.points, triangles.triangles, "body")
    measures = moments(triangles.points, triangles.triangles)
    crossings, thinnest, at = looked_through(triangles.points, triangles.triangles)
    followers = tuple((f.id, f.called, "done" if f.on else "off", "") for f in recipe.followers)
    count = len(triangles.triangles)
    measured = Measured(
        count, triangles.chord, measures.volume, vec(measures.centre), crossings, thinnest, at, 0.0, followers
    )
    finished = Finished(measures.volume, measures.area, vec(body.size), count)
    solids = sum(part.volume() > 0 for part in body.solid.decompose())
    certificate = certify_triangles(finished, solids, triangles.chord, measured)
    folder.mkdir(parents=True, exist_ok=True)
    put(folder / BY_TRIANGLES, lambda path: path.write_text(json.dumps(asdict(certificate)), "utf-8"))
    progress(1.0, "Done")


def write_file(
    progress: Progress, recipe: Recipe, kind: str, fineness: Fineness, look: Look, path: Path
) -> None:
    """Write the body of a recipe as a file of triangles. Raises CoreError, OSError."""
    from zinc_otter.core.formats.surfaces import write_surface

    progress(0.05, "Making triangles")
    triangles = _made(recipe, fineness, lambda part, words: progress(0.05 + 0.8 * part, words))
    progress(0.85, f"Writing {len(triangles.triangles):,} triangles")
    data = write_surface(kind, triangles, look)
    path.parent.mkdir(parents=True, exist_ok=True)
    put(path, lambda fresh: fresh.write_bytes(data))
    progress(1.0, "Done")


KEPT = 12


def _made(recipe: Recipe, fineness: Fineness, progress: Callable[[float, str], None]) -> Triangles:
    """The triangles, from where they are kept if they were made before; of all that are kept only the latest stay."""
    from zinc_otter.core.solid.mesh.route import triangles_of

    found = fineness.kept(recipe)
    if found is not None:
        return found
    path = fineness.path(recipe)
    made = triangles_of(recipe, fineness.chord, fineness.degrees, progress)
    counted = (len(made.triangles), made.chord, made.turn)
    path.parent.mkdir(parents=True, exist_ok=True)

    def write(fresh: Path) -> None:
        with fresh.open("wb") as file:
            np.savez(file, points=made.points, triangles=made.triangles, counted=counted)

    put(path, write)
    for old in sorted(path.parent.glob("*.npz"), key=lambda one: one.stat().st_mtime, reverse=True)[KEPT:]:
        old.unlink(missing_ok=True)
    return made
