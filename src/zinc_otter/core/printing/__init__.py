"""A simulated print bench: it stands for a real machine, and judges a file as one would be judged there."""
