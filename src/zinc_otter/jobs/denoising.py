"""A picture without the grain that few samples leave, by a network that was trained for it (Intel Open Image Denoise)."""

from __future__ import annotations

import numpy as np

from zinc_otter.core.cage.topology import Floats


def smoothed(light: Floats, albedo: Floats, normals: Floats) -> Floats:
    """``light`` (h, w, 4), linear, smoothed where neither the ``albedo`` nor the ``normals`` (h, w, 3) of what is first met
    tell of a detail; what it covers stays."""
    import pyoidn

    colour, guide, ways = (np.ascontiguousarray(part[..., :3], dtype=np.float32) for part in (light, albedo, normals))
    quiet = pyoidn.denoise(np.maximum(colour, 0), albedo=np.clip(guide, 0, 1), normal=np.clip(ways, -1, 1), hdr=True)
    return np.concatenate([np.asarray(quiet, dtype=np.float64), light[..., 3:]], axis=2)
