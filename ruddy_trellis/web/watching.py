"""What is looked after while the program runs: lines of people who may no longer look, and students' copies that are over."""

import asyncio
import logging
from datetime import date

from starlette.concurrency import run_in_threadpool

_LOG = logging.getLogger(__name__)
#: How often the open lines are looked through, and the calendar, in seconds.
LINES_EVERY, DAYS_EVERY = 2.0, 3600.0


async def watch(state):
    """Look again and again, until this is cancelled."""
    days = asyncio.create_task(_again(DAYS_EVERY, lambda: run_in_threadpool(look_at_days, state)))
    try:
        await _again(LINES_EVERY, lambda: look_at_lines(state))
    finally:
        days.cancel()


async def _again(pause, look):
    while True:
        await asyncio.sleep(pause)
        try:
            await look()
        except Exception:
            _LOG.exception("What runs could not be looked after")


async def look_at_lines(state):
    """End the lines of sessions that are over, and close boards of lessons that are gone: what the command line did about people is
    done to those who are at work as well."""
    await state.live_classes.close_over()
    sessions, lessons = state.live.in_use()
    if sessions:
        well = await run_in_threadpool(state.teachers.still_open, sessions)
        state.live.end_lines(lambda line: line.session in sessions and line.session not in well)
    if lessons:
        there = await run_in_threadpool(state.lessons.still_there, lessons)
        for lesson_id in lessons - there:
            state.live.close_lesson(lesson_id)


def look_at_days(state, today=date.today):
    """Count the day, delete the copies that are over, and note what will be."""
    state.calendar.count(today())
    gone = state.calendar.forget()
    if handed := state.lessons.hand_ins.forget():
        _LOG.warning("%d hand-ins were deleted: their days are over.", handed)
    if classes := state.classes.forget():
        _LOG.warning("What was answered in %d classes was deleted: their days are over.", classes)
    due = state.calendar.due()
    if gone:
        _LOG.warning("%d students’ copies were deleted: nobody had changed them for a year and more.", gone)
    if due.over or due.soon:
        _LOG.warning("%s", due.words())
    return due
