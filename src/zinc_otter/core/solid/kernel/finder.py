"""The largest radius to which edges can be rounded: tried just as it would be applied, within a budget of time."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace

import numpy as np
from OCP.TopoDS import TopoDS_Edge

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.errors import CoreError, KernelError
from zinc_otter.core.solid.followers.base import OnKernel
from zinc_otter.core.solid.followers.rounding import Fillet
from zinc_otter.core.solid.kernel.check import near_volume
from zinc_otter.core.solid.kernel.limits import Limited, unlimited
from zinc_otter.core.solid.kernel.operations import contours, nearest_contour
from zinc_otter.core.solid.kernel.route import KernelStep
from zinc_otter.core.solid.kernel.shape import (
    NamedShape,
    edges_between,
    look_along,
    points_on,
    reach_of,
    sharp_edges,
    sides_of,
)
from zinc_otter.core.solid.mesh.body import MeshBody, Name
from zinc_otter.core.solid.mesh.route import Keeping, Step, made_of_triangles
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.core.words import fine_length_words

WITHIN = 0.02
"""How near the found radius comes to the largest that holds, as a share of it."""
MARGIN = 0.97
"""A radius counts only if this share of it holds as well: the kernel now and then does a larger one and not a smaller."""
SMALLEST = 5e-4
"""Of the body's extent: below it no radius is looked for."""
FINDING = "finding"


@dataclass(frozen=True)
class Try:
    """One try: the radius in mm, and why it failed, or None."""

    radius: float
    failure: str | None


@dataclass(frozen=True)
class FoundEdge:
    """One chain of edges: ``holds`` is the largest radius found for it alone, mm (0: none), ``line`` points on it (k, 3).

    Where the wish does not hold, ``breaks_at`` is the point of the chain with the least room, ``bend`` that room in mm, and
    ``reason`` what it is: the radius of curvature of a face beside it, or the way to another sharp edge.
    """

    holds: float
    line: tuple[Vec, ...]
    tries: tuple[Try, ...]
    breaks_at: Vec | None
    bend: float | None
    reason: str = ""


@dataclass(frozen=True)
class Found:
    """``radius`` holds on all chains together; 0 where none does.

    ``by_triangles``: the largest radius tried that holds on the mesh route, for files of triangles (0: none). ``ended``:
    "found", or "time" where the budget ran out with the best so far.
    """

    wished: float
    radius: float
    chains: tuple[FoundEdge, ...]
    tries: tuple[Try, ...]
    by_triangles: float = 0.0
    ended: str = "found"


@dataclass(frozen=True)
class Budget:
    """``seconds`` for one try in the kernel, and in all."""

    one: float = 20.0
    all: float = 90.0


def find_radius(
    recipe: Recipe,
    body: NamedShape,
    names: tuple[Name, Name],
    wished: float,
    budget: Budget = Budget(),
    progress: Callable[[float, str], None] = lambda _, __: None,
    near: Vec | None = None,
    clock: Callable[[], float] = lambda: 0.0,
    *,
    within: Limited = unlimited,
) -> Found:
    """The largest radius up to ``wished`` mm to which the edges between two names can be rounded, within 2 %.

    ``body`` is what the kernel makes of the ``recipe``. With ``near``, only the chain of edges that comes nearest to that
    point. A radius holds when a fillet of it would be taken: on the mesh route, and in the kernel, ``within`` the budget of
    one, with its volume held against the other's. ``clock`` gives seconds that only go forwards; without one the budget
    has no end. Raises KernelError where there are no such edges.
    """
    edges = edges_between(body, names)
    if not edges:
        raise KernelError("There are no such edges on the solid.")
    if near is not None:
        edges = nearest_contour(body, edges, near)
    search = _Search(recipe, body, names, budget, progress, clock, within)
    chains = contours(body, edges)
    together = search.largest(near, wished, search.guess(edges, wished))
    if together.best >= wished:
        found = [FoundEdge(wished, _line(chain), together.tries, None, None) for chain in chains]
        return Found(wished, wished, tuple(found), together.tries, search.by_triangles)
    found = []
    for chain in chains:
        line = _line(chain)
        alone = together
        if len(chains) > 1:
            # How much more each takes alone is worth knowing.
            alone = search.largest(line[len(line) // 2], wished, max(together.best, search.guess(chain, wished)))
        where = _tightest(body, chain) if alone.best < wished else (None, None, "")
        found.append(FoundEdge(alone.best, line, alone.tries, *where))
    ended = "time" if search.over else "found"
    return Found(wished, together.best, tuple(found), together.tries, search.by_triangles, ended)


@dataclass(frozen=True)
class _Largest:
    best: float
    tries: tuple[Try, ...]


class _Search:
    def __init__(
        self,
        recipe: Recipe,
        body: NamedShape,
        names: tuple[Name, Name],
        budget: Budget,
        progress: Callable[[float, str], None],
        clock: Callable[[], float],
        within: Limited,
    ) -> None:
        self._recipe, self._body, self._names = recipe, body, names
        self._budget, self._progress, self._clock, self._within = budget, progress, clock, within
        self._begun = clock()
        self._volume = near_volume(body)
        self._kept: dict[Step, MeshBody] = {}
        self._smallest = SMALLEST * reach_of(body)
        self.by_triangles = 0.0
        self.over = False

    def guess(self, edges: Sequence[TopoDS_Edge], wished: float) -> float:
        """Where to begin: by the room that there is beside the edges."""
        _, room, _ = _tightest(self._body, list(edges))
        return float(np.clip(room, self._smallest, wished))

    def largest(self, near: Vec | None, wished: float, guess: float) -> _Largest:
        """The largest radius that holds, by tries: the wish, a guess, then between what holds and what does not."""
        tries: list[Try] = []

        def holds(radius: float) -> bool:
            tries.append(self._tried(near, radius))
            return tries[-1].failure is None

        low, high = 0.0, wished
        if holds(wished):
            return _Largest(wished, tuple(tries))
        radius = _short(0.9 * guess) if guess < wished else _short(wished / 2)
        while not self._late():
            if holds(radius):
                low = radius
            else:
                high = min(radius, high)
            between = _short(np.sqrt(low * high) if low > 0 else high / 2)
            if low > 0 and (high - low <= WITHIN * high or not low < between < high):
                if holds(_short(MARGIN * low)) or self._late():
                    break
                # A radius that holds though a smaller one does not is no answer.
                low, high = 0.0, _short(MARGIN * low)
                between = _short(high / 2)
            elif high < self._smallest:
                break
            radius = between
        return _Largest(low, tuple(tries))

    def _late(self) -> bool:
        self.over = self._clock() - self._begun > self._budget.all
        return self.over

    def _tried(self, near: Vec | None, radius: float) -> Try:
        spent = (self._clock() - self._begun) / self._budget.all
        self._progress(min(1.0, spent), f"Trying a radius of {fine_length_words(radius)}")
        fillet = Fillet(FINDING, between=self._names, near=near, radius=radius)
        recipe = replace(self._recipe, followers=(*self._recipe.followers, fillet))
        made = made_of_triangles(recipe, kept=self._keeping(recipe.digest))
        note = next(note for note in made.notes if note.follower == FINDING)
        if note.status != "done" and not note.unchecked:
            return Try(radius, note.words)
        if note.status == "done":
            self.by_triangles = max(self.by_triangles, radius)
            step = KernelStep.checked(made.done[FINDING], self._body, _NOTHING_BESIDE, self._volume)
        else:
            step = KernelStep(fillet, self._body, _NOTHING_BESIDE, self._volume, None, 0.0)
        try:
            self._within(f"A radius of {fine_length_words(radius)}", self._budget.one, lambda: step.holds())
        except CoreError as error:
            return Try(radius, str(error))
        return Try(radius, None)

    def _keeping(self, last: str) -> Keeping:
        """What comes before the fillet is made once; what each try makes of it, of the digest ``last``, is let go."""

        def kept(step: Step, make: Callable[[], MeshBody]) -> MeshBody:
            if step[0] == last:
                return make()
            if step not in self._kept:
                self._kept[step] = make()
            return self._kept[step]

        return kept


def _none(*_: object) -> NamedShape:
    raise KernelError("A fillet takes part of nothing else.")


_NOTHING_BESIDE = OnKernel(0.0, _none, _none, _none, _none)  # type: ignore[arg-type]


def _short(radius: float) -> float:
    """Three digits: a radius that people can read, type and take as it is."""
    return float(f"{radius:.3g}")


def _line(chain: list[TopoDS_Edge]) -> tuple[Vec, ...]:
    return tuple((float(x), float(y), float(z)) for edge in chain for x, y, z in points_on(edge))


def _tightest(body: NamedShape, chain: list[TopoDS_Edge]) -> tuple[Vec, float, str]:
    """The point of a chain with the least room for a radius, the room, and what it is."""
    at, room, reason = points_on(chain[0])[0], np.inf, "the surface bends with a radius of"
    for edge in chain:
        for face in sides_of(body, edge):
            points, _, radii = look_along(edge, face, [0.1, 0.3, 0.5, 0.7, 0.9])
            k = int(np.argmin(radii))
            if radii[k] < room:
                at, room = points[k], float(radii[k])
    own = np.concatenate([points_on(edge) for edge in chain])
    for other in sharp_edges(body):
        if any(other.IsSame(edge) for edge in chain):
            continue
        apart = np.linalg.norm(own[:, None] - points_on(other, 33)[None], axis=2).min(axis=1)
        k = int(np.argmin(apart))
        # An edge that the chain ends on is no limit to it.
        if 1e-4 < apart[k] < room:
            at, room, reason = own[k], float(apart[k]), "another edge runs at"
    x, y, z = (float(v) for v in at)
    return (x, y, z), room, reason
