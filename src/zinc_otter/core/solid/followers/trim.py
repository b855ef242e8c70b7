"""Cut the body by a plane and keep one side, with a flat rim."""

from __future__ import annotations

from dataclasses import dataclass, replace
from typing import TYPE_CHECKING, ClassVar, Literal

import numpy as np

from zinc_otter.core.cage.plane import Plane, Vec, frame_along, plane_at
from zinc_otter.core.errors import CoreError
from zinc_otter.core.solid.exact import Block, direction
from zinc_otter.core.solid.followers.base import PIECE, Follower, NameOf, OnKernel, OnMesh
from zinc_otter.core.solid.mesh.body import MeshBody, named

if TYPE_CHECKING:
    from zinc_otter.core.solid.kernel.shape import NamedShape


@dataclass(frozen=True)
class Trim(Follower):
    """What lies on the side that ``normal`` points to is cut off, in the plane through ``point``.

    >>> from zinc_otter.core.primitives import box
    >>> from zinc_otter.core.solid.mesh.route import made_of_triangles
    >>> from zinc_otter.core.solid.recipe import Recipe
    >>> trim = Trim("f1", point=(0, 0, 0), normal=(0, 0, 1))
    >>> made = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2)), (trim,)))
    >>> whole = made_of_triangles(Recipe("Box", box((30, 30, 30), (2, 2, 2))))
    >>> round(made.body.volume / whole.body.volume, 3)
    0.5
    """

    what: ClassVar[str] = "Trim"
    point: Vec = (0.0, 0.0, 0.0)
    normal: Vec = (0.0, 0.0, 1.0)
    kind: Literal["trim"] = "trim"

    def __post_init__(self) -> None:
        super().__post_init__()
        direction(self.normal)

    @property
    def plane(self) -> Plane:
        return plane_at(self.point, self.normal)

    def deed(self, name_of: NameOf) -> str:
        return f"Trim {name_of(PIECE)} by a plane"

    def on_mesh(self, body: MeshBody, at: OnMesh) -> MeshBody:
        reach = 2 * float(np.linalg.norm(body.size)) + float(np.abs(self.plane.heights(_middle(body))[0]))
        block = Block((0.0, 0.0, reach), (2 * reach, 2 * reach, 2 * reach)).mesh(at.chord)
        # About the foot of the body's middle on the plane, so that the block covers the body wherever the point lies.
        foot = _middle(body)[0] - self.plane.heights(_middle(body))[0] * np.asarray(self.plane.normal)
        beyond = named(block.transform(np.column_stack([frame_along(self.plane.normal), foot])), self.id)
        done = body.less(beyond)
        if done.solid.is_empty():
            raise CoreError(f"{self.called} cuts all of the body off; turn the plane round.")
        return done

    def on_kernel(self, body: NamedShape, at: OnKernel) -> NamedShape:
        from zinc_otter.core.solid.kernel.operations import cut, half_space

        return cut(body, half_space(self.plane, at.reach + float(np.linalg.norm(self.point)), self.id))

    def deeper(self, by: float) -> Follower:
        x, y, z = np.asarray(self.point) - by * np.asarray(self.plane.normal)
        return replace(self, point=(float(x), float(y), float(z)))


def _middle(body: MeshBody) -> np.ndarray:
    box = np.array(body.solid.bounding_box())
    return np.asarray((box[:3] + box[3:])[None] / 2)
