"""When the store or a browser fails, nothing is lost and nobody else notices."""

import asyncio
import json
import threading
import time
import unittest
from concurrent.futures import ThreadPoolExecutor
from types import SimpleNamespace
from unittest import mock

from ruddy_trellis.core import Refusal
from ruddy_trellis.core.edits import read_edit
from ruddy_trellis.store.tables import BoardRow
from ruddy_trellis.web.live.connection import Connection
from ruddy_trellis.web.live.lines import Pace
from ruddy_trellis.web.live.live_board import LiveBoard
from ruddy_trellis.web.live.live_boards import LiveBoards

DOCUMENT = json.dumps(
    {
        "title": "B",
        "unit": "m",
        "ground": "grid",
        "decimals": 2,
        "view": [-9, -6, 9, 6],
        "steps": [{"id": "s1", "does": "free_point", "with": {"at": [0, 0]}, "name": "A"}],
    }
)


class NothingKnown:
    """Keeps no verdicts."""

    def find(self, marks):
        return {}

    def keep(self, mark, text):
        pass


class Store:
    """Stands in for the store; fails when it is told to."""

    def __init__(self):
        self.saved, self.fails, self.is_gone = [], False, False
        self.verdicts = NothingKnown()

    def save_edit(self, board_id, number, patch, document):
        if self.fails:
            raise OSError("the disk is full")
        if self.is_gone:
            return False
        self.saved.append((number, patch, document))
        return True

    def save_step(self, board_id, edits_done, document):
        if self.fails:
            raise OSError("the disk is full")

    def edit(self, board_id, number):
        return next((patch for saved, patch, _ in self.saved if saved == number), None)


class Socket:
    """A browser that never reads."""

    def __init__(self):
        self.closed = None

    async def send_text(self, text):
        await asyncio.sleep(3600)

    async def close(self, code):
        self.closed = code


class FailureTest(unittest.IsolatedAsyncioTestCase):
    def setUp(self):
        self.store = Store()
        self.live = LiveBoard(BoardRow(id=1, lesson_id=1, document=DOCUMENT), 0, self.store)
        self.live.whole()  # someone has opened it
        self.add = read_edit({"kind": "add", "steps": [{"does": "free_point", "fills": {"at": [1, 1]}}]})

    async def test_an_edit_that_cannot_be_kept_is_not_made(self):
        self.store.fails = True
        with self.assertRaises(OSError):
            await self.live.change(self.add)
        self.assertEqual((len(self.live.board), self.live.edits_done), (1, 0))
        self.store.fails = False
        await self.live.change(self.add)
        self.assertEqual((len(self.live.board), self.live.edits_done), (2, 1))

    async def test_of_a_board_that_is_gone_it_is_said(self):
        self.store.is_gone = True
        with self.assertRaisesRegex(Refusal, "not there any more"):
            await self.live.change(self.add)
        self.assertEqual((len(self.live.board), self.live.edits_done), (1, 0))

    async def test_a_drag_that_cannot_be_kept_goes_back(self):
        hand = object()
        self.live.hold(hand, ["s1"])
        self.live.shift(hand, {"s1": (3, 4)})
        self.assertEqual(self.live.board.value("s1"), (3, 4))
        self.store.fails = True
        with self.assertRaises(OSError):
            await self.live.drop(hand)
        self.assertEqual(self.live.board.value("s1"), (0, 0))

    async def test_an_undo_goes_to_what_was_before_the_whole_drag(self):
        hand = object()
        self.live.hold(hand, ["s1"])
        for x in range(1, 6):
            self.live.shift(hand, {"s1": (x, 0)})
        await self.live.drop(hand)
        self.assertEqual(self.live.edits_done, 1)
        self.assertEqual(await self.live.undo(), "Moved A")
        self.assertEqual(self.live.board.value("s1"), (0, 0))
        with self.assertRaises(Refusal):
            await self.live.undo()
        await self.live.redo()
        self.assertEqual(self.live.board.value("s1"), (5, 0))

    async def test_grabbing_without_moving_is_no_edit(self):
        hand = object()
        self.live.hold(hand, ["s1"])
        self.assertFalse(await self.live.drop(hand))
        self.assertEqual(self.store.saved, [])

    async def test_an_edit_is_told_even_if_someone_looks_while_it_is_being_kept(self):
        watcher = Connection(self.live, Socket())
        self.live.connections.add(watcher)
        may_save = threading.Event()
        save = self.store.save_edit
        self.store.save_edit = lambda *arguments: (may_save.wait(5), save(*arguments))
        change = asyncio.create_task(self.live.change(self.add))
        await asyncio.sleep(0.05)
        self.assertEqual(watcher.outgoing.waiting, [], "nothing is told before it is kept")
        await watcher.receive(json.dumps({"t": "view", "view": [-8, -5, 8, 5], "keep": False}))
        may_save.set()
        await change
        told = [message for message in watcher.outgoing.waiting if message["t"] == "changed"]
        self.assertEqual([[item["id"] for item in message["items"] if item["kind"] == "point"] for message in told], [["s2"]])

    async def test_a_browser_that_does_not_read_is_let_go_and_memory_stays_flat(self):
        socket = Socket()
        slow = Connection(self.live, socket)
        self.live.connections.add(slow)
        for number in range(50_000):
            slow.send_items([{"id": "s1", "shape": {"at": (number, 0)}, "label": None}])
        self.assertEqual(len(slow.outgoing.items), 1, "only the newest position waits")
        for _ in range(2_500):
            slow.send({"t": "says"})
        await asyncio.sleep(0)
        self.assertEqual(socket.closed, 1013)
        self.assertLess(len(slow.outgoing.waiting), 2_001)
        await self.live.change(self.add)
        self.assertEqual(len(self.live.board), 2)


class PaceTest(unittest.IsolatedAsyncioTestCase):
    async def test_a_flood_waits_and_a_hand_does_not(self):
        """On a clock of its own: how late a busy machine wakes anybody is none of its matter."""
        now, waited = [0.0], []

        async def sleep(seconds):
            now[0] += seconds
            waited.append(seconds)

        async def spent(messages, apart):
            with (
                mock.patch("ruddy_trellis.web.live.lines.MESSAGES_A_SECOND", 20),
                mock.patch("ruddy_trellis.web.live.lines.time", SimpleNamespace(monotonic=lambda: now[0])),
                mock.patch("ruddy_trellis.web.live.lines.asyncio", SimpleNamespace(sleep=sleep)),
            ):
                pace = Pace()
                waited.clear()
                for _ in range(messages):
                    now[0] += apart
                    await pace.keep()
                return sum(waited)

        self.assertGreater(await spent(41, 0), 1.9)
        self.assertLess(await spent(12, 0.1), 0.01)


class OpeningTest(unittest.TestCase):
    def test_many_threads_that_ask_for_a_board_get_the_same_one(self):
        class SlowStore:
            verdicts = NothingKnown()

            def board(self, board_id):
                time.sleep(0.02)
                return BoardRow(id=board_id, lesson_id=1, document=DOCUMENT, edits_done=0)

            def edit_count(self, board_id):
                return 0

        boards = LiveBoards(SlowStore())
        with ThreadPoolExecutor(8) as pool:
            found = list(pool.map(boards.get, [1, 2, 1, 2, 1, 2, 1, 2] * 12))
        self.assertEqual(len({id(live) for live in found}), 2)
