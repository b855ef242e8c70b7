"""All numbers in nested tuples."""

from __future__ import annotations

from collections.abc import Iterator


def numbers_of(value: object) -> Iterator[float]:
    """Each number, in order; words and truths are passed over."""
    if isinstance(value, tuple):
        for part in value:
            yield from numbers_of(part)
    elif isinstance(value, int | float):
        yield float(value)
