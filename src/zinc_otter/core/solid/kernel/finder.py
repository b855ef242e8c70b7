"""The largest radius to which edges can be rounded: tried, and where it fails, found by halving."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np
from OCP.TopoDS import TopoDS_Edge

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.errors import CoreError, KernelError
from zinc_otter.core.solid.kernel.check import exact_volume
from zinc_otter.core.solid.kernel.guard import guarded
from zinc_otter.core.solid.kernel.operations import contours, is_closed, length_of, nearest_contour, rounded
from zinc_otter.core.solid.kernel.shape import (
    NamedShape,
    edges_between,
    is_hollow_edge,
    look_along,
    points_on,
    sharp_edges,
    sides_of,
)
from zinc_otter.core.solid.mesh.body import Name

WITHIN = 0.02
"""How near the found radius comes to the largest that holds, as a share of it."""
SMALLEST = 0.02
"""Of the wished radius: below this share nothing is looked for."""


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
    """``radius`` holds on all chains together; 0 where none does."""

    wished: float
    radius: float
    chains: tuple[FoundEdge, ...]
    tries: tuple[Try, ...]


def find_radius(
    body: NamedShape,
    names: tuple[Name, Name],
    wished: float,
    seconds: float = 20.0,
    progress: Callable[[float, str], None] = lambda _, __: None,
    near: Vec | None = None,
) -> Found:
    """The largest radius up to ``wished`` mm to which the edges between two names can be rounded, within 2 %.

    With ``near``, only the chain of them that comes nearest to that point.

    Each try runs in a child process for at most ``seconds``; a result counts when it is valid, closed and has changed the
    volume the right way. Raises KernelError where there are no such edges.
    """
    edges = edges_between(body, names)
    if not edges:
        raise KernelError("There are no such edges on the solid.")
    if near is not None:
        edges = nearest_contour(body, edges, near)
    chains = contours(body, edges)
    volume = exact_volume(body)
    count = 0

    def holds(which: list[TopoDS_Edge], radius: float) -> Try:
        nonlocal count
        count += 1
        progress(1 - 0.9**count, f"Trying a radius of {radius:.3g} mm")
        try:
            guarded(f"A radius of {radius:.3g} mm", seconds, lambda: _tried(body, which, radius, volume))
        except CoreError as error:
            return Try(radius, str(error))
        return Try(radius, None)

    first = holds(edges, wished)
    if first.failure is None:
        found = [FoundEdge(wished, _line(chain), (first,), None, None) for chain in chains]
        return Found(wished, wished, tuple(found), (first,))
    found = []
    for chain in chains:
        # One chain alone has been tried at the wish already.
        begun = (first,) if len(chains) == 1 else (holds(chain, wished),)
        tries = _halved(lambda radius, chain=chain: holds(chain, radius), wished, begun)  # type: ignore[misc]
        best = max((t.radius for t in tries if t.failure is None), default=0.0)
        where = _tightest(body, chain) if best < wished else (None, None, "")
        found.append(FoundEdge(best, _line(chain), tries, *where))
    together = min(edge.holds for edge in found)
    if len(chains) == 1 or together == 0:
        return Found(wished, together, tuple(found), found[0].tries)
    tries = _halved(lambda radius: holds(edges, radius), together, (holds(edges, together),))
    return Found(wished, max((t.radius for t in tries if t.failure is None), default=0.0), tuple(found), (first, *tries))


def _halved(holds: Callable[[float], Try], top: float, begun: tuple[Try, ...]) -> tuple[Try, ...]:
    """Tries from ``top`` downwards until what holds and what does not are within a share of each other."""
    tries = list(begun)
    if tries[-1].failure is None:
        return tuple(tries)
    low, high = 0.0, top
    while high - low > WITHIN * high and high > SMALLEST * top:
        middle = (low + high) / 2 if low > 0 else high / 2
        tries.append(holds(middle))
        if tries[-1].failure is None:
            low = middle
        else:
            high = middle
    return tuple(tries)


def _tried(body: NamedShape, edges: list[TopoDS_Edge], radius: float, volume: float) -> None:
    done = rounded(body, edges, lambda points: np.full(len(points), radius), "")
    if not is_closed(done.shape):
        raise KernelError("The kernel's result is not closed.")
    change = exact_volume(done) - volume
    hollow = [is_hollow_edge(body, edge) for edge in edges]
    # Material comes into hollow corners and goes from ridges.
    wrong_way = change <= 0 if all(hollow) else change >= 0 if not any(hollow) else False
    # A round cannot change the volume by more than its square along the whole edge, times a wedge's share.
    if wrong_way or abs(change) > 3 * radius**2 * length_of(edges):
        raise KernelError("The kernel's result is valid, but its volume is not that of a rounded edge.")


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
