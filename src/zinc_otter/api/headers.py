"""What a browser is told to allow: scripts and styles of the application's own, in no other page, to nobody told."""

from __future__ import annotations

import secrets

from starlette.datastructures import MutableHeaders
from starlette.types import ASGIApp, Message, Receive, Scope, Send

_POLICY = (
    "default-src 'none'; script-src 'self'{nonce}; style-src 'self'{nonce}; img-src 'self' data: blob:; font-src 'self';"
    " connect-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'; object-src 'none'"
)
_ALWAYS = {
    "X-Content-Type-Options": "nosniff",
    "X-Frame-Options": "DENY",
    "Referrer-Policy": "no-referrer",
    "Cross-Origin-Opener-Policy": "same-origin",
    "Cross-Origin-Resource-Policy": "same-origin",
    "Cross-Origin-Embedder-Policy": "require-corp",
    "Permissions-Policy": "camera=(), microphone=(), geolocation=()",
}


class Headers:
    """Sets them on every answer (W3C, Content Security Policy Level 3). Pages find their nonce in ``scope["nonce"]``."""

    def __init__(self, app: ASGIApp) -> None:
        self._app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        if scope["type"] != "http":
            await self._app(scope, receive, send)
            return
        nonce = scope["nonce"] = secrets.token_urlsafe(18)

        async def sending(message: Message) -> None:
            if message["type"] == "http.response.start":
                headers = MutableHeaders(scope=message)
                is_page = headers.get("content-type", "").startswith("text/html")
                headers["Content-Security-Policy"] = _POLICY.format(nonce=f" 'nonce-{nonce}'" if is_page else "")
                for name, value in _ALWAYS.items():
                    headers[name] = value
            await send(message)

        await self._app(scope, receive, sending)
