"""Followers in designs: as data that is checked when it comes in, and as the recipe that a solid is made from."""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from dataclasses import asdict, replace
from functools import reduce
from operator import or_
from typing import TYPE_CHECKING, Annotated, Any

import numpy as np
from pydantic import ConfigDict, Field, TypeAdapter, ValidationError

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.growth.repeat import Repeat
from zinc_otter.core.repeated import Repeated
from zinc_otter.core.solid.followers import KINDS, Combine, Follower, PieceBody
from zinc_otter.core.solid.followers.copies import AtPlaces
from zinc_otter.core.solid.followers.settings.base import Setting
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.core.stone.stone import Stone
from zinc_otter.studio.design import Design, Piece
from zinc_otter.studio.images import motions_of

if TYPE_CHECKING:
    AnyFollower = Follower
else:
    AnyFollower = Annotated[reduce(or_, KINDS), Field(discriminator="kind")]
    """Any of the followers, told apart by their ``kind``."""

_ADAPTER: TypeAdapter[Follower] = TypeAdapter(AnyFollower, config=ConfigDict(extra="forbid"))

MOST = 40
"""Followers of one piece."""


def read_follower(data: Mapping[str, Any]) -> Follower:
    """From its document. Raises BadNumberError."""
    try:
        return _ADAPTER.validate_python(data)
    except ValidationError as error:
        raise BadNumberError(str(error.errors()[0]["msg"])) from None


def follower_document(follower: Follower) -> dict[str, Any]:
    """As JSON can hold it."""
    return asdict(follower)


def recipe_of(design: Design, piece_id: str, solid: Callable[[str], bytes] | None = None) -> Recipe:
    """All that the solid of a piece is made from; ``solid`` gives an imported solid by its asset.

    A piece that is gone, or a curve, is left out, and the follower that names it will wait. Raises UnknownPieceError,
    NoFacesError for a curve.
    """
    piece = design.piece(piece_id)
    if isinstance(piece.grown, Repeat):
        return _repeated(design, piece, piece.grown, solid)
    taken = _taken_part_of(design, piece, solid)
    return Recipe(
        piece.name, piece.faces, piece.followers, *taken, _stones(design, piece), levels=piece.relief_in_solid
    )  # fmt: skip


def _stones(design: Design, piece: Piece) -> dict[str, Sequence[tuple[Stone, Floats]]]:
    """What lies where, of the pieces of stones that a piece's followers hold."""
    wanted = {one for follower in piece.followers if follower.on for one in follower.set_stones}
    forms = {other.id: other.form for other in design.pieces if other.id in wanted}
    return {one: form.stones for one, form in forms.items() if isinstance(form, Repeated)}


def clearances_in(design: Design) -> dict[str, float]:
    """By the ids of pieces of stones that are set: by how many mm their seats are wider than they are."""
    return {
        one: follower.clearance
        for piece in design.pieces
        for follower in piece.followers
        if follower.on and isinstance(follower, Setting)
        for one in follower.set_stones
    }


def _taken_part_of(
    design: Design, piece: Piece, solid: Callable[[str], bytes] | None
) -> tuple[dict[str, Recipe], dict[str, bytes]]:
    """The recipes of other pieces, and the imported solids, that a piece's own followers take part of."""
    there = {other.id for other in design.pieces if other.curve is None}
    on = [follower for follower in piece.followers if follower.on]
    others = {other: recipe_of(design, other, solid) for follower in on for other in follower.pieces if other in there}
    solids = {} if solid is None else {asset: solid(asset) for follower in on for asset in follower.solids}
    return others, solids


def _repeated(design: Design, piece: Piece, growth: Repeat, solid: Callable[[str], bytes] | None) -> Recipe:
    """The bodies of a repeat's originals in all their places, their own among them, united where they meet."""
    motions = motions_of(design, growth)
    if growth.own:
        motions = np.concatenate([np.eye(4)[None], motions])
    rows = tuple(tuple(float(x) for x in motion.ravel()) for motion in motions)
    first, *rest = (recipe_of(design, one, solid) for one in growth.originals)
    others, solids = dict(first.others), dict(first.solids)
    followers: tuple[Follower, ...] = (*first.followers, AtPlaces(f"{piece.id} images", places=rows))
    for one, recipe in zip(growth.originals[1:], rest, strict=True):
        key = f"{one} in {piece.id}"
        others[key] = replace(recipe, followers=(*recipe.followers, AtPlaces(f"{key} images", places=rows)))
        solids |= recipe.solids
        followers = (*followers, Combine(key, way="union", body=PieceBody(key)))
    own_others, own_solids = _taken_part_of(design, piece, solid)
    all_others, all_solids = {**others, **own_others}, {**solids, **own_solids}
    stones = {**first.stones, **_stones(design, piece)}
    apart = rows if growth.bodies == "apart" and not rest and not piece.followers else ()
    return Recipe(piece.name, first.cage, (*followers, *piece.followers), all_others, all_solids, stones, apart)


def takes_part_of(design: Design, piece_id: str) -> set[str]:
    """The ids of all pieces that a piece's followers take part of, in turn, and its own."""
    seen: set[str] = set()
    left = [piece_id]
    while left:
        at = left.pop()
        if at not in seen:
            seen.add(at)
            left += [
                other
                for piece in design.pieces
                if piece.id == at
                for follower in piece.followers
                for other in follower.pieces
            ]
    return seen
