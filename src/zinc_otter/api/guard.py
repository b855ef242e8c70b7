"""Who may speak to the application, how much at once, and for how long a request may take to arrive."""

from __future__ import annotations

import asyncio
from urllib.parse import urlsplit

from starlette.types import ASGIApp, Message, Receive, Scope, Send

from zinc_otter.api.problems import answer, make_problem

LARGEST_BODY = 16 * 1024 * 1024
LARGEST_UPLOAD = 128 * 1024 * 1024
LARGEST_SCAN = 320 * 1024 * 1024
"""A scan of five million triangles has some 250 MB as STL."""
MOST_TOGETHER = 400 * 1024 * 1024
"""Bytes of bodies that are taken in at one time."""
_COUNTED = 1024 * 1024
"""Bytes from which a body counts among these."""
PATIENCE = 15.0
"""Seconds within which the next part of a body must arrive."""
MOST_SECONDS = 180.0
"""Seconds within which all of it must."""
_MOST = {
    "components": LARGEST_SCAN,
    **dict.fromkeys(("pictures", "stamps", "cage-files", "curve-files", "solid-files", "archives"), LARGEST_UPLOAD),
}
"""Bytes that a body may have, by the last part of the path; of all others :data:`LARGEST_BODY`."""
_NAMES = {"127.0.0.1", "localhost", "[::1]"}


class Guard:
    """Checks Host (against a name that was pointed at this machine), Origin and Fetch Metadata (against pages of other
    places), and bounds what arrives.
    """

    def __init__(self, app: ASGIApp, patience: float = PATIENCE, most_together: int = MOST_TOGETHER) -> None:
        self._app = app
        self._patience = patience
        self._most_together = most_together
        self._held = 0

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] not in ("http", "websocket"):
            await self._app(scope, receive, send)
            return
        headers = {name.decode("latin-1"): value.decode("latin-1") for name, value in scope["headers"]}
        fault = _stranger(headers, scope) or _too_much(headers, scope["path"])
        if fault is not None:
            await _turn_away(scope, receive, send, *fault)
        elif scope["type"] == "websocket":
            await self._app(scope, receive, send)
        else:
            await self._taken_in(headers, scope, receive, send)

    async def _taken_in(self, headers: dict[str, str], scope: Scope, receive: Receive, send: Send) -> None:
        length = int(headers.get("content-length", "0"))
        counted = length if length >= _COUNTED else 0
        if counted and self._held + counted > self._most_together:
            sentence = "Other files are being taken in just now, as many as there is room for; try again when they are."
            await _turn_away(scope, receive, send, 503, sentence)
            return
        self._held += counted
        try:
            arriving = _Arriving(receive, send, self._patience)
            await self._app(scope, arriving.receive, arriving.send)
            if arriving.late:
                await _turn_away(scope, receive, send, 408, "The rest of the request did not arrive.")
        finally:
            self._held -= counted


class _Arriving:
    """A request's body, for which nobody waits for ever: when it is late, the application is told that it has gone."""

    def __init__(self, receive: Receive, send: Send, patience: float) -> None:
        self._receive = receive
        self._send = send
        self._patience = patience
        self._last = asyncio.get_running_loop().time() + MOST_SECONDS
        self._whole = False
        self.late = False

    async def receive(self) -> Message:
        if self._whole:
            return await self._receive()
        left = min(self._patience, self._last - asyncio.get_running_loop().time())
        try:
            message = await asyncio.wait_for(self._receive(), max(left, 0.0))
        except TimeoutError:
            self.late = True
            return {"type": "http.disconnect"}
        self._whole = message["type"] != "http.request" or not message.get("more_body", False)
        return message

    async def send(self, message: Message) -> None:
        if not self.late:
            await self._send(message)


async def _turn_away(scope: Scope, receive: Receive, send: Send, status: int, sentence: str) -> None:
    if scope["type"] == "websocket":
        await receive()
        await send({"type": "websocket.close", "code": 4403, "reason": sentence[:120]})
        return
    kind = "busy" if status == 503 else "guard"
    refused = answer(make_problem(kind, status, "This request was not let in", sentence))
    if status == 503:
        refused.headers["Retry-After"] = "10"
    if status == 408:
        refused.headers["Connection"] = "close"
    await refused(scope, receive, send)


def _stranger(headers: dict[str, str], scope: Scope) -> tuple[int, str] | None:
    host = headers.get("host", "")
    if _without_port(host) not in _NAMES:
        return 403, "The application answers to 127.0.0.1 and localhost only."
    origin = headers.get("origin")
    if origin is not None and _place_of(origin) != host:
        return 403, f"A page from {origin[:80]} may not speak to this application."
    # What a browser says of itself (W3C, Fetch Metadata Request Headers): another page may lead here, and nothing else.
    leads_here = (
        scope["type"] == "http" and scope["method"] == "GET" and headers.get("sec-fetch-mode") == "navigate"
        and headers.get("sec-fetch-dest") == "document" and not scope["path"].startswith("/api")
    )  # fmt: skip
    if headers.get("sec-fetch-site", "none") not in ("none", "same-origin") and not leads_here:
        return 403, "A page from another place may not fetch from this application."
    return None


def _too_much(headers: dict[str, str], path: str) -> tuple[int, str] | None:
    if "transfer-encoding" in headers:
        return 411, "A request must say how long it is."
    most = _MOST.get(path.rsplit("/", 1)[-1], LARGEST_BODY)
    length = headers.get("content-length", "0")
    if not (length.isascii() and length.isdigit() and len(length) < 16) or int(length) > most:
        return 413, f"A request may hold at most {most // 1024 // 1024} MB here."
    return None


def _place_of(origin: str) -> str | None:
    try:
        return urlsplit(origin).netloc
    except ValueError:
        return None


def _without_port(host: str) -> str:
    return host.rsplit(":", 1)[0] if host.rsplit(":", 1)[-1].isdigit() else host
