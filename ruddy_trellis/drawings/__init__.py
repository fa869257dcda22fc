"""Drawings of the display list: each output format is one module here."""
