"""Numbers in plain words, for the titles of steps."""

from __future__ import annotations

from collections.abc import Iterable

import numpy as np

MINUS, TIMES = "\N{MINUS SIGN}", "\N{MULTIPLICATION SIGN}"


def number(value: float, digits: int = 2) -> str:
    """At most ``digits`` decimals, no trailing zeros, a true minus sign.

    >>> number(12.0), number(-0.128), number(30, 0)
    ('12', '−0.13', '30')
    """
    text = f"{round(value, digits) + 0.0:.{digits}f}"
    if "." in text:
        text = text.rstrip("0").rstrip(".")
    return text.replace("-", MINUS)


def millimetres(value: float) -> str:
    return f"{number(value)} mm"


def fine_millimetres(value: float) -> str:
    """With two digits that count where it is less than a tenth: ``0.0042 mm``."""
    if abs(value) >= 0.1 or value == 0:
        return millimetres(value)
    return f"{number(value, 1 - int(np.floor(np.log10(abs(value)))))} mm"


def extent(sizes: Iterable[float]) -> str:
    """For example ``40 × 20 × 10 mm``."""
    return f" {TIMES} ".join(number(size) for size in sizes) + " mm"


def along_axes(vector: Iterable[float]) -> str:
    """For example ``x 2, z −1.5 mm``."""
    along = [(axis, amount) for axis, amount in zip("xyz", vector, strict=True) if abs(amount) >= 0.005]
    return (", ".join(f"{axis} {number(amount)}" for axis, amount in along) or "less than 0.01") + " mm"
