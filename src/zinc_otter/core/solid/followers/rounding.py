"""Fillets and chamfers on edges that are named by what made them."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import TYPE_CHECKING, ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.plane import Vec
from zinc_otter.core.cage.topology import Bools, Floats
from zinc_otter.core.errors import KernelError
from zinc_otter.core.solid.exact import above_nothing
from zinc_otter.core.solid.followers.base import PIECE, EdgeName, Follower, NameOf, OnKernel, OnMesh, WaitsError
from zinc_otter.core.solid.mesh.blend import Radius, blend
from zinc_otter.core.solid.mesh.body import MeshBody
from zinc_otter.core.solid.mesh.chains import nearest_chain
from zinc_otter.core.words import length_words

if TYPE_CHECKING:
    from OCP.TopoDS import TopoDS_Edge

    from zinc_otter.core.solid.kernel.shape import NamedShape


@dataclass(frozen=True)
class _OnEdges(Follower):
    """Followers on the edges ``between`` two makers: on all, or on that chain alone which runs ``near`` to a point, mm."""

    vouches: ClassVar[bool] = True
    between: EdgeName = (PIECE, PIECE)
    near: Vec | None = None

    def edges_on_mesh(self, body: MeshBody) -> Bools:
        """(k,) which of the mesh's sides. Raises WaitsError where there are none."""
        edges = body.mesh.between(self.between)
        if not edges.any():
            raise self.waits()
        return edges if self.near is None else nearest_chain(body.mesh, edges, self.near)

    def edges_in_kernel(self, body: NamedShape) -> list[TopoDS_Edge]:
        """Those of a B-rep; none where there are none."""
        from zinc_otter.core.solid.kernel.operations import nearest_contour
        from zinc_otter.core.solid.kernel.shape import edges_between

        edges = edges_between(body, self.between)
        return edges if self.near is None or not edges else nearest_contour(body, edges, self.near)

    def where(self, name_of: NameOf) -> str:
        """The edges in words, as they are named."""
        one, other = (name_of(maker) if maker else "the rest" for maker in self.between)
        if self.between[0] == self.between[1]:
            return f"on the edges of {one}" if self.near is None else f"on an edge of {one}"
        return f"where {one} meets {other}"

    @property
    def widest(self) -> float:
        """How far from the edge it reaches, mm."""
        raise NotImplementedError

    def change_within(self, body: NamedShape) -> tuple[float, float]:
        from zinc_otter.core.solid.kernel.operations import length_of
        from zinc_otter.core.solid.kernel.shape import is_hollow_edge

        edges = self.edges_in_kernel(body)
        hollow = [is_hollow_edge(body, edge) for edge in edges]
        # A wedge's share of the square along the whole edge; into hollow corners material comes, from ridges it goes.
        most = 3 * self.widest**2 * length_of(edges)
        return (0.0 if all(hollow) else -most), (most if any(hollow) else 0.0)

    def waits(self) -> WaitsError:
        return WaitsError(f"{self.called} waits: the edges that it names are not there at present.")


@dataclass(frozen=True)
class Fillet(_OnEdges):
    """Round edges by ``radius`` mm; with ``end_radius``, from one to the other along an axis.

    A variable radius goes from ``radius`` at the lowest point of the edges along ``axis`` to ``end_radius`` at the highest.

    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> from zinc_otter.core.solid.followers.trim import Trim
    >>> cut = Trim("f1", point=(0, 0, 0), normal=(0, 0, 1))
    >>> rounded = Fillet("f2", between=("f1", "piece"), radius=2.0)
    >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (cut, rounded)))
    >>> [note.status for note in made.notes]
    ['done', 'done']
    """

    what: ClassVar[str] = "Fillet"
    radius: float = 1.0
    end_radius: float | None = None
    axis: Literal["x", "y", "z"] = "z"
    kind: Literal["fillet"] = "fillet"

    def __post_init__(self) -> None:
        super().__post_init__()
        above_nothing(radius=self.radius)
        if self.end_radius is not None:
            above_nothing(end_radius=self.end_radius)

    def deed(self, name_of: NameOf) -> str:
        grown = "" if self.end_radius is None else f" to {length_words(self.end_radius)}"
        return f"Fillet {length_words(self.radius)}{grown} {self.where(name_of)}"

    @property
    def widest(self) -> float:
        return max(self.radius, self.end_radius or self.radius)

    def on_mesh(self, body: MeshBody, at: OnMesh) -> MeshBody:
        edges = self.edges_on_mesh(body)
        lines = body.mesh.points[body.mesh.sides.ends[edges]]
        radii = [self.radius, self.end_radius or self.radius]
        return blend(body, edges, self.radius_at(lines), _voxel(lines, min(radii), max(radii), at), self.id)

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        from zinc_otter.core.solid.kernel.operations import rounded
        from zinc_otter.core.solid.kernel.shape import look_ends

        edges = self.edges_in_kernel(body)
        if not edges:
            raise self.waits()
        return rounded(body, edges, self.radius_at(np.concatenate([look_ends(edge) for edge in edges])), self.id)

    def radius_at(self, edges: Floats) -> Radius:
        """The radius as a function of points, for edges that run through ``edges`` (..., 3)."""
        if self.end_radius is None:
            fixed = self.radius
            return lambda points: np.full(len(points), fixed)
        k = "xyz".index(self.axis)
        along = edges.reshape(-1, 3)[:, k]
        ends = [float(along.min()), float(max(along.max(), along.min() + 1e-9))]
        radii = [self.radius, self.end_radius]
        return lambda points: np.interp(points[:, k], ends, radii)

    def deeper(self, by: float) -> Follower | None:
        # A hollow corner is rounded about a middle outside of the body, so that further in its radius is larger. Whether it
        # is one is not known here; a ridge would want a smaller one, and is left sharp where that comes to nothing.
        return DeeperFillet(
            self.id, self.name, True, self.between, self.near, self.radius, self.end_radius, self.axis, by=by
        )

    def slack(self, before: float, after: float) -> float:
        return 0.25 * abs(after - before) + 2e-5 * max(before, after)


@dataclass(frozen=True)
class DeeperFillet(Fillet):
    """A fillet on a body ``by`` mm further in: hollow corners get a larger radius, ridges a smaller one or none."""

    by: float = 0.0

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        from zinc_otter.core.solid.kernel.operations import rounded
        from zinc_otter.core.solid.kernel.shape import is_hollow_edge, look_ends

        edges = self.edges_in_kernel(body)
        if not edges:
            return body
        radius = self.radius_at(np.concatenate([look_ends(edge) for edge in edges]))
        hollow = [edge for edge in edges if is_hollow_edge(body, edge)]
        ridges = [edge for edge in edges if not any(edge.IsSame(other) for other in hollow)]
        done = body
        # Where there is no room for so much, less leaves the wall thicker in the corner, and never thinner.
        for share in (1.0, 0.75, 0.5, 0.25) if hollow else ():
            try:
                done = rounded(body, hollow, self._share_of(radius, share), self.id)
            except KernelError:
                continue
            break
        if ridges and min(self.radius, self.end_radius or self.radius) > self.by * 1.02:
            done = rounded(done, ridges, lambda points: radius(points) - self.by, self.id)
        return done

    def deeper(self, by: float) -> Follower:
        return replace(self, by=self.by + by)

    def _share_of(self, radius: Radius, share: float) -> Radius:
        return lambda points: share * (radius(points) + self.by)


@dataclass(frozen=True)
class CutEdge(_OnEdges):
    """Chamfer edges: cut off at ``distance`` mm on both sides.

    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> from zinc_otter.core.solid.followers.trim import Trim
    >>> cut = Trim("f1", point=(0, 0, 0), normal=(0, 0, 1))
    >>> edge = CutEdge("f2", between=("f1", "piece"), distance=1.5)
    >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (cut, edge)))
    >>> [note.status for note in made.notes]
    ['done', 'done']
    """

    what: ClassVar[str] = "Chamfer"
    distance: float = 1.0
    kind: Literal["cut-edge"] = "cut-edge"

    def __post_init__(self) -> None:
        super().__post_init__()
        above_nothing(distance=self.distance)

    def deed(self, name_of: NameOf) -> str:
        return f"Chamfer {length_words(self.distance)} {self.where(name_of)}"

    @property
    def widest(self) -> float:
        return self.distance

    def on_mesh(self, body: MeshBody, at: OnMesh) -> MeshBody:
        edges = self.edges_on_mesh(body)
        voxel = _voxel(body.mesh.points[body.mesh.sides.ends[edges]], self.distance, self.distance, at)
        distance = self.distance
        return blend(body, edges, lambda points: np.full(len(points), distance), voxel, self.id, flat=True)

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        from zinc_otter.core.solid.kernel.operations import chamfered

        edges = self.edges_in_kernel(body)
        if not edges:
            raise self.waits()
        return chamfered(body, edges, self.distance, self.id)

    def deeper(self, by: float) -> Follower | None:
        return DeeperCut(self.id, self.name, True, self.between, self.near, self.distance, by=by)

    def slack(self, before: float, after: float) -> float:
        return 0.25 * abs(after - before) + 2e-5 * max(before, after)


@dataclass(frozen=True)
class DeeperCut(CutEdge):
    """A chamfer on a body ``by`` mm further in: its plane moved as far as the faces beside it."""

    by: float = 0.0

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        from zinc_otter.core.solid.kernel.operations import chamfered
        from zinc_otter.core.solid.kernel.shape import bend_at, is_hollow_edge

        done = body
        edges = self.edges_in_kernel(body)
        for hollow in (True, False):
            here = [edge for edge in edges if is_hollow_edge(body, edge) == hollow]
            if here:
                # The corner moves along the bisector of a wedge of twice this angle, further than the plane does.
                half = np.radians(180 - np.mean([bend_at(body, edge) for edge in here])) / 2
                shift = self.by * (1 / np.sin(half) - 1) / np.cos(half)
                distance = self.distance + (shift if hollow else -shift)
                if distance > 0.02 * self.distance:
                    done = chamfered(done, here, distance, self.id)
        return done

    def deeper(self, by: float) -> Follower:
        return replace(self, by=self.by + by)


def _voxel(edges: Floats, least: float, most: float, at: OnMesh) -> float:
    """A grid of 4 to 6 points to the smallest radius, but of no more than about eight points to a triangle of the budget."""
    points = float(np.clip(6 * np.cbrt(at.budget / 40_000), 4, 6))
    length = float(np.linalg.norm(edges[:, 1] - edges[:, 0], axis=1).sum())
    tube = np.pi * (1.5 * most) ** 2 * length
    return float(max(least / points, np.cbrt(tube / (8 * at.budget))))
