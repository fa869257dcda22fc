"""Points anywhere on a board, a path of every sort, and how far a point is from one."""

from hypothesis import strategies as st

from ruddy_trellis.core.board.nearest import distance_to_path

coordinate = st.floats(-6, 6).map(lambda number: round(number, 2))
point = st.tuples(coordinate, coordinate)

#: One path of every sort, all of which meet the others.
PATHS = {
    "segment": "A=(-5,-2)\nB=(5,2.5)\np is the segment from A to B",
    "ray": "A=(-5,2)\nB=(1,0)\np is the ray from A through B",
    "line": "A=(-2,-5)\nB=(1,5)\np is the line through A and B",
    "circle": "A=(0.3,0.2)\nB=(2.8,0)\np is the circle with centre A through B",
    "arc": "A=(-0.5,0)\nB=(2.5,-1)\nC=(-3,0.5)\np is the arc with centre A from B to C",
    "ellipse": "A=(-2,0.3)\nB=(2,-0.2)\nC=(0,1.8)\np is the ellipse with foci A and B through C",
    "hyperbola": "A=(-2,0)\nB=(2,0.4)\nC=(1.1,1)\np is the hyperbola with foci A and B through C",
    "parabola": "A=(0,1)\nB=(-3,-1.2)\nC=(3,-0.8)\nq is the line through B and C\np is the parabola with focus A and directrix q",
}


def off(board, name, at):
    """How far a point is from a path, arcs and segments with their ends."""
    id = board.find(name)
    return distance_to_path(board.kind_of(id), board.value(id), at)
