"""From cage to limit surface. Topology, then stencils, then evaluation: each layer knows only the one below."""

from zinc_otter.core.surface.evaluation import DragPlan, LimitSurface, evaluate, plan_drag
from zinc_otter.core.surface.stencils import Stencils, build_stencils

__all__ = ["DragPlan", "LimitSurface", "Stencils", "build_stencils", "evaluate", "plan_drag"]
