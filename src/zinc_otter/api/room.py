"""What the routes share: the studio, the store, the jobs, the surfaces at hand, and who is listening."""

from __future__ import annotations

import asyncio
import io
import logging
import secrets
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from datetime import UTC, datetime, timedelta
from pathlib import Path
from typing import Any

import numpy as np
from fastapi import Request

from zinc_otter.api.bodies import Bodies
from zinc_otter.api.edits import Edits
from zinc_otter.api.gaps import Gaps
from zinc_otter.api.kept import Kept
from zinc_otter.api.proofs import Proofs
from zinc_otter.api.stencil_shelf import StencilShelf
from zinc_otter.core.errors import CoreError
from zinc_otter.core.printing.print_bench import Job
from zinc_otter.core.proof.coarse_mesh import FELT, simplified
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.jobs import JobRunner
from zinc_otter.jobs.picture_work import draw_picture
from zinc_otter.jobs.solid_work import BY_TRIANGLES, CERTIFICATE, SHAPE, SHOWN, STEP, put
from zinc_otter.store import Store
from zinc_otter.store.folder import DATABASE, DataFolder
from zinc_otter.store.made_files import MadeFiles
from zinc_otter.store.work_folder import WorkFolder
from zinc_otter.studio.picture import picture_key
from zinc_otter.studio.shelf import Saved, StoreFullError, UnknownAssetError
from zinc_otter.studio.studio import Studio


class MeshShelf:
    """Search trees of components by their asset, those used last kept."""

    def __init__(self, store: Store, most: int = 8) -> None:
        self._store = store
        self._kept: Kept[str, MeshDistance] = Kept(most)

    def get(self, digest: str) -> MeshDistance:
        """Raises UnknownAssetError."""
        return self._kept.get(digest, lambda: self._read(digest))

    def _read(self, digest: str) -> MeshDistance:
        asset = self._store.asset(digest)
        if asset.kind != "mesh":
            raise UnknownAssetError("What this component names is no mesh.")
        with np.load(io.BytesIO(asset.data), allow_pickle=False) as arrays:
            vertices, triangles = arrays["vertices"], arrays["triangles"]
            felt = (arrays["felt_vertices"], arrays["felt_triangles"]) if "felt_triangles" in arrays else None
        # Those that came in by an earlier version have no lesser mesh yet.
        lesser = len(triangles) > FELT and felt is None
        return MeshDistance(vertices, triangles, simplified(vertices, triangles, FELT) if lesser else felt)

    def give_back(self) -> None:
        """Forget meshes that no design shows any more."""
        self._kept.drop(lambda digest: not self._store.asset_kinds({digest}))


class Listeners:
    """Wakes the live channels of a design when it has changed. Lives on the event loop."""

    def __init__(self) -> None:
        self._events: dict[str, set[asyncio.Event]] = {}
        self._loop: asyncio.AbstractEventLoop | None = None

    @contextmanager
    def on(self, design_id: str) -> Iterator[asyncio.Event]:
        self._loop = asyncio.get_running_loop()
        event = asyncio.Event()
        self._events.setdefault(design_id, set()).add(event)
        try:
            yield event
        finally:
            self._events[design_id].discard(event)

    def changed(self, design_id: str) -> None:
        """May be called from any thread."""
        if self._loop is not None:
            for event in list(self._events.get(design_id, ())):
                self._loop.call_soon_threadsafe(event.set)


class Room:
    """One running application, on a folder that nobody else writes in."""

    def __init__(self, folder: Path, among_others: bool = False, port: int | None = None) -> None:
        self.data = DataFolder.take(folder, among_others, port)
        try:
            self.store = Store(folder / DATABASE)
        except BaseException:
            self.data.release()
            raise
        self.made = MadeFiles(folder / "made", self.store)
        self.work = WorkFolder.fresh(folder)
        self.meshes = MeshShelf(self.store)
        self.edit_work = JobRunner(time_limit=60, folder=self.work.path)
        self.edits = Edits(self.edit_work)
        self.studio = Studio(self.store, self.meshes.get, self.edits.apply)
        self.jobs = JobRunner(folder=self.work.path)
        # By itself, so that nothing waits for a picture; a large fine one takes long.
        self.pictures = JobRunner(time_limit=4 * 3600, folder=self.work.path)
        self.intake = JobRunner(time_limit=240, folder=self.work.path)
        self.watched: dict[str, str] = {}
        """The jobs of files that are being read in, by the names that those who asked gave them."""
        self.stencils = StencilShelf()
        self.listeners = Listeners()
        self.gaps = Gaps(self.stencils)
        self.bodies = Bodies(folder / "made" / "solids", self.stencils.get)
        self.proofs = Proofs(self.gaps, self.meshes, self.bodies, self.solid)
        self.print_jobs: Kept[tuple[str, float], Job] = Kept(4)
        self._sweep()

    def _sweep(self) -> None:
        """What is left over from earlier days; a fault in it keeps nobody from working."""
        if self.store.reading:
            return
        try:
            self.made.sweep()
            self.store.sweep_assets(datetime.now(UTC).replace(tzinfo=None) - timedelta(days=1))
        except (CoreError, OSError) as error:
            logging.getLogger("zinc_otter").warning("leftovers were not swept: %s", error)

    def solid_folder(self, design_id: str, recipe: Recipe) -> Path:
        """Where the solid of a recipe is kept; what will lie in it is recorded for the design."""
        folder = self.bodies.folder(recipe)
        kept = (CERTIFICATE, STEP, SHOWN, BY_TRIANGLES, SHAPE)
        self.made.place(design_id, *(f"solids/{folder.name}/{name}" for name in kept))
        return folder

    def delete(self, design_id: str) -> None:
        """Delete a design and all that was made for it. A full disk is no hindrance: some room is kept for this."""
        try:
            self.studio.delete(design_id)
        except StoreFullError:
            if not self.data.give_room():
                raise
            self.studio.delete(design_id)
        finally:
            self.data.reserve()
        try:
            self.made.forget(design_id)
        except (CoreError, OSError) as error:
            logging.getLogger("zinc_otter").warning("leftovers of %s stay: %s", design_id, error)
        self.meshes.give_back()
        self.listeners.changed(design_id)

    def picture(self, design_id: str) -> bytes:
        """A design's small picture, drawn in a worker where it was not before. Raises UnknownDesignError, JobFailedError."""
        design = self.studio.saved(design_id).design
        name = f"pictures/{picture_key(design)}.png"
        path, recorded = self.made.path(name), not self.store.reading
        try:
            self.made.place(design_id, name)
        except (CoreError, OSError):
            # On a full disk it is drawn and shown all the same.
            recorded = False
        try:
            return path.read_bytes()
        except FileNotFoundError:
            pass
        forms = [piece.form for piece in design.pieces if piece.visible]
        drawn: bytes = self.intake.call("Drawing the picture", draw_picture, forms)
        try:
            if recorded:
                put(path, lambda fresh: fresh.write_bytes(drawn))
        except OSError as error:
            logging.getLogger("zinc_otter").warning("a picture was not kept: %s", error)
        return drawn

    def read_in(self, data: bytes, what: str, work: Callable[..., Any], *more: Any, watch: str = "") -> Any:
        """What a worker reads from a file's bytes: ``work(progress, path, *more)``. Raises its CoreError, JobFailedError.

        Whoever asks may give it a name of their own to ``watch`` it by.
        """
        path = self.work.path / f"{secrets.token_hex(8)}.incoming"
        try:
            try:
                path.write_bytes(data)
            except OSError as error:
                sentence = f"The file could not be taken in: {error.strerror or error}. Nothing was changed."
                raise StoreFullError(sentence) from error
            job_id = self.intake.start(secrets.token_hex(6), what, work, path, *more)
            if watch:
                self.watched[watch] = job_id
            return self.intake.wait(job_id)
        finally:
            self.watched.pop(watch, None)
            path.unlink(missing_ok=True)

    def watched_job(self, watch: str) -> str | None:
        """The job of what is read in under a name of somebody's own; None where none is, any more or yet."""
        job_id = self.watched.get(watch)
        return job_id if job_id is not None and self.intake.knows(job_id) else None

    def runner_of(self, job_id: str) -> JobRunner:
        """The runner whose job this is, for all that is asked of a job by its id."""
        return self.pictures if self.pictures.knows(job_id) else self.jobs

    def solid(self, asset: str) -> bytes:
        """The asset of an imported solid. Raises UnknownAssetError."""
        return self.store.asset(asset).data

    def close(self) -> None:
        self.jobs.close()
        self.pictures.close()
        self.intake.close()
        self.edit_work.close()
        self.store.close()
        self.work.clear()
        self.data.release()

    def told(self, saved: Saved) -> Saved:
        """Pass a changed design on, and tell those who look at it."""
        self.listeners.changed(saved.facts.id)
        return saved


def room_of(request: Request) -> Room:
    room = request.app.state.room
    assert isinstance(room, Room)
    return room


def shown_level(face_count: int, wanted: int | None = None, relief: int = 0) -> int:
    """The level at which a piece is shown: the one wanted, as far as 400,000 dense faces allow; else one that is quick, and
    at least that of its ``relief``."""
    if wanted is not None:
        return max(level for level in range(1, wanted + 1) if level == 1 or face_count * 4**level <= 400_000)
    for level in (4, 3, 2):
        if face_count * 4**level <= (20_000 if level == 4 else 60_000):
            return max(level, relief)
    return max(1, relief)
