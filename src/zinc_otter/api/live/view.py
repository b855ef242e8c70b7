"""What one viewer has been sent of a design, so that only what changed is sent again."""

from __future__ import annotations

import hashlib

import numpy as np
from numpy.typing import NDArray

from zinc_otter.api.curve_schemas import Of as CurveOf
from zinc_otter.api.curve_schemas import told_radius
from zinc_otter.api.live.frames import CageFrame, CopiesFrame, GemFrame, Images, LineFrame, PieceFrame, SurfaceFrame
from zinc_otter.api.live.shown import Shown, ShownCurve, Weights
from zinc_otter.api.room import shown_level
from zinc_otter.api.stencil_shelf import StencilShelf
from zinc_otter.core.cage import Cage
from zinc_otter.core.cage.cage import unit
from zinc_otter.core.cage.symmetry import Symmetry
from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.curve import Curve, pieces_of
from zinc_otter.core.relief.sampled import Sample, seen_at
from zinc_otter.core.repeated import Repeated
from zinc_otter.core.stone.materials import stone_material
from zinc_otter.core.stone.stone import Stone
from zinc_otter.core.surface import DragPlan, LimitSurface, evaluate, plan_drag
from zinc_otter.core.surface.curves import SurfaceCurve
from zinc_otter.core.surface.limit_surface import normals_of
from zinc_otter.core.surface.raised import Raised
from zinc_otter.core.surface.stencils import Stencils
from zinc_otter.studio.design import Design, Piece
from zinc_otter.studio.images import Of, images_of

# Planning costs about three full evaluations, so it pays only where a drag moves a smaller share of the points than this.
_WORTH_PLANNING = 0.3


class _PieceView:
    """One piece as the viewer has it: the cage last sent, and a fully evaluated base to move from.

    With ``sampled`` the base is finer than what is shown.
    """

    def __init__(
        self,
        cage: Cage,
        base: LimitSurface,
        symmetry: Symmetry | None,
        raised: Raised | None = None,
        sampled: Sample | None = None,
    ) -> None:
        self.sent = cage
        self.raised = raised
        self.sampled = sampled
        self.symmetry = symmetry
        self.base_cage = cage
        self.base = base
        self.points = base.points if sampled is None else sampled.points(base)
        self.plan: DragPlan | None = None
        self.planned = False

    @property
    def stencils(self) -> Stencils:
        """Of the level that is shown."""
        return self.base.stencils if self.sampled is None else self.sampled.stencils


_MOST_IMAGES = 200_000
_LINE_EACH = 16
"""Points of a curve's line for each of its legs."""
_NO_SURFACE: SurfaceFrame = {
    "level": 1,
    "positions": np.zeros(0, dtype=np.float32),
    "normals": np.zeros(0, dtype=np.float32),
    "quads": np.zeros(0, dtype=np.int32),
    "face_of_quad": np.zeros(0, dtype=np.int32),
}


def _images(symmetry: Symmetry | None) -> Images | None:
    """What each vertex, edge and face answers to on the other sides, flat, one side after the other."""
    if symmetry is None:
        return None
    vertices, edges, faces = symmetry.vertices, symmetry.edges, symmetry.faces
    if vertices.size + edges.size + faces.size > _MOST_IMAGES:
        return None
    return {"vertex": vertices[1:].ravel(), "edge": edges[1:].ravel(), "face": faces[1:].ravel()}


def _cage_frame(cage: Cage, symmetry: Symmetry | None) -> CageFrame:
    t = cage.topology
    is_open = np.zeros(t.edge_count, dtype=np.uint8)
    if t.face_count:
        is_open[t.open_edges] = 1
    on_seam = np.zeros(t.edge_count, dtype=np.uint8)
    if symmetry is not None:
        on_seam[symmetry.seam] = 1
    return {
        "positions": cage.positions,
        "face_verts": t.face_verts,
        "face_offsets": t.face_offsets,
        "edge_verts": t.edge_verts,
        "edge_faces": t.edge_faces,
        "edge_sharpness": cage.edge_sharpness.astype(np.float32),
        "vertex_sharpness": cage.vertex_sharpness.astype(np.float32),
        "edge_open": is_open,
        "edge_seam": on_seam,
        "images": _images(symmetry),
    }


def bent(curves: list[tuple[CurveOf, SurfaceCurve]]) -> list[ShownCurve]:
    """Curves as they are told."""
    return [
        {
            "of": of,
            "points": curve.points.astype(np.float32).ravel(),
            "bending": curve.bending.astype(np.float32).ravel(),
            "closed": curve.closed,
            "least_radius": told_radius(curve),
            "tightest": curve.tightest.tolist(),
        }
        for of, curve in curves
    ]


def stone_name(stone: Stone) -> str:
    """A short name that equal stones share, and no others."""
    return hashlib.sha256(repr(stone).encode()).hexdigest()[:16]


def gem_frame(stone: Stone) -> GemFrame:
    """A stone as it is drawn: flat facets, or smooth where it has none."""
    gem, material = stone.gem, stone_material(stone.material)
    corners = gem.points[gem.triangles]
    normals = np.repeat(gem.normals[gem.facet_of][:, None], 3, axis=1)
    if gem.exact is not None:
        smooth = np.zeros_like(gem.points)
        for k in range(3):
            np.add.at(smooth, gem.triangles[:, k], normals[:, k])
        smooth = unit(smooth)[gem.triangles]
        # Flat bases and edges stay what they are.
        soft = (smooth * normals).sum(axis=2, keepdims=True) > 0.8
        normals = np.where(soft, smooth, normals)
    return {
        "points": corners.astype(np.float32).ravel(), "normals": normals.astype(np.float32).ravel(),
        "tint": material.tint, "smooth": gem.exact is not None,
        "index": material.index, "dispersion": material.dispersion, "clear": material.clear,
    }  # fmt: skip


def _mask_of(cage: Cage) -> NDArray[np.float32] | None:
    return None if cage.relief is None else cage.relief.mask


def _depth(cage: Cage) -> int:
    """How many levels of relief a cage has."""
    return 0 if cage.relief is None else cage.relief.depth


def _mask_rows(cage: Cage, surface: LimitSurface, sampled: Sample | None) -> NDArray[np.uint8]:
    """(r,) how protected each row is from brushes, 0 to 255; nothing where the mask is of a finer level, or there is
    none."""
    mask, stencils = _mask_of(cage), surface.stencils
    if mask is None or len(mask) != stencils.vertex_count:
        return np.zeros(0, dtype=np.uint8)
    rows = np.rint(255 * mask[stencils.limit.row_vertex]).astype(np.uint8)
    return rows if sampled is None else rows[sampled.rows]


class LiveView:
    """Turns designs into frames. One for each connection; not for use by two threads at once."""

    def __init__(self, stencils: StencilShelf) -> None:
        self._stencils = stencils
        self._pieces: dict[str, _PieceView] = {}
        self._curves: dict[str, Curve] = {}
        self._images: dict[str, tuple[tuple[Of, bytes], ...]] = {}
        self._gems: set[Stone] = set()
        self._level: int | None = None

    def smooth_to(self, level: int | None) -> None:
        """Show pieces at a level of smoothness, or with None at the finest that is quick; they are sent anew."""
        self._level = level
        self._pieces.clear()
        self._curves.clear()
        self._images.clear()

    @property
    def surfaces(self) -> dict[str, Floats]:
        """Dense limit points (n, 3) of each piece, as last sent."""
        return {piece_id: view.points for piece_id, view in self._pieces.items()}

    def frame(self, design: Design) -> Shown:
        """What the viewer needs to show this design: whole pieces, changed rows, and the ids of pieces gone."""
        there = {piece.id for piece in design.pieces}
        gone = [piece_id for piece_id in (*self._pieces, *self._curves, *self._images) if piece_id not in there]
        for piece_id in gone:
            self._forget(piece_id)
        pieces = [self._piece(design, piece) for piece in design.pieces]
        return {"pieces": [piece for piece in pieces if piece is not None], "gone": gone}

    def surface_of(self, piece: Piece) -> LimitSurface:
        """The whole surface of a piece at the level at which it is shown, and with all of its relief."""
        level = max(self._level_of(piece.cage), _depth(piece.cage))
        return evaluate(self._stencils.get(piece.cage, level), piece.cage)

    def as_shown(self, piece_id: str) -> tuple[Floats, Ints, Ints] | None:
        """Of a piece as last sent: the points (n, 3) of its surface, triangles (m, 3) of them, and the point of each row."""
        view = self._pieces.get(piece_id)
        if view is None:
            return None
        return view.points, view.stencils.triangles, view.stencils.limit.row_vertex

    def weights(self, piece_id: str, weights: Floats) -> Weights | None:
        """How far each row of a piece's surface takes part, from the shares (n,) of its control points."""
        view = self._pieces.get(piece_id)
        if view is None or len(weights) != view.sent.topology.vertex_count:
            return None
        stencils = view.stencils
        rows = stencils.limit.position @ stencils.refined(weights)
        return {"piece": piece_id, "rows": np.clip(rows, 0, 1).astype(np.float32)}

    def settle(self) -> None:
        """Make what was last sent the base of the next drag. Called when a change was kept or dropped."""
        for view in self._pieces.values():
            view.plan, view.planned = None, False

    def _forget(self, piece_id: str) -> None:
        self._pieces.pop(piece_id, None)
        self._curves.pop(piece_id, None)
        self._images.pop(piece_id, None)

    def _copies(self, design: Design, piece: Piece) -> PieceFrame | None:
        """Where a repeat's images are; what they are of is sent by itself."""
        places = images_of(design, piece)
        key = tuple((base, motions.tobytes()) for base, motions in places)
        if self._images.get(piece.id) == key:
            return None
        self._forget(piece.id)
        self._images[piece.id] = key
        return {"id": piece.id, "copies": [self._copy(of, motions) for of, motions in places]}

    def _copy(self, of: Of, motions: Floats) -> CopiesFrame:
        flat = motions.transpose(0, 2, 1).astype(np.float32).ravel()
        if isinstance(of, str):
            return {"of": of, "motions": flat}
        frame: CopiesFrame = {"of": f"stone {stone_name(of)}", "motions": flat}
        if of not in self._gems:
            self._gems.add(of)
            frame["gem"] = gem_frame(of)
        return frame

    def _curve(self, piece_id: str, curve: Curve) -> PieceFrame | None:
        """A curve's line is short, and sent anew with every change; of its points only those that moved are."""
        before = self._curves.get(piece_id)
        if before == curve:
            return None
        self._forget(piece_id)
        self._curves[piece_id] = curve
        points = pieces_of(curve).dense(1 if curve.degree == 1 else _LINE_EACH)
        line: LineFrame = {"points": points.astype(np.float32).ravel(), "closed": curve.closed}
        if before is not None and before.polygon.structure_digest == curve.polygon.structure_digest:
            rows = np.flatnonzero((before.points != curve.points).any(axis=1)).astype(np.int32)
            return {"id": piece_id, "cage_rows": {"rows": rows, "positions": curve.points[rows]}, "line": line}
        return {"id": piece_id, "cage": _cage_frame(curve.polygon, None), "surface": _NO_SURFACE, "line": line}

    def _piece(self, design: Design, piece: Piece) -> PieceFrame | None:
        if piece.curve is not None:
            return self._curve(piece.id, piece.curve)
        if isinstance(piece.form, Repeated):
            return self._copies(design, piece)
        piece_id, cage = piece.id, piece.cage
        view = self._pieces.get(piece_id)
        if view is None or view.sent.structure_digest != cage.structure_digest or view.symmetry != piece.symmetry:
            return self._whole(piece_id, cage, piece.symmetry)
        if view.stencils.level != self._level_of(cage) or view.base.stencils.level < _depth(cage):
            return self._whole(piece_id, cage, piece.symmetry)
        same_relief = view.sent.relief is cage.relief
        if view.sent is cage or (same_relief and np.array_equal(view.sent.positions, cage.positions)):
            view.sent = cage
            return None
        if view.raised is not None or not same_relief:
            return self._with_relief(piece_id, view, cage)
        return self._moved(piece_id, view, cage)

    def _level_of(self, cage: Cage) -> int:
        return shown_level(cage.topology.face_count, self._level, _depth(cage))

    def _with_relief(self, piece_id: str, view: _PieceView, cage: Cage) -> PieceFrame:
        """Relief goes along by frames that turn: what follows from a change is found level by level."""
        if view.raised is None:
            view.raised = Raised(view.base.stencils, view.sent)
        changed = np.flatnonzero((cage.positions != view.sent.positions).any(axis=1))
        was = view.sent
        view.sent = view.base_cage = cage
        rows = view.raised.follow(cage)
        view.base = surface = view.raised.surface
        view.points = surface.points
        at: slice | Ints = slice(None) if rows is None else rows
        if view.sampled is not None:
            view.points = view.sampled.points(surface)
            rows = view.sampled.changed(rows, len(surface.positions))
            at = view.sampled.rows if rows is None else view.sampled.rows[rows]
        frame: PieceFrame = {
            "id": piece_id,
            "cage_rows": {"rows": changed.astype(np.int32), "positions": cage.positions[changed]},
            "surface_rows": {
                "rows": rows,
                "positions": surface.positions[at].astype(np.float32),
                "normals": normals_of(surface.tangent_u[at], surface.tangent_v[at]).astype(np.float32),
            },
        }
        if _mask_of(was) is not _mask_of(cage):
            frame["mask"] = _mask_rows(cage, surface, view.sampled)
        return frame

    def _whole(self, piece_id: str, cage: Cage, symmetry: Symmetry | None) -> PieceFrame:
        self._forget(piece_id)
        level = self._level_of(cage)
        fine, sampled = seen_at(cage, level, self._stencils.get)
        stencils = fine if sampled is None else sampled.stencils
        raised = None if cage.relief is None else Raised(fine, cage)
        surface = evaluate(fine, cage) if raised is None else raised.surface
        self._pieces[piece_id] = _PieceView(cage, surface, symmetry, raised, sampled)
        at: slice | Ints = slice(None) if sampled is None else sampled.rows
        frame: PieceFrame = {
            "id": piece_id,
            "cage": _cage_frame(cage, symmetry),
            "surface": {
                "level": level,
                "positions": surface.positions[at].astype(np.float32),
                "normals": surface.normals[at].astype(np.float32),
                "quads": stencils.row_quads,
                "face_of_quad": stencils.face_of_quad,
            },
        }
        if _mask_of(cage) is not None:
            frame["mask"] = _mask_rows(cage, surface, sampled)
        return frame

    def _moved(self, piece_id: str, view: _PieceView, cage: Cage) -> PieceFrame:
        stencils = view.base.stencils
        now, was, base = cage.positions, view.sent.positions, view.base_cage.positions
        if not view.planned:
            # The first move since the view settled: base and viewer agree from here on.
            if view.sent is not view.base_cage:
                view.base_cage, view.base = view.sent, evaluate(stencils, view.sent)
                base = was
            view.plan = self._plan(view, np.flatnonzero((now != base).any(axis=1)))
        changed = np.flatnonzero((now != was).any(axis=1))
        if view.plan is not None and not np.isin(changed, view.plan.moved).all():
            either = (now != base).any(axis=1) | (was != base).any(axis=1)
            view.plan = self._plan(view, np.flatnonzero(either))
        view.sent = cage
        rows: Ints | None = None
        if view.plan is None:
            surface = evaluate(stencils, cage)
            view.base_cage, view.base = cage, surface
            positions, normals = surface.positions, surface.normals
            view.points = surface.points
        else:
            moved = view.plan.moved
            positions, tangent_u, tangent_v = view.plan.apply(view.base, now[moved] - base[moved])
            normals, rows = normals_of(tangent_u, tangent_v), view.plan.rows
            kept = rows < len(view.points)
            view.points = view.base.points.copy()
            view.points[rows[kept]] = positions[kept]
        return {
            "id": piece_id,
            "cage_rows": {"rows": changed.astype(np.int32), "positions": now[changed]},
            "surface_rows": {
                "rows": rows,
                "positions": positions.astype(np.float32),
                "normals": normals.astype(np.float32),
            },
        }

    def _plan(self, view: _PieceView, moved: np.ndarray) -> DragPlan | None:
        """A plan for these control points, or None where evaluating everything is as quick."""
        view.planned = True
        if len(moved) > _WORTH_PLANNING * len(view.base_cage.positions):
            return None
        return plan_drag(view.base.stencils, moved.astype(np.int32))
