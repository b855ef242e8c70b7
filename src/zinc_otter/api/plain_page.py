"""A page of a title and a few sentences, for where the front end is not: it needs no script and no file beside it."""

from __future__ import annotations

from html import escape

from starlette.responses import HTMLResponse
from starlette.types import Scope

_PAGE = """<!doctype html><html lang="en"><head><meta charset="utf-8"><title>{title}</title>
<style nonce="{nonce}">body {{ background: #f4f1ea; color: #22282a; font: 17px/1.5 sans-serif; margin: 15vh auto;
max-width: 36em; padding: 0 2em }} h1 {{ font-family: serif }}</style></head>
<body><main><h1>{title}</h1>{words}</main></body></html>"""


def plain_page(scope: Scope, title: str, *sentences: str, status: int = 200) -> HTMLResponse:
    """The page as an answer to a request of a ``scope``, whose nonce lets its style in."""
    words = "".join(f"<p>{escape(sentence)}</p>" for sentence in sentences)
    return HTMLResponse(_PAGE.format(title=escape(title), words=words, nonce=scope.get("nonce", "")), status)
