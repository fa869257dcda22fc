"""Who is in which class: by a secret that the browser keeps for that class alone."""

from fastapi import HTTPException

from ..people.who import is_theirs

#: What the secret of a class is kept under, before the number of the class.
COOKIE = "trellis_in_"
#: How long a browser keeps it at most; the class ends it before.
_SECONDS = 20 * 3600


def member_of(connection, class_id):
    """The class and the person that the asking browser is in it; None and None where it is none. To be called in a thread."""
    token = connection.cookies.get(f"{COOKIE}{class_id}")
    room = connection.app.state.live_classes.get(class_id) if token else None
    row = connection.app.state.classes.member(class_id, token) if room is not None else None
    person = room.people.get(row.id) if room is not None and row is not None else None
    return (room, person) if person is not None else (None, None)


def memberships(connection):
    """Every class that the asking browser is in: pairs of the class and the person. To be called in a thread."""
    numbers = [name.removeprefix(COOKIE) for name in connection.cookies if name.startswith(COOKIE)][:20]
    found = [member_of(connection, int(number)) for number in numbers if number.isdecimal() and len(number) < 19]
    return [(room, person) for room, person in found if person is not None]


def room_of_teacher(connection, class_id):
    """The open class of that id, if it is the asking teacher's; None otherwise. To be called in a thread."""
    room = connection.app.state.live_classes.get(class_id)
    return room if room is not None and is_theirs(connection, room.teacher) else None


def own_room(request, class_id):
    """The same. Raises 404 where it is none."""
    room = room_of_teacher(request, class_id)
    if room is None:
        raise HTTPException(404)
    return room


def keep(request, answer, class_id, token):
    """Let the browser keep the secret of a class."""
    answer.set_cookie(f"{COOKIE}{class_id}", token, max_age=_SECONDS, httponly=True, samesite="lax", secure=request.url.scheme == "https")
    return answer


def forget(answer, class_id):
    """Let the browser forget it."""
    answer.delete_cookie(f"{COOKIE}{class_id}")
    return answer
