"""Look a folder of designs through: is the database whole, is each design, is each array what its name says."""

from __future__ import annotations

import hashlib
import json
import sqlite3
import zlib
from contextlib import closing
from dataclasses import dataclass, field
from pathlib import Path

from zinc_otter.store.database import DatabaseError, examine, read_only, size_of
from zinc_otter.store.documents import FORMAT, asset_hashes, blob_hashes, from_document
from zinc_otter.store.folder import DATABASE


@dataclass
class Found:
    """Lines to be shown, the faults among them."""

    lines: list[str] = field(default_factory=list)
    faults: list[str] = field(default_factory=list)

    def say(self, line: str, fault: bool = False) -> None:
        self.lines.append(line)
        if fault:
            self.faults.append(line)


def looked_through(data: Path) -> Found:
    """What is whole in a folder of designs; it may be in use meanwhile. Raises DatabaseError where nothing can be read."""
    path = data / DATABASE
    if not path.is_file():
        raise DatabaseError(f"There is no file of designs at {path}.")
    found = Found()
    version, fault = examine(path)
    found.say(f"Database: {fault or 'whole'} (tables {version}, {size_of(path) / 1e6:.1f} MB)", bool(fault))
    with closing(sqlite3.connect(read_only(path), uri=True)) as connection:
        try:
            _examine_designs(connection, found)
        except sqlite3.DatabaseError as error:
            found.say(f"Not all could be read: {error}", True)
    backups = sorted((data / "backups").glob("*.sqlite"))
    found.say(f"Copies: {', '.join(copy.stem for copy in backups) or 'none'}")
    return found


def _examine_designs(connection: sqlite3.Connection, found: Found) -> None:
    kinds = dict(connection.execute("SELECT hash, kind FROM assets"))
    wrong = set()
    for digest, data in connection.execute("SELECT hash, data FROM blobs"):
        if not _is_itself(digest, data, kinds.get(digest)):
            wrong.add(digest)
    count = connection.execute("SELECT count(*) FROM blobs").fetchone()[0]
    found.say(f"Arrays and assets: {count - len(wrong)} of {count} are what their names say", bool(wrong))
    there = {row[0] for row in connection.execute("SELECT hash FROM blobs")}
    for design_id, name, head in connection.execute("SELECT id, name, head_id FROM designs ORDER BY name").fetchall():
        steps = lost = 0
        head_fault = "its present step is missing"
        for step, text in connection.execute("SELECT id, document FROM steps WHERE design_id = ?", (design_id,)):
            steps += 1
            fault = _fault_of(connection if step == head else None, text, there, wrong)
            lost += bool(fault)
            if step == head:
                head_fault = fault
        state = f"opens; {lost} earlier steps do not" if lost else "whole"
        state = f"does not open: {head_fault}" if head_fault else state
        found.say(f"{name} ({design_id}), {steps} steps: {state}", bool(lost or head_fault))


def _fault_of(connection: sqlite3.Connection | None, text: str, there: set[str], wrong: set[str]) -> str:
    """What keeps a step from being opened; with a connection it is opened for a trial."""
    try:
        document = json.loads(text)
        if document["format"] > FORMAT:
            return "it was kept by a newer version"
        wanted = blob_hashes(document)
    except Exception:
        # Whatever comes of bytes that are not what was written.
        return "its document cannot be read"
    if wanted - there:
        return f"{len(wanted - there)} arrays are missing"
    if wanted & wrong:
        return f"{len(wanted & wrong)} arrays are damaged"
    if connection is not None:
        arrays = sorted(wanted - asset_hashes(document))
        try:
            get = "SELECT data FROM blobs WHERE hash = ?"
            from_document(document, {h: connection.execute(get, (h,)).fetchone()[0] for h in arrays})
        except Exception as error:
            return str(error)[:200] or type(error).__name__
    return ""


def _is_itself(digest: str, data: bytes, kind: str | None) -> bool:
    try:
        raw = zlib.decompress(data) if kind is None else kind.encode() + data
    except zlib.error:
        return False
    return hashlib.sha256(raw).hexdigest() == digest
