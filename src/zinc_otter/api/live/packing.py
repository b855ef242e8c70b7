"""MessagePack with typed arrays: an extension type for each kind of number, its data little-endian."""

from __future__ import annotations

from typing import Any

import msgpack
import numpy as np
from pydantic import BaseModel

_CODES = {np.dtype("<f4"): 1, np.dtype("<f8"): 2, np.dtype("<i4"): 3, np.dtype("u1"): 4}


def pack(message: Any) -> bytes:
    """A message of plain values, models and arrays (float32, float64, int32, uint8) as bytes."""
    return bytes(msgpack.packb(message, default=_plain))


def unpack(data: bytes) -> Any:
    """A message of plain values. Raises ValueError on broken bytes."""
    return msgpack.unpackb(data, strict_map_key=True, max_ext_len=0)


def _plain(value: Any) -> Any:
    if isinstance(value, BaseModel):
        return value.model_dump(mode="json")
    if isinstance(value, np.ndarray):
        return msgpack.ExtType(_CODES[value.dtype], np.ascontiguousarray(value).tobytes())
    raise TypeError(f"cannot pack {type(value)}")
