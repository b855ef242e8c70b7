"""What every primitive asks of its numbers, and the cage made from a list of quads."""

from __future__ import annotations

from collections.abc import Sequence

import numpy as np

from zinc_otter.core.cage.cage import LARGEST_LENGTH, Cage
from zinc_otter.core.cage.topology import Floats, Ints, Topology
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.words import length_words

Sizes = Sequence[float] | Floats


def check_sizes(size: Sizes, count: int) -> tuple[float, ...]:
    """Raise BadNumberError unless ``size`` holds ``count`` lengths that make a form."""
    if len(size) != count:
        raise BadNumberError(f"{count} sizes are needed, not {len(size)}.")
    for value in size:
        if not np.isfinite(value) or not 1e-3 <= value <= LARGEST_LENGTH:
            raise BadNumberError(f"A size must lie between 0.001 mm and 1 km; {length_words(value)} does not.")
    return tuple(float(value) for value in size)


def check_counts(counts: Sequence[int], count: int, least: Sequence[int] | None = None) -> tuple[int, ...]:
    """The face counts as plain numbers; raise BadNumberError unless each is at least one, or its ``least``."""
    if len(counts) != count:
        raise BadNumberError(f"{count} face counts are needed, not {len(counts)}.")
    for value, low in zip(counts, least or [1] * count, strict=True):
        if int(value) != value or value < low:
            raise BadNumberError(f"A face count must be a whole number from {low} here; {value} is not.")
    return tuple(int(value) for value in counts)


def of_quads(positions: Floats, quads: Ints) -> Cage:
    """The cage of points (n, 3) and quads (m, 4) or flat (4m,)."""
    face_verts = np.asarray(quads).ravel().astype(np.int32)
    offsets = np.arange(0, len(face_verts) + 1, 4, dtype=np.int32)
    return Cage(positions, Topology.checked(len(positions), face_verts, offsets))


def of_faces(positions: Floats, quads: Ints, triangles: Ints) -> Cage:
    """The cage of quads (m, 4) and triangles (k, 3) over points (n, 3)."""
    flat = np.concatenate([np.asarray(quads).ravel(), np.asarray(triangles).ravel()]).astype(np.int32)
    sizes = np.concatenate([np.full(len(quads), 4), np.full(len(triangles), 3)])
    offsets = np.concatenate([[0], np.cumsum(sizes)]).astype(np.int32)
    return Cage(positions, Topology.checked(len(positions), flat, offsets))
