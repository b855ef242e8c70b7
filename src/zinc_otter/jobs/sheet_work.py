"""A design's proof sheet, drawn and written. Runs in a worker process."""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from pathlib import Path
from typing import TYPE_CHECKING

from zinc_otter.core.cage.topology import Floats, Ints
from zinc_otter.core.errors import BadSelectionError
from zinc_otter.core.solid.recipe import Recipe, lacking
from zinc_otter.jobs.solid_work import put
from zinc_otter.jobs.triangle_work import Fineness, made_body

if TYPE_CHECKING:
    from zinc_otter.core.proof.distance import MeshDistance
    from zinc_otter.sheet.files import Written
    from zinc_otter.sheet.sheet import OfWhat, Wanted
    from zinc_otter.studio.design import Design


def write_sheet(
    progress: Callable[[float, str], None],
    design: Design,
    of: OfWhat,
    wanted: Wanted,
    recipes: Mapping[str, Recipe],
    fineness: Fineness,
    components: Mapping[str, tuple[Floats, Ints]],
    files: Sequence[Written],
    page: Path,
    pdf: Path,
) -> None:
    """Write the sheet as a ``page`` and as ``pdf``: bodies by the ``recipes`` of pieces, ``components`` by their assets,
    ``files`` that were written.

    Raises BadNumberError where nothing is shown, OSError.
    """
    from zinc_otter.core.proof.distance import MeshDistance
    from zinc_otter.sheet.as_page import as_page
    from zinc_otter.sheet.as_pdf import as_pdf
    from zinc_otter.sheet.sheet import sheet_of

    def body(piece: str) -> tuple[Floats, Ints, float]:
        triangles, _, _ = made_body(recipes[piece], fineness)
        return triangles.points, triangles.triangles, triangles.chord

    def whole(piece: str) -> tuple[MeshDistance, str]:
        triangles, notes, _ = made_body(recipes[piece], fineness)
        return MeshDistance(triangles.points, triangles.triangles), lacking(notes)

    def mesh(asset: str) -> MeshDistance:
        if asset not in components:
            raise BadSelectionError("The component's mesh is not at hand.")
        return MeshDistance(*components[asset])

    pages = sheet_of(design, of, wanted, body, mesh, progress, whole, files)
    title = f"{of.name}, revision {of.revision}"
    for path, data in ((page, as_page(pages, title).encode()), (pdf, as_pdf(pages, title, of.made))):
        path.parent.mkdir(parents=True, exist_ok=True)
        put(path, lambda fresh, data=data: fresh.write_bytes(data))  # type: ignore[misc]
    progress(1.0, f"{len(pages)} pages")
