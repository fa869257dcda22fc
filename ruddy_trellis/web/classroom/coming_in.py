"""Coming into a class, with a code and a nickname; coming back; being done; and the boards that somebody who is in has."""

import asyncio
import secrets
import time
from typing import Annotated

from fastapi import APIRouter, Form, HTTPException, Request, WebSocket
from fastapi.responses import RedirectResponse
from limits import parse
from limits.storage import MemoryStorage
from limits.strategies import MovingWindowRateLimiter
from starlette.concurrency import run_in_threadpool

from ...core.catalogue import CATALOGUE
from ...core.classroom.codes import RETURN_WORD, new_return_word, shown, typed
from ...core.hand import StudentHand
from ...core.hand.student import nickname
from ...core.refusal import Refusal
from ...store.classes import Full, Taken
from ..lessons.pages import board_titles
from ..lessons.students import copy_page, recipes_of_kit
from ..live.lines import carry
from ..live.saving import saved
from ..photographs import photograph_answer
from ..rendering import page
from ..security import same_origin
from .membership import forget, keep, member_of, memberships

router = APIRouter()
#: What is said to a code that lets nobody in, whatever the reason; and how long that takes, seconds.
NO_CLASS = "No class takes that code now. Look at it once more: it has no vowels, and no 0, 1, 2, 5 or 8."
_NO_WORD = "No class takes that code and that word now. Look at both once more."
_TOO_MANY = "So much has been tried from here that it has to wait a minute."
_TAKES = 0.25


class Tries:
    """Counts codes and words that let nobody in; right ones are not counted. From one address, behind which a whole school may be, so many
    a minute; and words for coming back of one class so many, for they can be guessed by who knows its code."""

    def __init__(self):
        self._limiter = MovingWindowRateLimiter(MemoryStorage())
        self._of_code, self._of_address = parse("60 per minute"), parse("600 per minute")

    def too_many(self, address, code=""):
        """Whether so much has been tried that nothing more is answered for a while: from an address, or words of a class."""
        words = bool(code) and not self._limiter.test(self._of_code, "words", code)
        return words or not self._limiter.test(self._of_address, "in", address)

    def failed(self, address, code=""):
        """A try let nobody in."""
        self._limiter.hit(self._of_address, "in", address)
        if code:
            self._limiter.hit(self._of_code, "words", code)


def _address(request):
    return request.client.host if request.client else ""


@router.get("/in")
def come_in_page(request: Request):
    """Where students come in."""
    return _page(request)


def _page(request, problem="", code="", name="", status=200, back=False):
    answer = page(
        request,
        "come_in.html",
        problem=problem,
        code=code,
        name=name,
        back=back,
        known=memberships(request),
        days=request.app.state.classes.days,
    )
    answer.status_code = status
    return answer


@router.post("/in")
async def come_in(request: Request, code: Annotated[str, Form(max_length=200)] = "", name: Annotated[str, Form(max_length=20_000)] = ""):
    """Come into a class. What is wrong is said; of a code that lets nobody in always the same, after the same time."""
    began, state = time.monotonic(), request.app.state
    if not name.strip():
        return await run_in_threadpool(_page, request, "", code)  # it comes from the first page, which asks for the code alone
    row = await saved(state.classes.by_code, typed(code) or "none")
    if row is None or not row.door or state.tries.too_many(_address(request)):
        return await _no_class(request, NO_CLASS, code, name, began)
    token, word = secrets.token_urlsafe(32), new_return_word()
    try:
        member = await saved(state.classes.come_in, row.id, nickname(name), token, word)
    except Refusal as refusal:
        return await run_in_threadpool(_page, request, refusal.sentence, code, "", 422)
    except Taken:
        words = "Somebody in the class has that nickname. Take another; or if it is you, come back with your return word."
        return await run_in_threadpool(_page, request, words, code, "", 422)
    except Full:
        return await run_in_threadpool(_page, request, "The class is full.", code, name, 422)
    room = await run_in_threadpool(state.live_classes.get, row.id)
    room.add(member, word)
    return keep(request, RedirectResponse(f"/class/{room.id}/welcome", 303), room.id, token)


@router.post("/in/back")
async def come_back(request: Request, code: Annotated[str, Form(max_length=200)] = "", word: Annotated[str, Form(max_length=200)] = ""):
    """Come back into a class, with the word that was told once."""
    began, state, read = time.monotonic(), request.app.state, typed(code)
    row = await saved(state.classes.by_code, read or "none")
    token, member = secrets.token_urlsafe(32), None
    if row is not None and not state.tries.too_many(_address(request), read):
        member = await saved(state.classes.come_back, row.id, typed(word, RETURN_WORD) or "none", token)
    if member is None:
        return await _no_class(request, _NO_WORD, code, "", began, read or "none")
    room = await run_in_threadpool(state.live_classes.get, row.id)
    room.add(member)
    await room.moved_on(room.people[member.id])
    return keep(request, RedirectResponse(f"/class/{room.id}", 303), room.id, token)


async def _no_class(request, words, code, name, began, tried=""):
    """That nobody was let in, after the time that this takes always."""
    tries, address = request.app.state.tries, _address(request)
    too_many = tries.too_many(address, tried)
    tries.failed(address, tried)
    await asyncio.sleep(max(0.0, began + _TAKES - time.monotonic()))
    if too_many:
        return await run_in_threadpool(_page, request, _TOO_MANY, "", name, 429, bool(tried))
    return await run_in_threadpool(_page, request, words, code, name, 404, bool(tried))


@router.get("/class/{class_id}/welcome")
def welcome(request: Request, class_id: int):
    """Who has just come in is told the word for coming back, once."""
    room, person = member_of(request, class_id)
    if person is None:
        return _page(request, "", status=404)
    word, person.word = person.word, ""
    return page(request, "come_in_welcome.html", room=room, person=person, word=shown(word))


@router.post("/class/{class_id}/done")
async def done(request: Request, class_id: int):
    """Who is done is out, and the browser forgets them."""
    room, person = await run_in_threadpool(member_of, request, class_id)
    if person is not None:
        await room.done(person)
    return forget(RedirectResponse("/in/done", 303), class_id)


@router.get("/in/done")
def done_page(request: Request):
    """That the browser has forgotten who was here."""
    return page(request, "come_in_done.html")


# The boards ---------------------------------------------------------------------------------------------------------


@router.get("/class/{class_id}")
def class_board(request: Request, class_id: int, board: int | None = None):
    """A board of the lesson, for somebody who is in."""
    room, person = member_of(request, class_id)
    if person is None:
        return forget(_page(request, "You are in no class here now. Come in with its code.", status=404), class_id)
    titles = board_titles(request.app.state.lessons.boards(room.lesson.id))
    board_id = titles[0][0] if board is None else board
    if board_id not in dict(titles):
        raise HTTPException(404)
    live = request.app.state.live.get(board_id)
    lesson = request.app.state.lessons.lesson(room.lesson.id)
    return copy_page(
        request, lesson, live, titles, "class", f"/class/{class_id}", f"/class/{class_id}/{board_id}/live", room=room, person=person
    )


@router.get("/class/{class_id}/{board_id}/photographs/{mark}")
def class_photograph(request: Request, class_id: int, board_id: int, mark: str):
    """A picture under a board."""
    room, person = member_of(request, class_id)
    if person is None:
        raise HTTPException(404)
    return photograph_answer(request, room.lesson.id, mark)


@router.websocket("/class/{class_id}/{board_id}/live")
async def class_board_line(socket: WebSocket, class_id: int, board_id: int):
    """The line to somebody's own copy of a board."""
    live, words, own = None, 0, {}
    if same_origin(socket.headers):
        live, words, own = await run_in_threadpool(_copy, socket, class_id, board_id)
    CATALOGUE.use_own(own)
    await carry(socket, live, StudentHand, words)


def _copy(socket, class_id, board_id):
    room, person = member_of(socket, class_id)
    state = socket.app.state
    if person is None or not state.lessons.has_board(room.lesson.id, board_id):
        return None, 0, {}
    source, teacher = state.live.get(board_id), state.teachers.get(room.teacher)
    live = state.live.get_copy(board_id, person.holder)
    live.lifted_for_all = room.lifted_on(board_id)
    return live, teacher.angle_words if teacher else 0, recipes_of_kit(socket, room.teacher, source.board.settings)
