"""A design as a scene to be pictured: its bodies with their finishes, its stones as what they are."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.errors import BadNumberError
from zinc_otter.core.picture.finishes import Colour, Finish, finish_named
from zinc_otter.core.picture.scene import Camera, Scene, Seen
from zinc_otter.core.repeated import Images, Repeated, moved, reverses
from zinc_otter.core.srgb import to_linear
from zinc_otter.core.stone.materials import stone_material
from zinc_otter.core.stone.stone import Stone
from zinc_otter.studio.design import Design
from zinc_otter.studio.shown import Body, Thing, corner_normals, shown_of, surface_of

_OPAQUE = 0.02
"""Millimetres by which the floor lies below, so that nothing lies in it."""


def scene_of(
    design: Design, body: Body, camera: Camera, light: str = "tent", turned: float = 0.0, on_floor: bool = True
) -> Scene:
    """The scene of what is shown, on a floor below it or on none. Raises BadNumberError where nothing is shown."""
    bodies: list[Seen] = []
    for shown in shown_of(design, body):
        form = shown.piece.form
        if isinstance(form, Repeated) and form.stones:
            bodies += [seen for part in form.parts for seen in _stones(part)]
            continue
        thing = shown.thing
        finish = finish_named("clay" if shown.piece.curve is not None else shown.piece.finish)
        bodies.append(Seen(thing.points, thing.triangles, corner_normals(thing), finish, _linear(thing.colour)))
    if not bodies:
        raise BadNumberError("There is nothing to be pictured: no piece is shown.")
    lowest = min(float(seen.points[:, 2].min()) for seen in bodies)
    return Scene(tuple(bodies), camera, light, turned, lowest - _OPAQUE if on_floor else None)


def stone_finish(stone: Stone) -> Finish:
    """A clear stone by its refractive index, its tint for what passes it."""
    material = stone_material(stone.material)
    tint = _linear(np.array([int(material.tint[k : k + 2], 16) for k in (1, 3, 5)]) / 255)
    # It colours the light on its way in and on its way out.
    red, green, blue = (float(np.sqrt(part)) for part in tint)
    return Finish(material.name, "clear", (red, green, blue), index=material.index)


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
