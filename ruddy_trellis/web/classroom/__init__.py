"""A class at work: coming in, the wall, following, everybody's pegs on one board, questions."""
