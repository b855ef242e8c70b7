"""How a parameter of a command stands on a card: said once, with the parameter, for interface and description alike."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any, Literal

from pydantic import Field

CardUnit = Literal["mm", "°", "%", ""]
"""What a card shows a number in; of a share, which is kept from 0 to 1, a hundred per cent are the whole."""

CARD = "x-card"
"""The key of the description under which it stands."""


def labelled(
    label: str,
    unit: CardUnit = "",
    *,
    step: float | None = None,
    words: Mapping[str, str] | None = None,
    help: str | None = None,
) -> Any:
    """A label, for a number its unit and the step of its arrow keys in that unit, for a choice the words of each value.

    Of a truth value the words are those of "yes" and "no". Bounds stand with the type: they are not said twice.
    """
    card: dict[str, Any] = {"label": label, "unit": unit}
    if step is not None:
        card["step"] = step
    if words is not None:
        # As pairs, since the order in which they are offered counts.
        card["words"] = [list(pair) for pair in words.items()]
    return Field(description=help, json_schema_extra={CARD: card})
