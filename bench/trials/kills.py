"""The service is ended at once, at moments by chance: no acknowledged step is lost, none is half kept."""

from __future__ import annotations

import http.client
import json
import sqlite3
import tempfile
import threading
import time
import urllib.error
from collections import Counter
from collections.abc import Iterator
from contextlib import closing
from pathlib import Path
from typing import Any

import numpy as np

from tests.e2e.harness import Server
from zinc_otter.store import Store

_GONE = (urllib.error.URLError, ConnectionError, http.client.HTTPException, TimeoutError, json.JSONDecodeError)
_seen: Counter[str] = Counter()


def summary() -> list[str]:
    return [f"{_seen['steps']} steps were acknowledged, {_seen['kept beyond']} kept that nobody was told of any more"]


def trials(first: int, count: int) -> Iterator[str]:
    """Kills by number, of one service that goes on in the same folder."""
    with tempfile.TemporaryDirectory(ignore_cleanup_errors=True) as folder:
        data = Path(folder) / "data"
        server = Server(data)
        design = server.post("/api/designs", {"name": "Trial"})
        box = {"kind": "add-box", "size": [40, 20, 10], "counts": [2, 2, 1], "size_of": "cage"}
        design = server.post(f"/api/designs/{design['id']}/commands", {"revision": 1, "command": box})
        last = {"revision": design["revision"], "at": 0.0}
        for number in range(first, first + count):
            chance = np.random.default_rng(60_000 + number)
            stop = threading.Event()
            worker = threading.Thread(target=_work, args=(server, design["id"], last, stop))
            worker.start()
            if number % 4 == 3:
                threading.Thread(target=_solid, args=(server, design["id"]), daemon=True).start()
            time.sleep(float(chance.uniform(0.0, 0.8)))
            server.kill()
            stop.set()
            worker.join()
            yield _fault(number, data, design["id"], last)
            if number % 5 == 4:
                # Once it is ended while it begins.
                beginning = threading.Thread(target=_begin, args=(server,))
                beginning.start()
                time.sleep(float(chance.uniform(0.2, 2.5)))
                if server.process is not None and server.is_alive:
                    server.kill()
                beginning.join()
            server.start()
        server.kill()


def _work(server: Server, design_id: str, last: dict[str, Any], stop: threading.Event) -> None:
    """Take steps one after the other, each of 1 mm, and note what was acknowledged."""
    command = {"kind": "move", "piece": "p1", "picked": {"kind": "vertex", "ids": [0]}, "vector": [1, 0, 0]}
    while not stop.is_set():
        try:
            state = server.post(f"/api/designs/{design_id}/commands", {"revision": last["revision"], "command": command})
        except _GONE:
            return
        last["revision"], last["at"] = state["revision"], last["at"] + 1
        _seen["steps"] += 1


def _solid(server: Server, design_id: str) -> None:
    try:
        server.post(f"/api/designs/{design_id}/pieces/p1/solid", {})
        server.get(f"/api/designs/{design_id}/picture.png")
    except (*_GONE, ValueError):
        return


def _begin(server: Server) -> None:
    try:
        server.start()
    except (*_GONE, OSError):
        return


def _fault(number: int, data: Path, design_id: str, last: dict[str, Any]) -> str:
    path = data / "zinc-otter.sqlite"
    with closing(sqlite3.connect(path)) as connection:
        found = connection.execute("PRAGMA integrity_check").fetchone()[0]
        if found != "ok":
            return f"{number}: {found}"
    store = Store(path)
    try:
        saved = store.load(design_id)
    finally:
        store.close()
    beyond = saved.facts.revision - last["revision"]
    moved = float(saved.design.pieces[0].cage.positions[0, 0]) + 20.0
    if beyond not in (0, 1):
        return f"{number}: revision {saved.facts.revision}, {last['revision']} was acknowledged"
    if abs(moved - (last["at"] + beyond)) > 1e-9:
        return f"{number}: moved by {moved}, {last['at'] + beyond} steps"
    _seen["kept beyond"] += beyond
    last["revision"], last["at"] = saved.facts.revision, last["at"] + beyond
    return ""
