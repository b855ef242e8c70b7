"""How a call of the kernel is run: here and now, or by whoever can end it when it takes too long or crashes."""

from __future__ import annotations

from collections.abc import Callable
from typing import Protocol, TypeVar

from zinc_otter.core.errors import CoreError, KernelError

T = TypeVar("T")


class Limited(Protocol):
    """Runs ``call`` within ``seconds``; ``what`` begins the sentence of a failure.

    Raises the call's own CoreError, or KernelError when it takes longer, crashes, or raises otherwise.
    """

    def __call__(self, what: str, seconds: float, call: Callable[[], T]) -> T: ...


def unlimited(what: str, seconds: float, call: Callable[[], T]) -> T:
    """In this process, for as long as it takes: a crash of the kernel takes the process along."""
    try:
        return call()
    except CoreError:
        raise
    except Exception as error:
        raise KernelError(f"{what} failed in the solid kernel ({error}).") from error
