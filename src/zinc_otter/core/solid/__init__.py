"""From cage to solid: bicubic patches, a B-rep with explicit topology, its certificate, and triangles for printing."""
