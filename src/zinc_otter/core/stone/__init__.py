"""Stones: solids of facets by published proportions, what they weigh, and how they are laid on a form."""
