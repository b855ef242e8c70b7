"""The application: routes, guard, problem documents, and the built front end."""

from __future__ import annotations

import os
from collections.abc import AsyncIterator
from contextlib import asynccontextmanager
from pathlib import Path

from fastapi import FastAPI, Request, Response
from fastapi.openapi.docs import get_swagger_ui_html
from fastapi.responses import FileResponse, HTMLResponse
from starlette.exceptions import HTTPException

from zinc_otter.api import (
    bench,
    cage_files,
    curve_files,
    curves,
    design_files,
    designs,
    geometry,
    keeping,
    measures,
    print_bench,
    problem_pages,
    problems,
    proposals,
    references,
    sheets,
    solids,
    stamps,
    triangle_files,
    true_pictures,
)
from zinc_otter.api.assets import Assets
from zinc_otter.api.description import describe
from zinc_otter.api.door import Door
from zinc_otter.api.guard import Guard
from zinc_otter.api.headers import Headers
from zinc_otter.api.live import channel
from zinc_otter.api.room import Room


def _web() -> Path:
    """The built front end: what the environment names, what lies in the package, or what was built beside the sources."""
    inside = Path(__file__).parents[1] / "web"
    beside = Path(__file__).parents[3] / "web" / "dist"
    return Path(os.environ.get("ZINC_OTTER_WEB") or (inside if inside.exists() else beside)).resolve()


WEB = _web()
"""The built front end; another build of it, where that is named."""


def create_app(room: Room | None, web: Path = WEB, key: str | None = None) -> FastAPI:
    """The application on a room; without one, only its OpenAPI description is of use. With a ``key`` it is asked for."""

    @asynccontextmanager
    async def lifespan(_: FastAPI) -> AsyncIterator[None]:
        yield
        if room is not None:
            room.close()

    app = FastAPI(
        title="Zinc Otter",
        version="0.1.0",
        lifespan=lifespan,
        docs_url=None,
        redoc_url=None,
        # Names that a person would type: those of the functions themselves.
        generate_unique_id_function=lambda route: route.name,
    )
    app.state.room = room
    # The one added last is met first.
    if key is not None:
        app.add_middleware(Door, key=key)
    app.add_middleware(Guard)
    app.add_middleware(Headers)
    problems.install(app)
    for part in (designs, references, cage_files, curve_files, geometry, curves, measures, solids, triangle_files,
                 design_files, print_bench, bench, sheets, proposals, true_pictures, stamps,
                 keeping, channel, problem_pages):  # fmt: skip
        app.include_router(part.router)
    app.include_router(print_bench.processes)

    describe(app)

    @app.get("/api/health", tags=["service"])
    def health() -> dict[str, str]:
        """Answers when the application is up."""
        return {"status": "ok"}

    @app.get("/docs", include_in_schema=False)
    def documentation(request: Request) -> HTMLResponse:
        """The API's own pages, their scripts shipped with the application."""
        page = get_swagger_ui_html(
            openapi_url="/openapi.json",
            title="Zinc Otter: the service",
            swagger_js_url="/assets/docs/swagger-ui-bundle.js",
            swagger_css_url="/assets/docs/swagger-ui.css",
            swagger_favicon_url="/favicon.svg",
        )
        return _with_nonce(bytes(page.body).decode(), request)

    @app.get("/api/{rest:path}", include_in_schema=False)
    def nothing(rest: str) -> Response:
        """What is asked of the service and is nothing of it is no view of the page."""
        raise HTTPException(404, f"The service has nothing at /api/{rest[:80]}.")

    if web.exists():
        app.mount("/assets", Assets(directory=web / "assets"), name="assets")

        start = (web / "index.html").read_text("utf-8")

        @app.get("/{path:path}", include_in_schema=False)
        def page(path: str, request: Request) -> Response:
            """Files of the front end; any other path is a view of the one page."""
            file = _file_of(web, path)
            return _with_nonce(start, request) if file is None else FileResponse(file)

    return app


def _file_of(web: Path, path: str) -> Path | None:
    """The file of a path within the front end; None for what is none: a view, or no path that a file could have."""
    try:
        file = (web / path).resolve()
        return file if file.is_file() and file.is_relative_to(web) and file.name != "index.html" else None
    except (ValueError, OSError):
        return None


def _with_nonce(page: str, request: Request) -> HTMLResponse:
    """A page whose scripts and styles are known to be its own."""
    nonce = request.scope["nonce"]
    marked = page.replace("<script", f'<script nonce="{nonce}"').replace("<style", f'<style nonce="{nonce}"')
    return HTMLResponse(marked.replace("NONCE", nonce), headers={"Cache-Control": "no-store"})
