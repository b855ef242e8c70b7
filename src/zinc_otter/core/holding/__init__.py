"""Keep a surface's form while its cage gets other control points."""

from zinc_otter.core.holding.loops import add_holding_loops, remove_holding
from zinc_otter.core.holding.refit import Held, held
from zinc_otter.core.holding.relaxing import relax_holding
from zinc_otter.core.holding.resample import resample

__all__ = ["Held", "add_holding_loops", "held", "relax_holding", "remove_holding", "resample"]
