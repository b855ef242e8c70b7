"""What a piece is made of: a cage, a curve, or images of cages; all alike as control points."""

from __future__ import annotations

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.cage.topology import Floats
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.errors import CoreError
from zinc_otter.core.repeated import Repeated

Form = Cage | Curve | Repeated


class NoFacesError(CoreError):
    """Something was to be done to faces, and there are none."""

    kind = "no-faces"
    title = "A curve has no faces"


def controls(form: Form) -> Cage:
    """The control points as a cage; a curve's has no faces, those of images are many."""
    if isinstance(form, Curve):
        return form.polygon
    return form.cage if isinstance(form, Repeated) else form


def own_faces(form: Form) -> int:
    """How many faces are held: images have none of their own."""
    return form.topology.face_count if isinstance(form, Cage) else 0


def standing(form: Form) -> Form:
    """The form as it stands, by itself: images are laid out as faces."""
    return form.cage if isinstance(form, Repeated) else form


def bounds_of(form: Form) -> Floats:
    """(2, 3) least and greatest coordinates of the control points."""
    return form.bounds if isinstance(form, Repeated) else controls(form).bounds


def with_controls(form: Form, cage: Cage) -> Form:
    """The form by other control points. Raises CurveError for a curve that would have faces."""
    return form.with_polygon(cage) if isinstance(form, Curve) else cage


def require_faces(form: Form, name: str) -> Cage:
    """The cage of a form. Raises NoFacesError for a curve."""
    if isinstance(form, Curve):
        raise NoFacesError(f"{name} is a curve: it has no faces for this. Let a pipe, a loft or a strip grow from it first.")
    return controls(form)
