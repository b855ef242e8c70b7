"""Only who has the key comes in: it stands in the address that is printed, and then in a cookie of the browser."""

from __future__ import annotations

import hmac
from urllib.parse import parse_qsl, urlencode

from starlette.requests import HTTPConnection
from starlette.responses import RedirectResponse, Response
from starlette.types import ASGIApp, Receive, Scope, Send

from zinc_otter.api.plain_page import plain_page
from zinc_otter.api.problems import answer, make_problem

_OPEN = ("/api/health",)
_YEAR = 365 * 24 * 3600
_HOW = "Open the address that was printed where Zinc Otter was started; it ends in “?key=…”."
_WHERE = "The address is also kept in the file “address” in the folder of the designs."


class Door:
    """Asks every request for the key: as ``Authorization: Bearer``, as a cookie, or once in the address of a page.

    Cookies do not know ports, so the cookie's name has the port in it.
    """

    def __init__(self, app: ASGIApp, key: str) -> None:
        self._app = app
        self._key = key

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] not in ("http", "websocket") or scope["path"] in _OPEN:
            await self._app(scope, receive, send)
            return
        asked = HTTPConnection(scope)
        name = f"zinc-otter-{asked.url.port or 80}"
        if scope["type"] == "http" and scope["method"] == "GET" and not scope["path"].startswith("/api"):
            given = dict(parse_qsl(scope["query_string"].decode("latin-1")))
            if self._fits(given.pop("key", "")):
                to = "/" + scope["path"].lstrip("/\\") + (f"?{urlencode(given)}" if given else "")
                let_in = RedirectResponse(to, 303)
                let_in.set_cookie(name, self._key, max_age=_YEAR, httponly=True, samesite="strict")
                await let_in(scope, receive, send)
                return
        bearer = asked.headers.get("authorization", "")
        if self._fits(asked.cookies.get(name, "")) or (bearer.startswith("Bearer ") and self._fits(bearer[7:])):
            await self._app(scope, receive, send)
        elif scope["type"] == "websocket":
            await receive()
            await send({"type": "websocket.close", "code": 4401, "reason": "The key is missing."})
        else:
            await _locked(scope)(scope, receive, send)

    def _fits(self, given: str) -> bool:
        return hmac.compare_digest(given.encode("utf-8", "replace"), self._key.encode())


def _locked(scope: Scope) -> Response:
    path = scope["path"]
    if path.startswith("/api") or path.startswith("/assets"):
        return answer(make_problem("locked-out", 401, "The key is missing", f"This request has no key. {_HOW}"))
    opened = f"{_HOW} After that this browser is let in."
    return plain_page(scope, "This is Zinc Otter, and it is locked", opened, _WHERE, status=401)
