"""Every route is asked with values made up from the description: no answer may be a fault, or other than described.

The values and the checks are those of an independent library, schemathesis, over the OpenAPI description.
"""

from __future__ import annotations

import logging
import os
import zlib
from typing import Any

import schemathesis
from hypothesis import HealthCheck, given, seed, settings
from schemathesis.checks import not_a_server_error
from schemathesis.specs.openapi.checks import (
    content_type_conformance,
    response_schema_conformance,
    status_code_conformance,
)

from tests.api.case import BOX, ServiceCase

EXAMPLES = int(os.environ.get("DESCRIPTION_EXAMPLES", "6"))
"""Requests for each route; more of them are asked by hand."""


class Description(ServiceCase):
    def test_every_route_answers_as_described(self) -> None:
        logging.getLogger("zinc_otter").setLevel(logging.ERROR)
        state = self.begun(BOX)
        schema = schemathesis.openapi.from_dict(_plain(self.client.get("/openapi.json").json()))
        schema.app = self.client.app
        asked = set()
        for found in schema.get_all_operations():
            operation = found.ok()
            asked.add(f"{operation.method} {operation.path}")
            with self.subTest(operation.label):
                self._try(operation, state["id"])
        self.assertGreater(len(asked), 45)
        # What was asked has broken nothing: the service still works.
        again = self.begun(BOX)
        self.assertEqual(len(again["pieces"]), 1)

    def _try(self, operation: Any, design_id: str) -> None:
        @seed(14)
        @settings(max_examples=EXAMPLES, deadline=None, database=None, suppress_health_check=list(HealthCheck))
        @given(case=operation.as_strategy())
        def attempt(case: Any) -> None:
            # Made-up names would all be unknown: half of the requests are about what is there.
            if case.path_parameters and zlib.crc32(str(case.query).encode()) % 2 == 0:
                given_names = {"design_id": design_id, "piece_id": "p1"}
                case.path_parameters.update({k: v for k, v in given_names.items() if k in case.path_parameters})
            if operation.method.lower() == "delete" and "design_id" in (case.path_parameters or {}):
                case.path_parameters["design_id"] = "none"
            answer = case.call(headers={"Host": "127.0.0.1"}, timeout=300)
            case.validate_response(
                answer,
                checks=[
                    not_a_server_error, status_code_conformance, content_type_conformance, response_schema_conformance,
                ],
            )  # fmt: skip

        attempt()


def _plain(part: Any) -> Any:
    """Tuples of one kind as lists of a fixed length, which say the same: the library reads no others."""
    if isinstance(part, list):
        return [_plain(one) for one in part]
    if not isinstance(part, dict):
        return part
    kinds = part.get("prefixItems")
    if kinds and all(kind == kinds[0] for kind in kinds):
        part = {**{key: value for key, value in part.items() if key != "prefixItems"}, "items": kinds[0]}
    elif kinds:
        part = {key: value for key, value in part.items() if key != "prefixItems"}
    return {key: _plain(value) for key, value in part.items()}
