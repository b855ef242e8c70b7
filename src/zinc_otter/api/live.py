"""The live channel: one websocket for each viewer of a design.

The viewer sends ``{do: "preview" | "commit" | "cancel", seq, revision, command}``, the latest preview wins; and
``{do: "look", seq, level}`` to be shown the pieces at another level of smoothness, 1 to 4 or null;
``{do: "weigh", seq, piece, picked, reach}`` to be shown how far a reach carries; ``{do: "curves", seq, asked}`` to be
shown curves of a piece with every frame from then on, or with null no more; ``{do: "bodies", seq}`` to look again whether
the kernel has made a solid by now; ``{do: "stop"}`` to stop what is being worked on. It is sent ``state`` (the design
without arrays), ``frame`` (arrays of what changed), ``weights``, ``curves`` and ``problem``; ``working`` while something
takes long; and a little later ``bodies``, what followers make of the pieces.
"""

from __future__ import annotations

import asyncio
import secrets
import time
from typing import Any

from fastapi import APIRouter, WebSocket, WebSocketDisconnect
from pydantic import BaseModel, ValidationError

from zinc_otter.api.bodies import FINE, QUICK, BodyTeller
from zinc_otter.api.clearance import clearances
from zinc_otter.api.curves import AskedOf, as_arrays, curves_of
from zinc_otter.api.designs import preview_state
from zinc_otter.api.edits import asker
from zinc_otter.api.live_view import LiveView
from zinc_otter.api.packing import pack, unpack
from zinc_otter.api.problems import Problem, invalid, problem_of
from zinc_otter.api.room import Room
from zinc_otter.api.schemas import DesignState
from zinc_otter.core.errors import CoreError
from zinc_otter.jobs.runner import StoppedError
from zinc_otter.studio.commands import Picked, read_command
from zinc_otter.studio.commands.base import PieceId
from zinc_otter.studio.commands.placement import ReachBy
from zinc_otter.studio.design import Design
from zinc_otter.studio.shelf import Saved, UnknownDesignError

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


_DEEDS = ("preview", "commit", "cancel", "look", "weigh", "curves", "bodies", "stop")


_LATEST = ("preview", "weigh", "curves")
_QUIET, _BEAT = 0.7, 0.5
"""Seconds after which a viewer is told that something takes long, and then how often."""


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
        self._curves: AskedOf | None = None
        self._curves_digest = ""
        self._sending = asyncio.Lock()
        self._asker = secrets.token_hex(8)
        self._bodies = BodyTeller(room.bodies, room.solid, self._send)

        self._deeds = {
            "preview": self._preview, "commit": self._commit, "cancel": self._cancel, "look": self._look,
            "weigh": self._weigh, "curves": self._curves_asked, "bodies": self._bodies_asked, "broken": self._broken,
            "stopped": self._stopped,
        }  # fmt: skip

    async def run(self) -> None:
        # Threads that work for this viewer take it along.
        asker.set(self._asker)
        with self._room.listeners.on(self._design_id) as wake:
            await self._show_saved()
            listening = asyncio.create_task(self._listen(wake))
            telling = asyncio.create_task(self._bodies.run())
            try:
                while True:
                    await wake.wait()
                    wake.clear()
                    if listening.done():
                        listening.result()
                        return
                    if telling.done():
                        telling.result()
                    await self._answer_waiting()
                    if self._room.studio.saved(self._design_id).facts.revision != self._shown_revision:
                        await self._show_saved()
            finally:
                listening.cancel()
                telling.cancel()

    async def _listen(self, wake: asyncio.Event) -> None:
        """Take messages as they come; of previews only the latest waits."""
        try:
            while True:
                frame = await self._socket.receive()
                if frame["type"] != "websocket.receive":
                    return
                try:
                    message = unpack(frame.get("bytes") or b"")
                    if not isinstance(message, dict) or message.get("do") not in _DEEDS:
                        raise ValueError
                except ValueError:
                    message = {"do": "broken"}
                if message["do"] == "stop":
                    # Not one of those that wait their turn: it ends what is under way, and what is to come of it.
                    for left in self._waiting:
                        left["do"] = "stopped" if left["do"] in ("preview", "commit") else left["do"]
                    await asyncio.to_thread(self._room.edits.stop, self._asker)
                    continue
                if self._waiting and self._waiting[-1]["do"] == message["do"] and message["do"] in _LATEST:
                    self._waiting.pop()
                self._waiting.append(message)
                wake.set()
        finally:
            wake.set()

    async def _answer_waiting(self) -> None:
        while self._waiting:
            message = self._waiting.pop(0)
            seq = message.get("seq", 0)
            telling = asyncio.create_task(self._tell_working(seq))
            try:
                await self._deeds[message["do"]](seq, message)
            except UnknownDesignError:
                raise
            except CoreError as error:
                await self._refuse(seq, problem_of(error))
            except ValidationError as error:
                await self._refuse(seq, invalid(error))
            finally:
                telling.cancel()

    async def _tell_working(self, seq: int) -> None:
        """Say every now and then that what was asked for is still being worked on, and for how many seconds."""
        begun = time.monotonic()
        await asyncio.sleep(_QUIET)
        while True:
            seconds = time.monotonic() - begun
            stoppable = self._room.edits.is_stoppable(self._asker)
            await self._send({"type": "working", "seq": seq, "seconds": seconds, "stoppable": stoppable})
            await asyncio.sleep(_BEAT)

    async def _preview(self, seq: int, message: dict[str, Any]) -> None:
        def work() -> tuple[dict[str, Any], Design]:
            command = read_command(message.get("command"))
            before = self._room.studio.saved(self._design_id)
            outcome = self._room.studio.preview(self._design_id, message.get("revision", -1), command)
            preview = preview_state(before, command, outcome).model_dump(mode="json")
            frame = self._view.frame(outcome.design)
            if outcome.weights is not None and outcome.piece_id is not None:
                frame["weights"] = self._view.weights(outcome.piece_id, outcome.weights)
            shown = {**frame, **self._near(outcome.design, False), **self._bends(outcome.design)}
            return {"type": "frame", "seq": seq, "preview": preview, **shown}, outcome.design

        answer, design = await asyncio.to_thread(work)
        await self._send(answer)
        self._bodies.want(design, QUICK)

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
        if level is not None and (not isinstance(level, int) or isinstance(level, bool) or level not in (1, 2, 3, 4)):
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

    async def _curves_asked(self, seq: int, message: dict[str, Any]) -> None:
        def work() -> dict[str, Any]:
            asked = message.get("asked")
            self._curves = None if asked is None else AskedOf.model_validate(asked)
            design = self._room.studio.saved(self._design_id).design
            if self._curves is not None:
                self._curves_digest = design.piece(self._curves.piece).cage.topology.digest
            return {"type": "curves", "seq": seq, "curves": [], **self._bends(design)}

        await self._send(await asyncio.to_thread(work))

    def _bends(self, design: Design) -> dict[str, Any]:
        asked = self._curves
        piece = next((piece for piece in design.pieces if asked is not None and piece.id == asked.piece), None)
        if asked is None or piece is None:
            return {}
        same = piece.cage.topology.digest == self._curves_digest
        return {"curves": as_arrays(curves_of(piece, self._view.surface_of(piece), asked, same))}

    def _near(self, design: Design, settled: bool) -> dict[str, Any]:
        return {"clearances": clearances(design, self._view.surfaces, self._room.meshes, settled)}

    async def _stopped(self, seq: int, _: dict[str, Any]) -> None:
        raise StoppedError("It was stopped before it was begun.")

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
        def work() -> tuple[dict[str, Any], Saved]:
            saved = self._room.studio.saved(self._design_id)
            frame = self._view.frame(saved.design)
            self._view.settle()
            state = DesignState.of(saved).model_dump(mode="json")
            near = self._near(saved.design, True)
            shown = {**frame, **near, **self._bends(saved.design)}
            return {"type": "state", "seq": seq, "state": state, **shown}, saved

        message, saved = await asyncio.to_thread(work)
        self._shown_revision = saved.facts.revision
        await self._send(message)
        self._bodies.want(saved.design, FINE)

    async def _bodies_asked(self, seq: int, _: dict[str, Any]) -> None:
        self._bodies.want(self._room.studio.saved(self._design_id).design, FINE)

    async def _send(self, message: dict[str, Any]) -> None:
        async with self._sending:
            await self._socket.send_bytes(pack(message))
