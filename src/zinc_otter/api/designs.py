"""Designs: list, create, copy, rename, delete; commands, previews and steps."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Annotated, Any
from urllib.parse import quote

from fastapi import APIRouter, Depends, Query, Request, Response
from fastapi.concurrency import run_in_threadpool

from zinc_otter.api.kept_pictures import pictures_of, take_in_pictures
from zinc_otter.api.room import Room, room_of
from zinc_otter.api.schemas import (
    AtRevision,
    CommandAt,
    DesignCard,
    DesignChange,
    DesignState,
    NewDesign,
    NewName,
    PieceState,
    PreviewState,
    SelectedState,
    StepAt,
    StepState,
    ThinTo,
    reference_state,
)
from zinc_otter.core.words import lengths_in
from zinc_otter.store.archive import read_archive, write_archive
from zinc_otter.studio.commands import Command, Outcome
from zinc_otter.studio.crossings import AT_REST, Pains, looked_at
from zinc_otter.studio.shelf import Saved

router = APIRouter(prefix="/api/designs", tags=["designs"])
AtHand = Annotated[Room, Depends(room_of)]


@router.get("")
def list_designs(room: AtHand) -> list[DesignCard]:
    """All designs but those in the bin, the one changed last first."""
    return [DesignCard.of(facts) for facts in room.store.designs() if facts.binned_at is None]


@router.get("/bin")
def list_bin(room: AtHand) -> list[DesignCard]:
    """The designs in the bin, the one put there last first."""
    binned = [(facts.binned_at, facts) for facts in room.store.designs() if facts.binned_at is not None]
    return [DesignCard.of(facts) for _, facts in sorted(binned, key=lambda pair: pair[0], reverse=True)]


@router.put("/bin/{design_id}", status_code=204)
def put_in_bin(design_id: str, room: AtHand) -> None:
    """Put a design into the bin: it stays as it is, and can be put back."""
    room.store.put_in_bin(design_id, True)


@router.delete("/bin/{design_id}", status_code=204)
def put_back(design_id: str, room: AtHand) -> None:
    """Take a design out of the bin again."""
    room.store.put_in_bin(design_id, False)


@router.post("", status_code=201)
def create_design(new: NewDesign, room: AtHand, response: Response) -> DesignState:
    """Begin an empty design."""
    return _created(room.store.create(new.name, new.unit), response)


@router.get("/{design_id}/archive", response_class=Response)
def download_archive(design_id: str, room: AtHand) -> Response:
    """The design as it stands as one file; its layout is in docs/archive.md."""
    saved = room.studio.saved(design_id)
    pictures = pictures_of(room, design_id)
    data = write_archive(saved.facts.name, saved.facts.unit, saved.design, room.store.asset, pictures)
    disposition = f"attachment; filename*=UTF-8''{quote(saved.facts.name)}.otter"
    return Response(data, media_type="application/zip", headers={"Content-Disposition": disposition})


@router.post("/archives", status_code=201)
async def open_archive(request: Request, room: AtHand, response: Response) -> DesignState:
    """A new design from an archive (the body)."""
    data = await request.body()

    def work() -> DesignState:
        archive = read_archive(data)
        for asset in archive.assets:
            room.store.put_asset(asset.kind, asset.data, asset.facts)
        saved = room.store.create(archive.name, archive.unit, archive.design, "Opened from an archive")
        take_in_pictures(room, saved.facts.id, archive.pictures)
        return _created(saved, response)

    return await run_in_threadpool(work)


@router.get("/{design_id}", response_model=DesignState, responses={304: {"description": "It is as it was."}})
def get_design(design_id: str, room: AtHand, request: Request, response: Response) -> DesignState | Response:
    """The design as it stands, without arrays. Its revision is its ETag: one that is known is not sent again."""
    saved = room.studio.saved(design_id)
    tag = f'"{saved.facts.revision}-{saved.facts.changed_at.timestamp()}"'
    if request.headers.get("if-none-match") == tag:
        return Response(status_code=304, headers={"ETag": tag})
    response.headers["ETag"] = tag
    return DesignState.of(saved)


@router.patch("/{design_id}")
def change_design(design_id: str, new: DesignChange, room: AtHand) -> DesignState:
    """Rename the design, or show it in another unit."""
    return DesignState.of(room.told(room.studio.rename(design_id, new.name, new.unit)))


@router.post("/{design_id}/copy", status_code=201)
def copy_design(design_id: str, new: NewName, room: AtHand, response: Response) -> DesignState:
    """A new design that begins where this one stands, with the true pictures that are kept of it."""
    saved = room.store.copy(design_id, new.name)
    take_in_pictures(room, saved.facts.id, pictures_of(room, design_id))
    return _created(saved, response)


@router.delete("/{design_id}", status_code=204)
def delete_design(design_id: str, room: AtHand) -> None:
    """Delete a design with all its steps, and what was made of it, for good."""
    room.delete(design_id)


@router.get("/{design_id}/picture.png", response_class=Response)
def get_picture(design_id: str, room: AtHand) -> Response:
    """A small picture of the design."""
    return Response(room.picture(design_id), media_type="image/png", headers={"Cache-Control": "no-cache"})


@router.get("/{design_id}/steps")
def earlier_steps(
    design_id: str,
    room: AtHand,
    before: Annotated[int, Query(ge=0, le=10**9)],
    most: Annotated[int, Query(ge=1, le=500)] = 200,
) -> list[StepState]:
    """Steps of the list with numbers under ``before``, the last of them: those that the design itself does not tell."""
    return [StepState.of(step) for step in room.store.steps(design_id, before, most)]


@router.post("/{design_id}/thin")
def thin_steps(design_id: str, given: ThinTo, room: AtHand) -> DesignState:
    """Forget all steps but the last ``keep`` up to the present one, for good. The form stays as it is."""
    return DesignState.of(room.told(room.studio.thin(design_id, given.revision, given.keep)))


@router.post("/{design_id}/commands")
def apply_command(design_id: str, given: CommandAt, room: AtHand) -> DesignState:
    """Apply a command at a revision, as one step."""
    return DesignState.of(room.told(room.studio.commit(design_id, given.revision, given.command)))


@router.post("/{design_id}/preview")
def preview_command(design_id: str, given: CommandAt, room: AtHand) -> PreviewState:
    """What a command would lead to; nothing is kept."""
    before = room.studio.saved(design_id)
    with lengths_in(before.facts.unit):
        outcome = room.studio.preview(design_id, given.revision, given.command)
        return preview_state(before, given.command, outcome, AT_REST)


@router.post("/{design_id}/undo")
def undo(design_id: str, at: AtRevision, room: AtHand) -> DesignState:
    return DesignState.of(room.told(room.studio.undo(design_id, at.revision)))


@router.post("/{design_id}/redo")
def redo(design_id: str, at: AtRevision, room: AtHand) -> DesignState:
    return DesignState.of(room.told(room.studio.redo(design_id, at.revision)))


@router.post("/{design_id}/go-to")
def go_to_step(design_id: str, at: StepAt, room: AtHand) -> DesignState:
    """Make a step of the list the present one."""
    return DesignState.of(room.told(room.studio.go_to(design_id, at.revision, at.step)))


def _created(saved: Saved, response: Response) -> DesignState:
    response.headers["Location"] = f"/api/designs/{saved.facts.id}"
    return DesignState.of(saved)


def preview_state(before: Saved, command: Command, outcome: Outcome, pains: Pains) -> PreviewState:
    found = findings(before, command, outcome, pains)
    return PreviewState(
        title=command.title(before.design),
        notes=found.notes,
        suspect=found.suspect,
        pieces=[PieceState.of(outcome.design, piece) for piece in outcome.design.pieces],
        references=[reference_state(reference) for reference in outcome.design.references],
        selected=selected_state(outcome),
        rail=None if (rail := command.rail(before.design)) is None else rail.tolist(),
    )


@dataclass(frozen=True)
class Findings:
    """What is worth knowing of an outcome before it is kept: sentences, and faces at fault."""

    notes: list[str]
    suspect: list[int]


def findings(before: Saved, command: Command, outcome: Outcome, pains: Pains) -> Findings:
    """What the command says of its outcome, and where it runs through itself, looked at with so much pains."""
    looked = looked_at(before.design, command, outcome, pains)
    crossing = set() if looked is None else set(looked.faces.tolist())
    suspect = set() if outcome.suspect is None else set(outcome.suspect.tolist())
    words = [looked.words] if looked is not None and looked.words else []
    notes = list(command.notes(outcome))
    return Findings([*words, *notes] if crossing else [*notes, *words], sorted(crossing | suspect))


def selected_state(outcome: Outcome) -> SelectedState | None:
    if outcome.piece_id is None or outcome.selected is None:
        return None
    if outcome.whole:
        return SelectedState(piece=outcome.piece_id, kind="piece", ids=[0])
    ids: list[Any] = outcome.selected.ids.tolist()
    return SelectedState(piece=outcome.piece_id, kind=outcome.selected.kind, ids=ids)
