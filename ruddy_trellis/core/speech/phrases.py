"""What is spoken of: names, amounts, descriptions, lists, references. A stretch of tokens gives trees, the longest first."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from . import english, english_amounts
from .amount_phrases import AmountPhrases
from .nodes import Amount, Described, Many, Multiple, Named, Node, Quoted, Ref, Where, goes_on
from .tokens import NAME, NUMBER, QUOTE, WORD, Token

#: A tree, and before which token its stretch ends.
Parse = tuple[Node, int]

#: How many ways to take a stretch from one place are kept.
_MOST = 14
#: Parts that may be lists.
_LISTED = english.words(
    """
    between of from through to with sides angles about foci corners on in by and tangent at diameter centre equidistant radius diagonals
    """
)
#: How many descriptions are gone on with in one text: some hundred times what a sentence takes that somebody says.
_STEPS = 3_000
#: Bare adverbs that a description may end with: they are kept beside its parts and each has to be met.
_ADVERBS = english.words(
    """
    clockwise anticlockwise external internal as-base as-centre as-diameter as-radius in-the-middle
    """
)
#: What those of them that say on which side something is are not said of: it is said of what stands on it.
_NO_SIDES = english.words("side segment chord diameter radius hypotenuse base")
#: The words that lead parts in, with the part, by their first word, the longest first.
_ROLES: dict[str, list[tuple[tuple[str, ...], str]]] = {}
for _text, _role in sorted(english.ROLES, key=lambda pair: -len(pair[0].split())):
    _ROLES.setdefault(_text.split()[0], []).append((tuple(_text.split()), _role))
#: Parts that say what a thing has.
_HAS = english.words("with side sides base radius height facts angles diagonals")
#: Which parts a noun takes; for others any.
_NONE: frozenset[str] = frozenset()


class Phrases(AmountPhrases):
    """All phrases of one list of tokens.

    Args:
        said: the tokens.
    """

    def __init__(self, said: Sequence[Token]) -> None:
        super().__init__(said)
        self._known: dict[tuple[str, int], list[Parse]] = {}
        self._busy: set[tuple[str, int]] = set()
        self._left = _STEPS

    def at(self, start: int) -> list[Parse]:
        """The ways to take a phrase that starts at a token, lists included, the longest first."""
        return self._once("list", start, self._lists)

    def one(self, start: int) -> list[Parse]:
        """The same without lists."""
        return self._once("one", start, self._ones)

    def _once(self, what, start, work) -> list[Parse]:
        key = (what, start)
        if key in self._known:
            return self._known[key]
        if key in self._busy or start >= len(self.said):
            return []
        self._busy.add(key)
        found: dict[tuple[Node, int], None] = dict.fromkeys(work(start))
        self._busy.discard(key)
        ways = sorted(found, key=lambda parse: -parse[1])
        if len(ways) > _MOST:
            # One of each of the shorter ends too: what follows it may be facts, and no part of the phrase.
            shorter = {end: (node, end) for node, end in reversed(ways[_MOST:]) if end < ways[_MOST - 1][1]}
            ways = [*ways[:_MOST], *reversed(shorter.values())]
        self._known[key] = ways
        return ways

    # Lists.

    def _lists(self, start: int):
        for first, end in self.one(start):
            yield first, end
            yield from self._more([first], end)

    def _more(self, items: list[Node], end: int):
        """A list that goes on after its first items."""
        after = end
        joined = False
        if isinstance(items[-1], Named) and items[-1].at is not None and after < len(self.said) and self.said[after].kind == NAME:
            for item, stop in self.one(after)[:2]:
                if isinstance(item, Named) and item.at is not None:
                    yield Many((*items, item)), stop
                    yield from self._more([*items, item], stop)
        if self.word(after) in (",", "and", "&"):
            joined = self.word(after) == "and"
            after += 1
            if self.word(after) == "and":
                after, joined = after + 1, True
        if after == end or len(items) > 8:
            return
        for item, stop in self.one(after)[:4]:
            if not _goes_with(items[0], item) or goes_on(items[-1], item):
                continue
            every = [*items, item]
            if joined or len(every) > 1:
                yield Many(tuple(every)), stop
            yield from self._more(every, stop)

    # One phrase.

    def _ones(self, start: int):
        token = self.said[start]
        if token.kind == QUOTE:
            yield Quoted(token.word), start + 1
            return
        if token.kind == NAME:
            yield from self._names(start)
            yield from self.amounts(start)
            return
        if token.kind == NUMBER or (self.word(start) in ("-", "√") and start + 1 < len(self.said) and self.said[start + 1].kind == NUMBER):
            yield from self._times(start)
            yield from self.amounts(start)
        if self.word(start) == "(" and (pair := self.coordinates(start)) is not None:
            yield Described("point", kind="new", roles=(("at_place", Named("", (), pair[0])),)), pair[1]
        if token.word in ("it", "them") and token.kind == WORD:
            yield Ref(token.word), start + 1
        if token.word in english_amounts.MULTIPLES and token.kind == WORD:
            yield from self._multiples(start)
        is_part = self.word(start + 1) in english_amounts.PARTS and self.word(start + 2) not in english.HEADS
        if token.kind == WORD and token.word in english_amounts.AMOUNTS:
            yield from self._times(start)
        if token.kind == WORD and token.word in english_amounts.AMOUNTS and (is_part or not self._leads_to_noun(start + 1)):
            yield from self.amounts(start)
        if token.kind == WORD and self.word(start) == "where":
            yield from self._wheres(start + 1)
        yield from self._described(start)

    def _leads_to_noun(self, place: int) -> bool:
        return self.word(place) in english.HEADS or self.word(place) in english.ADJECTIVES

    def _names(self, start: int):
        token = self.said[start]
        end = start + 1
        at = end + (self.word(end) in ("at", ":", "="))
        if (pair := self.coordinates(at)) is not None:
            yield Named(token.text, token.points, pair[0]), pair[1]
        named = Named(token.text, token.points)
        # "AD perpendicular to BC": a line through two points that has parts of its own.
        if len(token.points) == 2 or not token.points:
            for role, _place in self._roles_at(end):
                if role in ("perpendicular", "parallel", "tangent", "length", "equal"):
                    yield from self._with_roles(Described("line", names=(named,), kind="new"), end)
                    break
            if self.word(end) == "=" and self.word(end + 1) == "and":
                yield from self._with_roles(Described("line", names=(named,), kind="new", extra=("equal",)), end + 2)
        if len(token.points) == 2 and self.word(end) == "produce" and self.word(end + 1) == "beyond" and end + 2 < len(self.said):
            ends = token.points if self.said[end + 2].text == token.points[1] else token.points[::-1]
            if self.said[end + 2].text in token.points:
                yield Described("line", names=(Named("".join(ends), ends),), extra=("produced",)), end + 3
        if len(token.points) == 2 and self.word(end) == "produce":
            yield Described("line", names=(named,), extra=("produced",)), end + 1
        # "r degrees", "r cm" and the like are amounts.
        if end < len(self.said) and self.word(end) in english_amounts.UNITS and not token.points:
            yield Amount(f"{token.text} {self.said[end].text}"), end + 1
        if self.word(end) == "itself":
            yield named, end + 1
        yield named, end

    def _multiples(self, start: int):
        """ "twice r", "half of AB", "double the radius"."""
        after = self.after_length_of(start + 1 + (self.word(start + 1) == "of"))
        for node, end in self.one(after)[:3]:
            factor = f"{english_amounts.MULTIPLES[self.said[start].word]:g}"
            if isinstance(node, Named):
                yield from self._with_unit(f"{factor} * {node.text}", end)
            elif isinstance(node, Described) and node.head in _QUANTITIES and not node.plural:
                yield Multiple(f"{factor} times that", factor, node), end

    def _times(self, start: int):
        """ "1.5 times the radius of k", "2/3 of the distance from A to B", "3/4 the length of AB"."""
        for node, end in self.amounts(start):
            is_share = isinstance(node, Amount) and "/" in node.text
            led = self.word(end) in ("time", "times", "*") or (is_share and self.word(end) == "of")
            if not led and not (is_share and self.word(end) == "the"):
                continue
            for of, stop in self.one(end + led)[:3]:
                if isinstance(of, Described) and of.head in _QUANTITIES and not of.plural:
                    yield Multiple(f"{node.text} times that", node.text, of), stop

    def _wheres(self, start: int):
        """ "where l and m meet", "where l meets m", "where it meets m again"."""
        begin = start + (self.word(start) == "does")
        for one, end in self.at(begin):
            if self.word(end) == "meets" or self.word(end) == "concurrent":
                after = end + 1
                again = self.word(after) == "again"
                if self.word(end) == "meets":
                    for other, stop in self.at(after + again):
                        trailing = self.word(stop) == "again"
                        yield Where(one, other, again or trailing), stop + trailing
                yield Where(one, None, again), after + again + (self.word(after + again) == "each-other")

    def _described(self, start: int):
        place = start
        kind, count, plural = "", None, False
        adjectives: list[str] = []
        amounts: list[str] = []
        while place < len(self.said):
            token, word = self.said[place], self.word(place)
            if word in english.ALL_ONES:
                kind, count, place = "all", 2 if word == "both" else count, place + 1
            elif word in ("a", "an", "any", "some", "another", "new"):
                kind, place = "new" if kind != "all" else kind, place + 1
                if word == "another":
                    adjectives.append("other")
            elif word in ("the", "same", "its", "it"):
                kind, place = kind or "old", place + 1
                if word in ("its", "same"):
                    adjectives.append(word)
            elif word == "of" and kind == "all":
                place += 1
            elif word in english_amounts.NUMBERS and self._noun_ahead(place + 1) and self.word(place + 1) != "the":
                count, place = english_amounts.NUMBERS[word], place + 1
            elif (
                token.kind == NUMBER
                and token.text.isdigit()
                and self._noun_ahead(place + 1)
                and self.word(place + 1) not in ("the", *english_amounts.UNITS)
            ):
                count, place = int(token.text), place + 1
            elif token.kind in (NUMBER,) and (found := self._amount_before_noun(place)) is not None:
                amounts += found[0]
                place = found[1]
            elif word in english.ADJECTIVES and not (word in english.HEADS and not self._noun_ahead(place + 1)):
                adjectives.append(word)
                place += 1
                if self.word(place) in (",", "and") and self.word(place + 1) in english.ADJECTIVES:
                    place += 1
            elif (
                word in ("radius", "diameter")
                and place + 1 < len(self.said)
                and self.said[place + 1].kind == NUMBER
                and (found := self._amount_before_noun(place + 1)) is not None
            ):
                amounts += [*found[0], word]
                place = found[1]
            else:
                break
        if (
            place < len(self.said)
            and self.said[place].kind == NAME
            and len(self.said[place].points) == 3
            and {"isosceles", "equilateral", "right-angled", "scalene"} & set(adjectives)
        ):
            yield from self._named(Described("triangle", tuple(adjectives), (), (), count, kind, False, tuple(amounts)), place)
            return
        if place >= len(self.said) or self.said[place].kind != WORD or self.said[place].word not in english.HEADS:
            return
        head = self.said[place]
        plural = head.plural or (count or 0) > 1 or kind == "all"
        if head.word in ("bisector",) and "perpendicular" in adjectives:
            adjectives.remove("perpendicular")
            base = Described("perpendicular-bisector", tuple(adjectives), (), (), count, kind, plural, tuple(amounts))
        else:
            base = Described(head.word, tuple(adjectives), (), (), count, kind, plural, tuple(amounts))
        yield from self._named(base, place + 1)

    def _noun_ahead(self, place: int) -> bool:
        """Whether after words that may stand before a noun there is one."""
        for ahead in range(place, min(place + 4, len(self.said))):
            if self.word(ahead) in english.HEADS:
                return True
            if self.word(ahead) not in english.ADJECTIVES and self.word(ahead) not in ("of", "the", "same"):
                return False
        return False

    def _amount_before_noun(self, place: int) -> tuple[list[str], int] | None:
        """ "3 cm", "6 by 4", "60 mm by 40 mm", "60°" before a noun."""
        found: list[str] = []
        while True:
            ways = [(node, end) for node, end in self.amounts(place) if isinstance(node, Amount)]
            if not ways or self.said[place].kind != NUMBER:
                return None
            node, place = max(ways, key=lambda way: way[1])
            found.append(node.text)
            if self.word(place) in ("by", "*") or (place < len(self.said) and self.said[place].text in ("x", "×")):
                place += 1
                continue
            break
        while self.word(place) in english.ADJECTIVES or self.word(place) in ("radius", "diameter", "long", "side"):
            if self.word(place) in ("radius", "diameter", "side") and self._noun_ahead(place + 1):
                found.append(self.word(place))
            elif self.word(place) in ("radius", "diameter", "side"):
                return None
            elif self.word(place) in english.ADJECTIVES:
                return (found, place) if self._noun_ahead(place) else None
            place += 1
        return (found, place) if self._noun_ahead(place) else None

    def _named(self, base: Described, end: int):
        """A noun with names right after it: "triangle ABC", "the midpoints D, E and F", "circle k"."""
        if base.head == "point" and not base.names:
            # "a point M midway between A and B"
            named = end < len(self.said) and self.said[end].kind == NAME and len(self.said[end].points) <= 1
            if self.word(end + named) == "midpoint":
                for node, stop in self._described(end + named):
                    yield (replace(node, names=(Named(self.said[end].text, self.said[end].points),)) if named else node), stop
        if base.head == "angle" and self.word(end) in ("that", "which", ""):
            for one, stop in self.one(end + 1)[:3] if self.word(end) else ():
                if self.word(stop) == "makes" and self.word(stop + 1) == "with":
                    for other, last in self.one(stop + 2)[:3]:
                        yield base.with_role("between", Many((one, other))), last
        if self.word(end) == "call":
            end += 1
        if self.word(end) == "(" and base.head == "point":
            if (pair := self.coordinates(end)) is not None:
                yield from self._with_roles(base.with_role("at_place", Named("", (), pair[0])), pair[1])
        yield from self._with_roles(base, end)
        if end < len(self.said) and self.said[end].kind == NAME:
            items: list[Node] = []
            place = end
            while place < len(self.said) and self.said[place].kind == NAME:
                token = self.said[place]
                pair = self.coordinates(place + 1 + (self.word(place + 1) in ("at", ":")))
                if pair is not None and base.head == "point":
                    items.append(Named(token.text, token.points, pair[0]))
                    place = pair[1]
                else:
                    items.append(Named(token.text, token.points))
                    place += 1
                yield from self._with_roles(replace(base, names=tuple(items), plural=base.plural or len(items) > 1), place)
                if place < len(self.said) and self.said[place].kind == NAME and pair is not None:
                    continue
                if self.word(place) in (",", "and") and place + 1 < len(self.said):
                    place += 1 + (self.word(place + 1) == "and")
                    if place < len(self.said) and self.word(place) == base.head:
                        place += 1
                else:
                    break

    def _roles_at(self, place: int) -> list[tuple[str, int]]:
        """The roles whose words stand at a place, and where their words end, the longest first."""
        found = []
        for words, role in _ROLES.get(self.word(place), ()):
            at = place
            for word in words:
                while word not in ("the", "a", "an") and self.word(at) in ("the", "a", "an") and at > place:
                    at += 1
                if self.word(at) != word:
                    break
                at += 1
            else:
                found.append((role, at))
        return found

    def _with_roles(self, base: Described, end: int, depth: int = 0):
        """A description with the parts that follow it, as many as there are and also fewer."""
        yield base, end
        self._left -= 1
        if depth >= 6 or self._left < 0:
            return
        if self.word(end) == "=" and base.head in ("segment", "line") and base.names and not base.roles and end + 1 < len(self.said):
            for size, stop in self.amounts(end + 1):
                yield base.with_role("length", size), stop
        if (role := _SIZES.get(base.head)) and base.names and not base.roles and end < len(self.said):
            # "segment MN 5 cm", "angle ABC of 60 degrees"
            after = end + (self.word(end) == "of")
            for size, stop in self.amounts(after) if after < len(self.said) and self.said[after].kind == NUMBER else ():
                if self.word(stop) not in ("long", "apart", "from", "away-from", "clockwise", "anticlockwise"):
                    yield from self._with_roles(base.with_role(role, size), stop, depth + 1)
        at = end + (self.word(end) == ",")
        adverb = self.word(at)
        if adverb in _ADVERBS and adverb not in base.extra and not (adverb in ("external", "internal") and base.head in _NO_SIDES):
            yield from self._with_roles(replace(base, extra=(*base.extra, adverb)), at + 1, depth + 1)
        # "5 cm long", "30° clockwise"
        if end < len(self.said) and (
            self.said[end].kind == NUMBER or (self.word(end) == "," and end + 1 < len(self.said) and self.said[end + 1].kind == NUMBER)
        ):
            begin = end + (self.word(end) == ",")
            for node, stop in self.amounts(begin):
                if self.word(stop) == "apart":
                    yield from self._with_roles(base.with_role("apart", node), stop + 1, depth + 1)
                elif self.word(stop) == "long":
                    yield from self._with_roles(base.with_role("length", node), stop + 1, depth + 1)
                elif self.word(stop) in ("from", "away-from") and base.head in ("point", "chord"):
                    for other, last in self.one(stop + 1)[:3]:
                        yield from self._with_roles(base.with_role("distance", node).with_role("from", other), last, depth + 1)
                elif self.word(stop) in ("clockwise", "anticlockwise"):
                    yield from self._with_roles(
                        replace(base, extra=(*base.extra, self.word(stop))).with_role("by", node), stop + 1, depth + 1
                    )
        start = end + (self.word(end) == ",")
        if self.word(start) == "drawn":
            start += 1
        if self.word(start) == "with":
            same = start + 1 + (self.word(start + 1) in ("the", "its"))
            if self.word(same) in ("same-centre", "same-radius") and self.word(same + 1) != "as":
                yield from self._with_roles(replace(base, extra=(*base.extra, self.word(same))), same + 1, depth + 1)
        if self.word(start) in ("and", ",") and base.roles:
            # "at A and at B": two things that are the same to what is described.
            for role, at in self._roles_at(start + 1):
                if role == base.roles[-1][0] and role not in ("radius", "and"):
                    for node, stop in self.one(at)[:4]:
                        before = base.roles[-1][1]
                        both = Many((*(before.items if isinstance(before, Many) else (before,)), node))
                        yield from self._with_roles(replace(base, roles=(*base.roles[:-1], (role, both))), stop, depth + 1)
        if base.head in _SIZED and start < len(self.said) and self.said[start].kind == NUMBER and not base.amounts:
            sizes = self.sizes(start)
            if sizes is not None:
                yield from self._with_roles(replace(base, amounts=tuple(sizes[0])), sizes[1], depth + 1)
        for role, place in self._roles_at(start):
            if role in ("perpendicular", "parallel", "tangent", "centre", "radius", "diameter", "length") and base.role(role) is not None:
                continue
            if (role == "and" and not base.roles) or (role in ("inside", "outside") and base.head == "side"):
                continue
            if role in ("is", "such_that") or (role != "and" and role in {name for name, _ in base.roles}):
                continue
            if role == "bisects" and self.word(start) == "and" and not self.said[place - 1].text.lower().endswith("ing"):
                continue  # "draw a line and bisect AB", which is another thing to be done
            if role == "where":
                for where, stop in self._wheres(place):
                    yield from self._with_roles(base.with_role("where", where), stop, depth + 1)
                continue
            ways = self.at(place) if role in _LISTED else self.one(place)
            if not ways and role in ("perpendicular", "parallel"):
                continue
            for node, stop in ways[:6]:
                if role == "and" and not isinstance(node, Amount):
                    continue
                if role == "centre" and isinstance(node, Named) and len(node.points) == 1 and self.said[place - 1].plural:
                    continue  # "centres A" and what goes on is no centre of all of them
                yield from self._with_roles(base.with_role(role, node), stop, depth + 1)


#: Nouns for what has a value that can be taken so many times.
_QUANTITIES = frozenset(("radius", "diameter", "length", "distance", "angle", "area", "perimeter", "size", "circumference"))
#: What a size is to what is drawn between ends that are named.
_SIZES = {"segment": "length", "angle": "size"}
#: Shapes whose sizes may follow their noun.
_SIZED = frozenset(("rectangle", "square", "triangle", "parallelogram", "rhombus"))


def _goes_with(first: Node, other: Node) -> bool:
    """Whether two phrases can stand in one list."""
    if isinstance(first, Described) and isinstance(other, Described) and other.head in english.ATTRIBUTES and not other.names:
        # "a rhombus with side AB and an angle of 60°": which is one more thing that it has.
        has = any(
            role in ("with", "base", "radius", "height", "facts", "angles", "diagonals", "area", "perimeter", "right_at", "hypotenuse")
            or role.startswith("side")
            for role, _ in first.roles
        )
        return not (has and other.kind in ("", "new"))
    if isinstance(first, Described) and isinstance(other, Described) and first.head == "circle" and other.head == "centre":
        return bool(other.kind)  # "two circles with radii 5 and 3 and centres A and B"
    if isinstance(first, Named) and len(first.points) == 1 and isinstance(other, Described) and other.head in ("radius", "diameter"):
        return bool(other.kind)  # "centre A and radius AB" is one circle's
    return not isinstance(first, Amount) or isinstance(other, Amount)
