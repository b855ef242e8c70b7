"""Zinc Otter: sculpt form with subdivision cages, prove it, and make it a solid."""
