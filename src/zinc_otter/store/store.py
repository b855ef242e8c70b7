"""The store: every change of a design is one transaction; nothing that was kept is overwritten."""

from __future__ import annotations

import hashlib
import secrets
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from datetime import UTC, datetime
from pathlib import Path
from typing import Any

from sqlalchemy import delete, func, select
from sqlalchemy.exc import OperationalError
from sqlalchemy.orm import Session

from zinc_otter.store.database import open_database
from zinc_otter.store.documents import asset_hashes, blob_hashes, from_document, to_document
from zinc_otter.store.models import AssetRow, BlobRow, DesignRow, StepRow
from zinc_otter.studio.design import Design
from zinc_otter.studio.shelf import (
    Asset,
    DesignFacts,
    Saved,
    StaleRevisionError,
    StepFacts,
    StoreFullError,
    Unit,
    UnknownAssetError,
    UnknownDesignError,
)


class Store:
    """Designs in one SQLite file. All methods may be called from any thread."""

    def __init__(self, path: Path, now: Callable[[], datetime] = lambda: datetime.now(UTC).replace(tzinfo=None)) -> None:
        self._engine = open_database(path)
        self._now = now

    def close(self) -> None:
        self._engine.dispose()

    # --- reading ----------------------------------------------------------------------------------------------------

    def designs(self) -> list[DesignFacts]:
        """All designs, the one changed last first."""
        with self._session() as session:
            rows = session.scalars(select(DesignRow).order_by(DesignRow.changed_at.desc(), DesignRow.id)).all()
            numbers = dict(session.execute(select(StepRow.id, StepRow.number)).tuples().all()) if rows else {}
            return [_facts(row, numbers[row.head_id]) for row in rows]

    def load(self, design_id: str) -> Saved:
        """A design at its present step. Raises UnknownDesignError."""
        with self._session() as session:
            return self._saved(session, self._row(session, design_id))

    # --- changing ---------------------------------------------------------------------------------------------------

    def create(self, name: str, unit: Unit, design: Design | None = None, title: str = "Began the design") -> Saved:
        """A new design with a first step."""
        with self._session() as session:
            now = self._now()
            row = DesignRow(
                id=secrets.token_hex(6), name=name, unit=unit, created_at=now, changed_at=now, revision=1,
                head_id=0, tip_id=0,
            )  # fmt: skip
            session.add(row)
            session.flush()
            step = self._new_step(session, row, None, title, None, design or Design(), None)
            row.head_id = row.tip_id = step.id
            return self._saved(session, row)

    def copy(self, design_id: str, name: str) -> Saved:
        """A new design that begins from the present step of another."""
        saved = self.load(design_id)
        return self.create(name, saved.facts.unit, saved.design, f"Copied from {saved.facts.name}")

    def rename(self, design_id: str, name: str | None, unit: Unit | None = None) -> Saved:
        with self._session() as session:
            row = self._row(session, design_id)
            row.name = name or row.name
            row.unit = unit or row.unit
            row.changed_at = self._now()
            return self._saved(session, row)

    def delete(self, design_id: str) -> None:
        """Delete a design, its steps, and the arrays that no other design uses."""
        with self._session() as session:
            row = self._row(session, design_id)
            gone: set[str] = set()
            for document in session.scalars(select(StepRow.document).where(StepRow.design_id == design_id)):
                gone |= blob_hashes(document)
            session.execute(delete(StepRow).where(StepRow.design_id == design_id))
            session.delete(row)
            session.flush()
            for document in session.scalars(select(StepRow.document)):
                gone -= blob_hashes(document)
            for digest in gone:
                session.execute(delete(BlobRow).where(BlobRow.hash == digest))
                session.execute(delete(AssetRow).where(AssetRow.hash == digest))

    def add_step(
        self,
        design_id: str,
        revision: int,
        title: str,
        command: dict[str, Any],
        design: Design,
        selected: dict[str, Any] | None,
    ) -> Saved:
        """Keep a change as a new step after the present one. Raises StaleRevisionError, StoreFullError."""
        with self._session() as session:
            row = self._row(session, design_id, revision)
            head = session.get_one(StepRow, row.head_id)
            step = self._new_step(session, row, head, title, command, design, selected)
            self._moved(row, step.id)
            row.tip_id = step.id
            return self._saved(session, row)

    def go_to(self, design_id: str, revision: int, step_id: int) -> Saved:
        """Make a step of the list the present one. Raises StaleRevisionError, UnknownDesignError."""
        with self._session() as session:
            row = self._row(session, design_id, revision)
            if all(step.id != step_id for step in self._chain(session, row)):
                raise UnknownDesignError(f"This design has no step {step_id} in its list.")
            if row.head_id != step_id:
                self._moved(row, step_id)
            return self._saved(session, row)

    # --- assets -----------------------------------------------------------------------------------------------------

    def put_asset(self, kind: str, data: bytes, facts: dict[str, Any]) -> Asset:
        """Keep the contents of a reference; the same contents are kept once. Raises StoreFullError."""
        digest = hashlib.sha256(kind.encode() + data).hexdigest()
        with self._session() as session:
            if session.get(AssetRow, digest) is None:
                session.add(AssetRow(hash=digest, kind=kind, facts=facts, created_at=self._now()))
                session.add(BlobRow(hash=digest, data=data))
        return Asset(digest, kind, facts, data)

    def asset(self, digest: str) -> Asset:
        """The contents of a reference. Raises UnknownAssetError."""
        with self._session() as session:
            row = session.get(AssetRow, digest)
            if row is None:
                raise UnknownAssetError("This picture or mesh is not in the store.")
            return Asset(row.hash, row.kind, row.facts, session.get_one(BlobRow, digest).data)

    # --- within a transaction ---------------------------------------------------------------------------------------

    @contextmanager
    def _session(self) -> Iterator[Session]:
        try:
            with Session(self._engine) as session, session.begin():
                yield session
        except OperationalError as error:
            # SQLite's own words for a full or unwritable disk; the transaction is rolled back by then.
            if any(word in str(error.orig) for word in ("full", "disk I/O", "readonly")):
                raise StoreFullError(
                    "The change could not be kept: the disk is full or cannot be written. Nothing was changed."
                ) from error
            raise

    def _moved(self, row: DesignRow, head_id: int) -> None:
        row.head_id = head_id
        row.revision += 1
        row.changed_at = self._now()

    def _row(self, session: Session, design_id: str, revision: int | None = None) -> DesignRow:
        row = session.get(DesignRow, design_id)
        if row is None:
            raise UnknownDesignError(f"There is no design {design_id!r}.")
        if revision is not None and row.revision != revision:
            raise StaleRevisionError(
                f"The design is at revision {row.revision} by now; this change was made against {revision}."
            )
        return row

    def _new_step(
        self,
        session: Session,
        row: DesignRow,
        parent: StepRow | None,
        title: str,
        command: dict[str, Any] | None,
        design: Design,
        selected: dict[str, Any] | None,
    ) -> StepRow:
        document, blobs = to_document(design)
        wanted = asset_hashes(document)
        if wanted - set(session.scalars(select(AssetRow.hash).where(AssetRow.hash.in_(wanted)))):
            raise UnknownAssetError("A reference names a picture or mesh that is not in the store.")
        known = set(session.scalars(select(BlobRow.hash).where(BlobRow.hash.in_(blobs))))
        session.add_all(BlobRow(hash=digest, data=data) for digest, data in blobs.items() if digest not in known)
        step = StepRow(
            design_id=row.id,
            parent_id=parent.id if parent else None,
            number=parent.number + 1 if parent else 0,
            title=title[:400],
            command=command,
            document=document,
            selected=selected,
            created_at=self._now(),
        )
        session.add(step)
        session.flush()
        return step

    def _chain(self, session: Session, row: DesignRow) -> list[StepFacts]:
        """The steps from the first to the tip."""
        columns = (StepRow.id, StepRow.parent_id, StepRow.number, StepRow.title, StepRow.created_at)
        line = select(*columns).where(StepRow.id == row.tip_id).cte("line", recursive=True)
        line = line.union_all(select(*columns).where(StepRow.id == line.c.parent_id))
        found = session.execute(select(line).order_by(line.c.number)).all()
        return [StepFacts(r.id, r.number, r.title, r.created_at) for r in found]

    def _saved(self, session: Session, row: DesignRow) -> Saved:
        session.flush()
        head = session.get_one(StepRow, row.head_id)
        hashes = blob_hashes(head.document) - asset_hashes(head.document)
        blobs = {b.hash: b.data for b in session.scalars(select(BlobRow).where(BlobRow.hash.in_(hashes)))}
        steps = tuple(self._chain(session, row))
        return Saved(
            _facts(row, head.number),
            from_document(head.document, blobs),
            steps,
            row.head_id,
            self._selected(session, head, steps),
        )

    def _selected(self, session: Session, head: StepRow, steps: tuple[StepFacts, ...]) -> dict[str, Any] | None:
        """What the designer has in hand at a step: after undo, what the undone step was done to."""
        undone = next((step for step in steps if step.number == head.number + 1), None)
        command = (session.get_one(StepRow, undone.id).command if undone else None) or {}
        if "picked" in command:
            return {"piece": command["piece"], **command["picked"]}
        return head.selected

    def step_count(self) -> int:
        """How many steps all designs have, those on abandoned branches included."""
        with self._session() as session:
            return session.scalar(select(func.count()).select_from(StepRow)) or 0


def _facts(row: DesignRow, step_count: int) -> DesignFacts:
    return DesignFacts(
        row.id, row.name, row.unit, row.created_at, row.changed_at, row.revision, step_count  # type: ignore[arg-type]
    )
