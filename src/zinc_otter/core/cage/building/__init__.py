"""What edits are built of: chains, grids, motions, cages put together anew."""
