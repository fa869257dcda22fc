"""Accounts of teachers: register, sign in and out, change the password, take all of one's data along, delete it."""

import asyncio
import io
import logging
import re
import secrets
import unicodedata
import zipfile
from typing import Annotated

import orjson
from fastapi import APIRouter, Form, Request
from fastapi.responses import RedirectResponse, Response
from starlette.concurrency import run_in_threadpool

from ...core import limits
from ...core.lesson.file import lesson_to_json
from ...core.refusal import Refusal
from ...core.truth.angle_pairs import NAMES
from ..photographs import photographs_of
from ..rendering import file_name, page
from .new_passwords import check_new_password
from .passwords import hashed_password, is_password
from .who import KNOWN_COOKIE, is_known, let_in, let_out, session_of, signed_in, visitor

_LOG = logging.getLogger(__name__)

router = APIRouter()
Short = Annotated[str, Form(max_length=400)]


def _address(request):
    return request.client.host if request.client else ""


def _onward(address):
    """Where to go after signing in: an address of ours, never another site's."""
    return address if re.fullmatch(r"/(?![/\\])[^\\\s]*", address) else "/"


def sign_in_page(request, onward="/", problem="", sign_in="", status=200):
    """The page for signing in."""
    answer = page(request, "sign_in.html", onward=_onward(onward), problem=problem, sign_in=sign_in, directory=request.app.state.directory)
    answer.status_code = status
    return answer


@router.get("/sign-in")
def ask_sign_in(request: Request, onward: str = "/"):
    """Ask for the sign-in; who is signed in goes straight on."""
    return RedirectResponse(_onward(onward), 303) if visitor(request) else sign_in_page(request, onward)


@router.post("/sign-in")
async def sign_in(request: Request, sign_in: Short = "", password: Short = "", onward: Short = "/"):
    """Sign in with a password. Wrong ones of a name are delayed, and hold nothing meanwhile."""
    state, name = request.app.state, sign_in.strip().lower()
    refused = lambda words, status: run_in_threadpool(sign_in_page, request, onward, words, sign_in, status)
    teacher = await run_in_threadpool(state.teachers.find, name)
    try:
        state.attempts.check_address(_address(request))
        right = await _tried(request, teacher, name, password)
    except Refusal as refusal:
        return await refused(refusal.sentence, 429)
    if not right:
        # A name that does not exist may be a password that was typed into the wrong field.
        _LOG.warning("A sign-in as %s failed from %s", name if teacher else "somebody unknown", _address(request))
        return await refused("That sign-in and password do not go together.", 422)
    return await run_in_threadpool(let_in, request, RedirectResponse(_onward(onward), 303), teacher)


async def _tried(request, teacher, name, password):
    """Whether a password is right, after the patience that the wrong ones before it need."""
    state = request.app.state
    known = await run_in_threadpool(is_known, request, teacher)
    browser = request.cookies.get(KNOWN_COOKIE, "") if known else ""
    await asyncio.sleep(state.attempts.begin(name, browser))
    right = await state.hashing.do(is_password, teacher, password, known=known)
    if right:
        state.attempts.right(name, browser)
    return right


@router.post("/sign-in/demo")
def sign_in_demo(request: Request, sign_in: Short = "", onward: Short = "/"):
    """Come in as a teacher of the demo school, without a password, where the demo is on."""
    if sign_in not in {teacher["sign_in"] for teacher in request.app.state.directory["teachers"]}:
        return sign_in_page(request, onward, "The demo school has no such teacher.", status=422)
    return let_in(request, RedirectResponse(_onward(onward), 303), request.app.state.teachers.find(sign_in))


@router.get("/register")
def ask_register(request: Request):
    """Ask for what an account needs."""
    return _register_page(request)


def _register_page(request, problem="", name="", status=200):
    answer = page(request, "register.html", problem=problem, name=name, options=request.app.state.options)
    answer.status_code = status
    return answer


@router.post("/register")
async def register(request: Request, name: Short = "", password: Short = "", invitation: Short = ""):
    """Make an account and sign in. The sign-in is made here, so that nobody learns which ones there are."""
    state, name = request.app.state, " ".join(name.split())
    try:
        if not state.options.registration:
            raise Refusal("Accounts are made by whoever runs this program. Ask at your school.")
        if not 1 <= len(name) <= limits.TITLE_LENGTH:
            raise Refusal(f"Your name, as colleagues and students see it, has from 1 to {limits.TITLE_LENGTH} characters.")
        if not secrets.compare_digest(_word(invitation), _word(state.options.invitation)):
            state.attempts.check_address(_address(request))
            raise Refusal("That is not the invitation word. Ask whoever invited you.")
        check_new_password(password, (name,))
        state.attempts.check_registering(_address(request))
        hashed = await state.hashing.do(hashed_password, password, (name,))
        teacher = await run_in_threadpool(made_account, state.teachers, name, hashed)
    except Refusal as refusal:
        return await run_in_threadpool(_register_page, request, refusal.sentence, name, 422)
    return await run_in_threadpool(let_in, request, RedirectResponse("/account?made=1", 303), teacher)


def _word(text):
    return " ".join(text.split()).casefold().encode()


def made_account(teachers, name, password):
    """A new teacher, whose sign-in is made of the name and a number; of the password comes the hash."""
    plain = unicodedata.normalize("NFKD", name.lower()).encode("ascii", "ignore").decode()
    stem = ".".join(re.findall("[a-z0-9]+", plain))[:30] or "teacher"
    while True:
        teacher = teachers.register(f"{stem}.{secrets.randbelow(900) + 100}", name, password)
        if teacher is not None:
            return teacher
        stem = f"{stem[:30]}.{secrets.randbelow(90) + 10}"


@router.post("/sign-out")
def sign_out(request: Request):
    """Sign out in this browser. The lines that it has open end."""
    session = session_of(request)
    if session is not None:  # a student's line has none, and is nobody's to end
        request.app.state.live.end_lines(lambda line: line.session == session)
    return let_out(request, RedirectResponse("/", 303))


def account_page(request, problem="", done="", status=200):
    """The page of one's own account."""
    sessions = request.app.state.teachers.sessions(signed_in(request).id)
    answer = page(
        request, "account.html", problem=problem, done=done, angle_words=NAMES["consecutive interior"],
        sessions=sessions, own=session_of(request),
    )  # fmt: skip
    answer.status_code = status
    return answer


@router.get("/account")
def account(request: Request, made: bool = False):
    """One's own account."""
    teacher = signed_in(request)
    done = f"Your account is made. Your sign-in is {teacher.sign_in}: write it down, with your password." if made else ""
    return account_page(request, done=done)


@router.post("/account/password")
async def change_password(request: Request, old: Short = "", new: Short = ""):
    """Change the password; every other browser is signed out."""
    teacher, state = signed_in(request), request.app.state
    try:
        await _check_own(request, teacher, old)
        hashed = await state.hashing.do(hashed_password, new, (teacher.name, teacher.sign_in), known=True)
    except Refusal as refusal:
        return await run_in_threadpool(account_page, request, refusal.sentence, status=422)
    await run_in_threadpool(state.teachers.set_password, teacher.id, hashed)
    state.live.end_lines(lambda line: line.teacher == teacher.id)
    answer = await run_in_threadpool(account_page, request, done="The password is changed. Everywhere else you are signed out.")
    return await run_in_threadpool(let_in, request, answer, teacher)


@router.post("/account/sessions/end")
def end_session(request: Request, session: Short = ""):
    """End one of one's own sessions, in another browser. Its lines end."""
    teacher, state = signed_in(request), request.app.state
    ended = state.teachers.end_session(teacher.id, session)
    if ended is None:
        return account_page(request, "That browser is signed out already.", status=422)
    state.live.end_lines(lambda line: line.session == ended)
    return account_page(request, done="That browser is signed out.")


@router.post("/account/angle-words")
def call_angle_pairs(request: Request, words: Annotated[int, Form()] = 0):
    """Call pairs of angles as they are called where the teacher teaches, on all their boards."""
    teacher = signed_in(request)
    teacher.angle_words = min(max(words, 0), len(NAMES["consecutive interior"]) - 1)
    request.app.state.teachers.set_angle_words(teacher.id, teacher.angle_words)
    return account_page(request, done="Angle pairs are called so from now on, for your students too.")


@router.post("/account/near")
def run_near(request: Request, near: Annotated[bool, Form()] = False):
    """Let the teacher's boards run beside their drawings, or leave all of it to the server."""
    teacher = signed_in(request)
    teacher.near = near
    request.app.state.teachers.set_near(teacher.id, near)
    where = "in the browser" if near else "at the server"
    return account_page(request, done=f"Figures move {where} from the next page on, for your students too.")


async def _check_own(request, teacher, password):
    """Raises Refusal where that is not the teacher's own password."""
    if not await _tried(request, teacher, teacher.sign_in, password):
        raise Refusal("That is not your password. Nothing has changed.")


@router.get("/account/data.zip")
def own_data(request: Request):
    """Everything that is kept of a teacher: account, lessons (those put away too) and recipes, in the open formats."""
    teacher, state = signed_in(request), request.app.state
    packed = io.BytesIO()
    with zipfile.ZipFile(packed, "w", zipfile.ZIP_DEFLATED) as archive:
        archive.writestr(
            "account.json",
            orjson.dumps(
                {
                    "name": teacher.name,
                    "sign_in": teacher.sign_in,
                    "made_at": teacher.made_at,
                    "angle_words": teacher.angle_words,
                    "near": teacher.near,
                },
                option=orjson.OPT_INDENT_2,
            ),
        )
        for away in (False, True):
            for lesson, _ in state.lessons.of_teacher(teacher.id, away):
                boards = [state.live.get(row.id).board for row in state.lessons.boards(lesson.id)]
                name = f"{'put away' if away else 'lessons'}/{lesson.id} {file_name(lesson.title)}.json"
                archive.writestr(
                    name,
                    orjson.dumps(
                        lesson_to_json(lesson.title, boards, photographs_of(request, lesson.id, boards)), option=orjson.OPT_INDENT_2
                    ),
                )
        for row in state.lessons.recipes(teacher.id):
            archive.writestr(f"recipes/{row.id} {file_name(orjson.loads(row.document)['name'])}.json", row.document)
    return Response(
        packed.getvalue(), media_type="application/zip", headers={"content-disposition": 'attachment; filename="my-lessons.zip"'}
    )


@router.post("/account/delete")
async def delete_account(request: Request, password: Short = ""):
    """Delete the account with all that is in it."""
    teacher, state = signed_in(request), request.app.state
    try:
        await _check_own(request, teacher, password)
    except Refusal as refusal:
        return await run_in_threadpool(account_page, request, refusal.sentence, status=422)
    lessons = await run_in_threadpool(state.teachers.delete, teacher.id)
    for lesson_id in lessons:
        state.live.close_lesson(lesson_id)
    state.recipe_shelves.forget(teacher.id)
    return let_out(request, RedirectResponse("/", 303))
