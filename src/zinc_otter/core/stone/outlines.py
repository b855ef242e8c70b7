"""Outlines of girdles: width along x, length along y, as points and ways out by a share of the way round."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.topology import Floats

Along = Callable[[Floats], Floats]


@dataclass(frozen=True)
class Outline:
    """``points`` and outward ``normals`` (k, 2) at shares (k,) of the way round, counter-clockwise from +x.

    The main facets stand at ``mains`` even shares.
    """

    points: Along
    normals: Along
    mains: int

    def polygon(self, each: int) -> Floats:
        """(2 mains each, 2) its points, with all main ones and those midway between them."""
        count = 2 * self.mains * each
        return self.points(np.arange(count) / count)


def ellipse(width: float, length: float, mains: int = 8) -> Outline:
    a, b = width / 2, length / 2

    def points(t: Floats) -> Floats:
        return np.column_stack([a * np.cos(2 * np.pi * t), b * np.sin(2 * np.pi * t)])

    def normals(t: Floats) -> Floats:
        return _unit(np.column_stack([np.cos(2 * np.pi * t) / a, np.sin(2 * np.pi * t) / b]))

    return Outline(points, normals, mains)


def cushion(width: float, length: float, exponent: float = 2.7) -> Outline:
    """A superellipse (G. Lamé, 1818): the higher the exponent, the straighter its sides."""
    a, b = width / 2, length / 2

    def points(t: Floats) -> Floats:
        c, s = np.cos(2 * np.pi * t), np.sin(2 * np.pi * t)
        r = (np.abs(c) ** exponent + np.abs(s) ** exponent) ** (-1 / exponent)
        return np.column_stack([a * r * c, b * r * s])

    def normals(t: Floats) -> Floats:
        x, y = (points(t) / [a, b]).T
        return _unit(
            np.column_stack(
                [np.copysign(np.abs(x) ** (exponent - 1), x) / a, np.copysign(np.abs(y) ** (exponent - 1), y) / b]
            )
        )

    return Outline(points, normals, 8)


def marquise(width: float, length: float) -> Outline:
    """Two arcs of a circle that meet in tips at both ends of the length."""
    return _tipped(width / 2, length / 2, length / 2)


def pear(width: float, length: float) -> Outline:
    """A half circle below, two arcs that meet in a tip above; the origin on the widest line."""
    return _tipped(width / 2, None, length - width / 2)


def _tipped(a: float, below: float | None, above: float) -> Outline:
    """Arcs from the widest points to a tip ``above`` and one ``below``; without the latter a half circle."""

    def quarter(share: Floats, height: float | None) -> tuple[Floats, Floats]:
        """Points and normals of a quarter from (a, 0) to (0, height)."""
        if height is None:
            angle = share * np.pi / 2
            n = np.column_stack([np.cos(angle), np.sin(angle)])
            return a * n, n
        radius = (height**2 + a**2) / (2 * a)
        angle = share * 2 * np.arctan2(a, height)
        n = np.column_stack([np.cos(angle), np.sin(angle)])
        tip = share > 1 - 1e-12
        return radius * n + [a - radius, 0.0], np.where(tip[:, None], [0.0, 1.0], n)

    def both(t: Floats) -> tuple[Floats, Floats]:
        turn = np.mod(t, 1.0) * 4
        which = np.minimum(np.floor(turn), 3).astype(int)
        share = np.where(which % 2 == 0, turn - which, 1 - (turn - which))
        points, normals = quarter(share, above)
        low, out = quarter(share, below)
        under = (which >= 2)[:, None]
        mirror = np.column_stack([np.where((which == 1) | (which == 2), -1.0, 1.0), np.where(which >= 2, -1.0, 1.0)])
        return np.where(under, low, points) * mirror, np.where(under, out, normals) * mirror

    return Outline(lambda t: both(t)[0], lambda t: both(t)[1], 8)


def trillion(width: float, bulge: float = 1.6) -> Outline:
    """Three arcs, each of a radius of ``bulge`` sides, between corners that stand a ``width`` apart."""
    half = np.arcsin(0.5 / bulge)
    radius = bulge * width
    middle = width / (2 * np.sqrt(3)) - radius * np.cos(half)

    def both(t: Floats) -> tuple[Floats, Floats]:
        # Sides look to 30, 150 and 270 degrees; corners lie at 90, 210 and 330.
        turn = np.mod(t, 1.0) * 3
        side = np.floor(turn + 0.5)
        angle = (turn - side) * 2 * half
        corner = np.abs(np.abs(turn - side) - 0.5) < 1e-12
        out = np.radians(30 + 120 * side)
        local = np.column_stack([middle + radius * np.cos(angle), radius * np.sin(angle)])
        n = np.column_stack([np.cos(angle), np.sin(angle)])
        way = np.where(corner, np.sign(turn - side) * np.radians(60), angle)
        n = np.column_stack([np.cos(way), np.sin(way)])
        c, s = np.cos(out), np.sin(out)

        def spun(p: Floats) -> Floats:
            return np.column_stack([c * p[:, 0] - s * p[:, 1], s * p[:, 0] + c * p[:, 1]])

        return spun(local), spun(n)

    return Outline(lambda t: both(t)[0], lambda t: both(t)[1], 6)


def _unit(v: Floats) -> Floats:
    return np.asarray(v / np.linalg.norm(v, axis=1, keepdims=True))
