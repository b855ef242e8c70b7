"""What a designer does with the core: designs, commands, previews, steps, undo."""
