"""The teacher's side of a class: opening and closing it, its door, its names, the projector's page, the wall, what was answered."""

import csv
import io
import json
from typing import Annotated

import segno
from fastapi import APIRouter, Form, HTTPException, Request
from fastapi.responses import RedirectResponse, Response
from starlette.concurrency import run_in_threadpool

from ...core.classroom.asking import CHOICES
from ...core.classroom.codes import shown
from ...core.hand.student import nickname
from ...core.refusal import Refusal
from ...store.classes import Taken
from ..lessons.handed_in import harmless
from ..lessons.pages import board_titles
from ..people.who import own_lesson
from ..rendering import drawing_look, page
from .membership import own_room

router = APIRouter()


def _come_in_at(request):
    return str(request.base_url).rstrip("/") + "/in"


@router.get("/lessons/{slug}/class")
def class_panel(request: Request, slug: str):
    """What there is to say of a class beside a board of its lesson."""
    lesson = own_lesson(request, slug)
    return _panel(request, lesson)


def _panel(request, lesson):
    row = request.app.state.classes.of_lesson(lesson.id)
    room = request.app.state.live_classes.get(row.id) if row is not None else None
    return page(
        request, "panels/class.html", lesson=lesson, room=room, code=shown(room.code) if room else "", at=_come_in_at(request),
        hours=request.app.state.classes.hours, most=CHOICES, days=request.app.state.classes.days,
        earlier=bool(request.app.state.classes.earlier(lesson.id)),
    )  # fmt: skip


@router.post("/lessons/{slug}/class")
async def open_class(request: Request, slug: str):
    """Open a lesson for a class."""
    lesson = await run_in_threadpool(own_lesson, request, slug)
    await request.app.state.live_classes.open(lesson)
    return await run_in_threadpool(_panel, request, lesson)


@router.post("/classes/{class_id}/close")
async def close_class(request: Request, class_id: int):
    """Close a class."""
    room = await run_in_threadpool(own_room, request, class_id)
    await request.app.state.live_classes.close(class_id)
    return await run_in_threadpool(_panel, request, room.lesson)


@router.post("/classes/{class_id}/door")
async def set_door(request: Request, class_id: int, door: Annotated[bool, Form()]):
    """Open or shut the door."""
    room = await run_in_threadpool(own_room, request, class_id)
    await room.set_door(door)
    return await run_in_threadpool(_panel, request, room.lesson)


@router.post("/classes/{class_id}/people/{who}")
async def change_person(
    request: Request, class_id: int, who: int, name: Annotated[str, Form(max_length=20_000)] = "", remove: Annotated[bool, Form()] = False
):
    """Give somebody another name, or send them out."""
    room = await run_in_threadpool(own_room, request, class_id)
    if remove:
        await room.remove(who)
    else:
        try:
            await room.rename(who, nickname(name))
        except Taken:
            raise Refusal("Somebody in the class has that nickname.") from None
    return Response(status_code=204)


@router.get("/classes/{class_id}")
def projector(request: Request, class_id: int):
    """The page for the projector: the lesson, the code, and how many are in."""
    room = own_room(request, class_id)
    return page(request, "class_projector.html", room=room, code=shown(room.code), at=_come_in_at(request), look=drawing_look())


@router.get("/classes/{class_id}/code.svg")
def code_picture(request: Request, class_id: int):
    """Where to come in, as a QR code: the page, with the code behind the number sign, which browsers send to nobody."""
    room = own_room(request, class_id)
    drawn = io.BytesIO()
    segno.make(f"{_come_in_at(request)}#{room.code}", error="m").save(drawn, kind="svg", scale=8, border=2, dark="#2B2A33", light="#FFFFFF")
    return Response(drawn.getvalue(), media_type="image/svg+xml", headers={"cache-control": "no-store"})


@router.get("/classes/{class_id}/wall")
def wall(request: Request, class_id: int):
    """The wall: everybody's board."""
    room = own_room(request, class_id)
    titles = board_titles(request.app.state.lessons.boards(room.lesson.id))
    return page(request, "wall.html", room=room, code=shown(room.code), titles=titles, look=drawing_look())


# What was answered ---------------------------------------------------------------------------------------------------


def _kept(request, lesson):
    """The classes of a lesson with their questions, told in words."""
    store = request.app.state.classes
    found = []
    for row in store.earlier(lesson.id):
        questions = []
        for question, answers in store.questions(row.id):
            asked = json.loads(question.asked)
            questions.append((asked, [(name, _told(asked, json.loads(text))) for _, name, text in answers]))
        found.append((row, questions))
    return found


def _told(asked, answer):
    """An answer in words: what was chosen or where, whether it is right or how far off."""
    if answer["at"] is not None:
        where = f"({answer['at'][0]:g}, {answer['at'][1]:g})"
        return (where, f"{answer['off']:.3g} off" if answer["off"] is not None else "")
    return (asked["choices"][answer["choice"]], {True: "right", False: "not right", None: ""}[answer["right"]])


@router.get("/lessons/{slug}/answers")
def answers_page(request: Request, slug: str):
    """What was asked in classes of a lesson, and what was answered."""
    lesson = own_lesson(request, slug)
    return page(request, "class_answers.html", lesson=lesson, classes=_kept(request, lesson), days=request.app.state.classes.days)


@router.get("/lessons/{slug}/answers.csv")
def answers_table(request: Request, slug: str):
    """The same as a table."""
    lesson = own_lesson(request, slug)
    rows = [("class", "question", "name", "answer", "right")]
    for row, questions in _kept(request, lesson):
        for asked, answers in questions:
            rows += [(row.made_at.strftime("%Y-%m-%d %H:%M"), asked["words"], name, *told) for name, told in answers]
    text = io.StringIO()
    csv.writer(text).writerows([[harmless(cell) for cell in row] for row in rows])
    return Response(text.getvalue(), media_type="text/csv; charset=utf-8",
                    headers={"content-disposition": 'attachment; filename="answers.csv"'})  # fmt: skip


@router.post("/lessons/{slug}/answers/{class_id}/delete")
def delete_answers(request: Request, slug: str, class_id: int):
    """What is kept of a class goes."""
    lesson = own_lesson(request, slug)
    if class_id >= 2**63:
        raise HTTPException(404)
    request.app.state.classes.delete_one(lesson.id, class_id)
    return RedirectResponse(f"/lessons/{slug}/answers", 303)
