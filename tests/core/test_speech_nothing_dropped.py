"""No word, amount or fact of a sentence is passed over: with it something else is made than without it, or nothing."""

import itertools
import math
import random
import re
import unittest

from ruddy_trellis.core.edits.prepare import perform
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.speech import english
from ruddy_trellis.core.speech.hearing import heard, understood
from ruddy_trellis.core.speech.nouns import NAMED_BY_SIDES, TAKES

from ..bank.boards import BOARDS
from ..bank.run import utterances
from .tries import tries

_BY_SIDES = " ".join(NAMED_BY_SIDES)
#: What stands on one side of a line: without a word for it, on one of them.
_ON_A_SIDE = f"semicircle triangle square rectangle rhombus {_BY_SIDES}"
#: Words that say no more of a thing than is so anyway, or say which is meant of several.
ANYWAY = {
    **dict.fromkeys(("perpendicular", "shortest"), "distance length size foot"),
    "regular": f"square {_BY_SIDES}",
    **dict.fromkeys(("cyclic", "inscribe"), f"triangle quadrilateral square polygon {_BY_SIDES}"),
    "internal": f"angle bisector angle-bisector {_ON_A_SIDE}",
    "external": _ON_A_SIDE,
    "second": "bisector angle-bisector circle intersection",
    "common": "intersection",
    "acute": "angle",
    "meets": "arm base chord diagonal diameter line radius ray secant segment side vector",
    "isosceles": "triangle",
    "minor": "circular-segment",  # which is told as guessed where it is not said
    **dict.fromkeys(("largest", "smallest"), "angle"),  # where "ABC" is the angle at B, which it may be
}


#: Words that say the contrary, or another thing, of what is made.
_CONTRARY = (
    "inside/outside above/below clockwise/anticlockwise horizontal/vertical internal/external externally/internally first/second "
    "nearer/further red/blue dashed/dotted hide/show radius/diameter incircle/circumcircle median/altitude centroid/orthocentre "
    "circumcentre/incentre tangent/normal isosceles/equilateral parallel/perpendicular convex/concave closest/furthest area/perimeter "
    "minor/major rectangle/parallelogram left/right more/less half/third two/three three/four inscribed/circumscribed"
)
CONTRARY = [tuple(pair.split("/")) for pair in _CONTRARY.split()]
#: What is so of a thing with either word, where all that is said is answered at once or there is only one such thing.
_EITHER_WAY = ("measure", "hich point is", "bisectors of all", "has AB for diameter", "round all", "form a kite", "First draw")


class ChangedTest(unittest.TestCase):
    """Sentences of the bank with one word or number changed: what comes of them is another thing, or they are refused."""

    def changed(self, ways, count):
        """How often a change was tried, and where nothing else came of it.

        Args:
            ways: the changed texts of a text, in which what is changed stands between bars.
        """
        chance, looked, same = random.Random(53), 0, []
        lines = list(utterances())
        chance.shuffle(lines)
        for line in lines:
            texts = list(ways(line.text))
            board = BOARDS[line.board]().board
            if not texts or (as_said := self.made(line.text, board)) is None:
                continue
            looked += len(texts)
            same += [f"{line.text} → {text}" for text in texts if self.made(text, board) == as_said]
            if looked >= count:
                break
        return looked, same

    @staticmethod
    def made(text, board):
        try:
            return understood(text, board).edit.model_dump()
        except Refusal:
            return None

    def test_no_figure_is_passed_over(self):
        def ways(text):
            for found in re.finditer(r"(?<![\w.])\d+(?:\.\d+)?", text):
                other = {"30": "40", "60": "50", "90": "80", "180": "170", "0": "1"}.get(
                    found[0], f"{found[0]}{'1' if '.' in found[0] else '.3'}"
                )
                yield text[: found.start()] + other + text[found.end() :]

        looked, same = self.changed(ways, tries(1050))
        self.assertEqual(same, [])
        self.assertGreaterEqual(looked, tries(1050))

    def test_no_word_that_says_the_contrary_is_passed_over(self):
        def ways(text):
            for one, other in (*CONTRARY, *((other, one) for one, other in CONTRARY)):
                if re.search(rf"\b{one}\b", text, re.IGNORECASE):
                    yield re.sub(rf"\b{one}\b", other, text, count=1, flags=re.IGNORECASE)

        looked, same = self.changed(ways, tries(2100))
        self.assertEqual([text for text in same if not any(words in text for words in _EITHER_WAY)], [])
        self.assertGreaterEqual(looked, tries(2100))


class NoWordDroppedTest(unittest.TestCase):
    def test_no_word_that_a_noun_takes_is_passed_over(self):
        """With the word and without it the same is never made, but where the word says what is so anyway."""
        boards = [BOARDS[name]().board for name in ("tri", "circ", "quad")]
        tails = ("", "of AB", "on AB", "of ABC", "in k", "of k", "with side 3")
        looked, dropped = 0, []
        for head, (_, taken) in sorted(TAKES.items()):
            for word, tail, board in itertools.product(sorted(taken), tails, boards):
                said, plainly = (f"the {beside}{head} {tail}".replace("-", " ").strip() for beside in (f"{word} ", ""))
                made = self.made(said, board)
                looked += made is not None
                if made is not None and made == self.made(plainly, board):
                    dropped += [said] * (head not in ANYWAY.get(word, "").split())
        self.assertEqual(sorted(set(dropped)), [], "\n".join(sorted(set(dropped))))
        self.assertGreater(looked, 100)

    def test_the_two_sides_are_not_the_same(self):
        """Inside and outside are never drawn the same, and of several at once neither is passed over."""
        for name in ("tri", "quad"):
            board = BOARDS[name]().board
            whole = "ABC" if name == "tri" else "ABCD"
            for head in _ON_A_SIDE.split():
                for tail in (f"{head} on AB", f"{head}s on the sides of {whole}"):
                    inside, outside = (self.made(f"draw the {way} {tail}", board) for way in ("internal", "external"))
                    self.assertNotEqual(inside, outside, f"{name}: {tail}")
                    if head in ("square", "semicircle", "hexagon"):
                        self.assertIsNotNone(inside, f"{name}: {tail}")

    def test_no_amount_is_passed_over(self):
        """Whatever part it is said to be, of any noun: with it another thing is made, or nothing."""
        boards = [BOARDS[name]().board for name in ("tri", "circ")]
        chance, kept, dropped = random.Random(8), 0, set()
        ways = [(head, text) for head in sorted(TAKES) for text, role in english.ROLES if role in TAKES[head][0]]
        plainly = {}
        for head, text in chance.sample(ways, min(tries(1600), len(ways))):
            number = chance.randrange(len(boards))
            amount = chance.choice(("6", "40 degrees", "6 and 4"))
            said, bare = f"a {head} {text} {amount}".replace("-", " "), f"a {head}".replace("-", " ")
            made = self.made(said, boards[number])
            if (bare, number) not in plainly:
                plainly[bare, number] = self.made(bare, boards[number])
            kept += made is not None
            if made is not None and made == plainly[bare, number]:
                dropped.add(said)
        self.assertEqual(sorted(dropped), [])
        self.assertGreater(kept, tries(20))

    def test_no_fact_is_passed_over(self):
        """Of a shape that is made by what is said of it, or else it is refused: each fact holds in what comes of it."""
        facts = ("AB = 5", "AB = AC", "BC = 4", "angle A = 50°", "angle B is a right angle", "AB > AC", "BC is perpendicular to AC")
        made = 0
        for count in (1, 2, 3):
            for some in itertools.combinations(facts, count):
                board = BOARDS["empty"]().board
                if "BC is perpendicular to AC" in some and {"angle B is a right angle", "AB = AC"} & set(some):
                    continue  # no triangle is so
                try:
                    perform(board, heard(f"triangle ABC with {' and '.join(some)}", board).edit)
                except Refusal:
                    continue
                if any(step.makes in ("point", "polygon") and board.value(step.id) is None for step in board.steps):
                    continue  # it cannot be, and that is said
                at = {name: board.value(board.ids_named(name)[0])[:2] for name in "ABC"}
                length = {pair: math.dist(at[pair[0]], at[pair[1]]) for pair in ("AB", "AC", "BC")}
                if min(length.values()) < 1e-9:
                    continue  # nor can this be
                ab, ac, bc = (length[pair] ** 2 for pair in ("AB", "AC", "BC"))
                holds = {
                    "AB = 5": abs(ab - 25) < 1e-6,
                    "AB = AC": abs(ab - ac) < 1e-6,
                    "BC = 4": abs(bc - 16) < 1e-6,
                    "angle A = 50°": abs(ab + ac - bc - 2 * math.sqrt(ab * ac) * math.cos(math.radians(50))) < 1e-6,
                    "angle B is a right angle": abs(ab + bc - ac) < 1e-6,
                    "AB > AC": ab > ac,
                    "BC is perpendicular to AC": abs(ac + bc - ab) < 1e-6,
                }
                supposed = any(step.makes == "supposition" for step in board.steps)
                for fact in some:
                    self.assertTrue(holds[fact] or (fact == "AB > AC" and supposed), f"{some}: {fact}")
                made += 1
        self.assertGreater(made, 10)

    @staticmethod
    def made(text, board):
        """What a text makes, or None for a refusal; anything else that it raises is a fault."""
        try:
            edit = heard(text, board).edit
        except Refusal:
            return None
        return edit.model_dump_json()


if __name__ == "__main__":
    unittest.main()
