"""Scans: made by a simulated scanner, placed, settled on, and measured against."""
