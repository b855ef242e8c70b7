"""The folder that the application keeps everything in: taken by one writer at a time, and never from others' things."""

from __future__ import annotations

import fcntl
import json
import os
import secrets
from dataclasses import dataclass
from datetime import datetime
from pathlib import Path
from typing import IO

from zinc_otter.core.errors import CoreError

DATABASE, MARK, HOLDER, KEY, RESERVE = "zinc-otter.sqlite", "zinc-otter-folder", "in-use", "key", "reserve"
RESERVED = 4 * 1024 * 1024
"""Bytes that are kept free for deleting, which needs room before it makes some."""


class FolderError(CoreError):
    """A folder that cannot be used as it is."""

    kind = "folder"
    title = "This folder cannot be used"


class FolderInUseError(FolderError):
    """A folder that another process writes in."""


@dataclass
class DataFolder:
    """A folder taken to be written in; released by :meth:`release` or by the end of the process."""

    path: Path
    _held: IO[str]

    @classmethod
    def take(cls, path: Path, among_others: bool = False, port: int | None = None) -> DataFolder:
        """Make the folder, or take one that is empty or the application's own; nobody else may write in it meanwhile.

        With ``among_others`` one that holds other things too. Raises FolderError, FolderInUseError, OSError.
        """
        _check_folder(path, among_others)
        path.mkdir(parents=True, exist_ok=True, mode=0o700)
        if not os.access(path, os.R_OK | os.W_OK | os.X_OK):
            raise FolderError(f"The folder {path} cannot be written in: it is not yours, or it is read-only.")
        held = (path / HOLDER).open("a+", encoding="utf-8")
        try:
            fcntl.flock(held, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except BlockingIOError:
            held.seek(0)
            words = _holder(held.read(2000))
            held.close()
            raise FolderInUseError(f"The folder {path} is in use {words}. Stop that one, or name another folder.") from None
        held.truncate(0)
        held.write(json.dumps({"process": os.getpid(), "port": port, "since": datetime.now().isoformat(" ", "minutes")}))
        held.flush()
        # What lies in it is nobody else's business on this machine.
        path.chmod(0o700)
        (path / MARK).touch(mode=0o600)
        folder = cls(path, held)
        folder.reserve()
        return folder

    def release(self) -> None:
        self._held.close()

    def tell_address(self, address: str) -> None:
        """Keep the address with the key in it, for those who may read the folder."""
        with os.fdopen(os.open(self.path / "address", os.O_CREAT | os.O_WRONLY | os.O_TRUNC, 0o600), "w") as file:
            file.write(f"{address}\n")

    @property
    def key(self) -> str:
        """A secret that stays the folder's own, for those who may come in."""
        path = self.path / KEY
        if not path.exists() or len(path.read_text("utf-8")) < 32:
            with os.fdopen(os.open(path, os.O_CREAT | os.O_WRONLY | os.O_TRUNC, 0o600), "w") as file:
                file.write(secrets.token_urlsafe(32))
        return path.read_text("utf-8")

    def reserve(self) -> None:
        """Keep some room free for deleting, as far as there is any."""
        path = self.path / RESERVE
        try:
            if not path.exists() or path.stat().st_size < RESERVED:
                path.write_bytes(bytes(RESERVED))
        except OSError:
            path.unlink(missing_ok=True)

    def give_room(self) -> bool:
        """Free what was kept; False where there was none."""
        path = self.path / RESERVE
        there = path.exists()
        path.unlink(missing_ok=True)
        return there


def _check_folder(path: Path, among_others: bool) -> None:
    if path.exists() and not path.is_dir():
        raise FolderError(f"{path} is a file; designs are kept in a folder.")
    try:
        held = sorted(entry.name for entry in path.iterdir()) if path.exists() else []
    except PermissionError:
        raise FolderError(f"The folder {path} cannot be looked into: it is not yours.") from None
    if not held or among_others or MARK in held or DATABASE in held:
        return
    shown = ", ".join(held[:3]) + (" …" if len(held) > 3 else "")
    raise FolderError(
        f"The folder {path} holds other things already ({shown}). Name an empty one, or a new one, with --data; or say"
        " --among-others, and they are left alone."
    )


def _holder(text: str) -> str:
    try:
        who = json.loads(text)
        port = f" on port {who['port']}" if who.get("port") else ""
        return f"by process {who['process']}{port}, since {who['since']}"
    except (ValueError, KeyError, TypeError):
        return "by another process"
