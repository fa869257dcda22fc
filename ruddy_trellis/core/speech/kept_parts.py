"""That no part of a description is passed over: what is said with a part and without it is never made the same.

A noun takes many parts, and not each of them in each of its ways: what a maker does not look at would be dropped silently. So a clause
that could be carried out is carried out again without each part in turn. Where that comes to the same, the part has to say what is so
anyway (the circumcircle *of ABC* where there is one triangle); else it is refused.
"""

from __future__ import annotations

from collections import Counter
from collections.abc import Callable, Iterator
from dataclasses import replace
from typing import Any

from ..kinds import CLAIM
from ..refusal import Refusal
from .building import Building, Mark
from .claims import claim
from .clauses import Bound
from .nodes import Amount, Described, Many, Named, Node, Where
from .nouns import NAMED_BY_SIDES
from .refusals import Stray
from .shapes_on_sides import CORNER_COUNTS
from .tables import words
from .things import Things

#: Parts that may say to what a thing belongs: of things that are made from nothing else, and of straight things and shapes that may be
#: anywhere.
_BELONGING, _OF_WHICH = words("of in to from on at through tangent about between with and under"), words("of in")
_SIDES = words("on base side sides")
#: Nouns for points.
_POINTS = words("point midpoint corner intersection contact foot centre image")
#: What a foot is the foot of.
_WITH_FEET = {"foot": words("altitude perpendicular")}
#: What is off by less than this share of its size is so.
_SO = 1e-9
_WHERE = words("above below away same_side_of other_side_of same_side_as side_with inside outside opposite closer further other_than")
_ANYWHERE = words(
    """
    line segment side chord base arm secant diameter vector ray transversal triangle quadrilateral square rectangle rhombus kite trapezium
    parallelogram polygon circle point euler-line centroid circumcentre incentre orthocentre nine-point-centre
    nine-point-circle incircle circumcircle radius distance length size angle ratio sum difference product
    """
).union(NAMED_BY_SIDES)


def without_parts(node: Any) -> Iterator[tuple[Described, str, Node, Any]]:
    """Every description in a tree with one of its parts, and the tree without that part; how many were said is one of them."""
    if isinstance(node, Described):
        if (node.count or 1) > 1 and node.kind != "old":
            yield node, "count", Amount(str(node.count)), replace(node, count=None)
        if node.amounts:
            yield node, "amounts", Amount(node.amounts[0]), replace(node, amounts=())
        for place, (role, part) in enumerate(node.roles):
            before, after = node.roles[:place], node.roles[place + 1 :]
            if (
                isinstance(part, Many)
                and len(part.items) > 1
                and (role == "facts" or not all(isinstance(one, Named) for one in part.items))
            ):
                for one in range(len(part.items)):
                    rest = (*part.items[:one], *part.items[one + 1 :])
                    fewer = Many(rest) if len(rest) > 1 or role == "facts" else rest[0]
                    yield node, role, part.items[one], replace(node, roles=(*before, (role, fewer), *after))
            if role != "facts" or not isinstance(part, Many) or len(part.items) == 1:
                yield node, role, part, replace(node, roles=(*before, *after))
            for owner, inner, lost, smaller in without_parts(part):
                yield owner, inner, lost, replace(node, roles=(*before, (role, smaller), *after))
    elif isinstance(node, Many):
        for place, item in enumerate(node.items):
            for owner, role, lost, smaller in without_parts(item):
                yield owner, role, lost, Many((*node.items[:place], smaller, *node.items[place + 1 :]))
    elif isinstance(node, Where):
        for owner, role, lost, smaller in without_parts(node.one):
            yield owner, role, lost, replace(node, one=smaller)
        for owner, role, lost, smaller in without_parts(node.other):
            yield owner, role, lost, replace(node, other=smaller)


def check_parts(t: Things, bound: Bound, mark: Mark, do: Callable[[Bound], None]) -> None:
    """Raise Refusal where a part of what fills a clause was passed over. The clause has been carried out, and is so again afterwards.

    Args:
        mark: how far the building was before the clause.
        do: what carries it out.
    """
    b = t.b
    made = _made(b, mark)
    if made == ((), ()):
        return
    lost: Refusal | None = None
    tried, done = False, b.since(mark)
    for owner, role, part, fewer in _fewer(bound):
        tried = True
        b.back_to(mark)
        try:
            do(fewer)
            same = _made(b, mark) == made
        except Refusal:
            same = False
        if same and not _is_so_anyway(t, mark, owner, role, part):
            lost = lost or _lost(owner, role)
    if tried:
        b.back_to(mark)
        if done.changes:
            do(bound)
        else:
            b.again(done)
    if lost is not None:
        raise lost


def _lost(owner: Described, role: str) -> Refusal:
    head = owner.head.replace("-", " ")
    if role == "count":
        return Stray(f"Not {owner.count} of that {head} are made.")
    if role == "amounts":
        return Stray(f"“{owner.amounts[0]}” is not understood before {head} here.")
    return Stray(f"“{role.replace('_', ' ')} …” is not understood of a {head} here.")


def _fewer(bound: Bound) -> Iterator[tuple[Described, str, Node, Bound]]:
    """Each part in what fills a clause, and each fact about a shape, with what fills the clause without it."""
    whole = next((node for node in bound.values() if isinstance(node, Described) and node.head != "roles"), None)
    for slot, node in bound.items():
        for owner, role, part, smaller in without_parts(node):
            if owner.head == "roles" and role == "with" and whole is not None:
                owner = whole  # "on AB, draw a square": a part that stands by itself is one of what is drawn
            yield owner, role, part, {**bound, slot: smaller}
    facts, shape = bound.get("facts"), bound.get("x", bound.get("y"))
    if isinstance(facts, Many) and isinstance(shape, Described):
        for place, fact in enumerate(facts.items):
            others = Many((*facts.items[:place], *facts.items[place + 1 :]))
            yield shape, "with", fact, {**bound, "facts": others}


def _made(b: Building, mark: Mark) -> tuple[Any, Any]:
    new = tuple(one.model_dump_json() for one in b.new[mark.new :])
    return new, tuple(act.model_dump_json() for act in b.acts[mark.acts :])


def _all_angles(part: Described) -> Described:
    """The angles of a shape that is not named, as a phrase."""
    return Described("angle", plural=True, kind=part.kind, count=part.count)


def _is_so_anyway(t: Things, mark: Mark, owner: Described, role: str, part: Node) -> bool:
    """Whether a part names only what the thing is made from in any case, and is one that says to what a thing belongs."""
    if isinstance(part, Described) and part.head == "fact":
        return _holds(t, part)
    if role == "count" and owner.kind == "all":
        return True  # of what is there: how many that is is counted where they are found
    if role == "count":
        shown = [step for step in t.b.ahead.steps[mark.steps :] if not step.look.hidden]
        kinds = Counter(step.makes for step in shown)
        if len(kinds) > 1 and owner.head not in _POINTS:
            del kinds["point"]  # the points that a thing is made from are none of those that were asked for
        return not kinds or max(kinds.values()) >= (owner.count or 1)
    if role == "angles" and owner.head == "triangle" and isinstance(part, Amount):
        return True  # the third of three, which are seen to add up to 180°
    if owner.head == "circle" and role in ("centre", "through") and t.circle_there(owner):
        return True  # it is said which of those that are there is meant, and it is that
    if owner.head == "arc" and role in ("through", "without") and isinstance(part, Named) and len(part.points) == 1:
        return True  # which of two arcs is meant, which its makers see to
    if owner.head == "diameter" and role in _OF_WHICH and isinstance(part, Described) and part.head == "circle" and part.kind == "new":
        return True  # where none is there, one is made
    if owner.head in ("bisector", "angle-bisector") and owner.plural and isinstance(part, Described) and part == _all_angles(part):
        return True  # "the bisectors of the angles": those that are meant without saying so
    if role == "at" and owner.head == "rhombus" and isinstance(owner.role("angles"), Amount):
        return True  # its angle is at the first corner where that is not said
    if role == "off":
        return True  # no new point is upon anything
    if role in _WHERE and not isinstance(part, Amount):
        return True  # it lies there already, which its maker sees to
    names = {point for name in owner.names if isinstance(name, Named) for point in name.points}
    if role in _SIDES and isinstance(part, Named) and part.points and set(part.points) <= names:
        return True  # "square ABCD on AB"
    if role == "corners":
        made_names = {t.b.ahead.name(step.id) for step in t.b.ahead.steps[mark.steps :]}
        return bool(said_names := _points_in(part)) and said_names <= made_names  # they are called so anyway
    if role == "through" and owner.head in ("radius", "diameter"):
        role = "of"  # one is drawn through a point of the circle in any case
    if role != "corner_at" and role not in (_OF_WHICH if owner.head in _ANYWHERE else _BELONGING):
        return False
    if role in ("with", "and") and owner.head in CORNER_COUNTS:
        return False  # a shape belongs to nothing that it is said to have
    b = t.b
    if isinstance(part, Described) and not part.names and part.head in ("side", "corner", *_WITH_FEET.get(owner.head, ())):
        return True
    made = [step.id for step in b.ahead.steps[mark.steps :]]
    for act in b.acts[mark.acts :]:
        made += [*getattr(act, "ids", ()), *getattr(act, "numbers", ())]
    known = {*made, *b.ahead.ancestors(made)}
    said = _ids_of(t, part)
    return bool(said) and all(id in known or bool(known & set(b.ahead.ancestors([id]))) for id in said)


def _holds(t: Things, fact: Described) -> bool:
    """Whether a fact is so in what was made, which is made so in any case: a kite has AB = AD."""
    kind = fact.extra[0]
    if kind not in ("equal", "parallel", "perpendicular", "right"):
        return False
    before = t.b.mark()
    try:
        claim(t, kind, dict(zip("xy", fact.names)))
        values = [t.b.ahead.value(step.id) for step in t.b.ahead.steps[before.steps :] if step.makes == CLAIM]
        return bool(values) and all(value is not None and 0 <= value[2] < _SO for value in values)
    except Refusal:
        return False
    finally:
        t.b.back_to(before)


def _ids_of(t: Things, part: Node) -> set[str]:
    """The ids of what a part names: the things themselves where they are there, else the points in it."""
    before = t.b.mark()
    try:
        found = set(t.aside(lambda: t.all_of(part)))
    except Refusal:
        found = set()
    finally:
        t.b.back_to(before)
    if found and all(id in t.b.ahead for id in found):
        return found
    points = t.b.ahead.points_by_name
    named = _points_in(part)
    return {points[point] for point in named} if named <= set(points) else set()


def _points_in(node: Any) -> set[str]:
    """The names of all points in a tree."""
    if isinstance(node, Named):
        return set(node.points)
    if isinstance(node, Described):
        return {point for part in (*node.names, *(part for _, part in node.roles)) for point in _points_in(part)}
    return {point for item in node.items for point in _points_in(item)} if isinstance(node, Many) else set()
