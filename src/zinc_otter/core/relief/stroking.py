"""A stroke being done: touches are laid along the way of the hand, and what they move is told in the frames of the level.

A stroke that has come further goes on from where it was; done at once it comes to the same, to the last bit.
"""

from __future__ import annotations

from dataclasses import dataclass
from itertools import product

import numpy as np
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.reach.profiles import profile
from zinc_otter.core.cage.symmetry.group import Group
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.relief.brushes import BRUSHES
from zinc_otter.core.relief.brushes.base import Dab
from zinc_otter.core.relief.footprint import Touch, shape_of
from zinc_otter.core.relief.ground import StrokeGround
from zinc_otter.core.relief.levels import deepened
from zinc_otter.core.relief.stroke import MOST_TOUCHES, Manner, checked_way
from zinc_otter.core.surface.raised import in_frame
from zinc_otter.core.surface.reached import union_of

_MORE = 1e-9
"""A touch counts where it is stronger by so much: by rounding alone one side must not differ from the other."""


@dataclass(frozen=True, eq=False)
class _Image:
    """One motion that the stroke is repeated by: matrix (3, 3), offset (3,), and -1 where it turns outside in."""

    matrix: Floats
    offset: Floats
    turn: float

    def place(self, point: Floats) -> Floats:
        return np.asarray(self.matrix @ point + self.offset)


def _images(manner: Manner, group: Group | None) -> list[_Image]:
    sides = [(np.eye(3), np.zeros(3), False)] if group is None else list(zip(*group.elements, strict=True))
    turns = [(np.eye(3), np.zeros(3))]
    if manner.around > 1 and manner.axis is not None:
        about, along = np.asarray(manner.axis.point), np.asarray(manner.axis.normal)
        for k in range(1, manner.around):
            spin = Rotation.from_rotvec(along * 2 * np.pi * k / manner.around).as_matrix()
            turns.append((spin, about - spin @ about))
    return [
        _Image(matrix @ spin, matrix @ shift + offset, -1.0 if reverses else 1.0)
        for (matrix, offset, reverses), (spin, shift) in product(sides, turns)
    ]


class Stroking:
    """One stroke on a ground. ``extend`` it by more of its way, and take the cage with it done from ``result``."""

    def __init__(self, ground: StrokeGround, manner: Manner, group: Group | None = None) -> None:
        self._ground, self._manner = ground, manner
        self.cage = ground.cage
        self._brush = BRUSHES[manner.brush]
        self._images = _images(manner, group)
        self._relief = deepened(self.cage, ground.stencils)
        n = len(ground.points)
        self._start = ground.points.copy()
        self._now = self._start.copy()
        # Points of a level are the first of those of the finer ones.
        held = None if self._relief.mask is None else self._relief.mask[:n]
        self._free = None if held is None else 1.0 - held.astype(np.float64)
        self._mask = np.zeros(n) if held is None else held.astype(np.float64)
        detail = self._relief.detail(manner.level)
        self._detail = np.zeros((n, 3), dtype=np.float32) if detail is None else detail.copy()
        self._rank = np.zeros(n)
        self._before: Floats | None = None
        """Where the last touch was, of brushes that raise: between two touches they go on without a gap."""
        self._touched: list[Ints] = []
        self._unsettled: list[Ints] = []
        self._strayed = 0.0
        self._falloff = profile(manner.profile, manner.curve)
        self._way = np.zeros((0, 4))
        self._at: Floats | None = None
        self._pressure = 1.0
        self._next = 0.0
        self._length = 0.0
        self.touches = 0
        """How often the brush touched so far."""

    def goes_on_as(self, samples: Floats) -> bool:
        """Whether a way begins with what was done of this stroke."""
        return len(samples) >= len(self._way) and np.array_equal(samples[: len(self._way)], self._way)

    def extend(self, samples: Floats) -> None:
        """Do the rest of a way (k, 4) that :meth:`goes_on_as` this one."""
        way = checked_way(samples)
        fresh = way[len(self._way) :]
        if self._at_once:
            self._way = way
            self._carry()
        else:
            for place in fresh:
                self._go(place[:3], float(place[3]))
            self._way = way
        self._settle()

    @property
    def _at_once(self) -> bool:
        return self._brush.mode == "carries" or (self._manner.stamp is not None and self._manner.laid == "once")

    def result(self) -> Cage:
        """The cage with the stroke on it."""
        level = self._manner.level
        if self._brush.mode == "masks":
            if level < self._relief.depth:
                return self.cage
            mask = self._mask.astype(np.float32)
            return self.cage.with_relief(self._relief.with_mask(mask if mask.any() else None))
        # From the result before on: what was hashed of that need not be hashed again.
        self._relief = self._relief.with_detail(level, self._detail.copy())
        return self.cage.with_relief(self._relief)

    # --- the way ----------------------------------------------------------------------------------------------------

    def _go(self, place: Floats, pressure: float) -> None:
        manner = self._manner
        if self._at is None:
            self._at, self._pressure = place.copy(), pressure
            if manner.stamp is None or manner.laid != "along":
                self._touch(place, pressure, np.zeros(3))
                self._next = self._step
            return
        # A steady hand follows with a lag, which evens what shakes.
        goal = self._at + (1 - manner.steady) * (place - self._at)
        leg = goal - self._at
        length = float(np.linalg.norm(leg))
        if length == 0:
            return
        along, begun = leg / length, self._pressure
        while self._next <= length:
            share = self._next / length
            self._touch(self._at + self._next * along, begun + share * (pressure - begun), along, self._length + self._next)
            self._next += self._step
        self._next -= length
        self._length += length
        self._at, self._pressure = goal, pressure

    @property
    def _step(self) -> float:
        manner = self._manner
        bands = manner.stamp is not None and manner.laid == "along"
        return (min(manner.spacing, 0.1) if bands else manner.spacing) * manner.radius

    def _carry(self) -> None:
        """What goes by the whole way at once is done anew from where the stroke began."""
        done = union_of(len(self._now), *self._touched)
        self._touched = [done]
        self._now[done] = self._start[done]
        self._rank[done] = 0
        first, last = self._way[0, :3], self._way[-1, :3]
        self._touch(first, float(self._way[0, 3]), unit(last - first), way=last - first)

    # --- one touch --------------------------------------------------------------------------------------------------

    def _touch(self, place: Floats, pressure: float, along: Floats, length: float = 0.0, way: Floats | None = None) -> None:
        manner = self._manner
        self.touches += 1
        if self.touches > MOST_TOUCHES:
            raise BadNumberError(
                f"The stroke would touch the form more than {MOST_TOUCHES:,} times: lead it less far, or take a wider brush."
            )
        radius = manner.radius
        if manner.stamp is not None and manner.laid == "once" and way is not None and np.linalg.norm(way) > 0:
            radius = float(np.linalg.norm(way))
        if manner.pen in ("radius", "both"):
            radius *= max(pressure, 0.05)
        amount = manner.signed * (pressure if manner.pen in ("strength", "both") else 1.0)
        if self._brush.mode in ("works", "masks"):
            # What one passage comes to is the same however close its touches lie.
            amount = float(np.sign(amount) * (1 - (1 - min(abs(amount), 1.0)) ** min(manner.spacing, 1.0)))
        found = [self._under(image, place, radius, along, length) for image in self._images]
        self._before = place
        touches = _shared_out([touch for touch in found if touch is not None])
        if self._brush.mode == "raises":
            touches = [touch.only(touch.rank > self._rank[touch.verts] + _MORE) for touch in touches]
        touches = [touch for touch in touches if len(touch.verts)]
        # All sides are pulled from how things stood before the first of them, or they would differ.
        pulls = [self._pull(touch, amount, radius, np.zeros(3) if way is None else way) for touch in touches]
        for touch, pulled in zip(touches, pulls, strict=True):
            self._apply(touch, pulled)

    def _under(self, image: _Image, place: Floats, radius: float, along: Floats, length: float) -> Touch | None:
        """What lies under one image of a touch."""
        ground, manner = self._ground, self._manner
        points = self._now if self._brush.mode == "works" else self._start
        centre, normal = self._dropped(image.place(place), points)
        wide = shape_of(manner).reach * radius
        leg = np.zeros(3)
        if self._brush.mode == "raises" and manner.stamp is None and self._before is not None:
            leg = self._dropped(image.place(self._before), points)[0] - centre
        half = 0.5 * float(np.linalg.norm(leg))
        reach = wide + half + ground.slack + self._strayed
        verts = np.fromiter(ground.tree.query_ball_point(centre + 0.5 * leg, reach), dtype=np.int64)
        if not len(verts):
            return None
        verts.sort()
        arms = points[verts] - centre
        if half:
            # From the nearest place of the way since the last touch.
            arms -= np.clip(arms @ leg / (leg @ leg), 0, 1)[:, None] * leg
        far = np.sqrt(np.einsum("ij,ij->i", arms, arms))
        inside = far < wide
        towards = None if manner.towards is None else image.matrix @ np.asarray(manner.towards)
        if towards is not None:
            inside &= ground.normals[verts] @ towards > 0
        verts, arms, far = verts[inside], arms[inside], far[inside]
        if not len(verts):
            return None
        touch = Touch(verts, arms, far, centre, normal, image.turn, image.matrix)
        normal = unit(((1 - far / wide)[:, None] * ground.normals[verts]).sum(axis=0))
        touch = touch.facing(normal, image.matrix @ along)
        touch = shape_of(manner).weighed(touch, radius, length, self._falloff)
        held = touch.weights
        if towards is not None:
            # What is seen aslant fades, so that there is no step where it turns away.
            held = held * np.clip(4 * (ground.normals[touch.verts] @ towards), 0, 1)
        if self._free is not None:
            held = held * (self._free[touch.verts] if self._brush.mode != "masks" else 1.0)
        if self._brush.mode != "masks":
            held = held * ground.off_border(centre, wide, 0.5 * radius, touch.verts)
        return touch.weighing(held)

    def _dropped(self, place: Floats, points: Floats) -> tuple[Floats, Floats]:
        """A place dropped onto the surface, and the normal there."""
        _, nearest = self._ground.tree.query(place)
        normal = self._ground.normals[nearest]
        return place - ((place - points[nearest]) @ normal) * normal, normal

    def _pull(self, touch: Touch, amount: float, radius: float, way: Floats) -> Floats:
        verts, ground = touch.verts, self._ground
        dab = Dab(
            points=self._now[verts],
            start=self._start[verts],
            plain=ground.plain[verts] if self._brush.mode == "works" else self._start[verts],
            normals=ground.normals[verts],
            weights=touch.weights,
            arms=touch.arms,
            centre=touch.centre,
            normal=touch.normal,
            amount=amount,
            radius=radius,
            way=touch.matrix @ way,
            along=touch.along if touch.moves else np.zeros(3),
            turn=touch.turn,
            mean=lambda: self._mean(verts),
        )
        return self._brush.pull(dab)

    def _apply(self, touch: Touch, pulled: Floats) -> None:
        verts = touch.verts
        if self._brush.mode == "masks":
            self._mask[verts] = np.clip(self._mask[verts] + pulled[:, 0] * touch.share, 0, 1)
        elif self._brush.mode == "raises":
            # Where two images meet each gives its part; the first of them counts from what was before the stroke.
            fresh = verts[touch.first]
            self._now[fresh] = self._start[fresh]
            self._now[verts] += touch.share[:, None] * pulled
            self._rank[verts] = touch.rank
        else:
            self._now[verts] += touch.share[:, None] * pulled
            if self._brush.mode == "works":
                off = self._now[verts] - self._start[verts]
                self._strayed = max(self._strayed, float(np.sqrt(np.einsum("ij,ij->i", off, off).max())))
        self._touched.append(verts)
        self._unsettled.append(verts)

    def _mean(self, verts: Ints) -> Floats:
        return np.asarray(self._ground.neighbours[verts] @ self._now - self._ground.plain_means[verts])

    # --- into the frames --------------------------------------------------------------------------------------------

    def _settle(self) -> None:
        """Tell what was moved since the last time in the frames of the level."""
        if not self._unsettled or self._brush.mode == "masks":
            return
        rows = union_of(len(self._now), *self._unsettled)
        self._unsettled.clear()
        risen = self._now[rows] - self._ground.below[rows]
        self._detail[rows] = in_frame(self._ground.frames(rows), risen)


def _shared_out(touches: list[Touch]) -> list[Touch]:
    """Each point to the image that is nearest to it; where several are, in equal parts."""
    if len(touches) < 2:
        return touches
    verts = np.concatenate([touch.verts for touch in touches])
    far = np.concatenate([touch.far for touch in touches])
    whose = np.repeat(np.arange(len(touches)), [len(touch.verts) for touch in touches])
    there, at = np.unique(verts, return_inverse=True)
    if len(there) == len(verts):
        return touches
    least = np.full(len(there), np.inf)
    np.minimum.at(least, at, far)
    near = far <= least[at] + 1e-9 * (1 + least[at])
    ties = np.bincount(at[near], minlength=len(there))
    share = np.where(near, 1.0 / np.maximum(ties[at], 1), 0.0)
    leads = np.full(len(there), len(touches))
    np.minimum.at(leads, at[near], whose[near])
    first = leads[at] == whose
    return [touch.shared(share[whose == k], first[whose == k]).only(near[whose == k]) for k, touch in enumerate(touches)]


def stroked(cage: Cage, manner: Manner, samples: Floats, ground: StrokeGround, group: Group | None = None) -> Cage:
    """The cage with a whole stroke (k, 4) on it. Raises BadNumberError, ReliefError."""
    ground.follow(cage)
    stroking = Stroking(ground, manner, group)
    stroking.extend(samples)
    return stroking.result()
