"""Open the database: SQLite in WAL mode, brought to the newest tables by Alembic."""

from __future__ import annotations

from pathlib import Path

from alembic import command
from alembic.config import Config
from sqlalchemy import Engine, create_engine, event


def open_database(path: Path) -> Engine:
    """An engine on the database file, made or migrated as needed. Raises OSError when the folder cannot be made."""
    path.parent.mkdir(parents=True, exist_ok=True)
    engine = create_engine(f"sqlite:///{path}", connect_args={"timeout": 30})

    @event.listens_for(engine, "connect")
    def _settings(connection, _record) -> None:  # type: ignore[no-untyped-def]
        # FULL, so that a step that was reported as kept survives a power cut too.
        for pragma in ("journal_mode=WAL", "synchronous=FULL", "foreign_keys=ON"):
            connection.execute(f"PRAGMA {pragma}")

    config = Config()
    config.set_main_option("script_location", str(Path(__file__).parent / "migrations"))
    with engine.begin() as connection:
        config.attributes["connection"] = connection
        command.upgrade(config, "head")
    return engine
