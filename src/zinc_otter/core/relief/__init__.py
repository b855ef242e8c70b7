"""Relief: detail too fine for the cage, that rides on the smooth surface."""
