"""What all settings share: for each stone what is added to the metal, and what is taken from it."""

from __future__ import annotations

from abc import abstractmethod
from collections.abc import Sequence
from dataclasses import dataclass, field
from typing import TYPE_CHECKING, ClassVar

import numpy as np

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.cage.topology import Bools, Floats
from zinc_otter.core.errors import BadNumberError, CoreError
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proof.rays import Rays
from zinc_otter.core.remark import Remark, at_points
from zinc_otter.core.repeated import moved
from zinc_otter.core.solid.exact import Cone
from zinc_otter.core.solid.followers.base import PIECE, Follower, Measured, NameOf, OnKernel, OnMesh
from zinc_otter.core.solid.mesh.body import MeshBody, named, together
from zinc_otter.core.solid.stack import Pin, Ring, Stack
from zinc_otter.core.solid.strip import Bar
from zinc_otter.core.stone.gem import Gem
from zinc_otter.core.stone.stone import Stone

if TYPE_CHECKING:
    from zinc_otter.core.solid.kernel.shape import NamedShape

Part = Stack | Pin | Cone | Bar

ALL_ROUND = np.arange(0.0, 360.0, 15.0)
"""Directions in which the metal about a stone is looked at, degrees."""

_LOOKED_AT = 72
"""Directions round a stone in which it is looked for what holds it."""
_LEAST_OVER, _LEAST_SHARE = 0.05, 0.02
"""mm, and share of the width, that metal has to reach over the girdle to hold a stone."""
_OPEN = 0.5
"""Share of the way round that may be without metal in one go: beyond half of it a stone falls out."""
_MARKED = 24


class SettingError(CoreError):
    """A setting cannot be made of these numbers, or has no metal to stand on."""

    kind = "setting"
    title = "The stone cannot be set so"


@dataclass(frozen=True, eq=False)
class Seat:
    """One stone in its place, and the metal about it."""

    stone: Stone
    motion: Floats
    metal: Rays
    number: int

    @property
    def gem(self) -> Gem:
        return self.stone.gem

    @property
    def half(self) -> float:
        """Half of the girdle's thickness, mm."""
        return self.gem.girdle / 2

    @property
    def low(self) -> float:
        """z of the stone's lowest point."""
        return self.gem.height[0]

    def place(self, point: Floats) -> Vec:
        """Where a point of the stone's own frame lies."""
        x, y, z = (float(v) for v in moved(self.motion, point[None])[0])
        return x, y, z

    def way(self, along: Floats) -> Vec:
        """Which way a direction of the stone's own frame goes."""
        x, y, z = (float(v) for v in self.motion[:3, :3] @ along)
        return x, y, z

    def stack(self, rings: Sequence[Ring], hollow: bool = False) -> Stack:
        """The stone's outline through rings."""
        radius = self.stone.cut.width / 2 if self.stone.cut.is_round else None
        return Stack(self.gem.outline, tuple(rings), self.motion, radius, hollow)

    def below(self, clearance: float) -> list[Ring]:
        """Rings about the stone up to its girdle's upper edge, so much wider than it."""
        rings = [(z, share, clearance) for z, share in self.gem.profile if z < -self.half - 1e-9]
        flat = not rings
        first = -self.half if flat else rings[0][0]
        if flat or clearance > 1e-6:
            rings = [(first - clearance, 1.0 if flat else rings[0][1], clearance), *rings]
        if not flat and self.half > 0:
            rings.append((-self.half, 1.0, clearance))
        return [*rings, (self.half, 1.0, clearance)]

    def around(self, clearance: float) -> list[Ring]:
        """Rings about all of the stone."""
        over = [(z, share, clearance) for z, share in self.gem.profile if z > self.half + 1e-9]
        if not over:
            return self.below(clearance)
        return [*self.below(clearance), *over, (over[-1][0] + clearance, over[-1][1], clearance)]

    def surface(self, points: Floats) -> tuple[Floats, Floats]:
        """z at which the metal begins, seen from above, and ends again, at (k, 2) points of the stone's own frame; not a
        number where there is none. For points (k, 3) straight down from there."""
        far = self.gem.height[1] + 4 * float(np.abs(self.gem.outline).max())
        begin = np.column_stack([points[:, :2], np.full(len(points), far) if points.shape[1] == 2 else points[:, 2]])
        down = np.tile(-self.motion[:3, 2], (len(points), 1))
        first, last = self.metal.through(moved(self.motion, begin), down)
        met = np.isfinite(first)
        return np.where(met, begin[:, 2] - first, np.nan), np.where(met, begin[:, 2] - last, np.nan)

    def on_outline(self, degrees: Floats, out: float = 0.0) -> tuple[Floats, Floats]:
        """(k, 2) points of the outline in directions of its ellipse, so many mm outside, and the outward normals there."""
        o = self.gem.outline
        side = np.roll(o, -1, axis=0) - o
        n = np.column_stack([side[:, 1], -side[:, 0]])
        n /= np.linalg.norm(n, axis=1, keepdims=True)
        reach = (n * o).sum(axis=1)
        a = np.radians(degrees)
        across, along = self.stone.cut.spread
        ways = np.column_stack([np.cos(a) * across, np.sin(a) * along])
        ways /= np.linalg.norm(ways, axis=1, keepdims=True)
        ahead = ways @ n.T
        far = np.where(ahead > 1e-9, reach / np.where(ahead > 1e-9, ahead, 1.0), np.inf)
        # At a corner the sides on both are met: outwards is between them.
        near = far <= far.min(axis=1, keepdims=True) * (1 + 1e-6)
        normals = near @ n
        normals /= np.linalg.norm(normals, axis=1, keepdims=True)
        return far.min(axis=1, keepdims=True) * ways + out * normals, normals

    def words(self) -> str:
        return f"stone {self.number + 1}"


@dataclass(frozen=True, eq=False)
class Parts:
    """What is ``added`` and then ``taken``, and points (k, 3) all round that have to be metal to hold the stone."""

    added: tuple[Part, ...] = ()
    taken: tuple[Part, ...] = ()
    held_at: Floats = field(default_factory=lambda: np.zeros((0, 3)))


@dataclass(frozen=True)
class Setting(Follower):
    """Holds the stones of the piece ``stones`` in the metal, ``clearance`` mm wider than they are."""

    stones: str = ""
    clearance: float = 0.02

    def __post_init__(self) -> None:
        super().__post_init__()
        within(self.what, clearance=(self.clearance, 0.0, 1.0))

    @abstractmethod
    def parts(self, seat: Seat) -> Parts:
        """For one stone. Raises SettingError."""

    def deed(self, name_of: NameOf) -> str:
        held = f" for {name_of(self.stones)}" if self.stones else ""
        return f"{self.what}{held} on {name_of(PIECE)}"

    @property
    def set_stones(self) -> tuple[str, ...]:
        return (self.stones,)

    def measured(self, of: Measured) -> Follower:
        metal = of.rays()
        laid = [(stone, motion) for stone, motions in of.stones(self.stones) for motion in motions]
        seats = [Seat(stone, motion, metal, k) for k, (stone, motion) in enumerate(laid)]
        made = self.all_parts(seats)
        return Set(
            self.id, self.called, True,
            added=tuple(part for one in made for part in one.added),
            taken=tuple(part for one in made for part in one.taken),
            held_at=tuple(one.held_at for one in made),
            stones_at=tuple(seat.motion[:3, 3] for seat in seats),
        )  # fmt: skip

    def all_parts(self, seats: Sequence[Seat]) -> list[Parts]:
        """Of all stones together, in their order."""
        return [self.parts(seat) for seat in seats]


@dataclass(frozen=True, eq=False)
class Set(Follower):
    """What a setting comes to: parts in their places. ``held_at`` are for each stone the points that are to be metal."""

    what: ClassVar[str] = "Setting"
    patience: ClassVar[float] = 3.0
    added: tuple[Part, ...] = ()
    taken: tuple[Part, ...] = ()
    held_at: tuple[Floats, ...] = ()
    stones_at: tuple[Floats, ...] = ()

    def __post_init__(self) -> None:
        """Its numbers were checked by the setting that it is of."""

    def on_mesh(self, body: MeshBody, at: OnMesh) -> MeshBody:
        chord = min(at.chord, 0.01)
        if self.added:
            body = together([body, *(named(part.mesh(chord), self.id) for part in self.added)])
        if self.taken:
            body = body.less(together([named(part.mesh(chord), self.id) for part in self.taken]))
        if body.solid.is_empty():
            raise CoreError(f"{self.called} leaves nothing of the metal.")
        return body

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        from zinc_otter.core.solid.kernel.operations import cut_with, fused_with
        from zinc_otter.core.solid.kernel.shape import one_name

        body = fused_with(body, [one_name(part.shape(), self.id) for part in self.added])
        return cut_with(body, [one_name(part.shape(), self.id) for part in self.taken])

    def deeper(self, by: float) -> Follower | None:
        # A hollow keeps its wall about the seats; what stands on the metal does not reach into it.
        taken = tuple(grown for part in self.taken if (grown := part.grown(by)) is not None)
        return Set(self.id, self.name, True, taken=taken) if taken else None

    def judged(self, made: MeshBody) -> Remark | None:
        if not self.held_at:
            return None
        metal = MeshDistance(made.mesh.points, made.mesh.triangles)
        loose = [k for k, points in enumerate(self.held_at) if len(points) and not _is_held(metal.signed(points)[0] < 0)]
        if not loose:
            return None
        which = f"Stone {loose[0] + 1} is" if len(loose) == 1 else f"{len(loose)} stones are"
        words = f"{which} not held: too little metal reaches over the girdle. Sink deeper, or let the setting stand higher."
        return Remark(words, at_points(np.array([self.stones_at[k] for k in loose[:_MARKED]])))


def _is_held(covered: Bools) -> bool:
    """Whether nowhere more than half of the way round is without metal."""
    if covered.all():
        return True
    if not covered.any():
        return False
    turned = np.roll(covered, -int(np.flatnonzero(covered)[0]))
    longest = run = 0
    for yes in turned:
        run = 0 if yes else run + 1
        longest = max(longest, run)
    return longest / len(covered) <= _OPEN


def watched(seat: Seat, out: float) -> Floats:
    """(72, 3) points so many mm outside of the girdle and just as high above it as metal has to reach."""
    points, _ = seat.on_outline(np.arange(_LOOKED_AT) * 360 / _LOOKED_AT, out)
    over = seat.half + max(_LEAST_OVER, _LEAST_SHARE * seat.stone.cut.width)
    return moved(seat.motion, np.column_stack([points, np.full(len(points), over)]))


def within(what: str, **numbers: tuple[float, float, float]) -> None:
    """Raise BadNumberError for a number that is not between its bounds; its name says which."""
    for name, (value, least, most) in numbers.items():
        if not (np.isfinite(value) and least <= value <= most):
            words = name.replace("_", " ")
            raise BadNumberError(f"{what}: the {words} is {least:g} to {most:g}; {value:g} is not.")


def standing(seat: Seat, tip: Floats, along: Floats, radius: float, embed: float) -> float:
    """How far from its ``tip`` (3,) down ``along`` (3,), in the stone's frame, a pin's foot ends in the metal.

    As deep as it takes for all of its rim that is over metal to be in it, and ``embed`` mm more; never out on the far side.
    Raises SettingError where its middle meets no metal.
    """
    u = np.cross(along, [0.0, 1.0, 0.0] if abs(along[1]) < 0.9 else [1.0, 0.0, 0.0])
    u /= np.linalg.norm(u)
    v = np.cross(along, u)
    a = np.arange(8) * np.pi / 4
    rim = tip + radius * (np.cos(a)[:, None] * u + np.sin(a)[:, None] * v)
    points = moved(seat.motion, np.vstack([tip, rim]))
    ways = np.tile(seat.motion[:3, :3] @ along, (len(points), 1))
    first, last = seat.metal.through(points, ways)
    if not np.isfinite(first[0]):
        raise SettingError(
            f"There is no metal below a prong of {seat.words()}: lean it inwards, or move the stone.",
            points=[tuple(points[0].tolist())],
        )
    met = np.isfinite(first)
    deep = float(first[met].max()) + embed
    most = float(last[met].min()) - 0.02
    # In a thin wall as deep as half of it.
    deep = min(deep, (float(first[0]) + float(last[0])) / 2 if most < float(first[0]) else most)
    return max(deep, float(first[0]) + 1e-3)
