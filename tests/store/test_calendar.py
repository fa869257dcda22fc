"""Which copies are over: by days on which the program ran, whatever the clock says."""

from datetime import date, timedelta

from ruddy_trellis.store import Calendar, Database, Lessons

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
