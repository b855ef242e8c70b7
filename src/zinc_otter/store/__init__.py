"""Designs and their steps in SQLite: documents as JSON, arrays as content-addressed compressed blobs."""

from zinc_otter.store.store import DesignFacts, Saved, StaleRevisionError, StepFacts, Store, StoreFullError, UnknownDesignError

__all__ = ["DesignFacts", "Saved", "StaleRevisionError", "StepFacts", "Store", "StoreFullError", "UnknownDesignError"]
