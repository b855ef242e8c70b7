"""A design's sheet: drawn with its dimensions, then what it is made of, what holds, and the maps of what was asked."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Literal

import numpy as np

from zinc_otter.core.errors import BadNumberError, CoreError
from zinc_otter.core.progress import Progress
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.proving import Ground, Proof, Verdict
from zinc_otter.core.proving.base import Valued
from zinc_otter.core.proving.dimensions import Dimension
from zinc_otter.core.solid.materials import MATERIALS
from zinc_otter.core.words import extent, fine_length_words, lengths_in, volume_words
from zinc_otter.sheet.drawing import FOOT, MARGIN, Measure, drawing, scale_words
from zinc_otter.sheet.files import Written, put_files
from zinc_otter.sheet.maps import put_map
from zinc_otter.sheet.paper import INK, LIGHT, OTTER, SIZES, ZINC, Line, Page, Text, broken, rectangle
from zinc_otter.sheet.tables import Flow
from zinc_otter.studio.bill import bill_of
from zinc_otter.studio.design import Design
from zinc_otter.studio.grounds import BodyOf, goes_by_body, ground_of, of_a_body, of_the_form
from zinc_otter.studio.shown import Body, Shown, mesh_of, shown_of

_SIGNS = {"holds": "holds", "fails": "!fails", "unknown": "!cannot be told", "told": "told"}


@dataclass(frozen=True)
class OfWhat:
    """What a sheet is of: the design's name and revision, when it was made, and the unit that lengths are told in."""

    name: str
    revision: int
    made: datetime
    unit: Literal["mm", "cm", "in"] = "mm"


@dataclass(frozen=True)
class Wanted:
    """On which ``paper`` (a key of SIZES), whether at ``true_size`` where that fits, and in which material it is weighed."""

    paper: str = "A4"
    true_size: bool = False
    material: str = "Silver, 925 with copper"


def sheet_of(
    design: Design, of: OfWhat, wanted: Wanted, body: Body, meshes: Callable[[str], MeshDistance], progress: Progress,
    body_of: BodyOf | None = None, files: Sequence[Written] = (),
) -> list[Page]:  # fmt: skip
    """The pages, with lengths in the unit ``of`` the design. ``body`` gives pieces' bodies by triangles, ``meshes``
    components' by their assets, ``body_of`` those bodies as proofs go by them; ``files`` were written of these forms.

    Raises BadNumberError where nothing is shown, or for a material that is not known.
    """
    with lengths_in(of.unit):
        return _pages(design, of, wanted, body, meshes, progress, body_of, files)


def _pages(
    design: Design, of: OfWhat, wanted: Wanted, body: Body, meshes: Callable[[str], MeshDistance], progress: Progress,
    body_of: BodyOf | None, files: Sequence[Written],
) -> list[Page]:  # fmt: skip
    if all(material.name != wanted.material for material in MATERIALS):
        raise BadNumberError(f"There is no material called {wanted.material!r} to weigh it in.")
    progress(0.02, "Making the bodies")
    shown = shown_of(design, body)
    if not shown:
        raise BadNumberError("There is nothing to be drawn: no piece is shown.")
    progress(0.35, "Asking what holds")
    asked = [judged(design, proof, meshes, body_of or _by(body)) for proof in design.proofs]
    measures = _measures([(proof, verdict) for proof, verdict, _ in asked], of)
    progress(0.55, "Drawing the views")
    pages: list[Page] = []

    def fresh() -> Page:
        pages.append(Page(*SIZES[wanted.paper]))
        return pages[-1]

    front = fresh()
    scale = drawing(front, [one.thing for one in shown], measures, wanted.true_size)
    progress(0.75, "Writing what was found")
    flow = Flow(fresh)
    _facts(flow, design, of, wanted, shown, [(proof, verdict) for proof, verdict, _ in asked], files)
    for k, (proof, verdict, ground) in enumerate(asked):
        progress(0.8 + 0.19 * k / max(len(asked), 1), "Drawing maps")
        if ground is not None and (value := _mapped(proof, ground)) is not None:
            put_map(flow, f"{called(design, proof)}", verdict.words, ground, value, verdict.place.points)
    for k, page in enumerate(pages):
        _foot(page, of, wanted, scale if k == 0 else None, k + 1, len(pages))
    return pages


def judged(
    design: Design, proof: Proof, meshes: Callable[[str], MeshDistance], body_of: BodyOf
) -> tuple[Proof, Verdict, Ground | None]:
    """A proof looked at finely, and what it went by."""
    piece = next((one for one in design.pieces if one.id == proof.piece), None)
    if piece is None or (proof.by_surface and piece.curve is not None):
        return proof, Verdict("unknown", "Its piece is gone, or a curve by now."), None
    nothing = np.zeros((0, 3))
    if goes_by_body(design, proof):
        try:
            body, lacking = body_of(piece.id)
        except CoreError as error:
            return proof, Verdict("unknown", f"There is no body: {error}"), None
        ground = ground_of(design, piece.cage, nothing, nothing.astype(np.int64), mesh_of, meshes, True, body)
        return proof, of_a_body(proof, ground, lacking), ground
    mesh = mesh_of(piece.cage) if proof.by_surface else None
    points = nothing if mesh is None else mesh.vertices
    triangles = nothing.astype(np.int64) if mesh is None else mesh.triangles.astype(np.int64)
    ground = ground_of(design, piece.cage, points, triangles, mesh_of, meshes, True)
    try:
        return proof, of_the_form(design, proof, proof.judge(ground)), ground if proof.by_surface else None
    except CoreError as error:
        return proof, Verdict("unknown", str(error)), None


def _by(body: Body) -> BodyOf:
    def found(piece: str) -> tuple[MeshDistance, str]:
        points, triangles, _ = body(piece)
        return MeshDistance(points, triangles), ""

    return found


def _mapped(proof: Proof, ground: Ground) -> Valued | None:
    try:
        return proof.map(ground)
    except CoreError:
        return None


def called(design: Design, proof: Proof) -> str:
    return proof.called(design.names)


def _measures(asked: list[tuple[Proof, Verdict]], of: OfWhat) -> list[Measure]:
    """The dimensions with their letters, as they are written on the drawing."""
    found: list[Measure] = []
    dimensions = [(p, v) for p, v in asked if isinstance(p, Dimension)]
    for k, (proof, verdict) in enumerate(dimensions):
        if verdict.measured is None or verdict.figure is None:
            continue
        sign = {"⌀": "Ø ", "R": "R "}.get(verdict.measured.sign, "")
        written = f"D{k + 1}  {sign}{proof.told(verdict.figure)}"
        found.append(Measure(written, verdict.measured, verdict.holds == "fails"))
    return found


def _facts(
    flow: Flow, design: Design, of: OfWhat, wanted: Wanted, shown: list[Shown], asked: list[tuple[Proof, Verdict]],
    files: Sequence[Written],
) -> None:  # fmt: skip
    material = next(m for m in MATERIALS if m.name == wanted.material)
    metal = [one for one in shown if one.metal]
    rows = []
    for one in metal:
        size = extent(one.size)
        volume = "open" if one.volume is None else volume_words(one.volume)
        weight = "" if one.volume is None else f"{material.weight(one.volume):,.2f} g"
        rows.append([one.piece.name, size, volume, weight, one.how])
    flow.table("Pieces", ["Piece", "Size", "Volume", "Weight", "Found from"], [3, 4, 2.6, 2, 6], rows)
    weighed = [one.volume for one in metal if one.volume is not None]
    if weighed:
        total = material.weight(sum(weighed))
        flow.words(f"In {material.name.lower()}, {material.density:g} g/cm³ ({material.source}): {total:,.2f} g together.")
        flow.y += 2
    dimensions = [(p, v) for p, v in asked if isinstance(p, Dimension)]
    flow.table(
        "Dimensions", ["", "Of what", "Measures", "Asked for", "", "Found from"], [1, 4.5, 2.5, 3, 2, 4.5],
        [
            [
                f"D{k + 1}", p.named(lambda key: _name(design, key)),
                v.words if v.figure is None else p.told(v.figure),
                "" if p.wanted is None else f"{p.told(p.wanted)} ± {p.told(p.tolerance)}", _SIGNS[v.holds],
                "points of the smooth surface, exact" + _strays(v),
            ]
            for k, (p, v) in enumerate(dimensions)
        ],
    )  # fmt: skip
    flow.table(
        "What was asked", ["Asked", "", "Found"], [5, 2, 9],
        [[called(design, p), _SIGNS[v.holds], v.words] for p, v in asked if not isinstance(p, Dimension)],
    )  # fmt: skip
    bill = bill_of(design, {}, {})
    flow.table(
        "Stones", ["Stone", "Size", "Count", "Each", "Together"], [6, 3, 2, 3, 3],
        [
            [f"{s.material}, {s.cut.lower()}", f"{s.size} mm", str(s.count), f"{s.each:.3f} ct", f"{s.carats:.3f} ct"]
            for s in bill.stones
        ],
    )  # fmt: skip
    flow.table("Findings", ["Finding", "Count"], [9, 2], [[f.name, str(f.count)] for f in bill.findings])
    put_files(flow, files, [one.piece.name for one in metal if one.volume is not None])
    flow.words(
        "Proofs look at each piece's smooth surface, or at what its followers make of it where they are asked of that; "
        "sizes and volumes as said beside them."
    )


def _strays(verdict: Verdict) -> str:
    found = verdict.measured
    return f"; round within {fine_length_words(found.strays)}" if found is not None and found.strays > 0.0005 else ""


def _name(design: Design, key: str) -> str:
    return next((p.name for p in design.pieces if p.id == key), "what is gone")


def _foot(page: Page, of: OfWhat, wanted: Wanted, scale: float | None, at: int, count: int) -> None:
    """The block that says what this is; on pages of tables one line."""
    made = of.made.strftime("%Y-%m-%d %H:%M")
    if scale is None:
        words = f"{of.name}, revision {of.revision}, {made}; page {at} of {count}"
        page.add(Text((page.width - MARGIN, page.height - 6), words, 7.5, colour=ZINC, anchor="end"))
        return
    wide, tall = 110.0, FOOT - 8
    x, y = page.width - MARGIN - wide, page.height - MARGIN - tall
    page.add(Line(rectangle(x, y, wide, tall), INK, 0.35), Line(((x, y + 11), (x + wide, y + 11)), LIGHT, 0.2))
    name = broken(of.name, wide - 8, 14, True)
    page.add(Text((x + 3, y + 7.2), name[0] + ("…" if len(name) > 1 else ""), 14, True, OTTER))
    facts = (
        ("Revision", str(of.revision)), ("Made", made), ("Lengths in", of.unit), ("Scale", scale_words(scale)),
        ("Paper", wanted.paper), ("Page", f"{at} of {count}"),
    )  # fmt: skip
    for k, (what, said) in enumerate(facts):
        column, row = divmod(k, 2)
        page.add(
            Text((x + 3 + 37 * column, y + 15.5 + 5.4 * row), f"{what}:", 7.5, colour=ZINC),
            Text((x + 17 + 37 * column, y + 15.5 + 5.4 * row), said, 8, True),
        )
