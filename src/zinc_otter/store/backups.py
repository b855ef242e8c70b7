"""Copies of the database: one before its tables change, and one of each of the last days that were worked."""

from __future__ import annotations

import re
import sqlite3
from contextlib import closing
from datetime import date
from pathlib import Path

DAYS_KEPT = 7
_DAY = re.compile(r"^\d{4}-\d\d-\d\d\.sqlite$")


def keep_backup(database: Path, name: str) -> Path:
    """Copy a database as it stands, consistent while others write; where there is one of the name, that stays.

    Raises OSError where there is no room.
    """
    kept = database.parent / "backups" / f"{name}.sqlite"
    if kept.exists():
        return kept
    kept.parent.mkdir(exist_ok=True, mode=0o700)
    fresh = kept.with_suffix(".part")
    fresh.unlink(missing_ok=True)
    try:
        with closing(sqlite3.connect(database)) as source, closing(sqlite3.connect(fresh)) as copy:
            source.backup(copy, pages=2000)
        fresh.replace(kept)
    except sqlite3.Error as error:
        raise OSError(f"A copy of {database} could not be kept ({error})") from None
    finally:
        fresh.unlink(missing_ok=True)
    return kept


def keep_day(database: Path, day: date) -> Path:
    """The copy of a day, made once; of those before only the last are kept. Raises OSError."""
    kept = keep_backup(database, day.isoformat())
    days = sorted(path for path in kept.parent.iterdir() if _DAY.match(path.name) and path.is_file())
    for path in days[:-DAYS_KEPT]:
        path.unlink()
    return kept
