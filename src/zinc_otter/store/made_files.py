"""Files that were made of designs and can be made again: recorded before they are made, and swept by that record alone."""

from __future__ import annotations

import re
import stat
import time
from collections.abc import Callable, Iterable
from pathlib import Path

from sqlalchemy import and_, delete, func, select
from sqlalchemy.dialects.sqlite import insert

from zinc_otter.store.models import MadeFileRow
from zinc_otter.store.store import Store

KEPT_DAYS = 30
MOST_BYTES = 2 * 1024**3
SHOTS, NOTES = "shots", "written"
"""The folders of true pictures and of notes on files that were handed over: the form that they tell of may be gone, so that
they go with their design alone."""
_SWEPT = and_(*(MadeFileRow.path.not_like(f"{folder}/%") for folder in (SHOTS, NOTES)))
_DAY = 24 * 3600 * 1000
_ANEW = 60 * 1000
"""Milliseconds after which another use is noted."""


class MadeFiles:
    """Solids, triangles, pictures and files to fetch, in folders of their own under ``root``.

    Nothing is ever removed that is not in the record; links are left alone, and what they lead to.
    """

    def __init__(self, root: Path, store: Store, now: Callable[[], float] = time.time) -> None:
        self._root = root
        self._store = store
        self._now = now

    def place(self, design_id: str, *names: str) -> Path:
        """Record files that are about to be made for a design, by their names under the root; the path of the first.

        Where nothing can be recorded, since designs are only read, the path alone.
        """
        first = self._root / names[0]
        if not self._store.reading and self._unrecorded(design_id, names):
            with self._store.write() as session:
                rows = [{"path": name, "design_id": design_id, "used_at": self._stamp()} for name in names]
                fresh = insert(MadeFileRow).values(rows)
                keys = [MadeFileRow.path, MadeFileRow.design_id]
                session.execute(fresh.on_conflict_do_update(keys, set_={"used_at": fresh.excluded.used_at}))
        first.parent.mkdir(parents=True, exist_ok=True, mode=0o700)
        return first

    def path(self, name: str) -> Path:
        """Where a file lies, if it was made."""
        return self._root / name

    def forget(self, design_id: str) -> None:
        """Remove what was made for a design that is no more, and for no other."""
        with self._store.write() as session:
            mine = select(MadeFileRow.path).where(MadeFileRow.design_id == design_id)
            others = select(MadeFileRow.path).where(MadeFileRow.design_id != design_id)
            gone = list(session.scalars(mine.where(MadeFileRow.path.not_in(others))))
            session.execute(delete(MadeFileRow).where(MadeFileRow.design_id == design_id))
        self._remove(gone)

    def of(self, design_id: str, folder: str) -> list[str]:
        """The names of a design's files in one folder."""
        with self._store.read() as session:
            mine = select(MadeFileRow.path).where(MadeFileRow.design_id == design_id)
            return list(session.scalars(mine.where(MadeFileRow.path.startswith(f"{folder}/"))))

    def remove(self, *names: str) -> None:
        """Files that are not wanted any more."""
        self._forget_paths(list(names))

    def sweep(self, most_bytes: int = MOST_BYTES, days: float = KEPT_DAYS) -> int:
        """Remove what nobody asked for in a month, and the oldest where there is more than so many bytes, but for true
        pictures and notes; how many."""
        with self._store.read() as session:
            by_age = select(MadeFileRow.path, func.max(MadeFileRow.used_at)).group_by(MadeFileRow.path).where(_SWEPT)
            used = sorted([(row[0], row[1]) for row in session.execute(by_age)], key=lambda row: -row[1])
        kept, gone = 0, []
        for name, when in used:
            size = self._size(name)
            kept += size
            if kept > most_bytes or when < self._stamp() - days * _DAY:
                kept -= size
                gone.append(name)
        self._forget_paths(gone)
        return len(gone)

    def sweep_folder(self, folder: str, most: int, design_id: str | None = None) -> None:
        """Of one folder's files, or of those of a design there, keep only those that were asked for last."""
        with self._store.read() as session:
            by_age = select(MadeFileRow.path, func.max(MadeFileRow.used_at)).group_by(MadeFileRow.path)
            of_folder = by_age.where(MadeFileRow.path.startswith(f"{folder}/"))
            if design_id is not None:
                of_folder = of_folder.where(MadeFileRow.design_id == design_id)
            used = [(row[0], row[1]) for row in session.execute(of_folder)]
        self._forget_paths([name for name, _ in sorted(used, key=lambda row: -row[1])[most:]])

    def space(self) -> int:
        """Bytes that all recorded files take, but for true pictures and notes."""
        with self._store.read() as session:
            names = list(session.scalars(select(MadeFileRow.path).where(_SWEPT).distinct()))
        return sum(map(self._size, names))

    def _stamp(self) -> int:
        return int(self._now() * 1000)

    def _unrecorded(self, design_id: str, names: Iterable[str]) -> bool:
        """Whether one of the names is not in the record, or was last asked for a while ago."""
        wanted = set(names)
        with self._store.read() as session:
            found = session.scalar(
                select(func.count())
                .select_from(MadeFileRow)
                .where(
                    MadeFileRow.path.in_(wanted),
                    MadeFileRow.design_id == design_id,
                    MadeFileRow.used_at > self._stamp() - _ANEW,
                )
            )
        return found != len(wanted)

    def _forget_paths(self, names: list[str]) -> None:
        if not names:
            return
        with self._store.write() as session:
            for name in names:
                session.execute(delete(MadeFileRow).where(MadeFileRow.path == name))
        self._remove(names)

    def _remove(self, names: Iterable[str]) -> None:
        for name in names:
            path = self._root / name
            if not self._is_own(path):
                continue
            path.unlink(missing_ok=True)
            # What a worker had begun to write beside it when it was ended.
            half = re.compile(re.escape(path.name) + r"\.\d+$")
            for beside in list(path.parent.iterdir()):
                if half.match(beside.name) and self._is_own(beside):
                    beside.unlink(missing_ok=True)
            if path.parent.parent != self._root and path.parent != self._root and not any(path.parent.iterdir()):
                path.parent.rmdir()

    def _size(self, name: str) -> int:
        path = self._root / name
        return path.lstat().st_size if self._is_own(path) else 0

    def _is_own(self, path: Path) -> bool:
        """A plain file in a plain folder under the root: no link, and not reached by one."""
        try:
            within = path.parent.resolve(strict=True) == self._root.resolve() / path.parent.relative_to(self._root)
            return within and stat.S_ISREG(path.lstat().st_mode)
        except OSError:
            return False

