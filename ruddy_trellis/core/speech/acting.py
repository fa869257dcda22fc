"""Acts: what is there is changed, and nothing is made but words and places."""

from __future__ import annotations

from typing import Any

from ..edits.models import Delete, LookChanges, Move, Rename, Restyle
from ..kinds import CIRCLE, LINE, NUMBER, POINT, POLYGON, STRAIGHTS, WORDS_ON_BOARD, with_article, word
from ..language import names as spelling
from ..language.words import read_words
from ..refusal import Refusal
from . import regions
from .amounts import number_said
from .clauses import Bound
from .english import WAYS
from .nodes import Amount, Described, Many, Named, Node, Ref
from .nouns import KINDS_OF
from .refusals import Final
from .spans import ROUND, SHAPES, spans_of
from .things import Things
from .verbs import names_of, verb


def existing(t: Things, node: Node) -> list[str]:
    """The ids of what a phrase speaks of; everything has to be there. Raises Refusal."""
    b = t.b
    before = len(b.ahead)
    try:
        ids = _existing(t, node)
    except Refusal:
        if isinstance(node, Described) and not node.names and not node.roles and node.head != "side":
            raise Refusal(f"There is no {node.head.replace('-', ' ')} here, or there are several: say it by its name.") from None
        raise
    if len(b.ahead) > before:
        raise Refusal(_not_there(node))
    if not ids:
        raise Refusal("There is nothing of that here.")
    return ids


def _not_there(node: Node) -> str:
    if isinstance(node, Described) and node.head in ("side",):
        return "A side has no look of its own and cannot be deleted alone. Draw a segment on it, or change the whole shape."
    return "That is not there. Say what is meant by its name, such as “line p” or “segment AB”."


def _existing(t: Things, node: Node) -> list[str]:
    b = t.b
    if isinstance(node, Many):
        return list(dict.fromkeys(id for item in node.items for id in _existing(t, item)))
    if isinstance(node, Named) and not b.ahead.ids_named(spelling.tidy(node.text)):
        if len(node.points) == 2:
            return [_drawn_between(t, node, STRAIGHTS)]
        if len(node.points) > 2:
            corners = set(b.points(node.points))
            for step in b.ahead.steps:
                if step.makes == POLYGON and set(step.fills.get("corners", ())) == corners:
                    return [step.id]
    if isinstance(node, Described):
        if node.head in ("side",):
            raise Refusal("A side has no look of its own and cannot be deleted alone. Draw a segment on it, or change the whole shape.")
        if node.head in ("line", "segment", "ray", "vector", "chord") and node.names and not node.roles:
            kinds = {"line": (LINE, "ray"), "segment": ("segment",), "chord": ("segment",), "ray": ("ray",), "vector": ("vector",)}[
                node.head
            ]
            found = []
            for item in node.names:
                if isinstance(item, Named) and len(item.points) == 2 and not b.ahead.ids_named(spelling.tidy(item.text)):
                    found.append(_drawn_between(t, item, kinds))
                else:
                    found += _existing_named(t, item, node.head)
            return found
        if (
            node.head in KINDS_OF
            and node.names
            and not node.roles
            and all(isinstance(item, Named) and not item.points for item in node.names)
        ):
            return [id for item in node.names for id in _existing_named(t, item, node.head)]
        if node.head == "point" and node.names:
            return [id for item in node.names for id in t.points(item)]
        if node.head in ("point", "line", "segment", "circle", "angle") and node.plural and not node.names and not node.roles:
            kinds_all = {"point": (POINT,), "line": STRAIGHTS, "segment": ("segment",), "circle": (CIRCLE,), "angle": (NUMBER,)}[node.head]
            found = b.of_kind(*kinds_all)
            if not found:
                raise Refusal(f"There is no {node.head} here.")
            return found
        if node.head == "region" or node.head == "places":
            return [b.only("region", b.of_kind("region", "condition"))]
    if isinstance(node, Ref) and t.selected:
        return list(t.selected)
    return t.aside(lambda: t.all_of(node))


def _existing_named(t: Things, node: Node, head: str) -> list[str]:
    if not isinstance(node, Named):
        raise Refusal("Say it by its name.")
    ids = t.b.ahead.ids_named(spelling.tidy(node.text))
    fitting = [id for id in ids if t.b.kind(id) in KINDS_OF.get(head, ())]
    if ids and not fitting:
        raise Refusal(f"{node.text} is {with_article(word(t.b.kind(ids[0])))}, not {with_article(head)}.")
    if not fitting:
        raise Refusal(f"There is no {head} called {node.text}.")
    return fitting[:1]


def _drawn_between(t: Things, node: Named, kinds: tuple[str, ...]) -> str:
    """What is drawn between two points: a segment, a line, a vector, or a line on which both lie."""
    b = t.b
    ends = b.points(node.points)
    found = [id for kind in kinds if (id := b.straight_between(*ends, kinds=(kind,))) is not None]
    for step in b.ahead.steps:
        if step.makes in kinds and step.id not in found and set(ends) <= set(b.points_on(step.id)):
            found.append(step.id)
    found = list(dict.fromkeys(found))
    if len(found) > 1:
        raise Refusal(f"Which is meant: {', '.join(b.ahead.name(id) for id in found)}?")
    if not found:
        what = "segment or line" if len(kinds) > 2 else kinds[0]
        raise Refusal(
            f"There is no {what} from {node.points[0]} to {node.points[1]}. A side of a shape has no look of its own: draw the segment, "
            "or change the whole shape."
        )
    return found[0]


@verb
def style(t: Things, bound: Bound) -> None:
    look: dict[str, Any] = {}
    if "x" not in bound:
        bound = {**bound, "x": Named(t.b.ahead.name(t.b.only("shape", t.b.of_kind(POLYGON, CIRCLE))))}
    if "c" in bound:
        look["pen"] = bound["c"]
    for slot in ("look", "look2"):
        if slot in bound:
            part, value = bound[slot]
            look[part] = value
    words = bound.get("words", ())
    for said, (part, value) in {"dash": ("pattern", "dashed"), "thicken": ("width", 3.4), "thin": ("width", 1.2)}.items():
        if said in words:
            look[part] = value
    if not look:
        raise Refusal("How is it to look?")
    ids = existing(t, bound["x"])
    large = next((id for id in ids if t.b.kind(id) != POINT), None)
    if "size" in look and large is not None:
        name = t.b.ahead.name(large)
        raise Refusal(f"How big {name} is hangs on what it is made from: drag that, or say: enlarge {name} by the factor 2 from A.")
    t.b.act(Restyle(ids=ids, look=LookChanges(**look)))


@verb
def shade(t: Things, bound: Bound) -> None:
    """Shade a shape, or the places where conditions hold."""
    if "cond" in bound:
        shape = bound.get("y")
        joined = {does for does, _ in bound["cond"]} & {"and", "or"}
        if len(joined) > 1 or ("or" in joined and any(does == "both" for does, _ in bound["cond"])):
            raise Refusal("Say “and” or “or” between all of them, or shade one region after the other.")
        conditions = [id for one in bound["cond"] if one[0] not in ("and", "or") for id in _conditions(t, one)]
        if "or" in joined:
            regions.region_of(t, conditions, shape, how="any")
            return
        if shape is not None:
            conditions.insert(0, regions.in_shape(t, "inside", shape))
        regions.region_of(t, conditions)
        return
    if "x" not in bound:
        found = t.b.of_kind("condition")
        if not found:
            raise Refusal("There are no conditions yet. Say: the places less than 5 m from A.")
        regions.region_of(t, found)
        return
    node = bound["x"]
    ids = _shape_drawn(t, node) or t.either(lambda: existing(t, node), lambda: _round_drawn(t, node))
    if any(t.b.kind(id) not in (*SHAPES, "arc") for id in ids):
        raise Refusal("Only shapes are shaded.")
    look: dict[str, Any] = {"fill": 0.25}
    if "c" in bound:
        look["pen"] = bound["c"]
    t.b.act(Restyle(ids=ids, look=LookChanges(**look)))


def _round_drawn(t: Things, node: Node) -> list[str]:
    """A round shape that is described and not drawn yet: "shade the incircle", "shade the segment cut off by AB". Raises Refusal."""
    if not isinstance(node, Described) or node.head not in ROUND or node.plural:
        raise Refusal("Only shapes are shaded.")
    if node.head == "circle" and not (node.roles or node.names):
        raise Refusal("Only shapes are shaded.")
    return list(t.aside(lambda: t.all_of(node)))


def _shape_drawn(t: Things, node: Node) -> list[str]:
    """A shape, or a sector, between points that are there, where it is not drawn yet; none where that is not what is said."""
    if not isinstance(node, Described) or len(node.names) != 1 or node.roles or not isinstance(node.names[0], Named):
        return []
    points = node.names[0].points
    if len(points) < 3 or not all(t.b.has(point) for point in points) or t.b.has(node.names[0].text):
        return []
    if node.head in ("triangle", "quadrilateral", "polygon"):
        return [t.b.polygon(t.b.points(points))]
    if node.head == "sector" and len(points) == 3:
        if "major" in node.adjectives:
            name, other = "".join(points), "".join(reversed(points))
            raise Refusal(f"Which of the two sectors is meant is said by the order of its corners: {name} or {other}.")
        start, centre, stop = t.b.points(points)
        return [t.b.make("sector", {"centre": (centre,), "from": (start,), "to": (stop,)})]
    return []


def _each_thing(t: Things, bound: str, node: Node) -> list[Node]:
    """What a distance is kept from: each of several things, and each side of a shape where it is at least so far from the sides."""
    if isinstance(node, Many):
        return list(node.items)
    if isinstance(node, Described) and node.head == "side" and node.plural and bound in ("at-least", "more-than"):
        spans = t.aside(lambda: spans_of(t, node))
        return [Named("".join(names), names) for span in spans for names in [tuple(t.b.ahead.name(id) for id in span)]]
    return [node]


def _conditions(t: Things, one: tuple[str, Bound]) -> list[str]:
    does, slots = one
    if does == "both":
        return [*_conditions(t, slots["one"]), *_conditions(t, slots["other"])]
    if does == "far":
        return [regions.far_from(t, slots["bound"], slots["v"], thing) for thing in _each_thing(t, slots["bound"], slots["y"])]
    if does == "closer":
        return [regions.closer_to(t, slots["x"], slots["y"])]
    return [regions.in_shape(t, does, slots["y"])]


@verb
def condition(t: Things, bound: Bound) -> None:
    """ "the hive must stand at least 4 m from T": the places where it may."""
    for one in bound["cond"]:
        if one[0] == "or":
            raise Refusal("What must be holds together with what must be besides. Shade the places where one or the other holds.")
        if one[0] != "and":
            _conditions(t, one)


@verb
def hide(t: Things, bound: Bound) -> None:
    if {"names", "call", "labels"} & set(bound.get("words", ())):
        ids = existing(t, bound["x"]) if "x" in bound else t.b.of_kind(POINT)
        if not ids:
            raise Refusal("There are no points here.")
        t.b.act(Restyle(ids=ids, look=LookChanges(label=False)))
        return
    if "everything" in bound.get("words", ()):
        keep = existing(t, bound["x"])
        kept = set(t.b.ahead.ancestors(keep)) | set(keep)
        is_deleted = "delete" in bound.get("words", ())
        ids = [step.id for step in t.b.ahead.steps if step.id not in kept and (is_deleted or not step.look.hidden)]
        if not ids:
            raise Final("There is nothing else.")
        if is_deleted:
            t.b.act(Delete(ids=ids))
            return
        t.b.act(Restyle(ids=ids, look=LookChanges(hidden=True)))
        return
    if "x" not in bound:
        raise Refusal("What is to be hidden?")
    node = bound["x"] if "y" not in bound else Many((bound["x"], bound["y"]))
    t.b.act(Restyle(ids=existing(t, node), look=LookChanges(hidden=True)))


@verb
def show(t: Things, bound: Bound) -> None:
    ids = existing(t, bound["x"])
    if not any(t.b.ahead.step(id).look.hidden for id in ids):
        raise Refusal("That is shown already.")
    t.b.act(Restyle(ids=ids, look=LookChanges(hidden=False)))


@verb
def delete(t: Things, bound: Bound) -> None:
    if "x" not in bound:
        if not len(t.b.ahead):
            raise Refusal("The board is empty.")
        t.b.act(Delete(ids=[step.id for step in t.b.ahead.steps]))
        return
    t.b.act(Delete(ids=existing(t, bound["x"])))


@verb
def rename(t: Things, bound: Bound) -> None:
    ids = existing(t, bound["x"])
    name = bound["q"].text if "q" in bound else names_of(t, bound["n"])[0]
    if len(ids) != 1:
        raise Refusal("One thing at a time gets another name: rename A to Fountain.")
    if "n" in bound and isinstance(bound["x"], Named) and bound["x"].text.islower():
        name = t.b.free_name(name, t.b.kind(ids[0]))  # "rename m to n": a text that has no capitals means those of points
    t.b.act(Rename(id=ids[0], name=name))


@verb
def lock(t: Things, bound: Bound) -> None:
    t.b.act(Restyle(ids=existing(t, bound["x"]), look=LookChanges(locked=True)))


@verb
def unlock(t: Things, bound: Bound) -> None:
    t.b.act(Restyle(ids=existing(t, bound["x"]), look=LookChanges(locked=False)))


@verb
def label_on(t: Things, bound: Bound) -> None:
    """Show the name of what is there; an angle has its reading for a label."""
    if isinstance(bound["x"], Described) and bound["x"].head == "angle":
        t.described(bound["x"])
        return
    t.b.act(Restyle(ids=existing(t, bound["x"]), look=LookChanges(label=True)))


@verb
def trail(t: Things, bound: Bound) -> None:
    t.b.act(Restyle(ids=existing(t, bound["x"]), look=LookChanges(trail=0)))


@verb
def cover(t: Things, bound: Bound) -> None:
    ids = existing(t, bound["x"])
    if any(t.b.kind(id) not in (NUMBER, WORDS_ON_BOARD, "mark", "claim") for id in ids):
        raise Refusal("Only readings, words and marks are covered.")
    t.b.act(Restyle(ids=ids, look=LookChanges(cover=True)))


@verb
def write(t: Things, bound: Bound) -> None:
    quoted = bound["q"]
    text = read_words(f"“{quoted.text}”", lambda name: _reading(t, name))
    said = bound.get("words", ())
    if "place" in bound:
        t.make("words", text=text, at=tuple(float(part) for part in bound["place"]))
    elif "x1" in bound:
        found = t.aside(lambda: t.all_of(bound["x1"]))
        if len(found) != 1:
            raise Refusal("Beside which one thing?")
        t.make("words_beside", text=text, thing=(found[0],), **_OFF.get(next((word for word in _OFF if word in said), ""), {}))
    elif (way := next((word for word in _EDGES if word in said), None)) is not None:
        x, y, right, top = t.b.ahead.settings.view
        across, up = _EDGES[way]
        t.make("words", text=text, at=(round(x + across * (right - x), 1), round(y + up * (top - y), 1)))
    else:
        t.make("words", text=text)


#: How far off a thing words are by what is said, and where on the view by the edge that is said, as shares of it.
_OFF = {"above": {"off": (0.0, 0.6)}, "below": {"off": (0.0, -0.6)}, "under": {"off": (0.0, -0.6)}}
_EDGES = {"upper": (0.35, 0.93), "lower": (0.35, 0.07), "left": (0.05, 0.5), "right": (0.75, 0.5)}


def _reading(t: Things, name: str) -> tuple[str, ...]:
    found = [id for id in t.b.ahead.ids_named(spelling.tidy(name)) if t.b.kind(id) == NUMBER]
    if not found:
        raise Refusal(f"There is no reading called {name[:30]}.")
    return (found[0],)


def _dials(t: Things, bound: Bound) -> list[str]:
    """The dial that is named, or the only one. Raises Refusal."""
    dials = [step.id for step in t.b.ahead.steps if step.construction.moves == "turning"]
    if "n" not in bound:
        return [t.b.only("dial", dials)]
    names = names_of(t, bound["n"])
    found = [id for id in t.b.ahead.ids_named(names[0]) if id in dials]
    if len(names) != 1 or not found:
        raise Refusal(f"There is no dial called {names[0]}.")
    return found


@verb
def set_dial(t: Things, bound: Bound) -> None:
    ids = _dials(t, bound)
    value = number_said(t, bound["v"])
    step = t.b.ahead.step(ids[0])
    if not isinstance(value, float):
        raise Refusal("A dial is set to a number.")
    if not step.fills["least"] - 1e-9 <= value <= step.fills["most"] + 1e-9:
        raise Final(f"{t.b.ahead.name(ids[0])} goes from {step.fills['least']:g} to {step.fills['most']:g}.".replace("-", "−"))
    t.b.act(Move(numbers={ids[0]: [value]}))


@verb
def step_dial(t: Things, bound: Bound) -> None:
    """ "increase r by 1"."""
    ids, by = _dials(t, bound), number_said(t, bound["v"])
    if not isinstance(by, float):
        raise Refusal("Only a dial is increased or decreased, by a number.")
    value = t.b.ahead.value(ids[0]) + (by if "increase" in bound.get("words", ()) else -by)
    set_dial(t, {**bound, "v": Amount(f"{value:g}")})


@verb
def move_point(t: Things, bound: Bound) -> None:
    node = bound["n"]
    if not isinstance(node, Named) or len(node.points) != 1:
        raise Refusal("Only a free point can be put somewhere: move A to (1, 1).")
    name = node.points[0]
    if not t.b.has(name):
        if "move" in bound.get("words", ()) or "set" in bound.get("words", ()) or "rest" in bound:
            raise Refusal(f"There is no point called {name}.")
        t.b.make("free_point", {"at": tuple(float(part) for part in bound["place"])}, name)
        return
    id = t.b.point(name)
    if t.b.ahead.step(id).moves != "free":
        raise Refusal(f"Only a free point can be put somewhere, and {name} is none: move A to (1, 1).")
    if "place" in bound:
        x, y = (float(part) for part in bound["place"])
    else:
        x, y = _by_steps(t, id, bound["rest"])
    t.b.act(Move(numbers={id: [x, y]}))


def _by_steps(t: Things, id: str, rest: Any) -> tuple[float, float]:
    """ "up 2", "3 to the right", "2 left and 1 down"."""
    x, y = t.b.now(id)[:2]
    words = [token.text.lower() for token in rest if token.text.lower() not in ("and", "to", "the", "by", ",", "units", "cm", "m", "mm")]
    numbers, ways = [word for word in words if word[0].isdigit()], [word for word in words if word in WAYS]
    if len(numbers) != len(ways) or not ways or len(words) != 2 * len(ways):
        said = " ".join(token.text for token in rest).removeprefix("to ")
        raise Refusal(f"“({said[:30]})” is not a place. Say: move A to (1, 1), or move A up 2.")
    for number, way in zip(numbers, ways):
        x, y = x + WAYS[way][0] * float(number), y + WAYS[way][1] * float(number)
    return x, y
