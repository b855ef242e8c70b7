"""Points without triangles, as scanners write them: XYZ text, and PLY files with no faces."""

from __future__ import annotations

import re
from dataclasses import dataclass

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import FileFormatError
from zinc_otter.core.formats.mesh import scale_of
from zinc_otter.core.formats.ply_tables import read_tables

MOST_POINTS = 5_000_000
_CHUNK = 4 * 1024 * 1024
_ASIDE = (b"#", b"//")
"""What lines begin with that are remarks."""
_UNIT_LENGTH = 0.02
"""Three numbers behind a point are a direction where they are as long as 1, within this."""


@dataclass(frozen=True, eq=False)
class Points:
    """Places (n, 3) in mm, and where the file has them directions (n, 3) that look outwards."""

    places: Floats
    normals: Floats | None = None


def are_points(data: bytes, extension: str) -> bool:
    """Whether a file holds points alone: XYZ does, and PLY whose header names no faces."""
    if extension == "xyz":
        return True
    header, found, _ = data[:65_536].partition(b"end_header")
    if extension != "ply" or not found:
        return False
    counts = {name: int(n) for name, n in re.findall(rb"element\s+(vertex|face|tristrips)\s+(\d{1,15})", header)}
    return counts.get(b"vertex", 0) > 0 and not (counts.get(b"face") or counts.get(b"tristrips"))


def read_points(data: bytes, extension: str, unit: str | None) -> Points:
    """The points of a file for which :func:`are_points` holds. ``unit`` (mm, cm, m, in) is needed: they name none.

    XYZ is text, a point a line: three numbers, after which others may come, a direction first if it is one; between numbers
    there are blanks, commas or semicolons. Raises FileFormatError naming the line, BadNumberError for no unit.
    """
    scale = scale_of(extension, unit)
    places, normals = _of_text(data) if extension == "xyz" else _of_ply(data)
    if not np.isfinite(places).all():
        bad = int(np.flatnonzero(~np.isfinite(places).all(axis=1))[0])
        raise FileFormatError(f"Point {bad + 1:,} has a coordinate that is no number.")
    places = places * scale
    if len(places) and np.abs(places).max() > 1e6:
        raise FileFormatError("The points reach further than a kilometre; look at the unit.")
    return Points(places, normals if normals is not None and _are_directions(normals) else None)


def _are_directions(vectors: Floats) -> bool:
    off = np.abs(np.linalg.norm(vectors[:: max(1, len(vectors) // 10_000)], axis=1) - 1)
    return bool(np.quantile(off, 0.95) < _UNIT_LENGTH)


def _of_ply(data: bytes) -> tuple[Floats, Floats | None]:
    table = read_tables(data, {"vertex": MOST_POINTS}).elements.get("vertex", {})
    columns = {name: column for name, column in table.items() if isinstance(column, np.ndarray)}
    if not {"x", "y", "z"} <= columns.keys():
        raise FileFormatError("The points of the file have no x, y and z.")

    def together(*names: str) -> Floats:
        return np.column_stack([np.asarray(columns[name], dtype=np.float64) for name in names])

    return together("x", "y", "z"), together("nx", "ny", "nz") if {"nx", "ny", "nz"} <= columns.keys() else None


def _of_text(data: bytes) -> tuple[Floats, Floats | None]:
    if b"\0" in data[:4096]:
        raise FileFormatError("The file cannot be read as XYZ: it is no text.")
    if data.count(b"\n") > 2 * MOST_POINTS:
        raise FileFormatError(f"The file has more lines than {MOST_POINTS:,} points take; that is too many for a component.")
    parts: list[Floats] = []
    columns, line, at, count = 0, 1, 0, 0
    while at < len(data):
        end = len(data) if at + _CHUNK >= len(data) else data.find(b"\n", at + _CHUNK) + 1 or len(data)
        rows = _rows(data[at:end], line, columns)
        if len(rows):
            columns = rows.shape[1]
            count += len(rows)
            parts.append(rows[:, : 6 if columns >= 6 else 3])
        if count > MOST_POINTS:
            raise FileFormatError(f"The file has more than {MOST_POINTS:,} points; that is too many for a component.")
        line += data.count(b"\n", at, end)
        at = end
    if not parts:
        raise FileFormatError("The file holds no points.")
    rows = np.concatenate(parts)
    return rows[:, :3], rows[:, 3:6] if columns >= 6 else None


def _rows(text: bytes, first: int, columns: int) -> Floats:
    """(k, columns) the numbers of some lines, of which the first has this number in the file."""
    lines = text.translate(bytes.maketrans(b",;\t\r", b"    ")).split(b"\n")
    kept = [k for k, row in enumerate(lines) if row.strip() and not row.lstrip().startswith(_ASIDE)]
    # A first line may tell how many there are, or name the columns.
    if first == 1 and kept and not _is_row(lines[kept[0]], 3):
        kept = kept[1:]
    if not kept:
        return np.zeros((0, max(columns, 3)))
    columns = columns or len(lines[kept[0]].split())
    try:
        numbers = np.array(b" ".join(lines[k] for k in kept).split(), dtype=np.float64)
        if columns >= 3 and len(numbers) == columns * len(kept):
            return numbers.reshape(-1, columns)
    except ValueError:
        pass
    for k in kept:
        if columns < 3 or len(lines[k].split()) != columns or not _is_row(lines[k], columns):
            words = lines[k].strip()[:40].decode("ascii", "replace")
            raise FileFormatError(f"Line {first + k:,} is no point of {max(columns, 3)} numbers: “{words}”.")
    raise FileFormatError("The file cannot be read as XYZ.")


def _is_row(line: bytes, least: int) -> bool:
    try:
        return len([float(word) for word in line.split()]) >= least
    except ValueError:
        return False
