"""The bank of phrasings: each line of ``phrasings.txt`` is read as it is meant, or its meaning is among what is offered."""

import contextlib
import random
import unittest
from pathlib import Path

from ruddy_trellis.core.catalogue import CATALOGUE
from ruddy_trellis.core.edits.adding import new_step_ids, put_on
from ruddy_trellis.core.edits.examples import example_of, ways_shown
from ruddy_trellis.core.edits.models import Add
from ruddy_trellis.core.edits.saying import said
from ruddy_trellis.core.hand import Alone
from ruddy_trellis.core.language.fills import fill_from_json
from ruddy_trellis.core.language.patterns import ways_to_say
from ruddy_trellis.core.language.printing import phrase
from ruddy_trellis.core.limits import COORDINATE
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.core.speech.hearing import understood as heard_at_the_bar

from .bounds import within
from .figures import figure

BANK = Path(__file__).parent / "phrasings.txt"


def bank():
    """Every phrasing: the board's sentences, the text, and what it means, None where the program has to ask."""
    board = ""
    for line in BANK.read_text("utf-8").splitlines():
        if line.startswith("@"):
            board = line.partition(":")[2].replace("|", "\n")
        elif line.strip() and not line.startswith("#"):
            text, _, meant = line.partition(" => ")
            yield board, text.strip(), None if meant.strip() == "?" else meant.strip()


def understood(board, text):
    """The sentences that a text is read as, apart by " ; ". Raises Refusal."""
    news, ahead, made = said(text, board), board.copy(), []
    for number, new in enumerate(news):
        fills = {name: new_step_ids(fill_from_json(fill), made) for name, fill in new.fills.items() if fill is not None}
        words = phrase(CATALOGUE[new.does], fills, ahead.names, full=True, board=ahead)
        news[number] = f"{new.name} is {words}" if new.name else words
        before = len(ahead)
        put_on(
            ahead,
            Add(
                steps=[
                    new.model_copy(
                        update={"fills": {name: list(fill) if isinstance(fill, tuple) else new.fills[name] for name, fill in fills.items()}}
                    )
                ]
            ),
        )
        made += [step.id for step in ahead.steps[before:]]
    return " ; ".join(news)


class PhrasingsTest(unittest.TestCase):
    def test_what_teachers_say_is_read_as_meant(self):
        boards, read, offered, other = {}, 0, [], []
        for sentences, text, meant in bank():
            board = boards.setdefault(sentences, figure(sentences).board)
            try:
                found = understood(board, text)
            except Refusal as refusal:
                if meant is None or any(meant.split(" ; ")[-1] in way for way in refusal.ways):
                    offered.append((text, refusal.sentence, refusal.ways))
                else:
                    other.append((text, meant, f"{refusal.sentence} {refusal.ways}"))
                continue
            if found == meant:
                read += 1
            else:
                other.append((text, meant, found))
        count = read + len(offered) + len(other)
        print(f"{read} of {count} read, {len(offered)} asked or offered")
        self.assertEqual(other, [])
        self.assertGreaterEqual(count, 250)
        self.assertGreater(read, 0.95 * count)


class CompletionTest(unittest.TestCase):
    def test_what_is_typed_in_other_words_is_completed_by_its_sentence(self):
        alone = Alone(figure("A = (0, 0)\nB = (4, 0)\nC = (1, 3)").board)
        shown = lambda text: [way["shown"] for way in alone.do(t="complete", text=text)[-1]["ways"]]
        self.assertEqual(shown("bisect angle ABC"), ["the bisector of angle ABC"])
        self.assertIn("the circle with centre A and radius 3", shown("circle about A of radius 3"))
        self.assertIn("the midpoint of AB", shown("teh midpont of AB"))
        self.assertEqual(shown("hid")[:2], ["hide p and q", "hide helpers"])
        self.assertEqual(shown("xyz"), [])


class ExamplesTest(unittest.TestCase):
    def test_every_way_in_the_definitions_is_read_as_its_construction(self):
        """What the help shows: each way to say each construction, with the names of its example."""
        count, asked = 0, []
        for construction in CATALOGUE:
            if not ways_shown(construction.key):
                continue
            board, read = example_of(construction)
            for text in ways_shown(construction.key):
                count += 1
                with self.subTest(f"{construction.key}: {text}"):
                    try:
                        *_, new = said(text, board)
                    except Refusal as refusal:
                        wanted = phrase(construction, read.fills, board.names, full=True, board=board)
                        self.assertIn(wanted, refusal.ways, refusal.sentence)
                        asked.append(text)
                        continue
                    self.assertEqual(new.does, construction.key)
                    fills = {name: fill_from_json(fill) for name, fill in new.fills.items()}
                    needed = {gap.name for gap in construction.gaps if not gap.optional}
                    self.assertEqual({name: fills.get(name) for name in needed}, {name: read.fills.get(name) for name in needed})
        self.assertGreater(count, 350)
        self.assertLess(len(asked), 0.05 * count, asked)

    def test_no_way_in_the_definitions_is_lost_at_the_bar(self):
        """The grammar of teachers' own words is asked first, and what it refuses is read all the same."""
        lost = []
        for construction in CATALOGUE:
            if ways := ways_shown(construction.key):
                board, _ = example_of(construction)
                for text in ways:
                    with contextlib.suppress(Refusal):
                        said(text, board)
                        try:
                            heard_at_the_bar(text, board)
                        except Refusal as refusal:
                            lost.append(f"{text}: {refusal.sentence}")
        self.assertLess(len(lost), 4, lost)


class AnythingTest(unittest.TestCase):
    def test_any_heap_of_words_is_read_or_refused_in_a_moment(self):
        chance = random.Random(12)
        words = sorted({word for one in CATALOGUE for pattern in ways_to_say(one) for word in pattern.words})
        signs = [*"ABCDpqka,=√|:²-", "AB", "ABC", "A′", "60°", "1/2", "(1, 2)", "“x”", "and", "it"]
        board = figure(next(text for text, _, _ in bank() if " p" in text)).board
        before = list(board.steps)
        for _ in range(1500):
            count = chance.choice((1, 2, 3, 5, 8, 14, 30))
            text = " ".join(chance.choice(words if chance.random() < 0.5 else signs) for _ in range(count))
            with within(2, text):
                try:
                    news = said(text, board)
                except Refusal as refusal:
                    for way in refusal.ways:
                        self.assertTrue(said(way, board), f"{text}: {way}")
                else:
                    with contextlib.suppress(Refusal):  # a name that is taken is found when it is put on
                        put_on(board.copy(), Add(steps=news))
        self.assertEqual(board.steps, before)

    def test_any_way_to_write_a_number_gives_one_or_is_refused(self):
        chance = random.Random(3)
        digits = ("", "0", "3", "2.5", ".5", "9" * 400, "1e400", "1e-400", "−4", "third")
        board = figure("A = (0, 0)").board
        taken = 0
        for _ in range(600):
            whole, over, under = (chance.choice(digits) for _ in range(3))
            number = (
                whole
                + chance.choice(("", "½", f" {over}/{under}", f"/{under}", f"√{over}", f" * √({over})"))
                + chance.choice(("", "", "°", " m"))
            )
            try:
                (new,) = said(f"the circle with centre A and radius {number}", board)
            except Refusal:
                continue
            taken += 1
            if new.does == "circle_radius" and isinstance(new.fills["radius"], float):
                self.assertTrue(abs(new.fills["radius"]) <= COORDINATE, number)
        self.assertGreater(taken, 60)
