"""Numbers and lengths in plain words, for sentences that people read: lengths in the unit that is told in."""

from __future__ import annotations

import math
from collections.abc import Iterable, Iterator
from contextlib import contextmanager
from contextvars import ContextVar
from typing import Literal

import numpy as np

MINUS, TIMES = "\N{MINUS SIGN}", "\N{MULTIPLICATION SIGN}"

Unit = Literal["mm", "cm", "in"]
"""What a design shows its lengths in; everything is kept in mm."""

PER: dict[Unit, tuple[float, int]] = {"mm": (1.0, 2), "cm": (10.0, 3), "in": (25.4, 3)}
"""Millimetres of each unit, and the decimals that are told in it."""

_TOLD_IN: ContextVar[Unit] = ContextVar("told_in", default="mm")


@contextmanager
def lengths_in(unit: Unit) -> Iterator[None]:
    """Sentences that are made meanwhile tell their lengths in this unit."""
    before = _TOLD_IN.set(unit)
    try:
        yield
    finally:
        _TOLD_IN.reset(before)


def told_in() -> Unit:
    """The unit that sentences tell their lengths in now."""
    return _TOLD_IN.get()


def number(value: float, digits: int = 2) -> str:
    """At most ``digits`` decimals, no trailing zeros, a true minus sign.

    >>> number(12.0), number(-0.128), number(30, 0)
    ('12', '−0.13', '30')
    """
    text = f"{round(value, digits) + 0.0:.{digits}f}"
    if "." in text:
        text = text.rstrip("0").rstrip(".")
    return text.replace("-", MINUS)


def figures(value: float, digits: int = 3) -> str:
    """So many digits that count and never an exponent; below a millionth it is rounding.

    >>> figures(1234.5), figures(56789.1, 4), figures(0.012345), figures(9.1e-14, 2), figures(-2.50)
    ('1,230', '56,790', '0.0123', '0', '−2.5')
    """
    rounded = float(f"{value:.{digits}g}") if abs(value) >= 1e-6 else 0.0
    places = max(0, digits - 1 - math.floor(math.log10(abs(rounded)))) if rounded else 0
    text = f"{rounded:,.{places}f}"
    return (text.rstrip("0").rstrip(".") if "." in text else text).replace("-", MINUS)


def percent_words(share: float) -> str:
    """Such a share of all, to two digits; never all or nothing where it is not.

    >>> percent_words(1.0), percent_words(0.9996), percent_words(0.123), percent_words(0.00123), percent_words(0.0)
    ('100 %', '99.9 %', '12 %', '0.12 %', '0 %')
    """
    percent = 100 * share
    if 99.5 <= percent < 100:
        return f"{min(percent, 99.9):.1f} %"
    return f"{figures(percent, 2)} %"


def length_words(mm: float) -> str:
    """
    >>> with lengths_in("in"):
    ...     length_words(12.7)
    '0.5 in'
    """
    return f"{bare_length(mm)} {told_in()}"


def fine_length_words(mm: float) -> str:
    """With two digits that count where it is less than the unit's last decimal would tell: ``0.0042 mm``."""
    per, digits = PER[told_in()]
    value = mm / per
    if value == 0 or abs(value) >= 10.0 ** (1 - digits):
        return length_words(mm)
    return f"{number(value, 1 - int(np.floor(np.log10(abs(value)))))} {told_in()}"


def extent(sizes: Iterable[float]) -> str:
    """For example ``40 × 20 × 10 mm``."""
    return f" {TIMES} ".join(bare_length(size) for size in sizes) + f" {told_in()}"


def area_words(mm2: float, digits: int = 7) -> str:
    """So many digits that count, of mm² told in the unit's square.

    >>> with lengths_in("in"):
    ...     area_words(645.16)
    '1 in²'
    """
    return f"{figures(mm2 / PER[told_in()][0] ** 2, digits)} {told_in()}²"


def volume_words(mm3: float, digits: int = 7) -> str:
    """So many digits that count, of mm³ told in the unit's cube.

    >>> volume_words(1234.567), volume_words(24000.0)
    ('1,234.567 mm³', '24,000 mm³')
    """
    return f"{figures(mm3 / PER[told_in()][0] ** 3, digits)} {told_in()}³"


def bulk_words(mm3: float) -> str:
    """Of material, as it is bought: in cm³, or in³ where lengths are told in inches."""
    with lengths_in("in" if told_in() == "in" else "cm"):
        return volume_words(mm3, 2)


def along_axes(vector: Iterable[float]) -> str:
    """For example ``x 2, z −1.5 mm``."""
    per, digits = PER[told_in()]
    least = 0.5 * 10.0**-digits
    along = [(axis, amount) for axis, amount in zip("xyz", vector, strict=True) if abs(amount) / per >= least]
    said = ", ".join(f"{axis} {bare_length(amount)}" for axis, amount in along) or f"less than {number(2 * least, digits)}"
    return f"{said} {told_in()}"


def bare_length(mm: float) -> str:
    """Without its unit, where that follows."""
    per, digits = PER[told_in()]
    return number(mm / per, digits)
