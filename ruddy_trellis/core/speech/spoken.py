"""From phrases to things on a board: what a name, a reference, a description and a place stand for, there or made.

What fills a gap of a kind is in ``things``; what a description makes in the files of its kind: ``points``, ``straights``, ``rounds``,
``shapes``, ``readings``, ``images``.
"""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import replace
from typing import Any

from ..arithmetic import FLOATS
from ..catalogue import CATALOGUE
from ..edits.models import Move
from ..formulas.measures import polygon_area
from ..kinds import CIRCLE, LINE, NUMBER, POINT, POLYGON, join, with_article, word
from ..language import names as spelling
from ..refusal import Refusal
from .amounts import as_told
from .building import Building
from .nodes import Described, Many, Named, Node, Ref, Where, leaves
from .nouns import CORNERS, KINDS_OF, MADE_AS, MAKERS, MEETING, OF_NAMED, ONE_LETTER, OWN_NAMES, check_words
from .refusals import Final, Stray
from .shape_sorts import Measured, is_of_sort

#: Nouns of which several may be one thing: "the points 2 from A" are a circle, "vectors AB and AC" are made one after the other.
_MANY_IN_ONE = frozenset(("point", "vector"))
#: Which one is meant of several that are there, in the order in which they were made; the other one is the one that was not spoken of.
_BY_ORDER = {"first": 0, "second": 1, "third": 2, "last": -1, "other": 0}
#: Nouns of things that are told apart so.
_ORDERED = frozenset(("circle", "line", "segment", "ray", "arc", "polygon", *CORNERS)) & frozenset(KINDS_OF)
#: Nouns of which two numbers in brackets say how far, and not where.
_SHIFTS = frozenset(("translation", "vector", "image", "shear"))


class Spoken:
    """What phrases stand for on the board of a building.

    Attributes:
        b: the building.
        names: what the next things that are made are to be called, by the sentence around them; taken as they are made.
        selected: the ids of what is selected on the board, for "it" in an act.
        is_supposing: whether what is claimed is only supposed.
        is_asked: whether it is asked whether something is so: "OM ⊥ BC?".
    """

    def __init__(self, building: Building) -> None:
        self.b = building
        self.names: list[str] = []
        self.selected: list[str] = []
        self.is_supposing = False
        self.is_asked = False

    def check_told(self) -> None:
        """Raise Refusal where it is asked whether something is so: then nothing is made so."""
        if self.is_asked:
            raise Refusal("That is a question, and what it is about is not there.")

    # Names to give.

    def take_name(self, kind: str) -> str | None:
        """The name that waits for the next thing, as it is spelt for a thing of that kind."""
        return self.b.free_name(self.names.pop(0), kind) if self.names else None

    def make(self, key: str, **fills: Any) -> str:
        """Make a thing with the name that waits, if one does."""
        kind = CATALOGUE[key].makes
        return self.b.make(key, {name.rstrip("_"): fill for name, fill in fills.items()}, self.take_name(kind))

    def aside(self, work: Callable[[], Any]) -> Any:
        """Do something while no name waits: it is what things are made from."""
        waiting, self.names = self.names, []
        self.b.made_from += 1
        try:
            return work()
        finally:
            self.names = waiting
            self.b.made_from -= 1

    def point_aside(self, node: Node) -> str:
        """A point that something is made from."""
        return self.aside(lambda: self.point(node))

    # Kinds of things.

    def all_of(self, node: Node) -> list[str]:
        """The ids of everything that a phrase stands for, made where it has to be."""
        if isinstance(node, Many):
            return [id for item in node.items for id in self.all_of(item)]
        if isinstance(node, Described):
            return self.described(node)
        if isinstance(node, Named):
            return [self.named_thing(node)]
        if isinstance(node, Ref):
            return self.referred(node)
        if isinstance(node, Where):
            return MEETING[0](self, node)
        raise Refusal(f"{as_told(node)} is no thing on the board.")

    def described(self, node: Described) -> list[str]:
        """The ids of what a description makes, or of what is there that it speaks of."""
        if self.b.made_from and not node.kind and not node.plural and node.head in KINDS_OF and self.b.of_kind(*KINDS_OF[node.head]):
            node = replace(node, kind="old")
        if "its" in node.adjectives and node.role("of") is None and node.head not in OWN_NAMES:
            node = replace(node.of_it(), kind="")
        there = self._there(node)
        if there is not None:
            self.b.recent.note(there)
            return there
        if (
            node.kind == "old"
            and node.head in KINDS_OF
            and not (node.names or node.roles or node.amounts or node.adjectives)
            and node.head not in ("side", "chord", "line", "segment", "point")
        ):
            if node.head == "triangle" and self.b.triangles():
                return [self.b.polygon(self.b.triangle())]
            if node.head == "circle" and (ring := self.b.cyclic_ring()):
                return self.b.make_all("circumcircle", dict(zip("abc", ((id,) for id in ring[:3]))))
            raise Refusal(f"There is no {node.head.replace('-', ' ')} here.")
        return self.made(node)

    def made(self, node: Described) -> list[str]:
        """The ids of what a description makes. Every word of it has to be one that its noun takes. Raises Refusal."""
        maker = MAKERS.get(node.head)
        if maker is None:
            raise Refusal(f"“{node.head.replace('-', ' ')}” is not made by a sentence.")
        node = node.of_it()
        if node.head == "circle" and {"inscribe", "circumscribe"} & set(node.adjectives):
            head = "incircle" if "inscribe" in node.adjectives else "circumcircle"
            return self.made(
                replace(node, head=head, adjectives=tuple(word for word in node.adjectives if word not in ("inscribe", "circumscribe")))
            )
        if node.names and node.role("of") is None and (node.head in OF_NAMED or (node.head in ONE_LETTER and self._are_there(node.names))):
            node = replace(node, names=(), roles=(*node.roles, ("of", node.names[0] if len(node.names) == 1 else Many(node.names))))
        check_words(node)
        if (
            node.names
            and node.head not in OWN_NAMES
            and all(isinstance(name, Named) and len(name.points) < 2 and name.at is None for name in node.names)
        ):
            # "the centroid G": a name for what is made.
            self.names[:0] = [name.text for name in node.names if isinstance(name, Named)]
            node = replace(node, names=())
        if node.names and node.head in ONE_LETTER:
            # "the midpoints d e f": a letter for each of them.
            letters = [point for name in node.names if isinstance(name, Named) for point in name.points]
            if not node.plural or any(self.b.has(letter) for letter in letters):
                raise Refusal(f"What is {letters[0] if letters else 'that'} to a {node.head.replace('-', ' ')}?")
            self.names[:0] = letters
            node = replace(node, names=())
        self._check_counts(node)
        before, spoken = len(self.b.ahead), [id for id in self.b.recent.ids if id in self.b.ahead]
        found = maker(self, node)
        if not found:
            raise Refusal(f"It is not clear which {node.head.replace('-', ' ')} is meant.")
        if node.count and node.count > 1 and len(set(found)) not in (1, node.count):
            raise Stray(f"{node.count} are asked for, and there are {len(set(found))}.")
        if node.plural and len(set(found)) == 1 and node.head not in _MANY_IN_ONE:
            raise Refusal(f"More than one {node.head.replace('-', ' ')} is asked for, and that makes one.")
        self._check_it(node, spoken, before)
        self._check_places(node)
        self.check_made(node, found)
        self.b.recent.note(found)
        if node.head == "diameter":
            # A point "on it" is one of the circle that was made with its diameter.
            self.b.recent.note(step.id for step in self.b.ahead.steps[before:] if step.makes == CIRCLE)
        return found

    def _check_counts(self, node: Described) -> None:
        """Raise Refusal where another number of things is said than is named, or than there are: no number is dropped."""
        points = [len(name.points) or 1 if node.head == "point" and isinstance(name, Named) else 1 for name in node.names]
        named = sum(points) or len(self.names)
        if node.count and node.count > 1 and named > 1 and named != node.count:
            raise Stray(f"{node.count} are said, and {named} named.")
        corners = [len(self.b.ahead.step(id).fills.get("corners", ())) for id in self.b.of_kind(POLYGON)]
        there = {"point": len(self.b.of_kind(POINT)), **dict.fromkeys(("side", "angle", "corner"), max(corners, default=0))}
        for part in (part for _, part in node.roles):
            if not isinstance(part, Described) or part.kind not in ("old", "all") or part.names or not part.count:
                continue
            known = there.get(part.head, 0)
            # Of several points that are there some may have been spoken of; sides, angles and corners are all of them.
            if 0 < known < part.count or (known > part.count and part.head != "point" and not part.roles and not part.adjectives):
                raise Stray(f"There are {known} {part.head}s, not {part.count}.")

    def _check_it(self, node: Described, spoken: Sequence[str], before: int) -> None:
        """Raise Refusal where something is said of "it", and nothing that was made hangs on anything that was spoken of.

        Args:
            before: how many steps there were.
        """
        made = [step.id for step in self.b.ahead.steps[before:]]
        # A point off it is put somewhere else, and hangs on nothing.
        parts = (part for role, part in node.roles if role != "off")
        said = next((leaf for part in parts for leaf in leaves(part) if isinstance(leaf, Ref)), None)
        if said is None or not made:
            return
        known = {*spoken, *self.b.ahead.ancestors(spoken)}
        if known.isdisjoint(self.b.ahead.ancestors(made)):
            raise Stray(f"What “{said.word}” is to a {node.head.replace('-', ' ')} is not understood.")

    def _check_places(self, node: Described) -> None:
        """Raise Refusal where a place is said of a point, and no such point is there: "the triangle with vertices A(1, 2), …"."""
        if node.head in _SHIFTS:
            return
        for leaf in (leaf for part in (*node.names, *(part for _, part in node.roles)) for leaf in leaves(part)):
            if not isinstance(leaf, Named) or leaf.at is None:
                continue
            at = tuple(map(_plain, leaf.at))
            there = [self.b.ahead.value(step.id) for step in self.b.ahead.steps if step.makes == POINT]
            if not any(value is not None and math.dist(value[:2], at) < 1e-9 for value in there):
                raise Stray(f"The place ({leaf.at[0]}, {leaf.at[1]}) is not understood of a {node.head.replace('-', ' ')}.")

    def _are_there(self, names: Sequence[Node]) -> bool:
        """Whether one name of several points that are there is said: of "the centroid ABC", and not of "the midpoints DE"."""
        return len(names) == 1 and isinstance(names[0], Named) and len(names[0].points) > 1 and all(map(self.b.has, names[0].points))

    def check_made(self, node: Described, made: Sequence[str]) -> None:
        """Raise Refusal where what was made of a description is not so: looked at where parts are measured (see ``things.Things``)."""

    def _there(self, node: Described) -> list[str] | None:
        """What a description speaks of that is there: "the circle", "line l", "the altitude"; None where it is to be made."""
        b = self.b
        if len(node.names) == 1 and isinstance(node.names[0], Named) and not node.roles:
            name = spelling.tidy(node.names[0].text)
            ids = b.ahead.ids_named(name)
            kinds = KINDS_OF.get(node.head, ())
            fitting = [id for id in ids if b.kind(id) in kinds or (node.head in MADE_AS and b.ahead.step(id).does in MADE_AS[node.head])]
            if fitting:
                return self._of_right_sort(node, fitting)
            if node.head == "angle" and ids and any(b.kind(id) == NUMBER for id in ids) and not node.names[0].points:
                return ids[:1]
        if node.head == "circle" and (found := self.circle_there(node)):
            return found
        if node.names or node.roles or node.kind == "new" or node.amounts:
            return None
        if node.head == "image" and node.kind == "old" and not node.adjectives:
            found = [step.id for step in b.ahead.steps if b.is_image(step.id) and not step.look.hidden]
            if not found:
                raise Refusal("There is no image here.")
            corners = {corner for id in found for corner in b.ahead.step(id).fills.get("corners", ())}
            parts = [id for id in found if id not in corners] if not node.plural else [id for id in found if b.kind(id) != POLYGON] or found
            return b.recent_of(parts, node.count or len(parts)) if node.plural else [parts[-1]]
        if node.head in MADE_AS and node.kind != "all":
            found = [step.id for step in b.ahead.steps if step.does in MADE_AS[node.head]]
            if found and (node.kind == "old" or len(found) == 1) and not node.plural:
                return [b.only(node.head, found)]
            if found and node.plural and len(found) >= (node.count or 2):
                return found[-(node.count or len(found)) :]
            return None
        if node.head in MADE_AS and node.kind == "all" and not node.adjectives:
            found = [step.id for step in b.ahead.steps if step.does in MADE_AS[node.head]]
            if len(found) == (node.count or 2 if node.head == "tangent" else 3):
                return found
            return None
        if node.kind == "old" and len(node.adjectives) == 1 and node.adjectives[0] in _BY_ORDER and node.head in _ORDERED:
            return self._by_order(node)
        if node.head not in KINDS_OF or (node.adjectives and node.adjectives not in (("same",), ("small",))):
            return None
        if node.head in CORNERS and node.kind != "old":
            return None
        found = self._of_right_sort(node, b.of_kind(*KINDS_OF[node.head]), quiet=True)
        if node.head == "line":
            found = [id for id in found if b.kind(id) == LINE] or found
        if node.plural and node.kind in ("old", "all"):
            if not found:
                return None
            if node.count and len(found) < node.count:
                raise Stray(f"There are not {node.count} of them, but {len(found)}.")
            if node.count and len(found) > node.count:
                found = [id for id in b.recent.ids if id in found][-node.count :] if any(id in b.recent.ids for id in found) else found
                b.guesses.append(f"“the {node.count} {node.head}s” as {join([b.ahead.name(id) for id in found])}")
            return found
        if "small" in node.adjectives:
            return [min(found, key=self._extent)] if len(found) > 1 and node.kind == "old" else None
        if node.kind == "old" and found:
            return [b.only(node.head, found)]
        return None

    def _by_order(self, node: Described) -> list[str]:
        """The first, the second, the last or the other one of the things of a kind that are there. Raises Refusal."""
        ordinal, noun = node.adjectives[0], node.head
        found = self._of_right_sort(node, self.b.of_kind(*KINDS_OF[noun]), quiet=True)
        if noun == "line":
            found = [id for id in found if self.b.kind(id) == LINE] or found
        if ordinal == "other":
            found = [id for id in found if id not in self.b.recent.now]
            if len(found) != 1:
                raise Refusal(f"Which other {noun} is meant? Name it.")
            return found
        place = _BY_ORDER[ordinal]
        if len(found) < max(place + 1, 2) or node.plural:
            raise Refusal(f"There is no {ordinal} {noun} here." if not node.plural else f"Name the {noun}s.")
        return [found[place]]

    def _extent(self, id: str) -> float:
        """How large a circle or a polygon is now, to tell the small one of several."""
        value = self.b.ahead.value(id) or ()
        if self.b.kind(id) == POLYGON:
            return float(polygon_area(FLOATS, tuple(value)))
        return float(value[2]) if self.b.kind(id) == CIRCLE and value else math.inf

    def circle_there(self, node: Described) -> list[str] | None:
        """The circle that is there of which its centre, or a point on it, is said and nothing else: "circle O", "the circle with centre O".
        None where there is none, or more than one."""
        if node.kind == "new" or node.adjectives or node.amounts or node.extra or node.plural or len((*node.names, *node.roles)) != 1:
            return None
        if node.roles and node.kind != "old":
            return None
        role, part = node.roles[0] if node.roles else ("centre", node.names[0])
        if not isinstance(part, Named) or len(part.points) != 1 or not self.b.has(part.points[0]) or role not in ("through", "centre"):
            return None
        point = self.b.point(part.points[0])
        steps = [(id, self.b.ahead.step(id)) for id in self.b.of_kind(CIRCLE)]
        found = [id for id, step in steps if (point in self.b.points_on(id) if role == "through" else step.fills.get("centre") == (point,))]
        return found if len(found) == 1 else None

    def _of_right_sort(self, node: Described, ids: Sequence[str], quiet: bool = False) -> list[str]:
        count = CORNERS.get(node.head)
        if count is None:
            return list(ids)
        found = [id for id in ids if len(self.b.ahead.value(id) or self.b.ahead.step(id).fills.get("corners", ())) == count]
        if not quiet:
            if not found:
                raise Refusal(f"{self.b.ahead.name(ids[0])} is no {node.head}.")
            self.check_sort(node, found[0])
            return found
        return [id for id in found if self._is_of_sort(node, id)]

    def _is_of_sort(self, node: Described, polygon: str) -> bool:
        value = self.b.ahead.value(polygon)
        return value is None or is_of_sort(Measured({str(number): complex(*at) for number, at in enumerate(value)}), node)

    def check_sort(self, node: Described, polygon: str) -> None:
        """Raise Refusal where a polygon that is there is not of the sort that a description says, as it is drawn."""
        if not self._is_of_sort(node, polygon):
            raise Final(f"{self.b.ahead.name(polygon)} is no {' '.join((*node.adjectives, node.head))} as it is drawn.")

    def named_thing(self, node: Named) -> str:
        """The thing of a name: what is there, or the straight thing or shape that points spell."""
        b = self.b
        if node.at is not None:
            return self.point(node)
        ids = b.ahead.ids_named(spelling.tidy(node.text))
        if ids:
            b.recent.note(ids[:1])
            return ids[0]
        if len(node.points) == 1:
            return b.point(node.points[0])
        if len(node.points) == 2:
            ends = b.points(node.points)
            return b.straight_between(*ends) or b.make("segment", {"from": ends[:1], "to": ends[1:]})
        if len(node.points) > 2:
            return b.polygon(b.points(node.points))
        raise Refusal(f"Nothing here is called {node.text}.")

    def referred(self, node: Ref) -> list[str]:
        found = [id for id in self.b.recent.ids if id in self.b.ahead]
        if not found:
            raise Refusal(f"Nothing was spoken of that “{node.word}” could be.")
        return [found[-1]]

    def point(self, node: Node) -> str:
        """The one point that a phrase stands for."""
        found = self.points(node)
        if len(found) != 1:
            raise Refusal(f"One point is needed here, not {len(found)}.")
        return found[0]

    def _put(self, point: str, at: tuple[float, float]) -> str:
        """A point that is there and of which a place is said: it is moved there. Raises Refusal where it cannot be."""
        b = self.b
        if b.ahead.value(point) != at:
            if b.ahead.step(point).moves != "free" or not b.makes or point not in b.board:
                raise Refusal(f"{b.ahead.name(point)} is there already, and is elsewhere.")
            b.act(Move(numbers={point: list(at)}))
        return point

    def points(self, node: Node) -> list[str]:
        """The points that a phrase stands for."""
        b = self.b
        if isinstance(node, Many):
            return [id for item in node.items for id in self.points(item)]
        if isinstance(node, Named):
            if node.at is not None:
                x, y = (number for number in map(_plain, node.at))
                name = b.free_name(node.text, POINT)
                if b.has(name):
                    return [self._put(b.point(name), (x, y))]
                return [b.make("free_point", {"at": (x, y)}, name)]
            if node.points:
                return list(b.points(node.points))
            ids = b.ahead.ids_named(spelling.tidy(node.text))
            if ids:
                raise Refusal(f"{node.text} is {with_article(word(b.kind(ids[0])))}; a point is needed here.")
            return list(b.points((b.free_name(node.text, POINT),)))
        if isinstance(node, Ref):
            found = [id for id in b.recent.ids if id in b.ahead and b.kind(id) == POINT]
            if not found:
                raise Refusal("No point was spoken of.")
            if node.word == "them":
                last = [id for id in found if id in b.last_group]
                return last if len(last) > 1 else found if len(b.of_kind(POINT)) == len(found) == 2 else found[-2:]
            return found[-1:]
        if isinstance(node, Described) and node.head in ("point", "corner") and node.names and not node.roles:
            check_words(node)  # "turn point B clockwise": what is said of the turn is no part of the point
            return [id for name in node.names for id in self.points(name)]
        if isinstance(node, (Described, Where)):
            found = self.aside(lambda: self.all_of(node))
            if not all(b.kind(id) == POINT for id in found):
                raise Refusal("A point is needed here.")
            return found
        raise Refusal("A point is needed here.")


def _plain(text: str) -> float:
    return float(text.replace("−", "-"))
