"""The verbs that add control: loops, cuts, chamfers, creases, and what keeps the form meanwhile."""
