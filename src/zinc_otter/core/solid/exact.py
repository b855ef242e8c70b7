"""Exact bodies to combine with: cylinders, cones, balls and boxes, as triangles and for the kernel."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import TYPE_CHECKING, Any, Literal, TypeVar

import manifold3d
import numpy as np

from zinc_otter.core.cage.plane import Vec, frame_along
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError

if TYPE_CHECKING:
    from OCP.TopoDS import TopoDS_Shape


def above_nothing(**lengths: float) -> None:
    """Raise BadNumberError for a length that is not finite and above 0; its name says which."""
    for name, length in lengths.items():
        if not (np.isfinite(length) and length > 1e-6):
            raise BadNumberError(f"The {name.replace('_', ' ')} is a length above 0; {length:g} is not.")


def direction(along: Vec) -> Vec:
    """The unit vector. Raises BadNumberError for one of no length."""
    length = float(np.linalg.norm(along))
    if not np.isfinite(length) or length < 1e-12:
        raise BadNumberError("A direction must not be nothing.")
    x, y, z = (float(v) / length + 0.0 for v in along)
    return x, y, z


@dataclass(frozen=True)
class Cylinder:
    """From the middle of its foot ``point`` along a direction; mm."""

    point: Vec = (0.0, 0.0, 0.0)
    along: Vec = (0.0, 0.0, 1.0)
    radius: float = 10.0
    height: float = 20.0
    kind: Literal["cylinder"] = "cylinder"

    def __post_init__(self) -> None:
        above_nothing(radius=self.radius, height=self.height)
        direction(self.along)

    def mesh(self, chord: float) -> manifold3d.Manifold:
        made = manifold3d.Manifold.cylinder(self.height, self.radius, self.radius, sides(self.radius, chord))
        return _placed(made, self.point, self.along)

    def shape(self) -> TopoDS_Shape:
        from OCP.BRepPrimAPI import BRepPrimAPI_MakeCylinder

        return BRepPrimAPI_MakeCylinder(_axes(self.point, self.along), self.radius, self.height).Shape()

    def grown(self, by: float) -> Cylinder | None:
        return _moved_foot(self, by, radius=self.radius + by)


@dataclass(frozen=True)
class Cone:
    """A cone or its stump: ``radius`` at the foot, ``top_radius`` at the other end, which may be 0; mm."""

    point: Vec = (0.0, 0.0, 0.0)
    along: Vec = (0.0, 0.0, 1.0)
    radius: float = 10.0
    top_radius: float = 5.0
    height: float = 20.0
    kind: Literal["cone"] = "cone"

    def __post_init__(self) -> None:
        above_nothing(radius=self.radius, height=self.height)
        if not (np.isfinite(self.top_radius) and self.top_radius >= 0):
            raise BadNumberError(f"The top radius is 0 or a length above it; {self.top_radius:g} is not.")
        direction(self.along)

    def mesh(self, chord: float) -> manifold3d.Manifold:
        widest = max(self.radius, self.top_radius)
        made = manifold3d.Manifold.cylinder(self.height, self.radius, self.top_radius, sides(widest, chord))
        return _placed(made, self.point, self.along)

    def shape(self) -> TopoDS_Shape:
        from OCP.BRepPrimAPI import BRepPrimAPI_MakeCone, BRepPrimAPI_MakeCylinder

        if abs(self.radius - self.top_radius) < 1e-7:
            return BRepPrimAPI_MakeCylinder(_axes(self.point, self.along), self.radius, self.height).Shape()
        return BRepPrimAPI_MakeCone(_axes(self.point, self.along), self.radius, self.top_radius, self.height).Shape()

    def grown(self, by: float) -> Cone | None:
        slope = (self.top_radius - self.radius) / self.height
        wide = by * np.sqrt(1 + slope**2)
        foot = self.radius + wide - slope * by
        top = self.radius + wide + slope * (self.height + by)
        if foot <= 1e-6 or self.height + 2 * by <= 1e-6:
            return None
        if top < 0:
            # It ends in a tip before the moved lid.
            height = foot / -slope
            moved = _moved_foot(self, by, radius=foot)
            return None if moved is None else replace(moved, top_radius=0.0, height=height)
        return _moved_foot(self, by, radius=foot, top_radius=top)


@dataclass(frozen=True)
class Ball:
    """A sphere about ``point``; mm."""

    point: Vec = (0.0, 0.0, 0.0)
    radius: float = 10.0
    kind: Literal["ball"] = "ball"

    def __post_init__(self) -> None:
        above_nothing(radius=self.radius)

    def mesh(self, chord: float) -> manifold3d.Manifold:
        return manifold3d.Manifold.sphere(self.radius, sides(self.radius, chord)).translate(self.point)

    def shape(self) -> TopoDS_Shape:
        from OCP.BRepPrimAPI import BRepPrimAPI_MakeSphere

        return BRepPrimAPI_MakeSphere(_axes(self.point, (0.0, 0.0, 1.0)), self.radius).Shape()

    def grown(self, by: float) -> Ball | None:
        return None if self.radius + by <= 1e-6 else replace(self, radius=self.radius + by)


@dataclass(frozen=True)
class Block:
    """A box about its middle ``point``, with its edges along the axes; mm."""

    point: Vec = (0.0, 0.0, 0.0)
    size: Vec = (20.0, 20.0, 20.0)
    kind: Literal["block"] = "block"

    def __post_init__(self) -> None:
        above_nothing(width=self.size[0], depth=self.size[1], height=self.size[2])

    def mesh(self, chord: float) -> manifold3d.Manifold:
        return manifold3d.Manifold.cube(self.size, True).translate(self.point)

    def shape(self) -> TopoDS_Shape:
        from OCP.BRepPrimAPI import BRepPrimAPI_MakeBox
        from OCP.gp import gp_Pnt

        middle, half = np.asarray(self.point), np.asarray(self.size) / 2
        return BRepPrimAPI_MakeBox(gp_Pnt(*(middle - half).tolist()), gp_Pnt(*(middle + half).tolist())).Shape()

    def grown(self, by: float) -> Block | None:
        x, y, z = (s + 2 * by for s in self.size)
        return None if min(x, y, z) <= 1e-6 else replace(self, size=(x, y, z))


ExactBody = Cylinder | Cone | Ball | Block


B = TypeVar("B", Cylinder, Cone)


def _moved_foot(body: B, by: float, **radii: float) -> B | None:
    """The body with foot and lid moved outwards ``by`` mm, and other radii; None where nothing is left."""
    height = body.height + 2 * by
    if height <= 1e-6 or radii["radius"] <= 1e-6:
        return None
    x, y, z = np.asarray(body.point) - by * np.asarray(direction(body.along))
    return replace(body, point=(float(x), float(y), float(z)), height=height, **radii)  # type: ignore[arg-type]


def sides(radius: float, chord: float) -> int:
    """How many sides keep a circle's chords within ``chord`` mm; a multiple of four."""
    angle = np.arccos(np.clip(1 - chord / radius, 0.0, 1.0))
    return int(np.clip(4 * np.ceil(np.pi / max(angle, 1e-3) / 4), 24, 720))


def _placed(made: manifold3d.Manifold, point: Vec, along: Vec) -> manifold3d.Manifold:
    return made.transform(frame_at(point, along))


def frame_at(point: Vec, along: Vec) -> Floats:
    """(3, 4) what takes z to a direction and the origin to a point."""
    return np.column_stack([frame_along(along), np.asarray(point)])


def _axes(point: Vec, along: Vec) -> Any:
    from OCP.gp import gp_Ax2, gp_Dir, gp_Pnt

    frame = frame_along(along)
    return gp_Ax2(gp_Pnt(*map(float, point)), gp_Dir(*frame[:, 2].tolist()), gp_Dir(*frame[:, 0].tolist()))
