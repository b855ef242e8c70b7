"""What reading a cage gives, and how faces become one."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.cage.cage import HARD, Cage
from zinc_otter.core.cage.edit import edges_between
from zinc_otter.core.cage.topology import Floats, Ints, Topology
from zinc_otter.core.errors import FileFormatError

FURTHEST = 1e9
"""mm from the origin, beyond which numbers are taken for broken ones."""
MOST_CORNERS = 1_000
MOST_FACES = 500_000

Build = Callable[..., Cage]
"""What makes a cage of what was read: ``cage_of``, or a cleaner, with its arguments, that sets it right first."""


@dataclass(frozen=True, eq=False)
class Loaded:
    """A cage that was read, and sentences on what the file held beside it or lacked.

    The ``name`` and ``colour`` (sRGB from 0 to 1) that it has there, if any.
    """

    cage: Cage
    remarks: tuple[str, ...] = ()
    name: str = ""
    colour: tuple[float, float, float] | None = None


def cage_of(
    positions: Floats,
    face_verts: Ints,
    face_sizes: Ints,
    creases: tuple[Ints, Floats] | None = None,
    corners: tuple[Ints, Floats] | None = None,
    face_sets: Mapping[str, ArrayLike] | None = None,
) -> Cage:
    """The cage of faces over positions (n, 3); ``creases`` are vertex pairs (k, 2) and sharpness, ``corners`` vertices.

    Raises FileFormatError naming what points nowhere, UnsoundCageError where the faces make no manifold.
    """
    refuse_broken(positions, face_verts, face_sizes)
    refuse_strange_marks(len(positions), creases, corners)
    n = len(positions)
    if (face_sizes < 3).any():
        raise FileFormatError(f"Face {int(np.argmax(face_sizes < 3))} has fewer than three corners.")
    offsets = np.concatenate([[0], np.cumsum(face_sizes)]).astype(np.int32)
    topology = Topology.checked(n, face_verts.astype(np.int32), offsets)
    edges, verts = np.zeros(topology.edge_count), np.zeros(n)
    if creases is not None and len(creases[0]):
        found = edges_between(topology, creases[0])
        missing = np.flatnonzero(found < 0)
        if len(missing):
            a, b = creases[0][missing[0]]
            raise FileFormatError(f"A crease runs between vertices {a} and {b}, where there is no edge.")
        edges[found] = np.clip(creases[1], 0, HARD)
    if corners is not None and len(corners[0]):
        verts[corners[0]] = np.clip(corners[1], 0, HARD)
    return Cage(positions, topology, edges, verts, face_sets)


def refuse_broken(positions: Floats, face_verts: Ints, face_sizes: Ints) -> None:
    """Raise FileFormatError for no faces, too many, or such as name what is not there, and for points that are nowhere."""
    if len(face_sizes) == 0:
        raise FileFormatError("The file holds no faces.")
    if len(face_sizes) > MOST_FACES:
        raise FileFormatError(f"The file holds {len(face_sizes):,} faces; a cage of at most {MOST_FACES:,} can be read.")
    if face_sizes.max() > MOST_CORNERS:
        at = int(np.argmax(face_sizes > MOST_CORNERS))
        raise FileFormatError(
            f"Face {at} has {int(face_sizes[at]):,} corners; a face of a cage has at most {MOST_CORNERS:,}. Part it into "
            "smaller faces first."
        )
    if int(face_sizes.sum()) != len(face_verts):
        raise FileFormatError("The file's faces do not add up: corners are missing.")
    wrong = np.flatnonzero((face_verts < 0) | (face_verts >= len(positions)))
    if len(wrong):
        at = int(np.searchsorted(np.cumsum(face_sizes), wrong[0], side="right"))
        raise FileFormatError(f"Face {at} names vertex {face_verts[wrong[0]]}, but the file has {len(positions)} vertices.")
    nowhere = ~np.isfinite(positions).all(axis=1)
    if nowhere.any():
        raise FileFormatError(f"{int(nowhere.sum())} vertices have coordinates that are no numbers.")
    if np.abs(positions).max() > FURTHEST:
        raise FileFormatError(f"A vertex lies further than {FURTHEST / 1e6:g} km from the origin; look at the file's unit.")


def refuse_strange_marks(
    count: int, creases: tuple[Ints, Floats] | None, corners: tuple[Ints, Floats] | None
) -> None:
    """Raise FileFormatError for creases and corners that name none of ``count`` vertices, or have no plain sharpness."""
    for what, marks in (("A crease", creases), ("A sharp corner", corners)):
        if marks is None or len(marks[0]) == 0:
            continue
        if marks[0].min() < 0 or marks[0].max() >= count:
            raise FileFormatError(f"{what} names a vertex that is not there.")
        if not np.isfinite(np.asarray(marks[1], dtype=np.float64)).all():
            raise FileFormatError(f"{what} has a sharpness that is no number.")
