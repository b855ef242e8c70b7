"""What is looked at and measured against, and never edited: pictures and components.

Their contents lie in the store as assets, found by their hash; a design holds how they are placed and shown.
"""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.topology import Floats

Vector3 = tuple[float, float, float]

_VIEW_AXES: dict[str, tuple[Vector3, Vector3]] = {
    "front": ((1, 0, 0), (0, 0, 1)),
    "back": ((-1, 0, 0), (0, 0, 1)),
    "right": ((0, 1, 0), (0, 0, 1)),
    "left": ((0, -1, 0), (0, 0, 1)),
    "top": ((1, 0, 0), (0, 1, 0)),
    "bottom": ((1, 0, 0), (0, -1, 0)),
}
"""For each flat view the directions that point right and up in it."""


@dataclass(frozen=True)
class Picture:
    """A picture on a flat view's plane, ``width`` mm wide about ``centre``, turned by ``degrees`` within the plane."""

    id: str
    name: str
    asset: str
    pixels: tuple[int, int]
    view: str
    centre: Vector3
    width: float
    degrees: float = 0.0
    opacity: float = 0.6
    in_front: bool = False
    visible: bool = True
    locked: bool = False

    @property
    def axes(self) -> tuple[Floats, Floats]:
        """Unit vectors (3,) to the picture's right and up."""
        right, up = (np.array(axis, dtype=np.float64) for axis in _VIEW_AXES[self.view])
        c, s = np.cos(np.radians(self.degrees)), np.sin(np.radians(self.degrees))
        return c * right + s * up, c * up - s * right

    def place_of(self, across: float, down: float) -> Floats:
        """(3,) mm of a point of the picture, given in pixels from its upper left corner."""
        right, up = self.axes
        pixel = self.width / self.pixels[0]
        shift = (across - self.pixels[0] / 2) * right + (self.pixels[1] / 2 - down) * up
        return np.asarray(self.centre) + pixel * shift


@dataclass(frozen=True)
class Component:
    """A mesh to build around, or to lie on. Its asset is in mm about its own origin, laid by ``rotation`` (rows) and
    ``centre``.

    The surface of the form should keep ``clearance`` mm away from it; of a ``scan`` it should not: it lies now on this
    side of it, now on that. Nor of a ``stand``, on which it is shown, in pictures too.
    """

    id: str
    name: str
    asset: str
    triangles: int
    size: Vector3
    rotation: tuple[Vector3, Vector3, Vector3] = ((1, 0, 0), (0, 1, 0), (0, 0, 1))
    centre: Vector3 = (0, 0, 0)
    clearance: float = 0.0
    opacity: float = 0.45
    visible: bool = True
    locked: bool = True
    scan: bool = False
    stand: bool = False

    def placed(self, points: Floats) -> Floats:
        """Points (n, 3) of the asset, where the component lies."""
        return np.asarray(points @ np.asarray(self.rotation, dtype=np.float64).T + np.asarray(self.centre))

    def own(self, points: Floats) -> Floats:
        """The inverse of :meth:`placed`."""
        return np.asarray((points - np.asarray(self.centre)) @ np.asarray(self.rotation, dtype=np.float64))


Reference = Picture | Component
