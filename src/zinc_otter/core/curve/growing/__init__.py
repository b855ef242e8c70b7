"""Cages that grow from curves: one file a way to grow."""

from zinc_otter.core.curve.growing.fill import fill
from zinc_otter.core.curve.growing.grid import Grown
from zinc_otter.core.curve.growing.loft import loft
from zinc_otter.core.curve.growing.pipe import pipe
from zinc_otter.core.curve.growing.revolve import revolve
from zinc_otter.core.curve.growing.skin import skin
from zinc_otter.core.curve.growing.strip import strip
from zinc_otter.core.curve.growing.sweep import sweep

__all__ = ["Grown", "fill", "loft", "pipe", "revolve", "skin", "strip", "sweep"]
