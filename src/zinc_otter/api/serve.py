"""Start the application on 127.0.0.1."""

from __future__ import annotations

import asyncio
import logging
import socket
import sys
from logging.handlers import RotatingFileHandler
from pathlib import Path
from typing import Any

import uvicorn
from uvicorn.protocols.http.httptools_impl import HttpToolsProtocol

from zinc_otter.api.app import WEB, create_app
from zinc_otter.api.room import Room
from zinc_otter.core.errors import CoreError
from zinc_otter.demo import put_in_demo
from zinc_otter.jobs.picture_work import draw_picture

LOG = "zinc-otter.log"
MOST_CONNECTIONS = 400
SECONDS_FOR_HEADERS = 10.0


def serve(port: int, folder: Path, demo: bool, among_others: bool = False) -> None:
    """Serve until stopped; on any port that is free for port 0.

    Raises CoreError when the port is taken, the folder is in use or holds others' things, or its database cannot be read;
    OSError when the folder cannot be used.
    """
    if not (WEB / "index.html").is_file():
        raise CoreError(f"The front end is not in {WEB}: make setup builds it; a wheel holds it.")
    listening = _listen(port)
    port = listening.getsockname()[1]
    room = Room(folder, among_others, port)
    if room.store.reading:
        print(f"zinc-otter: {room.store.reading}", file=sys.stderr, flush=True)
    elif demo:
        put_in_demo(room.store, room.studio)
    # The first pictures are asked for as soon as the page is there: their worker takes a while to be begun.
    room.intake.start("warm", "Beginning the worker", draw_picture, [])
    log_to(folder)
    print(f"The designs lie in {folder.resolve()}.", flush=True)
    key = room.data.key
    address = f"http://127.0.0.1:{port}/?key={key}"
    room.data.tell_address(address)
    # Compressing binary frames costs more time than it saves on this machine's own wire.
    config = uvicorn.Config(
        create_app(room, key=key), log_config=None, access_log=False, ws_per_message_deflate=False, http=Patient,
        limit_concurrency=MOST_CONNECTIONS, timeout_keep_alive=10,
    )  # fmt: skip
    print(f"Zinc Otter is ready: open {address} in a browser. Stop it with Ctrl+C.", flush=True)
    uvicorn.Server(config).run(sockets=[listening])


def log_to(folder: Path) -> None:
    """From warnings on to the terminal; from what is done on to a file in the folder, of a megabyte and two before it."""
    file = RotatingFileHandler(folder / LOG, maxBytes=1_000_000, backupCount=2, encoding="utf-8")
    file.setLevel(logging.INFO)
    terminal = logging.StreamHandler()
    terminal.setLevel(logging.WARNING)
    words = "%(asctime)s %(levelname)s %(name)s: %(message)s"
    logging.basicConfig(level=logging.INFO, format=words, handlers=[file, terminal], force=True)


class Patient(HttpToolsProtocol):
    """Closes a connection on which no request arrives: half-sent ones would be kept for ever."""

    _waiting: asyncio.TimerHandle | None = None

    def connection_made(self, transport: Any) -> None:
        super().connection_made(transport)
        self._wait()

    def on_message_begin(self) -> None:
        # Also a second request on the same connection may stay half-sent.
        super().on_message_begin()
        self._wait()

    def on_headers_complete(self) -> None:
        self._stop_waiting()
        super().on_headers_complete()

    def connection_lost(self, exc: Exception | None) -> None:
        self._stop_waiting()
        super().connection_lost(exc)

    def _give_up(self) -> None:
        if not self.transport.is_closing():
            self.transport.close()

    def _wait(self) -> None:
        self._stop_waiting()
        self._waiting = self.loop.call_later(SECONDS_FOR_HEADERS, self._give_up)

    def _stop_waiting(self) -> None:
        if self._waiting is not None:
            self._waiting.cancel()
            self._waiting = None


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
