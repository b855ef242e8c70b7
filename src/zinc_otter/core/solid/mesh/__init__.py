"""The mesh route: solids as triangles that know what made them, for previews, print and as a check on the kernel."""
