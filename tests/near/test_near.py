"""The hand beside the drawing says what the hand at the server says; what is sent to run it is whole; students get what is theirs."""

import gzip
import io
import json
import math
import random
import subprocess
import sys
import time
import unittest
import zipfile
from functools import cache
from itertools import pairwise
from unittest.mock import patch

from ruddy_trellis.core.board.copying import as_students_may_have_it, board_of, steps_and_settings
from ruddy_trellis.core.catalogue import CATALOGUE
from ruddy_trellis.core.display import display
from ruddy_trellis.core.edits import LookChanges, Move, Restyle
from ruddy_trellis.core.edits.prepare import perform
from ruddy_trellis.core.figure import Figure
from ruddy_trellis.core.hand import Alone, StudentHand
from ruddy_trellis.core.hand.messages import read_message
from ruddy_trellis.core.kinds import FAMILY, LOCUS
from ruddy_trellis.core.lesson.file import lesson_from_json
from ruddy_trellis.core.refusal import Refusal
from ruddy_trellis.demo import demo_lessons
from ruddy_trellis.near import shipping
from ruddy_trellis.near.away import Away
from ruddy_trellis.near.beside import Beside
from ruddy_trellis.near.compiled import compiled
from ruddy_trellis.web.options import Options
from tests.bank.boards import BOARDS
from tests.bank.judge import said_on
from tests.bank.run import utterances
from tests.core.random_regions import told as regions_told
from tests.web.served import WebTest

from .drags import apart, told

#: Of what teachers say in the bank, every so manieth makes a board that is dragged on both sides.
EVERY = 9
#: How far what is reckoned of many places may be apart, as a share of its size.
SAMPLED_SHARE = 1e-9


def is_sampled(board):
    """Whether something on a board is reckoned of many places at once: there the last digits may be others."""
    return any(step.makes in (LOCUS, FAMILY) for step in board.steps)


@cache
def boards():
    """Boards of the demo lessons, and what comes of things that teachers say: of almost every kind of thing."""
    demo = [board for lesson in demo_lessons() for board in lesson_from_json(lesson)[1]]
    said = [said_on(BOARDS[line.board]().board, line.text).board for line in list(utterances())[::EVERY]]
    return [*demo, *said]


def with_stand_ins(module, text=""):
    """What a module tells as JSON of a text, run with what stands for the libraries that a browser has not."""
    stand_ins = str(shipping._HERE / "standing_in")
    run = f"import sys; sys.path.insert(0, {stand_ins!r}); import runpy; runpy.run_module({module!r}, run_name='__main__')"
    there = subprocess.run([sys.executable, "-c", run], check=False, input=text, capture_output=True, text=True, timeout=300)
    if there.returncode:
        raise AssertionError(there.stderr[-2000:])
    return json.loads(there.stdout)


class SameTest(unittest.TestCase):
    def test_with_the_stand_ins_a_hand_says_the_same(self):
        texts = [json.dumps(steps_and_settings(board)) for board in boards()]
        there = with_stand_ins("tests.near.drags", json.dumps(texts))
        here = [told(text, number) for number, text in enumerate(texts)]
        moved = 0
        for number, (board, one, other) in enumerate(zip(boards(), here, there, strict=True)):
            share = SAMPLED_SHARE if is_sampled(board) else 0.0
            self.assertFalse(apart(list(map(json.loads, one)), list(map(json.loads, other)), share), f"board {number}")
            moved += sum('"held":true' in answer for answer in one)
        self.assertGreater(moved, len(texts) * 2, "something was held on most boards")

    def test_regions_are_the_same_bits_with_the_stand_ins(self):
        here = [list(one) for one in regions_told(200)]
        self.assertEqual(with_stand_ins("tests.core.random_regions"), here)
        self.assertGreater(sum(area > 0 for _, _, area in here), 60)

    def test_a_copy_is_the_board(self):
        for number, board in enumerate(boards()):
            with self.subTest(number):
                copy = board_of(json.loads(json.dumps(steps_and_settings(board))))
                self.assertEqual(copy.steps, board.steps)
                self.assertEqual(copy.settings, board.settings)
                self.assertEqual([copy.value(step.id) for step in copy.steps], [board.value(step.id) for step in board.steps])
                extent = Alone(board).extent
                self.assertEqual(display(copy, extent), display(board, extent))

    def test_what_was_told_before_there_was_a_copy_is_so_in_it(self):
        figure = Figure()
        for words in ("A = (0, 0)", "B = (4, 0)", "p is the line through A and B", "d is the length of AB"):
            figure.say(words)
        d = figure.board.steps[-1].id
        perform(figure.board, Restyle(ids=[d], look=LookChanges(cover=True)))
        early, late, text = Beside(), Beside(), json.dumps(steps_and_settings(figure.board))
        late.open(text)
        for beside in (early, late):
            beside.look("[-900, -500, 900, 500]")
            beside.take(json.dumps({"t": "lift", "ids": [d]}))
        early.open(text)
        moves = [{"t": "grab", "ids": ["s2"], "at": [4, 0]}, {"t": "drag", "to": [5, 0], "seq": 0}]
        said = [[beside.take(json.dumps(move)) for move in moves] for beside in (early, late)]
        self.assertEqual(*said)
        self.assertIn("5.00", said[0][1])
        self.assertRegex(said[0][1], r'"points":\[-\d{3,}')


#: Where the crossing X of two ellipses goes, while the focus D of one of them is moved, depends on the way.
ELLIPSES = (
    "A = (-3, 0)", "B = (3, 0)", "C = (0, 3)", "e is the ellipse with foci A and B through C", "D = (0, -3)", "E = (1, 3)", "F = (3, 1)",
    "h is the ellipse with foci D and E through F", "X is where e meets h, first crossing",
)  # fmt: skip
THE_WAY = ((0, -3), (4.25, 4.5), (3.9, -4.2), (0.9, -0.8), (0.3, -3.7))


def on_the_way():
    """Places along it, a short way apart."""
    for (px, py), (qx, qy) in pairwise(THE_WAY):
        for number in range(1, 31):
            yield px + (qx - px) * number / 30, py + (qy - py) * number / 30


class FollowedTest(unittest.TestCase):
    def setUp(self):
        figure = Figure()
        for words in ELLIPSES:
            figure.say(words)
        self.text = json.dumps(steps_and_settings(figure.board))

    def held(self):
        alone = Alone(board_of(json.loads(self.text)))
        alone.do(t="grab", ids=["s5"], at=THE_WAY[0])
        return alone

    def test_the_server_takes_over_where_a_copy_has_followed_a_crossing_to(self):
        here, there, unaware = self.held(), self.held(), self.held()
        for place in on_the_way():
            (told,) = here.do(t="drag", to=place, seq=1)
        for alone, near in ((there, json.loads(json.dumps(told["near"]))), (unaware, {})):
            alone.do(t="drag", to=THE_WAY[-1], seq=1, near=near)
        self.assertEqual(there.board.value("s9"), here.board.value("s9"))
        self.assertGreater(math.dist(here.board.value("s9"), unaware.board.value("s9")), 1)
        there.do(t="drop")
        self.assertEqual(there.board.value("s9"), here.board.value("s9"))

    def test_what_was_followed_without_a_line_is_sent_with_where_it_went(self):
        away = Away(board_of(json.loads(self.text)))
        away.leave()
        away.answered({"t": "grab", "ids": ["s5"], "at": THE_WAY[0]})
        for place in on_the_way():
            away.answered({"t": "drag", "to": place, "seq": 1})
        away.answered({"t": "drop"})
        (note,) = json.loads(json.dumps(away.unsent))
        board = board_of(json.loads(self.text))
        start = board.copy()
        patch = perform(board, Move(**note["edit"]))
        self.assertEqual(board.value("s9"), away.board.value("s9"))
        for near in ({}, {"s9": [1.0, 1.0]}, {"s9": [float("nan"), 1.0]}, {"s9": [1.0]}, {"s9": [1e300, -1e300, 0, 9]}):
            other = start.copy()
            perform(other, Move(numbers=note["edit"]["numbers"], near=near))
            self.assertGreater(math.dist(board.value("s9"), other.value("s9")), 1, near)
        patch.reversed().apply(board)
        self.assertEqual(board.steps, start.steps)

    def test_what_is_no_crossing_there_is_not_taken_over(self):
        plain = self.held()
        plain.do(t="drag", to=(1, -3), seq=1)
        for near in ({"s9": [1.0, 1.0]}, {"s9": [1e7, -1e7, 3, 0]}, {"s4": [0, 0]}, {"s5": [2, 2]}, {"s99": [0, 0]}, {"s9": [0, 0, 0]}):
            alone = self.held()
            alone.do(t="drag", to=(1, -3), seq=1, near=near)
            self.assertEqual(alone.board.steps, plain.board.steps, near)


class RunningTest(unittest.TestCase):
    def test_a_motion_runs_at_the_copy_runs_on_at_the_next_and_tells_where_it_stopped(self):
        figure = Figure()
        for words in (
            "A = (0, 0)",
            "B = (6, 0)",
            "t is a dial from 0 to 1 in steps of 0.01 at 0.2",
            "m is the motion of t, to and fro, in 4 seconds",
        ):
            figure.say(words)
        beside, clock = Beside(), [100.0]
        beside.open(json.dumps(steps_and_settings(figure.board)))
        with patch.object(time, "monotonic", lambda: clock[0]):
            begun = json.loads(beside.run('{"t": "play"}'))
            self.assertEqual(begun["answers"], [{"t": "playing", "ids": ["s4"]}])
            self.assertEqual([answer["t"] for answer in json.loads(beside.go_on())["answers"]], ["frames"])
            clock[0] += 0.5
            figure.say("C = (1, 1)")
            beside.open(json.dumps(steps_and_settings(figure.board)))  # the board has changed meanwhile
            self.assertEqual([answer["t"] for answer in json.loads(beside.go_on())["answers"]], ["frames"])
            clock[0] += 0.5
            stopped = json.loads(beside.run('{"t": "pause"}'))
        self.assertIsNone(stopped["due"])
        self.assertEqual([answer["t"] for answer in stopped["answers"]], ["playing", "board", "ran"])
        perform(figure.board, Move(**stopped["answers"][-1]["edit"]))
        self.assertAlmostEqual(figure.board.value("s3"), 0.45, delta=0.06)
        self.assertEqual(json.loads(beside.run('{"t": "pause"}'))["answers"], [])

    def test_a_question_on_the_board_is_answered_at_the_copy(self):
        figure = Figure()
        for words in (
            "A = (0, 0)",
            "B = (4, 0)",
            "C = (1, 1)",
            "j is the places nearer to A than to B",
            "z is the region where all of j hold",
        ):
            figure.say(words)
        figure.say("u is a question whether C is in z")
        beside = Beside()
        beside.open(json.dumps(steps_and_settings(figure.board)))
        (answer,) = json.loads(beside.run('{"t": "ask", "id": "s6"}'))["answers"]
        self.assertIn("C is in z", answer["words"])

    def test_a_quiz_is_asked_and_told_at_the_copy_in_the_words_of_the_class(self):
        figure = Figure()
        for words in (
            "A = (-6, -2)", "B = (4, -1)", "C = (-5, 2)", "p is the line through A and B", "q is the parallel to p through C",
            "D = (-3, -4)", "E = (1, 4)", "t is the line through D and E", "u is a quiz on the angles of p and q cut by t",
        ):  # fmt: skip
            figure.say(words)
        near, far = Beside(), Alone(figure.board)
        far.hand.angle_words = 1
        told = next(answer for answer in far.do(t="near") if answer["t"] == "near")
        near.open(json.dumps(told))
        message = {"t": "quiz", "id": figure.board.find("u")}
        _, first = json.loads(near.run(json.dumps(message)))["answers"]
        self.assertEqual(first["score"], "")
        self.assertIn(["vertical", "vertically opposite"], first["names"])
        asked = {**message, "last": first["last"], "answer": "vertical"}
        here, there = json.loads(near.run(json.dumps(asked)))["answers"][1], far.do(**asked)[1]
        self.assertEqual((here["told"], here["score"]), (there["told"], there["score"]), "either goes on where the other one asked")
        for numbers in ([1, 9], [0, 2], [1], [1, 2, 3]):
            with self.assertRaises(Refusal):
                read_message({**asked, "last": {"numbers": numbers}})


class ToolsTest(unittest.TestCase):
    def test_with_the_tool_that_the_server_has_in_the_hand_the_copy_says_what_lies_under_the_pointer(self):
        figure = Figure()
        for words in (
            "A = (0, 0)",
            "B = (4, 0)",
            "C = (1, 3)",
            "the polygon through A, B, C",
            "k is the circle with centre A through B",
            "l is the line through B and C",
            "r is a dial from 0 to 10 in steps of 1 at 3",
        ):
            figure.say(words)
        numbers, compared, full = random.Random(7), 0, 0
        text = json.dumps(steps_and_settings(figure.board))
        for tool in CATALOGUE:
            if not tool.keys:
                continue
            alone, beside = Alone(board_of(json.loads(text))), Beside()
            beside.open(text)
            alone.do(t="tool", key=tool.key)
            for _ in range(3):
                told = alone.hand.prompt and alone.hand.prompt.told()
                self.assertEqual(beside.prompt(json.dumps(told)), json.dumps(told is not None))
                for _ in range(4):
                    hover = {
                        "t": "hover",
                        "at": numbers.choice(([0, 0], [4, 0], [2, 0], [2.5, 1.5], [numbers.uniform(-3, 5), 1])),
                        "reach": 0.2,
                    }
                    said = json.loads(beside.take(json.dumps(hover)))
                    self.assertEqual(said, json.loads(json.dumps(alone.do(**hover), default=list)), tool.key)
                    compared += bool(said)
                full += bool(told and told["filled"])
                before = len(alone.board)
                alone.do(t="click", at=numbers.choice(([0, 0], [4, 0], [2, 0], [2.5, 1.5])), reach=0.2)
                if len(alone.board) != before or alone.hand.prompt is None:
                    break
        self.assertGreater(compared, 500)
        self.assertGreater(full, 60)

    def test_a_tool_that_is_not_known_here_is_said_to_be(self):
        beside = Beside()
        told = {"key": "recipe_none", "filled": {}, "last_at": None, "closed": False, "order": [], "retie": None, "first": None}
        self.assertEqual(beside.prompt(json.dumps(told)), "false")
        self.assertEqual(beside.take('{"t": "hover", "at": [0, 0], "reach": 1}'), "[]")


class StudentsTest(unittest.TestCase):
    def test_what_hangs_on_nothing_that_is_seen_is_not_told(self):
        figure = Figure()
        for words in ("A = (0, 0)", "B = (4, 0)", "M is the midpoint of AB", "S = (7, 7)", "the segment from A to M"):
            figure.say(words)
        ids = {figure.board.name(step.id): step.id for step in figure.board.steps}
        perform(figure.board, Restyle(ids=[ids["S"], ids["M"]], look=LookChanges(hidden=True)))
        names = [step.get("name") for step in as_students_may_have_it(figure.board)["steps"]]
        self.assertIn("M", names, "the segment hangs on it")
        self.assertNotIn("S", names)

    def test_what_only_a_teacher_lifts_is_not_told(self):
        figure = Figure()
        for words in ("A = (0, 0)", "B = (4, 0)", "d is the length of AB"):
            figure.say(words)
        (told,) = Alone(figure.board, StudentHand).do(t="near")
        self.assertEqual(told, {"t": "near", "angle_words": 0, **steps_and_settings(figure.board)})
        perform(figure.board, Restyle(ids=[figure.board.steps[-1].id], look=LookChanges(cover=True)))
        (told,) = Alone(figure.board, StudentHand).do(t="near")
        self.assertEqual(len(told["steps"]), 3, "whoever may lift it may have it beside the drawing")
        perform(figure.board, Restyle(ids=[figure.board.steps[-1].id], look=LookChanges(teacher_lifts=True)))
        (told,) = Alone(figure.board, StudentHand).do(t="near")
        self.assertEqual(told, {"t": "near", "steps": None})
        (whole,) = Alone(figure.board).do(t="near")
        self.assertEqual(len(whole["steps"]), 3, "its teacher has all of it")

    def test_why_there_is_no_copy_is_said_by_the_kind_of_the_problem_alone(self):
        alone = Alone(Figure().board)
        with self.assertLogs("ruddy_trellis.core.hand.showing", "WARNING") as logs:
            self.assertEqual(alone.do(t="far", words="ModuleNotFoundError"), [])
        self.assertIn("ModuleNotFoundError", logs.output[0])
        (answer,) = alone.do(t="far", words="Robin’s password: 1234")
        self.assertEqual(answer["kind"], "refusal")


class ShippingTest(unittest.TestCase):
    def test_the_core_is_packed_whole_and_compiles(self):
        archive = zipfile.ZipFile(io.BytesIO(shipping.core_archive()))
        names = set(archive.namelist())
        for path in (shipping._PACKAGE / "core").rglob("*.py"):
            name = path.relative_to(shipping._PACKAGE.parent).as_posix()
            self.assertEqual(archive.read(name), path.read_bytes())
        self.assertLessEqual({"pydantic.py", "orjson.py", "numpy/table.py", "ruddy_trellis/near/beside.py"}, names)
        self.assertFalse([name for name in names if "/web/" in name or "/store/" in name])
        made = zipfile.ZipFile(io.BytesIO(compiled(shipping.core_archive())))
        self.assertEqual({f"{name}c" for name in names}, set(made.namelist()))

    def test_the_runtime_is_packed_in_files_that_git_keeps(self):
        self.assertRegex(shipping.runtime_version(), r"^\d+\.\d+\.\d+$")
        sizes = [len(shipping.runtime_file(name)) for name in ("pyodide.mjs", "pyodide.asm.mjs", "pyodide.asm.wasm", "python_stdlib.zip")]
        self.assertLess(max(sizes), 4_000_000)
        self.assertLess(sum(sizes) + len(shipping.core_packed()), 6_000_000)
        self.assertEqual(shipping.weight(), sum(sizes) + len(shipping.core_packed()))
        self.assertEqual(gzip.decompress(shipping.runtime_file("pyodide.asm.wasm"))[:4], b"\0asm")
        for name in ("../shipping.py", "version.txt", "make.mjs", "", "pyodide"):
            self.assertIsNone(shipping.runtime_file(name))


class DoorTest(WebTest):
    def test_what_is_fetched_is_kept_and_nothing_else_is_given(self):
        places = json.loads(self.client.get(self.lesson()).text.split("data-near='")[1].split("'")[0])
        answer = self.client.get(places["runtime"] + "/pyodide.asm.wasm")
        self.assertEqual((answer.status_code, answer.headers["content-type"]), (200, "application/wasm"))
        self.assertIn("immutable", answer.headers["cache-control"])
        self.assertEqual(answer.content[:4], b"\0asm")
        self.assertEqual(self.client.get(places["core"]).content, shipping.core_archive())
        for address in ("/near/0.0.0/pyodide.mjs", places["runtime"] + "/version.txt", "/near/core-0.zip"):
            self.assertEqual(self.client.get(address).status_code, 404, address)

    def test_only_the_thread_may_compile(self):
        page = self.client.get(self.lesson())
        self.assertNotIn("wasm-unsafe-eval", page.headers["content-security-policy"])
        stamp = page.text.split("/static/")[1].split("/")[0]
        policy = self.client.get(f"/static/{stamp}/teacher/near/worker.js").headers["content-security-policy"]
        self.assertIn("script-src 'self' 'wasm-unsafe-eval'", policy)
        self.assertNotIn("unsafe-eval' ", policy.replace("wasm-unsafe-eval'", ""))

    def test_it_can_be_left_out(self):
        self.assertNotIn("data-near", self.client.get(self.lesson() + "?near=0").text)
        self.application.state.options = Options(near=False)
        self.assertNotIn("data-near", self.client.get(self.lesson()).text)

    def lesson(self):
        return self.client.post("/lessons", data={"title": "New"}, follow_redirects=False).headers["location"]


if __name__ == "__main__":
    unittest.main()
