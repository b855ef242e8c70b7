"""The proofs that a design keeps: add, change and remove them."""

from __future__ import annotations

from dataclasses import replace
from typing import Annotated, Literal

from pydantic import Field

from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.form import require_faces
from zinc_otter.core.proving import Proof
from zinc_otter.core.proving.dimensions import Dimension
from zinc_otter.studio.commands.base import Command, Outcome
from zinc_otter.studio.design import Design
from zinc_otter.studio.proofs import MOST, AnyProof


class UnknownProofError(BadSelectionError):
    """A proof that the design does not have."""

    kind = "unknown-proof"
    title = "There is no such proof"


class AddProof(Command):
    """Ask something of a piece, from now on. It is given an id of its own."""

    kind: Literal["add-proof"] = "add-proof"
    proof: AnyProof

    def apply(self, design: Design) -> Outcome:
        _check(design, self.proof)
        if len(design.proofs) >= MOST:
            raise BadSelectionError(f"A design keeps up to {MOST} proofs.")
        own = replace(self.proof, id=f"q{design.next_number}")
        return Outcome(replace(design, proofs=(*design.proofs, own), next_number=design.next_number + 1), self.proof.piece)

    def title(self, design: Design) -> str:
        return f"Asked: {_asked(design, self.proof)}"


class ChangeProof(Command):
    """Ask something else in place of a proof; it is found by its id."""

    kind: Literal["change-proof"] = "change-proof"
    proof: AnyProof

    def apply(self, design: Design) -> Outcome:
        _check(design, self.proof)
        proof_of(design, self.proof.id)
        proofs = tuple(self.proof if one.id == self.proof.id else one for one in design.proofs)
        return Outcome(replace(design, proofs=proofs), self.proof.piece)

    def title(self, design: Design) -> str:
        return f"Asks now: {_asked(design, self.proof)}"


class RemoveProof(Command):
    """Ask it no more."""

    kind: Literal["remove-proof"] = "remove-proof"
    proof: Annotated[str, Field(min_length=1, max_length=20)]

    def apply(self, design: Design) -> Outcome:
        gone = proof_of(design, self.proof)
        return Outcome(replace(design, proofs=tuple(one for one in design.proofs if one is not gone)))

    def title(self, design: Design) -> str:
        return f"Asks no more: {_asked(design, proof_of(design, self.proof))}"


def proof_of(design: Design, proof_id: str) -> Proof:
    """The proof of this id. Raises UnknownProofError."""
    for proof in design.proofs:
        if proof.id == proof_id:
            return proof
    raise UnknownProofError(f"This design has no proof {proof_id!r}.")


def _check(design: Design, proof: Proof) -> None:
    """Raise UnknownPieceError for what is not there, NoFacesError for a curve, BadSelectionError for itself as
    the other, or where there is nothing to measure."""
    piece = design.piece(proof.piece)
    if proof.by_surface:
        require_faces(piece.form, piece.name)
    for other in proof.beside:
        if other == proof.piece:
            raise BadSelectionError(f"{piece.name} cannot keep a distance to itself: pick another piece.")
        design.piece(other)
    for component in proof.components:
        design.reference(component)
    if isinstance(proof, Dimension):
        # What cannot be measured as things stand is not kept.
        proof.measured(lambda key: design.piece(key).form)


def _asked(design: Design, proof: Proof) -> str:
    return proof.called(design.names)
