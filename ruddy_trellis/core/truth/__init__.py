"""What holds of a figure, and what only looks so."""
