"""Whatever is said together of a circle or of a line: if it is drawn, all of it is so; judged by coordinates, not by the grammar."""

import random
import unittest

from ruddy_trellis.core.edits import perform
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.speech.hearing import heard

from ..bank.boards import BOARDS
from ..bank.plane import foot, mid, parallel, same
from .tries import tries

#: What may be said of a circle with centre c and radius r, with how much of it that settles (a circle has three numbers).
_OF_CIRCLES = {
    "through A": (1, lambda p, c, r: same(abs(c - p["A"]), r)),
    "through B": (1, lambda p, c, r: same(abs(c - p["B"]), r)),
    "passing through C": (1, lambda p, c, r: same(abs(c - p["C"]), r)),
    "through the midpoint of BC": (1, lambda p, c, r: same(abs(c - mid(p["B"], p["C"])), r)),
    "through A and B": (2, lambda p, c, r: same(abs(c - p["A"]), r) and same(abs(c - p["B"]), r)),
    "with centre C": (2, lambda p, c, r: same(c, p["C"])),
    "centred at B": (2, lambda p, c, r: same(c, p["B"])),
    "about the midpoint of AB": (2, lambda p, c, r: same(c, mid(p["A"], p["B"]))),
    "of radius 4.5": (1, lambda p, c, r: same(r, 4.5)),
    "with radius AB": (1, lambda p, c, r: same(r, abs(p["A"] - p["B"]))),
    "with diameter 9": (1, lambda p, c, r: same(r, 4.5)),
    "with diameter BC": (3, lambda p, c, r: same(c, mid(p["B"], p["C"])) and same(r, abs(p["B"] - p["C"]) / 2)),
    "touching BC": (1, lambda p, c, r: same(abs(c - foot(c, p["B"], p["C"])), r)),
    "tangent to AB": (1, lambda p, c, r: same(abs(c - foot(c, p["A"], p["B"])), r)),
    "touching AB and AC": (2, lambda p, c, r: all(same(abs(c - foot(c, p["A"], p[end])), r) for end in "BC")),
    "with its centre on AB": (1, lambda p, c, r: same(abs(c - foot(c, p["A"], p["B"])), 0)),
}
_SIZES = {"of radius 4.5", "with radius AB", "with diameter 9", "with diameter BC"}
#: What may be said of a line through a in the direction of w, which has two numbers.
_OF_LINES = {
    "through A": (1, lambda p, a, w: same(foot(p["A"], a, a + w), p["A"])),
    "through C": (1, lambda p, a, w: same(foot(p["C"], a, a + w), p["C"])),
    "through the midpoint of AC": (1, lambda p, a, w: same(foot(mid(p["A"], p["C"]), a, a + w), mid(p["A"], p["C"]))),
    "bisecting BC": (1, lambda p, a, w: same(foot(mid(p["B"], p["C"]), a, a + w), mid(p["B"], p["C"]))),
    "parallel to BC": (1, lambda p, a, w: parallel(a, a + w, p["B"], p["C"])),
    "parallel to AB": (1, lambda p, a, w: parallel(a, a + w, p["A"], p["B"])),
    "perpendicular to AC": (1, lambda p, a, w: same((w.conjugate() * (p["A"] - p["C"])).real, 0)),
    "at right angles to BC": (1, lambda p, a, w: same((w.conjugate() * (p["B"] - p["C"])).real, 0)),
}
_DIRECTIONS = {"parallel to BC", "parallel to AB", "perpendicular to AC", "at right angles to BC"}
_BEGINNINGS = ("a {}", "draw a {}", "construct the {}", "draw the {}", "I need a {}")
_BETWEEN = (" and ", ", ", " ", ", and ")


def said_together(chance, noun, facts, most, one_of):
    """A sentence with one or several facts that can be so together, and their checks."""
    chosen = chance.sample(sorted(facts), chance.choice((1, 2, 2, 2, 3)))
    if sum(facts[fact][0] for fact in chosen) > most or len(one_of & set(chosen)) > 1:
        return None
    return chance.choice(_BEGINNINGS).format(noun) + " " + chance.choice(_BETWEEN).join(chosen), [facts[fact][1] for fact in chosen]


class CirclesAndLinesTest(unittest.TestCase):
    maxDiff = None

    def drawn(self, text):
        """The places of what has a name, and the values of what is new and seen; None where the sentence is refused."""
        board = BOARDS["tri"]().board
        known = {step.id for step in board.steps}
        try:
            perform(board, heard(text, board).edit)
        except Refusal:
            return None
        places = {name: complex(*board.value(board.find(name))) for name in "ABC"}
        return places, [(step.makes, board.value(step.id)) for step in board.steps if step.id not in known and not step.look.hidden]

    def tried(self, seed, noun, facts, most, one_of, kinds, as_plain):
        chance, drawn, otherwise = random.Random(seed), 0, []
        for _ in range(tries(2400)):
            said = said_together(chance, noun, facts, most, one_of)
            seen = self.drawn(said[0]) if said else None
            if said is None or seen is None:
                continue
            drawn += 1
            values = [value for kind, value in seen[1] if kind in kinds]
            if not values or not any(value is None or all(is_so(seen[0], *as_plain(value)) for is_so in said[1]) for value in values):
                otherwise.append(said[0])
        return drawn, otherwise

    def test_a_circle_is_as_it_is_said(self):
        drawn, otherwise = self.tried(
            3, "circle", _OF_CIRCLES, 3, _SIZES, ("circle",), lambda value: (complex(value[0], value[1]), max(value[2], 0) ** 0.5)
        )
        self.assertEqual(sorted(set(otherwise)), [])
        self.assertGreater(drawn, tries(600))

    def test_a_line_is_as_it_is_said(self):
        drawn, otherwise = self.tried(
            4, "line", _OF_LINES, 2, _DIRECTIONS, ("line",), lambda value: (complex(*value[:2]), complex(*value[2:4]))
        )
        self.assertEqual(sorted(set(otherwise)), [])
        self.assertGreater(drawn, tries(600))


if __name__ == "__main__":
    unittest.main()
