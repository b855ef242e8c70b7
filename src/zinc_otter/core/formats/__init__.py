"""Open file formats: one file for each that is read or written."""
