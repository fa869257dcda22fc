"""A class at work, as far as it is pure: codes, what others see of a board, what is asked and what was answered, messages."""
