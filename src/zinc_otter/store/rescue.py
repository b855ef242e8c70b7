"""Every design that can be read, as archives: out of a database that is damaged, newer, or whole."""

from __future__ import annotations

import json
import re
from collections.abc import Iterator
from pathlib import Path

from sqlalchemy import text
from sqlalchemy.exc import DBAPIError
from sqlalchemy.orm import Session

from zinc_otter.core.errors import CoreError
from zinc_otter.store.archive import write_archive
from zinc_otter.store.database import DatabaseError, reading_engine
from zinc_otter.store.documents import blob_hashes, from_document
from zinc_otter.store.folder import DATABASE
from zinc_otter.studio.design import Design
from zinc_otter.studio.shelf import Asset, UnknownAssetError


def rescue(data: Path, out: Path) -> Iterator[str]:
    """Write archives into a folder, and say of each design what became of it; nothing is changed in ``data``.

    Of a design whose last step cannot be read, the latest step that can. Raises DatabaseError where nothing can be read,
    OSError.
    """
    path = data / DATABASE if data.is_dir() else data
    if not path.is_file():
        raise DatabaseError(f"There is no file of designs at {path}.")
    out.mkdir(parents=True, exist_ok=True)
    engine = reading_engine(path)
    try:
        with Session(engine) as session:
            ids = _rows(session, "SELECT id FROM designs")
            if not ids:
                ids = _rows(session, "SELECT DISTINCT design_id FROM steps")
            if not ids:
                raise DatabaseError(f"No design can be read from {path}.")
            for (design_id,) in ids:
                yield _rescued(session, str(design_id), out)
    finally:
        engine.dispose()


def _rescued(session: Session, design_id: str, out: Path) -> str:
    named = _rows(session, "SELECT name, unit, head_id FROM designs WHERE id = :d", d=design_id)
    name, unit, head = named[0] if named else (f"Design {design_id}", "mm", None)
    tried = [head] if head is not None else []
    tried += [row[0] for row in _rows(session, "SELECT id FROM steps WHERE design_id = :d ORDER BY id DESC", d=design_id)]
    for step in dict.fromkeys(tried):
        try:
            design = _design(session, int(step))
            packed = write_archive(str(name), unit, design, lambda digest: _asset(session, digest))
        except OSError:
            raise
        except Exception:
            # Whatever comes of bytes that are not what was written: the step before it may be whole.
            continue
        safe = re.sub(r"[^\w -]", "_", str(name))[:60]
        path = out / f"{safe} {design_id}.otter"
        path.write_bytes(packed)
        older = "" if step == head or head is None else f", as it stood at an earlier step ({step})"
        return f"{name}: {path}{older}"
    return f"{name}: cannot be read."


def _design(session: Session, step: int) -> Design:
    document = json.loads(_rows(session, "SELECT document FROM steps WHERE id = :s", s=step)[0][0])
    blobs = {digest: _blob(session, digest) for digest in blob_hashes(document)}
    return from_document(document, blobs)


def _blob(session: Session, digest: str) -> bytes:
    found = _rows(session, "SELECT data FROM blobs WHERE hash = :h", h=digest)
    if not found:
        raise UnknownAssetError("An array is missing.")
    return bytes(found[0][0])


def _asset(session: Session, digest: str) -> Asset:
    kind, facts = _rows(session, "SELECT kind, facts FROM assets WHERE hash = :h", h=digest)[0]
    return Asset(digest, str(kind), json.loads(facts), _blob(session, digest))


def _rows(session: Session, query: str, **values: object) -> list[tuple]:  # type: ignore[type-arg]
    """What can be read of a query's rows: a damaged page ends it, and what came before counts."""
    found: list[tuple] = []  # type: ignore[type-arg]
    try:
        for row in session.execute(text(query), values):
            found.append(tuple(row))
    except DBAPIError:
        session.rollback()
    except CoreError:
        pass
    return found
