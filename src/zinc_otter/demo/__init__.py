"""The demo designs: gear for a canoe journey, built through the same commands that a user gives."""

from zinc_otter.demo.designs import put_in_demo

__all__ = ["put_in_demo"]
