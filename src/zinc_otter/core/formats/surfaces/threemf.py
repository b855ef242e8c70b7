"""3MF through lib3mf: millimetres, a name, a colour. Source: 3MF Core Specification, 1.3."""

from __future__ import annotations

import lib3mf
import numpy as np

from zinc_otter.core.formats.surfaces.look import Look
from zinc_otter.core.solid.tessellation import Triangles


def write_3mf(triangles: Triangles, look: Look) -> bytes:
    """One object on the plate, where it stands in the design."""
    wrapper = lib3mf.get_wrapper()
    model = wrapper.CreateModel()
    model.SetUnit(lib3mf.ModelUnit.MilliMeter)
    mesh = model.AddMeshObject()
    mesh.SetName(look.name)
    points = np.ascontiguousarray(triangles.points, dtype=np.float32)
    faces = np.ascontiguousarray(triangles.triangles, dtype=np.uint32)
    positions = (lib3mf.Position * len(points)).from_buffer_copy(points.tobytes())
    corners = (lib3mf.Triangle * len(faces)).from_buffer_copy(faces.tobytes())
    mesh.SetGeometry(positions, corners)
    group = model.AddBaseMaterialGroup()
    red, green, blue = (round(255 * c) for c in look.colour)
    tint = group.AddMaterial(look.name or "Clay", wrapper.RGBAToColor(red, green, blue, 255))
    mesh.SetObjectLevelProperty(group.GetResourceID(), tint)
    model.AddBuildItem(mesh, wrapper.GetIdentityTransform())
    return bytes(model.QueryWriter("3mf").WriteToBuffer())
