"""Which kinds there are, and what each can hold."""

from __future__ import annotations

from collections.abc import Callable
from typing import TypeVar

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.formats.cages import obj, ply, usd
from zinc_otter.core.formats.cages.cleaning import Cleaner, Cleaning, Finding
from zinc_otter.core.formats.cages.loaded import Loaded
from zinc_otter.core.formats.mesh import read_mesh

_Kind = TypeVar("_Kind")
_MOST = 2_000_000
"""Triangles of a file that are looked at to make a cage of; one in the end has far fewer faces."""
Reader = Callable[..., Loaded]
Colour = tuple[float, float, float]
Writer = Callable[[Cage, str, Colour | None], bytes]

READ: dict[str, Reader] = {"obj": obj.read, "ply": ply.read, "usd": usd.read, "usda": usd.read, "usdc": usd.read}
WRITTEN: dict[str, Writer] = {
    "obj": lambda cage, name, _: obj.write(cage, name), "ply": lambda cage, name, _: ply.write(cage, name),
    "usda": lambda cage, name, colour: usd.write(cage, name, "usda", colour),
    "usdc": lambda cage, name, colour: usd.write(cage, name, "usdc", colour),
    "usd": lambda cage, name, colour: usd.write(cage, name, "usdc", colour),
}  # fmt: skip


def read_cage(data: bytes, suffix: str) -> Loaded:
    """The cage of a file of this kind ("obj", "ply", "usd", "usda", "usdc").

    Raises FileFormatError, UnsoundCageError where the faces make no manifold.
    """
    return _of(READ, suffix)(data)


def read_cleaned(data: bytes, suffix: str, cleaning: Cleaning, scale: float = 1.0) -> tuple[Loaded, tuple[Finding, ...]]:
    """The cage of a file of polygons or, of the kinds "stl", "glb", "3mf", of triangles, cleaned; and what was set right.

    ``scale`` takes the file's numbers to millimetres, where it does not say so itself. Raises FileFormatError.
    """
    plain = suffix.lower().lstrip(".")
    cleaner = Cleaner(cleaning, 1.0 if plain in KNOW_THEIR_UNIT else scale)
    if plain in READ:
        return READ[plain](data, cleaner), tuple(cleaner.findings)
    mesh = read_mesh(data, plain, None if plain in KNOW_THEIR_UNIT else "mm", _MOST, "a cage")
    flat = mesh.triangles.ravel().astype(np.int64)
    cage = cleaner(mesh.vertices, flat, np.full(len(mesh.triangles), 3, dtype=np.int64))
    return Loaded(cage, tuple(f"{note[:1].upper()}{note[1:]}." for note in mesh.notes)), tuple(cleaner.findings)


KNOW_THEIR_UNIT = ("usd", "usda", "usdc", "glb", "3mf")


def write_cage(cage: Cage, suffix: str, name: str = "Cage", colour: Colour | None = None) -> bytes:
    """A file of this kind; ``name`` and ``colour`` (sRGB) go in where the kind has a place for them.

    Raises FileFormatError for an unknown kind.
    """
    return _of(WRITTEN, suffix)(cage, name, colour)


def lost(cage: Cage, suffix: str) -> tuple[str, ...]:
    """What of a cage a kind of file cannot hold, in words."""
    if suffix.lower().lstrip(".") != "obj":
        return ()
    words = ["creases"] if cage.edge_sharpness.any() or cage.vertex_sharpness.any() else []
    return tuple([*words, "face sets"] if cage.face_sets else words)


def _of(kinds: dict[str, _Kind], suffix: str) -> _Kind:
    plain = suffix.lower().lstrip(".")
    found = kinds.get(plain)
    if found is None:
        raise FileFormatError(f"No cage is kept in .{plain} files; there are {', '.join(sorted(kinds))}.")
    return found
