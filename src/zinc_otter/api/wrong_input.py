"""What validation finds, in our words: no refusal speaks in those of a library."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from typing import Any


def _number(value: Any) -> str:
    return f"{value:,.15g}" if isinstance(value, int | float) else str(value)


def _words(expected: str) -> str:
    return expected.replace("'", "").replace(" or ", ", ")


# Kinds of errors are those of the "Validation Errors" page of the validation library's documentation.
_SAID: dict[str, Callable[[Mapping[str, Any]], str]] = {
    "greater_than": lambda c: f"must be above {_number(c['gt'])}",
    "greater_than_equal": lambda c: f"must be {_number(c['ge'])} or more",
    "less_than": lambda c: f"must be below {_number(c['lt'])}",
    "less_than_equal": lambda c: f"may be {_number(c['le'])} at most",
    "multiple_of": lambda c: f"must be a multiple of {_number(c['multiple_of'])}",
    "finite_number": lambda c: "must be a finite number",
    "too_short": lambda c: f"needs {c['min_length']} or more; there are {c['actual_length']}",
    "too_long": lambda c: f"may have {c['max_length']} at most; there are {c.get('actual_length') or 'more'}",
    "string_too_short": lambda c: f"needs {c['min_length']} or more letters",
    "string_too_long": lambda c: f"may have {c['max_length']} letters at most",
    "string_pattern_mismatch": lambda c: "is not written as it should be",
    "literal_error": lambda c: f"must be one of {_words(c['expected'])}",
    "enum": lambda c: f"must be one of {_words(c['expected'])}",
    "union_tag_invalid": lambda c: f"there is no “{c['tag']}”; there are {_words(c['expected_tags'])}",
    "union_tag_not_found": lambda c: "does not say of which kind it is",
    "missing": lambda c: "is missing",
    "extra_forbidden": lambda c: "is not known here",
    "frozen_instance": lambda c: "cannot be changed",
    "json_invalid": lambda c: "the text is no JSON",
    "value_error": lambda c: str(c["error"]).rstrip("."),
    "assertion_error": lambda c: str(c["error"]).rstrip("."),
}
_KINDS = {
    "int": "a whole number", "float": "a number", "bool": "yes or no", "string": "a text", "list": "a list",
    "tuple": "a list", "dict": "an object", "model": "an object", "datetime": "a date and time", "uuid": "an id",
    "set": "a list", "none": "empty", "bytes": "bytes",
}  # fmt: skip


def what_is_wrong(fault: Mapping[str, Any]) -> str:
    """The sentence, without its first letter large and without its stop, for one fault as validation reports it."""
    kind = str(fault["type"])
    if kind in _SAID:
        return _SAID[kind](fault.get("ctx") or {})
    needed = _KINDS.get(kind.split("_")[0])
    return f"must be {needed}" if needed else "is not as it should be"
