"""The live channel: what is said over it both ways, what a viewer is shown, and how it travels."""
