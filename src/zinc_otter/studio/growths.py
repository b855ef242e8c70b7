"""Growths in designs: as data that is checked when it comes in."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import asdict
from functools import reduce
from operator import or_
from typing import TYPE_CHECKING, Annotated, Any

from pydantic import ConfigDict, Field, TypeAdapter, ValidationError

from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.growth import KINDS, Growth
from zinc_otter.core.stone.cuts import AnyCut
from zinc_otter.core.stone.cuts.base import Cut

if TYPE_CHECKING:
    AnyGrowth = Growth
    AnyStoneCut = Cut
else:
    AnyStoneCut = Annotated[AnyCut, Field(discriminator="kind")]
    """Any of the cuts of stones, told apart by their ``kind``."""
    AnyGrowth = Annotated[reduce(or_, KINDS), Field(discriminator="kind")]
    """Any of the ways to grow, told apart by their ``kind``."""

_ADAPTER: TypeAdapter[Growth] = TypeAdapter(AnyGrowth, config=ConfigDict(extra="forbid"))


def read_growth(data: Mapping[str, Any]) -> Growth:
    """From its document. Raises BadNumberError."""
    try:
        return _ADAPTER.validate_python(data)
    except ValidationError as error:
        raise BadNumberError(str(error.errors()[0]["msg"])) from None


def growth_document(growth: Growth) -> dict[str, Any]:
    """As JSON can hold it."""
    return asdict(growth)
