"""Who is asking: the teacher who is signed in, and what is theirs."""

from fastapi import HTTPException
from starlette.concurrency import run_in_threadpool
from starlette.requests import HTTPConnection

from ...core.catalogue import CATALOGUE
from ...store.secret import hashed
from ...store.teachers import KNOWN_DAYS, SESSION_DAYS
from ..worker import ASKING

#: The session; and that a teacher was signed in here before.
COOKIE, KNOWN_COOKIE = "trellis_session", "trellis_known"


class SignInNeeded(Exception):
    """Only a teacher who is signed in can have this."""


async def identify(connection: HTTPConnection):
    """Note who asks, for a request or a WebSocket, and know that teacher's recipes while it is answered."""
    connection.state.teacher = None
    ASKING.set(connection.client.host if connection.client else "")
    token = connection.cookies.get(COOKIE)
    if token:
        teacher, own = await run_in_threadpool(_signed_in, connection.app.state, token)
        connection.state.teacher = teacher
        if teacher is not None:
            ASKING.set(f"teacher {teacher.id}")
        CATALOGUE.use_own(own)


def _signed_in(state, token):
    teacher = state.teachers.signed_in(token)
    return teacher, state.recipe_shelves.of(teacher.id) if teacher else {}


def session_of(connection):
    """What is kept of the secret with which a browser is signed in; None where it is not."""
    token = connection.cookies.get(COOKIE)
    return hashed(token) if token and visitor(connection) else None


def visitor(connection):
    """The teacher who asks, or None."""
    return getattr(connection.state, "teacher", None)


def signed_in(request):
    """The teacher who asks. Raises SignInNeeded where nobody is signed in."""
    teacher = visitor(request)
    if teacher is None:
        raise SignInNeeded
    return teacher


def is_theirs(connection, teacher_id):
    """Whether something of that teacher is the asking one's."""
    teacher = visitor(connection)
    return teacher is not None and teacher.id == teacher_id


def own_lesson(request, slug):
    """The lesson of that slug, if it is the asking teacher's. To everyone else there is none: raises 404."""
    lesson = request.app.state.lessons.find(slug)
    if lesson is None or not is_theirs(request, lesson.teacher_id):
        raise HTTPException(404)
    return lesson


def own_board(connection, board_id):
    """The live board of that id, if it is the asking teacher's, or None."""
    state = connection.app.state
    return state.live.get(board_id) if is_theirs(connection, state.lessons.teacher_of(board_id)) else None


def live_board(request, board_id):
    """The live board of that id, if it is the asking teacher's. Raises 404 otherwise."""
    live = own_board(request, board_id)
    if live is None:
        raise HTTPException(404)
    return live


def let_in(request, answer, teacher):
    """Sign a teacher in with an answer to their browser, and remember it. Returns the answer."""
    teachers, old = request.app.state.teachers, request.cookies.get(COOKIE, "")
    request.app.state.live.end_lines(lambda line: line.session is not None and line.session == hashed(old))
    _set(request, answer, COOKIE, teachers.open_session(teacher.id, _browser(request), old), SESSION_DAYS)
    if not is_known(request, teacher):
        _set(request, answer, KNOWN_COOKIE, teachers.remember_browser(teacher.id), KNOWN_DAYS)
    return answer


def is_known(request, teacher):
    """Whether that teacher was signed in before in the asking browser."""
    token = request.cookies.get(KNOWN_COOKIE)
    return bool(token) and teacher is not None and request.app.state.teachers.knows_browser(teacher.id, token)


def _set(request, answer, name, value, days):
    answer.set_cookie(name, value, max_age=days * 86400, httponly=True, samesite="lax", secure=request.url.scheme == "https")


def _browser(request):
    """What the asking browser is, in a few words: for the list of one's own sessions, where it is only a help."""
    agent = request.headers.get("user-agent", "")
    has = lambda *words: next((word for word in words if word.lower() in agent.lower()), "")
    kind = {"edg": "Edge", "firefox": "Firefox", "chrom": "Chromium or Chrome", "safari": "Safari"}.get(
        has("edg", "firefox", "chrom", "safari"), "a browser"
    )
    system = has("Windows", "Android", "iPhone", "iPad", "Mac", "Linux")
    return f"{kind} on {system}" if system else kind


def let_out(request, answer):
    """Sign out in the asking browser. Returns the answer."""
    token = request.cookies.get(COOKIE)
    if token:
        request.app.state.teachers.close_session(token)
    answer.delete_cookie(COOKIE)
    return answer
