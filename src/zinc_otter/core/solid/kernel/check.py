"""Whether a body that the kernel made may be believed: valid, closed, a manifold, and changed in volume as the mesh route
says."""

from __future__ import annotations

from OCP.BRepCheck import BRepCheck_Analyzer
from OCP.BRepGProp import BRepGProp
from OCP.GProp import GProp_GProps

from zinc_otter.core.errors import KernelError
from zinc_otter.core.solid.kernel.operations import is_closed
from zinc_otter.core.solid.kernel.shape import NamedShape, crowded_edges, points_on
from zinc_otter.core.words import volume_words


def exact_volume(body: NamedShape, share: float = 1e-6) -> float:
    """mm³, by the kernel's adaptive integration to a share; a second and more at 600 faces."""
    props = GProp_GProps()
    BRepGProp.VolumeProperties_s(body.shape, props, share, True)
    return float(props.Mass())


def near_volume(body: NamedShape) -> float:
    """mm³, as exact as a check needs and four times as quick: within 1e-9 of its share on bodies of 600 faces."""
    return exact_volume(body, 1e-3)


def sound(what: str, body: NamedShape) -> float:
    """The body's volume, mm³.

    Raises KernelError, naming the step ``what``, when the body is not valid, not closed, or joined along an edge of more
    than two faces: the kernel may report a body as done that is not what was asked for.
    """
    if not BRepCheck_Analyzer(body.shape).IsValid():
        raise KernelError(f"{what}: the kernel's own check finds a fault in its result.")
    if not is_closed(body.shape):
        raise KernelError(f"{what}: the kernel's result is not closed.")
    crowded = crowded_edges(body)
    if crowded:
        count = f"1 edge has {crowded[0][1]}" if len(crowded) == 1 else f"{len(crowded)} edges have more than two"
        raise KernelError(
            f"{what}: parts of the body would touch along a line; {count} faces. Move them apart, or further together.",
            points=[points_on(edge, 3)[1] for edge, _ in crowded],
        )
    return near_volume(body)


def accepted(what: str, body: NamedShape, before: float, change: float, allowed: float) -> float:
    """The body's volume. ``before`` is the kernel's own before the step; ``change`` is by how much the mesh route found
    that the step changes it, and ``allowed`` by how much that may be off, mm³.

    Raises KernelError as ``sound`` does, and for a body of another volume.
    """
    volume = sound(what, body)
    if abs(volume - before - change) > allowed:
        raise KernelError(
            f"{what}: the kernel's result changes the volume by {volume_words(volume - before)}, the same on triangles by "
            f"{volume_words(change)}; it is not believed."
        )
    return volume


def vouched_for(what: str, body: NamedShape, before: float, bounds: tuple[float, float]) -> float:
    """The body's volume, where the mesh route could not check the step: it must change it within ``bounds``, mm³.

    Raises KernelError as ``sound`` does, and for a change that is none, the wrong way, or too large.
    """
    volume = sound(what, body)
    low, high = bounds
    if abs(volume - before) <= 1e-9 * before or not low <= volume - before <= high:
        raise KernelError(
            f"{what}: the kernel's result changes the volume by {volume_words(volume - before)}, which cannot be; it is not "
            "believed."
        )
    return volume
