"""Designs and their steps in SQLite: documents as JSON, arrays as content-addressed compressed blobs."""

from zinc_otter.store.store import Store

__all__ = ["Store"]
