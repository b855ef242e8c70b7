"""The text of a STEP file: strings that keep to its alphabet, and a header that says what the file is of.

Source: ISO 10303-21:2016, 6.4.3 (strings) and 8.2 (header).
"""

from __future__ import annotations

import re
from dataclasses import dataclass

NAME = "ZINC-OTTER-NAME"
"""Stands in a solid that is kept for the name that its piece has when the file is handed out."""
SYSTEM = "Zinc Otter"


@dataclass(frozen=True)
class Heading:
    """What a file is of: a title, further lines about it, and when it was written, as ISO 8601 to the second."""

    title: str
    about: tuple[str, ...] = ()
    stamp: str = "1970-01-01T00:00:00"


def string(text: str) -> str:
    """A string of the format, without its quotes: apostrophes and backslashes doubled, other signs by their number.
    """
    printable = "".join(c if c >= " " and c != "\x7f" else " " for c in text)
    return plain(printable.replace("\\", "\\\\").replace("'", "''"))


def plain(text: str) -> str:
    """The text with all that is not ASCII by its number."""
    return re.sub(r"[\u0080-\uffff]+|[\U00010000-\U0010ffff]+", _by_number, text)


def _by_number(found: re.Match[str]) -> str:
    wide = ord(found[0][0]) > 0xFFFF
    digits = "".join(f"{ord(c):08X}" if wide else f"{ord(c):04X}" for c in found[0])
    return f"\\X{4 if wide else 2}\\{digits}\\X0\\"


def headed(data: bytes, heading: Heading, name: str | None = None) -> bytes:
    """The file under a heading, ``NAME`` in it replaced by a name, and all of it in the format's alphabet."""
    text = data.decode("utf-8", "replace")
    schema = re.search(r"FILE_SCHEMA\s*\(.*?\)\s*\)\s*;", text, re.DOTALL)
    about = ",".join(f"'{string(line)}'" for line in (heading.title, *heading.about))
    header = (
        f"HEADER;\nFILE_DESCRIPTION(({about}),'2;1');\n"
        f"FILE_NAME('{string(heading.title)}','{heading.stamp}',(''),(''),'{SYSTEM}','{SYSTEM}','');\n"
        f"{schema[0] if schema else ''}\nENDSEC;\n"
    )
    text = re.sub(r"HEADER;.*?ENDSEC;\n", lambda _: header, text, count=1, flags=re.DOTALL)
    if name is not None:
        text = text.replace(NAME, string(name))
    return plain(text).encode("ascii")
