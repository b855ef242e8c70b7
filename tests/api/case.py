"""A service in this process, with an empty store in a folder of its own."""

from __future__ import annotations

import tempfile
import unittest
from pathlib import Path
from typing import Any

import msgpack
import numpy as np
from fastapi.testclient import TestClient

from zinc_otter.api.app import create_app
from zinc_otter.api.room import Room
from zinc_otter.core.words import Unit

_KINDS = {1: "<f4", 2: "<f8", 3: "<i4", 4: "u1"}


def unpacked(data: bytes) -> Any:
    """A frame of the live channel, read by the plain library."""
    return msgpack.unpackb(data, ext_hook=lambda code, raw: np.frombuffer(raw, dtype=_KINDS[code]))


class ServiceCase(unittest.TestCase):
    """``one_service``: the tests of a class go on in one service, each with designs of its own; so they must not look at
    what others left. Each service has workers, and each of these takes some seconds to begin."""

    one_service = False
    _kept: tuple[type, Path, Room, TestClient] | None = None

    def setUp(self) -> None:
        kept = ServiceCase._kept
        if not self.one_service or kept is None or kept[0] is not type(self):
            kept = self._begun_service()
        _, self.folder, self.room, self.client = kept

    def _begun_service(self) -> tuple[type, Path, Room, TestClient]:
        later = type(self).addClassCleanup if self.one_service else self.addCleanup
        holder = tempfile.TemporaryDirectory(ignore_cleanup_errors=self.one_service)
        later(holder.cleanup)
        room = Room(Path(holder.name))
        client = TestClient(create_app(room), base_url="http://127.0.0.1", raise_server_exceptions=False)
        client.__enter__()
        later(lambda: client.__exit__(None, None, None))
        made = type(self), Path(holder.name), room, client
        if self.one_service:
            ServiceCase._kept = made
        return made

    def begun(self, *commands: dict[str, Any], unit: Unit = "mm") -> dict[str, Any]:
        """A new design to which commands were given, by REST."""
        state = self.client.post("/api/designs", json={"name": "Trial", "unit": unit}).json()
        for command in commands:
            state = self.give(state, command)
        return dict(state)

    def give(self, state: dict[str, Any], command: dict[str, Any]) -> dict[str, Any]:
        body = {"revision": state["revision"], "command": command}
        answer = self.client.post(f"/api/designs/{state['id']}/commands", json=body)
        self.assertEqual(answer.status_code, 200, answer.text)
        return dict(answer.json())

    def problem(self, answer: Any, status: int, kind: str) -> str:
        """The sentence of a problem document (RFC 9457)."""
        self.assertEqual(answer.status_code, status, answer.text)
        self.assertEqual(answer.headers["content-type"], "application/problem+json")
        body = answer.json()
        self.assertEqual((body["status"], body["type"]), (status, f"/problems/{kind}"))
        self.assertTrue(body["title"])
        return str(body["detail"])


BOX: dict[str, Any] = {"kind": "add-box", "size": [40, 20, 10], "counts": [2, 2, 1]}


def extrude(*faces: int, by: float = 5.0) -> dict[str, Any]:
    return {"kind": "extrude", "piece": "p1", "picked": {"kind": "face", "ids": list(faces)}, "distance": by}


def move(*vertices: int, by: tuple[float, float, float]) -> dict[str, Any]:
    return {"kind": "move", "piece": "p1", "picked": {"kind": "vertex", "ids": list(vertices)}, "vector": list(by)}
