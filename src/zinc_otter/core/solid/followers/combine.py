"""Union, difference or intersection with another piece, an exact body, or an imported solid."""

from __future__ import annotations

from dataclasses import dataclass, field, replace
from typing import TYPE_CHECKING, ClassVar, Literal

import numpy as np
from scipy.spatial.transform import Rotation

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import CoreError
from zinc_otter.core.solid.exact import Ball, Block, Cone, Cylinder
from zinc_otter.core.solid.followers.base import PIECE, Follower, NameOf, OnKernel, OnMesh
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
    """A solid that was brought in, by its asset: ``turned`` by so many degrees about x, then y, then z, its origin then put
    to ``point``."""

    asset: str
    point: Vec = (0.0, 0.0, 0.0)
    turned: Vec = (0.0, 0.0, 0.0)
    kind: Literal["imported"] = "imported"

    @property
    def place(self) -> Floats:
        """The (4, 4) matrix of where it stands."""
        matrix = np.eye(4)
        matrix[:3, :3] = Rotation.from_euler("xyz", self.turned, degrees=True).as_matrix()
        matrix[:3, 3] = self.point
        return matrix

    def carried(self, matrix: Floats) -> ImportedBody:
        """Where a motion (4, 4) takes it. It is never mirrored or scaled, and stays where it is under what would do so."""
        whole = matrix @ self.place
        if not np.allclose(whole[:3, :3] @ whole[:3, :3].T, np.eye(3), atol=1e-6) or np.linalg.det(whole[:3, :3]) < 0:
            return self
        a, b, c = (float(angle) for angle in Rotation.from_matrix(whole[:3, :3]).as_euler("xyz", degrees=True))
        x, y, z = (float(v) for v in whole[:3, 3])
        return replace(self, point=(x, y, z), turned=(a, b, c))


@dataclass(frozen=True)
class Combine(Follower):
    """Union, difference or intersection.

    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> from zinc_otter.core.solid.exact import Cylinder
    >>> peg = Combine("f1", way="union", body=Cylinder((0, 0, 0), (0, 0, 1), 3.0, 60.0))
    >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (peg,)))
    >>> made.notes[0].status, round(float(made.body.size[2]))
    ('done', 75)
    """

    what: ClassVar[str] = "Combine"
    way: Literal["union", "subtract", "intersect"] = "union"
    body: PieceBody | ImportedBody | Cylinder | Cone | Ball | Block = field(default_factory=Cylinder)
    kind: Literal["combine"] = "combine"

    @property
    def called(self) -> str:
        return self.name or {"union": "Union", "subtract": "Subtract", "intersect": "Intersect"}[self.way]

    def deed(self, name_of: NameOf) -> str:
        if isinstance(self.body, PieceBody):
            other = name_of(self.body.piece)
        else:
            other = "an imported solid" if isinstance(self.body, ImportedBody) else f"a {self.body.kind}"
        joins = {"union": "Unite {} with {}", "subtract": "Subtract {1} from {0}", "intersect": "Intersect {} with {}"}
        return joins[self.way].format(name_of(PIECE), other)

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
            other = at.solid(self.body.asset).moved(self.body.place).renamed(self.id)
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
            other = at.solid(self.body.asset, by).moved(self.body.place).renamed(self.id)
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
