"""From cage to limit surface. Topology, then stencils, then evaluation: each layer knows only the one below."""

from zinc_otter.core.surface.drag import DragPlan, plan_drag
from zinc_otter.core.surface.evaluation import evaluate
from zinc_otter.core.surface.limit_surface import LimitSurface
from zinc_otter.core.surface.stencils import Stencils, build_stencils

__all__ = ["DragPlan", "LimitSurface", "Stencils", "build_stencils", "evaluate", "plan_drag"]
