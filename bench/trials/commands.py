"""Random commands of every kind: what comes of them is a sound cage or a refusal in words, and undo brings all back."""

from __future__ import annotations

import tempfile
from collections import Counter
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import numpy as np
from pydantic import TypeAdapter, ValidationError

from bench.trials.made_up import MadeUp
from zinc_otter.core.cage import Cage
from zinc_otter.core.errors import CoreError
from zinc_otter.core.primitives import box
from zinc_otter.store import Store
from zinc_otter.store.archive import read_archive, write_archive
from zinc_otter.store.documents import to_document
from zinc_otter.studio.commands import AnyCommand, read_command
from zinc_otter.studio.design import Design
from zinc_otter.studio.studio import Studio

RUN = 25
"""Commands on one design; then it is taken back to its beginning and forward again."""
_SCHEMA = TypeAdapter(AnyCommand).json_schema()
_seen: Counter[str] = Counter()


def summary() -> list[str]:
    """What was done, what was refused, and how many kinds of command came to an outcome."""
    kinds = {key[5:] for key in _seen if key.startswith("done ")}
    done = sum(count for key, count in _seen.items() if key.startswith("done "))
    return [f"{done} done of {len(kinds)} kinds, {_seen['refused']} refused in words, {_seen['cages']} cages looked at"]


def trials(first: int, count: int) -> Iterator[str]:
    """Designs by number, so many commands in all."""
    for number in range(first, first + -(-count // RUN)):
        try:
            for _ in range(RUN):
                yield ""
            fault = _one(number)
        except Exception as error:
            fault = f"{type(error).__name__}: {error}"
        if fault:
            yield f"{number}: {fault}"


def _one(number: int) -> str:
    chance = np.random.default_rng(90_000 + number)
    with tempfile.TemporaryDirectory() as folder:
        store = Store(Path(folder) / "z.sqlite")
        try:
            return _worked(Studio(store), store, chance)
        finally:
            store.close()


def _worked(studio: Studio, store: Store, chance: np.random.Generator) -> str:
    begun = Design().with_new_piece("Float", box((30, 20, 10), [int(n) for n in chance.integers(1, 4, 3)]))[0]
    saved = store.create("Trial", "mm", begun)
    stages = [_bytes(saved.design)]
    for _ in range(RUN):
        command = _made_up(saved.design, chance)
        if command is None:
            continue
        try:
            saved = studio.commit(saved.facts.id, saved.facts.revision, command)
        except CoreError as error:
            _seen["refused"] += 1
            if not str(error).strip() or str(error)[-1] not in ".!?'":
                return f"{command.kind}: refused without a sentence: {error}"
            continue
        _seen[f"done {command.kind}"] += 1
        stages.append(_bytes(saved.design))
        for piece in saved.design.pieces:
            _seen["cages"] += 1
            if fault := _fault(piece.cage):
                return f"{command.kind} {command.model_dump_json()[:300]}: {fault}"
    for stage in reversed(stages[:-1]):
        saved = studio.undo(saved.facts.id, saved.facts.revision)
        if _bytes(saved.design) != stage:
            return "undo did not bring the same back"
    for stage in stages[1:]:
        saved = studio.redo(saved.facts.id, saved.facts.revision)
        if _bytes(saved.design) != stage:
            return "redo did not bring the same back"
    packed = write_archive("Trial", "mm", saved.design, store.asset)
    if _bytes(read_archive(packed).design) != stages[-1]:
        return "an archive did not bring the same back"
    return ""


def _made_up(design: Design, chance: np.random.Generator) -> Any:
    """A command that can be read, about what is there as a rule; None where chance found none."""
    pieces = [piece.id for piece in design.pieces]
    counts = [piece.cage.topology.face_count for piece in design.pieces] or [8]
    names: dict[str, list[Any]] = {
        "piece": pieces, "source": pieces, "original": pieces, "id": list(range(min(max(counts), 60))),
        "reference": [reference.id for reference in design.references], "name": ["Float", "Grip", "ä"],
    }  # fmt: skip
    maker = MadeUp(_SCHEMA, chance, names)
    for _ in range(30):
        try:
            return read_command(maker.of(_SCHEMA))
        except (ValidationError, CoreError):
            continue
    return None


def _fault(cage: Cage) -> str:
    t = cage.topology
    if not np.isfinite(cage.positions).all():
        return "a position is no number"
    try:
        type(t).checked(t.vertex_count, t.face_verts, t.face_offsets)
    except CoreError as error:
        return f"an unsound cage: {error}"
    return ""


def _bytes(design: Design) -> str:
    document, blobs = to_document(design)
    return repr(document) + "".join(sorted(blobs))
