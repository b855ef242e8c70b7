"""Give a ring another bore: its inside moved, or all of it."""

from __future__ import annotations

from typing import Literal

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.edit import Edit, same_structure
from zinc_otter.core.cage.plane import frame_along
from zinc_otter.core.cage.selection import Selection
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError, CoreError
from zinc_otter.core.proof.bore import Bore, bore
from zinc_otter.core.surface import build_stencils, evaluate
from zinc_otter.core.words import fine_length_words, length_words

Moved = Literal["inside", "all"]
_ROUNDS = 40


class NoBoreError(CoreError):
    """A form through which no cylinder goes."""

    kind = "no-bore"
    title = "There is no bore"


def fit_bore(cage: Cage, selection: Selection, diameter: float, *, moved: Moved = "inside") -> Edit:
    """The bore of the limit surface becomes ``diameter`` mm about its present axis, to 1e-7 of it.

    Control points move straight away from the axis: "all" by the same amount, so that a wire keeps its section, or those
    "inside" most and those outside not at all, so that the outside stays. Raises BadNumberError for a diameter that leaves
    no wall, NoBoreError where none goes through.

    >>> from zinc_otter.core.cage.picking import everything
    >>> from zinc_otter.core.primitives.ring import ring_band
    >>> band = ring_band(16.0, (4, 4), (2, 2), "D", 16)
    >>> wider = fit_bore(band, everything(band.topology, "face"), 17.0).cage
    >>> bool(abs(ring_bore(wider).diameter - 17.0) < 1e-5)
    True
    """
    if not (np.isfinite(diameter) and diameter > 0):
        raise BadNumberError(f"A bore is a length above 0; {length_words(diameter)} is not.")
    now = ring_bore(cage)
    frame = frame_along(now.along)
    flat = (cage.positions - np.asarray(now.point)) @ frame[:, :2]
    radius = np.linalg.norm(flat, axis=1)
    low, high = float(radius.min()), float(radius.max())
    if moved == "inside":
        if diameter >= 2 * high - 1e-6:
            raise BadNumberError(
                f"A bore of {length_words(diameter)} leaves no wall: the form is {fine_length_words(2 * high)} wide "
                f"there."
            )
        share = np.clip((high - radius) / max(high - low, 1e-9), 0, 1)
    else:
        share = np.ones(len(radius))
    ways = (flat / np.maximum(radius, 1e-12)[:, None]) @ frame[:, :2].T
    stencils = build_stencils(cage, 3 if cage.topology.corner_count <= 4_000 else 2)

    def bore_at(by: float) -> float:
        points = evaluate(stencils, cage.with_positions(cage.positions + by * share[:, None] * ways)).points
        return 2 * float(np.linalg.norm((points - np.asarray(now.point)) @ frame[:, :2], axis=1).min())

    by = 0.0
    for _ in range(_ROUNDS):
        short = diameter - bore_at(by)
        if abs(short) < 1e-8 * diameter:
            break
        # Nearly all of what the inside moves by is what the bore gains.
        slope = max((bore_at(by + 1e-4) - bore_at(by)) / 1e-4, 0.2)
        by += short / slope
    return same_structure(cage.with_positions(cage.positions + by * share[:, None] * ways), selection)


def ring_bore(cage: Cage) -> Bore:
    """The bore of a cage's limit surface. Raises NoBoreError."""
    stencils = build_stencils(cage, 3 if cage.topology.corner_count <= 4_000 else 2)
    points: Floats = evaluate(stencils, cage).points
    found = bore(points, stencils.triangles)
    if found is None:
        raise NoBoreError("No cylinder goes through this form along x, y or z: it has no bore to be fitted.")
    return found
