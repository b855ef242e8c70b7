"""Pages of the documentation that the program draws and measures itself, by the commands that a user gives."""
