"""The work of making a solid: fit, build, certify, write. Runs in a worker process."""

from __future__ import annotations

import json
import os
from collections.abc import Callable
from dataclasses import asdict
from pathlib import Path

from zinc_otter.core.cage import Cage

CERTIFICATE, STEP = "certificate.json", "solid.step"


def make_solid(progress: Callable[[float, str], None], cage: Cage, folder: Path, name: str) -> None:
    """Write the STEP file and the certificate of a cage into ``folder``, the certificate last.

    Raises OpenCageError, KernelError, OSError.
    """
    from zinc_otter.core.formats.step import look_at, write_step
    from zinc_otter.core.solid.brep import build_solid
    from zinc_otter.core.solid.certificate import certify, require_closed
    from zinc_otter.core.solid.patches import fit_patches

    require_closed(cage)
    folder.mkdir(parents=True, exist_ok=True)
    progress(0.05, "Fitting patches to the surface")
    patches = fit_patches(cage)
    progress(0.2, "Building faces and edges")
    solid = build_solid(patches, lambda part: progress(0.2 + 0.35 * part, "Building faces and edges"))
    progress(0.6, "Measuring how true it is")
    facts = look_at(solid, with_volume=False)
    certificate = certify(patches, facts.closed and facts.valid, facts.solids)
    progress(0.85, "Writing STEP")
    fresh = folder / f"{STEP}.{os.getpid()}"
    write_step(solid, fresh, name)
    fresh.replace(folder / STEP)
    fresh = folder / f"{CERTIFICATE}.{os.getpid()}"
    fresh.write_text(json.dumps(asdict(certificate)), "utf-8")
    fresh.replace(folder / CERTIFICATE)
    progress(1.0, "Done")
