"""Long work in worker processes, with progress, cancel and a time limit."""

from zinc_otter.jobs.runner import JobRunner, JobState, UnknownJobError

__all__ = ["JobRunner", "JobState", "UnknownJobError"]
