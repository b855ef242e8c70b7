"""The live channel: one websocket for each viewer of a design.

What is said both ways stands in :mod:`zinc_otter.api.live.asked` and :mod:`zinc_otter.api.live.told`. Of previews only
the latest waits; the first message tells the version.
"""

from __future__ import annotations

import asyncio
import secrets
import time
from dataclasses import dataclass
from typing import Any

from fastapi import APIRouter, WebSocket, WebSocketDisconnect
from pydantic import ValidationError

from zinc_otter.api.bodies import FINE, QUICK, BodyTeller
from zinc_otter.api.bores import told_bores
from zinc_otter.api.clearance import clearances
from zinc_otter.api.curve_schemas import AskedOf
from zinc_otter.api.curves import curves_of
from zinc_otter.api.designs import Findings, findings, preview_state
from zinc_otter.api.edits import asker
from zinc_otter.api.live.asked import (
    DEEDS,
    AskBodies,
    AskCancel,
    AskCommit,
    AskCurves,
    Asked,
    AskGaps,
    AskLevel,
    AskMap,
    AskPreview,
    AskWeigh,
    read_asked,
)
from zinc_otter.api.live.packing import pack, unpack
from zinc_otter.api.live.shown import Shown, ShownCurve
from zinc_otter.api.live.told import VERSION, TellProofs, TellState, Told
from zinc_otter.api.live.view import LiveView, bent
from zinc_otter.api.problems import Problem, invalid, problem_of
from zinc_otter.api.room import Room
from zinc_otter.api.schemas import DesignState
from zinc_otter.api.stones import told_stones
from zinc_otter.core.errors import CoreError
from zinc_otter.core.words import Unit, lengths_in
from zinc_otter.jobs.runner import StoppedError
from zinc_otter.studio.commands import Command, Outcome
from zinc_otter.studio.crossings import AT_REST, IN_A_DRAG
from zinc_otter.studio.design import Design
from zinc_otter.studio.grounds import goes_by_body
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


_LATEST = ("preview", "weigh", "curves", "gaps", "map")
_RESTS = 0.3
"""Seconds without anything asked for after which the hand rests."""
_QUIET, _BEAT = 0.7, 0.5
"""Seconds after which a viewer is told that something takes long, and then how often."""


_UNREADABLE = Problem(
    type="/problems/invalid", title="Unreadable", status=400, detail="A message of the live channel could not be read."
)


@dataclass
class _Waiting:
    """A message that waits its turn: what it asks to be done, None where that cannot be read."""

    do: str | None
    seq: int
    content: dict[str, Any]
    stopped: bool = False

    @classmethod
    def of(cls, data: bytes) -> _Waiting:
        try:
            content = unpack(data)
        except ValueError:
            return cls(None, 0, {})
        if not isinstance(content, dict) or content.get("do") not in DEEDS:
            return cls(None, 0, {})
        seq = content.get("seq", 0)
        return cls(content["do"], seq if isinstance(seq, int) else 0, content)


class _Channel:
    def __init__(self, socket: WebSocket, room: Room, design_id: str) -> None:
        self._socket = socket
        self._room = room
        self._design_id = design_id
        self._view = LiveView(room.stencils)
        self._waiting: list[_Waiting] = []
        self._shown_revision: int | None = None
        self._curves: AskedOf | None = None
        self._curves_digest = ""
        self._gaps: list[str] = []
        self._mapped: str | None = None
        self._sending = asyncio.Lock()
        self._asker = secrets.token_hex(8)
        self._doing = 0
        self._closer: asyncio.Task[None] | None = None
        self._bodies = BodyTeller(room.bodies, room.solid, self._send, self._bodies_made)

    async def run(self) -> None:
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
                if self._closer is not None:
                    self._closer.cancel()

    async def _listen(self, wake: asyncio.Event) -> None:
        """Take messages as they come; of previews only the latest waits."""
        try:
            while True:
                frame = await self._socket.receive()
                if frame["type"] != "websocket.receive":
                    return
                message = _Waiting.of(frame.get("bytes") or b"")
                if message.do == "stop":
                    await self._stop(message.content.get("of", 0))
                    continue
                if self._waiting and self._waiting[-1].do == message.do and message.do in _LATEST:
                    self._waiting.pop()
                self._waiting.append(message)
                wake.set()
        finally:
            wake.set()

    async def _stop(self, of: object) -> None:
        """Not one of those that wait their turn: it ends what is under way, and what is to come of it.

        Who means one message says which: what was asked for after it, a step above all, is not to be lost with it.
        """
        for left in self._waiting:
            left.stopped |= left.do in ("preview", "commit") and of in (0, left.seq)
        if of in (0, self._doing):
            await asyncio.to_thread(self._room.edits.stop, self._who(self._doing))

    def _who(self, seq: int) -> str:
        """For whom a message is answered: a stop that comes late does not meet the next."""
        return f"{self._asker}-{seq}"

    async def _answer_waiting(self) -> None:
        while self._waiting:
            message = self._waiting.pop(0)
            self._doing = seq = message.seq
            # Threads that work for it take it along.
            asker.set(self._who(seq))
            if self._closer is not None:
                self._closer.cancel()
            if message.do is None:
                await self._refuse(seq, _UNREADABLE, back=False)
                continue
            telling = asyncio.create_task(self._tell_working(seq))
            try:
                if message.stopped:
                    raise StoppedError("It was stopped before it was begun.")
                # A large cage takes a while to be read.
                await self._answer(seq, await asyncio.to_thread(read_asked, message.content))
            except UnknownDesignError:
                raise
            except CoreError as error:
                await self._refuse(seq, problem_of(error))
            except ValidationError as error:
                await self._refuse(seq, invalid(error))
            finally:
                telling.cancel()

    async def _answer(self, seq: int, asked: Asked) -> None:
        match asked:
            case AskPreview():
                await self._preview(seq, asked)
            case AskCommit():
                await self._commit(seq, asked)
            case AskCancel():
                self._room.studio.cancel(self._design_id)
                await self._show_saved(seq)
            case AskLevel():
                self._view.smooth_to(asked.level)
                await self._show_saved(seq)
            case AskWeigh():
                await self._weigh(seq, asked)
            case AskCurves():
                await self._bend(seq, asked)
            case AskGaps():
                await self._gap(seq, asked)
            case AskMap():
                await self._map_of(seq, asked)
            case AskBodies():
                saved = self._room.studio.saved(self._design_id)
                self._bodies.want(saved.design, FINE, saved.facts.unit)

    async def _tell_working(self, seq: int) -> None:
        """Say every now and then that what was asked for is still being worked on, and for how many seconds."""
        begun = time.monotonic()
        await asyncio.sleep(_QUIET)
        while True:
            seconds = time.monotonic() - begun
            stoppable = self._room.edits.is_stoppable(self._who(seq))
            await self._send({"type": "working", "seq": seq, "seconds": seconds, "stoppable": stoppable})
            await asyncio.sleep(_BEAT)

    async def _preview(self, seq: int, asked: AskPreview) -> None:
        def work() -> tuple[Told, Saved, Outcome]:
            before = self._room.studio.saved(self._design_id)
            outcome = self._room.studio.preview(self._design_id, asked.revision, asked.command)
            shown = self._shown(outcome.design, settled=False)
            if outcome.weights is not None and outcome.piece_id is not None:
                shown["weights"] = self._view.weights(outcome.piece_id, outcome.weights)
            with lengths_in(before.facts.unit):
                preview = preview_state(before, asked.command, outcome, IN_A_DRAG)
            return {"type": "frame", "seq": seq, "preview": preview, **shown}, before, outcome

        answer, before, outcome = await asyncio.to_thread(work)
        await self._send(answer)
        self._bodies.want(outcome.design, QUICK, before.facts.unit)
        self._closer = asyncio.create_task(self._look_closer(seq, before, asked.command, outcome))

    async def _bodies_made(self, design: Design, unit: Unit) -> None:
        """What is asked of bodies can be told now."""
        if any(goes_by_body(design, proof) for proof in design.proofs):
            with lengths_in(unit):
                proofs = await asyncio.to_thread(self._room.proofs.of, design, True, True)
            told: TellProofs = {"type": "proofs", "proofs": proofs}
            mapped = next((proof for proof in design.proofs if proof.id == self._mapped), None)
            if mapped is not None and goes_by_body(design, mapped):
                told["map"] = await asyncio.to_thread(self._room.proofs.map_of, design, mapped.id, self._view, True, True)
            await self._send(told)

    async def _look_closer(self, seq: int, before: Saved, command: Command, outcome: Outcome) -> None:
        """When the hand rests, look more closely at what is shown; whatever is asked for meanwhile ends it."""
        await asyncio.sleep(_RESTS)

        def work() -> Findings:
            with lengths_in(before.facts.unit):
                return findings(before, command, outcome, AT_REST)

        found = await asyncio.to_thread(work)
        await self._send({"type": "found", "seq": seq, "notes": found.notes, "suspect": found.suspect})

    async def _commit(self, seq: int, asked: AskCommit) -> None:
        def work() -> None:
            self._room.told(self._room.studio.commit(self._design_id, asked.revision, asked.command, asked.instead))

        await asyncio.to_thread(work)
        await self._show_saved(seq)

    async def _weigh(self, seq: int, asked: AskWeigh) -> None:
        def work() -> Told:
            piece = self._room.studio.saved(self._design_id).design.piece(asked.piece)
            picked = asked.picked.on(piece.cage)
            picked.check(piece.cage.topology)
            if piece.symmetry is not None:
                picked = piece.symmetry.closed(picked)
            weights = asked.reach.on(piece.cage).weights(piece.cage, picked)
            return {"type": "weights", "seq": seq, "weights": self._view.weights(piece.id, weights)}

        await self._send(await asyncio.to_thread(work))

    async def _bend(self, seq: int, asked: AskCurves) -> None:
        def work() -> Told:
            self._curves = asked.asked
            design = self._room.studio.saved(self._design_id).design
            if self._curves is not None:
                self._curves_digest = design.piece(self._curves.piece).cage.topology.digest
            return {"type": "curves", "seq": seq, "curves": self._bends(design) or []}

        await self._send(await asyncio.to_thread(work))

    async def _gap(self, seq: int, asked: AskGaps) -> None:
        def work() -> Told:
            self._gaps = asked.pieces
            design = self._room.studio.saved(self._design_id).design
            between_stones, _ = told_stones(design, self._room.gaps, True)
            return {"type": "gaps", "seq": seq, "gaps": self._room.gaps.of(design, True, self._gaps) + between_stones}

        await self._send(await asyncio.to_thread(work))

    async def _map_of(self, seq: int, asked: AskMap) -> None:
        def work() -> Told:
            self._mapped = asked.proof
            design = self._room.studio.saved(self._design_id).design
            told = None if asked.proof is None else self._room.proofs.map_of(design, asked.proof, self._view, True, True)
            return {"type": "map", "seq": seq, "map": told}

        await self._send(await asyncio.to_thread(work))

    def _shown(self, design: Design, settled: bool) -> Shown:
        """What changed of the pieces, how near they come to components, and the curves that are asked for."""
        shown = self._view.frame(design)
        with lengths_in(self._room.studio.saved(self._design_id).facts.unit):
            shown["clearances"] = clearances(design, self._view.surfaces, self._room.meshes, settled)
            between_stones, shown["stones"] = told_stones(design, self._room.gaps, settled)
            shown["gaps"] = self._room.gaps.of(design, settled, self._gaps) + between_stones
            shown["bores"] = told_bores(design, self._room.gaps, settled)
            shown["proofs"] = self._room.proofs.of(design, settled)
            if self._mapped is not None:
                shown["map"] = self._room.proofs.map_of(design, self._mapped, self._view, settled)
        bends = self._bends(design)
        if bends is not None:
            shown["curves"] = bends
        return shown

    def _bends(self, design: Design) -> list[ShownCurve] | None:
        asked = self._curves
        piece = next((p for p in design.pieces if asked is not None and p.id == asked.piece and p.curve is None), None)
        if asked is None or piece is None:
            return None
        same = piece.cage.topology.digest == self._curves_digest
        return bent(curves_of(piece, self._view.surface_of(piece), asked, same))

    async def _refuse(self, seq: int, problem: Problem, back: bool = True) -> None:
        """Say what is wrong, and show the design as it stands again."""
        await self._send({"type": "problem", "seq": seq, "problem": problem})
        if back:
            await self._show_saved(seq)

    async def _show_saved(self, seq: int = 0) -> None:
        def work() -> tuple[TellState, Saved]:
            saved = self._room.studio.saved(self._design_id)
            shown = self._shown(saved.design, settled=True)
            self._view.settle()
            return {"type": "state", "seq": seq, "version": VERSION, "state": DesignState.of(saved), **shown}, saved

        message, saved = await asyncio.to_thread(work)
        self._shown_revision = saved.facts.revision
        await self._send(message)
        self._bodies.want(saved.design, FINE, saved.facts.unit)

    async def _send(self, message: Told) -> None:
        async with self._sending:
            await self._socket.send_bytes(pack(message))
