"""All solids of a design in one file. Runs in a worker process."""

from __future__ import annotations

import json
import pickle
from collections.abc import Sequence
from dataclasses import dataclass
from pathlib import Path
from typing import TYPE_CHECKING

from zinc_otter.core.errors import CoreError
from zinc_otter.core.progress import Progress
from zinc_otter.core.remark import Remark
from zinc_otter.core.solid.gate import INCOMPLETE, refuse_unsound
from zinc_otter.core.solid.recipe import Recipe
from zinc_otter.jobs.solid_work import CERTIFICATE, SHAPE, make_solid, put, told
from zinc_otter.jobs.triangle_work import Fineness, made_body

if TYPE_CHECKING:
    from zinc_otter.core.formats.step_text import Heading
    from zinc_otter.core.formats.surfaces.appearance import Colour


@dataclass(frozen=True, eq=False)
class Share:
    """A piece's share of the file: its recipe, name and colour, and the folder where its solid is kept."""

    recipe: Recipe
    name: str
    colour: Colour
    folder: Path


def write_design(
    progress: Progress,
    shares: Sequence[Share],
    kind: str,
    unit: str,
    heading: Heading,
    fineness: Fineness,
    path: Path,
    anyway: bool,
) -> None:
    """Write the solids of some pieces side by side as STEP ("step") or 3MF ("3mf"), in a unit (mm, cm, in).

    Raises UnsoundBodyError, with all that is the matter, unless it is asked for ``anyway``; then what cannot be made is left
    out. Raises CoreError where nothing can be made, OSError.
    """
    from zinc_otter.core.formats.step import Part, write_parts
    from zinc_otter.core.formats.surfaces.appearance import Appearance
    from zinc_otter.core.formats.surfaces.threemf import write_3mf_of

    faults: list[Remark] = []
    parts, bodies = [], []
    for i, share in enumerate(shares):

        def within(part: float, words: str, i: int = i, name: str = share.name) -> None:
            progress((i + part) / (len(shares) + 1), f"{name}: {words}")

        try:
            if kind == "step":
                if not (share.folder / SHAPE).exists():
                    make_solid(within, share.recipe, share.folder, share.colour)
                certificate = json.loads((share.folder / CERTIFICATE).read_text("utf-8"))
                found = [Remark.read(fault) for fault in certificate["faults"]]
                shape = pickle.loads((share.folder / SHAPE).read_bytes()).shape
                parts.append(Part(shape, share.name, share.colour))
            else:
                triangles, _, judged = made_body(share.recipe, fineness, within)
                found = list(judged.faults)
                bodies.append((triangles, Appearance(share.name, share.colour)))
        except CoreError as error:
            found = [Remark(f"{INCOMPLETE}It is not in the file: {error}", error.place)]
        faults += [Remark(f"{share.name}: {fault.words}", fault.place) for fault in found]
    if not anyway:
        refuse_unsound(faults)
    if not parts and not bodies:
        raise CoreError("None of the pieces that are shown can be made a solid.")
    progress(len(shares) / (len(shares) + 1), "Writing")
    path.parent.mkdir(parents=True, exist_ok=True)
    if kind == "step":
        put(path, lambda fresh: write_parts(parts, fresh, heading, unit))
    else:
        data = write_3mf_of(bodies, unit, heading.title)
        put(path, lambda fresh: fresh.write_bytes(data))
    progress(1.0, told(faults))
