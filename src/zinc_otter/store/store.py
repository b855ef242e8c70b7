"""The store: every change of a design is one transaction; nothing that was kept is overwritten."""

from __future__ import annotations

import hashlib
import logging
import secrets
import sqlite3
from collections.abc import Callable, Iterator
from contextlib import closing, contextmanager
from datetime import UTC, date, datetime
from pathlib import Path
from threading import Thread
from typing import Any

from sqlalchemy import delete, func, select, update
from sqlalchemy.dialects.sqlite import insert
from sqlalchemy.orm import Session

from zinc_otter.core.words import Unit
from zinc_otter.store.backups import keep_day
from zinc_otter.store.database import open_database
from zinc_otter.store.documents import asset_hashes, asset_kinds, blob_hashes, from_document, to_document
from zinc_otter.store.failures import ReadingOnlyError, StoreDamagedError, damaged, in_words
from zinc_otter.store.lines import Line, line_of
from zinc_otter.store.models import AssetRow, BlobRow, BlobUseRow, DesignRow, StepRow
from zinc_otter.studio.design import Design
from zinc_otter.studio.shelf import (
    Asset,
    DesignFacts,
    Saved,
    StaleRevisionError,
    StepFacts,
    UnknownAssetError,
    UnknownDesignError,
)


class Store:
    """Designs in one SQLite file. All methods may be called from any thread.

    ``reading`` says why nothing can be changed, and is empty as a rule. Every method may raise StoreDamagedError, and
    every one that changes something StoreFullError, StoreBusyError and ReadingOnlyError.
    """

    def __init__(self, path: Path, now: Callable[[], datetime] = lambda: datetime.now(UTC).replace(tzinfo=None)) -> None:
        opened = open_database(path)
        self.path = path
        self.reading = opened.reading
        self._engine = opened.engine
        self._writing_engine = opened.engine.execution_options(writes=True)
        self._now = now
        self._day: date | None = None
        self._copying: Thread | None = None

    def close(self) -> None:
        if self._copying is not None:
            self._copying.join()
        self._engine.dispose()

    # --- reading ----------------------------------------------------------------------------------------------------

    def designs(self) -> list[DesignFacts]:
        """All designs, also those in the bin, the one changed last first."""
        with self.read() as session:
            listed = (
                select(DesignRow, StepRow.number)
                .join(StepRow, StepRow.id == DesignRow.head_id, isouter=True)
                .order_by(DesignRow.changed_at.desc(), DesignRow.id)
            )
            return [_facts(row, number or 0) for row, number in session.execute(listed)]

    def load(self, design_id: str) -> Saved:
        """A design at its present step. Raises UnknownDesignError."""
        with self.read() as session:
            return self._saved(session, self._row(session, design_id))

    def steps(self, design_id: str, before: int, most: int) -> list[StepFacts]:
        """Steps of the line with numbers under ``before``, the last of them up to so many. Raises UnknownDesignError."""
        with self.read() as session:
            self._row(session, design_id)
            return line_of(session, design_id, before - most, before - 1)

    # --- changing ---------------------------------------------------------------------------------------------------

    def create(self, name: str, unit: Unit, design: Design | None = None, title: str = "Began the design") -> Saved:
        """A new design with a first step."""
        with self.write() as session:
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
        with self.write() as session:
            row = self._row(session, design_id)
            row.name = name or row.name
            row.unit = unit or row.unit
            row.changed_at = self._now()
            return self._saved(session, row)

    def put_in_bin(self, design_id: str, binned: bool) -> None:
        """Put a design into the bin, or take it out. It stays as it is. Raises UnknownDesignError."""
        with self.write() as session:
            row = self._row(session, design_id)
            row.binned_at = self._now() if binned else None

    def delete(self, design_id: str) -> None:
        """Delete a design, its steps, and the arrays and assets that no other design uses; their room is given back."""
        with self.write() as session:
            row = self._row(session, design_id)
            # Freed of each other first: to delete them one out of another goes as deep as there are steps.
            session.execute(update(StepRow).where(StepRow.design_id == design_id).values(parent_id=None))
            session.execute(delete(StepRow).where(StepRow.design_id == design_id))
            session.delete(row)
            session.flush()
            self._unused(session, design_id, set())
        self._give_back()

    def thin(self, design_id: str, revision: int, keep: int) -> Saved:
        """Forget all steps but the last ``keep`` up to the present one and those after it.

        Raises StaleRevisionError, UnknownDesignError.
        """
        with self.write() as session:
            row = self._row(session, design_id, revision)
            head = session.get_one(StepRow, row.head_id)
            first = max(head.number - keep + 1, 0)
            of_design = StepRow.design_id == design_id
            gone = of_design & ((StepRow.on_line == False) | (StepRow.number < first))  # noqa: E712
            session.execute(update(StepRow).where(gone).values(parent_id=None))
            session.execute(
                update(StepRow).where(of_design, StepRow.on_line, StepRow.number == first).values(parent_id=None)
            )
            session.execute(delete(StepRow).where(gone))
            used: set[str] = set()
            for document in session.scalars(select(StepRow.document).where(of_design)):
                used |= blob_hashes(document)
            self._unused(session, design_id, used)
            row.revision += 1
            saved = self._saved(session, row)
        self._give_back()
        return saved

    def add_step(
        self,
        design_id: str,
        revision: int,
        title: str,
        command: dict[str, Any],
        design: Design,
        selected: dict[str, Any] | None,
        aside: bool = False,
        instead: bool = False,
    ) -> Saved:
        """Keep a change as a new step after the present one, or ``instead`` of it. Raises StaleRevisionError."""
        with self.write() as session:
            row = self._row(session, design_id, revision)
            head = session.get_one(StepRow, row.head_id)
            if instead:
                head = self._parent(session, head)
            undone = (StepRow.design_id == design_id) & StepRow.on_line & (StepRow.number > head.number)
            session.execute(update(StepRow).where(undone).values(on_line=False))
            step = self._new_step(session, row, head, title, command, design, selected)
            step.aside = aside
            self._moved(row, step.id)
            row.tip_id = step.id
            return self._saved(session, row)

    def before(self, design_id: str) -> Design:
        """The design before its present step. Raises UnknownDesignError, also at the first step."""
        with self.read() as session:
            row = self._row(session, design_id)
            return self._design_at(session, row, self._parent(session, session.get_one(StepRow, row.head_id)))

    def at_step(self, design_id: str, step_id: int) -> Design:
        """The design as it was at a step of its line. Raises UnknownDesignError."""
        with self.read() as session:
            row = self._row(session, design_id)
            return self._design_at(session, row, self._step_of_line(session, design_id, step_id))

    def go_to(self, design_id: str, revision: int, step_id: int) -> Saved:
        """Make a step of the line the present one. Raises StaleRevisionError, UnknownDesignError."""
        with self.write() as session:
            row = self._row(session, design_id, revision)
            self._step_of_line(session, design_id, step_id)
            if row.head_id != step_id:
                self._moved(row, step_id)
            return self._saved(session, row)

    # --- assets -----------------------------------------------------------------------------------------------------

    def put_asset(self, kind: str, data: bytes, facts: dict[str, Any]) -> Asset:
        """Keep the contents of a reference; the same contents are kept once, whoever comes first."""
        digest = hashlib.sha256(kind.encode() + data).hexdigest()
        with self.write() as session:
            row = {"hash": digest, "kind": kind, "facts": facts, "created_at": self._now()}
            session.execute(insert(AssetRow).values(**row).on_conflict_do_nothing())
            session.execute(insert(BlobRow).values(hash=digest, data=data).on_conflict_do_nothing())
        return Asset(digest, kind, facts, data)

    def asset(self, digest: str) -> Asset:
        """The contents of a reference. Raises UnknownAssetError."""
        with self.read() as session:
            row = session.get(AssetRow, digest)
            blob = session.get(BlobRow, digest)
            if row is None or blob is None:
                raise UnknownAssetError("This picture or mesh is not in the store.")
            return Asset(row.hash, row.kind, row.facts, blob.data)

    def asset_kinds(self, digests: set[str]) -> dict[str, str]:
        """What each of some assets is: "picture", "mesh" or "solid"; those that are not there are left out."""
        with self.read() as session:
            found = select(AssetRow.hash, AssetRow.kind).where(AssetRow.hash.in_(digests))
            return {row[0]: row[1] for row in session.execute(found)}

    def sweep_assets(self, before: datetime) -> int:
        """Delete assets older than a time that no step of any design names: uploads whose step was never kept."""
        with self.write() as session:
            unused = select(AssetRow.hash).where(
                AssetRow.created_at < before, AssetRow.hash.not_in(select(BlobUseRow.hash))
            )
            gone = list(session.scalars(unused))
            for digest in gone:
                session.execute(delete(BlobRow).where(BlobRow.hash == digest))
                session.execute(delete(AssetRow).where(AssetRow.hash == digest))
        return len(gone)

    # --- transactions -----------------------------------------------------------------------------------------------

    @contextmanager
    def read(self) -> Iterator[Session]:
        """A transaction that only reads, and waits for nobody."""
        with in_words(), Session(self._engine) as session, session.begin():
            yield session

    @contextmanager
    def write(self) -> Iterator[Session]:
        """A transaction that has taken the right to write."""
        if self.reading:
            raise ReadingOnlyError(self.reading)
        self._keep_day()
        with in_words(), Session(self._writing_engine) as session, session.begin():
            yield session

    def _keep_day(self) -> None:
        """Before the first change of a day a copy is begun, beside the work."""
        today = date.today()
        if self._day == today:
            return
        self._day = today

        def keep() -> None:
            try:
                keep_day(self.path, today)
            except OSError as error:
                logging.getLogger("zinc_otter").warning("no copy of the day was kept: %s", error)

        self._copying = Thread(target=keep, name="copy of the day")
        self._copying.start()

    def _give_back(self) -> None:
        """Make the file smaller by what was freed; where that fails it is used again later."""
        try:
            with closing(sqlite3.connect(self.path, timeout=1.0)) as connection:
                connection.executescript("PRAGMA incremental_vacuum; PRAGMA wal_checkpoint(TRUNCATE);")
        except sqlite3.Error as error:
            logging.getLogger("zinc_otter").warning("no room was given back: %s", error)

    # --- within a transaction ---------------------------------------------------------------------------------------

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
        wanted = asset_kinds(document)
        kinds = select(AssetRow.hash, AssetRow.kind).where(AssetRow.hash.in_(wanted))
        there = {row[0]: row[1] for row in session.execute(kinds)}
        for digest, kind in wanted.items():
            if there.get(digest) != kind:
                raise UnknownAssetError(f"What a reference or follower names is no {kind} in the store.")
        known = set(session.scalars(select(BlobRow.hash).where(BlobRow.hash.in_(blobs))))
        session.add_all(BlobRow(hash=digest, data=data) for digest, data in blobs.items() if digest not in known)
        uses = [{"design_id": row.id, "hash": digest} for digest in sorted(set(wanted) | set(blobs))]
        if uses:
            session.execute(insert(BlobUseRow).values(uses).on_conflict_do_nothing())
        step = StepRow(
            design_id=row.id,
            parent_id=parent.id if parent else None,
            number=parent.number + 1 if parent else 0,
            title=title[:400],
            command=command,
            document=document,
            selected=selected,
            created_at=self._now(),
            on_line=True,
        )
        session.add(step)
        session.flush()
        return step

    def _unused(self, session: Session, design_id: str, used: set[str]) -> None:
        """A design names only ``used`` from now on; what no other names either is deleted."""
        before = set(session.scalars(select(BlobUseRow.hash).where(BlobUseRow.design_id == design_id)))
        gone = sorted(before - used)
        for first in range(0, len(gone), 500):
            some = gone[first : first + 500]
            session.execute(delete(BlobUseRow).where(BlobUseRow.design_id == design_id, BlobUseRow.hash.in_(some)))
            unused = set(some) - set(session.scalars(select(BlobUseRow.hash).where(BlobUseRow.hash.in_(some))))
            session.execute(delete(BlobRow).where(BlobRow.hash.in_(unused)))
            session.execute(delete(AssetRow).where(AssetRow.hash.in_(unused)))

    def _saved(self, session: Session, row: DesignRow) -> Saved:
        session.flush()
        head = session.get(StepRow, row.head_id)
        if head is None:
            raise StoreDamagedError(damaged(f"The design “{row.name}”"))
        design = self._design_at(session, row, head)
        line = Line.around(session, row.id, head.number)
        return Saved(
            _facts(row, head.number), design, line.steps, row.head_id, self._selected(session, head, line.steps),
            line.earlier, line.later,
        )  # fmt: skip

    def _design_at(self, session: Session, row: DesignRow, step: StepRow) -> Design:
        hashes = blob_hashes(step.document) - asset_hashes(step.document)
        blobs = {b.hash: b.data for b in session.scalars(select(BlobRow).where(BlobRow.hash.in_(hashes)))}
        try:
            return from_document(step.document, blobs)
        except Exception as error:
            # Whatever comes of bytes that are not what was written.
            raise StoreDamagedError(damaged(f"The design “{row.name}”")) from error

    def _step_of_line(self, session: Session, design_id: str, step_id: int) -> StepRow:
        step = session.get(StepRow, step_id)
        if step is None or step.design_id != design_id or not step.on_line:
            raise UnknownDesignError(f"This design has no step {step_id} in its list.")
        return step

    def _parent(self, session: Session, step: StepRow) -> StepRow:
        parent = session.get(StepRow, step.parent_id) if step.parent_id is not None else None
        if parent is None:
            raise UnknownDesignError("There is no step before the present one.")
        return parent

    def _selected(self, session: Session, head: StepRow, steps: tuple[StepFacts, ...]) -> dict[str, Any] | None:
        """What the designer has in hand at a step: after undo, what the undone step was done to."""
        undone = next((step for step in steps if step.number == head.number + 1), None)
        command = (session.get_one(StepRow, undone.id).command if undone else None) or {}
        if "picked" in command:
            return {"piece": command["piece"], **command["picked"]}
        return head.selected

    def step_count(self) -> int:
        """How many steps all designs have, those on abandoned branches included."""
        with self.read() as session:
            return session.scalar(select(func.count()).select_from(StepRow)) or 0


def _facts(row: DesignRow, step_count: int) -> DesignFacts:
    return DesignFacts(
        row.id, row.name, row.unit, row.created_at, row.changed_at, row.revision, step_count,  # type: ignore[arg-type]
        row.binned_at,
    )  # fmt: skip
