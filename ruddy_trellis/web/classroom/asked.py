"""The question that is put to a class, and what was answered to it."""

import asyncio
import json
from contextlib import suppress
from dataclasses import asdict, replace
from typing import Any

from starlette.concurrency import run_in_threadpool

from ...core.classroom import asking
from ...core.classroom.asking import Answered, Question
from ...core.classroom.collecting import place_mark, shuffled
from ...core.refusal import Refusal
from ..live.saving import saved

#: How often it is looked whether anything is known of a claim yet, and how long between, in seconds: a first verdict takes a moment.
_LOOKS, _BETWEEN = 30, 0.1


class Asked:
    """The last question of a class: open for answers, closed, or shown to all.

    Args:
        room: the class.
        kept: its questions with their answers, as they are kept.
    """

    def __init__(self, room, kept):
        self._room = room
        self.id = self._board = None
        self.question: Any = None
        self.state = ""
        self._answers = {}
        #: What looks whether anything is known of a claim that was asked.
        self._judging = None
        if kept and kept[-1][0].state in ("open", "shown"):
            row, answers = kept[-1]
            self.id, self.question, self._board, self.state = row.id, Question.of_data(json.loads(row.asked)), row.board_id, row.state
            self._answers = {who: answered_of(text) for who, _, text in answers}

    async def ask(self, message, angle_words):
        """Put a question to the class. Raises Refusal where it cannot be asked."""
        source = await run_in_threadpool(self._room.state.live.get, message.board)
        if source is None or source.lesson_id != self._room.lesson.id:
            raise Refusal("That board is not one of this lesson.")
        asked = asking.question(source.board, message.what, message.id, message.words, message.choices, message.right, angle_words)
        if asked.kind == "claim" and (verdict := source.verdict(message.id)) is not None:
            asked = replace(asked, right=asking.right_of_claim(verdict.verdict))
        id = await saved(self._room.store.ask, self._room.id, message.board, asked.as_data())
        if id is None:
            raise Refusal("So many questions have been asked in this class that no more are kept. Close the class and open it again.")
        self.id, self.question, self._board, self.state, self._answers = id, asked, message.board, "open", {}
        for person in self._room.people.values():
            await self._tell_question(person)
        self.tell_teacher()

    async def tell(self, person):
        """Tell somebody who has just come what is asked, and what they have answered."""
        if self.state in ("open", "shown"):
            await self._tell_question(person)
            if self.state == "shown":
                person.tell(self._shown())

    async def _tell_question(self, person):
        mine = self._answers.get(person.id)
        shown = []
        if self.question.kind == "angles" and person.lines:
            live = await self._room.copy_of(person, self._board)
            shown = asking.shown_with(self.question, live.board, live.extent)
        person.tell({"t": "question", "id": self.id, "board": self._board, "state": self.state, "items": shown,
                     "mine": _mine(mine) if mine else None, **self.question.for_students()})  # fmt: skip

    async def answer(self, person, message):
        """Take what somebody answers. Raises Refusal where it is none, or nothing is asked any more."""
        if self.state != "open" or message.question != self.id:
            raise Refusal("That question takes no answers any more.")
        if not person.may_answer():
            raise Refusal("That was very often. Wait a moment before you answer again.")
        live = await self._room.copy_of(person, self._board)
        found = asking.answered(self.question, live.board, message.choice, message.at)
        await saved(self._room.store.answer, self.id, person.id, asdict(found))
        if person.id in self._room.people:
            self._answers[person.id] = found
        person.tell({"t": "answered", "question": self.id, **_mine(found)})
        self.tell_teacher()

    async def do(self, what):
        """Take no more answers and tell the teacher what they are; show them to all; put the question away."""
        if not self.state:
            return
        self.state = {"close": "closed", "show": "shown", "away": ""}[what]
        await saved(self._room.store.set_state, self.id, self.state or "closed")
        if what == "close":
            self._room.tell_people({"t": "question_closed", "id": self.id})
            if self.question.kind == "claim" and self.question.right is None:
                self._judging = asyncio.create_task(self._judge())
        elif what == "show":
            self._room.tell_people(self._shown())
        else:
            self._room.tell_people({"t": "question_over", "id": self.id})
        self.tell_teacher()

    async def _judge(self):
        """What was not known of a claim when it was asked may be known by now, or in a moment: then it is told once more, with who was
        right."""
        id, source = self.id, await run_in_threadpool(self._room.state.live.get, self._board)
        verdict, looks = None, 0
        while source is not None and verdict is None and looks < _LOOKS:
            await asyncio.sleep(_BETWEEN * bool(looks))
            verdict, looks = source.verdict(self.question.about), looks + 1
        right = asking.right_of_claim(verdict.verdict) if verdict is not None else None
        if right is None or self.id != id:
            return
        self.question = replace(self.question, right=right)
        self._answers = {who: replace(one, right=one.choice == right) for who, one in self._answers.items()}
        with suppress(Refusal):  # a full disk: it is told all the same
            await saved(self._room.store.judge, id, self.question.as_data(), {who: asdict(one) for who, one in self._answers.items()})
        self.tell_teacher()

    def _shown(self):
        """What is shown to all: how many chose what, or the places without whose they are."""
        return {"t": "answers", "id": self.id, "counts": asking.counted(self.question, self._answers.values()), "items": self._places()}

    def _places(self):
        return shuffled([place_mark(one.at) for one in self._answers.values() if one.at is not None])

    def tell_teacher(self):
        """Tell the teacher how many have answered; and what, once no more answers are taken."""
        self._room.tell_teachers(self.for_teacher())

    def for_teacher(self):
        """The same as a message."""
        if not self.state:
            return {"t": "asked", "state": ""}
        people = self._room.people
        told = {"t": "asked", "id": self.id, "board": self._board, "state": self.state, "about": self.question.about,
                "words": self.question.words, "count": len(self._answers),
                "of": sum(bool(one.lines) for one in people.values())}  # fmt: skip
        if self.state == "open":
            return told
        source = self._room.state.live.open_one(self._board)
        answers = list(self._answers.values())
        return {
            **told, "choices": list(self.question.choices), "counts": asking.counted(self.question, answers), "right": self.question.right,
            "told": asking.told(self.question, answers, source.board) if source is not None else "", "items": self._places(),
        }  # fmt: skip

    def forget(self, who):
        """What somebody answered goes with them."""
        if self._answers.pop(who, None) is not None:
            self.tell_teacher()


def _mine(answered):
    """What somebody answered, as they are told it themselves; a place with its mark."""
    return {"choice": answered.choice, "items": [place_mark(answered.at, "?")] if answered.at is not None else []}


def answered_of(text):
    """What was answered, from what is kept of it."""
    data = json.loads(text)
    return Answered(**{**data, "at": tuple(data["at"]) if data["at"] else None})
