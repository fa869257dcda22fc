"""What is asked for by a noun is of its kind: nobody who says "draw a point …" gets a line, a circle or a region."""

import random
import unittest

from ruddy_trellis.core.edits.prepare import perform
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.speech import english
from ruddy_trellis.core.speech.hearing import understood
from ruddy_trellis.core.speech.kind_asked import kind_asked
from ruddy_trellis.core.speech.nouns import TAKES

from ..bank.boards import BOARDS
from .tries import tries

#: What nouns stand for, by the field and not by the grammar: kinds of thing, and the nouns.
_NOUNS = {
    "point": "antipode centre centroid circumcentre contact corner excentre focus foot incentre intersection midpoint nine-point-centre "
    "nearest-point furthest-point "
    "orthocentre point pole",
    "circle": "circle circumcircle excircle incircle nine-point-circle",
    "arc": "arc semicircle",
    "line ray segment": "altitude angle-bisector bisector common-tangent directrix euler-line line median midline parallel perpendicular "
    "perpendicular-bisector polar radical-axis secant tangent transversal base chord diagonal diameter hypotenuse radius ray segment side",
    "polygon": "decagon dodecagon heptagon hexagon kite nonagon octagon parallelogram pentagon polygon quadrilateral rectangle rhombus "
    "square trapezium triangle",
    "conic": "ellipse hyperbola parabola",
    "vector": "vector",
    "sector": "sector",
}
_KINDS = {noun: set(kinds.split()) for kinds, nouns in _NOUNS.items() for noun in nouns.split()}


def asked(chance, noun, names):
    """A thing that is to be drawn, with a word, names and parts that its noun takes."""
    parts, words = TAKES[noun]
    leads = [text for text, role in english.ROLES if role in parts]
    letters = [*(name for name in names if len(name) == 1), "X", "T"]
    ends = lambda: chance.choice(letters) + chance.choice(letters)
    said = [chance.choice(("draw a", "a", "draw the", "put a", "construct a", "mark a", "choose a"))]
    said += chance.sample(sorted(words), bool(words) and chance.random() < 0.25)
    said += [noun.replace("-", " "), *[chance.choice((ends(), chance.choice(letters)))] * (chance.random() < 0.4)]
    for _ in range(chance.choice((0, 1, 1, 1, 2)) if leads else 0):
        said.append(f"{chance.choice(leads)} {chance.choice((ends(), *letters, 'the circle', 'the triangle', 'ABC', '3', 'AB and BC'))}")
    return " ".join(said)


class KindsTest(unittest.TestCase):
    def test_what_is_asked_for_by_a_noun_is_of_its_kind(self):
        chance, drawn, otherwise = random.Random(37), 0, []
        for _ in range(tries(2500)):
            board, noun = BOARDS[chance.choice(sorted(BOARDS))]().board, chance.choice(sorted(_KINDS))
            text = asked(chance, noun, [board.name(step.id) for step in board.steps])
            known = {step.id for step in board.steps}
            try:
                perform(board, understood(text, board).edit)
            except Refusal:
                continue
            seen = {step.makes for step in board.steps if step.id not in known and not step.look.hidden}
            drawn += bool(seen)
            otherwise += [(text, seen)] * bool(seen and not seen & _KINDS[noun])
        self.assertEqual(otherwise, [])
        self.assertGreater(drawn, tries(150))

    def test_what_is_said_of_it_is_had_by_what_is_made(self):
        """Of "a circle and a square in it" the square hangs on the circle, or it is refused: no "it" is dropped."""
        chance, drawn, loose = random.Random(41), 0, []
        for _ in range(tries(2400)):
            first, noun = chance.choice(("a circle", "a triangle")), chance.choice(sorted(TAKES))
            # What is not on something hangs on nothing.
            leads = [text for text, role in english.ROLES if role in TAKES[noun][0] and text.split()[0] != "and" and "not on" not in text]
            if not leads:
                continue
            alone, board = BOARDS["empty"]().board, BOARDS["empty"]().board
            perform(alone, understood(first, alone).edit)
            text = f"{first} and a {noun.replace('-', ' ')} {chance.choice(leads)} it"
            try:
                perform(board, understood(text, board).edit)
            except Refusal:
                continue
            made = [step.id for step in board.steps[len(alone) :]]
            drawn += bool(made)
            if made and not {step.id for step in board.steps[: len(alone)]} & set(board.ancestors(made)):
                loose.append(text)
        self.assertEqual(loose, [])
        self.assertGreater(drawn, tries(240))

    def test_of_a_thing_that_is_not_there_nothing_is_drawn_but_of_a_point(self):
        made = set()
        for noun in sorted(TAKES):
            for words in ("the {} of z", "P is a point on the {} of z", "the {} on z"):
                for board in ("tri", "circ"):
                    try:
                        understood(words.format(noun.replace("-", " ")), BOARDS[board]().board)
                    except Refusal:
                        continue
                    made.add((noun, words))
        self.assertEqual(made, {("antipode", "the {} of z"), ("polar", "the {} of z")})

    def test_one_is_told_from_several_and_a_noun_from_what_it_stands_before(self):
        for text, kinds in (
            ("draw a point inside ABC", ("point",)),
            ("put a small circle at A", ("circle",)),
            ("a vector from A to B", ("vector",)),
            ("draw the points inside ABC", None),
            ("draw a side bisector", None),
            ("draw a perpendicular to AB", None),
            ("the length of AB", None),
        ):
            self.assertEqual(kind_asked(text), kinds, text)
