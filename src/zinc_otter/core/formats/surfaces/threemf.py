"""3MF through lib3mf: a name, a colour, a unit. Source: 3MF Core Specification, 1.3."""

from __future__ import annotations

from collections.abc import Sequence

import lib3mf
import numpy as np

from zinc_otter.core.formats.surfaces.appearance import Appearance
from zinc_otter.core.solid.tessellation import Triangles

UNITS = {
    "mm": (lib3mf.ModelUnit.MilliMeter, 1.0),
    "cm": (lib3mf.ModelUnit.CentiMeter, 10.0),
    "in": (lib3mf.ModelUnit.Inch, 25.4),
}


def write_3mf(triangles: Triangles, appearance: Appearance) -> bytes:
    """One object on the plate, where it stands in the design; millimetres."""
    return write_3mf_of([(triangles, appearance)])


def write_3mf_of(bodies: Sequence[tuple[Triangles, Appearance]], unit: str = "mm", title: str = "") -> bytes:
    """One object for each body, where it stands in the design, in a unit (mm, cm, in)."""
    wrapper = lib3mf.get_wrapper()
    model = wrapper.CreateModel()
    kind, mm = UNITS[unit]
    model.SetUnit(kind)
    if title:
        model.GetMetaDataGroup().AddMetaData("", "Title", title, "xs:string", True)
    for triangles, appearance in bodies:
        mesh = model.AddMeshObject()
        mesh.SetName(appearance.name)
        points = np.ascontiguousarray(triangles.points / mm, dtype=np.float32)
        faces = np.ascontiguousarray(triangles.triangles, dtype=np.uint32)
        positions = (lib3mf.Position * len(points)).from_buffer_copy(points.tobytes())
        corners = (lib3mf.Triangle * len(faces)).from_buffer_copy(faces.tobytes())
        mesh.SetGeometry(positions, corners)
        group = model.AddBaseMaterialGroup()
        red, green, blue = (round(255 * c) for c in appearance.colour)
        tint = group.AddMaterial(appearance.name or "Clay", wrapper.RGBAToColor(red, green, blue, 255))
        mesh.SetObjectLevelProperty(group.GetResourceID(), tint)
        model.AddBuildItem(mesh, wrapper.GetIdentityTransform())
    return bytes(model.QueryWriter("3mf").WriteToBuffer())
