"""A design as a value: its pieces, and the references that it is built around."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.face_bound import check_face_total
from zinc_otter.core.cage.symmetry import Plane, Symmetry, mirrored_copy, symmetric_edit
from zinc_otter.core.errors import CoreError, TooManyFacesError
from zinc_otter.core.solid.followers import Follower
from zinc_otter.core.solid.followers.moving import similarity_between, taken_along
from zinc_otter.studio.references import Reference

MOST_IN_DESIGN = 200_000
"""Faces of all pieces together."""


class UnknownPieceError(CoreError):
    """A piece or reference that the design does not have."""

    kind = "unknown-piece"
    title = "There is no such piece"
    status = 404


class LockedError(CoreError):
    """A change of something that is locked."""

    kind = "locked"
    title = "It is locked"


class FollowsError(CoreError):
    """A change of a piece that follows another."""

    kind = "follows"
    title = "It follows another piece"


@dataclass(frozen=True)
class Follows:
    """That a piece is the image of another, ``source``, in a mirror plane."""

    source: str
    plane: Plane


@dataclass(frozen=True, eq=False)
class Piece:
    """One thing in a design: a named cage, shown or hidden, free or locked.

    ``colour`` is the name of one of the workshop's clays; pieces of one ``group`` (a name) are shown, locked and placed
    together. A variant knows the id of its ``original``. With a ``symmetry`` every edit is done on all sides at once; a
    piece that ``follows`` another is computed from it. Its ``followers`` lead from its form to its solid.
    """

    id: str
    name: str
    cage: Cage
    visible: bool = True
    locked: bool = False
    colour: str = "clay"
    group: str | None = None
    original: str | None = None
    symmetry: Symmetry | None = None
    follows: Follows | None = None
    followers: tuple[Follower, ...] = ()


@dataclass(frozen=True, eq=False)
class Design:
    """The pieces in their order, the references, and the number that the next new one takes."""

    pieces: tuple[Piece, ...] = ()
    next_number: int = 1
    references: tuple[Reference, ...] = ()

    def piece(self, piece_id: str) -> Piece:
        """The piece of this id. Raises UnknownPieceError."""
        for piece in self.pieces:
            if piece.id == piece_id:
                return piece
        raise UnknownPieceError(f"This design has no piece {piece_id!r}.")

    def free_piece(self, piece_id: str) -> Piece:
        """The piece, to be changed. Raises UnknownPieceError, LockedError."""
        piece = self.piece(piece_id)
        if piece.locked:
            raise LockedError(f"{piece.name} is locked; unlock it first.")
        return piece

    def shapeable_piece(self, piece_id: str) -> Piece:
        """The piece, to be given another form. Raises UnknownPieceError, LockedError, FollowsError."""
        piece = self.free_piece(piece_id)
        if piece.follows is not None:
            source = self.piece(piece.follows.source).name
            raise FollowsError(f"{piece.name} follows {source} in a mirror: shape {source}, or make it independent.")
        return piece

    def reference(self, reference_id: str) -> Reference:
        """The reference of this id. Raises UnknownPieceError."""
        for reference in self.references:
            if reference.id == reference_id:
                return reference
        raise UnknownPieceError(f"This design has no reference {reference_id!r}.")

    def free_reference(self, reference_id: str) -> Reference:
        """The reference, to be changed. Raises UnknownPieceError, LockedError."""
        reference = self.reference(reference_id)
        if reference.locked:
            raise LockedError(f"{reference.name} is locked; unlock it first.")
        return reference

    def free_name(self, name: str) -> str:
        """The name, with a number behind it where it is taken."""
        taken = {piece.name for piece in self.pieces} | {reference.name for reference in self.references}
        free = name
        number = 2
        while free in taken:
            free = f"{name} {number}"
            number += 1
        return free

    def with_new_piece(self, name: str, cage: Cage, like: Piece | None = None) -> tuple[Design, Piece]:
        """The design with one piece more, and that piece; directly behind the piece that it is ``like``."""
        self._check_faces(cage, 0)
        piece = Piece(f"p{self.next_number}", self.free_name(name), cage)
        at = len(self.pieces)
        if like is not None:
            symmetry = like.symmetry if cage.topology is like.cage.topology else None
            followers = like.followers if cage.topology is like.cage.topology else ()
            piece = replace(piece, colour=like.colour, group=like.group, symmetry=symmetry, followers=followers)
            at = next(i for i, other in enumerate(self.pieces) if other.id == like.id) + 1
        pieces = (*self.pieces[:at], piece, *self.pieces[at:])
        return replace(self, pieces=pieces, next_number=self.next_number + 1), piece

    def with_new_reference(self, reference: Reference) -> tuple[Design, Reference]:
        """The design with one reference more, under an id and name of its own."""
        named = replace(reference, id=f"r{self.next_number}", name=self.free_name(reference.name))
        return replace(self, references=(*self.references, named), next_number=self.next_number + 1), named

    def with_piece(self, changed: Piece) -> Design:
        """The design with the piece of the same id replaced, and what follows it computed anew."""
        before = self.piece(changed.id)
        self._check_faces(changed.cage, before.cage.topology.face_count)
        design = replace(self, pieces=tuple(changed if piece is before else piece for piece in self.pieces))
        if changed.cage is not before.cage:
            for piece in design.pieces:
                if piece.follows is not None and piece.follows.source == changed.id:
                    design = design.with_piece(
                        replace(piece, cage=mirrored_copy(changed.cage, piece.follows.plane))
                    )
        return design

    def edited(
        self, piece_id: str, picked: Selection, edit: Callable[[Cage, Selection], Edit]
    ) -> tuple[Design, Edit]:
        """The design with one piece edited: every change of a cage's form goes through here.

        A symmetric piece is edited on all sides. Raises UnknownPieceError, LockedError, FollowsError, SymmetryError and
        what the edit raises.
        """
        piece = self.shapeable_piece(piece_id)
        symmetry = None
        if piece.symmetry is None:
            done = edit(piece.cage, picked)
        else:
            done, symmetry = symmetric_edit(piece.cage, piece.symmetry, picked, edit)
        return self.with_symmetric(piece, done, symmetry), done

    def with_symmetric(self, piece: Piece, done: Edit, symmetry: Symmetry | None) -> Design:
        """The design with a piece after an edit that settled its symmetry itself."""
        followers = piece.followers
        if followers and done.cage.topology is piece.cage.topology:
            # Moved as a whole, a piece takes its followers along.
            matrix = similarity_between(piece.cage.positions, done.cage.positions)
            if matrix is not None:
                followers = tuple(taken_along(follower, matrix) for follower in followers)
        return self.with_piece(replace(piece, cage=done.cage, symmetry=symmetry, followers=followers))

    def _check_faces(self, cage: Cage, before: int) -> None:
        """Raise TooManyFacesError where a cage that had so many faces ``before`` grows beyond what can be worked with."""
        count = cage.topology.face_count
        check_face_total(count, before)
        total = sum(piece.cage.topology.face_count for piece in self.pieces) + count - before
        if count > before and total > MOST_IN_DESIGN:
            raise TooManyFacesError(
                f"The pieces of the design would have {total:,} faces; {MOST_IN_DESIGN:,} are the most together."
            )

    def with_reference(self, changed: Reference) -> Design:
        """The design with the reference of the same id replaced."""
        return replace(self, references=tuple(changed if r.id == changed.id else r for r in self.references))

    def without_piece(self, piece_id: str) -> Design:
        """The design less one piece. Raises UnknownPieceError."""
        gone = self.piece(piece_id)
        left = [piece for piece in self.pieces if piece is not gone]
        # What followed it stays as it is, on its own.
        freed = [replace(p, follows=None) if p.follows is not None and p.follows.source == piece_id else p for p in left]
        return replace(self, pieces=tuple(freed))

    def without_reference(self, reference_id: str) -> Design:
        """The design less one reference. Raises UnknownPieceError."""
        gone = self.reference(reference_id)
        return replace(self, references=tuple(r for r in self.references if r is not gone))
