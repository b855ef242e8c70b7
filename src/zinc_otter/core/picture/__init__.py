"""Pictures as plain data: what things are of, the light around them, where they are seen from; no renderer in it."""
