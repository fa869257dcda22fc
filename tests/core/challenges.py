"""A bank of challenges with answers that students gave or could give: what is on the board, what is asked for, and for each answer what
is to be told of it. Written from the geometry, in sentences."""

R, W, N = "right", "right where it is there", "not yet"

#: Each: its name; the solution, of which the lines above the empty one are given; the names of the answer things, or what is sought and
#: the claims; and answers, each a text of sentences with the verdict that it deserves and why.
BANK = [
    dict(
        name="the middle of AB",
        given="A = (-3, 0)\nB = (3, 1)\nAB is the segment from A to B",
        solution="M is the midpoint of AB",
        answers="M",
        tried=[
            ("M is the midpoint of AB", R, "in one step"),
            ("k is the circle with centre A through B\nl is the circle with centre B through A\nall crossings of k and l\n"
             "p is the line through C and D\nX is where p meets AB", R, "by compasses, under another name"),
            ("p is the perpendicular bisector of AB\nF is the foot of the perpendicular from A to p", R, "by the foot on the bisector"),
            ("M = (0, 0.5)", N, "put where it is"),
            ("P is a point on AB at 0.5", N, "on AB, left half-way"),
            ("M = (0.004, 0.5)", N, "by eye"),
            ("P is the point that divides AB in the ratio 1 : 1", R, "in the ratio 1 to 1"),
            ("P is the point that divides AB in the ratio 1 : 2", N, "another ratio"),
            ("C = (2, 4)\np is the parallel to AB through C\nQ is the midpoint of A and B\nZ = (5, 5)", R,
             "with loose helpers of no use"),
            ("D = (1, 4)\nE is the midpoint of A and D\nF is the midpoint of D and B\np is the line through E and F", N, "not finished"),
            ("D = (1, 4)\nE is the midpoint of B and D\nq is the parallel to the line through A and D through E\nX is where q meets AB", R,
             "by a parallel through a helper of one's own"),
        ],
    ),
    dict(
        name="an equilateral triangle on AB, either side",
        given="A = (-2, -1)\nB = (3, 0)",
        solution="k is the circle with centre A through B\nl is the circle with centre B through A\nC is where k meets l, first crossing",
        answers="C",
        either=True,
        tried=[
            ("k is the circle with centre A through B\nl is the circle with centre B through A\nall crossings of k and l", R, "both"),
            ("the equilateral triangle on the side from A to B", R, "in one step"),
            ("P is the point A turned about B by 60 degrees", R, "turned, on the other side"),
            ("P is the point A turned about B by 61 degrees", N, "a wrong angle"),
            ("p is the perpendicular bisector of AB\nk is the circle with centre A through B\nX is where p meets k, second crossing", R,
             "bisector and circle"),
            ("p is the perpendicular bisector of AB\nX is a point on p at 0.8660254", N, "slid along the bisector"),
            ("k is the circle with centre A through B\nX is a point on k at 71.3099", N, "slid along the circle"),
            ("k is the circle with centre A and radius AB\nm is the midpoint of AB", N, "not finished"),
        ],
    ),
    dict(
        name="an equilateral triangle on AB, on the left",
        given="A = (-2, -1)\nB = (3, 0)",
        solution="k is the circle with centre A through B\nl is the circle with centre B through A\nC is where k meets l, first crossing",
        answers="C",
        tried=[
            ("P is the point B turned about A by 60 degrees", R, "turned"),
            ("P is the point A turned about B by 60 degrees", N, "the mirror image is not asked for"),
            ("P is the point A turned about B by -60 degrees", R, "turned the other way about the other end"),
            ("the equilateral triangle on the side from A to B", R, "in one step"),
            ("k is the circle with centre B through A\nl is the circle with centre A through B\nX is where k meets l, first crossing", N,
             "the circles in the other order"),
            ("k is the circle with centre B through A\nl is the circle with centre A through B\nX is where k meets l, second crossing", R,
             "and the other crossing of them"),
            ("X = (0.5, 3.83)", N, "by eye"),
            ("k is the circle with centre A through B", N, "not finished"),
        ],
    ),
    dict(
        name="the tangents from P",
        given="A = (-3, 0)\nB = (-1, 0)\nk is the circle with centre A through B\nP = (4, 1)",
        solution="t is the tangent from P to k, first one",
        answers="t",
        either=True,
        tried=[
            ("t is the tangent from P to k, second one", R, "the other tangent"),
            ("M is the midpoint of A and P\nc is the circle with centre M through A\nall crossings of c and k\n"
             "q is the line through P and C", R, "by Thales"),
            ("C is a point on k at 74\nq is the line through P and C", N, "slid until it looks like it"),
            ("q is the line through P and A", N, "through the centre"),
            ("q is the ray from P through B", N, "something else"),
            ("C is a point on k at 50\nq is the tangent to k at C", N, "a tangent that does not go through P"),
            ("r is the polar of P in k\nall crossings of r and k\nq is the line through C and P", R, "by the polar"),
            ("D is the touching point from P on k, first one\nq is the perpendicular to the line through A and D through D", R,
             "square to the radius"),
        ],
    ),
    dict(
        name="the circle round ABC",
        given="A = (-4, -2)\nB = (4, -1)\nC = (0, 4)",
        solution="k is the circle through A, B and C",
        answers="k",
        tried=[
            ("p is the perpendicular bisector of AB\nq is the perpendicular bisector of BC\nO is where p meets q\n"
             "c is the circle with centre O through C", R, "by two bisectors"),
            ("k is the circle through B, C and A", R, "in one step"),
            ("O = (0.14, -0.28)\nc is the circle with centre O through A", N, "centre by eye"),
            ("p is the perpendicular bisector of AB\nO is a point on p at 0.1\nc is the circle with centre O through A", N, "half tied"),
            ("k is the incircle of ABC", N, "another circle"),
            ("O is the circumcentre of ABC\nc is the circle with centre O and radius 5", N, "a number for the radius"),
            ("O is the circumcentre of ABC\nd is the distance from O to B\nc is the circle with centre O and radius d", R, "by a reading"),
            ("O is the circumcentre of ABC", N, "not finished"),
        ],
    ),
    dict(
        name="the foot of the altitude",
        given="A = (-4, -2)\nB = (4, -1)\nC = (0, 4)\np is the line through A and B",
        solution="F is the foot of the perpendicular from C to p",
        answers="F",
        tried=[
            ("k is the circle with centre A through C\nl is the circle with centre B through C\nD is where k meets l again, other than C\n"
             "q is the line through C and D\nX is where q meets p", R, "by compasses"),
            ("q is the perpendicular to p through C\nX is where q meets p", R, "by a perpendicular"),
            ("X is the midpoint of A and B", N, "the middle of the side"),
            ("X is a point on p at 0.54", N, "slid until it looks square"),
            ("M is the midpoint of A and C\nk is the circle with centre M through A\nX is where k meets p again, other than A", R,
             "by Thales"),
            ("D is the mirror image of C in p\nX is the midpoint of C and D", R, "by the mirror image"),
            ("q is the perpendicular to p through C", N, "not finished"),
            ("X = (0.33, -1.46)", N, "by eye"),
        ],
    ),
    dict(
        name="a rhombus with corners A and C",
        given="A = (-3, 0)\nC = (3, 1)",
        sought=[("Q", "polygon", ["A", "C"])],
        claims=["Q is a rhombus"],
        tried=[
            ("p is the perpendicular bisector of A and C\nB is a point on p at 0.4\nt is the reflection in the line through A and C\n"
             "D is the image of B under t\nABCD is the polygon through A, B, C, D", R, "on the bisector, with its mirror image"),
            ("k is the circle with centre A through C\nl is the circle with centre C through A\nall crossings of k and l\n"
             "Q is the polygon through A, B, C, D", R, "from two circles"),
            ("the rhombus on the side from A to C", R, "A and C as neighbours"),
            ("B = (0, 3)\nD is the fourth corner of the parallelogram ABC\nQ is the polygon through A, B, C, D", N, "only a parallelogram"),
            ("the square on the side from A to C", R, "a square is one"),
            ("B = (-0.5, 3.5)\nD = (0.5, -2.5)\nQ is the polygon through A, B, C, D", N, "by its places"),
            ("M is the midpoint of A and C\nB is the point A turned about M by 90 degrees\nD is the point C turned about M by 90 degrees\n"
             "Q is the polygon through A, B, C, D", R, "as a square"),
            ("p is the perpendicular bisector of A and C\nB is a point on p at 0.4\nD is a point on p at -0.4\n"
             "Q is the polygon through A, B, C, D", N, "both slid"),
        ],
    ),
    dict(
        name="a point from which AB is seen at 60°",
        given="A = (-2, 0)\nB = (2, 0)",
        sought=[("X", "point", [])],
        claims=["angle AXB = 60"],
        tried=[
            ("P is the point B turned about A by 60 degrees", R, "the top of the equilateral triangle"),
            ("P is the point B turned about A by 60 degrees\nk is the circle through A, B and P\nQ is a point on k at 80", R,
             "by its corner at least"),
            ("P is the point B turned about A by 60 degrees\nO is the centroid of ABP\nk is the circle with centre O through A\n"
             "t is the reflection in the point O\nD is the image of A under t", R, "opposite A on that circle"),
            ("X = (0, 3.4641016)", N, "put there"),
            ("M is the midpoint of A and B", N, "seen at 180°"),
            ("X is the point B turned about A by 90 degrees", N, "seen at 45°"),
            ("k is the circle with centre A through B\nX is a point on k at 60", N, "slid along a circle"),
            ("X is the point A turned about B by -60 degrees", R, "turned the other way"),
        ],
    ),
    dict(
        name="a line through P square to g",
        given="A = (-4, -2)\nB = (4, 0)\ng is the line through A and B\nP = (1, 3)",
        sought=[("x", "line", [])],
        claims=["P lies on x", "x is perpendicular to g"],
        tried=[
            ("q is the perpendicular to g through P", R, "in one step"),
            ("k is the circle with centre A through P\nl is the circle with centre B through P\nC is where k meets l again, other than P\n"
             "q is the line through P and C", R, "by two circles"),
            ("C is the foot of the perpendicular from P to g\nq is the line through C and P", R, "through the foot"),
            ("q is the perpendicular to g through A", N, "through another point"),
            ("q is the parallel to g through P", N, "a parallel"),
            ("C is a point on g at 0.66\nq is the line through P and C", N, "by eye"),
            ("C = (1.9, -0.6)\nq is the line through P and C", N, "by its places"),
            ("q is the perpendicular bisector of A and B\nr is the parallel to q through P", R, "parallel to a bisector"),
        ],
    ),
    dict(
        name="both points at equal distance from A and from the line",
        given="A = (0, 2)\nB = (-4, -1)\nC = (4, -1)\ng is the line through B and C\nP = (1, 3)\nQ = (6, 4)\nh is the line through P and Q",
        solution="M is the midpoint of P and Q\nN is the midpoint of A and B",
        answers="M N",
        tried=[
            ("X is the midpoint of P and Q\nY is the midpoint of A and B", R, "both, under other names"),
            ("X is the midpoint of P and Q", N, "one of two"),
            ("X is the midpoint of P and Q\nY is the midpoint of A and C", N, "one wrong"),
            ("X is the midpoint of P and Q\nY = (-2, 0.5)", N, "one put there"),
            ("X is the midpoint of P and Q\nY is the midpoint of P and Q\nZ = (1, 1)", N, "the same twice"),
            ("Y is the midpoint of B and A\nX is the midpoint of Q and P\nZ is the midpoint of A and C", R, "and one more"),
            ("k is the circle with centre P through Q", N, "something else"),
            ("p is the perpendicular bisector of A and B\nY is where p meets the line through A and B\nX is the midpoint of P and Q", R,
             "by a bisector"),
        ],
    ),
]  # fmt: skip

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
