"""The open file format, recipes, and what a student gets of a board."""
