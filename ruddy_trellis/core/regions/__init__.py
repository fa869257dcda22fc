"""Regions: where conditions hold, with exact boundaries.

A condition knows, for any places, how far inside it they are (``conditions.py``), and the edges of the part where it holds: straight,
round and parabolic pieces (``edges.py``). A region is made of conditions by boolean operations on polygons that follow these edges
(``outlines.py``); then each of its corners is put where two edges meet exactly, and area and perimeter are summed along the exact
pieces (``region.py``). ``answers.py`` says in words whether a place is in it, and why a region is empty.
"""
