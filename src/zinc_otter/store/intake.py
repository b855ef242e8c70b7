"""Whether a design from a file is one that commands could have made: looked at whole, before anything is kept."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Annotated, Any, Literal

import numpy as np
from pydantic import BaseModel, ConfigDict, Field, StrictBool, StrictInt, ValidationError

from zinc_otter.core.cage import Cage, Topology
from zinc_otter.core.cage.symmetry.line_symmetry import LineSymmetry
from zinc_otter.core.errors import CoreError, FileFormatError
from zinc_otter.core.form import controls
from zinc_otter.core.formats.surfaces.appearance import CLAYS
from zinc_otter.core.relief.in_patches import MOST_LEVELS
from zinc_otter.studio.design import Design, Piece, growing_order
from zinc_otter.studio.followers import takes_part_of
from zinc_otter.studio.references import Component, Picture, Reference

Id = Annotated[str, Field(min_length=1, max_length=20)]
Name = Annotated[str, Field(min_length=1, max_length=80)]
Number = Annotated[float, Field(ge=-1e6, le=1e6, allow_inf_nan=False)]
Vector = tuple[Number, Number, Number]
MOST_FACES = 200_000


class _Strict(BaseModel):
    model_config = ConfigDict(strict=True, extra="forbid")


class _PieceFacts(_Strict):
    id: Id
    name: Name
    visible: StrictBool
    locked: StrictBool
    colour: str
    group: Name | None
    original: Id | None
    relief_in_solid: Annotated[StrictInt, Field(ge=0, le=MOST_LEVELS)]


class _ReferenceFacts(_Strict):
    id: Id
    name: Name
    centre: Vector
    opacity: Annotated[float, Field(ge=0, le=1, allow_inf_nan=False)]
    visible: StrictBool
    locked: StrictBool


class _PictureFacts(_ReferenceFacts):
    pixels: tuple[Annotated[int, Field(ge=1, le=100_000)], Annotated[int, Field(ge=1, le=100_000)]]
    view: Literal["front", "back", "right", "left", "top", "bottom"]
    width: Annotated[float, Field(gt=0, le=1e6, allow_inf_nan=False)]
    degrees: Number
    in_front: StrictBool


class _ComponentFacts(_ReferenceFacts):
    triangles: Annotated[int, Field(ge=1, le=10**8)]
    size: Vector
    rotation: tuple[Vector, Vector, Vector]
    clearance: Annotated[float, Field(ge=0, le=1e6, allow_inf_nan=False)]
    scan: StrictBool
    stand: StrictBool


def checked_design(design: Design, kinds: Mapping[str, str]) -> Design:
    """The design itself; ``kinds`` tells of each asset what it is: "picture", "mesh" or "solid".

    Raises FileFormatError naming the piece or reference and what is the matter with it.
    """
    try:
        growing_order(design.pieces)
    except CoreError as error:
        raise FileFormatError(f"In the archive {error}") from None
    number = design.next_number
    if not isinstance(number, int) or isinstance(number, bool) or not 1 <= number <= 10**9:
        raise FileFormatError("The archive's next number is none.")
    ids = [thing.id for thing in (*design.pieces, *design.references)]
    if len(set(map(str, ids))) < len(ids):
        raise FileFormatError("Two pieces or references of the archive have one id.")
    for place, piece in enumerate(design.pieces, start=1):
        where = f"Piece {place} of the archive"
        facts = {key: getattr(piece, key) for key in _PieceFacts.model_fields}
        _held(where, _PieceFacts, facts)
        if piece.colour not in CLAYS:
            raise FileFormatError(f"{where} has a colour that there is not.")
        if isinstance(piece.form, Cage):
            _check_cage(where, piece.cage)
        _check_symmetry(where, piece)
        _check_ties(where, design, piece)
        for follower in piece.followers:
            _need(where, kinds, follower.solids, "solid")
    for place, reference in enumerate(design.references, start=1):
        where = f"Reference {place} of the archive"
        shape: type[_ReferenceFacts] = _PictureFacts if isinstance(reference, Picture) else _ComponentFacts
        _held(where, shape, {key: _of(reference, key) for key in shape.model_fields})
        _need(where, kinds, (reference.asset,), "mesh" if isinstance(reference, Component) else "picture")
    return design


def _of(reference: Reference, key: str) -> Any:
    value = getattr(reference, key)
    whole = key in ("pixels", "triangles")
    if isinstance(value, tuple):
        return tuple(tuple(map(_number, row)) if isinstance(row, tuple) else row if whole else _number(row) for row in value)
    return value if whole else _number(value)


def _number(value: Any) -> Any:
    # JSON makes no difference between 1 and 1.0.
    return float(value) if isinstance(value, int) and not isinstance(value, bool) else value


def _held(where: str, shape: type[BaseModel], facts: Mapping[str, Any]) -> None:
    try:
        shape(**facts)
    except ValidationError as error:
        field = ".".join(str(part) for part in error.errors()[0]["loc"][:1])
        raise FileFormatError(f"{where}: its {field.replace('_', ' ')} is not what it can be.") from None


def _need(where: str, kinds: Mapping[str, str], assets: tuple[str, ...], kind: str) -> None:
    for asset in assets:
        if kinds.get(asset) != kind:
            raise FileFormatError(f"{where} needs a {kind}; what the archive has for it is none.")


def _check_cage(where: str, cage: Cage) -> None:
    t = cage.topology
    verts, offsets = t.face_verts, t.face_offsets
    if verts.ndim != 1 or offsets.ndim != 1 or verts.dtype.kind != "i" or offsets.dtype.kind != "i":
        raise FileFormatError(f"{where}: its faces are no lists of numbers.")
    if not 2 <= len(offsets) <= MOST_FACES or offsets[0] != 0 or offsets[-1] != len(verts) or (np.diff(offsets) < 3).any():
        raise FileFormatError(f"{where}: its faces do not add up.")
    if len(verts) and (verts.min() < 0 or verts.max() >= len(cage.positions)):
        raise FileFormatError(f"{where}: a face names a vertex that is not there.")
    try:
        Topology.checked(t.vertex_count, verts, offsets)
    except CoreError as error:
        raise FileFormatError(f"{where}: {error}") from None
    if not all(isinstance(name, str) and 1 <= len(name) <= 80 for name in cage.face_sets):
        raise FileFormatError(f"{where}: a face set has no name, or a very long one.")


def _check_symmetry(where: str, piece: Piece) -> None:
    held = piece.symmetry
    if held is None:
        return
    of_line = isinstance(held, LineSymmetry)
    count = piece.cage.topology.vertex_count if of_line else piece.cage.topology.corner_count
    for images in held.corners:
        if images.shape != (count,) or images.dtype.kind != "i" or not np.array_equal(np.sort(images), np.arange(count)):
            raise FileFormatError(f"{where}: its symmetry does not go with its faces.")
    if len(held.corners) != len(held.group.generators):
        raise FileFormatError(f"{where}: its symmetry does not go with its planes.")
    if isinstance(held, LineSymmetry) and not held.is_sound:
        raise FileFormatError(f"{where}: its symmetry is none that a curve can have.")


def _check_ties(where: str, design: Design, piece: Piece) -> None:
    ids = {other.id for other in design.pieces}
    if piece.grown is not None and not ids.issuperset(piece.grown.sources):
        raise FileFormatError(f"{where} follows a piece that is not there.")
    if piece.pulled is not None and piece.pulled.local.shape != controls(piece.form).positions.shape:
        raise FileFormatError(f"{where}: what was pulled on it does not go with its points.")
    for follower in piece.followers:
        if any(piece.id in takes_part_of(design, other) for other in follower.pieces):
            raise FileFormatError(f"{where}: {follower.called} takes part of the piece itself.")
