"""A folder for what only lives while the application runs; one left behind by a run that was ended is cleared."""

from __future__ import annotations

import re
import secrets
import stat
from dataclasses import dataclass
from pathlib import Path

_NAME = re.compile(r"^work-[0-9a-f]{12}$")
_OWN = re.compile(r"^[0-9a-f]{12}\.(json|new)$|^[0-9a-f]{16}\.incoming$")
RECORD = "work-folder"


@dataclass(frozen=True)
class WorkFolder:
    """``path`` has a name that nobody guesses, which the data folder's record holds."""

    path: Path

    @classmethod
    def fresh(cls, data: Path) -> WorkFolder:
        """A new one; the one that the record names is cleared first. Call it while holding the data folder only."""
        record = data / RECORD
        try:
            named = record.read_text("utf-8").strip()
            if _NAME.match(named):
                cls(data / named).clear()
        except (OSError, UnicodeDecodeError):
            pass
        folder = cls(data / f"work-{secrets.token_hex(6)}")
        record.write_text(folder.path.name, "utf-8")
        folder.path.mkdir(mode=0o700)
        return folder

    def clear(self) -> None:
        """Remove what the application puts here, and the folder when nothing else is in it."""
        if self.path.is_symlink() or not self.path.is_dir():
            return
        for file in self.path.iterdir():
            if _OWN.match(file.name) and stat.S_ISREG(file.lstat().st_mode):
                file.unlink(missing_ok=True)
        if not any(self.path.iterdir()):
            self.path.rmdir()
