"""The kernel route as the application takes it: each call in a child process, so that a crash costs one test only."""

from __future__ import annotations

from functools import partial

from zinc_otter.core.solid.kernel import finder, route
from zinc_otter.jobs.kernel_guard import guarded

made_in_kernel = partial(route.made_in_kernel, within=guarded)
find_radius = partial(finder.find_radius, within=guarded)
