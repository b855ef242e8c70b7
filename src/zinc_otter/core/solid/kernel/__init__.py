"""The kernel route: B-rep solids whose faces know what made them. The kernel is Open CASCADE, which can hang or crash on
bad input: these modules are imported by worker processes only, and each step runs in a child process of its own."""
