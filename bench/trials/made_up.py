"""Values made up from a JSON schema, as a program that knows the description but not the sense would send them."""

from __future__ import annotations

from typing import Any

import numpy as np

ODD = (0.0, -1.0, 1e-9, 1e9, 0.5, 3.0, 25.0, float(2**31))


class MadeUp:
    """Values from a ``schema`` with its ``$defs``; ``names`` gives values for fields of certain names."""

    def __init__(self, schema: dict[str, Any], chance: np.random.Generator, names: dict[str, list[Any]]) -> None:
        self._defs = schema.get("$defs", {})
        self._chance = chance
        self._names = names

    def of(self, schema: dict[str, Any], name: str = "") -> Any:
        if self._names.get(name) and self._chance.random() < 0.9:
            return self._one_of(self._names[name])
        if "$ref" in schema:
            return self.of(self._defs[schema["$ref"].rsplit("/", 1)[-1]], name)
        if "const" in schema:
            return schema["const"]
        if "enum" in schema:
            return self._one_of(schema["enum"])
        for choice in ("oneOf", "anyOf"):
            if choice in schema:
                return self.of(self._one_of(schema[choice]), name)
        make = getattr(self, f"_{schema.get('type', 'null')}")
        return make(schema, name)

    def _one_of(self, values: list[Any]) -> Any:
        return values[int(self._chance.integers(len(values)))]

    def _object(self, schema: dict[str, Any], _: str) -> dict[str, Any]:
        needed = set(schema.get("required", ()))
        found = {}
        for key, part in schema.get("properties", {}).items():
            if key in needed or self._chance.random() < 0.6:
                found[key] = self.of(part, key)
        return found

    def _array(self, schema: dict[str, Any], name: str) -> list[Any]:
        if "prefixItems" in schema:
            return [self.of(part, "") for part in schema["prefixItems"]]
        least, most = schema.get("minItems", 0), min(schema.get("maxItems", 6), schema.get("minItems", 0) + 5)
        one = {"ids": "id", "others": "piece", "pieces": "piece"}.get(name, "")
        return [self.of(schema.get("items", {}), one) for _ in range(int(self._chance.integers(least, most + 1)))]

    def _number(self, schema: dict[str, Any], _: str) -> float:
        low = schema.get("minimum", schema.get("exclusiveMinimum", -50.0))
        high = schema.get("maximum", schema.get("exclusiveMaximum", 50.0))
        if self._chance.random() < 0.1:
            return float(self._one_of(list(ODD)))
        low, high = max(low, -30.0), min(high, 30.0)
        return float(self._chance.uniform(low, max(low, high)))

    def _integer(self, schema: dict[str, Any], _: str) -> int:
        low, high = int(schema.get("minimum", 0)), int(schema.get("maximum", 12))
        return int(self._chance.integers(low, min(high, low + 9) + 1))

    def _boolean(self, *_: Any) -> bool:
        return bool(self._chance.random() < 0.5)

    def _string(self, schema: dict[str, Any], name: str) -> str:
        return str(self._one_of(["Float", "ä ö", "x" * schema.get("minLength", 1), "'; --", "Grip 2"]))

    def _null(self, *_: Any) -> None:
        return None
