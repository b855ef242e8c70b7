"""What SQLite says when it cannot, in words for the designer."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager

from sqlalchemy.exc import DBAPIError

from zinc_otter.core.errors import CoreError
from zinc_otter.studio.shelf import StoreFullError


class StoreBusyError(CoreError):
    """Another process holds the database; nothing was changed."""

    kind = "store-busy"
    title = "The designs are held by another program"
    status = 503


class StoreDamagedError(CoreError):
    """What was kept cannot be read any more."""

    kind = "store-damaged"
    title = "What was kept is damaged"
    status = 503


class ReadingOnlyError(CoreError):
    """A change where designs are only read."""

    kind = "reading-only"
    title = "Designs are only read here"
    status = 403


@contextmanager
def in_words() -> Iterator[None]:
    """Raises StoreFullError, StoreBusyError, StoreDamagedError for what SQLite raises; by then all is rolled back."""
    try:
        yield
    except DBAPIError as error:
        said = str(error.orig)
        if any(word in said for word in ("full", "disk I/O", "readonly", "unable to open")):
            raise StoreFullError(
                "The change could not be kept: the disk is full or cannot be written. Nothing was changed."
            ) from error
        if "locked" in said or "busy" in said:
            raise StoreBusyError(
                "Another program holds the file of the designs: nothing could be kept, and nothing was changed. Try again."
            ) from error
        if "malformed" in said or "not a database" in said or "corrupt" in said:
            raise StoreDamagedError(damaged("The file of the designs")) from error
        raise


def damaged(what: str) -> str:
    return (
        f"{what} is damaged and cannot be read here. Nothing was changed. “zinc-otter check” says what is whole, and"
        " “zinc-otter rescue” brings every design that can be read into archives."
    )
