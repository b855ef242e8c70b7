"""Linear light and sRGB (IEC 61966-2-1), each from 0 to 1."""

from __future__ import annotations

import numpy as np
from numpy.typing import ArrayLike

from zinc_otter.core.cage.topology import Floats


def to_linear(colour: ArrayLike) -> Floats:
    """
    >>> to_linear([0.0, 0.5, 1.0]).round(4).tolist()
    [0.0, 0.214, 1.0]
    """
    c = np.asarray(colour, dtype=np.float64)
    return np.asarray(np.where(c <= 0.04045, c / 12.92, ((c + 0.055) / 1.055) ** 2.4))


def from_linear(light: ArrayLike) -> Floats:
    """
    >>> from_linear([0.0, 0.214, 1.0]).round(2).tolist()
    [0.0, 0.5, 1.0]
    """
    v = np.asarray(light, dtype=np.float64)
    return np.asarray(np.where(v <= 0.0031308, 12.92 * v, 1.055 * np.maximum(v, 0) ** (1 / 2.4) - 0.055))
