"""A design as a value: its pieces, what grows from what among them, and the references that it is built around."""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, replace

from zinc_otter.core.cage import Cage, Edit, Selection
from zinc_otter.core.cage.edit import ElementMap
from zinc_otter.core.cage.face_bound import check_face_total
from zinc_otter.core.cage.symmetry import Symmetry, symmetric_edit
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.errors import BadNumberError, CoreError, TooManyFacesError
from zinc_otter.core.form import Form, controls, own_faces, require_faces, standing, with_controls
from zinc_otter.core.growth.base import Growth, Outgrowth, grown
from zinc_otter.core.growth.pulls import Pulls, pulls_between
from zinc_otter.core.proving.base import Proof
from zinc_otter.core.relief.stamps.shipped import SHIPPED, shipped
from zinc_otter.core.relief.stamps.stamp import Stamp
from zinc_otter.core.solid.followers import Follower
from zinc_otter.core.solid.followers.moving import similarity_between, taken_along
from zinc_otter.studio.references import Reference
from zinc_otter.studio.relief_kept import relief_told, with_relief_kept, with_relief_of

MOST_STAMPS = 60
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


@dataclass(frozen=True, eq=False)
class Piece:
    """One thing in a design: a named form, shown or hidden, free or locked.

    ``colour`` is the name of one of the workshop's clays, and ``finish`` what it is of in pictures; pieces of one ``group``
    (a name) are shown, locked and placed together. A variant knows the id of its ``original``. With a ``symmetry`` every
    edit is done on all sides at once. The form of a piece that has a ``grown`` is made from the forms of others, with what
    a hand ``pulled`` on top. Its ``followers`` lead from its form to its solid.
    """

    id: str
    name: str
    form: Form
    visible: bool = True
    locked: bool = False
    colour: str = "clay"
    finish: str = "clay"
    relief_in_solid: int = 0
    """How many levels of its relief its solid holds as patches."""
    group: str | None = None
    original: str | None = None
    symmetry: Symmetry | None = None
    grown: Growth | None = None
    pulled: Pulls | None = None
    followers: tuple[Follower, ...] = ()

    @property
    def cage(self) -> Cage:
        """The control points, with faces where there are any."""
        return controls(self.form)

    @property
    def curve(self) -> Curve | None:
        return self.form if isinstance(self.form, Curve) else None

    @property
    def faces(self) -> Cage:
        """The cage, for what works on faces. Raises NoFacesError for a curve."""
        return require_faces(self.form, self.name)


@dataclass(frozen=True, eq=False)
class OwnStamp:
    """A stamp of this design, beside those that are shipped."""

    id: str
    name: str
    stamp: Stamp


@dataclass(frozen=True, eq=False)
class Design:
    """The pieces in their order, the references, the number that the next new one takes, and what is asked of the pieces."""

    pieces: tuple[Piece, ...] = ()
    next_number: int = 1
    references: tuple[Reference, ...] = ()
    proofs: tuple[Proof, ...] = ()
    stamps: tuple[OwnStamp, ...] = ()

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
        """The piece, to be given another form of its own. Raises UnknownPieceError, LockedError, FollowsError."""
        piece = self.free_piece(piece_id)
        if piece.grown is not None:
            raise FollowsError(f"{self._tied(piece, piece.grown)}: make it independent to change its faces.")
        return piece

    def pullable_piece(self, piece_id: str) -> Piece:
        """The piece, to be pulled or given relief: one that grows keeps it on top. Raises as shapeable_piece."""
        piece = self.free_piece(piece_id)
        if piece.grown is not None and not piece.grown.pulled:
            source = self.piece(piece.grown.sources[0]).name
            raise FollowsError(f"{self._tied(piece, piece.grown)}: shape {source}, or make it independent.")
        return piece

    def _tied(self, piece: Piece, growth: Growth) -> str:
        sources = " and ".join(self.piece(source).name for source in growth.sources)
        return f"{piece.name} follows {sources}{growth.tie}"

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

    @property
    def names(self) -> dict[str, str]:
        """What pieces and references are called, by their ids."""
        return {piece.id: piece.name for piece in self.pieces} | {one.id: one.name for one in self.references}

    def with_new_piece(self, name: str, form: Form, like: Piece | None = None) -> tuple[Design, Piece]:
        """The design with one piece more, and that piece; directly behind the piece that it is ``like``."""
        self._check_faces(form, 0)
        piece = Piece(f"p{self.next_number}", self.free_name(name), form)
        at = len(self.pieces)
        if like is not None:
            alike = isinstance(form, Cage) and isinstance(like.form, Cage) and form.topology is like.form.topology
            symmetry = like.symmetry if alike or _shifted(like.form, form) else None
            followers = like.followers if alike else ()
            piece = replace(piece, form=with_relief_of(like.form, form))
            piece = replace(
                piece, colour=like.colour, finish=like.finish, group=like.group, symmetry=symmetry, followers=followers
            )
            at = next(i for i, other in enumerate(self.pieces) if other.id == like.id) + 1
        pieces = (*self.pieces[:at], piece, *self.pieces[at:])
        return replace(self, pieces=pieces, next_number=self.next_number + 1), piece

    def with_new_growth(self, name: str, growth: Growth, like: Piece | None = None) -> tuple[Design, Piece]:
        """The design with one piece more that grows from others. Raises UnknownPieceError and what the growth raises."""
        design, piece = self.with_new_piece(name, self.outgrowth(growth).form, like)
        piece = replace(piece, grown=growth, symmetry=None)
        return design.with_piece(piece), piece

    def outgrowth(self, growth: Growth) -> Outgrowth:
        """What grows, as things stand. Raises UnknownPieceError and what the growth raises."""
        return grown(growth, tuple(self.piece(source).form for source in growth.sources))

    def stamp(self, name: str) -> Stamp:
        """The shipped stamp of this name, or the design's own of this id. Raises UnknownPieceError."""
        if name in SHIPPED:
            return shipped(name)
        for own in self.stamps:
            if own.id == name:
                return own.stamp
        raise UnknownPieceError(f"This design has no stamp {name!r}.")

    def stamp_name(self, name: str) -> str:
        """What the stamp of this name or id is called."""
        return next((own.name for own in self.stamps if own.id == name), name)

    def with_new_stamp(self, name: str, stamp: Stamp) -> Design:
        """The design with one stamp more. Raises BadNumberError for one too many."""
        if len(self.stamps) >= MOST_STAMPS:
            raise BadNumberError(f"A design has {MOST_STAMPS} stamps of its own at most: take one away first.")
        taken = {own.name for own in self.stamps} | set(SHIPPED)
        free = next(one for k in range(1, MOST_STAMPS + 9) if (one := name if k == 1 else f"{name} {k}") not in taken)
        own = OwnStamp(f"s{self.next_number}", free, stamp)
        return replace(self, stamps=(*self.stamps, own), next_number=self.next_number + 1)

    def with_new_reference(self, reference: Reference) -> tuple[Design, Reference]:
        """The design with one reference more, under an id and name of its own."""
        named = replace(reference, id=f"r{self.next_number}", name=self.free_name(reference.name))
        return replace(self, references=(*self.references, named), next_number=self.next_number + 1), named

    def with_piece(self, changed: Piece, went: ElementMap | None = None, *, plain: bool = False) -> Design:
        """The design with the piece of the same id replaced, and all that grows from it grown anew.

        Relief that it had before is carried over by place where its new form has none, unless that is to be ``plain``.

        Proofs that name elements of it find them again, by where these ``went`` if that is known. Raises what a growth
        raises: then what it grew from cannot become so.
        """
        before = self.piece(changed.id)
        self._check_faces(changed.form, own_faces(before.form))
        if not plain and changed.grown is None:
            changed = replace(changed, form=with_relief_of(before.form, changed.form))
        design = replace(self, pieces=tuple(changed if piece is before else piece for piece in self.pieces))
        if changed.form is before.form:
            return design
        return design.followed({changed.id}, self)._with_proofs_carried(self, {} if went is None else {changed.id: went})

    def _with_proofs_carried(self, before: Design, went: Mapping[str, ElementMap]) -> Design:
        """Once elements of some forms are others than ``before``."""
        proofs = self.proofs
        was = {piece.id: piece.form for piece in before.pieces} if proofs else {}
        for piece in self.pieces if proofs else ():
            form = was.get(piece.id)
            if form is None or form is piece.form:
                continue
            own = went.get(piece.id)
            if controls(form).topology.digest != piece.cage.topology.digest or (own is not None and not own.stays):
                proofs = tuple(proof.carried(piece.id, form, piece.form, own) for proof in proofs)
        return self if proofs is self.proofs else replace(self, proofs=proofs)

    def followed(self, changed: set[str], before: Design | None = None) -> Design:
        """The design once all that grows from the pieces that have ``changed`` has followed them, in its order.

        What names elements of its sources finds them again by how these were ``before``.
        """
        design, changed = self, set(changed)
        was = {} if before is None else {piece.id: piece.form for piece in before.pieces}
        for piece in growing_order(self.pieces):
            if piece.grown is None or changed.isdisjoint(piece.grown.sources):
                continue
            try:
                growth = piece.grown
                for source in changed.intersection(growth.sources, was):
                    growth = growth.carried(source, was[source], design.piece(source).form)
                after = design.regrown(replace(piece, grown=growth))
            except CoreError as error:
                raise error.saying(f"{piece.name}, which follows it: {error}") from None
            design._check_faces(after.form, own_faces(piece.form))
            design = replace(design, pieces=tuple(after if other.id == piece.id else other for other in design.pieces))
            changed.add(piece.id)
        return design

    def regrown(self, piece: Piece) -> Piece:
        """A piece that grows, grown from its sources as they stand, and pulled as far as its faces are the same.

        Its own relief stays on it; among other faces it is carried over by place.
        """
        return self.regrown_with_remarks(piece)[0]

    def regrown_with_remarks(self, piece: Piece) -> tuple[Piece, tuple[str, ...]]:
        """The same, and what was lost of what a hand had done on it."""
        assert piece.grown is not None
        form = self.outgrowth(piece.grown).form
        if not isinstance(form, Cage) or not piece.grown.pulled:
            return replace(piece, form=form), ()
        remarks: tuple[str, ...] = ()
        pulled = piece.pulled
        if pulled is not None and not pulled.fit(form):
            points = "point that was" if pulled.count == 1 else "points that were"
            remarks = (f"The layout is another now: {pulled.count} {points} pulled by hand went back.",)
            pulled = None
        form = form if pulled is None else pulled.on(form)
        grown, lost = relief_told(piece.form, form)
        return replace(piece, form=grown, pulled=pulled), (*remarks, *lost)

    def edited(self, piece_id: str, picked: Selection, edit: Callable[[Cage, Selection], Edit]) -> tuple[Design, Edit]:
        """The design with one piece edited: every change of a form goes through here.

        A symmetric piece is edited on all sides. A curve is handed over as its polygon, a cage without faces. Raises
        UnknownPieceError, LockedError, FollowsError, SymmetryError and what the edit raises.
        """
        piece = self.pullable_piece(piece_id)
        symmetry = None
        if piece.symmetry is None:
            done = edit(piece.cage.plain, picked)
        else:
            done, symmetry = symmetric_edit(piece.cage.plain, piece.symmetry, picked, edit)
        done = with_relief_kept(piece.cage, done)
        return self.with_symmetric(piece, done, symmetry), done

    def with_symmetric(self, piece: Piece, done: Edit, symmetry: Symmetry | None) -> Design:
        """The design with a piece after an edit that settled its symmetry itself."""
        if piece.grown is not None:
            return self._with_pulled(piece, done)
        followers = piece.followers
        done = with_relief_kept(piece.cage, done)
        if followers and done.cage.topology is piece.cage.topology:
            # Moved as a whole, a piece takes its followers along.
            matrix = similarity_between(piece.cage.positions, done.cage.positions)
            if matrix is not None:
                followers = tuple(taken_along(follower, matrix) for follower in followers)
        form = with_controls(piece.form, done.cage)
        return self.with_piece(replace(piece, form=form, symmetry=symmetry, followers=followers), done.old_to_new)

    def _with_pulled(self, piece: Piece, done: Edit) -> Design:
        """What was done on a grown form is kept as differences: only control points that moved can be."""
        if done.cage.structure_digest != piece.cage.structure_digest:
            self.shapeable_piece(piece.id)
        assert piece.grown is not None
        base = controls(self.outgrowth(piece.grown).form)
        return self.with_piece(self.regrown(replace(piece, pulled=pulls_between(base, done.cage))))

    def _check_faces(self, form: Form, before: int) -> None:
        """Raise TooManyFacesError where a form that had so many faces ``before`` grows beyond what can be worked with."""
        count = own_faces(form)
        check_face_total(count, before)
        total = sum(own_faces(piece.form) for piece in self.pieces) + count - before
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
        freed = [let_go(p) if p.grown is not None and piece_id in p.grown.sources else p for p in left]
        return replace(self, pieces=tuple(freed))

    def without_reference(self, reference_id: str) -> Design:
        """The design less one reference. Raises UnknownPieceError."""
        gone = self.reference(reference_id)
        return replace(self, references=tuple(r for r in self.references if r is not gone))


def _shifted(before: Form, after: Form) -> bool:
    """Whether a curve is another one elsewhere, so that it has a mirror where that has."""
    if not isinstance(before, Curve) or not isinstance(after, Curve) or before.polygon.topology != after.polygon.topology:
        return False
    off = after.points - before.points
    return before.with_points(after.points) == after and bool(abs(off - off[0]).max() <= 1e-9 * (1 + abs(off).max()))


def let_go(piece: Piece) -> Piece:
    """The piece as it stands, following nothing any more; images become faces of their own."""
    return replace(piece, form=standing(piece.form), grown=None, pulled=None)


def growing_order(pieces: Sequence[Piece]) -> list[Piece]:
    """The pieces, each behind all that it grows from. Raises FollowsError where they go round in a circle."""
    known = {piece.id: piece for piece in pieces}
    done: dict[str, Piece] = {}
    under_way: set[str] = set()

    def visit(piece: Piece) -> None:
        if piece.id in done:
            return
        if piece.id in under_way:
            raise FollowsError(f"{piece.name} would grow from itself.")
        under_way.add(piece.id)
        for source in piece.grown.sources if piece.grown else ():
            if source in known:
                visit(known[source])
        done[piece.id] = piece

    for piece in pieces:
        visit(piece)
    return list(done.values())
