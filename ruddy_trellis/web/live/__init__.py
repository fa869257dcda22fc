"""Live boards and the lines to them."""
