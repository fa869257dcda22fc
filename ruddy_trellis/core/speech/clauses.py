"""Clauses laid over tokens: verbs with what goes with them, each way in which a stretch can be taken."""

from __future__ import annotations

import re
from collections.abc import Iterator, Sequence
from dataclasses import replace
from functools import lru_cache
from typing import Any

from . import english, english_amounts, english_synonyms
from .english_claims import CLAIMS, PROPERTIES
from .english_clauses import CLAUSES, LOOKS
from .nodes import Amount, Described, Many, Named, Node, Quoted
from .phrases import Phrases
from .tables import ClauseTable
from .tokens import NAME, NUMBER, QUOTE, SIGN, WORD, Token

#: What the slots of a clause were filled with.
Bound = dict[str, Any]
#: How many steps are taken to lay clauses over one text: some thirty times what a sentence takes that somebody says.
_STEPS = 12_000
#: What stands after a word of a clause that has to be said in the plural.
_PLURAL = "+"
_PART = re.compile(r"\{(\w+)\}|([\[\](|)])|([^\s\[\](|){}]+)")


@lru_cache(maxsize=1024)
def compiled(text: str) -> tuple[Any, ...]:
    """A clause as parts: words, slots as one-element tuples, choices as lists of such."""
    stack: list[list[list[Any]]] = [[[]]]
    for slot, sign, word in _PART.findall(text):
        if slot:
            stack[-1][-1].append((slot,))
        elif word:
            stack[-1][-1].append(english_synonyms.SAME.get(word, word))
        elif sign in "[(":
            stack.append([[]])
        elif sign == "|":
            stack[-1].append([])
        else:
            choices = stack.pop()
            if sign == "]":
                choices.append([])
            stack[-1][-1].append(choices)
    return tuple(stack[0][0])


@lru_cache(maxsize=8)
def laid_out(table: ClauseTable) -> list[tuple[str, tuple[Any, ...], frozenset[str], list[frozenset[str]]]]:
    """The clauses of a table as parts, each with the words that have to be there, and with those of which one has to be."""
    found = []
    for does, patterns in table:
        for parts in map(compiled, patterns):
            needed = frozenset(part.rstrip(_PLURAL) for part in parts if isinstance(part, str))
            choices = [
                frozenset(choice[0].rstrip(_PLURAL) for choice in part)
                for part in parts
                if isinstance(part, list) and all(choice and isinstance(choice[0], str) for choice in part)
            ]
            found.append((does, parts, needed, choices))
    return found


class Clauses:
    """All clauses of one list of tokens.

    Attributes:
        phrases: the phrases of the same tokens.
    """

    def __init__(self, said: Sequence[Token]) -> None:
        self.said = list(said)
        self.phrases = Phrases(self.said)
        self._left = _STEPS
        self._found: dict[int, list[tuple[str, Bound, int]]] = {}
        self._may_be: dict[int, list[tuple[str, tuple[Any, ...]]]] = {}
        self._words = {token.word for token in self.said if token.kind in (WORD, SIGN)} | {""}

    def longest(self, start: int) -> list[tuple[str, Bound, int]]:
        """The clauses that start at a token, those that take most of it first."""
        if start not in self._found:
            self._found[start] = sorted(self.from_(start), key=lambda one: -one[2])
        return self._found[start]

    def from_(self, start: int, table: ClauseTable = CLAUSES) -> Iterator[tuple[str, Bound, int]]:
        """The clauses that start at a token: the function of each, what fills its slots, and where it ends."""
        for does, parts in self._that_may_be(table):
            for bound, end in self.match(parts, start):
                if end > start:
                    yield does, bound, end

    def _that_may_be(self, table: ClauseTable) -> list[tuple[str, tuple[Any, ...]]]:
        """The clauses of a table whose words are all among the tokens, as parts."""
        if id(table) not in self._may_be:
            words = self._words
            self._may_be[id(table)] = [
                (does, parts)
                for does, parts, needed, choices in laid_out(table)
                if needed <= words and not any(map(words.isdisjoint, choices))
            ]
        return self._may_be[id(table)]

    def match(self, parts: Sequence[Any], at: int) -> Iterator[tuple[Bound, int]]:
        """The ways in which parts stand from a token on; of very many only the first."""
        self._left -= 1
        if self._left < 0:
            return
        if not parts:
            yield {}, at
            return
        part, rest = parts[0], parts[1:]
        if isinstance(part, str):
            is_plural, part = part.endswith(_PLURAL), part.rstrip(_PLURAL)
            here = at
            while self.phrases.word(here) != part and self.phrases.word(here) in english.IDLE and part not in ("the", "a", "an"):
                here += 1
            if self.phrases.word(here) == part and (not is_plural or self.said[here].plural):
                for bound, end in self.match(rest, here + 1):
                    yield {**bound, "words": (part, *bound.get("words", ()))}, end
            return
        if isinstance(part, list):
            for choice in part:
                yield from self.match((*choice, *rest), at)
            return
        (slot,) = part
        for value, stop in self._slot(slot, at):
            for bound, end in self.match(rest, stop):
                yield {slot: value, **bound}, end

    def _slot(self, slot: str, at: int) -> Iterator[tuple[Any, int]]:
        kind = slot.rstrip("0123456789") if slot not in ("x1", "y1") else slot
        if at >= len(self.said):
            if kind == "rest":
                yield (), at
            return
        if kind in ("x1", "y1"):
            yield from self.phrases.one(at)
        elif kind in ("x", "y", "z", "m", "s", "h", "k"):
            yield from self.phrases.at(at)
        elif kind == "n":
            yield from self._names(at)
        elif kind in ("v", "w") and slot != "w2":
            yield from self._values(at)
            if slot == "w":
                yield from self._properties(at)
        elif slot == "w2":
            yield from self.phrases.one(at)
        elif kind == "place":
            found = self.phrases.coordinates(at)
            if found is not None:
                yield found
        elif kind == "steps":
            yield from self._steps(at)
        elif kind == "r":
            for node, end in self.phrases._with_roles(Described("roles"), at):
                if end > at and isinstance(node, Described) and node.roles:
                    yield node, end
        elif kind == "c":
            if self.said[at].text.lower() in english.PENS:
                yield english.PENS[self.said[at].text.lower()], at + 1
        elif kind == "look":
            if self.said[at].text.lower() in LOOKS:
                yield LOOKS[self.said[at].text.lower()], at + 1
        elif kind == "q":
            if self.said[at].kind == QUOTE:
                yield Quoted(self.said[at].word), at + 1
        elif kind == "u":
            yield self.said[at].word, at + 1
        elif kind == "rest":
            yield tuple(self.said[at:]), len(self.said)
        elif kind == "claim":
            for does, bound, end in self.from_(at, CLAIMS):
                yield (does, bound), end
            yield from self._relations(at)
            if self.phrases.word(at) in ("is", "does"):
                yield from self._relations(at + 1)
        elif kind in ("facts", "fact"):
            yield from self._facts(at)
        elif kind in ("cond",):
            yield from self._conditions(at)
        elif kind == "ref":
            yield from self.phrases.at(at)

    def _steps(self, at: int) -> Iterator[tuple[tuple[str, str], int]]:
        """ "3 units right and 2 units down" as what it is across and up."""
        across = up = 0.0
        here = at
        while here < len(self.said) and self.said[here].kind == NUMBER:
            size = float(self.said[here].text)
            here += 1 + (self.phrases.word(here + 1) in english_amounts.UNITS)
            while self.phrases.word(here) in ("to", "the"):
                here += 1
            way = english.WAYS.get(self.said[here].word) if here < len(self.said) else None
            if way is None:
                return
            across, up, here = across + way[0] * size, up + way[1] * size, here + 1
            yield (f"{across:g}", f"{up:g}"), here
            while self.phrases.word(here) in ("and", ","):
                here += 1

    def _names(self, at: int) -> Iterator[tuple[Node, int]]:
        """A name or names: "M", "D, E and F", "ABC", each with what kind of thing it is said to be left out."""
        for node, end in self.phrases.at(at):
            if isinstance(node, Described) and node == Described("point", names=node.names, kind=node.kind, plural=True):
                node = Many(node.names) if len(node.names) > 1 else node  # "points D and E"
            items = node.items if isinstance(node, Many) else (node,)
            if all(isinstance(item, Named) and item.at is None for item in items):
                yield node, end
        token = self.said[at]
        if token.kind == QUOTE and re.fullmatch(r"\w['′]?\d*", token.word):
            yield Named(token.word, (token.word,) if token.word.isupper() else ()), at + 1

    def _values(self, at: int) -> Iterator[tuple[Node, int]]:
        if at >= len(self.said):
            return
        for node, end in self.phrases.one(at):
            if isinstance(node, Amount):
                yield node, end
        if self.said[at].kind in (WORD,) and self.said[at].word in english_amounts.AMOUNTS:
            yield Amount(f"{english_amounts.AMOUNTS[self.said[at].word]:g}"), at + 1

    def _properties(self, at: int) -> Iterator[tuple[str, int]]:
        """What a shape may be: "a parallelogram", "isosceles"; several words together are each kept."""
        here = at
        while self.phrases.word(here) in ("a", "an", "the", "always"):
            here += 1
        word = self.phrases.word(here)
        if word in PROPERTIES:
            after = here + 1
            if self.phrases.word(after) in ("triangle", "quadrilateral", "polygon") or (
                self.phrases.word(after) in english.HEADS and PROPERTIES[word][:2] not in ("a ",)
            ):
                after += 1
            yield PROPERTIES[word], after

    # Facts about shapes.

    def _relations(self, at: int):
        """ "line AB parallel to CD": a description that says what a claim would."""
        for node, end in self.phrases.one(at)[:3]:
            if isinstance(node, Described) and node.head == "line" and node.names and len(node.roles) == 1:
                role = next((name for name, _ in node.roles if name in ("parallel", "perpendicular", "tangent")), None)
                if role is not None:
                    yield (role, {"x": node.names[0], "y": node.role(role)}), end

    def _facts(self, at: int) -> Iterator[tuple[Node, int]]:
        for first, end in self._fact(at):
            yield from self._more_facts([first], end)

    def _more_facts(self, facts: list[Described], end: int) -> Iterator[tuple[Node, int]]:
        after = end
        while self.phrases.word(after) in (",", "and", "with"):
            after += 1
        if after > end and len(facts) < 6:
            for fact, stop in self._fact(after):
                yield from self._more_facts([*facts, fact], stop)
            if isinstance(facts[-1].names[0], Described) and facts[-1].names[0].head == "angle":
                for fact, stop in self._angle_at(after):  # "angles of 40° at A and 60° at B"
                    yield from self._more_facts([*facts, fact], stop)
        last = facts[-1]
        if self.phrases.word(end) == "=" and last.extra == ("equal",) and len(facts) < 6:
            # "PA = PB = PC"
            for other, stop in self.phrases.one(end + 1)[:3]:
                yield from self._more_facts([*facts, Described("fact", names=(last.names[1], other), extra=("equal",))], stop)
        yield Many(tuple(facts)), end

    def _angle_at(self, at: int) -> Iterator[tuple[Described, int]]:
        """40° at A"""
        for size, end in self._values(at):
            if self.phrases.word(end) in ("at", "in"):
                for node, stop in self.phrases.one(end + 1):
                    if isinstance(node, Named):
                        yield Described("fact", names=(Described("angle", names=(node,)), size), extra=("equal",)), stop

    def _fact(self, at: int) -> Iterator[tuple[Described, int]]:
        """AB = 5 cm, AB = AC, angle A = 60°, AB parallel to CD, a right angle at B, an angle of 60° at A."""
        if self.phrases.word(at) in ("a", "an", "the"):
            at += 1
        if self.phrases.word(at) in ("side", "length", "diagonal") and at + 1 < len(self.said) and self.said[at + 1].kind == NAME:
            at += 1  # "with sides AB = 5 and BC = 6"
        if self.phrases.word(at) == "angle" and self.phrases.word(at + 1) == "of":
            yield from self._angle_at(at + 2)
        if self.phrases.word(at) in ("right-angle", "right-angled") and self.phrases.word(at + 1) in ("at", "in"):
            for node, end in self.phrases.one(at + 2):
                if isinstance(node, Named):
                    yield Described("fact", names=(node,), extra=("right",)), end
        for one, end in self.phrases.one(at)[:5]:
            if (
                isinstance(one, Described)
                and one.head == "line"
                and one.names
                and len(one.roles) == 1  # what else it has would be dropped
                and (other := one.role("parallel", "perpendicular")) is not None
            ):
                yield (
                    Described(
                        "fact", names=(one.names[0], other), extra=("parallel" if one.role("parallel") is not None else "perpendicular",)
                    ),
                    end,
                )
            if isinstance(one, Described) and one.head == "angle" and self.phrases.word(end) == "of":
                for other, stop in self._values(end + 1):
                    yield Described("fact", names=(one, other), extra=("equal",)), stop
            if isinstance(one, Named) and len(one.points) == 1 and self.phrases.word(end) == "is":
                at_ = end + 1 + (self.phrases.word(end + 1) == "the")
                if self.phrases.word(at_) == "midpoint" and self.phrases.word(at_ + 1) == "of":
                    for other, stop in self.phrases.one(at_ + 2)[:2]:
                        yield Described("fact", names=(one, other), extra=("midpoint",)), stop
            if isinstance(one, Named) and len(one.points) == 2 and self.phrases.word(end) == "bisect":
                for other, stop in self.phrases.one(end + 1)[:3]:
                    yield Described("fact", names=(one, other), extra=("bisects",)), stop
            here = end + (self.phrases.word(end) == "is")
            if self.phrases.word(here) in ("perpendicular", "parallel") and isinstance(one, Named):
                kind = self.phrases.word(here)
                for other, stop in self.phrases.one(here + 1 + (self.phrases.word(here + 1) == "to"))[:3]:
                    yield Described("fact", names=(one, other), extra=(kind,)), stop
            if (sign := english.COMPARED.get(self.phrases.word(here))) is not None:
                for other, stop in self.phrases.one(here + 1)[:4]:
                    yield Described("fact", names=(one, other), extra=("more", sign)), stop
            here = end
            if self.phrases.word(here) == "is" and self.phrases.word(here + 1) in ("=", "equal-to"):
                here += 1
            if self.phrases.word(here) in ("=", "equal-to", "is"):
                here += 1 + (self.phrases.word(here + 1) == "to")
                if (self.phrases.word(here) in ("a", "the") and self.phrases.word(here + 1) == "right-angle") or self.phrases.word(
                    here
                ) == "right-angle":
                    yield (
                        Described("fact", names=(one.names[0] if isinstance(one, Described) and one.names else one,), extra=("right",)),
                        here + 1 + (self.phrases.word(here) != "right-angle"),
                    )
                for k, middle in self._values(here):
                    if middle < len(self.said) and self.said[middle].kind == NAME and isinstance(k, Amount):
                        for other, stop in self.phrases.one(middle)[:2]:
                            if isinstance(other, Named) and len(other.points) == 2:
                                yield Described("fact", names=(one, Amount(f"{k.text} * {other.text}")), extra=("equal",)), stop
                for other, stop in self.phrases.one(here)[:4]:
                    if isinstance(other, Named) and self.phrases.word(stop) == "/" and self.phrases.said[stop + 1 :][:1]:
                        share = self.phrases.said[stop + 1]
                        if share.kind == NUMBER:
                            yield Described("fact", names=(one, Amount(f"{other.text} / {share.text}")), extra=("equal",)), stop + 2
                    yield Described("fact", names=(one, other), extra=("equal",)), stop
            is_size_next = end < len(self.said) and self.said[end].kind == NUMBER
            is_angle = isinstance(one, Described) and one.head == "angle" and one.names
            if self.phrases.word(end) == "has" or ((isinstance(one, Named) or is_angle) and is_size_next):
                for other, stop in self._values(end + (self.phrases.word(end) == "has")):
                    yield Described("fact", names=(one, other), extra=("equal",)), stop
            if isinstance(one, Named) and len(one.points) >= 3 and (self.phrases.word(end) in ("is", "has", "")):
                here = end + (self.phrases.word(end) in ("is", "has"))
                while self.phrases.word(here) in ("a", "an"):
                    here += 1
                shape = self.phrases.word(here)
                if shape in PROPERTIES and PROPERTIES[shape].startswith("a "):
                    yield Described("fact", names=(one,), extra=("shape", shape)), here + 1
                if self.phrases.word(here) == "equilateral":
                    yield Described("fact", names=(one,), extra=("equilateral",)), here + 1
                if self.phrases.word(here) == "right-angle" and self.phrases.word(here + 1) in ("at", "in"):
                    for node, stop in self.phrases.one(here + 2):
                        if isinstance(node, Named):
                            yield Described("fact", names=(node, one), extra=("right",)), stop

    # Conditions.

    def _conditions(self, at: int) -> Iterator[tuple[list[tuple[str, Bound]], int]]:
        """Conditions on places, one after another: "less than 5 m from T and inside ABCD"."""
        for first, end in self._condition(at):
            yield from self._more_conditions([first], end)

    def _more_conditions(self, found: list[tuple[str, Bound]], end: int) -> Iterator[tuple[list[tuple[str, Bound]], int]]:
        after, either = end, False
        while (word := self.phrases.word(after)) in (",", "and", "or", "that", "which", "is"):
            after, either = after + 1, either or word == "or"
        if after > end and len(found) < 8:
            joined: list[tuple[str, Bound]] = [("or", {})] if either else [("and", {})]
            for one, stop in self._condition(after):
                yield from self._more_conditions([*found, *joined, one], stop)
        yield found, end

    def _condition(self, at: int) -> Iterator[tuple[tuple[str, Bound], int]]:
        here = at
        while self.phrases.word(here) in (
            "that",
            "which",
            "is",
            "it",
            "them",
            "lies",
            "must",
            "also",
            "all",
            "at",
            "the",
            "distance",
            "a",
            "places",
            "point",
            "you",
            "everywhere",
            ",",
        ):
            here += 1
        if self.phrases.word(here) == "of" and here > at:
            for shape, end in self.phrases.one(here + 1)[:3]:
                for rest, stop in self._condition(end):
                    yield ("both", {"one": ("inside", {"y": shape}), "other": rest}), stop
            return
        word = self.phrases.word(here)
        if word in ("at-least", "more-than", "at-most", "less-than", "within"):
            for size, end in self._values(here + 1):
                after = end
                while self.phrases.word(after) in ("away-from", "from", "of", "to", "away", "distance"):
                    after += 1
                if after > end:
                    for thing, stop in self.phrases.one(after):
                        yield (("far", {"bound": word, "v": size, "y": thing})), stop
        if word == "closer":
            for near, end in self.phrases.one(here + 1 + (self.phrases.word(here + 1) == "to")):
                if self.phrases.word(end) in ("than",) or (end < len(self.said) and self.said[end].text.lower() == "than"):
                    after = end + 1 + (self.phrases.word(end + 1) == "to")
                    for far, stop in self.phrases.one(after):
                        yield ("closer", {"x": near, "y": far}), stop
        if word in ("inside", "outside", "within", "in"):
            for shape, end in self.phrases.one(here + 1 + (self.phrases.word(here + 1) == "of")):
                if not isinstance(shape, Amount):
                    yield ("outside" if word == "outside" else "inside", {"y": shape}), end


def with_roles(node: Node, roles: Described) -> Node:
    """A description with the parts that stood before its verb."""
    if isinstance(node, Many):
        return Many(tuple(with_roles(item, roles) for item in node.items))
    if isinstance(node, Named):
        head, kind = ("point", "new") if len(node.points) == 1 else ("line", "")
        return Described(head, names=(node,), roles=roles.roles, kind=kind, extra=roles.extra)
    if not isinstance(node, Described):
        return node
    return replace(node, roles=(*node.roles, *roles.roles), extra=(*node.extra, *roles.extra))
