"""The application: routes, guard, problem documents, and the built front end."""

from __future__ import annotations

from collections.abc import AsyncIterator
from contextlib import asynccontextmanager
from pathlib import Path

from fastapi import FastAPI
from fastapi.openapi.docs import get_swagger_ui_html
from fastapi.responses import FileResponse, HTMLResponse
from fastapi.staticfiles import StaticFiles

from zinc_otter.api import (
    cage_files,
    curves,
    design_files,
    designs,
    geometry,
    live,
    measures,
    print_bench,
    problems,
    references,
    solids,
    triangle_files,
)
from zinc_otter.api.guard import Guard
from zinc_otter.api.room import Room

WEB = Path(__file__).parents[3] / "web" / "dist"


def create_app(room: Room | None, web: Path = WEB) -> FastAPI:
    """The application on a room; without one, only its OpenAPI description is of use."""

    @asynccontextmanager
    async def lifespan(_: FastAPI) -> AsyncIterator[None]:
        yield
        if room is not None:
            room.close()

    app = FastAPI(title="Zinc Otter", version="0.1.0", lifespan=lifespan, docs_url=None, redoc_url=None)
    app.state.room = room
    app.add_middleware(Guard)
    problems.install(app)
    for part in (designs, references, cage_files, geometry, curves, measures, solids, triangle_files, design_files,
                 print_bench, live):  # fmt: skip
        app.include_router(part.router)

    @app.get("/api/health", tags=["service"])
    def health() -> dict[str, str]:
        """Answers when the application is up."""
        return {"status": "ok"}

    @app.get("/docs", include_in_schema=False)
    def documentation() -> HTMLResponse:
        """The API's own pages, their scripts shipped with the application."""
        return get_swagger_ui_html(
            openapi_url="/openapi.json",
            title="Zinc Otter: the service",
            swagger_js_url="/assets/docs/swagger-ui-bundle.js",
            swagger_css_url="/assets/docs/swagger-ui.css",
            swagger_favicon_url="/favicon.svg",
        )

    if web.exists():
        app.mount("/assets", StaticFiles(directory=web / "assets"), name="assets")

        @app.get("/{path:path}", include_in_schema=False)
        def page(path: str) -> FileResponse:
            """Files of the front end; any other path is a view of the one page."""
            file = (web / path).resolve()
            return FileResponse(file if file.is_file() and file.is_relative_to(web) else web / "index.html")

    return app
