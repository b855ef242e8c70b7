"""Cut the body along another piece that is an open sheet, and keep one side."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import TYPE_CHECKING, ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.errors import CoreError
from zinc_otter.core.solid.followers.base import PIECE, Follower, NameOf, OnKernel, OnMesh
from zinc_otter.core.solid.mesh.body import MeshBody, mesh_body_of
from zinc_otter.core.solid.thicken import grown, two_walls

if TYPE_CHECKING:
    from zinc_otter.core.solid.kernel.shape import NamedShape

SPREAD = 0.2
"""Of a sheet's area, what has to be left when its parts are summed up by direction, for it to have two sides."""


@dataclass(frozen=True)
class TrimBySheet(Follower):
    """What lies on the side that the faces of ``sheet``, another piece, look to is cut off; ``flipped``, the other side.

    >>> from zinc_otter.core.errors import CoreError
    >>> TrimBySheet("f1", sheet="p2").called
    'Trim'
    """

    what: ClassVar[str] = "Trim"
    sheet: str = ""
    flipped: bool = False
    kind: Literal["trim-sheet"] = "trim-sheet"

    def deed(self, name_of: NameOf) -> str:
        return f"Trim {name_of(PIECE)} by {name_of(self.sheet)}"

    @property
    def pieces(self) -> tuple[str, ...]:
        return (self.sheet,)

    def on_mesh(self, body: MeshBody, at: OnMesh) -> MeshBody:
        sheet = at.sheet(self.sheet)
        box = np.array(body.solid.bounding_box())
        reach = float(np.abs(box).max()) + float(np.abs(sheet.positions).max())
        beyond = self._beyond(sheet, 2 * reach)
        points, triangles, faces = at.surface(beyond)
        count = sheet.topology.face_count
        on_sheet = faces < count if self.flipped else (faces >= count) & (faces < 2 * count)
        side = f"{self.id} beyond its border"
        done = body.less(mesh_body_of(points, triangles, on_sheet.astype(np.int64), (side, self.id)))
        if done.solid.is_empty():
            raise CoreError(f"{self.called} cuts all of the body off; keep the other side.")
        if side in done.mesh.names and (done.mesh.made_by == done.mesh.names.index(side)).any():
            raise CoreError(f"{self.called}: the sheet ends inside the body. Draw its border out beyond the body.")
        return done

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        return self.cut_off(body, at, 0.0)

    def cut_off(self, body: NamedShape, at: OnKernel, by: float) -> NamedShape:
        """In the kernel, with the sheet moved by so many mm against the side that is cut off."""
        from zinc_otter.core.solid.brep import build_solid
        from zinc_otter.core.solid.fitting import fit_patches
        from zinc_otter.core.solid.kernel.operations import cut
        from zinc_otter.core.solid.kernel.shape import one_name

        sheet = at.sheet(self.sheet)
        if by:
            sheet = grown(sheet, by if self.flipped else -by)
        beyond = self._beyond(sheet, 2 * (at.reach + float(np.abs(sheet.positions).max())))
        return cut(body, one_name(build_solid(fit_patches(beyond)), self.id))

    def deeper(self, by: float) -> Follower:
        return DeeperTrim(self.id, self.name, True, self.sheet, self.flipped, by=by)

    def _beyond(self, sheet: Cage, depth: float) -> Cage:
        """A closed cage: the sheet, and ``depth`` mm further on the side that is cut off the same once more."""
        area = sheet.face_area_vectors
        along = area.sum(axis=0)
        if np.linalg.norm(along) < SPREAD * np.linalg.norm(area, axis=1).sum():
            raise CoreError(f"{self.called}: the sheet turns round on itself, so that it has no side to cut off.")
        shift = depth * along / np.linalg.norm(along)
        there = np.broadcast_to(-shift if self.flipped else shift, sheet.positions.shape)
        still = np.zeros_like(there)
        return two_walls(sheet, *((still, there) if self.flipped else (there, still))).cage


@dataclass(frozen=True)
class DeeperTrim(TrimBySheet):
    """The same on a body further in: the sheet moved by ``by`` mm first."""

    by: float = 0.0

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        return self.cut_off(body, at, self.by)

    def deeper(self, by: float) -> Follower:
        return replace(self, by=self.by + by)
