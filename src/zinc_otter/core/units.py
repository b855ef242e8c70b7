"""Numbers as people write them: expressions with units, by a small bounded parser over the units of the library pint."""

from __future__ import annotations

import math
import re
from functools import cache
from typing import Any, Literal

from zinc_otter.core.errors import BadNumberError

Asked = Literal["length", "angle", "share", "number"]
"""What a field holds: mm, degrees, per cent, or a plain number."""

LONGEST = 100
_DEEPEST = 12

# Names that may be written, and the library's own.
_LENGTHS = {
    "mm": "millimeter", "cm": "centimeter", "m": "meter", "µm": "micrometer", "um": "micrometer", "in": "inch",
    "inch": "inch", "inches": "inch", '"': "inch", "″": "inch", "ft": "foot", "'": "foot", "′": "foot", "thou": "thou",
}  # fmt: skip
_ANGLES = {"deg": "degree", "°": "degree", "rad": "radian", "turn": "turn", "turns": "turn"}
_SHARES = {"%": "percent"}
_NAMES = {**_LENGTHS, **_ANGLES, **_SHARES}
_GIVEN = {"length": "a length", "angle": "an angle", "share": "a percentage", "number": "a plain number"}
_UNIT_OF = {"angle": "degree", "share": "percent"}

_TOKEN = re.compile(
    r"\s*(?:(?P<number>(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?)|(?P<unit>[^\W\d_]+|[%°\"'″′])|(?P<sign>[-+*/()×·÷−]))"
)
_SIGNS = {"×": "*", "·": "*", "÷": "/", "−": "-"}


def read_number(text: str, asked: Asked, unit: str = "mm") -> float:
    """The value of an expression such as ``3/8 in``, ``12.5mm + 2`` or ``360/12``.

    Lengths come back in mm, angles in degrees, shares in per cent. A bare number is taken in ``unit`` (mm, cm or in) for
    a length. ``1 3/8 in`` is one and three eighths. A share may be a ratio: ``1:3`` parts one to three, which is 25 %.
    Raises BadNumberError saying what is wrong.

    >>> read_number("3/8 in", "length"), read_number("360/12", "angle"), read_number("1 + 1 mm", "length", "cm")
    (9.525, 30.0, 11.0)
    """
    if len(text) > LONGEST:
        raise BadNumberError(f"An expression has at most {LONGEST} characters; this one has {len(text)}.")
    if asked == "share" and text.count(":") == 1:
        one, other = (_Reader(part, "number", unit).value() for part in text.split(":"))
        if one < 0 or other < 0 or not 0 < one + other < math.inf:
            raise BadNumberError(f"{text.strip()!r} is no ratio; write it as 1:3.")
        return 100 * one / (one + other)
    return _Reader(text, asked, unit).value()


@cache
def _registry() -> Any:
    import pint

    return pint.UnitRegistry()


class _Reader:
    """Recursive descent: sums of products of numbers, brackets and units."""

    def __init__(self, text: str, asked: Asked, unit: str) -> None:
        self._tokens = _tokens(text)
        self._at = 0
        self._depth = 0
        self._asked = asked
        self._bare = _NAMES[unit] if asked == "length" else _UNIT_OF.get(asked)

    def value(self) -> float:
        if not self._tokens:
            raise BadNumberError("A number is needed here.")
        try:
            total = self._sum()
            if self._at < len(self._tokens):
                raise BadNumberError(f"{self._tokens[self._at][1]!r} stands where an operator was expected.")
            result = self._plain(total)
        except ZeroDivisionError:
            raise BadNumberError("This divides by zero.") from None
        except OverflowError:
            result = math.inf
        if not math.isfinite(result):
            raise BadNumberError("This comes to more than a number can hold.")
        return result

    def _plain(self, total: Any) -> float:
        kind = _kind(total)
        if kind == "number":
            total = self._with_unit(total)
        elif kind != self._asked:
            given = _GIVEN.get(kind, "neither a length nor an angle")
            raise BadNumberError(f"This comes to {given}; {_GIVEN[self._asked]} is needed here.")
        if self._asked == "number":
            return float(total.magnitude)
        converted = total.to("millimeter" if self._asked == "length" else self._bare).magnitude
        # Conversion goes by way of metres; what that leaves in the last digits was not meant.
        return float(f"{converted:.14g}")

    def _with_unit(self, number: Any) -> Any:
        return number * _registry()(self._bare) if self._bare else number

    def _sum(self) -> Any:
        total = self._product()
        while (sign := self._take("+", "-")) is not None:
            other = self._product()
            kinds = {_kind(total), _kind(other)}
            if len(kinds) == 2 and "number" in kinds and self._bare:
                total, other = (self._with_unit(q) if _kind(q) == "number" else q for q in (total, other))
            if _kind(total) != _kind(other):
                raise BadNumberError(f"{_said(total)} and {_said(other)} cannot be added.")
            total = total + other if sign == "+" else total - other
        return total

    def _product(self) -> Any:
        total = self._signed()
        while (sign := self._take("*", "/")) is not None:
            other = self._signed()
            if sign == "/" and other.magnitude == 0:
                raise ZeroDivisionError
            total = (total * other if sign == "*" else total / other).to_reduced_units()
        return total

    def _signed(self) -> Any:
        sign = self._take("+", "-")
        if sign is None:
            return self._quantity()
        self._deeper()
        inner = self._signed()
        self._depth -= 1
        return -inner if sign == "-" else inner

    def _quantity(self) -> Any:
        kind, text = self._tokens[self._at] if self._at < len(self._tokens) else ("end", "")
        if kind == "number":
            number = self._fraction()
        elif text == "(":
            self._at += 1
            self._deeper()
            number = self._sum()
            self._depth -= 1
            if self._take(")") is None:
                raise BadNumberError("A closing bracket is missing.")
        elif kind == "end":
            raise BadNumberError("The expression ends where a number was expected.")
        else:
            raise BadNumberError(f"{text!r} stands where a number was expected.")
        if self._at < len(self._tokens) and self._tokens[self._at][0] == "unit":
            number = self._measured(number)
        return number

    def _fraction(self) -> Any:
        """A number, a fraction directly before a unit (3/8 in), or a whole number and a fraction (1 3/8)."""
        kinds = [kind if kind != "sign" else text for kind, text in self._tokens[self._at : self._at + 5]]
        values = [float(t) if k == "number" else 0.0 for k, t in self._tokens[self._at : self._at + 4]]
        if kinds[:4] == ["number", "number", "/", "number"]:
            self._at += 4
            if values[3] == 0:
                raise ZeroDivisionError
            return _registry().Quantity(values[0] + values[1] / values[3])
        if kinds[:4] == ["number", "/", "number", "unit"]:
            self._at += 3
            if values[2] == 0:
                raise ZeroDivisionError
            return _registry().Quantity(values[0] / values[2])
        self._at += 1
        return _registry().Quantity(values[0])

    def _measured(self, number: Any) -> Any:
        name = self._tokens[self._at][1]
        self._at += 1
        if name not in _NAMES:
            known = {"length": _LENGTHS, "angle": _ANGLES, "share": _SHARES}.get(self._asked, {})
            use = f"; use {', '.join(n for n in known if n.isalpha() or n in '°%')}" if known else ""
            raise BadNumberError(f"There is no unit {name!r} here{use}.")
        if _kind(number) != "number":
            raise BadNumberError(f"{name!r} follows something that already has a unit.")
        return number * _registry()(_NAMES[name])

    def _take(self, *signs: str) -> str | None:
        if self._at < len(self._tokens) and self._tokens[self._at][1] in signs:
            self._at += 1
            return self._tokens[self._at - 1][1]
        return None

    def _deeper(self) -> None:
        self._depth += 1
        if self._depth > _DEEPEST:
            raise BadNumberError("There are too many brackets or signs within each other.")


def _tokens(text: str) -> list[tuple[str, str]]:
    # A comma between digits is a decimal comma.
    rest = re.sub(r"(?<=\d),(?=\d)", ".", text.strip())
    found: list[tuple[str, str]] = []
    at = 0
    while at < len(rest):
        match = _TOKEN.match(rest, at)
        if match is None or match.lastgroup is None:
            raise BadNumberError(f"{rest[at:].strip()[:1]!r} has no place in a number.")
        word = match.group(match.lastgroup)
        found.append((match.lastgroup, _SIGNS.get(word, word)))
        at = match.end()
    return found


def _kind(quantity: Any) -> str:
    units = {str(unit) for unit in quantity._units}
    if not units:
        return "number"
    if quantity.check("[length]"):
        return "length"
    if units <= set(_SHARES.values()):
        return "share"
    if units <= set(_ANGLES.values()) and quantity.dimensionless:
        return "angle"
    return "other"


def _said(quantity: Any) -> str:
    words = _GIVEN.get(_kind(quantity), "something else")
    return words[0].upper() + words[1:]
