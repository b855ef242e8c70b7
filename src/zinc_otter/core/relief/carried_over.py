"""Relief carried over to other faces: by place, from where the surface lay before an edit."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
from scipy.spatial import cKDTree

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.relief.relief import MOST_POINTS, Relief, point_counts
from zinc_otter.core.surface.nearest import barycentric
from zinc_otter.core.surface.raised import Raised, frames, in_frame
from zinc_otter.core.surface.stencils import build_stencils
from zinc_otter.core.words import fine_length_words

_SAME = 1e-9
"""Of the extent: a point so near to an old one is that one."""
_LOOKED_AT = 20_000


@dataclass(frozen=True, eq=False)
class CarriedOver:
    """The ``cage`` with its relief; by how much (mm) the surface strays from the old one at most where it had relief; which
    ``share`` of the relief is gone with its faces."""

    cage: Cage
    strays: float
    share: float

    @property
    def words(self) -> str:
        gone = f" {100 * self.share:.0f} % of it is gone with its faces." if self.share > 0.005 else ""
        return f"The relief is carried over within {fine_length_words(self.strays)}.{gone}"


def carried_over(before: Cage, after: Cage, rest: Floats | None = None) -> CarriedOver:
    """The relief of one cage on another of other faces.

    ``rest`` (n, 3) tells where the vertices of the new cage stood, or grew from, on the old one. What lies on none of the
    old surface stays plain. All detail is told at the finest level.
    """
    held = before.relief
    assert held is not None
    if held.is_flat:
        return CarriedOver(after.with_relief(Relief((None,) * held.depth)), 0.0, 0.0)
    depth = next(k for k in range(held.depth, -1, -1) if k == 0 or point_counts(after.topology, k)[-1] <= MOST_POINTS)
    old, new = build_stencils(before, held.depth), build_stencils(after, max(depth, 1))
    was = Raised(old, before)
    plain, raised = old.refined(before.positions), was.points[-1]
    risen = raised - plain
    here = new.refined(after.positions)
    carried, away = _looked_up(plain, old.triangles, risen, here)
    frame = frames(new, new.level, here)
    if rest is not None and not np.array_equal(rest, after.positions):
        # An edit that holds the form moves it back onto itself, others move it away: what lies nearer counts.
        stood = new.refined(rest)
        from_rest, away_then = _looked_up(plain, old.triangles, risen, stood)
        nearer = away_then <= away
        carried[nearer], here[nearer], away[nearer] = from_rest[nearer], stood[nearer], away_then[nearer]
        frame[nearer] = frames(new, new.level, stood)[nearer]
    flat = ~np.any(frame[:, 2], axis=1)
    carried[flat | (away > 1)] = 0.0
    detail = in_frame(frame, carried).astype(np.float32)
    done = after.with_relief(Relief((*[None] * (new.level - 1), detail)))
    return CarriedOver(done, *_loss(plain, raised, here + carried, new.triangles))


def _looked_up(points: Floats, triangles: Ints, values: Floats, at: Floats) -> tuple[Floats, Floats]:
    """Values (k, 3) at places ``at`` on a surface, from those at its points; and how far (k,) the places lie off it, 1 for
    half an edge there: what is further is not on it."""
    size = float(np.ptp(points, axis=0).max())
    away, nearest = cKDTree(points, balanced_tree=False, compact_nodes=False).query(at)
    looked = values[nearest].astype(np.float64)
    off = np.zeros(len(at))
    rest = np.flatnonzero(away > _SAME * size)
    if len(rest):
        mesh = MeshDistance(points, triangles)
        foot, which = mesh.nearest_feet(at[rest])
        shares = np.clip(barycentric(foot, points[triangles[which]]), 0, 1)
        shares /= shares.sum(axis=1, keepdims=True)
        looked[rest] = (shares[:, :, None] * values[triangles[which]]).sum(axis=1)
        edge = np.linalg.norm(points[triangles[which, 0]] - points[triangles[which, 1]], axis=1)
        off[rest] = np.linalg.norm(foot - at[rest], axis=1) / np.maximum(0.5 * edge, 1e-12)
    return looked, off


def _loss(plain: Floats, raised: Floats, now: Floats, triangles: Ints) -> tuple[float, float]:
    """How far the new surface strays where the old one had relief, in mm, and the share of that which it misses."""
    had = np.flatnonzero(np.linalg.norm(raised - plain, axis=1) > 1e-6)
    if not len(had):
        return 0.0, 0.0
    looked = had[:: max(1, len(had) // _LOOKED_AT)]
    mesh = MeshDistance(now, triangles)
    far = np.abs(mesh.signed(raised[looked])[0])
    height = np.linalg.norm(raised[looked] - plain[looked], axis=1)
    gone = far > 0.5 * height + 1e-6
    # By its height: the rim of a stroke, where it is next to nothing, weighs next to nothing.
    return float(far[~gone].max(initial=0.0)), float(height[gone].sum() / height.sum())
