"""OBJ as a plain way in and out for cages: vertex lines and face lines; all else is passed over."""

from __future__ import annotations

from collections.abc import Iterator

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import FileFormatError

MOST_LINES = 5_000_000


def read_obj(text: str) -> Cage:
    """The cage of an OBJ file, taken as millimetres.

    Raises FileFormatError naming the line, UnsoundCageError where the faces make no manifold.
    """
    points, faces = obj_polygons(text)
    return Cage.from_faces(np.array(points), faces)


def obj_polygons(text: str) -> tuple[list[tuple[float, float, float]], list[list[int]]]:
    """Points and faces of an OBJ file, as they stand there. Raises FileFormatError naming the line."""
    points: list[tuple[float, float, float]] = []
    faces: list[list[int]] = []
    for number, line in obj_lines(text):
        if number > MOST_LINES:
            raise FileFormatError(f"The file has more than {MOST_LINES:,} lines.")
        word, *values = line.split("#", 1)[0].split() or [""]
        try:
            if word == "v":
                x, y, z = (float(value) for value in values[:3])
                points.append((x, y, z))
            elif word == "f":
                face = [int(value.split("/")[0]) for value in values]
                faces.append([i - 1 if i > 0 else len(points) + i for i in face])
                if 0 in face or min(faces[-1]) < 0 or max(faces[-1]) >= len(points):
                    raise ValueError
        except ValueError:
            raise FileFormatError(f"Line {number} is no OBJ {_KINDS[word]}: {line.strip()[:60]!r}") from None
    if not faces:
        raise FileFormatError("The file holds no faces.")
    return points, faces


def text_of(data: bytes) -> str:
    """The text of an OBJ file: UTF-8, with or without a mark of its byte order, else Latin-1, as old programs write it.

    Raises FileFormatError for what is no text.
    """
    if b"\0" in data[:65_536] or data.startswith((b"\xff\xfe", b"\xfe\xff")):
        raise FileFormatError("This is no text file, so it is no OBJ.")
    try:
        return data.decode("utf-8-sig")
    except UnicodeDecodeError:
        return data.decode("latin-1")


def obj_lines(text: str) -> Iterator[tuple[int, str]]:
    """Lines with the number of their first one: a backslash at the end of a line leads on to the next."""
    held, begun = "", 0
    for number, line in enumerate(text.split("\n"), start=1):
        begun = begun or number
        whole = line.rstrip("\r")
        if whole.endswith("\\"):
            held += whole[:-1] + " "
            continue
        yield begun, held + whole
        held, begun = "", 0
    if held:
        yield begun, held


_KINDS = {"v": "vertex (three numbers)", "f": "face (numbers of vertices above it)"}


def write_obj(points: Floats, quads: Ints) -> str:
    """Points (n, 3) and quads (m, 4) as OBJ text, every coordinate to the last digit."""
    lines = [f"v {x!r} {y!r} {z!r}" for x, y, z in points.tolist()]
    lines += [f"f {a} {b} {c} {d}" for a, b, c, d in (quads + 1).tolist()]
    return "\n".join(lines) + "\n"
