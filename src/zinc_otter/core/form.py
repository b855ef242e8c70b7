"""What a piece is made of: a cage, or a curve; both alike as control points to be pulled."""

from __future__ import annotations

from zinc_otter.core.cage.cage import Cage
from zinc_otter.core.curve.curve import Curve
from zinc_otter.core.errors import CoreError

Form = Cage | Curve


class NoFacesError(CoreError):
    """Something was to be done to faces, and there are none."""

    kind = "no-faces"
    title = "A curve has no faces"


def controls(form: Form) -> Cage:
    """The control points as a cage; a curve's has no faces."""
    return form.polygon if isinstance(form, Curve) else form


def with_controls(form: Form, cage: Cage) -> Form:
    """The form by other control points. Raises CurveError for a curve that would have faces."""
    return form.with_polygon(cage) if isinstance(form, Curve) else cage


def require_faces(form: Form, name: str) -> Cage:
    """The cage of a form. Raises NoFacesError for a curve."""
    if isinstance(form, Curve):
        raise NoFacesError(f"{name} is a curve: it has no faces for this. Let a pipe, a loft or a strip grow from it first.")
    return form
