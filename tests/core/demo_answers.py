"""Right answers to the challenges of the demo lessons."""

#: For each challenge of the demo lessons an answer that is right, by the titles of their boards; None where there can be none.
DEMO = {
    "The bench half-way": (
        "k is the circle with centre Gate through Barn\n"
        "l is the circle with centre Barn through Gate\n"
        "all crossings of k and l\n"
        "q is the line through A and B\n"
        "X is where q meets p"
    ),
    "As far from three taps": (
        "p is the perpendicular bisector of A and B\n"
        "q is the perpendicular bisector of B and C\n"
        "X is where p meets q"
    ),
    "A bed with four equal sides": (
        "k is the circle with centre A through C\n"
        "l is the circle with centre C through A\n"
        "all crossings of k and l\n"
        "the polygon through A, B, C, D"
    ),
    "The stake that sees the wall": (
        "k is the circle with centre A through B\n"
        "l is the circle with centre B through A\n"
        "X is where k meets l, first crossing"
    ),
    "A path square to the wall": (
        "k is the circle with centre A through Well\n"
        "l is the circle with centre B through Well\n"
        "C is where k meets l again, other than Well\n"
        "the line through Well and C"
    ),
    "Both strings from the hive": (
        "m is the midpoint of M and Hive\n"
        "l is the circle with centre m through M\n"
        "all crossings of l and k\n"
        "the line through Hive and A\n"
        "the line through Hive and B"
    ),
    "Mirrored in the hedge": (
        "k is the circle with centre A through Post\n"
        "l is the circle with centre B through Post\n"
        "X is where k meets l again, other than Post"
    ),
    "A third of a corner": None,
}  # fmt: skip
