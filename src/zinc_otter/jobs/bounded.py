"""A bound on a worker's memory while it reads what came from outside."""

from __future__ import annotations

import resource
from collections.abc import Iterator
from contextlib import contextmanager

from zinc_otter.core.errors import FileFormatError

MOST_MEMORY = 6 * 1024**3


@contextmanager
def bounded_memory(what: str) -> Iterator[None]:
    """Raises FileFormatError when ``what`` takes more memory than a file may."""
    soft, hard = resource.getrlimit(resource.RLIMIT_AS)
    most = MOST_MEMORY if hard == resource.RLIM_INFINITY else min(MOST_MEMORY, hard)
    resource.setrlimit(resource.RLIMIT_AS, (most, hard))
    try:
        yield
    except MemoryError:
        raise FileFormatError(f"The file takes more memory than {what} may.") from None
    finally:
        resource.setrlimit(resource.RLIMIT_AS, (soft, hard))
