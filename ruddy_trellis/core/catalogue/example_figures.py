"""Figures that stand as examples of several constructions."""

#: A bed of three corners.
BED = "A is a free point at (0, 0)\nB is a free point at (1.6, 0)\nC is a free point at (1.2, 1)\nABC is the polygon through A, B, C\n"
#: … and a mirror line.
MIRROR = BED + "D is a free point at (2.4, -0.6)\nE is a free point at (2.2, 1.8)\np is the line through D and E\n"
#: … and a centre.
CENTRE = BED + "D is a free point at (2.4, 0.4)\n"
#: … and a vector.
VECTOR = BED + "D is a free point at (0, 1.6)\nE is a free point at (2.2, 2.2)\nu is the vector from D to E\n"
