"""What goes out and comes in as files, tested on its own."""
