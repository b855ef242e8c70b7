"""PLY as tables: elements with their properties, in text or in bytes of either order.

Source: G. Turk, "The PLY Polygon File Format", 1994. Names of types are those of the source, and those with their bits.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Protocol

import numpy as np

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import FileFormatError

_TYPES = {
    "char": "i1", "uchar": "u1", "short": "i2", "ushort": "u2", "int": "i4", "uint": "u4", "float": "f4", "double": "f8",
    "int8": "i1", "uint8": "u1", "int16": "i2", "uint16": "u2", "int32": "i4", "uint32": "u4",
    "float32": "f4", "float64": "f8",
}  # fmt: skip
_ORDERS = {"binary_little_endian": "<", "binary_big_endian": ">", "ascii": ""}
_MOST_HEADER = 64_000
_NO_PLY = "This is no PLY file: it does not begin as one."
_CLAIMS = "This is no PLY file that can be read: its elements are not what its header claims."


@dataclass(frozen=True)
class Lists:
    """A list for each element: ``sizes`` (k,), and all of them one after another (m,)."""

    sizes: Ints
    flat: Floats | Ints


Column = Floats | Ints | Lists
Table = dict[str, Column]


@dataclass(frozen=True)
class Tables:
    """The elements by name, each with its properties by name, and the comments of the header."""

    elements: Mapping[str, Table]
    comments: tuple[str, ...] = ()


@dataclass(frozen=True)
class _Property:
    name: str
    type: str
    counted_by: str = ""
    """Of a list the type of its count."""


@dataclass(frozen=True)
class _Element:
    name: str
    count: int
    properties: list[_Property]


def read_tables(data: bytes, most: Mapping[str, int] | None = None) -> Tables:
    """Read all elements. No room is made for more than the file can hold, nor for more than the ``most`` of an element.

    Raises FileFormatError.
    """
    order, elements, comments, body = _header(data, most or {})
    source: _Source = _Bytes(body, order) if order else _Words(body)
    at, tables = 0, {}
    for element in elements:
        tables[element.name], at = _table(source, element, at)
    return Tables(tables, comments)


def write_tables(elements: Mapping[str, Table], comments: Sequence[str] = ()) -> bytes:
    """Write elements in bytes, little end first; lists of whole numbers only. Comments are ASCII, a line each."""
    lines = ["ply", "format binary_little_endian 1.0", *(f"comment {comment}" for comment in comments)]
    blocks = []
    for name, table in elements.items():
        lists = [column for column in table.values() if isinstance(column, Lists)]
        plain = {key: column for key, column in table.items() if not isinstance(column, Lists)}
        if lists and (plain or len(lists) > 1):
            raise ValueError("An element is written with one list, or with none.")
        if lists:
            lines += [f"element {name} {len(lists[0].sizes)}", *(f"property list int int {key}" for key in table)]
            blocks.append(_counted(lists[0]))
        else:
            count = len(next(iter(plain.values())))
            kinds = [(key, "<i4" if column.dtype.kind == "i" else "<f8") for key, column in plain.items()]
            rows = np.zeros(count, dtype=kinds)
            for key, column in plain.items():
                rows[key] = column
            lines += [f"element {name} {count}"]
            lines += [f"property {'int' if column.dtype.kind == 'i' else 'double'} {key}" for key, column in plain.items()]
            blocks.append(rows.tobytes())
    return "\n".join([*lines, "end_header", ""]).encode("ascii") + b"".join(blocks)


def _counted(lists: Lists) -> bytes:
    """Each list with its count before it."""
    ends = np.cumsum(lists.sizes + 1)
    counted = np.zeros(len(lists.flat) + len(lists.sizes), dtype="<i4")
    is_count = np.zeros(len(counted), dtype=bool)
    is_count[ends - lists.sizes - 1] = True
    counted[is_count], counted[~is_count] = lists.sizes, lists.flat
    return counted.tobytes()


class _Source(Protocol):
    """What elements are read from, a place at a time: bytes or words."""

    length: int

    def step(self, kind: str) -> int: ...
    def count(self, kind: str, at: int) -> int: ...
    def gathered(self, kind: str, places: Ints) -> Floats | Ints: ...


class _Bytes:
    def __init__(self, body: bytes, order: str) -> None:
        self.body, self.order, self.length = np.frombuffer(body, dtype=np.uint8), order, len(body)

    def step(self, kind: str) -> int:
        return int(kind[1])

    def count(self, kind: str, at: int) -> int:
        return int.from_bytes(self.body[at : at + self.step(kind)].tobytes(), "little" if self.order == "<" else "big")

    def gathered(self, kind: str, places: Ints) -> Floats | Ints:
        taken = self.body[(places[:, None] + np.arange(self.step(kind))).ravel()]
        return taken.view(self.order + kind).astype(np.float64 if kind[0] == "f" else np.int64)


class _Words:
    def __init__(self, body: bytes) -> None:
        try:
            self.numbers = np.array(body.split(), dtype=np.float64)
        except ValueError:
            raise FileFormatError(_CLAIMS) from None
        self.length = len(self.numbers)

    def step(self, kind: str) -> int:
        return 1

    def count(self, kind: str, at: int) -> int:
        number = self.numbers[at]
        return int(number) if number >= 0 and number == int(number) else -1

    def gathered(self, kind: str, places: Ints) -> Floats | Ints:
        numbers = self.numbers[places]
        if kind[0] == "f":
            return np.asarray(numbers)
        # What is no whole number would be another one; and not all numbers have a whole one.
        if not np.array_equal(numbers, np.round(numbers)) or not np.all(np.abs(numbers) < 2**53):
            raise FileFormatError(_CLAIMS)
        return numbers.astype(np.int64)


def _table(source: _Source, element: _Element, at: int) -> tuple[Table, int]:
    """The columns of an element that begins at a place, and where it ends."""
    if not any(p.counted_by for p in element.properties):
        return _plain(source, element, at)
    firsts: list[list[int]] = [[] for _ in element.properties]
    sizes: list[list[int]] = [[] for _ in element.properties]
    for _ in range(element.count):
        for k, p in enumerate(element.properties):
            size = 1
            if p.counted_by:
                if at + source.step(p.counted_by) > source.length:
                    raise FileFormatError(_CLAIMS)
                size = source.count(p.counted_by, at)
                at += source.step(p.counted_by)
            firsts[k].append(at)
            sizes[k].append(size)
            at += size * source.step(p.type)
            if size < 0 or at > source.length:
                raise FileFormatError(_CLAIMS)
    table: Table = {}
    for p, first, size_of in zip(element.properties, firsts, sizes, strict=True):
        each = np.array(size_of, dtype=np.int64)
        within = np.arange(each.sum()) - np.repeat(np.cumsum(each) - each, each)
        flat = source.gathered(p.type, np.repeat(np.array(first, dtype=np.int64), each) + within * source.step(p.type))
        table[p.name] = Lists(each, flat) if p.counted_by else flat
    return table, at


def _plain(source: _Source, element: _Element, at: int) -> tuple[Table, int]:
    steps = [source.step(p.type) for p in element.properties]
    end = at + element.count * sum(steps)
    if end > source.length:
        raise FileFormatError(_CLAIMS)
    rows = at + np.arange(element.count, dtype=np.int64) * sum(steps)
    offsets = np.cumsum([0, *steps])[:-1]
    return {p.name: source.gathered(p.type, rows + o) for p, o in zip(element.properties, offsets, strict=True)}, end


def _header(data: bytes, most: Mapping[str, int]) -> tuple[str, list[_Element], tuple[str, ...], bytes]:
    """The order of bytes (empty for text), the elements, the comments, and what comes after."""
    head, found, rest = data[:_MOST_HEADER].partition(b"end_header")
    if not data.startswith(b"ply") or not found:
        raise FileFormatError(_NO_PLY)
    # The line ends in one sign or in two, as all others of this header do.
    ending = 2 if rest.startswith(b"\r\n") else 1
    body = data[len(head) + len(found) + ending :]
    order: str | None = None
    elements: list[_Element] = []
    comments: list[str] = []
    for line in head.decode("latin-1").splitlines()[1:]:
        match line.split():
            case ["format", kind, "1.0"] if kind in _ORDERS:
                order = _ORDERS[kind]
            case ["comment" | "obj_info", *_]:
                comments.append(line.strip().partition(" ")[2])
            case ["element", name, count]:
                elements.append(_Element(name, _checked(name, count, len(data), most), []))
            case ["property", "list", counted_by, kind, name] if counted_by in _TYPES and kind in _TYPES and elements:
                if _TYPES[counted_by][0] == "f":
                    raise FileFormatError(f"The file's header cannot be read: “{line.strip()[:60]}”.")
                elements[-1].properties.append(_Property(name, _TYPES[kind], _TYPES[counted_by]))
            case ["property", kind, name] if kind in _TYPES and elements:
                elements[-1].properties.append(_Property(name, _TYPES[kind]))
            case []:
                pass
            case _:
                raise FileFormatError(f"The file's header cannot be read: “{line.strip()[:60]}”.")
    if order is None:
        raise FileFormatError("The file's header does not say how it is written.")
    return order, elements, tuple(comments), body


def _checked(name: str, count: str, length: int, most: Mapping[str, int]) -> int:
    """Refuse a count of more than the file can hold, before room is made for it."""
    number = int(count) if count.isascii() and count.isdigit() and len(count) < 20 else -1
    if number < 0 or number > length or number > most.get(name, length):
        raise FileFormatError(f"The file claims {count[:20]} elements; it cannot hold them.")
    return number
