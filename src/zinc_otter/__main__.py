"""``python -m zinc_otter`` is the same as ``zinc-otter``."""

import sys

from zinc_otter.command_line import main

if __name__ == "__main__":
    sys.exit(main())
