"""The OpenAPI description: what the routes say of themselves, and for each of them every refusal that can come."""

from __future__ import annotations

from typing import Any

from fastapi import FastAPI
from fastapi.openapi.utils import get_openapi

from zinc_otter.api.live.told import VERSION, described
from zinc_otter.api.problems import Problem

REFUSALS = {
    400: "The request cannot be read.",
    401: "The key is missing.",
    403: "It comes from another place, or designs are only read here.",
    404: "There is no such design, piece, asset, job or file.",
    405: "This is not done here.",
    408: "The rest of the request did not arrive.",
    409: "The design has moved on, or the work was stopped.",
    411: "The request does not say how long it is.",
    413: "The request is too large.",
    422: "It is refused: the detail says what is wrong, and the place where.",
    500: "Something nobody foresaw; nothing was changed.",
    503: "There is too much to do at once, another program holds the designs, or they are damaged.",
    507: "The disk is full; nothing was changed.",
}
_FILES = {
    "archive": "application/zip", "picture.png": "image/png", "certificate-page": "text/html; charset=utf-8",
    "solid.step": "model/step", "outline.svg": "image/svg+xml", "layer.svg": "image/svg+xml", "mesh": "application/msgpack",
}  # fmt: skip
"""What routes hand out that is no JSON, by the end of their path; others are files of a kind that is asked for."""
_UPLOADS = ("pictures", "components", "cage-files", "curve-files", "solid-files", "archives")
_BYTES = {"schema": {"type": "string", "format": "binary"}}


def describe(app: FastAPI) -> None:
    """Let the application describe itself in full."""

    def openapi() -> dict[str, Any]:
        if app.openapi_schema is None:
            app.openapi_schema = _with_refusals(get_openapi(title=app.title, version=app.version, routes=app.routes))
        return app.openapi_schema

    app.openapi = openapi  # type: ignore[method-assign]


def _with_refusals(description: dict[str, Any]) -> dict[str, Any]:
    parts = description.setdefault("components", {}).setdefault("schemas", {})
    problem = Problem.model_json_schema(ref_template="#/components/schemas/{model}")
    parts.update(problem.pop("$defs", {}))
    parts["Problem"] = problem
    # No route of OpenAPI's, but what is said there has its schemas all the same.
    for name, schema in described().items():
        if parts.setdefault(name, schema).get("properties", {}).keys() != schema.get("properties", {}).keys():
            raise ValueError(f"Two things are called {name} in the description.")
    for schema in parts.values():
        # What tells kinds apart is always there, also where it could be left out.
        if "const" in schema.get("properties", {}).get("kind", {}):
            schema["required"] = sorted({*schema.get("required", ()), "kind"})
    description["x-live-channel"] = {
        "address": "/api/designs/{design_id}/live", "version": VERSION,
        "asked": {"$ref": "#/components/schemas/LiveAsked"}, "told": {"$ref": "#/components/schemas/LiveTold"},
    }  # fmt: skip
    for path, operations in description["paths"].items():
        end = path.rsplit("/", 1)[-1]
        for method, operation in operations.items():
            answers = operation["responses"]
            for status, words in REFUSALS.items():
                refused = {"schema": {"$ref": "#/components/schemas/Problem"}}
                answers[str(status)] = {"description": words, "content": {"application/problem+json": refused}}
            if "200" in answers and "content" not in answers["200"]:
                answers["200"]["content"] = {_FILES.get(end, "*/*"): _BYTES}
            if method == "post" and end in _UPLOADS:
                operation["requestBody"] = {"required": True, "content": {"application/octet-stream": _BYTES}}
    for unused in ("HTTPValidationError", "ValidationError"):
        parts.pop(unused, None)
    return description
