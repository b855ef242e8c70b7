"""What is kept, how much room it takes, and giving it back."""

from __future__ import annotations

from fastapi import APIRouter
from pydantic import BaseModel, Field

from zinc_otter.api.designs import AtHand
from zinc_otter.api.room import Room
from zinc_otter.store.backups import DAYS_KEPT
from zinc_otter.store.database import size_of
from zinc_otter.store.made_files import KEPT_DAYS

router = APIRouter(prefix="/api/keeping", tags=["keeping"])


class KeepingState(BaseModel):
    """Where designs are kept, and the bytes that they take."""

    folder: str
    reading: str = Field(description="why designs are only read here; empty as a rule")
    designs: int = Field(description="bytes of all designs with their steps, pictures and meshes")
    made: int = Field(description="bytes of solids, pictures and files that were made of them and can be made again")
    copies: int = Field(description="bytes of the copies of earlier days")
    made_days: int = Field(description="days after which what was made and not asked for again is swept")
    copy_days: int = Field(description="how many days that were worked are kept as copies")


@router.get("")
def get_keeping(room: AtHand) -> KeepingState:
    return _state(room)


@router.delete("/made")
def clear_made(room: AtHand) -> KeepingState:
    """Remove all that was made of designs and can be made again. The designs stay as they are, and true pictures of them."""
    room.made.sweep(most_bytes=0)
    return _state(room)


def _state(room: Room) -> KeepingState:
    copies = (room.data.path / "backups").glob("*.sqlite")
    return KeepingState(
        folder=str(room.data.path.resolve()), reading=room.store.reading, made=room.made.space(), made_days=KEPT_DAYS,
        designs=size_of(room.store.path),
        copies=sum(file.stat().st_size for file in copies), copy_days=DAYS_KEPT,
    )  # fmt: skip
