"""Every refusal is a problem document (RFC 9457) with a plain sentence and the elements at fault."""

from __future__ import annotations

import logging
from collections.abc import Sequence
from dataclasses import asdict
from typing import Any

from fastapi import FastAPI, Request
from fastapi.encoders import jsonable_encoder
from fastapi.exceptions import RequestValidationError
from fastapi.responses import JSONResponse
from pydantic import BaseModel, ValidationError
from starlette.exceptions import HTTPException

from zinc_otter.api.wrong_input import what_is_wrong
from zinc_otter.core.errors import CoreError, Place
from zinc_otter.studio.commands import command_kinds

INVALID = "Something in this request is not as it should be"


class PlaceSchema(BaseModel):
    """Where it is: elements of the piece at fault, and points in mm."""

    vertices: list[int] = []
    edges: list[int] = []
    faces: list[int] = []
    points: list[tuple[float, float, float]] = []

    @classmethod
    def of(cls, place: Place | None) -> PlaceSchema | None:
        """None where nothing is named."""
        return None if place is None or place == Place() else cls(**{k: list(v) for k, v in asdict(place).items()})


class Problem(BaseModel):
    """A problem document after RFC 9457."""

    type: str
    title: str
    status: int
    detail: str
    place: PlaceSchema | None = None


def problem_of(error: CoreError) -> Problem:
    """The problem document of a refusal."""
    place = PlaceSchema.of(error.place)
    return make_problem(error.kind, error.status, error.title, str(error), place)


def invalid(error: ValidationError | RequestValidationError) -> Problem:
    """One sentence from the first faults that validation found."""
    sentences = []
    for fault in error.errors()[:3]:
        where, said = _where(fault["loc"]), what_is_wrong(fault)
        # Some have a sentence of their own.
        own = fault["type"] in ("value_error", "assertion_error", "union_tag_invalid", "json_invalid")
        whole = f"{where}: {said}" if own else f"“{where}” {said}"
        sentences.append(whole if where else said[:1].upper() + said[1:])
    return make_problem("invalid", 422, INVALID, "; ".join(sentences) + ".")


def _where(location: Sequence[str | int]) -> str:
    """The field at fault, without what says nothing to a designer: the request's part and the command's kind."""
    rest = list(location)
    for unsaid in ({"body", "query", "path"}, {"command"}, set(command_kinds())):
        if rest and rest[0] in unsaid and len(rest) > 1:
            rest.pop(0)
    return ".".join(map(str, rest))


def make_problem(kind: str, status: int, title: str, detail: str, place: PlaceSchema | None = None) -> Problem:
    return Problem(type=f"/problems/{kind}", title=title, status=status, detail=detail, place=place)


def answer(problem: Problem, more: dict[str, Any] | None = None) -> JSONResponse:
    body = {**jsonable_encoder(problem, exclude_none=True), **(more or {})}
    return JSONResponse(body, problem.status, media_type="application/problem+json")


def install(app: FastAPI) -> None:
    """Answer all errors of the application with problem documents."""

    @app.exception_handler(RequestValidationError)
    async def _invalid(_: Request, error: RequestValidationError) -> JSONResponse:
        return answer(invalid(error))

    @app.exception_handler(CoreError)
    async def _refused(_: Request, error: CoreError) -> JSONResponse:
        return answer(problem_of(error))

    @app.exception_handler(HTTPException)
    async def _http(_: Request, error: HTTPException) -> JSONResponse:
        return answer(make_problem("http", error.status_code, str(error.detail), str(error.detail)))

    @app.exception_handler(Exception)
    async def _unforeseen(_: Request, error: Exception) -> JSONResponse:
        logging.getLogger("zinc_otter").error("unforeseen", exc_info=error)
        detail = "Something went wrong that nobody foresaw. Nothing was changed; the server's log holds the details."
        return answer(make_problem("unforeseen", 500, "Unforeseen", detail))
