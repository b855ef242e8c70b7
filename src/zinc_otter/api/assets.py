"""Files of the front end whose names hold a hash of what is in them: they never change, and travel compressed."""

from __future__ import annotations

import re
from mimetypes import guess_type

from starlette.datastructures import Headers
from starlette.responses import Response
from starlette.staticfiles import StaticFiles
from starlette.types import Scope

_HASHED = re.compile(r"-[\w-]{8}\.\w+$")
_CODINGS = (("br", ".br"), ("gzip", ".gz"))
"""What a file may be packed with beside itself when the front end is built, the tighter first."""


class Assets(StaticFiles):
    """Serves ``name.ext`` from ``name.ext.br`` or ``.gz`` where the browser takes it and the build has put one there."""

    async def get_response(self, path: str, scope: Scope) -> Response:
        taken = {coding.split(";")[0].strip() for coding in Headers(scope=scope).get("accept-encoding", "").split(",")}
        for coding, ending in _CODINGS:
            packed, _ = self.lookup_path(path + ending)
            if coding in taken and packed:
                answer = await super().get_response(path + ending, scope)
                answer.headers["Content-Encoding"] = coding
                answer.headers["Content-Type"] = guess_type(path)[0] or "application/octet-stream"
                break
        else:
            answer = await super().get_response(path, scope)
        answer.headers["Vary"] = "Accept-Encoding"
        answer.headers["Cache-Control"] = "public, max-age=31536000, immutable" if _HASHED.search(path) else "no-cache"
        return answer
