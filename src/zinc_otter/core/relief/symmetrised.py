"""Relief that is the same on all sides of a symmetric cage: that of one part, written to the others."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.symmetry import Symmetry
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.relief.relief import Detail, Relief
from zinc_otter.core.surface.raised import frames, in_frame, in_space
from zinc_otter.core.surface.stencils import Stencils, build_stencils

_TIED = 1e-9


def symmetrised(cage: Cage, symmetry: Symmetry, hand: Floats) -> Cage:
    """The cage with the relief of the part nearest to ``hand`` (3,) on all others; on a mirror the mean of both sides.

    Its control points must be symmetric already.
    """
    relief = cage.relief
    if relief is None or (relief.is_flat and relief.mask is None):
        return cage
    stencils = build_stencils(cage, relief.depth)
    points: Floats = cage.positions
    details: list[Detail | None] = []
    mask = relief.mask
    for level, step in enumerate(stencils.factors, 1):
        below = step @ points
        images = _images(stencils, symmetry, level)
        share = _nearest(images, np.linalg.norm(below - hand, axis=1))
        detail = relief.detail(level)
        if detail is None:
            details.append(None)
            points = below
        else:
            frame = frames(stencils, level, below)
            own = in_space(frame, detail.astype(np.float64))
            matrices = symmetry.group.elements[0]
            spread: Floats = np.zeros_like(own)
            for k, there in enumerate(images):
                spread += share[k][:, None] * (own[there] @ matrices[k])
            details.append(in_frame(frame, spread).astype(np.float32))
            points = below + spread
        if level == relief.depth and mask is not None:
            mask = np.asarray(sum(share[k] * mask[there] for k, there in enumerate(images)), dtype=np.float32)
    return cage.with_relief(Relief(tuple(details), mask))


def _images(stencils: Stencils, symmetry: Symmetry, level: int) -> list[Ints]:
    """For each element of the group which point (n,) of a level each one goes to."""
    thrown: Floats = np.random.default_rng(7).normal(size=symmetry.topology.vertex_count)
    # Refined, places thrown about answer each other as the points do.
    refined = [thrown[images] for images in symmetry.vertices]
    for step in stencils.factors[:level]:
        refined = [step @ values for values in refined]
    order = np.argsort(refined[0], kind="stable")
    found = []
    for values in refined:
        there = np.empty(len(values), dtype=np.int64)
        there[np.argsort(values, kind="stable")] = order
        found.append(there)
    return found


def _nearest(images: list[Ints], far: Floats) -> list[Floats]:
    """For each element the share (n,) that a point takes from its image: all from the nearest, in parts where several
    are."""
    least = np.min([far[there] for there in images], axis=0)
    tied = [(far[there] <= least * (1 + _TIED) + _TIED).astype(np.float64) for there in images]
    total = np.sum(tied, axis=0)
    return [each / total for each in tied]
