"""Edits of a cage, one file for each family: pure functions that return an Edit, or refuse."""
