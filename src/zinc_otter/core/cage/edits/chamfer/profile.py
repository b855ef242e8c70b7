"""The section of a chamfer, and the faces that close its corners and ends."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.grid_fill import coons
from zinc_otter.core.cage.growing_points import GrowingPoints
from zinc_otter.core.cage.topology import Floats


def section(right: Floats, apex: Floats, left: Floats, segments: int, is_round: bool) -> Floats:
    """(segments + 1, 3) from one new edge to the other: on a straight line, or on the arc that leaves both faces smoothly.

    The arc is that of the rational quadratic whose middle pole is the old edge's point; it is a circle where both ends
    are equally far from that (L. Piegl, W. Tiller, "The NURBS Book", 2nd ed. 1997, section 7.3), at even angles.
    """
    steps = np.linspace(0, 1, segments + 1)[:, None]
    flat = (1 - steps) * right + steps * left
    a, b = unit(right - apex), unit(left - apex)
    turning = np.pi - float(np.arccos(np.clip(a @ b, -1, 1)))
    if not is_round or turning < 1e-6 or turning > np.pi - 1e-6:
        return flat
    u, v = np.sin((1 - steps) * turning / 2), np.sin(steps * turning / 2)
    middle = 2 * u * v * np.cos(turning / 2)
    return np.asarray((u**2 * right + middle * apex + v**2 * left) / (u**2 + middle + v**2))


class Faces:
    """Collects points and faces; ``first`` is the number of the first point."""

    def __init__(self, points: GrowingPoints) -> None:
        self.points = points
        self.rings: list[list[int]] = []

    def put(self, points: Floats) -> list[int]:
        return self.points.put(points)

    def grid(self, numbers: list[list[int]]) -> None:
        """Quads over rows of vertices, counter-clockwise where the first index runs right and the second up."""
        for low, high in zip(numbers, numbers[1:], strict=False):
            for j in range(len(low) - 1):
                self.rings.append([low[j], high[j], high[j + 1], low[j + 1]])

    def corner(self, sides: list[list[int]], is_round: bool) -> None:
        """Close three or more sections that meet, each of an even number of edges, in quads about a middle.

        Where the sections lie on a sphere, so does what is between them.
        """
        half = (len(sides[0]) - 1) // 2
        p = self.points
        ring = np.array([v for side in sides for v in side[:-1]])
        middles = [side[half] for side in sides]
        sphere = _sphere_through(p[ring]) if is_round else None
        centre = p[middles].mean(axis=0)
        centre = sphere.onto(centre[None])[0] if sphere else centre
        middle = self.put(centre[None])[0]
        spokes = []
        for at in middles:
            steps = np.linspace(0, 1, half + 1)[1:-1, None]
            inner = (1 - steps) * p[at] + steps * centre
            spokes.append([at, *self.put(sphere.onto(inner) if sphere and len(inner) else inner), middle])
        for k, side in enumerate(sides):
            after = (k + 1) % len(sides)
            ahead, back = sides[after][: half + 1], side[half:][::-1]
            # Rows run from the corner along the next section; columns back along this one.
            inside = coons(p[ahead], p[spokes[k]], p[back], p[spokes[after]])[1:-1, 1:-1]
            flat = inside.reshape(-1, 3)
            numbers = np.array(self.put(sphere.onto(flat) if sphere and len(flat) else flat), dtype=np.int64)
            g = np.empty((half + 1, half + 1), dtype=np.int64)
            g[1:-1, 1:-1] = numbers.reshape(half - 1, half - 1)
            g[:, 0], g[0] = ahead, back
            g[:, -1], g[-1] = spokes[k], spokes[after]
            self.grid(g.tolist())

    def cap(self, profile: list[int], others: list[int]) -> None:
        """Close a ring of a ``profile`` of an even number of edges and an odd number of ``others`` that follow it.

        Quads on both sides of a line from the middle of the profile to the middle one of the others.
        """
        ring = [*profile, *others]
        at = (len(profile) - 1) // 2
        turned = ring[at:] + ring[:at]
        half = len(turned) // 2
        right, left = turned[: half + 1], [turned[0], *turned[half:][::-1]]
        if half == 2:
            self.rings.append(turned)
            return
        p = self.points
        inner = []
        for k in range(2, half - 1):
            inner.append(self.put(((p[right[k]] + p[left[k]]) / 2)[None])[0])
        line = [turned[0], *inner, turned[half]]
        lower, upper = right[1:half], left[1:half]
        for k in range(half - 2):
            self.rings.append([line[k], lower[k], lower[k + 1], line[k + 1]])
            self.rings.append([line[k], line[k + 1], upper[k + 1], upper[k]])


class _Sphere:
    def __init__(self, middle: Floats, radius: float) -> None:
        self.middle, self.radius = middle, radius

    def onto(self, points: Floats) -> Floats:
        return np.asarray(self.middle + self.radius * unit(points - self.middle))


def _sphere_through(points: Floats) -> _Sphere | None:
    """The sphere that fits points (n, 3) by least squares; None where they are not on one."""
    origin = points.mean(axis=0)
    p = points - origin
    rows = np.column_stack([2 * p, np.ones(len(p))])
    solved, _, rank, _ = np.linalg.lstsq(rows, (p**2).sum(axis=1), rcond=1e-9)
    square = float(solved[3] + (solved[:3] ** 2).sum())
    if rank < 4 or square <= 0:
        return None
    radius = float(np.sqrt(square))
    off = np.abs(np.linalg.norm(p - solved[:3], axis=1) - radius).max()
    return _Sphere(origin + solved[:3], radius) if off < 0.05 * radius else None
