"""A body by triangles as fine as asked: made once, then counted, certified and written. Runs in a worker process."""

from __future__ import annotations

import hashlib
import json
from collections.abc import Callable
from dataclasses import asdict, dataclass, replace
from pathlib import Path
from typing import TYPE_CHECKING

import numpy as np

from zinc_otter.core.progress import Progress
from zinc_otter.core.solid.recipe import Note, Recipe
from zinc_otter.jobs.solid_work import BY_TRIANGLES, put, thinnest_wall, told, vec

if TYPE_CHECKING:
    from zinc_otter.core.formats.surfaces import Appearance
    from zinc_otter.core.solid.gate import Judged
    from zinc_otter.core.solid.tessellation import Triangles


@dataclass(frozen=True)
class Fineness:
    """How fine a body is asked for: ``chord`` mm and ``degrees``, and the folder under which its triangles are kept."""

    chord: float
    degrees: float
    folder: Path

    def name(self, recipe: Recipe) -> str:
        """The file's name within the folder."""
        # The number goes up whenever what is kept changes.
        asked = f"2 {recipe.digest} {self.chord!r} {self.degrees!r}"
        return f"triangles/{hashlib.sha256(asked.encode()).hexdigest()[:32]}.npz"

    def path(self, recipe: Recipe) -> Path:
        return self.folder / self.name(recipe)

    def counted(self, recipe: Recipe) -> tuple[int, float, float] | None:
        """The count of triangles, the chord (mm) and the turn (degrees), where they were made before."""
        try:
            with np.load(self.path(recipe), allow_pickle=False) as kept:
                count, chord, turn = kept["counted"]
        except FileNotFoundError:
            return None
        return int(count), float(chord), float(turn)

    def kept(self, recipe: Recipe) -> MadeBody | None:
        """The triangles and what is said of them, where they were made before."""
        from zinc_otter.core.solid.gate import Judged
        from zinc_otter.core.solid.tessellation import Triangles

        try:
            with np.load(self.path(recipe), allow_pickle=False) as kept:
                _, chord, turn = (float(x) for x in kept["counted"])
                said = json.loads(str(kept["words"]))
                notes = tuple(Note.read(note) for note in said["notes"])
                return Triangles(kept["points"], kept["triangles"], chord, turn), notes, Judged.read(said["judged"])
        except FileNotFoundError:
            return None


def count_triangles(progress: Progress, recipe: Recipe, fineness: Fineness) -> None:
    """Make and keep the triangles of a recipe's body. Raises CoreError, OSError."""
    _, _, judged = made_body(recipe, fineness, progress)
    progress(1.0, told(judged.faults))


def certify_body(progress: Progress, recipe: Recipe, fineness: Fineness, folder: Path) -> None:
    """Write the certificate of a recipe's body by triangles into ``folder``: where the kernel makes none, or to print.

    Raises BadNumberError, OpenCageError, OSError.
    """
    from zinc_otter.core.solid.certificate import Finished, Measured, certify_triangles
    from zinc_otter.core.solid.mesh.body import mesh_body
    from zinc_otter.core.solid.moments import moments

    triangles, notes, judged = made_body(recipe, fineness, lambda part, words: progress(0.7 * part, words))
    progress(0.7, f"Measuring {len(triangles.triangles):,} triangles")
    body = mesh_body(triangles.points, triangles.triangles, "body")
    measures = moments(triangles.points, triangles.triangles)
    thinnest, at = thinnest_wall(triangles.points, triangles.triangles)
    called = {follower.id: follower.called for follower in recipe.followers}
    followers = tuple((n.follower, called[n.follower], n.status, n.words) for n in notes)
    count = len(triangles.triangles)
    measured = Measured(
        count, triangles.chord, measures.volume, vec(measures.centre), judged.crossings, thinnest, at, 0.0, followers
    )
    finished = Finished(measures.volume, measures.area, vec(body.size), count)
    solids = sum(part.volume() > 0 for part in body.solid.decompose())
    certificate = certify_triangles(finished, solids, triangles.chord, measured, judged)
    folder.mkdir(parents=True, exist_ok=True)
    put(folder / BY_TRIANGLES, lambda path: path.write_text(json.dumps(asdict(certificate)), "utf-8"))
    progress(1.0, told(certificate.faults))


def write_file(
    progress: Progress,
    recipe: Recipe,
    kind: str,
    fineness: Fineness,
    appearance: Appearance,
    path: Path,
    anyway: bool = False,
    larger: float = 0.0,
) -> None:
    """Write the body of a recipe as a file of triangles; one that is not sound only if it is asked for ``anyway``.

    It is ``larger`` by so many per cent, for what shrinks when it is cast.

    Raises UnsoundBodyError, CoreError, OSError.
    """
    from zinc_otter.core.formats.surfaces import write_surface
    from zinc_otter.core.solid.gate import refuse_unsound

    progress(0.05, "Making triangles")
    triangles, _, judged = made_body(recipe, fineness, lambda part, words: progress(0.05 + 0.8 * part, words))
    if not anyway:
        refuse_unsound(judged.faults)
    progress(0.85, f"Writing {len(triangles.triangles):,} triangles")
    data = write_surface(kind, grown_by(triangles, larger), appearance)
    path.parent.mkdir(parents=True, exist_ok=True)
    put(path, lambda fresh: fresh.write_bytes(data))
    progress(1.0, told(judged.faults))


def grown_by(triangles: Triangles, per_cent: float) -> Triangles:
    """The triangles about the origin, so much larger."""
    factor = 1 + per_cent / 100
    if per_cent == 0:
        return triangles
    return replace(triangles, points=triangles.points * factor, chord=triangles.chord * factor)


MadeBody = tuple["Triangles", tuple[Note, ...], "Judged"]


def made_body(
    recipe: Recipe, fineness: Fineness, progress: Callable[[float, str], None] = lambda _, __: None
) -> MadeBody:
    """The triangles, what became of the followers, and what the gate says of them; kept ones, if they were made before."""
    from zinc_otter.core.solid.gate import judged, judged_apart
    from zinc_otter.core.solid.mesh.route import triangles_of

    found = fineness.kept(recipe)
    if found is not None:
        return found
    path = fineness.path(recipe)
    made, notes = triangles_of(recipe, fineness.chord, fineness.degrees, progress)
    progress(1.0, f"Looking {len(made.triangles):,} triangles over")
    said = (
        judged_apart(made.points, made.triangles, len(recipe.apart), notes)
        if recipe.apart
        else judged(made.points, made.triangles, notes)
    )
    counted = (len(made.triangles), made.chord, made.turn)
    path.parent.mkdir(parents=True, exist_ok=True)
    words = json.dumps({"notes": [asdict(note) for note in notes], "judged": asdict(said)})

    def write(fresh: Path) -> None:
        with fresh.open("wb") as file:
            np.savez(file, points=made.points, triangles=made.triangles, counted=counted, words=np.array(words))

    put(path, write)
    return made, notes, said
