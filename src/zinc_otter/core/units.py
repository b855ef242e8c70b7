"""Numbers as people write them: expressions with units, by a small bounded parser over the units of the library pint."""

from __future__ import annotations

import math
import re
from functools import cache
from threading import Lock
from typing import Any, Literal

from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.gauges import number_drill, wire_gauge
from zinc_otter.core.ring_sizes import ring_size

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
    r"\s*(?:(?P<number>(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?)|(?P<unit>[^\W\d_²³]+|[%°\"'″′])|(?P<sign>\*\*|[-+*/()×·÷−^²³]))"
)
_SIGNS = {"×": "*", "·": "*", "÷": "/", "−": "-", "**": "^"}
_CONSTANTS = {"pi": math.pi, "π": math.pi}
_OF_ANGLE = {"sin": math.sin, "cos": math.cos, "tan": math.tan}
_TO_ANGLE = {"asin": math.asin, "acos": math.acos, "atan": math.atan}
_FUNCTIONS = {"sqrt", "abs", *_OF_ANGLE, *_TO_ANGLE}
_SIZES = {"ga": wire_gauge, "gauge": wire_gauge, "drill": number_drill}
"""What the trade numbers: diameters of wire and of drills."""
_GROUPED = re.compile(
    r"(?<![\d.,])\d{1,3}(?:(?:,\d{3})+(?![\d,])|(?:\.\d{3}){2,}(?![\d.])|(?:\.\d{3})(?=,\d))"
)
"""Numbers with their thousands apart: by commas, or by points where there are more or a decimal comma follows."""


def read_number(text: str, asked: Asked, unit: str = "mm") -> float:
    """The value of an expression such as ``3/8 in``, ``12.5mm + 2`` or ``360/12``.

    Lengths come back in mm, angles in degrees, shares in per cent. A bare number is taken in ``unit`` (mm, cm or in) for
    a length. ``1 3/8 in`` is one and three eighths. A share may be a ratio: ``1:3`` parts one to three, which is 25 %.
    It knows powers (``2^3``, ``5²``), ``pi``, ``sqrt``, ``abs``, and ``sin``, ``cos``, ``tan`` and their inverses, for
    which a bare number is in degrees. ``20 ga`` is the diameter of American wire gauge 20, ``60 drill`` that of a number
    drill, ``US 7`` the bore of a ring (see :mod:`ring_sizes`). Raises BadNumberError saying what is wrong.

    >>> read_number("3/8 in", "length"), read_number("360/12", "angle"), read_number("1 + 1 mm", "length", "cm")
    (9.525, 30.0, 11.0)
    >>> read_number("sqrt((3mm)^2 + (4mm)^2)", "length"), read_number("10 mm * sin(30)", "length")
    (5.0, 5.0)
    """
    if len(text) > LONGEST:
        raise BadNumberError(f"An expression has at most {LONGEST} characters; this one has {len(text)}.")
    if asked == "length" and (bore := ring_size(text)) is not None:
        return bore
    if asked == "share" and text.count(":") == 1:
        one, other = (_Reader(part, "number", unit).value() for part in text.split(":"))
        if one < 0 or other < 0 or not 0 < one + other < math.inf:
            raise BadNumberError(f"{text.strip()!r} is no ratio; write it as 1:3.")
        return 100 * one / (one + other)
    return _Reader(text, asked, unit).value()


_first = Lock()


def _registry() -> Any:
    # Quantities of two registries cannot be added: whoever comes while it is made waits for this one.
    with _first:
        return _made()


@cache
def _made() -> Any:
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
            if _kind(total) != _kind(other) or not total.is_compatible_with(other):
                raise BadNumberError(f"{_said(total).capitalize()} and {_said(other)} cannot be added.")
            total = total + other if sign == "+" else total - other
        return total

    def _product(self) -> Any:
        total = self._signed()
        while (sign := self._take("*", "/")) is not None:
            other = self._signed()
            if sign == "/" and other.magnitude == 0:
                raise ZeroDivisionError
            total = _settled(total * other if sign == "*" else total / other)
        return total

    def _signed(self) -> Any:
        sign = self._take("+", "-")
        if sign is None:
            return self._power()
        self._deeper()
        inner = self._signed()
        self._depth -= 1
        return -inner if sign == "-" else inner

    def _power(self) -> Any:
        base = self._quantity()
        while (sign := self._take("²", "³")) is not None:
            base = self._raised(base, 2.0 if sign == "²" else 3.0)
        if self._take("^") is None:
            return base
        # A power of a power is read from the right, and may be below 0.
        self._deeper()
        exponent = self._signed()
        self._depth -= 1
        if _kind(exponent) != "number":
            raise BadNumberError(f"A power is a plain number, not {_GIVEN.get(_kind(exponent), 'something else')}.")
        return self._raised(base, float(exponent.magnitude))

    def _raised(self, base: Any, exponent: float) -> Any:
        if base.magnitude == 0 and exponent < 0:
            raise ZeroDivisionError
        if base.magnitude < 0 and exponent != int(exponent):
            raise BadNumberError("A power that is no whole number needs a base above 0.")
        return _settled(base**exponent)

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
        elif kind == "unit" and text in _FUNCTIONS:
            number = self._called(text)
        elif kind == "unit" and text in _CONSTANTS:
            self._at += 1
            number = _registry().Quantity(_CONSTANTS[text])
        elif kind == "end":
            raise BadNumberError("The expression ends where a number was expected.")
        else:
            raise BadNumberError(f"{text!r} stands where a number was expected.")
        while self._at < len(self._tokens) and self._tokens[self._at][0] == "unit":
            number = self._measured(number)
        return number

    def _called(self, name: str) -> Any:
        """A function of what stands in the brackets after it."""
        self._at += 1
        if self._take("(") is None:
            raise BadNumberError(f"{name} is followed by brackets: {name}(…).")
        self._deeper()
        inner = self._sum()
        self._depth -= 1
        if self._take(")") is None:
            raise BadNumberError("A closing bracket is missing.")
        quantity = _registry().Quantity
        kind = _kind(inner)
        if name == "abs":
            return abs(inner)
        if name == "sqrt":
            if inner.magnitude < 0:
                raise BadNumberError("There is no square root of a number below 0.")
            return _settled(inner**0.5)
        if name in _OF_ANGLE:
            if kind not in ("number", "angle"):
                raise BadNumberError(f"{name} is of an angle, not of {_GIVEN.get(kind, 'something else')}.")
            degrees = inner.magnitude if kind == "number" else inner.to("degree").magnitude
            if name == "tan" and degrees % 180 == 90:
                raise BadNumberError("There is no tangent of a right angle.")
            return quantity(round(_OF_ANGLE[name](math.radians(degrees)), 15))
        if kind != "number" or (name != "atan" and abs(inner.magnitude) > 1):
            raise BadNumberError(f"{name} is of a plain number{'' if name == 'atan' else ' from -1 to 1'}.")
        return quantity(math.degrees(_TO_ANGLE[name](inner.magnitude)), "degree")

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
        if name in _CONSTANTS and _kind(number) == "number":
            return number * _CONSTANTS[name]
        if name in _SIZES and _kind(number) == "number" and self._asked == "length":
            return _registry().Quantity(_SIZES[name](float(number.magnitude)), "millimeter")
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
    rest = _GROUPED.sub(_ungrouped, text.strip())
    # A comma between digits that is left is a decimal comma.
    rest = re.sub(r"(?<=\d),(?=\d)", ".", rest)
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


def _ungrouped(match: re.Match[str]) -> str:
    """Digits in groups as one number, where it is clear that they are groups."""
    text = match[0]
    after = match.string[match.end() : match.end() + 1]
    groups = re.split(r"[.,]", text)
    # "0,125" can only have a decimal comma; "1,000.5" and "1,000,000" only groups.
    if text.startswith("0"):
        return text
    if len(groups) == 2 and after != "." and "," in text:
        whole, decimal = "".join(groups), ".".join(groups)
        raise BadNumberError(f"“{text}” may be {whole} or {decimal}: please write one of these.")
    return "".join(groups)


def _settled(quantity: Any) -> Any:
    """What came of a product, its units cancelled; angles stay angles and shares shares, which cancel with nothing."""
    if quantity.check("[length]") or not quantity.dimensionless:
        return quantity
    angles, shares = _exponents(quantity)
    if angles == 1:
        return quantity.to("degree")
    if angles == 0:
        return quantity.to("percent" if shares > 0 else "")
    return quantity


def _kind(quantity: Any) -> str:
    if not quantity._units:
        return "number"
    if quantity.check("[length]"):
        return "length"
    if not quantity.dimensionless:
        return "other"
    return {(1.0, 0.0): "angle", (0.0, 1.0): "share"}.get(_exponents(quantity), "other")


def _exponents(quantity: Any) -> tuple[float, float]:
    """How many times an angle, and a share, stands in it: units that the library takes for none."""
    units = {str(unit): float(exponent) for unit, exponent in quantity._units.items()}
    angles, shares = (sum(units.get(name, 0) for name in set(names.values())) for names in (_ANGLES, _SHARES))
    return angles, shares


def _said(quantity: Any) -> str:
    return _GIVEN.get(_kind(quantity), "something else")
