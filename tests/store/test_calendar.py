"""Which copies are over: by days on which the program ran, whatever the clock says."""

from datetime import date, timedelta

from ruddy_trellis.commands import forget_hand_ins
from ruddy_trellis.store import Calendar, Database, Lessons
from ruddy_trellis.store.tables import HandInRow

from .test_lessons import StoreCase

TODAY = date(2026, 9, 1)


class CalendarTest(StoreCase):
    def setUp(self):
        super().setUp()
        self.database = Database(self.path)
        self.addCleanup(self.database.close)
        self.lessons, self.calendar = Lessons(self.database), Calendar(self.database)
        (self.board,) = self.lessons.boards(self.lessons.create(None, "One", ["{}"]).id)

    def run_for(self, days, start=TODAY, by=1):
        for number in range(days):
            self.calendar.count(start + by * timedelta(number))

    def copies(self, count, name="pupil"):
        return [self.lessons.make_copy(self.board.id, f"{name} {number}", "{}") for number in range(count)]

    def test_what_was_handed_in_goes_by_command_after_the_days_of_the_school(self):
        (copy,) = self.copies(1)
        self.lessons.hand_ins.keep(
            HandInRow(lesson_id=self.board.lesson_id, board_id=self.board.id, holder=copy.holder, name="fox", document="{}")
        )
        self.run_for(12)
        self.assertEqual(forget_hand_ins(self.path, 30), "0 hand-ins were deleted.")
        self.assertIsNotNone(self.lessons.copy(self.board.id, copy.holder))
        self.assertEqual(forget_hand_ins(self.path, 7), "1 hand-in was deleted.")
        self.assertIsNone(self.lessons.copy(self.board.id, copy.holder))
        self.assertEqual(self.lessons.hand_ins.every(self.board.lesson_id), [])

    def test_a_copy_goes_after_four_hundred_days_that_count(self):
        (old,) = self.copies(1)
        self.run_for(395)
        self.assertEqual((self.calendar.due().soon, self.calendar.forget()), (1, 0))
        self.copies(9, "later")
        self.run_for(7, TODAY + timedelta(395))
        self.assertEqual(self.calendar.due().over, 1)
        self.assertEqual(self.calendar.forget(), 1)
        self.assertIsNone(self.lessons.board(old.id))
        self.assertEqual(self.calendar.due().copies, 9)

    def test_a_change_begins_it_anew(self):
        copies = self.copies(10)
        self.run_for(300)
        self.lessons.save_edit(copies[0].id, 1, "{}", "{}")
        self.run_for(102, TODAY + timedelta(300))
        self.assertEqual(self.calendar.due().over, 9)

    def test_a_clock_that_leaps_counts_nothing(self):
        self.copies(3)
        self.run_for(5)
        for leap in (400, 800, -300, 4000, 2, 40):
            counted = self.calendar.count(TODAY + timedelta(leap))
        self.run_for(40, TODAY + timedelta(40), by=-1)
        self.run_for(40, TODAY, by=7)
        self.assertEqual(self.calendar.count(TODAY + timedelta(7 * 39)), counted)
        self.assertEqual(self.calendar.due().over, 0)

    def test_of_very_many_at_once_nothing_goes_before_a_person_says_so(self):
        self.copies(8)
        self.run_for(402)
        self.copies(20, "later")
        self.assertTrue(self.calendar.due().held_back)
        self.assertIn("copies let-go", self.calendar.due().words())
        self.assertEqual(self.calendar.forget(), 0)
        self.assertEqual(self.calendar.allow(), 8)
        self.assertEqual(self.calendar.forget(), 8)
        self.run_for(402, TODAY + timedelta(401))
        self.assertEqual(self.calendar.forget(), 0, "what was said held once")
