"""One sentence: its clauses one after another, each way to take them tried until the whole of it is taken."""

from __future__ import annotations

import re
from collections.abc import Sequence
from itertools import product

from ..catalogue import CATALOGUE
from ..kinds import CLAIM
from ..refusal import Refusal
from . import (
    acting,
    arcs,
    conics,
    crossings,
    drawing,
    english,
    images,
    loci,
    measuring,
    meeting,
    moving,
    naming,
    orders,
    parallels,
    placing_by,
    points,
    producing,
    readings,
    riding,
    rounds,
    shapes,
    straights,
    tangents,
    triangle_lines,
)
from .building import Building
from .clause_starts import JOINERS, asks_of_a_point_besides, has_participle, is_attribute, is_one_more, verb_of
from .clauses import Bound, Clauses
from .english_remarks import IS_FOR_READERS, is_remark
from .figures_first import figure_first
from .idiom_parts import OF_A_SORT, POLYGON
from .kept_parts import check_parts
from .nodes import Amount, Described
from .not_taken import ActRefused, Best, NotSaid
from .phrases import Phrases
from .plain_words import plain
from .readings import READS
from .reckoning import reckon, state, state_in_words
from .refusals import Final, Told
from .shape_sorts import SORTS
from .sort_asked import ask_sort
from .spelling import put_right
from .things import Things
from .tokens import MOST, NAME, NUMBER, POINT_NAME, UNKNOWN, WORD, Token, tokens
from .verbs import DRAWING, VERBS

#: How many clauses are tried in a sentence, in all.
_TRIES = 160
#: The files that enter what makes descriptions, and what verbs do.
_ENTERED = (
    *(arcs, conics, crossings, images, parallels, points, readings, riding, rounds, shapes, straights, tangents, triangle_lines),
    *(acting, drawing, loci, measuring, meeting, moving, naming, orders, placing_by, producing),
)


def _has_size(angle: Described) -> bool:
    """Whether an angle is drawn in a size, and not read."""
    return bool(angle.amounts) or isinstance(angle.role("size", "of"), Amount)


#: Words for where a point is, which may be denied.
_PLACES = frozenset(("on", "in", "inside", "goes-through"))
#: Acts that are never done by a word that was put right.
_NEVER_GUESSED = frozenset(("delete", "rename", "call"))
#: Verbs of acts, with which a sentence begins.
_ACTS = english.words(
    """
    delete hide colour lock unlock rename shade show set move
    """
)


#: Verbs by which names are given to what is made: a name after them may begin another sentence.
_MAKING = frozenset(("let", "draw", "call", "join"))


#: The clause before said facts of a shape; with what a claim begins that is no more of them.
_FACTS, _ASKING = "facts", frozenset(("prove", "show", "then", "is", "does"))
#: What a sentence is about, before it begins.
_SETTING = re.compile(rf"[Ii]n (?:the |an? |any )?((?:(?:{OF_A_SORT}) )*(?:{POLYGON})) ([A-Z]{{3,12}})(?: (with [^,;]+),)?,?\s+")


#: Where one sentence ends and another one begins.
_SEVERAL = re.compile(r"(?<=[a-zA-Z0-9])\. (?=[A-Za-z])")
#: What asks for something to become so many times as large, and is no amount.
_GROWS = re.compile(r"\s*(?:please )?(?:double|triple|quadruple) (?:the |its |[A-Z])", re.IGNORECASE)
_AND = Token("and", "and", WORD, 0, 0)
#: What is told where something is told of a new figure that it has not.
CANNOT_HOLD = "A new figure cannot be drawn so that this holds. Say how it is made, or ask whether it is so."
#: From how far off a claim fails.
FAILS = 1e-6
#: With what a fact of a shape begins: "AB = 5", "angle A = 50".
_FACT = re.compile(r"(?:[A-Z]{2}\s*=|(?:the )?angle\b|∠|<)", re.IGNORECASE)


class Sentence:
    """Takes one sentence apart and carries it out on a building.

    Args:
        building: where it is carried out.
        selected: what is selected on the board.
    """

    def __init__(self, building: Building, selected: Sequence[str] = ()) -> None:
        self.b = building
        self.t = Things(building)
        self.t.selected = list(selected)
        self._left = _TRIES
        self._best = Best()
        self._known: dict[tuple[Token, ...], Clauses] = {}

    def carry_out(self, text: str) -> None:
        """Do all that a sentence says. Raises Refusal, and nothing is done."""
        if is_remark(text):
            raise Told(IS_FOR_READERS)
        if _GROWS.match(text):
            raise Final("What is there is not made larger so. Say: enlarge k by 2 from O, set r to 6, or move A to (4, 1).")
        if len(several := _SEVERAL.split(plain(text))) > 1 and not _SEVERAL.search(text):
            # What is put in other words may be several sentences.
            mark = self.b.mark()
            try:
                for one in several:
                    self.carry_out(one)
            except Refusal:
                self.b.back_to(mark)
                raise
            return
        if (
            state(self.t, text)
            or state(self.t, plain(text))
            or state_in_words(self.t, plain(text))
            or reckon(self.t, plain(text))
            or ask_sort(self.t, text, self._claims)
        ):
            return
        setting = _SETTING.match(plain(text))
        if setting is not None and setting[3] and any(map(self.b.has, POINT_NAME.findall(setting[2]))):
            setting = None  # what it has is said of a new one
        if setting is not None and len(plain(text)) > setting.end():
            # "In triangle ABC, the bisector of A meets …": the figure that it is about comes first.
            mark = self.b.mark()
            try:
                rest, names = plain(text)[setting.end() :], POINT_NAME.findall(setting[2])
                having = f" {setting[3]}" if setting[3] else ""
                if (
                    _FACT.match(rest)
                    and not any(map(self.b.has, names))
                    and self._made_so(f"draw the {setting[1]} {setting[2]}{f'{having} and' if having else ' with'} {rest}")
                ):
                    return
                is_new = not any(map(self.b.has, names))
                if not all(map(self.b.has, names)):
                    self.carry_out(f"draw the {setting[1]} {setting[2]}{having}")
                elif " " in setting[1] or setting[1] in SORTS:
                    self._check_is(f"the {setting[1]} {setting[2]}")
                if not is_new or not self._supposed(rest):
                    made = len(self.b.new)
                    self.carry_out(rest)
                    if is_new and rest.split(maxsplit=1)[0].lower() not in _ASKING:
                        self._check_holds(made)
            except Refusal:
                self.b.back_to(mark)
                raise
            return
        said = tokens(plain(text), self.b.ahead)
        if not said or len(said) > MOST:
            raise NotSaid(text, ())
        said = _without_titles(said)
        self.t.is_asked = text.rstrip().endswith("?") and said[0].kind == NAME
        unknown = [token.text for token in said if token.kind == UNKNOWN]
        if unknown:
            self._put_right(text, unknown)
            return
        if any(
            one.word in ("is", "does") and other.word == "not" and then.word not in _PLACES
            for one, other, then in zip(said, said[1:], said[2:])
        ):
            raise Final("A claim says what is so. Claim it without “not”, and see whether it fails.")
        self.b.reserved |= {name for token in said if token.kind == NAME for name in (token.points or (token.word,))}
        self.b.reserved |= {token.text.upper() for token in said if token.kind == NAME and len(token.text) == 1}
        self.b.mentioned = {name for token in said if token.kind == NAME for name in token.points if name in self.b.ahead.points_by_name}
        self.b.recent.now.clear()
        mark = self.b.mark()
        if self._run(said, 0, ()):
            return
        # "…, where D is the midpoint of BC": what is told last is made first.
        for place in range(1, len(said)):
            if said[place].word == "where" and self._run([*said[place + 1 :], _AND, *_without_comma(said[:place])], 0, ()):
                if english.CLAIM.match(text) or not any(CATALOGUE[step.does].makes == CLAIM for step in self.b.new[mark.new :]):
                    return
                self.b.back_to(mark)  # "the points where k touches the sides" are none about which something is claimed
        self.b.back_to(mark)
        if not text.rstrip().endswith("?") and self._with_its_figure(plain(text)):
            return
        refusal = self._best.refusal or NotSaid(text, ())
        if self._best.far >= len(said) and (said[0].word in _ACTS or self._best.is_of_look):
            raise ActRefused(refusal.sentence)
        raise refusal

    def _with_its_figure(self, text: str) -> bool:
        """Draw the figure that a sentence speaks of, where none of its corners is there, and then read the sentence. Returns whether that
        could be done."""
        first, mark, best = figure_first(text), self.b.mark(), self._best
        if first is None or any(map(self.b.has, POINT_NAME.findall(first.corners))):
            return False
        try:
            self.carry_out(first.drawn)
            if first.rest:
                self.carry_out(first.rest)
        except Refusal:
            self.b.back_to(mark)
            self._best = best
            return False
        return True

    def _claims(self, text: str) -> bool:
        """Claim what a sentence says, if it holds as it is drawn; returns whether it does."""
        mark, made = self.b.mark(), len(self.b.ahead)
        self.carry_out(text)
        values = [self.b.ahead.value(step.id) for step in self.b.ahead.steps[made:] if step.makes == CLAIM]
        if values and all(value is not None and value[2] <= FAILS for value in values):
            return True
        self.b.back_to(mark)
        return False

    def _check_is(self, figure: str) -> None:
        """Raise Refusal where a figure that is spoken of is none as it is drawn."""
        mark = self.b.mark()
        for node, _ in Phrases(tokens(figure, self.b.ahead)).one(0)[:1]:
            self.t.polygon(node)
        self.b.back_to(mark)

    def _check_holds(self, made: int) -> None:
        """Raise Final where what was told of a figure that is new is no more than a claim that fails: so it has to be made otherwise."""
        ids = [step.id for step in self.b.ahead.steps if step.id not in self.b.board and CATALOGUE[step.does].makes == CLAIM]
        if any(CATALOGUE[new.does].makes == CLAIM for new in self.b.new[made:]) and any(
            (value := self.b.ahead.value(id)) is not None and value[2] > FAILS for id in ids
        ):
            raise Final(CANNOT_HOLD)

    def _supposed(self, text: str) -> bool:
        """Take what is told of a figure that was just drawn for supposed, where it is no more than a claim and nobody asks for a proof."""
        mark = self.b.mark()
        if text.split(maxsplit=1)[0].lower() in _ASKING or not self._made_so(text):
            return False
        is_claim = any(CATALOGUE[new.does].makes == CLAIM for new in self.b.new[mark.new :])
        self.b.back_to(mark)
        return is_claim and self._made_so(f"let {text}")

    def _made_so(self, text: str) -> bool:
        """Do what a sentence says, where it can be: of a shape that is new, facts say how it is made."""
        mark = self.b.mark()
        try:
            self.carry_out(text)
        except Refusal:
            self.b.back_to(mark)
            return False
        return True

    def _put_right(self, text: str, unknown: Sequence[str]) -> None:
        """Carry out a sentence in which words were mistyped, where there is one way to put them right. Raises Refusal."""
        ways = [put_right(word) for word in unknown]
        if len(unknown) > 2 or not all(ways):
            raise NotSaid(text, [word for word, way in zip(unknown, ways) if not way] or unknown)
        read: list[tuple[str, tuple[str, ...]]] = []
        mark = self.b.mark()
        choices = [(chosen, _with_words(text, unknown, chosen)) for chosen in product(*ways)]
        # What stands there in another form would be put right without end.
        choices = [one for one in choices if not {token.text for token in tokens(plain(one[1]), self.b.ahead)} & set(unknown)]
        for chosen, meant in choices:
            if len(choices) == 1:
                read.append((meant, chosen))
                break
            try:
                Sentence(self.b, self.t.selected).carry_out(meant)
            except NotSaid:
                continue  # what was put right in vain is not told as if it had been said
            except Refusal as refusal:
                self._best.note(0, refusal)
                continue
            finally:
                self.b.back_to(mark)
            read.append((meant, chosen))
        if not read:
            raise self._best.refusal or NotSaid(text, unknown)
        if len(read) > 1:
            raise Refusal("Which is meant?", ways=tuple(meant for meant, _ in read))
        meant, chosen = read[0]
        self._as_meant(meant)
        self.b.guesses += [f"“{word}” as {other}" for word, other in zip(unknown, chosen)]

    def _as_meant(self, meant: str) -> None:
        """Carry out what a sentence was put right to. Raises Refusal."""
        if tokens(plain(meant), self.b.ahead)[0].word in _NEVER_GUESSED:
            raise Refusal(f"Read as “{plain(meant)}”. That is done only when it is said so.", ways=(plain(meant),))
        Sentence(self.b, self.t.selected).carry_out(meant)

    def _run(self, said: list[Token], start: int, before: tuple[Token, ...], last: str = "") -> bool:
        """Carry out the clauses from a token on. Returns whether all of them could be.

        Args:
            before: the verb of the clause before; ``last`` what it did.
        """
        if start >= len(said):
            return self._has_all_names(said)
        if last and is_attribute(said, start):
            return False  # "a rhombus with side AB and an angle of 60°": which is no other thing to be drawn
        if last in DRAWING and (not before or before[0].word in _MAKING) and is_one_more(said, start):
            return False  # "the line through A, B, C", "a circle touching AB and AC": where the last is no other thing to be drawn
        ways = [(said, start)]
        if before and start:
            # "Bisect AB at M and AC at N": the verb of the clause before holds on; of a bare name in the first place, as in "extend CA
            # and CB", which would be a segment by itself.
            again = [*before, *said[start:]], 0
            ways.insert(0 if said[start].kind == NAME and before[0].word not in _MAKING else 1, again)
        return any(self._clauses(self._taken_apart(words), words, at, last, words is not said) for words, at in ways)

    def _has_all_names(self, said: Sequence[Token]) -> bool:
        """Whether every point that was named is there now, and what is made hangs on all that was named, or is named so: what makes
        something of a sentence and leaves out a name has read it otherwise. Acts take names away and give others, so of these nothing
        is said."""
        b = self.b
        if b.acts or not b.new:
            return True
        names = [token for token in said if token.kind == NAME]
        named = {name for token in names for name in token.points}
        ahead = set(b.ahead.names.values())
        if not all(b.has(name) or name in ahead for name in named):
            return False
        made = {step.id for step in b.ahead.steps if step.id not in b.board}
        given = {b.ahead.name(id) for id in made}
        asked = [token for token in names if token.text not in given]  # "the dial a" is no word of a point A
        things = {id for token in asked if not token.points for id in b.ahead.ids_named(token.word)}
        by_name = b.ahead.points_by_name
        points = {by_name[name] for token in asked for name in token.points if name in by_name}
        spoken_of = {*made, *(b.recent.now & set(b.recent.ids))}
        return {*things, *points} <= {*spoken_of, *b.ahead.ancestors(spoken_of)}

    def _taken_apart(self, said: list[Token]) -> Clauses:
        """The clauses of a list of tokens, which are asked for again and again while ways to take it are tried."""
        key = tuple(said)
        if key not in self._known:
            self._known[key] = Clauses(said)
        return self._known[key]

    def _clauses(self, clauses: Clauses, said: list[Token], start: int, last: str, holds_on: bool) -> bool:
        for does, bound, end in clauses.longest(start):
            if holds_on and does == "style" and last != "style":
                continue  # "make the line through A and B dashed" says nothing of B alone
            if does == "measure" and asks_of_a_point_besides(bound.get("m"), holds_on):
                continue  # "find the centroid of A, B, C and D" asks nothing of D alone
            if last == _FACTS and does == "conclude" and said[start].word not in _ASKING:
                continue  # "with AB = AC and angle B = 90°": which is said of the triangle, and no claim
            if does in ("conclude", "bisect") and said[start].word not in _ASKING and has_participle(said[start:end]):
                continue  # "a line through A and bisecting BC", "a circle about A, touching BC": which is said of what is drawn
            if does == "conclude" and last and said[start].word not in _ASKING and self._sizes_what_is_new(said[start:end]):
                continue  # "triangle ABC, AB = 5": a size of what was just made is none of its claims
            if end < len(said) and said[end].word not in JOINERS and not (said[end].word == "meets" and said[end].text.endswith("ing")):
                continue
            self._left -= 1
            if self._left < 0:
                return False
            mark = self.b.mark()
            try:
                self._do(does, bound)
                check_parts(self.t, bound, mark, lambda other, does=does: self._do(does, other))  # type: ignore[misc]
                if does == "conclude" and last and said[start].word not in _ASKING and self._is_of_what_is_new(said[start:end]):
                    self._check_holds(mark.new)
            except Final:
                self.b.back_to(mark)
                raise
            except Refusal as refusal:
                self._best.note(end, refusal, said[start].word in _ACTS and does not in DRAWING, does == "style")
                self.b.back_to(mark)
                self.t.names = []
                continue
            after = end
            while after < len(said) and said[after].word in JOINERS:
                after += 1
            group, self.b.last_group = self.b.last_group, {step.id for step in self.b.ahead.steps[mark.steps :]}
            if self._run(said, after, verb_of(said, start), _FACTS if "facts" in bound else does):
                return True
            self.b.last_group = group
            self.b.back_to(mark)
        return False

    def _is_of_what_is_new(self, said: Sequence[Token]) -> bool:
        """Whether one of the points that words name comes of this sentence."""
        return any(point not in self.b.board.points_by_name for token in said for point in token.points)

    def _sizes_what_is_new(self, said: Sequence[Token]) -> bool:
        """Whether words say a number of what the clause before made: "AB = 5", "angle ABC = 50"."""
        made = {self.b.ahead.name(id) for id in self.b.last_group if id in self.b.ahead and id not in self.b.board}
        points = {point for token in said for point in token.points}
        return bool(points) and points <= made and said[-1].kind in (NUMBER, WORD) and any(token.kind == NUMBER for token in said)

    def _do(self, does: str, bound: Bound) -> None:
        what = bound.get("x", bound.get("y"))
        # A reading makes no points; an angle that is drawn ("an angle ABC of 50 degrees") does.
        reads = (
            isinstance(what, Described)
            and what.head in READS
            and not (what.head == "angle" and (what.kind == "new" or does == "angled" or _has_size(what)))
        )
        self.b.makes = does in DRAWING and not reads
        self.t.names = []
        new, acts = len(self.b.new), len(self.b.acts)
        try:
            VERBS[does](self.t, bound)
        finally:
            self.b.makes = False
        if self.t.names:
            raise Refusal(f"There is nothing to be called {', '.join(self.t.names)}.")
        if (
            len(self.b.new) == new
            and len(self.b.acts) == acts
            and does not in ("measure", "draw", "join", "where_meet", "meets", "define", "lies_so", "name")
        ):
            raise Refusal("That changes nothing.")


def _without_titles(said: list[Token]) -> list[Token]:
    """Without words that no list knows between "the" and the name of one or two points: "the tap T" is T and "the hedge AB" is AB, whatever
    a tap or a hedge is."""
    return [
        token
        for place, token in enumerate(said)
        if not (
            token.kind == UNKNOWN
            and 0 < place < len(said) - 1
            and said[place - 1].word == "the"
            and said[place + 1].kind == NAME
            and len(said[place + 1].points) in (1, 2)
            and not put_right(token.text)  # else it is mistyped, and says something
        )
    ]


def _without_comma(said: Sequence[Token]) -> list[Token]:
    return list(said[:-1]) if said and said[-1].word == "," else list(said)


def _with_words(text: str, words: Sequence[str], others: Sequence[str]) -> str:
    """A text with other words in the places of some."""
    for word, other in zip(words, others, strict=True):
        text = re.sub(rf"\b{re.escape(word)}\b", other, text, count=1)
    return text
