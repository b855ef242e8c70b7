"""Bodies of pieces that have followers, for the live channel: on triangles, behind the hand; from the kernel once made."""

from __future__ import annotations

import asyncio
from collections.abc import Awaitable, Callable
from dataclasses import asdict
from pathlib import Path

import numpy as np

from zinc_otter.api.kept import Kept
from zinc_otter.api.live.shown import Body, BodyEdge
from zinc_otter.api.live.told import Told
from zinc_otter.api.problems import PlaceSchema
from zinc_otter.core.cage import Cage
from zinc_otter.core.errors import CoreError
from zinc_otter.core.solid.followers import PIECE
from zinc_otter.core.solid.mesh.body import MeshBody, NamedTriangles
from zinc_otter.core.solid.mesh.chains import chains
from zinc_otter.core.solid.mesh.route import Made, Step, made_of_triangles
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.core.surface import Stencils
from zinc_otter.core.words import Unit, lengths_in, told_in
from zinc_otter.jobs.solid_work import SHOWN
from zinc_otter.studio.design import Design
from zinc_otter.studio.followers import recipe_of

QUICK, FINE = (6_000, 12_000), (16_000, 40_000)
"""Quads of the surface and triangles of a grid: while something is being previewed, and once it is kept."""


class Bodies:
    """Makes bodies and keeps those made last. Safe to call from several threads."""

    def __init__(self, solids: Path, stencils: Callable[[Cage, int], Stencils]) -> None:
        self._solids = solids
        self._stencils = stencils
        self._kept: Kept[tuple[str, tuple[int, int], Unit], Body] = Kept(16)
        # A change to the last follower finds the body before it.
        self._steps: Kept[Step, MeshBody] = Kept(12)
        self._shapes: Kept[tuple[str, tuple[int, int]], Made | CoreError] = Kept(6)

    def get(self, recipe: Recipe, fineness: tuple[int, int]) -> Body:
        """The arrays and facts of a recipe's body, or the sentence why there is none, in the unit that is told in."""
        body = self._kept.get((recipe.digest, fineness, told_in()), lambda: self._made(recipe, fineness))
        # With relief the triangles are the form; the kernel's body is plain.
        kernel = fineness == FINE and "problem" not in body and not recipe.has_relief
        return _with_kernel(body, self.folder(recipe)) if kernel else body

    def is_at_hand(self, recipe: Recipe, fineness: tuple[int, int]) -> bool:
        """Whether :meth:`shape` need not make it."""
        return self._shapes.peek((recipe.digest, fineness)) is not None

    def shape(self, recipe: Recipe, fineness: tuple[int, int]) -> Made:
        """The body of a recipe, and what became of its followers. Raises CoreError."""

        def make() -> Made | CoreError:
            try:
                return made_of_triangles(recipe, *fineness, stencils=self._stencils, kept=self._steps.get)
            except CoreError as error:
                return error

        found = self._shapes.get((recipe.digest, fineness), make)
        if isinstance(found, CoreError):
            raise found
        return found

    def folder(self, recipe: Recipe) -> Path:
        """Solids are kept by what they were made of, so that undo finds the earlier one again."""
        return self._solids / recipe.digest[:32]

    def _made(self, recipe: Recipe, fineness: tuple[int, int]) -> Body:
        try:
            made = self.shape(recipe, fineness)
        except CoreError as error:
            return {"route": "none", "problem": str(error), "place": PlaceSchema(**asdict(error.place)), "notes": []}
        mesh = made.body.mesh
        points, normals, corners = mesh.shaded()
        own = int((mesh.made_by == mesh.names.index(PIECE)).sum()) if PIECE in mesh.names else 0
        return {
            "route": "mesh",
            "points": points.astype(np.float32),
            "normals": normals.astype(np.float32),
            "triangles": corners.astype(np.int32),
            "notes": [(note.follower, note.status, note.words, PlaceSchema(**asdict(note.place))) for note in made.notes],
            "edges": _edges(mesh),
            "own": own,
            "added": len(mesh.triangles) - own,
            "volume": made.body.volume,
            "size": made.body.size.tolist(),
        }


def _edges(triangles: NamedTriangles) -> list[BodyEdge]:
    """Where what meets what: the two names, the length in mm, the segments to be drawn, and the chain of each."""
    return [
        {
            "between": (a, b),
            "length": float(np.linalg.norm(ends[:, 1] - ends[:, 0], axis=1).sum()),
            "lines": ends.astype(np.float32).ravel(),
            "chains": chains(triangles, triangles.between((a, b))).astype(np.int32),
        }
        for (a, b), ends in sorted(triangles.edges().items())
    ]


def _with_kernel(body: Body, folder: Path) -> Body:
    """The body with what the kernel made of the same recipe, if it did."""
    path = folder / SHOWN
    if not path.exists():
        return body
    with np.load(path, allow_pickle=False) as arrays:
        return {
            **body,
            "route": "kernel",
            "points": arrays["points"],
            "normals": arrays["normals"],
            "triangles": arrays["triangles"],
            "volume": float(arrays["volume"]),
            "size": arrays["size"].tolist(),
        }


class BodyTeller:
    """Tells one viewer of the bodies of a design, of the latest only, beside everything else that it is told."""

    def __init__(
        self,
        bodies: Bodies,
        solid: Callable[[str], bytes],
        send: Callable[[Told], Awaitable[None]],
        made: Callable[[Design, Unit], Awaitable[None]],
    ) -> None:
        """``made`` is told of a design once all of its bodies are there, as finely as they are kept."""
        self._bodies = bodies
        self._when_made = made
        self._solid = solid
        self._send = send
        self._wanted: tuple[Design, tuple[int, int], Unit] | None = None
        self._wake = asyncio.Event()
        self._sent: dict[str, tuple[str, str, tuple[int, int], Unit]] = {}

    def want(self, design: Design, fineness: tuple[int, int], unit: Unit) -> None:
        self._wanted = design, fineness, unit
        self._wake.set()

    async def run(self) -> None:
        while True:
            await self._wake.wait()
            self._wake.clear()
            if self._wanted is None:
                continue
            design, fineness, unit = self._wanted
            shown = {piece.id for piece in design.pieces if piece.visible and any(f.on for f in piece.followers)}
            gone = [piece_id for piece_id in self._sent if piece_id not in shown]
            for piece_id in gone:
                del self._sent[piece_id]
            if gone:
                await self._send({"type": "bodies", "bodies": [], "gone": gone})
            for piece_id in sorted(shown):
                recipe = await asyncio.to_thread(recipe_of, design, piece_id, self._solid)
                with lengths_in(unit):
                    body = await asyncio.to_thread(self._bodies.get, recipe, fineness)
                key = (recipe.digest, body["route"], fineness, unit)
                if self._sent.get(piece_id) != key:
                    self._sent[piece_id] = key
                    await self._send(
                        {"type": "bodies", "gone": [], "bodies": [{"id": piece_id, "made_from": recipe.digest, **body}]}
                    )
                if self._wake.is_set():
                    # Something newer is wanted by now.
                    break
            else:
                if fineness == FINE:
                    await self._when_made(design, unit)
