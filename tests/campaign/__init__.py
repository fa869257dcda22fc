"""Random campaigns against what would lose a board or stop the program, for as long as asked."""
