"""Trials by chance, as long as one likes: each has a number by which it is run again alone."""
