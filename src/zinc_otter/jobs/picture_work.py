"""Draw a design's small picture. Runs in a worker process, so that what it takes is given back."""

from __future__ import annotations

from collections.abc import Callable

from zinc_otter.core.form import Form


def draw_picture(progress: Callable[[float, str], None], forms: list[Form]) -> bytes:
    """A PNG of the some forms."""
    from zinc_otter.studio.picture import picture_of

    return picture_of(forms)
