"""Ruddy Trellis: interactive geometry in which every construction is a sentence."""

__version__ = "0.1.0"
