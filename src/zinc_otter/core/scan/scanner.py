"""A simulated scanner: it looks at a form from several places, with noise, and brings home a mesh with what it could not see
left out. For the same seed it is the same scan."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

import numpy as np
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.cage import Cage, unit
from zinc_otter.core.cage.topology import Bools, Floats, Ints
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.formats.mesh import MOST_TRIANGLES, Mesh
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.surface.stencils import DEEPEST
from zinc_otter.core.words import length_words

Looks = Literal["around", "turntable"]

_FROM = 4.0
"""How many sizes of the form away the scanner stands."""
_BLOCKED_BY = 40_000
"""Dense faces of the form that is in the way, at most."""
_SPIKES = 25.0
"""How many times the noise, and at least a half spacing, a spike stands out."""


@dataclass(frozen=True)
class Scanning:
    """How it is scanned: about ``spacing`` mm from point to point, ``noise`` mm as a standard deviation along the normal.

    ``looks`` from all around, or from around and above as the form stands on a table. Faces that are seen at more than
    ``grazing`` degrees from straight on are not. A patch of ``missing`` mm radius is left out, and ``spikes`` points stand
    out. ``tossed``: it comes home as it lay in the scanner, somewhere and turned anyhow.
    """

    spacing: float = 0.8
    noise: float = 0.05
    looks: Looks = "turntable"
    grazing: float = 75.0
    missing: float = 0.0
    spikes: int = 0
    tossed: bool = False
    seed: int = 1

    def __post_init__(self) -> None:
        if not (np.isfinite(self.spacing) and self.spacing > 0):
            raise BadNumberError("The spacing of a scan's points is above 0.")
        if not (np.isfinite([self.noise, self.missing]).all() and self.noise >= 0 and self.missing >= 0):
            raise BadNumberError("The noise and the missing patch of a scan are 0 or more.")
        if not 10 <= self.grazing <= 90:
            raise BadNumberError("The angle up to which a scanner sees lies between 10 and 90 degrees.")
        if not 0 <= self.spikes <= 1_000:
            raise BadNumberError("A scan has up to 1,000 spikes.")


def scanned(cage: Cage, how: Scanning) -> Mesh:
    """The scan of a cage's smooth surface. Raises BadNumberError for a spacing that would take more triangles than can be
    worked with, and where nothing of the form is seen.

    >>> from zinc_otter.core.primitives import patched_sphere
    >>> mesh = scanned(patched_sphere(40, 2), Scanning(spacing=3, noise=0))
    >>> bool(abs(np.linalg.norm(mesh.vertices, axis=1).mean() - 16.8) < 0.5), mesh.open_edge_count > 0
    (True, True)
    """
    points, normals, triangles = _dense(cage, how.spacing)
    seen = _seen(cage, points, normals, how)
    chance = np.random.default_rng(how.seed)
    if how.missing > 0 and seen.any():
        middle = points[chance.choice(np.flatnonzero(seen))]
        seen &= np.linalg.norm(points - middle, axis=1) > how.missing
    moved = points + (chance.normal(0, 1, len(points)) * how.noise)[:, None] * normals
    if how.spikes and seen.any():
        out = chance.choice(np.flatnonzero(seen), min(how.spikes, int(seen.sum())), replace=False)
        moved[out] += max(_SPIKES * how.noise, how.spacing / 2) * normals[out]
    kept = triangles[seen[triangles].all(axis=1)]
    if not len(kept):
        raise BadNumberError("The scanner sees nothing of this form so: let it look from all around, or at a finer spacing.")
    used, joined = np.unique(kept, return_inverse=True)
    found = moved[used]
    if how.tossed:
        size = float(np.ptp(points, axis=0).max())
        spin = Rotation.random(random_state=int(chance.integers(2**31))).as_matrix()
        found = (found - found.mean(axis=0)) @ spin.T + chance.uniform(-size, size, 3)
    notes = (
        f"a simulated scan: about {length_words(how.spacing)} from point to point, noise {length_words(how.noise)}, seed "
        f"{how.seed}",
    )
    return Mesh(found, joined.reshape(-1, 3).astype(np.int32), notes)


def _dense(cage: Cage, spacing: float) -> tuple[Floats, Floats, Ints]:
    """Points, normals and triangles of the surface, at most so far apart in the mean as asked."""
    faces = cage.topology.corner_count // 4
    for level in range(2, DEEPEST + 1):
        if 2 * faces * 4**level > MOST_TRIANGLES:
            break
        stencils = build_stencils(cage, level)
        surface = evaluate(stencils, cage)
        quads = stencils.quads.astype(np.int64)
        points = surface.points[: stencils.vertex_count]
        sides = np.linalg.norm(points[quads] - points[np.roll(quads, 1, axis=1)], axis=2)
        if sides.mean() <= spacing:
            # One normal a vertex will do: a scanner's points know nothing of creases.
            normals = np.zeros_like(points)
            normals[stencils.limit.row_vertex] = surface.normals
            # Diagonals this way and that, as a scanner's are.
            odd = np.arange(len(quads)) % 2 == 1
            one = np.where(odd[:, None], quads[:, [0, 1, 3]], quads[:, [0, 1, 2]])
            two = np.where(odd[:, None], quads[:, [1, 2, 3]], quads[:, [0, 2, 3]])
            return points, normals, np.concatenate([one, two])
    raise BadNumberError(
        f"So fine a scan of this form has more than {MOST_TRIANGLES:,} triangles; let its points lie further apart."
    )


def _seen(cage: Cage, points: Floats, normals: Floats, how: Scanning) -> Bools:
    """(n,) which points are seen from at least one place, steeply enough and with nothing in between."""
    low, high = points.min(axis=0), points.max(axis=0)
    middle, size = (low + high) / 2, float(np.linalg.norm(high - low))
    faces = cage.topology.corner_count // 4
    level = next((k for k in (4, 3, 2) if faces * 4**k <= _BLOCKED_BY), 1)
    stencils = build_stencils(cage, level)
    quads = stencils.quads.astype(np.int64)
    block = MeshDistance(
        evaluate(stencils, cage).points,
        stencils.triangles,
    )
    # Coarser than the points: a ray begins so far out that their own surroundings are not in its way.
    clear = float(np.linalg.norm(block.vertices[quads[:, 0]] - block.vertices[quads[:, 2]], axis=1).mean()) / 4
    seen = np.zeros(len(points), dtype=bool)
    least = np.cos(np.radians(how.grazing))
    for way in _ways(how.looks):
        left = np.flatnonzero(~seen)
        if not len(left):
            break
        to = unit(middle + _FROM * size * way - points[left])
        left, to = left[(facing := (to * normals[left]).sum(axis=1) >= least)], to[facing]
        if len(left):
            free = block.first_hit(points[left] + clear * normals[left], to)
            seen[left[~np.isfinite(free)]] = True
    return seen


def _ways(looks: Looks) -> Floats:
    """Unit directions from the form to the places that are looked from."""
    if looks == "around":
        k = np.arange(14) + 0.5
        z = 1 - 2 * k / 14
        turn = np.pi * (1 + 5**0.5) * k
    else:
        # Two rings on a table, and from above.
        z = np.concatenate([np.full(8, 0.05), np.full(8, 0.6), [1.0]])
        turn = np.concatenate([np.arange(8) * np.pi / 4, (np.arange(8) + 0.5) * np.pi / 4, [0.0]])
    across = np.sqrt(np.maximum(1 - z * z, 0))
    return np.column_stack([across * np.cos(turn), across * np.sin(turn), z])
