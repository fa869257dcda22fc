"""Is it right? A bank of answers judged as their geometry deserves; what cannot be a challenge; how long judging takes."""

import importlib.util
import json
import unittest
from unittest import mock

from ruddy_trellis.core import Figure
from ruddy_trellis.core.challenge import Challenge, Sought, check_challenge, judged, started
from ruddy_trellis.core.challenge.always import always
from ruddy_trellis.core.challenge.answer_key import AnswerKey, answer_key, judged_by_key
from ruddy_trellis.core.challenge.branches import branches
from ruddy_trellis.core.challenge.by_same import OfSolution
from ruddy_trellis.core.challenge.judging import meets_already
from ruddy_trellis.core.lesson.file import board_from_store, board_to_text, challenges_from_json, lesson_from_json, lesson_to_json
from ruddy_trellis.core.lesson.student_copy import student_copy
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.demo import demo_lessons

from .bounds import within
from .challenges import BANK
from .challenges_further import FURTHER
from .demo_answers import DEMO

#: In a browser is no library of exact numbers, so that nothing is proved there.
CAN_PROVE = importlib.util.find_spec("flint") is not None


def board_of(text):
    figure = Figure()
    figure.say(text)
    return figure.board


def made(row):
    """The challenge of a row of the bank, its solution and its start."""
    given = row["given"]
    solution = board_of(given + "\n" + row.get("solution", ""))
    start = started(solution, [step.id for step in board_of(given).steps]) if "solution" in row else solution
    answers = [solution.find(name) for name in row.get("answers", "").split()]
    ways = branches(solution, answers, {step.id for step in start.steps}) if answers else []
    challenge = Challenge(
        task=row["name"],
        by="same" if answers else "claims",
        answers=answers,
        branches=ways if row.get("either") else ways[:1],
        every=row.get("every", False),
        sought=[Sought(name=name, kind=kind, corners=corners) for name, kind, corners in row.get("sought", ())],
        claims=row.get("claims", []),
        solution=board_to_text(solution),
    )
    return challenge, solution, start


def answered(start, text):
    figure = Figure()
    figure.board = student_copy(start)
    figure.say(text)
    return figure.board


def key_of(challenge, solution, start):
    """The key of a challenge as a page that works by itself reads it, and its text."""
    text = answer_key(challenge, solution, student_copy(start)).model_dump_json()
    return AnswerKey.model_validate_json(text), text


class KeyTest(unittest.TestCase):
    def test_every_answer_is_judged_by_values_in_fixed_positions_as_by_the_solution(self):
        for row in BANK + FURTHER:
            challenge, solution, start = made(row)
            key, text = key_of(challenge, solution, start)
            own = {step.id for step in solution.steps if step.id not in start}
            self.assertFalse({id for id in own if f'"{id}"' in text}, "nothing of the solution's steps is told")
            self.assertEqual(set(json.loads(text)), {"kinds", "rows", "sought", "claims", "held"})
            self.assertLess(len(text), 60_000)
            for answer, verdict, why in row["tried"]:
                with self.subTest(row["name"], why=why):
                    copy = answered(start, answer)
                    before = list(copy.steps)
                    found = judged_by_key(copy, key)
                    self.assertEqual(found.verdict, verdict, found.words)
                    self.assertEqual(copy.steps, before)
                    if verdict == "right":
                        self.assertEqual(found.taken, judged(copy, challenge, solution).taken)
                        drag_the_givens(copy)
                        self.assertEqual(judged_by_key(copy, key).verdict, verdict)

    def test_what_only_looks_right_is_told_so(self):
        challenge, solution, start = made(BANK[0])
        key, _ = key_of(challenge, solution, start)
        for answer, reach, words in (
            ("", 0.0, "Nothing of yours"), ("M = (0, 0.5)", 0.0, "does not stay right"), ("M = (0.01, 0.5)", 0.05, "not tied"),
            ("M = (1, 0.5)", 0.05, "Nothing of yours is what is asked for"),
        ):  # fmt: skip
            found = judged_by_key(answered(start, answer), key, reach)
            self.assertEqual(found.verdict, "not yet")
            self.assertIn(words, found.words)
        loose = judged_by_key(answered(start, "M = (0, 0.5)"), key)
        self.assertTrue(loose.position)

    def test_what_numbers_do_not_tell_has_no_key(self):
        challenge, solution, start = made(BANK[0])
        for value in ((float("inf"), 0.0), (float("nan"), 1.0), "a place", ((0.0, 0.0), (float("inf"), 1.0))):
            with self.subTest(value), mock.patch.object(OfSolution, "at", return_value=[[value]]), self.assertRaises(Refusal):
                answer_key(challenge, solution, student_copy(start))


def drag_the_givens(copy):
    pegs = [step for step in copy.steps if copy.is_given(step.id) and step.moves == "free"]
    copy.move({step.id: (x * 1.1 + 0.3 * y, y - 0.2 * x + 0.1) for step in pegs for x, y in [step.fills["at"]]})


class BankTest(unittest.TestCase):
    def test_every_answer_is_judged_as_it_deserves(self):
        for row in BANK + FURTHER:
            challenge, solution, start = made(row)
            check_challenge(challenge, solution, start)
            self.assertFalse(meets_already(start, challenge, solution), row["name"])
            answer = next(iter(challenge.answers), None)
            for text, verdict, why in row["tried"]:
                with self.subTest(row["name"], why=why):
                    copy = answered(start, text)
                    before = list(copy.steps)
                    found = judged(copy, challenge, solution)
                    self.assertEqual(found.verdict, verdict, found.words)
                    self.assertEqual(copy.steps, before)
                    self.assertTrue(set(found.taken) <= {step.id for step in copy.steps})
                    if found.is_met:
                        self.assertTrue(all(met for _, met in found.conditions))
                    # Where a student has dragged the givens before asking is all the same to what is tied.
                    if verdict == "right":
                        drag_the_givens(copy)
                        self.assertEqual(judged(copy, challenge, solution).verdict, verdict)
                        if CAN_PROVE:
                            self.assertTrue(always(copy, challenge, solution, found.taken), "not proved")
                    elif CAN_PROVE and len(challenge.answers) == 1 and verdict == "not yet" and not challenge.every:
                        alike = [step.id for step in copy.steps if not copy.is_given(step.id) and step.makes == solution.kind_of(answer)]
                        self.assertFalse([id for id in alike if always(copy, challenge, solution, (id,))])
                    # No word of the solution is in what is told.
                    for id in challenge.answers:
                        self.assertNotIn(str(solution.value(id)), found.words)

    def test_the_challenges_of_the_demo_lessons(self):
        found = {}
        for data in demo_lessons():
            _, boards = lesson_from_json(data)
            for number, challenge in challenges_from_json(data).items():
                start, solution = boards[number], board_from_store(challenge.solution)
                self.assertFalse(meets_already(start, challenge, solution))
                found[start.settings.title] = challenge, start, solution
        self.assertEqual(set(found), set(DEMO))
        for title, (challenge, start, solution) in found.items():
            with self.subTest(title):
                self.assertEqual(judged(student_copy(start), challenge, solution).verdict, "not yet")
                if DEMO[title] is not None:
                    self.assertEqual(judged(answered(start, DEMO[title]), challenge, solution).verdict, "right")
                again = challenges_from_json(lesson_to_json("Again", [start], {}, {0: challenge}))
                self.assertEqual(again[0].model_dump(exclude={"solution"}), challenge.model_dump(exclude={"solution"}))

    def test_what_looks_right_is_told_apart(self):
        challenge, solution, start = made(BANK[0])
        found = judged(answered(start, "M = (0, 0.5)"), challenge, solution)
        self.assertIn("not tied", found.words)
        self.assertTrue(found.position)
        near = judged(answered(start, "M = (0.01, 0.5)"), challenge, solution, reach=0.05)
        self.assertIn("not tied", near.words)
        self.assertNotIn("not tied", judged(answered(start, "M = (1, 0.5)"), challenge, solution, reach=0.05).words)

    def test_what_can_be_no_challenge(self):
        solution = board_of("A = (0, 0)\nB = (4, 0)\nM is the midpoint of AB\nk is the circle with centre A through B")
        a, b, m, k = (step.id for step in solution.steps)
        text = board_to_text(solution)
        with self.assertRaises(Refusal):
            started(solution, [a, b, m, k])
        start = started(solution, [a, b])
        for challenge in (
            Challenge(task="t", solution=text),
            Challenge(task="t", answers=[a], solution=text),
            Challenge(task="t", answers=["s99"], solution=text),
            Challenge(task="t", by="claims", claims=["AX = BX"], solution=text),
        ):
            with self.assertRaises(Refusal):
                check_challenge(challenge, solution, start)
        locked = board_of("v is a dial from 0 to 3 in steps of 1\nA is the point with x = 1 and y = 2\nB is the point with x = 4 and y = 2")
        with self.assertRaises(Refusal):
            check_challenge(Challenge(task="t", answers=["s9"], held=True, solution=text), locked, locked)
        # What is there already is nothing to find.
        there = board_of("A = (0, 0)\nB = (4, 0)\np is the perpendicular bisector of AB\nX is where p meets the line through A and B")
        found = Challenge(task="t", by="claims", sought=[Sought(name="Y", kind="point")], claims=["AY = BY"], solution=text)
        self.assertTrue(meets_already(there, found, there))

    def test_the_other_answers_are_listed(self):
        text = "A = (-2, 0)\nB = (2, 0)\nk is the circle with centre A through B\nl is the circle with centre B through A\n"
        solution = board_of(text + "C is where k meets l, first crossing\nD is where k meets the line through A and C, second crossing")
        ways = branches(solution, [solution.find("D")], {"s1", "s2"})
        self.assertEqual(ways[0], {})
        self.assertGreaterEqual(len(ways), 2)

    def test_it_is_judged_within_a_tenth_of_a_second(self):
        lines = "\n".join(f"M_{n} is the midpoint of A and {'B' if n == 1 else f'M_{n - 1}'}" for n in range(1, 46))
        given = "A = (-3, 0)\nB = (3, 1)"
        solution = board_of(f"{given}\n{lines}")
        start = started(solution, ["s1", "s2"])
        challenge = Challenge(task="t", answers=[solution.steps[5].id], solution=board_to_text(solution))
        copy = answered(start, lines)
        self.assertEqual(judged(copy, challenge, solution).verdict, "right")  # the first time is not the usual one
        with within(0.1):
            self.assertEqual(judged(copy, challenge, solution).verdict, "right")

    def test_many_things_that_could_be_meant_take_no_long_time(self):
        start = board_of("A = (-3, 0)\nB = (3, 1)\nC = (0, 4)")
        pairs = [Sought(name="X", kind="point"), Sought(name="Y", kind="point")]
        for sought, claims, lines, is_told in (
            (pairs, ["XA = YB", "XY = AB"], [f"P_{n} = ({n % 7}, {n // 7})" for n in range(40)], True),
            (pairs, ["XA = YB", "XY = AB"], [f"P_{n} = ({n % 9}, {n // 9})" for n in range(80)], False),
            ([*pairs, Sought(name="Z", kind="point")], ["X, Y and Z are in line"], [f"P_{n} = ({n}, 0)" for n in range(16)], False),
        ):
            challenge = Challenge(task="t", by="claims", sought=sought, claims=claims, solution=board_to_text(start))
            copy = answered(start, "\n".join(lines))
            with within(6):
                try:
                    self.assertEqual(judged(copy, challenge, start).verdict, "not yet")
                    self.assertTrue(is_told)
                except Refusal as refusal:
                    self.assertIn("could be meant", refusal.sentence)
                    self.assertFalse(is_told)

    def test_claims_are_read_anew_where_names_mean_other_things(self):
        # A segment of the student's has the name that a claim speaks of: each choice is of what it means there.
        start = board_of("A = (-3, 0)\nB = (3, 1)\nC = (0, 4)\ng is the line through A and B")
        challenge = Challenge(
            task="t", by="claims", sought=[Sought(name="X", kind="point")], claims=["CX is perpendicular to g", "X lies on g"],
            solution=board_to_text(start),
        )  # fmt: skip
        for text in (
            "D is the foot of the perpendicular from C to g\nE = (1, 1)\nCE is the segment from C to E\nF = (2, 2)",
            "E = (1, 1)\nCE is the segment from C to E\nD is the foot of the perpendicular from C to g\nCD is the segment from C to D",
        ):
            self.assertEqual(judged(answered(start, text), challenge, start).verdict, "right", text)


if __name__ == "__main__":
    unittest.main()
