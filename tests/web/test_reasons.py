"""Why a claim is so, as the server tells it: in the panel, remembered for the arrangement, and on the handout with gaps."""

import time
from unittest import mock

from ruddy_trellis.web.live import reasons, verdicts

from .test_verdicts_live import Here, WithClaims

_ARCS = ("c is the arc through A, C and B", "D is a point on c at 0.3", "angle ACB = angle ADB?")


class ReasonsTest(WithClaims):
    def setUp(self):
        super().setUp()
        reasons._remembered.clear()
        self.looked = Here()
        self.enterContext(mock.patch.object(reasons, "LOOKS", self.looked))
        self.enterContext(mock.patch.object(verdicts, "FIRST", Here()))
        self.enterContext(mock.patch.object(verdicts, "TRUTH", Here()))

    def panel(self, board, **asked):
        return self.client.get(f"/boards/{board}/panels/claims", params=asked).text

    def claim(self, board):
        return self.panel(board).split('data-why="')[1].split('"')[0]

    def test_a_reason_is_told_and_remembered(self):
        board, _ = self.board("M is the midpoint of AB", "N is the midpoint of AC", "is area(ABC) = 4 area(AMN)?")
        self.in_panel(board, "proved")
        told = self.panel(board, why=self.claim(board))
        self.assertIn("one height and half of the base", told)
        self.assertIn("data-ahead", told)
        self.panel(board, why=self.claim(board))
        self.assertEqual(len(self.looked.asked), 1, "the second time it is remembered")

    def test_where_the_figure_lies_otherwise_it_steps_back_and_is_looked_for_again(self):
        board, line = self.board(*_ARCS)
        self.in_panel(board, "data-why")
        id = self.claim(board)
        self.assertIn("one side of AB", self.panel(board, why=id))
        live = self.application.state.live.get(board)
        line.send("edit", edit={"kind": "move", "numbers": {live.board.find("C"): [2.2, 0.9]}})
        for _ in range(100):  # what was told before comes first
            if live.board.value(live.board.find("C")) == (2.2, 0.9):
                break
            time.sleep(0.05)
        self.assertIn("Here it runs differently", self.panel(board, why=id))
        self.assertNotIn("one side of AB", self.panel(board, why=id))
        self.assertIn("Reasons", self.panel(board, why=id, anew=True))
        self.assertEqual(len(self.looked.asked), 2)

    def test_of_what_fails_nothing_is_told(self):
        board, _ = self.board("is AB = AC?")
        self.in_panel(board, "× fails")
        self.assertNotIn('data-why="', self.panel(board))
        id = next(step.id for step in self.application.state.live.get(board).board.steps if step.makes == "claim")
        self.assertIn("a claim that stands or is proved", self.panel(board, why=id))
        self.assertNotIn('class="reason"', self.panel(board, why="s99"), "of what is not there nothing is told")
        self.assertEqual(self.looked.asked, [])

    def test_where_none_is_found_it_says_so(self):
        board, _ = self.board("P is the point A turned about B by 37 degrees", "is angle(ABP) = 37?")
        self.in_panel(board, "proved")
        self.assertIn("No reason was found", self.panel(board, why=self.claim(board)))

    def test_the_handout_has_gaps_for_reasons_and_the_answers_have_them(self):
        board, _ = self.board("M is the midpoint of AB", "N is the midpoint of AC", "is area(ABC) = 4 area(AMN)?")
        self.in_panel(board, "proved")
        page = lambda **chosen: self.client.get(f"/boards/{board}/handout", params={"chosen": True, **chosen}).text
        self.assertNotIn("one height", page())
        self.assertIn("one height and half of the base", page(reasons="whole"))
        gaps = page(reasons="reasons")
        self.assertIn("area(ABC) = 2 area(", gaps)
        self.assertNotIn("one height", gaps)
        self.assertIn("one height", page(reasons="reasons", answered=True))
        self.assertNotIn("area(ABC) = 2 area(", page(reasons="statements"))
        self.assertEqual(self.client.get(f"/boards/{board}/handout?reasons=none+of+these").status_code, 422)
