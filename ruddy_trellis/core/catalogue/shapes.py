"""Constructions that make polygons."""

from ..arithmetic.typed import MOST_CORNERS, corner_turn
from ..kinds import POLYGON
from ..refusal import Refusal
from .construction import Construction, Part


def _polygon(m, corners):
    return corners


_SIDE = "A is a free point at (0, 0)\nB is a free point at (3, 0)\n"
_THREE = "A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (3, 2)\n"


def _made(number):
    return (f"made:{number}",)


def _check_count(fills, board):
    count = fills.get("count")
    if isinstance(count, (int, float)) and (count != int(count) or not 3 <= count <= MOST_CORNERS):
        raise Refusal(f"A regular polygon here has from 3 to {MOST_CORNERS} corners, a whole number.")


def _on_side(a, b, count):
    """A regular polygon on the side from a to b: each corner is the one but last, turned about the last."""
    corners = [a, b]
    for number in range(count - 2):
        yield Part("turned", {"point": corners[-2], "centre": corners[-1], "angle": corner_turn(count)})
        corners.append(_made(number))
    yield Part("polygon", {"corners": sum(corners, ())})


def _about_centre(centre, corner, count):
    """A regular polygon about a centre: each corner is the first, turned by its share of a whole turn."""
    corners = [corner]
    for number in range(1, count):
        yield Part("turned", {"point": corner, "centre": centre, "angle": 360 * number / count})
        corners.append(_made(number - 1))
    yield Part("polygon", {"corners": sum(corners, ())})


def _rectangle(kinds, fills, board):
    a, b = fills["from"], fills["to"]
    yield Part("perpendicular", {"base": a + b, "point": b}, hidden=True)
    yield Part("point_on", {"path": _made(0), "place": 0.6})
    yield Part("fourth_corner", {"corners": a + b + _made(1)})
    yield Part("polygon", {"corners": a + b + _made(1) + _made(2)})


def _rhombus(kinds, fills, board):
    a, b = fills["from"], fills["to"]
    yield Part("circle", {"centre": b, "point": a}, hidden=True)
    yield Part("point_on", {"path": _made(0), "place": 60.0})
    yield Part("fourth_corner", {"corners": a + b + _made(1)})
    yield Part("polygon", {"corners": a + b + _made(1) + _made(2)})


def _kite(kinds, fills, board):
    a, b, c = ((id,) for id in fills["corners"])
    yield Part("mirrored", {"point": b, "mirror": a + c})
    yield Part("polygon", {"corners": a + b + c + _made(0)})


def _parallelogram(kinds, fills, board):
    yield Part("fourth_corner", {"corners": fills["corners"]})
    yield Part("polygon", {"corners": fills["corners"] + _made(0)})


def _trapezium(kinds, fills, board):
    a, b, c = ((id,) for id in fills["corners"])
    yield Part("parallel", {"base": b + a, "point": c}, hidden=True)
    # Not at half, where one of the parallel sides would look to be half of the other.
    yield Part("point_on", {"path": _made(0), "place": 0.58})
    yield Part("polygon", {"corners": a + b + c + _made(1)})


def _isosceles_trapezium(kinds, fills, board):
    a, b, c = ((id,) for id in fills["corners"])
    yield Part("perpendicular_bisector", {"span": a + b}, hidden=True)
    yield Part("mirrored", {"point": c, "mirror": _made(0)})
    yield Part("polygon", {"corners": a + b + c + _made(1)})


def _three_sides(kinds, fills, board):
    a = fills["from"]
    yield Part("circle_radius", {"centre": a, "radius": fills["first"]}, hidden=True)
    yield Part("point_on", {"path": _made(0), "place": 0.0})
    yield Part("circle_radius", {"centre": a, "radius": fills["third"]}, hidden=True)
    yield Part("circle_radius", {"centre": _made(1), "radius": fills["second"]}, hidden=True)
    yield Part("intersection", {"a": _made(2), "b": _made(3), "which": "first"})
    yield Part("polygon", {"corners": a + _made(1) + _made(4)})


def _two_sides(kinds, fills, board):
    a = fills["from"]
    yield Part("circle_radius", {"centre": a, "radius": fills["first"]}, hidden=True)
    yield Part("point_on", {"path": _made(0), "place": 0.0})
    yield Part("circle_radius", {"centre": a, "radius": fills["second"]}, hidden=True)
    yield Part("at_angle", {"point": a, "angle": fills["angle"], "base": a + _made(1)}, hidden=True)
    yield Part("intersection", {"a": _made(3), "b": _made(2), "which": "second"})
    yield Part("polygon", {"corners": a + _made(1) + _made(4)})


def _two_angles(kinds, fills, board):
    a = fills["from"]
    yield Part("circle_radius", {"centre": a, "radius": fills["side"]}, hidden=True)
    yield Part("point_on", {"path": _made(0), "place": 0.0})
    yield Part("at_angle", {"point": a, "angle": fills["first"], "base": a + _made(1)}, hidden=True)
    yield Part("at_angle", {"point": _made(1), "angle": -fills["second"], "base": _made(1) + a}, hidden=True)
    yield Part("intersection", {"a": _made(2), "b": _made(3)})
    yield Part("polygon", {"corners": a + _made(1) + _made(4)})


def _check_angles(fills, board):
    angles = [fills.get(name) for name in ("first", "second")]
    if not all(isinstance(angle, (int, float)) for angle in angles):
        raise Refusal("Type both angles as numbers, in degrees.")
    if not (min(angles) > 0 and sum(angles) < 180):
        raise Refusal("Two angles of a triangle are above 0° and together below 180°.")


def _shape(key, sentence, tool, keys, expands, example, likely, **more):
    return Construction(key=key, sentence=sentence, makes=POLYGON, formula=None, group="Shapes", tool=tool, keys=keys, expands=expands,
                        example=example, likely=likely, **more)  # fmt: skip


SHAPES_THAT_KEEP_THEIR_KIND = (
    _shape(
        "square",
        "the square on the side from {from:point} to {to:point}",
        "square",
        "sq",
        lambda kinds, fills, board: _on_side(fills["from"], fills["to"], 4),
        _SIDE + "the square on the side from A to B",
        61,
        also=(
            "square [{=}] (on|over|above|outside) [side|segment] {from+to}",
            "square [{=}] (with|on) side {from+to}",
            "square [{=}] {from+to}",
            "square [{=}] from {from} to {to}",
            "square side {from+to}",
        ),
    ),
    _shape(
        "equilateral",
        "the equilateral triangle on the side from {from:point} to {to:point}",
        "equilateral triangle",
        "sd",
        lambda kinds, fills, board: _on_side(fills["from"], fills["to"], 3),
        _SIDE + "the equilateral triangle on the side from A to B",
        62,
        also=(
            "equilateral [triangle] [{=}] [(on|over|above|with)] [side] {from+to}",
            "equal sided triangle [(on|over|with)] [side] {from+to}",
            "regular triangle on {from+to}",
            "triangle equal side on {from+to}",
        ),
    ),
    _shape(
        "regular",
        "the regular polygon with {count:count} corners on the side from {from:point} to {to:point}",
        "regular, on a side",
        "sg",
        lambda kinds, fills, board: _on_side(fills["from"], fills["to"], int(fills["count"])),
        _SIDE + "the regular polygon with 5 corners on the side from A to B",
        75,
        check=_check_count,
        also=(
            "regular {count} [sided] (gon|polygon|sided shape|sided figure) [(on|over|with)] [side] {from+to}",
            "regular polygon with {count} (side|corner) [(on|over)] [side] {from+to}",
            "regular pentagon [(on|over|with)] [side] {from+to} <count=5>",
            "regular hexagon [(on|over|with)] [side] {from+to} <count=6>",
            "regular heptagon [(on|over|with)] [side] {from+to} <count=7>",
            "regular octagon [(on|over|with)] [side] {from+to} <count=8>",
            "regular decagon [(on|over|with)] [side] {from+to} <count=10>",
            "regular dodecagon [(on|over|with)] [side] {from+to} <count=12>",
            "hexagon on [side] {from+to} <count=6>",
            "pentagon on [side] {from+to} <count=5>",
            "octagon on [side] {from+to} <count=8>",
        ),
    ),
    _shape(
        "regular_about",
        "the regular polygon with {count:count} corners about {centre:point} through {corner:point}",
        "regular, about a centre",
        "sk",
        lambda kinds, fills, board: _about_centre(fills["centre"], fills["corner"], int(fills["count"])),
        _SIDE + "the regular polygon with 6 corners about A through B",
        76,
        check=_check_count,
        also=(
            "[regular] pentagon (about|centred at|centred on|[with] centre) {centre} [and] (through|corner) {corner} <count=5>",
            "[regular] hexagon (about|centred at|centred on|[with] centre) {centre} [and] (through|corner) {corner} <count=6>",
            "[regular] octagon (about|centred at|centred on|[with] centre) {centre} [and] (through|corner) {corner} <count=8>",
            "square (about|centred at|centred on|[with] centre) {centre} [and] (through|corner) {corner} <count=4>",
            "equilateral triangle (about|centred at|[with] centre) {centre} [and] (through|corner) {corner} <count=3>",
            "regular polygon [with] {count} (corner|side) (about|centred at|centre) {centre} through {corner}",
            "regular {count} gon (about|centred at|centre) {centre} through {corner}",
        ),
    ),
    _shape(
        "rectangle",
        "the rectangle on the side from {from:point} to {to:point}",
        "rectangle",
        "sr",
        _rectangle,
        _SIDE + "the rectangle on the side from A to B",
        63,
        also=(
            "rectangle [{=}] (on|over|above) [side] {from+to}",
            "rectangle [{=}] [with] side {from+to}",
            "rectangle {from+to}",
        ),
    ),
    _shape(
        "rhombus",
        "the rhombus on the side from {from:point} to {to:point}",
        "rhombus",
        "sb",
        _rhombus,
        _SIDE + "the rhombus on the side from A to B",
        64,
        also=(
            "(rhombus|diamond) [{=}] (on|over|above) [side] {from+to}",
            "rhombus [{=}] [with] side {from+to}",
            "rhombus {from+to}",
        ),
    ),
    _shape(
        "kite",
        "the kite with corners {corners:triangle}",
        "kite",
        "sy",
        _kite,
        "A is a free point at (0, 0)\nB is a free point at (1, -1)\nC is a free point at (3, 0)\nthe kite with corners ABC",
        65,
        also=("kite [with] [corner|through|on] {corners}",),
    ),
    _shape(
        "parallelogram",
        "the parallelogram with corners {corners:triangle}",
        "parallelogram",
        "sl",
        _parallelogram,
        _THREE.replace("(3, 2)", "(5, 2)") + "the parallelogram with corners ABC",
        66,
        also=("parallelogram [with] [corner|through|on] {corners#3}",),
    ),
    _shape(
        "trapezium",
        "the trapezium with corners {corners:triangle}",
        "trapezium",
        "sz",
        _trapezium,
        _THREE + "the trapezium with corners ABC",
        67,
        also=("(trapezium|trapezoid) [with] [corner|through|on] {corners}",),
    ),
    _shape(
        "isosceles_trapezium",
        "the isosceles trapezium with corners {corners:triangle}",
        "isosceles trapezium",
        "sx",
        _isosceles_trapezium,
        _THREE + "the isosceles trapezium with corners ABC",
        68,
        also=("isosceles (trapezium|trapezoid) [with] [corner|through|on] {corners}",),
    ),
    _shape(
        "three_sides",
        "the triangle at {from:point} with sides {first:length}, {second:length} and {third:length}",
        "three sides",
        "st",
        _three_sides,
        _SIDE + "the triangle at A with sides 4, 3 and 2.5",
        77,
        distinct=False,
        also=(
            "triangle [at {from}] [with] side {first} , {second} [and|,] {third}",
            "triangle [with] side {first} , {second} [and|,] {third} at {from}",
            "triangle from {from} [with] side {first} , {second} and {third}",
        ),
    ),
    _shape(
        "two_sides",
        "the triangle at {from:point} with the sides {first:length} and {second:length} and the angle {angle:number} between them",
        "two sides, angle",
        "sv",
        _two_sides,
        _SIDE + "the triangle at A with the sides 4 and 3 and the angle 50 between them",
        78,
        distinct=False,
        also=(
            "triangle at {from} [with] side {first} and {second} and angle {angle} [degrees]",
            "triangle at {from} with side {first} , {second} and angle {angle} [degrees] [between]",
        ),
    ),
    _shape(
        "two_angles",
        "the triangle at {from:point} with the side {side:length} and the angles {first:count} and {second:count}",
        "side, two angles",
        "sw",
        _two_angles,
        _SIDE + "the triangle at A with the side 4 and the angles 40 and 65",
        79,
        check=_check_angles,
        also=("triangle at {from} [with] side {side} and angle {first} [degrees] and {second} [degrees]",),
    ),
)


SHAPES = (
    Construction(
        key="polygon",
        sentence="the polygon through {corners:corners}",
        also=(
            "triangle {corners#3}",
            "quadrilateral {corners#4}",
            "pentagon {corners#5}",
            "hexagon {corners#6}",
            "(polygon|shape|figure|outline|bed) [with] [corner] {corners}",
            "(polygon|shape) (through|of|on|from) {corners}",
            "triangle (through|on|with corner|of|from) {corners#3}",
            "quadrilateral (through|on|with corner|of|from) {corners#4}",
            "join {corners} [in order]",
            "join up {corners}",
        ),
        makes=POLYGON,
        formula=_polygon,
        group="Shapes",
        tool="polygon",
        keys="sp",
        through=("corners",),
        named_after="corners",
        likely=8,
        undefined="one of its corners is not there",
        example="A is a free point at (0, 0)\nB is a free point at (4, 0)\nC is a free point at (3, 3)\nD is a free point at (1, 2.5)\n"
        "ABCD is the polygon through A, B, C, D",
    ),
    *SHAPES_THAT_KEEP_THEIR_KIND,
)
