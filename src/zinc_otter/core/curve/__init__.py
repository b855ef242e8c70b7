"""Curves: control points, degree, corners; what is measured on them, and the forms that grow from them."""

from zinc_otter.core.curve.curve import Curve, CurveError
from zinc_otter.core.curve.pieces import Pieces, pieces_of

__all__ = ["Curve", "CurveError", "Pieces", "pieces_of"]
