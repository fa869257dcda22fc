"""One person at one board: messages in, answers and edits out."""
