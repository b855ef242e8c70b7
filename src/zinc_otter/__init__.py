"""Zinc Otter: sculpt form with subdivision cages, prove it, and make it a solid."""

import os

# Before numpy is loaded. Our dense products are small, and the server and its workers go on side by side: threads of each of
# them that wait for one another in turns took a third more time, and a quarter of all work, than one thread does.
os.environ.setdefault("OPENBLAS_NUM_THREADS", "1")
