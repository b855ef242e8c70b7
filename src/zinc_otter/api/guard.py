"""Only pages of this application may speak to it, and no request may be larger than is sensible."""

from __future__ import annotations

from urllib.parse import urlsplit

from starlette.types import ASGIApp, Receive, Scope, Send

from zinc_otter.api.problems import answer, make_problem

LARGEST_BODY = 16 * 1024 * 1024
LARGEST_UPLOAD = 128 * 1024 * 1024
_UPLOADS = ("/pictures", "/components", "/cage-files", "/solid-files", "/archives")
_NAMES = {"127.0.0.1", "localhost", "[::1]"}


class Guard:
    """Checks Host (against a name that was pointed at this machine) and Origin (against pages of other places)."""

    def __init__(self, app: ASGIApp) -> None:
        self._app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] not in ("http", "websocket"):
            await self._app(scope, receive, send)
            return
        headers = {name.decode("latin-1"): value.decode("latin-1") for name, value in scope["headers"]}
        fault = _fault(headers, LARGEST_UPLOAD if scope["path"].endswith(_UPLOADS) else LARGEST_BODY)
        if fault is None:
            await self._app(scope, receive, send)
        elif scope["type"] == "websocket":
            await receive()
            await send({"type": "websocket.close", "code": 4403, "reason": fault[1]})
        else:
            status, sentence = fault
            await answer(make_problem("guard", status, "This request was not let in", sentence))(scope, receive, send)


def _fault(headers: dict[str, str], most: int) -> tuple[int, str] | None:
    host = headers.get("host", "")
    if _without_port(host) not in _NAMES:
        return 403, "The application answers to 127.0.0.1 and localhost only."
    origin = headers.get("origin")
    if origin is not None and urlsplit(origin).netloc != host:
        return 403, f"A page from {origin[:80]} may not speak to this application."
    if "transfer-encoding" in headers:
        return 411, "A request must say how long it is."
    length = headers.get("content-length", "0")
    if not length.isdigit() or int(length) > most:
        return 413, f"A request may hold at most {most // 1024 // 1024} MB here."
    return None


def _without_port(host: str) -> str:
    return host.rsplit(":", 1)[0] if host.rsplit(":", 1)[-1].isdigit() else host
