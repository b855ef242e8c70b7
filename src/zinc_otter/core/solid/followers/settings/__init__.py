"""Settings of stones, one file each: found by themselves, as all followers are."""
