"""Proofs in designs: as data that is checked when it comes in."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import asdict
from functools import reduce
from operator import or_
from typing import TYPE_CHECKING, Annotated, Any

from pydantic import ConfigDict, Field, TypeAdapter, ValidationError

from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.proving import KINDS, Proof

if TYPE_CHECKING:
    AnyProof = Proof
else:
    AnyProof = Annotated[reduce(or_, KINDS), Field(discriminator="kind")]
    """Any of the kinds of proofs, told apart by their ``kind``."""

_ADAPTER: TypeAdapter[Proof] = TypeAdapter(AnyProof, config=ConfigDict(extra="forbid"))

MOST = 60
"""Proofs of one design."""


def read_proof(data: Mapping[str, Any]) -> Proof:
    """From its document. Raises BadNumberError."""
    try:
        return _ADAPTER.validate_python(data)
    except ValidationError as error:
        raise BadNumberError(str(error.errors()[0]["msg"])) from None


def proof_document(proof: Proof) -> dict[str, Any]:
    """As JSON can hold it."""
    return asdict(proof)
