"""The job itself: pure functions over immutable values. Knows nothing of the web, the database or the screen."""
