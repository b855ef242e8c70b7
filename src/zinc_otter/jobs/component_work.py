"""The work of reading a component: in a worker process, whose memory is bounded."""

from __future__ import annotations

import resource
from collections.abc import Callable
from dataclasses import dataclass
from pathlib import Path
from typing import Any

MOST_MEMORY = 6 * 1024**3


@dataclass(frozen=True, eq=False)
class ComponentFile:
    """A mesh as an asset: compressed arrays of mm, and what is to be known of it."""

    data: bytes
    facts: dict[str, Any]


def read_component(progress: Callable[[float, str], None], path: Path, extension: str, unit: str | None) -> ComponentFile:
    """Read a mesh file. Raises FileFormatError, BadNumberError."""
    from zinc_otter.core.errors import FileFormatError
    from zinc_otter.core.formats.mesh import as_asset, read_mesh

    soft, hard = resource.getrlimit(resource.RLIMIT_AS)
    most = MOST_MEMORY if hard == resource.RLIM_INFINITY else min(MOST_MEMORY, hard)
    resource.setrlimit(resource.RLIMIT_AS, (most, hard))
    try:
        return ComponentFile(*as_asset(read_mesh(path.read_bytes(), extension, unit)))
    except MemoryError:
        raise FileFormatError("The file takes more memory than a component may.") from None
    finally:
        resource.setrlimit(resource.RLIMIT_AS, (soft, hard))
