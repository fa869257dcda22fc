"""Shapes of all sorts: which of the ways to make one is meant."""

from __future__ import annotations

from dataclasses import replace

from ..kinds import CIRCLE, POLYGON, STRAIGHTS
from ..refusal import Refusal
from .nodes import Amount, Described, Many, Named, Node, Ref
from .nouns import NAMED_BY_SIDES, how_many, makes
from .orders import suppose_of_shape
from .refusals import Final, NotThere, Stray
from .shape_checks import is_as_said
from .shape_facts import Wanted
from .shapes_alone import alone_shape
from .shapes_and_circles import circumscribed, inscribed
from .shapes_on_sides import CORNER_COUNTS, shape_on_span
from .spans import spans_of
from .tables import words
from .things import Things
from .third_corners import fresh_names
from .tokens import POINT_NAME

#: What says of a pentagon and the like that its corners are free.
_NOT_REGULAR = words("irregular general arbitrary convex")
#: Shapes that any corners make.
_OF_CORNERS = words("triangle quadrilateral polygon").union(NAMED_BY_SIDES)


@makes(
    "triangle", "quadrilateral", "square", "rectangle", "rhombus", "kite", "trapezium", "parallelogram", "polygon", *NAMED_BY_SIDES,
    parts="on outside inside base side sides in corners through with of and facts angles above below away same_side_of other_side_of "
    "same_side_as side_with opposite height length right_at corner_at "
    "between centre diagonals hypotenuse area perimeter about at",
    words="medial orthic pedal equilateral isosceles right-angled regular cyclic inscribe external internal obtuse acute scalene "
    "convex irregular as-base",
)  # fmt: skip
def shapes(t: Things, node: Described) -> list[str]:
    """Shapes of all sorts, with what is said of them besides."""
    found = _shapes(t, node)
    suppose_of_shape(t, node, [id for id in found if t.b.kind(id) == POLYGON])
    return found


def _shapes(t: Things, node: Described) -> list[str]:
    if "inscribe" in node.adjectives and node.role("in", "inside") is None and len(circles := t.b.of_kind(CIRCLE)) == 1:
        name = t.b.ahead.name(circles[0])
        node = replace(node, roles=(*node.roles, ("in", Named(name))))
    if (node.count or 1) > 1 and not node.names and not node.roles:
        return [id for _ in range(how_many(node)) for id in _shapes(t, replace(node, count=None, plural=False))]
    _check_sorts(node)
    if node.head in NAMED_BY_SIDES and set(node.adjectives) & _NOT_REGULAR and not node.names and not node.roles and not t.names:
        corners = fresh_names(t.b, NAMED_BY_SIDES[node.head])
        return [t.b.polygon(t.aside(lambda: t.b.points(corners)))]
    if "irregular" in node.adjectives and node.roles:
        raise Stray("“irregular” is said of a shape of which nothing else is said, or whose corners are named.")
    if node.plural and (on := node.role("on", "outside", "inside")) is not None and not node.names:
        spans = _spans_to_build_on(t, on)
        plain = replace(node, roles=tuple((role, part) for role, part in node.roles if part is not on))
        return [shape_on_span(t, plain, span, outside=True) for span in spans]
    named = [
        (part, role) for role, part in node.roles if role in ("with", "and") for part in (part.items if isinstance(part, Many) else (part,))
    ]
    belonging = [part for part, _ in named if isinstance(part, Described) and part.names and part.head in _BELONGING]
    if belonging and len(belonging) == len(named):
        rest = replace(node, roles=tuple((role, part) for role, part in node.roles if role not in ("with", "and")))
        found = shapes(t, rest)
        polygon = found[-1]
        for part in belonging:
            t.described(
                replace(
                    part,
                    kind="new",
                    roles=(
                        *part.roles,
                        (
                            "of",
                            Named(
                                t.b.ahead.name(polygon),
                                tuple(t.b.ahead.name(id) for id in t.b.ahead.step(polygon).fills.get("corners", ())),
                            ),
                        ),
                    ),
                )
            )
        return found
    if len(node.names) > 1 and all(isinstance(name, Named) and len(name.points) > 2 for name in node.names):
        return _several_named(t, node)
    names = tuple(point for name in node.names if isinstance(name, Named) for point in name.points)
    if not names and t.names and all(len(name) > 1 for name in t.names[:1]):
        names = tuple(POINT_NAME.findall(t.names.pop(0)))
    if (placed := _placed(t, node, names)) is not None:
        return [placed]
    count = CORNER_COUNTS[node.head]
    if node.head == "parallelogram" and len(names) == 4 and sum(map(t.b.has, names)) == 3:
        # "the parallelogram ABDC" of A, B and C: the corner that is not there comes last, in the same order round.
        turn = next(place for place, name in enumerate(names) if not t.b.has(name)) + 1
        names = (*names[turn:], *names[:turn])
        node = replace(node, names=(Named("".join(names), names),))
    if names and count and len(names) != count:
        raise Refusal(f"A {node.head} has {count} corners, not {len(names)}.")
    beside = next(((role, part) for role, part in node.roles if role in ("outside", "above", "below") and _is_one_side(part)), None)
    if beside is not None and node.role("on") is None:
        # "a square outside AB": on it, on that side.
        kept = tuple(pair for pair in node.roles if pair != beside)
        kept += (("on", beside[1]),) if beside[0] == "outside" else (("on", beside[1]), beside)
        node = replace(node, roles=kept, extra=(*node.extra, "external") if beside[0] == "outside" else node.extra)
    if "as-base" in node.extra and isinstance(base := node.role("with"), (Named, Described)):
        node = replace(node, roles=(*(pair for pair in node.roles if pair[1] is not base), ("on", base)))
    if {"external", "internal"} & {*node.adjectives, *node.extra} and node.role("on") is None and names:
        there = [name for name in names if t.b.has(name)]
        if len(there) == 2:
            node = replace(node, roles=(*node.roles, ("on", Named("".join(there), tuple(there)))))
    node, names = _with_hypotenuse(t, _of_its_side(node), names)
    if (formed_by := node.role("between")) is not None:
        return [t.b.polygon(_corners_formed(t, formed_by, count, names))]
    on = node.role("on", "base", "side") if not isinstance(node.role("side"), Amount) else node.role("on", "base")
    if (about := node.role("about")) is not None:
        if not _is_circle(t, about):
            raise Stray(f"A {node.head} is drawn about a circle. Say: the {node.head} circumscribed about k.")
        return [circumscribed(t, node, t.aside(lambda: t.round(about)), names)]
    inscribed_in = node.role("in", "inside")
    if inscribed_in is not None and _is_circle(t, inscribed_in):
        return [inscribed(t, node, t.aside(lambda: t.round(inscribed_in)), names)]
    if on is not None and not isinstance(on, Amount):
        spans = _spans_to_build_on(t, on)
        return [shape_on_span(t, node, span, names=names, outside=len(spans) > 1) for span in spans]
    return [alone_shape(t, node, names)]


def _of_its_side(node: Described) -> Described:
    """A shape with what was said after a side of it that has a name: "on base AB with height 4 cm" tells of the shape."""
    on = node.role("on")
    if not (isinstance(on, Described) and on.head in ("base", "side") and len(on.names) == 1 and on.roles):
        return node
    return replace(node, roles=(*(("on", on.names[0]) if part is on else (role, part) for role, part in node.roles), *on.roles))


def _placed(t: Things, node: Described, names: tuple[str, ...]) -> str | None:
    """A shape whose corners are said with their places: "ABCD with A(0, 0), B(4, 0), …", "with vertices A(1, 2), …". None for others;
    Refusal where it is not of its sort there."""
    places = node.role("with", "corners")
    if not isinstance(places, Many) or not all(isinstance(item, Named) and item.at is not None for item in places.items):
        return None
    said = tuple(item.text for item in places.items if isinstance(item, Named))
    count = CORNER_COUNTS[node.head]
    if (names and sorted(said) != sorted(names)) or (count and len(said) != count) or len(node.roles) > 1:
        raise Stray(f"A {node.head} is settled by the places of its corners, each said once.")
    t.aside(lambda: t.points(places))
    polygon = t.b.polygon(t.b.points(names or said))
    if not is_as_said(t, polygon, node, Wanted()):
        raise Final(f"With its corners there it is no {node.head}.")
    return polygon


def _with_hypotenuse(t: Things, node: Described, names: tuple[str, ...]) -> tuple[Described, tuple[str, ...]]:
    """A right-angled triangle on the side that faces its right angle: the right angle is at the third corner."""
    if "right-angled" not in node.adjectives:
        return node, names
    facing = next((part for role, part in node.roles if role in ("hypotenuse", "opposite") and not isinstance(part, Amount)), None)
    if facing is None:
        facing = next((part for _, part in node.roles if isinstance(part, Described) and part.head == "hypotenuse"), None)
    if facing is None:
        return node, names
    span = t.aside(lambda: t.span(facing))
    ends = [t.b.ahead.name(id) for id in (span if len(span) == 2 else t.b.ends(span[0]))]
    others = [name for name in names if name not in ends]
    if names and (len(others) != 1 or len(names) != 3):
        raise Refusal(f"{''.join(ends)} is no side of that triangle.")
    third = others[0] if others else fresh_names(t.b, 1)[0]
    kept = tuple(pair for pair in node.roles if pair[1] is not facing)
    node = replace(node, roles=(*kept, ("on", Named("".join(ends), tuple(ends))), ("right_at", Named(third, (third,)))))
    return node, names or (*ends, third)


def _corners_formed(t: Things, node: Node, count: int, names: tuple[str, ...] = ()) -> tuple[str, ...]:
    """The corners of a shape that is formed by points, such as "the midpoints of the sides", or by three lines, where they may be new ones
    with names."""
    if isinstance(node, Ref):
        lines = [id for id in t.b.recent.ids if id in t.b.ahead and t.b.kind(id) in STRAIGHTS and not t.b.ahead.step(id).look.hidden][-3:]
        node = Many(tuple(Named(t.b.ahead.name(id)) for id in lines)) if len(lines) == 3 else node
    try:
        points = t.aside(lambda: t.points(node))
        if names and len(names) == len(points) and not any(map(t.b.has, names)) and not any(id in t.b.board for id in points):
            for id, name in zip(points, names, strict=True):
                t.b.rename_new(id, name)
        if names and sorted(names) != sorted(t.b.ahead.name(id) for id in points):
            raise Final(f"It has other corners than {', '.join(names)}.")
    except (Final, NotThere):
        raise
    except Refusal:
        lines = t.aside(lambda: t.all_of(node))
        if names and (len(names) != 3 or any(map(t.b.has, names))):
            raise Refusal("Three lines form a triangle: name its three corners, which are new.") from None
        if len(lines) != 3 or not all(t.b.kind(id) in STRAIGHTS for id in lines):
            raise
        pairs = ((lines[0], lines[1]), (lines[1], lines[2]), (lines[2], lines[0]))
        called = names or (None, None, None)
        points = [t.b.make("intersection", {"a": (a,), "b": (b,)}, name) for (a, b), name in zip(pairs, called, strict=True)]
    if len(points) < 3 or (count and len(points) != count):
        raise Refusal(f"{len(points)} points do not form that shape.")
    return tuple(points)


#: Of which shapes a word is understood; of others it is refused, since it would be dropped.
_ONLY_OF = {
    **dict.fromkeys(("medial", "orthic", "pedal", "equilateral", "right-angled", "obtuse", "acute", "scalene"), words("triangle")),
    "isosceles": words("triangle trapezium"),
    "regular": words("triangle quadrilateral square polygon").union(NAMED_BY_SIDES),
    "convex": words("quadrilateral polygon").union(NAMED_BY_SIDES),
    "cyclic": words("quadrilateral polygon").union(NAMED_BY_SIDES),
}


def _check_sorts(node: Described) -> None:
    """Raise Refusal for a word that is not understood of this sort of shape."""
    for said in node.adjectives:
        if said in _ONLY_OF and node.head not in _ONLY_OF[said]:
            raise Stray(f"“{said}” is not understood of a {node.head}.")
    if "inscribe" in node.adjectives and node.role("in", "inside") is None:
        raise Stray(f"In which circle? Say: the {node.head} inscribed in k.")


#: What a shape may be said to have, with names.
_BELONGING = words(
    """
    orthocentre circumcentre incentre centroid circumcircle incircle nine-point-circle nine-point-centre median altitude
    """
)


def _several_named(t: Things, node: Described) -> list[str]:
    """ "equilateral triangles ACD and CBE on AC and CB": each on its own side."""
    on = node.role("on")
    spans = _spans_to_build_on(t, on) if on is not None else []
    side = node.role("same_side_of")
    rest = tuple((role, part) for role, part in node.roles if part is not on and part is not side)
    made: list[str] = []
    for number, name in enumerate(node.names):
        assert isinstance(name, Named)
        roles = rest
        if spans:
            span = next((one for one in spans if {t.b.ahead.name(id) for id in one} <= set(name.points)), None)
            if span is None:
                raise Refusal(f"On which side is {name.text}?")
            names = tuple(t.b.ahead.name(id) for id in span)
            roles = (*rest, ("on", Named("".join(names), names)))
        if side is not None and number:
            last = t.b.ahead.step(made[-1]).fills["corners"]
            third = next((id for id in last if id not in {end for one in spans for end in one}), last[-1])
            roles = (*roles, ("same_side_of", Named(t.b.ahead.name(third), (t.b.ahead.name(third),))))
        made += shapes(t, replace(node, names=(name,), roles=roles, plural=False))
    return made


def _is_one_side(node: Node) -> bool:
    """Whether a phrase is a straight thing between two points."""
    return (isinstance(node, Named) and len(node.points) == 2) or (isinstance(node, Described) and node.head in ("side", "segment", "line"))


def _is_circle(t: Things, node: Node) -> bool:
    if isinstance(node, Described):
        return node.head in ("circle", "circumcircle", "incircle")
    if isinstance(node, Named):
        ids = t.b.ahead.ids_named(node.text)
        return bool(ids) and t.b.kind(ids[0]) == CIRCLE
    if isinstance(node, Ref):
        spoken = [id for id in t.b.recent.ids if id in t.b.ahead]
        return bool(spoken) and t.b.kind(spoken[-1]) == CIRCLE
    return False


def _spans_to_build_on(t: Things, node: Node) -> list[tuple[str, str]]:
    found = []
    for span in t.aside(lambda: spans_of(t, replace(node, plural=True) if isinstance(node, Described) and node.head == "side" else node)):
        if len(span) == 1:
            span = t.b.ends(span[0])
        found.append((span[0], span[1]))
    return found
