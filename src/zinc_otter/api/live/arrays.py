"""Typed arrays and points as they go over the live channel: see :mod:`zinc_otter.api.live.packing`."""

from __future__ import annotations

from typing import Annotated, Any

import numpy as np
import numpy.typing as npt
from pydantic import WithJsonSchema
from pydantic_core import core_schema


class _Array:
    """A typed array as it goes over the wire: the kind of its numbers, and its name in the description."""

    def __init__(self, kind: str, name: str) -> None:
        self._kind, self._name = np.dtype(kind), name

    def __get_pydantic_core_schema__(self, *_: Any) -> core_schema.CoreSchema:
        def check(value: Any) -> Any:
            if not isinstance(value, np.ndarray) or value.dtype != self._kind:
                raise ValueError(f"an array of {self._kind} is wanted")
            return value

        return core_schema.no_info_plain_validator_function(check)

    def __get_pydantic_json_schema__(self, *_: Any) -> dict[str, Any]:
        return {"type": "string", "format": self._name}


Float32s = Annotated[npt.NDArray[np.float32], _Array("<f4", "float32s")]
Float64s = Annotated[npt.NDArray[np.float64], _Array("<f8", "float64s")]
Int32s = Annotated[npt.NDArray[np.int32], _Array("<i4", "int32s")]
Uint8s = Annotated[npt.NDArray[np.uint8], _Array("u1", "uint8s")]
Point = tuple[float, float, float] | list[float]
Xyz = Annotated[Point, WithJsonSchema({
    "type": "array", "prefixItems": [{"type": "number"}] * 3, "minItems": 3, "maxItems": 3,
})]  # fmt: skip
