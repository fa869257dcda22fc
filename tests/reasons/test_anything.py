"""Whatever is on a board and claimed of it: a reason, or none; never anything else, and never one that is wrong."""

import unittest

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.catalogue import CATALOGUE
from ruddy_trellis.core.edits import perform
from ruddy_trellis.core.truth.noticing import noticed
from ruddy_trellis.core.truth.reasons.checking import faults
from ruddy_trellis.core.truth.reasons.finding import reason
from ruddy_trellis.core.truth.reasons.putting import WAYS, put_on_board
from ruddy_trellis.core.truth.reasons.telling import still_runs, told_reason

from ..core.figures import figure
from .bank import EACH

#: Of each board so many claims are asked about, each for so many seconds.
CLAIMS, SECONDS = 4, 0.6


def boards():
    """The figures of the catalogue's examples, each a few times as large, with a claim on it that was noticed or is its own."""
    for number, construction in enumerate(CATALOGUE):
        if number % (1 if EACH == 1 else 3):
            continue
        try:
            board = figure(construction.example).board
        except Refusal:
            continue
        for one in noticed(board)[:CLAIMS]:
            with_claim = board.copy()
            perform(with_claim, one.edit)
            yield construction.key, with_claim, with_claim.steps[-1].id
        if board.steps[-1].makes == "claim":
            yield construction.key, board, board.steps[-1].id


class AnythingTest(unittest.TestCase):
    def test_every_construction_and_what_is_noticed_of_it(self):
        asked = found = 0
        for key, board, claim in boards():
            with self.subTest(key):
                asked += 1
                one = reason(board, claim, SECONDS)
                if one is None:
                    continue
                found += 1
                self.assertEqual(faults(one.figure, one.argument), [])
                told = told_reason(board, claim, seconds=SECONDS)
                if told is None:
                    continue
                self.assertTrue(still_runs(board, claim, told))
                for way in WAYS:
                    try:
                        edit = put_on_board(board, told, way)
                    except Refusal:
                        continue
                    perform(board.copy(), edit)
        self.assertGreater(asked, 20)
        self.assertGreater(found, asked // 5)


if __name__ == "__main__":
    unittest.main()
