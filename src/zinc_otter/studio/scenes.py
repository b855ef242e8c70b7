"""A design as a scene to be pictured: its bodies with their finishes, its stones as what they are."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

import numpy as np

from zinc_otter.core.cage.plane import Plane
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.picture.arranging import AS_IT_STANDS, Arrangement, cut_open, shifts_apart
from zinc_otter.core.picture.finishes import FINISHES, Colour, Finish, finish_named
from zinc_otter.core.picture.scene import Camera, Scene, Seen
from zinc_otter.core.repeated import Images, Repeated, moved, reverses
from zinc_otter.core.srgb import to_linear
from zinc_otter.core.stone.materials import stone_material
from zinc_otter.core.stone.stone import Stone
from zinc_otter.studio.design import Design
from zinc_otter.studio.shown import Body, Shown, Thing, corner_normals, shown_of, surface_of

_STAND: Colour = (0.3, 0.31, 0.32)
_OPAQUE = 0.02
"""Millimetres by which the floor lies below, so that nothing lies in it."""


def scene_of(
    design: Design, body: Body, camera: Camera, light: str = "tent", turned: float = 0.0, on_floor: bool = True,
    arranged: Arrangement = AS_IT_STANDS, stands: Sequence[tuple[Floats, Ints]] = (),
) -> Scene:  # fmt: skip
    """The scene of what is shown, as it is ``arranged``, with ``stands``, on a floor below it or on none. Raises
    BadNumberError where nothing is shown, or nothing is left of it."""
    pieces = [_seen(shown) for shown in shown_of(design, body)]
    if not any(pieces):
        raise BadNumberError("There is nothing to be pictured: no piece is shown.")
    if arranged.cut is not None:
        plane = arranged.cut
        pieces = [[part for seen in piece if (part := _below(seen, plane)) is not None] for piece in pieces]
        if not any(pieces):
            raise BadNumberError("There is nothing to be pictured: all of it lies in front of the section. Turn it round.")
    pieces = [piece for piece in pieces if piece]
    if arranged.apart:
        shifts = shifts_apart([np.concatenate([seen.points for seen in piece]) for piece in pieces], arranged.apart)
        pieces = [
            [replace(seen, points=seen.points + by) for seen in piece] for piece, by in zip(pieces, shifts, strict=True)
        ]
    bodies = [seen for piece in pieces for seen in piece]
    bodies += [Seen(*stand, corner_normals(Thing(*stand, np.ones(3))), FINISHES["clay"], _STAND) for stand in stands]
    lowest = min(float(seen.points[:, 2].min()) for seen in bodies)
    return Scene(tuple(bodies), camera, light, turned, lowest - _OPAQUE if on_floor else None)


def stone_finish(stone: Stone) -> Finish:
    """A clear stone by its refractive index, its tint for what passes it; of another one its tint under what shines."""
    material = stone_material(stone.material)
    tint = np.array([int(material.tint[k : k + 2], 16) for k in (1, 3, 5)]) / 255
    red, green, blue = (float(part) for part in _linear(tint))
    if not material.clear:
        return Finish(material.name, "coated", (red, green, blue), index=material.index, roughness=0.03)
    # It colours the light on its way in and on its way out.
    passing = (red**0.5, green**0.5, blue**0.5)
    return Finish(material.name, "clear", passing, index=material.index, dispersion=material.dispersion)


def _seen(shown: Shown) -> list[Seen]:
    """The bodies of a piece: one, or its stones."""
    form = shown.piece.form
    if isinstance(form, Repeated) and form.stones:
        return [seen for part in form.parts for seen in _stones(part)]
    thing = shown.thing
    finish = finish_named("clay" if shown.piece.curve is not None else shown.piece.finish)
    return [Seen(thing.points, thing.triangles, corner_normals(thing), finish, _linear(thing.colour))]


def _below(seen: Seen, plane: Plane) -> Seen | None:
    points, triangles = cut_open(seen.points, seen.triangles, plane)
    if not len(triangles):
        return None
    normals = None if seen.normals is None else corner_normals(Thing(points, triangles, np.ones(3)))
    return replace(seen, points=points, triangles=triangles, normals=normals)


def _stones(part: Images) -> list[Seen]:
    assert part.stone is not None
    points, triangles = surface_of(part.cage, 1)
    finish = stone_finish(part.stone)
    found = []
    for motion in part.motions:
        turned = triangles[:, ::-1] if reverses(motion) else triangles
        thing = Thing(moved(motion, points), turned, np.ones(3))
        normals = corner_normals(thing) if part.stone.cut.gem.exact is not None else None
        found.append(Seen(thing.points, thing.triangles, normals, finish, (1.0, 1.0, 1.0)))
    return found


def _linear(colour: Floats) -> Colour:
    """Linear light of an sRGB colour."""
    red, green, blue = (float(v) for v in to_linear(colour))
    return red, green, blue
