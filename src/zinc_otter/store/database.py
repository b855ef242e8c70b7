"""Open the database: SQLite in WAL mode, brought to the newest tables by Alembic, or only read where that must be."""

from __future__ import annotations

import logging
import sqlite3
from contextlib import closing
from dataclasses import dataclass
from pathlib import Path

from alembic import command
from alembic.config import Config
from alembic.script import ScriptDirectory
from sqlalchemy import URL, Engine, create_engine, event
from sqlalchemy.engine import Connection

from zinc_otter.core.errors import CoreError
from zinc_otter.store.backups import keep_backup

PATIENCE = 4.0
"""Seconds that a write waits for another process before it is refused."""


class DatabaseError(CoreError):
    """A database that cannot be opened, not even to be read."""

    kind = "store-damaged"
    title = "What was kept is damaged"
    status = 503


@dataclass(frozen=True)
class Opened:
    """An engine on the database; ``reading`` says why it is only read, and is empty where it is written too."""

    engine: Engine
    reading: str = ""


def open_database(path: Path) -> Opened:
    """The database of a file, made or migrated as needed; a copy is kept before it is migrated.

    One that is damaged, or was written by a newer version, is opened to be read. Raises DatabaseError where nothing can be
    read, OSError where the folder or the copy cannot be made.
    """
    path.parent.mkdir(parents=True, exist_ok=True)
    if path.is_dir():
        raise DatabaseError(f"{path} is a folder; the file of the designs should be there.")
    there = path.exists() and path.stat().st_size > 0
    version = ""
    if there:
        version, fault = examine(path)
        if fault:
            return Opened(reading_engine(path), fault)
    config = Config()
    config.set_main_option("script_location", str(Path(__file__).parent / "migrations"))
    script = ScriptDirectory.from_config(config)
    if version and version not in {revision.revision for revision in script.walk_revisions()}:
        return Opened(
            reading_engine(path),
            f"These designs were last kept by a newer version of Zinc Otter (tables {version}); this one only reads them.",
        )
    if version and version != script.get_current_head():
        keep_backup(path, f"before-{script.get_current_head()}")
    # Built from its parts, so that no letter of the path is taken for anything else.
    engine = create_engine(URL.create("sqlite", database=str(path)), connect_args={"timeout": PATIENCE})
    _set_up(engine, there)
    with engine.begin() as connection:
        config.attributes["connection"] = connection
        command.upgrade(config, "head")
    return Opened(engine)


def examine(path: Path) -> tuple[str, str]:
    """The version of a database's tables, and what is damaged in it, in words. Raises DatabaseError for no database."""
    try:
        with closing(sqlite3.connect(read_only(path), uri=True, timeout=PATIENCE)) as connection:
            tables = {row[0] for row in connection.execute("SELECT name FROM sqlite_master WHERE type = 'table'")}
            if tables and not {"designs", "steps", "blobs"} <= tables:
                raise DatabaseError(f"{path} is a database, but not one of designs.")
            rows = connection.execute("SELECT version_num FROM alembic_version").fetchall() if tables else []
            version = str(rows[0][0]) if rows else ""
            try:
                found = str(connection.execute("PRAGMA quick_check(1)").fetchone()[0])
            except sqlite3.DatabaseError as error:
                found = str(error)
            if found == "ok":
                return version, ""
            logging.getLogger("zinc_otter").warning("%s: %s", path, found)
            return version, (
                "The file of the designs is damaged; what can be read is shown, and nothing is changed. "
                "“zinc-otter rescue” brings every design that can be read into archives."
            )
    except sqlite3.OperationalError as error:
        raise DatabaseError(f"{path} cannot be opened ({error}).") from None
    except sqlite3.DatabaseError as error:
        raise DatabaseError(
            f"{path} is damaged and cannot be read ({error}). Copies of earlier days are kept beside it, in “backups”."
        ) from None


def reading_engine(path: Path) -> Engine:
    """An engine that can only read."""
    return create_engine("sqlite://", creator=lambda: sqlite3.connect(read_only(path), uri=True, check_same_thread=False))


def size_of(path: Path) -> int:
    """Bytes of a database, with what is still in its log."""
    files = (path, path.with_name(f"{path.name}-wal"))
    return sum(file.stat().st_size for file in files if file.exists())


def read_only(path: Path) -> str:
    """The address by which SQLite only reads a file."""
    return path.resolve().as_uri() + "?mode=ro"


def _set_up(engine: Engine, there: bool) -> None:
    @event.listens_for(engine, "connect")
    def _settings(connection, _record) -> None:  # type: ignore[no-untyped-def]
        # The driver would begin transactions late, by the first word of a change; "begin" below does it at once.
        connection.isolation_level = None
        if not there:
            connection.execute("PRAGMA auto_vacuum=INCREMENTAL")
        # FULL, so that a step that was reported as kept survives a power cut too.
        for pragma in ("journal_mode=WAL", "synchronous=FULL", "foreign_keys=ON"):
            connection.execute(f"PRAGMA {pragma}")

    @event.listens_for(engine, "begin")
    def _begin(connection: Connection) -> None:
        # A change takes the right to write first: between reading and writing nobody else comes in.
        writes = connection.get_execution_options().get("writes", False)
        connection.exec_driver_sql("BEGIN IMMEDIATE" if writes else "BEGIN")
