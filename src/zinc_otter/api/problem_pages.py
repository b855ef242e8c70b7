"""What a kind of problem means: the page that its type leads to (RFC 9457, section 3.1.1)."""

from __future__ import annotations

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse
from starlette.exceptions import HTTPException

from zinc_otter.api.plain_page import plain_page
from zinc_otter.api.problems import INVALID
from zinc_otter.core.errors import CoreError

router = APIRouter(include_in_schema=False)
_OTHERS = {
    "invalid": (INVALID, "A field is missing, of another kind, or out of its bounds; the detail names it."),
    "guard": ("This request was not let in", "It comes from another place, or is larger or slower than requests may be."),
    "locked-out": ("The key is missing", "Open the address that was printed where Zinc Otter was started."),
    "http": ("There is no such thing here", "The address names nothing of this service, or not by this method."),
    "unforeseen": ("Unforeseen", "Something nobody foresaw; nothing was changed. The server's log holds the details."),
    "offline": ("No answer", "The service did not answer. The last finished step is safe."),
}


def help_of(kind: str) -> tuple[str, str] | None:
    """The title of a kind of problem and a sentence on it."""
    if kind in _OTHERS:
        return _OTHERS[kind]
    found = next((error for error in _all(CoreError) if error.kind == kind), None)
    if found is None:
        return None
    return found.title, " ".join((found.__doc__ or "").split("\n\n")[0].replace("``", "").split())


def _all(base: type[CoreError]) -> list[type[CoreError]]:
    return [base, *(error for below in base.__subclasses__() for error in _all(below))]


@router.get("/problems/{kind}")
def problem_page(kind: str, request: Request) -> HTMLResponse:
    """One kind of problem, to be read."""
    found = help_of(kind)
    if found is None:
        raise HTTPException(404, f"There is no problem of the kind {kind[:40]!r}.")
    return plain_page(request.scope, *found)
