"""Measures that judge a form: so far, how far it stays away from what lies inside it."""
