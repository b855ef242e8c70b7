"""How near stones come to one another, girdle to girdle, and how much metal is left below them."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from scipy.spatial import cKDTree

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.proof.distance import MeshDistance, nearest_on_triangles
from zinc_otter.core.proof.gaps import Gap
from zinc_otter.core.repeated import moved
from zinc_otter.core.stone.gem import Gem

_SAMPLES = 48
"""Points round a girdle that are looked at first."""
_NEIGHBOURS = 6
_CLOSER = (6, 64)
"""Pairs that are measured to the last digit, those that the samples put nearest: in a drag, and once it is settled."""
_ABOUT = 6
"""Sides of a girdle to both sides of the nearest sample that come into question."""

Laid = tuple[Gem, Floats]
"""A stone, and where it lies again and again (k, 4, 4)."""


@dataclass(frozen=True, eq=False)
class Spacing:
    """The smallest ``gap`` between girdles, below 0 by how far two stones would have to be moved apart; ``between`` which
    it is, by their numbers through all; ``overlapping`` are the pairs (k, 2) that run into one another."""

    gap: Gap
    between: tuple[int, int]
    overlapping: Ints


def spacing(stones: Sequence[Laid], settled: bool = True) -> Spacing | None:
    """Between any two of the stones; None where there are not two.

    The girdle is the whole band, from its lower edge to its upper one. Two stones overlap where one has a point of the
    other's girdle, or a corner, within its facets.
    """
    every = _Every(stones)
    if every.count < 2:
        return None
    pairs = every.near_pairs()
    rough, where = every.rough(pairs)
    order = np.argsort(rough)[: _CLOSER[settled]]
    best: tuple[float, Floats, Floats, int] | None = None
    for k in order:
        if best is not None and rough[k] - 2 * every.slack > best[0]:
            break
        distance, here, there = every.exact(pairs[k], where[k])
        if best is None or distance < best[0]:
            best = (distance, here, there, int(k))
    assert best is not None
    overlapping, depth, at = every.overlaps(pairs)
    if len(overlapping):
        deepest = int(depth.argmax())
        a, b = overlapping[deepest]
        spot = _vec(at[deepest])
        return Spacing(Gap(-float(depth[deepest]), spot, spot), (int(a), int(b)), overlapping)
    distance, here, there, k = best
    return Spacing(Gap(distance, _vec(here), _vec(there)), (int(pairs[k, 0]), int(pairs[k, 1])), overlapping)


@dataclass(frozen=True, eq=False)
class Below:
    """For each stone: mm of metal ``left`` straight below its lowest point, infinite where it does not reach into the metal;
    ``through`` by how many mm it comes out on the far side, 0 where it does not; ``lowest`` its lowest point (k, 3)."""

    left: Floats
    through: Floats
    lowest: Floats


def below(stones: Sequence[Laid], metal: MeshDistance) -> Below:
    """How the stones lie in the metal, a closed mesh."""
    left, through, lowest = [], [], []
    for gem, motions in stones:
        under = _underside(gem)
        feet = under[under[:, 2] < under[:, 2].min() + 1e-9].mean(axis=0)
        tips = np.stack([moved(motion, np.vstack([feet, under])) for motion in motions])
        down = -motions[:, :3, 2]
        distance, at = metal.signed(tips.reshape(-1, 3))
        outside = distance.reshape(tips.shape[:2])
        away = tips - at.reshape(tips.shape)
        beyond = (away * down[:, None]).sum(axis=2) > 0.3 * np.linalg.norm(away, axis=2)
        through.append(np.where((outside > 0) & beyond, outside, 0.0).max(axis=1))
        inside = outside[:, 0] < 0
        way = metal.first_hit(tips[:, 0], down)
        left.append(np.where(inside, way, np.inf))
        lowest.append(tips[:, 0])
    return Below(np.concatenate(left), np.concatenate(through), np.concatenate(lowest))


def _underside(gem: Gem) -> Floats:
    """Corners below the girdle's middle; of the girdle itself a dozen."""
    under = gem.points[gem.points[:, 2] < 1e-9]
    rim = under[:, 2] > -gem.girdle / 2 - 1e-9
    around = under[rim]
    order = np.argsort(np.arctan2(around[:, 1], around[:, 0]))
    return np.concatenate([under[~rim], around[order[:: max(1, len(order) // 12)]]])


class _Every:
    """All stones, one after the other."""

    def __init__(self, stones: Sequence[Laid]) -> None:
        self.gems = [gem for gem, motions in stones for _ in range(len(motions))]
        self.motions = np.concatenate([motions for _, motions in stones]) if stones else np.zeros((0, 4, 4))
        self.count = len(self.gems)
        rims = {id(gem): _samples(gem) for gem, _ in stones}
        self._samples = np.stack([rims[id(gem)] for gem in self.gems]) if self.count else np.zeros((0, _SAMPLES, 3))
        r, t = self.motions[:, :3, :3], self.motions[:, :3, 3]
        self._rims = self._samples @ r.transpose(0, 2, 1) + t[:, None]
        reach = {id(gem): float(np.linalg.norm(gem.points, axis=1).max()) for gem, _ in stones}
        self._reach = np.array([reach[id(gem)] for gem in self.gems])
        self._middles = t
        # What a sampled girdle may keep from the true one: half a side, and half its height.
        self.slack = max((_loosest(gem) for gem, _ in stones), default=0.0)

    def near_pairs(self) -> Ints:
        """(p, 2) pairs of neighbours, and all whose balls meet."""
        tree = cKDTree(self._middles)
        _, near = tree.query(self._middles, k=min(_NEIGHBOURS + 1, self.count))
        near = np.asarray(near).reshape(self.count, -1)[:, 1:]
        pairs = np.column_stack([np.repeat(np.arange(self.count), near.shape[1]), near.ravel()])
        pairs = np.unique(np.sort(pairs, axis=1), axis=0)
        if len(np.unique(self._reach)) > 1:
            meeting = tree.query_pairs(2 * float(self._reach.max()), output_type="ndarray")
            pairs = np.unique(np.concatenate([pairs, meeting]), axis=0)
        return pairs[pairs[:, 0] != pairs[:, 1]]

    def rough(self, pairs: Ints) -> tuple[Floats, Ints]:
        """(p,) distances between samples, and (p, 2) which samples these are."""
        a, b = self._rims[pairs[:, 0]], self._rims[pairs[:, 1]]
        # About each pair's own middle, so that no digits are lost to where it lies.
        middle = (self._middles[pairs[:, 0]] + self._middles[pairs[:, 1]])[:, None] / 2
        a, b = a - middle, b - middle
        square = (a * a).sum(axis=2)[:, :, None] + (b * b).sum(axis=2)[:, None] - 2 * a @ b.transpose(0, 2, 1)
        flat = square.reshape(len(pairs), -1)
        which = flat.argmin(axis=1)
        least = np.sqrt(np.maximum(flat[np.arange(len(pairs)), which], 0))
        return least, np.column_stack(np.unravel_index(which, (_SAMPLES, _SAMPLES)))

    def exact(self, pair: Ints, samples: Ints) -> tuple[float, Floats, Floats]:
        """The distance of two girdles, sides and uprights about the nearest samples, and the two nearest points."""
        bands = [self._band(int(k), int(s)) for k, s in zip(pair, samples, strict=True)]
        (one, its), (other, others) = bands
        i, j = (g.ravel() for g in np.indices((len(one), len(other))))
        found = [_between_segments(one[i], other[j])]
        # Or a corner of one before a wall of the other.
        for points, walls, first in ((one[:, 0], others, True), (other[:, 0], its, False)):
            i, j = (g.ravel() for g in np.indices((len(points), len(walls))))
            feet, _ = nearest_on_triangles(points[i], walls[j])
            found.append((points[i], feet) if first else (feet, points[i]))
        here, there = (np.concatenate(part) for part in zip(*found, strict=True))
        away = np.linalg.norm(here - there, axis=1)
        k = int(away.argmin())
        return float(away[k]), here[k], there[k]

    def overlaps(self, pairs: Ints) -> tuple[Ints, Floats, Floats]:
        """The pairs (k, 2) of which one has points of the other within its facets, how deep (k,), and where (k, 3)."""
        apart = np.linalg.norm(self._middles[pairs[:, 0]] - self._middles[pairs[:, 1]], axis=1)
        meeting = pairs[apart < self._reach[pairs].sum(axis=1)]
        found, depths, spots = [], [], []
        for a, b in meeting:
            spot = self._met(a, b)
            spot = self._met(b, a) if spot is None else spot
            if spot is not None:
                found.append((a, b))
                depths.append(self._depth(a, b))
                spots.append(spot)
        return np.array(found, dtype=np.int64).reshape(-1, 2), np.array(depths), np.array(spots).reshape(-1, 3)

    def _met(self, one: int, other: int) -> Floats | None:
        """The point of another stone's girdle and corners that lies deepest within one's facets; None where none does."""
        gem, where = self.gems[other], self.motions[other]
        rim, half = self._rims[other], gem.girdle / 2 * where[:3, 2]
        points = np.concatenate([rim, rim + half, rim - half, moved(where, gem.points)])
        own = (points - self.motions[one][:3, 3]) @ self.motions[one][:3, :3]
        facets = self.gems[one]
        heights = (facets.normals * facets.points[[loop[0] for loop in facets.facets]]).sum(axis=1)
        off = (own @ facets.normals.T - heights).max(axis=1)
        k = int(off.argmin())
        return points[k] if off[k] < -1e-9 else None

    def _depth(self, a: int, b: int) -> float:
        """How far two stones would have to be moved apart along the line of their middles."""
        way = self._middles[b] - self._middles[a]
        apart = float(np.linalg.norm(way))
        u = way / apart if apart > 1e-9 else self.motions[a][:3, 0]
        ahead, behind = (moved(self.motions[k], self.gems[k].points) - self._middles[k] for k in (a, b))
        return float((ahead @ u).max() - (behind @ u).min()) - apart

    def _band(self, stone: int, sample: int) -> tuple[Floats, Floats]:
        """(s, 2, 3) sides of the girdle's two edges and its uprights near a sample, and (t, 3, 3) the walls between them."""
        gem, motion = self.gems[stone], self.motions[stone]
        count = len(gem.outline)
        at = self._samples[stone, sample, :2]
        first = int(np.linalg.norm(gem.outline - at, axis=1).argmin())
        steps = np.arange(-_ABOUT, _ABOUT + 1) if count > 2 * _ABOUT + 1 else np.arange(count)
        here, ahead = (first + steps) % count, (first + steps + 1) % count
        low, high = (
            np.column_stack([gem.outline, np.full(count, z)]) @ motion[:3, :3].T + motion[:3, 3] for z in _edges(gem)
        )
        sides = [
            np.stack(pair, axis=1) for pair in ((low[here], low[ahead]), (high[here], high[ahead]), (low[here], high[here]))
        ]
        walls = [
            np.stack(three, axis=1) for three in ((low[here], low[ahead], high[ahead]), (low[here], high[ahead], high[here]))
        ]
        return np.concatenate(sides), np.concatenate(walls)


def _edges(gem: Gem) -> tuple[float, float]:
    return -gem.girdle / 2, gem.girdle / 2


def _samples(gem: Gem) -> Floats:
    """(48, 3) points evenly along the girdle."""
    ring = np.vstack([gem.outline, gem.outline[:1]])
    run = np.append(0.0, np.cumsum(np.linalg.norm(np.diff(ring, axis=0), axis=1)))
    at = np.arange(_SAMPLES) / _SAMPLES * run[-1]
    return np.column_stack([np.interp(at, run, ring[:, 0]), np.interp(at, run, ring[:, 1]), np.zeros(_SAMPLES)])


def _loosest(gem: Gem) -> float:
    ring = np.vstack([gem.outline, gem.outline[:1]])
    round_it = float(np.linalg.norm(np.diff(ring, axis=0), axis=1).sum())
    return round_it / _SAMPLES / 2 + gem.girdle / 2


def _between_segments(one: Floats, other: Floats) -> tuple[Floats, Floats]:
    """The nearest points (k, 3) of pairs of segments (k, 2, 3); C. Ericson, "Real-Time Collision Detection", 2005, 5.1.9."""
    p, q = one[:, 0], other[:, 0]
    d, e = one[:, 1] - p, other[:, 1] - q
    r = p - q
    a, c, f = (d * d).sum(axis=1), (d * r).sum(axis=1), (e * r).sum(axis=1)
    ee, b = (e * e).sum(axis=1), (d * e).sum(axis=1)
    a, ee = np.maximum(a, 1e-300), np.maximum(ee, 1e-300)
    flat = a * ee - b * b
    s = np.where(flat > 1e-12 * a * ee, np.clip((b * f - c * ee) / np.where(flat == 0, 1, flat), 0, 1), 0.0)
    t = (b * s + f) / ee
    s = np.where(t < 0, np.clip(-c / a, 0, 1), np.where(t > 1, np.clip((b - c) / a, 0, 1), s))
    t = np.clip(t, 0, 1)
    return p + s[:, None] * d, q + t[:, None] * e


def _vec(point: Floats) -> tuple[float, float, float]:
    x, y, z = (float(v) for v in point)
    return x, y, z
