"""Who is asking: the teacher who is signed in, and what is theirs."""

from fastapi import HTTPException
from starlette.concurrency import run_in_threadpool
from starlette.requests import HTTPConnection

from ...core.catalogue import CATALOGUE
from ...store.teachers import SESSION_DAYS, hashed

COOKIE = "trellis_session"


class SignInNeeded(Exception):
    """Only a teacher who is signed in can have this."""


async def identify(connection: HTTPConnection):
    """Note who asks, for a request or a WebSocket, and know that teacher's recipes while it is answered."""
    connection.state.teacher = None
    token = connection.cookies.get(COOKIE)
    if token:
        teacher, own = await run_in_threadpool(_signed_in, connection.app.state, token)
        connection.state.teacher = teacher
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
    """Sign a teacher in with an answer to their browser. Returns the answer."""
    token = request.app.state.teachers.open_session(teacher.id)
    answer.set_cookie(COOKIE, token, max_age=SESSION_DAYS * 86400, httponly=True, samesite="lax", secure=request.url.scheme == "https")
    return answer


def let_out(request, answer):
    """Sign out in the asking browser. Returns the answer."""
    token = request.cookies.get(COOKIE)
    if token:
        request.app.state.teachers.close_session(token)
    answer.delete_cookie(COOKIE)
    return answer
