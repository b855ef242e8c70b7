"""The forms of pieces as a viewer is sent them: cages, surfaces, lines, stones, and only what changed of them."""

from __future__ import annotations

from typing import NotRequired

from typing_extensions import TypedDict

from zinc_otter.api.live.arrays import Float32s, Float64s, Int32s, Uint8s


class Images(TypedDict):
    """What each element answers to on the other sides of a symmetric piece, flat, one side after the other."""

    vertex: Int32s
    edge: Int32s
    face: Int32s


class CageFrame(TypedDict):
    """A whole control cage: positions in mm, flat; faces as runs of vertices; edges by their two vertices and faces."""

    positions: Float64s
    face_verts: Int32s
    face_offsets: Int32s
    edge_verts: Int32s
    edge_faces: Int32s
    edge_sharpness: Float32s
    vertex_sharpness: Float32s
    edge_open: Uint8s
    edge_seam: Uint8s
    images: Images | None


class SurfaceFrame(TypedDict):
    """A whole surface at a level: rows of limit points and normals, quads of rows, and the face that each came from."""

    level: int
    positions: Float32s
    normals: Float32s
    quads: Int32s
    face_of_quad: Int32s


class CageRows(TypedDict):
    rows: Int32s
    positions: Float64s


class SurfaceRows(TypedDict):
    """Rows that moved; null for all of them, in their order."""

    rows: Int32s | None
    positions: Float32s
    normals: Float32s


class LineFrame(TypedDict):
    """The line of a curve, as points flat, from its begin to its end; a closed one ends where it begins."""

    points: Float32s
    closed: bool


class GemFrame(TypedDict):
    """A stone as triangles: three points (9 numbers) after the other, with their normals, and its colour; a ``smooth``
    one has no facets.

    ``index`` is its refractive index, and ``dispersion`` by how much that is higher for blue light than for red. One that is
    not ``clear`` is looked at, and not into.
    """

    points: Float32s
    normals: Float32s
    tint: str
    smooth: bool
    index: float
    dispersion: float
    clear: bool


class CopiesFrame(TypedDict):
    """Images of another piece, by its id, or of a stone: one matrix (16, by columns) after the other.

    A viewer is told what a stone looks like once, with the first images of it; it keeps that by the name ``of``.
    """

    of: str
    motions: Float32s
    gem: NotRequired[GemFrame]


class PieceFrame(TypedDict):
    """One piece: whole where its structure changed, else the rows that moved. A curve has a line, and no faces; images of
    other pieces are nothing but their places."""

    id: str
    cage: NotRequired[CageFrame]
    surface: NotRequired[SurfaceFrame]
    cage_rows: NotRequired[CageRows]
    surface_rows: NotRequired[SurfaceRows]
    line: NotRequired[LineFrame]
    copies: NotRequired[list[CopiesFrame]]
    mask: NotRequired[Uint8s]
