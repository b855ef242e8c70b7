"""A recipe made on triangles: at once for the eye, finely for print and as the measure for the kernel's result."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import NOWHERE, CoreError, UncheckedError
from zinc_otter.core.proof.rays import Rays
from zinc_otter.core.relief.relief import with_all_relief
from zinc_otter.core.solid.followers.base import PIECE, Follower, Measured, OnMesh, WaitsError
from zinc_otter.core.solid.imported import body_of
from zinc_otter.core.solid.mesh.body import MeshBody, mesh_body
from zinc_otter.core.solid.recipe import Note, Recipe, as_solid, in_order
from zinc_otter.core.solid.tessellation import Triangles, split_quads, tessellate
from zinc_otter.core.surface.evaluation import evaluate
from zinc_otter.core.surface.stencils import Stencils, build_stencils

Step = tuple[str, int, int, float]
"""What the body after one follower depends on: the digest of the recipe as far as it, and how fine it is made."""

Keeping = Callable[[Step, Callable[[], MeshBody]], MeshBody]
"""Gives the body of a step, which it may have from before, or else makes it."""


@dataclass(frozen=True, eq=False)
class Done:
    """One follower that was done, with what it measured of the body settled; the volume (mm³) before it and after."""

    follower: Follower
    before: float
    after: float


@dataclass(frozen=True, eq=False)
class Made:
    """The body, what became of each follower, and those that were done, by id."""

    body: MeshBody
    notes: tuple[Note, ...]
    done: Mapping[str, Done]


def made_of_triangles(
    recipe: Recipe,
    most_quads: int = 16_000,
    budget: int = 60_000,
    chord: float = np.inf,
    stencils: Callable[[Cage, int], Stencils] = build_stencils,
    progress: Callable[[float, str], None] = lambda _, __: None,
    kept: Keeping = lambda _, make: make(),
) -> Made:
    """The body of a recipe. A follower that cannot be done is passed over, and its note says why.

    ``most_quads`` bounds the fineness of each cage's surface, ``budget`` about the triangles of each offset or blend; exact
    bodies keep within ``chord`` mm, and 1/2000 of the form's size. ``kept`` is asked for what each step gave before it is
    made. Raises OpenCageError where no solid is to begin from.
    """
    cage, followers, notes = as_solid(recipe)
    points, triangles, _ = surface_triangles(cage, most_quads, stencils)
    body = mesh_body(points, triangles, PIECE)

    def other(piece: str) -> MeshBody:
        if piece not in recipe.others:
            raise WaitsError("The other piece is gone.")
        return made_of_triangles(recipe.others[piece], most_quads, budget, chord, stencils, kept=kept).body

    def solid(asset: str) -> MeshBody:
        if asset not in recipe.solids:
            raise WaitsError("The imported solid is not at hand.")
        return body_of(recipe.solids[asset], PIECE)

    chords = min(chord, float(body.size.max()) * 5e-4)
    at = OnMesh(chords, budget, other, solid, recipe.sheet, lambda cage: surface_triangles(cage, most_quads, stencils))
    done: dict[str, Done] = {}
    for i, follower in enumerate(followers):
        progress(i / len(followers), f"{follower.called} on triangles")
        before = body
        try:
            settled = follower.measured(Measured(lambda: before.size, lambda: _rays(before), recipe.stones_of))  # noqa: B023
            so_far = recipe.first(recipe.followers.index(follower) + 1)
            body = kept((so_far.digest, most_quads, budget, chord), lambda: _worked(settled, before, at))  # noqa: B023
        except WaitsError as error:
            notes.append(Note(follower.id, "waits", str(error)))
        except CoreError as error:
            unchecked = isinstance(error, UncheckedError)
            notes.append(Note(follower.id, "failed", sentence(follower, error), error.place, unchecked))
        else:
            said = settled.judged(body)
            words = _without_effect(settled, before, body) if said is None else said.words
            notes.append(Note(follower.id, "done", words, NOWHERE if said is None else said.place))
            done[follower.id] = Done(settled, before.volume, body.volume)
    return Made(body, in_order(recipe, notes), done)


def _rays(body: MeshBody) -> Rays:
    return Rays(body.mesh.points, body.mesh.triangles)


def _without_effect(follower: Follower, before: MeshBody, after: MeshBody) -> str:
    if follower.scale != 1.0 or after.solid.num_tri() != before.solid.num_tri() or after.volume != before.volume:
        return ""
    return f"{follower.called} changes nothing: it does not reach the body."


def _worked(follower: Follower, before: MeshBody, at: OnMesh) -> MeshBody:
    made = follower.on_mesh(before, at)
    # What manifold3d puts off until it is asked for is done now, by whoever makes the body, for all that are given it.
    made.solid.num_tri()
    return made


def triangles_of(
    recipe: Recipe,
    chord: float,
    degrees: float = 180.0,
    progress: Callable[[float, str], None] = lambda _, __: None,
) -> tuple[Triangles, tuple[Note, ...]]:
    """The finished body as triangles: the cage's surface within ``chord`` mm and ``degrees``, the rest to match.

    And what became of its followers: one that could not be done is passed over. Bodies that are kept apart follow one
    another, each with as many triangles.
    """
    if recipe.apart:
        alone, notes = triangles_of(recipe.one, chord, degrees, progress)
        points, triangles = at_places(alone.points, alone.triangles, recipe.places)
        return Triangles(points, triangles, alone.chord, alone.turn), (*notes, Note(recipe.followers[-1].id, "done"))
    cage, _, _ = as_solid(recipe)
    finest = tessellate(cage, chord, degrees)
    made = made_of_triangles(recipe, max(2_000, len(finest.triangles) // 2), 200_000, chord, progress=progress)
    return Triangles(made.body.mesh.points, made.body.mesh.triangles, finest.chord, finest.turn), made.notes


def at_places(points: Floats, triangles: Ints, places: Floats) -> tuple[Floats, Ints]:
    """Images of triangles (m, 3) over points (n, 3) under motions (k, 4, 4), one behind another, outside out."""
    images = np.einsum("kij,nj->kni", places[:, :3, :3], points) + places[:, None, :3, 3]
    turned = np.linalg.det(places[:, :3, :3]) < 0
    first = (np.arange(len(places)) * len(points))[:, None, None]
    corners = np.where(turned[:, None, None], triangles[:, ::-1], triangles) + first
    return images.reshape(-1, 3), corners.reshape(-1, 3)


_ALL_RELIEF = 10_000
"""Quads from which a body is made to be looked at, not while something is being dragged."""


def surface_triangles(
    cage: Cage, most_quads: int, stencils: Callable[[Cage, int], Stencils] = build_stencils
) -> tuple[Floats, Ints, Ints]:
    """Points, triangles, and the cage's face under each, of the limit surface.

    At the finest level (1 to 5) with up to ``most_quads`` quads; unless these are few, with all of its relief.
    """
    corners = int(cage.topology.face_sizes.sum())
    level = max(n for n in range(1, 6) if n == 1 or corners * 4 ** (n - 1) <= most_quads)
    if most_quads >= _ALL_RELIEF:
        level = with_all_relief(cage.relief, level)
    made = stencils(cage, level)
    points = evaluate(made, cage).points
    return points, split_quads(points, made.quads), np.repeat(made.face_of_quad, 2)


def sentence(follower: Follower, error: CoreError) -> str:
    """What is wrong, beginning with the follower that it is about."""
    words = str(error)
    return words if words.startswith(follower.called) else f"{follower.called}: {words}"
