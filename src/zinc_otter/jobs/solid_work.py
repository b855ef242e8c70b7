"""The work of making a solid: on triangles, in the kernel, certify, write. Runs in a worker process."""

from __future__ import annotations

import json
import os
import pickle
import time
from collections.abc import Callable, Sequence
from dataclasses import asdict, replace
from pathlib import Path
from typing import TYPE_CHECKING, Any

import numpy as np

from zinc_otter.core.progress import Progress
from zinc_otter.core.solid.recipe import Recipe

if TYPE_CHECKING:
    from zinc_otter.core.remark import Remark
    from zinc_otter.core.solid.gate import Judged
    from zinc_otter.core.solid.kernel.route import KernelMade
    from zinc_otter.core.solid.mesh.route import Made

# What an earlier version kept says less of itself, and is made anew: the number goes up whenever what is kept changes.
CERTIFICATE, STEP, SHOWN, BY_TRIANGLES, SHAPE = (
    "certificate-2.json", "solid-2.step", "shown-2.npz", "triangles-2.json", "shape-2.bin"
)  # fmt: skip

Colour = tuple[float, float, float]


def make_solid(progress: Progress, recipe: Recipe, folder: Path, colour: Colour | None = None) -> None:
    """Write the STEP file, triangles to be shown, and the certificate of a recipe into ``folder``, the certificate last.

    Raises OpenCageError, KernelError naming the step that did not hold, OSError.
    """
    from zinc_otter.core.formats.step import write_step
    from zinc_otter.core.formats.step_text import NAME
    from zinc_otter.core.solid.certificate import certify, relief_words
    from zinc_otter.core.solid.kernel.route import made_apart

    relief, recipe = relief_words(recipe), recipe.plain
    by_mesh, made = _both_routes(recipe.one, progress)
    folder.mkdir(parents=True, exist_ok=True)
    progress(0.8, "Measuring how true it is")
    solids, shown, finished, measured, judged = _measured(recipe, by_mesh, made)
    made = made_apart(made, recipe.places) if recipe.apart else made
    certificate = certify(made.patches, True, solids, measured, finished if recipe.followers else None, judged, relief)
    progress(0.9, "Writing STEP")
    # Under a name that stands for the piece's own, which may change while the solid does not.
    put(folder / STEP, lambda path: write_step(made.body.shape, path, NAME, colour))
    put(folder / SHAPE, lambda path: path.write_bytes(pickle.dumps(made.body)))
    put(folder / SHOWN, lambda path: _save(path, shown, finished))
    put(folder / CERTIFICATE, lambda path: path.write_text(json.dumps(asdict(certificate)), "utf-8"))
    progress(1.0, told(certificate.faults))


def larger_step(folder: Path, per_cent: float, colour: Colour | None) -> bytes:
    """The STEP file of a solid that was made, so much larger about the origin."""
    import tempfile

    from zinc_otter.core.formats.step import write_step
    from zinc_otter.core.formats.step_text import NAME

    body = pickle.loads((folder / SHAPE).read_bytes())
    scaled = body.moved(np.diag([1 + per_cent / 100] * 3 + [1.0]))
    with tempfile.TemporaryDirectory(prefix="zinc-otter-step-") as fresh:
        path = Path(fresh) / STEP
        write_step(scaled.shape, path, NAME, colour)
        return path.read_bytes()


def told(faults: Sequence[Remark]) -> str:
    """The last words of a job that made a body: what is the matter comes first."""
    return " ".join(fault.words for fault in faults) or "Done"


def find_fillet(
    progress: Progress,
    recipe: Recipe,
    up_to: str | None,
    between: tuple[str, str],
    wished: float,
    near: tuple[float, float, float] | None,
    seconds: float,
    budget: float,
    path: Path,
) -> None:
    """Write the largest radius that holds on edges of a recipe's body, before the follower ``up_to``, as JSON.

    With ``near``, on that chain of them alone which comes nearest to the point.

    Raises KernelError where there are no such edges, and what making the body raises.
    """
    from zinc_otter.core.solid.kernel.finder import Budget, find_radius
    from zinc_otter.jobs.kernel_guard import guarded

    recipe = recipe.plain
    kept = recipe if up_to is None else recipe.first([f.id for f in recipe.followers].index(up_to))
    _, made = _both_routes(kept, lambda part, words: progress(0.3 * part, words))
    names = (min(between), max(between))
    found = find_radius(
        kept, made.body, names, wished, Budget(seconds, budget), lambda part, words: progress(0.3 + 0.7 * part, words), near,
        time.monotonic, within=guarded,
    )  # fmt: skip
    path.parent.mkdir(parents=True, exist_ok=True)
    put(path, lambda fresh: fresh.write_text(json.dumps(asdict(found)), "utf-8"))
    progress(1.0, "Done")


def _both_routes(recipe: Recipe, progress: Progress) -> tuple[Made, KernelMade]:
    from zinc_otter.core.formats.step import read_step_bytes
    from zinc_otter.core.solid.kernel.route import made_in_kernel
    from zinc_otter.core.solid.mesh.route import made_of_triangles
    from zinc_otter.jobs.kernel_guard import guarded

    progress(0.02, "Making it of triangles")
    by_mesh = made_of_triangles(recipe, progress=lambda part, words: progress(0.02 + 0.2 * part, words))
    made = made_in_kernel(
        recipe,
        by_mesh,
        progress=lambda part, words: progress(0.22 + 0.58 * part, words),
        imported=read_step_bytes,
        within=guarded,
    )
    return by_mesh, made


def _measured(recipe: Recipe, by_mesh: Made, made: KernelMade) -> tuple[int, Any, Any, Any, Judged]:
    """Count of solids, triangles to be shown, the measures of a certificate, and what the gate says."""
    from zinc_otter.core.solid.certificate import Finished, Measured
    from zinc_otter.core.solid.gate import judged, judged_apart
    from zinc_otter.core.solid.kernel.route import made_apart
    from zinc_otter.core.solid.kernel.shape import joined_triangles, largest_tolerance, reach_of, solids_of, triangulated
    from zinc_otter.core.solid.mesh.route import at_places

    bodies = max(len(recipe.apart), 1)
    chord = reach_of(made.body) * 3e-4
    shown = triangulated(made.body, chord)
    found = judged(*joined_triangles(made.body, shown), made.notes)
    if found.crossings:
        # Triangles of neighbours may cross by less than they keep from their faces; looked at again, more finely.
        finer = triangulated(made.body, chord / 8)
        found = judged(*joined_triangles(made.body, finer), made.notes)
    if recipe.apart:
        images = at_places(*joined_triangles(made.body, shown), recipe.places)
        apart = judged_apart(*images, bodies)
        found = replace(found, warnings=(*found.warnings, *apart.warnings))
        made = made_apart(made, recipe.places)
        shown = triangulated(made.body, chord)
    thinnest, at = thinnest_wall(shown.points, shown.triangles)
    called = {follower.id: follower.called for follower in recipe.followers}
    x, y, z = (float(v) for v in np.ptp(shown.points, axis=0))
    measured = Measured(
        triangle_count=len(shown.triangles),
        chord=chord,
        mesh_volume=bodies * by_mesh.body.volume,
        centre=vec(shown.moments.centre),
        crossings=found.crossings,
        thinnest=thinnest,
        thinnest_at=at,
        tolerance=largest_tolerance(made.body),
        followers=tuple((n.follower, called[n.follower], n.status, n.words) for n in made.notes),
    )
    finished = Finished(made.volume, shown.moments.area, (x, y, z), len(made.body.names))
    return len(solids_of(made.body.shape)), shown, finished, measured, found


def thinnest_wall(points: Any, triangles: Any) -> tuple[float, tuple[float, float, float]]:
    """The least wall in mm of all sampled places, and where; of a body without two sides that face one another its size."""
    from zinc_otter.core.proof.walls import wall_at

    walls, at = wall_at(points, triangles)
    if not len(walls):
        return float(np.ptp(points, axis=0).max()), vec(np.mean(points, axis=0))
    thin = walls.argmin()
    return float(walls[thin]), vec(at[thin])


def vec(values: Any) -> tuple[float, float, float]:
    x, y, z = (float(v) for v in values)
    return x, y, z


def _save(path: Path, shown: Any, finished: Any) -> None:
    with path.open("wb") as file:
        np.savez_compressed(
            file, points=shown.points.astype(np.float32), normals=shown.normals.astype(np.float32),
            triangles=shown.triangles.astype(np.int32), volume=finished.volume, size=finished.size,
        )  # fmt: skip


def put(path: Path, write: Callable[[Path], Any]) -> None:
    """Write a file beside its place and move it there, so that nobody finds half of one."""
    fresh = path.with_name(f"{path.name}.{os.getpid()}")
    try:
        write(fresh)
        fresh.replace(path)
    finally:
        fresh.unlink(missing_ok=True)
