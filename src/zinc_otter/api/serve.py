"""Start the application on 127.0.0.1."""

from __future__ import annotations

from pathlib import Path

import uvicorn

from zinc_otter.api.app import create_app
from zinc_otter.api.room import Room
from zinc_otter.demo import put_in_demo


def serve(port: int, folder: Path, demo: bool) -> None:
    """Serve until stopped. Raises OSError when the data folder cannot be used."""
    room = Room(folder)
    if demo:
        put_in_demo(room.store, room.studio)
    print(f"Zinc Otter is ready: open http://127.0.0.1:{port}/ in a browser. Stop it with Ctrl+C.", flush=True)
    # Compressing binary frames costs more time than it saves on this machine's own wire.
    uvicorn.run(create_app(room), host="127.0.0.1", port=port, log_level="warning", ws_per_message_deflate=False)
