"""Union, difference or intersection with another piece, an exact body, or an imported solid."""

from __future__ import annotations

from dataclasses import dataclass, field, replace
from typing import TYPE_CHECKING, ClassVar, Literal

from zinc_otter.core.errors import CoreError
from zinc_otter.core.solid.exact import Ball, Block, Cone, Cylinder
from zinc_otter.core.solid.followers.base import Follower, OnKernel, OnMesh
from zinc_otter.core.solid.mesh.body import MeshBody, named

if TYPE_CHECKING:
    from zinc_otter.core.solid.kernel.shape import NamedShape


@dataclass(frozen=True)
class PieceBody:
    """Another piece with its own followers."""

    piece: str
    kind: Literal["piece"] = "piece"


@dataclass(frozen=True)
class ImportedBody:
    """A solid that was brought in, by its asset."""

    asset: str
    kind: Literal["imported"] = "imported"


@dataclass(frozen=True)
class Combine(Follower):
    """Union, difference or intersection."""

    what: ClassVar[str] = "Combine"
    way: Literal["union", "subtract", "intersect"] = "union"
    body: PieceBody | ImportedBody | Cylinder | Cone | Ball | Block = field(default_factory=Cylinder)
    kind: Literal["combine"] = "combine"

    @property
    def called(self) -> str:
        return self.name or {"union": "Union", "subtract": "Subtract", "intersect": "Intersect"}[self.way]

    @property
    def pieces(self) -> tuple[str, ...]:
        return (self.body.piece,) if isinstance(self.body, PieceBody) else ()

    @property
    def solids(self) -> tuple[str, ...]:
        return (self.body.asset,) if isinstance(self.body, ImportedBody) else ()

    def on_mesh(self, body: MeshBody, at: OnMesh) -> MeshBody:
        if isinstance(self.body, PieceBody):
            other = at.other(self.body.piece).renamed(self.id)
        elif isinstance(self.body, ImportedBody):
            other = at.solid(self.body.asset).renamed(self.id)
        else:
            other = named(self.body.mesh(at.chord), self.id)
        if self.way == "union":
            return body.joined(other)
        done = body.less(other) if self.way == "subtract" else body.shared(other)
        if done.solid.is_empty():
            raise CoreError(f"{self.called} leaves nothing of the body.")
        return done

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        return self.combined(body, at, 0.0)

    def combined(self, body: NamedShape, at: OnKernel, by: float) -> NamedShape:
        """In the kernel, with another piece or an imported solid grown by so many mm."""
        from zinc_otter.core.solid.kernel.operations import cut, fused, shared
        from zinc_otter.core.solid.kernel.shape import one_name

        if isinstance(self.body, PieceBody):
            other = at.other(self.body.piece, by).renamed(self.id)
        elif isinstance(self.body, ImportedBody):
            other = at.solid(self.body.asset, by).renamed(self.id)
        else:
            other = one_name(self.body.shape(), self.id)
        return {"union": fused, "subtract": cut, "intersect": shared}[self.way](body, other)

    def deeper(self, by: float) -> Follower | None:
        grow = by if self.way == "subtract" else -by
        if isinstance(self.body, PieceBody | ImportedBody):
            return DeeperCombine(self.id, self.name, True, self.way, self.body, by=grow)
        grown = self.body.grown(grow)
        if grown is not None:
            return replace(self, body=grown)
        if self.way == "intersect":
            raise CoreError(f"{self.called} leaves nothing to hollow.")
        return None


@dataclass(frozen=True)
class DeeperCombine(Combine):
    """Another piece or an imported solid grown by ``by`` mm first, on a body further in."""

    by: float = 0.0

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        return self.combined(body, at, self.by)
