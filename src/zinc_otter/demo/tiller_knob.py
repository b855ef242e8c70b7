"""The knob of a tiller, kneaded in clay, scanned on a table, and rebuilt from the scan: quads proposed for a mirrored half
of it, settled, and held to what the scan says."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage import Cage
from zinc_otter.core.primitives import box
from zinc_otter.core.proof.distance import MeshDistance
from zinc_otter.core.scan.proposing import propose
from zinc_otter.core.scan.samples import samples_of
from zinc_otter.core.scan.scanner import Scanning, scanned
from zinc_otter.demo.hand import Hand

_QUADS, _PLACES = 150, 16_000


def clay_knob() -> Cage:
    """What was kneaded: wider at the top, with a hollow for the fingers in front, on a stem."""
    lump = box((52, 44, 66), (4, 4, 6))
    x, y, z = lump.positions.T
    wide = 0.62 + 0.42 / (1 + np.exp(-(z + 8) / 5)) - 0.16 * np.clip((z - 18) / 15, 0, 1) ** 2
    hollow = 5.5 * np.exp(-(((z - 6) / 9) ** 2)) * np.clip(-y / 22, 0, 1) * np.exp(-((x / 20) ** 2))
    lean = 0.1 * np.clip(z, 0, None)
    return lump.with_positions(np.column_stack([x * wide, y * wide * 0.95 + hollow + lean, z]))


def tiller_knob(hand: Hand) -> None:
    """In mm; the mirror lies across x, the table at the stem's foot."""
    mesh = scanned(clay_knob(), Scanning(spacing=0.8, noise=0.06, missing=5.0, spikes=4, seed=8))
    hand.mesh("Clay knob, scanned", mesh, scan=True, opacity=0.35)
    scan = MeshDistance(mesh.vertices, mesh.triangles)
    found = propose(scan, _QUADS, 0)
    assert found.part is not None
    positions, _ = found.settled(samples_of(scan, _PLACES))
    faces = found.part.topology.face_verts.reshape(-1, 4).tolist()
    hand.give("add-cage", name="Knob", positions=positions.tolist(), faces=faces, mirrored="x")
    (reference,) = hand.saved.design.references
    asked = {"kind": "deviation", "id": "", "piece": hand.piece, "component": reference.id, "most": 0.3}
    hand.give("add-proof", proof=asked)

