"""The live channel: one websocket for each viewer of a design.

The viewer sends ``{do: "preview" | "commit" | "cancel", seq, revision, command}``, the latest preview wins; and
``{do: "look", seq, level}`` to be shown the pieces at another level of smoothness, 1 to 4 or null;
``{do: "weigh", seq, piece, picked, reach}`` to be shown how far a reach carries. It is sent ``state`` (the design without
arrays), ``frame`` (arrays of what changed), ``weights`` and ``problem``.
"""

from __future__ import annotations

import asyncio
from typing import Any

from fastapi import APIRouter, WebSocket, WebSocketDisconnect
from pydantic import BaseModel, ValidationError

from zinc_otter.api.clearance import clearances
from zinc_otter.api.designs import preview_state
from zinc_otter.api.live_view import LiveView
from zinc_otter.api.packing import pack, unpack
from zinc_otter.api.problems import Problem, invalid, problem_of
from zinc_otter.api.room import Room
from zinc_otter.api.schemas import DesignState
from zinc_otter.core.errors import CoreError
from zinc_otter.studio.commands import Picked, read_command
from zinc_otter.studio.commands.base import PieceId
from zinc_otter.studio.commands.placement import ReachBy
from zinc_otter.studio.design import Design
from zinc_otter.studio.shelf import UnknownDesignError

router = APIRouter()


@router.websocket("/api/designs/{design_id}/live")
async def live(socket: WebSocket, design_id: str) -> None:
    await socket.accept()
    try:
        await _Channel(socket, socket.app.state.room, design_id).run()
    except WebSocketDisconnect:
        pass
    except UnknownDesignError as error:
        await socket.close(4404, str(error))


_DEEDS = ("preview", "commit", "cancel", "look", "weigh")


class _Weigh(BaseModel):
    piece: PieceId
    picked: Picked
    reach: ReachBy


class _Channel:
    def __init__(self, socket: WebSocket, room: Room, design_id: str) -> None:
        self._socket = socket
        self._room = room
        self._design_id = design_id
        self._view = LiveView(room.stencils)
        self._waiting: list[dict[str, Any]] = []
        self._shown_revision: int | None = None

    async def run(self) -> None:
        with self._room.listeners.on(self._design_id) as wake:
            await self._show_saved()
            listening = asyncio.create_task(self._listen(wake))
            try:
                while True:
                    await wake.wait()
                    wake.clear()
                    if listening.done():
                        listening.result()
                        return
                    await self._answer_waiting()
                    if self._room.studio.saved(self._design_id).facts.revision != self._shown_revision:
                        await self._show_saved()
            finally:
                listening.cancel()

    async def _listen(self, wake: asyncio.Event) -> None:
        """Take messages as they come; of previews only the latest waits."""
        try:
            while True:
                data = await self._socket.receive_bytes()
                try:
                    message = unpack(data)
                    if not isinstance(message, dict) or message.get("do") not in _DEEDS:
                        raise ValueError
                except ValueError:
                    message = {"do": "broken"}
                if self._waiting and self._waiting[-1]["do"] == message["do"] and message["do"] in ("preview", "weigh"):
                    self._waiting.pop()
                self._waiting.append(message)
                wake.set()
        finally:
            wake.set()

    async def _answer_waiting(self) -> None:
        while self._waiting:
            message = self._waiting.pop(0)
            seq = message.get("seq", 0)
            try:
                await getattr(self, f"_{message['do']}")(seq, message)
            except UnknownDesignError:
                raise
            except CoreError as error:
                await self._refuse(seq, problem_of(error))
            except ValidationError as error:
                await self._refuse(seq, invalid(error))

    async def _preview(self, seq: int, message: dict[str, Any]) -> None:
        def work() -> dict[str, Any]:
            command = read_command(message.get("command"))
            before = self._room.studio.saved(self._design_id)
            outcome = self._room.studio.preview(self._design_id, message.get("revision", -1), command)
            preview = preview_state(before, command, outcome).model_dump(mode="json")
            frame = self._view.frame(outcome.design)
            if outcome.weights is not None and outcome.piece_id is not None:
                frame["weights"] = self._view.weights(outcome.piece_id, outcome.weights)
            return {"type": "frame", "seq": seq, "preview": preview, **frame, **self._near(outcome.design, False)}

        await self._send(await asyncio.to_thread(work))

    async def _commit(self, seq: int, message: dict[str, Any]) -> None:
        def work() -> None:
            command = read_command(message.get("command"))
            saved = self._room.studio.commit(self._design_id, message.get("revision", -1), command)
            self._room.told(saved)

        await asyncio.to_thread(work)
        await self._show_saved(seq)

    async def _cancel(self, seq: int, _: dict[str, Any]) -> None:
        self._room.studio.cancel(self._design_id)
        await self._show_saved(seq)

    async def _look(self, seq: int, message: dict[str, Any]) -> None:
        level = message.get("level")
        if level is not None and level not in (1, 2, 3, 4):
            return await self._broken(seq, message)
        self._view.look(level)
        await self._show_saved(seq)

    async def _weigh(self, seq: int, message: dict[str, Any]) -> None:
        def work() -> dict[str, Any]:
            asked = _Weigh.model_validate({key: message.get(key) for key in _Weigh.model_fields})
            piece = self._room.studio.saved(self._design_id).design.piece(asked.piece)
            picked = asked.picked.on(piece.cage)
            picked.check(piece.cage.topology)
            if piece.symmetry is not None:
                picked = piece.symmetry.closed(picked)
            weights = asked.reach.on(piece.cage).weights(piece.cage, picked)
            return {"type": "weights", "seq": seq, "weights": self._view.weights(piece.id, weights)}

        await self._send(await asyncio.to_thread(work))

    def _near(self, design: Design, settled: bool) -> dict[str, Any]:
        return {"clearances": clearances(design, self._view.surfaces, self._room.meshes, settled)}

    async def _broken(self, seq: int, _: dict[str, Any]) -> None:
        sentence = "A message of the live channel could not be read."
        await self._refuse(
            seq, Problem(type="/problems/invalid", title="Unreadable", status=400, detail=sentence), back=False
        )

    async def _refuse(self, seq: int, problem: Problem, back: bool = True) -> None:
        """Say what is wrong, and show the design as it stands again."""
        await self._send({"type": "problem", "seq": seq, "problem": problem.model_dump(mode="json")})
        if back:
            await self._show_saved(seq)

    async def _show_saved(self, seq: int = 0) -> None:
        def work() -> tuple[dict[str, Any], int]:
            saved = self._room.studio.saved(self._design_id)
            frame = self._view.frame(saved.design)
            self._view.settle()
            state = DesignState.of(saved).model_dump(mode="json")
            near = self._near(saved.design, True)
            return {"type": "state", "seq": seq, "state": state, **frame, **near}, saved.facts.revision

        message, self._shown_revision = await asyncio.to_thread(work)
        await self._send(message)

    async def _send(self, message: dict[str, Any]) -> None:
        await self._socket.send_bytes(pack(message))
