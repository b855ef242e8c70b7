"""Start the application on 127.0.0.1."""

from __future__ import annotations

import socket
from pathlib import Path

import uvicorn

from zinc_otter.api.app import create_app
from zinc_otter.api.room import Room
from zinc_otter.core.errors import CoreError
from zinc_otter.demo import put_in_demo


def serve(port: int, folder: Path, demo: bool) -> None:
    """Serve until stopped. Raises CoreError when the port is taken, OSError when the data folder cannot be used."""
    listening = _listen(port)
    room = Room(folder)
    if demo:
        put_in_demo(room.store, room.studio)
    # Compressing binary frames costs more time than it saves on this machine's own wire.
    config = uvicorn.Config(create_app(room), log_level="warning", ws_per_message_deflate=False)
    print(f"Zinc Otter is ready: open http://127.0.0.1:{port}/ in a browser. Stop it with Ctrl+C.", flush=True)
    uvicorn.Server(config).run(sockets=[listening])


def _listen(port: int) -> socket.socket:
    """Take the port before anything is promised."""
    listening = socket.socket()
    listening.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
    try:
        listening.bind(("127.0.0.1", port))
    except (OSError, OverflowError) as error:
        listening.close()
        raise CoreError(f"Port {port} cannot be had ({error}); choose another with PORT= or --port.") from error
    return listening
