"""Figures of speed, as ratios to an independent library doing the same in the same run."""
